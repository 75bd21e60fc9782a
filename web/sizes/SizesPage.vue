<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { USUAL_SIZING, type Sizing, type System } from '../../core/model/system.ts';
import { sameSize } from '../../core/model/tables/size.ts';
import { withSystem } from '../../core/system/edits.ts';
import { guardSays } from '../../core/system/findingParts.ts';
import { inTheWaySays } from '../../core/together/report.ts';
import { type SizeRow, takeTogether, type Together } from '../../core/together/together.ts';
import { withPlaces } from '../../core/system/places.ts';
import { tell } from '../../core/words/message.ts';
import { digits } from '../../core/words/numerals.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import Ledger from '../bench/Ledger.vue';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { systemOf } from '../stores/work.ts';
import ShowWork from '../ui/ShowWork.vue';
import WorkButton from '../ui/WorkButton.vue';
import StateMark from '../ui/StateMark.vue';
import SizingFields from './SizingFields.vue';
import TotalsTable from './TotalsTable.vue';
import TradeChart from './TradeChart.vue';
import { useTogether } from './useTogether.ts';
import { say } from '../../core/words/say.ts';
import { sizeText } from '../ui/display.ts';

/** The sizes of all cables of an installation chosen at once, beside each by itself and what the job has. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const placed = computed(() => job.value && withPlaces(job.value));
const sizing = computed((): Sizing => job.value?.system?.sizing ?? USUAL_SIZING);
const states = computed(() => placed.value?.system?.states ?? []);
const view = computed(() => job.value && systemOf(job.value, bench.shop).view);
/** Without a cable between two places there is nothing to choose, and nothing to prove. */
const isEmpty = computed(() => view.value?.installation.conductors.length === 0);
const asked = computed(() => (job.value && !isEmpty.value ? { job: job.value, shop: bench.shop } : null));
const { chosen, points, round, state, cancel, choose } = useTogether(() => asked.value);
const together = computed(() => chosen.value?.together ?? null);
const least = computed(() => chosen.value?.findings.find(({ topic }) => topic === 'sizes-together'));
const light = computed(() => chosen.value?.findings.find(({ topic }) => topic === 'weight-limit'));
const others = computed(() =>
  (chosen.value?.findings ?? []).filter((finding) => finding !== least.value && finding !== light.value),
);
const isWeightOpen = ref(false);
const isWorkOpen = ref(false);
const opened = ref<string | null>(null);

const tagOf = (id: string) => job.value?.cables.find((cable) => cable.id === id)?.tag ?? id;
const isOther = ({ together: size, now, stays }: SizeRow) => !stays && size !== null && !sameSize(size, now);
const isUntaken = (row: SizeRow) => !row.stays && row.together !== null && (isOther(row) || !row.isChosen);
const rows = computed(() =>
  (together.value?.rows ?? []).toSorted((a, b) => Number(isOther(b)) - Number(isOther(a))),
);
const untaken = computed(() => rows.value.filter(isUntaken));
const fuses = computed(() => together.value?.fuses ?? []);
const isWorking = computed(() => state.value === 'working');
const title = computed(() => {
  if (isEmpty.value) return say`No cable runs between two places yet`;
  const now = together.value;
  if (!now) return isWorking.value ? say`Searching for the least …` : say`Nothing chosen yet`;
  if (now.outcome === 'none') return say`No sizes keep every limit`;
  if (now.rows.every(({ stays }) => stays)) return say`Every size stays as it is`;
  return now.outcome === 'least' ? say`Proved optimal` : say`The best that was found, not proved`;
});
const status = computed(
  () =>
    ({
      working:
        round.value > 1 ? say`Recalculating currents and temperatures, round ${round.value}` : say`Working …`,
      stopped: say`Stopped. What is shown was found before.`,
      late: say`The solver found nothing in time. Ask for less, or try again.`,
      broken: say`The solver could not be started.`,
      done: '',
    })[state.value],
);

