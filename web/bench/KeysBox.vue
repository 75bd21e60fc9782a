<script setup lang="ts">
import ModalBox from '../ui/ModalBox.vue';
import { BENCH_KEYS } from './useBenchKeys.ts';
import { say } from '../../core/words/say.ts';

/** The list of keys. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <ModalBox :open="open" :title="say`Keyboard shortcuts`" @close="$emit('close')">
    <dl class="grid grid-cols-[150px_1fr] gap-y-2">
      <template v-for="{ keys, does } in BENCH_KEYS" :key="does">
        <dt>
          <kbd v-for="key in keys" :key="key" class="key mr-1">{{ key }}</kbd>
        </dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
  </ModalBox>
</template>
