<script setup lang="ts">
import { computed } from 'vue';
import { digits } from '../../core/words/numerals.ts';
import { tell } from '../../core/words/message.ts';
import { lastsSays } from '../../core/system/findingParts.ts';
import { loadTable, sumsOf } from '../../core/system/shown.ts';
import type { SystemView } from '../../core/system/view.ts';
import StateMark from '../ui/StateMark.vue';
import { say } from '../../core/words/say.ts';

/** What each load gets: a row a load, a column a state. */
const { view, stateId } = defineProps<{ view: SystemView; stateId: string | null }>();

const rows = computed(() => loadTable(view));
const sums = computed(() => sumsOf(view));
const states = computed(() => view.installation.system.states);
const watts = (value: number | null) => (value === null ? '–' : `${digits(value, 0)} W`);
</script>

<template>
  <table class="w-full border-collapse">
    <caption class="sr-only">
      {{ say`What each load gets` }}
    </caption>
    <thead>
      <tr class="border-b border-hairline text-left">
        <th class="figure py-1.5 pr-2 text-[15px] font-semibold">{{ say`What each load gets` }}</th>
        <th
          v-for="state in states"
          :key="state.id"
          class="px-2 py-1.5 text-[12.5px] font-normal text-ink2"
          :class="state.id === stateId ? 'bg-teal-tint' : ''"
        >
          {{ state.name }} <span class="note">{{ tell(lastsSays(state)) }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.loadId" class="border-b border-hairline">
        <th class="figure py-1 pr-2 text-left text-[15px] font-semibold">
          {{ row.name }} <span class="note font-normal">{{ digits(row.mostPercent, 1) }}&thinsp;%</span>
        </th>
        <td
          v-for="cell in row.cells"
          :key="cell.stateId"
          class="px-2 py-1 whitespace-nowrap"
          :class="cell.stateId === stateId ? 'bg-teal-tint' : ''"
        >
          <template v-if="cell.state">
            <span class="figure text-[16px] font-semibold">{{
              cell.volts === null ? '–' : `${digits(cell.volts, 2)} V`
            }}</span>
            <span v-if="cell.drop" class="figure mx-1.5 text-[14px] text-ink2"
              >{{ digits(cell.drop.dropPercent, 1) }}&thinsp;%</span
            >
            <StateMark :state="cell.state" :close="cell.close" />
          </template>
          <span v-else class="text-ink3">–<span class="sr-only">{{ say`off` }}</span></span>
        </td>
      </tr>
      <tr
        v-for="[key, title] in [
          ['batteriesW', say`Batteries give`],
          ['lostW', say`Lost in cables`],
        ] as const"
        :key="key"
        class="border-b border-hairline"
      >
        <th class="figure py-1 pr-2 text-left text-[15px] font-semibold">{{ title }}</th>
        <td
          v-for="sum in sums"
          :key="sum.stateId"
          class="figure px-2 py-1 text-[16px] font-semibold whitespace-nowrap"
          :class="sum.stateId === stateId ? 'bg-teal-tint' : ''"
        >
          {{ watts(sum[key]) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
