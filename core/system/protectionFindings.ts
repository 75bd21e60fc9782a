import { atMost, type Finding, stated, turnedTo } from '../finding/finding.ts';
import type { Fuse } from '../model/run.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type ClearingPoint, FUSES } from '../model/tables/fuses.ts';
import { ADIABATIC_S, clearingSeconds, survivalSeconds } from '../sizing/fault.ts';
import { breakingAmps, meltsNotBefore } from '../sizing/fuse.ts';
import { amount, type Message, msg, numeral, verbatim } from '../words/message.ts';
import { otherEnd } from '../model/end.ts';
import {
  about,
  facts,
  guardSays,
  keyPart,
  type LimitsOf,
  pointsOf,
  type SystemFinding,
} from './findingParts.ts';
import { type Guard, guardKey, guardKind, guardRatingA } from './protection.ts';
import { firstFuses, underFuse, unguarded } from './unguardedFindings.ts';
import { isHeld } from './solve.ts';
import type { SystemView } from './view.ts';
import { flowsThrough, guardPosts, type Zone, zonesOf } from './zones.ts';

const THEVENIN = msg`Thévenin at the fault: cold copper and charged batteries for the most, hot copper and half the source’s current for the least`;

/** What a guard says of itself, whichever it is. */
function factsOf(guard: Guard): {
  readonly kind: Fuse['kind'];
  readonly breakingA: number | undefined;
  readonly curve: readonly ClearingPoint[];
  readonly melts: Fuse['melts'];
  readonly curveGiven: Fuse['curve'];
} {
  const given = guard.kind === 'place' ? guard.place : guard.fuse;
  const kind = guardKind(guard);
  return {
    kind,
    breakingA: given.breakingA,
    curve: given.curve ?? FUSES[kind].curve,
    melts: given.melts,
    curveGiven: given.curve,
  };
}

/** What every finding about a short says when a battery's resistance is missing. */
const unknownShort = (own: ReturnType<typeof facts>): Finding =>
  stated(
    {
      ...own,
      value: null,
      because: msg`A battery that feeds it gives no resistance: its short-circuit current is not known.`,
      remedy: msg`Enter what is known of the battery.`,
    },
    'unproved',
  );

/** That a fuse interrupts the most that can flow at it. */
// oxlint-disable-next-line max-lines-per-function -- one finding: each way that it may turn out, one after the other
function breaks(view: SystemView, { guard, atFuse }: Zone): SystemFinding[] {
  const { kind, breakingA } = factsOf(guard);
  const [post] = guardPosts(view, guard);
  if (post === undefined || view.protection.isReturn[post] || view.shorts.islandOf(post) < 0) return [];
  const volts = view.shorts.chargedV(post);
  const nominal = Math.round(view.nominalOf(post));
  const customary = breakingAmps(kind, volts, nominal);
  const isByItsSheet = FUSES[kind].breaking.length === 0;
  const most = customary === null && !isByItsSheet ? null : (breakingA ?? customary);
  const base = facts(
    'fuse-breaks',
    keyPart(guard),
    msg`${guardSays(view, guard)}, interrupting rating`,
    ['A', 0],
    {
      formula: msg`I_interrupting ≥ the largest prospective short-circuit current at it`,
      substituted: [
        msg`${amount(atFuse.mostA, 'A', 0)} at its posts, ${amount(atFuse.suppliesA, 'A', 0)} of it from chargers at their limit`,
      ],
      source: msg`${THEVENIN}; ${breakingA === undefined ? msg`customary for a ${FUSES[kind].title}; its own sheet governs` : msg`its own sheet`}`,
      assumes: msg`charged to ${amount(volts, 'V', 1)}, every battery on, every switch closed`,
    },
  );
  const points = pointsOf(guard);
  if (atFuse.isUnknown) return [about(unknownShort(base), points)];
  if (most === null && isByItsSheet)
    return [
      about(
        stated(
          {
            ...base,
            value: atFuse.mostA,
            because: msg`The interrupting rating of a ${FUSES[kind].title} is on its own sheet only.`,
            remedy: msg`Enter its interrupting rating.`,
          },
          'unproved',
        ),
        points,
      ),
    ];
  if (most === null)
    return [
      about(
        stated(
          {
            ...base,
            value: null,
            because: msg`A ${FUSES[kind].title} fuse is not made for ${amount(volts, 'V', 1)}.`,
            remedy: msg`Take a kind made for this voltage.`,
          },
          'fails',
        ),
        points,
      ),
    ];
  const finding = atMost(
    {
      ...base,
      value: atFuse.mostA,
      ...(atFuse.mostA > most && { remedy: msg`Use a kind of fuse with a higher interrupting rating.` }),
    },
    most,
  );
  return [about(finding, points)];
}

