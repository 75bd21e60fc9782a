<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { onKeyStroke, useWakeLock } from '@vueuse/core';
import { computed, onMounted, onScopeDispose, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { batchOf } from '../../core/traveller/batch.ts';
import type { WayOut } from '../../core/traveller/mishaps.ts';
import { madeOf } from '../kit/made.ts';
import { stillToPractise } from '../../core/traveller/practise.ts';
import { isPractising } from '../../core/model/stepId.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { workOf } from '../stores/work.ts';
import BenchHeader from './BenchHeader.vue';
import GatePanel from './GatePanel.vue';
import MishapBox from './MishapBox.vue';
import OffShelf from './OffShelf.vue';
import PractiseFirst from './PractiseFirst.vue';
import StepCaution from './StepCaution.vue';
import StepEntry from './StepEntry.vue';
import StepPhotos from './StepPhotos.vue';
import StepPicture from './StepPicture.vue';
import StepWords from './StepWords.vue';
import StepTimer from './StepTimer.vue';
import StepTrack from './StepTrack.vue';
import TrialEntry from './TrialEntry.vue';
import { useTraveller } from './useTraveller.ts';
import WhoField from './WhoField.vue';
import { say } from '../../core/words/say.ts';

/**
 * At the bench: one step fills the window. Space or a pedal goes on, Backspace goes back; what cannot be undone asks
 * first. The address holds the step, so that a reload comes back to it.
 */
const { jobId, cableId } = defineProps<{ jobId: string; cableId: string }>();

const bench = useBench();
const router = useRouter();
const route = useRoute();
const { prefs } = usePrefs();
const job = computed(() => bench.jobById(jobId));
const cable = computed(() => job.value?.cables.find(({ id }) => id === cableId));
const work = computed(() => cable.value && workOf(cable.value, bench.shop, job.value));
watch(
  cable,
  (own) => {
    if (!own) void router.replace('/begin');
  },
  { immediate: true },
);

const traveller = useTraveller(
  () => {
    if (!cable.value || !work.value) throw new Error('no cable at the bench');
    return { jobId, cable: cable.value, work: work.value };
  },
  () => {
    const { step } = route.query;
    return typeof step === 'string' ? step : undefined;
  },
);
const { steps, current, currentId, index, gates, isShut, hot, typed, judged, now, ago } = traveller;
const { trial, trialProblem, spoolId, takes } = traveller;
const untried = computed(() =>
  cable.value && work.value ? stillToPractise(cable.value, work.value, bench.shop) : [],
);
watch(currentId, (step) => {
  const { step: _, ...query } = route.query;
  void router.replace({ query: step ? { ...query, step } : query });
});

/** In a batch the next thing is the next of the batch, which may be of another cable. */
const batch = computed(() => {
  const ids = String(route.query['batch'] ?? '').split(',');
  if (!job.value || ids.length < 2) return null;
  return batchOf(madeOf([job.value], bench.shop).filter((own) => ids.includes(own.cable.id)));
});
const nextOfBatch = computed(() => {
  const items = batch.value?.flatMap((phase) => phase.items) ?? [];
  const here = items.findIndex(({ of, step }) => of.cable.id === cableId && step.id === currentId.value);
  return items.slice(here + 1).find(({ of, step }) => !of.cable.done.some((own) => own.step === step.id));
});
/** Ticks the step and goes on: along this cable, or along the batch. */
function finish(): void {
  const after = nextOfBatch.value;
  const isOther = after !== undefined && after.of.cable.id !== cableId;
  if (!traveller.done(!isOther) || !after) return;
  if (!isOther) currentId.value = after.step.id;
  else {
    void router.replace({
      params: { jobId, cableId: after.of.cable.id },
      query: { ...route.query, step: after.step.id },
    });
  }
}

/** The screen stays awake where the browser can keep it so. */
const wakeLock = useWakeLock();
onMounted(() => void wakeLock.request('screen').catch(() => undefined));
onScopeDispose(() => void wakeLock.release().catch(() => undefined));

const next = computed(() => {
  const after = nextOfBatch.value;
  if (after)
    return after.of.cable.id === cableId
      ? tell(after.step.short)
      : `${after.of.cable.tag}, ${tell(after.step.short)}`;
  return steps.value[index.value + 1]?.short;
});
function turnTo(id: string): void {
  void router.replace({ name: 'at-bench', params: { jobId, cableId: id } });
}

const isAsking = ref(false);
const isMishap = ref(false);
const needsName = ref(false);
watch(currentId, () => {
  isAsking.value = false;
});
const opened = ref(Date.now());
watch(currentId, () => {
  opened.value = Date.now();
});
const onStep = computed(() => (now.value.getTime() - opened.value) / 1000);

function goOn(): void {
  if (!current.value) return;
  needsName.value = prefs.person.trim() === '';
  if (needsName.value) return;
  if (isShut.value && !traveller.isDone(current.value)) {
    isAsking.value = true;
    return;
  }
  if (judged.value && !judged.value.holds) {
    isMishap.value = true;
    return;
  }
  finish();
}
function takeWay(what: string, out: WayOut): void {
  isMishap.value = false;
  traveller.mishap(what, out);
}
function leave(): void {
  isMishap.value = false;
  if (isShut.value) isAsking.value = true;
  else finish();
}

const isTyping = () => document.activeElement?.matches('input, textarea, [role=dialog] *') ?? false;
const isPressing = () => document.activeElement?.matches('button, a, [role=dialog] *') ?? false;
/** A pedal is a keyboard: most send Space or Page Down. */
onKeyStroke([' ', 'PageDown'], (event) => {
  if (isTyping() || (event.key === ' ' && isPressing())) return;
  event.preventDefault();
  goOn();
});
onKeyStroke(['Backspace', 'PageUp'], (event) => {
  if (isTyping()) return;
  event.preventDefault();
  traveller.back();
});
onKeyStroke('Escape', () => {
  if (!isMishap.value && !isTyping()) void router.push(placeOf(jobId, cableId, 'make'));
});
</script>

<template>
  <main
    v-if="cable && work"
    class="min-h-dvh bg-chalk lg:grid lg:h-[calc(100dvh-var(--bar,0px))] lg:grid-rows-[64px_80px_minmax(0,1fr)_96px] lg:overflow-hidden"
  >
    <h1 class="sr-only">{{ say`${cable.tag} at the bench` }}</h1>
    <BenchHeader :job-id="jobId" :cable="cable" :work="work" :hot="hot" :ago="ago" @turn="turnTo" />

    <StepTrack :steps="steps" :current-id="currentId" :cable="cable" @go="currentId = $event" />

    <div v-if="current" class="min-h-0 lg:grid lg:grid-cols-[412px_minmax(0,1fr)]">
      <StepCaution
        v-if="current.caution"
        class="lg:hidden"
        :caution="current.caution"
        :is-heeded="traveller.isHeededToday(current.caution.of)"
        @heed="traveller.heed(current.caution.of)"
      />
      <StepWords :step="current" :steps="steps" :work="work" />

      <div class="flex min-h-0 flex-col">
        <StepCaution
          v-if="current.caution"
          class="max-lg:hidden"
          :caution="current.caution"
          :is-heeded="traveller.isHeededToday(current.caution.of)"
          @heed="traveller.heed(current.caution.of)"
        />
        <StepPicture :step="current" :cable="cable" :work="work" class="flex-1" />
        <GatePanel
          v-if="isAsking && isShut"
          :gates="gates"
          :steps="steps"
          :ends-place="placeOf(jobId, cableId, 'ends')"
          class="lg:max-h-[62%] lg:overflow-y-auto"
          @heed="traveller.heed"
          @pass="traveller.pass"
          @go="currentId = $event"
        />
        <div v-else class="grid border-t border-line lg:grid-cols-[minmax(0,1fr)_176px_130px]">
          <div class="px-6 py-3">
            <TrialEntry
              v-if="current.end && traveller.asksTrial(current)"
              v-model="trial"
              :end="work.ends[current.end]"
              :problem="trialProblem"
            />
            <StepEntry
              v-else-if="current.ask"
              :key="current.id"
              v-model="typed"
              :ask="current.ask"
              :judged="judged"
              @done="goOn"
            />
            <PractiseFirst v-else-if="untried.length > 0" :untried="untried" @practise="traveller.practise" />
            <p v-else-if="takes.took.length === 0 && current.id !== 'cut'" class="text-[16px] text-ink2">
              {{ say`Nothing to measure at this step.` }}
            </p>
            <OffShelf v-model="spoolId" :cable="cable" :work="work" :step="current.id" :takes="takes" />
          </div>
          <div class="border-hairline px-4 py-3 max-lg:border-t lg:border-l">
            <p class="figure mb-1 text-[17px] text-ink2">{{ say`Photographs` }}</p>
            <StepPhotos
              :cable="cable"
              :job-id="jobId"
              :step-id="current.id"
              class="max-h-32 overflow-y-auto"
            />
          </div>
          <div class="border-hairline px-4 py-3 max-lg:border-t lg:border-l">
            <StepTimer :seconds="onStep" :takes="current.takes" />
          </div>
        </div>
      </div>
    </div>
    <div v-else class="p-8 lg:row-span-1">
      <h2 class="figure text-[44px] leading-[48px] font-semibold">{{ say`Every step is done` }}</h2>
      <p class="mt-2 max-w-prose text-[18px]">
        {{ say`Let it cool, then prove it: measure, pull, inspect. What is not measured is not proved.` }}
      </p>
      <RouterLink
        :to="placeOf(jobId, cableId, 'prove')"
        class="button filled mt-5 min-h-16 px-6 text-[20px]"
        >{{ say`Go to the proof` }}</RouterLink
      >
    </div>

    <footer
      class="flex flex-wrap items-center gap-3 border-t border-line bg-chalk px-6 py-3 max-lg:sticky max-lg:bottom-0 max-sm:gap-2 max-sm:px-3 max-sm:py-2"
    >
      <button
        type="button"
        class="button min-h-16 px-8 text-[20px] max-sm:min-h-14 max-sm:px-4 max-sm:text-[17px]"
        :disabled="index === 0"
        @click="traveller.back"
      >
        {{ say`Back` }}
      </button>
      <button
        v-if="current && !isPractising(current)"
        type="button"
        class="button min-h-16 px-5 text-[20px] max-sm:min-h-14 max-sm:px-3 max-sm:text-[17px]"
        @click="isMishap = true"
      >
        {{ say`Something went wrong` }}
      </button>
      <WhoField :job-id="jobId" :needed="needsName" @said="needsName = false" />
      <p v-if="isShut && current" class="figure ml-auto max-w-52 text-right text-[17px] leading-5">
        {{ say`${gates.find(({ open }) => !open)?.gate.says}: not yet` }}
      </p>
      <button
        v-if="current"
        type="button"
        class="button filled ml-auto flex min-h-16 min-w-72 flex-1 items-center gap-4 px-6 text-left lg:max-w-[520px]"
        @click="goOn"
      >
        <b class="figure text-[28px] font-semibold">{{
          traveller.isDone(current) ? say`Next` : say`Done`
        }}</b>
        <span class="figure flex-1 text-[18px]">{{ next ? say`then ${next}` : say`then testing` }}</span>
        <span class="key max-sm:hidden">{{ say`Space or pedal` }}</span>
      </button>
    </footer>
    <MishapBox
      v-if="isMishap && current"
      :step="current"
      :cable="cable"
      :work="work"
      :is-leavable="typed !== null"
      @close="isMishap = false"
      @take="takeWay"
      @leave="leave"
    />
  </main>
</template>
