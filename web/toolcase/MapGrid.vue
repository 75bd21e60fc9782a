<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { lugCalled } from '../../core/paper/lidSheet.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';
import type { DieMap, MapCell, MapRow } from '../../core/termination/dies/dieMap.ts';
import { digits } from '../../core/words/numerals.ts';
import LidBox from './LidBox.vue';
import type { Chosen } from './chosen.ts';
import { say } from '../../core/words/say.ts';
import { tell, amount } from '../../core/words/message.ts';
import { called } from '../../core/model/catalogue/called.ts';
import { readersUnit } from '../ui/display.ts';

/** What one would write inside the lid: every lug against every die, with c where they nearly fit. */
const { map: whole, chosen } = defineProps<{ map: DieMap; chosen: Chosen | null }>();
const emit = defineEmits<{ choose: [chosen: Chosen] }>();

const isLidOpen = ref(false);
const scroller = useTemplateRef<HTMLElement>('scroller');
const ROW = 34;
const HEAD = 62;
const CELL = 42;
const LUG = 138;

/** Narrowed down to the lugs and the dies that are looked for. */
const lugAsked = ref('');
const dieAsked = ref('');
const has = (text: string, asked: string) =>
  asked
    .toLowerCase()
    .split(/\s+/)
    .every((part) => text.toLowerCase().includes(part));
const map = computed(() => ({
  ...whole,
  rows: whole.rows.filter(({ lug, lugs }) =>
    has(
      `${tell(sizeNamed(lug.forSize))} ${lug.label} ${lugs.map(({ stud }) => stud).join(' ')}`,
      lugAsked.value,
    ),
  ),
}));

/** The closest die to the left, so that what fits runs down from the upper left; indents stand last. */
const order = computed(() =>
  whole.columns
    .map((column, i) => ({ column, i }))
    .filter(({ column: { die, tool } }) => has(`${die.stamp} ${called(tool.title)}`, dieAsked.value))
    .sort(
      (a, b) =>
        Number(a.column.kind.leaves === 'indent') - Number(b.column.kind.leaves === 'indent') ||
        a.column.learned.flatsMm - b.column.learned.flatsMm,
    ),
);
const virtual = useVirtualizer(
  computed(() => ({
    count: map.value.rows.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW,
    overscan: 12,
  })),
);
const shown = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const row = map.value.rows[index];
    return row ? [{ row, start, index }] : [];
  }),
);
const width = computed(() => LUG + order.value.length * CELL);

const holes = ({ lugs, lug }: MapRow) =>
  lug.form === 'butt' ? 'in-line' : lugs.map(({ stud }) => stud.replace(/^M/, '')).join(' ');
const looks = (cell: MapCell): string => {
  if (cell.verdict === 'right') return cell.sure ? 'right' : 'right unsure';
  return cell.verdict;
};
/** Far from fitting is left blank: the eye finds the staircase of what fits. */
const NEAR = { least: 0.8, most: 1.4 } as const;
function figureOf(cell: MapCell, isIndent: boolean): string {
  if (cell.verdict === 'untried') return '?';
  if (isIndent) return say`tried`;
  return cell.c >= NEAR.least && cell.c <= NEAR.most ? digits(cell.c, 2) : '';
}
const isChosen = (row: MapRow, i: number) =>
  chosen?.rowKey === row.key && whole.columns[i]?.die.id === chosen.dieId;

/** Brings the row in hand into view. */
function reveal(): void {
  const at = map.value.rows.findIndex(({ key }) => key === chosen?.rowKey);
  if (at < 0) return;
  virtual.value.scrollToIndex(at, { align: 'center' });
  const column = order.value.findIndex(({ column: own }) => own.die.id === chosen?.dieId);
  const box = scroller.value;
  if (box && column >= 0) box.scrollLeft = (column + 1.5) * CELL + LUG - (box.clientWidth + LUG) / 2;
}
onMounted(() => void nextTick(() => requestAnimationFrame(reveal)));
watch(
  () => chosen?.rowKey,
  (now, before) => before === undefined && now !== undefined && reveal(),
);

