<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { word } from '../../../core/words/terms.ts';
import { computed } from 'vue';
import type { DieOffer } from '../../../core/termination/dies/dieOffers.ts';
import type { DieZones } from '../../../core/termination/dies/dieOnLug.ts';
import { digits } from '../../../core/words/numerals.ts';
import { say } from '../../../core/words/say.ts';

/** Dies near the right one by what they measure, and where each falls between open and will not close. */
const { offers, chosen, zones } = defineProps<{
  offers: readonly DieOffer[];
  chosen: DieOffer | null;
  zones: DieZones;
}>();
defineEmits<{ choose: [dieId: string] }>();

const SHOWN = 5;
const WIDTH = 340;

/** The five dies nearest the chosen one, widest first. */
const near = computed(() => {
  const middle = chosen?.parts.acrossFlatsMm ?? (zones.lightMm + zones.tightMm) / 2;
  return offers
    .filter(({ leaves }) => leaves === 'hexagon')
    .sort((a, b) => Math.abs(a.parts.acrossFlatsMm - middle) - Math.abs(b.parts.acrossFlatsMm - middle))
    .slice(0, SHOWN)
    .sort((a, b) => b.parts.acrossFlatsMm - a.parts.acrossFlatsMm);
});

/** Nests that figures cannot judge: offered beneath, on their trials alone. */
const indents = computed(() => offers.filter(({ leaves }) => leaves === 'indent'));

/** The scale runs from a die well open to one well past closing; a wide die is to the left. */
const range = computed(() => {
  const pad = (zones.openMm - zones.willNotCloseMm) * 0.65 + 0.25;
  return { wide: zones.openMm + pad, close: zones.willNotCloseMm - pad };
});
const x = (mm: number) => {
  const { wide, close } = range.value;
  return Math.min(WIDTH - 3, Math.max(3, ((wide - mm) / (wide - close)) * WIDTH));
};
/** In two lines, in the die itself. */
const noMark = say`no mark`.split(' ');
const edges = computed(() => {
  const { openMm, lightMm, tightMm, willNotCloseMm } = zones;
  const edges = [0, x(openMm), x(lightMm), x(tightMm), x(willNotCloseMm), WIDTH];
  return (['open', 'light', 'right', 'tight', 'will-not-close'] as const).map((zone, i) => ({
    zone,
    title: zone === 'will-not-close' ? say`does not close` : word(zone),
    from: edges[i] ?? 0,
    to: edges[i + 1] ?? WIDTH,
  }));
});
const cardX = (i: number) => ((i + 0.5) / near.value.length) * WIDTH;
const isChosen = (offer: DieOffer) => offer.die.id === chosen?.die.id;
</script>

