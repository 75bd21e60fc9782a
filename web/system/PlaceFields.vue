<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../core/model/job.ts';
import type { Place } from '../../core/model/system.ts';
import { type FuseKind, FUSE_PLACES, type FusePlace, FUSES } from '../../core/model/tables/fuses.ts';
import { STUD_NAMES, type StudName } from '../../core/model/tables/studs.ts';
import type { QuantityKind } from '../../core/model/units/entryUnits.ts';
import { tell } from '../../core/words/message.ts';
import SourceFields from '../bench/run/SourceFields.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import CurveField from './CurveField.vue';
import { say } from '../../core/words/say.ts';

/** What is known of a place, by its kind. */
const { place, job } = defineProps<{ place: Place; job: Job }>();
const emit = defineEmits<{ change: [place: Place] }>();

interface Field {
  readonly key: string;
  readonly label: string;
  readonly kind: QuantityKind;
  readonly value: number | undefined;
  readonly least: number;
  readonly most: number;
  readonly decimals: number;
  readonly isOptional?: boolean;
  readonly placeholder?: string;
}
const volts = (key: string, label: string, value: number | undefined, more: Partial<Field> = {}): Field => ({
  ...{ key, label, kind: 'voltage', value, least: 1, most: 1000, decimals: 2 },
  ...more,
});
const milliohm = (value: number | undefined, placeholder: string): Field => ({
  ...{ key: 'milliohm', label: say`Resistance`, kind: 'milliohm', value, least: 0, most: 1000, decimals: 3 },
  ...{ isOptional: true, placeholder },
});
const rating = (value: number | undefined, isOptional: boolean): Field => ({
  ...{ key: 'ratingA', label: say`Rating`, kind: 'current', value, decimals: 0 },
  ...(isOptional
    ? { least: 0.1, most: 20000, isOptional, placeholder: say`not given` }
    : { least: 1, most: 2000 }),
});
const percent = (
  key: string,
  label: string,
  value: number | undefined,
  more: Partial<Field> = {},
): Field => ({
  ...{ key, label, kind: 'percent', value, least: 0.1, most: 50, decimals: 1 },
  ...more,
});

// oxlint-disable-next-line max-lines-per-function -- the fields of each kind of place, one kind after the other
function fieldsOf(): readonly Field[] {
  switch (place.kind) {
    case 'battery':
      return [
        volts('nominalV', say`Nominal volts`, place.nominalV),
        volts('restV', say`Volts at rest`, place.restV, {
          isOptional: true,
          placeholder: say`its nominal volts`,
        }),
        volts('chargingV', say`Charged to at most`, place.chargingV, {
          isOptional: true,
          placeholder: say`by its chemistry`,
        }),
      ];
    case 'supply':
      return [
        volts('volts', say`Output voltage`, place.volts),
        {
          key: 'amps',
          label: say`Output current`,
          kind: 'current',
          value: place.amps,
          least: 0.1,
          most: 5000,
          decimals: 1,
        },
        milliohm(place.milliohm, say`none`),
      ];
    case 'dcdc':
      return [
        volts('volts', say`Voltage on its output side`, place.volts),
        {
          key: 'amps',
          label: say`Output current`,
          kind: 'current',
          value: place.amps,
          least: 0.1,
          most: 5000,
          decimals: 1,
        },
        percent('efficiencyPercent', say`Efficiency`, place.efficiencyPercent, {
          least: 10,
          most: 100,
          decimals: 0,
        }),
      ];
    case 'load':
      return [
        percent('dropPercent', say`Voltage drop allowed`, place.dropPercent),
        percent('shortDropPercent', say`Allowed in a short state`, place.shortDropPercent, {
          isOptional: true,
          placeholder: say`the same`,
        }),
        volts('leastV', say`Minimum volts at the load`, place.leastV, {
          isOptional: true,
          placeholder: say`not given`,
        }),
      ];
    case 'fuse':
    case 'breaker':
      return [
        rating(place.ratingA, false),
        {
          key: 'breakingA',
          label: say`Interrupting rating`,
          kind: 'current',
          value: place.breakingA,
          least: 100,
          most: 1e6,
          decimals: 0,
          isOptional: true,
          placeholder: say`as is customary`,
        },
        milliohm(place.milliohm, say`as is customary`),
      ];
    case 'switch':
    case 'relay':
    case 'shunt':
      return [rating(place.ratingA, true), milliohm(place.milliohm, say`as is customary`)];
    case 'bar':
      return [rating(place.ratingA, true)];
    case 'ground':
      return [];
  }
}
const fields = computed(fieldsOf);

const without = (key: string): Place => {
  const { [key as keyof Place]: _, ...rest } = place;
  return rest as Place;
};
const set = (key: string, value: unknown) => emit('change', { ...place, [key]: value } as Place);

