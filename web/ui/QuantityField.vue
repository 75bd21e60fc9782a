<script setup lang="ts">
import { computed, ref, useId, useTemplateRef, watch } from 'vue';
import { measured } from '../../core/words/measures.ts';
import { brief } from '../../core/words/numerals.ts';
import { baseUnit, type QuantityKind } from '../../core/model/units/entryUnits.ts';
import { parseQuantity } from '../../core/model/units/quantity.ts';
import HelpMark from '../help/HelpMark.vue';
import { useDraft } from './useDraft.ts';
import { say } from '../../core/words/say.ts';

/**
 * A figure with its unit. It takes units as typed and simple arithmetic; a bad entry keeps what was typed, says what
 * is wrong beside it, and changes nothing.
 */
const {
  label,
  kind,
  modelValue,
  least,
  most,
  decimals = 1,
  hint = '',
  placeholder = '',
  optional = false,
  shownIn,
  take,
} = defineProps<{
  label: string;
  kind: QuantityKind;
  /** In the kind's base unit; null where nothing is given. */
  modelValue: number | null;
  least: number;
  most: number;
  decimals?: number;
  hint?: string;
  /** What holds while nothing is given. */
  placeholder?: string;
  optional?: boolean;
  /** Another unit of the kind to read and write it in; `decimals` are of that unit. */
  shownIn?: string;
  /**
   * Takes a figure that is handed over and not kept here, and says whether it was taken: then the field is empty for the
   * next. Only Enter hands over; who leaves the field hands nothing over and loses nothing.
   */
  take?: (value: number) => boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: number]; clear: [] }>();

const fieldId = useId();
/** A base value in the unit that the field shows. */
const inField = (value: number) =>
  shownIn === undefined
    ? measured(value, baseUnit(kind), decimals)
    : { value: value / inUnit(shownIn), unit: shownIn, decimals };
const unit = computed(() => inField(0).unit);
/** A length typed in inches keeps its thousandths. */
const INCH_DECIMALS = 3;

/** A base value as the field writes it, without a trailing ".0". */
function written(value: number): string {
  const shown = inField(value);
  return brief(shown.value, shown.unit === 'in' ? INCH_DECIMALS : shown.decimals);
}

/** How many base units one `name` is. */
function inUnit(name: string): number {
  const entry = parseQuantity('1', kind, name);
  return entry.ok ? entry.value : 1;
}

const typed = ref('');
const problem = ref('');
const isEditing = ref(false);
const shownValue = () => (modelValue === null ? '' : written(modelValue));
const { isBack } = useDraft(useTemplateRef<HTMLInputElement>('input'), () => label, typed, shownValue);

function showValue(): void {
  typed.value = shownValue();
  problem.value = '';
}
watch(
  [() => modelValue, unit],
  () => {
    if (!isEditing.value) showValue();
  },
  { immediate: true },
);

const range = computed(() => say`${written(least)} to ${written(most)} ${unit.value}`.trim());

/** @param isHanded by Enter or its button, not by leaving the field */
function commit(isHanded: boolean): void {
  if (optional && typed.value.trim() === '') {
    problem.value = '';
    if (modelValue !== null) emit('clear');
    return;
  }
  const entry = parseQuantity(typed.value, kind, unit.value || undefined);
  if (!entry.ok) {
    problem.value = entry.sentence;
  } else if (entry.value < least - 1e-9 || entry.value > most + 1e-9) {
    problem.value = say`${written(entry.value)} ${unit.value} is out of range: ${range.value}.`;
  } else {
    problem.value = '';
    typed.value = written(entry.value);
    // What rounding let through the gate is no farther than the gate.
    const value = Math.min(most, Math.max(least, entry.value));
    if (take) {
      if (isHanded && take(value)) typed.value = '';
    } else if (value !== modelValue) emit('update:modelValue', value);
  }
}

function leave(): void {
  isEditing.value = false;
  commit(false);
}

defineExpose({ hand: () => commit(true) });

function cancel(event: KeyboardEvent): void {
  if (typed.value === shownValue()) return;
  event.stopPropagation();
  showValue();
}
</script>

<template>
  <div class="min-w-0">
    <div class="label relative mb-1 flex items-baseline">
      <label
        :for="fieldId"
        class="min-w-0 leading-4 sm:pointer-fine:truncate sm:pointer-fine:leading-[inherit]"
        >{{ label }}</label
      >
      <HelpMark :label="label" />
    </div>
    <div class="relative">
      <input
        :id="fieldId"
        ref="input"
        v-model="typed"
        :data-draft="label"
        class="field-input"
        :class="unit.length > 3 ? 'pr-14' : unit ? 'pr-12' : ''"
        inputmode="text"
        :placeholder="placeholder"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        :aria-invalid="problem !== ''"
        :aria-describedby="`${fieldId}-note`"
        @focus="
          isEditing = true;
          ($event.target as HTMLInputElement).select();
        "
        @blur="leave"
        @keydown.enter="commit(true)"
        @keydown.esc="cancel"
      />
      <span
        v-if="unit"
        class="figure pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 text-[15px] text-ink2"
        aria-hidden="true"
        >{{ unit }}</span
      >
    </div>
    <p
      :id="`${fieldId}-note`"
      class="mt-1 text-[12px] leading-4"
      :class="problem ? 'text-fails font-bold' : 'text-ink3'"
    >
      <span v-if="problem" role="alert">{{ problem }}</span>
      <template v-else>{{
        isBack ? say`Typed earlier but not entered: press Enter to take it.` : hint || range
      }}</template>
    </p>
  </div>
</template>
