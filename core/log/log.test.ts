import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readJobFile } from '../model/file.ts';
import { labelOf, readLabel } from '../paper/label.ts';
import { handover } from '../paper/handover.ts';
import { workUp } from '../workup.ts';
import { badFact, type Fact, FACTS, figureOf, withFact, withReadingCorrected } from './corrections.ts';
import { dueEvents } from './dueEvents.ts';
import { cableOfLabel, findByLabel } from './label.ts';
import {
  dueDay,
  dueList,
  LOG_SORTS,
  type LogQuery,
  logOf,
  type LogSort,
  logWords,
  searchLog,
  WHOLE_LOG,
} from './log.ts';

const fileOf = (name: string) => {
  const parsed = readJobFile(readFileSync(`demo/${name}.json`, 'utf8'));
  if (!parsed.ok) throw new Error(parsed.sentence);
  return parsed.value;
};
const { job: hut, shop } = fileOf('hut');
const { job: teasel } = fileOf('teasel');
const entries = logOf([teasel, hut], shop);
const TODAY = '2026-11-27';
const SOON = '2026-12-28';
const tags = (query: Partial<LogQuery>) =>
  searchLog(entries, { ...WHOLE_LOG, ...query }, TODAY, SOON).map(({ cable }) => cable.tag);
const cableOf = (tag: string) => {
  const cable = hut.cables.find((own) => own.tag === tag);
  if (!cable) throw new Error(`no ${tag}`);
  return cable;
};
const said = { id: 'c1', at: '2026-11-27T08:00:00.000Z', by: 'R. Pell', why: 'misread the stamp' };

describe('looking through the log', () => {
  test('what was made, by whom and with what', () => {
    const entry = entries.find(({ cable }) => cable.tag === 'HB-1');
    expect(entry).toMatchObject({ made: '2025-10-18', fitted: '2025-10-25', people: ['N. Sorrel'] });
    expect(entry?.verdict).toBe('holds');
    expect(entry?.dies.length).toBeGreaterThan(0);
    expect(tags({})).not.toContain('PV-2');
    expect(tags({ state: 'planned' })).toContain('PV-2');
  });
  test('every word must be found, in any of its fields, whatever the case', () => {
    expect(tags({ text: 'ridge SHUNT hb' })).toEqual(['HB-4', 'HB-5']);
    expect(tags({ text: 'alder solar' })).toEqual(['SO-1']);
    expect(tags({ text: 'nothing of the kind' })).toEqual([]);
  });
  test('by job, person, keyword and die', () => {
    expect(tags({ job: 'hut', keyword: 'return', sort: 'tag' })).toEqual(['HB-4', 'HB-5']);
    expect(tags({ person: 'N. Sorrel' })).toHaveLength(6);
    const { dies, keywords } = logWords(entries);
    expect(keywords).toEqual(['inverter', 'return', 'solar']);
    const byDie = dies.flatMap((die) => tags({ die }));
    expect(new Set(byDie).size).toBeLessThanOrEqual(entries.length);
    expect(byDie).toContain('HB-5');
  });
  test('what is due, the soonest first', () => {
    expect(tags({ state: 'overdue', sort: 'due' })[0]).toBe('HB-5');
    const list = dueList(entries);
    expect(list.map(({ due }) => due.by)).toEqual(list.map(({ due }) => due.by).toSorted());
    expect(list.filter(({ entry }) => entry.cable.tag === 'HB-5').map(({ due }) => due.what)).toEqual([
      'tighten again',
      'look again',
    ]);
  });
  test('whatever is asked, the answer is a part of the log, each cable once', () =>
    fc.assert(
      fc.property(
        fc.string({ maxLength: 12 }),
        fc.constantFrom(...(Object.keys(LOG_SORTS) as LogSort[])),
        fc.constantFrom('all', 'made', 'planned', 'proved', 'not proved', 'due', 'overdue' as const),
        (text, sort, state) => {
          const found = searchLog(
            entries,
            { ...WHOLE_LOG, text, sort, state: state as LogQuery['state'] },
            TODAY,
            SOON,
          );
          const days = found.map((entry) => dueDay(entry) ?? '9999');
          return (
            new Set(found).size === found.length &&
            found.every((entry) => entries.includes(entry)) &&
            (sort !== 'due' || days.every((day, i) => i === 0 || (days[i - 1] ?? '') <= day))
          );
        },
      ),
    ));
});

