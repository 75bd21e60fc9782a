<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { useIntervalFn } from '@vueuse/core';
import type { EndName } from '../../../core/model/end.ts';
import { type Hold, holdOf } from '../../../core/instrument/hold.ts';
import type { Value } from '../../../core/instrument/sample.ts';
import {
  HANG_LIMIT_KG,
  kilogramsToHang,
  pullAsked,
  pullTargets,
} from '../../../core/termination/dies/pullForce.ts';
import { forceToPull, HOLD_S } from '../../../core/proof/pullProof.ts';
import type { ReadWith } from '../../../core/proof/source.ts';
import { figure } from '../../../core/model/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { meterOf } from '../../instruments/meter.ts';
import { useSpecimen } from '../../instruments/specimen.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SourceMark from '../../ui/SourceMark.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import { clock } from '../../make/clock.ts';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';
import { amount } from '../../../core/words/message.ts';

/** The pull: what to hang, its minute, and what came of it, by clock and eye or on a scale. */
const { name, work, record } = defineProps<{ name: EndName; work: CableWork; record: TakeReading }>();

const bench = useBench();
const meter = meterOf('scale');
const specimen = useSpecimen();
const on = ref<'cable' | 'sample'>('cable');
const copperMm2 = computed(() => work.choice.taken.at.copperMm2);
/** So much that the reading can be separated from what must be held. */
const target = computed(() =>
  forceToPull(
    on.value === 'cable'
      ? pullTargets(copperMm2.value).leastN
      : pullAsked(copperMm2.value, bench.shop.practice.pull),
    meter.readWith(),
  ),
);
const hang = computed(() => kilogramsToHang(target.value));

const force = shallowRef<{ value: number; from: ReadWith } | null>(null);
const held = ref(true);
const heldS = ref<number | null>(null);

/** By the clock: the minute runs from when the weight hangs. */
const seconds = ref(0);
const minute = useIntervalFn(
  () => {
    seconds.value += 1;
    if (seconds.value >= HOLD_S) minuteOver(true);
  },
  1000,
  { immediate: false },
);
function begin(): void {
  seconds.value = 0;
  minute.resume();
}
function minuteOver(didHold: boolean): void {
  minute.pause();
  held.value = didHold;
  heldS.value = seconds.value;
  force.value ??= { value: Math.round(target.value), from: meter.readWith() };
}

/** On a scale: it is wound up to the force, and the scale sees whether it holds. */
const hold = shallowRef<Hold | null>(null);
const stop = shallowRef<(() => void) | null>(null);
function wind(): void {
  const forces: Value[] = [];
  const from = meter.readWith();
  stop.value = meter.run(
    { specimen: specimen(), probe: { at: 'pull', end: name, toN: target.value } },
    (said) => {
      if (said.kind !== 'value') return;
      forces.push(said);
      hold.value = holdOf(forces, target.value);
      const { state, heldN, peakN } = hold.value;
      if (state !== 'held' && state !== 'slipped') return;
      held.value = state === 'held';
      heldS.value = Math.floor(hold.value.heldS);
      force.value = { value: Math.round(state === 'held' ? heldN : peakN), from };
      letGo();
    },
  );
}
function letGo(): void {
  stop.value?.();
  stop.value = null;
}
onScopeDispose(letGo);

function take(): void {
  if (!force.value) return;
  const measured = {
    check: 'pull' as const,
    end: name,
    forceN: force.value.value,
    held: held.value,
    ...(heldS.value !== null && { heldS: heldS.value }),
    ...(on.value === 'sample' && { sample: true }),
  };
  if (!record(measured, force.value.from)) return;
  force.value = heldS.value = hold.value = null;
  seconds.value = 0;
  held.value = true;
}
const HOLD_SAYS: Readonly<Record<Hold['state'], string>> = {
  slack: 'slack',
  rising: say`winding up`,
  holding: 'holding',
  held: say`held its minute`,
  slipped: 'slipped',
};
const share = computed(() => Math.min(1, (hold.value ? hold.value.heldS : seconds.value) / HOLD_S));
const running = computed(() => stop.value !== null || minute.isActive.value);
</script>

<template>
  <form @submit.prevent="take">
    <SegmentedField
      v-model="on"
      :label="say`Pulled on`"
      class="mb-3 max-w-sm"
      :choices="[
        { value: 'cable', title: say`this end` },
        { value: 'sample', title: say`an identical sample` },
      ]"
    />
    <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
      <p class="figure">
        <span class="block text-[15px] text-ink2">{{ say`to hang` }}</span>
        <span class="text-[46px] leading-[46px] font-semibold">{{ figure(hang, 'kg', 1) }}</span>
        <span class="ml-2 text-[17px] text-ink2">{{ figure(target, 'N', 0) }}</span>
      </p>
      <p v-if="running || hold || seconds > 0" class="figure" role="timer">
        <span class="block text-[15px] text-ink2">{{
          hold ? say`${HOLD_SAYS[hold.state]}, ${figure(hold.peakN, 'N', 0)} at most` : say`hanging`
        }}</span>
        <span class="text-[46px] leading-[46px] font-semibold">{{ clock(hold ? hold.heldS : seconds) }}</span>
      </p>
      <div class="flex gap-2">
        <button v-if="stop" type="button" class="button" @click="letGo">{{ say`Release it` }}</button>
        <button v-else-if="meter.state.status === 'on'" type="button" class="button filled" @click="wind">
          {{ say`Apply the load` }}
        </button>
        <template v-else-if="minute.isActive.value">
          <button type="button" class="button" @click="minuteOver(false)">{{ say`It slipped` }}</button>
        </template>
        <button v-else type="button" class="button" @click="begin">{{ say`Start the minute` }}</button>
      </div>
    </div>
    <span class="mt-2 block h-2 bg-buff" aria-hidden="true"
      ><span
        class="block h-full"
        :class="hold?.state === 'slipped' ? 'bg-fails' : 'bg-copper'"
        :style="{ width: `${share * 100}%` }"
    /></span>
    <p v-if="hold && hold.silentS !== null" class="mt-2 font-bold" role="status">
      {{ say`The scale gave no reading for ${figure(hold.silentS, 's', 0)}: the minute began again.` }}
    </p>
    <p v-if="hang > HANG_LIMIT_KG" class="mt-2 font-bold text-fails">
      {{ say`Over ${amount(100, 'kg', 0)}: a load cell and a guarded rig. Never hang a person.` }}
    </p>
    <p v-else class="note mt-2">{{ say`Feet clear of the load; a low drop onto something soft.` }}</p>
    <div class="mt-3 grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_auto_auto]">
      <QuantityField
        :label="say`Pull, one minute`"
        kind="force"
        :model-value="force?.value ?? null"
        :least="0"
        :most="50000"
        :decimals="0"
        :hint="say`force, or weight as it hung`"
        optional
        @update:model-value="
          force = {
            value: $event,
            from: meter.typedWith(),
          }
        "
        @clear="force = null"
      />
      <CheckField v-model="held" :label="say`it held`" class="mt-[34px]" />
      <button type="submit" class="button filled mt-[22px]">
        {{ say`Record` }}<span class="sr-only">{{ ' ' }}{{ say`Pull, one minute` }}</span>
      </button>
    </div>
    <SourceMark v-if="force" :source="force.from.source" />
  </form>
</template>
