import { latestOf } from '../lib/moments.ts';
import { STUDS } from '../model/tables/studs.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { Cable, Fitted } from '../model/cable.ts';
import type { EndName, Both } from '../model/end.ts';
import type { SizeChoice } from '../sizing/choose.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import type { StudStack } from '../termination/studs/studStack.ts';
import { meetsWord } from '../model/posts.ts';
import { type Message, amount, capitalised, msg, verbatim, listed, bare } from '../words/message.ts';

import { GUARDS } from '../model/tables/guards.ts';
import { FUSE_PLACES, FUSES } from '../model/tables/fuses.ts';
import { isAbout } from '../finding/topics.ts';
import type { Finding } from '../finding/finding.ts';
import { named } from '../proof/verdict.ts';
import { supportPlan } from '../cutting/supports.ts';

import { term } from '../words/terms.ts';

/** Something to look at or do while a cable is fitted. */
export interface FitCheck {
  /** "washer.A", "supports", "live.fuse-out". */
  readonly id: string;
  /** What is done, in a few words. */
  readonly title: Message;
  /** With this cable's own figures. */
  readonly detail: Message;
  /** It can hurt: it is shown with the caution mark. */
  readonly danger?: boolean;
}

/** Everything inspected on the boat: at each end, along the way, and the first time it is made live, in order. */
export interface FitPlan {
  readonly ends: { readonly A: readonly FitCheck[]; readonly B: readonly FitCheck[] };
  readonly way: readonly FitCheck[];
  /** Each only after the one before it. */
  readonly live: readonly FitCheck[];
}

/** What is worked out of a cable, as far as fitting looks at it. */
export interface ToFit {
  readonly choice: SizeChoice;
  readonly ends: Both<ResolvedEnd>;
  readonly stacks: Both<StudStack | null>;
  readonly lengths: CableLengths | null;
}

/**
 * What is checked while a cable is fitted.
 *
 * Source: small-craft and craft practice; the equipment maker's instructions and the local code come first.
 *
 * @example fitPlan(cable, work).ends.A[0].id // "face.A"
 */
export function fitPlan(cable: Cable, work: ToFit): FitPlan {
  return {
    ends: { A: endChecks('A', cable, work), B: endChecks('B', cable, work) },
    way: wayChecks(cable),
    live: liveChecks(cable, work),
  };
}

/** All of it, in the order in which it is gone through. */
export const allChecks = ({ ends, way, live }: FitPlan): FitCheck[] => [
  ...ends.A,
  ...ends.B,
  ...way,
  ...live,
];

function endChecks(name: EndName, cable: Cable, { ends, stacks }: ToFit): FitCheck[] {
  const end = ends[name];
  const stack = stacks[name];
  const landing = cable.ends[name].at || msg`end ${name}`;
  const pole = cable.polarity === 'link' ? msg`a link` : term(cable.polarity);
  const checks: FitCheck[] = [
    {
      id: `polarity.${name}`,
      title: msg`Polarity`,
      detail: msg`${landing} is ${cable.polarity === 'link' ? msg`where the link ends` : msg`marked ${pole}`}; the cable is ${pole}, ${term(cable.jacket)}.`,
    },
    {
      id: `face.${name}`,
      title: msg`Faces`,
      detail: msg`Bright and dry, no paint, no washer and no heat shrink between what carries current.`,
    },
  ];
  if (stack) {
    const { washerOuterMm, washerMm } = STUDS[stack.stud];
    checks.push(
      {
        id: `stack.${name}`,
        title: msg`Order on the stud`,
        detail:
          stack.members.length > 1
            ? msg`From the face: ${listed(
                stack.members.map(({ label, amps }) => verbatim`${label} (${amount(amps, 'A', 0)})`),
                ', ',
              )}.`
            : msg`This lug alone, palm flat on the face.`,
      },
      {
        id: `washer.${name}`,
        title: msg`Washer`,
        detail: msg`${stack.stud}, ${bare(washerOuterMm, 'mm', 1)} × ${amount(washerMm, 'mm', 1)}, above the lugs, never between them; ${stack.springWasher ? msg`spring washer, then nut` : msg`then the nut`}, a thread and a half beyond it.`,
      },
    );
  } else {
    checks.push({
      id: `post.${name}`,
      title: msg`Post`,
      detail: msg`On the ${meetsWord(end.meets)}: pushed fully down, no hammer, its bolt tightened.`,
    });
  }
  const boot = end.layers.includes('boot');
  checks.push({
    id: `boot.${name}`,
    title: msg`Boot or cover`,
    detail: boot
      ? msg`The boot that is on the cable is pulled over the lug.`
      : cable.polarity === 'negative'
        ? msg`Not required on a negative; covered where a spanner can bridge it to a positive.`
        : msg`No boot is on this cable: cover the stud, or it is one dropped spanner from a short.`,
    ...(cable.polarity !== 'negative' && { danger: !boot }),
  });
  return checks;
}

