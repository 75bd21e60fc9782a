<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { RouterLink } from 'vue-router';
import { tagFileName, writeTestRecord } from '../../core/paper/testRecord.ts';
import { huntsOf, saveFile } from '../storage/files.ts';
import { picturesOf } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import FillingMark from '../ui/FillingMark.vue';
import RecordSheet from './RecordSheet.vue';
import { useSheets } from './sheets.ts';
import { useMaking } from '../ui/useMaking.ts';
import { say } from '../../core/words/say.ts';
import PaperField from './PaperField.vue';
import { usePrefs } from '../stores/prefs.ts';

/** Test records to print and to keep: of one cable, or of the whole job with a zip of everything. */
const { jobId, cableId } = defineProps<{ jobId: string; cableId?: string }>();

const bench = useBench();
const { job, sheets, drawn, worked, all, ready, picturesFor } = useSheets(() => ({ jobId, cableId }));
/** Pictures that are kept with a cable and cannot be read, by its tag. */
const damaged = ref<readonly string[]>([]);
const { busy, problem, keep, step, stop } = useMaking();
const { prefs } = usePrefs();
const host = useTemplateRef<HTMLElement>('host');

const fileBase = computed(() => tagFileName(sheets.value[0]?.record.tag ?? 'cable'));
const savePdf = () =>
  keep(say`making the PDF`, async () => {
    const [{ recordPdf }, { paperFonts }] = await Promise.all([
      import('./recordPdf.ts'),
      import('./fonts.ts'),
    ]);
    await ready();
    const [sheet] = sheets.value;
    if (!sheet || !host.value) return;
    const fonts = await paperFonts();
    const { pictures, missing } = await picturesFor(host.value, 0, fonts);
    damaged.value = missing > 0 ? [say`${sheet.record.tag} (${missing})`] : [];
    const pdf = await recordPdf(sheet.record, prefs.paper, fonts, pictures);
    saveFile(`${fileBase.value}-record.pdf`, pdf, 'application/pdf');
  });
function saveJson(): void {
  const [sheet] = sheets.value;
  if (sheet) saveFile(`${fileBase.value}-record.json`, writeTestRecord(sheet.record), 'application/json');
}
const saveZip = () =>
  keep(say`making the zip`, async () => {
    const printed = job.value;
    if (!printed || !host.value) return;
    const [{ jobZip }, { paperFonts }] = await Promise.all([import('./jobZip.ts'), import('./fonts.ts')]);
    const fonts = await paperFonts();
    step(say`waiting for every sheet`);
    await ready();
    const cables = [];
    const unreadable: string[] = [];
    for (const [i, { record }] of sheets.value.entries()) {
      step(say`drawing ${i + 1} of ${sheets.value.length}`);
      const { missing, ...drawing } = await picturesFor(host.value, i, fonts);
      cables.push({ record, ...drawing });
      if (missing > 0) unreadable.push(say`${record.tag} (${missing})`);
    }
    damaged.value = unreadable;
    const zipped = await jobZip(
      printed,
      bench.shop,
      cables,
      prefs.paper,
      fonts,
      new Date().toISOString(),
      await picturesOf(printed),
      {
        hunts: huntsOf(printed.id),
        told: (done) => step(say`record ${done} of ${cables.length}`),
      },
    );
    saveFile(`${tagFileName(printed.title)}.zip`, zipped, 'application/zip');
  });
const print = () =>
  keep(say`waiting for every sheet`, async () => {
    await ready();
    window.print();
  });
</script>

<template>
  <main ref="host" class="paper mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex flex-wrap items-center gap-3 print:hidden">
      <h1 class="sr-only">{{ say`Test records` }}</h1>
      <button type="button" class="button filled" @click="print">{{ say`Print` }}</button>
      <template v-if="cableId">
        <button type="button" class="button" :disabled="busy !== ''" @click="savePdf">PDF</button>
        <button type="button" class="button" @click="saveJson">{{ say`JSON` }}</button>
        <RouterLink :to="{ name: 'print-records', params: { jobId } }" class="button">{{
          say`Every cable of the job`
        }}</RouterLink>
      </template>
      <button v-else type="button" class="button" :disabled="busy !== ''" @click="saveZip">
        {{ say`All of it as one zip` }}
      </button>
      <PaperField hide-label class="w-36" />
      <RouterLink
        :to="
          cableId
            ? { name: 'cable', params: { jobId, cableId, stage: 'prove' } }
            : { name: 'job', params: { jobId } }
        "
        class="button"
        >{{ cableId ? say`Back to Prove` : say`Back to the bench` }}</RouterLink
      >
      <template v-if="busy">
        <span role="status">{{ busy }} …</span>
        <button type="button" class="button" @click="stop">{{ say`Stop` }}</button>
      </template>
      <span v-if="damaged.length > 0" class="font-bold text-fails" role="alert">{{
        say`Pictures that cannot be read are left out: ${damaged.join(', ')}.`
      }}</span>
      <span v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</span>
    </div>
    <FillingMark :done="Math.min(worked, drawn.length)" :all="all" />
    <RecordSheet
      v-for="{ record, scheduled } in drawn"
      :key="scheduled.cable.id"
      :record="record"
      :scheduled="scheduled"
    />
    <p v-if="all === 0">{{ say`There is no cable in this job yet.` }}</p>
  </main>
</template>
