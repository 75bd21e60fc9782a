<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import type { EndName } from '../../../core/model/end.ts';
import { LEAST_PLAIN_MM } from '../../../core/proof/jointIndex.ts';
import { readTogether } from '../../../core/proof/source.ts';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';
import { amount } from '../../../core/words/message.ts';

/** One crimp by four wires, and a plain stretch of the same cable beside it. */
const { name, record } = defineProps<{ name: EndName; record: TakeReading }>();

const joint = shallowRef<Measure>(null);
const plain = shallowRef<Measure>(null);
const beyondMm = ref(30);
const lengthMm = ref(500);
const problem = ref('');
function take(): void {
  problem.value = joint.value && plain.value ? '' : say`Enter both: the crimp, and the plain stretch.`;
  if (!joint.value || !plain.value) return;
  if (plain.value.value === 0) {
    problem.value = say`A stretch of cable has some resistance: are the leads on it?`;
    return;
  }
  const measured = {
    check: 'joint' as const,
    end: name,
    milliohm: joint.value.value,
    beyondMm: beyondMm.value,
    plain: { milliohm: plain.value.value, lengthMm: lengthMm.value },
  };
  if (record(measured, readTogether([joint.value.from, plain.value.from]))) joint.value = plain.value = null;
}
</script>

<template>
  <form @submit.prevent="take">
    <div class="grid items-start gap-x-3 gap-y-2 sm:grid-cols-[150px_minmax(0,1fr)]">
      <QuantityField
        v-model="lengthMm"
        :label="say`Plain stretch`"
        kind="length"
        :least="10"
        :most="100000"
        :decimals="0"
        :hint="say`at least ${amount(LEAST_PLAIN_MM, 'mm', 0)}, no joint in it`"
      />
      <MeasuredField
        v-model="plain"
        :label="say`Resistance of the plain stretch`"
        kind="milliohm"
        quantity="milliohm"
        shown-in="µΩ"
        :least="0"
        :most="1000"
        :hint="say`four wires, current both ways`"
        :probe="{ at: 'plain', lengthMm }"
      />
      <QuantityField
        v-model="beyondMm"
        :label="say`Distance past the barrel`"
        kind="length"
        :least="0"
        :most="2000"
        :decimals="0"
        :hint="say`where the probe touches the cable`"
      />
      <MeasuredField
        v-model="joint"
        :label="say`Shoulder to probe`"
        kind="milliohm"
        quantity="milliohm"
        shown-in="µΩ"
        :least="0"
        :most="1000"
        :hint="say`the same, across the crimp`"
        :probe="{ at: 'joint', end: name, beyondMm }"
      />
    </div>
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <button type="submit" class="button filled mt-3">{{ say`Record the joint` }}</button>
  </form>
</template>
