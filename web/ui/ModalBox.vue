<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle, TransitionRoot } from '@headlessui/vue';
import { X } from '@lucide/vue';
import { say } from '../../core/words/say.ts';

/** A box over the page that takes the keyboard until it is closed. */
defineProps<{ open: boolean; title: string; wide?: boolean }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <TransitionRoot :show="open" as="template">
    <Dialog class="relative z-50" @close="$emit('close')">
      <div class="fixed inset-0 bg-[var(--shade)]" aria-hidden="true" />
      <div class="fixed inset-0 flex items-start justify-center overflow-auto p-4 pt-[9vh]">
        <DialogPanel
          class="w-full border border-line bg-paper shadow-xl"
          :class="wide ? 'max-w-2xl' : 'max-w-lg'"
        >
          <div class="flex items-center justify-between border-b border-hairline pl-4">
            <DialogTitle class="figure text-[20px] font-semibold">{{ title }}</DialogTitle>
            <button
              type="button"
              class="flex size-11 items-center justify-center text-teal"
              @click="$emit('close')"
            >
              <X :size="20" aria-hidden="true" /><span class="sr-only">{{ say`Close` }}</span>
            </button>
          </div>
          <div class="p-4"><slot /></div>
        </DialogPanel>
      </div>
    </Dialog>
  </TransitionRoot>
</template>