describe('corrections', () => {
  test.each([
    ['tag', 'HB-11'],
    ['from', 'Bank 2 +'],
    ['to', 'Fuse F2'],
    ['jacket', 'black'],
    ['notes', 'lugs from the second box'],
  ] as const)('of the %s keep the old wording, with who, when and why', (fact, now) => {
    const cable = cableOf('HB-1');
    const right = withFact(cable, fact, now, said);
    expect(FACTS[fact].of(right)).toBe(now);
    expect(right.corrections).toEqual([
      { ...said, what: FACTS[fact].title, was: FACTS[fact].of(cable), now },
    ]);
    expect(right.records).toEqual(cable.records);
  });
  test('that cannot be meant are refused in a sentence', () => {
    const cable = cableOf('HB-1');
    const bad = (fact: Fact, now: string) => badFact(cable, fact, now);
    expect(bad('tag', 'HB-1')).toMatch(/already/);
    expect(bad('tag', ' ')).toMatch(/needs a tag/);
    expect(bad('jacket', 'mauve')).toMatch(/red, black/);
    expect(bad('to', 'x'.repeat(61))).toMatch(/At most 60/);
    expect(() => withFact(cable, 'jacket', 'mauve', said)).toThrow(RangeError);
  });
  test('of a reading strike the old one out, and the new one stands in its place and time', () => {
    const cable = cableOf('HB-1');
    const old = cable.readings.find(({ check }) => check === 'torque');
    if (!old) throw new Error('no torque');
    const right = withReadingCorrected(cable, old.id, 13, said);
    expect(right.readings).toHaveLength(cable.readings.length + 1);
    expect(right.readings.find(({ id }) => id === old.id)?.struck).toMatchObject({ by: 'R. Pell' });
    expect(right.readings.find(({ id }) => id === 'c1')).toMatchObject({
      newtonMetre: 13,
      at: old.at,
      corrects: old.id,
    });
    expect(() => withReadingCorrected(cable, old.id, 900, said)).toThrow(RangeError);
    expect(() => withReadingCorrected(right, old.id, 12, said)).toThrow(RangeError);
  });
  test('of what an instrument read, or has no figure, there are none', () => {
    const torque = cableOf('HB-1').readings.find(({ check }) => check === 'torque');
    const look = cableOf('HB-1').readings.find(({ check }) => check === 'look');
    if (!torque || !look) throw new Error('readings are missing');
    expect(figureOf({ ...torque, source: 'instrument' })).toBeNull();
    expect(figureOf(look)).toBeNull();
  });
});

describe('a label', () => {
  const work = workUp(hut, shop);
  const labelFor = (tag: string) => {
    const i = hut.cables.findIndex((own) => own.tag === tag);
    const [cable, own] = [hut.cables[i], work.cables[i]];
    if (!cable || !own) throw new Error(`no ${tag}`);
    const read = readLabel(labelOf({ cable, work: own }, TODAY).qr);
    if (!read.ok) throw new Error(read.sentence);
    return read.fields;
  };
  test.each(hut.cables.map(({ tag }) => tag))('of %s finds its own cable', (tag) =>
    expect(findByLabel(entries, labelFor(tag))?.cable.tag).toBe(tag),
  );
  test('of another place finds nothing, and is brought in as it tells, not proved', () => {
    const fields = { ...labelFor('HB-3'), from: 'Isolator of the barn, M10' };
    expect(findByLabel(entries, fields)).toBeNull();
    const cable = cableOfLabel(fields, 'new', shop);
    expect(cable).toMatchObject({
      tag: 'HB-3',
      polarity: 'positive',
      jacket: 'red',
      records: [],
      readings: [],
    });
    expect(cable.gauge.size).toEqual({ system: 'metric', name: '25' });
    expect(cable.run.lengthMm).toBe(1600);
    expect(cable.ends.A).toMatchObject({ at: 'Isolator of the barn', stud: 'M10' });
    expect(cable.notes).toContain('proved');
  });
  test('that is nonsense still makes a cable that can be kept', () => {
    const fields = Object.fromEntries(Object.keys(labelFor('HB-1')).map((key) => [key, '???'])) as ReturnType<
      typeof labelFor
    >;
    const cable = cableOfLabel(fields, 'new', shop);
    expect(cable.tag).toBe('???');
    expect(cable.gauge.size).toBeUndefined();
    expect(cable.run.lengthMm).toBe(1000);
  });
});

describe('the handover', () => {
  const scheduled = (job: typeof hut) => {
    const { cables } = workUp(job, shop);
    return job.cables.flatMap((cable, i) => {
      const own = cables[i];
      return own ? [{ cable, work: own }] : [];
    });
  };
  const pack = handover(hut, scheduled(hut), shop, TODAY);
  test('says first what is still open', () => {
    expect(pack.open.join(' ')).toContain('PV-2 is not proved');
    expect(pack.open.join(' ')).not.toContain('HB-1');
    expect(pack.facts).toContain('6 of 7 proved');
  });
  test('names simulated readings there', () => {
    const cables = scheduled({
      ...hut,
      cables: hut.cables.map((cable) => ({
        ...cable,
        readings: cable.readings.map((own) => ({ ...own, source: 'simulated' as const })),
      })),
    });
    expect(handover(hut, cables, shop, TODAY).open.join(' ')).toContain('HB-1 has SIMULATED readings');
  });
  test('has every end once, each shared stud once, and all that is due in order', () => {
    expect(pack.ends.sections[0]?.rows).toHaveLength(14);
    expect(pack.stacks.map(({ name }) => name)).toEqual(['Shunt']);
    expect(pack.stacks[0]?.lines[0]).toContain('HB-4 B');
    const days = pack.dues.sections[0]?.rows.map(([day]) => day) ?? [];
    expect(days).toEqual(days.toSorted());
    expect(days[0]).toBe('2025-11-24');
    expect(pack.cautions.map(({ title }) => title)).toContain('Battery');
  });
});

test('each due thing keeps its own name from export to export', () => {
  const events = dueEvents(dueList(entries));
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  expect(dueEvents(dueList(logOf([teasel, hut], shop)))).toEqual(events);
});

test('a tag is found as it is typed in a hurry, and one that is only planned too', () => {
  expect(tags({ text: 'so1' })).toContain('SO-1');
  expect(tags({ text: 'so2' })).toContain('SO-2');
  expect(tags({ text: 'SO 2' })).toContain('SO-2');
  expect(tags({ text: '--' })).toEqual([]);
});
