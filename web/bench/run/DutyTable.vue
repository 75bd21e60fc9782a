<script setup lang="ts">
import type { Draft } from 'immer';
import { Trash2 } from '@lucide/vue';
import { computed } from 'vue';
import type { Duty } from '../../../core/model/run.ts';
import { digits } from '../../../core/words/numerals.ts';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import AddButton from '../../ui/AddButton.vue';
import { say } from '../../../core/words/say.ts';

/** The steps of a duty, and a sketch of them. */
const { duty } = defineProps<{ duty: Duty }>();
const emit = defineEmits<{ change: [what: string, recipe: (duty: Draft<Duty>) => void] }>();

const WIDTH = 300;
const HEIGHT = 76;
const total = computed(() => duty.steps.reduce((sum, { seconds }) => sum + seconds, 0));
const most = computed(() => Math.max(1, ...duty.steps.map(({ amps }) => amps)));
/** Time on a square-root scale, so that a short surge before a long rest can still be seen. */
const bars = computed(() => {
  const weights = duty.steps.map(({ seconds }) => Math.max(0.06, Math.sqrt(seconds / total.value)));
  const sum = weights.reduce((a, b) => a + b, 0);
  let x = 0;
  return duty.steps.map(({ amps, seconds }, i) => {
    const width = ((weights[i] ?? 0) / sum) * WIDTH;
    const bar = { x, width, height: (amps / most.value) * (HEIGHT - 22), amps, seconds };
    x += width;
    return bar;
  });
});

const setStep = (i: number, change: Partial<Duty['steps'][number]>) =>
  emit('change', say`duty step`, (draft) => void Object.assign(draft.steps[i] ?? {}, change));
const add = () =>
  emit('change', say`duty step`, (draft) => {
    draft.steps.push({ amps: 0, seconds: 60 });
  });
const remove = (i: number) => emit('change', say`duty step`, (draft) => void draft.steps.splice(i, 1));
</script>

<template>
  <div class="grid gap-4 sm:grid-cols-[1fr_300px]">
    <div>
      <ol class="space-y-1">
        <li
          v-for="(step, i) in duty.steps"
          :key="i"
          class="grid grid-cols-[22px_1fr_1fr_44px] items-start gap-2"
        >
          <span class="figure pt-8 text-[16px] text-ink2">{{ i + 1 }}</span>
          <QuantityField
            :label="say`Step ${i + 1}`"
            kind="current"
            :model-value="step.amps"
            :least="0"
            :most="20000"
            @update:model-value="(amps) => setStep(i, { amps })"
          />
          <QuantityField
            :label="say`Step ${i + 1} lasts`"
            kind="duration"
            :model-value="step.seconds"
            :least="0.1"
            :most="36000"
            :hint="say`12 s, 3 min`"
            @update:model-value="(seconds) => setStep(i, { seconds })"
          />
          <button
            v-if="duty.steps.length > 1"
            type="button"
            class="mt-[21px] flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="remove(i)"
          >
            <Trash2 :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Remove step ${i + 1}`
            }}</span>
          </button>
        </li>
      </ol>
      <AddButton list="dutySteps" :count="duty.steps.length" class="mt-1" @add="add">
        {{ say`Add a step` }}
      </AddButton>
    </div>
    <div>
      <svg
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        class="figure block w-full"
        role="img"
        :aria-label="say`The duty in amps over time`"
      >
        <path :d="`M0 ${HEIGHT - 18}H${WIDTH}`" stroke="var(--line)" />
        <g v-for="(bar, i) in bars" :key="i">
          <rect
            :x="bar.x + 0.5"
            :y="HEIGHT - 18 - bar.height"
            :width="Math.max(1, bar.width - 1)"
            :height="bar.height"
            fill="var(--copper)"
            stroke="var(--copper-line)"
            stroke-width="0.8"
          />
          <text
            v-if="bar.width > 34"
            :x="bar.x + bar.width / 2"
            :y="HEIGHT - 4"
            text-anchor="middle"
            font-size="13"
            fill="var(--ink2)"
          >
            {{ digits(bar.amps, 0) }} A {{ digits(bar.seconds, 0) }} s
          </text>
        </g>
      </svg>
      <div class="mt-2 grid grid-cols-[1fr_210px] items-start gap-3">
        <CheckField
          :label="say`Repeats`"
          :model-value="duty.repeats"
          class="pt-7"
          @update:model-value="
            (repeats) => emit('change', say`duty repeats`, (draft) => void (draft.repeats = repeats))
          "
        />
        <QuantityField
          :label="say`Drop allowed during the surge`"
          kind="percent"
          :model-value="duty.dropPercent"
          :least="0.5"
          :most="50"
          @update:model-value="
            (dropPercent) =>
              emit('change', say`surge drop`, (draft) => void (draft.dropPercent = dropPercent))
          "
        />
      </div>
    </div>
  </div>
</template>
