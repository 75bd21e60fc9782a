<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { Ellipsis } from '@lucide/vue';
import type { Stage } from '../../core/model/cable.ts';
import { useCableActs } from './cableActs.ts';
import { say } from '../../core/words/say.ts';

/** What is done with the cable on the bench as a whole. */
const { jobId, cableId, stage } = defineProps<{ jobId: string; cableId: string; stage: Stage }>();

const { duplicate, makeReturn, remove } = useCableActs(() => ({ jobId, cableId, stage }));
const ACTIONS = [
  { what: say`Duplicate`, act: duplicate },
  { what: say`Make its return`, act: makeReturn },
  { what: say`Delete`, act: remove },
];
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      class="flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
      :title="say`This cable`"
    >
      <Ellipsis :size="20" aria-hidden="true" /><span class="sr-only">{{ say`This cable` }}</span>
    </MenuButton>
    <MenuItems
      class="absolute right-0 z-30 mt-px w-56 border border-line bg-lamp shadow-lg focus:outline-none"
    >
      <MenuItem v-for="{ what, act } in ACTIONS" :key="what" v-slot="{ active }">
        <button
          type="button"
          class="min-h-11 w-full px-3 text-left"
          :class="active ? 'bg-teal-tint' : ''"
          @click="act"
        >
          {{ what }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
