<script setup lang="ts">
import { onKeyStroke, useWakeLock } from '@vueuse/core';
import { ArrowLeft } from '@lucide/vue';
import { computed, onMounted, onScopeDispose, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { batchOf } from '../../core/traveller/batch.ts';
import { hotEnds } from '../../core/traveller/gates.ts';
import { kindOf } from '../../core/traveller/step.ts';
import type { WayOut } from '../../core/traveller/mishaps.ts';
import { madeOf } from '../kit/made.ts';
import SavedMark from '../bench/SavedMark.vue';
import CableMiniature from '../rack/CableMiniature.vue';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { workOf } from '../stores/work.ts';
import { inReadersUnit } from '../ui/display.ts';
import { clock } from './clock.ts';
import GatePanel from './GatePanel.vue';
import MishapBox from './MishapBox.vue';
import StepCaution from './StepCaution.vue';
import StepEntry from './StepEntry.vue';
import StepPhotos from './StepPhotos.vue';
import StepPicture from './StepPicture.vue';
import StepTrack from './StepTrack.vue';
import { useTraveller } from './useTraveller.ts';

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

const shown = computed(() => {
  const figure = current.value?.figure;
  if (!figure) return null;
  return figure.means.startsWith('degrees')
    ? { value: String(figure.value), unit: '°' }
    : inReadersUnit(figure.value, figure.unit, figure.decimals, prefs.lengths);
});
const next = computed(() => {
  const after = nextOfBatch.value;
  if (after)
    return after.of.cable.id === cableId ? after.step.short : `${after.of.cable.tag}, ${after.step.short}`;
  return steps.value[index.value + 1]?.short;
});
const crimps = computed(() => {
  const step = current.value;
  if (!step?.end || kindOf(step.id) !== 'crimp') return null;
  const all = steps.value.filter(({ id, end }) => end === step.end && kindOf(id) === 'crimp');
  const end = work.value?.ends[step.end];
  return {
    text: `${all.indexOf(step) + 1} of ${all.length}`,
    stamp: end?.die?.die.stamp ?? '',
    flats: end?.die?.die.acrossFlatsMm ?? 0,
    width: end?.die?.die.widthMm ?? 0,
    tool: end?.tool?.title ?? '',
  };
});
/** Another cable that is begun and not finished: a second one may be in progress while this one cools. */
const other = computed(() => {
  const begun = (job.value?.cables ?? []).flatMap((own) => {
    if (own.id === cableId || own.done.length === 0) return [];
    const its = workOf(own, bench.shop, job.value);
    const left = its.steps.filter(({ id }) => !own.done.some(({ step }) => step === id));
    const [burning] = hotEnds(own, its, ago.value);
    return left.length > 0 || burning
      ? [{ own, left: left[0], count: its.steps.length - left.length, all: its.steps.length, burning, its }]
      : [];
  });
  const last = (of: (typeof begun)[number]) => of.own.done.at(-1)?.at ?? '';
  return begun.sort((a, b) => last(b).localeCompare(last(a)))[0];
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
  finish();
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
onKeyStroke('o', () => {
  if (!isTyping() && other.value) turnTo(other.value.own.id);
});
</script>

<template>
  <main
    v-if="cable && work"
    class="min-h-dvh bg-chalk lg:grid lg:h-dvh lg:grid-rows-[64px_80px_minmax(0,1fr)_96px] lg:overflow-hidden"
  >
    <h1 class="sr-only">{{ cable.tag }} at the bench</h1>
    <header class="flex flex-wrap items-stretch border-b border-line">
      <RouterLink
        :to="placeOf(jobId, cableId, 'make')"
        class="flex min-h-14 items-center gap-2.5 border-r border-hairline px-5 text-[17px] font-bold text-teal"
      >
        <ArrowLeft :size="20" aria-hidden="true" /> All steps <span class="key max-sm:hidden">Esc</span>
      </RouterLink>
      <div class="flex min-w-0 flex-1 items-center gap-4 px-5">
        <b class="figure text-[28px] leading-8 font-semibold whitespace-nowrap">{{ cable.tag }}</b>
        <CableMiniature
          class="max-md:hidden"
          :outer-mm="work.choice.taken.at.outerMm"
          :length-mm="cable.run.lengthMm"
          :jacket="cable.jacket"
        />
        <span class="truncate text-[16px] text-ink2">{{ cable.ends.A.at }} → {{ cable.ends.B.at }}</span>
        <SavedMark class="border-l border-hairline pl-4 text-[16px]" />
        <span v-for="own in hot" :key="own.end" class="figure text-[18px] text-fails" role="timer"
          >{{ own.end }} hot {{ clock(own.waitS) }}</span
        >
      </div>
      <button
        v-if="other"
        type="button"
        class="flex min-h-14 items-center gap-4 border-l border-hairline bg-lamp px-5 text-left hover:bg-teal-tint"
        @click="turnTo(other.own.id)"
      >
        <b class="figure text-[21px] font-semibold">{{ other.own.tag }}</b>
        <span class="leading-5 text-ink2">
          {{ other.count }} of {{ other.all }}{{ other.left ? `, then ${other.left.short}` : ', all done' }}
          <span v-if="other.burning" class="block text-fails">{{ other.burning.end }} hot, hands off</span>
        </span>
        <span v-if="other.burning" class="figure text-[28px] font-semibold" role="timer">{{
          clock(other.burning.waitS)
        }}</span>
        <span class="key">O</span>
      </button>
    </header>

    <StepTrack :steps="steps" :current-id="currentId" :cable="cable" @go="currentId = $event" />

    <div v-if="current" class="min-h-0 lg:grid lg:grid-cols-[412px_minmax(0,1fr)]">
      <StepCaution
        v-if="current.caution"
        class="lg:hidden"
        :caution="current.caution"
        :is-heeded="traveller.isHeededToday(current.caution.of)"
        @heed="traveller.heed(current.caution.of)"
      />
      <section
        aria-label="What to do"
        class="flex flex-col border-line px-6 py-5 lg:overflow-y-auto lg:border-r"
      >
        <p class="figure text-[19px] text-ink2">
          Step {{ index + 1 }} of {{ steps.length
          }}<template v-if="current.end">, end {{ current.end }}</template>
        </p>
        <h2 class="figure text-[34px] leading-[37px] font-semibold">{{ current.order }}</h2>
        <template v-if="shown">
          <p
            class="figure mt-3 leading-[0.95] font-semibold whitespace-nowrap"
            :class="shown.value.length > 5 ? 'text-[104px]' : 'text-[150px]'"
          >
            {{ shown.value }}<span class="text-[42px] font-medium text-ink2"> {{ shown.unit }}</span>
          </p>
          <p class="figure text-[21px]">{{ current.figure?.means }}</p>
        </template>
        <div v-if="crimps" class="mt-3 flex items-center gap-4 border-t border-hairline pt-3">
          <svg viewBox="-34 -30 68 60" class="w-16 shrink-0" aria-hidden="true">
            <path d="M-32 0L-16 -27H16L32 0L16 27H-16Z" fill="var(--copper)" stroke="var(--copper-line)" />
            <text
              class="figure"
              y="8"
              text-anchor="middle"
              font-size="23"
              font-weight="600"
              fill="var(--on-copper)"
            >
              {{ crimps.stamp || '?' }}
            </text>
          </svg>
          <p class="flex-1">
            <b class="figure block text-[26px] leading-7 font-semibold"
              >Die {{ crimps.stamp || 'unmarked' }}</b
            >
            <span class="figure text-[16px] text-ink2"
              >{{ inReadersUnit(crimps.flats, 'mm', 2, prefs.lengths).value }} across flats,
              {{ inReadersUnit(crimps.width, 'mm', 0, prefs.lengths).value }} wide, {{ crimps.tool }}</span
            >
          </p>
          <p class="figure border-l border-hairline pl-4 text-[26px] leading-6 font-semibold">
            {{ crimps.text }}<span class="block text-[16px] font-normal text-ink2">crimps</span>
          </p>
        </div>
        <p class="mt-3 text-[16px] leading-[22px]">{{ current.detail }}</p>
        <p class="mt-auto border-t border-hairline pt-3 text-[16px]">
          <span class="figure text-ink2">Why</span> {{ current.why }}
        </p>
      </section>

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
          class="lg:max-h-[62%] lg:overflow-y-auto"
          @heed="traveller.heed"
          @pass="traveller.pass"
          @go="currentId = $event"
        />
        <div v-else class="grid border-t border-line lg:grid-cols-[minmax(0,1fr)_176px_130px]">
          <div class="px-6 py-3">
            <StepEntry
              v-if="current.ask"
              :key="current.id"
              v-model="typed"
              :ask="current.ask"
              :judged="judged"
              @done="goOn"
            />
            <p v-else class="text-[16px] text-ink2">Nothing to measure at this step.</p>
          </div>
          <div class="border-hairline px-4 py-3 max-lg:border-t lg:border-l">
            <p class="figure mb-1 text-[17px] text-ink2">Photographs</p>
            <StepPhotos
              :cable="cable"
              :job-id="jobId"
              :step-id="current.id"
              class="max-h-32 overflow-y-auto"
            />
          </div>
          <div class="border-hairline px-4 py-3 max-lg:border-t lg:border-l">
            <p class="figure text-[17px] text-ink2">This step</p>
            <p class="figure text-[38px] leading-10 font-semibold" role="timer">{{ clock(onStep) }}</p>
          </div>
        </div>
      </div>
    </div>
    <div v-else class="p-8 lg:row-span-1">
      <h2 class="figure text-[44px] leading-[48px] font-semibold">Every step is done</h2>
      <p class="mt-2 max-w-prose text-[18px]">
        Let it cool, then prove it: measure, pull, look. What is not measured is not proved.
      </p>
      <RouterLink :to="placeOf(jobId, cableId, 'prove')" class="button filled mt-5 min-h-16 px-6 text-[20px]"
        >To the proof</RouterLink
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
        Back
      </button>
      <button
        v-if="current"
        type="button"
        class="button min-h-16 px-5 text-[20px] max-sm:min-h-14 max-sm:px-3 max-sm:text-[17px]"
        @click="isMishap = true"
      >
        It went wrong
      </button>
      <label v-if="needsName || prefs.person.trim() === ''" class="flex items-center gap-2">
        <span
          :class="needsName ? 'font-bold text-fails' : 'text-ink2'"
          :role="needsName ? 'alert' : undefined"
          >Who is working?</span
        >
        <input
          :value="prefs.person"
          class="field-input w-36"
          maxlength="60"
          aria-label="Who is working"
          @change="prefs.person = ($event.target as HTMLInputElement).value"
        />
      </label>
      <p v-else-if="isShut && current" class="figure ml-auto max-w-52 text-right text-[17px] leading-5">
        {{ gates.find(({ open }) => !open)?.gate.says }}: not yet
      </p>
      <button
        v-if="current"
        type="button"
        class="button filled ml-auto flex min-h-16 min-w-72 flex-1 items-center gap-4 px-6 text-left lg:max-w-[520px]"
        @click="goOn"
      >
        <b class="figure text-[28px] font-semibold">{{ traveller.isDone(current) ? 'Next' : 'Done' }}</b>
        <span class="figure flex-1 text-[18px]">{{ next ? `then ${next}` : 'then the proof' }}</span>
        <span class="key max-sm:hidden">Space or pedal</span>
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
