import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import type { WorkedCable } from '../cableWork.ts';
import fc from 'fast-check';
import { bestFitDecreasing } from '../cutting/cutPlan.ts';
import { kitOf } from '../cutting/kit.ts';
import { cutGroups } from '../cutting/pieces.ts';
import { jobFileSchema } from '../model/job.ts';
import { workUp } from '../workup.ts';
import {
  type Label,
  labelOf,
  labelSheets,
  type LabelKind,
  type Paper,
  PAPER_MM,
  readLabel,
} from './label.ts';
import { testRecord } from './testRecord.ts';
import { travellerDoc } from './travellerDoc.ts';
import { cuttingListDoc, kitDoc, type ListDoc, scheduleDoc } from './listDoc.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const works = workUp(job, shop, '2026-11-25').cables;
const made = job.cables.flatMap((cable, i): (WorkedCable & { key: string })[] => {
  const work = works[i];
  return work ? [{ key: cable.id, cable, work }] : [];
});
const of = (tag: string) => {
  const found = made.find(({ cable }) => cable.tag === tag);
  if (!found) throw new Error(`no ${tag}`);
  return found;
};

describe('a label', () => {
  test('holds the record of its own cable', () => {
    const label = labelOf(of('SO-1'), '2026-11-25');
    const read = readLabel(label.qr);
    expect(read).toMatchObject({
      ok: true,
      fields: { tag: 'SO-1', pole: 'positive', proof: 'proved' },
    });
    expect(label.lines.join(' ')).toContain(`${of('SO-1').work.lengths?.finishedMm.toFixed(0)} mm`);
  });
  test('does not call proved what is not', () => {
    const proof = (tag: string) => {
      const read = readLabel(labelOf(of(tag), '2026-11-25').qr);
      return read.ok ? read.fields.proof : read.sentence;
    };
    expect(proof('IN-1')).toBe('fails');
    expect(proof('TH-3')).not.toBe('proved');
  });
  test('is read back whatever a person calls the cable', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 60, unit: 'grapheme' }), (tag) => {
        const own = of('SO-1');
        const read = readLabel(labelOf({ ...own, cable: { ...own.cable, tag } }, '2026-11-25').qr);
        return read.ok && read.fields.tag === tag.replace(/\s+/g, ' ').trim();
      }),
    );
  });
  test.each([
    ['something else', 'https://example.org', /not the code/],
    ['half a label', 'GA1\ntag: X', /lacks: pole/],
    ['nothing', '', /not the code/],
  ])('%s is refused with a sentence', (_, text, sentence) => {
    const read = readLabel(text);
    expect(read.ok ? '' : read.sentence).toMatch(sentence);
  });
});

describe('sheets of labels', () => {
  const label: Label = { tag: 'X-1', lines: [], qr: 'GA1' };
  test('carry two of each, none off the sheet and none on another', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 70 }),
        fc.constantFrom<LabelKind>('wrap', 'flag'),
        fc.constantFrom<Paper>('A4', 'Letter'),
        (count, kind, paper) => {
          const sheets = labelSheets(
            Array.from({ length: count }, () => label),
            kind,
            paper,
          );
          const { width, height } = PAPER_MM[paper];
          const apart = sheets.every((sheet) =>
            sheet.every(
              (a, i) =>
                a.x >= 0 &&
                a.y >= 0 &&
                a.x + a.width <= width &&
                a.y + a.height <= height &&
                sheet
                  .slice(i + 1)
                  .every(
                    (b) =>
                      a.x + a.width <= b.x ||
                      b.x + b.width <= a.x ||
                      a.y + a.height <= b.y ||
                      b.y + b.height <= a.y,
                  ),
            ),
          );
          return apart && sheets.flat().length === 2 * count;
        },
      ),
      { numRuns: cases(40) },
    );
  });
});

describe('lists for paper', () => {
  const cells = (doc: ListDoc) => doc.sections.flatMap(({ rows }) => rows);
  const plans = cutGroups(made, shop).map((group) => ({
    group,
    plan: bestFitDecreasing(group.pieces, group.stock, shop.practice.cutting),
  }));
  test.each([
    ['cutting list', cuttingListDoc(job.title, plans)],
    ['kit list', kitDoc(job.title, kitOf(made, shop))],
    ['schedule', scheduleDoc(job.title, made)],
  ])('the %s has as many cells as columns, and columns that fill the page', (_, doc) => {
    expect(cells(doc).length).toBeGreaterThan(0);
    for (const row of cells(doc)) expect(row).toHaveLength(doc.columns.length);
    expect(doc.columns.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(1, 9);
    expect(doc.foot).toMatch(/licensed/);
  });
  test('the cutting list has a row a piece, and says what is left on a spool behind its last', () => {
    const rows = cells(cuttingListDoc(job.title, plans));
    expect(rows.map(([tag]) => tag).sort()).toEqual(
      plans.flatMap(({ group }) => group.pieces.map(({ label }) => label)).sort(),
    );
    const used = plans.flatMap(({ plan }) => plan.spools.filter(({ pieces }) => pieces.length > 0));
    expect(rows.filter(([, , , left]) => left !== '')).toHaveLength(used.length);
  });
  test('the schedule has a row a cable', () =>
    expect(cells(scheduleDoc(job.title, made)).map(([tag]) => tag)).toEqual(
      job.cables.map(({ tag }) => tag),
    ));
  test('the kit list says what is not counted rather than nothing', () => {
    const rows = cells(kitDoc(job.title, kitOf(made, { ...shop, shelf: [] })));
    expect(rows.some(([, , , shelf]) => shelf === 'not counted')).toBe(true);
  });
});

describe('what an inspector reads on paper', () => {
  const signed = { at: '2026-11-24T10:00:00.000Z', by: 'R. Pell' };
  const { cable, work } = of('SO-1');
  const told: WorkedCable = {
    work,
    cable: {
      ...cable,
      lots: [{ item: 'cable', lot: '4711', ...signed }],
      signOffs: [
        { role: 'maker', ...signed },
        { role: 'inspector', ...signed, by: 'J. Mold' },
      ],
      nonconformances: [
        { id: 'n1', ...signed, cause: 'die F worn' },
        { id: 'n2', ...signed, cause: 'wrong lot', done: { ...signed, by: 'J. Mold', what: 'made again' } },
      ],
    },
  };
  test('the test record names lots, who signed it off, and what was found wrong', () => {
    const { facts, history } = testRecord(told, 'Boat', '2026-11-25');
    expect(facts.at(-1)).toMatch(/^lots: cable .*4711$/);
    const all = history.join('\n');
    expect(all).toMatch(/R\. Pell: signed it off as its maker/);
    expect(all).toMatch(/J\. Mold: inspected it and signed it off/);
    expect(all).toMatch(/die F worn; still open/);
    expect(all).toMatch(/wrong lot; made again, by J\. Mold on 2026-11-24/);
    expect(testRecord(of('SO-1'), 'Boat', '2026-11-25').facts.some((fact) => fact.startsWith('lots'))).toBe(
      false,
    );
  });
  test('the traveller has a line for each lot, written or to be written', () => {
    const { lots } = travellerDoc(told, 'Boat');
    expect(lots[0]).toMatchObject({ lot: '4711' });
    expect(lots.slice(1).every(({ lot }) => lot === '')).toBe(true);
    expect(lots.at(-1)?.title).toBe('labels');
  });
});
