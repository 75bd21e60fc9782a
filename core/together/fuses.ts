import type { HousePractice } from '../model/housePractice.ts';
import type { Job } from '../model/job.ts';
import type { FuseKind } from '../model/tables/fuses.ts';
import { type Carried, smallestFuse } from '../sizing/fuse.ts';
import { type Guard, guardKey, guardKind, guardRatingA } from '../system/protection.ts';
import { isFuse } from '../system/installation.ts';
import { isHeld } from '../system/solve.ts';
import type { SystemView } from '../system/view.ts';
import { flowsThrough, guardPosts, zonesOf } from '../system/zones.ts';

/** A fuse with the rating that would do. */
export interface FuseProposal {
  readonly guard: Guard;
  readonly nowA: number;
  readonly ratingA: number;
  readonly kind: FuseKind;
}

/** What the maker's sheet of a fuse says, for every rating of its kind. */
const sheetOf = (guard: Guard) => {
  const { curve, melts, breakingA } = guard.kind === 'inline' ? guard.fuse : guard.place;
  return {
    ...(curve && { curve }),
    ...(melts && { melts }),
    ...(breakingA !== undefined && { breakingA }),
  };
};

/** Cables that surely carry what a fuse carries: the one it is in and those of its circuit, or those on its own posts. */
function inSeriesWith(view: SystemView, guard: Guard): string[] {
  const { conductors } = view.installation;
  if (guard.kind === 'inline') {
    const back = view.cableOf(guard.cableId)?.run.return;
    const mates = conductors.filter(
      ({ cable: { run } }) =>
        back?.kind === 'circuit' && run.return.kind === 'circuit' && run.return.name === back.name,
    );
    return [guard.cableId, ...mates.map(({ cable }) => cable.id)];
  }
  const posts = guardPosts(view, guard);
  return conductors
    .filter(({ at: ends }) => posts.includes(ends.A) || posts.includes(ends.B))
    .map(({ cable }) => cable.id);
}

/**
 * The smallest standard rating for every fuse that carries each state for its time, and interrupts the most that can
 * flow at it: of its own kind, by its own sheet, where one does; else of another, unless its sheet was typed. What protects
 * what is behind it is then a matter of the sizes; where a cable behind it stays that is not allowed as much, so does the
 * fuse. One that carries nothing stays too.
 *
 * @param allowedA the amps that each cable is allowed whose size stays
 * @param typed what cables must carry whose load is typed on them
 */
export function fusesFor(
  view: SystemView,
  practice: HousePractice,
  allowedA: ReadonlyMap<string, number | null>,
  typed: ReadonlyMap<string, Carried>,
): FuseProposal[] {
  return zonesOf(view).flatMap(({ guard, atFuse, cableIds }): FuseProposal[] => {
    const flows = flowsThrough(view, guard);
    const told = inSeriesWith(view, guard).flatMap((id) => typed.get(id) ?? []);
    const heldA = Math.max(
      0,
      ...told.map((own) => own.heldA),
      ...flows.filter(({ state }) => isHeld(state)).map(({ amps }) => amps),
    );
    const inStates = flows.flatMap(({ state: { lasts }, amps }) =>
      lasts.kind === 'for' ? [{ amps, seconds: lasts.seconds }] : [],
    );
    const steps = [...inStates, ...told.flatMap((own) => own.steps)];
    const post = guardPosts(view, guard).find((one) => view.shorts.islandOf(one) >= 0);
    const isIdle = heldA === 0 && steps.every(({ amps }) => amps === 0);
    if (isIdle || post === undefined) return [];
    const sheet = sheetOf(guard);
    const kind = guardKind(guard);
    const find = (among: readonly FuseKind[] | undefined) =>
      smallestFuse(
        { heldA, steps },
        practice.fuseOverLoad,
        view.shorts.chargedV(post),
        Math.round(view.nominalOf(post)),
        atFuse.mostA,
        among,
        sheet,
      );
    const isBound = kind === 'breaker' || Object.keys(sheet).length > 0;
    const does = find([kind]) ?? (isBound ? null : find(undefined));
    const nowA = guardRatingA(guard);
    const stays = cableIds.flatMap((id) => allowedA.get(id) ?? []);
    // Larger than it is, what stays behind it would burn before it opens: that is for a person to mend.
    if (does && does.ratingA > nowA && stays.some((amps) => amps < does.ratingA)) return [];
    return does && (does.ratingA !== nowA || does.kind !== kind)
      ? [{ guard, nowA, ratingA: does.ratingA, kind: does.kind }]
      : [];
  });
}

/** A job with such fuses put in the place of those it has. */
export function withFuses(job: Job, proposals: readonly FuseProposal[]): Job {
  if (proposals.length === 0) return job;
  const byKey = new Map(proposals.map((own) => [guardKey(own.guard), own]));
  const system = job.system && {
    ...job.system,
    places: job.system.places.map((place) => {
      if (!isFuse(place)) return place;
      const found = byKey.get(guardKey({ kind: 'place', place }));
      if (!found) return place;
      const { ratingA, kind } = found;
      return place.kind === 'fuse' ? { ...place, ratingA, fuse: kind } : { ...place, ratingA };
    }),
  };
  const cables = job.cables.map((cable) => {
    const fuses = cable.run.fuses.map((fuse) => {
      const found = byKey.get(guardKey({ kind: 'inline', cableId: cable.id, fuse }));
      return found ? { ...fuse, ratingA: found.ratingA, kind: found.kind } : fuse;
    });
    return fuses.every((fuse, i) => fuse === cable.run.fuses[i])
      ? cable
      : { ...cable, run: { ...cable.run, fuses } };
  });
  return { ...job, cables, ...(system && { system }) };
}
