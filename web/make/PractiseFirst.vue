<script setup lang="ts">
import type { EndName } from '../../core/model/end.ts';
import type { Untried } from '../../core/traveller/practise.ts';
import { say } from '../../core/words/say.ts';

/** A die that was never tried on a lug here: a practice piece comes first, for whoever wants one. */
defineProps<{ untried: readonly Untried[] }>();
defineEmits<{ practise: [end: EndName] }>();
</script>

<template>
  <ul>
    <li
      v-for="{ die, lug, ends } in untried"
      :key="die.id + lug.id"
      class="flex flex-wrap items-center gap-3 py-0.5"
    >
      <span class="text-[16px]">{{
        say`No test crimp yet with die ${die.stamp || say`unmarked`} on ${lug.label}.`
      }}</span>
      <button v-if="ends[0]" type="button" class="button min-h-12" @click="$emit('practise', ends[0] ?? 'A')">
        {{ say`Practise on a spare first` }}
      </button>
    </li>
  </ul>
</template>
