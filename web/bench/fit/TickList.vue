<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { Check, TriangleAlert } from '@lucide/vue';
import type { FitCheck } from '../../../core/fit/fitChecks.ts';
import type { Fitted } from '../../../core/model/cable.ts';
import { say } from '../../../core/words/say.ts';
import { dayText } from '../../../core/words/measures.ts';

/** Things to look at, each with this cable's own figures; a tick says who looked and when. */
const {
  checks,
  ticks,
  ordered = false,
} = defineProps<{
  checks: readonly FitCheck[];
  ticks: readonly Fitted[];
  /** One after the other: only the next can be ticked. */
  ordered?: boolean;
}>();
defineEmits<{ tick: [id: string] }>();

const tickOf = (id: string) => ticks.find(({ check }) => check === id);
const nextId = () => checks.find(({ id }) => !tickOf(id))?.id;
</script>

<template>
  <component :is="ordered ? 'ol' : 'ul'">
    <li
      v-for="(check, i) in checks"
      :key="check.id"
      class="flex items-start gap-2 border-b border-hairline"
      :class="ordered && check.id === nextId() ? 'bg-teal-tint shadow-[inset_3px_0_0_var(--teal)]' : ''"
    >
      <button
        type="button"
        role="checkbox"
        :aria-checked="tickOf(check.id) !== undefined"
        :aria-label="tell(check.title)"
        class="flex min-h-11 w-11 shrink-0 items-center justify-center"
        @click="$emit('tick', check.id)"
      >
        <span
          class="flex size-[22px] items-center justify-center rounded-[3px] border border-teal"
          :class="tickOf(check.id) ? 'bg-teal text-on-teal' : 'bg-paper'"
        >
          <Check v-if="tickOf(check.id)" :size="16" :stroke-width="3" aria-hidden="true" />
        </span>
      </button>
      <p class="min-w-0 flex-1 py-1.5">
        <b class="figure mr-1.5 text-[16px]"
          ><template v-if="ordered">{{ i + 1 }}. </template>{{ tell(check.title) }}</b
        >
        <TriangleAlert
          v-if="check.danger"
          :size="15"
          class="mr-1 inline align-[-2px] text-fails"
          :aria-label="say`danger`"
        />
        <span>{{ tell(check.detail) }}</span>
        <span v-if="tickOf(check.id)" class="note block">
          {{ tickOf(check.id)?.by }}, {{ dayText(tickOf(check.id)?.at ?? '') }}
        </span>
      </p>
    </li>
  </component>
</template>
