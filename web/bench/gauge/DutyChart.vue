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
import type { Assessment } from '../../../core/sizing/assess.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import { CHART_FONT, useChartColours } from './chartColours.ts';
import { lettered, levelLine } from '../../ui/chartMarks.ts';
import { say } from '../../../core/words/say.ts';
import { readersDigits } from '../../ui/display.ts';
import { amount } from '../../../core/words/message.ts';

/** Conductor temperature over a duty, with its limit, its peak, and what it is worth in steady amps. */
const { at: assessed, ambientC } = defineProps<{ at: Assessment; ambientC: number }>();

Chart.register(LineController, LineElement, PointElement, LinearScale);

const colours = useChartColours();
const cycle = computed(() => assessed.duty?.cycle ?? null);
const data = computed((): ChartData<'line', { x: number; y: number }[]> => ({
  datasets: [
    {
      data: (cycle.value?.samples ?? []).map(({ seconds, conductorC }) => ({ x: seconds, y: conductorC })),
      borderColor: colours.value.copperText,
      borderWidth: 2,
      pointRadius: 0,
    },
  ],
}));
const options = computed((): ChartOptions<'line'> => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  parsing: false,
  scales: {
    x: {
      type: 'linear',
      min: 0,
      max: cycle.value?.samples.at(-1)?.seconds ?? 1,
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        maxTicksLimit: 5,
        includeBounds: false,
        callback: (value) => `${digits(Number(value), 0)} s`,
      },
    },
    y: {
      min: Math.floor(ambientC / 10) * 10,
      max: Math.ceil((Math.max(assessed.limitC, cycle.value?.peakC ?? 0) + 8) / 10) * 10,
      grid: { color: colours.value.grid },
      ticks: {
        font: CHART_FONT,
        color: colours.value.ink2,
        maxTicksLimit: 4,
        callback: (value) => readersDigits(Number(value), '°C', 0),
      },
    },
  },
}));
/** The limit as a line, and the peak as a point with its figure. */
const marks: Plugin<'line'> = {
  id: 'duty-marks',
  afterDatasetsDraw({ ctx, chartArea, scales }) {
    const { x, y } = scales;
    const shown = cycle.value;
    if (!x || !y || !shown) return;
    const field = { ctx, chartArea };
    const level = y.getPixelForValue(assessed.limitC);
    levelLine(field, level, { colour: colours.value.ink, width: 1.6 });
    const [px, py] = [x.getPixelForValue(shown.peakAtS), y.getPixelForValue(shown.peakC)];
    ctx.save();
    ctx.fillStyle = colours.value.copperText;
    ctx.beginPath();
    ctx.arc(px, py, 4.5, 0, 2 * Math.PI);
    ctx.fill();
    ctx.restore();
    const isRight = px > (chartArea.left + chartArea.right) / 2;
    lettered(field, figure(shown.peakC, '°C', 1), [px + (isRight ? -8 : 8), py - 5], {
      colour: colours.value.copperText,
      weight: 600,
      px: 17,
      align: isRight ? 'right' : 'left',
    });
    lettered(field, say`${amount(assessed.limitC, '°C', 0)} is the limit`, [chartArea.right - 4, level - 5], {
      colour: colours.value.ink2,
      weight: 400,
      px: 14,
      align: 'right',
    });
  },
};
const worth = computed(() => {
  const shown = cycle.value;
  if (!shown) return '';
  const held =
    shown.secondsToLimit === null
      ? say`can be carried continuously`
      : say`the heaviest step may last ${figure(shown.secondsToLimit, 's', 0)}`;
  return say`Heats like ${figure(shown.equivalentA, 'A', 0)} continuous; ${held}.`;
});
</script>

<template>
  <section :aria-label="say`Duty cycle`">
    <header class="flex items-baseline justify-between border-b border-line pb-1">
      <h3 class="figure text-[17px] font-semibold">{{ say`Heat over the duty` }}</h3>
    </header>
    <div v-if="cycle" class="mt-1 h-[150px]">
      <Line
        :data="data"
        :options="options"
        :plugins="[marks]"
        role="img"
        :aria-label="say`Conductor temperature over the duty, peak ${amount(cycle.peakC, '°C', 1)}. ${worth}`"
      />
    </div>
    <p v-if="cycle" class="note mt-1">{{ worth }}</p>
    <p v-else class="py-6" role="status">{{ say`Calculating the duty cycle …` }}</p>
  </section>
</template>
