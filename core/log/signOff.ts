import type { Cable, SignOff } from '../model/cable.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { sameName } from '../model/people.ts';
import { latestOf } from '../lib/moments.ts';
import { type Message, msg } from '../words/message.ts';

/** Who had a hand in making a cable: each name once, in the order of the work. */
export function makersOf({ done, reworks, mishaps }: Pick<Cable, 'done' | 'reworks' | 'mishaps'>): string[] {
  const names = [...done, ...reworks, ...mishaps].map(({ by }) => by.trim()).filter((name) => name !== '');
  return names.filter((name, i) => names.findIndex((other) => sameName(other, name)) === i);
}

/** The last thing done to a cable, or read of it, that whoever signs it off must have seen. */
const lastWork = ({ done, readings, reworks }: Cable): string => latestOf([...done, ...readings, ...reworks]);

/** What stands of the sign-offs of a cable, and what is still lacking before it can be sealed. */
export interface SignedOff {
  readonly maker: SignOff | undefined;
  readonly inspector: SignOff | undefined;
  readonly lacks: readonly Message[];
}

/**
 * The sign-offs that hold: of a maker and of an inspector, who is none of its makers. One that was given before the
 * last step, reading or rework no longer holds. Where the shop needs no second person nothing is lacking.
 */
export function signedOff(cable: Cable, { twoPeople = false }: Pick<HousePractice, 'twoPeople'>): SignedOff {
  const since = lastWork(cable);
  const holding = (cable.signOffs ?? []).filter(({ at }) => at >= since);
  const maker = holding.findLast(({ role }) => role === 'maker');
  const isMaker = (name: string) =>
    makersOf(cable).some((own) => sameName(own, name)) || (maker !== undefined && sameName(maker.by, name));
  const inspector = holding.findLast(({ role, by }) => role === 'inspector' && !isMaker(by));
  const lacks = [
    ...(maker ? [] : [msg`The maker has not signed it off since it was last worked on or measured.`]),
    ...(inspector ? [] : [msg`An inspector who did not make it has not signed it off since then.`]),
  ];
  return { maker, inspector, lacks: twoPeople ? lacks : [] };
}

/**
 * Why somebody cannot sign in a role; empty where they can.
 *
 * @example mayNotSign('inspector', 'R. Alder', cable) // “R. Alder made this cable: somebody else inspects it.”
 */
export function mayNotSign(role: SignOff['role'], name: string, cable: Cable): Message | '' {
  if (name.trim() === '') return msg`Enter a name first: a signature without one says nothing.`;
  const makers = [
    ...makersOf(cable),
    ...(cable.signOffs ?? []).flatMap((own) => (own.role === 'maker' ? own.by : [])),
  ];
  return role === 'inspector' && makers.some((own) => sameName(own, name))
    ? msg`${name} made this cable: somebody else inspects it.`
    : '';
}
