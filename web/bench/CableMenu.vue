<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue';
import { Ellipsis } from '@lucide/vue';
import type { Stage } from '../../core/model/cable.ts';
import { useCableActs } from './cableActs.ts';
import MenuAction from '../ui/MenuAction.vue';
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
      <MenuAction v-for="{ what, act } in ACTIONS" :key="what" :title="what" @act="act" />
    </MenuItems>
  </Menu>
</template>
