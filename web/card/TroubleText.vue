<script setup lang="ts">
import type { Finding } from '../../core/finding/finding.ts';
import { tell } from '../../core/words/message.ts';

/** What fails or is not proved, and what to do about it, in one line. */
defineProps<{ finding: Finding }>();
</script>

<template>
  <p class="text-[13.5px]">
    <b :class="finding.state === 'fails' ? 'text-fails' : ''">{{ tell(finding.title) }}:</b>
    {{ tell(finding.because) }} {{ finding.remedy ? tell(finding.remedy) : '' }}
  </p>
</template>
