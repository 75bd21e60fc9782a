<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { choicesOf } from '../../ui/choicesOf.ts';
import { computed } from 'vue';
import { haveOf } from '../../../core/cutting/shelf.ts';
import { LAYERS, type Layer } from '../../../core/model/tables/layers.ts';
import { SLEEVES } from '../../../core/model/tables/sleeves.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { SLEEVE_COLOURS } from '../../../core/model/shop.ts';
import { sleeveWindow } from '../../../core/termination/sleeves/sleeve.ts';
import {
  type SleeveOffer,
  sleeveOffers,
  sleeveSuits,
} from '../../../core/termination/sleeves/sleeveOffers.ts';
import { figure } from '../../../core/model/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { readersDigits } from '../../ui/display.ts';
import SegmentedField from '../../ui/SegmentedField.vue';
import StateMark from '../../ui/StateMark.vue';
import NestingPicture from './NestingPicture.vue';
import { useEndEdit } from './useEndEdit.ts';
import { say } from '../../../core/words/say.ts';

/** The sleeve that passes and grips, everything else that slides on, and in what order. */
const { name, cable, work, jobId } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  jobId: string;
}>();

const bench = useBench();
const set = useEndEdit(() => ({ jobId, cable, name }));
const end = computed(() => work.ends[name]);
const sized = (mm: number, decimals = 1) => readersDigits(mm, 'mm', decimals);

const needs = computed(() => end.value.sleeveTask && sleeveWindow(end.value.sleeveTask));
/** The sleeve in use and the nearest others, three in all. */
const sleeves = computed(() => {
  const task = end.value.sleeveTask;
  if (!task) return [];
  const offers = sleeveOffers(bench.shop.sleeves, task, bench.shop.practice.seal).filter(
    ({ sleeve }) => sleeve.colour === 'black' || sleeve.id === end.value.sleeve?.sleeve.id,
  );
  const chosen = offers.findIndex(({ sleeve }) => sleeve.id === end.value.sleeve?.sleeve.id);
  const others = offers
    .filter((_, i) => i !== chosen)
    .sort(
      (a, b) =>
        Number(sleeveSuits(b)) - Number(sleeveSuits(a)) ||
        Math.abs(offers.indexOf(a) - chosen) - Math.abs(offers.indexOf(b) - chosen),
    );
  const shown = [...(chosen >= 0 ? [offers[chosen] as SleeveOffer] : []), ...others].slice(0, 3);
  return shown.sort((a, b) => a.sleeve.suppliedMm - b.sleeve.suppliedMm);
});
const onShelfMm = computed(() => haveOf(bench.shop, `sleeve:${end.value.sleeve?.sleeve.id}`) ?? 0);
/** Millimetres of bore to px of the little bar. */
const bore = (mm: number) => Math.min(96, (mm / 40) * 96);
const sleeveWord = (offer: SleeveOffer) =>
  !offer.seals ? say`only marks` : !offer.passes ? say`does not pass` : !offer.grips ? 'slack' : '';

const kinds = Object.keys(LAYERS) as Layer[];
function setLayer(layer: Layer, on: boolean): void {
  const { layers } = end.value;
  set(say`layers`, { layers: on ? [...layers, layer] : layers.filter((other) => other !== layer) });
}
const colours = choicesOf(SLEEVE_COLOURS.filter((colour) => colour !== 'clear'));
</script>

