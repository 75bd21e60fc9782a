<script setup lang="ts">
import { ref } from 'vue';
import { say } from '../../core/words/say.ts';
import type { DecimalMark } from '../../core/words/language.ts';
import type { Measures } from '../../core/words/measures.ts';
import PaperField from '../paper/PaperField.vue';
import { AMERICAN_SET, METRIC_SET } from '../storage/prefs.ts';
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

type ReadingSet = typeof METRIC_SET | typeof AMERICAN_SET;
const SETS: readonly { readonly title: string; readonly set: ReadingSet }[] = [
  { title: say`All metric`, set: METRIC_SET },
  { title: say`All American`, set: AMERICAN_SET },
];
const isTaken = (set: ReadingSet) =>
  (Object.keys(set) as (keyof ReadingSet)[]).every((key) => prefs[key] === set[key]);

/** What is chosen between two names of one thing, each by its preference. */
const FIELDS = [
  { key: 'lengths', label: say`Lengths`, titles: { mm: say`mm and m`, in: say`in and ft` } },
  { key: 'sizes', label: say`Conductor sizes`, titles: { metric: 'mm²', gauge: 'AWG' } },
  { key: 'temperatures', label: say`Temperatures`, titles: { '°C': '°C', '°F': '°F' } },
  { key: 'torques', label: say`Torque`, titles: { N·m: 'N·m', lbf·ft: 'lbf·ft' } },
  { key: 'forces', label: say`Forces and weights`, titles: { N: say`N and kg`, lbf: say`lbf and lb` } },
] as const satisfies readonly {
  readonly key: keyof Measures;
  readonly label: string;
  readonly titles: Readonly<Record<string, string>>;
}[];
const choicesOf = (titles: Readonly<Record<string, string>>) =>
  Object.entries(titles).map(([value, title]) => ({ value, title }));

function setCurrency(currency: string): void {
  bench.edit(say`currency`, (draft) => {
    draft.shop.currency = currency;
  });
}

/** The language is the one thing that is had by loading again. */
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
          v-for="{ title, set } in SETS"
          :key="title"
          type="button"
          class="button"
          :class="isTaken(set) ? 'filled' : ''"
          :aria-pressed="isTaken(set)"
          @click="Object.assign(prefs, set)"
        >
          {{ title }}
        </button>
      </div>
      <div class="grid gap-3 sm:grid-cols-3">
        <SegmentedField
          v-for="{ key, label, titles } in FIELDS"
          :key="key"
          :model-value="prefs[key]"
          :label="label"
          :choices="choicesOf(titles)"
          @update:model-value="Object.assign(prefs, { [key]: $event })"
        />
        <PaperField />
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
            :label="say`Decimal sign`"
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
