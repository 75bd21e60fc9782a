<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { word } from '../../../core/words/terms.ts';
import { readersLocale } from '../../words.ts';
import { nanoid } from 'nanoid';
import { computed, nextTick, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES } from '../../../core/model/end.ts';
import { signedOff } from '../../../core/log/signOff.ts';
import { chained } from '../../../core/log/chain.ts';
import { sealRecord } from '../../../core/log/record.ts';
import type { ReadWith } from '../../../core/proof/source.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { provideSpecimen } from '../../instruments/specimen.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { sha256 } from '../../storage/sha256.ts';
import SegmentedField from '../../ui/SegmentedField.vue';
import StateMark from '../../ui/StateMark.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import { usePersonNeeded } from '../usePersonNeeded.ts';
import CheckList from './CheckList.vue';
import CheckPanel from './CheckPanel.vue';
import { checksOf, firstToDo } from './checks.ts';
import ReadingList from './ReadingList.vue';
import EndVerdict from './EndVerdict.vue';
import SealBox from './SealBox.vue';
import JoinReadings from './JoinReadings.vue';
import { type Measured, takenReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** Figures that prove the cable, each judged where it is typed, and the record that is sealed from them. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
/** An end, the whole, or the id of a join. */
const end = ref<string>('A');
const subjects = computed(() => [
  ...END_NAMES.map((name) => ({ value: name as string, title: say`end ${name}` })),
  ...work.joins.map(({ spec }, i) => ({ value: spec.id, title: say`join ${i + 1}` })),
  { value: 'whole', title: say`whole cable` },
]);
const join = computed(() => work.joins.find(({ spec }) => spec.id === end.value));
/** An end by its name; null for the whole cable and for a join. */
const atEnd = computed(() => END_NAMES.find((name) => name === end.value) ?? null);
const rows = computed(() => checksOf(atEnd.value, work));
const chosenId = ref<string | null>(null);
const chosen = computed(
  () =>
    rows.value.find(({ findingId }) => findingId === chosenId.value) ?? firstToDo(rows.value, work.findings),
);
/** What is to be done first stays chosen while it is being done: a reading taken does not turn the page. */
watch(
  [() => cable.id, end],
  () => {
    chosenId.value = firstToDo(rows.value, work.findings)?.findingId ?? null;
  },
  { immediate: true },
);
/** What of this end, or of the whole cable, is still missing. */
const next = computed(() =>
  rows.value.find(
    ({ findingId }) =>
      findingId !== chosen.value?.findingId &&
      work.findings.some(({ id, state, waived }) => id === findingId && state === 'unproved' && !waived),
  ),
);
provideSpecimen(() => work);
const rework = ref('');
const { problem, nameNeeded } = usePersonNeeded();

const proof = computed(() => work.findings.filter(({ stage }) => stage === 'prove'));
const missing = computed(() => proof.value.filter(({ state }) => state === 'unproved').length);
/** Whether what is being measured has a reading that fails. */
const fails = computed(() =>
  proof.value.some(
    (finding) =>
      finding.state === 'fails' &&
      (finding.end === end.value || (join.value && finding.join === join.value.spec.id)),
  ),
);
const lastRecord = computed(() => cable.records.at(-1));
const hasSimulated = computed(() =>
  cable.readings.some(({ source, struck }) => source === 'simulated' && !struck),
);

/** Takes a reading; one without a name to stand for it is refused and stays in its field. */
function record(measured: Measured, readWith?: ReadWith): boolean {
  if (nameNeeded()) return false;
  edit(
    say`reading: ${word(measured.check)}`,
    (draft) => void draft.readings.push(takenReading(measured, prefs.person, readWith)),
  );
  return true;
}

function recordRework(): void {
  const name = end.value;
  const joinId = join.value?.spec.id;
  if (name === 'whole' || nameNeeded()) return;
  if (rework.value.trim() === '') {
    problem.value = say`Enter what was done again.`;
    return;
  }
  edit(say`rework of ${name}`, (draft) => {
    draft.reworks.push({
      id: nanoid(10),
      at: new Date().toISOString(),
      by: prefs.person,
      end: name === 'B' ? 'B' : 'A',
      ...(joinId !== undefined && { joinId }),
      what: rework.value.trim(),
    });
  });
  rework.value = '';
}

const isSealing = ref(false);
/** What is proved and signed is sealed at once; anything else is asked first. */
function askToSeal(): void {
  if (nameNeeded()) return;
  if (work.verdict.state === 'holds' && signedOff(cable, bench.shop.practice).lacks.length === 0) void seal();
  else isSealing.value = true;
}
/** One at a time: each record is chained to the one before it. */
let isBusy = false;
async function seal(): Promise<void> {
  isSealing.value = false;
  if (isBusy) return;
  isBusy = true;
  const before = cable.records;
  const sealed = sealRecord(cable, work, prefs.person, new Date().toISOString());
  const record = await chained(before, sealed, sha256).catch(() => null);
  isBusy = false;
  // What was undone or sealed in another tab meanwhile is another chain.
  if (!record || cable.records !== before) {
    problem.value = record
      ? say`It was not sealed: the records changed meanwhile. Seal it again.`
      : say`It was not sealed: this browser cannot calculate its hash here.`;
    return;
  }
  edit(say`seal record`, (draft) => {
    draft.records.push(record);
    if (record.hash !== undefined) draft.lastSeal = record.hash;
  });
}
/** Turns to what is still to be measured. */
function turnTo(findingId: string): void {
  const finding = work.findings.find(({ id }) => id === findingId);
  end.value = finding?.join ?? finding?.end ?? 'whole';
  void nextTick(() => {
    if (rows.value.some((row) => row.findingId === findingId)) chosenId.value = findingId;
  });
}

const when = new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center gap-3 border-b border-line bg-paper px-3.5 py-2.5" role="status">
      <StateMark :state="work.verdict.state" :word="false" />
      <p class="figure min-w-0 flex-1 basis-64 text-[20px] leading-6 font-semibold">
        {{ tell(work.verdict.sentence) }}
      </p>
      <p
        v-if="hasSimulated"
        class="figure rounded-box border-[1.5px] border-ink px-1.5 text-[14px] font-semibold"
      >
        {{ say`SIMULATED READINGS` }}
      </p>
      <RouterLink
        :to="{ name: 'print-record', params: { jobId, cableId: cable.id } }"
        class="button inline-flex items-center"
        >{{ say`Test record` }}</RouterLink
      >
      <button type="button" class="button" @click="askToSeal">{{ say`Seal the record` }}</button>
    </div>
    <div class="p-3.5">
      <div class="prove-head grid items-start gap-3 sm:grid-cols-[1fr_200px]">
        <SegmentedField
          :label="say`Measuring`"
          :model-value="end"
          :choices="subjects"
          @update:model-value="end = $event"
        />
        <TextField
          :label="say`Who is measuring`"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
      </div>
      <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">{{ problem }}</p>
      <JoinReadings
        v-if="join"
        :key="`${cable.id}${join.spec.id}`"
        :join="join"
        :work="work"
        :record="record"
      />
      <EndVerdict v-if="atEnd" :name="atEnd" :verdict="work.endVerdicts[atEnd]" />
      <div
        v-if="!join && chosen"
        class="mb-4 grid border-y border-line bg-paper sm:grid-cols-[164px_minmax(0,1fr)]"
      >
        <CheckList :rows="rows" :chosen="chosen" :work="work" @choose="chosenId = $event.findingId" />
        <CheckPanel
          :key="`${cable.id}${chosen.findingId}`"
          class="min-w-0 p-3.5"
          :row="chosen"
          :end="atEnd"
          :cable="cable"
          :work="work"
          :job-id="jobId"
          :record="record"
          :next="next"
          @next="chosenId = next?.findingId ?? null"
        />
      </div>

      <StageSection
        v-if="end !== 'whole' && fails"
        :title="say`After a failure`"
        :note="say`record the rework to measure this end again`"
      >
        <div class="flex items-start gap-3">
          <div class="flex-1">
            <TextField
              :label="say`What was reworked`"
              :model-value="rework"
              :hint="say`cut back 60 mm, new lug, die C`"
              @update:model-value="rework = $event"
            />
          </div>
          <button type="button" class="button mt-[22px]" @click="recordRework">
            {{ say`Record the rework` }}
          </button>
        </div>
      </StageSection>

      <ReadingList :cable="cable" :job-id="jobId" />
      <SealBox
        :open="isSealing"
        :cable="cable"
        :work="work"
        :job-id="jobId"
        @close="isSealing = false"
        @seal="seal"
        @choose="turnTo"
      />

      <p v-if="lastRecord" class="note">
        {{ say`Last sealed ${when.format(new Date(lastRecord.at))} by ${lastRecord.by}:` }}
        <StateMark :state="lastRecord.verdict" class="align-middle" />
        <template v-if="lastRecord.simulated">{{ ' ' }}{{ say`SIMULATED READINGS` }}</template>
        <template v-if="cable.records.length > 1">{{
          say`, ${cable.records.length} records in all`
        }}</template
        >.
      </p>
      <p v-else class="note">
        {{
          say`No record is sealed yet. ${missing > 0 ? say`${missing} tests are still to do; the record will say so.` : ''}`
        }}
      </p>
    </div>
  </div>
</template>
