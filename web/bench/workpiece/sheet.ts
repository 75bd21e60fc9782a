import { kindOf } from '../../../core/model/stepId.ts';
import type { Cable, Stage } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import { wallOnMm } from '../../../core/termination/sleeves/sleeve.ts';
import { digits } from '../../../core/words/numerals.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { type Dimension, placeRow, type PlacedDimension, textWidth } from './dimensions.ts';
import { type CrimpShape, type DrawnLug, drawnLug, palmTipMm, riseMm } from './lugShape.ts';
import { say } from '../../../core/words/say.ts';

/** How far the making of an end is: what is on the cable and what is only planned. */
export interface EndProgress {
  readonly crimped: boolean;
  readonly shrunk: boolean;
}

/** One end as it is drawn. All lengths mm, along the cable from the centre of the stud. */
export interface EndSheet {
  readonly name: EndName;
  readonly lug: DrawnLug;
  readonly angleDeg: number;
  readonly crimps: readonly CrimpShape[];
  readonly progress: EndProgress;
  readonly isProposed: boolean;
  readonly jacketFromU: number;
  readonly sleeve: { readonly fromU: number; readonly toU: number; readonly wallMm: number } | null;
}

/** The space a drawing has, px. */
export interface Frame {
  readonly width: number;
  /** Width of the strip each end may fill, from its edge of the sheet. */
  readonly endWidth: number;
}

export const SHEET = {
  height: 200,
  centreY: 101,
  /** From the edge of the sheet to the tip of the palm, px. */
  margin: 34,
  /** Rows of dimensions, px from the top. */
  rows: { finished: 17, cut: 40, crimps: 62, barrel: 145, sleeve: 166, caption: 186 },
  noteSize: 14,
  figureSize: 15,
  /** A fingertip, px. */
  touch: 46,
} as const;

/** The scale of the reference drawings, and the most a small cable is blown up, px/mm. */
const LARGEST_SCALE = 3.6;
/** Half the height between the rows above and below the workpiece, px. */
const HALF_HEIGHT = 33;
const TAG_AIR = 12;

/** A drawing frame for a sheet of some width: both ends and the middle, or one end alone on a phone. */
export function frameFor(width: number, oneEndAtATime: boolean): Frame {
  return oneEndAtATime
    ? { width, endWidth: width }
    : { width, endWidth: Math.floor((width - middleWidth(width)) / 2) };
}

export function middleWidth(width: number): number {
  return Math.min(236, Math.max(196, width * 0.2));
}

/** What is drawn of an end; null while it has no lug. */
export function endSheet(
  end: ResolvedEnd,
  angleDeg: number,
  outerMm: number,
  progress: EndProgress,
): EndSheet | null {
  const { die, sleeve } = end;
  if (!end.lug) return null;
  const lug = drawnLug(end.lug);
  const mouth = lug.studToBarrelMm + lug.barrelMm;
  const crimps = die
    ? end.crimps.map((fromMouth): CrimpShape => {
        const middle = mouth - fromMouth;
        return {
          fromU: middle - die.die.widthMm / 2,
          toU: middle + die.die.widthMm / 2,
          acrossFlatsMm: die.die.acrossFlatsMm,
        };
      })
    : [];
  return {
    name: end.name,
    lug,
    angleDeg,
    crimps,
    progress,
    isProposed: end.proposed.lug,
    jacketFromU: mouth + end.gapMm,
    sleeve: sleeve && {
      fromU: lug.studToBarrelMm,
      toU: lug.studToBarrelMm + sleeve.coverMm,
      wallMm: wallOnMm(sleeve.sleeve, outerMm),
    },
  };
}

/** How far an end is made, from the steps ticked. */
export function progressOf(cable: Cable, end: EndName, work: CableWork): EndProgress {
  if (cable.done.length === 0) return { crimped: false, shrunk: false };
  const done = new Set(cable.done.map(({ step }) => step));
  const crimps = work.steps.filter((step) => step.end === end && kindOf(step.id) === 'crimp');
  return {
    crimped: crimps.length > 0 && crimps.every(({ id }) => done.has(id)),
    shrunk: done.has(`shrink.${end}`),
  };
}

/** How much of an end the sheet must show before the tag, mm: from the palm's tip to the end of the sleeve. */
const shownMm = (end: EndSheet) => palmTipMm(end.lug) + (end.sleeve?.toU ?? end.jacketFromU + 20);

/** How high an end stands about the middle of the cable, palm turned as it is, mm; both halves alike. */
function acrossMm({ lug, angleDeg }: EndSheet): number {
  return Math.max(2 * riseMm(lug, angleDeg), lug.outerMm + 4);
}

