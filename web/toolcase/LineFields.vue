<script setup lang="ts">
import { computed, ref } from 'vue';
import type { InstrumentKind } from '../../core/model/tables/instruments.ts';
import { inStep } from '../../core/instrument/figures.ts';
import { compileLine } from '../../core/instrument/linePattern.ts';
import { REFUSED_SAYS } from '../../core/instrument/sample.ts';
import type { InstrumentLine } from '../../core/model/shop.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** How an instrument's lines are read: its pattern, tried on a line that it really sent. */
const { kind, line } = defineProps<{ kind: InstrumentKind; line: InstrumentLine }>();
const emit = defineEmits<{ change: [line: InstrumentLine] }>();

const BAUDS: readonly InstrumentLine['baud'][] = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200];
const bauds = BAUDS.map((baud) => ({ value: String(baud), title: String(baud) }));
const compiled = computed(() => compileLine(line.pattern, line.unit, kind));
const sentence = computed(() => (compiled.value.ok ? '' : compiled.value.sentence));
const set = (change: Partial<InstrumentLine>) => emit('change', { ...line, ...change });
const setBaud = (text: string) => {
  const baud = BAUDS.find((own) => String(own) === text);
  if (baud !== undefined) set({ baud });
};
const setPattern = (pattern: string) => set({ pattern });
const tooShort = (text: string) => (text.length < 7 ? say`Mark where the figure is: <value>.` : '');

/** A line as the instrument sent it, to see what it is read as. */
const tried = ref('');
const reads = computed(() => {
  if (tried.value === '' || !compiled.value.ok) return '';
  const said = compiled.value.read(tried.value, 0);
  if (said.kind === 'value') return say`stamp means ${inStep(said.value, kind)}`;
  return said.kind === 'over' ? say`reads as over its range` : REFUSED_SAYS[said.because];
});
</script>

<template>
  <div class="border-l-4 border-hairline pl-3">
    <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-[2fr_1fr_1fr_1fr]">
      <TextField
        :label="say`Data format`"
        :model-value="line.pattern"
        :longest="200"
        :check="tooShort"
        :hint="say`<value>, <unit>, <skip> for anything`"
        @update:model-value="setPattern"
      />
      <TextField
        :label="say`Unit, if not given`"
        :model-value="line.unit"
        :longest="12"
        @update:model-value="set({ unit: $event })"
      />
      <TextField
        :label="say`Query command`"
        :model-value="line.ask"
        :hint="say`empty: it sends by itself`"
        @update:model-value="set({ ask: $event })"
      />
      <ChoiceField
        :label="say`Baud`"
        :model-value="String(line.baud)"
        :choices="bauds"
        @update:model-value="setBaud"
      />
    </div>
    <p v-if="sentence" class="mb-1 font-bold text-fails" role="alert">{{ sentence }}</p>
    <div class="grid items-end gap-3 sm:grid-cols-[2fr_3fr]">
      <TextField
        :label="say`Try a line it sent`"
        :model-value="tried"
        :longest="200"
        @update:model-value="tried = $event"
      />
      <p class="figure mb-5 text-[17px]" role="status">{{ reads }}</p>
    </div>
  </div>
</template>
