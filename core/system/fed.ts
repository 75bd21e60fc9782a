import type { Duty, Fuse, Run, SystemInput } from '../model/run.ts';
import { allowedPercent, isOverUnmeasured, useOf, worstOf } from './allowed.ts';
import type { Conductor } from './installation.ts';
import type { CableRun } from './runs.ts';
import type { ConductorSize } from '../model/tables/size.ts';
import type { Fed, Spender } from '../sizing/loop.ts';
import { isHeld } from './solve.ts';
import type { LoadDrop, Share } from './path.ts';
import { type Guard, guardKey, guardRatingA, isLink } from './protection.ts';
import { type Guarded, guardsOf, isStarter, type SystemView } from './view.ts';
import { shortAt, type Zone, zonesOf } from './zones.ts';
import { msg } from '../words/message.ts';

/** What the system says of a cable: its run where it comes from there, and what no run holds. */
export interface FromSystem {
  /** What of it the system answers at all, whether or not it is taken from there. */
  readonly answers: readonly SystemInput[];
  readonly run: Partial<Run>;
  readonly fed: Fed;
  /** The figures that it answers with; null where it does not. */
  readonly figures: {
    readonly volts: { readonly nominalV: number; readonly chargedV: number } | null;
    readonly load: { readonly heldA: number; readonly duty: Duty | null } | null;
    readonly drop: {
      readonly load: string;
      /** Allowed of the load's path while it runs held, and for a time; null where it does not run so. */
      readonly heldPercent: number | null;
      readonly shortPercent: number | null;
    } | null;
    readonly shorts: { readonly mostA: number; readonly leastA: number } | null;
    readonly guard: { readonly name: string; readonly ratingA: number } | null;
  };
  /** The state that makes it warmest, by id. */
  readonly governedBy: string | null;
}

/** The rest of a path, as the amps of a cable would lose it: the same volts over those amps. */
function restOf(view: SystemView, drop: LoadDrop | null, cableId: string, amps: number): Spender[] {
  if (!drop || amps <= 0) return [];
  return drop.shares
    .filter(({ of }) => !(of.kind === 'cable' && of.id === cableId))
    .map(({ of: piece, volts }: Share): Spender => {
      const name =
        piece.kind === 'cable'
          ? (view.cableOf(piece.id)?.tag ?? piece.id)
          : piece.kind === 'place'
            ? (view.placeOf(piece.id)?.name ?? piece.id)
            : msg`chassis`;
      return {
        label: name,
        kind: piece.kind === 'cable' ? 'return' : 'device',
        ohm: Math.max(0, volts) / amps,
      };
    });
}

/** A guard as a cable has it. */
function asFuse(guard: Guard, end: Fuse['end']): Fuse {
  if (guard.kind === 'inline') return { ...guard.fuse, end };
  const { place } = guard;
  const { ratingA, breakingA, curve, melts } = place;
  return {
    end,
    kind: place.kind === 'fuse' ? place.fuse : 'breaker',
    ratingA,
    place: place.place ?? 'near',
    distanceMm: 0,
    ...(breakingA !== undefined && { breakingA }),
    ...(curve && { curve }),
    ...(melts && { melts }),
  };
}

/** Volts by name that a cable stands under: those of its load, else those of its part. */
function nominalOf(view: SystemView, { at }: Conductor, drop: LoadDrop | null): number | null {
  if (drop && drop.nominalV > 0) return drop.nominalV;
  const range = view.nominalOf(at.A);
  return range >= 1 ? range : null;
}

/** Percent that a step may lose; the customary one where no load is traced through it. */
const shortPercentOf = (load: Parameters<typeof allowedPercent>[0] | null): number =>
  load ? Math.max(0.5, allowedPercent(load, false)) : CUSTOMARY_SURGE_PERCENT;
const CUSTOMARY_SURGE_PERCENT = 10;

/** What a guard is called. */
const guardName = (view: SystemView, guard: Guard): string =>
  guard.kind === 'place' ? guard.place.name : (view.cableOf(guard.cableId)?.tag ?? guard.cableId);

const round = (value: number, digits: number) => Number(value.toPrecision(digits));

/** What is looked up once for all cables. */
interface LookedUp {
  readonly guards: ReadonlyMap<string, Guarded>;
  readonly zones: ReadonlyMap<string, Zone>;
  readonly runs: ReadonlyMap<string, CableRun>;
  readonly proposed: ReadonlyMap<string, { readonly size: ConductorSize }>;
  /** Parts that a battery feeds. */
  readonly batteryIslands: ReadonlySet<number>;
}

