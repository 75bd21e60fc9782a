<script setup lang="ts">
import {
  CategoryScale,
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
import { type ConductorSize } from '../../../core/model/tables/size.ts';
import type { Run } from '../../../core/model/run.ts';
import { governingDrop, hottestC } from '../../../core/sizing/governing.ts';
import type { Candidate } from '../../../core/sizing/choose.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import { CHART_FONT, useChartColours } from './chartColours.ts';
import { band, lettered, levelLine, uprightLine } from '../../ui/chartMarks.ts';
import { say } from '../../../core/words/say.ts';
import { sizeText, readersDigits, readersUnit } from '../../ui/display.ts';
import { amount } from '../../../core/words/message.ts';

/** Drop and temperature against size, each with its limit, the allowed sizes, and the chosen one. */
const { candidates, taken, run } = defineProps<{
  candidates: readonly Candidate[];
  taken: Candidate;
  run: Run;
}>();
const emit = defineEmits<{ choose: [size: ConductorSize] }>();

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale);

const colours = useChartColours();

const index = computed(() => candidates.indexOf(taken));
const allowed = computed(() => candidates.map(({ state }) => state !== 'fails'));
const labels = computed(() => candidates.map(({ at }) => at.size.name));

interface Curve {
  readonly id: string;
  readonly title: string;
  readonly values: (number | null)[];
  readonly limit: number;
  readonly limitText: string;
  readonly takenText: string;
  readonly most: number;
  readonly colour: string;
}

/** The next round figure for the top of an axis: 10, 12, 120 … */
function roundUp(value: number): number {
  const step = 10 ** Math.floor(Math.log10(value)) / 5;
  return Math.ceil(value / step) * step;
}

const curves = computed((): Curve[] => {
  const drop = governingDrop(taken.at, run);
  const hottest = hottestC(taken.at);
  const { limitC } = taken.at;
  const dropOf = ({ at }: Candidate) => {
    if (drop.of === 'surge') return at.duty?.dropPercent ?? null;
    return at.currentA === null ? null : at.dropPercent;
  };
  return [
    {
      id: 'drop',
      title: drop.of === 'surge' ? say`drop in the surge, %` : say`drop, %`,
      values: candidates.map(dropOf),
      limit: drop.limitPercent,
      limitText: say`${figure(drop.limitPercent, '%', 1)} is allowed`,
      takenText: figure(drop.percent, '%', 2),
      most: roundUp(Math.max(drop.limitPercent, drop.percent) * 2),
      colour: colours.value.ink,
    },
    {
      id: 'heat',
      title: say`hottest, ${readersUnit('°C')}`,
      values: candidates.map(({ at }) => hottestC(at)),
      limit: limitC,
      limitText: say`${amount(limitC, '°C', 0)} limit`,
      takenText: hottest === null ? say`overheats without limit` : figure(hottest, '°C', 0),
      most: roundUp(Math.max(limitC, hottest ?? 0) * 1.2),
      colour: colours.value.copperText,
    },
  ];
});

/**
 * The allowed sizes as a band, the limit as a line, and the chosen size with its value. A chart keeps the marks that it
 * began with, so they look the curve up each time they are drawn.
 */
