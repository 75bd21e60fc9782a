import { type Draft, enablePatches, applyPatches, type Patch, produceWithPatches } from 'immer';
import { nanoid } from 'nanoid';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { genericShop } from '../../core/catalogue/genericShop.ts';
import type { Hunt } from '../../core/hunt/chain.ts';
import type { Cable } from '../../core/job/cable.ts';
import type { Job } from '../../core/job/job.ts';
import { adoptJob } from '../../core/job/merge.ts';
import { duplicateCable, newCable, nextTag, underFreeId } from '../../core/job/newCable.ts';
import type { Shop } from '../../core/job/shop.ts';
import { type Kept, type Library, saveDifference } from '../storage/library.ts';

enablePatches();

/** All that a person makes: undo and saving go by this one value. It is never changed in place. */
export interface Document {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly shop: Shop;
}

interface Change {
  readonly what: string;
  readonly forward: Patch[];
  readonly back: Patch[];
}

const KEPT_CHANGES = 300;
const SAVE_AFTER_MS = 250;

export type SaveState =
  | { readonly kind: 'saved'; readonly at: Date | null }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly sentence: string };

/** The jobs and the shop: edited by recipes, undone by patches, saved as they change. */
export const useBench = defineStore('bench', () => {
  const document = shallowRef<Document>({ jobs: [], hunts: [], shop: genericShop() });
  const past = shallowRef<readonly Change[]>([]);
  const future = shallowRef<readonly Change[]>([]);
  const saveState = ref<SaveState>({ kind: 'saved', at: null });
  let stored: Kept = { jobs: [], hunts: [], shop: null };
  let timer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();

  /** Takes over what the browser kept. */
  function open(library: Library): void {
    const { jobs, hunts, shop } = library;
    document.value = { jobs, hunts, shop: shop ?? genericShop() };
    stored = { jobs, hunts, shop };
  }

  /** Changes the document by a recipe; `what` is how the change is called when it is undone. */
  function edit(what: string, recipe: (draft: Draft<Document>) => void): void {
    const [next, forward, back] = produceWithPatches(document.value, recipe);
    if (forward.length === 0) return;
    document.value = next;
    past.value = [...past.value, { what, forward, back }].slice(-KEPT_CHANGES);
    future.value = [];
    saveSoon();
  }

  function undo(): string | undefined {
    const change = past.value.at(-1);
    if (!change) return undefined;
    document.value = applyPatches(document.value, change.back);
    past.value = past.value.slice(0, -1);
    future.value = [...future.value, change];
    saveSoon();
    return change.what;
  }

  function redo(): string | undefined {
    const change = future.value.at(-1);
    if (!change) return undefined;
    document.value = applyPatches(document.value, change.forward);
    future.value = future.value.slice(0, -1);
    past.value = [...past.value, change];
    saveSoon();
    return change.what;
  }

  function saveSoon(): void {
    saveState.value = { kind: 'saving' };
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }

  /** Writes what changed since the last save. Saves follow one another, never side by side. */
  function save(): Promise<void> {
    clearTimeout(timer);
    writing = writing.then(async () => {
      const after = document.value;
      try {
        await saveDifference(stored, after);
        stored = after;
        if (document.value === after) saveState.value = { kind: 'saved', at: new Date() };
      } catch {
        saveState.value = {
          kind: 'failed',
          sentence: 'This browser could not save. Export the job to a file so that nothing is lost.',
        };
      }
    });
    return writing;
  }

  const jobById = (id: string) => document.value.jobs.find((job) => job.id === id);
  const huntById = (id: string) => document.value.hunts.find((hunt) => hunt.id === id);

  /** Puts a hunt in the place of the one with its id, or adds it. */
  function keepHunt(hunt: Hunt, what: string): void {
    edit(what, (draft) => {
      const at = draft.hunts.findIndex(({ id }) => id === hunt.id);
      if (at < 0) draft.hunts.push(hunt as Draft<Hunt>);
      else draft.hunts[at] = hunt as Draft<Hunt>;
    });
  }

  function removeHunt(id: string): void {
    edit('delete hunt', (draft) => {
      draft.hunts = draft.hunts.filter((hunt) => hunt.id !== id);
    });
  }

  function editCable(
    jobId: string,
    cableId: string,
    what: string,
    recipe: (cable: Draft<Cable>) => void,
  ): void {
    edit(what, (draft) => {
      const cable = draft.jobs.find(({ id }) => id === jobId)?.cables.find(({ id }) => id === cableId);
      if (cable) recipe(cable);
    });
  }

  /** Puts a job on the bench with the hunts that belong to it; each comes under an id that is free here. */
  function addJob(job: Job, shop: Shop, what: string, hunts: readonly Hunt[] = []): Job {
    const adopted = adoptJob(document.value.shop, shop, underFreeId(job, document.value.jobs));
    const taken = new Set(document.value.hunts.map(({ id }) => id));
    edit(what, (draft) => {
      draft.jobs.push(adopted.job as Draft<Job>);
      draft.shop = adopted.shop as Draft<Shop>;
      for (const hunt of hunts) {
        const id = taken.has(hunt.id) ? nanoid(10) : hunt.id;
        draft.hunts.push({ ...hunt, id, jobId: adopted.job.id } as Draft<Hunt>);
      }
    });
    return adopted.job;
  }

  function addEmptyJob(title = 'New job'): Job {
    const job: Job = { id: nanoid(10), title, subtitle: '', cables: [], studs: [], heeded: [] };
    edit('new job', (draft) => void draft.jobs.push(job as Draft<Job>));
    return job;
  }

  function removeJob(jobId: string): void {
    edit('delete job', (draft) => {
      draft.jobs = draft.jobs.filter(({ id }) => id !== jobId);
    });
  }

  function insertCable(jobId: string, cable: Cable, after: string | undefined, what: string): Cable {
    edit(what, (draft) => {
      const cables = draft.jobs.find(({ id }) => id === jobId)?.cables;
      const index = cables?.findIndex(({ id }) => id === after) ?? -1;
      cables?.splice(index < 0 ? cables.length : index + 1, 0, cable as Draft<Cable>);
    });
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
    return insertCable(jobId, cable, undefined, 'new cable');
  }

  function copyCable(jobId: string, cableId: string): Cable | undefined {
    const job = jobById(jobId);
    const cable = job?.cables.find(({ id }) => id === cableId);
    if (!job || !cable) return undefined;
    return insertCable(jobId, duplicateCable(cable, nanoid(10), job), cableId, 'duplicate cable');
  }

  function removeCables(jobId: string, cableIds: readonly string[]): void {
    edit(cableIds.length > 1 ? 'delete cables' : 'delete cable', (draft) => {
      const job = draft.jobs.find(({ id }) => id === jobId);
      if (job) job.cables = job.cables.filter(({ id }) => !cableIds.includes(id));
    });
  }

  function moveCable(jobId: string, cableId: string, by: 1 | -1): void {
    edit('move cable', (draft) => {
      const cables = draft.jobs.find(({ id }) => id === jobId)?.cables;
      const from = cables?.findIndex(({ id }) => id === cableId) ?? -1;
      const to = from + by;
      if (!cables || from < 0 || to < 0 || to >= cables.length) return;
      const [cable] = cables.splice(from, 1);
      if (cable) cables.splice(to, 0, cable);
    });
  }

  return {
    document,
    jobs: computed(() => document.value.jobs),
    hunts: computed(() => document.value.hunts),
    shop: computed(() => document.value.shop),
    saveState,
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
    removeCables,
    moveCable,
  };
});
