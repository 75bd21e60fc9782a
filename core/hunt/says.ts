import { digits, figure } from '../model/units/figure.ts';
import { say } from '../words/say.ts';
import type { Contradiction } from './known.ts';
import type { NextProbe } from './nextProbe.ts';
import type { AtLoad, HuntVerdict } from './verdict.ts';

const CONTRADICTIONS: Readonly<Record<Contradiction['why'], string>> = {
  swapped: say`More volts at the load than at the posts: the leads are swapped, or it was another moment.`,
  'parts over': say`The parts lose more than the whole of them: one of these readings is not true.`,
  'whole over': say`The whole loses more than all of its parts: one of these readings is not true.`,
};

/** Why readings cannot all be true, in a sentence. */
export const contradictionSays = ({ why }: Contradiction): string => CONTRADICTIONS[why];

/** Where to probe next, in a sentence. */
export const probeSays = ({ first, last }: NextProbe): string =>
  first === last
    ? say`Probe next across ${first.title}.`
    : say`Probe next from ${first.title} to ${last.title}: it splits what is left.`;

/** A title as it stands at the start of a sentence or inside one; "HB-4" stays as it is. */
function lower(title: string, inside: boolean): string {
  const [first = '', second = ''] = title;
  if (!inside) return first.toUpperCase() + title.slice(1);
  return /\p{Ll}/u.test(second) ? first.toLowerCase() + title.slice(1) : title;
}

const atLoadSays = (at: AtLoad | null): string =>
  at
    ? say`The ${at.load} gets ${figure(at.volts, 'V', 2)} and should get ${figure(at.shouldV, 'V', 2)}.`
    : '';

/** The end of a hunt as the reader is told it: a headline, and what more there is to say. */
export function verdictSays(verdict: HuntVerdict): { readonly says: string; readonly more: string } {
  switch (verdict.what) {
    case 'contradiction':
      return {
        says: say`These readings cannot all be true`,
        more: say`${contradictionSays(verdict.contradiction)} They disagree by ${figure(verdict.contradiction.millivolt, 'mV', 0)}: read them again, with the load as it was.`,
      };
    case 'nothing read':
      return {
        says: say`Nothing is read yet`,
        more: say`Begin with the amps and the volts at the posts and at the load, in one moment under load. Then read across the pieces.`,
      };
    case 'cable':
    case 'joint':
    case 'device': {
      const { piece, wastedW, circuitWastedW, isSourceWeak, atLoad } = verdict;
      const battery =
        isSourceWeak === null ? '' : isSourceWeak ? say`The source sags, and ` : say`Not the battery: `;
      const share =
        circuitWastedW === null
          ? say`Nothing else that was read takes too much.`
          : say`${digits((wastedW / circuitWastedW) * 100, 0)} % of the ${figure(circuitWastedW, 'W', 0)} that this circuit loses for nothing.`;
      return {
        says: say`${battery}${lower(piece.title, battery !== '')} wastes ${figure(wastedW, 'W', wastedW < 10 ? 1 : 0)}`,
        more: `${share} ${atLoadSays(atLoad)}`.trim(),
      };
    }
    case 'battery':
      return {
        says: say`The battery itself: it falls by ${figure(verdict.sagV, 'V', 2)} under load`,
        more: say`The way to the load and back takes what it should. Charge it, test it, and look at its links.`,
      };
    case 'nothing wrong':
      return {
        says: say`Every piece takes what it should`,
        more: verdict.isSourceKnown
          ? say`Neither the source nor the way is at fault at this load.`
          : say`Whether the source sags is not known: read its posts at rest and under load.`,
      };
    case 'not yet':
      return {
        says: say`${verdict.mayBe} of ${verdict.pieces} pieces may still be the fault`,
        more: atLoadSays(verdict.atLoad) || say`Read across more of them.`,
      };
  }
}
