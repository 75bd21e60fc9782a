import { say } from '../../words/say.ts';

/**
 * What the generic things of a shop are called by the reader. A shop keeps their English names, so that one made in
 * one language is the same shop in another; a name that a person gave stands as it was given.
 */
const CALLED: Readonly<Record<string, string>> = {
  'Tinned marine': say`Tinned marine`,
  'Tinned marine, gauge': say`Tinned marine, gauge`,
  'Stiff battery cable': say`Stiff battery cable`,
  'Welding cable': say`Welding cable`,
  'Thin-wall cross-linked': say`Thin-wall cross-linked`,
  'Vehicle gauge, cross-linked': say`Vehicle gauge, cross-linked`,
  'Panel flex': say`Panel flex`,
  'Braided ground strap': say`Braided ground strap`,
  'Hand hydraulic, hexagon set': say`Hand hydraulic, hexagon set`,
  'Hand lever, indent': say`Hand lever, indent`,
  'Hammer-struck plunger': say`Hammer-struck plunger`,
  'Bench hydraulic, code dies': say`Bench hydraulic, code dies`,
  'the second ring meets the body': say`the second ring meets the body`,
  'in-line connector': say`in-line connector`,
  'battery post clamp': say`battery post clamp`,
  'My shop': say`My shop`,
};

/** A name of the shop in the reader's language. @example called('Panel flex') // "Soepel montagesnoer" in Dutch */
export const called = (name: string): string => (Object.hasOwn(CALLED, name) ? (CALLED[name] ?? name) : name);

/** Something of the shop under the name that the reader knows it by; itself where that is its own. */
export const underItsName = <T extends { readonly title: string }>(item: T): T => {
  const title = called(item.title);
  return title === item.title ? item : { ...item, title };
};