<template>
  <div>
    <div class="flex gap-1.5" role="radiogroup" :aria-label="say`Die`">
      <button
        v-for="offer in near"
        :key="offer.die.id"
        type="button"
        role="radio"
        :aria-checked="isChosen(offer)"
        :aria-label="
          say`die ${offer.die.stamp || say`no die mark`}, ${digits(offer.parts.acrossFlatsMm, 1)} across flats: ${word(offer.verdict)}${offer.unfit ? `, ${tell(offer.unfit)}` : ''}`
        "
        class="relative min-w-0 flex-1 rounded-box border pt-1"
        :class="[
          isChosen(offer)
            ? 'border-2 border-teal bg-teal-tint'
            : 'border-hairline bg-paper hover:bg-teal-tint',
          offer.unfit ? 'opacity-55' : '',
        ]"
        @click="$emit('choose', offer.die.id)"
      >
        <svg viewBox="0 0 60 36" class="mx-auto block h-8" aria-hidden="true">
          <path
            d="M14 18L22 4.100H38L46 18L38 31.900H22Z"
            :fill="isChosen(offer) ? 'var(--copper)' : 'none'"
            :stroke="isChosen(offer) ? 'var(--copper-line)' : 'var(--ink2)'"
            stroke-width="1.3"
          />
          <text
            x="30"
            :y="offer.die.stamp ? 23 : 17"
            text-anchor="middle"
            font-size="14"
            :font-weight="600"
            class="figure"
            :fill="isChosen(offer) ? '#1b2328' : 'var(--ink)'"
          >
            <template v-if="offer.die.stamp">{{ offer.die.stamp }}</template>
            <template v-else>
              <tspan x="30" font-size="12" font-weight="400">{{ noMark[0] }}</tspan>
              <tspan x="30" dy="11" font-size="12" font-weight="400">{{ noMark[1] }}</tspan>
            </template>
          </text>
        </svg>
        <span class="figure flex justify-between px-1.5 text-[14px] leading-5">
          <span>{{ digits(offer.parts.acrossFlatsMm, 1) }}</span>
          <span class="font-semibold">{{ digits(offer.c, 2) }}</span>
        </span>
      </button>
    </div>
    <svg :viewBox="`0 0 ${WIDTH} 46`" class="block w-full" aria-hidden="true">
      <path
        v-for="(offer, i) in near"
        :key="offer.die.id"
        :d="`M${cardX(i)} 0V3L${x(offer.parts.acrossFlatsMm)} 14V18`"
        fill="none"
        :stroke="isChosen(offer) ? 'var(--teal)' : 'var(--ink3)'"
        :stroke-width="isChosen(offer) ? 1.8 : 0.8"
      />
      <g v-for="edge in edges" :key="edge.zone">
        <rect
          :x="edge.from"
          y="17"
          :width="Math.max(0, edge.to - edge.from)"
          height="11"
          :fill="
            edge.zone === 'right'
              ? 'var(--copper)'
              : edge.zone === 'light' || edge.zone === 'tight'
                ? 'var(--copper-tint)'
                : 'var(--paper)'
          "
          stroke="var(--line)"
          stroke-width="0.7"
        />
        <text
          v-if="edge.to - edge.from > 24"
          :x="(edge.from + edge.to) / 2"
          y="41"
          text-anchor="middle"
          font-size="13.5"
          class="figure"
          :fill="edge.zone === 'right' ? 'var(--ink)' : 'var(--ink2)'"
          :font-weight="edge.zone === 'right' ? 500 : 400"
        >
          {{ edge.title }}
        </text>
      </g>
      <path
        v-if="chosen && chosen.leaves === 'hexagon'"
        :d="`M${x(chosen.parts.acrossFlatsMm + chosen.learned.flatsToleranceMm)} 18.5v8m0 -4H${x(chosen.parts.acrossFlatsMm - chosen.learned.flatsToleranceMm)}m0 -4v8`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
      <circle
        v-for="offer in near"
        :key="offer.die.id"
        :cx="x(offer.parts.acrossFlatsMm)"
        cy="22.5"
        :r="isChosen(offer) ? 4.5 : 2.6"
        :fill="isChosen(offer) ? 'var(--teal)' : 'var(--ink)'"
      />
    </svg>
    <p v-if="indents.length > 0" class="flex flex-wrap items-center gap-1.5">
      <span class="note">{{ say`Needs a test crimp:` }}</span>
      <button
        v-for="offer in indents"
        :key="offer.die.id"
        type="button"
        class="figure min-h-7 pointer-coarse:min-h-11 rounded-box border px-2 text-[14px]"
        :class="
          isChosen(offer)
            ? 'border-2 border-teal bg-teal-tint'
            : 'border-hairline bg-paper hover:bg-teal-tint'
        "
        :aria-pressed="isChosen(offer)"
        :title="tell(offer.unfit)"
        @click="$emit('choose', offer.die.id)"
      >
        {{ offer.tool.kind === 'hammer' ? say`plunger` : say`lever ${offer.die.stamp}` }}
        {{ word(offer.verdict) }}
      </button>
    </p>
    <p v-if="chosen?.unfit" class="mt-1 text-[12.5px] font-bold text-fails">
      {{ chosen.tool.title }}: {{ tell(chosen.unfit) }}.
    </p>
  </div>
</template>
