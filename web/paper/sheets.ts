import { computed } from 'vue';
import { testRecord } from '../../core/paper/testRecord.ts';
import { pictureOf } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import { workOf } from '../stores/work.ts';
import { today } from '../ui/today.ts';
import { drawingPng } from './drawingPng.ts';
import { standaloneSvg } from './drawingSvg.ts';
import type { PaperFonts } from './listPdf.ts';
import type { RecordPictures } from './recordPdf.ts';

const DRAWING_PX = 1800;

/** The test records of a job, or of one of its cables, with what is drawn on the page for them. */
export function useSheets(asked: () => { jobId: string; cableId?: string | undefined }) {
  const bench = useBench();
  const job = computed(() => bench.jobById(asked().jobId));
  const sheets = computed(() =>
    (job.value?.cables ?? [])
      .filter(({ id }) => asked().cableId === undefined || id === asked().cableId)
      .map((cable) => {
        const scheduled = { cable, work: workOf(cable, bench.shop, job.value) };
        return { scheduled, record: testRecord(scheduled, job.value?.title ?? '', today()) };
      }),
  );

  /** The drawing on the page and the photographs of one sheet, for its PDF. */
  async function picturesFor(
    host: HTMLElement,
    index: number,
    fonts: PaperFonts,
  ): Promise<{ svg: string; pictures: RecordPictures }> {
    const svg = host.querySelectorAll<SVGSVGElement>('.record-sheet .workpiece svg')[index];
    const photos = await Promise.all((sheets.value[index]?.record.photos ?? []).map(pictureOf));
    return {
      svg: svg ? standaloneSvg(svg) : '',
      pictures: {
        drawing: svg ? await drawingPng(svg, fonts, DRAWING_PX) : null,
        photos: await Promise.all(
          photos.flatMap((jpeg) =>
            jpeg ? [jpeg.arrayBuffer().then((buffer) => new Uint8Array(buffer))] : [],
          ),
        ),
      },
    };
  }
  return { job, sheets, picturesFor };
}
