import { INCH_SMALL_CRAFT } from '../catalogue/tables/inchSmallCraft.ts';
import { METRIC_SMALL_CRAFT } from '../catalogue/tables/metricSmallCraft.ts';
import { atLeast, atMost, type Facts, type Finding, stated } from '../finding.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { digits, figure } from '../units/figure.ts';
import type { Assessment } from './assess.ts';
import type { TableReading } from './tableAmpacity.ts';

/** Amps that count against a cable: its continuous load, or what its duty is as hot as. */
export function countedAmps(at: Assessment): number {
  return Math.max(at.currentA ?? 0, at.duty?.cycle?.equivalentA ?? 0);
}

/** Amps one school allows through all conductors of this cable as they lie; null where it says nothing. */
export function allowedBy(at: Assessment, school: 'inch' | 'metric' | 'heat'): number | null {
  const one = school === 'heat' ? at.heatA : at[school]?.allowedA;
  return one === undefined ? null : one * at.placing * at.kept * at.parallel;
}

/** The strictest of the schools switched on, A; null where none says anything. */
export function strictestAmps(at: Assessment, practice: HousePractice): number | null {
  const allowed = (['inch', 'metric', 'heat'] as const)
    .filter((school) => practice.schools[school])
    .flatMap((school) => allowedBy(at, school) ?? []);
  return allowed.length > 0 ? Math.min(...allowed) : null;
}

/** What each school that is switched on holds against this size. */
export function schoolFindings(at: Assessment, practice: HousePractice): Finding[] {
  if (at.currentA === null) return [];
  const { schools } = practice;
  const { inch, metric } = at;
  return [
    ...(schools.inch ? [table('amps-inch', 'By inch table', INCH_SMALL_CRAFT.source, at, inch)] : []),
    ...(schools.metric
      ? [table('amps-metric', 'By metric table', METRIC_SMALL_CRAFT.source, at, metric)]
      : []),
    ...(schools.heat ? [heat(at)] : []),
    ...(schools.quick ? [quick(at)] : []),
  ];
}

/** What else multiplies the amps, in words. */
const shares = (at: Assessment) =>
  `${at.kept < 1 ? ` × ${digits(at.kept, 2)} kept back` : ''}${at.parallel > 1 ? ` × ${at.parallel} side by side` : ''}`;

/** Air as hot as the limit leaves nothing: said in words, with what would help. */
const nothingLeft = (allowed: number) =>
  allowed === 0
    ? {
        because: 'Air this hot leaves this cable nothing.',
        remedy: 'A cooler way, a cable of a higher rating, or terminations that stand more.',
      }
    : {};

function table(
  id: string,
  title: string,
  source: string,
  at: Assessment,
  reading: TableReading | null,
): Finding {
  const allowed = allowedBy(at, id === 'amps-inch' ? 'inch' : 'metric') ?? 0;
  const basis = reading?.columnC === 60 && id === 'amps-metric' ? 'this column rests on 45 °C air; ' : '';
  const facts: Facts = {
    id,
    stage: 'gauge',
    title,
    value: countedAmps(at),
    unit: 'A',
    decimals: 0,
    work: {
      formula: 'I ≤ I_table · f_air · f_placing',
      substituted: reading
        ? [
            `row ${reading.row}, ${reading.columnC} °C column: ${figure(reading.tableA, 'A', 0)}`,
            `× ${digits(reading.ambientFactor, 3)} × ${digits(at.placing, 2)}${shares(at)} = ${figure(allowed, 'A', 0)}`,
          ]
        : [`no row for ${digits(at.copperMm2, 1)} mm² or no column for ${figure(at.limitC, '°C', 0)}`],
      source,
      assumes: `limit ${figure(at.limitC, '°C', 0)}; ${basis}the row is the largest not above this copper; a duty counts as the steady amps that are as hot`,
    },
  };
  if (!reading) {
    const because = 'Outside this table: it says nothing about this cable.';
    return stated({ ...facts, because, remedy: 'Go by another school.' }, 'unproved');
  }
  return atMost({ ...facts, ...nothingLeft(allowed) }, allowed);
}

function heat(at: Assessment): Finding {
  const allowed = allowedBy(at, 'heat') ?? 0;
  return atMost(
    {
      id: 'amps-heat',
      stage: 'gauge',
      title: 'By heat balance',
      value: countedAmps(at),
      unit: 'A',
      decimals: 0,
      ...nothingLeft(allowed),
      work: {
        formula: 'I = √(Q(T_lim) ÷ R(T_lim)) · f_placing',
        substituted: [
          `at ${figure(at.limitC, '°C', 0)}: ${figure(at.heatA, 'A', 1)} × ${digits(at.placing, 2)}${shares(at)} = ${figure(allowed, 'A', 0)}`,
        ],
        source: 'one metre in still air, Churchill and Chu, ε = 0.9',
        assumes: 'more generous than the tables outside 70–105 °C and 16–120 mm²',
      },
    },
    allowed,
  );
}

function quick(at: Assessment): Finding {
  return atLeast(
    {
      id: 'quick',
      stage: 'gauge',
      title: 'Printed 3/10 %',
      value: at.copperMm2 * at.parallel,
      unit: 'mm²',
      decimals: 1,
      work: {
        formula: 'CM = 10.75 · I · L_ft ÷ ΔU',
        substituted: [
          `asks ${figure(at.quickMm2, 'mm²', 1)} for the loop at 3 % of nominal held, 10 % in a surge`,
        ],
        source: 'the customary rule behind printed charts; 1 CM = 0.0005067 mm²',
        assumes: 'copper at about 30 °C, no joints, feet there and back',
      },
    },
    at.quickMm2,
  );
}
