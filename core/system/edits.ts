import type { Cable } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import { SYSTEM_INPUTS, type SystemInput } from '../model/run.ts';
import type { Bond, Place, System, SystemState } from '../model/system.ts';
import { LONGEST_NAME } from '../model/text.ts';
import { postTitle, withPlaces } from './places.ts';

/** A job with its system changed: places that were only drawn from names become its own. */
export function withSystem(job: Job, change: (system: System) => System): Job {
  const placed = withPlaces(job);
  return placed.system ? { ...placed, system: change(placed.system) } : placed;
}

/** A place changed; ends on it are called after it. */
export function withPlace(job: Job, place: Place): Job {
  const changed = withSystem(job, (system) => ({
    ...system,
    places: system.places.some(({ id }) => id === place.id)
      ? system.places.map((own) => (own.id === place.id ? place : own))
      : [...system.places, place],
  }));
  const before = withPlaces(job).system?.places.find(({ id }) => id === place.id);
  if (!before || before.name === place.name) return changed;
  const renamed = (cable: Cable): Cable => {
    const ends = { ...cable.ends };
    for (const end of END_NAMES) {
      const { on, at } = ends[end];
      if (on?.place !== place.id || at !== postTitle(before, on.post)) continue;
      ends[end] = { ...ends[end], at: postTitle(place, on.post).slice(0, 60) };
    }
    return { ...cable, ends };
  };
  return { ...changed, cables: changed.cables.map(renamed) };
}

const without = <T>(record: Readonly<Record<string, T>>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([own]) => own !== key));

/** Cables with an end on a place. */
export const cablesOn = (job: Job, placeId: string): Cable[] =>
  withPlaces(job).cables.filter(({ ends }) => END_NAMES.some((end) => ends[end].on?.place === placeId));

/**
 * A job without a place. Its cables stay with loose ends, or go with it.
 *
 * @param cables what becomes of them
 */
export function withoutPlace(job: Job, placeId: string, cables: 'stay' | 'go'): Job {
  const taken = withSystem(job, ({ places, bonds, states }) => ({
    places: places
      .filter(({ id }) => id !== placeId)
      .map((place) => {
        if (place.kind !== 'load' || place.groundId !== placeId) return place;
        const { groundId: _, ...rest } = place;
        return rest;
      }),
    bonds: bonds.filter(({ a, b }) => a !== placeId && b !== placeId),
    states: states.map((state) => ({
      ...state,
      loads: without(state.loads, placeId),
      off: state.off.filter((id) => id !== placeId),
      open: state.open.filter((id) => id !== placeId),
    })),
  }));
  const gone = new Set(cablesOn(job, placeId).map(({ id }) => id));
  const loosened = (cable: Cable): Cable => {
    const ends = { ...cable.ends };
    for (const end of END_NAMES) {
      if (ends[end].on?.place !== placeId) continue;
      const { on: _, ...rest } = ends[end];
      // Without its name too: else the place would be drawn from it again.
      ends[end] = { ...rest, at: '' };
    }
    return { ...cable, ends };
  };
  return {
    ...taken,
    cables:
      cables === 'go'
        ? taken.cables.filter(({ id }) => !gone.has(id))
        : taken.cables.map((cable) => (gone.has(cable.id) ? loosened(cable) : cable)),
  };
}

/** A state changed, or added after the last one. */
export const withState = (job: Job, state: SystemState): Job =>
  withSystem(job, (system) => ({
    ...system,
    states: system.states.some(({ id }) => id === state.id)
      ? system.states.map((own) => (own.id === state.id ? state : own))
      : [...system.states, { ...state, name: state.name.slice(0, LONGEST_NAME) }],
  }));

/** A job without a state; the last one stays. */
export const withoutState = (job: Job, stateId: string): Job =>
  withSystem(job, (system) =>
    system.states.length > 1
      ? { ...system, states: system.states.filter(({ id }) => id !== stateId) }
      : system,
  );

/** Two grounds joined, or how well. */
export const withBond = (job: Job, bond: Bond): Job =>
  withSystem(job, (system) => ({
    ...system,
    bonds: system.bonds.some(({ id }) => id === bond.id)
      ? system.bonds.map((own) => (own.id === bond.id ? bond : own))
      : [...system.bonds, bond],
  }));
export const withoutBond = (job: Job, bondId: string): Job =>
  withSystem(job, (system) => ({ ...system, bonds: system.bonds.filter(({ id }) => id !== bondId) }));

/**
 * Cables that take inputs from the system, or have them typed again. What was typed is kept beneath.
 *
 * @param inputs those that the system answers; all of them where not given
 */
export function withInputs(
  job: Job,
  cableIds: readonly string[],
  isTaken: boolean,
  inputs: readonly SystemInput[] = SYSTEM_INPUTS,
): Job {
  const placed = withPlaces(job);
  return {
    ...placed,
    cables: placed.cables.map((cable) => {
      if (!cableIds.includes(cable.id)) return cable;
      const before = cable.run.fromSystem ?? [];
      const now = SYSTEM_INPUTS.filter((input) =>
        inputs.includes(input) ? isTaken : before.includes(input),
      );
      const { fromSystem: _, ...run } = cable.run;
      return { ...cable, run: now.length > 0 ? { ...run, fromSystem: now } : run };
    }),
  };
}
