<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { Load } from '../../../core/model/run.ts';
import { DUTY_PRESETS } from '../../../core/sizing/dutyPresets.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import StageSection from '../StageSection.vue';
import DutyTable from './DutyTable.vue';
import { useFromSystem } from './useFromSystem.ts';
import { useRunEdit } from './useRunEdit.ts';
import { otherLoad } from '../../../core/sizing/loadIn.ts';
import { say } from '../../../core/words/say.ts';

/** What it carries: amps or watts held, and steps on top of that. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const { comes } = useFromSystem(() => ({ jobId, cable }));

function setLoadKind(kind: Load['kind']): void {
  editRun(say`load`, (draft) => {
    if (kind !== draft.load.kind) draft.load = otherLoad(draft.load, draft.systemV);
  });
}

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
  <StageSection :title="say`What it carries`">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-4">
      <QuantityField
        v-if="!comes('volts')"
        :label="say`System`"
        kind="voltage"
        :model-value="run.systemV"
        :least="1"
        :most="1000"
        @update:model-value="setRun('systemV', say`system voltage`)($event)"
      />
      <SegmentedField
        v-if="!comes('load')"
        :label="say`Load said in`"
        :model-value="run.load.kind"
        :choices="[
          { value: 'amps', title: say`amps` },
          { value: 'watts', title: say`watts` },
        ]"
        @update:model-value="setLoadKind"
      />
      <QuantityField
        v-if="!comes('load') && run.load.kind === 'amps'"
        :label="say`Continuous`"
        kind="current"
        :model-value="run.load.amps"
        :least="0"
        :most="5000"
        @update:model-value="
          (amps) => editRun(say`load`, (draft) => void (draft.load = { kind: 'amps', amps }))
        "
      />
      <QuantityField
        v-else-if="!comes('load') && run.load.kind === 'watts'"
        :label="say`Power given out`"
        kind="power"
        :model-value="run.load.watts"
        :least="0"
        :most="1000000"
        :decimals="0"
        @update:model-value="(watts) => setWatts({ watts })"
      />
      <QuantityField
        v-if="!comes('drop')"
        :label="say`Allowed drop`"
        kind="percent"
        :model-value="run.dropPercent"
        :least="0.5"
        :most="50"
        :hint="say`3 critical, 10 the rest`"
        @update:model-value="setRun('dropPercent', say`allowed drop`)($event)"
      />
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
          :label="say`Lowest battery`"
          kind="voltage"
          :model-value="run.load.lowestV"
          :least="1"
          :most="1000"
          :hint="say`amps rise as it falls`"
          @update:model-value="(lowestV) => setWatts({ lowestV })"
        />
        <QuantityField
          :label="say`Load cuts out at`"
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
        :label="say`Drop by purpose, %`"
        :model-value="run.dropPercent"
        :choices="PURPOSES"
        @update:model-value="setRun('dropPercent', say`allowed drop`)($event)"
      />
    </div>
    <div v-if="!comes('load')" class="mt-1 flex flex-wrap items-end justify-between gap-3">
      <CheckField
        :label="say`A surge or duty cycle on top`"
        :model-value="run.duty !== undefined"
        class="py-2"
        @update:model-value="setDuty"
      />
      <ChoiceField
        v-if="run.duty"
        :label="say`Start from`"
        :model-value="undefined"
        :choices="presets"
        :empty="say`a usual duty`"
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
