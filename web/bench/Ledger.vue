<script setup lang="ts">
import { idOf } from '../../core/finding/topics.ts';
import { computed } from 'vue';
import { type Finding, worstFirst } from '../../core/finding/finding.ts';
import LedgerRow from './LedgerRow.vue';
import { say } from '../../core/words/say.ts';

/** The limits that apply at this stage, the worst first, each with its work. */
const { findings, title, opened } = defineProps<{
  findings: readonly Finding[];
  title: string;
  /** The finding whose work is shown. */
  opened: string | null;
}>();
defineEmits<{ open: [id: string | null] }>();

/** Findings of both ends that say the same thing stand together, where the worse of the two stands. */
const groups = computed(() => {
  const byKey = new Map<string, Finding[]>();
  for (const finding of worstFirst(findings)) {
    const key = finding.end ? idOf({ topic: finding.topic, part: finding.part }) : finding.id;
    byKey.set(
      key,
      [...(byKey.get(key) ?? []), finding].sort((a, b) => a.id.localeCompare(b.id)),
    );
  }
  return [...byKey.entries()];
});

const counts = computed(() => {
  const close = findings.filter((finding) => finding.close).length;
  const inState = (state: Finding['state']) =>
    findings.filter((finding) => finding.state === state && !finding.close).length;
  const fails = inState('fails');
  const unproved = inState('unproved');
  const watch = inState('watch');
  const passing = inState('holds');
  const parts = [
    [fails, say`${fails} fails¦${fails} fail`],
    [unproved, say`${unproved} not proved`],
    [watch, say`${watch} to watch`],
    [close, say`${close} close`],
    [passing, say`${passing} passes¦${passing} pass`],
  ] as const;
  return parts
    .filter(([count]) => count > 0)
    .map(([, words]) => words)
    .join(', ');
});
</script>

<template>
  <section :aria-label="say`Checks`" class="isolate bg-paper">
    <header class="flex items-start gap-2 px-3.5 pt-2.5 pb-2">
      <div class="min-w-0 flex-1">
        <h2 class="figure text-[18px] leading-6 font-semibold">{{ title }}</h2>
        <p class="note">{{ counts || say`nothing to check yet` }}</p>
      </div>
      <slot />
    </header>
    <ul>
      <LedgerRow
        v-for="[key, group] in groups"
        :key="key"
        :findings="group"
        :opened="opened"
        @open="$emit('open', $event)"
      />
    </ul>
  </section>
</template>