/** That a fuse clears the smallest short behind it before any conductor that it guards is damaged. */
// oxlint-disable-next-line max-lines-per-function -- one finding: each way that it may turn out, one after the other
function clears(view: SystemView, zone: Zone, limitsOf: LimitsOf): SystemFinding[] {
  const { guard, cableIds, least, atFuse } = zone;
  if (!least || cableIds.length === 0) return [];
  const ratingA = guardRatingA(guard);
  const { curve, kind } = factsOf(guard);
  const survive = cableIds.flatMap((id) => {
    const limits = limitsOf(id);
    const parallel = limits?.at.parallel ?? 1;
    return limits?.k
      ? [{ id, seconds: survivalSeconds(limits.k, limits.at.copperMm2, least.amps / parallel) }]
      : [];
  });
  const [weakest] = survive.toSorted((a, b) => a.seconds - b.seconds);
  const where = view.placeOf(least.at)?.name ?? view.cableOf(least.at)?.tag ?? least.at;
  const base = facts(
    'fuse-clears',
    keyPart(guard),
    msg`${guardSays(view, guard)}, clears a short at ${where}`,
    ['s', 2],
    {
      formula: msg`clears within t ≤ k² · S² ÷ I²`,
      substituted: [
        msg`the least short: ${amount(least.amps, 'A', 0)} at ${where}, ${numeral(least.amps / ratingA, 1)} × its rating`,
        ...(weakest
          ? [msg`${view.cableOf(weakest.id)?.tag ?? ''} survives it for ${amount(weakest.seconds, 's', 2)}`]
          : []),
      ],
      source: msg`${THEVENIN}; IEC 60364-5-54`,
      assumes: msg`over ${ADIABATIC_S} s the cable also cools, so it errs to the safe side`,
    },
  );
  const points = { ...pointsOf(guard), cables: weakest ? [weakest.id] : cableIds };
  if (atFuse.isUnknown) return [about(unknownShort(base), points)];
  if (!weakest || survive.length < cableIds.length)
    return [
      about(
        stated(
          {
            ...base,
            value: null,
            because: msg`A cable behind it never settles, so what it survives is not known.`,
          },
          'unproved',
        ),
        points,
      ),
    ];
  if (curve.length === 0)
    return [
      about(
        stated(
          {
            ...base,
            value: null,
            because: msg`How fast a ${FUSES[kind].title} clears is not known here.`,
            remedy: msg`Enter its curve from the maker’s sheet.`,
          },
          'unproved',
        ),
        points,
      ),
    ];
  const seconds = clearingSeconds(curve, least.amps / ratingA);
  if (seconds === null)
    return [
      about(
        stated(
          {
            ...base,
            value: null,
            because: msg`The least short draws only ${amount(least.amps, 'A', 0)}: a ${numeral(ratingA, 0)} A fuse may never open.`,
            remedy: msg`Use a smaller fuse, or thicker cable to where it is.`,
          },
          'fails',
        ),
        points,
      ),
    ];
  const finding = atMost({ ...base, value: seconds }, weakest.seconds);
  if (finding.state === 'fails' && least.amps / ratingA > (curve.at(-1)?.multiple ?? 0))
    return [
      about(
        turnedTo(finding, 'unproved', {
          because: msg`At that current its curve only says “within ${numeral(seconds, 2)} s”.`,
          remedy: msg`Enter more of its curve from the maker’s sheet.`,
        }),
        points,
      ),
    ];
  return [about(finding, points)];
}

