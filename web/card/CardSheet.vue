<script setup lang="ts">
import { computed } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';
import { END_NAMES } from '../../core/model/end.ts';
import { cardOf } from '../../core/paper/card.ts';
import { tell } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import CardFigures from './CardFigures.vue';
import EndsPicture from './EndsPicture.vue';
import TroubleText from './TroubleText.vue';
import { inReadersUnit, lengthText, sizeParts } from '../ui/display.ts';
import { say } from '../../core/words/say.ts';
import { torqueText } from '../../core/fit/torque.ts';

/** Everything one needs of a cable on one sheet, the largest thing first. */
const { worked } = defineProps<{ worked: WorkedCable }>();

const card = computed(() => cardOf(worked));
const size = computed(() => sizeParts(card.value.size));
const cut = computed(() => (card.value.cutMm === null ? null : inReadersUnit(card.value.cutMm, 'mm', 0)));
const length = (mm: number | null) => (mm === null ? '–' : lengthText(mm, 0));
const rows = computed(() => {
  const both = (of: (end: (typeof card.value.ends)['A']) => string) =>
    END_NAMES.map((name) => of(card.value.ends[name]));
  return [
    [say`Lug`, both(({ lug }) => lug ?? say`none fits`)],
    [say`Strip`, both(({ stripMm }) => length(stripMm))],
    [
      say`Die`,
      both(({ die, crimps }) =>
        die === null ? '–' : `${die || say`unmarked`}, ${say`${crimps} crimp¦${crimps} crimps`}`,
      ),
    ],
    [
      say`Sleeve`,
      both(({ sleeve, sleeveCutMm }) => (sleeve ? `${tell(sleeve)}, ${length(sleeveCutMm)}` : '–')),
    ],
    [say`Torque`, both(({ torqueNm }) => torqueText(torqueNm))],
  ] as const;
});
const shown = computed(() => card.value.troubles.slice(0, 3));
</script>

<template>
  <article class="card" :aria-label="say`Card of ${card.tag}`">
    <header class="flex items-baseline gap-3">
      <h1 class="figure text-[24px] leading-7 font-semibold">{{ card.tag }}</h1>
      <p class="min-w-0 truncate text-[14px] text-ink2">
        {{ say`${worked.cable.ends.A.at || 'A'} to ${worked.cable.ends.B.at || 'B'}` }}
      </p>
    </header>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-1">
      <p class="figure leading-none">
        <span v-if="card.parallel > 1" class="text-[28px] font-semibold"
          >{{ card.parallel }}&thinsp;×&thinsp;</span
        ><span class="text-[72px] leading-[66px] font-semibold tracking-tight">{{ size.number }}</span>
        <span class="text-[26px] text-ink2">{{ size.unit }}</span>
      </p>
      <div class="pb-1">
        <p class="text-[14px] text-ink2">
          {{ card.kind }}, {{ word(worked.cable.jacket)
          }}<template v-if="card.isProposed">, {{ say`proposed` }}</template>
        </p>
        <p class="figure text-[28px] leading-8 font-semibold">
          <template v-if="cut"
            >{{ cut.value
            }}<span class="text-[16px] font-medium text-ink2"
              >&thinsp;{{ cut.unit }} {{ say`cut` }}</span
            ></template
          >
          <template v-else>{{ say`no length yet` }}</template>
        </p>
      </div>
    </div>
    <EndsPicture :worked="worked" class="my-3" />
    <table class="w-full border-collapse">
      <caption class="sr-only">
        {{ say`Both ends` }}
      </caption>
      <thead>
        <tr class="border-b border-hairline text-left text-[13px] text-ink2">
          <th class="w-[74px] font-normal">
            <span class="sr-only">{{ say`What` }}</span>
          </th>
          <th v-for="name in END_NAMES" :key="name" class="py-1 font-normal">
            {{ name }}<template v-if="card.ends[name].at">, {{ card.ends[name].at }}</template>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[title, [a, b]] in rows" :key="title" class="border-b border-hairline">
          <th class="py-1.5 text-left text-[13px] font-normal text-ink2">{{ title }}</th>
          <td class="figure py-1.5 pr-2 text-[18px] leading-5 font-semibold">{{ a }}</td>
          <td class="figure py-1.5 text-[18px] leading-5 font-semibold">{{ b }}</td>
        </tr>
        <tr class="border-b border-line">
          <th class="py-1.5 text-left text-[13px] font-normal text-ink2">{{ say`Palms` }}</th>
          <td class="figure py-1.5 text-[18px] leading-5 font-semibold" colspan="2">
            {{ say`at ${card.palmAngleDeg}°` }}
          </td>
        </tr>
      </tbody>
    </table>
    <CardFigures class="mt-2" :figures="[...card.figures, ...card.making]" />
    <ul v-if="shown.length > 0" class="mt-3 space-y-1.5" :aria-label="say`What fails or is not proved`">
      <li
        v-for="finding in shown"
        :key="finding.id"
        class="border px-2.5 py-1.5"
        :class="finding.state === 'fails' ? 'border-fails' : 'border-hairline'"
      >
        <TroubleText :finding="finding" />
      </li>
      <li v-if="card.troubles.length > shown.length" class="note">
        {{ say`and ${card.troubles.length - shown.length} more` }}
      </li>
    </ul>
  </article>
</template>
