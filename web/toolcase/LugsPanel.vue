<script setup lang="ts">
import { familySays } from '../../core/model/catalogue/lugs.ts';
import { word } from '../../core/words/terms.ts';
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import { readLugsCsv, writeLugsCsv } from '../../core/model/catalogue/catalogueCsv.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';
import type { Lug } from '../../core/model/shop.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import CsvBox from './CsvBox.vue';
import LugForm from './LugForm.vue';
import AddButton from '../ui/AddButton.vue';
import { say } from '../../core/words/say.ts';
import { tell } from '../../core/words/message.ts';

/** Every lug owned, generic or measured here: found by a word, opened to be measured again. */
const bench = useBench();
const filter = ref('');
const openId = ref<string | null>(null);

const words = (lug: Lug) =>
  `${lug.label} ${familySays(lug.family)} ${lug.stud} ${tell(sizeNamed(lug.forSize))} ${lug.form}`.toLowerCase();
const SHOWN = 60;
const found = computed(() =>
  bench.shop.lugs.filter((lug) =>
    filter.value
      .toLowerCase()
      .split(/\s+/)
      .every((word) => words(lug).includes(word)),
  ),
);
const open = computed(() => bench.shop.lugs.find(({ id }) => id === openId.value));

function add(): void {
  const id = nanoid(8);
  const lug: Lug = {
    id,
    label: say`Measured lug`,
    family: say`measured here`,
    forSize: { system: 'metric', name: '50' },
    stud: 'M8',
    holeMm: 8.4,
    boreMm: 10,
    outerMm: 14.5,
    barrelMm: 28,
    palmWidthMm: 20.2,
    palmThicknessMm: 4.5,
    studToBarrelMm: 17.8,
    form: 'tube',
    metal: 'copper',
    plating: 'tin',
    sightHole: true,
    flared: false,
    offsetMm: 0,
    angleDeg: 0,
    drilledOut: false,
    measured: true,
    price: 0,
    stock: 1,
  };
  bench.edit(say`new lug`, (draft) => void draft.shop.lugs.unshift(lug));
  openId.value = id;
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-start justify-between gap-2">
      <CsvBox
        :what="say`lugs`"
        file-name="lugs.csv"
        :write="() => writeLugsCsv(bench.shop.lugs)"
        :read="(contents) => readLugsCsv(contents, bench.shop.lugs)"
        :take="(items) => bench.edit(say`import lugs`, (draft) => void (draft.shop.lugs = [...items]))"
      />
      <AddButton list="lugs" :count="bench.shop.lugs.length" filled @add="add">
        {{ say`Measure a lug` }}
      </AddButton>
    </div>
    <label class="mb-2 block max-w-md">
      <span class="label mb-1 block">{{ say`Find a lug` }}</span>
      <input v-model="filter" class="field-input" :placeholder="say`70 M10 heavy`" />
    </label>
    <LugForm v-if="open" :key="open.id" :lug="open" @done="openId = null" />
    <table class="w-full" :aria-label="say`Lugs`">
      <thead>
        <tr class="note text-left">
          <th class="font-normal">{{ say`Lug` }}</th>
          <th class="font-normal">{{ say`For` }}</th>
          <th class="font-normal">{{ say`Hole` }}</th>
          <th class="font-normal">{{ say`Outside / bore` }}</th>
          <th class="font-normal">{{ say`Barrel` }}</th>
          <th class="font-normal">{{ say`Palm` }}</th>
          <th class="font-normal">{{ say`Made` }}</th>
          <th class="text-right font-normal">{{ say`Left` }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="lug in found.slice(0, SHOWN)"
          :key="lug.id"
          class="figure border-t border-hairline text-[15px]"
        >
          <td>
            <button
              type="button"
              class="compact text-left font-semibold text-teal underline"
              @click="openId = lug.id"
            >
              {{ lug.label }}
            </button>
          </td>
          <td>{{ tell(sizeNamed(lug.forSize)) }}</td>
          <td>{{ digits(lug.holeMm, 1) }}</td>
          <td>{{ digits(lug.outerMm, 1) }} / {{ digits(lug.boreMm, 1) }}</td>
          <td>{{ digits(lug.barrelMm, 0) }}</td>
          <td>{{ digits(lug.palmWidthMm, 1) }} × {{ digits(lug.palmThicknessMm, 1) }}</td>
          <td class="font-text text-[12.5px] text-ink2">
            {{ lug.form === 'tube' ? '' : `${word(lug.form)}, ` }}{{ word(lug.metal)
            }}{{ lug.measured ? say`, measured here` : ''
            }}<b v-if="lug.drilledOut" class="text-fails">{{ say`, drilled out` }}</b>
          </td>
          <td class="text-right">{{ lug.stock }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="found.length > SHOWN" class="note mt-2">
      {{ say`${SHOWN} of ${found.length} shown: type more of its name.` }}
    </p>
    <p v-if="found.length === 0" class="mt-2">{{ say`No lug matches “${filter}”.` }}</p>
  </div>
</template>
