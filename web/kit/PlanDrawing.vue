<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { type CutRules, toBuyMm } from '../../core/cutting/cutPlan.ts';
import { usePrefs } from '../stores/prefs.ts';
import { readersDigits, sizeText } from '../ui/display.ts';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';
import { tell, shortest } from '../../core/words/message.ts';
import { figure } from '../../core/model/units/figure.ts';
import { measured } from '../../core/words/measures.ts';
import { FOOT_MM } from '../../core/words/imperial.ts';

/** Pieces on their spools, one scale and one zero: what is cut, what is left, what is scrap, what has to be bought. */
const { plans, rules } = defineProps<{ plans: readonly GroupPlan[]; rules: CutRules }>();

const { prefs } = usePrefs();
const sized = (mm: number) => readersDigits(mm, 'mm', 0);
const host = useTemplateRef<HTMLElement>('host');
const { width } = useElementSize(host);
const ZERO = 152;
const RIGHT = 24;

interface Bar {
  readonly key: string;
  readonly title: string;
  readonly note: string;
  readonly lengthMm: number;
  readonly pieces: readonly { readonly label: string; readonly fromMm: number; readonly mm: number }[];
  readonly restMm: number;
  readonly toBuy: boolean;
}

/** Only stock that is cut from is drawn, the rest is named. */
const rows = computed(() =>
  plans
    .filter(({ group }) => group.pieces.length > 0)
    .map(({ group, plan }) => {
      const along = (pieces: (typeof plan.spools)[number]['pieces'], from: number) => {
        let at = from;
        return pieces.map(({ label, lengthMm }) => {
          const fromMm = at;
          at += lengthMm + rules.kerfMm;
          return { label, fromMm, mm: lengthMm };
        });
      };
      const bars: Bar[] = plan.spools
        .filter(({ pieces }) => pieces.length > 0)
        .map(({ stock, pieces, restMm }) => {
          const spool = group.spools.find(({ id }) => id === stock.id);
          return {
            key: stock.id,
            title: spool?.label ?? stock.id,
            note: sized(stock.lengthMm),
            lengthMm: stock.lengthMm,
            pieces: along(pieces, stock.offcut ? 0 : rules.squareMm),
            restMm,
            toBuy: false,
          };
        });
      const buyMm = toBuyMm(plan, rules);
      if (buyMm > 0) {
        bars.push({
          key: `buy${group.key}`,
          title: say`to buy`,
          note: sized(buyMm),
          lengthMm: buyMm,
          pieces: along(plan.unplaced, rules.squareMm),
          restMm: 0,
          toBuy: true,
        });
      }
      const whole = plan.spools
        .filter(({ pieces }) => pieces.length === 0)
        .map(({ stock }) => group.spools.find(({ id }) => id === stock.id)?.label ?? stock.id);
      return { group, bars, whole };
    }),
);
const longest = computed(() =>
  Math.max(
    1000,
    ...rows.value.flatMap(({ bars }) =>
      bars.map(({ lengthMm }) => Math.min(lengthMm, cutEnd(lengthMm, bars))),
    ),
  ),
);
/** A long spool is broken off a little past what is cut from it. */
function cutEnd(lengthMm: number, bars: readonly Bar[]): number {
  const used = Math.max(0, ...bars.flatMap(({ pieces }) => pieces.map(({ fromMm, mm }) => fromMm + mm)));
  return Math.min(lengthMm, Math.max(used * 1.25, 1500));
}
const scale = computed(() => Math.max(0.001, (width.value - ZERO - RIGHT) / longest.value));
const x = (mm: number) => ZERO + mm * scale.value;
const BAR = 58;
const HEAD = 26;
const placed = computed(() => {
  let y = HEAD + 8;
  return rows.value.map((row) => {
    const top = y;
    const bars = row.bars.map((bar) => {
      const top = y;
      y += BAR;
      const shownMm = Math.min(bar.lengthMm, Math.max(longest.value, 0));
      const half = Math.min(13, Math.max(6, row.group.outerMm * 0.72));
      const end = bar.pieces.reduce((most, { fromMm, mm }) => Math.max(most, fromMm + mm), 0);
      return { ...bar, y: top + 18, half, shownMm, endMm: end, isBroken: bar.lengthMm > shownMm + 1 };
    });
    y += row.whole.length > 0 ? 24 : 8;
    return { ...row, top, bars, bottom: y };
  });
});
const height = computed(() => (placed.value.at(-1)?.bottom ?? HEAD) + 6);
const ticks = computed(() => {
  // Metres, or feet: a step that leaves each tick room for its figure.
  const least = prefs.lengths === 'in' ? 2 * FOOT_MM : 500;
  const step = least * (longest.value > 12000 ? 4 : longest.value > 5000 ? 2 : 1);
  return Array.from({ length: Math.floor(longest.value / step) + 1 }, (_, i) => i * step);
});
/** Labels stand in their piece where there is room, else beneath, fanned out. */
const roomy = (mm: number, label: string) => mm * scale.value > label.length * 8 + 22;
function beneath(bar: { pieces: Bar['pieces'] }): { label: string; mm: number; at: number; textX: number }[] {
  let last = 0;
  return bar.pieces
    .filter(({ mm, label }) => !roomy(mm, label))
    .map(({ label, mm, fromMm }) => {
      const at = x(fromMm + mm / 2);
      const textX = Math.max(at, last + 46);
      last = textX;
      return { label, mm, at, textX };
    });
}
</script>

