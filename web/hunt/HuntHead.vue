<script setup lang="ts">
import { type Hunt, isSimulated } from '../../core/hunt/chain.ts';
import { withAmps } from '../../core/hunt/changes.ts';
import { figure } from '../../core/units/figure.ts';
import QuantityField from '../ui/QuantityField.vue';

/** What a hunt is about, and the four figures it begins with. */
const { hunt } = defineProps<{ hunt: Hunt }>();
const emit = defineEmits<{ change: [hunt: Hunt, what: string]; edit: []; list: [] }>();

const loaded = (change: Partial<Hunt['loaded']>) =>
  emit('change', { ...hunt, loaded: { ...hunt.loaded, ...change } }, 'volts under load');
function without(key: keyof Hunt['loaded']): void {
  const { [key]: _, ...rest } = hunt.loaded;
  emit('change', { ...hunt, loaded: rest }, 'volts under load');
}
function withoutRest(): void {
  const { restV: _, ...rest } = hunt;
  emit('change', rest, 'volts at rest');
}
</script>

<template>
  <header
    class="hunt-head flex flex-wrap items-start gap-x-3 gap-y-2 border-b border-line bg-chalk px-3.5 py-1.5"
  >
    <div class="min-w-[240px] flex-1 self-center">
      <h1 class="figure text-[20px] leading-6 font-semibold">
        <button type="button" class="text-left hover:text-teal" @click="emit('list')">
          Fault hunt: {{ hunt.title }}
        </button>
      </h1>
      <p class="note">
        {{ hunt.test === 'cranking' ? 'Cranking: each reading with its own amps' : 'Steady load' }},
        {{ figure(hunt.systemV, 'V', 0) }}, copper at {{ figure(hunt.copperC, '°C', 0) }}.
        <button type="button" class="text-teal underline" @click="emit('edit')">
          The chain and its facts
        </button>
        <b
          v-if="isSimulated(hunt)"
          class="figure ml-2 rounded-box border-[1.5px] border-ink px-1.5 text-[14px]"
          >SIMULATED</b
        >
      </p>
    </div>
    <div class="row-head grid grid-cols-2 gap-2 sm:grid-cols-4">
      <QuantityField
        class="w-[108px]"
        :label="hunt.test === 'cranking' ? 'Amps just then' : 'Load current'"
        kind="current"
        :model-value="hunt.loaded.amps ?? null"
        :least="0.1"
        :most="20000"
        :decimals="1"
        hint=" "
        optional
        @update:model-value="emit('change', withAmps(hunt, $event), 'load current')"
        @clear="without('amps')"
      />
      <QuantityField
        class="w-[108px]"
        label="Posts at rest"
        kind="voltage"
        :model-value="hunt.restV ?? null"
        :least="0"
        :most="1000"
        :decimals="2"
        hint=" "
        optional
        @update:model-value="emit('change', { ...hunt, restV: $event }, 'volts at rest')"
        @clear="withoutRest()"
      />
      <QuantityField
        class="w-[108px]"
        label="Posts loaded"
        kind="voltage"
        :model-value="hunt.loaded.postsV ?? null"
        :least="0"
        :most="1000"
        :decimals="2"
        hint=" "
        optional
        @update:model-value="loaded({ postsV: $event })"
        @clear="without('postsV')"
      />
      <QuantityField
        class="w-[108px]"
        label="At the load"
        kind="voltage"
        :model-value="hunt.loaded.loadV ?? null"
        :least="0"
        :most="1000"
        :decimals="2"
        hint=" "
        optional
        @update:model-value="loaded({ loadV: $event })"
        @clear="without('loadV')"
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
