import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import type { DueEvent } from '../../core/log/dueEvents.ts';
import { dueCalendar } from './calendar.ts';

const STAMP = new Date('2026-11-27T08:00:00Z');
const event = (change: Partial<DueEvent> = {}): DueEvent => ({
  uid: 'hut-hb5-look-again@gruff-anchor.invalid',
  day: '2026-10-25',
  title: 'Look at HB-5',
  place: 'Larkfell, ridge hut',
  description: 'HB-5, Shunt to Bank −. Due by 2026-10-25; counted from 2025-10-25.',
  ...change,
});
/** The events as a parser that is not ours reads them. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    .getAllSubcomponents('vevent')
    .map((own) => ({ event: new ICAL.Event(own), alarms: own.getAllSubcomponents('valarm') }));

describe('a calendar of what is due, read back by an independent parser', () => {
  test('has each thing as a whole day, with its place and words', () => {
    const [first] = read(dueCalendar([event()], 'Cables', STAMP));
    expect(first?.event.uid).toBe(event().uid);
    expect(first?.event.summary).toBe('Look at HB-5');
    expect(first?.event.location).toBe('Larkfell, ridge hut');
    expect(first?.event.description).toBe(event().description);
    expect(first?.event.startDate.isDate).toBe(true);
    expect(first?.event.startDate.toString()).toBe('2026-10-25');
  });
  test('warns a week before', () => {
    const [first] = read(dueCalendar([event()], 'Cables', STAMP));
    expect(first?.alarms).toHaveLength(1);
    expect(first?.alarms[0]?.getFirstPropertyValue('trigger')?.toString()).toBe('-P7D');
  });
  test('keeps commas, semicolons, line breaks and markup in a name as they are', () => {
    const awkward = event({ title: 'Look at A,B;C\\D <b>\nE', place: 'ü, "x"; 48 V' });
    const [first] = read(dueCalendar([awkward], 'a, b; c', STAMP));
    expect(first?.event.summary).toBe('Look at A,B;C\\D <b>\nE');
    expect(first?.event.location).toBe('ü, "x"; 48 V');
  });
  test('with nothing due is an empty calendar that can still be read', () =>
    expect(read(dueCalendar([], 'Cables', STAMP))).toEqual([]));
  test('holds as many as there are, in lines no longer than a calendar takes', () => {
    const many = Array.from({ length: 40 }, (_, i) => event({ uid: `u${i}@gruff-anchor.invalid` }));
    const text = dueCalendar(many, 'Cables', STAMP);
    expect(read(text)).toHaveLength(40);
    expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
  });
});
