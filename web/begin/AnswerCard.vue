<script setup lang="ts">
import { computed } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';
import { cardOf } from '../../core/paper/card.ts';
import { small, tell } from '../../core/words/message.ts';
import CardFigures from '../card/CardFigures.vue';
import EndsPicture from '../card/EndsPicture.vue';
import TroubleText from '../card/TroubleText.vue';
import { lengthText, sizeParts } from '../ui/display.ts';
import ShowWork from '../ui/ShowWork.vue';
import StateMark from '../ui/StateMark.vue';
import { say } from '../../core/words/say.ts';

/** The answer at once: the size, why no thinner, and the figures that one acts by. */
const { worked, isPair } = defineProps<{ worked: WorkedCable; isPair: boolean }>();

const card = computed(() => cardOf(worked));
const size = computed(() => sizeParts(card.value.size));
const counts = computed(() => {
  const fails = card.value.troubles.filter(({ state }) => state === 'fails').length;
  const open = card.value.troubles.length - fails;
  return [
    ...(fails > 0 ? [say`${fails} fails¦${fails} fail`] : []),
    ...(open > 0 ? [say`${open} not proved`] : []),
  ].join(', ');
});
</script>

<template>
  <section class="border border-ink bg-paper" :aria-label="say`The answer`" aria-live="polite">
    <div class="sm:grid sm:grid-cols-[230px_minmax(0,1fr)]">
      <div class="border-hairline p-4 max-sm:border-b sm:border-r">
        <p class="figure leading-none whitespace-nowrap">
          <span class="text-[64px] leading-[58px] font-semibold tracking-tight">{{ size.number }}</span>
          <span class="text-[24px] text-ink2">&thinsp;{{ size.unit }}</span>
        </p>
        <p class="note mt-1">{{ card.kind }}</p>
        <p v-if="card.governs" class="mt-1.5 text-[13px]">
          {{ say`Governing limit: ${small(card.governs.title)}` }}
        </p>
      </div>
      <div class="min-w-0 p-3">
        <p v-if="card.cutMm !== null" class="figure mb-1.5 text-[17px] font-semibold">
          {{
            isPair
              ? say`Cut ${lengthText(card.cutMm, 0)}, and one black, the same`
              : say`Cut ${lengthText(card.cutMm, 0)}`
          }}
        </p>
        <EndsPicture :worked="worked" />
        <CardFigures
          class="mt-2 border-t border-hairline pt-2"
          :figures="[...card.figures, ...card.making]"
        />
      </div>
    </div>
    <details v-if="card.governs || card.troubles.length > 0" class="border-t border-hairline">
      <summary class="min-h-11 cursor-pointer px-4 py-2.5 text-[13.5px]">
        {{ say`Why, and what is still open` }}
        <span v-if="counts" class="text-ink2">· {{ counts }}</span>
      </summary>
      <div v-if="card.governs" class="border-t border-hairline">
        <p class="figure px-3.5 pt-2 text-[16px] font-semibold">
          {{ tell(card.governs.title) }}
          <StateMark :state="card.governs.state" :close="card.governs.close ?? false" />
        </p>
        <ShowWork :finding="card.governs" />
      </div>
      <ul>
        <li v-for="finding in card.troubles" :key="finding.id" class="border-t border-hairline px-3.5 py-2">
          <TroubleText :finding="finding" />
        </li>
      </ul>
    </details>
  </section>
</template>
