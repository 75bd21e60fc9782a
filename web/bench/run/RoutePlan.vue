<script setup lang="ts">
import { computed } from 'vue';
import type { Way } from '../../../core/model/run.ts';
import { type Route } from '../../../core/cutting/route.ts';
import { type PlanPoint, planStretches, pointAlong, trace } from '../../../core/cutting/routePlan.ts';
import { readersDigits } from '../../ui/display.ts';
import { say } from '../../../core/words/say.ts';
import { figure } from '../../../core/model/units/figure.ts';

/** The route from above, to scale: zones, holes, supports and places that rub stand where they are. */
const { route, way, leastRadiusMm } = defineProps<{ route: Route; way: Way; leastRadiusMm: number }>();

const sized = (mm: number) => readersDigits(mm, 'mm', 0);
const WIDTH = 690;
const MARGIN = 44;
const TALLEST = 190;

const stretches = computed(() => planStretches(route));
const totalMm = computed(() => stretches.value.reduce((sum, { lengthMm }) => sum + lengthMm, 0));
const all = computed(() => trace(stretches.value, 0, totalMm.value));
const box = computed(() => {
  const xs = all.value.map(({ x }) => x);
  const ys = all.value.map(({ y }) => y);
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
});
const scale = computed(() => {
  const { left, right, top, bottom } = box.value;
  return Math.min((WIDTH - 2 * MARGIN) / Math.max(1, right - left), TALLEST / Math.max(1, bottom - top));
});
const height = computed(() => (box.value.bottom - box.value.top) * scale.value + 2 * MARGIN);
/** In the middle where the height decides the scale. */
const offset = computed(() => (WIDTH - (box.value.right - box.value.left) * scale.value) / 2);
const place = ({ x, y }: Pick<PlanPoint, 'x' | 'y'>): [number, number] => [
  offset.value + (x - box.value.left) * scale.value,
  MARGIN + (y - box.value.top) * scale.value,
];
const line = (points: readonly PlanPoint[]) =>
  points.map((point, i) => `${i === 0 ? 'M' : 'L'}${place(point).join(' ')}`).join('');
