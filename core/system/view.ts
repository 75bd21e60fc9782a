import { remember } from '../lib/remember.ts';
import type { Cable } from '../model/cable.ts';
import type { Place, SystemState } from '../model/system.ts';
import { banksOf, type Bank } from './banks.ts';
import type { Installation } from './installation.ts';
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
import { type Shorts, shortsIn } from './shorts.ts';
import type { SolvedSystem } from './solve.ts';
import { postKey } from './places.ts';
import type { PostName } from '../model/tables/places.ts';

/** Everything that is known of an installation once it is solved, each by what it is about. */
export interface SystemView {
  readonly solved: SolvedSystem;
  readonly installation: Installation;
  readonly runs: readonly CableRun[];
  /** Of every load in every state in which it runs. */
  readonly drops: readonly LoadDrop[];
  readonly shorts: Shorts;
  readonly protection: Protection;
  readonly banks: readonly Bank[];
  readonly placeOf: (id: string) => Place | undefined;
  readonly stateOf: (id: string) => SystemState | undefined;
  readonly cableOf: (id: string) => Cable | undefined;
  readonly postOf: (place: string, post: PostName) => number;
}

/** Looks at a solved installation from every side that findings are made of. */
export function viewOf(solved: SolvedSystem): SystemView {
  const { installation } = solved;
  const { system, numberOf, job } = installation;
  const shorts = shortsIn(solved);
  const nets = bankNetsOf(installation);
  const [places, states, cables] = [system.places, system.states, job.cables].map(
    (list) => new Map((list as readonly { readonly id: string }[]).map((item) => [item.id, item])),
  );
  return {
    solved,
    installation,
    runs: cableRuns(solved),
    drops: solved.states.flatMap((state) => loadDrops(solved, state)),
    shorts,
    protection: protectionOf(installation, shorts.islandOf, solved.nominalV),
    banks: banksOf(installation, (post) => nets[post] ?? -1),
    placeOf: (id) => places?.get(id) as Place | undefined,
    stateOf: (id) => states?.get(id) as SystemState | undefined,
    cableOf: (id) => cables?.get(id) as Cable | undefined,
    postOf: (place, post) => numberOf.get(postKey({ place, post })) ?? -1,
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
  /** The sources that it is looked at from; none where no source feeds it. */
  readonly sources: readonly string[];
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

// eslint-disable-next-line max-lines-per-function -- out first, then what comes back by the same fuses
function guardedBy(view: SystemView): Map<string, Guarded> {
  const { protection, installation } = view;
  const fed = new Map<string, FedCable[]>();
  for (const one of protection.fed) {
    const known = fed.get(one.cableId);
    if (known) known.push(one);
    else fed.set(one.cableId, [one]);
  }
  const guarded = new Map<string, Guarded>(
    [...fed].map(([id, entries]) => [
      id,
      {
        guard: weakest(entries.map(({ guard }) => guard)),
        sources: [...new Set(entries.map(({ sourceId }) => sourceId))],
        fed: entries,
      },
    ]),
  );
  const live = new Map<number, FedCable[]>();
  for (const entry of protection.fed) {
    const conductor = installation.conductors.find(({ cable }) => cable.id === entry.cableId);
    for (const post of conductor ? [conductor.at.A, conductor.at.B] : []) {
      const known = live.get(post);
      if (known) known.push(entry);
      else live.set(post, [entry]);
    }
  }
  const batteryPosts = (id: string) => [view.postOf(id, 'plus'), view.postOf(id, 'minus')];
  /** Where what a battery gave comes back: to its own post, or to that of the last of its string. */
  const comesBackTo = (sourceId: string): number[] => {
    const own = batteryPosts(sourceId).filter((post) => protection.isReturn[post]);
    if (own.length > 0) return own;
    const island = view.shorts.islandOf(batteryPosts(sourceId)[0] ?? -1);
    return installation.system.places
      .flatMap((place) => (place.kind === 'battery' ? batteryPosts(place.id) : []))
      .filter((post) => protection.isReturn[post] && view.shorts.islandOf(post) === island);
  };
  // What comes back goes through the same fuse as what went out.
  const back = new Map<string, FedCable[]>();
  for (const place of installation.system.places) {
    if (place.kind !== 'load' && place.kind !== 'supply' && place.kind !== 'dcdc') continue;
    const posts = place.kind === 'dcdc' ? (['in-plus', 'in-minus'] as const) : (['plus', 'minus'] as const);
    const [own, other] = posts.map((post) => view.postOf(place.id, post));
    const [hot = -1, cold = -1] = protection.isReturn[other ?? -1] ? [own, other] : [other, own];
    if (!protection.isReturn[cold]) continue;
    for (const out of live.get(hot) ?? [])
      for (const end of comesBackTo(out.sourceId))
        for (const id of returnPath(installation, protection, cold, end)) {
          const known = back.get(id);
          if (known) known.push(out);
          else back.set(id, [out]);
        }
  }
  for (const [id, outs] of back) {
    if (guarded.has(id)) continue;
    guarded.set(id, {
      guard: weakest(outs.map(({ guard }) => guard)),
      sources: [...new Set(outs.map(({ sourceId }) => sourceId))],
      fed: [],
    });
  }
  return guarded;
}

/** Whether a cable cranks an engine: by custom it carries no fuse. */
export function isStarter(view: SystemView, cableId: string): boolean {
  if (view.cableOf(cableId)?.run.starter) return true;
  const loads = view.drops.filter(({ shares }) =>
    shares.some(({ of }) => of.kind === 'cable' && of.id === cableId),
  );
  const looks = loads.map(({ loadId }) => {
    const place = view.placeOf(loadId);
    return place?.kind === 'load' && place.look === 'starter';
  });
  return looks.length > 0 && looks.every(Boolean);
}
