import { genericShop } from '../model/catalogue/genericShop.ts';
import type { Job } from '../model/job.ts';
import { emptyJob } from '../model/newCable.ts';
import type { Place, SystemState } from '../model/system.ts';
import { workUp } from '../workup.ts';
import { parseChain, withChain } from './chain.ts';
import { withPlace, withSystem } from './edits.ts';
import type { SystemFinding } from './findingParts.ts';

export const SHOP = genericShop();

/** A job put together from chains as one would type them, each cable in the size that is named, its ids counted. */
export function jobOf(chains: readonly string[], size = '35'): Job {
  let job = emptyJob('j', 'Test');
  let count = 0;
  for (const text of chains) {
    const chain = parseChain(text, job);
    if (!chain.ok) throw new Error(`${text}: ${chain.piece}`);
    job = withChain(job, chain, SHOP, () => {
      count += 1;
      return `c${count}`;
    });
  }
  return size === ''
    ? job
    : {
        ...job,
        cables: job.cables.map((cable) => ({
          ...cable,
          gauge: { ...cable.gauge, size: { system: 'metric' as const, name: size as '35' } },
        })),
      };
}

/** A job with a place changed, by its name. */
export function withFacts(job: Job, name: string, facts: Partial<Place>): Job {
  const place = job.system?.places.find((own) => own.name === name);
  if (!place) throw new Error(`no place ${name}`);
  return withPlace(job, { ...place, ...facts } as Place);
}
/** Every battery with so many milliohms. */
export const stiff = (job: Job, milliohm = 4): Job =>
  (job.system?.places ?? []).reduce(
    (now, place) =>
      place.kind === 'battery' ? withFacts(now, place.name, { source: { kind: 'typed', milliohm } }) : now,
    job,
  );
export const inStates = (job: Job, states: readonly (Partial<SystemState> & { id: string })[]): Job =>
  withSystem(job, (system) => ({
    ...system,
    states: states.map((state) => ({
      ...{ name: state.id, lasts: { kind: 'held' as const }, loads: {}, off: [], open: [] },
      ...state,
    })),
  }));
export const placeId = (job: Job, name: string): string =>
  job.system?.places.find((own) => own.name === name)?.id ?? '';
export const tagOf = (job: Job, from: string, to: string): string =>
  job.cables.find(({ ends }) => ends.A.at === from && ends.B.at === to)?.id ?? '';

/** What is found of a job's system. */
export function found(job: Job): readonly SystemFinding[] {
  const { system } = workUp(job, SHOP);
  if (!system) throw new Error('no system');
  return system.findings;
}
export const solvedOf = (job: Job) => {
  const { system } = workUp(job, SHOP);
  if (!system) throw new Error('no system');
  return system;
};
