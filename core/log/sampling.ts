import type { WorkedCable } from '../cableWork.ts';
import { atLeast, type Finding, notProved, stated } from '../finding/finding.ts';
import { END_NAMES } from '../model/end.ts';
import { isHeld } from '../model/stepId.ts';
import { usesDie } from '../model/method.ts';
import type { Shop } from '../model/shop.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { trialPulls } from '../proof/pullProof.ts';
import { pullAsked } from '../termination/dies/pullForce.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';

/** A piece that was pulled and then used up: the force it held, or the force at which something gave. */
export interface SamplePull {
  readonly forceN: number;
  /** It held: it is stronger than this, by how much is not known. */
  readonly held: boolean;
}

/** All crimps of one die on one lug and one cable: made, to be sampled, and sampled. */
export interface SampleGroup {
  readonly key: string;
  readonly title: Message;
  /** Ends of cables that hold their lug. */
  readonly made: number;
  /** Samples that the plan of the shop requires; 0 without a plan. */
  readonly due: number;
  readonly pulls: readonly SamplePull[];
  readonly finding: Finding;
}

/** The least number of pieces pulled apart that says anything of how they scatter. Shop practice. */
export const LEAST_PIECES = 5;

/**
 * How many samples a plan asks for: the first piece, then one in so many.
 *
 * @param made pieces made so far, at least 0
 * @param oneIn 0 where the shop has no plan
 * @example samplesDue(21, 10) // 3: of the 1st, the 11th and the 21st
 */
export const samplesDue = (made: number, oneIn: number): number =>
  oneIn < 1 || made < 1 ? 0 : 1 + Math.floor((made - 1) / oneIn);

/** Mean, standard deviation of a sample and least of some figures, at least two of them. */
export function spreadOf(values: readonly number[]): { mean: number; s: number; least: number } {
  if (values.length < 2) throw new RangeError('a spread needs two figures');
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, s: Math.sqrt(squares / (values.length - 1)), least: Math.min(...values) };
}

/**
 * What the samples of a group say: the strength of nearly all of its crimps, mean − 3 s, against the force that must be
 * held. Only pieces that were pulled apart show a strength: of one that held it is only known that it is stronger.
 *
 * @param limitN the force that must be held, N
 */
export function samplesFinding(pulls: readonly SamplePull[], limitN: number): Finding {
  const apart = pulls.filter(({ held }) => !held).map(({ forceN }) => forceN);
  const heldN = pulls.filter(({ held }) => held).length;
  const facts = {
    topic: 'samples' as const,
    stage: 'prove' as const,
    title: msg`Strength, mean − 3 s`,
    unit: 'N' as const,
    decimals: 0,
    work: {
      formula: msg`mean − 3 s ≥ force that must be held`,
      substituted: [msg`n = ${apart.length} pulled apart, ${heldN} held and were not pulled further`],
      source: msg`three standard deviations below the mean: about one crimp in a thousand is under it`,
      assumes: msg`identical, by the same die, lug and cable; strengths scatter evenly about their mean`,
    },
  };
  const weak = apart.filter((forceN) => forceN < limitN);
  if (weak.length > 0) {
    const least = Math.min(...weak);
    const because = msg`One failed at ${amount(least, 'N', 0)}; ${amount(limitN, 'N', 0)} must be held.`;
    return atLeast({ ...facts, title: msg`Strength, least`, value: least, because }, limitN, 'fails');
  }
  if (apart.length < LEAST_PIECES)
    return notProved(
      {
        ...facts,
        because: msg`Too few: ${apart.length} pulled apart, and fewer than ${LEAST_PIECES} do not show how they scatter.`,
      },
      { kind: 'least', least: limitN },
    );
  const { mean, s, least } = spreadOf(apart);
  const sure = mean - 3 * s;
  const substituted = [
    ...facts.work.substituted,
    msg`mean ${amount(mean, 'N', 0)}, s ${amount(s, 'N', 1)}, least ${amount(least, 'N', 0)}`,
    verbatim`${numeral(mean, 0)} − 3 · ${numeral(s, 1)} = ${amount(sure, 'N', 0)}`,
  ];
  const state = sure >= limitN ? 'holds' : 'watch';
  const because =
    state === 'holds'
      ? msg`Nearly every identical crimp holds what it must.`
      : msg`Each sample held, but they scatter so much that some identical crimp may not.`;
  return sure > 0
    ? atLeast({ ...facts, value: sure, because, work: { ...facts.work, substituted } }, limitN, state)
    : stated({ ...facts, value: sure, because, work: { ...facts.work, substituted } }, 'watch');
}

/** Every kind of crimp that the shop has made or tried, the most made first. */
export function sampleGroups(worked: readonly WorkedCable[], shop: Shop): SampleGroup[] {
  const groups = new Map<
    string,
    { title: Message; copperMm2: number; made: number; pulls: SamplePull[]; lugId: string; dieId: string }
  >();
  for (const { cable, work } of worked)
    for (const name of END_NAMES) {
      const end = work.ends[name];
      if (!end.lug || !end.die || !usesDie(end.method)) continue;
      const { size, copperMm2 } = work.choice.taken.at;
      const key = [end.die.die.id, end.lug.id, work.kind.id, size.system, size.name].join('|');
      const group = groups.get(key) ?? {
        title: msg`${end.die.die.stamp || msg`unmarked die`} on ${end.lug.label}, ${sizeNamed(size)} ${work.kind.title.toLowerCase()}`,
        ...{ copperMm2, made: 0, pulls: [], lugId: end.lug.id, dieId: end.die.die.id },
      };
      groups.set(key, group);
      if (isHeld(name, cable.done)) group.made += 1;
      for (const reading of cable.readings)
        if (
          reading.check === 'pull' &&
          reading.end === name &&
          reading.sample === true &&
          reading.source !== 'simulated' &&
          !reading.struck
        )
          group.pulls.push({ forceN: reading.forceN, held: reading.held });
    }
  return [...groups]
    .map(([key, { title, copperMm2, made, pulls, lugId, dieId }]): SampleGroup => {
      // A trial of the tool case is a sample of the first group it fits: its cable kind is not known.
      const all = [...pulls, ...trialPulls(shop.trials, dieId, lugId, copperMm2)];
      return {
        ...{ key, title, made, pulls: all },
        due: samplesDue(made, shop.practice.sampleOneIn ?? 0),
        finding: samplesFinding(all, pullAsked(copperMm2, shop.practice.pull)),
      };
    })
    .filter(({ made, pulls }) => made > 0 || pulls.length > 0)
    .sort((a, b) => b.made - a.made || a.key.localeCompare(b.key));
}
