import { type Finding, stated, type State, worst } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import type { HousePractice } from '../model/housePractice.ts';
import type { CableKind } from '../model/shop.ts';
import type { FollowDuty } from './assess.ts';
import { type Candidate, chooseSize, type ToSize, wornBy } from './choose.ts';
import { clearedBy, misfitOf, type Trait, TRAITS, traitsAsked } from './kindTraits.ts';
import type { RunContext } from './loop.ts';

/** A kind of cable on a run: the size of it that would be taken, and what it stands. */
export interface KindCompared {
  readonly kind: CableKind;
  /** The smallest size that passes every limit; null where none does. */
  readonly candidate: Candidate | null;
  readonly traits: readonly {
    readonly trait: Trait;
    /** Whether this run requires it. */
    readonly isAsked: boolean;
    readonly suits: boolean;
  }[];
  /** Of its size, and of what the run requires it to stand: what it does not stand is watched. */
  readonly state: State;
}

/** How the figures of the kinds beside one another came about. */
export function kindsFinding(
  rows: readonly KindCompared[],
  { run, gauge }: Pick<Cable, 'run' | 'gauge'>,
): Finding {
  const metres = (run.lengthMm + run.loopMm) / 1000;
  const count = gauge.parallel ?? 1;
  return stated(
    {
      topic: 'kinds-beside',
      stage: 'gauge',
      title: msg`Kinds beside one another`,
      value: rows.length,
      unit: '',
      decimals: 0,
      because: msg`Each in the smallest of its sizes that passes every limit of this run.`,
      work: {
        formula: msg`price = n · price a metre · L; weight = n · m · L; bend = its factor × outside diameter`,
        substituted: rows.map(({ kind, candidate }) => {
          if (!candidate) return msg`${kind.title}: no size of it passes`;
          const { size, outerMm, price, massKg, bendMm } = candidate.at;
          const each = count * metres;
          return verbatim`${kind.title} ${sizeNamed(size)}: ${numeral(count, 0)} · ${numeral(price / each, 2)} · ${amount(metres, 'm', 2)} = ${numeral(price, 2)}; ${numeral(count, 0)} · ${numeral(massKg / each, 3)} · ${amount(metres, 'm', 2)} = ${amount(massKg, 'kg', 2)}; ${numeral(bendMm / outerMm, 1)} × ${amount(outerMm, 'mm', 1)} = ${amount(bendMm, 'mm', 0)}`;
        }),
        source: msg`the kinds of the tool case, each by its data sheet or as is typical; heat by the heat balance`,
        assumes: msg`L with the service loop; what lies side by side counted`,
      },
    },
    'holds',
  );
}

/**
 * The kinds of a shop beside one another for one run: each with the size that would be taken of it, worked through like
 * the cable itself, and what it stands. The fuse that a cable is still to get counts as always.
 *
 * @example kindsCompared(cable, shop.cableKinds, practice, around, followDuty).map(({ kind }) => kind.title)
 */
export function kindsCompared(
  cable: ToSize,
  kinds: readonly CableKind[],
  practice: HousePractice,
  around: Pick<RunContext, 'mates' | 'soldered' | 'fed'>,
  followDuty: FollowDuty,
): KindCompared[] {
  const asked = traitsAsked(cable);
  const worn = wornBy(cable);
  const { size: _size, together: _together, ...gauge } = cable.gauge;
  // What all cables on the way come to together was found for its own kind.
  const alone = { ...around, ...(around.fed && { fed: { ...around.fed, size: null } }) };
  return kinds.map((kind) => {
    const tried = { ...cable, gauge: { ...gauge, kindId: kind.id } };
    const { smallest, taken } = chooseSize(tried, kind, practice, alone, followDuty);
    const traits = (Object.keys(TRAITS) as Trait[]).map((trait) => ({
      trait,
      isAsked: asked.includes(trait),
      suits: misfitOf(trait, kind) === null,
    }));
    const unsuited = traits.filter(
      ({ trait, isAsked, suits }) => isAsked && !suits && clearedBy(trait, worn) === null,
    );
    const suited = unsuited.some(({ trait }) => trait === 'live')
      ? 'fails'
      : unsuited.length > 0
        ? 'watch'
        : 'holds';
    return {
      kind,
      candidate: smallest && taken,
      traits,
      state: worst([smallest ? taken.state : 'fails', suited]),
    };
  });
}
