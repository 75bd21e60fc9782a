import type { EndName } from '../job/cable.ts';
import type { ResolvedEnd, SleeveFit } from '../termination/resolveEnd.ts';
import { usesDie } from '../termination/method.ts';
import type { Unit } from '../units/figure.ts';

/** Parts of the workpiece that a step is about: the drawing lights them and leaves the rest pale. */
export type Feature =
  'cut' | 'layers' | 'strip' | 'strands' | 'barrel' | 'crimp' | 'clock' | 'sleeve' | 'palm' | 'tag';

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  /** Two or three words for the list. */
  readonly short: string;
  /** What to do, as an order. */
  readonly order: string;
  readonly end?: EndName;
  /** The number one would otherwise look up. */
  readonly figure?: {
    readonly value: number;
    readonly unit: Unit;
    readonly decimals: number;
    readonly means: string;
  };
  readonly detail: string;
  /** Why it matters, in one line. */
  readonly why: string;
  /** The usual caution, where the danger is. */
  readonly caution?: string;
  readonly lit: readonly Feature[];
}

/** An end that can be made: its lug, its sleeve, and its die where the method closes one. */
export type ReadyEnd = ResolvedEnd & {
  readonly lug: NonNullable<ResolvedEnd['lug']>;
  readonly sleeve: SleeveFit | null;
  readonly stripMm: number;
};

export const isReady = (end: ResolvedEnd): end is ReadyEnd =>
  end.lug !== null &&
  (end.sleeve !== null || end.method === 'screwed') &&
  (!usesDie(end.method) || (end.die !== null && end.crimps.length > 0));

/** A die as one looks for it in the case: by its stamp, and by the flats that tell what it is. */
export function dieName({ die: offer }: Pick<ResolvedEnd, 'die'>): string {
  if (!offer) return 'no die';
  const { stamp, acrossFlatsMm } = offer.die;
  return `${stamp ? `die ${stamp}` : 'the unmarked die'}, ${acrossFlatsMm.toFixed(1)} across flats`;
}

export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
