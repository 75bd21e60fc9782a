<script setup lang="ts">
/** A titled part of a stage, painted on its own; while it has a list open, that lies over what follows. */
defineProps<{ title: string; note?: string }>();
</script>

<template>
  <section class="relative isolate mb-4 has-[[role=listbox],[role=menu]]:z-30" :aria-label="title">
    <header class="mb-2 flex items-baseline justify-between gap-3 border-b border-line pb-1">
      <h3 class="figure text-[17px] font-semibold">{{ title }}</h3>
      <p v-if="note" class="note text-right">{{ note }}</p>
    </header>
    <slot />
  </section>
</template>
