<script setup lang="ts">
import { readersLocale } from '../words.ts';
import { computed } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { LEVEL_WORDS, levelOf } from './levels.ts';
import RoundSummary from './RoundSummary.vue';
import { useRound } from './useRound.ts';
import { say } from '../../core/words/say.ts';

/** The result of a round on one page, with a line to sign on. */
const { jobId } = defineProps<{ jobId: string }>();

const route = useRoute();
const level = computed(() => levelOf(route.query['level']));
const round = computed(() => Number(route.query['round']) || 1);
const { kept, isLoaded, exercises, marked, isOver, result } = useRound(() => ({
  level: level.value,
  round: round.value,
}));
const day = computed(() =>
  kept.value.at
    ? new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'long' }).format(new Date(kept.value.at))
    : '',
);
const print = () => window.print();
</script>

<template>
  <main v-if="isLoaded" class="paper mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex items-center gap-3 print:hidden">
      <button type="button" class="button filled" @click="print">{{ say`Print` }}</button>
      <RouterLink :to="{ name: 'training', params: { jobId }, query: { level, round } }" class="button">{{
        say`Back to the round`
      }}</RouterLink>
    </div>
    <h1 class="figure text-[26px] leading-8 font-semibold">{{ say`Spot the fault, round ${round}` }}</h1>
    <p class="mb-4 text-[14px]">
      {{ say`Level ${level}, ${LEVEL_WORDS[level].title}. ${kept.by || say`No name given`}`
      }}<template v-if="day">, {{ day }}</template>.
    </p>
    <RoundSummary v-if="isOver" :exercises="exercises" :marked="marked" :result="result" />
    <p v-else>{{ say`This round is not finished: hand in all of its ends first.` }}</p>
    <p class="mt-8 text-[12px]">
      {{ say`Drawn practice ends: this shows what was seen, not crimping skill.` }}
    </p>
    <p class="mt-8 w-72 border-t border-black pt-1 text-[12px]">{{ say`signed` }}</p>
  </main>
</template>
