<script setup lang="ts">
import { small, tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import type { HousePractice } from '../../core/model/housePractice.ts';
import { QUESTION_GROUPS, QUESTIONS } from '../../core/practice/questions.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import { useIsDesk } from '../ui/useWide.ts';
import ChangePanel from './ChangePanel.vue';
import PracticeFigures from './PracticeFigures.vue';
import QuestionRow from './QuestionRow.vue';
import { usePracticeChanges } from './usePracticeChanges.ts';
import { say } from '../../core/words/say.ts';

/** House practice: where good shops disagree, what this one does, and what each other answer changes on this job. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const practice = computed(() => bench.shop.practice);
const asked = computed(() => (job.value ? { job: job.value, shop: bench.shop } : null));
const { changes, progress } = usePracticeChanges(() => asked.value);

function set(what: string, change: Partial<HousePractice>): void {
  bench.edit(say`practice: ${what}`, (draft) => {
    Object.assign(draft.shop.practice, change);
  });
}

const GROUPS = [...new Set(QUESTIONS.map(({ group }) => group))].map((group) => ({
  title: QUESTION_GROUPS[group],
  questions: QUESTIONS.filter((question) => question.group === group),
}));
const openedId = ref<string | null>(null);
/** The answer in hand: the one pointed at, else the first that is not taken. */
const opened = computed(() => {
  const all = QUESTIONS.flatMap((question) => question.answers.map((answer) => ({ question, answer })));
  return (
    all.find(({ answer }) => answer.id === openedId.value && !answer.taken(practice.value)) ??
    all.find(({ answer }) => (changes.value.get(answer.id)?.count ?? 0) > 0) ??
    null
  );
});
const isDesk = useIsDesk();
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="job" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="border-b border-line bg-chalk px-4 py-2.5">
          <div class="flex items-center gap-4">
            <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`House practice` }}</h1>
            <progress
              v-if="progress < 1"
              class="h-1.5 w-40"
              :value="progress"
              :aria-label="say`Calculating what each answer changes`"
            />
          </div>
          <p class="mt-0.5 text-[13.5px]">
            {{ say`What this shop does where good shops differ. A single cable may differ.` }}
            <b>{{
              say`Local codes, class rules and a licensed person where the law asks for one come first.`
            }}</b>
          </p>
        </header>
        <div class="bg-paper lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
          <section v-for="({ title, questions }, i) in GROUPS" :key="i" :aria-label="tell(title)">
            <h2 class="figure border-b border-line bg-chalk px-4 py-1 text-[16px] text-ink2">
              {{ tell(title) }}
            </h2>
            <ul>
              <QuestionRow
                v-for="question in questions"
                :key="question.id"
                :question="question"
                :practice="practice"
                :changes="changes"
                :opened="isDesk ? (opened?.answer.id ?? null) : openedId"
                :currency="bench.shop.currency"
                @take="set(tell(small(question.title)), $event)"
                @open="openedId = $event"
              />
            </ul>
          </section>
          <section :aria-label="say`Figures`">
            <h2 class="figure border-b border-line bg-chalk px-4 py-1 text-[16px] text-ink2">
              {{ say`Figures` }}
            </h2>
            <PracticeFigures :practice="practice" @set="set" />
          </section>
        </div>
      </div>
      <div class="border-line bg-paper max-lg:border-t lg:min-h-0 lg:overflow-y-auto lg:border-l">
        <ChangePanel
          v-if="opened"
          :question="opened.question"
          :answer="opened.answer"
          :change="changes.get(opened.answer.id)"
          :currency="bench.shop.currency"
          @take="set(tell(small(opened.question.title)), opened.answer.take(practice))"
        />
        <p v-else class="p-4 text-[14px] text-ink2">
          {{
            job.cables.length === 0
              ? say`This job has no cable yet, so nothing would change.`
              : say`What another answer changes on this job appears here, cable by cable.`
          }}
        </p>
      </div>
    </main>
  </BenchFrame>
</template>
