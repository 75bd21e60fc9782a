<script setup lang="ts">
import { BookOpen, BriefcaseBusiness, Network, Ruler, TrendingDown } from '@lucide/vue';
import { computedAsync } from '@vueuse/core';
import { RouterLink } from 'vue-router';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The sheets of a job beside its cables, each with how far it is. */
const { jobId } = defineProps<{ jobId: string; cables: number; cut: number | undefined; overdue: number }>();

const bench = useBench();
const foundW = ({ named }: HuntFound) => named.reduce((sum, { wastedW }) => sum + wastedW, 0);
/** What the worst of the job's hunts has come to. */
const hunted = computedAsync(async () => {
  const own = bench.hunts.filter((hunt) => hunt.jobId === jobId);
  if (own.length === 0) return '';
  const { certainOf, huntFound } = await import('../../core/hunt/suspects.ts');
  const wastedW = Math.max(0, ...own.map((hunt) => foundW(huntFound(hunt, certainOf(bench.shop.practice)))));
  return wastedW > 0 ? say`${digits(wastedW, 0)} W found` : say`looking`;
}, '');
</script>

<template>
  <nav :aria-label="say`Job sheets`" class="shrink-0 border-t border-line">
    <RouterLink
      :to="{ name: 'system', params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 border-b border-hairline px-3.5 text-[17px] font-semibold hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <Network :size="17" class="text-teal" aria-hidden="true" /> {{ say`System` }}
    </RouterLink>
    <RouterLink
      :to="{ name: 'kit', params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 border-b border-hairline px-3.5 text-[17px] font-semibold hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <Ruler :size="17" class="text-teal" aria-hidden="true" /> {{ say`Kit` }}
      <span class="note ml-auto font-normal">{{ say`${cut ?? '…'} of ${cables} cut` }}</span>
    </RouterLink>
    <RouterLink
      :to="{ name: 'hunt', params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 border-b border-hairline px-3.5 text-[17px] font-semibold hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <TrendingDown :size="17" class="text-teal" aria-hidden="true" /> {{ say`Hunt` }}
      <span class="note ml-auto min-w-0 truncate font-normal">{{ hunted }}</span>
    </RouterLink>
    <RouterLink
      :to="{ name: 'log', params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 border-b border-hairline px-3.5 text-[17px] font-semibold hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <BookOpen :size="17" class="text-teal" aria-hidden="true" /> {{ say`Log` }}
      <span class="note ml-auto font-normal">{{ overdue > 0 ? say`${overdue} overdue` : '' }}</span>
    </RouterLink>
    <RouterLink
      :to="{ name: 'case', params: { jobId } }"
      class="figure flex h-[42px] shrink-0 items-center gap-2 px-3.5 text-[17px] font-semibold hover:bg-teal-tint"
      active-class="bg-teal-tint"
    >
      <BriefcaseBusiness :size="17" class="text-teal" aria-hidden="true" /> {{ say`Tool case` }}
    </RouterLink>
  </nav>
</template>
