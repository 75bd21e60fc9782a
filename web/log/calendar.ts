import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import type { DueEvent } from '../../core/log/dueEvents.ts';
import { say } from '../../core/words/say.ts';

const DAYS_BEFORE = 7;

/** Everything due as an iCalendar file: a whole day each, with an alarm a week before. */
export function dueCalendar(events: readonly DueEvent[], name: string, stamp: Date): string {
  const calendar = ical({
    name,
    prodId: { company: 'gruff-anchor', product: say`due list`, language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { uid, day, title, place, description } of events) {
    const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
    const event = calendar.createEvent({
      id: uid,
      // A whole day is the same day wherever it is read.
      start: new Date(year, month - 1, date),
      allDay: true,
      floating: true,
      stamp,
      summary: title,
      location: place,
      description,
    });
    event.createAlarm({
      type: ICalAlarmType.display,
      trigger: DAYS_BEFORE * 24 * 3600,
      description: title,
    });
  }
  return `${calendar.toString()}\r\n`;
}
