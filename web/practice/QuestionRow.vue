<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed } from 'vue';
import type { PracticeChange } from '../../core/practice/changes.ts';
import type { HousePractice } from '../../core/model/housePractice.ts';
import type { Question } from '../../core/practice/questions.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { changeSays } from './changeWords.ts';
import { say } from '../../core/words/say.ts';

/** One point on which good shops differ: what this one does, and what another answer would change on this job. */
const { question, practice, changes, opened, currency } = defineProps<{
  question: Question;
  practice: HousePractice;
  changes: ReadonlyMap<string, PracticeChange>;
  /** The answer whose changes are shown in full. */
  opened: string | null;
  currency: string;
}>();
const emit = defineEmits<{ take: [practice: HousePractice]; open: [answerId: string] }>();

const taken = computed(() => question.answers.find((answer) => answer.taken(practice)));
const others = computed(() => question.answers.filter((answer) => answer !== taken.value));
function take(id: string): void {
  const answer = question.answers.find((own) => own.id === id);
  if (answer) emit('take', answer.take(practice));
}
</script>

<template>
  <li class="grid gap-x-5 gap-y-1 border-b border-hairline px-4 py-2.5 sm:grid-cols-[minmax(0,1fr)_330px]">
    <div class="min-w-0">
      <h3 class="figure text-[18px] leading-6 font-semibold">{{ tell(question.title) }}</h3>
      <p class="text-[13.5px]">{{ tell(taken?.says) }}</p>
      <p v-if="question.caution" class="text-[13.5px] font-bold text-fails">{{ tell(question.caution) }}</p>
      <ul class="mt-0.5">
        <li v-for="answer in others" :key="answer.id">
          <button
            type="button"
            class="-ml-1.5 flex compact w-full items-center gap-1.5 rounded-box px-1.5 text-left text-[13px] hover:bg-teal-tint"
            :class="opened === answer.id ? 'bg-teal-tint' : ''"
            :aria-pressed="opened === answer.id"
            @click="emit('open', answer.id)"
          >
            <span class="text-ink2">{{ say`with “${answer.title}”` }}</span>
            <b class="text-teal">{{
              changes.has(answer.id)
                ? changeSays(changes.get(answer.id) as PracticeChange, currency)
                : say`calculating`
            }}</b>
          </button>
        </li>
      </ul>
    </div>
    <SegmentedField
      class="self-start"
      :label="tell(question.title)"
      hide-label
      :model-value="taken?.id ?? ''"
      :choices="question.answers.map(({ id, title }) => ({ value: id, title: tell(title) }))"
      @update:model-value="take"
    />
  </li>
</template>