/** That a fuse carries what runs through it: so much over what is held, and each short state for its time. */
// oxlint-disable-next-line max-lines-per-function -- one finding: each way that it may turn out, one after the other
function carries(view: SystemView, { guard }: Zone, { fuseOverLoad }: HousePractice): SystemFinding[] {
  const ratingA = guardRatingA(guard);
  const its = factsOf(guard);
  const flows = flowsThrough(view, guard);
  const held = Math.max(0, ...flows.filter(({ state }) => isHeld(state)).map(({ amps }) => amps));
  const least = fuseOverLoad * held;
  const over = flows.flatMap(({ state, amps }) =>
    state.lasts.kind === 'for' && amps > ratingA
      ? [
          {
            name: state.name,
            amps,
            seconds: state.lasts.seconds,
            ...meltsNotBefore({ ...its, ratingA, curve: its.curveGiven }, amps / ratingA),
          },
        ]
      : [],
  );
  if (held === 0 && over.length === 0) return [];
  const base = facts(
    'fuse-carries',
    keyPart(guard),
    msg`${guardSays(view, guard)}, carries the load`,
    ['A', 0],
    {
      formula: msg`rating ≥ ${fuseOverLoad} · I; each step shorter than the shortest melting time at its amps`,
      substituted: [
        verbatim`${fuseOverLoad} × ${numeral(held, 1)} = ${amount(least, 'A', 0)}`,
        ...over.map(({ name, amps, seconds, notBeforeS, how }) =>
          notBeforeS === null
            ? msg`${name}: ${amount(amps, 'A', 0)} for ${amount(seconds, 's', 1)}, ${how}`
            : msg`${name}: ${amount(amps, 'A', 0)} for ${amount(seconds, 's', 1)}, melts not before ${amount(notBeforeS, 's', 2)}, ${how}`,
        ),
      ],
      source: msg`customary rating rule, by house practice`,
      assumes: msg`melting times are of low confidence unless the maker’s curve gives them`,
    },
  );
  const points = pointsOf(guard);
  // Rated to the ampere: what solving leaves behind the comma does not count.
  if (ratingA < least * (1 - 1e-6))
    return [
      about(
        stated(
          {
            ...base,
            value: ratingA,
            because: msg`It carries ${amount(held, 'A', 0)} continuously: it should be rated for ${amount(least, 'A', 0)} or more, else it opens on a warm day.`,
            remedy: msg`Use a larger fuse, if the cables behind it allow that.`,
          },
          'fails',
        ),
        points,
      ),
    ];
  const melts = over.find(({ seconds, notBeforeS }) => notBeforeS !== null && seconds >= notBeforeS);
  const unknown = over.find(({ notBeforeS }) => notBeforeS === null);
  const state = melts
    ? 'fails'
    : unknown
      ? 'unproved'
      : over.length > 0 && !over.every(({ isTyped }) => isTyped)
        ? 'watch'
        : 'holds';
  const because: Message = melts
    ? msg`${melts.name} may melt it: ${amount(melts.amps, 'A', 0)} for ${amount(melts.seconds, 's', 1)}.`
    : unknown
      ? msg`${unknown.name} is over its rating, and how soon it melts is not known.`
      : msg`Carries ${amount(held, 'A', 0)} continuously, rated ${numeral(ratingA, 0)} A.`;
  return [about(stated({ ...base, value: ratingA, because }, state), points)];
}

