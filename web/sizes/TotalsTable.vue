<script setup lang="ts">
import { computed } from 'vue';
import type { Together } from '../../core/together/together.ts';
import { measured, type Totals } from '../../core/together/totals.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';

/** What all sizes come to in the three ways of choosing them, each with a bar in the measure that is to be least. */
const { together } = defineProps<{ together: Together; hasHours: boolean }>();

const rows = computed(() => {
  const all: { key: string; title: string; totals: Totals }[] = [
    ...(together.together ? [{ key: 'together', title: say`All together`, totals: together.together }] : []),
    {
      key: 'alone',
      title: together.isAloneEnough ? say`Each by itself` : say`Each by itself, not enough`,
      totals: together.alone,
    },
    { key: 'now', title: say`As the job has it`, totals: together.now },
  ];
  const most = Math.max(...all.map(({ totals }) => measured(together.sizing, totals)), 1e-9);
  return all.map((row) => ({ ...row, share: measured(together.sizing, row.totals) / most }));
});
</script>

<template>
  <table class="w-full border-collapse">
    <caption class="sr-only">
      {{
        say`What the sizes come to`
      }}
    </caption>
    <thead>
      <tr class="border-b border-hairline text-right text-[12.5px] text-ink2">
        <th class="sr-only">{{ say`Way` }}</th>
        <th class="w-[22%] max-sm:hidden" aria-hidden="true" />
        <th class="px-2 py-1 font-normal">{{ say`copper` }}</th>
        <th class="px-2 py-1 font-normal">{{ say`weight` }}</th>
        <th class="px-2 py-1 font-normal">{{ say`cable price` }}</th>
        <th class="px-2 py-1 font-normal">{{ say`lost, worst state` }}</th>
        <th v-if="hasHours" class="px-2 py-1 font-normal">{{ say`lost a year` }}</th>
        <th class="px-2 py-1 font-normal">{{ say`of the drop allowed` }}</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="{ key, title, totals, share } in rows"
        :key="key"
        class="figure border-b border-hairline text-right whitespace-nowrap"
        :class="key === 'together' ? 'text-[19px] font-semibold' : 'text-[16px]'"
      >
        <th class="py-1.5 pr-2 text-left font-semibold">{{ title }}</th>
        <td class="px-2 max-sm:hidden" aria-hidden="true">
          <span
            class="block h-3 border border-ink"
            :class="key === 'together' ? 'bg-copper' : 'bg-chalk'"
            :style="{ width: `${Math.max(2, 100 * share)}%` }"
          />
        </td>
        <td class="px-2">{{ digits(totals.copperMm2M, 0) }}&thinsp;mm²·m</td>
        <td class="px-2">{{ digits(totals.massKg, 1) }}&thinsp;kg</td>
        <td class="px-2">{{ digits(totals.price, 2) }}</td>
        <td class="px-2">{{ digits(totals.lostW, 0) }}&thinsp;W</td>
        <td v-if="hasHours" class="px-2">{{ digits(totals.kWhPerYear, 1) }}&thinsp;kWh</td>
        <td class="px-2" :class="totals.use > 1.0005 ? 'font-semibold text-fails' : ''">
          {{ digits(100 * totals.use, 0) }}&thinsp;%
        </td>
      </tr>
    </tbody>
  </table>
</template>
