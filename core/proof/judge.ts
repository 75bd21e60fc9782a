import {
  type Facts,
  type Finding,
  type Limit,
  type Needs,
  notProved,
  simulated,
  stated,
  worstFirst,
  turnedTo,
} from '../finding/finding.ts';
import type { Subject, Topic } from '../finding/topics.ts';
import type { Reading } from '../model/reading.ts';
import type { Unit } from '../model/units/figure.ts';
import { type Message, msg } from '../words/message.ts';
import { measured } from './decide.ts';
import type { Part } from './budget.ts';
import { resolutionWords } from './resolution.ts';

/** One thing to be read: how it is called, what it may be, and what to say while it is missing. */
export interface Check extends Subject {
  readonly topic: Topic;
  readonly title: Message;
  readonly unit: Unit;
  readonly decimals: number;
  readonly limit?: Limit;
  /** The least an instrument must resolve for its reading to say anything. */
  readonly needs?: Needs;
  readonly missing: Message;
  readonly remedy: Message;
  readonly work: Finding['work'];
}

/** Whatever is judged: a figure with who took it, when, and what it was read with. */
export type Judgeable = Pick<Reading, 'at' | 'by' | 'source' | 'instrument'>;

/** What a reading may be off by, in the unit of its finding: of its instrument, and of the method. */
export type Budget<R extends Judgeable> = (reading: R) => readonly Part[];

/**
 * Judges all readings of one check and answers with the worst that is real. Simulated ones speak only where there is
 * no real one, and then prove nothing; with none at all the check is not proved.
 *
 * @param budget what a reading may be off by; nothing is calculated where none is given
 */
export function judge<R extends Judgeable>(
  check: Check,
  readings: readonly R[],
  one: (reading: R, facts: Omit<Facts, 'value'>) => Finding,
  budget: Budget<R> = () => [],
): Finding {
  const { missing, limit, ...facts } = check;
  const base = { ...facts, stage: 'prove' as const };
  const findings = readings.map((reading) => ({
    provenance: reading.source,
    finding: {
      ...measured(
        { ...(limit && { limit }), ...byInstrument(one(reading, base), reading, check) },
        budget(reading),
      ),
      provenance: reading.source,
      read: readBy(reading),
    },
  }));
  const real = findings.filter(({ provenance }) => provenance !== 'simulated');
  const [worstReal] = worstFirst(real.map(({ finding }) => finding));
  if (worstReal) return withoutRemedy(worstReal);
  const [worstSimulated] = worstFirst(findings.map(({ finding }) => finding));
  if (worstSimulated) return simulated(worstSimulated);
  return notProved({ ...base, because: missing }, limit);
}

function readBy({ by, at, instrument }: Judgeable): NonNullable<Finding['read']> {
  return {
    by,
    at,
    ...(instrument && { with: instrument.title }),
    ...(instrument?.due !== undefined && { due: instrument.due }),
  };
}

/**
 * What its instrument lets a reading say: one too coarse proves nothing that holds, and one past its due day is to be
 * watched. A reading that fails fails with any instrument.
 */
function byInstrument(
  finding: Finding,
  { at: readAt, source, instrument }: Judgeable,
  { needs }: Check,
): Finding {
  if (finding.state === 'fails' || finding.state === 'unproved') return finding;
  if (!instrument)
    return needs && source !== 'simulated'
      ? turnedTo(finding, 'unproved', {
          because: msg`No instrument is named, and this needs one that resolves ${resolutionWords(needs.least, needs.unit)}: a hand meter cannot see it.`,
          remedy: msg`Choose the instrument it was read with, then record the reading again.`,
        })
      : finding;
  const { title, resolution, due } = instrument;
  if (needs && resolution === undefined)
    return turnedTo(finding, 'unproved', {
      because: msg`The resolution of ${title} is not given, and this needs ${resolutionWords(needs.least, needs.unit)}.`,
    });
  if (needs && resolution !== undefined && resolution > needs.least * (1 + 1e-9)) {
    return stated(
      {
        ...finding,
        because: msg`${title} resolves ${resolutionWords(resolution, needs.unit)}; this check needs ${resolutionWords(needs.least, needs.unit)}.`,
      },
      'unproved',
    );
  }
  if (due !== undefined && readAt.slice(0, 10) > due) {
    return turnedTo(finding, 'watch', {
      because: msg`${finding.because} But ${title} was due for calibration on ${due}.`,
    });
  }
  return finding;
}

/** A finding that holds has nothing to be done about it. */
function withoutRemedy(finding: Finding): Finding {
  if (finding.state !== 'holds') return finding;
  const { remedy: _, ...rest } = finding;
  return rest;
}
