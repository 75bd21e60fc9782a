<script setup lang="ts">
import { Download, Printer, Upload } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import type { Kit } from '../../core/cutting/kit.ts';
import { writeCuttingListCsv, writeKitCsv } from '../../core/cutting/listsCsv.ts';
import type { Job } from '../../core/model/job.ts';
import { writeScheduleCsv } from '../../core/paper/schedule.ts';
import { type LabelKind, labelOf, labelSheets } from '../../core/paper/label.ts';
import { cuttingListDoc, kitDoc, type ListDoc, scheduleDoc } from '../../core/paper/listDoc.ts';
import { saveListPdf } from '../paper/saveListPdf.ts';
import { saveFile } from '../storage/files.ts';
import { useBench } from '../stores/bench.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { today } from '../ui/today.ts';
import type { Made } from './made.ts';
import ScheduleImport from './ScheduleImport.vue';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';
import PaperField from '../paper/PaperField.vue';
import { usePrefs } from '../stores/prefs.ts';

/** Lists and labels to print and to keep, and a schedule to bring in. */
const { job, made, plans, kit } = defineProps<{
  job: Job;
  made: readonly Made[];
  plans: readonly GroupPlan[];
  kit: Kit;
}>();

const bench = useBench();
const { prefs } = usePrefs();
const kind = ref<LabelKind>('wrap');
const busy = ref('');
const problem = ref('');
const isImporting = ref(false);
// Whoever asked for it elsewhere finds the box open.
const route = useRoute();
watch(
  () => route.query['part'],
  (part) => (isImporting.value ||= part === 'schedule'),
  { immediate: true },
);

const lists = computed(() => [
  {
    key: 'cutting',
    title: say`Cutting list`,
    doc: (): ListDoc => cuttingListDoc(job.title, plans),
    csv: () => writeCuttingListCsv(plans),
  },
  {
    key: 'kit',
    title: say`Kit list`,
    doc: (): ListDoc => kitDoc(job.title, kit),
    csv: () => writeKitCsv(kit, bench.shop.currency),
  },
  {
    key: 'schedule',
    title: say`Cable schedule`,
    doc: (): ListDoc => scheduleDoc(job.title, made),
    csv: () => writeScheduleCsv(made),
  },
]);
const sheets = () =>
  labelSheets(
    made.map((own) => labelOf(own, today())),
    kind.value,
    prefs.paper,
  );

async function save(key: string, make: () => Promise<void>): Promise<void> {
  busy.value = key;
  problem.value = '';
  try {
    await make();
  } catch {
    problem.value = say`This file could not be made. The CSV and the print view hold the same.`;
  }
  busy.value = '';
}
const savePdf = (key: string, doc: ListDoc) =>
  save(say`${key} PDF`, () => saveListPdf(key, doc, prefs.paper));
const saveLabels = (as: 'pdf' | 'svg') =>
  save(say`labels ${as}`, async () => {
    const { labelPdf, labelSvg } = await import('../paper/labels.ts');
    if (as === 'pdf') {
      const { paperFonts } = await import('../paper/fonts.ts');
      saveFile('labels.pdf', await labelPdf(sheets(), prefs.paper, await paperFonts()), 'application/pdf');
    } else {
      sheets().forEach((sheet, i) =>
        saveFile(`labels-${i + 1}.svg`, labelSvg(sheet, prefs.paper), 'image/svg+xml'),
      );
    }
  });
