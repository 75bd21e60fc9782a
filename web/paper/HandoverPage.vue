<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { RouterLink } from 'vue-router';
import { dueEvents } from '../../core/log/dueEvents.ts';
import { dueList, logOf } from '../../core/log/log.ts';
import { handover } from '../../core/paper/handover.ts';
import { tagFileName } from '../../core/paper/testRecord.ts';
import { computedAsync } from '@vueuse/core';
import { systemDocs } from '../../core/paper/systemDoc.ts';
import { diagramOf } from '../../core/system/diagram.ts';
import { shownIn } from '../../core/system/shown.ts';
import { systemFindings } from '../../core/systemFigures.ts';
import { systemOf } from '../stores/work.ts';
import SystemDrawing from '../system/SystemDrawing.vue';
import StackPicture from '../bench/ends/StackPicture.vue';
import { huntsOf, saveFile } from '../storage/files.ts';
import { picturesOf } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import FillingMark from '../ui/FillingMark.vue';
import { today } from '../ui/today.ts';
import { drawingOnPaper } from './paperPicture.ts';
import RecordSheet from './RecordSheet.vue';
import { useSheets } from './sheets.ts';
import { useMaking } from '../ui/useMaking.ts';
import { say } from '../../core/words/say.ts';
import PaperField from './PaperField.vue';
import { usePrefs } from '../stores/prefs.ts';

/** A job as it was built, to hand over: on the page, as one PDF, and as one zip with everything in it. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const { job, sheets, drawn, worked, all, ready, picturesFor } = useSheets(() => ({ jobId }));
/** Pictures that are kept with a cable and cannot be read, by its tag. */
const damaged = ref<readonly string[]>([]);
const { busy, problem, keep, step, stop } = useMaking();
const { prefs } = usePrefs();
const host = useTemplateRef<HTMLElement>('host');
const STACK_PX = 1000;
const DIAGRAM_PX = 2400;
/** The installation of the job, where it has one. */
const system = computed(() => (job.value?.system ? systemOf(job.value, bench.shop) : undefined));
const systemFound = computed(() =>
  system.value
    ? systemFindings(
        system.value,
        sheets.value.map(({ scheduled }) => scheduled.work),
        bench.shop,
      )
    : [],
);
const shown = computed(() => system.value && shownIn(system.value.view, null));
const diagram = computedAsync(async () => {
  if (!system.value) return null;
  const { laidOut } = await import('../system/layout.ts');
  return laidOut(diagramOf(system.value.view)).catch(() => null);
}, null);
const NOTHING = { places: [], cables: [] };
const made = computed(
  () =>
    new Set(
      sheets.value
        .filter(({ scheduled }) => scheduled.work.stages.make.done)
        .map(({ scheduled }) => scheduled.cable.id),
    ),
);
const pack = computed(() =>
  job.value && worked.value >= all.value
    ? handover(
        job.value,
        sheets.value.map(({ scheduled }) => scheduled),
        bench.shop,
        today(),
        system.value ? systemDocs(system.value, systemFound.value, job.value.title) : [],
      )
    : null,
);
const lists = computed(() =>
  pack.value ? [...pack.value.system, pack.value.schedule, pack.value.ends, pack.value.dues] : [],
);

/** All that the PDF and the zip are made of; nothing where the page is not there. */
async function parts() {
  step(say`waiting for every sheet`);
  await ready();
  const [packed, onSheets] = [pack.value, host.value];
  if (!packed || !onSheets) return null;
  const [{ handoverPdf }, { paperFonts }] = await Promise.all([
    import('./handoverPdf.ts'),
    import('./fonts.ts'),
  ]);
  const fonts = await paperFonts();
  const cables = [];
  const unreadable: string[] = [];
  for (const [i, { record }] of sheets.value.entries()) {
    step(say`drawing ${i + 1} of ${sheets.value.length}`);
    const { missing, ...drawing } = await picturesFor(onSheets, i, fonts);
    cables.push({ record, ...drawing });
    if (missing > 0) unreadable.push(say`${record.tag} (${missing})`);
  }
  damaged.value = unreadable;
  const stacks = [];
  for (const svg of onSheets.querySelectorAll<SVGSVGElement>('.stack-sheet svg'))
    stacks.push(await drawingOnPaper(svg, fonts, STACK_PX).catch(() => null));
  const drawing = onSheets.querySelector<SVGSVGElement>('.system-sheet svg');
  const picture = drawing ? await drawingOnPaper(drawing, fonts, DIAGRAM_PX).catch(() => null) : null;
  const told = (done: number) => {
    step(say`record ${done} of ${cables.length}`);
  };
  const pdf = await handoverPdf(packed, cables, prefs.paper, fonts, stacks, told, picture);
  return { pdf, cables, fonts };
}
const base = computed(() => `${tagFileName(job.value?.title ?? 'job')}-handover`);
const savePdf = () =>
  keep(say`making the PDF`, async () => {
    const made = await parts();
    if (made) saveFile(`${base.value}.pdf`, made.pdf, 'application/pdf');
  });
