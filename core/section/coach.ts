import { type Message, msg } from '../words/message.ts';
import { airBounds } from './bounds.ts';
import type { Measured } from './measure.ts';
import type { Picture } from './picture.ts';

/** What somebody who holds a camera over a sawn crimp should do next; `good` when a picture taken now would tell. */
export type Advice = 'good' | 'closer' | 'farther' | 'still' | 'less glare' | 'clean' | 'lay one crimp';

/** What each is called, loud and short: it is read at arm's length. */
export const ADVICE_SAYS: Readonly<Record<Advice, Message>> = {
  good: msg`Good: take it now`,
  closer: msg`Closer`,
  farther: msg`Farther away: it runs out of the picture`,
  still: msg`Hold still, and focus on the cut`,
  'less glare': msg`Less glare: the lamp to one side`,
  clean: msg`Brush it clean, or turn the shine away`,
  'lay one crimp': msg`One sawn crimp on a plain bench, seen from straight above`,
};

/** A section smaller than this share of the picture's shorter side could be nearer. */
const COULD_BE_NEARER = 0.45;

/**
 * What to do next, by what was seen in a view of the camera. Softness is put down to distance while there is room.
 *
 * @example adviceFor({ ok: false, refused: 'cut off', … }, view) // 'farther'
 */
export function adviceFor(measured: Measured, { width, height }: Pick<Picture, 'width' | 'height'>): Advice {
  if (!measured.ok) {
    switch (measured.refused) {
      case 'too small':
        return 'closer';
      case 'cut off':
        return 'farther';
      case 'too blurred':
        return 'still';
      default:
        return 'lay one crimp';
    }
  }
  const { hidden } = airBounds(measured.section);
  if (hidden === 'soft')
    return measured.section.acrossFlatsPx < COULD_BE_NEARER * Math.min(width, height) ? 'closer' : 'still';
  if (hidden === 'glare') return 'less glare';
  return hidden === 'pale' ? 'clean' : 'good';
}
