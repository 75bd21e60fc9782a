import { type State, worst } from '../finding/finding.ts';
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
    /** Whether this run asks for it. */
    readonly isAsked: boolean;
    readonly suits: boolean;
  }[];
  /** Of its size, and of what the run asks it to stand: what it does not stand is watched. */
  readonly state: State;
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
