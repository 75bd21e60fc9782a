import type { Topic } from '../finding/topics.ts';
import { INCH_SMALL_CRAFT } from '../model/tables/inchSmallCraft.ts';
import { METRIC_SMALL_CRAFT } from '../model/tables/metricSmallCraft.ts';
import {
  asJudged,
  atLeast,
  type Doubt,
  type Facts,
  type Finding,
  judgeAtMost,
  type Judged,
  stated,
} from '../finding/finding.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import { type Assessment, heldAmps } from './assess.ts';
import { ampsDoubts } from './doubts.ts';

import { term } from '../words/terms.ts';

/** Amps that count against a cable: its continuous load, the effective amps of its duty, or what that is as hot as. */
export function countedAmps(at: Assessment): number {
  return Math.max(heldAmps(at), at.duty?.cycle?.equivalentA ?? 0);
}

/** Amps one method allows through all conductors of this cable as they lie; null where it says nothing. */
export function allowedBy(at: Assessment, school: 'inch' | 'metric' | 'heat'): number | null {
  const one = school === 'heat' ? at.heatA : at[school]?.allowedA;
  return one === undefined ? null : one * at.placing * at.kept * at.parallel;
}

/** The strictest of the methods switched on, A; null where none says anything. */
export function strictestAmps(at: Assessment, practice: HousePractice): number | null {
  const allowed = (['inch', 'metric', 'heat'] as const)
    .filter((school) => practice.schools[school])
    .flatMap((school) => allowedBy(at, school) ?? []);
  return allowed.length > 0 ? Math.min(...allowed) : null;
}

/** What each method that is switched on compares with this size. */
export function schoolFindings(assessed: Assessment, practice: HousePractice): Judged[] {
  if (assessed.currentA === null) return [];
  const { schools } = practice;
  return [
    ...(schools.inch ? [table('inch', INCH_SMALL_CRAFT.source, assessed)] : []),
    ...(schools.metric ? [table('metric', METRIC_SMALL_CRAFT.source, assessed)] : []),
    ...(schools.heat ? [heat(assessed)] : []),
    ...(schools.quick ? [asJudged(quick(assessed))] : []),
  ];
}

/** What hotter air would make of the amps. */
const airDoubts = (assessed: Assessment): Doubt[] =>
  ampsDoubts(countedAmps(assessed), assessed.airC, assessed.limitC);

/** What else multiplies the amps, in words. */
const shares = (at: Assessment) =>
  verbatim`${at.kept < 1 ? msg` × ${numeral(at.kept, 2)} kept back` : ''}${at.parallel > 1 ? msg` × ${at.parallel} side by side` : ''}`;

/** Air as hot as the limit leaves nothing: said in words, with what would help. */
const nothingLeft = (allowed: number) =>
  allowed === 0
    ? {
        because: msg`Too hot here: this cable has no rating left.`,
        remedy: msg`A cooler route, a higher-rated cable, or higher-rated terminals.`,
      }
    : {};

function table(school: 'inch' | 'metric', source: Message, assessed: Assessment): Judged {
  const topic = `amps-${school}` as const;
  const allowed = allowedBy(assessed, school);
  if (allowed === null) {
    const because = msg`Outside this table: it does not cover this cable.`;
    return asJudged(
      stated(
        { ...tableFacts(topic, school, source, assessed, 0), because, remedy: msg`Use another method.` },
        'unproved',
      ),
    );
  }
  return judgeAtMost(
    topic,
    countedAmps(assessed),
    allowed,
    0,
    () => tableFacts(topic, school, source, assessed, allowed),
    airDoubts(assessed),
  );
}

function tableFacts(
  topic: Topic,
  school: 'inch' | 'metric',
  source: Message,
  assessed: Assessment,
  allowed: number,
): Facts {
  const reading = assessed[school];
  const basis = reading?.columnC === 60 && school === 'metric' ? msg`this column rests on 45 °C air; ` : '';
  return {
    topic,
    stage: 'gauge',
    title: msg`Ampacity, ${term(school)} table`,
    value: countedAmps(assessed),
    unit: 'A',
    decimals: 0,
    ...(reading && nothingLeft(allowed)),
    work: {
      formula: msg`I ≤ I_table · f_air · f_placing`,
      substituted: reading
        ? [
            msg`row ${reading.row}, ${reading.columnC} °C column: ${amount(reading.tableA, 'A', 0)}`,
            verbatim`× ${numeral(reading.ambientFactor, 3)} × ${numeral(assessed.placing, 2)}${shares(assessed)} = ${amount(allowed, 'A', 0)}`,
          ]
        : [
            msg`no row for ${numeral(assessed.copperMm2, 1)} mm² or no column for ${amount(assessed.limitC, '°C', 0)}`,
          ],
      source,
      assumes: msg`limit ${amount(assessed.limitC, '°C', 0)}; ${basis}the row is the largest not above this copper; a duty counts as the steady amps that are as hot`,
    },
  };
}

function heat(assessed: Assessment): Judged {
  const allowed = allowedBy(assessed, 'heat') ?? 0;
  const facts = (): Facts => ({
    topic: 'amps-heat',
    stage: 'gauge',
    title: msg`Ampacity, heat balance`,
    value: countedAmps(assessed),
    unit: 'A',
    decimals: 0,
    ...nothingLeft(allowed),
    work: {
      formula: msg`I = √(Q(T_lim) ÷ R(T_lim)) · f_placing`,
      substituted: [
        msg`at ${amount(assessed.limitC, '°C', 0)}: ${amount(assessed.heatA, 'A', 1)} × ${numeral(assessed.placing, 2)}${shares(assessed)} = ${amount(allowed, 'A', 0)}`,
      ],
      source: msg`one metre in still air, Churchill and Chu, ε = 0.9`,
      assumes: msg`more generous than the tables outside 70–105 °C and 16–120 mm²`,
    },
  });
  return judgeAtMost('amps-heat', countedAmps(assessed), allowed, 0, facts, airDoubts(assessed));
}

function quick(assessed: Assessment): Finding {
  return atLeast(
    {
      topic: 'quick',
      stage: 'gauge',
      title: msg`Printed 3/10 %`,
      value: assessed.copperMm2 * assessed.parallel,
      unit: 'mm²',
      decimals: 1,
      work: {
        formula: msg`CM = 10.75 · I · L_ft ÷ ΔU`,
        substituted: [
          msg`needs ${amount(assessed.quickMm2, 'mm²', 1)} for the loop at 3 % of nominal continuous, 10 % in a surge`,
        ],
        source: msg`the customary rule behind printed charts; 1 CM = 0.0005067 mm²`,
        assumes: msg`copper at about 30 °C, no joints, feet there and back`,
      },
    },
    assessed.quickMm2,
  );
}
