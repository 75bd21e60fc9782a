import { type Message, msg } from '../words/message.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { usesSolder } from '../model/method.ts';
import { isDone, isHeld, kindOf } from '../model/stepId.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import type { ToCut } from './pieces.ts';

/** So much that one part of a cable takes of something on the shelf, and whether it has been used for it. */
export interface Use {
  /** The part: "lug.A", "sleeve.B", "braid", "join-lug.j1". */
  readonly part: string;
  /** What it takes: "lug:l4", "sleeve:s2", "layer:boot", "solder", "label". */
  readonly stock: string;
  readonly who: Message;
  /** Pieces, mm or g, for all conductors that run side by side. */
  readonly amount: number;
  readonly isSpent: boolean;
}

/** A band of colour, and a join's sleeve in lengths of its connector's barrel. */
const BAND_MM = 40;
const JOIN_SLEEVE_BARRELS = 4;
/** One at each end. */
const LABELS = 2;

const isSoldered = (name: EndName, done: Cable['done']) =>
  done.some(({ step }) => ['solder', 'slug'].includes(kindOf(step)) && step.endsWith(`.${name}`));

/**
 * What a cable takes off the shelf besides its own length. A thing is used where it cannot be had back: a lug, its solder
 * and its boot once the lug is held, a sleeve once it is shrunk, braid once it is on, a label once it is stuck.
 */
export function usesOf({ cable, work }: Omit<ToCut, 'key'>, practice: HousePractice): Use[] {
  const times = work.choice.taken.at.parallel;
  const uses: Use[] = [];
  const take = (part: string, stock: string, who: Message, amount: number, isSpent: boolean): void => {
    uses.push({ part, stock, who, amount: amount * times, isSpent });
  };
  for (const name of END_NAMES) {
    const end = work.ends[name];
    const who = `${cable.tag} ${name}`;
    const isOn = isHeld(name, cable.done);
    const isShrunk = isDone(cable, `shrink.${name}`);
    if (end.lug) take(`lug.${name}`, `lug:${end.lug.id}`, who, 1, isOn);
    if (end.sleeve) take(`sleeve.${name}`, `sleeve:${end.sleeve.sleeve.id}`, who, end.sleeve.cutMm, isShrunk);
    if (end.band && end.sleeve)
      take(`band.${name}`, `sleeve:${end.band.id}`, msg`${who}, its colour`, BAND_MM, isShrunk);
    if (end.lug && usesSolder(end.method)) {
      const { massG } = solderNeed(end, end.lug, practice);
      take(`solder.${name}`, 'solder', who, massG, isSoldered(name, cable.done));
    }
    if (end.layers.includes('boot')) take(`boot.${name}`, 'layer:boot', who, 1, isOn);
  }
  for (const layer of ['braid', 'glass'] as const) {
    if (END_NAMES.some((name) => work.ends[name].layers.includes(layer)))
      take(layer, `layer:${layer}`, cable.tag, work.lengths?.cutMm ?? 0, isDone(cable, 'layers'));
  }
  take('label', 'label', cable.tag, LABELS, isDone(cable, 'label'));
  work.joins.forEach(({ spec, connector, sleeve }, i) => {
    const who = msg`${cable.tag}, join ${i + 1}`;
    if (!connector) return;
    take(`join-lug.${spec.id}`, `lug:${connector.id}`, who, 1, isDone(cable, `join-crimp-${spec.id}`));
    if (sleeve)
      take(
        `join-sleeve.${spec.id}`,
        `sleeve:${sleeve.id}`,
        who,
        Math.ceil(JOIN_SLEEVE_BARRELS * connector.barrelMm),
        isDone(cable, `join-shrink-${spec.id}`),
      );
  });
  return uses;
}