/** The scale at which both ends, their tags and their height fit, px/mm. */
export function scaleFor(ends: readonly EndSheet[], outerMm: number, tag: string, frame: Frame): number {
  const tagPx = tagWidth(tag) + 3 * TAG_AIR;
  const across = Math.max(outerMm + 5, ...ends.map(acrossMm));
  const along = Math.max(60, ...ends.map(shownMm));
  return Math.min(LARGEST_SCALE, (2 * HALF_HEIGHT) / across, (frame.endWidth - SHEET.margin - tagPx) / along);
}

/** A tag as it fits on the cable: a long one is cut short, its whole is in the rack. */
export function tagText(tag: string): string {
  return tag.length > 10 ? `${tag.slice(0, 9)}…` : tag;
}

export function tagWidth(tag: string): number {
  return Math.max(36, textWidth(tagText(tag), SHEET.figureSize) + 16);
}

/** Where the tag starts, px from the palm's tip along the cable. */
export function tagOffset(end: EndSheet, scale: number): number {
  return shownMm(end) * scale + TAG_AIR;
}

/** Where the stud's centre is, px from the end's edge of the sheet. */
export function studOffset(end: EndSheet, scale: number): number {
  return SHEET.margin + palmTipMm(end.lug) * scale;
}

interface Bounds {
  readonly from: number;
  readonly to: number;
}

/**
 * The rows of dimensions that belong to one end, placed.
 *
 * @param x turns mm along the cable into px on the sheet
 * @param bounds where texts beside the workpiece may reach; `lowBounds` for the lowest row, which is clear of the
 *   middle of the sheet
 */
export function endDimensions(
  end: EndSheet,
  resolved: ResolvedEnd,
  x: (u: number) => number,
  bounds: Bounds,
  lowBounds: Bounds,
  sized: (mm: number, decimals: number) => string,
): { crimps: PlacedDimension[]; barrel: PlacedDimension[]; sleeve: PlacedDimension[] } {
  const { lug } = end;
  const mouth = lug.studToBarrelMm + lug.barrelMm;
  const suffix = `.${end.name}`;
  const places = [0, ...resolved.crimps].map((fromMouth) => mouth - fromMouth);
  const chain = resolved.crimps.map((fromMouth, i): Dimension => {
    const before = i === 0 ? 0 : (resolved.crimps[i - 1] ?? 0);
    return {
      id: `crimps${suffix}`,
      from: x(places[i] ?? mouth),
      to: x(places[i + 1] ?? mouth),
      text: sized(fromMouth - before, 1),
    };
  });
  const barrel: Dimension[] = [
    { id: 'cut', from: x(0), to: x(lug.studToBarrelMm), text: sized(lug.studToBarrelMm, 1) },
    {
      id: `strip${suffix}`,
      from: x(lug.studToBarrelMm),
      to: x(end.jacketFromU),
      text: say`strip ${sized(resolved.stripMm ?? 0, 0)}`,
      shorter: sized(resolved.stripMm ?? 0, 0),
    },
  ];
  const sleeve: Dimension[] =
    end.sleeve && resolved.sleeve
      ? [
          {
            id: `sleeve-cover${suffix}`,
            from: x(end.sleeve.fromU),
            to: x(end.sleeve.toU),
            text: say`sleeve covers ${sized(resolved.sleeve.coverMm, 0)}, cut ${sized(resolved.sleeve.cutMm, 0)}`,
            shorter: say`sleeve ${sized(resolved.sleeve.coverMm, 0)}`,
          },
        ]
      : [];
  const place = (row: readonly Dimension[], within = bounds) => placeRow(row, SHEET.figureSize, within);
  return { crimps: place(chain), barrel: place(barrel), sleeve: place(sleeve, lowBounds) };
}

/** How the palm is seen, in words. */
export function palmWords(angleDeg: number): string {
  const turned = ((angleDeg % 180) + 180) % 180;
  if (turned === 0) return say`palm seen flat`;
  return turned === 90 ? say`palm seen on edge` : say`palm turned ${digits(angleDeg, 0)}°`;
}

/** The dimensions that each stage is about; the others stay, paler. */
const STRONG: Readonly<Record<Stage, readonly string[]>> = {
  run: ['finished'],
  gauge: ['finished'],
  ends: ['crimps', 'strip', 'sleeve-cover'],
  cut: ['finished', 'cut'],
  make: ['crimps', 'strip', 'sleeve-cover', 'cut'],
  prove: ['crimps'],
  fit: ['finished'],
};

/** Whether a dimension stands out at a stage; its id may carry an end: "strip.A". */
export function isStrong(stage: Stage, id: string): boolean {
  return STRONG[stage].includes(id.split('.')[0] ?? id);
}