<template>
  <div>
    <p v-if="!end.lug" class="note">{{ say`Choose the lug first: the sleeve has to pass or grip it.` }}</p>
    <template v-else>
      <header class="mb-1 flex items-baseline justify-between">
        <h4 class="figure text-[16px] font-semibold">{{ say`Sleeve` }}</h4>
        <p v-if="needs" class="note">
          {{ say`grip ${sized(needs.recoveredMostMm)}, pass ${sized(needs.suppliedLeastMm)}` }}
        </p>
      </header>
      <div class="grid grid-cols-3 gap-2" role="radiogroup" :aria-label="say`Sleeve of end ${name}`">
        <button
          v-for="offer in sleeves"
          :key="offer.sleeve.id"
          type="button"
          role="radio"
          :aria-checked="offer.sleeve.id === end.sleeve?.sleeve.id"
          class="rounded-box border px-2 py-1 text-left"
          :class="
            offer.sleeve.id === end.sleeve?.sleeve.id
              ? 'border-2 border-teal bg-teal-tint'
              : 'border-hairline bg-paper hover:bg-teal-tint'
          "
          @click="set(say`sleeve`, { sleeveId: offer.sleeve.id })"
        >
          <span class="figure flex items-baseline justify-between text-[16px] font-semibold">
            {{ offer.sleeve.suppliedMm }} / {{ offer.sleeve.recoveredMm }}
            <span class="text-[13px] font-normal text-ink2">{{ SLEEVES[offer.sleeve.kind].ratio }}</span>
          </span>
          <svg width="96" height="14" viewBox="0 0 96 14" aria-hidden="true" class="my-0.5 block max-w-full">
            <path d="M0 7H96" stroke="var(--hairline)" />
            <rect
              :x="bore(offer.sleeve.recoveredMm)"
              y="3.5"
              :width="bore(offer.sleeve.suppliedMm) - bore(offer.sleeve.recoveredMm)"
              height="7"
              :fill="offer.sleeve.id === end.sleeve?.sleeve.id ? 'var(--ink)' : 'var(--ink3)'"
            />
            <path
              v-if="needs"
              :d="`M${bore(needs.recoveredMostMm)} 0V14M${bore(needs.suppliedLeastMm)} 0V14`"
              stroke="var(--copper-text)"
              stroke-width="1.8"
            />
          </svg>
          <span class="flex items-center gap-1">
            <StateMark :state="sleeveSuits(offer) ? 'holds' : 'fails'" :word="sleeveWord(offer) === ''" />
            <span v-if="sleeveWord(offer)" class="text-[12px] font-bold whitespace-nowrap text-fails">{{
              sleeveWord(offer)
            }}</span>
          </span>
        </button>
      </div>
      <p v-if="end.sleeve" class="note mt-1.5">
        {{
          say`Cut ${sized(end.sleeve.cutMm, 0)} to cover ${sized(end.sleeve.coverMm, 0)} from the shoulder back, never on the palm. Wall ${sized(end.sleeve.wallMm, 2)} once shrunk. ${figure(onShelfMm, 'mm', 0)} on the shelf.`
        }}
      </p>
      <SegmentedField
        class="mt-2"
        :label="say`The sleeve of ${name} goes on`"
        :model-value="cable.ends[name].sleeveAfterLug ? 'after' : 'before'"
        :choices="[
          { value: 'before', title: say`before the lug` },
          { value: 'after', title: say`after it, over the palm` },
        ]"
        @update:model-value="
          (when) => set(say`sleeve order`, { sleeveAfterLug: when === 'after' ? true : undefined })
        "
      />
      <h4 class="figure mt-3 mb-1.5 text-[16px] font-semibold">{{ say`Other layers` }}</h4>
      <div class="flex flex-wrap gap-x-4 gap-y-3">
        <CheckField
          v-for="layer in kinds"
          :key="layer"
          :label="tell(LAYERS[layer].title)"
          :model-value="end.layers.includes(layer)"
          @update:model-value="(on) => setLayer(layer, on)"
        />
      </div>
      <CheckField
        class="mt-2"
        :label="say`End cap: it waits unconnected`"
        :model-value="end.spec.capped ?? false"
        @update:model-value="(capped) => set(say`end cap`, { capped: capped || undefined })"
      />
      <ChoiceField
        v-if="end.layers.includes('band')"
        class="mt-2"
        :label="say`Band of ${name}`"
        :model-value="end.bandColour"
        :choices="colours"
        @update:model-value="(bandColour) => set(say`band colour`, { bandColour })"
      />
      <header class="mt-3 mb-1 flex items-baseline justify-between">
        <h4 class="figure text-[16px] font-semibold">{{ say`Fit in this order` }}</h4>
        <p class="note">{{ say`largest outside it must pass` }}</p>
      </header>
      <NestingPicture :end="end" :outer-mm="work.conductor.outerMm" :jacket="cable.jacket" />
    </template>
  </div>
</template>
