<script setup lang="ts">
import { computed } from 'vue';
import type { Kit } from '../../core/cutting/kit.ts';
import { kitQuantity } from '../../core/cutting/kit.ts';
import { haveOf, lastRecount, leastOf, noted } from '../../core/cutting/shelf.ts';
import { stockTitle, type StockUnit, stockUnit } from '../../core/cutting/stockTitle.ts';
import type { Recount } from '../../core/model/shop.ts';
import { tell } from '../../core/words/message.ts';
import { useBench } from '../stores/bench.ts';
import { readersLocale } from '../words.ts';
import QuantityField from '../ui/QuantityField.vue';
import { useShelf } from './useShelf.ts';
import { say } from '../../core/words/say.ts';

/**
 * What else is counted on the shelf: what this kit takes, and what is to be kept there. A count entered again is kept beside
 * the one before it; a lug and a sleeve have their price in the tool case.
 */
const { kit } = defineProps<{ kit: Kit }>();

const bench = useBench();
const { recount, note } = useShelf();
/** Always offered: whoever keeps no count of them begins here. */
const USUAL = ['solder', 'flux', 'sealant', 'label', 'layer:boot', 'layer:braid', 'layer:glass'];

interface Row {
  readonly stock: string;
  readonly title: string;
  readonly unit: StockUnit;
  readonly have: number | null;
  readonly least: number | null;
  readonly price: number | null;
  readonly isPricedHere: boolean;
  readonly counted: string;
}
const rows = computed((): Row[] => {
  const needed = kit.lines.flatMap(({ key, group }) => (group === 'cable' ? [] : [key]));
  const kept = (bench.shop.shelf ?? []).map(({ stock }) => stock);
  return [...new Set([...needed, ...USUAL, ...kept])].flatMap((stock) => {
    const title = stockTitle(stock, bench.shop);
    if (title === null) return [];
    return {
      stock,
      title: tell(title),
      unit: stockUnit(stock),
      have: haveOf(bench.shop, stock),
      least: leastOf(bench.shop, stock) || null,
      price: noted(bench.shop, stock)?.price ?? null,
      isPricedHere: !/^(lug|sleeve):/.test(stock),
      counted: countedSays(lastRecount(bench.shop, stock), stockUnit(stock)),
    };
  });
});
const day = new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'medium' });
function countedSays(last: Recount | undefined, unit: StockUnit): string {
  if (!last) return '';
  const was = last.was === undefined ? say`not counted` : kitQuantity(last.was, unit);
  return say`was ${was}, counted ${[day.format(new Date(last.at)), last.by].filter(Boolean).join(', ')}`;
}
const KINDS = { '': 'number', mm: 'length', g: 'mass' } as const;
const MOST = { '': 1e5, mm: 1e6, g: 1e5 } as const;
const rounded = (unit: StockUnit, value: number) => (unit === '' ? Math.round(value) : value);
const pricedBy = (unit: StockUnit) => (unit === '' ? say`each` : unit === 'mm' ? say`a metre` : say`100 g`);
</script>

<template>
  <section :aria-label="say`Lugs, sleeves and the rest`">
    <h3 class="figure text-[17px] font-semibold">{{ say`Lugs, sleeves and the rest` }}</h3>
    <p class="note mb-1">
      {{
        say`Making takes them off the shelf: a lug when it is crimped or soldered, a sleeve when it is shrunk. A trial or a check crimp uses up a lug. After a new count the one before stays beside it.`
      }}
    </p>
    <div
      class="note grid gap-2 max-sm:hidden sm:grid-cols-[minmax(0,1fr)_112px_112px_112px]"
      aria-hidden="true"
    >
      <span>{{ say`What` }}</span><span>{{ say`On the shelf` }}</span><span>{{ say`Keep at least` }}</span
      ><span>{{ say`Price` }}</span>
    </div>
    <div
      v-for="row in rows"
      :key="row.stock"
      class="row-fields alike grid grid-cols-2 items-start gap-2 border-t border-hairline py-1 sm:grid-cols-[minmax(0,1fr)_112px_112px_112px]"
    >
      <div class="self-center leading-4 max-sm:col-span-2">
        {{ row.title }}<span v-if="row.counted" class="note block">{{ row.counted }}</span>
      </div>
      <QuantityField
        :label="say`Count of ${row.title}`"
        :kind="KINDS[row.unit]"
        :model-value="row.have"
        :least="0"
        :most="MOST[row.unit]"
        :decimals="0"
        :placeholder="row.unit === '' ? say`not counted` : ''"
        optional
        @update:model-value="recount(row.stock, rounded(row.unit, $event))"
        @clear="note(row.stock, { have: undefined })"
      />
      <QuantityField
        :label="say`Keep at least of ${row.title}`"
        :kind="KINDS[row.unit]"
        :model-value="row.least"
        :least="0"
        :most="MOST[row.unit]"
        :decimals="0"
        optional
        @update:model-value="note(row.stock, { least: rounded(row.unit, $event) })"
        @clear="note(row.stock, { least: undefined })"
      />
      <QuantityField
        v-if="row.isPricedHere"
        :label="say`Price of ${row.title}, ${pricedBy(row.unit)}`"
        kind="number"
        :model-value="row.price"
        :least="0"
        :most="1e4"
        :decimals="2"
        :placeholder="pricedBy(row.unit)"
        optional
        @update:model-value="note(row.stock, { price: $event })"
        @clear="note(row.stock, { price: undefined })"
      />
    </div>
  </section>
</template>
