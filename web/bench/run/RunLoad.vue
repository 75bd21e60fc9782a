<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { Load } from '../../../core/model/run.ts';
import { detailSays, dutySays } from '../../../core/sizing/runSays.ts';
import { DUTY_PRESETS } from '../../../core/sizing/dutyPresets.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import StageSection from '../StageSection.vue';
import { RUN_PART_TITLES } from '../stages.ts';
import DutyTable from './DutyTable.vue';
import { useFromSystem } from './useFromSystem.ts';
import { useRunEdit } from './useRunEdit.ts';
import { say } from '../../../core/words/say.ts';

/** What else is known of the load: how it turns watts into amps, how long it runs, and steps on top of what is held. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const { comes } = useFromSystem(() => ({ jobId, cable }));

type Watts = Extract<Load, { kind: 'watts' }>;
const setWatts = (change: Partial<Watts>) =>
  editRun(say`load`, ({ load }) => void Object.assign(load, change));
const clearCutOut = () =>
  editRun(say`cut-out`, ({ load }) => void (load.kind === 'watts' && delete load.cutOutV));

const PURPOSES = [
  { value: 3, title: '3' },
  { value: 5, title: '5' },
  { value: 10, title: '10' },
] as const;
const presets = Object.entries(DUTY_PRESETS).map(([value, { title, duty }]) => ({
  value,
  title: tell(title),
  note:
    duty.steps.map(({ amps, seconds }) => `${amps} A ${seconds} s`).join(', ') +
    (duty.repeats ? say`, repeating` : ''),
}));
function setPreset(id: string): void {
  const preset = DUTY_PRESETS[id];
  if (preset)
    editRun(say`duty: ${preset.title}`, (draft) => void (draft.duty = structuredClone(preset.duty)));
}
function setDuty(on: boolean): void {
  editRun(say`duty`, (draft) => {
    if (on) draft.duty = { steps: [{ amps: 300, seconds: 10 }], repeats: false, dropPercent: 10 };
    else delete draft.duty;
  });
}
</script>

<template>
  <StageSection
    part="detail"
    :title="run.load.kind === 'watts' ? RUN_PART_TITLES.detail : say`Hours a year`"
    :says="tell(detailSays(run))"
  >
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-4">
      <template v-if="!comes('load') && run.load.kind === 'watts'">
        <QuantityField
          :label="say`Efficiency`"
          kind="percent"
          :model-value="run.load.efficiencyPercent"
          :least="10"
          :most="100"
          @update:model-value="(efficiencyPercent) => setWatts({ efficiencyPercent })"
        />
        <QuantityField
          :label="say`Lowest battery voltage`"
          kind="voltage"
          :model-value="run.load.lowestV"
          :least="1"
          :most="1000"
          :hint="say`current rises as voltage falls`"
          @update:model-value="(lowestV) => setWatts({ lowestV })"
        />
        <QuantityField
          :label="say`Low-voltage cut-out of the load`"
          kind="voltage"
          :model-value="run.load.cutOutV ?? null"
          :least="1"
          :most="1000"
          optional
          :hint="say`at its own terminals`"
          @update:model-value="(cutOutV) => setWatts({ cutOutV })"
          @clear="clearCutOut"
        />
      </template>
      <QuantityField
        :label="say`Hours a year`"
        kind="number"
        :model-value="run.hoursPerYear"
        :least="0"
        :most="8784"
        :decimals="0"
        :hint="say`for the cost of the drop`"
        @update:model-value="setRun('hoursPerYear', say`hours a year`)($event)"
      />
      <SegmentedField
        v-if="!comes('drop')"
        :label="say`Usual limits, %`"
        :model-value="run.dropPercent"
        :choices="PURPOSES"
        @update:model-value="setRun('dropPercent', say`allowed drop`)($event)"
      />
    </div>
  </StageSection>
  <StageSection v-if="!comes('load')" part="duty" :title="RUN_PART_TITLES.duty" :says="tell(dutySays(run))">
    <div v-if="!comes('load')" class="mt-1 flex flex-wrap items-end justify-between gap-3">
      <CheckField
        :label="say`Surge or duty cycle`"
        :model-value="run.duty !== undefined"
        class="py-2"
        @update:model-value="setDuty"
      />
      <ChoiceField
        v-if="run.duty"
        :label="say`Start from`"
        :model-value="undefined"
        :choices="presets"
        :empty="say`a typical duty`"
        class="w-56"
        @update:model-value="setPreset"
      />
    </div>
    <DutyTable
      v-if="run.duty && !comes('load')"
      :duty="run.duty"
      @change="(what, recipe) => editRun(what, ({ duty }) => duty && recipe(duty))"
    />
  </StageSection>
</template>
