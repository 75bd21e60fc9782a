<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { choicesOf } from '../ui/choicesOf.ts';
import { word } from '../../core/words/terms.ts';
import { X } from '@lucide/vue';
import type { Draft } from 'immer';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { SLEEVE_KINDS, SLEEVES } from '../../core/model/tables/sleeves.ts';
import { type Sleeve, SLEEVE_COLOURS } from '../../core/model/shop.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import AddButton from '../ui/AddButton.vue';
import { useShelf } from '../kit/useShelf.ts';
import { say } from '../../core/words/say.ts';

/** Every heat-shrink sleeve owned: how wide it comes, how far it shrinks, how much is left and what a metre costs. */
const bench = useBench();
const kinds = SLEEVE_KINDS.map((value) => ({
  value,
  title: `${SLEEVES[value].ratio}, ${tell(SLEEVES[value].title)}`,
}));
const { recount } = useShelf();
const colours = choicesOf(SLEEVE_COLOURS);
const called = ({ suppliedMm, recoveredMm, colour }: Sleeve) =>
  `${suppliedMm} / ${recoveredMm} ${word(colour)}`;

function edit(id: string, what: string, recipe: (sleeve: Draft<Sleeve>) => void): void {
  bench.edit(say`sleeve: ${what}`, (draft) => {
    const own = draft.shop.sleeves.find((sleeve) => sleeve.id === id);
    if (own) recipe(own);
  });
}
const remove = (id: string) =>
  bench.edit(say`remove a sleeve`, (draft) => {
    draft.shop.sleeves = draft.shop.sleeves.filter((sleeve) => sleeve.id !== id);
  });
function add(): void {
  const [size] = SLEEVES['dual-3'].sizes;
  if (!size) return;
  bench.edit(say`new sleeve`, (draft) => {
    draft.shop.sleeves.unshift({ id: nanoid(8), kind: 'dual-3', ...size, colour: 'black', stockMm: 1000 });
  });
}
const titles = computed(() => [
  say`Kind`,
  say`Supplied diameter`,
  say`Shrinks to`,
  say`Wall after shrinking`,
  say`Colour`,
  say`On the shelf`,
  say`${bench.shop.currency} a metre`,
]);
</script>

<template>
  <div>
    <div class="mb-2 flex flex-wrap items-end justify-between gap-2">
      <p class="note max-w-xl">
        {{ say`Ends are offered the sleeves below that fit. Wall = fully shrunk.` }}
      </p>
      <AddButton list="sleeves" :count="bench.shop.sleeves.length" filled @add="add">
        {{ say`Add a sleeve` }}
      </AddButton>
    </div>
    <div class="sleeve-row note max-sm:hidden" aria-hidden="true">
      <span v-for="title in titles" :key="title">{{ title }}</span>
    </div>
    <ul :aria-label="say`Sleeves`">
      <li
        v-for="sleeve in bench.shop.sleeves"
        :key="sleeve.id"
        class="row-fields alike sleeve-row border-t border-hairline py-1"
      >
        <ChoiceField
          :label="say`Kind of ${called(sleeve)}`"
          hide-label
          :model-value="sleeve.kind"
          :choices="kinds"
          @update:model-value="(kind) => edit(sleeve.id, say`kind`, (own) => void (own.kind = kind))"
        />
        <QuantityField
          :label="say`Width of ${called(sleeve)} as it comes`"
          kind="length"
          :model-value="sleeve.suppliedMm"
          :least="sleeve.recoveredMm"
          :most="120"
          :decimals="1"
          @update:model-value="(mm) => edit(sleeve.id, say`width`, (own) => void (own.suppliedMm = mm))"
        />
        <QuantityField
          :label="say`Width of ${called(sleeve)} shrunk`"
          kind="length"
          :model-value="sleeve.recoveredMm"
          :least="0.3"
          :most="Math.min(60, sleeve.suppliedMm)"
          :decimals="1"
          @update:model-value="(mm) => edit(sleeve.id, say`width`, (own) => void (own.recoveredMm = mm))"
        />
        <QuantityField
          :label="say`Wall of ${called(sleeve)}`"
          kind="length"
          :model-value="sleeve.wallMm"
          :least="0.2"
          :most="8"
          :decimals="2"
          @update:model-value="(mm) => edit(sleeve.id, say`wall`, (own) => void (own.wallMm = mm))"
        />
        <ChoiceField
          :label="say`Colour of ${called(sleeve)}`"
          hide-label
          :model-value="sleeve.colour"
          :choices="colours"
          @update:model-value="(colour) => edit(sleeve.id, say`colour`, (own) => void (own.colour = colour))"
        />
        <QuantityField
          :label="say`Left of ${called(sleeve)}`"
          kind="length"
          :model-value="sleeve.stockMm"
          :least="0"
          :most="1e6"
          :decimals="0"
          @update:model-value="recount(`sleeve:${sleeve.id}`, $event)"
        />
        <QuantityField
          :label="say`Price a metre of ${called(sleeve)}`"
          kind="number"
          :model-value="sleeve.pricePerM ?? null"
          :least="0"
          :most="1e4"
          :decimals="2"
          optional
          @update:model-value="(price) => edit(sleeve.id, say`price`, (own) => void (own.pricePerM = price))"
          @clear="edit(sleeve.id, say`price`, (own) => void delete own.pricePerM)"
        />
        <button
          type="button"
          class="flex size-10 items-center justify-center text-teal"
          @click="remove(sleeve.id)"
        >
          <X :size="17" aria-hidden="true" /><span class="sr-only">{{ say`Remove ${called(sleeve)}` }}</span>
        </button>
      </li>
    </ul>
    <p v-if="bench.shop.sleeves.length === 0" class="mt-2">
      {{ say`No sleeve is owned: every end will show what it needs.` }}
    </p>
  </div>
</template>

<style>
.sleeve-row {
  display: grid;
  align-items: start;
  gap: 8px;
  grid-template-columns: minmax(150px, 1fr) 104px 112px 96px 110px 120px 104px 40px;
}
@media (width < 900px) {
  .sleeve-row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
