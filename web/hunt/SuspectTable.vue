<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { ChevronDown, ChevronUp } from '@lucide/vue';
import { computed, ref } from 'vue';
import type { Hunt } from '../../core/model/hunt.ts';
import { suspectWork } from '../../core/hunt/huntFindings.ts';
import type { Suspect } from '../../core/hunt/suspect.ts';
import { GUILTY_TIMES } from '../../core/hunt/prior.ts';
import type { HuntFound } from '../../core/hunt/suspects.ts';
import { digits } from '../../core/words/numerals.ts';
import FormulaText from '../ui/FormulaText.vue';
import StateMark from '../ui/StateMark.vue';
import { say } from '../../core/words/say.ts';

/** Who wastes what: the worst first, then everything else together; each opens to how it came about. */
const { hunt, found } = defineProps<{ hunt: Hunt; found: HuntFound }>();

const opened = ref<string | null>(null);
const most = computed(() => Math.max(1e-9, ...found.suspects.map(({ wastedW }) => wastedW)));
/** What is left is shown to be sound, alone or together. */
const isCleared = computed(() => {
  const { verdict } = found;
  return verdict.what === 'nothing wrong' || ('isAll' in verdict && verdict.isAll);
});
const othersSay = computed(() => {
  if (found.others.milliohm !== null) return say`nothing to find`;
  return isCleared.value ? say`sound, from the readings across them` : say`not all of them are measured`;
});
const isNamed = (own: Suspect) => found.named.includes(own);
const sure = ({ probability }: Suspect) =>
  digits(Math.min(99.9, 100 * probability), probability > 0.995 ? 1 : 0);
const work = (own: Suspect) => suspectWork(hunt, own, found);
const rows = computed(() =>
  isWhole.value
    ? found.pieces.filter(({ piece }) => !found.suspects.some((own) => own.piece.id === piece.id))
    : [],
);
const isWhole = ref(false);
</script>

<template>
  <section :aria-label="say`Suspects`" class="min-w-0 px-3.5 py-2">
    <header class="flex items-baseline gap-3">
      <h2 class="figure text-[17px] font-semibold">{{ say`Suspects, by watts wasted` }}</h2>
      <span class="note ml-auto">{{ say`fails above ${digits(GUILTY_TIMES, 1)} × the expected drop` }}</span>
    </header>
    <div class="overflow-x-auto">
      <table class="w-full border-collapse text-left">
        <thead class="figure text-[14px] text-ink2">
          <tr class="border-b border-line">
            <th class="w-6 font-normal" />
            <th class="font-normal">{{ say`part, and its likely cause` }}</th>
            <th class="w-16 text-right font-normal">{{ say`reads mΩ` }}</th>
            <th class="w-16 text-right font-normal">{{ say`expected` }}</th>
            <th class="w-16 text-right font-normal">{{ say`waste W` }}</th>
            <th class="w-20 max-sm:hidden" />
            <th class="w-24" />
            <th class="w-8" />
          </tr>
        </thead>
        <tbody>
          <template v-for="(own, i) in found.suspects" :key="own.piece.id">
            <tr
              class="border-b border-hairline"
              :class="i === 0 ? 'bg-teal-tint shadow-[inset_3px_0_0_var(--teal)]' : ''"
            >
              <td class="figure pl-2 text-[16px] font-semibold">{{ i + 1 }}</td>
              <td class="py-1.5 pr-2">
                <span class="figure block text-[16px] leading-[18px] font-semibold">{{
                  own.piece.title
                }}</span
                ><span class="note leading-4">{{ tell(own.cause) }}</span>
              </td>
              <td class="figure text-right text-[16px]">
                {{ own.milliohm === null ? '–' : digits(own.milliohm, 3) }}
              </td>
              <td class="figure text-right text-[16px] text-ink2">{{ digits(own.shouldMilliohm, 3) }}</td>
              <td class="figure text-right text-[17px] font-semibold">{{ digits(own.wastedW, 1) }}</td>
              <td class="px-2 max-sm:hidden">
                <span
                  class="block h-2.5"
                  :class="isNamed(own) ? 'bg-fails' : 'border border-dashed border-ink2'"
                  :style="{ width: `${Math.max(2, (own.wastedW / most) * 100)}%` }"
                />
              </td>
              <td>
                <StateMark :state="isNamed(own) ? 'fails' : 'unproved'" />
                <span class="note block">{{ say`${sure(own)} % likely` }}</span>
              </td>
              <td>
                <button
                  type="button"
                  class="flex size-8 items-center justify-center rounded-box border border-hairline bg-paper text-teal"
                  :aria-expanded="opened === own.piece.id"
                  @click="opened = opened === own.piece.id ? null : own.piece.id"
                >
                  <ChevronUp v-if="opened === own.piece.id" :size="16" aria-hidden="true" />
                  <ChevronDown v-else :size="16" aria-hidden="true" />
                  <span class="sr-only">{{ say`Show the calculation of ${own.piece.title}` }}</span>
                </button>
              </td>
            </tr>
            <tr v-if="opened === own.piece.id" class="border-b border-hairline bg-paper">
              <td />
              <td colspan="7" class="py-2">
                <p><FormulaText :line="work(own).formula" /></p>
                <p v-for="(line, n) in work(own).substituted" :key="n"><FormulaText :line="line" /></p>
                <p class="note mt-1">
                  {{ say`Source: ${work(own).source}. Assumes: ${work(own).assumes}.` }}
                </p>
              </td>
            </tr>
          </template>
          <tr v-if="found.others.count > 0" class="border-b border-hairline">
            <td />
            <td class="py-1.5">
              <button
                type="button"
                class="figure text-left text-[16px] font-semibold whitespace-nowrap hover:text-teal"
                :aria-expanded="isWhole"
                @click="isWhole = !isWhole"
              >
                {{ found.suspects.length > 0 ? say`The other parts` : say`All` }} {{ found.others.count }}
              </button>
              <span class="note ml-2">{{ othersSay }}</span>
            </td>
            <td class="figure text-right text-[16px]">
              {{ found.others.milliohm === null ? '–' : digits(found.others.milliohm, 3) }}
            </td>
            <td class="figure text-right text-[16px] text-ink2">
              {{ digits(found.others.shouldMilliohm, 3) }}
            </td>
            <td class="figure text-right text-[17px] font-semibold">
              {{ digits(found.others.wastedW, 1) }}
            </td>
            <td class="max-sm:hidden" />
            <td><StateMark :state="isCleared || found.others.milliohm !== null ? 'holds' : 'unproved'" /></td>
            <td />
          </tr>
          <tr v-for="own in rows" :key="own.piece.id" class="border-b border-hairline">
            <td />
            <td class="figure py-1 pl-3 text-[15px]">{{ own.piece.title }}</td>
            <td class="figure text-right text-[15px]">
              {{ own.milliohm === null ? '–' : digits(own.milliohm, 3) }}
            </td>
            <td class="figure text-right text-[15px] text-ink2">{{ digits(own.shouldMilliohm, 3) }}</td>
            <td colspan="4" class="pl-4">
              <FormulaText :line="work(own).substituted.at(-2) ?? ''" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
