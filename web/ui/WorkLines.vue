<script setup lang="ts">
import type { Work } from '../../core/finding/finding.ts';
import { say } from '../../core/words/say.ts';
import FormulaText from './FormulaText.vue';

/** A formula, its numbers a line each, its source and what it assumes. */
defineProps<{ work: Work }>();
</script>

<template>
  <div>
    <p><FormulaText :line="work.formula" /></p>
    <p v-for="(line, i) in work.substituted" :key="i"><FormulaText :line="line" /></p>
    <p class="note mt-1.5">
      {{ say`Source: ${work.source}.`
      }}<template v-if="work.assumes">{{ ' ' }}{{ say`Assuming: ${work.assumes}.` }}</template>
    </p>
  </div>
</template>
