<script setup lang="ts">
import { say } from '../../core/words/say.ts';

/** Opens and closes the work of a figure that stands in a text. */
const isOpen = defineModel<boolean>({ required: true });
</script>

<template>
  <button type="button" class="text-teal underline" :aria-expanded="isOpen" @click="isOpen = !isOpen">
    {{ isOpen ? say`Hide the calculation` : say`Show the calculation` }}
  </button>
</template>
