<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { Job } from '../../core/model/job.ts';
import { SYSTEM_INPUTS } from '../../core/model/run.ts';
import { postTitle } from '../../core/system/places.ts';
import { withInputs } from '../../core/system/edits.ts';
import type { Shown } from '../../core/system/shown.ts';
import type { SystemView } from '../../core/system/view.ts';
import { digits } from '../../core/words/numerals.ts';
import { placeOf } from '../places.ts';
import { runText, sizeText } from '../ui/display.ts';
import { say } from '../../core/words/say.ts';

/** The same as the diagram, as a list: for the ear, for a phone, and for whoever reads tables better than lines. */
const { view, shown, jobId, isOpen } = defineProps<{
  view: SystemView;
  shown: Shown;
  jobId: string;
  isOpen: boolean;
}>();
const emit = defineEmits<{ place: [id: string]; change: [what: string, make: (job: Job) => Job] }>();

const isShown = ref(false);
const figure = (value: number | null | undefined, unit: string, decimals: number) =>
  value === null || value === undefined ? '–' : `${digits(Math.abs(value), decimals)} ${unit}`;
const places = computed(() =>
  view.installation.system.places.map((place) => {
    const flow = shown.places.get(place.id);
    const cables = view.installation.conductors.filter(({ cable: { ends } }) =>
      [ends.A.on?.place, ends.B.on?.place].includes(place.id),
    );
    const isTwoPole = ['battery', 'supply', 'load', 'dcdc'].includes(place.kind);
    return {
      place,
      figures: [...(isTwoPole ? [figure(flow?.volts, 'V', 2)] : []), figure(flow?.amps, 'A', 1)].join(', '),
      cables: cables.map(({ cable }) => cable.tag).join(', '),
    };
  }),
);
const cables = computed(() =>
  view.installation.conductors.map(({ cable, size }) => {
    const called = (end: 'A' | 'B') => {
      const { on, at } = cable.ends[end];
      const place = on && view.placeOf(on.place);
      return place && on ? postTitle(place, on.post) : at;
    };
    return {
      cable,
      from: called('A'),
      to: called('B'),
      size: sizeText(size.size),
      amps: figure(shown.cables.get(cable.id)?.amps, 'A', 1),
      isTaken: (cable.run.fromSystem?.length ?? 0) > 0,
    };
  }),
);
const typed = computed(() => cables.value.filter(({ isTaken }) => !isTaken));
const all = (isTaken: boolean) =>
  emit('change', isTaken ? say`take figures from the system` : say`figures as typed`, (job) =>
    withInputs(
      job,
      cables.value.map(({ cable }) => cable.id),
      isTaken,
      SYSTEM_INPUTS,
    ),
  );
const toggle = (id: string, isTaken: boolean) =>
  emit('change', isTaken ? say`take figures from the system` : say`figures as typed`, (job) =>
    withInputs(job, [id], isTaken, SYSTEM_INPUTS),
  );
</script>

<template>
  <section :aria-label="say`Places and cables`" class="mt-2">
    <button
      v-if="!isOpen"
      type="button"
      class="figure flex min-h-9 items-center gap-1 text-[15px] font-semibold text-teal"
      :aria-expanded="isShown"
      @click="isShown = !isShown"
    >
      {{ isShown ? say`Hide places and cables` : say`Places and cables as a list` }}
    </button>
    <div v-if="isOpen || isShown" class="grid gap-4">
      <table class="w-full border-collapse text-left">
        <caption class="figure py-1 text-left text-[15px] font-semibold">
          {{ say`Places` }}
        </caption>
        <tbody>
          <tr v-for="own in places" :key="own.place.id" class="border-b border-hairline">
            <th class="py-0.5 font-normal">
              <button
                type="button"
                class="min-h-8 pointer-coarse:min-h-11 text-left text-teal"
                @click="$emit('place', own.place.id)"
              >
                {{ own.place.name }}
              </button>
            </th>
            <td class="figure px-2 text-[15px] whitespace-nowrap">{{ own.figures }}</td>
            <td class="note px-2">{{ own.cables || say`no cable` }}</td>
          </tr>
        </tbody>
      </table>
      <table class="w-full border-collapse text-left">
        <caption class="figure py-1 text-left text-[15px] font-semibold">
          {{ say`Cables` }}
          <button v-if="typed.length > 0" type="button" class="button small ml-3" @click="all(true)">
            {{ say`Take all figures from the system` }}
          </button>
        </caption>
        <tbody>
          <tr v-for="own in cables" :key="own.cable.id" class="border-b border-hairline">
            <th class="py-0.5 font-normal">
              <RouterLink
                :to="placeOf(jobId, own.cable.id, 'gauge')"
                class="figure flex min-h-8 pointer-coarse:min-h-11 pointer-coarse:min-w-11 items-center text-[15px] font-semibold text-teal"
                >{{ own.cable.tag }}</RouterLink
              >
            </th>
            <td class="px-2">{{ own.from }} → {{ own.to }}</td>
            <td class="figure px-2 text-[15px] whitespace-nowrap">
              {{ own.size }},
              {{ runText(own.cable.run.lengthMm + own.cable.run.loopMm) }}
            </td>
            <td class="figure px-2 text-[15px] font-semibold whitespace-nowrap">{{ own.amps }}</td>
            <td class="px-2 text-right">
              <button
                type="button"
                class="min-h-8 pointer-coarse:min-h-11 pointer-coarse:min-w-11 text-teal"
                :aria-pressed="own.isTaken"
                @click="toggle(own.cable.id, !own.isTaken)"
              >
                {{ own.isTaken ? say`from the system` : say`as typed` }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
