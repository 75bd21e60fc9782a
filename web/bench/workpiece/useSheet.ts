import { computed, type ComputedRef, type Ref } from 'vue';
import { bundleDiameterMm } from '../../../core/conductor/geometry.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import type { Prefs } from '../../storage/prefs.ts';
import { readersDigits } from '../../ui/display.ts';
import { textWidth } from './dimensions.ts';
import {
  endDimensions,
  type EndSheet,
  endSheet,
  frameFor,
  progressOf,
  scaleFor,
  SHEET,
  studOffset,
} from './sheet.ts';
import { say } from '../../../core/words/say.ts';

/** The part of the cable a narrow sheet shows. */
export type SheetPart = EndName | 'middle';

/** One end with everything that is drawn about it, placed on the sheet in px. */
export interface PlacedEnd {
  readonly name: EndName;
  /** Null while no lug suits. */
  readonly sheet: EndSheet | null;
  readonly edgeX: number;
  readonly breakX: number;
  readonly studX: number;
  /** 1 where the end runs to the right of its stud, −1 for its mirror image. */
  readonly direction: 1 | -1;
  readonly x: (u: number) => number;
  readonly rows: ReturnType<typeof endDimensions> | null;
}

interface SheetInput {
  readonly cable: Cable;
  readonly work: CableWork;
  readonly lengths: Prefs['lengths'];
}

/** Lays a cable out on a sheet: its scale, both ends, and the long dimensions over them. */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function useSheet(
  input: () => SheetInput,
  width: Ref<number>,
  isNarrow: Ref<boolean>,
  part: Ref<SheetPart>,
) {
  const cable = computed(() => input().cable);
  const work = computed(() => input().work);
  const sized = (mm: number, decimals: number) => readersDigits(mm, 'mm', decimals);

  const frame = computed(() => frameFor(width.value, isNarrow.value));
  const outerMm = computed(() => work.value.choice.taken.at.outerMm);
  const bundleMm = computed(() => bundleDiameterMm(work.value.choice.taken.at.copperMm2));
  const angles = computed(() => ({ A: 0, B: cable.value.palmAngleDeg }));
  const sheetOf = (name: EndName) =>
    endSheet(
      work.value.ends[name],
      angles.value[name],
      outerMm.value,
      progressOf(cable.value, name, work.value),
    );
  const sheets = computed(() => ({ A: sheetOf('A'), B: sheetOf('B') }));
  const drawn = computed(() =>
    [sheets.value.A, sheets.value.B].filter((end): end is EndSheet => end !== null),
  );
  const scale = computed(() => scaleFor(drawn.value, outerMm.value, cable.value.tag, frame.value));

  /** Without a lug an end still has a place: about where its stud would be. */
  const BARE_STUD = 80;
  function placed(name: EndName): PlacedEnd {
    const { endWidth } = frame.value;
    const sheet = sheets.value[name];
    const direction = name === 'A' ? 1 : -1;
    const edgeX = name === 'A' ? 0 : width.value;
    const studX = edgeX + direction * (sheet ? studOffset(sheet, scale.value) : BARE_STUD);
    const x = (u: number) => studX + direction * u * scale.value;
    const half = isNarrow.value ? width.value : width.value / 2;
    const reach = (px: number) =>
      direction === 1 ? { from: 4, to: px } : { from: width.value - px, to: width.value - 4 };
    return {
      name,
      sheet,
      edgeX,
      breakX: edgeX + direction * (endWidth - 6),
      studX,
      direction,
      x,
      rows: sheet && endDimensions(sheet, work.value.ends[name], x, reach(endWidth), reach(half - 2), sized),
    };
  }
  const ends: ComputedRef<Record<EndName, PlacedEnd>> = computed(() => ({ A: placed('A'), B: placed('B') }));

  /** Stud to stud, and between the bottoms of the barrels. On a narrow sheet they run off where the cable goes on. */
  const long = computed(() => {
    const { lengths } = work.value;
    const { A, B } = ends.value;
    if (!lengths || !A.sheet || !B.sheet) return [];
    const OFF = 20;
    const first = cable.value.run.laid?.on ?? 'A';
    const mark = say`cut ${first === 'A' ? 'B' : 'A'} at ${sized(lengths.secondMarkMm, 0)} from stud ${first}`;
    const row = (id: 'finished' | 'cut', mm: number, fromA: number, toB: number) => {
      const own = id === 'cut' ? say`cut ${sized(mm, 0)}` : say`finished ${sized(mm, 0)}`;
      const text = id === 'cut' && cable.value.run.laid && !isNarrow.value ? `${own}, ${mark}` : own;
      const from = isNarrow.value && part.value === 'B' ? -OFF : fromA;
      const to = isNarrow.value && part.value === 'A' ? width.value + OFF : toB;
      return {
        id,
        y: SHEET.rows[id],
        text,
        from,
        to,
        textX: (from + to) / 2,
        textWidth: textWidth(text, SHEET.figureSize),
      };
    };
    return [
      row('finished', lengths.finishedMm, A.studX, B.studX),
      row('cut', lengths.cutMm, A.x(A.sheet.lug.studToBarrelMm), B.x(B.sheet.lug.studToBarrelMm)),
    ];
  });

  /** How much of the cable the break leaves out, mm. */
  const notDrawnMm = computed(() => {
    const { lengths } = work.value;
    if (!lengths) return null;
    const shown = [ends.value.A, ends.value.B].reduce(
      (sum, { breakX, studX }) => sum + Math.abs(breakX - studX) / scale.value,
      0,
    );
    return Math.max(0, lengths.finishedMm - shown);
  });

  return { frame, outerMm, bundleMm, angles, drawn, scale, ends, long, notDrawnMm, sized };
}
