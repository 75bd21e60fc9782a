<script setup lang="ts">
import { choicesOf } from '../../ui/choicesOf.ts';
import { Trash2 } from '@lucide/vue';
import { computed } from 'vue';
import { type FuseKind, FUSE_PLACES, type FusePlace, FUSES } from '../../../core/catalogue/tables/fuses.ts';
import { type Chemistry, SHORT_AMPS_PER_AH } from '../../../core/catalogue/tables/sources.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import type { Cable } from '../../../core/job/cable.ts';
import { END_NAMES } from '../../../core/job/end.ts';
import type { Fuse, Run } from '../../../core/job/run.ts';
import { proposedFuse } from '../../../core/sizing/fuse.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { parseCurve, writtenCurve } from './curveText.ts';
import { useRunEdit } from './useRunEdit.ts';
import AddButton from '../../ui/AddButton.vue';
import { MOST } from '../../../core/job/limits.ts';
import { say } from '../../../core/words/say.ts';

/** The source behind it, and the fuse that guards it. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const source = computed(() => run.value.source);

const SOURCES = [
  { value: 'unknown', title: say`not said` },
  { value: 'typed', title: say`its resistance` },
  { value: 'cells', title: say`cells`, note: say`mΩ of one, in series, strings` },
  { value: 'battery', title: say`ampere-hours`, note: say`an estimate, low confidence` },
  { value: 'cranking', title: say`cranking amps`, note: say`an estimate, low confidence` },
] as const;
const CHEMISTRIES = choicesOf(Object.keys(SHORT_AMPS_PER_AH) as Chemistry[]);
function setSource(kind: Run['source']['kind']): void {
  const options: Readonly<Record<Run['source']['kind'], Run['source']>> = {
    unknown: { kind: 'unknown' },
    typed: { kind: 'typed', milliohm: 4 },
    cells: { kind: 'cells', cellMilliohm: 0.3, inSeries: 8, strings: 1 },
    battery: { kind: 'battery', chemistry: 'agm', ampHours: 200 },
    cranking: { kind: 'cranking', crankingA: 800 },
  };
  setRun('source', say`source`)(options[kind]);
}
const change = (part: Partial<Run['source']>) =>
  editRun(say`source`, (draft) => void Object.assign(draft.source, part));

const FUSE_KINDS = (Object.entries(FUSES) as [FuseKind, { title: string; curve: readonly unknown[] }][]).map(
  ([value, { title, curve }]) => ({
    value,
    title,
    note: curve.length > 0 ? say`curve known` : say`curve from its sheet`,
  }),
);
const PLACES = (Object.entries(FUSE_PLACES) as [FusePlace, { title: string; mostMm: number }][]).map(
  ([value, { title, mostMm }]) => ({ value, title, note: say`within ${mostMm} mm` }),
);
const ENDS = END_NAMES.map((value) => ({ value, title: value }));
function addFuse(): void {
  const { currentA } = work.choice.taken.at;
  const { fuseOverLoad } = bench.shop.practice;
  editRun(say`fuse`, (draft) => void draft.fuses.push(proposedFuse(cable.run, currentA, fuseOverLoad)));
}
const removeFuse = (i: number) => editRun(say`fuse`, ({ fuses }) => void fuses.splice(i, 1));
const setFuse = (i: number, part: Partial<Fuse>) =>
  editRun(say`fuse`, ({ fuses }) => void Object.assign(fuses[i] ?? {}, part));
function setCurve(i: number, text: string): void {
  const curve = parseCurve(text);
  if (curve.ok) setFuse(i, { curve: [...curve.points] });
}
const waive = (i: number, why: string) =>
  editRun(say`waiver`, ({ fuses }) => {
    const fuse = fuses[i];
    if (!fuse) return;
    if (why === '') delete fuse.waiver;
    else fuse.waiver = { at: new Date().toISOString(), by: prefs.person || say`not named`, why };
  });
</script>

<template>
  <StageSection :title="say`Source and fuse`">
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <ChoiceField
        :label="say`The source is known by`"
        :model-value="source.kind"
        :choices="SOURCES"
        @update:model-value="setSource"
      />
      <QuantityField
        v-if="source.kind === 'typed'"
        :label="say`Source resistance`"
        kind="milliohm"
        :model-value="source.milliohm"
        :least="0.01"
        :most="1000"
        :decimals="3"
        @update:model-value="(milliohm) => change({ milliohm })"
      />
      <template v-else-if="source.kind === 'cells'">
        <QuantityField
          :label="say`One cell`"
          kind="milliohm"
          :model-value="source.cellMilliohm"
          :least="0.01"
          :most="100"
          :decimals="3"
          @update:model-value="(cellMilliohm) => change({ cellMilliohm })"
        />
        <QuantityField
          :label="say`In series`"
          kind="number"
          :model-value="source.inSeries"
          :least="1"
          :most="400"
          :decimals="0"
          @update:model-value="(count) => change({ inSeries: Math.round(count) })"
        />
        <QuantityField
          :label="say`Strings`"
          kind="number"
          :model-value="source.strings"
          :least="1"
          :most="40"
          :decimals="0"
          @update:model-value="(count) => change({ strings: Math.round(count) })"
        />
      </template>
      <template v-else-if="source.kind === 'battery'">
        <ChoiceField
          :label="say`Kind of battery`"
          :model-value="source.chemistry"
          :choices="CHEMISTRIES"
          @update:model-value="(chemistry) => change({ chemistry })"
        />
        <QuantityField
          :label="say`Ampere-hours`"
          kind="number"
          :model-value="source.ampHours"
          :least="1"
          :most="100000"
          :decimals="0"
          @update:model-value="(ampHours) => change({ ampHours })"
        />
      </template>
      <QuantityField
        v-else-if="source.kind === 'cranking'"
        :label="say`Cold-cranking amps`"
        kind="current"
        :model-value="source.crankingA"
        :least="50"
        :most="5000"
        :decimals="0"
        @update:model-value="(crankingA) => change({ crankingA })"
      />
    </div>
    <div class="mt-3 mb-2 flex flex-wrap gap-x-6 gap-y-4">
      <CheckField
        :label="say`Both ends can feed a fault`"
        :model-value="run.bothEndsLive"
        @update:model-value="setRun('bothEndsLive', say`both ends live`)($event)"
      />
      <CheckField
        :label="say`A starter circuit, customarily without a fuse`"
        :model-value="run.starter"
        @update:model-value="setRun('starter', say`starter circuit`)($event)"
      />
    </div>
    <ul class="space-y-3" :aria-label="say`Fuses`">
      <li
        v-for="(fuse, i) in run.fuses"
        :key="i"
        class="grid grid-cols-2 items-start gap-x-3 gap-y-1 border-t border-hairline pt-2 sm:grid-cols-4"
      >
        <SegmentedField
          :label="say`Fuse ${i + 1} at end`"
          :model-value="fuse.end"
          :choices="ENDS"
          @update:model-value="(end) => setFuse(i, { end })"
        />
        <ChoiceField
          :label="say`Fuse ${i + 1} kind`"
          :model-value="fuse.kind"
          :choices="FUSE_KINDS"
          @update:model-value="(kind) => setFuse(i, { kind })"
        />
        <QuantityField
          :label="say`Fuse ${i + 1} rating`"
          kind="current"
          :model-value="fuse.ratingA"
          :least="1"
          :most="2000"
          :decimals="0"
          @update:model-value="(ratingA) => setFuse(i, { ratingA })"
        />
        <div class="flex items-start gap-2">
          <QuantityField
            :label="say`Fuse ${i + 1}, from source`"
            kind="length"
            :model-value="fuse.distanceMm"
            :least="0"
            :most="20000"
            :decimals="0"
            class="flex-1"
            @update:model-value="(distanceMm) => setFuse(i, { distanceMm })"
          />
          <button
            type="button"
            class="mt-[21px] flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="removeFuse(i)"
          >
            <Trash2 :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Remove fuse ${i + 1}`
            }}</span>
          </button>
        </div>
        <ChoiceField
          :label="say`Before fuse ${i + 1}`"
          :model-value="fuse.place"
          :choices="PLACES"
          @update:model-value="(place) => setFuse(i, { place })"
        />
        <TextField
          :label="say`Curve of fuse ${i + 1}`"
          :model-value="writtenCurve(fuse.curve ?? [])"
          :longest="200"
          :check="(text) => (text === '' ? '' : parseCurve(text).sentence)"
          :hint="say`× rating, seconds: 1.5 200, 3 4`"
          @update:model-value="(text) => setCurve(i, text)"
        />
        <TextField
          :label="say`Waiver of fuse ${i + 1}`"
          :model-value="fuse.waiver?.why ?? ''"
          :longest="80"
          :hint="fuse.waiver ? say`by ${fuse.waiver.by}` : say`why a short-only fuse may stand`"
          @update:model-value="(why) => waive(i, why)"
        />
      </li>
    </ul>
    <AddButton
      v-if="run.fuses.length < MOST.fuses"
      list="fuses"
      :count="run.fuses.length"
      class="mt-3"
      @add="addFuse"
    >
      {{ say`Add a fuse` }}
    </AddButton>
  </StageSection>
</template>
