import { addDays, addMonths, differenceInMilliseconds, formatISO, parseISO } from 'date-fns';
import { millisecondsInDay } from 'date-fns/constants';

const asDay = (date: Parameters<typeof formatISO>[0]) => formatISO(date, { representation: 'date' });

/**
 * A day so many days later.
 *
 * @example dayAfter('2026-11-27', 30) // "2026-12-27"
 */
export const dayAfter = (day: string, days: number): string => asDay(addDays(parseISO(day), days));

/**
 * A day so many months later; the last of the month where that month is shorter.
 *
 * @example monthsAfter('2027-01-31', 1) // "2027-02-28"
 */
export const monthsAfter = (day: string, months: number): string => asDay(addMonths(parseISO(day), months));

/**
 * Days from one moment to another, with parts of a day; negative where the second comes first.
 *
 * @example daysBetween('2026-11-27T12:00:00Z', '2026-11-29T00:00:00Z') // 1.5
 */
export const daysBetween = (from: string, to: string): number =>
  differenceInMilliseconds(parseISO(to), parseISO(from)) / millisecondsInDay;
