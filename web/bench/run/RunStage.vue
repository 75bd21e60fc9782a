<script setup lang="ts">
import { computed } from 'vue';
import type { Cable, Jacket, Load, Run } from '../../../core/job/cable.ts';
import { PLACINGS, type Placing } from '../../../core/sizing/placing.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';

/** What the cable must do: from where to where, how much, how far, and in what surroundings. */
const { cable, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const run = computed(() => cable.run);

/** Sets one plain field of the run. */
function setRun<Key extends keyof Run>(key: Key, what: string) {
  return (value: Run[Key]) =>
    edit(what, (draft) => {
      (draft.run as Run)[key] = value;
    });
}

function setLoadKind(kind: Load['kind']): void {
  edit('load', ({ run: draft }) => {
    const { currentKind } = { currentKind: draft.load.kind };
    if (kind === currentKind) return;
    draft.load =
      draft.load.kind === 'watts'
        ? { kind: 'amps', amps: Math.round(draft.load.watts / draft.systemV) }
        : {
            kind: 'watts',
            watts: Math.round(draft.load.amps * draft.systemV),
            efficiencyPercent: 90,
            lowestV: draft.systemV,
          };
  });
}

function setLoad(
  change: Partial<
    Omit<Extract<Load, { kind: 'watts' }>, 'kind'> & Omit<Extract<Load, { kind: 'amps' }>, 'kind'>
  >,
): void {
  edit('load', (draft) => {
    Object.assign(draft.run.load, change);
  });
}

function setReturn(kind: Run['return']['kind']): void {
  edit('return path', (draft) => {
    draft.run.return =
      kind === 'cable'
        ? { kind, lengthMm: draft.run.lengthMm }
        : kind === 'chassis'
          ? { kind, milliohm: 0.5 }
          : { kind };
  });
}

function setSurge(on: boolean): void {
  edit('surge', (draft) => {
    if (on) draft.run.surge = { amps: 300, seconds: 10, dropPercent: 10 };
    else delete draft.run.surge;
  });
}

const POLARITIES = [
  { value: 'positive', title: '+', spoken: 'positive' },
  { value: 'negative', title: '−', spoken: 'negative' },
  { value: 'link', title: 'link', spoken: 'link between batteries' },
] as const;
const JACKETS: readonly { value: Jacket; title: string }[] = (
  ['red', 'black', 'yellow', 'green'] as const
).map((value) => ({ value, title: value }));
const RETURNS = [
  { value: 'cable', title: 'a cable of its own' },
  { value: 'chassis', title: 'chassis or block' },
  { value: 'none', title: 'not counted' },
] as const;
const placings = (Object.entries(PLACINGS) as [Placing, { title: string; factor: number }][]).map(
  ([value, { title, factor }]) => ({
    value,
    title,
    note: value === 'bundle' ? 'by how many are loaded' : `keeps ${Math.round(factor * 100)} % of the amps`,
  }),
);
const tags = computed(
  () =>
    bench
      .jobById(jobId)
      ?.cables.filter(({ id }) => id !== cable.id)
      .map(({ tag }) => tag) ?? [],
);
const tagHint = computed(() => (tags.value.includes(cable.tag) ? 'Another cable has this tag.' : ''));
</script>

<template>
  <div class="p-3.5">
    <StageSection title="From where to where">
      <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-[110px_1fr_1fr]">
        <TextField
          label="Tag"
          :model-value="cable.tag"
          :longest="80"
          :hint="tagHint"
          required
          @update:model-value="(tag) => edit('tag', (draft) => void (draft.tag = tag))"
        />
        <TextField
          label="From, end A"
          :model-value="cable.ends.A.at"
          hint="isolator post, bus +, …"
          @update:model-value="(at) => edit('from', (draft) => void (draft.ends.A.at = at))"
        />
        <TextField
          label="To, end B"
          :model-value="cable.ends.B.at"
          hint="thruster stud, starter, …"
          @update:model-value="(at) => edit('to', (draft) => void (draft.ends.B.at = at))"
        />
      </div>
      <div class="grid grid-cols-2 gap-3">
        <SegmentedField
          label="Polarity"
          :model-value="cable.polarity"
          :choices="POLARITIES"
          @update:model-value="(polarity) => edit('polarity', (draft) => void (draft.polarity = polarity))"
        />
        <ChoiceField
          label="Jacket"
          :model-value="cable.jacket"
          :choices="JACKETS"
          @update:model-value="(jacket) => edit('jacket', (draft) => void (draft.jacket = jacket))"
        />
      </div>
    </StageSection>

    <StageSection title="What it carries">
      <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-4">
        <QuantityField
          label="System"
          kind="voltage"
          :model-value="run.systemV"
          :least="1"
          :most="1000"
          @update:model-value="setRun('systemV', 'system voltage')($event)"
        />
        <SegmentedField
          label="Load said in"
          :model-value="run.load.kind"
          :choices="[
            { value: 'amps', title: 'amps' },
            { value: 'watts', title: 'watts' },
          ]"
          @update:model-value="setLoadKind"
        />
        <QuantityField
          v-if="run.load.kind === 'amps'"
          label="Continuous"
          kind="current"
          :model-value="run.load.amps"
          :least="0"
          :most="5000"
          @update:model-value="(amps) => setLoad({ amps })"
        />
        <QuantityField
          v-else
          label="Power given out"
          kind="power"
          :model-value="run.load.watts"
          :least="0"
          :most="1000000"
          :decimals="0"
          @update:model-value="(watts) => setLoad({ watts })"
        />
        <QuantityField
          label="Allowed drop"
          kind="percent"
          :model-value="run.dropPercent"
          :least="0.5"
          :most="50"
          hint="3 critical, 10 the rest"
          @update:model-value="setRun('dropPercent', 'allowed drop')($event)"
        />
        <template v-if="run.load.kind === 'watts'">
          <QuantityField
            label="Efficiency"
            kind="percent"
            :model-value="run.load.efficiencyPercent"
            :least="10"
            :most="100"
            @update:model-value="(efficiencyPercent) => setLoad({ efficiencyPercent })"
          />
          <QuantityField
            label="Lowest battery"
            kind="voltage"
            :model-value="run.load.lowestV"
            :least="1"
            :most="1000"
            hint="amps rise as it falls"
            @update:model-value="(lowestV) => setLoad({ lowestV })"
          />
        </template>
      </div>
      <CheckField
        label="A surge on top: cranking, winch, thruster"
        :model-value="run.surge !== undefined"
        class="my-2"
        @update:model-value="setSurge"
      />
      <div v-if="run.surge" class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <QuantityField
          label="Surge"
          kind="current"
          :model-value="run.surge.amps"
          :least="1"
          :most="20000"
          @update:model-value="
            (amps) => edit('surge', ({ run: { surge } }) => void (surge && (surge.amps = amps)))
          "
        />
        <QuantityField
          label="For"
          kind="duration"
          :model-value="run.surge.seconds"
          :least="0.1"
          :most="3600"
          @update:model-value="
            (seconds) => edit('surge', ({ run: { surge } }) => void (surge && (surge.seconds = seconds)))
          "
        />
        <QuantityField
          label="Drop then allowed"
          kind="percent"
          :model-value="run.surge.dropPercent"
          :least="0.5"
          :most="50"
          @update:model-value="
            (dropPercent) =>
              edit('surge', ({ run: { surge } }) => void (surge && (surge.dropPercent = dropPercent)))
          "
        />
      </div>
    </StageSection>

    <StageSection title="How far">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <QuantityField
          label="Stud to stud, as it lies"
          kind="length"
          :model-value="run.lengthMm"
          :least="50"
          :most="1000000"
          hint="12 ft 6, 3.8 m, 2*350+40"
          @update:model-value="setRun('lengthMm', 'length')($event)"
        />
        <QuantityField
          label="Service loop"
          kind="length"
          :model-value="run.loopMm"
          :least="0"
          :most="10000"
          hint="slack for the next remake"
          @update:model-value="setRun('loopMm', 'service loop')($event)"
        />
        <ChoiceField
          label="Comes back by"
          :model-value="run.return.kind"
          :choices="RETURNS"
          @update:model-value="setReturn"
        />
        <QuantityField
          v-if="run.return.kind === 'cable'"
          label="Return length"
          kind="length"
          :model-value="run.return.lengthMm"
          :least="10"
          :most="1000000"
          hint="same size as this one"
          @update:model-value="
            (lengthMm) =>
              edit('return length', (draft) => void (draft.run.return = { kind: 'cable', lengthMm }))
          "
        />
        <QuantityField
          v-else-if="run.return.kind === 'chassis'"
          label="Chassis and straps"
          kind="milliohm"
          :model-value="run.return.milliohm"
          :least="0"
          :most="1000"
          :decimals="3"
          @update:model-value="
            (milliohm) => edit('chassis', (draft) => void (draft.run.return = { kind: 'chassis', milliohm }))
          "
        />
        <QuantityField
          label="Fuses, switches"
          kind="milliohm"
          :model-value="run.devicesMilliohm"
          :least="0"
          :most="1000"
          :decimals="3"
          hint="all on the loop, together"
          @update:model-value="setRun('devicesMilliohm', 'devices')($event)"
        />
      </div>
    </StageSection>

    <StageSection title="Surroundings">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <QuantityField
          label="Air, at its hottest"
          kind="temperature"
          :model-value="run.ambientC"
          :least="-40"
          :most="150"
          :decimals="0"
          @update:model-value="setRun('ambientC', 'air temperature')($event)"
        />
        <ChoiceField
          label="It lies"
          :model-value="run.placing"
          :choices="placings"
          @update:model-value="setRun('placing', 'placing')($event)"
        />
        <QuantityField
          v-if="run.placing === 'bundle'"
          label="Loaded in the bundle"
          kind="number"
          :model-value="run.bundled"
          :least="1"
          :most="200"
          :decimals="0"
          @update:model-value="(count) => setRun('bundled', 'bundle')(Math.round(count))"
        />
        <QuantityField
          label="Bolted to what stands"
          kind="temperature"
          :model-value="run.terminationC ?? null"
          :least="60"
          :most="200"
          :decimals="0"
          optional
          :hint="`empty: house practice, ${bench.shop.practice.terminationC} °C`"
          @update:model-value="setRun('terminationC', 'termination')($event)"
          @clear="edit('termination', (draft) => void delete draft.run.terminationC)"
        />
      </div>
      <div class="mt-2 flex flex-wrap gap-x-6 gap-y-2">
        <CheckField
          label="In an engine space"
          :model-value="run.engineSpace"
          @update:model-value="setRun('engineSpace', 'engine space')($event)"
        />
        <CheckField
          label="In the sun"
          :model-value="run.sun"
          @update:model-value="setRun('sun', 'sun')($event)"
        />
      </div>
    </StageSection>
  </div>
</template>
