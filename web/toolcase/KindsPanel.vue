<script setup lang="ts">
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import { called } from '../../core/model/catalogue/called.ts';
import { readKindsCsv, writeKindsCsv } from '../../core/model/catalogue/kindsCsv.ts';
import type { CableKind } from '../../core/model/shop.ts';
import { sizeLabel } from '../../core/model/tables/size.ts';
import { figure } from '../../core/model/units/figure.ts';
import { say } from '../../core/words/say.ts';
import { word } from '../../core/words/terms.ts';
import { useBench } from '../stores/bench.ts';
import AddButton from '../ui/AddButton.vue';
import CsvBox from './CsvBox.vue';
import KindForm from './KindForm.vue';

/** Every kind of cable that the shop buys: its construction, and its sizes with what their data sheet says. */
const bench = useBench();
const openId = ref<string | null>(null);
const open = computed(() => bench.shop.cableKinds.find(({ id }) => id === openId.value));

function add(): void {
  const id = nanoid(8);
  const kind: CableKind = {
    id,
    title: say`Cable by its data sheet`,
    tinned: true,
    strands: 'fine',
    insulation: 'pvc',
    limitC: 70,
    ratedV: 60,
    stands: { oil: false, sun: false, flame: false },
    bend: 6,
    sizes: [{ size: { system: 'metric', name: '50' }, outerMm: 14, pricePerM: 0 }],
  };
  bench.edit(say`new kind of cable`, (draft) => void draft.shop.cableKinds.push(kind));
  openId.value = id;
}
/** "10 mm² to 120 mm², 9 sizes" */
function sizesSay({ sizes }: CableKind): string {
  const [first, last] = [sizes[0], sizes.at(-1)];
  if (!first || !last || first === last) return first ? sizeLabel(first.size) : '';
  return say`${sizes.length}, ${sizeLabel(first.size)} to ${sizeLabel(last.size)}`;
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-start justify-between gap-2">
      <CsvBox
        :what="say`kinds of cable`"
        file-name="cable-kinds.csv"
        :write="() => writeKindsCsv(bench.shop.cableKinds)"
        :read="(contents) => readKindsCsv(contents, bench.shop.cableKinds)"
        :take="
          (items) =>
            bench.edit(say`import kinds of cable`, (draft) => void (draft.shop.cableKinds = [...items]))
        "
      />
      <AddButton list="cableKinds" :count="bench.shop.cableKinds.length" filled @add="add">
        {{ say`Add a kind of cable` }}
      </AddButton>
    </div>
    <KindForm v-if="open" :key="open.id" :kind="open" @done="openId = null" />
    <div class="overflow-x-auto">
      <table class="w-full" :aria-label="say`Kinds of cable`">
        <thead>
          <tr class="note text-left">
            <th class="font-normal">{{ say`Kind` }}</th>
            <th class="font-normal">{{ say`Conductor` }}</th>
            <th class="font-normal">{{ say`Insulation` }}</th>
            <th class="font-normal">{{ say`Heat` }}</th>
            <th class="font-normal">{{ say`Rated` }}</th>
            <th class="font-normal">{{ say`Bend` }}</th>
            <th class="font-normal">{{ say`Sizes` }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="kind in bench.shop.cableKinds"
            :key="kind.id"
            class="figure border-t border-hairline text-[15px]"
            :class="kind.id === openId ? 'bg-teal-tint' : ''"
          >
            <td>
              <button
                type="button"
                class="compact text-left font-semibold text-teal underline"
                @click="openId = kind.id"
              >
                {{ called(kind.title) }}
              </button>
            </td>
            <td>{{ kind.tinned ? say`tinned` : say`plain` }}, {{ word(kind.strands) }}</td>
            <td>{{ word(kind.insulation) }}</td>
            <td>{{ figure(kind.limitC, '°C', 0) }}</td>
            <td>{{ figure(kind.ratedV, 'V', 0) }}</td>
            <td>{{ kind.bend }} × D</td>
            <td>{{ sizesSay(kind) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
