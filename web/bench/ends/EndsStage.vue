<script setup lang="ts">
import { type Cable, END_NAMES } from '../../../core/job/cable.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import EndPanel from './EndPanel.vue';

/** Lug, die and sleeve of both ends, side by side. */
defineProps<{ cable: Cable; work: CableWork; jobId: string }>();
</script>

<template>
  <div class="ends grid gap-x-7 p-3.5 sm:grid-cols-2">
    <EndPanel
      v-for="name in END_NAMES"
      :key="name"
      :name="name"
      :cable="cable"
      :work="work"
      :job-id="jobId"
    />
  </div>
</template>

<style>
@media (min-width: 640px) {
  .ends {
    background: linear-gradient(var(--hairline), var(--hairline)) center / 1px 100% no-repeat;
  }
}
</style>
