<script setup lang="ts" generic="T extends string">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue';
import { Check, ChevronDown } from '@lucide/vue';
import { computed } from 'vue';
import HelpMark from '../help/HelpMark.vue';
import { say } from '../../core/words/say.ts';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly title: string;
  /** A second line: what speaks for it or against it. */
  readonly note?: string;
  readonly disabled?: boolean;
}

/** One of several, in a list that opens. */
const {
  label,
  modelValue,
  choices,
  empty = say`Choose`,
} = defineProps<{
  label: string;
  modelValue: T | undefined;
  choices: readonly Choice<T>[];
  empty?: string;
  hideLabel?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();

const chosen = computed(() => choices.find(({ value }) => value === modelValue));
</script>

<template>
  <Listbox
    :model-value="modelValue ?? null"
    as="div"
    class="relative min-w-0"
    @update:model-value="$emit('update:modelValue', $event as T)"
  >
    <div class="label relative mb-1 flex items-baseline" :class="hideLabel ? 'sr-only' : ''">
      <ListboxLabel class="min-w-0 leading-4 sm:pointer-fine:truncate sm:pointer-fine:leading-[inherit]">{{
        label
      }}</ListboxLabel>
      <HelpMark v-if="!hideLabel" :label="label" />
    </div>
    <ListboxButton class="box flex h-11 w-full items-center gap-2 pr-2 pl-2.5 text-left hover:bg-teal-tint">
      <span class="min-w-0 flex-1">
        <span class="figure block truncate text-[17px] leading-[19px] font-medium">{{
          chosen?.title ?? empty
        }}</span>
        <span v-if="chosen?.note" class="note block truncate leading-[15px]">{{ chosen.note }}</span>
      </span>
      <ChevronDown :size="18" class="shrink-0 text-teal" aria-hidden="true" />
    </ListboxButton>
    <ListboxOptions
      class="absolute z-30 mt-1 max-h-80 w-max max-w-[min(420px,90vw)] min-w-full overflow-auto border border-line bg-lamp shadow-lg focus:outline-none"
    >
      <ListboxOption
        v-for="choice in choices"
        :key="choice.value"
        v-slot="{ active, selected }"
        :value="choice.value"
        :disabled="choice.disabled ?? false"
      >
        <div
          class="flex min-h-11 items-center gap-2 px-2.5 py-1.5"
          :class="[active ? 'bg-teal-tint' : '', choice.disabled ? 'text-ink3' : 'cursor-pointer']"
        >
          <Check
            :size="16"
            :class="selected ? 'text-teal' : 'invisible'"
            class="shrink-0"
            aria-hidden="true"
          />
          <span class="min-w-0">
            <span class="figure block text-[17px] leading-5 font-medium">{{ choice.title }}</span>
            <span v-if="choice.note" class="note block leading-4">{{ choice.note }}</span>
          </span>
        </div>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
