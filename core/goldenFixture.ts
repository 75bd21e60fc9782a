import { plainJson } from './lib/plainJson.ts';
import { told } from './words/message.ts';
import { sizeLabel } from './model/tables/size.ts';
import { kitOf } from './cutting/kit.ts';
import { cutGroups, type ToCut } from './cutting/pieces.ts';
import { bestFitDecreasing } from './cutting/cutPlan.ts';
import type { Finding } from './finding/finding.ts';
import { huntFindings } from './hunt/huntFindings.ts';
import { huntFound } from './hunt/suspects.ts';
import { readJobFile } from './model/file.ts';
import { workUp } from './workup.ts';

/** The files whose figures must stay: the demo jobs, and one file of each older version. */
export const GOLDEN_FILES = [
  'demo/hut.json',
  'demo/marrow.json',
  'demo/teasel.json',
  'core/model/fixtures/job-v1.json',
  'core/model/fixtures/job-v2.json',
  'core/model/fixtures/job-v3.json',
  'core/model/fixtures/job-v4.json',
] as const;

/** The day they are looked at: what is due from a day on is due or not by it. */
const TODAY = '2026-11-29';

/** A finding without its words, on one line: what must stay to the last digit. */
const bare = ({ id, state, value, unit, limit, use, close, would }: Finding): string =>
  [id, state, value, unit, limit && JSON.stringify(limit), use, close && 'close', would && `would ${would}`]
    .filter((part) => part !== undefined && part !== false)
    .join(' ');

/**
 * All that is computed of a job file.
 *
 * @param wordy everything, with each sentence; else the figures and states of the findings, the sizes, the lengths, the
 *   steps by id, the kit and the hunts
 */
export function goldenOf(contents: string, wordy: boolean): unknown {
  const parsed = readJobFile(contents);
  if (!parsed.ok) throw new Error(parsed.sentence);
  const { job, shop, hunts } = parsed.value;
  const work = workUp(job, shop, TODAY);
  const made = job.cables.map((cable, i): ToCut => ({
    key: cable.id,
    cable,
    work: work.cables[i] as ToCut['work'],
  }));
  const kit = kitOf(made, shop);
  const plans = cutGroups(made, shop).map((group) =>
    bestFitDecreasing(group.pieces, group.stock, shop.practice.cutting),
  );
  const hunted = (hunts ?? []).map((hunt) => ({ found: huntFound(hunt), findings: huntFindings(hunt) }));
  if (wordy)
    return JSON.parse(
      JSON.stringify({ work, kit, plans, hunted }, (key, value) => plainJson(key, told(key, value))),
    );
  return JSON.parse(
    JSON.stringify(
      {
        cables: work.cables.map((cableWork) => ({
          id: cableWork.cableId,
          size: sizeLabel(cableWork.choice.taken.at.size),
          verdict: cableWork.verdict.state,
          lengths: cableWork.lengths,
          steps: cableWork.steps.map(({ id }) => id),
          findings: cableWork.findings.map(bare),
          unasked: cableWork.unasked.map(bare),
        })),
        kit: kit.lines.map(({ key, need, buy, price, massG }) => [key, need, buy, price, massG].join(' ')),
        plans: plans.map(({ spools }) =>
          spools.map(({ stock, pieces, restMm }) =>
            [stock.id, restMm, ...pieces.map(({ id, lengthMm }) => `${id} ${lengthMm}`)].join(' '),
          ),
        ),
        hunts: hunted.map(({ found, findings }) => ({
          pieces: found.pieces.map(({ piece, milliohm, excessMilliohm, mostMilliohm }) =>
            [piece.id, milliohm, excessMilliohm, mostMilliohm].join(' '),
          ),
          next: found.next && `${found.next.first.id} to ${found.next.last.id}`,
          findings: findings.map(bare),
        })),
      },
      plainJson,
    ),
  );
}
