<script setup lang="ts">
import { computed } from 'vue';
import { type Chemistry, SHORT_AMPS_PER_AH } from '../../../core/model/tables/sources.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { Run } from '../../../core/model/run.ts';
import { choicesOf } from '../../ui/choicesOf.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import { say } from '../../../core/words/say.ts';
import { amount } from '../../../core/words/message.ts';

/** What is known of one source, and the figures that go with it. */
const { source, end } = defineProps<{
  source: Run['source'];
  /** At which end, where there are two. */
  end?: EndName | undefined;
}>();
const emit = defineEmits<{ change: [source: Run['source']] }>();

/** Behind each label. */
const where = computed(() => (end ? say`, end ${end}` : ''));
const SOURCES = [
  { value: 'unknown', title: say`not given` },
  { value: 'typed', title: say`its resistance` },
  { value: 'cells', title: say`cells`, note: say`mΩ per cell, series, parallel` },
  { value: 'battery', title: say`ampere-hours`, note: say`an estimate, low confidence` },
  { value: 'cranking', title: say`cranking amps`, note: say`an estimate, low confidence` },
] as const;
const RATED = [
  { value: '-18', says: () => say`${amount(-18, '°C', 0)}, cold` },
  { value: '0', says: () => say`${amount(0, '°C', 0)}, marine` },
  { value: '27', says: () => say`${amount(27, '°C', 0)}, warm` },
] as const;
const RATED_C = { '-18': -18, '0': 0, '27': 27 } as const;
type Rated = keyof typeof RATED_C;
const rated = computed((): Rated => (source.kind === 'cranking' ? `${source.ratedC ?? 27}` : '27'));
const CHEMISTRIES = choicesOf(Object.keys(SHORT_AMPS_PER_AH) as Chemistry[]);
function setKind(kind: Run['source']['kind']): void {
  const options: Readonly<Record<Run['source']['kind'], Run['source']>> = {
    unknown: { kind: 'unknown' },
    typed: { kind: 'typed', milliohm: 4 },
    cells: { kind: 'cells', cellMilliohm: 0.3, inSeries: 8, strings: 1 },
    battery: { kind: 'battery', chemistry: 'agm', ampHours: 200 },
    cranking: { kind: 'cranking', crankingA: 800, ratedC: -18 },
  };
  emit('change', options[kind]);
}
const change = (part: Partial<Run['source']>) => emit('change', { ...source, ...part } as Run['source']);
function clearStringFuse(): void {
  if (source.kind !== 'cells') return;
  const { stringFuseA: _, ...rest } = source;
  emit('change', rest);
}
</script>

<template>
  <ChoiceField
    :label="end ? say`Source at end ${end}` : say`Source given as`"
    :model-value="source.kind"
    :choices="SOURCES"
    @update:model-value="setKind"
  />
  <QuantityField
    v-if="source.kind === 'typed'"
    :label="say`Source resistance${where}`"
    kind="milliohm"
    :model-value="source.milliohm"
    :least="0.01"
    :most="1000"
    :decimals="3"
    @update:model-value="(milliohm) => change({ milliohm })"
  />
  <template v-else-if="source.kind === 'cells'">
    <QuantityField
      :label="say`One cell${where}`"
      kind="milliohm"
      :model-value="source.cellMilliohm"
      :least="0.01"
      :most="100"
      :decimals="3"
      @update:model-value="(cellMilliohm) => change({ cellMilliohm })"
    />
    <QuantityField
      :label="say`In series${where}`"
      kind="number"
      :model-value="source.inSeries"
      :least="1"
      :most="400"
      :decimals="0"
      @update:model-value="(count) => change({ inSeries: Math.round(count) })"
    />
    <QuantityField
      :label="say`Strings${where}`"
      kind="number"
      :model-value="source.strings"
      :least="1"
      :most="40"
      :decimals="0"
      @update:model-value="(count) => change({ strings: Math.round(count) })"
    />
    <QuantityField
      v-if="source.strings > 1"
      :label="say`Fuse of each string${where}`"
      kind="current"
      :model-value="source.stringFuseA ?? null"
      :least="1"
      :most="2000"
      :decimals="0"
      optional
      :hint="say`the others feed a short in one`"
      @update:model-value="(stringFuseA) => change({ stringFuseA })"
      @clear="clearStringFuse"
    />
  </template>
  <template v-else-if="source.kind === 'battery'">
    <ChoiceField
      :label="say`Kind of battery${where}`"
      :model-value="source.chemistry"
      :choices="CHEMISTRIES"
      @update:model-value="(chemistry) => change({ chemistry })"
    />
    <QuantityField
      :label="say`Ampere-hours${where}`"
      kind="number"
      :model-value="source.ampHours"
      :least="1"
      :most="100000"
      :decimals="0"
      @update:model-value="(ampHours) => change({ ampHours })"
    />
  </template>
  <template v-else-if="source.kind === 'cranking'">
    <QuantityField
      :label="say`Cranking amps${where}`"
      kind="current"
      :model-value="source.crankingA"
      :least="50"
      :most="5000"
      :decimals="0"
      @update:model-value="(crankingA) => change({ crankingA })"
    />
    <ChoiceField
      :label="say`Stamped for${where}`"
      :model-value="rated"
      :choices="RATED.map(({ value, says }) => ({ value, title: says() }))"
      @update:model-value="(rated) => change({ ratedC: RATED_C[rated] })"
    />
  </template>
</template>
