import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import JSZip from 'jszip';
import { readJobFile } from '../../core/model/file.ts';
import { jobFileSchema } from '../../core/model/job.ts';
import { escapeHtml, recordIndexHtml } from '../../core/paper/recordIndex.ts';
import { tagFileName, type TestRecord, testRecord } from '../../core/paper/testRecord.ts';
import { workUp } from '../../core/workup.ts';
import { fileNames, jobZip } from './jobZip.ts';
import { PAPER_MM } from '../../core/paper/label.ts';
import { paperPicture } from './paperPicture.ts';
import { FONTS, read } from './readPdf.ts';
import { recordPdf } from './recordPdf.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const works = workUp(job, shop).cables;
const recordOf = (id: string): TestRecord => {
  const i = job.cables.findIndex((cable) => cable.id === id);
  const [cable, work] = [job.cables[i], works[i]];
  if (!cable || !work) throw new Error(`no ${id}`);
  return testRecord({ cable, work }, job.title, '2026-11-25');
};
const drawing = await paperPicture({ width: 40, height: 10, data: new Uint8ClampedArray(4 * 400).fill(200) });
const photo = new Uint8Array(readFileSync('demo/sections/section-08.jpg'));
const NONE = { drawing: null, photos: [] };

describe('a test record', () => {
  test('of a proved cable holds every proof with limit, reader and day, and who sealed it', () => {
    const record = recordOf('so1');
    expect(record).toMatchObject({ state: 'holds', simulated: false });
    const pull = record.rows.find(({ title, end }) => title.startsWith('Pull') && end === 'A');
    expect(pull).toMatchObject({ says: 'passes', limit: expect.stringContaining('at least') });
    expect(pull?.read).toMatch(/^.+, 2026-/);
    expect(record.sealed).toMatch(/^Sealed 2026-/);
  });
  test('of a bad crimp says why, and what is missing stands as plainly as what fails', () => {
    const { rows } = recordOf('in1');
    expect(rows.filter(({ state }) => state === 'fails').every(({ why }) => why !== '')).toBe(true);
    expect(rows.find(({ title }) => title.startsWith('Insulation'))).toMatchObject({
      says: 'not proved',
      value: 'not known',
    });
  });
  test('with simulated readings is marked, row by row and as a whole', () => {
    const record = recordOf('bk1');
    expect(record.simulated).toBe(true);
    expect(
      record.rows.filter(({ simulated }) => simulated).every(({ says }) => /^not proved, would/.test(says)),
    ).toBe(true);
  });
});

describe('as PDF', () => {
  test.each(['A4', 'Letter'] as const)('%s is one page of its size, with every figure', async (paper) => {
    const record = recordOf('in1');
    const pages = await read(await recordPdf(record, paper, FONTS, { drawing, photos: [photo] }));
    expect(pages).toHaveLength(1);
    expect(pages[0]?.width).toBeCloseTo(PAPER_MM[paper].width, 0);
    const words = pages[0]?.words.join(' ') ?? '';
    for (const word of ['Test record IN-1', '10.88', 'fails', 'Measured by', 'Not sealed yet'])
      expect(words).toContain(word);
  });
  test('says SIMULATED where anything is', async () => {
    const [page] = await read(await recordPdf(recordOf('bk1'), 'A4', FONTS, NONE));
    expect(page?.words.join(' ')).toContain('SIMULATED READINGS');
  });
  test('too long for a page it goes on, and nothing runs off the paper', async () => {
    const record = recordOf('in1');
    const long = { ...record, rows: Array.from({ length: 6 }, () => record.rows).flat() };
    const pages = await read(
      await recordPdf(long, 'A4', FONTS, { drawing, photos: Array(6).fill(photo) as Uint8Array[] }),
    );
    expect(pages.length).toBeGreaterThan(1);
    for (const { places } of pages) for (const { y } of places) expect(y).toBeGreaterThan(10);
    expect(pages.at(-1)?.words.join(' ')).toContain('2 more photographs');
  });
});

describe('the job as a zip', () => {
  const zipped = async () => {
    const cables = [recordOf('in1'), { ...recordOf('so1'), tag: '../../in-1' }, recordOf('in1')].map(
      (record) => ({
        record,
        svg: '<svg/>',
        pictures: { drawing: null, photos: [photo] },
      }),
    );
    const told: number[] = [];
    const bytes = await jobZip(
      job,
      shop,
      cables,
      'A4',
      FONTS,
      '2026-11-25T12:00:00.000Z',
      {},
      {
        told: (n) => told.push(n),
      },
    );
    return { zip: await JSZip.loadAsync(bytes), told };
  };
  test('an independent reader finds index, records, drawings, photographs and the job itself', async () => {
    const { zip, told } = await zipped();
    expect(told).toEqual([1, 2, 3]);
    expect(
      Object.keys(zip.files)
        .filter((name) => !zip.files[name]?.dir)
        .sort(),
    ).toEqual(
      [
        'index.html',
        'job.json',
        ...['IN-1', 'in-1~2', 'IN-1~3'].flatMap((name) => [
          `drawings/${name}.svg`,
          `photographs/${name}-1.jpg`,
          `records/${name}.json`,
          `records/${name}.pdf`,
        ]),
      ].sort(),
    );
    const read = readJobFile((await zip.file('job.json')?.async('string')) ?? '');
    expect(read.ok && read.value.job).toEqual(job);
    const record = JSON.parse((await zip.file('records/IN-1.json')?.async('string')) ?? '{}') as TestRecord;
    expect(record).toEqual(recordOf('in1'));
    const kept = await zip.file('photographs/IN-1-1.jpg')?.async('nodebuffer');
    expect(kept?.equals(photo)).toBe(true);
    const index = (await zip.file('index.html')?.async('string')) ?? '';
    for (const [, href = ''] of index.matchAll(/href="([^"]+)"/g))
      expect(zip.file(decodeURIComponent(href))).not.toBeNull();
  });
  test('names never climb, clash or vanish', () => {
    expect(tagFileName('../../etc/passwd')).toBe('etc-passwd');
    expect(tagFileName('…')).toBe('cable');
    expect(fileNames(['A/1', 'A-1', 'a-1'])).toEqual(['A-1', 'A-1~2', 'a-1~3']);
  });
  test('markup in a name is text in the index', () => {
    const record = { ...recordOf('so1'), tag: '<script>alert(1)</script>' };
    const html = recordIndexHtml('A & B', '2026-11-25', [{ record, file: 'x', photos: 0 }]);
    expect(html).not.toContain('<script>');
    expect(html).toContain(escapeHtml(record.tag));
  });
});
