<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/vue';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { type Stage, STAGES } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';
import { cardOf, placeOf } from '../places.ts';
import { exportJob, saveFile } from '../storage/files.ts';
import { standaloneSvg } from '../paper/drawingSvg.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { triedWork } from '../stores/work.ts';
import { isPreferencesOpen } from '../ui/preferences.ts';
import { useCableActs } from './cableActs.ts';
import { findCommands } from './commandWords.ts';
import { RUN_PART_TITLES, STAGE_TITLES } from './stages.ts';
import { say } from '../../core/words/say.ts';

/** Find a cable or a job, go to a stage, set a size, do anything: typed. */
const { open, job, cableId, stage } = defineProps<{
  open: boolean;
  job: Job;
  cableId: string | undefined;
  stage: Stage;
}>();
const emit = defineEmits<{ close: []; add: []; keys: []; import: [] }>();

interface Command {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly act: () => void;
}

const bench = useBench();
const { prefs } = usePrefs();
const router = useRouter();
const query = ref('');
watch(
  () => open,
  () => {
    query.value = '';
  },
);

const acts = useCableActs(() => ({ jobId: job.id, cableId, stage }));
/** Parts of the stages that are gone to by what they hold. */
const PARTS = [
  { part: 'source', stageAt: 'run', title: RUN_PART_TITLES.source, note: STAGE_TITLES.run },
  { part: 'place', stageAt: 'run', title: RUN_PART_TITLES.place, note: STAGE_TITLES.run },
  { part: 'duty', stageAt: 'run', title: RUN_PART_TITLES.duty, note: STAGE_TITLES.run },
  { part: 'prove', stageAt: 'prove', title: say`Readings and proof`, note: STAGE_TITLES.prove },
  { part: 'fit', stageAt: 'fit', title: say`Torque and fitting`, note: STAGE_TITLES.fit },
] as const satisfies readonly { part: string; stageAt: Stage; title: string; note: string }[];

const go = (...to: Parameters<typeof placeOf>) => void router.push(placeOf(...to));

/** A size typed on its own sets the size of the cable on the bench. */
const sizeCommand = computed((): Command[] => {
  const cable = job.cables.find(({ id }) => id === cableId);
  if (!cable || !/\d/.test(query.value)) return [];
  const kind = triedWork(cable, bench.shop, job)?.kind;
  if (!kind) return [];
  const entry = parseSize(query.value, kind.sizes[0]?.size.system ?? 'metric');
  if (!entry.ok) return [];
  const { size } = entry;
  const isMade = kind.sizes.some((own) => own.size.system === size.system && own.size.name === size.name);
  return isMade
    ? [
        {
          id: 'size',
          title: say`Set ${cable.tag} to ${sizeNamed(size)}`,
          note: kind.title,
          act: () =>
            bench.editCable(job.id, cable.id, say`size`, (draft) => void (draft.gauge.size = { ...size })),
        },
      ]
    : [];
});

/** The drawing on the bench, as it is seen. */
function saveDrawing(id: string): void {
  const svg = document.querySelector<SVGSVGElement>('.workpiece svg');
  const tag = job.cables.find((cable) => cable.id === id)?.tag ?? 'cable';
  if (svg) saveFile(`${tag}.svg`, standaloneSvg(svg), 'image/svg+xml');
}

