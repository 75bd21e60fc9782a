import { addTo } from '../lib/lists.ts';
import { remember } from '../lib/remember.ts';
import type { Cable } from '../model/cable.ts';
import type { Place, SystemState } from '../model/system.ts';
import { banksOf, type Bank } from './banks.ts';
import { type Conductor, type Installation, postAt } from './installation.ts';
import { type LoadDrop, loadDrops } from './path.ts';
import {
  type FedCable,
  type Guard,
  guardRatingA,
  bankNetsOf,
  type Protection,
  protectionOf,
  returnPath,
} from './protection.ts';
import { type CableRun, cableRuns } from './runs.ts';
import { type Shorts, shortsIn, spansOf } from './shorts.ts';
import type { SolvedSystem } from './solve.ts';
import type { PostName } from '../model/tables/places.ts';

/** Everything that is known of an installation once it is solved, each by what it is about. */
export interface SystemView {
  readonly solved: SolvedSystem;
  readonly installation: Installation;
  readonly runs: readonly CableRun[];
  /** Of every load in every state in which it runs. */
  readonly drops: readonly LoadDrop[];
  /** Those whose path a cable is part of. */
  readonly dropsThrough: (cableId: string) => readonly LoadDrop[];
  readonly shorts: Shorts;
  readonly protection: Protection;
  readonly banks: readonly Bank[];
  readonly placeOf: (id: string) => Place | undefined;
  readonly stateOf: (id: string) => SystemState | undefined;
  readonly cableOf: (id: string) => Cable | undefined;
  readonly conductorOf: (id: string) => Conductor | undefined;
  readonly postOf: (place: string, post: PostName) => number;
  /** V by name of the part that a post belongs to; 0 where no source is. */
  readonly nominalOf: (post: number) => number;
}

/** Looks at a solved installation from every side that findings are made of. */
export function viewOf(solved: SolvedSystem): SystemView {
  const { installation } = solved;
  const { system, job } = installation;
  const shorts = shortsIn(solved);
  const nets = bankNetsOf(installation);
  const nominalV = spansOf(solved.nominalV, shorts.islandOf);
  const conductors = new Map(installation.conductors.map((own) => [own.cable.id, own]));
  const [places, states, cables] = [system.places, system.states, job.cables].map(
    (list) => new Map((list as readonly { readonly id: string }[]).map((item) => [item.id, item])),
  );
  const drops = solved.states.flatMap((state) => loadDrops(solved, state));
  const through = new Map<string, LoadDrop[]>();
  for (const drop of drops)
    for (const id of new Set(drop.shares.flatMap(({ of }) => (of.kind === 'cable' ? of.id : []))))
      addTo(through, id, drop);
  return {
    solved,
    installation,
    runs: cableRuns(solved),
    drops,
    dropsThrough: (id) => through.get(id) ?? [],
    shorts,
    protection: protectionOf(installation, shorts.islandOf, solved.nominalV),
    banks: banksOf(installation, (post) => nets[post] ?? -1),
    placeOf: (id) => places?.get(id) as Place | undefined,
    stateOf: (id) => states?.get(id) as SystemState | undefined,
    cableOf: (id) => cables?.get(id) as Cable | undefined,
    conductorOf: (id) => conductors.get(id),
    postOf: (place, post) => postAt(installation, place, post),
    nominalOf: (post) => nominalV.get(shorts.islandOf(post)) ?? 0,
  };
}

/** Of several fuses the one that guards least; null, that none does, is least of all. */
const weakest = (guards: readonly (Guard | null)[]): Guard | null =>
  guards.includes(null)
    ? null
    : guards.reduce((a, b) => (a && b && guardRatingA(a) >= guardRatingA(b) ? a : b), guards[0] ?? null);

/** What guards a cable, from every source that can feed it or whose current comes back through it. */
export interface Guarded {
  readonly guard: Guard | null;
  readonly fed: readonly FedCable[];
}

/**
 * The fuse that guards each cable, by the source from which it is guarded least. A cable on the return side is guarded by
 * the fuses of whatever a short would come back from through it: each load and charger, and the batteries that feed it.
 */
export function guardsOf(view: SystemView): ReadonlyMap<string, Guarded> {
  return guarding([view], '', () => guardedBy(view));
}
const guarding = remember<Map<string, Guarded>>();

/** The posts of batteries on the return side of the part that a post belongs to: where a short from it comes back. */
export function returnsFor(view: SystemView, live: number): readonly number[] {
  const { installation, shorts, protection, postOf } = view;
  const island = shorts.islandOf(live);
  return returning([view], String(island), () =>
    installation.system.places
      .flatMap(({ id, kind }) => (kind === 'battery' ? [postOf(id, 'plus'), postOf(id, 'minus')] : []))
      .filter((post) => protection.isReturn[post] && shorts.islandOf(post) === island),
  );
}
const returning = remember<readonly number[]>();

function guardedBy(view: SystemView): Map<string, Guarded> {
  const fed = new Map<string, FedCable[]>();
  for (const one of view.protection.fed) addTo(fed, one.cableId, one);
  const least = (entries: readonly FedCable[]) => weakest(entries.map(({ guard }) => guard));
  const guarded = new Map<string, Guarded>(
    [...fed].map(([id, entries]) => [id, { guard: least(entries), fed: entries }]),
  );
  for (const [id, outs] of comingBack(view))
    if (!guarded.has(id)) guarded.set(id, { guard: least(outs), fed: [] });
  return guarded;
}

/** Cables of the return side, each with what feeds out that comes back through it: by the same fuse as it went. */
function comingBack(view: SystemView): ReadonlyMap<string, readonly FedCable[]> {
  const { protection, installation } = view;
  const live = new Map<number, FedCable[]>();
  for (const entry of protection.fed) {
    const at = view.conductorOf(entry.cableId)?.at;
    for (const post of at ? [at.A, at.B] : []) addTo(live, post, entry);
  }
  /** Where what a battery gave comes back: to its own post, or to that of the last of its string. */
  const comesBackTo = (sourceId: string): readonly number[] => {
    const posts = [view.postOf(sourceId, 'plus'), view.postOf(sourceId, 'minus')];
    const own = posts.filter((post) => protection.isReturn[post]);
    return own.length > 0 ? own : returnsFor(view, posts[0] ?? -1);
  };
  const back = new Map<string, FedCable[]>();
  for (const place of installation.system.places) {
    if (place.kind !== 'load' && place.kind !== 'supply' && place.kind !== 'dcdc') continue;
    const posts = place.kind === 'dcdc' ? (['in-plus', 'in-minus'] as const) : (['plus', 'minus'] as const);
    const [own, other] = posts.map((post) => view.postOf(place.id, post));
    const [hot = -1, cold = -1] = protection.isReturn[other ?? -1] ? [own, other] : [other, own];
    if (!protection.isReturn[cold]) continue;
    const pathTo = new Map<number, readonly string[]>();
    for (const out of live.get(hot) ?? [])
      for (const end of comesBackTo(out.sourceId)) {
        const path = pathTo.get(end) ?? returnPath(installation, protection, cold, end);
        pathTo.set(end, path);
        for (const id of path) addTo(back, id, out);
      }
  }
  return back;
}

/** Whether a cable cranks an engine: by custom it carries no fuse. */
export function isStarter(view: SystemView, cableId: string): boolean {
  if (view.cableOf(cableId)?.run.starter) return true;
  const looks = view.dropsThrough(cableId).map(({ loadId }) => {
    const place = view.placeOf(loadId);
    return place?.kind === 'load' && place.look === 'starter';
  });
  return looks.length > 0 && looks.every(Boolean);
}
