<script setup lang="ts">
import { computed } from 'vue';
import { SAME_OFFCUT_MM } from '../../core/cutting/cutModel.ts';
import { digits } from '../../core/words/numerals.ts';
import { nothingToCut } from './nothingToCut.ts';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';
import { amount } from '../../core/words/message.ts';
import { figure } from '../../core/model/units/figure.ts';

/** The plan in one sentence, and how sure it is: the plan comes down, the bound comes up, and where they meet it is proved. */
const { plans, cables, cut, solving, seconds, isBroken } = defineProps<{
  plans: readonly GroupPlan[];
  /** All that are made together, and how many of them are cut. */
  cables: number;
  cut: number;
  solving: string | null;
  seconds: number | null;
  isBroken: boolean;
}>();
defineEmits<{ cancel: []; solve: [] }>();

const open = computed(() => plans.filter(({ group }) => group.pieces.length > 0));
const metres = (mm: number) => figure(mm / 1000, 'm', 3);
const sum = (of: (plan: GroupPlan) => number) => open.value.reduce((total, plan) => total + of(plan), 0);
const planMm = computed(() => sum(({ newMm }) => newMm));
const handMm = computed(() => sum(({ handMm }) => handMm));
const boundMm = computed(() =>
  Math.min(
    planMm.value,
    sum(({ boundMm }) => boundMm),
  ),
);
const isProved = computed(() => open.value.every(({ state }) => state === 'proved'));
const canSearch = computed(() => open.value.some(({ isOpen }) => isOpen));
const done = computed(
  () => open.value.filter(({ state }) => state === 'proved' || state === 'in time').length,
);
const short = computed(() => open.value.filter(({ plan }) => plan.unplaced.length > 0));
const nothing = computed(() => (open.value.length === 0 ? nothingToCut(cables, cut) : null));
const title = computed(() => {
  if (nothing.value) return nothing.value.title;
  if (solving !== null) return say`Searching for less new stock than ${metres(planMm.value)}`;
  if (isProved.value) return say`Least new cable needed: ${metres(planMm.value)} (proved optimal)`;
  if (short.value.length > 0) return say`Stock is short: ${metres(planMm.value)} started so far`;
  return say`New stock started: ${metres(planMm.value)}`;
});
const why = computed(() => {
  if (isBroken) return say`The optimiser did not start: this is a good plan, not a proved one.`;
  const [first] = short.value;
  if (first) {
    const [piece] = first.plan.unplaced;
    return say`${short.value.length > 1 ? say`${short.value.length} kinds are short. ` : ''}No ${first.group.title} in stock for ${piece?.label}.`;
  }
  if (nothing.value) return nothing.value.why;
  const saved = handMm.value - planMm.value;
  if (saved > 0) return say`Cutting the longest first by hand would start ${metres(saved)} more.`;
  if (!isProved.value) {
    return say`Not proved: all that is known is that no plan starts less than ${metres(boundMm.value)}.`;
  }
  return say`No plan starts less new stock; of those, this one leaves the longest offcut, to within ${amount(SAME_OFFCUT_MM, 'mm', 0)}.`;
});
/** The two lines of the proof, to one scale. */
const lines = computed(() => {
  const top = Math.max(handMm.value, planMm.value, 1);
  const y = (mm: number) => 32 - (mm / top) * 26;
  return {
    hand: y(handMm.value),
    plan: y(planMm.value),
    bound: y(boundMm.value),
    linear: y(sum(({ linearMm }) => linearMm)),
  };
});
</script>

<template>
  <header class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-3.5 py-2">
    <div class="min-w-0 flex-1 basis-64" role="status">
      <p class="figure text-[20px] leading-6 font-semibold">{{ title }}</p>
      <p class="note">{{ why }}</p>
    </div>
    <svg
      v-if="open.length > 0"
      viewBox="0 0 168 40"
      class="proof h-10 w-[168px]"
      role="img"
      :aria-label="say`plan ${metres(planMm)}, lower limit ${metres(boundMm)}`"
    >
      <path
        :d="`M34 ${lines.hand}H84V${lines.plan}H150`"
        fill="none"
        stroke="var(--copper-text)"
        stroke-width="1.8"
      />
      <path
        :d="`M34 ${lines.linear}H84V${lines.bound}H150`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
      <circle v-if="isProved" cx="154" :cy="lines.plan" r="4" fill="var(--holds)" />
      <text x="0" :y="Math.min(lines.hand + 4, 22)" fill="var(--copper-text)">{{ say`plan` }}</text>
      <text x="0" :y="Math.max(lines.linear + 4, lines.hand + 17, 36)">{{ say`lower limit` }}</text>
    </svg>
    <dl v-if="open.length > 0" class="figure grid grid-cols-[auto_auto] gap-x-2 text-[14px] leading-[17px]">
      <dt class="text-ink2">{{ say`lower limit` }}</dt>
      <dd class="text-right font-semibold">{{ metres(boundMm) }}</dd>
      <dt class="text-ink2">{{ say`gap` }}</dt>
      <dd class="text-right font-semibold">{{ metres(planMm - boundMm) }}</dd>
      <dt class="text-ink2">{{ solving === null ? say`solved` : say`solving` }}</dt>
      <dd class="text-right font-semibold">
        {{
          solving === null
            ? seconds === null
              ? say`by hand`
              : say`in ${digits(seconds, 1)} s`
            : say`${done} of ${open.length}`
        }}
      </dd>
    </dl>
    <button v-if="solving !== null" type="button" class="button" @click="$emit('cancel')">
      {{ say`Cancel` }}
    </button>
    <button v-else-if="canSearch" type="button" class="button" @click="$emit('solve')">
      {{ say`Prove it optimal` }}
    </button>
  </header>
</template>

<style>
.proof text {
  font: 400 14px var(--font-figure);
  fill: var(--ink2);
}
</style>