/** Of a load: in what its draw is given, and the fields of that. */
const draws = computed(() => (place.kind === 'load' ? place.draws : null));
const DRAWS = [
  { value: 'amps', title: 'A', spoken: say`amps` },
  { value: 'watts', title: 'W', spoken: say`watts` },
  { value: 'milliohm', title: 'mΩ', spoken: say`milliohms` },
] as const;
function setDraws(kind: 'amps' | 'watts' | 'milliohm'): void {
  const begun = {
    amps: { kind, amps: 10 },
    watts: { kind, watts: 500, efficiencyPercent: 90 },
    milliohm: { kind, milliohm: 40 },
  } as const;
  if (draws.value?.kind !== kind) set('draws', begun[kind]);
}
const setDraw = (part: object) => set('draws', { ...draws.value, ...part });
function clearCutOut(): void {
  if (draws.value?.kind !== 'watts') return;
  const { cutOutV: _, ...rest } = draws.value;
  set('draws', rest);
}

const FUSE_CHOICES = (Object.keys(FUSES) as FuseKind[])
  .filter((kind) => kind !== 'breaker')
  .map((kind) => ({ value: kind, title: tell(FUSES[kind].title) }));
const PLACE_CHOICES = (Object.keys(FUSE_PLACES) as FusePlace[]).map((value) => ({
  value,
  title: tell(FUSE_PLACES[value].title),
}));
const STUDS = STUD_NAMES.map((value: StudName) => ({ value, title: value }));
const grounds = computed(() => [
  { value: '', title: say`by its own cable` },
  ...(job.system?.places ?? [])
    .filter(({ kind }) => kind === 'ground')
    .map(({ id, name }) => ({ value: id, title: name })),
]);
</script>

<template>
  <div v-if="draws" class="contents">
    <SegmentedField
      :label="say`Load draws`"
      :model-value="draws.kind"
      :choices="DRAWS"
      @update:model-value="setDraws"
    />
    <QuantityField
      v-if="draws.kind === 'amps'"
      :label="say`Current`"
      kind="current"
      :model-value="draws.amps"
      :least="0"
      :most="5000"
      @update:model-value="setDraw({ amps: $event })"
    />
    <QuantityField
      v-else-if="draws.kind === 'milliohm'"
      :label="say`Its resistance`"
      kind="milliohm"
      :model-value="draws.milliohm"
      :least="0.1"
      :most="1e6"
      :decimals="2"
      @update:model-value="setDraw({ milliohm: $event })"
    />
    <template v-else>
      <QuantityField
        :label="say`Power output`"
        kind="power"
        :model-value="draws.watts"
        :least="0"
        :most="1e6"
        :decimals="0"
        @update:model-value="setDraw({ watts: $event })"
      />
      <QuantityField
        :label="say`Efficiency`"
        kind="percent"
        :model-value="draws.efficiencyPercent"
        :least="10"
        :most="100"
        :decimals="0"
        @update:model-value="setDraw({ efficiencyPercent: $event })"
      />
      <QuantityField
        :label="say`Switches off under`"
        kind="voltage"
        :model-value="draws.cutOutV ?? null"
        :least="1"
        :most="1000"
        :decimals="2"
        :placeholder="say`not given`"
        optional
        @update:model-value="setDraw({ cutOutV: $event })"
        @clear="clearCutOut"
      />
    </template>
  </div>
  <ChoiceField
    v-if="place.kind === 'fuse'"
    :label="say`Kind of fuse`"
    :model-value="place.fuse"
    :choices="FUSE_CHOICES"
    @update:model-value="set('fuse', $event)"
  />
  <QuantityField
    v-for="field in fields"
    :key="field.key"
    :label="field.label"
    :kind="field.kind"
    :model-value="field.value ?? null"
    :least="field.least"
    :most="field.most"
    :decimals="field.decimals"
    :placeholder="field.placeholder ?? ''"
    :optional="field.isOptional ?? false"
    @update:model-value="set(field.key, $event)"
    @clear="$emit('change', without(field.key))"
  />
  <SourceFields v-if="place.kind === 'battery'" :source="place.source" @change="set('source', $event)" />
  <template v-if="place.kind === 'fuse' || place.kind === 'breaker'">
    <ChoiceField
      :label="say`Conductor before it`"
      :model-value="place.place ?? 'near'"
      :choices="PLACE_CHOICES"
      @update:model-value="set('place', $event)"
    />
    <CurveField
      :label="say`Clears within, × rating: s`"
      :points="place.curve ?? []"
      @change="$event.length > 0 ? set('curve', $event) : $emit('change', without('curve'))"
    />
    <CurveField
      :label="say`Melts not before, × rating: s`"
      :points="place.melts ?? []"
      @change="$event.length > 0 ? set('melts', $event) : $emit('change', without('melts'))"
    />
  </template>
  <ChoiceField
    v-if="place.kind === 'bar'"
    :label="say`Studs`"
    :model-value="place.stud"
    :choices="STUDS"
    :empty="say`not given`"
    @update:model-value="set('stud', $event)"
  />
  <ChoiceField
    v-if="place.kind === 'load' && grounds.length > 1"
    :label="say`Negative returns by`"
    :model-value="place.groundId ?? ''"
    :choices="grounds"
    @update:model-value="$event === '' ? $emit('change', without('groundId')) : set('groundId', $event)"
  />
</template>
