<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref, watch } from 'vue';
import type { Judged } from '../../core/traveller/asks.ts';
import type { Ask } from '../../core/traveller/step.ts';
import { digits } from '../../core/words/numerals.ts';
import { parseQuantity } from '../../core/model/units/quantity.ts';
import StateMark from '../ui/StateMark.vue';
import { say } from '../../core/words/say.ts';
import { measured } from '../../core/words/measures.ts';

/** A figure to be typed with gloves on, judged where it is typed; both ends of its scale say what went wrong. */
const { ask, modelValue, judged } = defineProps<{
  ask: Ask;
  modelValue: number | null;
  judged: Judged | null;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: number | null]; done: [] }>();

const text = ref('');
const problem = ref('');
watch(
  () => modelValue,
  (value) => {
    const shown = value === null ? '' : written(value);
    if (parsed(text.value) !== value) text.value = shown;
  },
);
const shown = (value: number) => measured(value, ask.unit, ask.decimals);
const written = (value: number) => digits(shown(value).value, shown(value).decimals);
/** A length in the reader's measure, or a count; a comma is a point. */
function parsed(words: string): number | null {
  const entry = parseQuantity(
    words,
    ask.unit === 'mm' ? 'length' : 'number',
    ask.unit === 'mm' ? shown(0).unit : undefined,
  );
  return entry.ok ? entry.value : null;
}
function read(): void {
  if (text.value.trim() === '') {
    problem.value = '';
    emit('update:modelValue', null);
    return;
  }
  const value = parsed(text.value);
  const [least, most] = ask.range;
  if (value === null) problem.value = say`“${text.value}” is not a number.`;
  else if (value < least || value > most) {
    problem.value = say`${text.value} is out of range: ${written(least)} to ${written(most)}.`;
  } else problem.value = '';
  emit('update:modelValue', problem.value ? null : value);
}
const stepSize = computed(() => 10 ** -ask.decimals);
function nudge(sign: 1 | -1): void {
  const [least, most] = ask.range;
  const from = modelValue ?? ask.least;
  const next = modelValue === null ? from : from + sign * stepSize.value;
  text.value = written(Math.min(most, Math.max(least, next)));
  read();
}
function goOn(event: KeyboardEvent): void {
  event.preventDefault();
  // The window listens for the same keys: the step would be gone twice.
  event.stopPropagation();
  read();
  if (!problem.value) emit('done');
}
/** The scale reaches a third of the window past both of its ends. */
const SCALE = 494;
const window_ = computed(() => Math.max(ask.most - ask.least, stepSize.value * 4));
const x = (value: number) =>
  Math.min(SCALE - 8, Math.max(8, (0.2 + (0.6 * (value - ask.least)) / window_.value) * SCALE));
const ENDS: Readonly<Record<Ask['what'], readonly [string, string]>> = {
  'across flats': [say`wrong die`, say`die not shut`],
  ears: ['', say`too much`],
  strands: ['', say`cut back`],
};
</script>

<template>
  <div>
    <label :for="`ask-${ask.what}`" class="figure block text-[17px] text-ink2">{{ tell(ask.words) }}</label>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <button type="button" class="button size-16 text-[26px]" :aria-label="say`Less`" @click="nudge(-1)">
        −
      </button>
      <div class="relative w-44">
        <input
          :id="`ask-${ask.what}`"
          v-model="text"
          class="figure h-16 w-full border-2 border-teal bg-lamp pr-12 pl-4 text-[38px] font-semibold"
          :class="problem ? 'border-fails' : ''"
          inputmode="decimal"
          autocomplete="off"
          :aria-invalid="problem !== ''"
          aria-describedby="ask-note"
          @input="read"
          @keydown.enter="goOn"
          @keydown.space="goOn"
        />
        <span
          v-if="ask.unit"
          class="figure pointer-events-none absolute right-3 bottom-3 text-[20px] text-ink2"
          aria-hidden="true"
          >{{ shown(0).unit }}</span
        >
      </div>
      <button type="button" class="button size-16 text-[26px]" :aria-label="say`More`" @click="nudge(1)">
        +
      </button>
      <p id="ask-note" class="min-w-40 flex-1" role="status">
        <span v-if="problem" class="text-[16px] font-bold text-fails">{{ problem }}</span>
        <template v-else-if="judged">
          <span class="figure flex items-center gap-2 text-[22px] font-semibold"
            ><StateMark :state="judged.holds ? 'holds' : 'fails'"
          /></span>
          <span class="text-[15px]">{{ tell(judged.sentence) }}</span>
        </template>
      </p>
    </div>
    <svg :viewBox="`0 0 ${SCALE} 56`" class="ask-scale mt-1 block w-full max-w-[494px]" aria-hidden="true">
      <rect
        :x="x(ask.least)"
        y="12"
        :width="Math.max(2, x(ask.most) - x(ask.least))"
        height="14"
        fill="var(--buff)"
      />
      <path :d="`M0 26H${SCALE}`" stroke="var(--ink2)" />
      <path v-if="ask.least > 0" :d="`M${x(ask.least)} 4V34`" stroke="var(--ink)" stroke-width="2" />
      <path :d="`M${x(ask.most)} 4V34`" stroke="var(--ink)" stroke-width="2" />
      <text v-if="ask.least > 0" class="strong" :x="x(ask.least)" y="50" text-anchor="middle">
        {{ written(ask.least) }}
      </text>
      <text class="strong" :x="x(ask.most)" y="50" text-anchor="middle">
        {{ written(ask.most) }}
      </text>
      <text :x="x(ask.least) - 8" y="20" text-anchor="end">{{ ENDS[ask.what][0] }}</text>
      <text :x="x(ask.most) + 8" y="20">{{ ENDS[ask.what][1] }}</text>
      <path
        v-if="modelValue !== null"
        :d="`M${x(modelValue) - 8} 6h16v12l-8 8l-8 -8z`"
        :fill="judged?.holds ? 'var(--teal)' : 'var(--fails)'"
      />
    </svg>
  </div>
</template>

<style>
.ask-scale text {
  font: 400 15px var(--font-figure);
  fill: var(--ink2);
}
.ask-scale .strong {
  font-weight: 500;
  fill: var(--ink);
}
</style>
