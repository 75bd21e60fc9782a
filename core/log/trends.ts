import type { Finding, Work } from '../finding/finding.ts';
import { idOf } from '../finding/topics.ts';
import { END_NAMES } from '../model/end.ts';
import type { WorkedCable } from '../cableWork.ts';
import type { Shop } from '../model/shop.ts';
import { digits } from '../words/numerals.ts';
import { COVERAGE, type Part } from '../proof/budget.ts';
import { calliperParts } from '../proof/crimpChecks.ts';
import { measured } from '../proof/decide.ts';
import { jointIndex } from '../proof/jointIndex.ts';
import { jointParts } from '../proof/jointIndexProof.ts';
import { type Message, msg } from '../words/message.ts';

/** What is followed over time. */
export const TREND_MEASURES = {
  'across-flats': { title: msg`Across flats`, unit: 'mm', decimals: 2 },
  joint: { title: msg`Joint index`, unit: '', decimals: 2 },
  air: { title: msg`Air in sections`, unit: '%', decimals: 1 },
} as const;
export type TrendMeasure = keyof typeof TREND_MEASURES;

/** One crimp measured: when, by whom, with which die, and where it is. */
export interface TrendPoint {
  readonly at: string;
  readonly by: string;
  readonly dieId: string;
  readonly measure: TrendMeasure;
  readonly value: number;
  /** "IN-1 B", or "trial". */
  readonly where: Message;
  /** What it was read with; empty where that is not named. */
  readonly instrument: string;
  /** What it may be off by, in its unit. */
  readonly parts: readonly Part[];
}

/**
 * Every crimp measured with the shop's dies, oldest first: readings of cables and test crimps. What is simulated or
 * struck out tells nothing of a die.
 */
export function trendPoints(worked: readonly WorkedCable[], shop: Shop): TrendPoint[] {
  const points: TrendPoint[] = [];
  for (const { cable, work } of worked) {
    for (const name of END_NAMES) {
      const end = work.ends[name];
      if (!end.die) continue;
      const base = { dieId: end.die.die.id, where: `${cable.tag} ${name}` };
      for (const reading of cable.readings) {
        if (!('end' in reading) || reading.end !== name) continue;
        if (reading.struck || reading.source === 'simulated') continue;
        const counted = {
          ...base,
          at: reading.at,
          by: reading.by,
          instrument: reading.instrument?.title ?? '',
        };
        if (reading.check === 'across-flats') {
          const parts = calliperParts(() => reading.valueMm)(reading);
          points.push({ ...counted, measure: 'across-flats', value: reading.valueMm, parts });
        } else if (reading.check === 'section') {
          const { voidShare, mostVoidShare = voidShare } = reading;
          const parts = hiddenAir(100 * Math.max(0, mostVoidShare - voidShare));
          points.push({ ...counted, measure: 'air', value: 100 * voidShare, parts });
        } else if (reading.check === 'joint' && end.lug) {
          const milliohmPerM = reading.plain.milliohm / (reading.plain.lengthMm / 1000);
          const value = jointIndex({ ...reading, barrelMm: end.lug.barrelMm, milliohmPerM });
          points.push({ ...counted, measure: 'joint', value, parts: jointParts(end.lug.barrelMm)(reading) });
        }
      }
    }
  }
  const spent = [
    ...shop.trials.map((trial) => ({ ...trial, where: msg`trial`, instrument: undefined })),
    ...(shop.checks ?? []).map((check) => ({ instrument: undefined, ...check, where: msg`check crimp` })),
  ];
  for (const { at: when, by, dieId, acrossFlatsMm, voidShare, source, where, instrument } of spent) {
    if (source === 'simulated') continue;
    const facts = { at: when, by, dieId, where, instrument: instrument?.title ?? '' };
    const read = { at: when, by, source, ...(instrument && { instrument }) };
    const parts = calliperParts(() => acrossFlatsMm)(read);
    points.push({ ...facts, measure: 'across-flats', value: acrossFlatsMm, parts });
    if (voidShare !== undefined) points.push({ ...facts, measure: 'air', value: 100 * voidShare, parts: [] });
  }
  return points.sort((a, b) => a.at.localeCompare(b.at));
}

const hiddenAir = (percent: number): Part[] => [
  { what: msg`air that the picture may hide`, standard: percent / COVERAGE },
];

/** Fewer points than this say nothing of how a die usually works. */
export const LEAST_POINTS = 8;
/** The limits are set by so many of the oldest: how it worked before anything changed. */
const BASELINE = 20;
/** Individual values: three standard deviations, from the mean moving range. */
const OF_MOVING_RANGE = 2.66;
const RUN_ON_ONE_SIDE = 8;
const RUN_ONE_WAY = 6;

/** How a die usually works, and where its next crimps should lie. */
export interface Control {
  readonly mean: number;
  readonly lower: number;
  readonly upper: number;
  readonly work: Work;
}

/** Something that does not happen by chance: which points, and in words. */
export interface Signal {
  readonly kind: 'outside' | 'one side' | 'one way';
  readonly from: number;
  readonly to: number;
  readonly says: Message;
}

