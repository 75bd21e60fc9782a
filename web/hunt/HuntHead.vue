<script setup lang="ts">
import { computed } from 'vue';
import { type Hunt, isSimulated } from '../../core/model/hunt.ts';
import { withAmps } from '../../core/hunt/changes.ts';
import { figure } from '../../core/model/units/figure.ts';
import QuantityField from '../ui/QuantityField.vue';
import { say } from '../../core/words/say.ts';

/** What a hunt is about, and the four figures it begins with. */
const { hunt } = defineProps<{ hunt: Hunt }>();
const emit = defineEmits<{ change: [hunt: Hunt, what: string]; edit: []; list: [] }>();

const loaded = (change: Partial<Hunt['loaded']>) =>
  emit('change', { ...hunt, loaded: { ...hunt.loaded, ...change } }, say`volts under load`);
function without(key: keyof Hunt['loaded']): void {
  const { [key]: _, ...rest } = hunt.loaded;
  emit('change', { ...hunt, loaded: rest }, say`volts under load`);
}
function withoutRest(): void {
  const { restV: _, ...rest } = hunt;
  emit('change', rest, say`volts at rest`);
}
const VOLTS = { kind: 'voltage', least: 0, most: 1000, decimals: 2 } as const;
/** The four figures that a hunt begins with. */
const fields = computed(() => [
  {
    label: hunt.test === 'cranking' ? say`Current at that moment` : say`Load current`,
    kind: 'current' as const,
    least: 0.1,
    most: 20000,
    decimals: 1,
    value: hunt.loaded.amps,
    set: (amps: number) => emit('change', withAmps(hunt, amps), say`load current`),
    clear: () => without('amps'),
  },
  {
    ...VOLTS,
    label: say`Battery volts, no load`,
    value: hunt.restV,
    set: (restV: number) => emit('change', { ...hunt, restV }, say`volts at rest`),
    clear: withoutRest,
  },
  {
    ...VOLTS,
    label: say`Battery volts, under load`,
    value: hunt.loaded.postsV,
    set: (postsV: number) => loaded({ postsV }),
    clear: () => without('postsV'),
  },
  {
    ...VOLTS,
    label: say`Volts at the load`,
    value: hunt.loaded.loadV,
    set: (loadV: number) => loaded({ loadV }),
    clear: () => without('loadV'),
  },
]);
</script>

<template>
  <header
    class="hunt-head flex flex-wrap items-start gap-x-3 gap-y-2 border-b border-line bg-chalk px-3.5 py-1.5"
  >
    <div class="min-w-[240px] flex-1 self-center">
      <h1 class="figure text-[20px] leading-6 font-semibold">
        <button type="button" class="text-left hover:text-teal" @click="emit('list')">
          {{ say`Fault hunt: ${hunt.title}` }}
        </button>
      </h1>
      <p class="note">
        {{
          say`${hunt.test === 'cranking' ? say`Cranking: each reading with its own current` : say`Steady load`}, ${figure(hunt.systemV, 'V', 0)}, copper at ${figure(hunt.copperC, '°C', 0)}.`
        }}
        <button type="button" class="text-teal underline" @click="emit('edit')">
          {{ say`Edit the circuit` }}
        </button>
        <b
          v-if="isSimulated(hunt)"
          class="figure ml-2 rounded-box border-[1.5px] border-ink px-1.5 text-[14px]"
          >{{ say`SIMULATED` }}</b
        >
      </p>
    </div>
    <div class="row-head tall-labels grid grid-cols-2 gap-2 sm:grid-cols-4">
      <QuantityField
        v-for="field in fields"
        :key="field.label"
        class="w-full sm:w-[128px]"
        :label="field.label"
        :kind="field.kind"
        :model-value="field.value ?? null"
        :least="field.least"
        :most="field.most"
        :decimals="field.decimals"
        hint=" "
        optional
        @update:model-value="field.set"
        @clear="field.clear"
      />
    </div>
  </header>
</template>

<style>
/* The four figures stand close: their ranges are said when one is wrong. */
.row-head p:not(:has([role='alert'])) {
  display: none;
}
.row-head .field-input {
  height: 36px;
}
.row-head label {
  margin-bottom: 0;
}
</style>
