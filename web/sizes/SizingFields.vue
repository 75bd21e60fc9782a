<script setup lang="ts">
import { computed } from 'vue';
import type { Sizing, System } from '../../core/model/system.ts';
import { MEASURES } from '../../core/together/report.ts';
import { capitalised, tell } from '../../core/words/message.ts';
import CheckField from '../ui/CheckField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import { say } from '../../core/words/say.ts';

/** What is to be least, and what is required of all sizes together. */
const { sizing, states } = defineProps<{ sizing: Sizing; states: System['states'] }>();
const emit = defineEmits<{
  change: [part: Partial<Sizing>];
  fewest: [count: number | null];
  lightest: [mostKg: number | null];
  hours: [stateId: string, hours: number | null];
}>();

const LEAST = (Object.keys(MEASURES) as Sizing['least'][]).map((value) => ({
  value,
  title: { copper: say`copper`, weight: say`weight`, money: say`price`, years: say`price and losses` }[value],
  spoken: tell(capitalised(MEASURES[value].title)),
}));
const checks = computed(
  () =>
    [
      ['alike', say`Same size out and back`],
      ['ends', say`Only sizes the tool case can terminate`],
      ['shelf', say`Stock first`],
      ['fuses', say`Propose the fuses too`],
      ['byHand', say`Sizes chosen by hand as well`],
    ] as const,
);
</script>

<template>
  <section :aria-label="say`Requirements`" class="space-y-2.5">
    <div class="grid items-start gap-3 sm:grid-cols-3">
      <SegmentedField
        class="sm:col-span-3"
        :label="say`Least`"
        :model-value="sizing.least"
        :choices="LEAST"
        @update:model-value="emit('change', { least: $event })"
      />
      <QuantityField
        :label="say`Of the drop allowed`"
        kind="percent"
        :model-value="sizing.dropPercent"
        :least="20"
        :most="300"
        :decimals="0"
        @update:model-value="emit('change', { dropPercent: $event })"
      />
      <QuantityField
        :label="say`Different sizes at most`"
        kind="number"
        :model-value="sizing.mostSizes ?? null"
        :least="1"
        :most="20"
        :decimals="0"
        :placeholder="say`as many as it takes`"
        optional
        @update:model-value="emit('fewest', Math.round($event))"
        @clear="emit('fewest', null)"
      />
      <QuantityField
        :label="say`Weight at most`"
        kind="weight"
        :model-value="sizing.mostKg ?? null"
        :least="0.1"
        :most="1e5"
        :decimals="1"
        :placeholder="say`no limit`"
        optional
        @update:model-value="emit('lightest', $event)"
        @clear="emit('lightest', null)"
      />
    </div>
    <div v-if="sizing.least === 'years'" class="grid items-start gap-3 sm:grid-cols-3">
      <QuantityField
        :label="say`Years`"
        kind="number"
        :model-value="sizing.years"
        :least="1"
        :most="50"
        :decimals="0"
        @update:model-value="emit('change', { years: $event })"
      />
      <QuantityField
        :label="say`Price of a kWh`"
        kind="number"
        :model-value="sizing.pricePerKwh"
        :least="0"
        :most="100"
        :decimals="3"
        @update:model-value="emit('change', { pricePerKwh: $event })"
      />
      <QuantityField
        v-for="state in states"
        :key="state.id"
        :label="say`Hours a year, ${state.name}`"
        kind="number"
        :model-value="state.hoursPerYear ?? null"
        :least="0"
        :most="8784"
        :decimals="0"
        :placeholder="say`none`"
        optional
        @update:model-value="emit('hours', state.id, $event)"
        @clear="emit('hours', state.id, null)"
      />
    </div>
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <CheckField
        v-for="[key, label] in checks"
        :key="key"
        :label="label"
        :model-value="sizing[key]"
        @update:model-value="emit('change', { [key]: $event })"
      />
    </div>
  </section>
</template>
