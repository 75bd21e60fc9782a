<script setup lang="ts">
import { computed } from 'vue';
import type { OldVerdict } from '../../core/survey/oldVerdict.ts';
import { say } from '../../core/words/say.ts';
import StateMark from '../ui/StateMark.vue';

/** What is to be done with an old cable, by shape and word. */
const { verdict } = defineProps<{ verdict: OldVerdict }>();
const STATES = {
  keep: 'holds',
  unseen: 'unproved',
  mend: 'watch',
  remake: 'fails',
  replace: 'fails',
} as const;
const says = computed(
  () =>
    ({
      keep: say`may stay`,
      unseen: say`not inspected`,
      mend: say`repair in place`,
      remake: say`remake an end`,
      replace: say`replace`,
    })[verdict],
);
</script>

<template>
  <span class="inline-flex items-center gap-1.5 font-semibold">
    <StateMark :state="STATES[verdict]" :word="false" /> {{ says }}
  </span>
</template>
