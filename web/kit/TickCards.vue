<script setup lang="ts">
import { computed } from 'vue';
import { restMm, type StockLength } from '../../core/cutting/cutPlan.ts';
import { isCut, spoolsAfterCut } from '../../core/cutting/pieces.ts';
import { digits } from '../../core/units/figure.ts';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { inReadersUnit } from '../ui/display.ts';
import TextField from '../ui/TextField.vue';
import type { Made } from './made.ts';
import type { GroupPlan } from './useCutPlan.ts';

/** Each piece to tick as it is cut: the cable knows it, and the spool is so much shorter. */
const { plans, made, cut } = defineProps<{
  plans: readonly GroupPlan[];
  made: readonly Made[];
  cut: number;
}>();

const bench = useBench();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const say = (mm: number) => inReadersUnit(mm, 'mm', 0, prefs.lengths).value;

interface Card {
  readonly cableId: string;
  readonly jobId: string;
  readonly tag: string;
  readonly mm: number;
  readonly colour: string;
  readonly from: string;
  readonly stock: StockLength | null;
  readonly done: boolean;
}
/** Open ones first, spool by spool, as they are cut; then those that are done. */
const cards = computed((): Card[] => {
  const madeOf = (id: string) => made.find(({ cable }) => cable.id === id);
  const card = (id: string, mm: number, from: string, stock: StockLength | null): Card[] => {
    const own = madeOf(id);
    if (!own) return [];
    return [
      {
        cableId: id,
        jobId: own.job.id,
        tag: own.cable.tag,
        mm,
        colour: own.cable.jacket,
        from,
        stock,
        done: false,
      },
    ];
  };
  const open = plans.flatMap(({ group, plan }) => [
    ...plan.spools.flatMap(({ stock, pieces }) =>
      pieces.flatMap(({ id, lengthMm }) =>
        card(id, lengthMm, group.spools.find((own) => own.id === stock.id)?.label ?? stock.id, stock),
      ),
    ),
    ...plan.unplaced.flatMap(({ id, lengthMm }) => card(id, lengthMm, 'waits for cable', null)),
  ]);
  const done = made
    .filter(({ cable }) => isCut(cable))
    .map(({ job, cable, work }): Card => ({
      cableId: cable.id,
      jobId: job.id,
      tag: cable.tag,
      mm: Math.ceil(work.lengths?.cutMm ?? 0),
      colour: cable.jacket,
      from: 'cut',
      stock: null,
      done: true,
    }));
  return [...open.filter(({ stock }) => stock), ...open.filter(({ stock }) => !stock), ...done];
});
const summary = computed(() => {
  const finished = made.reduce((sum, { work }) => sum + (work.lengths?.finishedMm ?? 0), 0);
  const mass = made.reduce((sum, { work }) => sum + work.choice.taken.at.massKg, 0);
  return `${cut} of ${made.length} cut. ${digits(finished / 1000, 2)} m finished, ${digits(mass, 1)} kg.`;
});

function tick(card: Card): void {
  if (card.done || !card.stock || nameNeeded()) return;
  const { stock, mm } = card;
  const { cutting } = bench.shop.practice;
  const left = restMm(stock, [{ id: card.cableId, label: card.tag, lengthMm: mm }], cutting);
  bench.edit(`cut ${card.tag}`, (draft) => {
    const cable = draft.jobs
      .find(({ id }) => id === card.jobId)
      ?.cables.find(({ id }) => id === card.cableId);
    if (!cable) return;
    cable.done.push({ step: 'cut', at: new Date().toISOString(), by: prefs.person });
    draft.shop.spools = spoolsAfterCut(draft.shop.spools, stock.id, left, cutting.scrapMm);
  });
}
</script>

<template>
  <section aria-label="Tick off as you cut" class="bg-chalk px-3.5 py-2.5">
    <header class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="figure text-[16px] font-semibold">Tick off as you cut</h2>
      <p class="note ml-auto">{{ summary }}</p>
      <div class="cutter w-60">
        <TextField
          label="Who is cutting"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
      </div>
    </header>
    <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">Say who is cutting first.</p>
    <ul class="grid max-h-[176px] grid-cols-2 gap-2 overflow-y-auto sm:grid-cols-5">
      <li v-for="(card, i) in cards" :key="card.cableId + i">
        <button
          type="button"
          class="flex h-[72px] w-full flex-col justify-center border border-hairline bg-paper pr-2 pl-3 text-left"
          :class="[
            card.done ? '' : card.stock ? 'hover:bg-teal-tint' : 'border-dashed',
            i === 0 && card.stock ? 'border-2 border-teal bg-teal-tint' : '',
          ]"
          :style="{ borderLeft: `5px solid var(--${card.colour})` }"
          :aria-pressed="card.done"
          :disabled="card.done || !card.stock"
          @click="tick(card)"
        >
          <span class="flex items-center gap-2">
            <span
              class="flex size-5 shrink-0 items-center justify-center rounded-[3px] border border-teal text-[14px]"
              :class="card.done ? 'bg-teal text-on-teal' : card.stock ? 'bg-paper' : 'border-dashed'"
              aria-hidden="true"
              >{{ card.done ? '✓' : '' }}</span
            >
            <span class="min-w-0">
              <span class="figure block truncate text-[15px] leading-4 font-semibold">{{ card.tag }}</span>
              <span class="note block truncate text-[12px] leading-[14px]">{{ card.from }}</span>
            </span>
          </span>
          <span class="figure text-[24px] leading-7 font-semibold" :class="card.done ? 'text-ink2' : ''">{{
            say(card.mm)
          }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style>
/* One line in the head: its label is beside it in words already. */
.cutter p {
  display: none;
}
.cutter .field-input {
  height: 32px;
}
.cutter > div {
  display: flex;
  align-items: center;
  gap: 6px;
}
.cutter label {
  margin: 0;
  flex-shrink: 0;
}
</style>
