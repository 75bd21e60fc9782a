import { LAYERS } from '../model/tables/layers.ts';
import { term } from '../words/terms.ts';
import { isSame, listed, type Message, msg, small, verbatim, amount } from '../words/message.ts';

import type { CableWork } from '../cableWork.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { kitOf } from '../cutting/kit.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import type { Shop } from '../model/shop.ts';
import { contextOf } from '../jobContext.ts';
import type { FollowDuty } from '../sizing/assess.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { dieName, type Gate } from '../traveller/step.ts';
import { kindOf } from '../model/stepId.ts';
import { workUpCable } from '../workup.ts';
import type { HousePractice } from '../model/housePractice.ts';

import { STATE_WORDS } from '../finding/states.ts';

/** One thing that a cable would have, or be asked, instead of another. */
export interface Instead {
  readonly what: Message;
  readonly from: Message;
  readonly to: Message;
}

/** What another practice makes of one cable, or of several alike. */
export interface CableChange {
  /** One, or all to which just this happens. */
  readonly tags: readonly string[];
  /** Its ends are held already: what would change is only how it is judged. */
  readonly isMade: boolean;
  readonly instead: readonly Instead[];
  /** Steps more than now; negative where there are fewer. */
  readonly steps: number;
}

/** What another practice makes of a job, compared with how it stands. */
export interface PracticeChange {
  /** Cables that are not as they were. */
  readonly count: number;
  readonly cables: readonly CableChange[];
  /** More than now; negative where it is less. */
  readonly price: number;
  readonly massG: number;
  readonly steps: number;
  /** Findings that fail and did not, and the other way round. */
  readonly fails: number;
}

/** A job worked up under one practice, with what all of it would cost made from nothing. */
export interface UnderPractice {
  readonly works: readonly CableWork[];
  readonly price: number;
  readonly massG: number;
}

/** Works a job up under a practice, as if nothing of it were made yet. */
export function underPractice(
  job: Job,
  shop: Shop,
  practice: HousePractice,
  followDuty?: FollowDuty,
): UnderPractice {
  const changedShop = { ...shop, practice };
  const works = job.cables.map((cable) =>
    workUpCable(cable, changedShop, {
      context: contextOf(cable, job),
      ...(followDuty && { followDuty }),
    }),
  );
  const unmade = job.cables.map((cable, i) => ({
    key: cable.id,
    cable: { ...cable, done: [] },
    work: works[i] as CableWork,
  }));
  const { price, massG } = kitOf(unmade, changedShop);
  return { works, price, massG };
}

/** What is drawn, bought and closed on one end, in words, part by part. */
function endSays(end: ResolvedEnd): readonly (readonly [what: Message, says: Message])[] {
  return [
    [msg`method`, term(end.method)],
    [msg`lug`, end.lug?.label ?? msg`none`],
    [msg`die`, dieName(end)],
    [msg`crimps`, listed(end.crimpsInOrder.map(mm), msg` then `) || msg`none`],
    [
      msg`sleeve`,
      end.sleeve
        ? msg`${end.sleeve.sleeve.suppliedMm}/${end.sleeve.sleeve.recoveredMm}, cut ${amount(end.sleeve.cutMm, 'mm', 0)}`
        : msg`none`,
    ],
    [
      msg`layers`,
      listed(
        end.layers.map((layer) => LAYERS[layer].title),
        ', ',
      ) || msg`none`,
    ],
    [msg`strip`, end.stripMm === null ? msg`none` : mm(end.stripMm)],
    [msg`strands that may go`, String(end.strands.allowed)],
  ];
}

/** What is different on the ends; said once where it is the same on both. */
function endsInstead(before: CableWork, after: CableWork): Instead[] {
  const [a, b] = END_NAMES.map((name) => {
    const [was, is] = [endSays(before.ends[name]), endSays(after.ends[name])];
    return is.flatMap(([what, to], i): Instead[] => {
      const from = was[i]?.[1] ?? '';
      return isSame(from, to) ? [] : [{ what, from, to }];
    });
  });
  const same = (own: Instead, list: readonly Instead[] = []) =>
    list.some(({ what, from, to }) => isSame(what, own.what) && isSame(from, own.from) && isSame(to, own.to));
  return [
    ...(a ?? []).map((own) => ({ ...own, what: verbatim`${own.what} ${same(own, b) ? msg`A and B` : 'A'}` })),
    ...(b ?? []).filter((own) => !same(own, a)).map((own) => ({ ...own, what: verbatim`${own.what} B` })),
  ];
}

