import { digits, figure } from '../model/units/figure.ts';
import { type Hunt, isSimulated, loadedOf } from '../model/hunt.ts';
import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import { SAG_SHARE } from '../model/tables/sag.ts';
import type { Contradiction, Known } from './known.ts';
import type { Suspect } from './suspect.ts';
import { say } from '../words/say.ts';

/** The end of a hunt: what it is, in a headline and a sentence. */
export interface HuntVerdict {
  readonly what:
    'nothing read' | 'contradiction' | 'battery' | 'joint' | 'cable' | 'device' | 'nothing wrong' | 'not yet';
  readonly says: string;
  readonly more: string;
  /** Some of its readings came from a stand-in: nothing of it is proved. */
  readonly simulated: boolean;
}

interface Looked {
  readonly pieces: readonly Suspect[];
  readonly suspects: readonly Suspect[];
  readonly contradictions: readonly Contradiction[];
  /** Those that may still be the fault. */
  readonly open: readonly Suspect[];
  /** Those of them that alone may explain most of what is lost. */
  readonly chief: readonly Suspect[];
  readonly known: readonly Known[];
  readonly isKnown: boolean;
  readonly wastedW: number;
}

/** How far the source falls, V; null while its voltages are not known. @example sagOf({ restV: 24.96, … }) // 0.76 */
export function sagOf({ restV, loaded: { postsV } }: Hunt): number | null {
  return restV === undefined || postsV === undefined ? null : restV - postsV;
}

/** Whether the source itself falls too far; null while that is not known. */
function isSourceWeak(hunt: Hunt): boolean | null {
  const sag = sagOf(hunt);
  return sag === null ? null : sag > SAG_SHARE[hunt.test] * (hunt.restV ?? 0);
}

/** Says of a hunt: battery, joint, cable or device; or what is missing before that can be said. */
export function verdictOf(hunt: Hunt, looked: Looked): HuntVerdict {
  const { suspects, contradictions, open, chief, known, isKnown, pieces } = looked;
  const simulated = isSimulated(hunt);
  const [contradiction] = contradictions;
  const verdict = (what: HuntVerdict['what'], says: string, more: string): HuntVerdict => ({
    what,
    says,
    more,
    simulated,
  });
  if (contradiction) {
    return verdict(
      'contradiction',
      say`These readings cannot all be true`,
      say`${contradiction.says} They disagree by ${figure(contradiction.millivolt, 'mV', 0)}: read them again, with the load as it was.`,
    );
  }
  if (known.length === 0) {
    return verdict(
      'nothing read',
      say`Nothing is read yet`,
      say`Begin with the amps and the volts at the posts and at the load, in one moment under load. Then read across the pieces.`,
    );
  }
  const weak = isSourceWeak(hunt);
  const [top] = suspects;
  if (top && top.milliohm !== null) {
    const battery = weak === null ? '' : weak ? say`The source sags, and ` : say`Not the battery: `;
    const says = say`${battery}${lower(top.piece.title, battery !== '')} wastes ${figure(top.wastedW, 'W', top.wastedW < 10 ? 1 : 0)}`;
    return verdict(
      CHAIN_PIECES[top.piece.kind].sort,
      says,
      `${shareOf(top, looked)} ${atTheLoad(hunt, looked)}`.trim(),
    );
  }
  if (weak && open.length === 0) {
    return verdict(
      'battery',
      say`The battery itself: it falls by ${figure(sagOf(hunt) ?? 0, 'V', 2)} under load`,
      say`The way to the load and back takes what it should. Charge it, test it, and look at its links.`,
    );
  }
  if (isKnown && open.length === 0) {
    return verdict(
      'nothing wrong',
      say`Every piece takes what it should`,
      weak === null
        ? say`Whether the source sags is not known: read its posts at rest and under load.`
        : say`Neither the source nor the way is at fault at this load.`,
    );
  }
  return verdict(
    'not yet',
    say`${chief.length} of ${pieces.length} pieces may still be the fault`,
    atTheLoad(hunt, looked) || say`Read across more of them.`,
  );
}

/** A title as it stands at the start of a sentence or inside one; "HB-4" stays as it is. */
function lower(title: string, inside: boolean): string {
  const [first = '', second = ''] = title;
  if (!inside) return first.toUpperCase() + title.slice(1);
  return /\p{Ll}/u.test(second) ? first.toLowerCase() + title.slice(1) : title;
}

function shareOf({ wastedW }: Suspect, { suspects, wastedW: all }: Looked): string {
  return suspects.length > 1
    ? say`${digits((wastedW / all) * 100, 0)} % of the ${figure(all, 'W', 0)} that this circuit loses for nothing.`
    : say`Nothing else that was read takes too much.`;
}

/** What the load gets, and what it would get over sound pieces. */
function atTheLoad(hunt: Hunt, { pieces }: Looked): string {
  const loaded = loadedOf(hunt);
  if (!loaded) return '';
  const should =
    loaded.postsV - (pieces.reduce((all, own) => all + own.shouldMilliohm, 0) * loaded.amps) / 1000;
  return say`The ${hunt.load} gets ${figure(loaded.loadV, 'V', 2)} and should get ${figure(should, 'V', 2)}.`;
}
