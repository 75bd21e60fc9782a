<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import {
  controlFinding,
  controlOf,
  LEAST_POINTS,
  signalsOf,
  TREND_MEASURES,
  type TrendMeasure,
  trendPoints,
} from '../../core/log/trends.ts';
import { acrossFlatsWindow } from '../../core/termination/dies/dieClosed.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import { useMade } from '../kit/made.ts';
import FillingMark from '../ui/FillingMark.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import ShowWork from '../ui/ShowWork.vue';
import StateMark from '../ui/StateMark.vue';
import SamplesPanel from './SamplesPanel.vue';
import TrendChart from './TrendChart.vue';
import { called } from '../../core/model/catalogue/called.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** What the shop's dies leave over time, by tool, die and person: a worn die or a tired hand shows. */
defineProps<{ jobId: string }>();

const bench = useBench();
const { made, worked, all } = useMade(() => ({ jobs: bench.jobs, shop: bench.shop }));
const points = computed(() => trendPoints(made.value, bench.shop));
const measure = ref<TrendMeasure>('across-flats');
const measures = (Object.keys(TREND_MEASURES) as TrendMeasure[]).map((value) => ({
  value,
  title: tell(TREND_MEASURES[value].title),
}));
const EVERYBODY = '';
const person = ref(EVERYBODY);
const people = computed(() => [
  { value: EVERYBODY, title: say`everybody` },
  ...[...new Set(points.value.map(({ by }) => by))]
    .filter((by) => by !== '')
    .sort()
    .map((by) => ({ value: by, title: by })),
]);

const ofMeasure = computed(() =>
  points.value.filter(
    (point) => point.measure === measure.value && (person.value === EVERYBODY || point.by === person.value),
  ),
);
/** Dies with something measured, what stands out first, then by how much there is. */
const dies = computed(() =>
  bench.shop.dies
    .flatMap((die) => {
      const ofDie = ofMeasure.value.filter(({ dieId }) => dieId === die.id);
      if (ofDie.length === 0) return [];
      const values = ofDie.map(({ value }) => value);
      const control = controlOf(values);
      const finding = control && controlFinding(measure.value, ofDie, control);
      const tool = called(bench.shop.tools.find(({ id }) => id === die.toolId)?.title ?? say`no tool`);
      return [
        {
          die,
          tool,
          points: ofDie,
          control,
          finding,
          signals: control ? signalsOf(values, control) : [],
        },
      ];
    })
    .sort(
      (a, b) =>
        Number(b.finding?.state === 'watch') - Number(a.finding?.state === 'watch') ||
        b.points.length - a.points.length,
    ),
);
const chosenId = ref<string | null>(null);
const chosen = computed(() => dies.value.find(({ die }) => die.id === chosenId.value) ?? dies.value[0]);
const facts = computed(() => TREND_MEASURES[measure.value]);
const allowed = computed(() => {
  if (measure.value !== 'across-flats' || !chosen.value) return null;
  const { leastMm, mostMm } = acrossFlatsWindow(chosen.value.die.acrossFlatsMm);
  return { least: leastMm, most: mostMm };
});
const latest = computed(() => chosen.value?.points.toReversed().slice(0, 12) ?? []);
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <FillingMark :done="worked" :all="all" />
      <div class="min-w-0 p-4 lg:flex lg:min-h-0 lg:flex-col">
        <header class="mb-3 grid items-end gap-3 sm:grid-cols-[1fr_330px_170px]">
          <div>
            <h1 class="figure text-[26px] leading-7 font-semibold">{{ say`Trends` }}</h1>
            <p class="note">{{ say`crimps of every job and every trial, oldest first` }}</p>
          </div>
          <SegmentedField v-model="measure" :label="say`Measure`" :choices="measures" />
          <ChoiceField v-model="person" :label="say`Made or measured by`" :choices="people" />
        </header>
        <template v-if="chosen">
          <p class="figure mb-1 flex flex-wrap items-baseline gap-x-3 text-[22px] leading-7 font-semibold">
            <span>{{ chosen.tool }}, {{ chosen.die.stamp || say`unmarked` }}</span>
            <span class="text-[17px] font-normal text-ink2">{{
              say`${digits(chosen.die.acrossFlatsMm, 2)} across flats, ${say`${chosen.points.length} crimp¦${chosen.points.length} crimps`}`
            }}</span>
          </p>
          <p v-if="chosen.finding" class="mb-2 flex items-center gap-2 text-[15px]" role="status">
            <StateMark :state="chosen.finding.state" />
            {{ tell(chosen.finding.because) }}
          </p>
          <p v-else class="mb-2 text-[15px]" role="status">
            {{
              say`${chosen.points.length} of the ${LEAST_POINTS} crimps that it takes to say how a die usually works.`
            }}
          </p>
          <div class="min-h-[320px] lg:min-h-0 lg:flex-1">
            <TrendChart
              :points="chosen.points"
              :control="chosen.control"
              :signals="chosen.signals"
              :measure="measure"
              :allowed="allowed"
            />
          </div>
        </template>
        <p v-else class="max-w-prose py-8 text-[15px]">
          {{
            say`Nothing of this is measured yet. Readings at Prove and trials in the tool case appear here by die; simulated ones never do.`
          }}
        </p>
      </div>
      <section
        :aria-label="say`Dies`"
        class="border-line bg-paper max-lg:border-t lg:min-h-0 lg:overflow-y-auto lg:border-l"
      >
        <h2 class="figure border-b border-line px-4 py-2.5 text-[18px] font-semibold">{{ say`Dies` }}</h2>
        <ul>
          <li v-for="own in dies" :key="own.die.id">
            <button
              type="button"
              class="flex min-h-11 w-full items-center gap-2 border-b border-l-4 border-b-hairline px-3 text-left focus-visible:-outline-offset-2"
              :class="
                own.die.id === chosen?.die.id
                  ? 'border-l-teal bg-teal-tint'
                  : 'border-l-transparent hover:bg-teal-tint/60'
              "
              :aria-current="own.die.id === chosen?.die.id ? 'true' : undefined"
              @click="chosenId = own.die.id"
            >
              <span class="min-w-0 flex-1">
                <span class="figure block text-[17px] leading-5">{{ own.die.stamp || say`unmarked` }}</span>
                <span class="note block truncate">{{ own.tool }}</span>
              </span>
              <span class="figure text-[15px] text-ink2">{{ own.points.length }}</span>
              <StateMark v-if="own.finding" :state="own.finding.state" />
              <span v-else class="note">{{ say`too few` }}</span>
            </button>
          </li>
        </ul>
        <ShowWork v-if="chosen?.finding" :finding="chosen.finding" class="border-b border-line" />
        <h3 v-if="latest.length > 0" class="figure px-4 pt-3 text-[16px] font-semibold">
          {{ say`The latest` }}
        </h3>
        <ul class="px-4 pb-4">
          <li
            v-for="(point, i) in latest"
            :key="i"
            class="flex compact items-center gap-2 border-b border-hairline"
          >
            <span class="figure w-20 text-[16px] font-semibold">{{
              figure(point.value, facts.unit, facts.decimals)
            }}</span>
            <span class="min-w-0 flex-1 truncate">{{ tell(point.where) }}</span>
            <span class="note">{{ point.by || say`nobody named` }}, {{ dayText(point.at) }}</span>
          </li>
        </ul>
        <SamplesPanel :worked="made" />
      </section>
    </main>
  </BenchFrame>
</template>
