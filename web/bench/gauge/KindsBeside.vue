<script setup lang="ts">
import { Check, Minus } from '@lucide/vue';
import { computed, ref } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { sizeLabel } from '../../../core/model/tables/size.ts';
import { kindsFinding } from '../../../core/sizing/kindsCompared.ts';
import { hottestC } from '../../../core/sizing/governing.ts';
import { TRAITS, type Trait } from '../../../core/sizing/kindTraits.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { tell } from '../../../core/words/message.ts';
import { digits } from '../../../core/words/numerals.ts';
import { say } from '../../../core/words/say.ts';
import { useBench } from '../../stores/bench.ts';
import { dutyTick } from '../../workers/duties.ts';
import { kindsBesideFor } from '../../stores/work.ts';
import { readersDigits, readersUnit } from '../../ui/display.ts';
import ShowWork from '../../ui/ShowWork.vue';
import WorkButton from '../../ui/WorkButton.vue';
import StateMark from '../../ui/StateMark.vue';

/** The kinds of cable that the shop has, beside one another for this run: each in the size that would be taken of it. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();
const emit = defineEmits<{ choose: [kindId: string] }>();

const bench = useBench();
const isWorkOpen = ref(false);
const compared = computed(() => {
  void dutyTick.value;
  return kindsBesideFor(cable, bench.shop, bench.jobById(jobId));
});
const asked = computed(() => compared.value[0]?.traits.filter(({ isAsked }) => isAsked) ?? []);
/** That a jacket insulates is worth a column only where one of them does not. */
const traits = computed(() =>
  (Object.keys(TRAITS) as Trait[]).filter(
    (trait) =>
      trait !== 'live' ||
      compared.value.some((row) => row.traits.some((own) => own.trait === trait && !own.suits)),
  ),
);
const heads: Readonly<Record<Trait, string>> = {
  wet: say`damp`,
  oil: say`oil`,
  flexing: say`moves`,
  sun: say`sun`,
  flame: say`flame`,
  rubbing: say`rubs`,
  live: say`live`,
};
const isAsked = (trait: Trait) => asked.value.some((own) => own.trait === trait);
</script>

<template>
  <div>
    <div class="overflow-x-auto">
      <table class="figure w-full min-w-[640px] text-right text-[16px]" :aria-label="say`Kinds for this run`">
        <thead class="text-[14px] leading-4 text-ink2">
          <tr class="border-b border-line align-bottom">
            <th scope="col" class="py-1 text-left font-normal">{{ say`kind` }}</th>
            <th scope="col" class="pl-1.5 text-left font-normal">{{ say`size` }}</th>
            <th scope="col" class="pl-3 font-normal">{{ say`cable` }}<br />{{ bench.shop.currency }}</th>
            <th scope="col" class="pl-3 font-normal">{{ say`cable` }}<br />{{ readersUnit('kg') }}</th>
            <th scope="col" class="pl-3 font-normal">{{ say`bend` }}<br />{{ readersUnit('mm') }}</th>
            <th scope="col" class="pl-3 font-normal">{{ say`heat, of` }}<br />{{ readersUnit('°C') }}</th>
            <th
              v-for="trait in traits"
              :key="trait"
              scope="col"
              class="w-11 pl-1.5 text-center"
              :class="isAsked(trait) ? 'font-semibold text-ink' : 'font-normal'"
            >
              {{ heads[trait] }}
            </th>
            <th scope="col">
              <span class="sr-only">{{ say`state` }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in compared"
            :key="row.kind.id"
            class="h-[38px] border-b border-hairline font-medium"
            :class="row.kind.id === cable.gauge.kindId ? 'bg-teal-tint' : ''"
          >
            <th scope="row" class="pl-1.5 text-left font-normal">
              <button
                type="button"
                class="compact text-left font-semibold text-teal underline decoration-hairline"
                @click="emit('choose', row.kind.id)"
              >
                {{ row.kind.title }}
              </button>
            </th>
            <td class="pl-3 text-left whitespace-nowrap">
              {{ row.candidate ? sizeLabel(row.candidate.at.size) : say`none` }}
            </td>
            <td class="pl-3">{{ row.candidate ? digits(row.candidate.at.price, 0) : '' }}</td>
            <td class="pl-3">{{ row.candidate ? readersDigits(row.candidate.at.massKg, 'kg', 1) : '' }}</td>
            <td class="pl-3">{{ row.candidate ? readersDigits(row.candidate.at.bendMm, 'mm', 0) : '' }}</td>
            <td class="pl-3 whitespace-nowrap">
              <template v-if="row.candidate">
                {{ readersDigits(hottestC(row.candidate.at) ?? 0, '°C', 0) }}
                <span class="text-[13px] font-normal text-ink2">{{ figure(row.kind.limitC, '°C', 0) }}</span>
              </template>
            </td>
            <td
              v-for="own in row.traits.filter(({ trait }) => traits.includes(trait))"
              :key="own.trait"
              class="text-center"
            >
              <span
                class="inline-flex align-middle"
                :class="own.isAsked ? (own.suits ? 'text-holds' : 'text-close') : 'text-ink3'"
              >
                <component
                  :is="own.suits ? Check : Minus"
                  :size="own.isAsked ? 19 : 15"
                  :stroke-width="own.isAsked ? 3 : 1.5"
                  aria-hidden="true"
                />
                <span class="sr-only">{{
                  own.suits ? say`has ${tell(TRAITS[own.trait])}` : say`not ${tell(TRAITS[own.trait])}`
                }}</span>
              </span>
            </td>
            <td class="pl-2 text-left">
              <StateMark
                :state="row.state"
                :close="row.state === 'holds' && (row.candidate?.close ?? false)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <WorkButton v-model="isWorkOpen" class="mt-1 min-h-11 text-[13.5px]" />
    <ShowWork v-if="isWorkOpen" :finding="kindsFinding(compared, cable)" class="box mt-1" />
    <p class="note mt-1.5">
      {{
        asked.length === 0
          ? say`This run requires nothing of the jacket beyond temperature and voltage. Price and weight are for this run, with what lies side by side.`
          : say`This run requires it to withstand: ${asked.map(({ trait }) => tell(TRAITS[trait])).join(', ')}. Price and weight are for this run, with what lies side by side.`
      }}
    </p>
  </div>
</template>
