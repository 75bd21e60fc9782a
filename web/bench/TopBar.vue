<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { Anchor, Check, ChevronDown, Contrast, Menu as MenuIcon, Redo2, Search, Undo2 } from '@lucide/vue';
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import type { Job } from '../../core/job/job.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import SavedMark from './SavedMark.vue';
import TextField from '../ui/TextField.vue';
import { exportJob, importJob } from '../storage/files.ts';
import { say } from '../../core/words/say.ts';

/** The job, whether it is saved, and how figures are shown. */
const { job } = defineProps<{ job: Job | undefined }>();
defineEmits<{ rack: []; command: []; keys: [] }>();

// Boxes come when they are opened.
const ModalBox = defineAsyncComponent(() => import('../ui/ModalBox.vue'));
const ReadingBox = defineAsyncComponent(() => import('../ui/ReadingBox.vue'));

const bench = useBench();
const prefsStore = usePrefs();
const { prefs } = prefsStore;
const router = useRouter();
const fileField = useTemplateRef<HTMLInputElement>('fileField');
const refusal = ref('');
const isRenaming = ref(false);
const isReading = ref(false);

async function open(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (!file) return;
  const result = await importJob(file);
  if (!result.ok) refusal.value = result.sentence;
  else await router.push(placeOf(result.value.id, result.value.cables[0]?.id));
}

function newJob(): void {
  void router.push(placeOf(bench.addEmptyJob().id));
}

function removeJob(): void {
  if (job) bench.removeJob(job.id);
}

function rename(change: Partial<Pick<Job, 'title' | 'subtitle'>>): void {
  bench.edit(say`job name`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === job?.id);
    if (own) Object.assign(own, change);
  });
}

const actions = computed(() => [
  { title: say`Export this job to a file`, act: () => job && exportJob(job, bench.shop) },
  { title: say`Import a job from a file`, act: () => fileField.value?.click() },
  { title: say`Rename this job`, act: () => (isRenaming.value = true) },
  {
    title: say`House practice`,
    act: () => job && void router.push({ name: 'practice', params: { jobId: job.id } }),
  },
  {
    title: say`Spot the fault: training`,
    act: () => job && void router.push({ name: 'training', params: { jobId: job.id } }),
  },
  {
    title: say`Log of every cable`,
    act: () => void router.push(job ? { name: 'log', params: { jobId: job.id } } : { name: 'log-alone' }),
  },
  { title: say`Fault hunt without a job`, act: () => void router.push({ name: 'hunt-alone' }) },
  {
    title: say`Hand this job over`,
    act: () => job && void router.push({ name: 'print-handover', params: { jobId: job.id } }),
  },
  {
    title: say`Backup, bin, earlier versions`,
    act: () =>
      void router.push(job ? { name: 'keeping', params: { jobId: job.id } } : { name: 'keeping-alone' }),
  },
  // In both languages, so that who cannot read the one finds the other.
  { title: 'Language · Taal', act: () => (isReading.value = true) },
  { title: say`New empty job`, act: newJob },
  { title: say`Delete this job`, act: removeJob },
]);
defineExpose({ chooseFile: () => fileField.value?.click() });
</script>