function wayChecks(cable: Cable): FitCheck[] {
  const { run } = cable;
  const plan = supportPlan(cable);
  const rubs = run.way?.rubs ?? [];
  const holes = run.way?.holes ?? [];
  return [
    {
      id: 'supports',
      title: msg`Supports`,
      detail: msg`${plan.atMm.length}, ${amount(plan.everyMm, 'mm', 0)} apart (at most ${bare(plan.mostMm, 'mm', 0)}): the first ${amount(plan.atMm[0] ?? 0, 'mm', 0)} from stud A, the last ${amount(run.lengthMm - (plan.atMm.at(-1) ?? 0), 'mm', 0)} before stud B.`,
    },
    {
      id: 'drip-loop',
      title: msg`Drip loop`,
      detail: run.meets.includes('wet')
        ? msg`It meets water: before each end the cable hangs lower than the lug, so that what runs along it drips off.`
        : msg`Where water could ever run along it, it hangs lower than the lug before each end.`,
    },
    {
      id: 'chafe',
      title: msg`Chafe`,
      detail: listed(
        [
          ...rubs.map(
            ({ what, atMm, guarded, guard }) =>
              msg`${capitalised(what)} at ${amount(atMm, 'mm', 0)}: ${guarded ? (guard ? msg`its ${GUARDS[guard].title} is on` : msg`its guard is on`) : msg`NOT guarded yet`}.`,
          ),
          ...holes.map(
            ({ what, atMm, mm }) =>
              msg`${capitalised(what)} at ${amount(atMm, 'mm', 0)}: bushed, ${amount(mm, 'mm', 0)} wide.`,
          ),
          msg`Nothing ${rubs.length + holes.length > 0 ? msg`else ` : ''}touches an edge when it is pulled and shaken.`,
        ],
        ' ',
      ),
      ...(rubs.some(({ guarded }) => !guarded) && { danger: true }),
    },
    {
      id: 'bends',
      title: msg`Bends`,
      detail: msg`No bend tighter than the cable allows, none within a lug’s length of the lug; nothing hangs on the stud.`,
    },
    ...(run.fuses.length > 0
      ? run.fuses.map((fuse): FitCheck => ({
          id: `fuse.${fuse.end}`,
          title: msg`Fuse, end ${fuse.end}`,
          detail: msg`${FUSES[fuse.kind].title} ${amount(fuse.ratingA, 'A', 0)}, ${amount(fuse.distanceMm, 'mm', 0)} from the source along the cable; at most ${amount(FUSE_PLACES[fuse.place].mostMm, 'mm', 0)} ${FUSE_PLACES[fuse.place].title}.`,
        }))
      : [
          {
            id: 'fuse',
            title: msg`Fuse`,
            detail: run.starter
              ? msg`By custom a starter circuit carries none: so its whole route is sheathed and booted.`
              : msg`No fuse on this cable: the fuse protecting it is fitted and correctly rated.`,
            ...(run.starter && { danger: true }),
          },
        ]),
  ];
}

