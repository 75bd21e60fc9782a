<script setup lang="ts">
import { computed } from 'vue';
import { STUDS } from '../../core/model/tables/studs.ts';
import type { MadeEnd } from '../../core/training/exercise.ts';
import EndPicture from '../bench/workpiece/EndPicture.vue';
import { placeEnd, rectangle, toPath } from '../bench/workpiece/geometry.ts';
import { hexagonView } from '../bench/workpiece/lugShape.ts';
import { SHEET, studOffset } from '../bench/workpiece/sheet.ts';
import { isHome, madeSheet, type View } from './madeSheet.ts';

/** An end as somebody made it, to scale, with whatever was done wrong to be seen on it. */
const { made, view, scale, centreY, breakX, through } = defineProps<{
  made: MadeEnd;
  view: View;
  scale: number;
  centreY: number;
  breakX: number;
  /** Whether what is inside the barrel shows as hidden lines. */
  through: boolean;
}>();

const sheet = computed(() => madeSheet(made, view));
const place = computed(() => placeEnd(studOffset(sheet.value, scale), centreY, scale, 1));
const path = (segments: Parameters<typeof toPath>[0]) => toPath(segments, place.value);
const x = (u: number) => place.value([u, 0])[0];
const y = (v: number) => place.value([0, v])[1];

const bottom = computed(() => made.asked.lug.studToBarrelMm);
const mouth = computed(() => bottom.value + made.asked.lug.barrelMm);
const stud = computed(() => (STUDS[made.asked.stud].diameterMm / 2) * scale);
const sight = computed(() => ({ x: x(bottom.value + 1.6), r: 1.3 * scale }));

/** Inside the barrel: where the copper ends, and the jacket that was pushed in. */
const hidden = computed(() => {
  const half = made.asked.bundleMm / 2;
  const copper = rectangle(
    bottom.value + made.shortMm,
    mouth.value,
    Math.min(half, made.asked.lug.boreMm / 2),
  );
  const jacket =
    made.bareMm < 0
      ? rectangle(mouth.value + made.bareMm, mouth.value, made.asked.lug.outerMm / 2 - 0.4)
      : [];
  return path(copper) + (jacket.length > 0 ? path(jacket) : '');
});
/** A mouth that was forced over the jacket opens out. */
const forced = computed(() => {
  if (made.bareMm >= 0) return '';
  const half = made.asked.lug.outerMm / 2;
  const wide = Math.max(half, made.asked.outerMm / 2) + 1.1;
  const from = mouth.value + made.bareMm - 1;
  return [-1, 1]
    .map((side) =>
      path([
        ['M', [from, side * half]],
        ['C', [from + 1, side * half], [mouth.value - 1, side * wide], [mouth.value, side * wide]],
        ['L', [mouth.value, side * (half - 0.6)]],
        ['L', [from, side * (half - 0.6)]],
        ['Z'],
      ]),
    )
    .join('');
});
const strands = computed(() =>
  Array.from({ length: made.strandsOutside }, (_, i) => {
    const side = i % 2 === 0 ? -1 : 1;
    const from = Math.max(mouth.value + 0.4, sheet.value.jacketFromU);
    const root = side * (made.asked.bundleMm / 2) * (0.9 - 0.12 * Math.floor(i / 2));
    const out = side * (made.asked.lug.outerMm / 2 + 0.7 + 0.75 * Math.floor(i / 2));
    const reach = 5 + ((i * 3.7) % 5);
    return path([
      ['M', [from, root]],
      ['C', [from - 0.2, out], [mouth.value - 0.4, out], [mouth.value - 1.6, out]],
      ['L', [mouth.value - reach, out + side * 0.25 * (i % 3)]],
    ]);
  }),
);
/** Flash at the parting line, as high as it is. */
const ears = computed(() =>
  sheet.value.crimps
    .flatMap(({ fromU, toU, acrossFlatsMm }) => {
      const half = Math.min(hexagonView(acrossFlatsMm, 0).half, made.asked.lug.outerMm / 2);
      return [-1, 1].map((side) =>
        path([
          ['M', [fromU + 0.3, side * half]],
          ['L', [fromU + 0.6, side * (half + made.earsMm)]],
          ['L', [toU - 0.6, side * (half + made.earsMm)]],
          ['L', [toU - 0.3, side * half]],
          ['Z'],
        ]),
      );
    })
    .join(''),
);
const sleeve = computed(() => sheet.value.sleeve);
const beads = computed(() => {
  const shrunk = sleeve.value;
  if (!shrunk) return [];
  const { asked, beads: has } = made;
  const onJacket = asked.outerMm / 2 + shrunk.wallMm;
  const onBarrel = asked.lug.outerMm / 2 + shrunk.wallMm;
  return [
    ...(has.front ? [{ u: shrunk.fromU, half: onBarrel, turn: -1 }] : []),
    ...(has.back ? [{ u: shrunk.toU, half: onJacket, turn: 1 }] : []),
  ].map(({ u, half, turn }) =>
    path([
      ['M', [u, -half + 0.3]],
      ['C', [u + turn * 2.2, -half + 0.6], [u + turn * 1.1, -half * 0.4], [u + turn * 1.2, 0]],
      ['C', [u + turn * 1.1, half * 0.4], [u + turn * 2.2, half - 0.6], [u, half - 0.3]],
      ['Z'],
    ]),
  );
});
const brown = computed(() => {
  const own = sleeve.value;
  if (!own || made.brownedMm === 0) return null;
  const from = own.toU + 0.4;
  const half = made.asked.outerMm / 2;
  const bubbles = Array.from({ length: Math.max(2, Math.round(made.brownedMm / 2)) }, (_, i) => ({
    x: x(from + made.brownedMm * ((i * 0.618) % 1)),
    y: y(half * (((i * 0.43) % 1.4) - 0.7)),
    r: (0.5 + ((i * 0.37) % 0.6)) * scale,
  }));
  return {
    area: { x: x(from), y: y(-half), width: made.brownedMm * scale, height: 2 * half * scale },
    bubbles,
  };
});
const tag = computed(() => {
  const own = madeSheet(made, 'finished').sleeve;
  const width = 13 * scale;
  const height = Math.max(24, 0.8 * made.asked.outerMm * scale);
  return { x: x((own?.toU ?? 0) + 29), y: centreY - height / 2, width, height };
});
</script>