function move(event: KeyboardEvent): void {
  const rowIndex = map.value.rows.findIndex(({ key }) => key === chosen?.rowKey);
  const column = order.value.findIndex(({ column: own }) => own.die.id === chosen?.dieId);
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const step = steps[event.key];
  if (!step) return;
  event.preventDefault();
  const row = map.value.rows[Math.min(Math.max(rowIndex + step[0], 0), map.value.rows.length - 1)];
  const next = order.value[Math.min(Math.max(column + step[1], 0), order.value.length - 1)];
  if (!row) return;
  virtual.value.scrollToIndex(map.value.rows.indexOf(row));
  emit('choose', { rowKey: row.key, dieId: next?.column.die.id ?? null });
}
</script>

<template>
  <div class="flex flex-col">
    <div class="flex shrink-0 gap-2 border-b border-hairline bg-chalk px-3.5 py-1.5">
      <input
        v-model="lugAsked"
        type="search"
        class="field-input !h-9 !text-[15px] pointer-coarse:!h-11"
        :aria-label="say`Filter lugs`"
        :placeholder="say`Lugs: 70, M10, light …`"
      />
      <input
        v-model="dieAsked"
        type="search"
        class="field-input !h-9 !text-[15px] pointer-coarse:!h-11"
        :aria-label="say`Filter dies`"
        :placeholder="say`Dies: F, bench …`"
      />
      <button type="button" class="button compact shrink-0 whitespace-nowrap" @click="isLidOpen = true">
        {{ say`Sheet for the lid` }}
      </button>
      <LidBox :map="whole" :open="isLidOpen" @close="isLidOpen = false" />
    </div>
    <div
      ref="scroller"
      class="map relative min-h-0 flex-1 overflow-auto max-lg:h-[56vh] max-lg:flex-none"
      role="grid"
      :aria-label="say`Lugs against dies`"
      :aria-rowcount="map.rows.length + 1"
      :aria-colcount="order.length + 1"
      tabindex="0"
      @keydown="move"
    >
      <div :style="{ width: `${width}px`, height: `${virtual.getTotalSize() + HEAD}px` }" class="relative">
        <div
          role="row"
          class="sticky top-0 z-20 flex border-b border-line bg-chalk"
          :style="{ height: `${HEAD}px`, width: `${width}px` }"
        >
          <span
            role="columnheader"
            class="note sticky left-0 z-10 flex shrink-0 flex-col justify-end bg-chalk px-2 pb-1 leading-4"
            :style="{ width: `${LUG}px` }"
            >{{ say`stamp` }}<br />{{ say`across flats, ${readersUnit('mm')}` }}</span
          >
          <span
            v-for="{ column } in order"
            :key="column.die.id"
            role="columnheader"
            class="figure flex shrink-0 flex-col items-center justify-end pb-1 text-[14px] leading-[17px]"
            :style="{ width: `${CELL}px` }"
            :title="say`${column.tool.title}, ${amount(column.die.widthMm, 'mm', 0)} wide`"
          >
            <svg viewBox="0 0 40 30" class="h-7" aria-hidden="true">
              <path
                v-if="column.kind.leaves === 'hexagon'"
                d="M3 15L11.500 1.500H28.500L37 15L28.500 28.500H11.500Z"
                fill="var(--paper)"
                stroke="var(--ink2)"
                stroke-width="1.2"
              />
              <path
                v-else
                d="M4 15A16 13.500 0 0 1 14 2.500L17 9H23L26 2.500A16 13.500 0 1 1 4 15Z"
                fill="var(--paper)"
                stroke="var(--ink2)"
                stroke-width="1.2"
              />
              <text
                x="20"
                y="20"
                text-anchor="middle"
                font-size="14"
                :font-weight="column.die.stamp ? 600 : 400"
                fill="var(--ink)"
              >
                {{ column.die.stamp || say`none` }}
              </text>
            </svg>
            <span>{{ digits(column.learned.flatsMm, 1) }}</span>
          </span>
        </div>
        <div
          v-for="{ row, start, index } in shown"
          :key="row.key"
          role="row"
          :aria-rowindex="index + 2"
          class="absolute left-0 flex border-b border-hairline"
          :class="chosen?.rowKey === row.key ? 'bg-teal-tint' : 'bg-paper'"
          :style="{ top: `${start + HEAD}px`, height: `${ROW}px`, width: `${width}px` }"
        >
          <button
            type="button"
            role="rowheader"
            tabindex="-1"
            class="sticky left-0 z-10 flex shrink-0 flex-col justify-center border-r border-hairline px-2 text-left"
            :class="chosen?.rowKey === row.key ? 'bg-teal-tint' : 'bg-paper hover:bg-teal-tint'"
            :style="{ width: `${LUG}px` }"
            :aria-label="`${lugCalled(row)}, ${tell(sizeNamed(row.lug.forSize))}`"
            @click="
              emit('choose', {
                rowKey: row.key,
                dieId: row.best === null ? null : (whole.columns[row.best]?.die.id ?? null),
              })
            "
          >
            <span class="figure truncate text-[15px] leading-4 font-semibold">{{ lugCalled(row) }}</span>
            <span class="truncate text-[12px] leading-[14px] text-ink2">{{ holes(row) }}</span>
          </button>
          <button
            v-for="{ column, i } in order"
            :key="column.die.id"
            type="button"
            role="gridcell"
            tabindex="-1"
            class="cell figure"
            :class="[
              looks(row.cells[i] as MapCell),
              row.best === i ? 'best' : '',
              isChosen(row, i) ? 'chosen' : '',
            ]"
            :style="{ width: `${CELL}px` }"
            :aria-label="
              say`${lugCalled(row)}, die ${column.die.stamp || say`unmarked`}: ${word((row.cells[i] as MapCell).verdict)}${row.best === i ? say`, use this` : ''}`
            "
            @click="emit('choose', { rowKey: row.key, dieId: column.die.id })"
          >
            {{ figureOf(row.cells[i] as MapCell, column.kind.leaves === 'indent') }}
          </button>
        </div>
      </div>
    </div>
    <p
      class="legend figure flex shrink-0 flex-wrap items-center gap-x-4 border-t border-hairline bg-chalk px-3.5 py-1.5 text-[14px]"
    >
      <span><i class="cell best right">1.06</i> {{ say`use this one` }}</span>
      <span><i class="cell right">1.02</i> {{ say`right` }}</span>
      <span><i class="cell right unsure">1.10</i> {{ say`probably right: make a test crimp` }}</span>
      <span><i class="cell light">0.92</i> {{ say`light or tight` }}</span>
      <span><i class="cell open">0.81</i> {{ say`too loose, or does not close; blank: nowhere near` }}</span>
      <span><i class="cell untried">?</i> {{ say`by trial only` }}</span>
    </p>
  </div>
