import { SLEEVES } from '../../model/tables/sleeves.ts';
import type { Sleeve } from '../../model/shop.ts';
import type { HousePractice } from '../../model/housePractice.ts';
import { type Message, amount, msg, numeral } from '../../words/message.ts';
import { grips, passes, type SleeveTask, sleeveWindow } from './sleeve.ts';

/** A sleeve in the drawer, compared with its task. */
export interface SleeveOffer {
  readonly sleeve: Sleeve;
  readonly passes: boolean;
  readonly grips: boolean;
  /** Whether it seals as the shop asks: by its own adhesive, by a ring of it, or not at all where none is asked. */
  readonly seals: boolean;
}

/** One sleeve on one task. */
export function sleeveOffer(
  sleeve: Sleeve,
  task: SleeveTask,
  seal: HousePractice['seal'] = 'adhesive sleeve',
): SleeveOffer {
  return {
    sleeve,
    passes: passes(sleeve, task),
    grips: grips(sleeve, task),
    seals: SLEEVES[sleeve.kind].adhesive || seal !== 'adhesive sleeve',
  };
}

/** Sleeves by supplied bore, each compared with the task. */
export function sleeveOffers(
  sleeves: readonly Sleeve[],
  task: SleeveTask,
  seal: HousePractice['seal'] = 'adhesive sleeve',
): SleeveOffer[] {
  return sleeves
    .map((sleeve) => sleeveOffer(sleeve, task, seal))
    .sort((a, b) => a.sleeve.suppliedMm - b.sleeve.suppliedMm || a.sleeve.recoveredMm - b.sleeve.recoveredMm);
}

/** Whether a sleeve does all it is asked. */
export const sleeveSuits = (offer: SleeveOffer) => offer.passes && offer.grips && offer.seals;

/** The sleeve to use: the smallest that seals, passes and grips; null where none does. */
export function bestSleeve(offers: readonly SleeveOffer[]): Sleeve | null {
  return offers.find(sleeveSuits)?.sleeve ?? null;
}

/** Which dimension keeps every sleeve owned from doing it, and what would: a sentence each. */
export function whyNoSleeve(
  sleeves: readonly Sleeve[],
  task: SleeveTask,
  afterLug: boolean,
): { because: Message; remedy: Message } {
  const { suppliedLeastMm, recoveredMostMm } = sleeveWindow(task);
  const pass = amount(suppliedLeastMm, 'mm', 1);
  const grip = amount(recoveredMostMm, 'mm', 1);
  const passing = sleeves.filter((sleeve) => passes(sleeve, task));
  if (passing.length === 0) {
    const remedy = afterLug
      ? msg`Put the sleeve on before the lug: then the palm does not have to pass.`
      : msg`Buy a wider sleeve.`;
    return { because: msg`No sleeve owned passes ${pass}.`, remedy };
  }
  const ratio = suppliedLeastMm / recoveredMostMm;
  const asks = msg`It needs a ratio of ${numeral(ratio, 1)} to 1`;
  const remedy = afterLug
    ? msg`Put the sleeve on before the lug, or buy a 4:1 sleeve.`
    : ratio > 4
      ? msg`Build the smaller side up with a first sleeve, or take a lug nearer the cable’s size.`
      : msg`Buy a 4:1 sleeve.`;
  return { because: msg`What passes ${pass} does not grip ${grip}. ${asks}.`, remedy };
}