/** Two fuses in series: whether the nearer one clears before the other begins to melt. */
// oxlint-disable-next-line max-lines-per-function -- one finding: each way that it may turn out, one after the other
function selective(view: SystemView, zones: readonly Zone[]): SystemFinding[] {
  const byKey = new Map(zones.map((zone) => [guardKey(zone.guard), zone]));
  const pairs = new Map<string, { upper: Guard; lower: Guard }>();
  for (const { guard: lower } of zones) {
    const posts = guardPosts(view, lower);
    // Behind whichever fuse the cables on its source's side lie.
    for (const { guard: upper } of zones) {
      const touches = view.protection.fed.some(({ cableId, from, guard }) => {
        const conductor = view.conductorOf(cableId);
        const isBehind = guard !== null && guardKey(guard) === guardKey(upper);
        return isBehind && conductor !== undefined && posts.includes(conductor.at[otherEnd(from)]);
      });
      if (!touches || guardKey(upper) === guardKey(lower) || guardRatingA(upper) <= guardRatingA(lower))
        continue;
      pairs.set(`${guardKey(upper)} ${guardKey(lower)}`, { upper, lower });
    }
  }
  return [...pairs.values()].map(({ upper, lower }) => {
    const amps = byKey.get(guardKey(lower))?.atFuse.mostA ?? 0;
    const [high, low] = [factsOf(upper), factsOf(lower)];
    const clearsS = low.curve.length > 0 ? clearingSeconds(low.curve, amps / guardRatingA(lower)) : null;
    const { notBeforeS, isTyped } = meltsNotBefore(
      { kind: high.kind, ratingA: guardRatingA(upper), curve: high.curveGiven, melts: high.melts },
      amps / guardRatingA(upper),
    );
    const base = facts(
      'selective',
      `${keyPart(upper)}-${keyPart(lower)}`,
      msg`${guardSays(view, lower)} before ${guardSays(view, upper)}`,
      ['s', 3],
      {
        formula: msg`the nearer fuse has cleared before the other begins to melt`,
        substituted: [
          clearsS === null
            ? msg`${guardSays(view, lower)}: no curve`
            : msg`${guardSays(view, lower)} has cleared ${amount(amps, 'A', 0)} within ${amount(clearsS, 's', 3)}`,
          notBeforeS === null
            ? msg`${guardSays(view, upper)}: no melting curve at that current`
            : msg`${guardSays(view, upper)} melts not before ${amount(notBeforeS, 's', 3)}`,
        ],
        source: msg`the curves of both fuses`,
        assumes: msg`the largest short right behind the nearer fuse`,
      },
    );
    const points = {
      places: [upper, lower].flatMap((guard) => (guard.kind === 'place' ? [guard.place.id] : [])),
      cables: [upper, lower].flatMap((guard) => (guard.kind === 'inline' ? [guard.cableId] : [])),
    };
    if (clearsS === null || notBeforeS === null || !isTyped)
      return about(
        stated(
          {
            ...base,
            value: clearsS,
            because: msg`Both curves are needed to say which opens first.`,
            remedy: msg`Enter the clearing curve of the one and the melting curve of the other from their sheets.`,
          },
          'unproved',
        ),
        points,
      );
    return about(
      atMost(
        {
          ...base,
          value: clearsS,
          ...(clearsS > notBeforeS && { remedy: msg`Choose a slower fuse upstream or a faster one here.` }),
        },
        notBeforeS,
        0,
        clearsS > notBeforeS ? 'watch' : 'holds',
      ),
      points,
    );
  });
}

/** All that is found about fuses and shorts. */
export function protectionFindings(
  view: SystemView,
  limitsOf: LimitsOf,
  practice: HousePractice,
): SystemFinding[] {
  const zones = zonesOf(view);
  return [
    ...unguarded(view),
    ...firstFuses(view),
    ...underFuse(view, limitsOf),
    ...zones.flatMap((zone) => [
      ...breaks(view, zone),
      ...clears(view, zone, limitsOf),
      ...carries(view, zone, practice),
    ]),
    ...selective(view, zones),
  ];
}
