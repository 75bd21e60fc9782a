<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import { computed, ref } from 'vue';
import { sizeNamed } from '../../core/model/tables/size.ts';
import { looseDie, usesOf } from '../../core/termination/dies/dieMap.ts';
import type { ToolCase } from '../../core/termination/dies/toolCase.ts';
import { digits } from '../../core/words/numerals.ts';
import SectionPair from '../bench/ends/SectionPair.vue';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import { packingSays } from '../../core/termination/dies/packingSays.ts';
import { say } from '../../core/words/say.ts';

/** A die in the hand, marked or not: what its flats say it is for. */
const { toolCase } = defineProps<{ toolCase: ToolCase }>();

const bench = useBench();
const IN_HAND = 'in-hand';
const dieId = ref(IN_HAND);
const flats = ref<number | null>(null);
const width = ref(9);

const choices = computed(() => [
  { value: IN_HAND, title: say`one I am holding`, note: say`measured now` },
  ...toolCase.dies
    .filter(({ kind }) => kind.leaves === 'hexagon')
    .map(({ die, tool }) => ({
      value: die.id,
      title: die.stamp || say`unmarked`,
      note: say`${tool.title}, ${die.acrossFlatsMm} across`,
    })),
]);
const die = computed(() => {
  const owned = toolCase.dies.find((own) => own.die.id === dieId.value);
  if (owned) return owned;
  return flats.value === null ? null : looseDie(flats.value, width.value, toolCase);
});
const uses = computed(() => (die.value ? usesOf(die.value, toolCase, bench.shop.practice.crimps) : []));
</script>

<template>
  <div class="max-w-4xl">
    <p class="mb-3 text-[15px]">
      {{
        say`Close the die and measure across its flats with a calliper: that, and not its stamp, says what it is for.`
      }}
    </p>
    <div class="mb-4 grid max-w-2xl items-start gap-3 sm:grid-cols-3">
      <ChoiceField v-model="dieId" :label="say`The die`" :choices="choices" />
      <template v-if="dieId === IN_HAND">
        <QuantityField
          :label="say`Across its flats, closed`"
          kind="length"
          :model-value="flats"
          :least="2"
          :most="60"
          :decimals="2"
          optional
          @update:model-value="flats = $event"
          @clear="flats = null"
        />
        <QuantityField
          :label="say`Width along the barrel`"
          kind="length"
          :model-value="width"
          :least="2"
          :most="40"
          @update:model-value="width = $event"
        />
      </template>
    </div>
    <p v-if="!die" class="note">{{ say`Nothing is measured yet.` }}</p>
    <p v-else-if="uses.length === 0" class="font-bold text-fails">
      {{ say`It fits none of your lugs on their own cable size.` }}
    </p>
    <ul v-else class="grid gap-2 sm:grid-cols-2 xl:grid-cols-3" :aria-label="say`What it is for`">
      <li
        v-for="{ lug, lugs, offer } in uses"
        :key="lug.id"
        class="flex items-center gap-3 border bg-paper p-2"
        :class="offer.verdict === 'right' && offer.sure ? 'border-teal' : 'border-hairline'"
      >
        <svg viewBox="0 0 132 66" class="h-16 w-32 shrink-0" aria-hidden="true">
          <SectionPair
            :outer-mm="lug.outerMm"
            :bore-mm="lug.boreMm"
            :offer="offer"
            :scale="Math.min(3, 52 / lug.outerMm)"
            :middle="33"
            :before-x="32"
            :after-x="99"
          />
        </svg>
        <p class="min-w-0">
          <span class="figure block text-[17px] leading-5 font-semibold">{{
            `${tell(sizeNamed(lug.forSize))} ${lug.label.split(' ').slice(1).join(' ')}`
          }}</span>
          <span
            class="block"
            :class="offer.verdict === 'right' && offer.sure ? 'font-bold text-holds' : 'text-ink2'"
            >{{ word(offer.verdict) }}{{ offer.sure ? '' : say`, unsure` }}</span
          >
          <span class="note block"
            >c {{ digits(offer.c, 2) }}, κ {{ tell(packingSays(offer.kappa, 2)) }};
            {{ lugs.map(({ stud }) => stud).join(', ') }}</span
          >
        </p>
      </li>
    </ul>
  </div>
</template>