// oxlint-disable-next-line max-lines-per-function -- a list of what can be typed, an entry each
const commands = computed((): Command[] => [
  ...job.cables.map((cable) => ({
    id: `cable-${cable.id}`,
    title: cable.tag,
    note: `${cable.ends.A.at} → ${cable.ends.B.at}`,
    act: () => go(job.id, cable.id, stage),
  })),
  ...(cableId
    ? STAGES.map((name, i) => ({
        id: `stage-${name}`,
        title: STAGE_TITLES[name],
        note: say`stage ${i + 1}`,
        act: () => go(job.id, cableId, name),
      }))
    : []),
  ...bench.jobs
    .filter(({ id }) => id !== job.id)
    .map((other) => ({
      id: `job-${other.id}`,
      title: other.title,
      note: say`open this job`,
      act: () => go(other.id, other.cables[0]?.id),
    })),
  ...(cableId
    ? [
        {
          id: 'drawing',
          title: say`Save this drawing as SVG`,
          note: say`to scale`,
          act: () => saveDrawing(cableId),
        },
        {
          id: 'at-bench',
          title: say`Make this cable at the bench`,
          note: say`full screen, one step at a time`,
          act: () => void router.push({ name: 'at-bench', params: { jobId: job.id, cableId } }),
        },
        { id: 'duplicate', title: say`Duplicate this cable`, note: 'D', act: acts.duplicate },
        {
          id: 'return',
          title: say`Make the return of this cable`,
          note: say`the other pole`,
          act: acts.makeReturn,
        },
        { id: 'delete', title: say`Delete this cable`, note: '', act: acts.remove },
        ...PARTS.map(({ part, stageAt, title, note }) => ({
          id: part,
          title,
          note,
          act: () =>
            void router.push({
              name: 'cable',
              params: { jobId: job.id, cableId, stage: stageAt },
              query: { part },
            }),
        })),
        {
          id: 'card',
          title: say`Card of this cable`,
          note: say`all of it on one sheet`,
          act: () => void router.push(cardOf(job.id, cableId)),
        },
        {
          id: 'traveller',
          title: say`Print the traveller of this cable`,
          note: say`paper`,
          act: () => void router.push({ name: 'print-traveller', params: { jobId: job.id, cableId } }),
        },
      ]
    : []),
  {
    id: 'batch',
    title: say`Make several cables at once`,
    note: say`batch, kit tray`,
    act: () => void router.push({ name: 'batch', params: { jobId: job.id } }),
  },
  {
    id: 'kit',
    title: say`Kit: cutting plan, shopping, make or buy`,
    note: say`cutting list`,
    act: () => void router.push({ name: 'kit', params: { jobId: job.id } }),
  },
  {
    id: 'case',
    title: say`Tool case: which die for which lug`,
    note: say`dies, lugs, trials`,
    act: () => void router.push({ name: 'case', params: { jobId: job.id } }),
  },
  {
    id: 'section',
    title: say`Section lab: measure a picture of a sawn crimp`,
    note: say`air, packing`,
    act: () => void router.push({ name: 'section', params: { jobId: job.id } }),
  },
  {
    id: 'records',
    title: say`Test records of every cable, and all of the job as a zip`,
    note: say`print, PDF, zip`,
    act: () => void router.push({ name: 'print-records', params: { jobId: job.id } }),
  },
  {
    id: 'system',
    title: say`System: the whole installation on one sheet`,
    note: say`volts, amps, fuses, states`,
    act: () => void router.push({ name: 'system', params: { jobId: job.id } }),
  },
  {
    id: 'together',
    title: say`All sizes together`,
    note: say`least copper, proved`,
    act: () => void router.push({ name: 'sizes', params: { jobId: job.id } }),
  },
  {
    id: 'survey',
    title: say`Survey of an old installation`,
    note: say`by eye, what to replace`,
    act: () => void router.push({ name: 'survey', params: { jobId: job.id } }),
  },
  {
    id: 'hunt',
    title: say`Find a fault`,
    note: say`voltage-drop tracing`,
    act: () => void router.push({ name: 'hunt', params: { jobId: job.id } }),
  },
  {
    id: 'log',
    title: say`Log of every cable`,
    note: say`made, due, corrected`,
    act: () => void router.push({ name: 'log', params: { jobId: job.id } }),
  },
  {
    id: 'handover',
    title: say`Handover pack`,
    note: say`one PDF, one zip`,
    act: () => void router.push({ name: 'print-handover', params: { jobId: job.id } }),
  },
  {
    id: 'keeping',
    title: say`Backup, bin and earlier versions`,
    note: say`how your work is kept`,
    act: () => void router.push({ name: 'keeping', params: { jobId: job.id } }),
  },
  {
    id: 'trends',
    title: say`Trends: what the dies leave over time`,
    note: say`control limits`,
    act: () => void router.push({ name: 'trends', params: { jobId: job.id } }),
  },
  {
    id: 'practice',
    title: say`House practice: what each school changes here`,
    note: say`schools`,
    act: () => void router.push({ name: 'practice', params: { jobId: job.id } }),
  },
  {
    id: 'training',
    title: say`Spot the fault: train your eye`,
    note: say`training`,
    act: () => void router.push({ name: 'training', params: { jobId: job.id } }),
  },
  {
    id: 'preferences',
    title: say`Preferences`,
    note: say`units, sizes, language, paper`,
    act: () => (isPreferencesOpen.value = true),
  },
  { id: 'keys', title: say`Help: keyboard shortcuts`, note: '?', act: () => emit('keys') },
  { id: 'import', title: say`Import a job from a file`, note: say`JSON`, act: () => emit('import') },
  {
    id: 'schedule',
    title: say`Import a cable schedule`,
    note: say`CSV`,
    act: () => void router.push({ name: 'kit', params: { jobId: job.id }, query: { part: 'schedule' } }),
  },
  {
    id: 'labels',
    title: say`Print labels and lists`,
    note: say`paper`,
    act: () => void router.push({ name: 'kit', params: { jobId: job.id }, query: { part: 'paper' } }),
  },
  {
    id: 'in-your-case',
    title: say`What is in your case?`,
    note: say`tools, dies, lugs, sleeves`,
    act: () => void router.push({ name: 'in-your-case', params: { jobId: job.id } }),
  },
  { id: 'jobs', title: say`All jobs`, note: '', act: () => void router.push({ name: 'jobs' }) },
  { id: 'demo', title: say`Look around an example job`, note: '', act: () => void router.push('/demo') },
  { id: 'new', title: say`New cable`, note: 'N', act: () => emit('add') },
  ...(bench.undoable
    ? [{ id: 'undo', title: say`Undo ${bench.undoable}`, note: say`Ctrl Z`, act: () => void bench.undo() }]
    : []),
  ...(bench.redoable
    ? [
        {
          id: 'redo',
          title: say`Redo ${bench.redoable}`,
          note: say`Shift Ctrl Z`,
          act: () => void bench.redo(),
        },
      ]
    : []),
  {
    id: 'export',
    title: say`Export this job to a file`,
    note: say`JSON`,
    act: () => exportJob(job, bench.shop),
  },
  { id: 'start', title: say`Start page`, note: '', act: () => void router.push({ name: 'start' }) },
  { id: 'job', title: say`New empty job`, note: '', act: () => go(bench.addEmptyJob().id) },
  {
    id: 'sizes',
    title: prefs.sizes === 'metric' ? say`Show sizes in AWG` : say`Name sizes by mm²`,
    note: say`sizes`,
    act: () => {
      prefs.sizes = prefs.sizes === 'metric' ? 'gauge' : 'metric';
    },
  },
  {
    id: 'lengths',
    title: prefs.lengths === 'mm' ? say`Show lengths in inches` : say`Show lengths in mm`,
    note: say`lengths`,
    act: () => {
      prefs.lengths = prefs.lengths === 'mm' ? 'in' : 'mm';
    },
  },
  ...(['light', 'dark', 'system'] as const).map((theme) => ({
    id: `theme-${theme}`,
    title: say`Colours: ${theme}`,
    note: prefs.theme === theme ? say`now` : '',
    act: () => {
      prefs.theme = theme;
    },
  })),
]);

