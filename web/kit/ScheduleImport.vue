<script setup lang="ts">
import { cablesSay } from '../../core/words/counts.ts';
import { nanoid } from 'nanoid';
import { computed, ref, shallowRef } from 'vue';
import { csvTitles } from '../../core/model/csv.ts';
import { guessMapping, readSchedule, SCHEDULE_FIELDS, scheduleTemplate } from '../../core/paper/schedule.ts';
import { saveFile } from '../storage/files.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import ModalBox from '../ui/ModalBox.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import { say } from '../../core/words/say.ts';

/** A schedule from elsewhere: its columns are matched with what is known here, and every problem is named by its row. */
const { jobId } = defineProps<{ jobId: string }>();
const emit = defineEmits<{ close: [] }>();

const LARGEST_BYTES = 5_000_000;
const bench = useBench();
const contents = ref('');
const refusal = ref('');
const mapping = shallowRef<ReadonlyMap<string, number>>(new Map());
const unit = ref<'mm' | 'm' | 'in' | 'ft'>('mm');

async function open(event: Event): Promise<void> {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (!file) return;
  refusal.value =
    file.size > LARGEST_BYTES ? say`This file is far larger than any schedule; it was not read.` : '';
  contents.value = refusal.value ? '' : await file.text();
  mapping.value = guessMapping(contents.value);
  const length = titles.value[mapping.value.get('lengthMm') ?? -1] ?? '';
  unit.value = /\bft\b|feet/i.test(length)
    ? 'ft'
    : /\bin\b|inch/i.test(length)
      ? 'in'
      : /\bm\b|metre/i.test(length)
        ? 'm'
        : 'mm';
}
const expected = SCHEDULE_FIELDS.map(({ title }) => title).join(', ');
const template = () => saveFile('cable-schedule.csv', scheduleTemplate(), 'text/csv');
const NONE = '-1';
const titles = computed(() => csvTitles(contents.value));
const choices = computed(() => [
  { value: NONE, title: say`not in this file` },
  ...titles.value.map((title, i) => ({ value: String(i), title: title || say`column ${i + 1}` })),
]);
function map(key: string, at: string): void {
  const next = new Map(mapping.value);
  if (at === NONE) next.delete(key);
  else next.set(key, Number(at));
  mapping.value = next;
}
const found = computed(() =>
  contents.value
    ? readSchedule(contents.value, mapping.value, bench.shop, () => nanoid(10), unit.value)
    : null,
);
const isFit = computed(
  () => found.value !== null && found.value.problems.length === 0 && found.value.cables.length > 0,
);

/** Why the job has no room for them. */
const noRoom = ref('');

/** All of it or none: a schedule with holes in it is worse than none. */
function take(): void {
  const cables = found.value?.cables ?? [];
  bench.edit(say`import schedule`, (draft) => {
    const job = draft.jobs.find(({ id }) => id === jobId);
    job?.cables.push(...structuredClone([...cables]));
  });
  noRoom.value = bench.refusal;
  bench.refusal = '';
  if (noRoom.value === '') emit('close');
}
</script>

<template>
  <ModalBox open :title="say`Import a cable schedule`" wide @close="emit('close')">
    <p v-if="noRoom" class="mb-2 font-bold text-fails" role="alert">{{ noRoom }}</p>
    <label class="block">
      <span class="label mb-1 block">{{
        say`Choose a CSV file: one cable per row, first row = column names (tag, length, from, to, volts, amps, colour, pole, stud A, stud B)`
      }}</span>
      <input
        type="file"
        accept=".csv,text/csv"
        data-testid="schedule"
        class="block w-full border border-teal p-2"
        @change="open"
      />
    </label>
    <p v-if="refusal" class="mt-2 font-bold text-fails" role="alert">{{ refusal }}</p>
    <template v-if="!contents">
      <p class="mt-3">
        {{ say`Columns that are understood, in any order and under most of their usual names:` }}
      </p>
      <p class="figure text-[16px]">{{ expected }}</p>
      <p class="note mt-1">
        {{
          say`Only tag and length are needed. Poles as +, neg or ground, studs as 8, 8 mm or 3/8 in, sizes as 70 or 2/0, lengths with their unit or all in one.`
        }}
      </p>
      <button type="button" class="button mt-2" @click="template">{{ say`Save a template` }}</button>
    </template>
    <template v-if="contents">
      <h3 class="figure mt-3 mb-1 text-[16px] font-semibold">{{ say`Which column is which` }}</h3>
      <div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <ChoiceField
          v-for="field in SCHEDULE_FIELDS"
          :key="field.key"
          :label="`${field.title}${field.required ? ', needed' : ''}`"
          :model-value="String(mapping.get(field.key) ?? -1)"
          :choices="choices"
          @update:model-value="(at) => map(field.key, at)"
        />
        <SegmentedField
          :label="say`Lengths without a unit are in`"
          :model-value="unit"
          :choices="[
            { value: 'mm', title: 'mm' },
            { value: 'm', title: 'm' },
            { value: 'in', title: say`in` },
            { value: 'ft', title: say`ft` },
          ]"
          @update:model-value="unit = $event as typeof unit"
        />
      </div>
      <template v-if="found">
        <p class="mt-3 text-[15px]" role="status">
          {{ say`${cablesSay(found.cables.length)} can be read`
          }}<template v-if="found.problems.length > 0">{{
            say`, ${found.problems.length} entry is wrong: nothing is imported until it is corrected¦, ${found.problems.length} entries are wrong: nothing is imported until they are corrected`
          }}</template
          >.
        </p>
        <ul
          v-if="found.problems.length > 0"
          class="my-2 max-h-[30vh] overflow-auto border-y border-hairline"
          :aria-label="say`Problems by row`"
        >
          <li
            v-for="(problem, i) in found.problems"
            :key="i"
            class="flex gap-3 border-b border-hairline py-1"
          >
            <span class="figure w-16 shrink-0 text-[15px] font-semibold">{{ say`row ${problem.row}` }}</span>
            <span class="w-24 shrink-0 text-ink2">{{ problem.column }}</span>
            <span class="font-bold text-fails">{{ problem.sentence }}</span>
          </li>
        </ul>
        <button type="button" class="button filled mt-2" :disabled="!isFit" @click="take">
          {{ say`Import ${cablesSay(found.cables.length)}` }}
        </button>
      </template>
    </template>
  </ModalBox>
</template>