<template>
  <g>
    <g :transform="`translate(0 ${centreY - SHEET.centreY})`">
      <EndPicture
        :end="sheet"
        :outer-mm="made.asked.outerMm"
        :bundle-mm="made.asked.bundleMm"
        :scale="scale"
        :edge-x="0"
        :break-x="breakX"
        :jacket="made.colour"
        tag=""
        :lit="null"
      />
    </g>
    <g class="stud">
      <circle :cx="x(0)" :cy="centreY" :r="stud" fill="var(--steel)" stroke="var(--ink)" stroke-width="1.2" />
      <circle
        :cx="x(0)"
        :cy="centreY"
        :r="stud * 0.82"
        fill="none"
        stroke="var(--ink3)"
        stroke-width="0.8"
        stroke-dasharray="9 3"
      />
    </g>
    <template v-if="view === 'bare'">
      <circle
        :cx="sight.x"
        :cy="centreY"
        :r="sight.r"
        :fill="isHome(made) ? 'var(--crimp)' : 'var(--copper-line)'"
        stroke="var(--copper-line)"
        stroke-width="1.2"
      />
      <path
        v-if="isHome(made)"
        :d="`M${sight.x - sight.r * 0.7} ${centreY}h${sight.r * 1.4}m-${sight.r * 1.2} -${sight.r * 0.5}h${sight.r}m-${sight.r} ${sight.r}h${sight.r}`"
        stroke="var(--copper-line)"
        stroke-width="0.8"
      />
      <path
        v-if="forced"
        :d="forced"
        fill="var(--copper)"
        stroke="var(--copper-line)"
        stroke-width="1.1"
        stroke-linejoin="round"
      />
      <path
        v-if="made.earsMm > 0"
        :d="ears"
        fill="var(--crimp)"
        stroke="var(--copper-line)"
        stroke-width="0.9"
      />
      <path
        v-if="through"
        :d="hidden"
        fill="none"
        stroke="var(--copper-line)"
        stroke-width="0.9"
        stroke-dasharray="5 3"
      />
      <path
        v-for="strand in strands"
        :key="strand"
        :d="strand"
        fill="none"
        stroke="var(--copper-line)"
        :stroke-width="0.5 * scale"
        stroke-linecap="round"
      />
      <path
        v-for="strand in strands"
        :key="`on ${strand}`"
        :d="strand"
        fill="none"
        stroke="var(--copper)"
        :stroke-width="Math.max(0.6, 0.5 * scale - 1.4)"
        stroke-linecap="round"
      />
    </template>
    <template v-else>
      <path v-for="bead in beads" :key="bead" :d="bead" fill="#dcc98f" stroke="#6b5a2a" stroke-width="0.9" />
      <g v-if="brown">
        <rect v-bind="brown.area" fill="#7a4a1c" fill-opacity="0.72" />
        <circle
          v-for="(bubble, i) in brown.bubbles"
          :key="i"
          :cx="bubble.x"
          :cy="bubble.y"
          :r="bubble.r"
          fill="#54300f"
          stroke="#c79056"
          stroke-width="0.8"
        />
      </g>
      <rect v-bind="tag" fill="var(--tag)" stroke="var(--line)" stroke-width="0.9" />
      <text
        :x="tag.x + tag.width / 2"
        :y="centreY + 5.5"
        text-anchor="middle"
        font-size="15"
        class="figure"
        fill="var(--tag-ink)"
      >
        {{ made.asked.tag }}
      </text>
    </template>
  </g>
</template>
