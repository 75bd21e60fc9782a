<script setup lang="ts">
import { cablesSay } from '../../core/words/counts.ts';
import { word } from '../../core/words/terms.ts';
import { Plus } from '@lucide/vue';
import { useVirtualList } from '@vueuse/core';
import { computed, ref, useTemplateRef, watch } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import type { Cable, Stage } from '../../core/model/cable.ts';
import { triedWork } from '../stores/work.ts';
import JobSheets from './JobSheets.vue';
import RackRow from './RackRow.vue';
import SetManyBar from './SetManyBar.vue';
import type { Racked } from './useRacked.ts';
import { useTotals } from './useTotals.ts';
import { say } from '../../core/words/say.ts';
import { figure } from '../../core/model/units/figure.ts';
import { runText } from '../ui/display.ts';
import { useIsDesk } from '../ui/useWide.ts';

/** The job's cables, and what they come to. */
const { racked, cableId, stage } = defineProps<{
  racked: Racked;
  cableId: string | undefined;
  stage: Stage;
}>();
defineEmits<{ add: [] }>();

const job = computed(() => racked.job);
const filter = ref('');
const marked = ref<readonly string[]>([]);
const filterField = useTemplateRef<HTMLInputElement>('filterField');

const workInRack = (cable: Cable): CableWork | null => triedWork(cable, racked.shop, job.value);
const matches = (cable: Cable) =>
  `${cable.tag} ${cable.ends.A.at} ${cable.ends.B.at} ${word(cable.jacket)} ${word(cable.polarity)}`
    .toLowerCase()
    .includes(filter.value.trim().toLowerCase());
const shown = computed(() =>
  filter.value.trim() === '' ? job.value.cables : job.value.cables.filter(matches),
);
const ROW_PX = 70;
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(shown, {
  itemHeight: ROW_PX,
  overscan: 6,
});
/** The cable on the bench is in sight, however long the rack is. */
watch(
  [() => cableId, () => shown.value.length],
  () => {
    const at = shown.value.findIndex(({ id }) => id === cableId);
    const isSeen = list.value.some(({ data }) => data.id === cableId);
    if (at >= 0 && !isSeen) scrollTo(at);
  },
  { flush: 'post' },
);
// On a phone its card is the first thing that is seen of a cable.
const isDesk = useIsDesk();
const totals = useTotals(() => racked);
function mark(id: string): void {
  marked.value = marked.value.includes(id)
    ? marked.value.filter((other) => other !== id)
    : [...marked.value, id];
}

defineExpose({ focusFilter: () => filterField.value?.focus(), shown });
</script>

<template>
  <div class="isolate flex min-h-0 flex-col bg-chalk">
    <section :aria-label="say`Rack`" class="flex min-h-0 flex-1 flex-col">
      <header class="flex h-10 shrink-0 items-center gap-2 border-b border-hairline pl-3.5">
        <h2 class="figure text-[17px] font-semibold">{{ say`Rack` }}</h2>
        <span class="note">{{ cablesSay(job.cables.length) }}</span>
        <button
          type="button"
          class="ml-auto flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
          @click="$emit('add')"
        >
          <Plus :size="20" aria-hidden="true" /><span class="sr-only">{{ say`New cable` }}</span>
        </button>
      </header>
      <label v-if="job.cables.length > 4" class="shrink-0 border-b border-hairline">
        <span class="sr-only">{{ say`Filter cables` }}</span>
        <input
          ref="filterField"
          v-model="filter"
          :placeholder="say`Filter, key /`"
          class="h-9 w-full bg-paper px-3.5 text-[13px] placeholder:text-ink3 focus-visible:-outline-offset-2"
          @keydown.esc="
            filter = '';
            ($event.target as HTMLInputElement).blur();
          "
        />
      </label>
      <div v-bind="containerProps" class="min-h-0 flex-1 overflow-y-auto">
        <div v-bind="wrapperProps">
          <RackRow
            v-for="{ data: cable } in list"
            :key="cable.id"
            :cable="cable"
            :work="workInRack(cable)"
            :job-id="job.id"
            :stage="isDesk ? stage : null"
            :is-open="cable.id === cableId"
            :is-marked="marked.includes(cable.id)"
            @mark="mark(cable.id)"
          />
        </div>
        <p v-if="job.cables.length === 0" class="note p-3.5">
          {{ say`No cable yet. Press` }} <kbd class="key">N</kbd> {{ say`or + to begin one.` }}
        </p>
        <p v-else-if="shown.length === 0" class="note p-3.5">
          {{ say`No cable matches “${filter}”. Esc clears the filter.` }}
        </p>
      </div>
      <SetManyBar v-if="marked.length > 0" :job-id="job.id" :cable-ids="marked" @done="marked = []" />
    </section>
    <JobSheets
      :job-id="job.id"
      :cables="job.cables.length"
      :cut="totals?.cut"
      :overdue="totals?.overdue ?? 0"
    />
    <dl class="shrink-0 border-t border-line px-3.5 py-2 text-[13px]">
      <div class="flex justify-between">
        <dt class="text-ink2">{{ say`Total finished length` }}</dt>
        <dd class="figure text-[15px] font-semibold">
          {{ totals ? runText(totals.finishedMm) : '…' }}
        </dd>
      </div>
      <div class="flex justify-between">
        <dt class="text-ink2">{{ say`Weight, cable only` }}</dt>
        <dd class="figure text-[15px] font-semibold">
          {{ totals ? figure(totals.massKg, 'kg', 1) : '…' }}
        </dd>
      </div>
      <div class="flex justify-between">
        <dt class="text-ink2">{{ say`Proved` }}</dt>
        <dd class="figure text-[15px] font-semibold">
          {{ say`${totals?.proved ?? '…'} of ${job.cables.length}` }}
        </dd>
      </div>
    </dl>
  </div>
</template>