const mm = (value: number) => amount(value, 'mm', 1);

/** Findings that end in another state. */
function judgedInstead(before: CableWork, after: CableWork): Instead[] {
  return after.findings.flatMap((is) => {
    const was = before.findings.find(({ id }) => id === is.id);
    if (!was || was.state === is.state) return [];
    const what = is.end ? verbatim`${small(is.title)} ${is.end}` : small(is.title);
    return [{ what, from: STATE_WORDS[was.state].says, to: STATE_WORDS[is.state].says }];
  });
}

/** Steps that another practice words or gates otherwise. They follow from the parts, and are said where those stay. */
function stepsInstead(before: CableWork, after: CableWork): Instead[] {
  const seen = new Set<string>();
  return after.steps.flatMap((is) => {
    const was = before.steps.find(({ id }) => id === is.id);
    const kind = kindOf(is.id);
    if (!was || seen.has(kind) || (isSame(was.order, is.order) && sameGates(was.gates, is.gates))) return [];
    seen.add(kind);
    return [{ what: msg`step “${is.short}”`, from: was.order, to: is.order }];
  });
}
const sameGates = (a: readonly Gate[], b: readonly Gate[]) =>
  a.length === b.length && a.every(({ says }, i) => isSame(says, b[i]?.says ?? ''));

const isMade = ({ done }: Cable) => done.some(({ step }) => kindOf(step) === 'home');

function cableChange(cable: Cable, before: CableWork, after: CableWork): CableChange {
  const sizes = [before, after].map(({ choice }) => {
    const { size, parallel } = choice.taken.at;
    return verbatim`${parallel > 1 ? `${parallel} × ` : ''}${sizeNamed(size)}`;
  });
  const [from = '', to = ''] = sizes;
  const least = [before, after].map(({ choice }) =>
    choice.smallest ? sizeNamed(choice.smallest.at.size) : msg`none of its kind`,
  );
  const [leastFrom = '', leastTo = ''] = least;
  const ofSize = [
    ...(isSame(from, to) ? [] : [{ what: msg`size`, from, to }]),
    ...(isSame(leastFrom, leastTo)
      ? []
      : [{ what: msg`smallest that passes`, from: leastFrom, to: leastTo }]),
  ];
  const made = [...ofSize, ...endsInstead(before, after)];
  return {
    tags: [cable.tag],
    isMade: isMade(cable),
    instead: [
      ...made,
      ...(made.length === 0 ? stepsInstead(before, after) : []),
      ...judgedInstead(before, after),
    ],
    steps: after.steps.length - before.steps.length,
  };
}

/** Cables to which the same happens, said once. */
function alike(changes: readonly CableChange[]): CableChange[] {
  const groups = new Map<string, CableChange>();
  for (const own of changes) {
    const key = JSON.stringify([own.isMade, own.steps, own.instead]);
    const known = groups.get(key);
    groups.set(key, known ? { ...known, tags: [...known.tags, ...own.tags] } : own);
  }
  return [...groups.values()];
}

const failing = ({ works }: UnderPractice) =>
  works.reduce((sum, { findings }) => sum + findings.filter(({ state }) => state === 'fails').length, 0);

/**
 * What another practice changes on a job: sizes, lugs, dies, sleeves, steps, verdicts, weight and price. Cables that
 * stay as they are do not appear.
 */
export function practiceChange(job: Job, before: UnderPractice, after: UnderPractice): PracticeChange {
  const cables = job.cables
    .map((cable, i) => {
      const [was, is] = [before.works[i], after.works[i]];
      return was && is ? cableChange(cable, was, is) : null;
    })
    .filter((own) => own !== null)
    .filter(({ instead, steps }) => instead.length > 0 || steps !== 0);
  return {
    count: cables.length,
    cables: alike(cables),
    price: after.price - before.price,
    massG: after.massG - before.massG,
    steps: cables.reduce((sum, { steps }) => sum + steps, 0),
    fails: failing(after) - failing(before),
  };
}
