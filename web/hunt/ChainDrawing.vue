<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { type Hunt, loadedOf, type Piece } from '../../core/model/hunt.ts';
import type { Ladder } from '../../core/hunt/ladder.ts';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { digits } from '../../core/words/numerals.ts';
import { withoutReading } from '../../core/hunt/changes.ts';
import { sizeText } from '../ui/display.ts';
import { layoutOf } from './layout.ts';
import PieceShape from './PieceShape.vue';
import ReadCell from './ReadCell.vue';
import { useChainReadings } from './useChainReadings.ts';
import VoltLadder from './VoltLadder.vue';
import { say } from '../../core/words/say.ts';
import { figure } from '../../core/model/units/figure.ts';

/** The chain out and back with what was read across each piece, and the ladder of volts under it. */
const { hunt, found, ladder } = defineProps<{ hunt: Hunt; found: HuntFound; ladder: Ladder | null }>();
const emit = defineEmits<{ change: [hunt: Hunt, what: string] }>();

const host = useTemplateRef<HTMLElement>('host');
const { width } = useElementSize(host);
const layout = computed(() => layoutOf(hunt, width.value));
const isCranking = computed(() => hunt.test === 'cranking');
const loaded = computed(() => loadedOf(hunt));
const nextIds = computed(() => {
  const { next } = found;
  if (!next) return [];
  const at = (piece: Piece) => hunt.pieces.findIndex(({ id }) => id === piece.id);
  return hunt.pieces.slice(at(next.first), at(next.last) + 1).map(({ id }) => id);
});
const { problem, problemAt, tell, take, clear, millivoltOf, ampsOf, isSimulated } = useChainReadings(
  () => hunt,
  (next, what) => emit('change', next, what),
);
const note = ({ size, lengthMm }: Piece) =>
  size && lengthMm !== undefined
    ? `${sizeText(size)} ${figure(lengthMm / 1000, 'm', lengthMm < 1000 ? 2 : 1)}`
    : '';
const isGuilty = (id: string) => found.named.some(({ piece }) => piece.id === id);

/** Readings over several pieces, each on a line of its own where they would lie on one another. */
const brackets = computed(() => {
  const lanes: number[] = [];
  return hunt.spans
    .filter(({ first, last }) => first !== last)
    .map((span) => {
      const places = [span.first, span.last].map((id) => hunt.pieces.findIndex((piece) => piece.id === id));
      const [from, to] = [Math.min(...places), Math.max(...places)];
      const free = lanes.findIndex((end) => end < from);
      const lane = free >= 0 ? free : lanes.length;
      lanes[lane] = to;
      return {
        span,
        lane,
        x: layout.value.x(from) + 4,
        end: layout.value.x(to) + layout.value.columnPx - 4,
      };
    });
});
const LANE = 22;
const lanes = computed(() => Math.max(0, ...brackets.value.map(({ lane }) => lane + 1)));
const columns = computed(() => {
  const before = hunt.pieces.slice(0, layout.value.outCount);
  const after = hunt.pieces.slice(layout.value.outCount);
  return [...before, null, ...after];
});
const template = computed(() => `52px repeat(${hunt.pieces.length + 1}, ${layout.value.columnPx}px)`);
const PICTURE = 128;
const LADDER = 196;
const probe = computed(() => {
  const places = nextIds.value.map((id) => hunt.pieces.findIndex((piece) => piece.id === id));
  const [first, last] = [places[0], places.at(-1)];
  if (first === undefined || last === undefined) return null;
  const { x, columnPx } = layout.value;
  const [from, to] = [x(first) + 6, x(last) + columnPx - 6];
  return { from, to, middle: (from + to) / 2 };
});
const dims = computed(() => {
  const { x, loadX, columnPx, outCount } = layout.value;
  const last = hunt.pieces.length - 1;
  const middle = (place: number) => x(place) + columnPx / 2;
  return {
    start: outCount > 0 ? middle(0) : loadX,
    loadFrom: loadX + 6,
    loadTo: loadX + columnPx - 6,
    end: last >= outCount ? middle(last) : loadX + columnPx,
  };
});
</script>

