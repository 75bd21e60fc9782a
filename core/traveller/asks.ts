import type { Both } from '../model/end.ts';
import type { Reading } from '../model/reading.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
import { usesDie } from '../model/method.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Message, amount, msg } from '../words/message.ts';
import { type Ask, type Step } from './step.ts';
import { kindOf, madeAs } from '../model/stepId.ts';

/** What each step asks to be typed: what is measured while it can still be corrected. */
export function withAsks(steps: readonly Step[], ends: Both<ResolvedEnd>): Step[] {
  return steps.map((step) => {
    const ask = step.end && askOf(step.id, ends[step.end]);
    return ask ? { ...step, ask } : step;
  });
}

function askOf(stepId: string, end: ResolvedEnd): Ask | null {
  const kind = kindOf(stepId);
  if (kind === 'strands') {
    return {
      what: 'strands',
      words: msg`Strands cut or nicked through`,
      unit: '',
      decimals: 0,
      least: 0,
      most: end.strands.allowed,
      range: [0, end.strands.count],
    };
  }
  const die = usesDie(end.method) ? end.die : null;
  if (!die || die.leaves !== 'hexagon') return null;
  if (kind === 'crimp') {
    const { leastMm, mostMm } = acrossFlatsWindow(die.die.acrossFlatsMm);
    return {
      what: 'across flats',
      ...crimpOf(stepId, end),
      words: msg`Open the die, then measure across flats`,
      unit: 'mm',
      decimals: 2,
      least: leastMm,
      most: mostMm,
      range: [0.5, 100],
    };
  }
  return kind === 'file'
    ? {
        what: 'ears',
        words: msg`Ears before filing`,
        unit: 'mm',
        decimals: 2,
        least: 0,
        most: MOST_EARS_MM,
        range: [0, 20],
      }
    : null;
}

/** Which crimp a step closes, counted from the mouth: it is made in the order of the house. */
function crimpOf(stepId: string, { crimps, crimpsInOrder }: ResolvedEnd): Pick<Ask, 'crimp'> {
  const at = crimps.indexOf(crimpsInOrder[madeAs(stepId) - 1] ?? Number.NaN);
  return at >= 0 ? { crimp: at + 1 } : {};
}

/** What a typed figure says at once. */
export interface Judged {
  readonly holds: boolean;
  readonly sentence: Message;
}

const OVER = {
  strands: msg`More than this shop allows: cut back and strip again.`,
  'across flats': msg`Larger than the die: it did not shut.`,
  ears: msg`Too much flash: too tight a die, or the tool overfilled.`,
} as const satisfies Record<Ask['what'], Message>;

/**
 * Judges a figure against the limits of its ask, those of the proof.
 *
 * @example judgeAsk(flatsOf14, 14.17) // { holds: true, sentence: '0.11 mm under the limit.' }
 */
export function judgeAsk({ what, unit, decimals, least, most }: Ask, value: number): Judged {
  if (value > most + 1e-9) return { holds: false, sentence: OVER[what] };
  if (value < least - 1e-9)
    return { holds: false, sentence: msg`Smaller than the die: a different die was used.` };
  if (what === 'strands') {
    return {
      holds: true,
      sentence: value === 0 ? msg`Every strand is whole.` : msg`${most} may be plucked out.`,
    };
  }
  return { holds: true, sentence: msg`${amount(most - value, unit, decimals)} under the limit.` };
}

/** The reading that a typed figure becomes; strands are no reading, they belong to the end. */
export function askedReading(
  step: Step,
  value: number,
  base: Pick<Reading, 'id' | 'at' | 'by' | 'source'>,
): Reading | null {
  const { ask, end } = step;
  if (!ask || !end || ask.what === 'strands') return null;
  return ask.what === 'ears'
    ? { ...base, check: 'ears', end, valueMm: value }
    : {
        ...base,
        check: 'across-flats',
        end,
        ...(ask.crimp !== undefined && { crimp: ask.crimp }),
        valueMm: value,
      };
}
