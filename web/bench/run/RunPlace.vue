<script setup lang="ts">
import { capitalised, type Message, tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { MEETS, type Meets } from '../../../core/model/run.ts';
import { PLACINGS, type Placing } from '../../../core/model/tables/placings.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import StageSection from '../StageSection.vue';
import { RUN_PART_TITLES } from '../stages.ts';
import { useRunEdit } from './useRunEdit.ts';
import { placeSays } from '../../../core/sizing/runSays.ts';
import { say } from '../../../core/words/say.ts';
import { figure } from '../../../core/model/units/figure.ts';

/** The surroundings: air, how it lies, and what it meets on its way. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const bench = useBench();
const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);

const placings = (Object.entries(PLACINGS) as [Placing, { title: Message; factor: number }][]).map(
  ([value, { title, factor }]) => ({
    value,
    title: tell(title),
    note:
      value === 'bundle' ? say`by number of loaded cables` : say`derated to ${Math.round(factor * 100)} %`,
  }),
);
const meets = Object.entries(MEETS) as [Meets, Message][];
const setMeets = (one: Meets, on: boolean) =>
  editRun(tell(MEETS[one]), (draft) => {
    draft.meets = on ? [...draft.meets, one] : draft.meets.filter((other) => other !== one);
  });
</script>

<template>
  <StageSection part="place" :title="RUN_PART_TITLES.place" :says="tell(placeSays(run, bench.shop.practice))">
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <QuantityField
        :label="say`Highest air temperature`"
        kind="temperature"
        :model-value="run.ambientC"
        :least="-40"
        :most="150"
        :decimals="0"
        @update:model-value="setRun('ambientC', say`air temperature`)($event)"
      />
      <ChoiceField
        :label="say`Installation`"
        :model-value="run.placing"
        :choices="placings"
        @update:model-value="setRun('placing', say`placing`)($event)"
      />
      <QuantityField
        v-if="run.placing === 'bundle'"
        :label="say`Loaded cables in the bundle`"
        kind="number"
        :model-value="run.bundled"
        :least="1"
        :most="200"
        :decimals="0"
        @update:model-value="(count) => setRun('bundled', say`bundle`)(Math.round(count))"
      />
      <QuantityField
        :label="say`Terminal rating`"
        kind="temperature"
        :model-value="run.terminationC ?? null"
        :least="60"
        :most="200"
        :decimals="0"
        optional
        :hint="say`empty: house practice, ${figure(bench.shop.practice.terminationC, '°C', 0)}`"
        @update:model-value="setRun('terminationC', say`termination`)($event)"
        @clear="editRun(say`termination`, (draft) => void delete draft.terminationC)"
      />
    </div>
    <div class="mt-3 flex flex-wrap gap-x-6 gap-y-4">
      <CheckField
        :label="say`In an engine space`"
        :model-value="run.engineSpace"
        @update:model-value="setRun('engineSpace', say`engine space`)($event)"
      />
      <CheckField
        :label="say`In the sun`"
        :model-value="run.sun"
        @update:model-value="setRun('sun', say`sun`)($event)"
      />
      <CheckField
        v-for="[one, title] in meets"
        :key="one"
        :label="tell(capitalised(title))"
        :model-value="run.meets.includes(one)"
        @update:model-value="(on) => setMeets(one, on)"
      />
    </div>
  </StageSection>
</template>
