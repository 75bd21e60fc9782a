<script setup lang="ts">
import { computed, ref } from 'vue';
import { figure } from '../../core/model/units/figure.ts';
import type { CardFigure } from '../../core/paper/card.ts';
import { tell } from '../../core/words/message.ts';
import ShowWork from '../ui/ShowWork.vue';

/** Figures side by side; each opens to how it came about. */
const { figures } = defineProps<{ figures: readonly CardFigure[] }>();

const openedKey = ref<CardFigure['key'] | null>(null);
const opened = computed(() => figures.find(({ key }) => key === openedKey.value)?.finding ?? null);
const text = ({ value, unit, decimals }: CardFigure): string =>
  value === null ? '–' : figure(value, unit, decimals);
</script>

<template>
  <div>
    <div class="-ml-1.5 flex flex-wrap gap-x-4 gap-y-1">
      <component
        :is="own.finding ? 'button' : 'div'"
        v-for="own in figures"
        :key="own.key"
        :type="own.finding ? 'button' : undefined"
        class="flex min-h-11 flex-col justify-center px-1.5 text-left"
        :class="own.finding ? 'hover:bg-teal-tint' : ''"
        :aria-expanded="own.finding ? own.key === openedKey : undefined"
        @click="own.finding && (openedKey = own.key === openedKey ? null : own.key)"
      >
        <span class="block text-[13px] text-ink2">{{ tell(own.title) }}</span>
        <span class="figure block text-[20px] leading-6 font-semibold">{{ text(own) }}</span>
      </component>
    </div>
    <ShowWork v-if="opened" :finding="opened" class="box mt-1 print:hidden" />
  </div>
</template>
