<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import type { Draft } from 'immer';
import { nanoid } from 'nanoid';
import { INSTRUMENT_KINDS, INSTRUMENTS, type InstrumentKind } from '../../core/model/tables/instruments.ts';
import type { Accuracy } from '../../core/model/accuracy.ts';
import { digits } from '../../core/words/numerals.ts';
import { baseUnitOf } from '../../core/instrument/units.ts';
import type { Instrument } from '../../core/model/shop.ts';
import StageSection from '../bench/StageSection.vue';
import { useBench } from '../stores/bench.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { notADay } from '../ui/dayEntry.ts';
import { today } from '../ui/today.ts';
import LineFields from './LineFields.vue';
import AddButton from '../ui/AddButton.vue';
import { say } from '../../core/words/say.ts';

/** The measuring instruments owned: what each resolves, until when it is calibrated, and how it speaks. */
const bench = useBench();
const kinds = INSTRUMENT_KINDS.map((kind) => ({
  value: kind,
  title: tell(INSTRUMENTS[kind].title),
  note: say`reads ${INSTRUMENTS[kind].unit}`,
}));

function edit(id: string, what: string, recipe: (instrument: Draft<Instrument>) => void): void {
  bench.edit(say`instrument: ${what}`, (draft) => {
    const own = draft.shop.instruments.find((instrument) => instrument.id === id);
    if (own) recipe(own);
  });
}
const add = () =>
  bench.edit(say`new instrument`, (draft) => {
    const kind: InstrumentKind = 'calliper';
    draft.shop.instruments.push({
      id: nanoid(8),
      title: say`New instrument`,
      kind,
      resolution: INSTRUMENTS[kind].resolution,
    });
  });
const remove = (id: string) =>
  bench.edit(say`remove an instrument`, (draft) => {
    draft.shop.instruments = draft.shop.instruments.filter((instrument) => instrument.id !== id);
  });
/** What its sheet gives it may be off by; what is not given of it is as usual for its kind. */
const setAccuracy = ({ id, kind, accuracy }: Instrument, part: Partial<Accuracy>) =>
  edit(id, say`accuracy`, (own) => {
    own.accuracy = { ...INSTRUMENTS[kind].accuracy, ...accuracy, ...part };
  });
/** Another kind reads another unit: what it told apart before means nothing, nor does its line. */
const setKind = (id: string, kind: InstrumentKind) =>
  edit(id, say`kind`, (changed) => {
    changed.kind = kind;
    changed.resolution = INSTRUMENTS[kind].resolution;
    delete changed.accuracy;
    delete changed.line;
  });
const setDue = (id: string, text: string) =>
  edit(id, say`due day`, (own) => {
    if (text === '') delete own.due;
    else own.due = text;
  });
const setSpeaks = (id: string, speaks: boolean) =>
  edit(id, say`serial line`, (own) => {
    if (speaks) own.line = { pattern: '<value> <unit>', unit: '', ask: '', baud: 9600 };
    else delete own.line;
  });
const dueWords = ({ due }: Instrument) =>
  due === undefined
    ? say`calibration not given`
    : due < today()
      ? say`was due on ${due}`
      : say`calibrated until ${due}`;
</script>

<template>
  <div>
    <p class="mb-3 max-w-prose">
      {{
        say`A reading keeps the name, the resolution and the due day of what it was taken with. Readings of an instrument past its due day are to be watched; one too coarse for a check proves nothing there.`
      }}
    </p>
    <StageSection
      v-for="instrument in bench.shop.instruments"
      :key="instrument.id"
      :title="instrument.title"
      :note="dueWords(instrument)"
    >
      <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-4">
        <TextField
          :label="say`Name in the shop`"
          :model-value="instrument.title"
          required
          @update:model-value="(title) => edit(instrument.id, say`name`, (own) => void (own.title = title))"
        />
        <ChoiceField
          :label="say`Kind`"
          :model-value="instrument.kind"
          :choices="kinds"
          @update:model-value="(kind) => setKind(instrument.id, kind)"
        />
        <QuantityField
          :label="say`Resolution, ${baseUnitOf(instrument.kind)}`"
          kind="number"
          :model-value="instrument.resolution"
          :least="0.000001"
          :most="10000"
          :decimals="6"
          @update:model-value="
            (resolution) => edit(instrument.id, say`resolution`, (own) => void (own.resolution = resolution))
          "
        />
        <QuantityField
          :label="say`Accuracy, % of reading`"
          kind="number"
          :model-value="instrument.accuracy?.percent ?? null"
          :least="0"
          :most="50"
          :decimals="2"
          optional
          :placeholder="digits(INSTRUMENTS[instrument.kind].accuracy.percent, 1)"
          :hint="say`usual for its kind where empty`"
          @update:model-value="(percent) => setAccuracy(instrument, { percent })"
          @clear="edit(instrument.id, say`accuracy`, (own) => void delete own.accuracy)"
        />
        <QuantityField
          :label="say`and digits`"
          kind="number"
          :model-value="instrument.accuracy?.digits ?? null"
          :least="0"
          :most="1000"
          :decimals="1"
          optional
          :placeholder="digits(INSTRUMENTS[instrument.kind].accuracy.digits, 0)"
          @update:model-value="(count) => setAccuracy(instrument, { digits: count })"
          @clear="edit(instrument.id, say`accuracy`, (own) => void delete own.accuracy)"
        />
        <TextField
          :label="say`Calibrated until`"
          :model-value="instrument.due ?? ''"
          hint="2027-03-31"
          :check="notADay"
          @update:model-value="(text) => setDue(instrument.id, text)"
        />
      </div>
      <CheckField
        :label="say`Connected by serial port`"
        :model-value="instrument.line !== undefined"
        @update:model-value="(speaks) => setSpeaks(instrument.id, speaks)"
      />
      <LineFields
        v-if="instrument.line"
        :kind="instrument.kind"
        :line="instrument.line"
        class="mt-2"
        @change="(line) => edit(instrument.id, say`line`, (own) => void (own.line = line))"
      />
      <p class="mt-1">
        <button type="button" class="compact text-teal underline" @click="remove(instrument.id)">
          {{ say`Remove it` }}<span class="sr-only">: {{ instrument.title }}</span>
        </button>
      </p>
    </StageSection>
    <AddButton list="instruments" :count="bench.shop.instruments.length" @add="add">
      {{ say`Another instrument` }}
    </AddButton>
  </div>
</template>
