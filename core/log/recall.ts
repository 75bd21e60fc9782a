import type { CableWork, WorkedCable } from '../cableWork.ts';
import { fittedDay } from '../fit/service.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import { usesDie } from '../model/method.ts';
import { latestOf } from '../lib/moments.ts';
import { sameName } from '../model/people.ts';
import type { Shop } from '../model/shop.ts';
import { type Message, msg } from '../words/message.ts';
import { lotItems, lotOf } from '../cutting/lots.ts';

/** What cables are recalled by; and of which days, as year-month-day, where that narrows it. */
export interface RecallBy {
  readonly by: 'lot' | 'die' | 'tool' | 'instrument' | 'person' | 'days';
  /** The lot, the id of die or tool, the title of the instrument, or the name. */
  readonly what: string;
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}

/** Why a cable is affected. */
export interface Affected {
  readonly because: Message;
  /** The day it was last worked on or measured. */
  readonly day: string;
  readonly fitted: string | null;
}
/** A cable that is affected, with its work and whatever else was known of it. */
export type Recalled<Worked extends WorkedCable = WorkedCable> = Worked & Affected;

/** Each day on which something was done to a cable, by whom, and with what. */
const touches = ({ done, readings, reworks, records, fitted, mishaps }: Cable) => [
  ...done.map(({ at, by }) => ({ at, by, instrument: '' })),
  ...readings.map(({ at, by, instrument }) => ({ at, by, instrument: instrument?.title ?? '' })),
  ...[...reworks, ...records, ...fitted, ...mishaps].map(({ at, by }) => ({ at, by, instrument: '' })),
];

/** Whether a die closed on an end of a cable as it is worked up now. */
const closedBy = (work: Pick<CableWork, 'ends' | 'joins'>, dieId: string): boolean =>
  END_NAMES.some((name) => usesDie(work.ends[name].method) && work.ends[name].die?.die.id === dieId) ||
  work.joins.some(({ die }) => die?.die.id === dieId);

function reason(cable: Cable, work: CableWork, shop: Shop, { by, what }: RecallBy): Message | null {
  switch (by) {
    case 'lot': {
      const hit = lotItems(work).find(({ item }) => sameName(lotOf(cable, item), what));
      const named = (cable.lots ?? []).some(({ lot }) => sameName(lot, what));
      return hit ? msg`${hit.title} is of lot ${what}` : named ? msg`lot ${what} was used on it` : null;
    }
    case 'die':
      return closedBy(work, what)
        ? msg`closed with die ${shop.dies.find(({ id }) => id === what)?.stamp ?? what}`
        : null;
    case 'tool':
      return shop.dies.some(({ id, toolId }) => toolId === what && closedBy(work, id))
        ? msg`closed with ${shop.tools.find(({ id }) => id === what)?.title ?? what}`
        : null;
    case 'instrument':
      return touches(cable).some(({ instrument }) => sameName(instrument, what))
        ? msg`measured with ${what}`
        : null;
    case 'person':
      return touches(cable).some((touch) => sameName(touch.by, what)) ? msg`${what} worked on it` : null;
    case 'days':
      return msg`worked on in these days`;
  }
}

/**
 * Every cable that was begun and is affected, by the day it was worked on. What was only planned is none.
 *
 * A span of days narrows the rest: a cable counts where anything was done to it in that span. A die or tool is found on
 * each cable that it closes on as the cable is worked up, whether it was chosen or proposed: one too many is better than
 * one too few.
 */
export function recalled<Worked extends WorkedCable>(
  worked: readonly Worked[],
  shop: Shop,
  asked: RecallBy,
): Recalled<Worked>[] {
  return worked
    .flatMap((one): Recalled<Worked>[] => {
      const within = touches(one.cable).filter(({ at: moment }) => {
        const day = moment.slice(0, 10);
        return (!asked.from || day >= asked.from) && (!asked.to || day <= asked.to);
      });
      const because = within.length > 0 ? reason(one.cable, one.work, shop, asked) : null;
      const day = latestOf(within).slice(0, 10);
      return because === null ? [] : [{ ...one, because, day, fitted: fittedDay(one.cable) }];
    })
    .sort((a, b) => a.day.localeCompare(b.day) || a.cable.tag.localeCompare(b.cable.tag));
}