// oxlint-disable-next-line max-lines-per-function -- the five inputs of a cable, one after the other
function answerOf(view: SystemView, conductor: Conductor, looked: LookedUp): FromSystem {
  const { guards, zones, runs, proposed, batteryIslands } = looked;
  const { cable } = conductor;
  const { id } = cable;
  const run = runs.get(id);
  const through = view.dropsThrough(id);
  const inStates = (held: boolean) =>
    through.filter(({ stateId }) => {
      const state = view.stateOf(stateId);
      return state !== undefined && isHeld(state) === held;
    });
  const [held, short] = [worstOf(view, inStates(true)), worstOf(view, inStates(false))];
  const drop = short && (!held || useOf(view, short) > useOf(view, held)) ? short : held;
  const loadOf = (one: LoadDrop | null) => {
    const place = one && view.placeOf(one.loadId);
    return place?.kind === 'load' ? place : null;
  };
  // The bench multiplies by the most that is held, and by the heaviest step: the same volts over those.
  const heldMost = run?.heldA ?? 0;
  const stepMost = Math.max(0, ...(run?.duty?.steps ?? []).map(({ amps }) => amps));
  const isRunning = run !== undefined && run.heldBy !== null;
  const steps = run?.duty ?? null;
  const duty: Duty | null = steps && {
    ...steps,
    steps: steps.steps.map(({ amps, seconds }) => ({ amps: round(amps, 5), seconds })),
    dropPercent: shortPercentOf(loadOf(short)),
  };
  const guarded = guards.get(id);
  const zone = guarded?.guard ? zones.get(`${id} ${guardKey(guarded.guard)}`) : undefined;
  const island = view.shorts.islandOf(conductor.at.A);
  const isFed = batteryIslands.has(island);
  const near = guarded?.fed[0]?.from ?? 'A';
  const atNear = shortAt(view, conductor.at[near]);
  const isUnknown = (zone?.atFuse ?? atNear).isUnknown;
  const mostA = Math.max(zone?.atFuse.mostA ?? 0, guarded?.guard ? 0 : atNear.mostA);
  const leastA = zone?.least?.amps ?? atNear.leastA;
  const nominalV = nominalOf(view, conductor, drop);
  const charged = island < 0 ? 0 : view.shorts.chargedV(conductor.at.A);
  const isShortKnown = isFed && !isUnknown && mostA > 0 && leastA > 0;
  const answers: SystemInput[] = [
    ...(nominalV === null ? [] : (['volts'] as const)),
    ...(isRunning || steps ? (['load'] as const) : []),
    ...(drop && (isRunning || steps) ? (['drop'] as const) : []),
    ...(isFed ? (['source'] as const) : []),
    ...(guarded && !isLink(view.installation, conductor) ? (['fuses'] as const) : []),
  ];
  const taken = (input: SystemInput) =>
    answers.includes(input) && (cable.run.fromSystem?.includes(input) ?? false);
  const overUnmeasured = through.some((one) => isOverUnmeasured(view, one));
  const guard = guarded?.guard ?? null;
  const heldLoad = loadOf(held);
  const shortLoad = loadOf(short);
  const figures: FromSystem['figures'] = {
    volts: nominalV === null ? null : { nominalV: round(nominalV, 6), chargedV: round(charged, 6) },
    load: isRunning || steps ? { heldA: round(run?.heldA ?? 0, 5), duty } : null,
    drop: drop && {
      load: loadOf(drop)?.name ?? '',
      heldPercent: heldLoad && allowedPercent(heldLoad, true),
      shortPercent: shortLoad && allowedPercent(shortLoad, false),
    },
    shorts: isShortKnown ? { mostA, leastA } : null,
    guard: guard && { name: guardName(view, guard), ratingA: guardRatingA(guard) },
  };
  return {
    answers,
    figures,
    run: {
      ...(taken('volts') &&
        figures.volts && {
          systemV: figures.volts.nominalV,
          ...(figures.volts.chargedV >= 1 && { chargingV: figures.volts.chargedV }),
        }),
      ...(taken('load') &&
        figures.load && {
          load: { kind: 'amps', amps: figures.load.heldA },
          duty: figures.load.duty ?? undefined,
        }),
      ...(taken('drop') && {
        ...(heldLoad && { dropPercent: Math.max(0.5, allowedPercent(heldLoad, true)) }),
        return: overUnmeasured ? { kind: 'chassis' } : { kind: 'none' },
        devices: [],
      }),
      ...(taken('source') && {
        source: figures.shorts
          ? { kind: 'typed', milliohm: Math.max(0.01, round((1000 * charged) / mostA, 6)) }
          : { kind: 'unknown' },
        bothEndsLive: false,
      }),
      ...(taken('fuses') && { fuses: [], starter: isStarter(view, id) }),
    },
    fed: {
      rest: taken('drop')
        ? {
            held: restOf(view, held, id, heldMost),
            duty: restOf(view, short ?? held, id, stepMost),
            otherMm: otherMm(view, drop, id),
            load: figures.drop?.load ?? '',
          }
        : null,
      guards: taken('fuses') ? (guard ? [asFuse(guard, near)] : []) : null,
      shorts: taken('source') ? figures.shorts : null,
      size: taken('load') && !cable.gauge.size ? (proposed.get(id)?.size ?? null) : null,
    },
    governedBy: run?.governedBy ?? null,
  };
}

/**
 * What the system says of every cable. What it does not answer stays as it is typed.
 *
 * @param view of the solved installation
 * @param proposed sizes of cables that have none of their own
 */
export function fromSystem(
  view: SystemView,
  proposed: ReadonlyMap<string, { readonly size: ConductorSize }> = new Map(),
): ReadonlyMap<string, FromSystem> {
  const guards = guardsOf(view);
  const zones = new Map(
    zonesOf(view).flatMap((zone) =>
      zone.cableIds.map((id) => [`${id} ${guardKey(zone.guard)}`, zone] as const),
    ),
  );
  const runs = new Map(view.runs.map((run) => [run.cableId, run]));
  const batteryIslands = new Set(
    view.installation.system.places.flatMap(({ id, kind }) =>
      kind === 'battery' ? view.shorts.islandOf(view.postOf(id, 'plus')) : [],
    ),
  );
  const looked: LookedUp = { guards, zones, runs, proposed, batteryIslands };
  return new Map(
    view.installation.conductors.map((conductor) => [conductor.cable.id, answerOf(view, conductor, looked)]),
  );
}

/** mm of the other cables on a path. */
const otherMm = (view: SystemView, drop: LoadDrop | null, cableId: string): number =>
  (drop?.shares ?? []).reduce((sum, { of }) => {
    const run = of.kind === 'cable' && of.id !== cableId ? view.cableOf(of.id)?.run : undefined;
    return sum + (run ? run.lengthMm + run.loopMm : 0);
  }, 0);
