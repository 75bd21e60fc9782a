<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref } from 'vue';
import { type RouteLocationRaw, RouterLink } from 'vue-router';
import { CAUTIONS } from '../../core/model/cautions.ts';
import type { GateState } from '../../core/traveller/gates.ts';
import type { Step } from '../../core/traveller/steps.ts';
import { clock } from './clock.ts';
import { say } from '../../core/words/say.ts';

/** What keeps a step shut: steps still missing, a list to go through, heat to wait for; and the way past it. */
const { gates, steps } = defineProps<{
  gates: readonly GateState[];
  steps: readonly Step[];
  /** Where another lug, die or tool is chosen. */
  endsPlace: RouteLocationRaw;
}>();
const emit = defineEmits<{
  heed: [caution: keyof typeof CAUTIONS];
  pass: [reason: string];
  go: [stepId: string];
}>();

const shut = computed(() => {
  const own = gates.filter(({ open }) => !open);
  const refused = own.filter(({ gate }) => gate.stop);
  // While it is refused, what else is missing does not matter.
  return refused.length > 0 ? refused : own;
});
/** Only a judgement can be gone past; what the work itself asks cannot. */
const isPassable = computed(() => shut.value.every(({ gate }) => gate.isJudgement));
const stepOf = (id: string) => steps.find((step) => step.id === id);
const isPassing = ref(false);
const reason = ref('');
const problem = ref('');
const LEAST_LETTERS = 3;
function pass(): void {
  const words = reason.value.trim();
  problem.value = words.length < LEAST_LETTERS ? say`Enter why, in a few words: it stays in the record.` : '';
  if (problem.value) return;
  emit('pass', words);
  isPassing.value = false;
  reason.value = '';
}
</script>

<template>
  <section :aria-label="say`Gate`" class="border-t-[3px] border-fails bg-paper p-4">
    <div v-for="{ gate, missing, waitS, list } in shut" :key="gate.id" class="mb-3">
      <h3 class="figure text-[22px] leading-6 font-semibold">{{ say`Locked until: ${gate.says}` }}</h3>
      <template v-if="gate.stop">
        <p class="mt-1 text-[16px] font-bold text-fails">{{ tell(gate.stop.because) }}</p>
        <p class="text-[16px]">
          <span class="figure text-ink2">{{ say`Solution` }}</span> {{ tell(gate.stop.remedy) }}
        </p>
        <RouterLink :to="endsPlace" class="button mt-2 min-h-11">{{ say`To Ends` }}</RouterLink>
      </template>
      <p v-if="missing.length > 0" class="mt-1 flex flex-wrap items-center gap-2 text-[15px]">
        {{ say`Still to do:` }}
        <button v-for="id in missing" :key="id" type="button" class="button min-h-11" @click="emit('go', id)">
          {{ tell(stepOf(id)?.short ?? id) }}
        </button>
      </p>
      <p v-if="waitS > 0" class="figure text-[44px] leading-[46px] font-semibold" role="timer">
        {{ clock(waitS) }}
        <span class="text-[18px] font-normal text-ink2">{{ say`to cool` }}</span>
      </p>
      <template v-if="list">
        <ul class="mt-1 list-disc pl-5 text-[16px] leading-6">
          <li v-for="(item, i) in CAUTIONS[list].items" :key="i">{{ tell(item) }}</li>
        </ul>
        <button type="button" class="button filled mt-2 min-h-14 px-5" @click="emit('heed', list)">
          {{ say`All checked for today` }}
        </button>
      </template>
    </div>
    <button
      v-if="isPassable && !isPassing"
      type="button"
      class="text-teal underline min-h-11"
      @click="isPassing = true"
    >
      {{ say`Override with a reason` }}
    </button>
    <form v-else-if="isPassable" class="flex flex-wrap items-end gap-2" @submit.prevent="pass">
      <label class="min-w-60 flex-1">
        <span class="label mb-1 block">{{ say`Why it may be overridden` }}</span>
        <input v-model="reason" class="field-input" maxlength="200" :aria-invalid="problem !== ''" />
      </label>
      <button type="submit" class="button min-h-11">{{ say`Override and record it` }}</button>
      <p v-if="problem" class="w-full font-bold text-fails" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>
