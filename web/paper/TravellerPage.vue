<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { travellerDoc } from '../../core/paper/travellerDoc.ts';
import WorkpieceDrawing from '../bench/workpiece/WorkpieceDrawing.vue';
import { useBench } from '../stores/bench.ts';
import { workOf } from '../stores/work.ts';
import { say } from '../../core/words/say.ts';

/** The traveller of one cable on one or two pages: its drawing, its cautions, a box and a line to write on for each step. */
const { jobId, cableId } = defineProps<{ jobId: string; cableId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const cable = computed(() => job.value?.cables.find(({ id }) => id === cableId));
const work = computed(() => cable.value && workOf(cable.value, bench.shop, job.value));
const doc = computed(() =>
  cable.value && work.value && job.value
    ? travellerDoc({ cable: cable.value, work: work.value }, job.value.title)
    : null,
);
const isDone = (i: number) => {
  const step = work.value?.steps[i];
  return step !== undefined && (cable.value?.done.some((own) => own.step === step.id) ?? false);
};
const print = () => window.print();
</script>

<template>
  <main v-if="doc && cable && work" class="paper traveller mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex items-center gap-3 print:hidden">
      <button type="button" class="button filled" @click="print">{{ say`Print` }}</button>
      <RouterLink :to="{ name: 'cable', params: { jobId, cableId, stage: 'make' } }" class="button">{{
        say`Back to Make`
      }}</RouterLink>
    </div>
    <h1 class="figure text-[26px] leading-8 font-semibold">{{ doc.title }}</h1>
    <p class="text-[14px]">{{ doc.subtitle }}</p>
    <p class="text-[13px]">{{ doc.facts.join('; ') }}.</p>
    <WorkpieceDrawing :cable="cable" :work="work" stage="make" class="drawing my-2" />
    <p v-if="doc.lines.length === 0" class="my-4">
      {{ say`It cannot be made yet: both ends need a lug, a die that suits it, and a sleeve.` }}
    </p>
    <template v-else>
      <section class="mb-2 grid grid-cols-3 gap-x-4 border-y border-black py-1 text-[11px] leading-[14px]">
        <p v-for="caution in doc.cautions" :key="caution.title">
          <b>{{ caution.title }}.</b> {{ caution.items.join('. ') }}.
        </p>
      </section>
      <table class="w-full border-collapse text-[12px] leading-[15px]">
        <thead>
          <tr class="border-b-2 border-black text-left">
            <th class="w-7">
              <span class="sr-only">{{ say`Done` }}</span>
            </th>
            <th class="w-6 font-normal">n</th>
            <th class="font-normal">{{ say`step` }}</th>
            <th class="w-36 font-normal">{{ say`figure` }}</th>
            <th class="w-28 font-normal">{{ say`measured` }}</th>
            <th class="w-16 font-normal">{{ say`who` }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(line, i) in doc.lines"
            :key="line.number"
            class="break-inside-avoid border-b border-[#999]"
          >
            <td class="py-1 align-top">
              <span
                class="flex size-[15px] items-center justify-center border border-black text-[13px] leading-3"
                >{{ isDone(i) ? '✓' : '' }}</span
              >
            </td>
            <td class="py-1 align-top">{{ line.number }}</td>
            <td class="py-1 pr-2 align-top">
              <b>{{ line.order }}.</b>
              <span v-if="line.gates" class="italic">{{ ' ' }}{{ say`First: ${line.gates}.` }}</span>
              <span class="block text-[10.5px] leading-[13px]">{{ line.detail }}</span>
            </td>
            <td class="py-1 pr-2 align-top">
              <span class="figure text-[15px] font-semibold">{{ line.figure }}</span>
            </td>
            <td class="py-1 align-top">
              <template v-if="line.limit">
                <span class="block border-b border-black">&nbsp;</span>{{ line.limit }}
              </template>
            </td>
            <td class="py-1 pl-2 align-top"><span class="block border-b border-black">&nbsp;</span></td>
          </tr>
        </tbody>
      </table>
      <section class="mt-3 break-inside-avoid text-[12px]" :aria-label="say`Lots of the material`">
        <h2 class="font-bold">{{ say`Lots of the material` }}</h2>
        <dl class="grid grid-cols-3 gap-x-4 gap-y-1">
          <div v-for="row in doc.lots" :key="row.title" class="flex items-end gap-1">
            <dt>{{ row.title }}</dt>
            <dd class="figure min-w-0 flex-1 border-b border-black text-[14px]">{{ row.lot || ' ' }}</dd>
          </div>
        </dl>
      </section>
      <p class="mt-3 text-[11px]">{{ doc.foot }}</p>
    </template>
  </main>
</template>

<style>
.traveller .drawing {
  border: 0;
  filter: grayscale(1) contrast(1.1);
}
@media print {
  .traveller .drawing svg {
    max-width: 100%;
    height: auto;
  }
}
</style>
