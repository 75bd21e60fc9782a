import type { CableKind } from '../model/shop.ts';
import type { Cable } from '../model/cable.ts';
import { LAYERS, type Layer } from '../model/tables/layers.ts';
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
  live: msg`live`,
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
  live: ({ insulation }) =>
    insulation === 'bare' ? msg`bare braid is for ground alone: a live cable is insulated` : null,
};

/** What is drawn over a cable and so clears what its jacket does not stand. */
const CLEARED_BY: Readonly<Partial<Record<Trait, Layer>>> = { flame: 'glass', rubbing: 'braid' };

/** What clears a trait that the jacket does not stand; null where nothing that is on the cable does. */
export function clearedBy(trait: Trait, worn: readonly Layer[]): Message | null {
  const layer = CLEARED_BY[trait];
  return layer && worn.includes(layer) ? msg`The ${LAYERS[layer].title} over it withstands that.` : null;
}

/** Why a kind does not stand something; null where it does. @example misfitOf('oil', weldingCable) // null */
export const misfitOf = (trait: Trait, kind: CableKind): Message | null => MISFITS[trait](kind);

/** What a run requires of a kind, wherever on its way. */
export function traitsAsked({ run, polarity }: Pick<Cable, 'run' | 'polarity'>): readonly Trait[] {
  const stretches = stretchesOf(run);
  const asked: Readonly<Record<Trait, boolean>> = {
    wet: run.meets.includes('wet'),
    oil: run.meets.includes('oil'),
    flexing: run.meets.includes('flexing'),
    sun: stretches.some((own) => own.run.sun),
    flame: stretches.some((own) => own.run.engineSpace),
    rubbing: run.way?.rubs.some(({ guarded }) => !guarded) ?? false,
    live: polarity !== 'negative',
  };
  return (Object.keys(TRAITS) as Trait[]).filter((trait) => asked[trait]);
}
