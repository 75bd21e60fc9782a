<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { computed } from 'vue';
import type { AskedEnd } from '../../core/training/exercise.ts';
import { say } from '../../core/words/say.ts';
import { bare } from '../../core/words/message.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';

/** What the end was to be: the card that the person at the bench worked from. */
const { asked } = defineProps<{ asked: AskedEnd }>();

const lines = computed((): readonly (readonly [string, string])[] => [
  [say`cable`, say`${sizeNamed(asked.size)} ${asked.kind.title}, ${bare(asked.outerMm, 'mm', 1)} over all`],
  [say`pole`, word(asked.polarity)],
  [say`lug`, say`${asked.lug.label}, barrel ${bare(asked.lug.barrelMm, 'mm', 0)} deep`],
  [say`stud`, asked.stud],
  [
    say`die`,
    say`${asked.die.stamp || say`unmarked`}, ${bare(asked.die.acrossFlatsMm, 'mm', 2)} across flats, to 2 % over`,
  ],
  [say`crimps`, say`${asked.crimps}, ears to ${bare(0.5, 'mm', 1)}`],
  [say`mouth`, say`${bare(asked.gapMm, 'mm', 0)} of copper showing`],
  [
    say`sleeve`,
    say`${bare(asked.sleeve.suppliedMm, 'mm', 0)}/${bare(asked.sleeve.recoveredMm, 'mm', 1)}, from the shoulder`,
  ],
]);
</script>

<template>
  <section :aria-label="say`Job card`" class="px-4 py-2.5">
    <h3 class="figure text-[17px] font-semibold">{{ say`Job card ${asked.tag}` }}</h3>
    <dl class="mt-1 grid grid-cols-[max-content_minmax(0,1fr)] gap-x-2 text-[13.5px] leading-[21px]">
      <template v-for="[what, says] in lines" :key="what">
        <dt class="text-ink2">{{ what }}</dt>
        <dd class="font-bold">{{ says }}</dd>
      </template>
    </dl>
  </section>
</template>
