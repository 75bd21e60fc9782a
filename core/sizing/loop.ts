import { JACKET_CONDUCTIVITY } from '../model/catalogue/cableKinds.ts';
import { LUG_FAMILIES } from '../model/tables/lugFamilies.ts';
import { CUSTOMARY_CHASSIS_MILLIOHM } from '../model/tables/sources.ts';
import { bundleDiameterMm } from '../conductor/geometry.ts';
import { resistancePerMetre, resistancePerMetre20 } from '../conductor/resistance.ts';
import { areaMm2, type ConductorSize, isNotAbove, sameSize } from '../model/tables/size.ts';
import { stretchesOf } from './governingRun.ts';
import type { Cable } from '../model/cable.ts';
import type { Fuse, Run, Device } from '../model/run.ts';
import type { Layer } from '../model/tables/layers.ts';
import type { CableKind, CableSize } from '../model/shop.ts';
import { deviceMilliohm, onLoop } from './devices.ts';
import { HOTTEST_C, steadyTemperature, type Surroundings, type ThermalCable } from './heatBalance.ts';
import { placingFactor } from './placing.ts';
import type { Places } from './upstream.ts';
import { type Message, msg } from '../words/message.ts';

/** Sun on a jacket, W/m². Shop practice. */
const SUN_W_PER_M2 = 900;

/** Another cable of the same circuit, as far as its share of the drop goes. */
export interface Mate {
  readonly tag: string;
  readonly lengthMm: number;
  readonly devices: readonly Device[];
  readonly fuses: readonly Fuse[];
  /** The size given on it; where none is, it is taken to be of the size now being tried. */
  readonly size: ConductorSize | null;
  readonly kind: CableKind;
  /** Where it lies, for how hot it gets. */
  readonly run: Run;
  readonly parallel: number;
  /** What it says of the circuit: amps held, the heaviest step of its duty, and the voltage. */
  readonly amps: number;
  readonly heaviestA: number;
  readonly systemV: number;
  readonly places: Places;
}

/** What the system of its job says of a cable, in place of what is typed on it. */
export interface Fed {
  /** The rest of the path of the load that governs its drop, each as its own amps would lose it there. */
  readonly rest: {
    readonly held: readonly Spender[];
    readonly duty: readonly Spender[];
    /** Length of the other cables on that path, mm. */
    readonly otherMm: number;
    readonly load: string;
  } | null;
  /** The fuses that protect it; null where that is typed. */
  readonly guards: readonly Fuse[] | null;
  /** What a short through it draws: at its fuse, and at the far end of what that fuse protects. */
  readonly shorts: { readonly mostA: number; readonly leastA: number } | null;
  /** What all cables on the way to a load come to together, where it has no size of its own. */
  readonly size: ConductorSize | null;
}

/** What a size is assessed in: the run, how many conductors share it, and the rest of its circuit. */
export interface RunContext {
  readonly run: Run;
  readonly parallel: number;
  readonly mates: readonly Mate[];
  /** What its ends are on. */
  readonly places: Places;
  readonly polarity: Cable['polarity'];
  /** What is drawn over its whole length: glass against heat from beside, braid against rubbing. */
  readonly worn: readonly Layer[];
  /** Whether an end is soldered: solder stands less than copper. */
  readonly soldered: boolean;
  /** What comes from the system, where anything does. */
  readonly fed?: Fed | undefined;
}

/** One who spends of the loop's drop, Ω, with the copper as hot as it gets. */
export interface Spender {
  readonly label: Message;
  readonly kind: 'cable' | 'return' | 'joints' | 'device';
  readonly ohm: number;
}

/** Tinned braid, dulled by use. Source: handbook values for oxidized tin and copper, the lower ones. */
const BARE_EMISSIVITY = 0.3;

/** The thinnest jacket that is used, as a share of the outside diameter: see {@link isThinnerThanItsCopper}. */
const LEAST_JACKET_SHARE = 0.02;

/** Whether an outside diameter cannot be right: solid copper of that area would be thicker. */
export const isThinnerThanItsCopper = ({ size, outerMm }: Pick<CableSize, 'size' | 'outerMm'>): boolean =>
  outerMm <= bundleDiameterMm(areaMm2(size), 1);

/**
 * One metre of a cable size as the heat balance sees it. An outside diameter that leaves the strands no jacket is taken
 * with the thinnest there is, so that something can be said of it; a finding says that it cannot be.
 */
export function thermalCable(
  kind: CableKind,
  { size, outerMm }: Pick<CableSize, 'size' | 'outerMm'>,
): ThermalCable {
  const copperMm2 = areaMm2(size);
  return {
    ohmPerMetre20: resistancePerMetre20(size, kind),
    copperMm2,
    bundleMm: Math.min(bundleDiameterMm(copperMm2), outerMm * (1 - LEAST_JACKET_SHARE)),
    outerMm,
    jacketConductivity: JACKET_CONDUCTIVITY[kind.insulation],
    ...(kind.insulation === 'bare' && { emissivity: BARE_EMISSIVITY }),
  };
}

