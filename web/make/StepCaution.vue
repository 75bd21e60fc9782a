<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { TriangleAlert } from '@lucide/vue';
import { CAUTIONS } from '../../core/model/cautions.ts';
import type { Step } from '../../core/traveller/step.ts';
import { say } from '../../core/words/say.ts';

/** The caution where the danger is; a professional may have it smaller, once a day for a job. */
defineProps<{ caution: NonNullable<Step['caution']>; isHeeded: boolean }>();
defineEmits<{ heed: [] }>();
</script>

<template>
  <div class="flex flex-wrap items-center gap-3 border-b border-hairline bg-lamp px-6 py-2.5 text-fails">
    <TriangleAlert :size="isHeeded ? 20 : 36" class="shrink-0" aria-hidden="true" />
    <p
      class="min-w-40 flex-1"
      :class="isHeeded ? 'text-[15px]' : 'figure text-[25px] leading-7 font-semibold'"
    >
      {{ tell(caution.says) }}
    </p>
    <button
      v-if="!isHeeded"
      type="button"
      class="min-h-11 shrink-0 text-left text-teal underline"
      @click="$emit('heed')"
    >
      {{ say`Understood: make it small` }}<br />{{ say`for today` }}
      <span class="sr-only">, {{ tell(CAUTIONS[caution.of].title) }}</span>
    </button>
  </div>
</template>
