import { type Draft, enablePatches, original, type Patch, produceWithPatches } from 'immer';
import { nanoid } from 'nanoid';
import type { Hunt } from '../../core/model/hunt.ts';
import { type BinItem, withBinned } from '../../core/model/bin.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { emptyJob, underFreeId } from '../../core/model/newCable.ts';
import { unstocked } from '../../core/model/catalogue/workshop.ts';
import type { Shop } from '../../core/model/shop.ts';

enablePatches();

/** All that a person makes: undo and saving go by this one value. It is never changed in place. */
export interface Document {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  /** What was deleted, the newest first. */
  readonly bin: readonly BinItem[];
  readonly shop: Shop;
}

/** What one edit does to a draft of the document. */
export type Recipe = (draft: Draft<Document>) => void;

const draftJob = (draft: Draft<Document>, jobId: string) => draft.jobs.find(({ id }) => id === jobId);

/** Puts something in the place of the one with its id, or adds it. */
function keepIn<T extends { id: string }>(list: T[], item: T): void {
  const at = list.findIndex(({ id }) => id === item.id);
  if (at < 0) list.push(item);
  else list[at] = item;
}

const binned = (title: string) => ({ id: nanoid(10), at: new Date().toISOString(), title });
function toBin(draft: Draft<Document>, items: readonly BinItem[]): void {
  draft.bin = withBinned(draft.bin as BinItem[], items) as Draft<BinItem>[];
}

export const keptHunt =
  (hunt: Hunt): Recipe =>
  (draft) =>
    keepIn(draft.hunts, hunt as Draft<Hunt>);

export const removedHunt =
  (hunt: Hunt): Recipe =>
  (draft) => {
    draft.hunts = draft.hunts.filter(({ id }) => id !== hunt.id);
    toBin(draft, [{ ...binned(hunt.title), what: 'hunt', hunt }]);
  };

/** A job in the place of the one with its id: an earlier state of it, or one that was worked out as a whole. */
export const keptJob =
  (job: Job): Recipe =>
  (draft) =>
    keepIn(draft.jobs, job as Draft<Job>);

/**
 * A person's own job. While the shop is the demo's, its made-up stock is taken off the shelf with the first of them: no
 * plan of theirs counts on it.
 */
export const ownJob =
  (job: Job): Recipe =>
  (draft) => {
    if (draft.shop.origin === 'demo')
      draft.shop = { ...unstocked(original(draft.shop) as Shop), origin: 'assumed' } as Draft<Shop>;
    keepIn(draft.jobs, job as Draft<Job>);
  };

/** A job and the hunts that belong to it go to the bin together. */
export const removedJob =
  (job: Job, hunts: readonly Hunt[]): Recipe =>
  (draft) => {
    draft.jobs = draft.jobs.filter(({ id }) => id !== job.id);
    draft.hunts = draft.hunts.filter(({ id }) => !hunts.some((hunt) => hunt.id === id));
    toBin(draft, [{ ...binned(job.title), what: 'job', job, hunts: [...hunts] }]);
  };

/** Something out of the bin; a cable whose job is gone too comes back in a job of its own. */
export const broughtBack =
  (item: BinItem): Recipe =>
  (draft) => {
    draft.bin = draft.bin.filter(({ id }) => id !== item.id);
    switch (item.what) {
      case 'hunt':
        draft.hunts.push(item.hunt as Draft<Hunt>);
        break;
      case 'job': {
        const job = underFreeId(item.job, draft.jobs as readonly Job[]);
        const taken = new Set(draft.hunts.map(({ id }) => id));
        const back = item.hunts.filter(({ id }) => !taken.has(id));
        draft.jobs.push(job as Draft<Job>);
        draft.hunts.push(...back.map((hunt) => ({ ...hunt, jobId: job.id }) as Draft<Hunt>));
        break;
      }
      case 'cable': {
        if (!draftJob(draft, item.jobId)) draft.jobs.push(emptyJob(nanoid(10), item.title) as Draft<Job>);
        const job = draftJob(draft, item.jobId) ?? draft.jobs.at(-1);
        const id = job?.cables.some((own) => own.id === item.cable.id) ? nanoid(10) : item.cable.id;
        job?.cables.push({ ...item.cable, id } as Draft<Cable>);
      }
    }
  };

/** A cable right after another, or at the end of its job. */
export const insertedCable =
  (jobId: string, cable: Cable, after?: string): Recipe =>
  (draft) => {
    const cables = draftJob(draft, jobId)?.cables;
    const index = cables?.findIndex(({ id }) => id === after) ?? -1;
    cables?.splice(index < 0 ? cables.length : index + 1, 0, cable as Draft<Cable>);
  };

/** A document after a change, and the patches that make it of the one before, and that one of it. */
export type Changed = readonly [after: Document, forward: Patch[], back: Patch[]];

/**
 * One cable changed, as a recipe of the whole document would change it: but that would look at every cable of the job.
 * The document itself where the cable is gone or nothing of it changes.
 */
export function changedCable(
  document: Document,
  jobId: string,
  cableId: string,
  change: (cable: Draft<Cable>) => void,
): Changed {
  const inJobs = document.jobs.findIndex(({ id }) => id === jobId);
  const job = document.jobs[inJobs];
  const inCables = job?.cables.findIndex(({ id }) => id === cableId) ?? -1;
  const before = job?.cables[inCables];
  if (!job || !before) return [document, [], []];
  const [after, forward, back] = produceWithPatches(before, (draft) => void change(draft));
  if (after === before) return [document, [], []];
  const inDocument = (patch: Patch): Patch => ({
    ...patch,
    path: ['jobs', inJobs, 'cables', inCables, ...patch.path],
  });
  const jobs = document.jobs.with(inJobs, { ...job, cables: job.cables.with(inCables, after) });
  return [{ ...document, jobs }, forward.map(inDocument), back.map(inDocument)];
}

export const removedCables =
  (job: Job, gone: readonly Cable[]): Recipe =>
  (draft) => {
    const own = draftJob(draft, job.id);
    if (!own || gone.length === 0) return;
    own.cables = own.cables.filter(({ id }) => !gone.some((cable) => cable.id === id));
    toBin(
      draft,
      gone.map((cable) => ({ ...binned(`${cable.tag}, ${job.title}`), what: 'cable', jobId: job.id, cable })),
    );
  };

/** A cable one place up or down; at the end of the rack it stays. */
export const movedCable =
  (jobId: string, cableId: string, by: 1 | -1): Recipe =>
  (draft) => {
    const cables = draftJob(draft, jobId)?.cables;
    const from = cables?.findIndex(({ id }) => id === cableId) ?? -1;
    const to = from + by;
    if (!cables || from < 0 || to < 0 || to >= cables.length) return;
    const [cable] = cables.splice(from, 1);
    if (cable) cables.splice(to, 0, cable);
  };
