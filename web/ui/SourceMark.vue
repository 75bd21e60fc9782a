<script setup lang="ts">
import type { Provenance } from '../../core/finding/finding.ts';
import { say } from '../../core/words/say.ts';

/** Where a figure that was just taken came from; nothing for one that was typed. */
defineProps<{ source: Provenance }>();
</script>

<template>
  <span
    v-if="source !== 'typed'"
    class="figure inline-block text-[13.5px]"
    :class="source === 'simulated' ? 'rounded-box border border-ink px-1 font-semibold' : 'text-ink2'"
    >{{ source === 'simulated' ? say`SIMULATED` : say`instrument` }}</span
  >
</template>
