<script setup lang="ts">
import { capitalised, tell } from '../../core/words/message.ts';
import { ref } from 'vue';
import { type Due, dueSays } from '../../core/fit/service.ts';
import { say } from '../../core/words/say.ts';
import { today } from './today.ts';
import WorkLines from './WorkLines.vue';

/** Something a cable is due for, and by when; opened, how that day came about. */
defineProps<{ due: Due }>();
const isOpen = ref(false);
</script>

<template>
  <li>
    <button
      type="button"
      class="flex min-h-11 w-full items-baseline gap-2 py-1.5 text-left hover:bg-teal-tint"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      <span class="underline decoration-hairline underline-offset-4">{{
        tell(capitalised(dueSays(due)))
      }}</span>
      <b class="figure ml-auto text-[17px]" :class="due.by < today() ? 'text-fails' : ''">{{ due.by }}</b>
      <b v-if="due.by < today()" class="text-fails">{{ say`overdue` }}</b>
    </button>
    <WorkLines v-if="isOpen" :work="due.work" class="mb-2 border-l-2 border-line pl-3" />
  </li>
</template>