/** Changes the system; the places of a job that has only names become its own with it. */
function change(what: string, make: (system: System) => System): void {
  if (job.value) bench.keepJob(withSystem(job.value, make), what);
}
function setSizing(next: Sizing): void {
  change(say`how all sizes are chosen`, (system) => ({ ...system, sizing: next }));
}
const set = (part: Partial<Sizing>) => setSizing({ ...sizing.value, ...part });
function setMost(count: number | null): void {
  const { mostSizes: _, ...rest } = sizing.value;
  setSizing(count === null ? rest : { ...rest, mostSizes: count });
}
function setWeight(mostKg: number | null): void {
  const { mostKg: _, ...rest } = sizing.value;
  setSizing(mostKg === null ? rest : { ...rest, mostKg });
}
function setHours(stateId: string, hours: number | null): void {
  change(say`hours a year`, (system) => ({
    ...system,
    states: system.states.map((own) => {
      const { hoursPerYear: _, ...rest } = own;
      return own.id !== stateId ? own : hours === null ? rest : { ...rest, hoursPerYear: hours };
    }),
  }));
}
function take(some: readonly SizeRow[], its: Together['fuses'], what: string): void {
  if (job.value) bench.keepJob(takeTogether(job.value, some, its), what);
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="job && view" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-3.5 py-2">
          <div class="min-w-0">
            <p class="note">
              <RouterLink class="text-teal underline" :to="{ name: 'system', params: { jobId } }">{{
                say`System`
              }}</RouterLink>
              · {{ say`All sizes together` }}
            </p>
            <h1 class="figure text-[22px] leading-6 font-semibold">{{ title }}</h1>
          </div>
          <p v-if="status && !isEmpty" class="note" :role="isWorking ? 'status' : 'alert'">{{ status }}</p>
          <div v-if="!isEmpty" class="ml-auto flex gap-2">
            <button v-if="isWorking" type="button" class="button" @click="cancel">{{ say`Stop` }}</button>
            <button v-else-if="state !== 'done'" type="button" class="button" @click="choose">
              {{ say`Try again` }}
            </button>
            <button
              type="button"
              class="button filled"
              :disabled="state !== 'done' || untaken.length + fuses.length === 0"
              @click="take(untaken, fuses, say`take all sizes`)"
            >
              {{ say`Take all` }}
            </button>
          </div>
        </header>
        <p v-if="isEmpty" class="max-w-prose px-3.5 py-3 text-[15px]">
          {{
            say`Sizes are chosen for the cables of an installation: add its places and cables in System, or name the ends of the cables that are here.`
          }}
        </p>
        <div
          v-else
          class="min-h-0 px-3.5 pb-4 lg:flex-1 lg:overflow-y-auto"
          tabindex="0"
          :aria-label="say`Sizes`"
        >
          <div v-if="together" class="pt-1" :class="isWorking ? 'opacity-60' : ''">
            <TotalsTable
              :together="together"
              :view="view"
              :has-hours="states.some(({ hoursPerYear }) => hoursPerYear)"
            />
          </div>
          <ul v-if="together?.inTheWay" class="mt-2 list-disc pl-5" :aria-label="say`What prevents it`">
            <li v-for="(line, i) in inTheWaySays(together, view)" :key="i" class="font-bold">
              {{ tell(line) }}
            </li>
          </ul>
          <div v-if="least" class="mt-1.5">
            <p class="text-[13.5px]">
              <template v-if="!together?.inTheWay">{{ tell(least.because) }}{{ ' ' }}</template>
              <WorkButton v-model="isWorkOpen" />
            </p>
            <ShowWork v-if="isWorkOpen" :finding="least" class="box mt-1" />
          </div>
          <div v-if="light" class="mt-1.5">
            <p class="flex flex-wrap items-baseline gap-x-2 text-[13.5px]">
              <StateMark :state="light.state" :close="light.close === true" />
              <span>{{ tell(light.because) }}{{ light.remedy ? ` ${tell(light.remedy)}` : '' }}</span>
              <WorkButton v-model="isWeightOpen" />
            </p>
            <ShowWork v-if="isWeightOpen" :finding="light" class="box mt-1" />
          </div>
          <SizingFields
            class="mt-3 border-t border-hairline pt-3"
            :sizing="sizing"
            :states="states"
            @change="set"
            @fewest="setMost"
            @lightest="setWeight"
            @hours="setHours"
          />
          <div v-if="together" class="mt-3 overflow-x-auto">
            <table class="w-full border-collapse">
              <caption class="sr-only">
                {{ say`Sizes of all cables` }}
              </caption>
              <thead>
                <tr class="border-b border-line text-left text-[12.5px] text-ink2">
                  <th class="py-1 pr-2 font-normal">{{ say`Cable` }}</th>
                  <th class="px-2 font-normal">{{ say`has` }}</th>
                  <th class="px-2 font-normal">{{ say`by itself` }}</th>
                  <th class="px-2 font-normal">{{ say`together` }}</th>
                  <th class="px-2 font-normal">{{ say`decided` }}</th>
                  <th class="sr-only">{{ say`Take` }}</th>
                </tr>
              </thead>
              <tbody>
                <tr
                  v-for="row in rows"
                  :key="row.cableId"
                  class="h-10 border-b border-hairline"
                  :class="isOther(row) ? '' : 'text-ink2'"
                >
                  <th class="figure py-1 pr-2 text-left text-[16px] font-semibold whitespace-nowrap">
                    <RouterLink
                      :to="placeOf(jobId, row.cableId, 'gauge')"
                      class="text-teal hover:underline"
                      >{{ tagOf(row.cableId) }}</RouterLink
                    >
                  </th>
                  <td class="figure px-2 text-[16px] whitespace-nowrap">
                    {{ sizeText(row.now) }}
                    <span v-if="!row.isChosen" class="note">{{ say`proposed` }}</span>
                  </td>
                  <td class="figure px-2 text-[16px] whitespace-nowrap">
                    {{ row.alone ? sizeText(row.alone) : '–' }}
                  </td>
                  <td
                    class="figure px-2 text-[17px] whitespace-nowrap"
                    :class="isOther(row) ? 'font-semibold text-ink' : ''"
                  >
                    {{ row.together ? sizeText(row.together) : '–' }}
                  </td>
                  <td class="px-2 text-[13px] leading-4">{{ tell(row.because) }}</td>
                  <td class="pl-2 text-right">
                    <button
                      v-if="isUntaken(row)"
                      type="button"
                      class="button small"
                      :disabled="state !== 'done'"
                      @click="take([row], [], say`size of ${tagOf(row.cableId)}`)"
                    >
                      {{ say`Take` }}<span class="sr-only"> {{ tagOf(row.cableId) }}</span>
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-if="together.unlike.length > 0" class="note mt-1">
              {{
                say`No size in common with what carries the same current: ${together.unlike.map(tagOf).join(', ')}.`
              }}
            </p>
          </div>
          <section v-if="fuses.length > 0" class="mt-3" :aria-label="say`Fuses proposed`">
            <h2 class="figure text-[17px] font-semibold">{{ say`Fuses proposed` }}</h2>
            <p class="note">
              {{
                say`The smallest that carries every state. Take them together with the sizes they were chosen for.`
              }}
            </p>
            <ul>
              <li
                v-for="fuse in fuses"
                :key="tell(guardSays(view, fuse.guard))"
                class="figure flex gap-3 border-b border-hairline py-1 text-[16px]"
              >
                <span class="min-w-0 grow">{{ tell(guardSays(view, fuse.guard)) }}</span>
                <span class="text-ink2">{{ digits(fuse.nowA, 0) }}&thinsp;A</span>
                <b>{{ digits(fuse.ratingA, 0) }}&thinsp;A</b>
              </li>
            </ul>
          </section>
          <TradeChart
            v-if="together && together.together && points.length > 0"
            class="mt-4"
            :together="together"
            :points="points"
            :working="isWorking"
            @take="set({ dropPercent: $event })"
          />
        </div>
      </div>
      <Ledger
        class="border-line max-lg:border-t lg:overflow-y-auto lg:border-l"
        :findings="others"
        :title="say`With these sizes`"
        :opened="opened"
        @open="opened = $event"
      />
    </main>
  </BenchFrame>
</template>