function marks(id: Curve['id']): Plugin<'line'> {
  const now = () => curves.value.find((curve) => curve.id === id);
  return {
    id: `marks-${id}`,
    beforeDatasetsDraw({ ctx, chartArea, scales: { x, y } }) {
      const curve = now();
      if (!x || !y || !curve) return;
      const field = { ctx, chartArea };
      const first = allowed.value.indexOf(true);
      const halfStep = (x.getPixelForValue(1) - x.getPixelForValue(0)) / 2;
      const left = Math.max(chartArea.left, x.getPixelForValue(first) - halfStep);
      if (first >= 0) band(field, { left }, colours.value.buff);
      uprightLine(field, x.getPixelForValue(index.value), { colour: colours.value.teal, width: 2 });
      levelLine(field, y.getPixelForValue(curve.limit), { colour: colours.value.ink, width: 1.6 });
    },
    afterDatasetsDraw({ ctx, chartArea, scales: { x, y } }) {
      const curve = now();
      if (!x || !y || !curve) return;
      const field = { ctx, chartArea };
      const limitY = y.getPixelForValue(curve.limit);
      // At the left, on the side of the limit's line where the falling curve is not.
      const startsAbove = (curve.values.find((value) => value !== null) ?? 0) > curve.limit;
      lettered(field, curve.limitText, [chartArea.left + 4, limitY + (startsAbove ? 14 : -5)], {
        colour: colours.value.ink2,
        weight: 400,
        px: 14,
      });
      const level = y.getPixelForValue(curve.values[index.value] ?? curve.limit);
      // Above its point, unless the limit's line runs there: then below.
      const above = level - 9;
      const isClear = above - 14 > limitY || above < limitY - 4;
      const isRight = index.value > candidates.length * 0.6;
      const labelX = x.getPixelForValue(index.value) + (isRight ? -9 : 9);
      const labelY = isClear
        ? Math.max(chartArea.top + 14, above)
        : Math.min(chartArea.bottom - 4, level + 20);
      lettered(field, curve.takenText, [labelX, labelY], {
        colour: curve.colour,
        weight: 600,
        px: 17,
        align: isRight ? 'right' : 'left',
        halo: allowed.value[index.value] ? colours.value.buff : colours.value.paper,
      });
    },
  };
}

/** A value of a curve as its axis has it. */
const written = ({ id }: Curve, value: number, decimals: number) =>
  id === 'heat' ? readersDigits(value, '°C', decimals) : digits(value, decimals);

function dataOf(curve: Curve): ChartData<'line', (number | null)[]> {
  return {
    labels: labels.value,
    datasets: [
      {
        data: curve.values.map((value) => (value !== null && value <= curve.most ? value : null)),
        borderColor: curve.colour,
        backgroundColor: colours.value.paper,
        borderWidth: 2,
        pointRadius: candidates.map((_, i) => (i === index.value ? 5 : 3.5)),
        pointBackgroundColor: candidates.map((_, i) =>
          i === index.value ? curve.colour : colours.value.paper,
        ),
        tension: 0.25,
        clip: 6,
      },
    ],
  };
}

function optionsOf(curve: Curve): ChartOptions<'line'> {
  const font = CHART_FONT;
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    onClick: (_event, elements) => {
      const size = candidates[elements[0]?.index ?? -1]?.at.size;
      if (size) emit('choose', size);
    },
    interaction: { mode: 'index', intersect: false },
    layout: { padding: { top: 2, right: 6 } },
    scales: {
      x: { grid: { color: colours.value.grid }, ticks: { font, color: colours.value.ink2, padding: 2 } },
      y: {
        min: 0,
        max: curve.most,
        afterFit: (scale) => {
          scale.width = 34;
        },
        grid: { color: colours.value.grid },
        ticks: {
          font,
          color: colours.value.ink2,
          maxTicksLimit: 4,
          callback: (value) => written(curve, Number(value), 0),
        },
      },
    },
  };
}

const spoken = (curve: Curve) =>
  say`${curve.title} against size: ${candidates
    .map(({ at }, i) => `${sizeText(at.size)} ${written(curve, curve.values[i] ?? 0, 1)}`)
    .join(', ')}; ${curve.limitText}`;
</script>

<template>
  <div>
    <div v-for="curve in curves" :key="curve.id" class="mb-1">
      <p class="figure text-[14px] text-ink2">{{ curve.title }}</p>
      <div class="h-[104px]">
        <Line
          :data="dataOf(curve)"
          :options="optionsOf(curve)"
          :plugins="[marks(curve.id)]"
          :aria-label="spoken(curve)"
          role="img"
        />
      </div>
    </div>
  </div>
</template>
