<script setup lang="ts">
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { Load } from '../../../core/model/run.ts';
import { withLength } from '../../../core/cutting/returnLength.ts';
import { otherLoad } from '../../../core/sizing/loadIn.ts';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import { useFromSystem } from './useFromSystem.ts';
import { useRunEdit } from './useRunEdit.ts';
import { say } from '../../../core/words/say.ts';

/** What a size cannot be had without: from where to where, which pole, how many volts, how much, how far. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const { edit, editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const { comes } = useFromSystem(() => ({ jobId, cable }));

/** Called otherwise, it is on another place: on the one of that name. */
function setPlace(end: EndName, what: string, at: string): void {
  edit(what, ({ ends }) => {
    ends[end].at = at;
    delete ends[end].on;
  });
}

const POLARITIES = [
  { value: 'positive', title: '+', spoken: say`positive` },
  { value: 'negative', title: '−', spoken: say`negative` },
  { value: 'link', title: say`link`, spoken: say`link between batteries` },
] as const;
function setLoadKind(kind: Load['kind']): void {
  editRun(say`load`, (draft) => {
    if (kind !== draft.load.kind) draft.load = otherLoad(draft.load, draft.systemV);
  });
}
const setWatts = (watts: number) =>
  editRun(say`load`, ({ load }) => void (load.kind === 'watts' && Object.assign(load, { watts })));
</script>

<template>
  <div class="mb-3">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-[1fr_1fr_170px]">
      <TextField
        :label="say`From, end A`"
        :model-value="cable.ends.A.at"
        :hint="say`isolator post, bus +, …`"
        @update:model-value="(at) => setPlace('A', say`from`, at)"
      />
      <TextField
        :label="say`To, end B`"
        :model-value="cable.ends.B.at"
        :hint="say`thruster stud, starter, …`"
        @update:model-value="(at) => setPlace('B', say`to`, at)"
      />
      <SegmentedField
        :label="say`Polarity`"
        :model-value="cable.polarity"
        :choices="POLARITIES"
        @update:model-value="(polarity) => edit(say`polarity`, (draft) => void (draft.polarity = polarity))"
      />
    </div>
    <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-4">
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
        :label="say`Load given in`"
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
        :label="say`Output power`"
        kind="power"
        :model-value="run.load.watts"
        :least="0"
        :most="1000000"
        :decimals="0"
        @update:model-value="setWatts"
      />
      <QuantityField
        v-if="!comes('drop')"
        :label="say`Allowed drop`"
        kind="percent"
        :model-value="run.dropPercent"
        :least="0.5"
        :most="50"
        :hint="say`3 % critical, 10 % other`"
        @update:model-value="setRun('dropPercent', say`allowed drop`)($event)"
      />
      <QuantityField
        class="col-span-2"
        :label="say`Length along the route, stud to stud`"
        kind="length"
        :model-value="run.lengthMm"
        :least="50"
        :most="1000000"
        :hint="say`12 ft 6, 3.8 m, 2*350+40`"
        @update:model-value="
          (lengthMm) =>
            editRun(say`length`, (draft) => void Object.assign(draft, withLength(draft, lengthMm)))
        "
      />
    </div>
  </div>
</template>
