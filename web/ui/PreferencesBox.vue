<script setup lang="ts">
import { ref } from 'vue';
import { say } from '../../core/words/say.ts';
import type { DecimalMark } from '../../core/words/language.ts';
import { AMERICAN, type Measures, METRIC } from '../../core/words/measures.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { LANGUAGES, type LanguageCode } from '../locale.ts';
import { readAs, readingKept, readingNow } from '../words.ts';
import ModalBox from './ModalBox.vue';
import SegmentedField from './SegmentedField.vue';
import TextField from './TextField.vue';

/** How everything is read in this browser: one set of preferences, honoured by every figure, field, drawing and paper. */
defineEmits<{ close: [] }>();

const bench = useBench();
const { prefs } = usePrefs();
const now = readingNow();
const language = ref<LanguageCode>(now.code);
const decimal = ref<DecimalMark | 'own'>(readingKept().decimal ?? 'own');
const problem = ref('');
const choices = (Object.keys(LANGUAGES) as LanguageCode[]).map((value) => ({
  value,
  title: LANGUAGES[value],
}));

const SETS: readonly { readonly title: string; readonly set: Measures; readonly paper: 'A4' | 'Letter' }[] = [
  { title: say`All metric`, set: METRIC, paper: 'A4' },
  { title: say`All American`, set: AMERICAN, paper: 'Letter' },
];
const isSet = ({ set, paper }: (typeof SETS)[number]) =>
  prefs.paper === paper && (Object.keys(set) as (keyof Measures)[]).every((key) => prefs[key] === set[key]);
const takeSet = ({ set, paper }: (typeof SETS)[number]) => Object.assign(prefs, set, { paper });

function setCurrency(currency: string): void {
  bench.edit(say`currency`, (draft) => {
    draft.shop.currency = currency;
  });
}

/** The language is the one thing that is had by loading anew. */
async function take(): Promise<void> {
  const mark = decimal.value;
  try {
    await readAs({ language: language.value, ...(mark !== 'own' && { decimal: mark }) }, bench.save);
  } catch {
    problem.value = say`This browser keeps nothing, so it cannot keep this either: set its own language instead.`;
  }
}
</script>

<template>
  <ModalBox open wide :title="say`Preferences`" @close="$emit('close')">
    <div class="grid gap-3">
      <div class="flex flex-wrap gap-2">
        <button
          v-for="one in SETS"
          :key="one.title"
          type="button"
          class="button"
          :class="isSet(one) ? 'filled' : ''"
          :aria-pressed="isSet(one)"
          @click="takeSet(one)"
        >
          {{ one.title }}
        </button>
      </div>
      <div class="grid gap-3 sm:grid-cols-3">
        <SegmentedField
          v-model="prefs.lengths"
          :label="say`Lengths`"
          :choices="[
            { value: 'mm', title: say`mm and m` },
            { value: 'in', title: say`in and ft` },
          ]"
        />
        <SegmentedField
          v-model="prefs.sizes"
          :label="say`Conductor sizes`"
          :choices="[
            { value: 'metric', title: 'mm²' },
            { value: 'gauge', title: 'AWG' },
          ]"
        />
        <SegmentedField
          v-model="prefs.temperatures"
          :label="say`Temperatures`"
          :choices="[
            { value: '°C', title: '°C' },
            { value: '°F', title: '°F' },
          ]"
        />
        <SegmentedField
          v-model="prefs.torques"
          :label="say`Torque`"
          :choices="[
            { value: 'N·m', title: 'N·m' },
            { value: 'lbf·ft', title: 'lbf·ft' },
          ]"
        />
        <SegmentedField
          v-model="prefs.forces"
          :label="say`Forces and weights`"
          :choices="[
            { value: 'N', title: say`N and kg` },
            { value: 'lbf', title: say`lbf and lb` },
          ]"
        />
        <SegmentedField
          v-model="prefs.paper"
          :label="say`Paper`"
          :choices="[
            { value: 'A4', title: 'A4' },
            { value: 'Letter', title: 'Letter' },
          ]"
        />
        <TextField
          :label="say`Money`"
          :model-value="bench.shop.currency"
          :longest="4"
          required
          :hint="say`Sign of the prices in the tool case; prices stay as entered.`"
          @update:model-value="setCurrency"
        />
      </div>
      <div class="grid gap-3 sm:grid-cols-2">
        <SegmentedField
          v-model="prefs.dates"
          :label="say`Dates`"
          :choices="[
            { value: 'iso', title: '2026-11-29' },
            { value: 'day', title: '29-11-2026' },
            { value: 'month', title: '11/29/2026' },
          ]"
        />
        <SegmentedField
          v-model="prefs.theme"
          :label="say`Colours`"
          :choices="[
            { value: 'system', title: say`as the device` },
            { value: 'light', title: say`light` },
            { value: 'dark', title: say`dark` },
          ]"
        />
      </div>
      <p class="note">
        {{
          say`Kept in this browser. Any unit can be typed into any field: 12 ft 6, 60 °F, 15 lbf·ft. CSV files and job files stay in mm and °C.`
        }}
      </p>
      <div class="border-t border-hairline pt-3">
        <div class="grid gap-3 sm:grid-cols-2">
          <SegmentedField v-model="language" label="Language · Taal" :choices="choices" />
          <SegmentedField
            v-model="decimal"
            :label="say`Two and a half is written`"
            :choices="[
              { value: 'own', title: say`as the language` },
              { value: '.', title: '2.5' },
              { value: ',', title: '2,5' },
            ]"
          />
        </div>
        <p class="note mt-2">
          {{
            say`What you wrote yourself and the headings of CSV files stay as they are. The page loads again; nothing is lost.`
          }}
        </p>
        <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
        <button type="button" class="button mt-2" @click="take">{{ say`Read in this language` }}</button>
      </div>
    </div>
  </ModalBox>
</template>
