<script setup lang="ts">
import { computed, ref } from 'vue';
import { figure } from '../../core/model/units/figure.ts';
import type { SystemView } from '../../core/system/view.ts';
import { TOTAL_KEYS, type TotalKey, totalFinding, totalOf } from '../../core/together/report.ts';
import type { Together } from '../../core/together/together.ts';
import { measured, type Totals } from '../../core/together/totals.ts';
import { small, tell } from '../../core/words/message.ts';
import ShowWork from '../ui/ShowWork.vue';
import { say } from '../../core/words/say.ts';

/** What all sizes come to in the three ways of choosing them, each with a bar in the measure that is to be least. */
const { together, view, hasHours } = defineProps<{
  together: Together;
  view: SystemView;
  hasHours: boolean;
}>();

const rows = computed(() => {
  const all: { key: string; title: string; totals: Totals }[] = [
    ...(together.together ? [{ key: 'together', title: say`All together`, totals: together.together }] : []),
    {
      key: 'alone',
      title: together.isAloneEnough ? say`Each by itself` : say`Each by itself, not enough`,
      totals: together.alone,
    },
    { key: 'now', title: say`As in the job`, totals: together.now },
  ];
  const most = Math.max(...all.map(({ totals }) => measured(together.sizing, totals)), 1e-9);
  return all.map((row) => ({ ...row, share: measured(together.sizing, row.totals) / most }));
});
const columns = computed(() =>
  TOTAL_KEYS.filter((key) => key !== 'year' || hasHours).map((key) => ({
    key,
    finding: totalFinding(key, together, view),
  })),
);
const openedKey = ref<TotalKey | null>(null);
const opened = computed(() => columns.value.find(({ key }) => key === openedKey.value)?.finding);
</script>

<template>
  <div>
    <div class="overflow-x-auto">
      <table class="w-full border-collapse">
        <caption class="sr-only">
          {{ say`What the sizes come to` }}
        </caption>
        <thead>
          <tr class="border-b border-hairline text-right text-[12.5px] text-ink2">
            <th class="sr-only">{{ say`How chosen` }}</th>
            <th class="w-[22%] max-sm:hidden" aria-hidden="true" />
            <th v-for="column in columns" :key="column.key" class="font-normal">
              <button
                type="button"
                class="min-h-11 px-2 text-right underline decoration-dotted underline-offset-2 hover:bg-teal-tint"
                :aria-expanded="column.key === openedKey"
                @click="openedKey = column.key === openedKey ? null : column.key"
              >
                {{ tell(small(column.finding.title)) }}
              </button>
            </th>
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
            <td
              v-for="column in columns"
              :key="column.key"
              class="px-2"
              :class="column.key === 'use' && totals.use > 1.0005 ? 'font-semibold text-fails' : ''"
            >
              {{ figure(totalOf(column.key, totals), column.finding.unit, column.finding.decimals) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <ShowWork v-if="opened" :finding="opened" class="box mt-1" />
  </div>
</template>
