import type { InstrumentKind } from '../../model/tables/instruments.ts';
import { resistanceGrowth } from '../../conductor/copper.ts';
import type { EndName } from '../../model/end.ts';
import { CHAIN_PIECES } from '../../model/tables/chainPieces.ts';
import type { CableSpecimen, ChainSpecimen, HiddenFault, Probe, Specimen } from './specimen.ts';

/** A sound cable is a little better than its table, and a sound crimp than its own barrel of cable. */
const OF_TABLE = 0.97;
const SOUND_INDEX = 0.82;
/** A die that shut leaves the crimp this much over it, and this flash. */
const SPRINGS = 0.008;
const SOUND_EARS_MM = 0.15;
const OPEN_EARS_MM = 0.7;
/** Insulation of a sound metre of cable, MΩ·m, and how it charges up: half way in so many seconds. */
const SOUND_MEGOHM_M = 20_000;
const CHARGE_S = 25;
/** A lug gives its heat to air and cable through so much, K/W; and warms up with this time constant, min. */
const LUG_K_PER_W = 5;
const WARM_MIN = 9;
/** The air about the bench, °C, and the heat a metre of jacket gives it, W/(m·K). */
const AIR_C = 21;
const AIR_W_PER_MK = 0.45;

const faultOf = (faults: readonly HiddenFault[], cableId: string, end: EndName) =>
  faults.find(
    (fault) => fault.kind === 'die did not shut' && fault.cableId === cableId && fault.end === end,
  ) as Extract<HiddenFault, { kind: 'die did not shut' }> | undefined;

/** Resistance of one crimp, mΩ, at 20 °C. */
function crimpMilliohm(specimen: CableSpecimen, end: EndName, faults: readonly HiddenFault[]): number {
  const index = faultOf(faults, specimen.cableId, end)?.index ?? SOUND_INDEX;
  return (index * OF_TABLE * specimen.milliohmPerM * specimen.ends[end].barrelMm) / 1000;
}

const cableMilliohm = (specimen: CableSpecimen, lengthMm: number) =>
  (OF_TABLE * specimen.milliohmPerM * lengthMm) / 1000;

/** How warm the jacket runs over its air, K. */
function jacketRise(specimen: CableSpecimen, amps: number, minutes: number): number {
  const watts = amps ** 2 * (cableMilliohm(specimen, 1000) / 1000);
  return (watts / AIR_W_PER_MK) * warmed(minutes);
}
const warmed = (minutes: number) => 1 - Math.exp(-minutes / WARM_MIN);

/**
 * What an instrument of a kind would settle on, in its own unit, were it perfect; null where it reads nothing there:
 * its leads are off, or it measures something else.
 *
 * @param faults what is wrong with cables and nobody has said
 * @param seconds since the probes went on: insulation charges up, a rope is wound up
 */
export function truthAt(
  kind: InstrumentKind,
  specimen: Specimen,
  probe: Probe,
  faults: readonly HiddenFault[],
  seconds: number,
): number | null {
  if ('pieces' in specimen) return kind === 'millivolt' ? alongChain(specimen, probe, faults) : null;
  switch (kind) {
    case 'calliper':
      return calliper(specimen, probe, faults);
    case 'milliohm':
      return milliohm(specimen, probe, faults);
    case 'insulation':
      return probe.at === 'jacket' ? megohm(specimen, probe.electrode, faults, seconds) : null;
    case 'scale':
      return probe.at === 'pull' ? force(specimen, probe, faults, seconds) : null;
    case 'thermal':
      return celsius(specimen, probe, faults);
    case 'millivolt':
      return millivolt(specimen, probe, faults);
  }
}

function calliper(specimen: CableSpecimen, probe: Probe, faults: readonly HiddenFault[]): number | null {
  if (probe.at !== 'flats' && probe.at !== 'ears') return null;
  const fault = faultOf(faults, specimen.cableId, probe.end);
  if (probe.at === 'ears') return fault ? OPEN_EARS_MM : SOUND_EARS_MM;
  const { dieMm } = specimen.ends[probe.end];
  return dieMm === null ? null : dieMm * (1 + (fault?.openShare ?? SPRINGS));
}

