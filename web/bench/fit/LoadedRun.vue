<script setup lang="ts">
import type { Finding } from '../../../core/finding/finding.ts';
import { isAbout } from '../../../core/finding/topics.ts';
import { computed, ref, shallowRef } from 'vue';
import type { CableWork } from '../../../core/cableWork.ts';
import { END_NAMES, type EndName } from '../../../core/model/end.ts';
import type { Probe } from '../../../core/instrument/standIn/specimen.ts';
import InstrumentBar from '../../instruments/InstrumentBar.vue';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import { provideSpecimen } from '../../instruments/specimen.ts';
import LedgerRow from '../LedgerRow.vue';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import type { Measured } from '../prove/readings.ts';
import { readTogether, type ReadWith } from '../../../core/proof/source.ts';
import { say } from '../../../core/words/say.ts';

/** The first run under load: millivolts over each face, joint and length, and how warm the lugs get. */
const { work, record } = defineProps<{
  work: CableWork;
  record: (readings: readonly { measured: Measured; from: ReadWith }[]) => boolean;
}>();

provideSpecimen(() => work);
const amps = ref<number | null>(null);
const copperC = ref(25);
const beyondMm = ref(30);
const spanMm = ref(Math.max(100, Math.round((work.lengths?.finishedMm ?? 1000) / 2 / 10) * 10));
const minutes = ref(40);
const matte = ref(false);
const problem = ref('');
const volts = shallowRef<Record<string, Measure>>({});
const warm = shallowRef<Record<string, Measure>>({});
const isWarm = ref(false);

const rows = computed(() => {
  const ampsOn = amps.value ?? 1;
  return [
    ...END_NAMES.map((end) => ({
      key: `contact.${end}`,
      label: say`Palm to stud ${end}`,
      probe: { at: 'contact', end, amps: ampsOn } as Probe,
    })),
    ...END_NAMES.map((end) => ({
      key: `joint.${end}`,
      label: say`Lug ${end} to cable`,
      probe: { at: 'loaded joint', end, amps: ampsOn, beyondMm: beyondMm.value } as Probe,
    })),
    {
      key: 'length',
      label: say`Along the cable`,
      probe: { at: 'loaded length', amps: ampsOn, lengthMm: spanMm.value } as Probe,
    },
  ];
});
const warmth = (key: string): Probe => {
  const ampsOn = amps.value ?? 1;
  const [what, end] = key.split('.');
  return what === 'jacket'
    ? { at: 'jacket warmth', amps: ampsOn, minutes: minutes.value }
    : {
        at: 'lug warmth',
        end: end as EndName,
        amps: ampsOn,
        minutes: what === 'before' ? Math.max(0, minutes.value - 10) : minutes.value,
      };
};
const warmRows = [
  ...END_NAMES.flatMap((end) => [
    { key: `before.${end}`, label: say`Lug ${end}, ten minutes before` },
    { key: `lug.${end}`, label: say`Lug ${end}, now` },
  ]),
  { key: 'jacket', label: say`Jacket, mid cable` },
];

function voltReadings(ampsOn: number): { measured: Measured; from: ReadWith }[] {
  return rows.value.flatMap(({ key }) => {
    const measure = volts.value[key];
    if (!measure) return [];
    const [what, end] = key.split('.') as [string, EndName];
    const millivolt = measure.value;
    const measured: Measured =
      what === 'contact'
        ? { check: 'contact', end, millivolt, amps: ampsOn }
        : {
            check: 'drop',
            ...(what === 'joint' && { end }),
            millivolt,
            amps: ampsOn,
            spanMm: what === 'joint' ? beyondMm.value : spanMm.value,
            copperC: copperC.value,
          };
    return [{ measured, from: measure.from }];
  });
}
function warmReadings(ampsOn: number): { measured: Measured; from: ReadWith }[] {
  const jacket = warm.value['jacket'];
  return END_NAMES.flatMap((end) => {
    const [before, lug] = [warm.value[`before.${end}`], warm.value[`lug.${end}`]];
    if (!jacket || !before || !lug) return [];
    const measured: Measured = {
      check: 'thermal',
      end,
      against: 'jacket',
      lugC: lug.value,
      againstC: jacket.value,
      earlierC: before.value,
      amps: ampsOn,
      minutes: minutes.value,
      matte: matte.value,
    };
    return [{ measured, from: readTogether([jacket.from, before.from, lug.from]) }];
  });
}
function take(): void {
  if (amps.value === null) {
    problem.value = say`Enter the load current first: millivolts and temperatures mean nothing without it.`;
    return;
  }
  const warmTyped = Object.values(warm.value).some(Boolean);
  const warmRead = warmReadings(amps.value);
  const all = [...voltReadings(amps.value), ...warmRead];
  if (warmTyped && warmRead.length === 0) {
    problem.value = say`For the temperature rise, enter one lug now and ten minutes before, and the jacket.`;
    return;
  }
  if (all.length === 0) {
    problem.value = say`Nothing is read yet.`;
    return;
  }
  problem.value = '';
  if (record(all)) {
    volts.value = {};
    warm.value = {};
  }
}

