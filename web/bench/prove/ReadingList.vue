<script setup lang="ts">
import { faultSays } from '../../../core/traveller/mishaps.ts';
import { type Provenance } from '../../../core/finding/finding.ts';
import { word } from '../../../core/words/terms.ts';
import { readersLocale } from '../../words.ts';
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { figureOf, withReadingCorrected } from '../../../core/log/corrections.ts';
import { usePrefs } from '../../stores/prefs.ts';
import ModalBox from '../../ui/ModalBox.vue';
import QuantityField from '../../ui/QuantityField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import { readingWords } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** All that was ever read or done again, newest first. A wrong entry is struck out with a reason, never erased. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const striking = ref<string | null>(null);
const correcting = ref<string | null>(null);
const right = ref<number | null>(null);
const figure = computed(() => {
  const own = cable.readings.find(({ id }) => id === correcting.value);
  return own ? figureOf(own) : null;
});
const why = ref('');
const when = new Intl.DateTimeFormat(readersLocale(), {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

const rows = computed(() =>
  [
    ...cable.readings.map((reading) => ({
      id: reading.id,
      at: reading.at,
      by: reading.by,
      end: 'end' in reading ? reading.end : '',
      words: readingWords(reading),
      source: reading.source as Provenance | '',
      struck: reading.struck,
      isReading: true,
      isCorrectable: figureOf(reading) !== null,
      corrects: reading.corrects !== undefined,
    })),
    ...cable.reworks.map(({ id, at, by, end, what }) => ({
      id,
      at,
      by,
      end: end as string,
      words: say`rework: ${faultSays(what)}`,
      source: '' as const,
      struck: undefined,
      isReading: false,
      isCorrectable: false,
      corrects: false,
    })),
  ].sort((a, b) => b.at.localeCompare(a.at)),
);

function strike(): void {
  const id = striking.value;
  if (why.value === '' || id === null) return;
  edit(say`strike out reading`, (draft) => {
    const reading = draft.readings.find((other) => other.id === id);
    if (reading) reading.struck = { at: new Date().toISOString(), by: prefs.person, why: why.value };
  });
  striking.value = null;
  why.value = '';
}
/** A mistyped figure is corrected: the old reading stays, struck through, with who and why. */
function correct(): void {
  const id = correcting.value;
  const value = right.value;
  if (why.value === '' || id === null || value === null) return;
  const said = { id: nanoid(10), at: new Date().toISOString(), by: prefs.person, why: why.value };
  edit(say`reading corrected`, (draft) => {
    draft.readings = withReadingCorrected(cable, id, value, said).readings;
  });
  correcting.value = null;
  why.value = '';
}
</script>

<template>
  <StageSection
    v-if="rows.length > 0"
    :title="say`All readings`"
    :note="say`${cable.readings.length} in all, newest first`"
  >
    <ul>
      <li v-for="row in rows" :key="row.id" class="flex compact items-center gap-3 border-b border-hairline">
        <span class="figure w-5 text-[15px] font-semibold">{{ row.end }}</span>
        <span class="min-w-0 flex-1" :class="row.struck ? 'text-ink3 line-through' : ''">{{
          row.words
        }}</span>
        <span v-if="row.struck" class="note">{{ say`struck out: ${row.struck.why}` }}</span>
        <span
          v-if="row.source"
          class="figure text-[13.5px]"
          :class="
            row.source === 'simulated'
              ? 'rounded-box border border-ink px-1 font-semibold uppercase'
              : 'text-ink2'
          "
          >{{ word(row.source) }}</span
        >
        <span class="note w-36 truncate text-right">{{ row.by }}, {{ when.format(new Date(row.at)) }}</span>
        <span v-if="row.corrects" class="note">{{ say`corrected` }}</span>
        <button
          v-if="row.isCorrectable"
          type="button"
          class="compact px-1 text-teal underline"
          @click="
            correcting = row.id;
            right = null;
            why = '';
          "
        >
          {{ say`correct` }}<span class="sr-only"> {{ row.words }}</span>
        </button>
        <button
          v-if="row.isReading && !row.struck"
          type="button"
          class="compact px-1 text-teal underline"
          @click="striking = row.id"
        >
          {{ say`strike` }}<span class="sr-only">{{ ' ' }}{{ say`out ${row.words}` }}</span>
        </button>
        <span v-else class="w-10" />
      </li>
    </ul>
    <ModalBox :open="correcting !== null" :title="say`Correct a mistyped reading`" @close="correcting = null">
      <p class="mb-3">
        {{
          say`The old figure stays in the record, struck through, with who and why. A true but bad reading is not corrected: rework the end instead.`
        }}
      </p>
      <template v-if="figure">
        <QuantityField
          :label="say`It should read`"
          :kind="figure.kind"
          :model-value="right ?? figure.value"
          :least="figure.least"
          :most="figure.most"
          :decimals="figure.decimals"
          @update:model-value="right = $event"
        />
      </template>
      <TextField
        :label="say`How did it go wrong?`"
        :model-value="why"
        required
        @update:model-value="why = $event"
      />
      <button type="button" class="button filled mt-2" :disabled="right === null" @click="correct">
        {{ say`Correct it` }}
      </button>
    </ModalBox>
    <ModalBox :open="striking !== null" :title="say`Strike out a reading`" @close="striking = null">
      <p class="mb-3">
        {{
          say`It stays in the record, struck through, with your reason. To replace a true but bad reading, rework the end instead.`
        }}
      </p>
      <TextField
        :label="say`Why was it wrong?`"
        :model-value="why"
        required
        @update:model-value="why = $event"
      />
      <button type="button" class="button filled mt-2" @click="strike">{{ say`Strike it out` }}</button>
    </ModalBox>
  </StageSection>
</template>
