import { describe, expect, test } from '@jest/globals';
import { cases, isThereTime } from './lib/casesFixture.ts';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import type { Cable } from './model/cable.ts';
import { readJobFile } from './model/file.ts';
import { type Job, jobSchema } from './model/job.ts';
import { duplicateCable, nextTag } from './model/newCable.ts';
import { writeScheduleCsv } from './paper/schedule.ts';
import { type WorkedCable } from './cableWork.ts';
import { type Shop, shopSchema } from './model/shop.ts';
import { recordSchema } from './model/cable.ts';
import { batchOf } from './traveller/batch.ts';
import { cutGroups, type ToCut } from './cutting/pieces.ts';
import { kitOf } from './cutting/kit.ts';
import { makeOrBuy } from './cutting/makeOrBuy.ts';
import { bestFitDecreasing } from './cutting/cutPlan.ts';
import { dieMap } from './termination/dies/dieMap.ts';
import { dieOffer } from './termination/dies/dieOffers.ts';
import { forecast } from './termination/dies/sectionView.ts';
import { openCase } from './termination/dies/toolCase.ts';
import { dueEvents } from './log/dueEvents.ts';
import { dueList, logOf, logWords, searchLog, WHOLE_LOG } from './log/log.ts';
import { handover } from './paper/handover.ts';
import { labelOf, labelSheets } from './paper/label.ts';
import { cuttingListDoc, kitDoc, scheduleDoc } from './paper/listDoc.ts';
import { testRecord } from './paper/testRecord.ts';
import { travellerDoc } from './paper/travellerDoc.ts';
import { sealRecord } from './log/record.ts';
import { controlFinding, controlOf, TREND_MEASURES, trendPoints, type TrendMeasure } from './log/trends.ts';
import { faultsAt, waysOut } from './traveller/mishaps.ts';
import { gateStates } from './traveller/gates.ts';
import { stillToPractise } from './traveller/practise.ts';
import { huntFindings, suspectWork } from './hunt/huntFindings.ts';
import { ladderOf } from './hunt/ladder.ts';
import { huntFound } from './hunt/suspects.ts';
import { unreadable, validHunt, validJob, validShop } from './model/validFixture.ts';
import { workUp } from './workup.ts';

const TODAY = '2026-11-29';
const NOW = '2026-11-29T09:00:00Z';

/** All that is worked out of a job and shown, printed or stored anywhere. */
function everything(job: Job, shop: Shop): unknown[] {
  const work = workUp(job, shop, TODAY);
  const made = job.cables.map((cable, i): ToCut & WorkedCable => ({
    key: cable.id,
    cable,
    work: work.cables[i] as WorkedCable['work'],
  }));
  const kit = kitOf(made, shop);
  const plans = cutGroups(made, shop).map((group) => ({
    group,
    plan: bestFitDecreasing(group.pieces, group.stock, shop.practice.cutting),
  }));
  const log = logOf([job], shop);
  const points = trendPoints(made, shop);
  return [
    work,
    kit,
    plans,
    job.makeOrBuy && makeOrBuy(job.makeOrBuy, kit, 0, made.length),
    batchOf(made),
    handover(job, made, shop, TODAY),
    kitDoc(job.title, kit),
    scheduleDoc(job.title, made),
    cuttingListDoc(job.title, plans),
    writeScheduleCsv(made),
    made.map((own) => testRecord(own, job.title, TODAY)),
    made.map((own) => travellerDoc(own, job.title)),
    labelSheets(
      made.map((own) => labelOf(own, TODAY)),
      'wrap',
      'A4',
    ),
    made.map(({ cable, work: own }) => stillToPractise(cable, own, shop)),
    made.map(({ cable, work: own }) =>
      own.steps.map((step) => gateStates(step, cable, job.heeded, () => 0, TODAY)),
    ),
    made.flatMap(({ cable, work: own }) =>
      own.steps.flatMap((step) => faultsAt(step).flatMap((what) => waysOut(what, step, cable, own, shop))),
    ),
    [log, logWords(log), searchLog(log, WHOLE_LOG, TODAY, TODAY), dueEvents(dueList(log))],
    (Object.keys(TREND_MEASURES) as TrendMeasure[]).map((measure) => {
      const measured = points.filter((point) => point.measure === measure);
      const control = controlOf(measured.map(({ value }) => value));
      return control && controlFinding(measure, measured, control);
    }),
  ];
}

/** Texts that the job and the shop brought along: a person may write anything. */
function writtenIn(data: unknown, found = new Set<string>()): Set<string> {
  if (typeof data === 'string') found.add(data);
  else if (typeof data === 'object' && data !== null)
    Object.values(data).forEach((own) => writtenIn(own, found));
  return found;
}

