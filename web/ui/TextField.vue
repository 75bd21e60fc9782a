<script setup lang="ts">
import { ref, useId, useTemplateRef, watch } from 'vue';
import HelpMark from '../help/HelpMark.vue';
import { useDraft } from './useDraft.ts';
import { say } from '../../core/words/say.ts';

/** A line of text. With `required`, an empty line is refused beside the field and the old text stays in force. */
const {
  label,
  modelValue,
  longest = 60,
  required = false,
  hint = '',
  check = () => '',
} = defineProps<{
  label: string;
  modelValue: string;
  longest?: number;
  required?: boolean;
  hint?: string;
  /** What is wrong with a text, in a sentence; empty where nothing is. */
  check?: (text: string) => string;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: string] }>();

const fieldId = useId();
const typed = ref(modelValue);
const problem = ref('');
const { isBack } = useDraft(
  useTemplateRef<HTMLInputElement>('input'),
  () => label,
  typed,
  () => modelValue,
);
watch(
  () => modelValue,
  (value) => {
    typed.value = value;
    problem.value = '';
  },
);

function commit(): void {
  const text = typed.value.trim();
  if (required && text === '') problem.value = say`A name is needed here.`;
  else if (text.length > longest) problem.value = say`At most ${longest} letters; this has ${text.length}.`;
  else {
    problem.value = check(text);
    if (problem.value === '' && text !== modelValue) emit('update:modelValue', text);
  }
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
    <input
      :id="fieldId"
      ref="input"
      v-model="typed"
      :data-draft="label"
      class="field-input"
      autocomplete="off"
      :aria-invalid="problem !== ''"
      :aria-describedby="`${fieldId}-note`"
      @blur="commit"
      @keydown.enter="commit"
    />
    <p
      :id="`${fieldId}-note`"
      class="mt-1 min-h-4 text-[12px] leading-4"
      :class="problem ? 'text-fails font-bold' : 'text-ink3'"
    >
      <span v-if="problem" role="alert">{{ problem }}</span>
      <template v-else>{{
        isBack ? say`Typed earlier but not entered: press Enter to take it.` : hint
      }}</template>
    </p>
  </div>
</template>
