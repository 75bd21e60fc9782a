<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { ReadingOf } from '../../../core/model/reading.ts';
import { insulationRow } from '../../../core/model/tables/insulationLimits.ts';
import { type Charge, chargeOf, READ_AT } from '../../../core/instrument/charge.ts';
import type { Value } from '../../../core/instrument/sample.ts';
import { inStep } from '../../../core/instrument/figures.ts';
import { type ReadWith, TYPED } from '../../../core/proof/source.ts';
import { meterOf } from '../../instruments/meter.ts';
import { useSpecimen } from '../../instruments/specimen.ts';
import { clock } from '../../make/clock.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import SourceMark from '../../ui/SourceMark.vue';
import QuantityField from '../../ui/QuantityField.vue';
import { ELECTRODES, type TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** Insulation at its voltage against a second electrode, read at 15, 30 and 60 s. */
const { cable, record } = defineProps<{ cable: Cable; record: TakeReading }>();

type Electrode = ReadingOf<'insulation'>['electrode'];
const asked = computed(() => insulationRow(cable.run.systemV));
const testV = ref<number>(asked.value.testV);
const electrode = ref<Electrode>('foil');
const electrodes = (Object.entries(ELECTRODES) as [Electrode, string][]).map(([value, title]) => ({
  value,
  title,
}));
const EMPTY: Charge = { 15: null, 30: null, 60: null };
const values = shallowRef<Charge>(EMPTY);
const from = shallowRef<ReadWith>(TYPED);
const problem = ref('');

const meter = meterOf('insulation');
const specimen = useSpecimen();
const stop = shallowRef<(() => void) | null>(null);
const atS = ref(0);
const last = shallowRef<Value | null>(null);
function run(): void {
  const heard: Value[] = [];
  values.value = EMPTY;
  from.value = meter.readWith();
  const probe = { at: 'jacket' as const, electrode: electrode.value };
  stop.value = meter.run({ specimen: specimen(), probe }, (said) => {
    if (said.kind !== 'value') return;
    heard.push(said);
    last.value = said;
    atS.value = said.atS;
    values.value = chargeOf(heard);
    // A moment that was missed does not come again.
    if (values.value[60] !== null || said.atS > 64) letGo();
  });
}
function letGo(): void {
  stop.value?.();
  stop.value = null;
}
onScopeDispose(letGo);

function type(at: (typeof READ_AT)[number], value: number | null): void {
  values.value = { ...values.value, [at]: value };
  from.value = meter.typedWith();
}
function take(): void {
  const megohm = values.value[60];
  problem.value = megohm === null ? say`The 60 s value is needed.` : '';
  if (megohm === null) return;
  const { 15: at15, 30: at30 } = values.value;
  const measured = {
    check: 'insulation' as const,
    megohm,
    testV: testV.value,
    electrode: electrode.value,
    ...(at15 !== null && { at15Megohm: at15 }),
    ...(at30 !== null && { at30Megohm: at30 }),
  };
  if (record(measured, from.value)) values.value = EMPTY;
}
</script>

<template>
  <form @submit.prevent="take">
    <div class="grid items-start gap-3 sm:grid-cols-2">
      <QuantityField
        v-model="testV"
        :label="say`Test voltage`"
        kind="voltage"
        :least="1"
        :most="5000"
        :decimals="0"
        :hint="say`${asked.testV} V is required`"
      />
      <ChoiceField v-model="electrode" :label="say`Against`" :choices="electrodes" />
    </div>
    <div v-if="meter.state.status === 'on'" class="mt-3 flex items-end gap-5">
      <p class="figure" role="timer">
        <span class="block text-[15px] text-ink2">{{
          last ? inStep(last.value, 'insulation') : say`voltage off`
        }}</span>
        <span class="text-[46px] leading-[46px] font-semibold">{{ clock(atS) }}</span>
      </p>
      <button v-if="stop" type="button" class="button" @click="letGo">{{ say`Stop` }}</button>
      <button v-else type="button" class="button filled" @click="run">{{ say`Apply the voltage` }}</button>
    </div>
    <div class="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_1fr_1fr_auto]">
      <QuantityField
        v-for="at in READ_AT"
        :key="at"
        :label="at === 60 ? say`Insulation` : say`At ${at} s`"
        kind="megohm"
        :model-value="values[at]"
        :least="0"
        :most="10000000"
        :decimals="1"
        :hint="at === 60 ? say`the 60 s value` : say`optional`"
        optional
        @update:model-value="type(at, $event)"
        @clear="type(at, null)"
      />
      <button type="submit" class="button filled mt-[22px]">
        {{ say`Record` }}<span class="sr-only">{{ ' ' }}{{ say`Insulation` }}</span>
      </button>
    </div>
    <SourceMark v-if="values[60] !== null" :source="from.source" />
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <p class="mt-2 font-bold text-fails">
      {{ say`High voltage: electronics disconnected first, nobody on the cable, and discharge it after.` }}
    </p>
  </form>
</template>
