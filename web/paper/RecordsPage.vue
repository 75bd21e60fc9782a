<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { RouterLink } from 'vue-router';
import type { Paper } from '../../core/paper/label.ts';
import { tagFileName, testRecord, writeTestRecord } from '../../core/paper/testRecord.ts';
import { saveFile } from '../storage/files.ts';
import { pictureOf, picturesOf } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import { workOf } from '../stores/work.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { today } from '../ui/today.ts';
import { drawingPng } from './drawingPng.ts';
import { standaloneSvg } from './drawingSvg.ts';
import RecordSheet from './RecordSheet.vue';

/** Test records to print and to keep: of one cable, or of the whole job with a zip of everything. */
const { jobId, cableId } = defineProps<{ jobId: string; cableId?: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const sheets = computed(() =>
  (job.value?.cables ?? [])
    .filter(({ id }) => cableId === undefined || id === cableId)
    .map((cable) => {
      const scheduled = { cable, work: workOf(cable, bench.shop, job.value) };
      return { scheduled, record: testRecord(scheduled, job.value?.title ?? '', today()) };
    }),
);
const paper = ref<Paper>('A4');
const busy = ref('');
const problem = ref('');
const host = useTemplateRef<HTMLElement>('host');
const DRAWING_PX = 1800;

/** What makes a PDF is large, and only fetched when one is asked for. */
async function keep(what: string, make: () => Promise<void>): Promise<void> {
  busy.value = what;
  problem.value = '';
  try {
    await make();
  } catch {
    problem.value = 'This file could not be made. Print the page instead: it holds the same.';
  }
  busy.value = '';
}
async function picturesFor(index: number) {
  const { paperFonts } = await import('./fonts.ts');
  const fonts = await paperFonts();
  const svg = host.value?.querySelectorAll<SVGSVGElement>('.record-sheet .workpiece svg')[index];
  const photos = await Promise.all((sheets.value[index]?.record.photos ?? []).map(pictureOf));
  return {
    svg: svg ? standaloneSvg(svg) : '',
    pictures: {
      drawing: svg ? await drawingPng(svg, fonts, DRAWING_PX) : null,
      photos: await Promise.all(
        photos.flatMap((jpeg) => (jpeg ? [jpeg.arrayBuffer().then((buffer) => new Uint8Array(buffer))] : [])),
      ),
    },
  };
}
const fileBase = computed(() => tagFileName(sheets.value[0]?.record.tag ?? 'cable'));
const savePdf = () =>
  keep('making the PDF', async () => {
    const [{ recordPdf }, { paperFonts }] = await Promise.all([
      import('./recordPdf.ts'),
      import('./fonts.ts'),
    ]);
    const [sheet] = sheets.value;
    if (!sheet) return;
    const { pictures } = await picturesFor(0);
    const pdf = await recordPdf(sheet.record, paper.value, await paperFonts(), pictures);
    saveFile(`${fileBase.value}-record.pdf`, pdf, 'application/pdf');
  });
function saveJson(): void {
  const [sheet] = sheets.value;
  if (sheet) saveFile(`${fileBase.value}-record.json`, writeTestRecord(sheet.record), 'application/json');
}
const saveZip = () =>
  keep('making the zip', async () => {
    const own = job.value;
    if (!own) return;
    const [{ jobZip }, { paperFonts }] = await Promise.all([import('./jobZip.ts'), import('./fonts.ts')]);
    const cables = [];
    for (const [i, { record }] of sheets.value.entries()) {
      busy.value = `drawing ${i + 1} of ${sheets.value.length}`;
      cables.push({ record, ...(await picturesFor(i)) });
    }
    const zipped = await jobZip(
      own,
      bench.shop,
      cables,
      paper.value,
      await paperFonts(),
      new Date().toISOString(),
      await picturesOf(own),
      (done) => (busy.value = `record ${done} of ${cables.length}`),
    );
    saveFile(`${tagFileName(own.title)}.zip`, zipped, 'application/zip');
  });
const print = () => window.print();
</script>

<template>
  <main ref="host" class="paper mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex flex-wrap items-center gap-3 print:hidden">
      <h1 class="sr-only">Test records</h1>
      <button type="button" class="button filled" @click="print">Print</button>
      <template v-if="cableId">
        <button type="button" class="button" :disabled="busy !== ''" @click="savePdf">PDF</button>
        <button type="button" class="button" @click="saveJson">JSON</button>
        <RouterLink :to="{ name: 'print-records', params: { jobId } }" class="button"
          >Every cable of the job</RouterLink
        >
      </template>
      <button v-else type="button" class="button" :disabled="busy !== ''" @click="saveZip">
        All of it as one zip
      </button>
      <SegmentedField
        v-model="paper"
        label="Paper"
        hide-label
        class="w-36"
        :choices="[
          { value: 'A4', title: 'A4' },
          { value: 'Letter', title: 'Letter' },
        ]"
      />
      <RouterLink
        :to="
          cableId
            ? { name: 'cable', params: { jobId, cableId, stage: 'prove' } }
            : { name: 'job', params: { jobId } }
        "
        class="button"
        >{{ cableId ? 'Back to Prove' : 'Back to the bench' }}</RouterLink
      >
      <span v-if="busy" role="status">{{ busy }} …</span>
      <span v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</span>
    </div>
    <RecordSheet
      v-for="{ record, scheduled } in sheets"
      :key="scheduled.cable.id"
      :record="record"
      :scheduled="scheduled"
    />
    <p v-if="sheets.length === 0">There is no cable in this job yet.</p>
  </main>
</template>
