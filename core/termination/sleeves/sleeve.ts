import type { SleeveSize } from '../../model/tables/sleeves.ts';

/** What a sleeve has to pass on its way, and grip once shrunk, mm. */
export interface SleeveTask {
  readonly passMm: number;
  readonly gripMm: number;
  /** The barrel it is drawn forward over, where it goes on before the lug, mm. */
  readonly overBarrelMm?: number;
}

/** Room to slide, and tension to grip. */
export const SLEEVE_ROOM = { pass: 1.1, grip: 0.9, overBarrelMm: 0.3 } as const;

/** The window a sleeve must span, mm: recovered bore at most the lower figure, supplied bore at least the upper. */
export function sleeveWindow(task: SleeveTask): { recoveredMostMm: number; suppliedLeastMm: number } {
  return {
    recoveredMostMm: SLEEVE_ROOM.grip * task.gripMm,
    suppliedLeastMm: Math.max(
      SLEEVE_ROOM.pass * task.passMm,
      task.overBarrelMm === undefined ? 0 : task.overBarrelMm + SLEEVE_ROOM.overBarrelMm,
    ),
  };
}

/** Whether a sleeve passes: supplied bore at least 1.1 × the largest thing it passes, and 0.3 mm over the barrel. */
export function passes(sleeve: Pick<SleeveSize, 'suppliedMm'>, task: SleeveTask): boolean {
  return sleeve.suppliedMm >= sleeveWindow(task).suppliedLeastMm;
}

/** Whether a sleeve grips: recovered bore at most 0.9 × the smallest thing it grips. */
export function grips(sleeve: Pick<SleeveSize, 'recoveredMm'>, task: SleeveTask): boolean {
  return sleeve.recoveredMm <= sleeveWindow(task).recoveredMostMm;
}

/**
 * Wall of a sleeve shrunk onto `diameterMm`, mm: the ring keeps the area it has when fully recovered.
 *
 * @example wallOnMm({ suppliedMm: 24, recoveredMm: 8, wallMm: 2.5 }, 15.5) // 1.54
 */
export function wallOnMm(sleeve: SleeveSize, diameterMm: number): number {
  const ring = (sleeve.recoveredMm + 2 * sleeve.wallMm) ** 2 - sleeve.recoveredMm ** 2;
  return (Math.sqrt(diameterMm ** 2 + ring) - diameterMm) / 2;
}

/** Length to cut, mm: the cover required, over what is left after the sleeve shortens. */
export function sleeveCutMm(coverMm: number, shorteningPercent: number): number {
  return coverMm / (1 - shorteningPercent / 100);
}
