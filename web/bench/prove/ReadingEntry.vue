<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { ref } from 'vue';
import type { Finding } from '../../../core/finding/finding.ts';
import type { QuantityKind } from '../../../core/model/units/entryUnits.ts';
import { limitText } from '../../ui/display.ts';
import QuantityField from '../../ui/QuantityField.vue';
import StateMark from '../../ui/StateMark.vue';
import { say } from '../../../core/words/say.ts';

/** A figure to be read and recorded; what the check stands at is said beneath. */
const {
  finding,
  hint = '',
  record,
} = defineProps<{
  label: string;
  kind: QuantityKind;
  least: number;
  most: number;
  decimals: number;
  finding: Finding | undefined;
  hint?: string;
  /** Takes the reading; false where it cannot be taken yet, and the figure stays in the field. */
  record: (value: number) => boolean;
}>();

const value = ref<number | null>(null);

function take(): void {
  if (value.value !== null && record(value.value)) value.value = null;
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
        :hint="hint || (finding ? limitText([finding]) : '')"
        class="flex-1"
        @update:model-value="value = $event"
        @clear="value = null"
        @keydown.enter="take"
      />
      <button type="button" class="button mt-[22px]" @click="take">
        {{ say`Record` }}<span class="sr-only"> {{ label }}</span>
      </button>
    </div>
    <slot />
    <p v-if="finding" class="mt-0.5 flex flex-wrap items-center gap-x-2 text-[12.5px] text-ink2">
      <StateMark
        :state="finding.would ?? finding.state"
        :close="finding.close ?? false"
        :would="finding.would !== undefined"
      />
      <span>{{ tell(finding.because) }}</span>
    </p>
  </div>
</template>