const ofRun = isAbout('face-drop', 'drop-length', 'thermal', 'run-drop');
const isOfRun = (finding: Finding) =>
  ofRun(finding) || (finding.topic === 'drop' && finding.stage === 'prove');
const opened = ref<string | null>(null);
const shown = computed(() => work.findings.filter(isOfRun));
</script>

<template>
  <div>
    <p class="mb-2">
      {{
        say`At 40 % of rated current or more, once the small load was fine. Insulated probes; everything is live.`
      }}
    </p>
    <div class="grid items-start gap-3 sm:grid-cols-4">
      <QuantityField
        :label="say`Load`"
        kind="current"
        :model-value="amps"
        :least="1"
        :most="20000"
        :decimals="1"
        :hint="
          work.choice.taken.at.currentA
            ? say`rated ${Math.round(work.choice.taken.at.currentA)} A`
            : say`during the reading`
        "
        optional
        @update:model-value="amps = $event"
        @clear="amps = null"
      />
      <QuantityField
        v-model="copperC"
        :label="say`Copper temperature`"
        kind="temperature"
        :least="-40"
        :most="200"
      />
      <QuantityField
        v-model="beyondMm"
        :label="say`Beyond the mouths`"
        kind="length"
        :least="0"
        :most="2000"
        :decimals="0"
      />
      <QuantityField
        v-model="spanMm"
        :label="say`Along the cable`"
        kind="length"
        :least="10"
        :most="1e6"
        :decimals="0"
      />
    </div>
    <InstrumentBar class="my-2" kind="millivolt" />
    <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-3">
      <MeasuredField
        v-for="{ key, label, probe } in rows"
        :key="key"
        :model-value="volts[key] ?? null"
        :label="label"
        kind="millivolt"
        quantity="millivolt"
        :least="0"
        :most="1e5"
        :probe="probe"
        hint=" "
        @update:model-value="volts = { ...volts, [key]: $event }"
      />
    </div>
    <button type="button" class="button mt-2" :aria-expanded="isWarm" @click="isWarm = !isWarm">
      {{ say`Temperature rise` }}
    </button>
    <div v-if="isWarm" class="mt-2">
      <InstrumentBar class="mb-2" kind="thermal" />
      <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-3">
        <MeasuredField
          v-for="{ key, label } in warmRows"
          :key="key"
          :model-value="warm[key] ?? null"
          :label="label"
          kind="thermal"
          quantity="temperature"
          :least="-40"
          :most="400"
          :decimals="1"
          :probe="warmth(key)"
          hint=" "
          @update:model-value="warm = { ...warm, [key]: $event }"
        />
        <QuantityField
          v-model="minutes"
          :label="say`Minutes under load`"
          kind="number"
          :least="0"
          :most="1440"
          :decimals="0"
          :hint="say`half an hour is the least`"
        />
      </div>
      <CheckField v-model="matte" :label="say`matte tape or paint on the bright metal`" />
    </div>
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <button type="button" class="button filled mt-3 block" @click="take">
      {{ say`Record the loaded run` }}
    </button>
    <ul v-if="shown.length > 0" class="mt-3 border-b border-hairline">
      <LedgerRow
        v-for="finding in shown"
        :key="finding.id"
        :findings="[finding]"
        :opened="opened"
        @open="opened = $event"
      />
    </ul>
  </div>
</template>
