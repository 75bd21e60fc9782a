import { type Kit, kitOf, kitQuantity } from '../cutting/kit.ts';
import { type Finding, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import { MOST } from '../model/limits.ts';
import { newCable, nextTag } from '../model/newCable.ts';
import type { Shop } from '../model/shop.ts';
import type { OldCable, OldEnd } from '../model/survey.ts';
import { allOf, amount, msg, numeral, verbatim } from '../words/message.ts';
import { workUpCables } from '../workup.ts';
import { isQuestionable } from './oldVerdict.ts';

const endLike = (end: End, { at, stud }: OldEnd): End => ({ ...end, at, ...(stud && { stud }) });

/**
 * The cable that is made in place of an old one: as long, of its size where that is known, between the same studs, under
 * its tag where that is free. Its load is still to be given: an old size proves nothing.
 */
export function cableFor(old: OldCable, id: string, job: Pick<Job, 'cables'>, shop: Shop): Cable {
  const tags = job.cables.map(({ tag }) => tag);
  const blank = newCable(id, tags.includes(old.tag) ? nextTag([...tags, old.tag]) : old.tag, shop);
  const lengthMm = old.lengthMm ?? blank.run.lengthMm;
  return {
    ...blank,
    polarity: old.polarity,
    jacket: old.polarity === 'positive' ? 'red' : 'black',
    run: { ...blank.run, lengthMm, return: { kind: 'cable', lengthMm } },
    gauge: { ...blank.gauge, ...(old.size && { size: old.size }) },
    ends: { A: endLike(blank.ends.A, old.ends.A), B: endLike(blank.ends.B, old.ends.B) },
  };
}

/** A job in which old cables are made again: each gets a cable, and knows it. There is room for so many cables only. */
export function withNew(job: Job, olds: readonly OldCable[], shop: Shop, newId: () => string): Job {
  return olds.reduce((now: Job, old) => {
    if (old.newId !== undefined || now.cables.length >= MOST.cables) return now;
    const cable = cableFor(old, newId(), now, shop);
    return {
      ...now,
      cables: [...now.cables, cable],
      survey: (now.survey ?? []).map((own) => (own.id === old.id ? { ...own, newId: cable.id } : own)),
    };
  }, job);
}

/** What replacing all that is questionable comes to. */
export interface Replacing {
  readonly olds: readonly OldCable[];
  /** Materials at known prices, none from the shelf. */
  readonly price: number;
  readonly massG: number;
  /** Tags of those whose length or size was not given, and is assumed. */
  readonly assumed: readonly string[];
  /** How the price came about. */
  readonly finding: Finding;
}

/** How the price of replacing came about, line by line of the kit that it takes. */
function replacingFinding(kit: Kit, assumed: readonly string[]): Finding {
  return stated(
    {
      topic: 'replacing',
      stage: 'gauge',
      title: msg`Replacing what is questionable`,
      value: kit.price,
      unit: '',
      decimals: 2,
      because: msg`Materials of the new cables, ${amount(kit.massG / 1000, 'kg', 1)}, none from the shelf.`,
      work: {
        formula: msg`Σ need · price, over the kit of the new cables`,
        substituted: [
          ...kit.lines.map(({ what, need, unit, price }) =>
            price === null
              ? msg`${what}: ${kitQuantity(need, unit)}, no price known`
              : verbatim`${what}: ${kitQuantity(need, unit)} = ${numeral(price, 2)}`,
          ),
          verbatim`= ${numeral(kit.price, 2)}`,
        ],
        source: msg`prices of the tool case`,
        assumes:
          assumed.length > 0
            ? msg`length or size of ${allOf(assumed)}: as a new cable has it`
            : msg`each as long and as thick as the old one`,
      },
    },
    'holds',
  );
}

/** What it costs to replace everything questionable: the kit of the cables that would be made. */
export function replacing(job: Job, shop: Shop): Replacing {
  const olds = (job.survey ?? []).filter(isQuestionable);
  let n = 0;
  const after = withNew(job, olds, shop, () => `survey-${(n += 1)}`);
  const cables = after.cables.slice(job.cables.length);
  const works = workUpCables({ ...after, cables }, shop, null, { today: null });
  const kit = kitOf(
    cables.flatMap((cable, i) => (works[i] ? [{ cable, work: works[i], key: cable.id }] : [])),
    shop,
  );
  const assumed = olds.filter(({ lengthMm, size }) => lengthMm === undefined || !size).map(({ tag }) => tag);
  return { olds, price: kit.price, massG: kit.massG, assumed, finding: replacingFinding(kit, assumed) };
}
