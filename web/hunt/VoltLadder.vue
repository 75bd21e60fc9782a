<script setup lang="ts">
import { computed } from 'vue';
import type { Hunt } from '../../core/model/hunt.ts';
import type { Ladder } from '../../core/hunt/ladder.ts';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { digits } from '../../core/words/numerals.ts';
import { type ChainLayout, voltScale } from './layout.ts';
import { say } from '../../core/words/say.ts';

/** The volts left along the chain: cables fall as ramps, contacts as steps; thick as read, thin as it should be. */
const { hunt, found, ladder, layout, height } = defineProps<{
  hunt: Hunt;
  found: HuntFound;
  ladder: Ladder;
  layout: ChainLayout;
  height: number;
}>();

const scale = computed(() => voltScale(ladder, 8, height - 16));
const right = computed(() => layout.width - 12);
/** A piece as a line: a cable falls over its whole column, a contact in the middle of its own. */
function rung(place: number, from: number, to: number): [number, number][] {
  const x = layout.x(place);
  const end = x + layout.columnPx;
  const { y } = scale.value;
  if (hunt.pieces[place]?.kind === 'cable')
    return [
      [x, y(from)],
      [end, y(to)],
    ];
  const middle = x + layout.columnPx / 2;
  return [
    [x, y(from)],
    [middle, y(from)],
    [middle, y(to)],
    [end, y(to)],
  ];
}
const path = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
const should = computed(() =>
  ladder.rungs.flatMap(({ place, shouldFrom, shouldTo }) => rung(place, shouldFrom, shouldTo)),
);
const measured = computed(() => ladder.rungs.flatMap(({ place, from, to }) => rung(place, from, to)));
const tint = computed(() => `${path(should.value)}${path([...measured.value].reverse()).replace('M', 'L')}Z`);
/** What was not read by itself is dashed: it is shared out, or taken as it should be. */
const parts = computed(() => {
  const all = ladder.rungs.map(({ place, from, to, known }) => ({
    d: path(rung(place, from, to)),
    isRead: known === 'alone',
  }));
  const last = ladder.rungs[ladder.outCount - 1];
  const y = scale.value.y(last ? last.to : ladder.startV);
  const load = `M${layout.loadX} ${y}H${layout.loadX + layout.columnPx}`;
  return [...all, { d: load, isRead: true }];
});
const guilty = computed(() =>
  found.named
    .filter(({ piece }) => piece.kind !== 'cable')
    .flatMap(({ place }) => {
      const own = ladder.rungs[place];
      return own ? [{ place, x: layout.x(place) + layout.columnPx / 2, own }] : [];
    }),
);
const top = computed(() => guilty.value[0]);
const end = computed(() => ladder.rungs.at(-1));
/** The two ends of the ladder are written apart where they lie close. */
const endY = computed(() => {
  const [a, b] = [scale.value.y(end.value?.shouldTo ?? 0), scale.value.y(end.value?.to ?? 0)];
  return { should: a - 5, read: Math.max(b - 5, a + 12) };
});
</script>

<template>
  <svg
    :width="layout.width"
    :height="height"
    class="volt-ladder block"
    role="img"
    :aria-label="
      say`Volts left along the chain: ${digits(ladder.startV, 2)} at the posts, ${digits(ladder.loadV, 2)} at the load, ${digits(ladder.loadShouldV, 2)} if every part were sound.`
    "
  >
    <text x="44" y="12" text-anchor="end">{{ say`V left` }}</text>
    <g v-for="{ volts, says } in scale.lines" :key="volts">
      <path :d="`M${layout.left} ${scale.y(volts)}H${right}`" stroke="var(--grid)" />
      <text v-if="says && scale.y(volts) > 24" x="44" :y="scale.y(volts) + 4" text-anchor="end">
        {{ says }}
      </text>
    </g>
    <rect
      :x="layout.loadX"
      y="0"
      :width="layout.columnPx"
      :height="height"
      fill="var(--buff)"
      opacity="0.75"
    />
    <path :d="tint" fill="var(--fails)" opacity="0.1" />
    <path :d="path(should)" fill="none" stroke="var(--ink2)" stroke-width="1.2" />
    <path
      v-for="(part, i) in parts"
      :key="i"
      :d="part.d"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.4"
      stroke-linejoin="round"
      :stroke-dasharray="part.isRead ? undefined : '5 4'"
    />
    <path
      v-for="{ place, x, own } in guilty"
      :key="place"
      :d="`M${x} ${scale.y(own.from)}V${scale.y(own.to)}`"
      stroke="var(--fails)"
      stroke-width="5"
    />
    <g v-if="top">
      <path
        :d="`M${top.x - 14} ${scale.y(top.own.from)}V${scale.y(top.own.to)}m-4 0h8M${top.x - 18} ${scale.y(top.own.from)}h8`"
        stroke="var(--ink)"
        fill="none"
      />
      <text
        class="guilty"
        :x="top.x - 22"
        :y="(scale.y(top.own.from) + scale.y(top.own.to)) / 2 + 2"
        text-anchor="end"
      >
        {{ say`${digits(top.own.millivolt, 0)} mV` }}
      </text>
      <text :x="top.x - 22" :y="(scale.y(top.own.from) + scale.y(top.own.to)) / 2 + 17" text-anchor="end">
        {{ say`expected ${digits(top.own.shouldMillivolt, 0)}` }}
      </text>
    </g>
    <template v-if="end">
      <text :x="right" :y="endY.should" text-anchor="end">{{ digits(end.shouldTo, 2) }}</text>
      <text class="strong" :x="right" :y="endY.read" text-anchor="end">{{ digits(end.to, 2) }}</text>
    </template>
  </svg>
</template>

<style>
.volt-ladder text {
  font: 400 14px var(--font-figure);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.volt-ladder .strong {
  font-weight: 600;
  font-size: 16px;
  fill: var(--ink);
}
.volt-ladder .guilty {
  font-weight: 600;
  font-size: 18px;
  fill: var(--fails);
}
</style>
