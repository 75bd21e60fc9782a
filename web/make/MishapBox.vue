<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import { faultSays, faultsAt, type WayOut, waysOut } from '../../core/traveller/mishaps.ts';
import type { Step } from '../../core/traveller/steps.ts';
import { useBench } from '../stores/bench.ts';
import ModalBox from '../ui/ModalBox.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** What went wrong, and the ways on from there with what each costs. The record keeps it whichever is taken. */
const { step, cable, work, isLeavable } = defineProps<{
  step: Step;
  cable: Cable;
  work: CableWork;
  /** What was measured is kept as it is, failing, and one goes on. */
  isLeavable: boolean;
}>();
const emit = defineEmits<{ close: []; take: [what: string, out: WayOut]; leave: [] }>();

const faults = computed((): readonly string[] => faultsAt(step));
const what = ref(faults.value[0] ?? '');
const bench = useBench();
const ways = computed(() => waysOut(what.value, step, cable, work, bench.shop));
</script>

<template>
  <ModalBox open :title="say`What went wrong at “${step.short}”?`" wide @close="emit('close')">
    <div class="flex flex-wrap gap-2" role="group" :aria-label="say`What went wrong`">
      <button
        v-for="fault in faults"
        :key="fault"
        type="button"
        class="button min-h-14 px-4 text-[16px]"
        :class="what === fault ? 'filled' : ''"
        :aria-pressed="what === fault"
        @click="what = fault"
      >
        {{ tell(faultSays(fault)) }}
      </button>
    </div>
    <div class="mt-2 max-w-sm">
      <TextField
        :label="say`Or in your own words`"
        :model-value="faults.includes(what) ? '' : what"
        :longest="80"
        @update:model-value="what = $event || (faults[0] ?? '')"
      />
    </div>
    <h3 class="figure mt-3 text-[18px] font-semibold">{{ say`What to do next` }}</h3>
    <ul>
      <li v-for="(out, i) in ways" :key="i" class="flex items-center gap-3 border-t border-hairline py-2">
        <div class="flex-1">
          <p class="text-[16px] font-bold">{{ tell(out.says) }}</p>
          <p :class="out.possible ? 'text-ink2' : 'font-bold text-fails'">{{ tell(out.because) }}</p>
        </div>
        <button
          type="button"
          class="button min-h-14 px-4"
          :disabled="!out.possible || what === ''"
          @click="emit('take', what, out)"
        >
          {{ say`Do this` }}<span class="sr-only">: {{ tell(out.says) }}</span>
        </button>
      </li>
      <li v-if="isLeavable" class="flex items-center gap-3 border-t border-hairline py-2">
        <div class="flex-1">
          <p class="text-[16px] font-bold">{{ say`Leave it as it is` }}</p>
          <p class="text-ink2">{{ say`What was measured is kept, and fails in Prove.` }}</p>
        </div>
        <button type="button" class="button min-h-14 px-4" @click="emit('leave')">{{ say`Go on` }}</button>
      </li>
    </ul>
  </ModalBox>
</template>