const shown = computed(() => {
  return [...sizeCommand.value, ...findCommands(commands.value, query.value)].slice(0, 9);
});

function run(command: Command | null): void {
  emit('close');
  command?.act();
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-[var(--shade)]" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
      <DialogPanel class="w-full max-w-xl border border-line bg-lamp shadow-xl">
        <DialogTitle class="sr-only">{{ say`Search or do` }}</DialogTitle>
        <Combobox :model-value="null" @update:model-value="run">
          <ComboboxInput
            class="figure h-14 w-full bg-transparent px-4 text-[20px] placeholder:text-ink3 focus:outline-none"
            :placeholder="say`Type a tag, a page or a command`"
            :aria-label="say`Search or do`"
            autocomplete="off"
            @change="query = $event.target.value"
          />
          <ComboboxOptions static class="max-h-[50vh] overflow-auto border-t border-hairline">
            <ComboboxOption v-for="command in shown" :key="command.id" v-slot="{ active }" :value="command">
              <div
                class="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-4"
                :class="active ? 'bg-teal-tint' : ''"
              >
                <span>{{ command.title }}</span><span class="note truncate">{{ command.note }}</span>
              </div>
            </ComboboxOption>
            <li v-if="shown.length === 0" class="note px-4 py-3">
              {{ say`No command or cable called “${query}”.` }}
            </li>
          </ComboboxOptions>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
