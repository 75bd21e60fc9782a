<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import type { PracticeChange } from '../../core/practice/changes.ts';
import type { Answer, Question } from '../../core/practice/questions.ts';
import { changeSays, stepsSay } from './changeWords.ts';
import { say } from '../../core/words/say.ts';

/** What another answer makes of this job, cable by cable. */
defineProps<{ question: Question; answer: Answer; change: PracticeChange | undefined; currency: string }>();
defineEmits<{ take: [] }>();
</script>

<template>
  <section :aria-label="say`What it changes`" class="px-4 py-3">
    <p class="note">{{ tell(question.title) }}</p>
    <h2 class="figure text-[22px] leading-6 font-semibold">{{ tell(answer.title) }}</h2>
    <p class="mt-1 text-[14px]">{{ tell(answer.says) }}</p>
    <p class="figure mt-2 text-[20px] leading-6 font-semibold">
      {{ change ? changeSays(change, currency) : say`calculating` }}
    </p>
    <p v-if="change && change.count > 0" class="note">
      {{ say`Price and weight are for all materials of the job, none from stock.` }}
    </p>
    <button type="button" class="button mt-2 w-full" @click="$emit('take')">
      {{ say`Use this everywhere` }}
    </button>
    <ul class="mt-3">
      <li v-for="own in change?.cables ?? []" :key="own.tags[0]" class="border-t border-hairline py-2">
        <p class="flex items-baseline gap-2">
          <b class="figure text-[17px] font-semibold">{{ own.tags.join(', ') }}</b>
          <span v-if="own.isMade" class="note">{{ say`already made: judged again` }}</span>
          <span v-if="own.steps !== 0" class="note ml-auto">{{ stepsSay(own.steps) }}</span>
        </p>
        <dl class="text-[13px] leading-[18px]">
          <div v-for="({ what, from, to }, i) in own.instead" :key="i" class="mt-0.5">
            <dt class="text-ink2">{{ tell(what) }}</dt>
            <dd>
              {{ tell(from) }} <span class="text-teal" :aria-label="say`becomes`">→</span>{{ ' '
              }}<b>{{ tell(to) }}</b>
            </dd>
          </div>
        </dl>
      </li>
    </ul>
  </section>
</template>
