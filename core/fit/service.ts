import type { Work } from '../finding/finding.ts';
import { END_NAMES, type End, type EndName } from '../model/end.ts';
import type { Cable } from '../model/cable.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { countingReadings } from '../proof/readings.ts';
import { dayAfter, monthsAfter } from '../model/units/days.ts';
import { type Message, msg } from '../words/message.ts';

type Temporary = NonNullable<End['temporary']>;

/** What is due within so many days is due soon. */
export const SOON_DAYS = 31;

/** What a fitted cable is due for. */
export interface Due {
  readonly what: 'tighten again' | 'look again' | 'replace';
  /** ISO 8601, the day by which. */
  readonly by: string;
  /** The day it counts from. */
  readonly since: string;
  readonly work: Work;
}

const SAYS: Readonly<Record<Due['what'], Message>> = {
  'tighten again': msg`retighten both studs`,
  'look again': msg`inspect it, and tighten to torque`,
  replace: msg`replace the get-you-home repair`,
};
/** What is to be done, in words. */
export const dueSays = ({ what }: Pick<Due, 'what'>): Message => SAYS[what];

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
    return temporary ? [replaceDue(name, temporary)] : [];
  });
  if (fitted) {
    if (!isTightenedAgain(cable, fitted)) dues.push(tightenDue(fitted, service.retorqueDays));
    dues.push(lookDue(cable, fitted, service.lookMonths));
  }
  return dues.sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
}

function replaceDue(name: EndName, { fitted, replaceBy }: Temporary): Due {
  return {
    what: 'replace',
    by: replaceBy,
    since: fitted,
    work: {
      formula: msg`the day that was promised when it was fitted`,
      substituted: [msg`end ${name}: fitted ${fitted}, to be replaced by ${replaceBy}`],
      source: msg`set on the end, in Ends`,
      assumes: '',
    },
  };
}

function tightenDue(since: string, days: number): Due {
  const by = dayAfter(since, days);
  return {
    what: 'tighten again',
    by,
    since,
    work: {
      formula: msg`the day both studs were first tightened + the first period`,
      substituted: [msg`${since} + ${days} days = ${by}`],
      source: msg`house practice: copper and washers settle`,
      assumes: msg`a torque recorded within ${SETTLING_DAYS} days does not count as the second`,
    },
  };
}

function lookDue(cable: Cable, fitted: string, months: number): Due {
  const looks = countingReadings(cable, 'inspection').filter(({ fine }) => fine);
  const since = [fitted, ...looks.map(({ at }) => at.slice(0, 10))].sort().at(-1) ?? fitted;
  const by = monthsAfter(since, months);
  return {
    what: 'look again',
    by,
    since,
    work: {
      formula: msg`the later of the day it was fitted and the last inspection that found it sound + the period`,
      substituted: [msg`fitted ${fitted}`, msg`${since} + ${months} months = ${by}`],
      source: msg`house practice`,
      assumes: msg`an inspection that found something wrong postpones nothing`,
    },
  };
}
