<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';
import type { Finding } from '../../../core/finding.ts';
import type { QuantityKind } from '../../../core/units/quantity.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { limitText } from '../../ui/display.ts';
import QuantityField from '../../ui/QuantityField.vue';
import StateMark from '../../ui/StateMark.vue';

/** A figure to be read and recorded; what the check stands at is said beneath. */
const { finding, hint = '' } = defineProps<{
  label: string;
  kind: QuantityKind;
  least: number;
  most: number;
  decimals: number;
  finding: Finding | undefined;
  hint?: string;
}>();
const emit = defineEmits<{ record: [value: number] }>();

const { prefs } = usePrefs();
const value = ref<number | null>(null);
const button = useTemplateRef<HTMLButtonElement>('button');

function record(): void {
  if (value.value === null) return;
  emit('record', value.value);
  value.value = null;
}
</script>

<template>
  <div>
    <div class="flex items-start gap-2">
      <QuantityField
        :label="label"
        :kind="kind"
        :model-value="value"
        :least="least"
        :most="most"
        :decimals="decimals"
        optional
        :hint="hint || (finding ? limitText([finding], prefs.lengths) : '')"
        class="flex-1"
        @update:model-value="value = $event"
        @clear="value = null"
        @keydown.enter="button?.focus()"
      />
      <button ref="button" type="button" class="button mt-[22px]" :disabled="value === null" @click="record">
        Record<span class="sr-only"> {{ label }}</span>
      </button>
    </div>
    <slot />
    <p v-if="finding" class="mt-0.5 flex flex-wrap items-center gap-x-2 text-[12.5px] text-ink2">
      <StateMark
        :state="finding.would ?? finding.state"
        :binds="finding.binds ?? false"
        :would="finding.would !== undefined"
      />
      <span>{{ finding.because }}</span>
    </p>
  </div>
</template>
