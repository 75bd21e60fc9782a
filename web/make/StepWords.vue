<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import { type Step } from '../../core/traveller/step.ts';
import { actOf, isPractising } from '../../core/model/stepId.ts';
import { readersDigits } from '../ui/display.ts';
import { shownFigure } from './shownFigure.ts';
import { say } from '../../core/words/say.ts';

/** What to do at this step: the order, the figure as large as it will go, the die, and why. */
const { step, steps, work } = defineProps<{ step: Step; steps: readonly Step[]; work: CableWork }>();

const index = computed(() => steps.findIndex(({ id }) => id === step.id));
const shown = computed(() => shownFigure(step));
const crimps = computed(() => {
  if (!step.end || actOf(step) !== 'crimp') return null;
  const all = steps.filter(
    (own) => own.end === step.end && actOf(own) === 'crimp' && isPractising(own) === isPractising(step),
  );
  const { die, tool } = work.ends[step.end];
  return {
    text: say`${all.findIndex(({ id }) => id === step.id) + 1} of ${all.length}`,
    stamp: die?.die.stamp ?? '',
    flats: die?.die.acrossFlatsMm ?? 0,
    width: die?.die.widthMm ?? 0,
    tool: tool?.title ?? '',
  };
});
</script>

<template>
  <section
    :aria-label="say`What to do`"
    class="flex flex-col border-line px-6 py-5 lg:overflow-y-auto lg:border-r"
  >
    <p class="figure text-[19px] text-ink2">
      {{ say`Step ${index + 1} of ${steps.length}`
      }}<template v-if="step.end">{{ say`, end ${step.end}` }}</template>
    </p>
    <h2 class="figure text-[34px] leading-[37px] font-semibold">{{ tell(step.order) }}</h2>
    <template v-if="shown">
      <p
        class="figure mt-3 leading-[0.95] font-semibold whitespace-nowrap"
        :class="shown.value.length > 5 ? 'text-[104px]' : 'text-[150px]'"
      >
        {{ shown.value }}<span class="text-[42px] font-medium text-ink2"> {{ shown.unit }}</span>
      </p>
      <p class="figure text-[21px]">{{ tell(step.figure?.means) }}</p>
    </template>
    <div v-if="crimps" class="mt-3 flex items-center gap-4 border-t border-hairline pt-3">
      <svg viewBox="-34 -30 68 60" class="w-16 shrink-0" aria-hidden="true">
        <path d="M-32 0L-16 -27H16L32 0L16 27H-16Z" fill="var(--copper)" stroke="var(--copper-line)" />
        <text
          class="figure"
          y="8"
          text-anchor="middle"
          font-size="23"
          font-weight="600"
          fill="var(--on-copper)"
        >
          {{ crimps.stamp || '?' }}
        </text>
      </svg>
      <p class="flex-1">
        <b class="figure block text-[26px] leading-7 font-semibold">{{
          say`Die ${crimps.stamp || say`unmarked`}`
        }}</b>
        <span class="figure text-[16px] text-ink2">{{
          say`${readersDigits(crimps.flats, 'mm', 2)} across flats, ${readersDigits(crimps.width, 'mm', 0)} wide, ${crimps.tool}`
        }}</span>
      </p>
      <p class="figure border-l border-hairline pl-4 text-[26px] leading-6 font-semibold">
        {{ crimps.text }}<span class="block text-[16px] font-normal text-ink2">{{ say`crimps` }}</span>
      </p>
    </div>
    <p class="mt-3 text-[16px] leading-[22px]">{{ tell(step.detail) }}</p>
    <p class="mt-auto border-t border-hairline pt-3 text-[16px]">
      <span class="figure text-ink2">{{ say`Why` }}</span> {{ tell(step.why) }}
    </p>
  </section>
</template>
