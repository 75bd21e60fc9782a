<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
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
import {
  type Control,
  type Signal,
  TREND_MEASURES,
  type TrendMeasure,
  type TrendPoint,
} from '../../core/log/trends.ts';
import { figure } from '../../core/model/units/figure.ts';
import { CHART_FONT, useChartColours } from '../bench/gauge/chartColours.ts';
import { lettered, band, levelLine } from '../ui/chartMarks.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** Crimps of one die in the order they were made, with the limits within which it usually works. */
const { points, control, signals, measure, allowed } = defineProps<{
  points: readonly TrendPoint[];
  control: Control | null;
  signals: readonly Signal[];
  measure: TrendMeasure;
  /** What a crimp may be at all, where that is known. */
  allowed: { readonly least: number; readonly most: number } | null;
}>();

Chart.register(LineController, LineElement, PointElement, LinearScale);

const colours = useChartColours();
const facts = computed(() => TREND_MEASURES[measure]);
const isSignal = computed(() => {
  const marked = new Set<number>();
  for (const { from, to } of signals) for (let i = from; i <= to; i += 1) marked.add(i);
  return marked;
});
const data = computed((): ChartData<'line', { x: number; y: number }[]> => ({
  datasets: [
    {
      data: points.map(({ value }, i) => ({ x: i + 1, y: value })),
      borderColor: colours.value.ink,
      borderWidth: 1.5,
      pointRadius: points.map((_, i) => (isSignal.value.has(i) ? 6 : 3.5)),
      pointBackgroundColor: points.map((_, i) =>
        isSignal.value.has(i) ? colours.value.copperText : colours.value.ink,
      ),
      pointBorderColor: colours.value.paper,
      segment: {
        borderColor: ({ p1DataIndex }) =>
          isSignal.value.has(p1DataIndex) && isSignal.value.has(p1DataIndex - 1)
            ? colours.value.copperText
            : colours.value.ink,
      },
    },
  ],
}));
const bounds = computed(() => {
  const all = [
    ...points.map(({ value }) => value),
    ...(control ? [control.lower, control.upper] : []),
    ...(allowed ? [allowed.least, allowed.most] : []),
  ];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = 0.08 * (most - least || 1);
  return { min: least - room, max: most + room };
});
const options = computed((): ChartOptions<'line'> => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  parsing: false,
  layout: { padding: { right: 104 } },
  scales: {
    x: {
      type: 'linear',
      min: 0,
      max: points.length + 1,
      grid: { display: false },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        stepSize: Math.max(1, Math.ceil(points.length / 6)),
        includeBounds: false,
        maxRotation: 0,
        callback: (value) => dayText(points[Number(value) - 1]?.at ?? ''),
      },
    },
    y: {
      ...bounds.value,
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        maxTicksLimit: 6,
        callback: (value) => figure(Number(value), facts.value.unit, facts.value.decimals),
      },
    },
  },
}));
/** Mean, limits and what is allowed at all, each with its word at the right. */
const lines: Plugin<'line'> = {
  id: 'trend-lines',
  beforeDatasetsDraw({ ctx, chartArea, scales: { y } }) {
    if (!y) return;
    const levels = [
      ...(allowed
        ? [
            { value: allowed.most, word: say`allowed`, dash: [] as number[], width: 1.8 },
            { value: allowed.least, word: say`allowed`, dash: [] as number[], width: 1.8 },
          ]
        : []),
      ...(control
        ? [
            { value: control.upper, word: say`control`, dash: [5, 3], width: 1 },
            { value: control.mean, word: say`mean`, dash: [11, 3, 2, 3], width: 1 },
            { value: control.lower, word: say`control`, dash: [5, 3], width: 1 },
          ]
        : []),
    ];
    const field = { ctx, chartArea };
    if (control)
      band(
        field,
        { top: y.getPixelForValue(control.upper), bottom: y.getPixelForValue(control.lower) },
        colours.value.buff,
      );
    let lastLabel = Number.NEGATIVE_INFINITY;
    for (const { value, word, dash, width } of levels.toSorted((a, b) => b.value - a.value)) {
      const level = y.getPixelForValue(value);
      levelLine(field, level, { colour: colours.value.ink, width, dash });
      // Words that would lie on each other stand one under the other.
      lastLabel = Math.max(level + 4, lastLabel + 15);
      lettered(
        field,
        `${figure(value, '', facts.value.decimals)} ${word}`,
        [chartArea.right + 8, lastLabel],
        {
          colour: colours.value.ink2,
          weight: 500,
          px: 14,
        },
      );
    }
  },
};
</script>

<template>
  <Line
    :data="data"
    :options="options"
    :plugins="[lines]"
    role="img"
    :aria-label="
      say`${facts.title} of ${points.length} crimps, oldest first. ${signals.map(({ says }) => tell(says)).join(' ') || say`Nothing unusual.`}`
    "
  />
</template>
