<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import { toBuyMm } from '../../core/cutting/cutPlan.ts';
import { type Kit, type KitLine, priceOf, shareNeeded, kitQuantity } from '../../core/cutting/kit.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import WorkLines from '../ui/WorkLines.vue';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';
import { figure } from '../../core/model/units/figure.ts';

/** Everything the kit takes, against the shelf: what has to be bought stands first. */
const { kit, plans } = defineProps<{ kit: Kit; plans: readonly GroupPlan[] }>();

const bench = useBench();
/** Cable is bought by the plan: a sum that would do on paper may still leave a piece without a spool. */
const buys = computed(() =>
  kit.lines.flatMap((line) => {
    const own = plans.find(({ group }) => line.key === `cable:${group.key}`);
    const buy = own ? toBuyMm(own.plan, bench.shop.practice.cutting) : line.buy;
    return buy > 0 ? [{ line, buy, price: priceOf(line, buy) }] : [];
  }),
);
const shelf = computed(() => kit.lines.filter((line) => !buys.value.some((own) => own.line === line)));
const total = computed(() => buys.value.reduce((sum, { price }) => sum + (price ?? 0), 0));
const unpriced = computed(() => buys.value.filter(({ price }) => price === null).length);
const WORDS = [
  say`Nothing`,
  say`One item`,
  say`Two items`,
  say`Three items`,
  say`Four items`,
  say`Five items`,
  say`Six items`,
];
const title = computed(() => say`${WORDS[buys.value.length] ?? say`${buys.value.length} items`} to buy`);
/** The line is the shelf, the bar is the need. */
const BAR = 40;
const MOST_SHARE = 1.3;
const share = (line: KitLine) => Math.min(MOST_SHARE, shareNeeded(line));
/** The line whose sum is open. */
const opened = ref('');
const turn = (key: string) => (opened.value = opened.value === key ? '' : key);
</script>

<template>
  <section :aria-label="say`Shopping`">
    <header class="px-3.5 pt-2.5 pb-1">
      <h2 class="figure text-[20px] leading-6 font-semibold">
        {{ title }}<template v-if="total > 0">, {{ bench.shop.currency }}{{ digits(total, 2) }}</template>
      </h2>
      <p class="note">
        {{
          say`${unpriced > 0 ? say`${unpriced} of them without a price here. ` : ''}The kit weighs ${figure(kit.massG / 1000, 'kg', 1)}.`
        }}
      </p>
    </header>
    <ul>
      <li v-for="{ line, buy, price } in buys" :key="line.key" class="border-t border-hairline">
        <button
          type="button"
          class="grid min-h-11 w-full grid-cols-[1fr_66px_58px_70px] items-center gap-1 px-3.5 py-1 text-left hover:bg-teal-tint focus-visible:-outline-offset-2"
          :aria-expanded="opened === line.key"
          @click="turn(line.key)"
        >
          <span class="min-w-0 leading-4">
            {{ tell(line.what) }}<span class="note block">{{ tell(line.note) }}</span>
          </span>
          <span class="figure text-right text-[17px] font-semibold">{{
            kitQuantity(line.need, line.unit)
          }}</span>
          <svg :viewBox="`0 0 58 14`" aria-hidden="true">
            <rect x="0" y="4" :width="Math.min(1, share(line)) * BAR" height="6" fill="var(--ink)" />
            <rect
              :x="BAR"
              y="4"
              width="13"
              height="6"
              fill="none"
              stroke="var(--copper-text)"
              stroke-width="1.3"
            />
            <path :d="`M${BAR} 0V14`" stroke="var(--ink)" stroke-width="1.8" />
          </svg>
          <span class="text-right leading-4">
            <b class="text-copper-text">{{ say`buy ${kitQuantity(buy, line.unit)}` }}</b>
            <span v-if="price !== null" class="figure block text-[15px]">{{ digits(price, 2) }}</span>
          </span>
        </button>
        <WorkLines v-if="opened === line.key" :work="line.work" class="bg-paper px-3.5 py-2" />
      </li>
    </ul>
    <template v-if="shelf.length > 0">
      <h3 class="figure border-t border-line px-3.5 pt-2 text-[16px] font-semibold">
        {{ say`On the shelf` }}
      </h3>
      <ul class="pb-1">
        <li v-for="line in shelf" :key="line.key">
          <button
            type="button"
            class="grid compact w-full grid-cols-[1fr_66px_58px_70px] items-center gap-1 px-3.5 py-1 text-left hover:bg-teal-tint focus-visible:-outline-offset-2"
            :aria-expanded="opened === line.key"
            @click="turn(line.key)"
          >
            <span class="min-w-0 leading-4"
              ><span class="block">{{ tell(line.what) }}</span
              ><span v-if="line.group === 'cable'" class="note block truncate">{{
                tell(line.note)
              }}</span></span
            >
            <span class="figure text-right text-[16px] font-semibold">{{
              kitQuantity(line.need, line.unit)
            }}</span>
            <svg viewBox="0 0 58 14" aria-hidden="true">
              <template v-if="line.have !== null">
                <rect x="0" y="4" :width="share(line) * BAR" height="6" fill="var(--ink)" />
                <path :d="`M${BAR} 0V14`" stroke="var(--ink)" stroke-width="1.8" />
              </template>
            </svg>
            <span class="note text-right">{{
              line.have === null ? say`not counted` : say`of ${kitQuantity(line.have, line.unit)}`
            }}</span>
          </button>
          <WorkLines v-if="opened === line.key" :work="line.work" class="bg-paper px-3.5 py-2" />
        </li>
      </ul>
    </template>
  </section>
</template>
