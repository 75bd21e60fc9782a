<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { Check, ChevronDown } from '@lucide/vue';
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import type { Job } from '../../core/model/job.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { isPreferencesOpen } from '../ui/preferences.ts';
import TextField from '../ui/TextField.vue';
import MenuAction from '../ui/MenuAction.vue';
import { say } from '../../core/words/say.ts';

/** The jobs, and what is done with one as a whole. It is told names alone, so that an edit of a cable leaves it be. */
const { jobId, title, subtitle } = defineProps<{
  jobId: string | undefined;
  title: string | undefined;
  subtitle: string | undefined;
}>();

/** What reads and writes files comes with the first of them. */
const files = () => import('../storage/files.ts');
// Boxes come when they are opened.
const ModalBox = defineAsyncComponent(() => import('../ui/ModalBox.vue'));

const bench = useBench();
const router = useRouter();
const fileField = useTemplateRef<HTMLInputElement>('fileField');
const refusal = ref('');
/** What an export or an import had to leave out. */
const lacks = ref('');
const isRenaming = ref(false);

async function open(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (!file) return;
  const { importJob } = await files();
  const result = await importJob(file);
  if (!result.ok) refusal.value = result.sentence;
  else {
    lacks.value = result.lacks ?? '';
    await router.push(placeOf(result.value.id, result.value.cables[0]?.id));
  }
}

function newJob(): void {
  void router.push(placeOf(bench.addEmptyJob().id));
}

function removeJob(): void {
  if (jobId) bench.removeJob(jobId);
}

function rename(change: Partial<Pick<Job, 'title' | 'subtitle'>>): void {
  bench.edit(say`job name`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === jobId);
    if (own) Object.assign(own, change);
  });
}

async function exportThis(): Promise<void> {
  const { exportJob } = await files();
  const job = jobId === undefined ? undefined : bench.jobById(jobId);
  if (job) lacks.value = await exportJob(job, bench.shop);
}
/** A view of this job, or the one that goes without a job. */
function goTo(name: string, alone?: string): void {
  if (jobId !== undefined) void router.push({ name, params: { jobId } });
  else if (alone) void router.push({ name: alone });
}

const actions = computed(() => [
  { what: say`Export this job to a file`, act: () => void exportThis() },
  { what: say`Import a job from a file`, act: () => fileField.value?.click() },
  { what: say`Rename this job`, act: () => (isRenaming.value = true) },
  {
    what: say`House practice`,
    act: () => goTo('practice'),
  },
  {
    what: say`Spot the fault: training`,
    act: () => goTo('training'),
  },
  {
    what: say`Log of every cable`,
    act: () => goTo('log', 'log-alone'),
  },
  { what: say`Fault-finding without a job`, act: () => void router.push({ name: 'hunt-alone' }) },
  {
    what: say`Handover pack`,
    act: () => goTo('print-handover'),
  },
  {
    what: say`Backup, bin, history`,
    act: () => goTo('keeping', 'keeping-alone'),
  },
  // In both languages, so that who cannot read the one finds the other.
  { what: say`Preferences, language · Taal`, act: () => (isPreferencesOpen.value = true) },
  { what: say`Start page`, act: () => void router.push({ name: 'start' }) },
  { what: say`New empty job`, act: newJob },
  { what: say`Delete this job`, act: removeJob },
]);
</script>

<template>
  <Menu as="div" class="relative min-w-0 max-sm:flex-1">
    <MenuButton
      class="flex h-full max-w-full min-w-0 items-center gap-2 px-3.5 hover:bg-teal-tint focus-visible:-outline-offset-2"
    >
      <span class="figure truncate text-[18px] font-semibold">{{ title ?? say`No job` }}</span>
      <span class="truncate text-ink2 max-2xl:hidden">{{ subtitle }}</span>
      <ChevronDown :size="17" class="shrink-0 text-teal" aria-hidden="true" /><span class="sr-only">{{
        say`Jobs and files`
      }}</span>
    </MenuButton>
    <MenuItems
      class="absolute left-0 z-40 mt-px max-h-[80vh] w-80 max-w-[calc(100vw-64px)] overflow-auto border border-line bg-lamp shadow-lg focus:outline-none"
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
            :class="other.id === jobId ? '' : 'invisible'"
            aria-hidden="true"
          />
          <span class="min-w-0 flex-1 truncate">{{ other.title }}</span>
          <span class="note">{{ other.cables.length }}</span>
        </button>
      </MenuItem>
      <div class="border-t border-line" />
      <MenuAction v-for="{ what, act } in actions" :key="what" :title="what" @act="act" />
    </MenuItems>
  </Menu>
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
    <p class="note mt-2">{{ say`Your jobs are unchanged.` }}</p>
    <button type="button" class="button filled mt-4" @click="refusal = ''">{{ say`OK` }}</button>
  </ModalBox>
  <ModalBox v-if="lacks !== ''" open :title="say`Not everything was imported`" @close="lacks = ''">
    <p role="alert">{{ lacks }}</p>
    <button type="button" class="button filled mt-4" @click="lacks = ''">{{ say`OK` }}</button>
  </ModalBox>
  <ModalBox v-if="isRenaming" open :title="say`This job`" @close="isRenaming = false">
    <TextField
      :label="say`Name`"
      :model-value="title ?? ''"
      :longest="80"
      required
      @update:model-value="rename({ title: $event })"
    />
    <TextField
      :label="say`Description`"
      :model-value="subtitle ?? ''"
      :longest="120"
      @update:model-value="rename({ subtitle: $event })"
    />
    <button type="button" class="button filled mt-2" @click="isRenaming = false">{{ say`Done` }}</button>
  </ModalBox>
</template>
