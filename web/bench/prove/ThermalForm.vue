<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { CableWork } from '../../../core/cableWork.ts';
import { type EndName, otherEnd } from '../../../core/model/end.ts';
import { readTogether } from '../../../core/proof/source.ts';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** A lug under load, against the jacket beside it or the lug at the other end. */
const { name, work, record } = defineProps<{ name: EndName; work: CableWork; record: TakeReading }>();

const against = ref<'jacket' | 'lug'>('jacket');
const amps = ref(Math.round(work.choice.taken.at.currentA ?? 100));
const minutes = ref(40);
const matte = ref(false);
const earlier = shallowRef<Measure>(null);
const lug = shallowRef<Measure>(null);
const other = shallowRef<Measure>(null);
const problem = ref('');
const farEnd = computed(() => otherEnd(name));
const warmth = (end: EndName, after: number) => ({
  at: 'lug warmth' as const,
  end,
  amps: amps.value,
  minutes: after,
});

function take(): void {
  problem.value = earlier.value && lug.value && other.value ? '' : say`All three temperatures are needed.`;
  if (!earlier.value || !lug.value || !other.value) return;
  const measured = {
    check: 'thermal' as const,
    end: name,
    against: against.value,
    lugC: lug.value.value,
    againstC: other.value.value,
    earlierC: earlier.value.value,
    amps: amps.value,
    minutes: minutes.value,
    matte: matte.value,
  };
  if (record(measured, readTogether([earlier.value.from, lug.value.from, other.value.from])))
    earlier.value = lug.value = other.value = null;
}
</script>

<template>
  <form @submit.prevent="take">
    <div class="grid items-start gap-3 sm:grid-cols-2">
      <QuantityField
        v-model="amps"
        :label="say`Load`"
        kind="current"
        :least="1"
        :most="20000"
        :decimals="0"
      />
      <QuantityField
        v-model="minutes"
        :label="say`Minutes under load`"
        kind="number"
        :least="0"
        :most="1440"
        :decimals="0"
        :hint="say`half an hour is the least`"
      />
      <MeasuredField
        v-model="earlier"
        :label="say`Lug, ten minutes before`"
        kind="thermal"
        quantity="temperature"
        :least="-40"
        :most="400"
        :decimals="1"
        :probe="warmth(name, Math.max(0, minutes - 10))"
      />
      <MeasuredField
        v-model="lug"
        :label="say`Lug, now`"
        kind="thermal"
        quantity="temperature"
        :least="-40"
        :most="400"
        :decimals="1"
        :probe="warmth(name, minutes)"
      />
      <SegmentedField
        v-model="against"
        :label="say`Against`"
        :choices="[
          { value: 'jacket', title: say`jacket beside it` },
          { value: 'lug', title: say`lug ${farEnd}` },
        ]"
      />
      <MeasuredField
        v-model="other"
        :label="against === 'jacket' ? say`Jacket, now` : say`The other lug, now`"
        kind="thermal"
        quantity="temperature"
        :least="-40"
        :most="400"
        :decimals="1"
        :probe="against === 'jacket' ? { at: 'jacket warmth', amps, minutes } : warmth(farEnd, minutes)"
      />
    </div>
    <CheckField v-model="matte" :label="say`Matte tape or paint is on the bright metal`" class="mt-2" />
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <button type="submit" class="button filled mt-3">{{ say`Record the temperatures` }}</button>
  </form>
</template>
