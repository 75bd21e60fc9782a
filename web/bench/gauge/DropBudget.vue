<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  type ChartData,
  type ChartOptions,
  LinearScale,
  type Plugin,
} from 'chart.js';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import type { Run } from '../../../core/model/run.ts';
import type { Assessment } from '../../../core/sizing/assess.ts';
import type { Spender } from '../../../core/sizing/loop.ts';
import { dropShares, governingDrop } from '../../../core/sizing/governing.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import { CHART_FONT, useChartColours } from './chartColours.ts';
import { uprightLine } from '../../ui/chartMarks.ts';
import { say } from '../../../core/words/say.ts';

/** Who spends the drop: each part of the loop as a share of one bar, against what is allowed. */
const { at: assessed, run } = defineProps<{ at: Assessment; run: Run }>();

Chart.register(BarController, BarElement, LinearScale, CategoryScale);

const colours = useChartColours();
/** The load or the heaviest step, whichever comes nearer to its limit. */
const drop = computed(() => governingDrop(assessed, run));
const limit = computed(() => drop.value.limitPercent);
const shares = computed(() => dropShares(assessed, run));
const total = computed(() => drop.value.percent);
const colourOf = (kind: Spender['kind']) =>
  ({
    cable: colours.value.copper,
    return: colours.value.crimp,
    joints: colours.value.ink,
    device: colours.value.ink3,
  })[kind];

const data = computed((): ChartData<'bar', number[]> => ({
  labels: [''],
  datasets: shares.value.map(({ label, percent, kind }) => ({
    label: tell(label),
    data: [percent],
    backgroundColor: colourOf(kind),
    borderColor: colours.value.paper,
    borderWidth: 1,
    barThickness: 26,
  })),
}));
const options = computed((): ChartOptions<'bar'> => ({
  indexAxis: 'y',
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  scales: {
    x: {
      stacked: true,
      min: 0,
      max: Math.ceil(Math.max(limit.value, total.value) * 1.1),
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        maxTicksLimit: 5,
        includeBounds: false,
        callback: (value) => `${digits(Number(value), 1)} %`,
      },
    },
    y: { stacked: true, display: false },
  },
}));
const limitLine: Plugin<'bar'> = {
  id: 'limit',
  afterDatasetsDraw({ ctx, chartArea, scales }) {
    const x = scales['x']?.getPixelForValue(limit.value);
    if (x !== undefined) uprightLine({ ctx, chartArea }, x, { colour: colours.value.ink, width: 1.8 });
  },
};
const spoken = computed(
  () =>
    say`Drop budget: ${shares.value.map(({ label, percent }) => `${tell(label)} ${digits(percent, 2)} %`).join(', ')}; ${digits(limit.value, 1)} % is allowed`,
);
</script>

<template>
  <section :aria-label="say`Drop budget`">
    <header class="flex items-baseline justify-between border-b border-line pb-1">
      <h3 class="figure text-[17px] font-semibold">{{ say`Where the voltage drop goes` }}</h3>
      <p class="note">
        {{ say`${figure(total, '%', 2)} of ${figure(limit, '%', 1)} at ${figure(drop.amps, 'A', 0)}` }}
      </p>
    </header>
    <div class="mt-1 h-[66px]">
      <Bar :data="data" :options="options" :plugins="[limitLine]" role="img" :aria-label="spoken" />
    </div>
    <ul class="mt-1">
      <li v-for="(share, i) in shares" :key="i" class="figure flex items-baseline gap-2 text-[15px]">
        <span
          class="inline-block size-3 self-center border border-line"
          :style="{ background: colourOf(share.kind) }"
          aria-hidden="true"
        />
        <span class="min-w-0 flex-1 truncate">{{ tell(share.label) }}</span>
        <span class="text-ink2">{{ digits(share.ohm * 1000, 3) }} mΩ</span>
        <span class="w-14 text-right font-semibold">{{ figure(share.percent, '%', 2) }}</span>
      </li>
    </ul>
  </section>
</template>
