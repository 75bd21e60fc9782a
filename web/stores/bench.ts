import { type Draft, applyPatches, type Patch, produceWithPatches } from 'immer';
import { nanoid } from 'nanoid';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { assumedShop } from '../../core/model/catalogue/workshop.ts';
import type { Hunt } from '../../core/model/hunt.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { adoptJob } from '../../core/model/merge.ts';
import { duplicateCable, emptyJob, newCable, nextTag, underFreeId } from '../../core/model/newCable.ts';
import { withReturn } from '../../core/model/returnCable.ts';
import type { Shop } from '../../core/model/shop.ts';
import { type Kept, type Library, NotTheWriter, saveDifference } from '../storage/library.ts';
import { markSound, unsoundness } from '../../core/model/sound.ts';
import { troubleSays } from '../storage/trouble.ts';
import {
  broughtBack,
  type Changed,
  changedCable,
  type Document,
  insertedCable,
  keptHunt,
  movedCable,
  type Recipe,
  removedCables,
  removedHunt,
  removedJob,
  keptJob,
  ownJob,
} from './recipes.ts';
import { say } from '../../core/words/say.ts';

interface Change {
  readonly what: string;
  readonly forward: Patch[];
  readonly back: Patch[];
}

const KEPT_CHANGES = 300;
/** A pause in the typing is saved at once; whoever types on is saved all the same, so soon after the first of it. */
const SAVE_AFTER_MS = 250;
const SAVE_AT_LATEST_MS = 500;

export type SaveState =
  | { readonly kind: 'saved'; readonly at: Date | null }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly sentence: string };

