<script setup lang="ts">
import { type Message, tell } from '../../../core/words/message.ts';
import { Trash2 } from '@lucide/vue';
import { computed } from 'vue';
import { type FuseKind, FUSE_PLACES, type FusePlace, FUSES } from '../../../core/model/tables/fuses.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES } from '../../../core/model/end.ts';
import type { Fuse } from '../../../core/model/run.ts';
import { heldAmps } from '../../../core/sizing/assess.ts';
import { proposedFuse } from '../../../core/sizing/fuse.ts';
import { chargedTo } from '../../../core/sizing/source.ts';
import { digits } from '../../../core/words/numerals.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { RUN_PART_TITLES } from '../stages.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { parseCurve, writtenCurve } from './curveText.ts';
import SourceFields from './SourceFields.vue';
import { useFromSystem } from './useFromSystem.ts';
import { useRunEdit } from './useRunEdit.ts';
import AddButton from '../../ui/AddButton.vue';
import { MOST } from '../../../core/model/limits.ts';
import { sourceSays } from '../../../core/sizing/runSays.ts';
import { say } from '../../../core/words/say.ts';
import { figure } from '../../../core/model/units/figure.ts';

/** The source behind it, and the fuse that guards it. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const { comes } = useFromSystem(() => ({ jobId, cable }));

const clearCharging = () => editRun(say`charging volts`, (draft) => void delete draft.chargingV);
const clearColdest = () => editRun(say`coldest start`, (draft) => void delete draft.coldestC);

const FUSE_KINDS = (Object.entries(FUSES) as [FuseKind, { title: Message; curve: readonly unknown[] }][]).map(
  ([value, { title, curve }]) => ({
    value,
    title: tell(title),
    note: curve.length > 0 ? say`curve known` : say`enter curve from its data sheet`,
  }),
);
const PLACES = (Object.entries(FUSE_PLACES) as [FusePlace, { title: Message; mostMm: number }][]).map(
  ([value, { title, mostMm }]) => ({
    value,
    title: tell(title),
    note: say`within ${figure(mostMm, 'mm', 0)}`,
  }),
);
const ENDS = END_NAMES.map((value) => ({ value, title: value }));
function addFuse(): void {
  const { at } = work.choice.taken;
  const heldA = at.currentA === null ? null : heldAmps(at);
  const { fuseOverLoad } = bench.shop.practice;
  editRun(say`fuse`, (draft) => void draft.fuses.push(proposedFuse(cable.run, heldA, fuseOverLoad)));
}
const removeFuse = (i: number) => editRun(say`fuse`, ({ fuses }) => void fuses.splice(i, 1));
const setFuse = (i: number, part: Partial<Fuse>) =>
  editRun(say`fuse`, ({ fuses }) => void Object.assign(fuses[i] ?? {}, part));
function setCurve(i: number, which: 'curve' | 'melts', text: string): void {
  if (text === '') {
    editRun(say`fuse`, ({ fuses }) => {
      if (which === 'curve') delete fuses[i]?.curve;
      else delete fuses[i]?.melts;
    });
    return;
  }
  const curve = parseCurve(text);
  if (curve.ok) setFuse(i, { [which]: [...curve.points] });
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
  <StageSection part="source" :title="RUN_PART_TITLES.source" :says="tell(sourceSays(run))">
    <div v-if="!comes('source')" class="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SourceFields
        :source="run.source"
        :end="run.bothEndsLive ? 'A' : undefined"
        @change="setRun('source', say`source`)($event)"
      />
    </div>
    <div v-if="run.bothEndsLive && !comes('source')" class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SourceFields
        :source="run.farSource ?? { kind: 'unknown' }"
        end="B"
        @change="setRun('farSource', say`source`)($event)"
      />
    </div>
    <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      <QuantityField
        v-if="!comes('volts')"
        :label="say`Charged to at most`"
        kind="voltage"
        :model-value="run.chargingV ?? null"
        :least="1"
        :most="1500"
        :decimals="1"
        optional
        :placeholder="digits(chargedTo(run).volts, 1)"
        :hint="say`else by its chemistry`"
        @update:model-value="setRun('chargingV', say`charging volts`)($event)"
        @clear="clearCharging"
      />
      <QuantityField
        v-if="run.starter"
        :label="say`Coldest it must start in`"
        kind="temperature"
        :model-value="run.coldestC ?? null"
        :least="-60"
        :most="60"
        :decimals="0"
        optional
        @update:model-value="setRun('coldestC', say`coldest start`)($event)"
        @clear="clearColdest"
      />
    </div>
    <div class="mt-3 mb-2 flex flex-wrap gap-x-6 gap-y-4">
      <CheckField
        v-if="!comes('source')"
        :label="say`Both ends can feed a fault`"
        :model-value="run.bothEndsLive"
        @update:model-value="setRun('bothEndsLive', say`both ends live`)($event)"
      />
      <CheckField
        :label="say`Starter circuit (normally unfused)`"
        :model-value="run.starter"
        @update:model-value="setRun('starter', say`starter circuit`)($event)"
      />
    </div>
    <ul v-if="!comes('fuses')" class="space-y-3" :aria-label="say`Fuses`">
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
            :label="say`Distance from source to fuse ${i + 1}`"
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
          :label="say`Cable ahead of fuse ${i + 1}`"
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
          @update:model-value="(text) => setCurve(i, 'curve', text)"
        />
        <TextField
          :label="say`Melts not before, fuse ${i + 1}`"
          :model-value="writtenCurve(fuse.melts ?? [])"
          :longest="200"
          :check="(text) => (text === '' ? '' : parseCurve(text).sentence)"
          :hint="say`its shortest curve: × rating, seconds`"
          @update:model-value="(text) => setCurve(i, 'melts', text)"
        />
        <TextField
          :label="say`Reason for accepting fuse ${i + 1}`"
          :model-value="fuse.waiver?.why ?? ''"
          :longest="80"
          :hint="
            fuse.waiver ? say`by ${fuse.waiver.by}` : say`why short-circuit protection alone is acceptable`
          "
          @update:model-value="(why) => waive(i, why)"
        />
      </li>
    </ul>
    <AddButton
      v-if="run.fuses.length < MOST.fuses && !comes('fuses')"
      list="fuses"
      :count="run.fuses.length"
      class="mt-3"
      @add="addFuse"
    >
      {{ say`Add a fuse` }}
    </AddButton>
  </StageSection>
</template>
