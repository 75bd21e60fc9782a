<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/cutting/cutPlan.ts';
import { isCut, pieceIds } from '../../core/cutting/pieces.ts';
import { offSpool } from '../../core/cutting/shelf.ts';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { readersDigits } from '../ui/display.ts';
import TextField from '../ui/TextField.vue';
import type { Made } from './made.ts';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';
import { amount } from '../../core/words/message.ts';

/** Each piece to tick as it is cut: the cable knows it, and the spool is so much shorter. */
const { plans, made, cut } = defineProps<{
  plans: readonly GroupPlan[];
  made: readonly Made[];
  cut: number;
}>();

const bench = useBench();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const sized = (mm: number) => readersDigits(mm, 'mm', 0);

interface Card {
  readonly toCut: Made;
  readonly tag: string;
  readonly mm: number;
  readonly from: string;
  /** The spool each of its pieces is cut from; null where one has none. */
  readonly cuts: readonly { readonly spoolId: string; readonly piece: Piece }[] | null;
  readonly done: boolean;
}
/** Where each piece is cut from, in the order of cutting. */
const placed = computed(
  () =>
    new Map(
      plans.flatMap(({ group, plan }) =>
        plan.spools.flatMap(({ stock, pieces }) =>
          pieces.map((piece) => {
            const label = group.spools.find(({ id }) => id === stock.id)?.label ?? stock.id;
            return [piece.id, { spoolId: stock.id, label, piece }] as const;
          }),
        ),
      ),
    ),
);
function cardOf(toCut: Made): Card {
  const ids = pieceIds(toCut);
  const cuts = ids.flatMap((id) => placed.value.get(id) ?? []);
  const done = isCut(toCut.cable);
  const isReady = !done && cuts.length === ids.length;
  return {
    toCut,
    tag: ids.length > 1 ? `${toCut.cable.tag} ×${ids.length}` : toCut.cable.tag,
    mm: Math.ceil(toCut.work.lengths?.cutMm ?? 0),
    from: done
      ? say`cut`
      : isReady
        ? [...new Set(cuts.map(({ label }) => label))].join(', ')
        : say`waits for cable`,
    cuts: isReady ? cuts : null,
    done,
  };
}
/** Open ones first, spool by spool, as they are cut; then those that wait, then those that are done. */
const cards = computed((): Card[] => {
  const order = [...placed.value.keys()];
  return made
    .filter(({ work }) => work.lengths)
    .map(cardOf)
    .sort(
      (a, b) =>
        Number(a.done) - Number(b.done) ||
        Number(!a.cuts) - Number(!b.cuts) ||
        order.indexOf(a.toCut.key) - order.indexOf(b.toCut.key),
    );
});
const summary = computed(() => {
  const finished = made.reduce((sum, { work }) => sum + (work.lengths?.finishedMm ?? 0), 0);
  const mass = made.reduce((sum, { work }) => sum + work.choice.taken.at.massKg, 0);
  return say`${cut} of ${made.length} cut. ${amount(finished / 1000, 'm', 2)} finished, ${amount(mass, 'kg', 1)}.`;
});

function tick({ toCut, cuts }: Card): void {
  if (!cuts || nameNeeded()) return;
  const rules = bench.shop.practice.cutting;
  bench.edit(say`cut ${toCut.cable.tag}`, (draft) => {
    const cable = draft.jobs
      .find(({ id }) => id === toCut.job.id)
      ?.cables.find(({ id }) => id === toCut.cable.id);
    if (!cable) return;
    const ids = cuts.map(({ piece }) => piece.id);
    const took = cuts.map(({ spoolId, piece }) => {
      const later = [...placed.value].some(([id, cut]) => cut.spoolId === spoolId && !ids.includes(id));
      const off = offSpool(draft.shop.spools, spoolId, [piece], rules, later);
      draft.shop.spools = off.spools;
      return off.took;
    });
    cable.done.push({ step: 'cut', at: new Date().toISOString(), by: prefs.person, took });
  });
}
</script>

<template>
  <section :aria-label="say`Cutting list`" class="bg-chalk px-3.5 py-2.5">
    <header class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="figure text-[16px] font-semibold">{{ say`Cutting list` }}</h2>
      <p class="note ml-auto">{{ summary }}</p>
      <div class="cutter w-60">
        <TextField
          :label="say`Who is cutting`"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
      </div>
    </header>
    <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">
      {{ say`Enter who is cutting first.` }}
    </p>
    <ul class="grid max-h-[176px] grid-cols-2 gap-2 overflow-y-auto sm:grid-cols-5">
      <li v-for="(card, i) in cards" :key="card.toCut.key">
        <button
          type="button"
          class="flex h-[72px] w-full flex-col justify-center border border-hairline bg-paper pr-2 pl-3 text-left"
          :class="[
            card.done ? '' : card.cuts ? 'hover:bg-teal-tint' : 'border-dashed',
            i === 0 && card.cuts ? 'border-2 border-teal bg-teal-tint' : '',
          ]"
          :style="{ borderLeft: `5px solid var(--${card.toCut.cable.jacket})` }"
          :aria-pressed="card.done"
          :disabled="card.done || !card.cuts"
          @click="tick(card)"
        >
          <span class="flex items-center gap-2">
            <span
              class="flex size-5 shrink-0 items-center justify-center rounded-[3px] border border-teal text-[14px]"
              :class="card.done ? 'bg-teal text-on-teal' : card.cuts ? 'bg-paper' : 'border-dashed'"
              aria-hidden="true"
              >{{ card.done ? '✓' : '' }}</span
            >
            <span class="min-w-0">
              <span class="figure block truncate text-[15px] leading-4 font-semibold">{{ card.tag }}</span>
              <span class="note block truncate text-[12px] leading-[14px]">{{ card.from }}</span>
            </span>
          </span>
          <span class="figure text-[24px] leading-7 font-semibold" :class="card.done ? 'text-ink2' : ''">{{
            sized(card.mm)
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