<template>
  <div
    ref="host"
    class="chain-drawing min-w-0 overflow-x-auto bg-paper"
    tabindex="0"
    :aria-label="say`The chain, left to right`"
  >
    <div v-if="width > 0" class="relative" :style="{ width: `${layout.width}px` }">
      <svg :width="layout.width" :height="PICTURE" class="relative block" aria-hidden="true">
        <g v-if="ladder" class="dims" stroke="var(--ink2)" fill="none">
          <path
            :d="`M${dims.start} 8V46M${dims.end} 8V46M${dims.loadFrom} 26V46M${dims.loadTo} 26V46`"
            stroke-width="0.8"
          />
          <path :d="`M${dims.start} 14H${dims.end}M${dims.start} 34H${dims.end}`" stroke-width="0.8" />
          <text :x="(dims.start + dims.end) / 2" y="18" text-anchor="middle">
            {{ say`${digits(ladder.startV, 2)} V across the posts` }}
          </text>
          <text :x="(dims.start + dims.loadFrom) / 2" y="38" text-anchor="middle">
            {{ say`out ${digits(ladder.outMillivolt / 1000, 3)} V` }}
          </text>
          <text :x="(dims.loadFrom + dims.loadTo) / 2" y="38" text-anchor="middle">
            {{ digits(ladder.loadV, 2) }} V
          </text>
          <text :x="(dims.loadTo + dims.end) / 2" y="38" text-anchor="middle">
            {{ say`back ${digits(ladder.backMillivolt / 1000, 3)} V` }}
          </text>
        </g>
        <g
          v-for="(piece, i) in hunt.pieces"
          :key="piece.id"
          :transform="`translate(${layout.x(i) + layout.columnPx / 2} 80)`"
        >
          <PieceShape :kind="piece.kind" :side="piece.side" :wide="layout.columnPx" />
        </g>
        <g :transform="`translate(${layout.loadX + layout.columnPx / 2} 80)`">
          <PieceShape kind="load" side="out" :wide="layout.columnPx" />
        </g>
        <g v-if="probe" class="probe">
          <path
            :d="`M${probe.from} 108v8H${probe.to}v-8`"
            fill="none"
            stroke="var(--teal)"
            stroke-width="1.8"
          />
          <rect :x="probe.middle - 38" y="106" width="76" height="20" rx="2" fill="var(--teal)" />
          <text :x="probe.middle" y="121" text-anchor="middle">{{ say`probe next` }}</text>
        </g>
      </svg>
      <div class="relative grid" :style="{ gridTemplateColumns: template }">
        <span />
        <div
          v-for="(piece, i) in columns"
          :key="piece?.id ?? i"
          class="px-0.5 pb-1 text-center leading-[14px]"
        >
          <span
            class="figure line-clamp-3 text-[15px] leading-[15px]"
            :class="piece && isGuilty(piece.id) ? 'font-semibold text-fails' : 'font-medium'"
            >{{ piece?.title ?? hunt.load }}</span
          >
          <span v-if="piece && note(piece)" class="figure block text-[13px] whitespace-nowrap text-ink2">{{
            note(piece)
          }}</span>
        </div>
        <span class="self-center pr-2 text-right text-ink2">{{ say`read` }}</span>
        <div v-for="(piece, i) in columns" :key="piece?.id ?? i" class="px-[3px]">
          <ReadCell
            v-if="piece"
            :label="say`Millivolts across ${piece.title}`"
            kind="millivolt"
            :model-value="millivoltOf(piece)"
            :least="0"
            :most="1e5"
            :decimals="1"
            unit="mV"
            :marked="nextIds.length === 1 && nextIds[0] === piece.id"
            :simulated="isSimulated(piece)"
            @update:model-value="take(piece, { millivolt: $event })"
            @clear="clear(piece)"
            @problem="tell(piece, $event)"
          />
          <p v-else class="figure pt-2.5 text-center text-[17px] font-semibold whitespace-nowrap">
            <template v-if="loaded">{{ digits(loaded.loadV, 2) }} V</template>
          </p>
        </div>
        <template v-if="isCranking">
          <span class="self-center pr-2 text-right text-ink2">{{ say`at` }}</span>
          <div v-for="(piece, i) in columns" :key="piece?.id ?? i" class="px-[3px] pt-1.5">
            <ReadCell
              v-if="piece"
              :label="say`Amps while reading across ${piece.title}`"
              kind="current"
              :model-value="ampsOf(piece)"
              :least="0.1"
              :most="20000"
              :decimals="0"
              unit="A"
              @update:model-value="take(piece, { amps: $event })"
              @problem="tell(piece, $event)"
            />
          </div>
        </template>
        <span class="figure pt-1.5 pr-2 text-right text-ink2">{{ say`expected` }}</span>
        <p
          v-for="(piece, i) in columns"
          :key="piece?.id ?? i"
          class="figure pt-1.5 text-center text-[15px] text-ink2"
        >
          <template v-if="piece && ladder">{{
            digits(
              ladder.rungs.find(({ place }) => hunt.pieces[place]?.id === piece.id)?.shouldMillivolt ?? 0,
              0,
            )
          }}</template>
          <template v-else-if="!piece && ladder">{{ digits(ladder.loadShouldV, 2) }}</template>
        </p>
      </div>
      <p v-if="problem" class="px-3.5 font-bold text-fails" role="alert">{{ problemAt }}: {{ problem }}</p>
      <div v-if="lanes > 0" class="relative" :style="{ height: `${lanes * LANE + 4}px` }">
        <div
          v-for="{ span, lane, x, end } in brackets"
          :key="span.id"
          class="absolute flex h-[22px] items-center justify-center border-x-[1.5px] border-ink"
          :style="{ left: `${x}px`, width: `${end - x}px`, top: `${lane * LANE + 2}px` }"
        >
          <span class="absolute inset-x-0 top-1/2 h-px bg-ink" aria-hidden="true" />
          <button
            type="button"
            class="figure relative bg-paper px-1.5 text-[15px] font-semibold whitespace-nowrap hover:bg-teal-tint"
            :title="say`Remove this reading`"
            @click="emit('change', withoutReading(hunt, span.id), say`reading removed`)"
          >
            {{ say`${digits(span.millivolt, 1)} mV` }}
            <span v-if="isCranking" class="font-normal">{{ say`at ${digits(span.amps, 0)} A` }}</span>
            <span v-if="span.source === 'simulated'" class="text-[12px]">{{ say`SIMULATED` }}</span>
            <span class="text-teal" aria-hidden="true"> ×</span
            ><span class="sr-only">{{ say`remove it` }}</span>
          </button>
        </div>
      </div>
      <VoltLadder
        v-if="ladder"
        class="relative mt-1"
        :hunt="hunt"
        :found="found"
        :ladder="ladder"
        :layout="layout"
        :height="LADDER"
      />
      <p v-else class="note px-3.5 py-6">
        {{ say`The ladder of volts is drawn once the load current and the volts at the posts are known.` }}
      </p>
    </div>
  </div>
</template>

<style>
.chain-drawing .dims text {
  font: 500 15px var(--font-figure);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 5px;
  paint-order: stroke;
}
.chain-drawing .probe text {
  font: 600 15px var(--font-figure);
  fill: var(--on-teal);
}
</style>
