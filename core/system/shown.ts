import type { LoadDrop } from './path.ts';
import { allowedPercent, neededV } from './allowed.ts';
import { dropFinding } from './loadFindings.ts';
import { isHeld, type PlaceFlow } from './solve.ts';
import type { SystemView } from './view.ts';
import { worst, type State } from '../finding/finding.ts';

/** What the diagram shows of a cable: its amps, in a state or the most of all. */
export interface ShownCable {
  readonly id: string;
  /** Null where the state does not settle. */
  readonly amps: number | null;
}
/** What the diagram shows of a place: in a state, or where it is worst: least volts, most amps. */
export interface ShownPlace extends Omit<PlaceFlow, 'amps' | 'volts'> {
  readonly amps: number | null;
  readonly volts: number | null;
}
export interface Shown {
  readonly cables: ReadonlyMap<string, ShownCable>;
  readonly places: ReadonlyMap<string, ShownPlace>;
}

const larger = (a: number | null, b: number | null) =>
  a === null ? b : b === null ? a : Math.abs(b) > Math.abs(a) ? b : a;

/** Of two states of a place, what is worse of each: a load that is off says nothing. */
function worse(a: ShownPlace, b: ShownPlace): ShownPlace {
  if (!a.isOn) return b;
  if (!b.isOn) return a;
  const volts = a.volts === null ? b.volts : b.volts === null ? a.volts : Math.min(a.volts, b.volts);
  return { ...(Math.abs(b.amps ?? 0) > Math.abs(a.amps ?? 0) ? b : a), amps: larger(a.amps, b.amps), volts };
}

/**
 * For each bar and ground, the post that its volts are counted to: the bar of its return side with the most on it, else
 * the post of a battery there.
 */
function returnPosts({ installation, protection, shorts }: SystemView): ReadonlyMap<string, number> {
  const { posts, conductors } = installation;
  const count = (post: number) => conductors.filter(({ at }) => at.A === post || at.B === post).length;
  const rank = (post: number) => (posts[post]?.at.kind === 'bar' ? 100_000 : 0) + count(post);
  const best = new Map<number, number>();
  posts.forEach((_, post) => {
    const island = shorts.islandOf(post);
    if (island < 0 || !protection.isReturn[post]) return;
    const now = best.get(island);
    if (now === undefined || rank(post) > rank(now)) best.set(island, post);
  });
  return new Map(
    posts.flatMap(({ place, at }, post) => {
      const back = best.get(shorts.islandOf(post));
      return (at.kind === 'bar' || at.kind === 'ground') && back !== undefined
        ? [[place, back] as const]
        : [];
    }),
  );
}

/**
 * What is shown in a state, or, where none is named, the worst of each.
 *
 * @param stateId null for the worst of all states
 */
export function shownIn(view: SystemView, stateId: string | null): Shown {
  const { solved } = view;
  const returns = returnPosts(view);
  const states = solved.states.filter((state) => stateId === null || state.stateId === stateId);
  const cables = new Map<string, ShownCable>();
  const places = new Map<string, ShownPlace>();
  for (const state of states) {
    const isKnown = state.collapse === null;
    for (const { id, amps } of state.cables)
      cables.set(id, { id, amps: larger(cables.get(id)?.amps ?? null, isKnown ? amps : null) });
    for (const flow of state.places) {
      const back = returns.get(flow.id);
      const volts = back === undefined ? flow.volts : flow.volts - (state.volts[back] ?? 0);
      const own: ShownPlace = isKnown ? { ...flow, volts } : { ...flow, amps: null, volts: null };
      const before = places.get(flow.id);
      places.set(flow.id, before ? worse(before, own) : own);
    }
  }
  return { cables, places };
}

/** What a load gets in a state, against what it is allowed to lose. */
export interface LoadCell {
  readonly stateId: string;
  /** Null where it is off, or the state does not settle. */
  readonly drop: LoadDrop | null;
  readonly volts: number | null;
  readonly mostPercent: number;
  readonly state: State | null;
  readonly close: boolean;
}
export interface LoadRow {
  readonly loadId: string;
  readonly name: string;
  readonly mostPercent: number;
  readonly cells: readonly LoadCell[];
}

/** The table of what each load gets: a row a load, a column a state. */
export function loadTable(view: SystemView): LoadRow[] {
  const { solved, installation, drops, stateOf } = view;
  return installation.system.places.flatMap((place, index): LoadRow[] => {
    if (place.kind !== 'load') return [];
    return [
      {
        loadId: place.id,
        name: place.name,
        mostPercent: place.dropPercent,
        cells: solved.states.map(({ stateId, places, collapse }): LoadCell => {
          const state = stateOf(stateId);
          const flow = places[index];
          const mostPercent = allowedPercent(place, state ? isHeld(state) : true);
          const drop = drops.find((own) => own.loadId === place.id && own.stateId === stateId) ?? null;
          const judged = drop && dropFinding(view, place, drop);
          const isOn = flow?.isOn ?? false;
          const states: State[] = !isOn
            ? []
            : collapse
              ? [collapse.includes(place.id) ? 'fails' : 'unproved']
              : !flow?.isFed
                ? ['fails']
                : [
                    judged ? judged.state : flow.amps > 0 ? 'unproved' : 'holds',
                    flow.volts < neededV(place) ? 'fails' : 'holds',
                  ];
          return {
            stateId,
            drop,
            volts: isOn && flow?.isFed && !collapse ? flow.volts : null,
            mostPercent,
            state: states.length > 0 ? worst(states) : null,
            close: (judged?.close ?? false) && worst(states) === 'holds',
          };
        }),
      },
    ];
  });
}

/** Sums under the table: what sources give in each state, and what is lost in cables. */
export function sumsOf({ solved, installation }: SystemView) {
  const batteries = installation.system.places.map(({ kind }) => kind === 'battery');
  return solved.states.map(({ stateId, collapse, places, lostInCopperW, givenW, usedW }) => ({
    stateId,
    batteriesW: collapse
      ? null
      : places.reduce((sum, { amps, volts }, i) => sum + (batteries[i] ? amps * volts : 0), 0),
    lostW: collapse ? null : lostInCopperW,
    givenW: collapse ? null : givenW,
    usedW: collapse ? null : usedW,
  }));
}

/** V by name of each part of the installation that hangs together, each once: 24, or 12 and 24. */
export function systemVolts({ solved, nominalOf }: SystemView): number[] {
  const volts = solved.nominalV.map((_, post) => Math.round(nominalOf(post)));
  return [...new Set(volts)].filter((own) => own > 0).sort((a, b) => a - b);
}
