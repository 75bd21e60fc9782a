<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { probeSays } from '../../core/hunt/says.ts';
import { nanoid } from 'nanoid';
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { Hunt, Span } from '../../core/model/hunt.ts';
import { withReading } from '../../core/hunt/changes.ts';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { inStep, keptFigure } from '../../core/instrument/figures.ts';
import type { Said } from '../../core/instrument/sample.ts';
import { chainSpecimenOf } from '../../core/instrument/standIn/specimen.ts';
import InstrumentBar from '../instruments/InstrumentBar.vue';
import { meterOf } from '../instruments/meter.ts';
import { usePrefs } from '../stores/prefs.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import { say } from '../../core/words/say.ts';

/** Where the probes go next: across which pieces, what they show, and with what it is read. */
const { hunt, found } = defineProps<{ hunt: Hunt; found: HuntFound }>();
const emit = defineEmits<{ change: [hunt: Hunt, what: string] }>();

const { prefs } = usePrefs();
const meter = meterOf('millivolt');
const first = ref('');
const last = ref('');
const amps = ref<number | null>(null);
const problem = ref('');
const live = shallowRef<Said | null>(null);
const stop = shallowRef<(() => void) | null>(null);
const choices = computed(() => hunt.pieces.map(({ id, title }) => ({ value: id, title })));
const place = (id: string) => hunt.pieces.findIndex((piece) => piece.id === id);
/** The best next place is offered until somebody chooses another. */
watch(
  () => [found.next?.first.id, found.next?.last.id, hunt.id] as const,
  ([from, to]) => {
    first.value = from ?? hunt.pieces[0]?.id ?? '';
    last.value = to ?? first.value;
  },
  { immediate: true },
);
const sideOf = (id: string) => hunt.pieces.find((piece) => piece.id === id)?.side;
const loadAmps = computed(() => (hunt.test === 'cranking' ? amps.value : (hunt.loaded.amps ?? null)));
const isOn = computed(() => meter.state.status === 'on');

function keep(millivolt: number, source: Span['source']): boolean {
  if (loadAmps.value === null) {
    problem.value =
      hunt.test === 'cranking'
        ? say`Enter the cranking current first: it changes while cranking.`
        : say`Enter the load current first: millivolts mean nothing without it.`;
    return false;
  }
  if (place(first.value) < 0 || sideOf(first.value) !== sideOf(last.value)) {
    problem.value = say`The load lies between these two: measure the way out and the way back separately.`;
    return false;
  }
  problem.value = '';
  const [a, b] = [first.value, last.value].sort((one, other) => place(one) - place(other));
  const reading: Span = {
    id: nanoid(10),
    first: a ?? '',
    last: b ?? '',
    millivolt: Math.abs(millivolt),
    amps: loadAmps.value,
    at: new Date().toISOString(),
    by: prefs.person,
    source,
  };
  emit('change', withReading(hunt, reading), say`reading`);
  return true;
}
/** A reading typed once is one reading: Enter hands it over, and the field is empty for the next. */
const take = (millivolt: number) => keep(millivolt, 'typed');
const reads = useTemplateRef<InstanceType<typeof QuantityField>>('reads');
async function measure(): Promise<void> {
  if (loadAmps.value === null) {
    keep(0, 'typed');
    return;
  }
  const { source } = meter.readWith();
  const probe = { at: 'chain' as const, amps: loadAmps.value, first: first.value, last: last.value };
  const measuring = meter.measure({ specimen: chainSpecimenOf(hunt), probe }, (said) => (live.value = said));
  stop.value = measuring.stop;
  const value = await measuring.value;
  stop.value = live.value = null;
  if (value !== null) keep(keptFigure(value, meter.state.resolution), source);
}
onScopeDispose(() => stop.value?.());
const liveWords = computed(() => {
  const said = live.value;
  if (!said) return say`waiting …`;
  if (said.kind === 'value') return inStep(said.value, 'millivolt');
  return said.kind === 'over' ? say`over its range` : say`a line left out`;
});
</script>

<template>
  <section :aria-label="say`Probe`" class="px-3.5 py-2">
    <h2 class="figure text-[17px] font-semibold text-teal">
      {{ tell(found.next ? probeSays(found.next) : say`Probe where you like.`) }}
    </h2>
    <div class="mt-1 grid grid-cols-2 gap-2">
      <ChoiceField
        :label="say`From`"
        :model-value="first"
        :choices="choices"
        @update:model-value="first = $event"
      />
      <ChoiceField
        :label="say`To`"
        :model-value="last"
        :choices="choices"
        @update:model-value="last = $event"
      />
    </div>
    <div class="mt-2 flex items-start gap-2">
      <QuantityField
        ref="reads"
        class="flex-1"
        :label="say`Reading, mV`"
        kind="millivolt"
        :model-value="null"
        :least="0"
        :most="1e5"
        :decimals="1"
        :hint="say`millivolts, either way round; Enter records them`"
        optional
        :take="take"
      />
      <QuantityField
        v-if="hunt.test === 'cranking'"
        class="w-28"
        :label="say`Current then`"
        kind="current"
        :model-value="amps"
        :least="0.1"
        :most="20000"
        :decimals="0"
        :hint="say`that moment`"
        @update:model-value="amps = $event"
      />
      <button v-if="!isOn" type="button" class="button mt-[22px]" @click="reads?.hand()">
        {{ say`Record` }}
      </button>
      <button v-else-if="stop" type="button" class="button mt-[22px]" @click="stop()">
        {{ say`Stop` }}
      </button>
      <button v-else type="button" class="button filled mt-[22px]" @click="measure">
        {{ say`Measure` }}
      </button>
    </div>
    <p v-if="stop" class="figure text-[17px] text-teal" role="status">{{ liveWords }}</p>
    <p v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</p>
    <InstrumentBar class="mt-1" kind="millivolt" />
    <p class="note mt-2">
      {{
        say`Under load everything is live. Probes insulated to the tip, one hand clear of metal, rings and watches off. A battery cannot be switched off.`
      }}
    </p>
  </section>
</template>