const path = computed(() => line(all.value));
/** A mark across the way so many mm along it. */
function across(mm: number, reach: number): string {
  const at = pointAlong(stretches.value, mm);
  const [x, y] = place(at);
  const [dx, dy] = [-Math.sin(at.heading) * reach, Math.cos(at.heading) * reach];
  return `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`;
}
/** Where the way runs on the sheet, closely enough to keep words off it. */
const SAMPLES = 60;
const taken = computed(() =>
  Array.from({ length: SAMPLES + 1 }, (_, i) =>
    place(pointAlong(stretches.value, (totalMm.value * i) / SAMPLES)),
  ),
);
/** Nor on the figures of the legs. */
const figures = computed(() =>
  legs.value.map(({ x, y, anchor }): [number, number] => [anchor === 'end' ? x - 14 : x, y - 5]),
);
const LETTER_PX = 6.4;
/** Words beside a place on the way, on the side where more of the sheet is free. */
function beside(mm: number, words: string, reach: number) {
  const point = pointAlong(stretches.value, Math.min(mm, totalMm.value));
  const [x, y] = place(point);
  const half = (words.length * LETTER_PX) / 2;
  const sides = [1, -1].map((side) => {
    const dx = -Math.sin(point.heading) * reach * side;
    const dy = Math.cos(point.heading) * reach * side;
    const anchor = Math.abs(dx) < 6 ? 'middle' : dx > 0 ? 'start' : 'end';
    const middle = x + dx + (anchor === 'middle' ? 0 : Math.sign(dx) * half);
    const free = Math.min(
      ...[...taken.value, ...figures.value].map(([px, py]) =>
        Math.hypot(Math.max(0, Math.abs(px - middle) - half), py - y - dy),
      ),
      ...(middle - half < 4 || middle + half > WIDTH - 4 ? [0] : []),
    );
    return { x: x + dx, y: y + dy + 5, anchor, free };
  });
  return sides.reduce((best, side) => (side.free > best.free ? side : best));
}
const supports = computed(() => {
  const every = way.supportEveryMm;
  if (!every) return '';
  const count = Math.min(200, Math.floor(totalMm.value / every));
  return Array.from({ length: count }, (_, i) => across((i + 1) * every, 4)).join('');
});
/** A leg too short on the sheet to carry its figure goes without; the list has it. */
const SHORTEST_PX = 40;
const legs = computed(() =>
  stretches.value.flatMap((stretch, i) => {
    if (stretch.kind !== 'straight' || stretch.lengthMm * scale.value < SHORTEST_PX) return [];
    const [x, y] = place(pointAlong(stretches.value, stretch.fromMm + stretch.lengthMm / 2));
    const leg = route.legsMm[i / 2] ?? 0;
    const isSteep = Math.abs(Math.sin(stretch.start.heading)) > 0.5;
    return [
      {
        x: isSteep ? x - 9 : x,
        y: isSteep ? y + 5 : y - 9,
        anchor: isSteep ? 'end' : 'middle',
        text: sized(leg),
      },
    ];
  }),
);
const zones = computed(() =>
  way.zones.map((zone) => ({
    ...zone,
    d: line(trace(stretches.value, Math.min(zone.fromMm, totalMm.value), Math.min(zone.toMm, totalMm.value))),
    words: `${zone.what}, ${figure(zone.ambientC, '°C', 0)}`,
    label: beside((zone.fromMm + zone.toMm) / 2, `${zone.what}, ${figure(zone.ambientC, '°C', 0)}`, 20),
  })),
);
const marks = computed(() =>
  [
    ...way.holes.map(({ what, atMm, mm }) => ({ atMm, words: `${what}, ${sized(mm)}`, rub: false })),
    ...way.rubs.map(({ what, atMm, guarded }) => ({
      atMm,
      words: guarded ? say`${what}, guarded` : say`rubs: ${what}`,
      rub: !guarded,
    })),
  ].map((mark) => ({ ...mark, label: beside(mark.atMm, mark.words, 18) })),
);
const tight = computed(() =>
  stretches.value.filter((stretch) => stretch.kind === 'bend' && stretch.radiusMm < leastRadiusMm - 1e-9),
);
const studs = computed(() => [
  { name: 'A', at: place(pointAlong(stretches.value, 0)) },
  { name: 'B', at: place(pointAlong(stretches.value, totalMm.value)) },
]);
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${height}`"
    class="route-plan mt-1 block w-full border border-hairline bg-paper"
    role="img"
    :aria-label="say`The route in plan, ${route.legsMm.length} legs and ${route.bends.length} bends`"
  >
    <path
      v-for="zone in zones"
      :key="zone.what"
      :d="zone.d"
      fill="none"
      stroke="var(--copper-tint)"
      stroke-width="22"
      stroke-linecap="butt"
    />
    <path :d="path" fill="none" stroke="var(--ink)" stroke-width="4.5" stroke-linejoin="round" />
    <path
      v-for="(stretch, i) in tight"
      :key="`t${i}`"
      :d="line(trace(stretches, stretch.fromMm, stretch.fromMm + stretch.lengthMm))"
      fill="none"
      stroke="var(--fails)"
      stroke-width="6"
    />
    <path :d="supports" stroke="var(--ink3)" stroke-width="1.4" />
    <g v-for="mark in marks" :key="`${mark.words} ${mark.atMm}`">
      <path
        :d="across(Math.min(mark.atMm, totalMm), 11)"
        :stroke="mark.rub ? 'var(--close)' : 'var(--teal)'"
        stroke-width="2.5"
      />
      <text
        :x="mark.label.x"
        :y="mark.label.y"
        :text-anchor="mark.label.anchor"
        :class="mark.rub ? 'rub' : 'hole'"
      >
        {{ mark.words }}
      </text>
    </g>
    <text
      v-for="zone in zones"
      :key="`z${zone.what}`"
      class="zone"
      :x="zone.label.x"
      :y="zone.label.y"
      :text-anchor="zone.label.anchor"
    >
      {{ zone.words }}
    </text>
    <text v-for="(leg, i) in legs" :key="`l${i}`" class="leg" :x="leg.x" :y="leg.y" :text-anchor="leg.anchor">
      {{ leg.text }}
    </text>
    <g v-for="stud in studs" :key="stud.name">
      <circle
        :cx="stud.at[0]"
        :cy="stud.at[1]"
        r="10"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <text class="leg" :x="stud.at[0]" :y="stud.at[1] + 5" text-anchor="middle">{{ stud.name }}</text>
    </g>
  </svg>
</template>

<style>
.route-plan text {
  font: 400 14.5px var(--font-figure);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3.5px;
  stroke-linejoin: round;
}
.route-plan .leg {
  font-weight: 500;
  fill: var(--ink);
}
.route-plan .hole {
  fill: var(--teal);
}
.route-plan .rub {
  fill: var(--close);
}
.route-plan .zone {
  fill: var(--copper-text);
}
</style>
