<script setup lang="ts">
import { computed, nextTick, onMounted, useId, useTemplateRef } from 'vue';
import type { LineAnswer } from '../../core/line/fromLine.ts';
import { tell } from '../../core/words/message.ts';
import { useIsDesk } from '../ui/useWide.ts';
import { say } from '../../core/words/say.ts';
import { measures } from '../../core/words/measures.ts';

/** A cable in one line: what was understood as chips, what is assumed in another tone, what was not understood said. */
const { answer, noFocus = false } = defineProps<{
  answer: LineAnswer;
  /** Where letters are keys until one goes to it. */
  noFocus?: boolean;
}>();
const emit = defineEmits<{ take: [] }>();
const line = defineModel<string>({ required: true });

const fieldId = useId();
const field = useTemplateRef<HTMLInputElement>('field');
const isDesk = useIsDesk();
onMounted(() => isDesk.value && !noFocus && field.value?.focus());

const isEmpty = computed(() => line.value.trim() === '');
const problem = computed(() => {
  if (isEmpty.value) return '';
  const { unread } = answer.read;
  return unread.length > 0 ? say`Not understood: ${unread.join(' ')}` : '';
});
const missing = computed(() => {
  if (isEmpty.value || answer.missing.length === 0) return '';
  return answer.missing.length === 2
    ? say`Still needed: amps or watts, and the length one way.`
    : answer.missing[0] === 'load'
      ? say`Still needed: amps or watts.`
      : say`Still needed: the length one way.`;
});
const EXAMPLES = computed(() =>
  measures().lengths === 'in'
    ? [
        say`12 V 2000 W inverter 5 ft engine space`,
        say`24 V 240 A thruster 21 ft 3 min`,
        say`starter 12 V 7 ft AWG 1/0`,
      ]
    : [
        say`12 V 2000 W inverter 1.5 m engine space`,
        say`24 V 240 A thruster 6.4 m 3 min`,
        say`starter 12 V 2.1 m 50 mm²`,
      ],
);
async function put(text: string): Promise<void> {
  line.value = text;
  await nextTick();
  field.value?.focus();
}
/** Writes out what is assumed, with its figure marked to be typed over. */
async function sayIt(typed: string): Promise<void> {
  const before = line.value.trimEnd();
  await put(`${before} ${typed}`);
  const figure = /\d[\d.,]*/.exec(typed);
  const begin = before.length + 1 + (figure?.index ?? 0);
  field.value?.setSelectionRange(begin, begin + (figure?.[0].length ?? typed.length));
}
</script>

<template>
  <form @submit.prevent="answer.job && emit('take')">
    <label :for="fieldId" class="sr-only">{{ say`The cable in one line` }}</label>
    <div class="relative">
      <input
        :id="fieldId"
        ref="field"
        v-model="line"
        class="box h-14 w-full border-2 bg-paper px-4 pr-20 text-[19px]"
        maxlength="200"
        autocomplete="off"
        spellcheck="false"
        :placeholder="EXAMPLES[0]"
        :aria-describedby="`${fieldId}-said`"
      />
      <kbd v-if="answer.job" class="key absolute top-1/2 right-4 -translate-y-1/2 max-lg:hidden">Enter</kbd>
    </div>
    <div :id="`${fieldId}-said`">
      <template v-if="!isEmpty">
        <ul class="mt-2.5 flex flex-wrap gap-1.5">
          <li
            v-for="(piece, i) in answer.read.pieces"
            :key="`${i} ${piece.text}`"
            class="figure flex min-h-8 items-center border border-teal bg-teal-tint px-2.5 text-[16px]"
          >
            {{ piece.text }}
          </li>
          <li v-for="own in answer.assumed" :key="own.key">
            <button
              type="button"
              class="figure flex min-h-8 items-center border border-dashed border-copper-text px-2.5 text-[16px] text-copper-text hover:bg-copper-tint"
              @click="sayIt(own.typed)"
            >
              {{ tell(own.says) }}<span class="sr-only">, {{ say`assumed` }}</span>
            </button>
          </li>
        </ul>
        <p class="note mt-1.5">
          <template v-if="answer.assumed.length > 0">{{
            say`Dashed is assumed: press it to change it.`
          }}</template>
        </p>
      </template>
      <p v-if="problem" class="mt-1 font-bold text-fails" role="alert">{{ problem }}</p>
      <p v-if="missing" class="mt-1 font-bold" role="status">{{ missing }}</p>
    </div>
    <p v-if="isEmpty" class="mt-2 flex flex-wrap items-baseline gap-x-2 gap-y-1 text-[13.5px]">
      <span class="text-ink2">{{ say`In any order and unit. For example` }}</span>
      <button
        v-for="example in EXAMPLES"
        :key="example"
        type="button"
        class="text-teal underline"
        @click="put(example)"
      >
        {{ example }}
      </button>
    </p>
  </form>
</template>
