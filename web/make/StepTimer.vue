<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import type { Finding } from '../../core/finding/finding.ts';
import ModalBox from '../ui/ModalBox.vue';
import ShowWork from '../ui/ShowWork.vue';
import { clock } from './clock.ts';
import { say } from '../../core/words/say.ts';

/** How long this step has been at hand, and about how long it takes where that is known. */
const { seconds, takes } = defineProps<{ seconds: number; takes: Finding | undefined }>();

const about = computed(() => (takes?.value ? Math.max(5, Math.round(takes.value / 5) * 5) : null));
const share = computed(() => (about.value ? Math.min(1, Math.max(0, seconds) / about.value) : 0));
const isOpen = ref(false);
</script>

<template>
  <div>
    <p class="figure text-[17px] text-ink2">{{ say`This step` }}</p>
    <p class="figure text-[38px] leading-10 font-semibold" role="timer">{{ clock(seconds) }}</p>
    <template v-if="takes && about">
      <span class="mt-0.5 block h-1.5 bg-buff" aria-hidden="true"
        ><span class="block h-full bg-copper" :style="{ width: `${share * 100}%` }"
      /></span>
      <button
        type="button"
        class="figure compact text-left text-[16px] text-teal underline"
        @click="isOpen = true"
      >
        {{ say`about ${clock(about)}` }}
      </button>
      <ModalBox :open="isOpen" :title="tell(takes.title)" @close="isOpen = false">
        <ShowWork :finding="takes" />
      </ModalBox>
    </template>
  </div>
</template>
