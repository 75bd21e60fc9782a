<script setup lang="ts">
import { ref } from 'vue';
import { say } from '../../core/words/say.ts';
import type { DecimalMark } from '../../core/words/language.ts';
import { useBench } from '../stores/bench.ts';
import { LANGUAGES, type LanguageCode } from '../locale.ts';
import { readAs, readingKept, readingNow } from '../words.ts';
import ModalBox from './ModalBox.vue';
import SegmentedField from './SegmentedField.vue';

/** In which language, and with which decimal sign, this browser is read. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();

const bench = useBench();
const now = readingNow();
const language = ref<LanguageCode>(now.code);
const decimal = ref<DecimalMark | 'own'>(readingKept().decimal ?? 'own');
const problem = ref('');
const choices = (Object.keys(LANGUAGES) as LanguageCode[]).map((value) => ({
  value,
  title: LANGUAGES[value],
}));

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
  <ModalBox :open="open" :title="say`Language and decimal sign`" @close="$emit('close')">
    <SegmentedField v-model="language" :label="say`Language`" :choices="choices" />
    <SegmentedField
      v-model="decimal"
      class="mt-3"
      :label="say`Two and a half is written`"
      :choices="[
        { value: 'own', title: say`as the language has it` },
        { value: '.', title: '2.5' },
        { value: ',', title: '2,5' },
      ]"
    />
    <p class="note mt-3">
      {{
        say`Either sign can always be typed. What is written by hand, and the headings of CSV files, stay as they are. The page is loaded anew; nothing is lost.`
      }}
    </p>
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <button type="button" class="button filled mt-3" @click="take">{{ say`Read it so` }}</button>
  </ModalBox>
</template>
