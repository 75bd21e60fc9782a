import type { Cable } from './cable.ts';
import type { EndName } from './end.ts';

/** Kinds of step that hold a lug for good: there is no way back from them. */
export const HOLDS: readonly string[] = ['crimp', 'solder', 'slug', 'screw'];
/** Those of them at which solder is melted. */
export const MELTS: readonly string[] = ['solder', 'slug'];

/** What kind of step an id names: "crimp" of "crimp-2.B", "join-cut" of "join-cut-x1". */
export function kindOf(id: string): string {
  const dot = id.indexOf('.');
  const stem = dot < 0 ? id : id.slice(0, dot);
  if (stem.startsWith('join-')) return stem.split('-', 2).join('-');
  return stem.startsWith('crimp-') ? 'crimp' : stem;
}

/** As which crimp of its end a step closes one, in the order they are made. @example madeAs('crimp-2.A') // 2 */
export const madeAs = (id: string): number => Number(/crimp-(\d+)/.exec(id)?.[1] ?? 1);

const PRACTISING = 'practise-';
/** The id of a step as it is done on a practice piece first. */
export const practising = (id: string) => `${PRACTISING}${id}`;
/** Whether a step is of a practice piece, not of the cable. */
export const isPractising = ({ id }: { readonly id: string }) => id.startsWith(PRACTISING);
/** What is done at a step, on the cable or on a practice piece: what the drawing shows. */
export const actOf = ({ id }: { readonly id: string }) =>
  kindOf(id.startsWith(PRACTISING) ? id.slice(PRACTISING.length) : id);

/** Whether a step is ticked. */
export const isDone = ({ done }: Pick<Cable, 'done'>, id: string) => done.some(({ step }) => step === id);

const isAnyDone = (kinds: readonly string[], name: EndName, done: Cable['done']) =>
  done.some(({ step }) => kinds.includes(kindOf(step)) && step.endsWith(`.${name}`));
/** Whether an end holds its lug, as far as is ticked. */
export const isHeld = (name: EndName, done: Cable['done']) => isAnyDone(HOLDS, name, done);
/** Whether solder was melted at an end, as far as is ticked. */
export const isMelted = (name: EndName, done: Cable['done']) => isAnyDone(MELTS, name, done);

/** Since this day flux, the print of the hexagon and a branch’s nip are asked for: what was made before follows the list of its time. */
export const MORE_ASKED_SINCE = '2026-12-01';