/** The jobs and the shop: edited by recipes, undone by patches, saved as they change. */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export const useBench = defineStore('bench', () => {
  const document = shallowRef<Document>({ jobs: [], hunts: [], bin: [], shop: assumedShop() });
  const past = shallowRef<readonly Change[]>([]);
  const future = shallowRef<readonly Change[]>([]);
  const saveState = ref<SaveState>({ kind: 'saved', at: null });
  let stored: Kept = { jobs: [], hunts: [], bin: [], shop: null };
  /** Another tab writes: this one only follows it. */
  const isFollowing = ref(false);
  /** Something was tried here that only the tab that writes may do. */
  const isRefused = ref(false);
  /** Why the last change was not made: nothing is made that could not be read again. Empty where it was. */
  const refusal = ref('');
  /** Why nothing may be written at all, as while what is stored could not be read. Empty while it may. */
  const lock = ref('');
  /** Something was done here that is a person's own: not the demo that is there on a first look. */
  const hasWorked = ref(false);
  /** Nothing was ever kept in this browser. */
  const isNew = ref(true);
  /** Told after each save, with the jobs as they were before it. */
  let onSaved: (changed: readonly Job[]) => void = () => {};
  let onLost: () => void = () => {};
  let timer: ReturnType<typeof setTimeout> | undefined;
  let unsavedSince: number | null = null;
  let writing: Promise<void> = Promise.resolve();

  /** Takes over what the browser kept. */
  function open(library: Library): void {
    const { jobs, hunts, bin, shop } = library;
    markSound({ jobs, hunts, shop });
    document.value = { jobs, hunts, bin, shop: shop ?? assumedShop() };
    isNew.value = library.isNew;
    lock.value = '';
    stored = { jobs, hunts, bin, shop };
    past.value = [];
    future.value = [];
  }

  /**
   * Changes the document by a recipe. One that would make what cannot be read again changes nothing, and says why.
   *
   * @param what is how the change is called when it is undone
   * @param isWork false for what the application puts there by itself
   */
  const edit = (what: string, recipe: Recipe, isWork = true): void =>
    take(what, (before) => produceWithPatches(before, recipe), isWork);

  function take(what: string, made: (before: Document) => Changed, isWork = true): void {
    if (isFollowing.value) {
      isRefused.value = true;
      return;
    }
    const [next, forward, back] = made(document.value);
    if (forward.length === 0) return;
    const problem = unsoundness(next);
    refusal.value = problem && say`Nothing was changed (${what}): ${problem}.`;
    if (problem) return;
    document.value = next;
    hasWorked.value ||= isWork;
    past.value = [...past.value, { what, forward, back }].slice(-KEPT_CHANGES);
    future.value = [];
    saveSoon();
  }

  function undo(): string | undefined {
    const change = past.value.at(-1);
    if (!change || isFollowing.value) return undefined;
    document.value = applyPatches(document.value, change.back);
    past.value = past.value.slice(0, -1);
    future.value = [...future.value, change];
    saveSoon();
    return change.what;
  }

  function redo(): string | undefined {
    const change = future.value.at(-1);
    if (!change || isFollowing.value) return undefined;
    document.value = applyPatches(document.value, change.forward);
    future.value = future.value.slice(0, -1);
    past.value = [...past.value, change];
    saveSoon();
    return change.what;
  }

  function saveSoon(): void {
    if (lock.value !== '') return;
    saveState.value = { kind: 'saving' };
    clearTimeout(timer);
    unsavedSince ??= performance.now();
    const longest = SAVE_AT_LATEST_MS - (performance.now() - unsavedSince);
    timer = setTimeout(() => void save(), Math.max(0, Math.min(SAVE_AFTER_MS, longest)));
  }

  /** Lets nothing be written, and says why. What is here meanwhile can be exported. */
  function lockWith(sentence: string): void {
    lock.value = sentence;
    clearTimeout(timer);
    saveState.value = { kind: 'failed', sentence };
  }

  /** Writes what changed since the last save. Saves follow one another, never side by side. */
  function save(): Promise<void> {
    clearTimeout(timer);
    writing = writing.then(async () => {
      const after = document.value;
      if (isFollowing.value || lock.value !== '') return;
      unsavedSince = null;
      try {
        const before = stored;
        await saveDifference(before, after);
        stored = after;
        isNew.value = false;
        if (document.value === after) saveState.value = { kind: 'saved', at: new Date() };
        onSaved(before.jobs.filter((job) => !after.jobs.includes(job)));
      } catch (error) {
        if (error instanceof NotTheWriter) return onLost();
        saveState.value = { kind: 'failed', sentence: troubleSays(error) };
      }
    });
    return writing;
  }

  const jobById = (id: string) => document.value.jobs.find((job) => job.id === id);
  const huntById = (id: string) => document.value.hunts.find((hunt) => hunt.id === id);

  const keepHunt = (hunt: Hunt, what: string) => edit(what, keptHunt(hunt));
  function removeHunt(id: string): void {
    const hunt = huntById(id);
    if (hunt) edit(say`delete hunt`, removedHunt(hunt));
  }

  /** Puts something back out of the bin. */
  function putBack(itemId: string): void {
    const item = document.value.bin.find(({ id }) => id === itemId);
    if (item) edit(say`put back`, broughtBack(item));
  }
  const emptyBin = () => edit(say`empty the bin`, (draft) => void (draft.bin = []));

  const keepJob = (job: Job, what: string) => edit(what, keptJob(job));
  /** A job that a person begins. */
  const keepOwn = (job: Job, what: string) => edit(what, ownJob(job));
  /** Puts an earlier state of a job in its place; undo brings the later one back. */
  const restoreJob = (job: Job) => keepJob(job, say`restore an earlier version`);

  /** Whether another tab writes: then this one takes over what that one saves, and changes nothing. */
  function follow(isIt: boolean): void {
    isFollowing.value = isIt;
    isRefused.value = false;
  }
  const tellSaved = (tell: typeof onSaved) => (onSaved = tell);
  /** Told when a save found that another tab had taken over. */
  const tellLost = (tell: typeof onLost) => (onLost = tell);

  const editCable = (
    jobId: string,
    cableId: string,
    what: string,
    recipe: (cable: Draft<Cable>) => void,
  ): void => take(what, (before) => changedCable(before, jobId, cableId, recipe));

  /**
   * Puts a job on the bench with the hunts that belong to it; each comes under an id that is free here. Null where it
   * was not taken: {@link refusal} says why.
   */
  function addJob(
    job: Job,
    shop: Shop,
    what: string,
    hunts: readonly Hunt[] = [],
    isWork = true,
  ): Job | null {
    const adopted = adoptJob(document.value.shop, shop, underFreeId(job, document.value.jobs));
    const taken = new Set(document.value.hunts.map(({ id }) => id));
    edit(
      what,
      (draft) => {
        draft.jobs.push(adopted.job as Draft<Job>);
        draft.shop = adopted.shop as Draft<Shop>;
        for (const hunt of hunts) {
          const id = taken.has(hunt.id) ? nanoid(10) : hunt.id;
          draft.hunts.push({ ...hunt, id, jobId: adopted.job.id } as Draft<Hunt>);
        }
      },
      isWork,
    );
    return jobById(adopted.job.id) ?? null;
  }

  function addEmptyJob(title = say`New job`): Job {
    const job = emptyJob(nanoid(10), title);
    edit(say`new job`, ownJob(job));
    return job;
  }

  function removeJob(jobId: string): void {
    const job = jobById(jobId);
    if (!job) return;
    const hunts = document.value.hunts.filter((hunt) => hunt.jobId === jobId);
    edit(say`delete job`, removedJob(job, hunts));
  }

  function insertCable(jobId: string, cable: Cable, after: string | undefined, what: string): Cable {
    edit(what, insertedCable(jobId, cable, after));
    return cable;
  }

  /** A new cable at the end of the job, in the kind and voltage of the last one: most jobs are of one kind. */
  function addCable(jobId: string): Cable | undefined {
    const job = jobById(jobId);
    if (!job) return undefined;
    const last = job.cables.at(-1);
    const fresh = newCable(nanoid(10), nextTag(job.cables.map(({ tag }) => tag)), document.value.shop);
    const cable = last
      ? { ...fresh, gauge: { kindId: last.gauge.kindId }, run: { ...fresh.run, systemV: last.run.systemV } }
      : fresh;
    return insertCable(jobId, cable, undefined, say`new cable`);
  }

  function copyCable(jobId: string, cableId: string): Cable | undefined {
    const job = jobById(jobId);
    const cable = job?.cables.find(({ id }) => id === cableId);
    if (!job || !cable) return undefined;
    return insertCable(jobId, duplicateCable(cable, nanoid(10), job), cableId, say`duplicate cable`);
  }

  /** The cable that brings the current of one back, beside it; both in one circuit from then on. */
  function returnCable(jobId: string, cableId: string): Cable | undefined {
    const job = jobById(jobId);
    const cable = job?.cables.find(({ id }) => id === cableId);
    if (!job || !cable) return undefined;
    const { out, back } = withReturn(cable, nanoid(10), job);
    edit(say`return of ${cable.tag}`, (draft) => {
      const cables = draft.jobs.find(({ id }) => id === jobId)?.cables;
      const at = cables?.findIndex(({ id }) => id === cableId) ?? -1;
      if (cables && at >= 0) cables.splice(at, 1, out as Draft<Cable>, back as Draft<Cable>);
    });
    return back;
  }

  function removeCables(jobId: string, cableIds: readonly string[]): void {
    const job = jobById(jobId);
    if (!job) return;
    const gone = job.cables.filter(({ id }) => cableIds.includes(id));
    edit(gone.length > 1 ? say`delete cables` : say`delete cable`, removedCables(job, gone));
  }

  const moveCable = (jobId: string, cableId: string, by: 1 | -1) =>
    edit(say`move cable`, movedCable(jobId, cableId, by));

  return {
    document,
    jobs: computed(() => document.value.jobs),
    hunts: computed(() => document.value.hunts),
    shop: computed(() => document.value.shop),
    bin: computed(() => document.value.bin),
    saveState,
    isFollowing,
    isRefused,
    follow,
    tellSaved,
    tellLost,
    refusal,
    lock,
    lockWith,
    isNew,
    hasWorked,
    putBack,
    emptyBin,
    keepJob,
    keepOwn,
    restoreJob,
    undoable: computed(() => past.value.at(-1)?.what),
    redoable: computed(() => future.value.at(-1)?.what),
    open,
    edit,
    editCable,
    undo,
    redo,
    save,
    jobById,
    huntById,
    keepHunt,
    removeHunt,
    addJob,
    addEmptyJob,
    removeJob,
    insertCable,
    addCable,
    copyCable,
    returnCable,
    removeCables,
    moveCable,
  };
});
