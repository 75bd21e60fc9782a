<script setup lang="ts">
import { BookOpen, BriefcaseBusiness, Network, Ruler, TrendingDown } from '@lucide/vue';
import { computedAsync } from '@vueuse/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The sheets of a job beside its cables, each with how far it is. */
const { jobId, cables, cut, overdue } = defineProps<{
  jobId: string;
  cables: number;
  cut: number | undefined;
  overdue: number;
}>();

const bench = useBench();
const foundW = ({ named }: HuntFound) => named.reduce((sum, { wastedW }) => sum + wastedW, 0);
/** What the worst of the job's hunts has come to. */
const hunted = computedAsync(async () => {
  const own = bench.hunts.filter((hunt) => hunt.jobId === jobId);
  if (own.length === 0) return '';
  const { certainOf, huntFound } = await import('../../core/hunt/suspects.ts');
  const wastedW = Math.max(0, ...own.map((hunt) => foundW(huntFound(hunt, certainOf(bench.shop.practice)))));
  return wastedW > 0 ? say`${digits(wastedW, 0)} W found` : say`in progress`;
}, '');
const sheets = computed(() => [
  { name: 'system', title: say`System`, icon: Network, note: '' },
  { name: 'kit', title: say`Kit`, icon: Ruler, note: say`${cut ?? '…'} of ${cables} cut` },
  { name: 'hunt', title: say`Hunt`, icon: TrendingDown, note: hunted.value },
  { name: 'log', title: say`Log`, icon: BookOpen, note: overdue > 0 ? say`${overdue} overdue` : '' },
  { name: 'case', title: say`Tool case`, icon: BriefcaseBusiness, note: '' },
]);
</script>

<template>
  <nav :aria-label="say`Pages`" class="shrink-0 border-t border-line">
    <RouterLink
      v-for="sheet in sheets"
      :key="sheet.name"
      :to="{ name: sheet.name, params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 border-b border-hairline px-3.5 text-[17px] font-semibold last:border-b-0 hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <component :is="sheet.icon" :size="17" class="text-teal" aria-hidden="true" /> {{ sheet.title }}
      <span v-if="sheet.note" class="note ml-auto min-w-0 truncate font-normal">{{ sheet.note }}</span>
    </RouterLink>
  </nav>
</template>
