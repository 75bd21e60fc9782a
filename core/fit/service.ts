import { END_NAMES } from '../job/end.ts';
import type { Cable } from '../job/cable.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { countingReadings } from '../proof/readings.ts';
import { dayAfter, monthsAfter } from '../units/days.ts';

/** What a fitted cable is due for. */
export interface Due {
  readonly what: 'tighten again' | 'look again' | 'replace';
  /** ISO 8601, the day by which. */
  readonly by: string;
  /** The day it counts from. */
  readonly since: string;
}

/** A second tightening counts once this many days have gone by: the same evening proves nothing. */
const SETTLING_DAYS = 7;

/** The day on which both studs had been tightened for the first time; null before that. */
export function fittedDay(cable: Cable): string | null {
  const days = END_NAMES.map(
    (name) =>
      countingReadings(cable, 'torque', name)
        .map(({ at }) => at.slice(0, 10))
        .sort()[0],
  );
  return days.every((day) => day !== undefined) ? (days.sort().at(-1) ?? null) : null;
}

/** Whether both studs were tightened again after they had time to settle. */
function isTightenedAgain(cable: Cable, fitted: string): boolean {
  const from = dayAfter(fitted, SETTLING_DAYS);
  return END_NAMES.every((name) =>
    countingReadings(cable, 'torque', name).some(({ at }) => at.slice(0, 10) >= from),
  );
}

/**
 * What a cable is due for, the soonest first: a second tightening after its first period, a look every so many months
 * since it was fitted or last looked at, and the day a get-you-home repair must be gone. A cable that is not fitted is
 * due for nothing but that.
 */
export function duesOf(cable: Cable, { service }: Pick<HousePractice, 'service'>): Due[] {
  const fitted = fittedDay(cable);
  const dues: Due[] = END_NAMES.flatMap((name): Due[] => {
    const temporary = cable.ends[name].temporary;
    return temporary ? [{ what: 'replace', by: temporary.replaceBy, since: temporary.fitted }] : [];
  });
  if (fitted) {
    if (!isTightenedAgain(cable, fitted))
      dues.push({ what: 'tighten again', by: dayAfter(fitted, service.retorqueDays), since: fitted });
    const looks = countingReadings(cable, 'inspection').filter(({ fine }) => fine);
    const since = [fitted, ...looks.map(({ at }) => at.slice(0, 10))].sort().at(-1) ?? fitted;
    dues.push({ what: 'look again', by: monthsAfter(since, service.lookMonths), since });
  }
  return dues.sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
}
