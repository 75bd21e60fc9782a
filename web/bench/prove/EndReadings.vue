<script setup lang="ts">
import { Check, X } from '@lucide/vue';
import { computed, ref } from 'vue';
import { type Cable, type EndName, LOOK_ITEMS, type LookItem } from '../../../core/job/cable.ts';
import { kilogramsToHang } from '../../../core/proof/pullForce.ts';
import { countingReadings } from '../../../core/proof/readings.ts';
import { usesDie } from '../../../core/termination/method.ts';
import { figure } from '../../../core/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import StageSection from '../StageSection.vue';
import type { Measured } from './readings.ts';
import ReadingEntry from './ReadingEntry.vue';

/** The readings of one end: across flats, ears, pull, and the look list. */
const { name, cable, work, record } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  record: (measured: Measured) => boolean;
}>();

const findingOf = (check: string) => work.findings.find(({ id }) => id === `${check}.${name}`);
const pullLimit = computed(() => {
  const limit = findingOf('pull')?.limit;
  return limit?.kind === 'least' ? limit.least : 0;
});
const held = ref(true);
const isCrimped = computed(() => usesDie(work.ends[name].method));

const items = Object.entries(LOOK_ITEMS) as [LookItem, string][];
/** The list as it was last gone through. */
const marks = computed<Partial<Record<LookItem, boolean>>>(
  () => countingReadings(cable, 'look', name).at(-1)?.marks ?? {},
);
const draft = ref<Partial<Record<LookItem, boolean>>>({ ...marks.value });
const isChanged = computed(() => JSON.stringify(draft.value) !== JSON.stringify(marks.value));
const allRight = () => {
  draft.value = Object.fromEntries(items.map(([item]) => [item, true]));
};
</script>

<template>
  <div>
    <StageSection
      :title="isCrimped ? 'Crimp' : 'Hold'"
      :note="
        isCrimped
          ? `die ${work.ends[name].die?.die.acrossFlatsMm ?? '–'} across flats, ${work.ends[name].crimps.length === 1 ? '1 crimp' : `${work.ends[name].crimps.length} crimps`}`
          : 'no die closed on this end'
      "
    >
      <div class="grid gap-x-3 gap-y-2 sm:grid-cols-3">
        <ReadingEntry
          v-if="isCrimped"
          label="Across flats"
          kind="length"
          :decimals="2"
          :least="0.5"
          :most="100"
          :finding="findingOf('across-flats')"
          :record="(valueMm) => record({ check: 'across-flats', end: name, valueMm })"
        />
        <ReadingEntry
          v-if="isCrimped"
          label="Ears, unfiled"
          kind="length"
          :decimals="2"
          :least="0"
          :most="20"
          :finding="findingOf('ears')"
          :record="(valueMm) => record({ check: 'ears', end: name, valueMm })"
        />
        <ReadingEntry
          label="Pull, one minute"
          kind="force"
          :decimals="0"
          :least="0"
          :most="50000"
          :hint="`${figure(pullLimit, 'N', 0)}, ${figure(kilogramsToHang(pullLimit), 'kg', 1)} to hang`"
          :finding="findingOf('pull')"
          :record="(forceN) => record({ check: 'pull', end: name, forceN, held })"
        >
          <label class="mt-1 flex items-center gap-2"
            ><input v-model="held" type="checkbox" class="size-5 accent-teal" /> it held</label
          >
        </ReadingEntry>
      </div>
    </StageSection>
    <StageSection title="Look" note="in good light, sleeve and all">
      <ul class="grid gap-x-4 sm:grid-cols-2">
        <li
          v-for="[item, words] in items"
          :key="item"
          class="flex min-h-11 items-center gap-2 border-b border-hairline"
        >
          <span class="flex-1">{{ words }}</span>
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
            :aria-label="`${words}: ${right ? 'right' : 'wrong'}`"
            @click="draft = { ...draft, [item]: right }"
          >
            <Check v-if="right" :size="18" aria-hidden="true" /><X v-else :size="18" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <div class="mt-2 flex gap-3">
        <button type="button" class="button" @click="allRight">All right</button>
        <button
          type="button"
          class="button filled"
          :disabled="!isChanged"
          @click="record({ check: 'look', end: name, marks: { ...draft } })"
        >
          Record the look
        </button>
      </div>
    </StageSection>
  </div>
</template>
