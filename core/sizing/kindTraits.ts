import type { CableKind } from '../model/shop.ts';
import type { Run } from '../model/run.ts';
import { type Message, msg } from '../words/message.ts';
import { stretchesOf } from './governingRun.ts';

/** What a kind of cable stands by its construction, or does not. */
export const TRAITS = {
  wet: msg`wet or salt`,
  oil: msg`oil or fuel`,
  flexing: msg`flexing in use`,
  sun: msg`in the sun`,
  flame: msg`in an engine space`,
  rubbing: msg`rubbing on something`,
} as const;
export type Trait = keyof typeof TRAITS;

/** Insulations that are tough enough to lie against something, as is usual of them. */
const TOUGH: readonly CableKind['insulation'][] = ['xlpe', 'rubber'];

/** Why a kind does not stand something; null where it does. */
const MISFITS: Readonly<Record<Trait, (kind: CableKind) => Message | null>> = {
  wet: ({ tinned }) =>
    tinned ? null : msg`plain copper corrodes in salt: seal both ends, or take tinned strands`,
  oil: ({ stands }) => (stands.oil ? null : msg`this jacket swells and softens in oil`),
  flexing: ({ strands }) =>
    strands === 'coarse' ? msg`coarse strands break where they flex: take fine ones` : null,
  sun: ({ stands }) => (stands.sun ? null : msg`sunlight makes this jacket brittle`),
  flame: ({ stands }) =>
    stands.flame ? null : msg`this jacket feeds a flame: sleeve it, or take another kind`,
  rubbing: ({ stands, insulation }) =>
    (stands.rubbing ?? TOUGH.includes(insulation))
      ? null
      : msg`a soft jacket is through sooner: braid it, or take a tougher kind`,
};

/** Why a kind does not stand something; null where it does. @example misfitOf('oil', weldingCable) // null */
export const misfitOf = (trait: Trait, kind: CableKind): Message | null => MISFITS[trait](kind);

/** What a run asks of a kind, wherever on its way. */
export function traitsAsked(run: Run): readonly Trait[] {
  const stretches = stretchesOf(run);
  const asked: Readonly<Record<Trait, boolean>> = {
    wet: run.meets.includes('wet'),
    oil: run.meets.includes('oil'),
    flexing: run.meets.includes('flexing'),
    sun: stretches.some((own) => own.run.sun),
    flame: stretches.some((own) => own.run.engineSpace),
    rubbing: run.way?.rubs.some(({ guarded }) => !guarded) ?? false,
  };
  return (Object.keys(TRAITS) as Trait[]).filter((trait) => asked[trait]);
}