/** The first time it is made live, in order. */
// oxlint-disable-next-line max-lines-per-function -- a list in its order, an entry each
function liveChecks({ run, polarity }: Cable, { choice }: ToFit): FitCheck[] {
  const amps = choice.taken.at.currentA ?? 0;
  const hasCapacitors = run.load.kind === 'watts';
  return [
    {
      id: 'live.isolated',
      title: msg`Isolated and tagged`,
      detail: msg`Isolator open and tagged, fuses out, chargers and solar off at their own switches; rings and watch off, tools insulated. A battery cannot be switched off.`,
      danger: true,
    },
    {
      id: 'live.tight',
      title: msg`Nothing loose`,
      detail: msg`Every stud tightened to its torque and marked across nut and stud; nothing metal left lying.`,
    },
    {
      id: 'live.no-short',
      title: msg`No short`,
      detail: msg`Ohms from + to − at the load, load off: must not be near zero${hasCapacitors ? msg` (an inverter’s capacitors charge up through the meter: wait)` : ''}.`,
    },
    {
      id: 'live.polarity',
      title: msg`Polarity by meter`,
      detail: msg`${amount(run.systemV, 'V', 0)}, correct polarity at the fuse before you fit it: reversed polarity destroys electronics.`,
      danger: true,
    },
    {
      id: 'live.negative-last',
      title: msg`Negative last`,
      detail:
        polarity === 'negative'
          ? msg`This cable goes on the battery’s negative last of all, in one movement.`
          : msg`The battery’s negative goes on last of all, in one movement.`,
      danger: true,
    },
    ...(hasCapacitors
      ? [
          {
            id: 'live.charge-up',
            title: msg`Charge up`,
            detail: msg`The load’s capacitors are charged through a resistor or a lamp for some seconds before the isolator is shut: else it arcs and can weld.`,
            danger: true,
          },
        ]
      : []),
    {
      id: 'live.fuse-in',
      title: msg`Fuse in, isolator shut`,
      detail: msg`From the side, not over it, face turned away.`,
      danger: true,
    },
    {
      id: 'live.no-load',
      title: msg`No load`,
      detail: msg`Volts at the load as at the posts; nothing warm, nothing smells, nothing hums.`,
    },
    {
      id: 'live.small-load',
      title: msg`A small load`,
      detail: msg`${amps > 0 ? msg`About ${amount(amps / 10, 'A', 0)}` : msg`A tenth of the rated amps`} for a minute; the back of a hand near every joint.`,
    },
  ];
}

/** From here on the cable is made live: nothing of it is ticked while anything speaks against that. */
const LIVE_FROM = 'live.negative-last';
/** Nothing is loose once both studs were measured. */
const TIGHT = 'live.tight';

/**
 * What stands against making a cable live: what fails, a stud whose torque was not measured or is too low, and what is
 * not proved with nobody answering for it. A simulated reading clears nothing.
 *
 * @param findings all of the cable, see `workUpCable`
 */
export function standsAgainst(findings: readonly Finding[]): Finding[] {
  const isTorque = isAbout('torque');
  const own = findings.filter((finding) => finding.stage !== 'fit' || isTorque(finding));
  return [
    ...own.filter(({ state }) => state === 'fails'),
    ...own.filter((finding) => finding.state === 'unproved' && (isTorque(finding) || !finding.waived)),
  ];
}

/**
 * Whether a check may be ticked: those of the first energising only one after the other, the studs tight before it, and
 * none from the last connection on while anything stands against it.
 *
 * @returns a sentence that says what comes before it; null where it may
 */
export function mayTick(
  plan: FitPlan,
  fitted: readonly Fitted[],
  id: string,
  findings: readonly Finding[],
): Message | null {
  const index = plan.live.findIndex((check) => check.id === id);
  if (index < 0) return null;
  const done = (check: FitCheck) => fitted.some((own) => own.check === check.id);
  const before = [...plan.ends.A, ...plan.ends.B, ...plan.way].filter((check) => !done(check));
  if (before[0]) return msg`First the ends and the route: “${before[0].title}” is not ticked yet.`;
  const missing = plan.live.slice(0, index).find((check) => !done(check));
  if (missing) return msg`In order: “${missing.title}” comes before it.`;
  const from = (first: string) => index >= plan.live.findIndex((check) => check.id === first);
  const against = standsAgainst(findings);
  const loose = from(TIGHT) ? against.find(isAbout('torque')) : undefined;
  if (loose) return msg`Torque of end ${loose.end} first, measured on the stud: ${loose.because}`;
  const [first] = from(LIVE_FROM) ? against : [];
  if (!first) return null;
  return first.state === 'fails'
    ? msg`It is not made live while it fails: ${named(first)}. ${first.because}`
    : msg`It is not made live while this is not proved: ${named(first)}. Measure it, or waive it with a name and a reason.`;
}

/**
 * The ticks after one is set or taken back. One taken back takes those of the first energising behind it along: they
 * rested on it.
 */
export function withTick(plan: FitPlan, fitted: readonly Fitted[], tick: Fitted): Fitted[] {
  const isTicked = fitted.some(({ check }) => check === tick.check);
  if (!isTicked) return [...fitted, tick];
  const at = plan.live.findIndex(({ id }) => id === tick.check);
  const behind = new Set(plan.live.slice(Math.max(at, 0)).map(({ id }) => id));
  return fitted.filter(({ check }) => check !== tick.check && !behind.has(check));
}

/** Ticks that a rework of an end takes back: it is taken off, so it is fitted and made live again. */
export const standingTicks = ({ fitted, reworks }: Cable): Fitted[] => {
  const last = latestOf(reworks);
  return fitted.filter(({ at }) => at > last);
};
