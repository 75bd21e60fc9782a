<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { EndName } from '../../../core/model/end.ts';
import type { Verdict } from '../../../core/proof/verdict.ts';
import StateMark from '../../ui/StateMark.vue';
import { say } from '../../../core/words/say.ts';

/** What may be said of one end by itself, and why, the worst reason first. */
const { name, verdict } = defineProps<{ name: EndName; verdict: Verdict }>();

const rest = computed(() => verdict.reasons.slice(0, 8));
</script>

<template>
  <details class="mb-2" :aria-label="say`Verdict on end ${name}`">
    <summary class="flex compact cursor-pointer items-center gap-2">
      <StateMark :state="verdict.state" :word="false" />
      <span><b>{{ say`End ${name}.` }}</b> {{ tell(verdict.sentence) }}</span>
      <span v-if="rest.length > 0" class="text-teal underline">{{ say`why` }}</span>
    </summary>
    <ol class="list-decimal pb-2 pl-9 marker:text-ink2">
      <li v-for="finding in rest" :key="finding.id" class="py-0.5">
        <b>{{ tell(finding.title) }}</b>: {{ tell(finding.because) }}
      </li>
      <li v-if="rest.length === 0" class="list-none">{{ say`Every figure of this end passes.` }}</li>
    </ol>
  </details>
</template>
