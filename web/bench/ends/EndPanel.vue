<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { Check, TriangleAlert } from '@lucide/vue';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { STUD_NAMES } from '../../../core/model/tables/studs.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { dieOffers } from '../../../core/termination/dies/dieOffers.ts';
import { dieZones } from '../../../core/termination/dies/dieOnLug.ts';
import { lugOffers } from '../../../core/termination/lugOffers.ts';
import { usesDie } from '../../../core/model/method.ts';
import { meetsWord } from '../../../core/model/posts.ts';
import { lugNeed } from '../../../core/termination/resolveEnd.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import { openCase } from '../../../core/termination/dies/toolCase.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import CrimpPictures from './CrimpPictures.vue';
import DieStrip from './DieStrip.vue';
import { useEndEdit } from './useEndEdit.ts';
import { say } from '../../../core/words/say.ts';

/** The lug that fits cable and stud, why it is the one, and the die that fits the lug. */
const { name, cable, work, jobId } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  jobId: string;
}>();

const bench = useBench();
const set = useEndEdit(() => ({ jobId, cable, name }));
const end = computed(() => work.ends[name]);
const toolCase = computed(() => openCase(bench.shop));

/** All that may be used, then the nearest of the refused with the reason. */
const SHOWN_REFUSED = 8;
const offers = computed(() =>
  lugOffers(
    lugNeed(cable.ends[name], work.conductor, end.value.copperMm2, bench.shop.practice, end.value.palm),
    toolCase.value,
  ),
);
const lugs = computed(() => {
  const usable = offers.value.filter(({ refused }) => refused === null);
  const refused = offers.value.filter((offer) => offer.refused !== null).slice(0, SHOWN_REFUSED);
  return [...usable, ...refused].map((offer) => ({
    value: offer.lug.id,
    title: offer.lug.label,
    note:
      offer.refused === null
        ? say`${offer.lug.stock} left, ${offer.reasons.map(({ words }) => tell(words)).join(', ')}`
        : say`refused: ${offer.refused}`,
    disabled: offer.refused !== null,
  }));
});
const reasons = computed(() => offers.value.find(({ lug }) => lug.id === end.value.lug?.id)?.reasons ?? []);
const studs = STUD_NAMES.map((stud) => ({ value: stud, title: stud, note: say`stud` }));

const dies = computed(() =>
  end.value.lug
    ? dieOffers(end.value.lug, end.value.copperMm2, toolCase.value, cable.ends[name].inPlace)
    : [],
);
const zones = computed(() => end.value.lug && dieZones({ ...end.value.lug, copperMm2: end.value.copperMm2 }));
const isCrimped = computed(() => usesDie(end.value.method));
const meets = computed(() => end.value.meets);
</script>

<template>
  <div>
    <div
      class="grid gap-2"
      :class="cable.ends[name].post && !isCrimped ? 'grid-cols-[1fr_auto]' : 'grid-cols-[1fr_80px_104px]'"
    >
      <ChoiceField
        :label="say`Lug of ${name}`"
        hide-label
        :model-value="end.lug?.id"
        :choices="lugs"
        :empty="say`none suits`"
        @update:model-value="(lugId) => set(say`lug`, { lugId })"
      />
      <ChoiceField
        v-if="!cable.ends[name].post"
        :label="say`Stud of ${name}`"
        hide-label
        :model-value="cable.ends[name].stud"
        :choices="studs"
        @update:model-value="(stud) => set(say`stud`, { stud, lugId: undefined })"
      />
      <p v-else class="note self-center leading-4">{{ tell(meetsWord(meets)) }}</p>
      <SegmentedField
        v-if="isCrimped"
        :label="say`Crimps of ${name}`"
        hide-label
        :model-value="end.crimpsAsked"
        :choices="[
          { value: 1, title: '1' },
          { value: 2, title: say`2 crimps` },
        ]"
        @update:model-value="(crimps) => set(say`crimps`, { crimps: crimps === 1 ? 1 : 2 })"
      />
    </div>
    <p v-if="!end.lug" class="my-4 font-bold text-fails">
      {{
        say`No lug on the shelf suits this cable on ${meetsWord(meets)}. Never cut strands to fit, never drill a lug out.`
      }}
    </p>
    <template v-else>
      <CrimpPictures :end="end" class="mt-2" />
      <ul class="mb-1.5 flex flex-wrap gap-x-3 gap-y-0.5" :aria-label="say`Why this lug`">
        <li
          v-for="reason in reasons"
          :key="reason.about"
          class="flex items-center gap-1 text-[12.5px]"
          :class="reason.good ? 'text-ink2' : 'font-bold text-close'"
        >
          <Check v-if="reason.good" :size="13" class="text-holds" :aria-label="say`for it:`" />
          <TriangleAlert v-else :size="13" :aria-label="say`against it:`" />{{ tell(reason.words) }}
        </li>
      </ul>
      <template v-if="isCrimped">
        <header class="flex items-baseline justify-between gap-3">
          <h4 class="figure shrink-0 text-[16px] font-semibold">{{ say`Your dies` }}</h4>
          <p class="note text-right">
            {{ say`across flats, then compaction c ·` }}
            <RouterLink
              :to="{ name: 'case', params: { jobId }, query: { lug: end.lug.id } }"
              class="font-bold text-teal underline"
              >{{ say`all lugs and dies` }}</RouterLink
            >
            <template v-if="end.die">
              ·
              <RouterLink
                :to="{
                  name: 'section',
                  params: { jobId },
                  query: { lug: end.lug.id, die: end.die.die.id, draw: 'one' },
                }"
                class="font-bold text-teal underline"
                >{{ say`cross-section` }}</RouterLink
              >
            </template>
          </p>
        </header>
        <DieStrip
          v-if="zones"
          :offers="dies"
          :chosen="end.die"
          :zones="zones"
          @choose="(dieId) => set(say`die`, { dieId })"
        />
      </template>
    </template>
  </div>
</template>
