<script setup lang="ts">
import { computed } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import { type AfterTaking, cutOffers, haveOf } from '../../core/cutting/shelf.ts';
import { kitQuantity } from '../../core/cutting/kit.ts';
import { stockTitle, stockUnit } from '../../core/cutting/stockTitle.ts';
import type { Cable } from '../../core/model/cable.ts';
import { tell } from '../../core/words/message.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import { say } from '../../core/words/say.ts';

/** What the step at hand takes off the shelf, and what is left after it; where it is cut, the spool can be chosen. */
const { cable, work, step, takes } = defineProps<{
  cable: Cable;
  work: CableWork;
  step: string;
  takes: AfterTaking;
}>();
const spoolId = defineModel<string | undefined>({ required: true });

const bench = useBench();
const offers = computed(() => cutOffers({ key: cable.id, cable, work }, bench.shop));
const isCutting = computed(() => step === 'cut' && !cable.done.some((tick) => tick.step === 'cut'));
const quantity = (stock: string, amount: number) => kitQuantity(amount, stockUnit(stock));
const spools = computed(() =>
  offers.value.map(({ spool, restMm }) => ({
    value: spool.id,
    title: say`${spool.label}, leaves ${quantity('spool:', restMm)}`,
  })),
);
const lines = computed(() =>
  takes.took
    .filter(({ part }) => part !== 'cable')
    .map(({ stock, amount }) => {
      const name = tell(stockTitle(stock, bench.shop) ?? stock);
      const left = haveOf(takes.shop, stock) ?? 0;
      return say`${name}: ${quantity(stock, amount)}, ${quantity(stock, left)} left`;
    }),
);
</script>

<template>
  <div v-if="isCutting || lines.length > 0">
    <ChoiceField
      v-if="isCutting && spools.length > 0"
      :label="say`Cut from`"
      :model-value="spoolId ?? spools[0]?.value ?? ''"
      :choices="spools"
      @update:model-value="spoolId = $event"
    />
    <p v-else-if="isCutting" class="text-[15px]">
      {{ say`No spool on the shelf holds it: what it is cut from is not taken off the shelf.` }}
    </p>
    <p v-if="lines.length > 0" class="text-[15px]">
      <span class="figure text-ink2">{{ say`Off the shelf` }}</span> {{ lines.join('; ') }}
    </p>
  </div>
</template>
