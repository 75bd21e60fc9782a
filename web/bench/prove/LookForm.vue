<script setup lang="ts">
import { tell, type Message } from '../../../core/words/message.ts';
import { Check, X } from '@lucide/vue';
import { computed, ref } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { LOOK_ITEMS, type LookItem } from '../../../core/model/reading.ts';
import { lookItems } from '../../../core/proof/endProof.ts';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import { countingReadings } from '../../../core/proof/readings.ts';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** The look list of one end, each thing right or wrong. */
const { name, cable, end, record } = defineProps<{
  name: EndName;
  cable: Cable;
  end: ResolvedEnd;
  record: TakeReading;
}>();

const items = computed(() => lookItems(end).map((item): [LookItem, Message] => [item, LOOK_ITEMS[item]]));
/** The list as it was last gone through. */
const marks = computed<Partial<Record<LookItem, boolean>>>(
  () => countingReadings(cable, 'look', name).at(-1)?.marks ?? {},
);
const draft = ref<Partial<Record<LookItem, boolean>>>({ ...marks.value });
const isChanged = computed(() => JSON.stringify(draft.value) !== JSON.stringify(marks.value));
const allRight = () => {
  draft.value = Object.fromEntries(items.value.map(([item]) => [item, true]));
};
</script>

<template>
  <div>
    <ul>
      <li
        v-for="[item, words] in items"
        :key="item"
        class="flex min-h-11 items-center gap-2 border-b border-hairline"
      >
        <span class="flex-1">{{ tell(words) }}</span>
        <button
          v-for="right in [true, false]"
          :key="String(right)"
          type="button"
          class="flex size-11 items-center justify-center border"
          :class="
            draft[item] === right
              ? right
                ? 'border-holds bg-holds text-paper'
                : 'border-fails bg-fails text-paper'
              : 'border-hairline bg-paper text-ink2'
          "
          :aria-pressed="draft[item] === right"
          :aria-label="`${tell(words)}: ${right ? say`right` : say`wrong`}`"
          @click="draft = { ...draft, [item]: right }"
        >
          <Check v-if="right" :size="18" aria-hidden="true" /><X v-else :size="18" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <div class="mt-3 flex gap-3">
      <button type="button" class="button" @click="allRight">{{ say`OK` }}</button>
      <button
        type="button"
        class="button filled"
        :disabled="!isChanged"
        @click="record({ check: 'look', end: name, marks: { ...draft } })"
      >
        {{ say`Record the inspection` }}
      </button>
    </div>
  </div>
</template>