<template>
  <div ref="host" class="plan-drawing">
    <p v-if="rows.length === 0" class="p-6 text-[15px]">
      {{ say`A cable appears here once both of its lugs are known, until it is cut.` }}
    </p>
    <svg
      v-else-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="say`Pieces on their spools`"
    >
      <text x="14" y="19">{{ say`${prefs.lengths}, useful from ${sized(rules.scrapMm)}` }}</text>
      <g v-for="tick in ticks" :key="tick">
        <path :d="`M${x(tick)} ${HEAD}V${height}`" stroke="var(--grid)" />
        <text :x="x(tick)" y="19" text-anchor="middle">
          {{
            tick === ticks.at(-1)
              ? figure(tick / 1000, 'm', 1)
              : tell(shortest(measured(tick / 1000, 'm', 1).value, 1))
          }}
        </text>
      </g>
      <path :d="`M14 ${HEAD}H${width - 8}`" stroke="var(--hairline)" />
      <g v-for="row in placed" :key="row.group.key">
        <path :d="`M14 ${row.bottom - 2}H${width - 8}`" stroke="var(--hairline)" />
        <g v-for="(bar, i) in row.bars" :key="bar.key">
          <template v-if="i === 0">
            <circle
              cx="26"
              :cy="bar.y"
              r="11"
              :fill="`var(--${row.group.colour})`"
              :stroke="`var(--${row.group.colour}-line)`"
            />
            <circle cx="26" :cy="bar.y" r="6.5" fill="var(--copper)" stroke="var(--copper-line)" />
            <text class="strong" x="44" :y="bar.y - 1">
              {{ sizeText(row.group.size) }} {{ word(row.group.colour) }}
            </text>
          </template>
          <text :x="44" :y="bar.y + (i === 0 ? 14 : 4)" :class="bar.toBuy ? 'buy' : ''">
            {{ bar.title }}, {{ bar.note }}
          </text>
          <rect
            v-if="bar.toBuy"
            :x="x(0) - 3"
            :y="bar.y - bar.half - 3"
            :width="bar.lengthMm * scale + 6"
            :height="2 * bar.half + 6"
            fill="none"
            stroke="var(--ink)"
            stroke-width="0.9"
            stroke-dasharray="7 2.5 1.5 2.5"
          />
          <rect
            v-for="piece in bar.pieces"
            :key="piece.label"
            :x="x(piece.fromMm)"
            :y="bar.y - bar.half"
            :width="piece.mm * scale"
            :height="2 * bar.half"
            :fill="`var(--${row.group.colour})`"
            :stroke="`var(--${row.group.colour}-line)`"
          />
          <path
            v-for="piece in bar.pieces"
            :key="`c${piece.label}`"
            :d="`M${x(piece.fromMm + piece.mm)} ${bar.y - bar.half - 6}V${bar.y + bar.half + 6}`"
            stroke="var(--teal)"
            stroke-width="2"
          />
          <template v-if="bar.restMm > 0">
            <template v-if="bar.restMm >= rules.scrapMm">
              <path
                :d="`M${x(bar.endMm) + 4} ${bar.y - bar.half}H${bar.isBroken ? x(bar.shownMm) - 6 : x(bar.endMm + bar.restMm)}${bar.isBroken ? `q10 ${bar.half / 2} 0 ${bar.half}t0 ${bar.half}` : `v${2 * bar.half}`}H${x(bar.endMm) + 4}Z`"
                fill="var(--paper)"
                :stroke="`var(--${row.group.colour}-line)`"
                stroke-width="1.2"
              />
              <path
                :d="`M${x(bar.endMm) + 6} ${bar.y}H${(bar.isBroken ? x(bar.shownMm) - 4 : x(bar.endMm + bar.restMm)) - 2}`"
                :stroke="`var(--${row.group.colour})`"
                stroke-width="3"
              />
              <text
                :x="x(bar.endMm) > width - 130 ? width - 8 : x(bar.endMm) + 8"
                :y="x(bar.endMm) > width - 130 ? bar.y - bar.half - 5 : bar.y + bar.half + 16"
                :text-anchor="x(bar.endMm) > width - 130 ? 'end' : 'start'"
              >
                {{ say`left ${sized(bar.restMm)}, keep` }}
              </text>
            </template>
            <template v-else>
              <rect
                class="scrap"
                :x="x(bar.endMm) + 2"
                :y="bar.y - bar.half"
                :width="Math.max(5, bar.restMm * scale - 2)"
                :height="2 * bar.half"
              />
              <text :x="Math.min(x(bar.endMm) + 12 + bar.restMm * scale, width - 70)" :y="bar.y + 5">
                {{ say`scrap ${sized(bar.restMm)}` }}
              </text>
            </template>
          </template>
          <template v-for="piece in bar.pieces" :key="`t${piece.label}`">
            <g v-if="roomy(piece.mm, piece.label)">
              <rect
                :x="x(piece.fromMm + piece.mm / 2) - (piece.label.length * 8 + 16) / 2"
                :y="bar.y - 10"
                :width="piece.label.length * 8 + 16"
                height="20"
                fill="var(--tag)"
                stroke="var(--line)"
                stroke-width="0.9"
              />
              <text class="tag" :x="x(piece.fromMm + piece.mm / 2)" :y="bar.y + 5" text-anchor="middle">
                {{ piece.label }}
              </text>
              <text :x="x(piece.fromMm + piece.mm / 2)" :y="bar.y + bar.half + 16" text-anchor="middle">
                {{ sized(piece.mm) }}
              </text>
            </g>
          </template>
          <g v-for="small in beneath(bar)" :key="`b${small.label}`">
            <path
              :d="`M${small.at} ${bar.y + bar.half}L${small.textX} ${bar.y + bar.half + 6}`"
              stroke="var(--ink3)"
              stroke-width="0.7"
            />
            <text class="strong" :x="small.textX" :y="bar.y + bar.half + 16" text-anchor="middle">
              {{ small.label }}
            </text>
            <text :x="small.textX" :y="bar.y + bar.half + 30" text-anchor="middle">
              {{ sized(small.mm) }}
            </text>
          </g>
        </g>
        <text v-if="row.whole.length > 0" :x="width - 12" :y="row.bottom - 7" text-anchor="end">
          {{ say`not touched: ${row.whole.join(', ')}` }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style>
.plan-drawing text {
  font: 400 14.5px var(--font-figure);
  font-variant-numeric: tabular-nums;
  fill: var(--ink2);
}
.plan-drawing .strong {
  font-weight: 500;
  fill: var(--ink);
}
.plan-drawing .tag {
  font-weight: 600;
  fill: var(--tag-ink);
}
.plan-drawing .buy {
  fill: var(--copper-text);
  font-weight: 500;
}
.plan-drawing .scrap {
  fill: var(--chalk);
  stroke: var(--ink3);
  stroke-dasharray: 2 2;
}
</style>
