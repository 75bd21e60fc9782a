<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { cablesSay } from '../../core/words/counts.ts';
import { Check } from '@lucide/vue';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { kitOf, kitQuantity } from '../../core/cutting/kit.ts';
import { batchOf, type BatchPhase, dieChanges, oneByOne } from '../../core/traveller/batch.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { type Made, useMade } from '../kit/made.ts';
import { useBench } from '../stores/bench.ts';
import FillingMark from '../ui/FillingMark.vue';
import { useGrowing } from '../ui/useGrowing.ts';
import CheckField from '../ui/CheckField.vue';
import { inReadersUnit } from '../ui/display.ts';
import { say } from '../../core/words/say.ts';

/** Several cables at once: one thing to all of them, then the next, the die changed as seldom as can be. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const { made, worked, all } = useMade(() => ({ jobs: job.value ? [job.value] : [], shop: bench.shop }));
const makeable = computed(() => made.value.filter(({ work }) => work.steps.length > 0));
const isOpen = ({ cable, work }: Made) =>
  work.steps.some(({ id }) => !cable.done.some(({ step }) => step === id));
/** Those that are not made yet, until a person says otherwise. */
const left = ref<readonly string[] | null>(null);
const chosen = computed(() =>
  makeable.value.filter((own) => (left.value ? left.value.includes(own.cable.id) : isOpen(own))),
);
function choose(id: string, on: boolean): void {
  const now = chosen.value.map(({ cable }) => cable.id);
  left.value = on ? [...now, id] : now.filter((other) => other !== id);
}
const phases = computed(() => batchOf(chosen.value));
const changes = computed(() => dieChanges(phases.value.map(({ dieId }) => dieId)));
const apart = computed(() => dieChanges(oneByOne(chosen.value)));
const times = (n: number) =>
  n === 0 ? say`the die is never changed` : say`${n} change of die¦${n} changes of die`;