<template>
  <header class="flex h-11 min-w-0 items-stretch border-b border-line bg-chalk">
    <div class="flex w-[208px] shrink-0 items-center gap-2.5 border-r border-line px-3 max-lg:w-auto">
      <button
        type="button"
        class="-ml-2 flex size-11 items-center justify-center text-teal lg:hidden"
        @click="$emit('rack')"
      >
        <MenuIcon :size="22" aria-hidden="true" /><span class="sr-only">{{ say`Open the rack` }}</span>
      </button>
      <Anchor
        :size="24"
        class="shrink-0 text-copper-text max-lg:hidden"
        :stroke-width="2.2"
        aria-hidden="true"
      />
      <span class="figure text-[20px] font-semibold whitespace-nowrap max-lg:hidden">Gruff Anchor</span>
    </div>
    <Menu as="div" class="relative min-w-0 max-sm:flex-1">
      <MenuButton
        class="flex h-full max-w-full min-w-0 items-center gap-2 px-3.5 hover:bg-teal-tint focus-visible:-outline-offset-2"
      >
        <span class="figure truncate text-[18px] font-semibold">{{ job?.title ?? say`No job` }}</span>
        <span class="truncate text-ink2 max-2xl:hidden">{{ job?.subtitle }}</span>
        <ChevronDown :size="17" class="shrink-0 text-teal" aria-hidden="true" /><span class="sr-only">{{
          say`Jobs and files`
        }}</span>
      </MenuButton>
      <MenuItems
        class="absolute left-0 z-40 mt-px max-h-[80vh] w-80 max-w-[92vw] overflow-auto border border-line bg-lamp shadow-lg focus:outline-none"
      >
        <MenuItem v-for="other in bench.jobs" :key="other.id" v-slot="{ active }">
          <button
            type="button"
            class="flex min-h-11 w-full items-center gap-2 px-3 py-1.5 text-left"
            :class="active ? 'bg-teal-tint' : ''"
            @click="router.push(placeOf(other.id, other.cables[0]?.id))"
          >
            <Check
              :size="16"
              class="shrink-0 text-teal"
              :class="other.id === job?.id ? '' : 'invisible'"
              aria-hidden="true"
            />
            <span class="min-w-0 flex-1 truncate">{{ other.title }}</span>
            <span class="note">{{ other.cables.length }}</span>
          </button>
        </MenuItem>
        <div class="border-t border-line" />
        <MenuItem v-for="{ title, act } in actions" :key="title" v-slot="{ active }">
          <button
            type="button"
            class="min-h-11 w-full px-3 text-left"
            :class="active ? 'bg-teal-tint' : ''"
            @click="act"
          >
            {{ title }}
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
    <SavedMark />
    <div class="ml-auto flex shrink-0 items-center gap-1.5 pr-2">
      <button
        type="button"
        class="flex size-9 items-center justify-center text-teal disabled:text-ink3/60 max-md:hidden"
        :disabled="!bench.undoable"
        :title="bench.undoable ? say`Undo: ${bench.undoable}` : say`Nothing to undo`"
        @click="bench.undo()"
      >
        <Undo2 :size="19" aria-hidden="true" /><span class="sr-only">{{ say`Undo ${bench.undoable}` }}</span>
      </button>
      <button
        type="button"
        class="flex size-9 items-center justify-center text-teal disabled:text-ink3/60 max-md:hidden"
        :disabled="!bench.redoable"
        :title="bench.redoable ? say`Redo: ${bench.redoable}` : say`Nothing to redo`"
        @click="bench.redo()"
      >
        <Redo2 :size="19" aria-hidden="true" /><span class="sr-only">{{ say`Redo ${bench.redoable}` }}</span>
      </button>
      <button
        type="button"
        class="box flex h-8 items-center gap-2 px-2.5 text-ink2 hover:bg-teal-tint"
        @click="$emit('command')"
      >
        <Search :size="16" aria-hidden="true" /><span class="max-lg:sr-only">{{ say`Find or do` }}</span
        ><kbd class="key max-lg:hidden">Ctrl K</kbd>
      </button>
      <SegmentedField
        v-model="prefs.sizes"
        :label="say`Name sizes by`"
        hide-label
        small
        class="max-md:hidden"
        :choices="[
          { value: 'metric', title: 'mm²' },
          { value: 'gauge', title: 'AWG' },
        ]"
      />
      <SegmentedField
        v-model="prefs.lengths"
        :label="say`Show lengths in`"
        hide-label
        small
        class="max-md:hidden"
        :choices="[
          { value: 'mm', title: 'mm' },
          { value: 'in', title: say`in` },
        ]"
      />
      <button
        type="button"
        class="flex size-9 items-center justify-center text-teal hover:bg-teal-tint"
        @click="prefs.theme = prefsStore.isDark ? 'light' : 'dark'"
      >
        <Contrast :size="20" aria-hidden="true" /><span class="sr-only">{{
          say`${prefsStore.isDark ? say`Light` : say`Dark`} colours`
        }}</span>
      </button>
      <button
        type="button"
        class="figure flex size-9 items-center justify-center text-[18px] font-semibold text-teal hover:bg-teal-tint max-sm:hidden"
        @click="$emit('keys')"
      >
        ?<span class="sr-only">{{ ' ' }}{{ say`keys` }}</span>
      </button>
    </div>
    <input
      ref="fileField"
      type="file"
      accept=".json,application/json"
      class="hidden"
      data-testid="file"
      @change="open"
    />
    <ModalBox v-if="refusal !== ''" open :title="say`Nothing was imported`" @close="refusal = ''">
      <p role="alert">{{ refusal }}</p>
      <p class="note mt-2">{{ say`Your jobs are as they were.` }}</p>
      <button type="button" class="button filled mt-4" @click="refusal = ''">{{ say`All right` }}</button>
    </ModalBox>
    <ReadingBox v-if="isReading" open @close="isReading = false" />
    <ModalBox v-if="isRenaming" open :title="say`This job`" @close="isRenaming = false">
      <TextField
        :label="say`Name`"
        :model-value="job?.title ?? ''"
        :longest="80"
        required
        @update:model-value="rename({ title: $event })"
      />
      <TextField
        :label="say`What it is`"
        :model-value="job?.subtitle ?? ''"
        :longest="120"
        @update:model-value="rename({ subtitle: $event })"
      />
      <button type="button" class="button filled mt-2" @click="isRenaming = false">{{ say`Done` }}</button>
    </ModalBox>
  </header>
</template>
