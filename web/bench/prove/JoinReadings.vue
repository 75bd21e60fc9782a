<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import type { Topic } from '../../../core/finding/topics.ts';
import { computed, reactive, ref } from 'vue';
import { END_NAMES, type EndName } from '../../../core/model/end.ts';
import { kilogramsToHang } from '../../../core/termination/dies/pullForce.ts';
import type { ResolvedJoin } from '../../../core/termination/join.ts';
import { figure } from '../../../core/model/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import QuantityField from '../../ui/QuantityField.vue';
import StateMark from '../../ui/StateMark.vue';
import StageSection from '../StageSection.vue';
import type { Measured } from './readings.ts';
import ReadingEntry from './ReadingEntry.vue';
import { say } from '../../../core/words/say.ts';

/** The readings of a join: both of its crimps, and one pull through the two. */
const { join, work, record } = defineProps<{
  join: ResolvedJoin;
  work: CableWork;
  record: (measured: Measured) => boolean;
}>();

const findingOf = (about: Topic, side?: EndName) =>
  work.findings.find(({ topic, part, join: of }) => topic === about && part === side && of === join.spec.id);
const typed = reactive<Record<EndName, { flats: number | null; ears: number | null }>>({
  A: { flats: null, ears: null },
  B: { flats: null, ears: null },
});
const problem = ref('');
const held = ref(true);
const pullLimit = computed(() => {
  const limit = findingOf('join-pull')?.limit;
  return limit?.kind === 'least' ? limit.least : 0;
});

function take(side: EndName): void {
  const { flats, ears } = typed[side];
  problem.value = flats === null || ears === null ? say`Enter both; with no ears, enter 0.` : '';
  if (flats === null || ears === null) return;
  const measured = { check: 'join' as const, joinId: join.spec.id, side, acrossFlatsMm: flats, earsMm: ears };
  if (record(measured)) typed[side] = { flats: null, ears: null };
}
</script>

<template>
  <StageSection
    :title="`${tell(join.title)}, ${join.connector?.label ?? say`no connector`}`"
    :note="
      join.connector?.cover
        ? say`under its own jacket: only a pull tests it`
        : say`die ${join.die?.die.acrossFlatsMm ?? '–'} across flats, one crimp a side`
    "
  >
    <div
      v-for="side in join.connector?.cover ? [] : END_NAMES"
      :key="side"
      class="mb-2 grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]"
    >
      <QuantityField
        :label="say`Across flats, towards ${side}`"
        kind="length"
        :model-value="typed[side].flats"
        :least="0.5"
        :most="100"
        :decimals="2"
        optional
        @update:model-value="typed[side].flats = $event"
        @clear="typed[side].flats = null"
      />
      <QuantityField
        :label="say`Ears, towards ${side}`"
        kind="length"
        :model-value="typed[side].ears"
        :least="0"
        :most="20"
        :decimals="2"
        optional
        @update:model-value="typed[side].ears = $event"
        @clear="typed[side].ears = null"
      />
      <button type="button" class="button mt-[22px]" @click="take(side)">
        {{ say`Record` }}<span class="sr-only">{{ ' ' }}{{ say`the crimp towards ${side}` }}</span>
      </button>
      <p class="col-span-full flex flex-wrap gap-x-4 text-[12.5px] text-ink2">
        <span v-for="about in ['join-flats', 'join-ears'] as const" :key="about" class="flex gap-2">
          <StateMark v-if="findingOf(about, side)" :state="findingOf(about, side)?.state ?? 'unproved'" />
          {{ tell(findingOf(about, side)?.because) }}
        </span>
      </p>
    </div>
    <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <ReadingEntry
      class="max-w-sm"
      :label="say`Pull through the join`"
      kind="force"
      :decimals="0"
      :least="0"
      :most="50000"
      :hint="say`${figure(pullLimit, 'N', 0)}, ${figure(kilogramsToHang(pullLimit), 'kg', 1)} to hang`"
      :finding="findingOf('join-pull')"
      :record="(forceN) => record({ check: 'join-pull', joinId: join.spec.id, forceN, held })"
    >
      <label class="mt-1 flex items-center gap-2"
        ><input v-model="held" type="checkbox" class="size-5 accent-teal" /> {{ say`it held` }}</label
      >
    </ReadingEntry>
  </StageSection>
</template>