function milliohm(specimen: CableSpecimen, probe: Probe, faults: readonly HiddenFault[]): number | null {
  switch (probe.at) {
    case 'whole':
      return (
        cableMilliohm(specimen, specimen.betweenMouthsMm) +
        crimpMilliohm(specimen, 'A', faults) +
        crimpMilliohm(specimen, 'B', faults)
      );
    case 'joint':
      return crimpMilliohm(specimen, probe.end, faults) + cableMilliohm(specimen, probe.beyondMm);
    case 'plain':
      return cableMilliohm(specimen, probe.lengthMm);
    default:
      return null;
  }
}

function megohm(
  specimen: CableSpecimen,
  electrode: 'structure' | 'foil' | 'none',
  faults: readonly HiddenFault[],
  seconds: number,
): number {
  const nick = faults.find(
    (fault) => fault.kind === 'nicked jacket' && fault.cableId === specimen.cableId,
  ) as Extract<HiddenFault, { kind: 'nicked jacket' }> | undefined;
  // With nothing round the jacket there is nothing to leak to, nicked or not.
  if (electrode === 'none') return 1e6;
  const sound = SOUND_MEGOHM_M / Math.max(0.1, specimen.betweenMouthsMm / 1000);
  const charged = sound * (0.3 + (0.7 * seconds) / (seconds + CHARGE_S));
  return nick ? (charged * nick.megohm) / (charged + nick.megohm) : charged;
}

/** A winch winds the rope up in so many seconds. */
const WIND_S = 6;
/** After a slip the crimp drags at this share of what it slipped at. */
const DRAG_SHARE = 0.35;

function force(
  specimen: CableSpecimen,
  { end, toN }: Extract<Probe, { at: 'pull' }>,
  faults: readonly HiddenFault[],
  seconds: number,
): number {
  const slipsAt = specimen.slipsAtN * (faultOf(faults, specimen.cableId, end)?.holdsShare ?? 1);
  const wound = 1.01 * toN * Math.min(1, seconds / WIND_S);
  return wound >= slipsAt ? DRAG_SHARE * slipsAt : wound;
}

function celsius(specimen: CableSpecimen, probe: Probe, faults: readonly HiddenFault[]): number | null {
  if (probe.at === 'jacket warmth') return AIR_C + jacketRise(specimen, probe.amps, probe.minutes);
  if (probe.at !== 'lug warmth') return null;
  const { end, amps, minutes } = probe;
  const plain = cableMilliohm(specimen, specimen.ends[end].barrelMm);
  const excess = (crimpMilliohm(specimen, end, faults) - plain) / 1000;
  const growth = resistanceGrowth(20 + jacketRise(specimen, amps, minutes));
  return (
    AIR_C + jacketRise(specimen, amps, minutes) + excess * growth * amps ** 2 * LUG_K_PER_W * warmed(minutes)
  );
}

function millivolt(specimen: CableSpecimen, probe: Probe, faults: readonly HiddenFault[]): number | null {
  if (probe.at === 'loaded joint') {
    const milliohms = crimpMilliohm(specimen, probe.end, faults) + cableMilliohm(specimen, probe.beyondMm);
    return milliohms * probe.amps;
  }
  // A clean face that was tightened takes as much as any.
  if (probe.at === 'contact') return OF_TABLE * CHAIN_PIECES.stud.milliohm * probe.amps;
  return probe.at === 'loaded length' ? cableMilliohm(specimen, probe.lengthMm) * probe.amps : null;
}

/** Millivolts from the first to the last of some pieces of a chain. */
function alongChain(
  { huntId, pieces }: ChainSpecimen,
  probe: Probe,
  faults: readonly HiddenFault[],
): number | null {
  if (probe.at !== 'chain') return null;
  const places = [probe.first, probe.last].map((id) => pieces.findIndex((piece) => piece.id === id));
  const [from, to] = [Math.min(...places), Math.max(...places)];
  if (from < 0) return null;
  return pieces.slice(from, to + 1).reduce((sum, { id, milliohm }) => {
    const bad = faults.find(
      (fault) => fault.kind === 'bad piece' && fault.huntId === huntId && fault.pieceId === id,
    ) as Extract<HiddenFault, { kind: 'bad piece' }> | undefined;
    return sum + (bad?.milliohm ?? OF_TABLE * milliohm) * probe.amps;
  }, 0);
}
