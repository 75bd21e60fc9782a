<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue';

/** The rack where there is no room for it beside the bench: it comes over the page until it is closed. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="$emit('close')">
    <div class="fixed inset-0 bg-[var(--shade)]" aria-hidden="true" />
    <DialogPanel class="fixed inset-y-0 left-0 flex w-64 flex-col border-r border-line"><slot /></DialogPanel>
  </Dialog>
</template>
