import { computed } from 'vue';
import { testRecord } from '../../core/paper/testRecord.ts';
import { useMade } from '../kit/made.ts';
import { bytesOf } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import { today } from '../ui/today.ts';
import { useGrowing } from '../ui/useGrowing.ts';
import { drawingOnPaper } from './paperPicture.ts';
import { standaloneSvg } from './drawingSvg.ts';
import type { PaperFonts } from './listPdf.ts';
import type { RecordPictures } from './recordPdf.ts';

const DRAWING_PX = 1800;
/** Sheets drawn before the page is first seen. */
const DRAWN_AT_FIRST = 3;

/** The test records of a job, or of one of its cables, with what is drawn on the page for them. */
export function useSheets(asked: () => { jobId: string; cableId?: string | undefined }) {
  const bench = useBench();
  const job = computed(() => bench.jobById(asked().jobId));
  const { made, worked, all, whole } = useMade(() => ({
    jobs: job.value
      ? [
          asked().cableId === undefined
            ? job.value
            : { ...job.value, cables: job.value.cables.filter(({ id }) => id === asked().cableId) },
        ]
      : [],
    shop: bench.shop,
  }));
  const sheets = computed(() =>
    made.value.map(({ cable, work }) => {
      const scheduled = { cable, work };
      return { scheduled, record: testRecord(scheduled, job.value?.title ?? '', today()) };
    }),
  );
  const growing = useGrowing(() => sheets.value.length, DRAWN_AT_FIRST);
  const drawn = computed(() => sheets.value.slice(0, growing.drawn.value));
  /** Settles once every sheet stands on the page. */
  const ready = async () => {
    await whole();
    await growing.whole();
  };

  /** The drawing on the page and the photographs of one sheet, for its PDF; and how many of these cannot be read. */
  async function picturesFor(
    host: HTMLElement,
    index: number,
    fonts: PaperFonts,
  ): Promise<{ svg: string; pictures: RecordPictures; missing: number }> {
    const svg = host.querySelectorAll<SVGSVGElement>('.record-sheet .workpiece svg')[index];
    const photos = await Promise.all((sheets.value[index]?.record.photos ?? []).map(bytesOf));
    const readable = photos.filter((bytes) => bytes !== null);
    return {
      svg: svg ? standaloneSvg(svg) : '',
      pictures: {
        drawing: svg ? await drawingOnPaper(svg, fonts, DRAWING_PX) : null,
        photos: readable,
      },
      missing: photos.length - readable.length,
    };
  }
  return { job, sheets, drawn, worked, all, ready, picturesFor };
}