/** One row a cable: its steps of this phase, what they say, and who did them. */
interface Row {
  readonly key: string;
  readonly tag: string;
  readonly jacket: string;
  readonly cableId: string;
  readonly words: string;
  readonly figure: string;
  readonly openStep: string | null;
  readonly done: string;
}
function rowsOf({ items }: BatchPhase): Row[] {
  return [...new Set(items.map(({ of }) => of.key))].map((key): Row => {
    const ofCable = items.filter(({ of }) => of.key === key);
    const cable = ofCable[0]?.of.cable;
    const open = ofCable.find(({ step }) => !cable?.done.some((done) => done.step === step.id));
    const by = [
      ...new Set(ofCable.flatMap(({ step }) => cable?.done.find((done) => done.step === step.id)?.by || [])),
    ];
    const [first] = ofCable;
    const figure = ofCable.length === 1 ? first?.step.figure : undefined;
    const said = figure && inReadersUnit(figure.value, figure.unit, figure.decimals);
    return {
      key,
      tag: cable?.tag ?? '',
      jacket: cable?.jacket ?? 'red',
      cableId: cable?.id ?? '',
      words:
        ofCable.length > 1 ? ofCable.map(({ step }) => tell(step.short)).join(', ') : tell(figure?.means),
      figure: said ? `${said.value}${said.unit ? ` ${said.unit}` : ''}` : '',
      openStep: open?.step.id ?? null,
      done: by.join(', '),
    };
  });
}
const shown = computed(() => phases.value.map((phase) => ({ ...phase, rows: rowsOf(phase) })));
const rowCount = computed(() => shown.value.reduce((sum, { rows }) => sum + rows.length, 0));
const { drawn: rowsDrawn } = useGrowing(() => rowCount.value, 60);
/** As much of the order of work as is drawn so far: a phase whole, or its first rows. */
const drawn = computed(() => {
  let left = rowsDrawn.value;
  return shown.value.flatMap((phase) => {
    if (left <= 0) return [];
    const rows = phase.rows.slice(0, left);
    left -= rows.length;
    return [{ ...phase, rows }];
  });
});
const begin = computed(() =>
  shown.value.flatMap(({ rows }) => rows).find(({ openStep }) => openStep !== null),
);
const batch = computed(() => chosen.value.map(({ cable }) => cable.id).join(','));
const tray = computed(() => kitOf(chosen.value, bench.shop).lines.filter(({ need }) => need > 0));
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="job" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_300px]">
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line px-3.5 py-2.5">
          <div class="min-w-0 flex-1 basis-64">
            <h1 class="figure text-[20px] leading-6 font-semibold">
              {{ say`${cablesSay(chosen.length)} at once` }}
            </h1>
            <FillingMark :done="worked" :all="all" />
            <p class="note">{{ say`${times(changes)}; one after the other it would be ${apart}.` }}</p>
          </div>
          <RouterLink
            v-if="begin"
            :to="{
              name: 'at-bench',
              params: { jobId, cableId: begin.cableId },
              query: { step: begin.openStep, batch },
            }"
            class="button filled min-h-14 px-6 text-[17px]"
            >{{ say`To the bench, ${begin.tag}` }}</RouterLink
          >
          <div
            class="flex w-full flex-wrap gap-x-5 gap-y-2 pl-2"
            role="group"
            :aria-label="say`Cables of this batch`"
          >
            <CheckField
              v-for="own in makeable"
              :key="own.key"
              :label="own.cable.tag"
              :model-value="chosen.includes(own)"
              @update:model-value="(on) => choose(own.cable.id, on)"
            />
          </div>
        </header>
        <ol class="bg-paper lg:min-h-0 lg:flex-1 lg:overflow-y-auto" :aria-label="say`Order of work`">
          <li v-for="(phase, i) in drawn" :key="i" class="border-b border-hairline px-3.5 py-2">
            <h2 class="figure flex items-baseline gap-3 text-[19px] font-semibold">
              {{ i + 1 }} {{ tell(phase.title) }}
              <span v-if="phase.tool" class="text-[15px] font-normal text-ink2">{{ tell(phase.tool) }}</span>
            </h2>
            <ul class="mt-1 grid grid-cols-[minmax(0,1fr)] gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
              <li v-for="row in phase.rows" :key="row.key">
                <RouterLink
                  :to="{
                    name: 'at-bench',
                    params: { jobId, cableId: row.cableId },
                    query: { step: row.openStep ?? undefined, batch },
                  }"
                  class="flex min-h-12 flex-wrap items-center gap-x-2 border border-hairline bg-lamp px-2 hover:bg-teal-tint"
                  :style="{ borderLeft: `5px solid var(--${row.jacket})` }"
                >
                  <span
                    class="flex size-5 shrink-0 items-center justify-center rounded-[3px] border border-teal"
                    :class="row.openStep === null ? 'bg-teal text-on-teal' : 'bg-paper'"
                    ><Check v-if="row.openStep === null" :size="14" :stroke-width="3" :aria-label="say`done`"
                  /></span>
                  <b class="figure text-[17px] font-semibold whitespace-nowrap">{{ row.tag }}</b>
                  <span class="min-w-0 flex-1 truncate text-[12.5px] text-ink2">{{
                    row.done ? say`by ${row.done}` : row.words
                  }}</span>
                  <span class="figure text-[20px] font-semibold whitespace-nowrap">{{ row.figure }}</span>
                </RouterLink>
              </li>
            </ul>
          </li>
        </ol>
        <p v-if="chosen.length === 0" class="p-4 text-[15px]">
          {{ say`No cable waits to be made. A cable appears here once both of its ends are decided.` }}
        </p>
      </div>
      <section
        :aria-label="say`Kit tray`"
        class="border-line bg-paper px-3.5 py-2.5 max-lg:border-t lg:overflow-y-auto lg:border-l"
        tabindex="0"
      >
        <h2 class="figure text-[18px] font-semibold">{{ say`Kit tray` }}</h2>
        <p class="note mb-1">{{ say`Lay out before the first cut what still goes into these cables.` }}</p>
        <ul>
          <li
            v-for="line in tray"
            :key="line.key"
            class="flex items-baseline gap-2 border-t border-hairline py-1"
          >
            <span class="flex-1">{{ tell(line.what) }}</span>
            <b class="figure text-[17px] font-semibold whitespace-nowrap">{{
              kitQuantity(line.need, line.unit)
            }}</b>
          </li>
        </ul>
      </section>
    </main>
  </BenchFrame>
</template>