const saveZip = () =>
  keep(say`making the zip`, async () => {
    const handed = job.value;
    const made = await parts();
    if (!handed || !made) return;
    const [{ jobZip }, { dueCalendar }] = await Promise.all([
      import('./jobZip.ts'),
      import('../log/calendar.ts'),
    ]);
    const now = new Date();
    const due = dueCalendar(dueEvents(dueList(logOf([handed], bench.shop))), handed.title, now);
    const zipped = await jobZip(
      handed,
      bench.shop,
      made.cables,
      prefs.paper,
      made.fonts,
      now.toISOString(),
      await picturesOf(handed),
      {
        hunts: huntsOf(handed.id),
        files: { 'handover.pdf': made.pdf, 'due.ics': new TextEncoder().encode(due) },
      },
    );
    saveFile(`${base.value}.zip`, zipped, 'application/zip');
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
      <button type="button" class="button filled" :disabled="busy !== ''" @click="savePdf">
        {{ say`All of it as one PDF` }}
      </button>
      <button type="button" class="button" :disabled="busy !== ''" @click="saveZip">
        {{ say`One zip` }}
      </button>
      <button type="button" class="button" @click="print">{{ say`Print` }}</button>
      <PaperField hide-label class="w-36" />
      <RouterLink :to="{ name: 'job', params: { jobId } }" class="button">{{
        say`Back to the bench`
      }}</RouterLink>
      <template v-if="busy">
        <span role="status">{{ busy }} …</span>
        <button type="button" class="button" @click="stop">{{ say`Stop` }}</button>
      </template>
      <span v-if="damaged.length > 0" class="font-bold text-fails" role="alert">{{
        say`Pictures that cannot be read are left out: ${damaged.join(', ')}.`
      }}</span>
      <span v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</span>
    </div>
    <template v-if="!pack && job">
      <h1 class="figure text-[30px] leading-9 font-semibold">{{ job.title }}</h1>
      <p class="text-[15px]">{{ job.subtitle }}</p>
    </template>
    <FillingMark :done="Math.min(worked, drawn.length)" :all="all" />
    <template v-if="pack">
      <p class="note">{{ say`Handover` }}</p>
      <h1 class="figure text-[30px] leading-9 font-semibold">{{ pack.title }}</h1>
      <p class="text-[15px]">{{ pack.subtitle }}</p>
      <p class="mt-1">{{ pack.facts.join('; ') }}.</p>
      <h2 class="figure mt-4 border-b border-line text-[18px] font-semibold">{{ say`Still open` }}</h2>
      <p v-if="pack.open.length === 0">
        {{ say`Nothing: every cable is proved, and no reading is simulated.` }}
      </p>
      <p v-for="line in pack.open" :key="line" class="font-bold">{{ line }}</p>
      <h2 class="figure mt-4 border-b border-line text-[18px] font-semibold">
        {{ say`Before you touch it` }}
      </h2>
      <div class="grid gap-x-6 sm:grid-cols-2">
        <div v-for="caution in pack.cautions" :key="caution.title" class="mt-1">
          <p class="font-bold text-fails">{{ caution.title }}</p>
          <ul class="list-disc pl-5">
            <li v-for="item in caution.items" :key="item">{{ item }}</li>
          </ul>
        </div>
      </div>
      <template v-if="pack.stacks.length > 0">
        <h2 class="figure mt-4 border-b border-line text-[18px] font-semibold">{{ say`Stud stacks` }}</h2>
        <div class="grid gap-6 sm:grid-cols-2">
          <div v-for="own in pack.stacks" :key="own.name" class="stack-sheet mt-2 break-inside-avoid">
            <p class="font-bold">{{ own.name }}, {{ own.stack.stud }}</p>
            <StackPicture :stack="own.stack" class="w-full" />
            <p v-for="line in own.lines" :key="line">{{ line }}</p>
          </div>
        </div>
      </template>
      <section v-if="system && shown && diagram" class="system-sheet mt-5 break-inside-avoid">
        <h2 class="figure border-b border-line text-[18px] font-semibold">{{ say`System` }}</h2>
        <div class="overflow-x-auto [&_svg]:h-auto [&_svg]:max-w-full">
          <SystemDrawing
            :view="system.view"
            :drawn="diagram"
            :shown="shown"
            :state-id="null"
            :findings="systemFound"
            :pointed="NOTHING"
            still
            :made="made"
          />
        </div>
      </section>
      <section v-for="list in lists" :key="list.title" class="mt-5">
        <h2 class="figure border-b border-line text-[18px] font-semibold">{{ list.title }}</h2>
        <p class="note">{{ list.subtitle }}</p>
        <div class="overflow-x-auto">
          <table class="w-full border-collapse text-[12px]">
            <thead>
              <tr class="border-b border-line">
                <th
                  v-for="column in list.columns"
                  :key="column.title"
                  class="py-0.5 pr-2 font-normal text-ink2"
                  :class="column.right ? 'text-right' : 'text-left'"
                >
                  {{ column.title }}
                </th>
              </tr>
            </thead>
            <tbody v-for="section in list.sections" :key="section.title">
              <tr v-if="section.title">
                <th :colspan="list.columns.length" class="pt-2 text-left">{{ section.title }}</th>
              </tr>
              <tr v-for="(row, i) in section.rows" :key="i" class="border-b border-hairline">
                <td
                  v-for="(cell, j) in row"
                  :key="j"
                  class="py-0.5 pr-2"
                  :class="list.columns[j]?.right ? 'text-right' : ''"
                >
                  {{ cell }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <p class="note mt-3">{{ pack.foot }}</p>
      <div class="mt-6 border-t-2 border-line pt-4">
        <RecordSheet
          v-for="{ record, scheduled } in drawn"
          :key="scheduled.cable.id"
          :record="record"
          :scheduled="scheduled"
        />
      </div>
    </template>
  </main>
</template>
