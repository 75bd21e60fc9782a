<script setup lang="ts">
import { type Message, tell } from '../../../core/words/message.ts';
import { Trash2 } from '@lucide/vue';
import { computed } from 'vue';
import { CUSTOMARY_CHASSIS_MILLIOHM, type DeviceKind, DEVICES } from '../../../core/model/tables/sources.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { Run } from '../../../core/model/run.ts';
import { deviceMilliohm } from '../../../core/sizing/devices.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { matesOf } from '../../../core/jobContext.ts';
import { useBench } from '../../stores/bench.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { RUN_PART_TITLES } from '../stages.ts';
import { useFromSystem } from './useFromSystem.ts';
import { useRunEdit } from './useRunEdit.ts';
import AddButton from '../../ui/AddButton.vue';
import { backSays } from '../../../core/sizing/runSays.ts';
import { say } from '../../../core/words/say.ts';

/** How the current comes back, the slack that is kept, and the devices in its way. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const bench = useBench();
const { editRun, setRun } = useRunEdit(() => ({ jobId, cable }));
const run = computed(() => cable.run);
const { comes } = useFromSystem(() => ({ jobId, cable }));

const RETURNS = [
  { value: 'cable', title: say`its own return cable`, note: say`of the same size` },
  {
    value: 'circuit',
    title: say`the other cables of its circuit`,
    note: say`one drop budget for all its cables`,
  },
  { value: 'chassis', title: say`chassis or block` },
  { value: 'none', title: say`not counted`, note: say`a link between batteries` },
] as const;
/** Circuits of the job, to join one that is there. */
const circuits = computed(() => {
  const names = bench
    .jobById(jobId)
    ?.cables.flatMap(({ run: { return: back } }) => (back.kind === 'circuit' ? [back.name] : []));
  return [...new Set(names)];
});
const mates = computed(() => {
  const job = bench.jobById(jobId);
  return job ? matesOf(cable, job).map(({ tag }) => tag) : [];
});

function setReturn(kind: Run['return']['kind']): void {
  editRun(say`return path`, (draft) => {
    const options: Readonly<Record<Run['return']['kind'], Run['return']>> = {
      cable: { kind: 'cable', lengthMm: draft.lengthMm },
      chassis: { kind: 'chassis' },
      circuit: { kind: 'circuit', name: circuits.value[0] ?? say`Circuit 1` },
      none: { kind: 'none' },
    };
    draft.return = options[kind];
  });
}

const kinds = (Object.entries(DEVICES) as [DeviceKind, { title: Message }][]).map(([value, { title }]) => ({
  value,
  title: tell(title),
}));
const addDevice = () =>
  editRun(say`device`, ({ devices }) => void devices.push({ kind: 'fuse', ratingA: 300 }));
const removeDevice = (i: number) => editRun(say`device`, ({ devices }) => void devices.splice(i, 1));
const setDevice = (i: number, change: Partial<Run['devices'][number]>) =>
  editRun(say`device`, ({ devices }) => void Object.assign(devices[i] ?? {}, change));
const clearDevice = (i: number, key: 'ratingA' | 'milliohm') =>
  editRun(say`device`, ({ devices }) => void delete devices[i]?.[key]);
function deviceHint(i: number): string {
  const device = run.value.devices[i];
  if (!device) return '';
  return say`usually ${figure(deviceMilliohm(device), 'mΩ', 3)}`;
}
</script>

<template>
  <StageSection part="back" :title="RUN_PART_TITLES.back" :says="tell(backSays(run))">
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <QuantityField
        :label="say`Service loop`"
        kind="length"
        :model-value="run.loopMm"
        :least="0"
        :most="10000"
        :hint="say`spare for one re-termination`"
        @update:model-value="setRun('loopMm', say`service loop`)($event)"
      />
      <ChoiceField
        v-if="!comes('drop')"
        :label="say`Return path`"
        :model-value="run.return.kind"
        :choices="RETURNS"
        @update:model-value="setReturn"
      />
      <QuantityField
        v-if="!comes('drop') && run.return.kind === 'cable'"
        :label="say`Return length`"
        kind="length"
        :model-value="run.return.lengthMm"
        :least="10"
        :most="1000000"
        :hint="say`same size as this one`"
        @update:model-value="(lengthMm) => setRun('return', say`return length`)({ kind: 'cable', lengthMm })"
      />
      <QuantityField
        v-else-if="!comes('drop') && run.return.kind === 'chassis'"
        :label="say`Chassis and straps`"
        kind="milliohm"
        :model-value="run.return.milliohm ?? null"
        :least="0"
        :most="1000"
        :decimals="3"
        optional
        :placeholder="say`not given`"
        :hint="say`measured with its straps; a sound one has about ${CUSTOMARY_CHASSIS_MILLIOHM}`"
        @clear="setRun('return', say`chassis`)({ kind: 'chassis' })"
        @update:model-value="(milliohm) => setRun('return', say`chassis`)({ kind: 'chassis', milliohm })"
      />
      <TextField
        v-else-if="!comes('drop') && run.return.kind === 'circuit'"
        :label="say`Circuit`"
        :model-value="run.return.name"
        :longest="80"
        required
        :hint="mates.length > 0 ? say`with ${mates.join(', ')}` : say`no other cable is in it yet`"
        @update:model-value="(name) => setRun('return', say`circuit`)({ kind: 'circuit', name })"
      />
    </div>
    <ul
      v-if="run.devices.length > 0 && !comes('drop')"
      class="mt-2 space-y-1"
      :aria-label="say`Fuses, switches, shunts in the circuit`"
    >
      <li
        v-for="(device, i) in run.devices"
        :key="i"
        class="grid grid-cols-[1fr_1fr_1fr_44px] items-start gap-3"
      >
        <ChoiceField
          :label="say`Device ${i + 1}`"
          :model-value="device.kind"
          :choices="kinds"
          @update:model-value="(kind) => setDevice(i, { kind })"
        />
        <QuantityField
          :label="say`Rating of device ${i + 1}`"
          kind="current"
          :model-value="device.ratingA ?? null"
          :least="1"
          :most="5000"
          :decimals="0"
          optional
          @update:model-value="(ratingA) => setDevice(i, { ratingA })"
          @clear="clearDevice(i, 'ratingA')"
        />
        <QuantityField
          :label="say`Its resistance`"
          kind="milliohm"
          :model-value="device.milliohm ?? null"
          :least="0"
          :most="1000"
          :decimals="3"
          optional
          :hint="deviceHint(i)"
          @update:model-value="(milliohm) => setDevice(i, { milliohm })"
          @clear="clearDevice(i, 'milliohm')"
        />
        <button
          type="button"
          class="mt-[21px] flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
          @click="removeDevice(i)"
        >
          <Trash2 :size="18" aria-hidden="true" /><span class="sr-only">{{
            say`Remove device ${i + 1}`
          }}</span>
        </button>
      </li>
    </ul>
    <AddButton v-if="!comes('drop')" list="devices" :count="run.devices.length" class="mt-2" @add="addDevice">
      {{ say`Add a fuse, switch or shunt` }}
    </AddButton>
  </StageSection>
</template>