/** Two labels a cable on the printer's stand-in: nothing of it is real, and it says so. */
const printed = ref('');
const printOnStandIn = () =>
  save(say`labels on the printer`, async () => {
    printed.value = '';
    const [{ printLabels }, { openSocket }, { standInAddress }] = await Promise.all([
      import('../instruments/labelPrinter.ts'),
      import('../instruments/socketPort.ts'),
      import('../instruments/address.ts'),
    ]);
    const port = await openSocket(standInAddress('printer')).catch(() => null);
    if (!port) {
      problem.value = say`The simulated instruments do not answer: their server is not running.`;
      return;
    }
    const labels = made.flatMap(
      (own) => Array(2).fill(labelOf(own, today())) as ReturnType<typeof labelOf>[],
    );
    const { count, sentence } = await printLabels(port, labels, kind.value, (done) => {
      busy.value = say`label ${done} of ${labels.length}`;
    });
    port.shut();
    printed.value = say`${count} of ${labels.length} labels printed on the simulated printer.`;
    problem.value = sentence;
  });
</script>

<template>
  <section :aria-label="say`Paper and files`" class="border-t border-line px-3.5 py-2.5">
    <header class="mb-2 flex items-center gap-3">
      <h2 class="figure text-[16px] font-semibold">{{ say`Paper and files` }}</h2>
      <PaperField hide-label small class="ml-auto w-32" />
    </header>
    <p v-if="problem" class="mb-1 font-bold text-fails" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="list in lists" :key="list.key" class="flex items-center gap-1 border-t border-hairline py-1">
        <span class="flex-1">{{ list.title }}</span>
        <RouterLink
          :to="{ name: 'print', params: { jobId: job.id, what: list.key } }"
          class="button compact px-2"
        >
          <Printer :size="15" aria-hidden="true" /> {{ say`Print`
          }}<span class="sr-only"> {{ list.title }}</span>
        </RouterLink>
        <button
          type="button"
          class="button compact px-2"
          :disabled="busy !== ''"
          @click="savePdf(list.key, list.doc())"
        >
          PDF<span class="sr-only">{{ ' ' }}{{ say`of the ${list.title}` }}</span>
        </button>
        <button
          type="button"
          class="button compact px-2"
          @click="saveFile(`${list.key}.csv`, list.csv(), 'text/csv')"
        >
          CSV<span class="sr-only">{{ ' ' }}{{ say`of the ${list.title}` }}</span>
        </button>
      </li>
      <li class="flex items-center gap-1 border-t border-hairline py-1">
        <span class="flex-1">{{ say`Labels, two a cable` }}</span>
        <SegmentedField
          :label="say`Labels`"
          hide-label
          small
          class="w-28"
          :model-value="kind"
          :choices="[
            { value: 'wrap', title: say`wrap` },
            { value: 'flag', title: say`flag` },
          ]"
          @update:model-value="kind = $event === 'flag' ? 'flag' : 'wrap'"
        />
        <button type="button" class="button compact px-2" :disabled="busy !== ''" @click="saveLabels('pdf')">
          PDF<span class="sr-only">{{ ' ' }}{{ say`of the labels` }}</span>
        </button>
        <button type="button" class="button compact px-2" :disabled="busy !== ''" @click="saveLabels('svg')">
          SVG<span class="sr-only">{{ ' ' }}{{ say`of the labels` }}</span>
        </button>
        <button
          type="button"
          class="button compact px-2"
          :disabled="busy !== ''"
          :title="say`On the simulated label printer`"
          @click="printOnStandIn"
        >
          {{ say`Printer` }}<span class="sr-only">{{ ' ' }}{{ say`label printer (simulated)` }}</span>
        </button>
      </li>
    </ul>
    <p v-if="printed" class="mt-1" role="status">
      <b class="border border-ink px-1">{{ say`SIMULATED` }}</b> {{ printed }}
    </p>
    <button type="button" class="button mt-2" @click="isImporting = true">
      <Upload :size="16" aria-hidden="true" /> {{ say`Import a cable schedule` }}
    </button>
    <span v-if="busy" class="note ml-3" role="status"
      ><Download :size="14" class="inline" aria-hidden="true" /> {{ say`making ${busy}` }}</span
    >
    <ScheduleImport v-if="isImporting" :job-id="job.id" @close="isImporting = false" />
  </section>
</template>
