<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Stage } from '../../core/model/cable.ts';
import RackPanel from '../rack/RackPanel.vue';
import { useRacked } from '../rack/useRacked.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { useIsDesk } from '../ui/useWide.ts';
import TopBar from './TopBar.vue';
import { useBenchKeys } from './useBenchKeys.ts';

/** What only keys open is fetched once the page stands, so that it is there when they are pressed. */
const FETCHED_AFTER_MS = 300;
const commandBox = () => import('./CommandBox.vue');
const CommandBox = defineAsyncComponent(commandBox);
const RackDrawer = defineAsyncComponent(() => import('./RackDrawer.vue'));
const KeysBox = defineAsyncComponent(() => import('./KeysBox.vue'));
onMounted(() => setTimeout(() => void commandBox().catch(() => {}), FETCHED_AFTER_MS));

/** What stands round every page of a job, and round what stands alone: the top bar, the rack, and what the keys open. */
const {
  jobId,
  cableId,
  stage = 'run',
} = defineProps<{
  jobId?: string | undefined;
  cableId?: string | undefined;
  stage?: Stage;
}>();

const bench = useBench();
const router = useRouter();
const route = useRoute();
const isDesk = useIsDesk();
const isRackOpen = ref(false);
const rack = useTemplateRef('rack');
const job = computed(() => (jobId === undefined ? undefined : bench.jobById(jobId)));
const racked = useRacked(() => (job.value ? { job: job.value, shop: bench.shop } : null));

watch(
  () => route.fullPath,
  () => {
    isRackOpen.value = false;
  },
);

function addCable(): void {
  if (jobId === undefined) return;
  const fresh = bench.addCable(jobId);
  if (fresh) void router.push(placeOf(jobId, fresh.id, 'run'));
}

const { isCommandOpen, isKeysOpen } = useBenchKeys({
  job,
  cableId: () => cableId,
  stage: () => stage,
  addCable,
  focusFilter: () => rack.value?.focusFilter(),
});
const wasCommandOpen = ref(false);
const wereKeysOpen = ref(false);
/** The field of the job's menu that takes a file. */
const openFile = () => document.querySelector<HTMLInputElement>('[data-testid=file]')?.click();
/** Whoever is sent to a part of a page finds it in sight. */
watch(
  () => route.query['part'],
  async (part) => {
    if (typeof part !== 'string') return;
    await nextTick();
    document.querySelector(`[data-part="${CSS.escape(part)}"]`)?.scrollIntoView({ block: 'start' });
  },
  { immediate: true, flush: 'post' },
);
watch([isCommandOpen, isKeysOpen], ([command, keys]) => {
  wasCommandOpen.value ||= command;
  wereKeysOpen.value ||= keys;
});
</script>

<template>
  <div
    class="min-h-dvh lg:grid lg:h-[calc(100dvh-var(--bar,0px))] lg:grid-rows-[44px_minmax(0,1fr)] lg:overflow-hidden print:!block print:!h-auto print:!overflow-visible"
    :class="job ? 'lg:grid-cols-[208px_minmax(0,1fr)]' : 'lg:grid-cols-[minmax(0,1fr)]'"
  >
    <TopBar
      :job-id="job?.id"
      :title="job?.title"
      :subtitle="job?.subtitle"
      :class="job ? 'lg:col-span-2' : ''"
      @rack="isRackOpen = true"
      @command="isCommandOpen = true"
      @keys="isKeysOpen = true"
    />
    <RackPanel
      v-if="racked && isDesk"
      ref="rack"
      :racked="racked"
      :cable-id="cableId"
      :stage="stage"
      class="border-r border-line print:hidden"
      @add="addCable"
    />
    <RackDrawer v-if="racked && !isDesk && isRackOpen" open @close="isRackOpen = false">
      <RackPanel :racked="racked" :cable-id="cableId" :stage="stage" class="h-full" @add="addCable" />
    </RackDrawer>
    <slot :add-cable="addCable" />
    <CommandBox
      v-if="job && wasCommandOpen"
      :open="isCommandOpen"
      :job="job"
      :cable-id="cableId"
      :stage="stage"
      @close="isCommandOpen = false"
      @add="addCable"
      @keys="isKeysOpen = true"
      @import="openFile"
    />
    <KeysBox v-if="wereKeysOpen" :open="isKeysOpen" @close="isKeysOpen = false" />
  </div>
</template>
