<script setup lang="ts">
import { choicesOf } from '../ui/choicesOf.ts';
import { X } from '@lucide/vue';
import type { Draft } from 'immer';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { sameSize, sizeLabel, sizeNamed } from '../../core/model/tables/size.ts';
import { JACKETS, type Spool } from '../../core/model/shop.ts';
import { digits } from '../../core/words/numerals.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import CheckField from '../ui/CheckField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { called } from '../../core/model/catalogue/called.ts';
import AddButton from '../ui/AddButton.vue';
import ShelfPanel from './ShelfPanel.vue';
import { useShelf } from './useShelf.ts';
import type { Kit } from '../../core/cutting/kit.ts';
import { say } from '../../core/words/say.ts';
import { tell } from '../../core/words/message.ts';

/** What is on the shelf: spools and offcuts, each with what is left of it; then all else that is counted. */
const { kit } = defineProps<{ kit: Kit }>();

const bench = useBench();
const { recount } = useShelf();
const kinds = computed(() =>
  bench.shop.cableKinds.map(({ id, title }) => ({ value: id, title: called(title) })),
);
const colours = choicesOf(JACKETS);
const cutting = computed(() => bench.shop.practice.cutting);

function edit(id: string, what: string, recipe: (spool: Draft<Spool>) => void): void {
  bench.edit(say`spool: ${what}`, (draft) => {
    const own = draft.shop.spools.find((spool) => spool.id === id);
    if (own) recipe(own);
  });
}
const remove = (id: string) =>
  bench.edit(say`remove a spool`, (draft) => {
    draft.shop.spools = draft.shop.spools.filter((spool) => spool.id !== id);
  });
function add(): void {
  const [kind] = bench.shop.cableKinds;
  const size = kind?.sizes[0]?.size;
  if (!kind || !size) return;
  bench.edit(say`new spool`, (draft) => {
    draft.shop.spools.push({
      id: nanoid(8),
      label: say`Spool ${draft.shop.spools.length + 1}`,
      kindId: kind.id,
      size: { ...size },
      colour: 'red',
      lengthMm: 10000,
      offcut: false,
    });
  });
}
const madeSizes = ({ kindId }: Spool) => bench.shop.cableKinds.find(({ id }) => id === kindId)?.sizes ?? [];
/** What its kind usually costs, where nothing else is said. */
const usualPrice = (spool: Spool) => {
  const own = madeSizes(spool).find(({ size }) => sameSize(size, spool.size));
  return own ? digits(own.pricePerM, 2) : '';
};
function sizeProblem(spool: Spool, text: string): string {
  const entry = parseSize(text, madeSizes(spool)[0]?.size.system ?? 'metric');
  if (!entry.ok) return entry.sentence;
  const { size } = entry;
  return madeSizes(spool).some((own) => sameSize(own.size, size))
    ? ''
    : say`This kind is made in ${madeSizes(spool)
        .map((own) => tell(sizeNamed(own.size)))
        .join(', ')}.`;
}
function setSize(spool: Spool, text: string): void {
  const entry = parseSize(text, madeSizes(spool)[0]?.size.system ?? 'metric');
  if (entry.ok) edit(spool.id, say`size`, (own) => void (own.size = { ...entry.size }));
}
function setCutting(change: Partial<typeof cutting.value>): void {
  bench.edit(say`practice: cutting`, (draft) => void Object.assign(draft.shop.practice.cutting, change));
}
</script>