/** Air that an engine space has at least while its engine runs, °C. Source: small-craft practice. */
export const ENGINE_SPACE_C = 50;
/** The air that the conductor is calculated in, °C. */
export const airC = ({ ambientC, engineSpace }: Pick<Run, 'ambientC' | 'engineSpace'>): number =>
  engineSpace ? Math.max(ambientC, ENGINE_SPACE_C) : ambientC;

export function surroundingsOf(run: Run): Surroundings {
  return { ambientC: airC(run), sunWPerM2: run.sun ? SUN_W_PER_M2 : 0 };
}

/**
 * Barrel depth of a lug typical for a conductor, mm: a good crimp starts at the resistance of that much conductor.
 *
 * @example typicalBarrelMm(70) // 28
 */
export function typicalBarrelMm(copperMm2: number): number {
  return (
    BARRELS.findLast((barrel) => isNotAbove(barrel.copperMm2, copperMm2))?.barrelMm ?? SHORTEST_BARREL_MM
  );
}

const SHORTEST_BARREL_MM = 10;
const BARRELS = Object.entries(LUG_FAMILIES['compression-metric'].sizes)
  .map(([name, { barrelMm }]) => ({ copperMm2: Number(name), barrelMm }))
  .sort((a, b) => a.copperMm2 - b.copperMm2);

/**
 * How hot a cable of the circuit gets at the amps of the loop, °C: by its own size and place; as hot as the one being
 * tried where it has no size of its own.
 */
function mateC({ size, kind, run, parallel }: Mate, amps: number, copperC: number): number {
  const ownSize = size && kind.sizes.find((listed) => sameSize(listed.size, size));
  if (!ownSize) return copperC;
  const share = parallel * placingFactor(run.placing, run.bundled);
  const temperatures = stretchesOf(run).map(
    (stretch) =>
      steadyTemperature(thermalCable(kind, ownSize), surroundingsOf(stretch.run), amps / share) ?? HOTTEST_C,
  );
  return Math.max(...temperatures);
}

/**
 * Where the loop's resistance lies, the cable itself first, with its copper at `copperC`.
 *
 * @param heldA what is held through all of the loop: each other cable is as hot as that makes it
 * @param step whether it is asked for what is held, or for the heaviest step of its duty
 */
export function spendersAt(
  context: RunContext,
  kind: CableKind,
  size: ConductorSize,
  copperC: number,
  heldA: number,
  step: 'held' | 'duty' = 'held',
): Spender[] {
  const { run, parallel, mates } = context;
  const perMetre = resistancePerMetre(size, kind, copperC) / parallel;
  const jointM = typicalBarrelMm(areaMm2(size)) / 1000;
  const cable = (lengthMm: number) => (perMetre * lengthMm) / 1000;
  const devices = (list: readonly Device[]) =>
    list.map((device): Spender => ({
      label: device.kind,
      kind: 'device',
      ohm: deviceMilliohm(device) / 1000,
    }));
  const ownSpenders: Spender[] = [
    { label: msg`this cable`, kind: 'cable', ohm: cable(run.lengthMm + run.loopMm) },
    { label: msg`joints`, kind: 'joints', ohm: perMetre * jointM * jointsOf(context) },
    ...(context.fed?.rest ? [] : devices(onLoop(run))),
  ];
  if (context.fed?.rest) return [...ownSpenders, ...context.fed.rest[step]];
  const back = run.return;
  switch (back.kind) {
    case 'cable':
      return [...ownSpenders, { label: msg`return`, kind: 'return', ohm: cable(back.lengthMm) }];
    case 'chassis':
      return [
        ...ownSpenders,
        {
          label: msg`chassis`,
          kind: 'return',
          ohm: (back.milliohm ?? CUSTOMARY_CHASSIS_MILLIOHM) / 1000,
        },
      ];
    case 'none':
      return ownSpenders;
    case 'circuit':
      return [
        ...ownSpenders,
        ...mates.flatMap((mate): Spender[] => {
          const hotC = mateC(mate, heldA, copperC);
          const matePerMetre = resistancePerMetre(mate.size ?? size, mate.kind, hotC) / mate.parallel;
          const mateJoints = 2 * (typicalBarrelMm(areaMm2(mate.size ?? size)) / 1000);
          return [
            { label: mate.tag, kind: 'return', ohm: matePerMetre * (mate.lengthMm / 1000 + mateJoints) },
            ...devices(onLoop(mate)),
          ];
        }),
      ];
  }
}

/** Two to a cable, and two more where the return is a twin of it. A chassis figure includes its own. */
export const jointsOf = ({ run, fed }: RunContext) => (run.return.kind === 'cable' && !fed?.rest ? 4 : 2);

export const totalOhm = (spenders: readonly Spender[]) => spenders.reduce((sum, { ohm }) => sum + ohm, 0);
