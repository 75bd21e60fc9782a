<script setup lang="ts">
import {
  Chart,
  type ChartData,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
} from 'chart.js';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { MEASURES } from '../../core/together/report.ts';
import type { Together, TradePoint } from '../../core/together/together.ts';
import { measured, type Totals } from '../../core/together/totals.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import { CHART_FONT, useChartColours } from '../bench/gauge/chartColours.ts';
import { lettered, uprightLine } from '../ui/chartMarks.ts';
import { say } from '../../core/words/say.ts';

/** The trade between what is lost and what it costs: each point the least that loses no more, and where this job stands. */
const { together, points, working } = defineProps<{
  together: Together;
  points: readonly TradePoint[];
  working: boolean;
}>();
const emit = defineEmits<{ take: [dropPercent: number] }>();

Chart.register(LineController, LineElement, PointElement, LinearScale);
const colours = useChartColours();

const measure = computed(() => MEASURES[together.sizing.least]);
const cost = (totals: Totals) => measured(together.sizing, totals);
const written = (totals: Totals) => figure(cost(totals), measure.value.unit, measure.value.decimals);
const kept = computed(() =>
  points.flatMap(({ dropPercent, totals }) => (totals ? [{ dropPercent, totals }] : [])),
);
const isAsked = (dropPercent: number) => dropPercent === together.sizing.dropPercent;
const use = (totals: Totals) => 100 * totals.use;

const data = computed((): ChartData<'line', { x: number; y: number }[]> => ({
  datasets: [
    {
      data: kept.value.map(({ totals }) => ({ x: use(totals), y: cost(totals) })),
      borderColor: colours.value.ink,
      borderWidth: 2,
      stepped: 'before',
      pointRadius: kept.value.map(({ dropPercent }) => (isAsked(dropPercent) ? 6 : 4)),
      pointBackgroundColor: kept.value.map(({ dropPercent }) =>
        isAsked(dropPercent) ? colours.value.teal : colours.value.paper,
      ),
      pointHitRadius: 14,
      clip: 8,
    },
    {
      data: [{ x: use(together.now), y: cost(together.now) }],
      borderColor: colours.value.copperText,
      backgroundColor: colours.value.copper,
      pointStyle: 'rectRot',
      pointRadius: 7,
      clip: 8,
    },
  ],
}));
const options = computed((): ChartOptions<'line'> => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  onClick: (_event, elements) => {
    const hit = elements.find(({ datasetIndex }) => datasetIndex === 0);
    const point = kept.value[hit?.index ?? -1];
    if (point) emit('take', point.dropPercent);
  },
  layout: { padding: { top: 12, right: 12 } },
  scales: {
    x: {
      type: 'linear',
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        callback: (value) => `${digits(Number(value), 0)} %`,
      },
    },
    y: {
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        maxTicksLimit: 5,
        callback: (value) => digits(Number(value), 0),
      },
    },
  },
}));
const marks: Plugin<'line'> = {
  id: 'trade-marks',
  afterDatasetsDraw({ ctx, chartArea, scales: { x, y } }) {
    if (!x || !y) return;
    const field = { ctx, chartArea };
    const allowed = x.getPixelForValue(100);
    if (allowed >= chartArea.left && allowed <= chartArea.right) {
      uprightLine(field, allowed, { colour: colours.value.ink, width: 1.6 });
      lettered(field, say`all that is allowed`, [allowed - 5, chartArea.top + 12], {
        ...{ colour: colours.value.ink2, weight: 400, px: 14, align: 'right' },
      });
    }
    const now = x.getPixelForValue(use(together.now));
    const isRight = now > (chartArea.left + chartArea.right) / 2;
    lettered(field, say`this job`, [now + (isRight ? -12 : 12), y.getPixelForValue(cost(together.now)) + 5], {
      ...{ colour: colours.value.copperText, weight: 600, px: 15, align: isRight ? 'right' : 'left' },
    });
  },
};
const spoken = computed(
  () =>
    say`What it costs to lose less: ${kept.value
      .map(({ totals }) => `${digits(use(totals), 0)} %, ${written(totals)}`)
      .join('; ')}`,
);
</script>

<template>
  <section :aria-label="say`The trade`">
    <h2 class="figure text-[17px] font-semibold">{{ say`What a smaller drop costs` }}</h2>
    <p class="note">
      {{ say`${measure.title}, against the share of its allowed drop that the worst load uses` }}
      <span v-if="working">{{ say`Still being calculated.` }}</span>
    </p>
    <div class="h-[190px]">
      <Line :data="data" :options="options" :plugins="[marks]" :aria-label="spoken" role="img" />
    </div>
    <ul class="mt-1 flex flex-wrap gap-1.5" :aria-label="say`Points of the trade`">
      <li v-for="point in points" :key="point.dropPercent">
        <button
          type="button"
          class="button small figure"
          :class="isAsked(point.dropPercent) ? 'filled' : ''"
          :aria-pressed="isAsked(point.dropPercent)"
          :disabled="!point.totals"
          @click="emit('take', point.dropPercent)"
        >
          {{ point.dropPercent }}&thinsp;%
          <span class="sr-only">{{ point.totals ? written(point.totals) : say`cannot be kept` }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>
