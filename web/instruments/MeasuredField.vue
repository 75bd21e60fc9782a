<script setup lang="ts">
import { computed, onScopeDispose, shallowRef } from 'vue';
import type { InstrumentKind } from '../../core/model/tables/instruments.ts';
import type { Said } from '../../core/instrument/sample.ts';
import type { Probe } from '../../core/instrument/standIn/specimen.ts';
import type { ReadWith } from '../../core/proof/source.ts';
import type { QuantityKind } from '../../core/model/units/entryUnits.ts';
import SourceMark from '../ui/SourceMark.vue';
import QuantityField from '../ui/QuantityField.vue';
import { inStep, keptFigure } from '../../core/instrument/figures.ts';
import { meterOf } from './meter.ts';
import { useSpecimen } from './specimen.ts';
import { say } from '../../core/words/say.ts';

/** A figure and where it came from; null while there is none. */
export type Measure = { readonly value: number; readonly from: ReadWith } | null;

/** A figure that is typed, or taken from the instrument in hand once it has settled. */
const {
  kind,
  probe,
  decimals = 2,
  modelValue,
} = defineProps<{
  label: string;
  kind: InstrumentKind;
  quantity: QuantityKind;
  least: number;
  most: number;
  decimals?: number;
  hint?: string;
  /** Another unit to read and write it in; `decimals` are of that unit. */
  shownIn?: string;
  modelValue: Measure;
  /** Where its probes go. */
  probe: Probe;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: Measure] }>();

const meter = computed(() => meterOf(kind));
const isOn = computed(() => meter.value.state.status === 'on');
const specimen = useSpecimen();
const live = shallowRef<Said | null>(null);
const stop = shallowRef<(() => void) | null>(null);

async function measure(): Promise<void> {
  const from = meter.value.readWith();
  const measuring = meter.value.measure({ specimen: specimen(), probe }, (said) => (live.value = said));
  stop.value = measuring.stop;
  const value = await measuring.value;
  stop.value = live.value = null;
  if (value !== null)
    emit('update:modelValue', { value: keptFigure(value, meter.value.state.resolution), from });
}
onScopeDispose(() => stop.value?.());

const liveWords = computed(() => {
  const said = live.value;
  if (!said) return 'waiting …';
  if (said.kind === 'value')
    return `${inStep(said.value, kind)}, ${said.way === 'reverse' ? say`current reversed, ` : ''}${said.settled ? say`settling` : 'moving'}`;
  return said.kind === 'over' ? say`over its range` : say`a line left out`;
});
</script>

<template>
  <div class="min-w-0">
    <div class="flex items-start gap-2">
      <QuantityField
        class="flex-1"
        :label="label"
        :kind="quantity"
        :model-value="modelValue?.value ?? null"
        :least="least"
        :most="most"
        :decimals="decimals"
        v-bind="shownIn === undefined ? {} : { shownIn }"
        :hint="hint ?? ''"
        optional
        @update:model-value="
          emit('update:modelValue', {
            value: $event,
            from: meter.typedWith(),
          })
        "
        @clear="emit('update:modelValue', null)"
      />
      <button v-if="isOn && stop" type="button" class="button mt-[22px]" @click="stop()">
        {{ say`Stop` }}
      </button>
      <button v-else-if="isOn" type="button" class="button mt-[22px]" @click="measure">
        {{ say`Measure` }}<span class="sr-only"> {{ label }}</span>
      </button>
    </div>
    <p v-if="stop" class="figure text-[15px] text-teal" role="status">{{ liveWords }}</p>
    <SourceMark v-else-if="modelValue" :source="modelValue.from.source" />
  </div>
</template>