describe('any job and any shop that can be read', () => {
  test('are worked up, drawn up and printed without a figure that is none', () => {
    fc.assert(
      fc.property(validJob, validShop, (job, shop) => {
        expect(unreadable(everything(job, shop), writtenIn([job, shop]))).toEqual([]);
      }),
      { numRuns: cases(150) },
    );
  });

  test('make records that can be read again', () => {
    fc.assert(
      fc.property(validJob, validShop, (job, shop) => {
        workUp(job, shop, TODAY).cables.forEach((work, i) => {
          const record = sealRecord(job.cables[i] as Cable, work, 'R. Pell', NOW);
          expect(recordSchema.safeParse(record).error?.issues).toBeUndefined();
        });
      }),
      { numRuns: cases(40) },
    );
  });

  test('a cable duplicated over and over is always a cable that can be read, under a tag that is free', () => {
    fc.assert(
      fc.property(validJob, fc.integer({ min: 1, max: 5 }), (job, times) => {
        const [first] = job.cables;
        if (!first) return;
        let now = job;
        for (let i = 0; i < times; i += 1)
          now = { ...now, cables: [...now.cables, duplicateCable(first, `copy-${i}`, now)] };
        expect(jobSchema.safeParse(now).error?.issues).toBeUndefined();
        const made = now.cables.slice(-times).map(({ tag }) => tag);
        expect(new Set([...job.cables.map(({ tag }) => tag), ...made]).size).toBe(
          new Set(job.cables.map(({ tag }) => tag)).size + times,
        );
      }),
      { numRuns: cases(60) },
    );
  });
});

describe('the map of a tool case', () => {
  test('any shop: each cell opens without a figure that is none', () => {
    fc.assert(
      fc.property(validShop, (shop) => {
        const toolCase = openCase(shop);
        const map = dieMap(toolCase, shop.practice);
        const open = map.rows.flatMap((row) =>
          toolCase.dies.map((own) => {
            // How tightly strands lie where the wall fills the die is no figure, and is said in words.
            const {
              parts,
              c,
              learned,
              verdict,
              own: tried,
            } = dieOffer(row.lug, row.copperMm2, own, toolCase.lugs);
            return { parts, c, learned, verdict, tried, seen: forecast(parts, c, learned.packing) };
          }),
        );
        expect(unreadable(open, writtenIn(shop))).toEqual([]);
      }),
      { numRuns: cases(60) },
    );
  });
});

describe('any hunt that can be read', () => {
  test('is worked without a figure that is none', () => {
    fc.assert(
      fc.property(validHunt, (hunt) => {
        const found = huntFound(hunt);
        const all = [
          found,
          huntFindings(hunt),
          ladderOf(hunt, found),
          found.suspects.map((own) => suspectWork(hunt, own, found)),
        ];
        expect(unreadable(all, writtenIn(hunt))).toEqual([]);
      }),
      { numRuns: cases(150) },
    );
  });
});

describe('the demo jobs', () => {
  const files = ['teasel', 'marrow', 'hut'].map((name) => {
    const read = readJobFile(readFileSync(`demo/${name}.json`, 'utf8'));
    if (!read.ok) throw new Error(read.sentence);
    return read.value;
  });

  test.each(files.map(({ job, shop }) => [job.title, job, shop] as const))(
    '%s: every die on every end, and every strand cut',
    (_title, job, shop) => {
      for (const [i, { run, ...cable }] of job.cables.entries()) {
        // What a surge does to the conductor is the same whatever the ends are, and takes long.
        const { duty: _, ...held } = run;
        const withEnds = (end: Partial<Cable['ends']['A']>) => ({
          ...job,
          cables: [
            {
              ...cable,
              run: held,
              ends: { A: { ...cable.ends.A, ...end }, B: { ...cable.ends.B, ...end } },
            },
          ],
        });
        // With every test each cable tries one die in sixteen, the next cable the next ones.
        const tried = shop.dies.filter((_, n) => isThereTime || (n + i) % 16 === 0);
        for (const { id } of tried)
          expect(unreadable(workUp(withEnds({ dieId: id }), shop, TODAY), writtenIn([job, shop]))).toEqual(
            [],
          );
        const all = withEnds({ strands: { cut: 199, counted: 199 } });
        expect(unreadable(everything(all, shop), writtenIn([job, shop]))).toEqual([]);
      }
    },
  );
});

describe('the next tag', () => {
  test.each([
    [['TH-3'], 'TH-4'],
    [['C9'], 'C10'],
    [[], 'C-1'],
    [['C-1e+26'], 'C-1e+27'],
    [['9'.repeat(40)], `1${'0'.repeat(40)}`],
    [['no number'], 'no number-2'],
  ])('after %p comes %s', (tags, next) => expect(nextTag(tags)).toBe(next));

  test('is free, no longer than a tag may be, and found at once, whatever the others are', () => {
    const tags = fc.array(
      fc.oneof(
        fc.string({ minLength: 1, maxLength: 80 }),
        fc.constantFrom('w'.repeat(80), '9'.repeat(80), 'C-9'),
      ),
      { minLength: 1 },
    );
    fc.assert(
      fc.property(tags, (taken) => {
        const next = nextTag(taken);
        expect(taken).not.toContain(next);
        expect(next.length).toBeLessThanOrEqual(80);
      }),
      { numRuns: cases(200) },
    );
  });

  test('shops are read as they are drawn', () =>
    fc.assert(
      fc.property(validShop, (shop) => shopSchema.safeParse(shop).success),
      { numRuns: 30 },
    ));
});
