<script setup lang="ts">
import { onBeforeUnmount, shallowRef, watch } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';
import type { TestRecord } from '../../core/paper/testRecord.ts';
import WorkpieceDrawing from '../bench/workpiece/WorkpieceDrawing.vue';
import { pictureOf } from '../storage/photos.ts';
import { say } from '../../core/words/say.ts';

/** The test record of one cable on paper: drawing, figures against their limits, verdict, photographs, signatures. */
const { record, scheduled } = defineProps<{ record: TestRecord; scheduled: WorkedCable }>();

const photos = shallowRef<string[]>([]);
const letGo = () => photos.value.forEach((url) => URL.revokeObjectURL(url));
watch(
  () => record.photos.join(),
  async () => {
    const found = await Promise.all(record.photos.map(pictureOf));
    letGo();
    photos.value = found.flatMap((jpeg) => (jpeg ? [URL.createObjectURL(jpeg)] : []));
  },
  { immediate: true },
);
onBeforeUnmount(letGo);
</script>

<template>
  <article class="record-sheet" :data-tag="record.tag">
    <div class="flex items-start gap-4">
      <div class="min-w-0 flex-1">
        <h2 class="figure text-[26px] leading-8 font-semibold">{{ say`Test record ${record.tag}` }}</h2>
        <p class="text-[14px]">{{ say`${record.job}: ${record.from} to ${record.to}` }}</p>
      </div>
      <p
        v-if="record.simulated"
        class="figure border-2 border-black px-2 text-[16px] font-semibold whitespace-nowrap"
      >
        {{ say`SIMULATED READINGS` }}
      </p>
    </div>
    <p class="text-[12.5px]">{{ record.facts.join('; ') }}.</p>
    <p class="figure mt-2 border-y-2 border-black py-1.5 text-[19px] leading-6 font-semibold">
      {{ record.verdict }}
    </p>
    <p class="text-[13px]">
      <span v-for="own in record.ends" :key="own.end" class="mr-4"
        ><b>{{ say`End ${own.end}.` }}</b> {{ own.verdict }}.</span
      >
    </p>
    <WorkpieceDrawing :cable="scheduled.cable" :work="scheduled.work" stage="prove" class="drawing my-2" />
    <table class="w-full border-collapse text-[12px] leading-[15px]">
      <thead>
        <tr class="border-b-2 border-black text-left">
          <th class="font-normal" scope="col">{{ say`figure` }}</th>
          <th class="w-4 font-normal" scope="col">
            <span class="sr-only">{{ say`end` }}</span>
          </th>
          <th class="font-normal" scope="col">{{ say`read` }}</th>
          <th class="font-normal" scope="col">{{ say`limit` }}</th>
          <th class="font-normal" scope="col">{{ say`left` }}</th>
          <th class="font-normal" scope="col">{{ say`state` }}</th>
          <th class="font-normal" scope="col">{{ say`tested by, date, instrument` }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, i) in record.rows"
          :key="i"
          class="break-inside-avoid border-b border-[#999] align-top"
        >
          <td class="py-1 pr-2">
            {{ row.title }}
            <span v-if="row.why" class="block text-[10.5px] leading-[13px] text-[#444]">{{ row.why }}</span>
          </td>
          <td class="py-1">{{ row.end }}</td>
          <td class="figure py-1 pr-2 text-[15px] font-semibold whitespace-nowrap">{{ row.value }}</td>
          <td class="py-1 pr-2">{{ row.limit }}</td>
          <td class="py-1 pr-2 whitespace-nowrap">{{ row.left }}</td>
          <td class="py-1 pr-2 font-bold">{{ row.says }}</td>
          <td class="py-1">
            <b v-if="row.simulated" class="border border-black px-1">{{ say`SIMULATED` }}</b> {{ row.read }}
          </td>
        </tr>
      </tbody>
    </table>
    <ul v-if="record.history.length > 0" class="mt-2 text-[11px]">
      <li v-for="line in record.history" :key="line">{{ line }}</li>
    </ul>
    <div v-if="photos.length > 0" class="mt-2 grid grid-cols-4 gap-2">
      <img v-for="url in photos" :key="url" :src="url" alt="" class="max-h-40 w-full object-contain" />
    </div>
    <p class="mt-3 text-[12px]">{{ record.sealed }}.</p>
    <div class="mt-8 grid grid-cols-3 gap-6 break-inside-avoid">
      <p v-for="who in record.signatures" :key="who" class="border-t border-black pt-0.5 text-[11px]">
        {{ say`${who}, date` }}
      </p>
    </div>
    <p class="mt-3 text-[11px]">{{ say`${record.foot} Printed ${record.day}.` }}</p>
  </article>
</template>

<style>
.record-sheet .drawing {
  border: 0;
  filter: grayscale(1) contrast(1.1);
}
.record-sheet + .record-sheet {
  margin-top: 28px;
  padding-top: 20px;
  border-top: 1px dashed #999;
}
@media print {
  .record-sheet + .record-sheet {
    break-before: page;
    margin-top: 0;
    padding-top: 0;
    border-top: 0;
  }
  .record-sheet .drawing svg {
    max-width: 100%;
    height: auto;
  }
}
</style>
