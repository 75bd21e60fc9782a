<script setup lang="ts">
import { computed, ref } from 'vue';
import { nanoid } from 'nanoid';
import type { Instrument } from '../../core/model/shop.ts';
import { INSTRUMENTS, type InstrumentKind } from '../../core/model/tables/instruments.ts';
import type { Needs } from '../../core/finding/finding.ts';
import { resolutionWords } from '../../core/proof/resolution.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { today } from '../ui/today.ts';
import { BY_EYE, meterOf, STAND_IN } from './meter.ts';
import { say } from '../../core/words/say.ts';

/** What a reading is taken with: by eye, one of the shop's instruments, or a stand-in; and whether it will do. */
const { kind, needs } = defineProps<{ kind: InstrumentKind; needs?: Needs | undefined }>();

const bench = useBench();
const meter = computed(() => meterOf(kind));
const state = computed(() => meter.value.state);
const owned = computed(() => bench.shop.instruments.filter((instrument) => instrument.kind === kind));
const chosen = computed(() => owned.value.find(({ id }) => id === state.value.chosen));

const choices = computed(() => [
  { value: BY_EYE, title: say`read by eye`, note: say`typed in; instrument not given` },
  ...owned.value.map(({ id, title, resolution, due, line }) => ({
    value: id,
    title,
    note: [
      say`resolves ${resolutionWords(resolution, INSTRUMENTS[kind].unit)}`,
      due ? say`calibrated until ${due}` : say`calibration not given`,
      line ? say`over a serial line` : say`read by eye`,
    ].join(', '),
  })),
  {
    value: STAND_IN,
    title: say`${INSTRUMENTS[kind].title}, simulated`,
    note: say`SIMULATED: proves nothing`,
  },
]);

const choose = (what: string) =>
  void meter.value.choose(
    what,
    owned.value.find(({ id }) => id === what),
  );

/** One that is not in the tool case yet: it is kept there, and taken. */
const isAdding = ref(false);
const title = ref('');
const resolution = ref<number | null>(null);
function add(): void {
  if (title.value.trim() === '' || resolution.value === null) return;
  const added: Instrument = { id: nanoid(8), title: title.value.trim(), kind, resolution: resolution.value };
  bench.edit(say`new instrument`, (draft) => void draft.shop.instruments.push(added));
  isAdding.value = false;
  title.value = '';
  resolution.value = null;
  void meter.value.choose(added.id, added);
}

/** What speaks against the instrument in hand, before anything is read with it. */
const against = computed(() => {
  const at = chosen.value;
  if (at?.due !== undefined && at.due < today()) return say`Its calibration was due on ${at.due}.`;
  if (at && needs && at.resolution > needs.least)
    return say`It resolves ${resolutionWords(at.resolution, needs.unit)}; this check needs ${resolutionWords(needs.least, needs.unit)}.`;
  return '';
});
const STATUS = {
  off: '',
  connecting: 'connecting …',
  on: 'connected',
  lost: 'lost',
} as const;
</script>

<template>
  <div class="instrument-bar border-b border-hairline pb-3">
    <div class="grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_auto]">
      <ChoiceField
        :label="say`Measured with`"
        :model-value="state.chosen"
        :choices="choices"
        @update:model-value="choose"
      />
      <p class="flex min-h-11 items-center gap-2" role="status">
        <span
          v-if="state.chosen === STAND_IN"
          class="figure rounded-box border-[1.5px] border-ink px-1.5 text-[14px] font-semibold"
          >{{ say`SIMULATED` }}</span
        >
        <span class="text-ink2">{{ STATUS[state.status] }}</span>
        <button v-if="state.status === 'lost'" type="button" class="button" @click="choose(state.chosen)">
          {{ say`Connect again` }}
        </button>
      </p>
    </div>
    <form
      v-if="isAdding"
      class="mt-2 grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_160px_auto]"
      @submit.prevent="add"
    >
      <TextField
        :label="say`Instrument name`"
        :model-value="title"
        required
        @update:model-value="title = $event"
      />
      <QuantityField
        :label="say`Resolution, ${INSTRUMENTS[kind].unit}`"
        kind="number"
        :model-value="resolution"
        :least="0.000001"
        :most="10000"
        :decimals="6"
        optional
        :placeholder="say`its last digit`"
        @update:model-value="resolution = $event"
        @clear="resolution = null"
      />
      <button type="submit" class="button mt-[22px]">{{ say`Use it` }}</button>
    </form>
    <button
      v-else-if="state.chosen === BY_EYE"
      type="button"
      class="compact mt-1 font-bold text-teal"
      @click="isAdding = true"
    >
      {{ say`Another instrument` }}
    </button>
    <p v-if="against" class="mt-1 font-bold text-close">{{ against }}</p>
    <p v-else-if="needs && state.chosen === BY_EYE" class="note mt-1">
      {{ say`Needs a resolution of ${resolutionWords(needs.least, needs.unit)}.` }}
    </p>
    <p v-if="state.sentence" class="mt-1 font-bold text-fails" role="alert">{{ state.sentence }}</p>
  </div>
</template>
