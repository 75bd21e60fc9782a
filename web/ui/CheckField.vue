<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue';
import HelpMark from '../help/HelpMark.vue';
import { Check } from '@lucide/vue';

/** On or off, as a box to tick. */
defineProps<{ label: string; modelValue: boolean }>();
defineEmits<{ 'update:modelValue': [value: boolean] }>();
</script>

<template>
  <SwitchGroup>
    <div class="relative flex items-center gap-1">
      <Switch
        :model-value="modelValue"
        class="-m-[11px] shrink-0 p-[11px]"
        @update:model-value="$emit('update:modelValue', $event)"
      >
        <span
          class="flex size-[22px] items-center justify-center rounded-[3px] border border-teal"
          :class="modelValue ? 'bg-teal text-on-teal' : 'bg-paper'"
        >
          <Check v-if="modelValue" :size="16" :stroke-width="3" aria-hidden="true" />
        </span>
      </Switch>
      <SwitchLabel class="cursor-pointer text-[12.5px] leading-4">{{ label }}</SwitchLabel>
      <HelpMark :label="label" />
    </div>
  </SwitchGroup>
</template>