</template>

<style>
.map .cell,
.legend .cell {
  flex-shrink: 0;
  font-style: normal;
  font-size: 14px;
  border-left: 1px solid transparent;
  color: var(--ink3);
}
.map .cell.right,
.legend .cell.right {
  background: var(--copper);
  color: var(--on-copper);
  font-weight: 500;
}
.map .cell.right.unsure,
.legend .cell.right.unsure {
  background: var(--copper-tint);
  color: var(--ink);
  outline: 1.2px dashed var(--copper-line);
  outline-offset: -3px;
}
.map .cell.light,
.map .cell.tight,
.legend .cell.light {
  color: var(--ink);
  background: repeating-linear-gradient(135deg, var(--copper-tint) 0 2px, transparent 2px 6px);
}
.map .cell.untried,
.legend .cell.untried {
  color: var(--ink2);
}
.map .cell.best,
.legend .cell.best {
  font-weight: 600;
  box-shadow: inset 0 0 0 2.5px var(--teal);
}
.map .cell.chosen {
  box-shadow: inset 0 0 0 3px var(--ink);
}
.map .cell.best.chosen {
  box-shadow:
    inset 0 0 0 2.5px var(--teal),
    inset 0 0 0 4.5px var(--paper);
}
.map .cell:hover {
  background-color: var(--teal-tint);
}
.legend .cell {
  display: inline-block;
  width: 38px;
  padding: 1px 0;
  text-align: center;
}
</style>
