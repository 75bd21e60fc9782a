import { capitalised, msg, numeral, verbatim } from '../words/message.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { DieOffer } from '../termination/dies/dieOffers.ts';
import type { Lug } from '../model/shop.ts';
import { boreFill, fillVerdict } from '../termination/lugs/lugOnCable.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { dieName, type Step, type Stop } from './step.ts';
import { actOf, isPractising } from '../model/stepId.ts';

/** Steps that put strands into a barrel, or make them ready for it. */
const ENTERS = ['strip', 'strands', 'home', 'slug'];

/**
 * Why a step of an end cannot be done with what is chosen: a barrel that the strands do not enter, a die that does not
 * close on them, a tool that must not or cannot be used here. No tick and no reason opens it: another choice does.
 *
 * @returns null where nothing stands against it
 */
export function stopOf(step: Pick<Step, 'id' | 'end'>, end: ResolvedEnd): Stop | null {
  const act = actOf(step);
  const { lug, die, method } = end;
  if (!lug || method === 'screwed') return null;
  if (ENTERS.includes(act)) return entry(lug, end.wholeMm2);
  if (act !== 'crimp' || !die) return null;
  if (lug.form === 'cast clamp') {
    return {
      because: msg`${lug.label} is a casting: it cracks in a die.`,
      remedy: msg`Solder this end, or take a tube lug.`,
    };
  }
  return closing(die, isPractising(step));
}

/** The same of a join. */
export function stopOfJoin(kind: string, { connector, die, copperMm2 }: ResolvedJoin): Stop | null {
  if (!connector) return null;
  if (kind === 'join-cut') return entry(connector, copperMm2);
  return kind === 'join-crimp' && die ? closing(die, false) : null;
}

function entry({ label, boreMm, flared }: Lug, copperMm2: number): Stop | null {
  const fill = boreFill(copperMm2, boreMm);
  return fillVerdict(fill, flared) === 'cannot-enter'
    ? {
        because: msg`The cable cannot enter ${label}: its strands fill ${numeral(fill, 2)} of the bore.`,
        remedy: msg`Take the lug made for this cable. Strands are never cut to make one fit.`,
      }
    : null;
}

/** On a practice piece a die may be tried that is only perhaps too small. */
function closing(die: DieOffer, isTrial: boolean): Stop | null {
  if (die.unfit !== '')
    return {
      because: verbatim`${die.tool.title}: ${die.unfit}.`,
      remedy: msg`Take a tool that can work here.`,
    };
  return die.verdict === 'will-not-close' && (die.sure || !isTrial)
    ? {
        because: msg`${capitalised(dieName({ die }))}: it will not close on so much copper, c ${numeral(die.c, 2)}.`,
        remedy: die.sure
          ? msg`Take the next wider die.`
          : msg`Take the next wider die, or crimp a spare first to see.`,
      }
    : null;
}
