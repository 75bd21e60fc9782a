<script setup lang="ts">
import { computed } from 'vue';
import { SLEEVES } from '../../../core/catalogue/tables/sleeves.ts';
import { STUD_NAMES } from '../../../core/catalogue/tables/studs.ts';
import type { Cable, End, EndName } from '../../../core/job/cable.ts';
import { dieOffers, lugOffers, sleeveOffers, type SleeveOffer } from '../../../core/termination/offers.ts';
import { dieZones } from '../../../core/termination/dieOnLug.ts';
import { sleeveWindow } from '../../../core/termination/sleeve.ts';
import { digits } from '../../../core/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import { inReadersUnit } from '../../ui/display.ts';
import SegmentedField from '../../ui/SegmentedField.vue';
import StateMark from '../../ui/StateMark.vue';
import { useCableEdit } from '../useCable.ts';
import CrimpPictures from './CrimpPictures.vue';
import DieStrip from './DieStrip.vue';

/** One end: the lug that fits cable and stud, the die that fits the lug, the sleeve that passes and grips. */
const { name, cable, work, jobId } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  jobId: string;
}>();

const bench = useBench();
const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const end = computed(() => work.ends[name]);
const copperMm2 = computed(() => work.choice.taken.at.copperMm2);
const say = (mm: number, decimals = 1) => inReadersUnit(mm, 'mm', decimals, prefs.lengths).value;

function set(what: string, change: Partial<End>): void {
  edit(`${what} of ${name}`, (draft) => {
    Object.assign(draft.ends[name], change);
  });
}

/** Another stud asks for another hole: the lug is proposed afresh. */
function setStud(stud: End['stud']): void {
  edit(`stud of ${name}`, (draft) => {
    draft.ends[name].stud = stud;
    delete draft.ends[name].lugId;
  });
}

/** Lugs worth seeing: all that may be used, then the nearest of the refused with the reason. */
const SHOWN_REFUSED = 8;
const lugs = computed(() => {
  const offers = lugOffers(
    bench.shop.lugs,
    copperMm2.value,
    end.value.spec.stud,
    bench.shop.dies,
    end.value.crimpsAsked,
  );
  const usable = offers.filter(({ refused }) => refused === null);
  const refused = offers.filter((offer) => offer.refused !== null).slice(0, SHOWN_REFUSED);
  return [...usable, ...refused].map((offer) => ({
    value: offer.lug.id,
    title: offer.lug.label,
    note: offer.refused
      ? `refused: ${offer.refused}`
      : `${offer.lug.stock} left, fill ${digits(offer.fill, 2)}, ${offer.die ? `die ${offer.die.die.stamp || 'unmarked'} ${offer.die.verdict}` : 'no die owned suits'}`,
    disabled: offer.refused !== null,
  }));
});
const studs = STUD_NAMES.map((stud) => ({ value: stud, title: stud, note: 'stud' }));

const dies = computed(() =>
  end.value.lug ? dieOffers(end.value.lug, copperMm2.value, bench.shop.dies) : [],
);
const zones = computed(() => end.value.lug && dieZones({ ...end.value.lug, copperMm2: copperMm2.value }));

const needs = computed(() => end.value.sleeveTask && sleeveWindow(end.value.sleeveTask));
/** The sleeve in use and the nearest others, three in all. */
const sleeves = computed(() => {
  const task = end.value.sleeveTask;
  if (!task) return [];
  const offers = sleeveOffers(bench.shop.sleeves, task);
  const chosenId = end.value.sleeve?.sleeve.id;
  const fits = (offer: SleeveOffer) => offer.passes && offer.grips && offer.seals;
  const at = offers.findIndex(({ sleeve }) => sleeve.id === chosenId);
  const others = offers
    .filter((_, i) => i !== at)
    .sort(
      (a, b) =>
        Number(fits(b)) - Number(fits(a)) ||
        Math.abs(offers.indexOf(a) - at) - Math.abs(offers.indexOf(b) - at),
    );
  const shown = [...(at >= 0 ? [offers[at] as SleeveOffer] : []), ...others].slice(0, 3);
  return shown.sort((a, b) => a.sleeve.suppliedMm - b.sleeve.suppliedMm);
});
/** Millimetres of bore to px of the little bar. */
const bore = (mm: number) => Math.min(96, (mm / 40) * 96);
const sleeveWord = (offer: SleeveOffer) =>
  !offer.seals ? 'only marks' : !offer.passes ? 'will not pass' : !offer.grips ? 'slack' : '';
</script>

<template>
  <section :aria-label="`End ${name}`" class="min-w-0 max-sm:mb-6">
    <header class="mb-2 flex items-center gap-2">
      <span
        class="figure flex size-6 items-center justify-center rounded-full border-[1.5px] border-ink text-[14px]"
        >{{ name }}</span
      >
      <h3 class="figure truncate text-[18px] font-semibold">{{ end.spec.at || 'Not said where' }}</h3>
      <p class="note ml-auto whitespace-nowrap">
        {{ end.proposed.lug || end.proposed.die || end.proposed.sleeve ? 'proposed' : 'decided' }}
      </p>
    </header>
    <div class="grid grid-cols-[1fr_80px_104px] gap-2">
      <ChoiceField
        :label="`Lug of ${name}`"
        hide-label
        :model-value="end.lug?.id"
        :choices="lugs"
        empty="none suits"
        @update:model-value="(lugId) => set('lug', { lugId })"
      />
      <ChoiceField
        :label="`Stud of ${name}`"
        hide-label
        :model-value="end.spec.stud"
        :choices="studs"
        @update:model-value="(stud) => setStud(stud)"
      />
      <SegmentedField
        :label="`Crimps of ${name}`"
        hide-label
        :model-value="end.crimpsAsked"
        :choices="[
          { value: 1, title: '1' },
          { value: 2, title: '2 crimps' },
        ]"
        @update:model-value="(crimps) => set('crimps', { crimps: crimps === 1 ? 1 : 2 })"
      />
    </div>
    <p v-if="!end.lug" class="my-4 font-bold text-fails">
      No lug on the shelf suits this cable on {{ end.spec.stud }}. Never cut strands to fit, never drill a lug
      out.
    </p>
    <template v-else>
      <CrimpPictures :end="end" :copper-mm2="copperMm2" class="mt-2" />
      <header class="mt-2 flex items-baseline justify-between">
        <h4 class="figure text-[16px] font-semibold">Dies in the case</h4>
        <p class="note">flats measured, then c</p>
      </header>
      <DieStrip
        v-if="zones"
        :offers="dies"
        :chosen="end.die"
        :zones="zones"
        @choose="(dieId) => set('die', { dieId })"
      />
      <header class="mt-2 mb-1 flex items-baseline justify-between">
        <h4 class="figure text-[16px] font-semibold">Sleeve</h4>
        <p v-if="needs" class="note">
          grip {{ say(needs.recoveredMostMm) }}, pass {{ say(needs.suppliedLeastMm) }}
        </p>
      </header>
      <div class="grid grid-cols-3 gap-2" role="radiogroup" :aria-label="`Sleeve of end ${name}`">
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
          @click="set('sleeve', { sleeveId: offer.sleeve.id })"
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
            <StateMark
              :state="offer.passes && offer.grips && offer.seals ? 'holds' : 'fails'"
              :word="sleeveWord(offer) === ''"
            />
            <span v-if="sleeveWord(offer)" class="text-[12px] font-bold whitespace-nowrap text-fails">{{
              sleeveWord(offer)
            }}</span>
          </span>
        </button>
      </div>
    </template>
  </section>
</template>
