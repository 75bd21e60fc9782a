import { readFileSync } from 'node:fs';
import { isThereTime } from '../../core/lib/casesFixture.ts';
import { describe, expect, test } from '@jest/globals';
import { jobFileSchema } from '../../core/model/job.ts';
import { handover } from '../../core/paper/handover.ts';
import { PAPER_MM } from '../../core/paper/label.ts';
import { testRecord } from '../../core/paper/testRecord.ts';
import { workUp } from '../../core/workup.ts';
import { handoverPdf } from './handoverPdf.ts';
import { paperPicture } from './paperPicture.ts';
import { FONTS, read } from './readPdf.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/hut.json', 'utf8')));
const DAY = '2026-11-27';
const { cables } = workUp(job, shop);
const scheduled = job.cables.flatMap((cable, i) => {
  const work = cables[i];
  return work ? [{ cable, work }] : [];
});
const pack = handover(job, scheduled, shop, DAY);
const records = scheduled.map((own) => ({
  record: testRecord(own, job.title, DAY),
  pictures: { drawing: null, photos: [] },
}));
const picture = await paperPicture({
  width: 34,
  height: 14,
  data: new Uint8ClampedArray(4 * 34 * 14).fill(90),
});

describe('a handover as one PDF', () => {
  test.each((['A4', 'Letter'] as const).slice(isThereTime ? 0 : 1))(
    'on %s holds front, lists, and a record of every cable, numbered',
    async (paper) => {
      const pages = await read(await handoverPdf(pack, records, paper, FONTS, [picture]));
      const words = pages.map((page) => page.words.join(' '));
      expect(words[0]).toContain('PV-2 is not proved');
      expect(words[0]).toContain('Negative off first');
      expect(words.join(' ')).toContain('Stud stacks');
      for (const { tag } of job.cables)
        expect(words.filter((page) => page.includes(`Test record ${tag}`))).toHaveLength(1);
      words.forEach((page, i) => expect(page).toContain(`page ${i + 1} of ${pages.length}`));
      for (const { width, places } of pages) {
        expect(width).toBeCloseTo(PAPER_MM[paper].width, 0);
        for (const { y } of places) expect(y).toBeGreaterThan(8);
      }
    },
  );
  test('a long front goes over to the next page, and a stack that could not be drawn keeps its words', async () => {
    const open = Array.from(
      { length: 120 },
      (_, i) => `C-${i} is not proved: nothing was ever measured of it at all.`,
    );
    const pages = await read(await handoverPdf({ ...pack, open }, [], 'A4', FONTS, [null]));
    const words = pages.map((page) => page.words.join(' ')).join(' ');
    expect(words).toContain('C-119 is not proved');
    expect(words).toContain('1. HB-4 B');
    expect(pages.length).toBeGreaterThan(5);
  });
});
