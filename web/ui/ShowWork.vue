<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import type { Finding } from '../../core/finding/finding.ts';
import { readText } from './display.ts';
import WorkLines from './WorkLines.vue';
import { say } from '../../core/words/say.ts';

/** How a figure came about: its formula, this cable's numbers, its source and what it assumes. */
defineProps<{ finding: Finding }>();
</script>

<template>
  <div class="bg-paper px-3.5 py-2.5">
    <p class="text-[13px]">{{ tell(finding.because) }}</p>
    <p v-if="finding.remedy" class="mt-0.5 text-[13px] font-bold">{{ tell(finding.remedy) }}</p>
    <p v-if="finding.waived" class="mt-0.5">
      {{ say`Waived: ${finding.waived.by} answers for it. ${finding.waived.why}` }}
    </p>
    <p v-if="finding.read" class="mt-0.5 text-ink2">
      <b v-if="finding.provenance === 'simulated'" class="mr-1 border border-ink px-1">{{ say`SIMULATED` }}</b
      >{{ readText(finding) }}
    </p>
    <WorkLines :work="finding.work" class="mt-2" />
  </div>
</template>
