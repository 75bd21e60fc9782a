import { amount, listed, type Message, msg, numeral, verbatim } from '../words/message.ts';

import type { Contradiction } from './known.ts';
import type { NextProbe } from './nextProbe.ts';
import type { AtLoad, HuntVerdict } from './verdict.ts';

const CONTRADICTIONS: Readonly<Record<Contradiction['why'], Message>> = {
  swapped: msg`More volts at the load than at the posts: the leads are swapped, or it was another moment.`,
  'parts over': msg`The parts lose more than the whole: one of these readings is wrong.`,
  'whole over': msg`The whole loses more than all its parts: one of these readings is wrong.`,
};

/** Why readings cannot all be true, in a sentence. */
export const contradictionSays = ({ why }: Contradiction): Message => CONTRADICTIONS[why];

/** Where to probe next, in a sentence. */
export const probeSays = ({ first, last }: NextProbe): Message =>
  first === last
    ? msg`Probe next across ${first.title}.`
    : msg`Next, measure from ${first.title} to ${last.title}: it halves what is left.`;

/** A title as it stands at the start of a sentence or inside one; "HB-4" stays as it is. */
function lower(title: string, inside: boolean): string {
  const [first = '', second = ''] = title;
  if (!inside) return first.toUpperCase() + title.slice(1);
  return /\p{Ll}/u.test(second) ? first.toLowerCase() + title.slice(1) : title;
}

const atLoadSays = (at: AtLoad | null): Message =>
  at
    ? msg`The ${at.load} gets ${amount(at.volts, 'V', 2)} and should get ${amount(at.shouldV, 'V', 2)}.`
    : '';

/** The end of a hunt as the reader is told it: a headline, and what more there is to say. */
// oxlint-disable-next-line max-lines-per-function -- a list of ends, a sentence each
export function verdictSays(verdict: HuntVerdict): { readonly says: Message; readonly more: Message } {
  switch (verdict.what) {
    case 'contradiction':
      return {
        says: msg`These readings cannot all be right`,
        more: msg`${contradictionSays(verdict.contradiction)} They disagree by ${amount(verdict.contradiction.millivolt, 'mV', 0)}: read them again, with the load as it was.`,
      };
    case 'nothing read':
      return {
        says: msg`Nothing is measured yet`,
        more: msg`Begin with the current and the volts at the posts and at the load, at one moment under load. Then measure across the parts.`,
      };
    case 'cable':
    case 'joint':
    case 'device': {
      const { piece, also, wastedW, circuitWastedW, isAll, isSourceWeak, atLoad } = verdict;
      const battery =
        isSourceWeak === null ? '' : isSourceWeak ? msg`The source sags, and ` : msg`Not the battery: `;
      const others =
        also.length === 0
          ? ''
          : msg`So does ${listed(
              also.map(({ title }) => lower(title, true)),
              ', ',
            )}. `;
      const share =
        circuitWastedW === null
          ? ''
          : msg`${numeral((wastedW / circuitWastedW) * 100, 0)} % of the ${amount(circuitWastedW, 'W', 0)} that this circuit wastes. `;
      const rest = isAll
        ? msg`Nothing else loses too much.`
        : msg`Whether anything else loses too much is not shown yet.`;
      return {
        says: msg`${battery}${lower(piece.title, battery !== '')} wastes ${amount(wastedW, 'W', wastedW < 10 ? 1 : 0)}`,
        more: verbatim`${others}${share}${rest}${atLoad && verbatim` ${atLoadSays(atLoad)}`}`,
      };
    }
    case 'battery':
      return {
        says: msg`The battery itself: it falls by ${amount(verdict.sagV, 'V', 2)} under load`,
        more: msg`The circuit to the load and back loses what it should. Charge the battery, test it, and inspect its links.`,
      };
    case 'nothing wrong':
      return {
        says: verdict.isMended
          ? msg`Repaired: every part reads as it should`
          : msg`Every part reads as it should`,
        more: verdict.isSourceKnown
          ? msg`Neither the source nor the circuit is at fault at this load.`
          : msg`Whether the source sags is not known: read its posts at rest and under load.`,
      };
    case 'cannot tell':
      return {
        says: msg`${verdict.mayBe} of ${verdict.pieces} parts could still be faulty`,
        more: msg`This meter cannot resolve the difference: take more amps, or a meter of finer resolution.`,
      };
    case 'not yet':
      return {
        says: msg`${verdict.mayBe} of ${verdict.pieces} parts could still be faulty`,
        more: atLoadSays(verdict.atLoad) || msg`Measure across more of them.`,
      };
  }
}