<template>
  <section :aria-label="say`Spools and offcuts`">
    <div class="mb-2 grid max-w-2xl grid-cols-3 gap-2">
      <QuantityField
        :label="say`Lost per cut`"
        kind="length"
        :model-value="cutting.kerfMm"
        :least="0"
        :most="20"
        @update:model-value="setCutting({ kerfMm: $event })"
      />
      <QuantityField
        :label="say`Trimmed off a new end`"
        kind="length"
        :model-value="cutting.squareMm"
        :least="0"
        :most="500"
        @update:model-value="setCutting({ squareMm: $event })"
      />
      <QuantityField
        :label="say`Scrap if shorter than`"
        kind="length"
        :model-value="cutting.scrapMm"
        :least="0"
        :most="5000"
        :decimals="0"
        @update:model-value="setCutting({ scrapMm: $event })"
      />
    </div>
    <div
      class="note grid gap-2 max-sm:hidden sm:grid-cols-[94px_minmax(0,1fr)_82px_86px_108px_70px_34px_34px]"
      aria-hidden="true"
    >
      <span>{{ say`Name in the shop` }}</span><span>{{ say`Kind` }}</span><span>{{ say`Size` }}</span
      ><span>{{ say`Colour` }}</span><span>{{ say`Left` }}</span
      ><span>{{ say`${bench.shop.currency} a metre` }}</span><span>{{ say`started` }}</span>
    </div>
    <div
      v-for="spool in bench.shop.spools"
      :key="spool.id"
      class="row-fields alike grid grid-cols-2 items-start gap-2 border-t border-hairline py-1 sm:grid-cols-[94px_minmax(0,1fr)_82px_86px_108px_70px_34px_34px]"
    >
      <TextField
        :label="say`Name of the spool ${spool.label}`"
        :model-value="spool.label"
        required
        @update:model-value="(label) => edit(spool.id, say`name`, (own) => void (own.label = label))"
      />
      <ChoiceField
        :label="say`Kind of ${spool.label}`"
        hide-label
        :model-value="spool.kindId"
        :choices="kinds"
        @update:model-value="(kindId) => edit(spool.id, say`kind`, (own) => void (own.kindId = kindId))"
      />
      <TextField
        :label="say`Size of ${spool.label}`"
        :model-value="sizeLabel(spool.size)"
        :check="(text) => sizeProblem(spool, text)"
        @update:model-value="(text) => setSize(spool, text)"
      />
      <ChoiceField
        :label="say`Colour of ${spool.label}`"
        hide-label
        :model-value="spool.colour"
        :choices="colours"
        @update:model-value="(colour) => edit(spool.id, say`colour`, (own) => void (own.colour = colour))"
      />
      <QuantityField
        :label="say`Left on ${spool.label}`"
        kind="length"
        :model-value="spool.lengthMm"
        :least="1"
        :most="1e7"
        :decimals="0"
        @update:model-value="recount(`spool:${spool.id}`, $event)"
      />
      <QuantityField
        :label="say`Price a metre of ${spool.label}`"
        kind="number"
        :model-value="spool.pricePerM ?? null"
        :least="0"
        :most="1e4"
        :decimals="2"
        :placeholder="usualPrice(spool)"
        optional
        @update:model-value="(price) => edit(spool.id, say`price`, (own) => void (own.pricePerM = price))"
        @clear="edit(spool.id, say`price`, (own) => void delete own.pricePerM)"
      />
      <CheckField
        class="self-center"
        :label="say`${spool.label} already started`"
        :model-value="spool.offcut"
        @update:model-value="(on) => edit(spool.id, say`started`, (own) => void (own.offcut = on))"
      />
      <button
        type="button"
        class="flex h-11 w-8 items-center justify-center text-teal"
        @click="remove(spool.id)"
      >
        <X :size="17" aria-hidden="true" /><span class="sr-only">{{ say`Remove ${spool.label}` }}</span>
      </button>
    </div>
    <p v-if="bench.shop.spools.length === 0" class="mb-2">
      {{ say`No cable is on the shelf yet: the plan says what to buy.` }}
    </p>
    <AddButton list="spools" :count="bench.shop.spools.length" class="mt-2" @add="add">
      {{ say`Add a spool or offcut` }}
    </AddButton>
    <ShelfPanel :kit="kit" class="mt-5" />
  </section>
</template>
