<script setup lang="ts">
import { cablesSay } from '../../core/words/counts.ts';
import { computed } from 'vue';
import type { Kit } from '../../core/cutting/kit.ts';
import { makeOrBuy, type MakeOrBuyTerms, scrapPrice, UNTYPED } from '../../core/cutting/makeOrBuy.ts';
import type { Job } from '../../core/model/job.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import StageSection from '../bench/StageSection.vue';
import QuantityField from '../ui/QuantityField.vue';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';

/** What making comes to against a typed price of buying: one scale, no thumb on it. */
const { job, kit, plans, cables } = defineProps<{
  job: Job;
  kit: Kit;
  plans: readonly GroupPlan[];
  cables: number;
}>();

const bench = useBench();
const terms = computed(() => job.makeOrBuy ?? UNTYPED);
function set(change: Partial<MakeOrBuyTerms>): void {
  bench.edit(say`make or buy`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === job.id);
    if (own) own.makeOrBuy = { ...UNTYPED, ...own.makeOrBuy, ...change };
  });
}
/** What it rests on, while the fields are folded away. */
const pricesSay = computed(() =>
  [
    terms.value.boughtPrice > 0 ? say`${money(terms.value.boughtPrice)} ready made` : say`no price to buy at`,
    say`${terms.value.minutesACable} min a cable`,
    ...(terms.value.ratePerHour > 0 ? [say`${money(terms.value.ratePerHour)} an hour`] : []),
    ...(terms.value.toolPrice > 0 ? [say`tool ${money(terms.value.toolPrice)}`] : []),
  ].join(', '),
);
const scrap = computed(() => scrapPrice(plans, bench.shop.practice.cutting));
const result = computed(() => makeOrBuy(terms.value, kit, scrap.value, cables));
const money = (value: number) => `${bench.shop.currency}${digits(value, 0)}`;
const scale = computed(() => 320 / Math.max(1, result.value.made, result.value.bought));
const bars = computed(() => {
  let reached = 0;
  return [
    { what: say`materials`, onCopper: true, value: result.value.materials, fill: 'var(--copper)' },
    { what: say`scrap`, onCopper: false, value: result.value.scrap, fill: 'var(--chalk)' },
    { what: say`work`, onCopper: false, value: result.value.work, fill: 'var(--buff)' },
    { what: say`tool`, onCopper: false, value: result.value.tool, fill: 'none' },
  ]
    .filter(({ value }) => value > 0)
    .map((part) => {
      const x = reached;
      reached += part.value * scale.value;
      return { ...part, x, width: part.value * scale.value };
    });
});
const sentence = computed(() => {
  const { made, bought, tool } = result.value;
  if (bought === 0) return say`Enter what they cost ready made to compare the two.`;
  const difference = bought - made;
  const words =
    difference >= 0 ? say`Making saves ${money(difference)}` : say`Buying saves ${money(-difference)}`;
  const percent = terms.value.toolPercent ?? 100;
  const paid = percent < 100 ? say`${digits(percent, 0)} % of the tool paid` : say`the tool paid in full`;
  return `${words}, ${tool > 0 ? paid : say`with the tool owned`}.`;
});
</script>

<template>
  <section :aria-label="say`Make or buy`" class="border-t border-line px-3.5 py-2.5">
    <h2 class="figure text-[16px] font-semibold">
      {{ say`Make against buy, ${cablesSay(cables)}` }}
    </h2>
    <p class="mb-1">{{ sentence }}</p>
    <svg
      viewBox="0 0 326 104"
      class="make-or-buy block w-full"
      role="img"
      :aria-label="say`make ${money(result.made)}, buy ${money(result.bought)}`"
    >
      <text class="strong" x="0" y="14">{{ say`Make` }}</text>
      <text class="strong" x="324" y="14" text-anchor="end">{{ money(result.made) }}</text>
      <g v-for="bar in bars" :key="bar.what">
        <rect
          :x="bar.x + 1"
          y="19"
          :width="Math.max(0.5, bar.width)"
          height="20"
          :fill="bar.fill"
          stroke="var(--line)"
          :stroke-dasharray="bar.what === 'tool' ? '4 2' : undefined"
        />
        <text v-if="bar.width > 34" :x="bar.x + bar.width / 2" y="53" text-anchor="middle">
          {{ bar.what }}
        </text>
        <text
          v-if="bar.width > 34"
          :x="bar.x + bar.width / 2"
          y="34"
          text-anchor="middle"
          :class="bar.onCopper ? 'on-copper' : ''"
        >
          {{ digits(bar.value, 0) }}
        </text>
      </g>
      <template v-if="result.bought > 0">
        <text class="strong" x="0" y="74">{{ say`Buy ready made` }}</text>
        <text class="strong" x="324" y="74" text-anchor="end">{{ money(result.bought) }}</text>
        <rect
          x="1"
          y="79"
          :width="result.bought * scale"
          height="20"
          fill="var(--teal-tint)"
          stroke="var(--teal)"
        />
      </template>
    </svg>
    <p v-if="terms.toolPrice > 0" class="mt-1">
      {{
        result.breakEven === null
          ? say`A tool would never pay for itself at these prices.`
          : say`The tool pays for itself after ${result.breakEven} such cables.`
      }}
    </p>
    <StageSection part="prices" class="mt-2" :title="say`Prices and time`" :says="pricesSay">
      <div class="tall-labels grid grid-cols-2 gap-x-2">
        <QuantityField
          :label="say`Price ready made, all`"
          kind="number"
          :model-value="terms.boughtPrice"
          :least="0"
          :most="1e6"
          :decimals="2"
          @update:model-value="set({ boughtPrice: $event })"
        />
        <QuantityField
          :label="say`Cost of a tool to buy`"
          kind="number"
          :model-value="terms.toolPrice"
          :least="0"
          :most="1e5"
          :decimals="2"
          :hint="say`0 if you own it`"
          @update:model-value="set({ toolPrice: $event })"
        />
        <QuantityField
          :label="say`Minutes a cable`"
          kind="number"
          :model-value="terms.minutesACable"
          :least="0"
          :most="1000"
          :decimals="0"
          @update:model-value="set({ minutesACable: $event })"
        />
        <QuantityField
          :label="say`Labour per hour`"
          kind="number"
          :model-value="terms.ratePerHour"
          :least="0"
          :most="1000"
          :decimals="2"
          @update:model-value="set({ ratePerHour: $event })"
        />
        <QuantityField
          v-if="terms.toolPrice > 0"
          :label="say`Share of the tool, %`"
          kind="number"
          :model-value="terms.toolPercent ?? 100"
          :least="0"
          :most="100"
          :decimals="0"
          :hint="say`share charged to this job`"
          @update:model-value="set({ toolPercent: $event })"
        />
      </div>
    </StageSection>
  </section>
</template>

<style>
.make-or-buy text {
  font: 400 14px var(--font-figure);
  fill: var(--ink2);
}
.make-or-buy .strong {
  font-weight: 600;
  font-size: 15px;
  fill: var(--ink);
}
.make-or-buy .on-copper {
  fill: var(--on-copper);
}
</style>
