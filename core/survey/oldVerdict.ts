import { END_NAMES, type EndName } from '../model/end.ts';
import {
  OLD_CABLE_MARKS,
  OLD_END_MARKS,
  type OldCable,
  type OldCableMark,
  type OldEndMark,
} from '../model/survey.ts';
import { capitalised, type Message, msg } from '../words/message.ts';

/**
 * What is to be done with an old cable, the least first: it may stay, something is corrected in place, one end is cut off
 * and made again, or the whole is replaced. Not known until both ends were inspected.
 */
export const OLD_VERDICTS = ['keep', 'unseen', 'mend', 'remake', 'replace'] as const;
export type OldVerdict = (typeof OLD_VERDICTS)[number];

/** What a mark asks for, and what to do about it. */
interface Rule {
  readonly asks: Exclude<OldVerdict, 'keep' | 'unseen'>;
  readonly does: Message;
}

const END_RULES: Readonly<Record<OldEndMark, Rule>> = {
  green: { asks: 'remake', does: msg`cut back to bright copper; where there is none, replace the cable` },
  loose: {
    asks: 'mend',
    does: msg`clean the faces, tighten to the torque of the stud, and measure its drop under load`,
  },
  mismatched: { asks: 'remake', does: msg`cut it off, and put on a lug made for this cable` },
  'temporary clamp': { asks: 'remake', does: msg`cut it off, and put on a lug or a soldered clamp` },
  'strands cut': {
    asks: 'remake',
    does: msg`cut back to whole strands, and put on a lug that they all enter`,
  },
  'wrong hole': { asks: 'remake', does: msg`put on a lug with the hole of the stud; never drill one out` },
  hot: { asks: 'remake', does: msg`cut back to sound jacket, and find what made it hot` },
  bare: { asks: 'mend', does: msg`isolate it, and cover it` },
  'no boot': { asks: 'mend', does: msg`put a boot over it` },
};
const CABLE_RULES: Readonly<Record<OldCableMark, Rule>> = {
  chafed: { asks: 'replace', does: msg`replace it, and sheath it where it rubs` },
  brittle: { asks: 'replace', does: msg`replace it: its jacket no longer insulates where it is bent` },
  browned: { asks: 'replace', does: msg`replace it, one that carries the load` },
  unmarked: { asks: 'replace', does: msg`replace it: nobody can say what it may carry` },
};

/** One thing seen, and what it asks. */
export interface OldReason extends Rule {
  readonly where: EndName | null;
  readonly saw: Message;
}

/** What inspecting an old cable comes to. */
export interface OldJudged {
  readonly verdict: OldVerdict;
  readonly reasons: readonly OldReason[];
  /** What the verdict rests on, in a sentence. */
  readonly because: Message;
}

const rank = (verdict: OldVerdict) => OLD_VERDICTS.indexOf(verdict);

/**
 * The verdict on an old cable by rule: the heaviest thing that was seen decides, and two ends to be made again are a new
 * cable. What was not inspected is not known to be sound.
 */
export function judgeOld({ ends, marks }: Pick<OldCable, 'ends' | 'marks'>): OldJudged {
  const reasons: OldReason[] = [
    ...marks.map((mark) => ({ ...CABLE_RULES[mark], where: null, saw: OLD_CABLE_MARKS[mark] })),
    ...END_NAMES.flatMap((name) =>
      ends[name].marks.map((mark) => ({ ...END_RULES[mark], where: name, saw: OLD_END_MARKS[mark] })),
    ),
  ].sort((a, b) => rank(b.asks) - rank(a.asks));
  const isBad = (name: EndName) => reasons.some(({ where, asks }) => where === name && asks === 'remake');
  const unseen = END_NAMES.filter((name) => !ends[name].seen && ends[name].marks.length === 0);
  const [worst] = reasons;
  if (worst && worst.asks !== 'replace' && isBad('A') && isBad('B'))
    return {
      verdict: 'replace',
      reasons,
      because: msg`Both ends must be remade: a new cable costs little more.`,
    };
  if (worst && (worst.asks !== 'mend' || unseen.length === 0)) {
    const { where, saw, does } = worst;
    return {
      verdict: worst.asks,
      reasons,
      because: where === null ? msg`${capitalised(saw)}: ${does}.` : msg`End ${where}, ${saw}: ${does}.`,
    };
  }
  return unseen.length > 0
    ? { verdict: 'unseen', reasons, because: msg`Not inspected yet: end ${unseen.join(', ')}.` }
    : {
        verdict: 'keep',
        reasons,
        because: msg`Nothing seen against it. Inspection finds no high resistance: measure its drop under load.`,
      };
}

/** Whether an old cable is one that "replace everything questionable" replaces: not made again yet, and more than a repair. */
export const isQuestionable = (old: OldCable): boolean =>
  old.newId === undefined && rank(judgeOld(old).verdict) >= rank('remake');
