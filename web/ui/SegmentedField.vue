<script setup lang="ts" generic="T extends string | number">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue';

import HelpMark from '../help/HelpMark.vue';

/** One of a few, side by side. */
defineProps<{
  label: string;
  modelValue: T;
  choices: readonly { readonly value: T; readonly title: string; readonly spoken?: string }[];
  hideLabel?: boolean;
  small?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <RadioGroup
    :model-value="modelValue"
    as="div"
    class="min-w-0"
    @update:model-value="$emit('update:modelValue', $event as T)"
  >
    <div class="label relative mb-1 flex items-baseline" :class="hideLabel ? 'sr-only' : ''">
      <RadioGroupLabel class="min-w-0 leading-4 sm:truncate sm:leading-[inherit]">{{
        label
      }}</RadioGroupLabel>
      <HelpMark v-if="!hideLabel" :label="label" />
    </div>
    <div class="box flex overflow-hidden" :class="small ? 'h-7' : 'h-11'">
      <RadioGroupOption
        v-for="choice in choices"
        :key="choice.value"
        v-slot="{ checked }"
        as="template"
        :value="choice.value"
      >
        <button
          type="button"
          class="figure flex flex-1 items-center justify-center border-r border-teal whitespace-nowrap last:border-r-0 focus-visible:-outline-offset-4 focus-visible:outline-current"
          :class="[
            checked ? 'bg-teal font-semibold text-on-teal' : 'font-medium text-teal hover:bg-teal-tint',
            small ? 'px-2.5 text-[15px]' : choices.length > 3 ? 'text-[17px]' : 'px-2 text-[17px]',
          ]"
          :aria-label="choice.spoken ?? choice.title"
        >
          {{ choice.title }}
        </button>
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
