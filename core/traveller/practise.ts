import type { Making } from './making.ts';
import type { Cable } from '../model/cable.ts';
import { type EndName, END_NAMES } from '../model/end.ts';
import type { Die, Lug, Shop } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { countingTrials, sameBarrel } from '../termination/dies/learned.ts';
import { dieName, type PlainStep, type ReadyEnd } from './step.ts';
import { HOLDS, kindOf, practising } from '../model/stepId.ts';
import { terminate } from './terminate.ts';
import { msg } from '../words/message.ts';

/** A lug and a die that were never brought together here. */
export interface Untried {
  readonly ends: readonly EndName[];
  readonly lug: Lug;
  readonly die: Die;
}

/**
 * What is better practised on a spare lug first: each barrel and die of a cable without a trial in this shop. A
 * simulated trial taught nothing.
 */
export function toPractise({ ends }: Pick<Making, 'ends'>, { trials, lugs }: Shop): Untried[] {
  const counting = countingTrials(trials);
  const untried: { ends: EndName[]; lug: Lug; die: Die }[] = [];
  for (const name of END_NAMES) {
    const { lug, die } = ends[name];
    if (!lug || !die) continue;
    const isTried = counting.some(({ dieId, lugId }) => {
      const tried = lugs.find(({ id }) => id === lugId);
      return dieId === die.die.id && tried !== undefined && sameBarrel(tried, lug);
    });
    if (isTried) continue;
    const known = untried.find((own) => own.die.id === die.die.id && sameBarrel(own.lug, lug));
    if (known) known.ends.push(name);
    else untried.push({ ends: [name], lug, die: die.die });
  }
  return untried;
}

/**
 * What of {@link toPractise} can still be practised before the lugs that count: nothing once one of them is held, or
 * while its practice piece is under way.
 */
export function stillToPractise(cable: Cable, work: Making, shop: Shop): Untried[] {
  const has = (step: string) => cable.done.some((own) => own.step === step);
  if (cable.done.some(({ step }) => HOLDS.includes(kindOf(step)))) return [];
  return toPractise(work, shop).filter(({ ends }) => !ends.some((name) => has(practiceBegins(name))));
}

/** Cable to hold a practice piece by, mm. Shop practice. */
const TO_HOLD_MM = 150;

/** The step that begins a practice piece: doing it puts the others before the cable's own. */
export const practiceBegins = (end: EndName) => `${practising('piece')}.${end}`;
/** The step that ends it in a trial. */
export const practiceEnds = (end: EndName) => `${practising('trial')}.${end}`;

/**
 * A first end on a spare lug and an offcut, made as the cable's own will be, and written down as a trial. The steps
 * are those of the end itself.
 *
 * @returns nothing where the method closes no die: there is nothing to learn about one
 */
export function practiceSteps(end: ReadyEnd, practice: HousePractice): PlainStep[] {
  const { name, lug, die, stripMm } = end;
  if (!die) return [];
  const ownSteps = terminate(end, practice).map((step): PlainStep => ({
    ...step,
    id: practising(step.id),
    short: msg`Try: ${step.short}`,
  }));
  return [
    {
      id: practiceBegins(name),
      short: msg`Try: piece ${name}`,
      order: msg`Take a spare ${lug.label} and an offcut of the same cable`,
      end: name,
      figure: { value: Math.ceil(stripMm + TO_HOLD_MM), unit: 'mm', decimals: 0, means: msg`of offcut` },
      detail: msg`For ${dieName(end)}. A cracked, odd or drilled one will do: its barrel is what is tried.`,
      why: msg`What goes wrong now costs a lug; on the cable it costs the cable.`,
      lit: ['barrel'],
    },
    ...ownSteps,
    {
      id: practiceEnds(name),
      short: msg`Try: trial ${name}`,
      order: msg`Write the trial down`,
      end: name,
      detail: msg`The worst of its crimps across the flats, and its ears before they were filed. Saw it through to see the air, and add that in the tool case.`,
      why: msg`A trial outranks every figure: from now on this die is known on this lug.`,
      caution: { of: 'blades', says: msg`Clamp it to saw it: never in the hand.` },
      lit: ['crimp'],
    },
  ];
}
