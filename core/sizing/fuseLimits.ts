import { FUSES } from '../model/tables/fuses.ts';
import { atMost, type Facts, type Finding, stated } from '../finding/finding.ts';
import type { Fuse } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import type { Assessment } from './assess.ts';
import { type RunContext, surroundingsOf, thermalCable } from './loop.ts';
import { worstFault } from './fault.ts';
import {
  about,
  type FaultView,
  faultView,
  fusesOf,
  giveSource,
  guessed,
  survivalWork,
  whyNoView,
} from './faultView.ts';
import { HOTTEST_AT_RATING_C, SHORT_ONLY_UP_TO } from './fuse.ts';
import { steadyTemperature } from './heatBalance.ts';
import { strictestAmps } from './schoolFindings.ts';
import { stretchesOf } from './governingRun.ts';

/** What a fuse requires of the size: that it outlives a fault, and that the fuse guards it. */
export function fuseLimits(
  assessed: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  const fuses = fusesOf(context);
  if (assessed.currentA === null || fuses.length === 0) return [];
  return fuses.flatMap((fuse) => [
    survives(fuse, assessed, faultView(assessed, context, kind, fuse.end), context),
    guards(fuse, assessed, kind, context, practice),
  ]);
}

function survives(fuse: Fuse, assessed: Assessment, view: FaultView | null, context: RunContext): Finding {
  const facts = {
    ...about(fuse, 'survives', msg`Short-circuit withstand`),
    unit: 's',
    decimals: 2,
  } as const;
  const curve = fuse.curve ?? FUSES[fuse.kind].curve;
  if (!view) {
    const work = {
      formula: msg`clears in t ≤ k² · S² ÷ I²`,
      substituted: [msg`the source is not known`],
      source: msg`IEC 60364-5-54`,
      assumes: '',
    };
    const because = whyNoView(context, fuse.end, msg`The short-circuit current is not known.`);
    return stated(
      { ...facts, value: null, because, remedy: giveSource(context, fuse.end), work },
      'unproved',
    );
  }
  if (curve.length === 0) {
    const because = msg`How fast a ${FUSES[fuse.kind].title} fuse clears is not known here.`;
    const work = survivalWork(assessed, view, view.currents.leastA);
    return stated(
      { ...facts, value: null, because, remedy: msg`Enter its curve from the maker’s sheet.`, work },
      'unproved',
    );
  }
  const worst = worstFault(curve, fuse.ratingA, view.currents, view.k, assessed.copperMm2);
  const work = survivalWork(assessed, view, worst?.currentA ?? view.currents.leastA);
  if (!worst) {
    const because = msg`A far short draws only ${amount(view.currents.leastA, 'A', 0)}: a ${numeral(fuse.ratingA, 0)} A fuse may never open.`;
    return stated(
      { ...facts, value: null, because, remedy: msg`Take a smaller fuse or a thicker cable.`, work },
      'fails',
    );
  }
  const finding = atMost({ ...facts, value: worst.clearsS, work }, worst.survivesS);
  if (finding.state === 'fails' && worst.beyondCurve) {
    const because = msg`At ${amount(worst.currentA, 'A', 0)} the curve only says “within ${numeral(worst.clearsS, 2)} s”; the cable lasts ${amount(worst.survivesS, 's', 2)}.`;
    return {
      ...finding,
      state: 'unproved',
      because,
      remedy: msg`Enter more of its curve from the maker’s sheet.`,
    };
  }
  return guessed(finding, view);
}

function guards(
  fuse: Fuse,
  assessed: Assessment,
  kind: CableKind,
  context: RunContext,
  practice: HousePractice,
): Finding {
  const allowed = strictestAmps(assessed, practice);
  const cable = thermalCable(kind, assessed);
  // In parallel, the fuse must protect each on its own share; along the way, in the hottest stretch.
  const temperatures = stretchesOf(context.run).map(({ run }) =>
    steadyTemperature(cable, surroundingsOf(run), fuse.ratingA / assessed.parallel / assessed.placing),
  );
  const atRating = temperatures.some((own) => own === null)
    ? null
    : Math.max(...temperatures.filter((own) => own !== null));
  const facts: Facts = {
    ...about(fuse, 'guards', msg`Fuse rating against cable`),
    value: fuse.ratingA,
    unit: 'A',
    decimals: 0,
    work: {
      formula: msg`rating ≤ ampacity; up to 1.5 × it protects against a short only`,
      substituted: [
        allowed === null
          ? msg`no method switched on gives an ampacity`
          : msg`allowed ${amount(allowed, 'A', 0)}, rating ${numeral(fuse.ratingA, 0)} A`,
        atRating === null
          ? msg`at its rating the conductor never settles`
          : msg`at its rating the conductor is at ${amount(atRating, '°C', 0)}`,
      ],
      source: msg`small-craft practice; the strictest of the methods switched on`,
      assumes: msg`the fuse carries its rating continuously`,
    },
  };
  if (allowed === null)
    return stated({ ...facts, because: msg`No method that is switched on gives its ampacity.` }, 'unproved');
  if (fuse.ratingA <= allowed) return atMost(facts, allowed);
  if (fuse.ratingA > SHORT_ONLY_UP_TO * allowed || atRating === null || atRating > HOTTEST_AT_RATING_C) {
    return {
      ...atMost({ ...facts, remedy: msg`Take a smaller fuse or a thicker cable.` }, allowed),
      because: msg`This fuse lets the cable burn before it opens.`,
    };
  }
  const because = msg`Protects against a short circuit only: at ${numeral(fuse.ratingA, 0)} A the conductor is at ${amount(atRating, '°C', 0)}.`;
  if (!fuse.waiver) {
    const remedy = msg`Needs a name and a reason to be accepted, a smaller fuse, or a thicker cable.`;
    return atMost({ ...facts, because, remedy }, allowed, 0, 'unproved');
  }
  return atMost(
    { ...facts, because: verbatim`${because} ${fuse.waiver.by}: ${fuse.waiver.why}` },
    allowed,
    0,
    'watch',
  );
}
