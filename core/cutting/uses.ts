import { type Message, msg, verbatim } from '../words/message.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES, type EndName } from '../model/end.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { usesSolder } from '../model/method.ts';
import { GUARDS } from '../model/tables/guards.ts';
import { isDone, isHeld, isMelted } from '../model/stepId.ts';
import { fluxG } from '../termination/methods/flux.ts';
import { capFor } from '../termination/sleeves/endCap.ts';
import { wornBy } from '../sizing/choose.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import type { ToCut } from './pieces.ts';

/** So much that one part of a cable takes of something on the shelf, and whether it has been used for it. */
export interface Use {
  /** The part: "lug.A", "sleeve.B", "braid", "join-lug.j1". */
  readonly part: string;
  /** What it takes: "lug:l4", "sleeve:s2", "layer:boot", "slug:70", "adapter:large-to-m8", "guard:bushing", "solder", "label". */
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

/**
 * Whether a part was used as far as is ticked: where it cannot be had back any more. A lug and its boot are once the lug is
 * held, solder once it was melted, a sleeve once it is shrunk, braid once it is on, a label once it is stuck.
 *
 * @param part as {@link Use} names it
 */
export function isSpent(part: string, cable: Pick<Cable, 'done'>): boolean {
  const dot = part.indexOf('.');
  const [kind, place] = dot < 0 ? [part, ''] : [part.slice(0, dot), part.slice(dot + 1)];
  switch (kind) {
    case 'lug':
    case 'boot':
      return isHeld(place as EndName, cable.done);
    case 'solder':
    case 'flux':
      return isMelted(place as EndName, cable.done);
    case 'sleeve':
    case 'band':
      return isDone(cable, `shrink.${place}`);
    case 'braid':
    case 'glass':
      return isDone(cable, 'layers');
    case 'ring':
      return isDone(cable, `ring.${place}`);
    case 'join-lug':
      return isDone(cable, `join-crimp-${place}`);
    case 'join-sleeve':
    case 'join-moulded':
      return isDone(cable, `join-shrink-${place}`);
    case 'label':
    case 'adapter':
    case 'hardware':
    case 'guard':
    case 'cap':
      // What goes on the stud or along the way goes along with the finished cable.
      return isDone(cable, 'label');
    default:
      return kind === 'cable' && isDone(cable, 'cut');
  }
}

/** What a cable takes off the shelf besides its own length, and what of it was used as far as is ticked. */
export function usesOf({ cable, work }: Omit<ToCut, 'key'>, practice: HousePractice): Use[] {
  const times = work.choice.taken.at.parallel;
  const uses: Use[] = [];
  const take = (part: string, stock: string, who: Message, amount: number): void => {
    uses.push({ part, stock, who, amount: amount * times, isSpent: isSpent(part, cable) });
  };
  for (const name of END_NAMES) {
    const end = work.ends[name];
    const who = `${cable.tag} ${name}`;
    if (end.lug) take(`lug.${name}`, `lug:${end.lug.id}`, who, 1);
    if (end.sleeve) take(`sleeve.${name}`, `sleeve:${end.sleeve.sleeve.id}`, who, end.sleeve.cutMm);
    if (end.band && end.sleeve)
      take(`band.${name}`, `sleeve:${end.band.id}`, msg`${who}, its colour`, BAND_MM);
    if (end.lug && usesSolder(end.method)) {
      const { massG } = solderNeed(end, end.lug, practice);
      if (end.method === 'slug then crimp') {
        if (massG > 0) take(`solder.${name}`, `slug:${end.lug.forSize.name}`, who, 1);
      } else {
        if (massG > 0) take(`solder.${name}`, 'solder', who, massG);
        take(`flux.${name}`, 'flux', who, fluxG(end.lug));
      }
    }
    if (end.sleeve && end.sleeve.ringG > 0) take(`ring.${name}`, 'sealant', who, end.sleeve.ringG);
    if (end.spec.adapter) take(`adapter.${name}`, `adapter:${end.spec.adapter}`, who, 1);
    if (practice.hardware === 'new' && end.meets.kind === 'stud' && !end.spec.studId)
      take(`hardware.${name}`, `hardware:${end.meets.stud}`, who, 1);
    if (end.spec.capped && end.lug) {
      const part = capFor(end, end.lug);
      if (part) take(`cap.${name}`, `moulded:${part}`, who, 1);
    }
    if (end.layers.includes('boot')) take(`boot.${name}`, 'layer:boot', who, 1);
  }
  for (const layer of wornBy(work)) take(layer, `layer:${layer}`, cable.tag, work.lengths?.cutMm ?? 0);
  cable.run.way?.rubs.forEach(({ what, guarded, guard }, i) => {
    if (guarded && guard)
      take(`guard.${i}`, `guard:${guard}`, verbatim`${cable.tag}, ${what}`, GUARDS[guard].cutMm ?? 1);
  });
  take('label', 'label', cable.tag, LABELS);
  work.joins.forEach(({ spec, connector, sleeve, moulded }, i) => {
    const who = msg`${cable.tag}, join ${i + 1}`;
    if (!connector) return;
    if (moulded) take(`join-moulded.${spec.id}`, `moulded:${moulded}`, who, 1);
    take(`join-lug.${spec.id}`, `lug:${connector.id}`, who, 1);
    if (sleeve)
      take(
        `join-sleeve.${spec.id}`,
        `sleeve:${sleeve.id}`,
        who,
        Math.ceil(JOIN_SLEEVE_BARRELS * connector.barrelMm),
      );
  });
  return uses;
}
