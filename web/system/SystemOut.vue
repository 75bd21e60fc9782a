<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue';
import type { SystemFinding } from '../../core/system/findingParts.ts';
import type { Shown } from '../../core/system/shown.ts';
import { loadsCsv, placesCsv, systemCablesCsv, systemDocs } from '../../core/paper/systemDoc.ts';
import { tagFileName } from '../../core/paper/testRecord.ts';
import type { SystemWork } from '../../core/systemWork.ts';
import { saveFile } from '../storage/files.ts';
import { useMaking } from '../ui/useMaking.ts';
import type { DrawnDiagram } from './layout.ts';
import SystemDrawing from './SystemDrawing.vue';
import { say } from '../../core/words/say.ts';
import PaperField from '../paper/PaperField.vue';
import { usePrefs } from '../stores/prefs.ts';

/** The diagram and its tables out: PDF, SVG, CSV. */
const { work, drawn, shown, stateId, findings, made, title } = defineProps<{
  work: SystemWork;
  drawn: DrawnDiagram | null;
  shown: Shown;
  stateId: string | null;
  findings: readonly SystemFinding[];
  made: ReadonlySet<string>;
  title: string;
}>();

const { busy, problem, keep } = useMaking();
const { prefs } = usePrefs();
const isDrawn = ref(false);
const host = useTemplateRef<HTMLElement>('host');
const NOTHING = { places: [], cables: [] };
const PICTURE_PX = 2400;
const base = () => `${tagFileName(title)}-system`;

/** The diagram in the colours of paper, as long as it is needed. */
async function withPicture(use: (svg: SVGSVGElement) => Promise<void>): Promise<void> {
  isDrawn.value = true;
  await nextTick();
  try {
    const svg = host.value?.querySelector('svg');
    if (svg) await use(svg);
  } finally {
    isDrawn.value = false;
  }
}
const saveSvg = () =>
  keep(say`making the SVG`, () =>
    withPicture(async (svg) => {
      const { standaloneSvg } = await import('../paper/drawingSvg.ts');
      saveFile(`${base()}.svg`, standaloneSvg(svg), 'image/svg+xml');
    }),
  );
const savePdf = () =>
  keep(say`making the PDF`, () =>
    withPicture(async (svg) => {
      const [{ systemPdf }, { paperFonts }, { drawingOnPaper }] = await Promise.all([
        import('../paper/systemPdf.ts'),
        import('../paper/fonts.ts'),
        import('../paper/paperPicture.ts'),
      ]);
      const fonts = await paperFonts();
      const picture = await drawingOnPaper(svg, fonts, PICTURE_PX);
      saveFile(
        `${base()}.pdf`,
        await systemPdf(title, picture, systemDocs(work, findings, title), prefs.paper, fonts),
        'application/pdf',
      );
    }),
  );
const csv = (name: string, text: string) => saveFile(`${base()}-${name}.csv`, text, 'text/csv');
</script>

<template>
  <section :aria-label="say`Save the system`" class="mt-3 flex flex-wrap items-center gap-2">
    <span class="text-ink2">{{ say`Save as` }}</span>
    <PaperField hide-label small class="w-32" />
    <button type="button" class="button small" :disabled="busy !== '' || !drawn" @click="savePdf">
      PDF, {{ prefs.paper }}
    </button>
    <button type="button" class="button small" :disabled="busy !== '' || !drawn" @click="saveSvg">SVG</button>
    <button type="button" class="button small" @click="csv('places', placesCsv(work))">
      {{ say`CSV of places` }}
    </button>
    <button type="button" class="button small" @click="csv('cables', systemCablesCsv(work))">
      {{ say`CSV of cables` }}
    </button>
    <button type="button" class="button small" @click="csv('loads', loadsCsv(work))">
      {{ say`CSV of loads` }}
    </button>
    <span v-if="busy" role="status">{{ busy }} …</span>
    <span v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</span>
    <div
      v-if="isDrawn && drawn"
      ref="host"
      class="paper pointer-events-none fixed top-0 left-0 opacity-0"
      aria-hidden="true"
      inert
    >
      <SystemDrawing
        :view="work.view"
        :drawn="drawn"
        :shown="shown"
        :state-id="stateId"
        :findings="findings"
        :pointed="NOTHING"
        still
        :made="made"
      />
    </div>
  </section>
</template>
