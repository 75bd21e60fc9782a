<script setup lang="ts">
import { readersLocale } from '../words.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { bestFitDecreasing } from '../../core/cutting/cutPlan.ts';
import { kitOf } from '../../core/cutting/kit.ts';
import { cutGroups } from '../../core/cutting/pieces.ts';
import { cuttingListDoc, kitDoc, scheduleDoc } from '../../core/paper/listDoc.ts';
import { useBench } from '../stores/bench.ts';
import FillingMark from '../ui/FillingMark.vue';
import { useMade } from '../kit/made.ts';
import { useCutPlan } from '../kit/useCutPlan.ts';
import { say } from '../../core/words/say.ts';

/** A list as it goes on paper: black on white, its head on every page. */
const { jobId, what } = defineProps<{ jobId: string; what: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const { made, worked, all } = useMade(() => ({ jobs: job.value ? [job.value] : [], shop: bench.shop }));
const groups = computed(() => (what === 'cutting' ? cutGroups(made.value, bench.shop) : []));
const rules = computed(() => bench.shop.practice.cutting);
const { plans, solving } = useCutPlan(
  () => groups.value,
  () => rules.value,
);
const doc = computed(() => {
  const title = job.value?.title ?? '';
  if (what === 'kit') return kitDoc(title, kitOf(made.value, bench.shop));
  if (what === 'schedule') return scheduleDoc(title, made.value);
  return cuttingListDoc(
    title,
    plans.value.length > 0
      ? plans.value
      : groups.value.map((group) => ({
          group,
          plan: bestFitDecreasing(group.pieces, group.stock, rules.value),
        })),
  );
});
const print = () => window.print();
const when = new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'long' }).format(new Date());
</script>

<template>
  <main class="paper mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex items-center gap-3 print:hidden">
      <button type="button" class="button filled" @click="print">{{ say`Print` }}</button>
      <RouterLink :to="{ name: 'kit', params: { jobId } }" class="button">{{
        say`Back to the kit`
      }}</RouterLink>
      <span v-if="solving" role="status">{{ say`The plan is still being proved.` }}</span>
    </div>
    <FillingMark :done="worked" :all="all" />
    <h1 class="figure text-[28px] leading-8 font-semibold">{{ doc.title }}</h1>
    <p class="mb-3 text-[15px]">{{ doc.subtitle }}, {{ when }}</p>
    <table class="w-full border-collapse">
      <thead>
        <tr>
          <th
            v-for="column in doc.columns"
            :key="column.title"
            scope="col"
            class="border-b-2 border-black px-1 pb-1 text-[12px] font-normal"
            :class="column.right ? 'text-right' : 'text-left'"
            :style="{ width: `${column.width * 100}%` }"
          >
            {{ column.title }}
          </th>
        </tr>
      </thead>
      <tbody v-for="section in doc.sections" :key="section.title">
        <tr v-if="section.title">
          <th
            :colspan="doc.columns.length"
            scope="colgroup"
            class="figure px-1 pt-3 pb-1 text-left text-[17px] font-semibold"
          >
            {{ section.title }}
          </th>
        </tr>
        <tr v-for="(row, i) in section.rows" :key="i" class="break-inside-avoid">
          <td
            v-for="(cell, n) in row"
            :key="n"
            class="figure border-b border-[#999] px-1 py-1.5 text-[16px]"
            :class="doc.columns[n]?.right ? 'text-right' : 'text-left'"
          >
            {{ cell }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-4 text-[12px]">{{ doc.foot }}</p>
  </main>
</template>