/**
 * Control limits of single values: mean ± 2.66 · mean moving range of the oldest twenty.
 *
 * Source: Shewhart's chart for individual values.
 *
 * @param values oldest first
 * @returns null for fewer than eight values: they say nothing yet
 * @example controlOf([14.1, 14.12, 14.08, 14.1, 14.11, 14.09, 14.1, 14.12]).mean // 14.1025
 */
export function controlOf(values: readonly number[]): Control | null {
  if (values.length < LEAST_POINTS) return null;
  const base = values.slice(0, BASELINE);
  const mean = base.reduce((sum, own) => sum + own, 0) / base.length;
  const ranges = base.slice(1).map((own, i) => Math.abs(own - (base[i] ?? own)));
  const range = ranges.reduce((sum, own) => sum + own, 0) / ranges.length;
  const reach = OF_MOVING_RANGE * range;
  return {
    mean,
    lower: mean - reach,
    upper: mean + reach,
    work: {
      formula: msg`limits = mean ± 2.66 · mean moving range`,
      substituted: [
        msg`${digits(mean, 3)} ± 2.66 · ${digits(range, 4)} = ${digits(mean - reach, 3)} to ${digits(mean + reach, 3)}, of the oldest ${base.length}`,
      ],
      source: msg`chart for individual values after Shewhart: three standard deviations`,
      assumes: msg`the oldest crimps were made as the shop intends`,
    },
  };
}

/**
 * What in a series does not happen by chance: a point outside the limits, eight running on one side of the mean, six
 * steps running one way. The latest last.
 *
 * @param values oldest first
 */
export function signalsOf(values: readonly number[], control: Control): Signal[] {
  const outside = values.flatMap((value, i): Signal[] =>
    value > control.upper || value < control.lower
      ? [
          {
            kind: 'outside',
            from: i,
            to: i,
            says: msg`One ${value > control.upper ? msg`over` : msg`under`} its limits: check that crimp.`,
          },
        ]
      : [],
  );
  const side = runs(values.map((value) => Math.sign(value - control.mean)))
    .filter(({ sign, from, to }) => sign !== 0 && to - from + 1 >= RUN_ON_ONE_SIDE)
    .map(({ sign, from, to }): Signal => ({
      kind: 'one side',
      from,
      to,
      says: msg`${to - from + 1} in a row ${sign > 0 ? msg`over` : msg`under`} the mean: something has changed.`,
    }));
  const way = runs(values.slice(1).map((value, i) => Math.sign(value - (values[i] ?? value))))
    .filter(({ sign, from, to }) => sign !== 0 && to - from + 1 >= RUN_ONE_WAY)
    .map(({ sign, from, to }): Signal => ({
      kind: 'one way',
      from,
      to: to + 1,
      says: msg`${to - from + 1} in a row ${sign > 0 ? msg`up: check the press and its dies` : msg`down: check the calliper and the lugs`}.`,
    }));
  return [...outside, ...side, ...way].sort((a, b) => a.to - b.to);
}

/** Stretches of the same sign. */
function runs(signs: readonly number[]): { sign: number; from: number; to: number }[] {
  const found: { sign: number; from: number; to: number }[] = [];
  signs.forEach((sign, i) => {
    const last = found.at(-1);
    if (last && last.sign === sign) last.to = i;
    else found.push({ sign, from: i, to: i });
  });
  return found;
}

/**
 * The control limits as a finding, so that they open to how they came about, and what the latest may be off by. What its
 * reading scatters by is in the limits already; only what was read with another instrument than they came from may lie
 * beside them by all of its uncertainty, and is watched where it cannot be separated from them.
 *
 * @param points oldest first
 */
export function controlFinding(
  measure: TrendMeasure,
  points: readonly Pick<TrendPoint, 'value' | 'instrument' | 'parts'>[],
  control: Control,
): Finding {
  const { unit, decimals, title } = TREND_MEASURES[measure];
  const last = points.at(-1);
  const signals = signalsOf(
    points.map(({ value }) => value),
    control,
  );
  const fresh = signals.findLast(({ to }) => to === points.length - 1);
  const subject = { topic: 'trend', part: measure } as const;
  const finding: Finding = {
    ...subject,
    id: idOf(subject),
    stage: 'prove',
    title: msg`${title}, the latest`,
    value: last?.value ?? control.mean,
    unit,
    decimals,
    limit: { kind: 'window', least: control.lower, most: control.upper },
    state: fresh ? 'watch' : 'holds',
    because: fresh?.says ?? msg`As this die usually works.`,
    work: control.work,
  };
  const told = measured(finding, last?.parts ?? []);
  const base = points.slice(0, Math.min(BASELINE, points.length - 1));
  const isOther = base.every(({ instrument }) => instrument !== last?.instrument);
  if (isOther && !fresh) return told;
  return told.uncertainty === undefined
    ? finding
    : { ...finding, uncertainty: told.uncertainty, work: told.work };
}
