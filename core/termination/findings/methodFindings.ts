import { SOLDER } from '../../model/tables/solder.ts';
import { bundleDiameterMm } from '../../conductor/geometry.ts';
import { atLeast, atMost, type Finding, stated, type State, within } from '../../finding/finding.ts';
import type { Lug } from '../../model/shop.ts';
import { hottestC } from '../../sizing/governing.ts';
import { amount, msg, numeral, verbatim } from '../../words/message.ts';
import { term } from '../../words/terms.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { circleMm2 } from '../lugs/lugOnCable.ts';
import { usesSolder } from '../../model/method.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { solderNeed } from '../solderNeed.ts';
import { SOLDER_ONLY_DIAMETERS, TORCH_S } from '../methods/solder.ts';

/** What the method of an end means for this very cable: hold, heat, flexing, solder, flame and flux. */
export function methodFindings(end: ResolvedEnd, lug: Lug, subject: EndSubject): Finding[] {
  if (end.method === 'screwed') return [temporary(end, subject)];
  if (!usesSolder(end.method)) return end.spec.temporary ? [temporary(end, subject)] : [];
  return [
    ...(end.method === 'solder' ? [solderOnly(end, lug, subject)] : []),
    ...(end.method === 'slug then crimp' ? [creeps(end)] : []),
    softens(end, subject),
    flexes(end),
    solderMass(end, lug, subject),
    torch(end, lug, subject),
    flux(end, subject),
    ...(end.spec.temporary ? [temporary(end, subject)] : []),
  ];
}

function solderOnly(end: ResolvedEnd, lug: Lug, { conductor }: EndSubject): Finding {
  const bundle = bundleDiameterMm(conductor.copperMm2);
  return atLeast(
    {
      ...about(end, 'solder-hold', msg`Soldered length`),
      value: lug.barrelMm,
      unit: 'mm',
      decimals: 1,
      because:
        lug.barrelMm >= SOLDER_ONLY_DIAMETERS * bundle
          ? msg`Long enough to be the only hold, by small-craft practice.`
          : msg`Too short for solder to be the only hold.`,
      ...(lug.barrelMm < SOLDER_ONLY_DIAMETERS * bundle && {
        remedy: msg`Crimp it as well, or take a lug with a longer barrel.`,
      }),
      work: {
        formula: msg`soldered length ≥ 1.5 · d_b`,
        substituted: [
          msg`1.5 × ${numeral(bundle, 1)} = ${amount(SOLDER_ONLY_DIAMETERS * bundle, 'mm', 1)}; the barrel is ${amount(lug.barrelMm, 'mm', 1)}`,
        ],
        source: msg`ABYC E-11, battery lugs held by solder alone`,
        assumes: msg`the barrel is filled to its mouth`,
      },
    },
    SOLDER_ONLY_DIAMETERS * bundle,
  );
}

function creeps(end: ResolvedEnd): Finding {
  return stated(
    {
      ...about(end, 'creep', msg`Crimp over solder`),
      value: null,
      unit: '',
      decimals: 0,
      because: msg`Solder under a crimp creeps with the years: the crimp relaxes and only the solder holds.`,
      remedy: msg`Crimp first and solder after, or pull it again at the yearly inspection.`,
      work: {
        formula: msg`solder flows slowly under lasting pressure`,
        substituted: [],
        source: msg`craft practice: practised by some, with this cost`,
        assumes: msg`soft solder`,
      },
    },
    'watch',
  );
}

/** Solder softens long before it melts: what the conductor reaches is compared with it. */
function softens(end: ResolvedEnd, { at }: EndSubject): Finding {
  const hottest = hottestC(at);
  const facts = {
    ...about(end, 'solder-heat', msg`Heat at the solder`),
    unit: '°C',
    decimals: 0,
    work: {
      formula: msg`hottest conductor ≤ where solder softens`,
      substituted: [
        hottest === null
          ? msg`the conductor never settles`
          : msg`${amount(hottest, '°C', 0)} against ${amount(SOLDER.softensC, '°C', 0)}; it melts at ${amount(SOLDER.liquidusC, '°C', 0)}`,
      ],
      source: msg`handbook values of soft solder; a short is held to 160 °C at a soldered end`,
      assumes: msg`the lug is no hotter than the conductor`,
    },
  } as const;
  return hottest === null
    ? stated(
        { ...facts, value: null, because: msg`The conductor never settles: solder would soften.` },
        'fails',
      )
    : atMost({ ...facts, value: hottest }, SOLDER.softensC, 20);
}

function flexes(end: ResolvedEnd): Finding {
  const { support } = end.spec;
  const facts = {
    ...about(end, 'solder-flex', msg`Flex at the step`),
    value: support?.distanceMm ?? null,
    unit: 'mm',
    decimals: 0,
    work: {
      formula: msg`solder wicks up the strands and ends in a brittle step: nothing may flex there`,
      substituted: support
        ? [
            msg`first support at ${amount(support.distanceMm, 'mm', 0)}; ${support.flexes ? msg`it flexes` : msg`it does not flex`}, ${support.vibrates ? msg`it vibrates` : msg`no vibration`}`,
          ]
        : [msg`how it is supported is not given`],
      source: msg`craft practice`,
      assumes: msg`solder wicks about two bundle diameters under the jacket`,
    },
  } as const;
  if (!support) {
    return stated(
      {
        ...facts,
        because: msg`Enter whether the cable moves between lug and first support.`,
        remedy: msg`Enter where the first support is.`,
      },
      'unproved',
    );
  }
  if (support.flexes) {
    return stated(
      {
        ...facts,
        because: msg`It flexes between lug and support: the step at the solder breaks strand by strand.`,
        remedy: msg`Clamp the cable beside the lug, so that it flexes further on; or crimp only.`,
      },
      'fails',
    );
  }
  return support.vibrates
    ? stated(
        {
          ...facts,
          because: msg`It vibrates: inspect it every year, and support it close to the lug.`,
          remedy: msg`A support within a few diameters of the lug keeps the step still.`,
        },
        'watch',
      )
    : stated({ ...facts, because: msg`Nothing moves at the step.` }, 'holds');
}

/** A lug loaded with more solder than it holds, by this much, lets it run out. */
const MOST_LOADED = 1.15;

function solderMass(end: ResolvedEnd, lug: Lug, { shop }: EndSubject): Finding {
  const need = solderNeed(end, lug, shop.practice);
  const free = circleMm2(lug.boreMm) - end.copperMm2;
  const over = need.loadedG > MOST_LOADED * need.wholeG;
  const wire = msg`${amount(need.wireMm, 'mm', 0)} of ${amount(shop.practice.solder.wireMm, 'mm', 1)} wire`;
  return stated(
    {
      ...about(end, 'solder-mass', msg`Solder`),
      value: need.massG,
      unit: 'g',
      decimals: 1,
      because:
        need.loadedG === 0
          ? end.method === 'slug then crimp'
            ? msg`A slug of ${amount(need.massG, 'g', 1)}.`
            : msg`${wire}, or a slug of ${amount(need.massG, 'g', 1)}.`
          : over
            ? msg`${lug.label} brings ${amount(need.loadedG, 'g', 1)} of its own, and holds ${amount(need.wholeG, 'g', 1)}: the rest runs out over the flame.`
            : need.massG > 0
              ? msg`${lug.label} brings ${amount(need.loadedG, 'g', 1)} of its own; feed ${wire} more.`
              : msg`${lug.label} brings ${amount(need.loadedG, 'g', 1)} of its own: nothing to feed.`,
      ...(over && {
        remedy: msg`Take one made for this cable, or catch what runs out; nothing under the flame.`,
      }),
      work: {
        formula: need.afterCrimp
          ? msg`V = (A_bore − A) · uncrimped barrel + air in the crimps + fillet`
          : msg`V = (A_bore − A) · depth + fillet`,
        substituted: [
          msg`= ${numeral(free, 1)} × ${numeral(need.depthMm, 1)} + ${numeral(need.extraMm3, 0)} = ${numeral(need.volumeMm3, 0)} mm³`,
          verbatim`× ${numeral(SOLDER.densityGPerCm3, 1)} g/cm³ = ${amount(need.wholeG, 'g', 1)}`,
          ...(need.loadedG > 0
            ? [msg`− ${amount(need.loadedG, 'g', 1)} in the lug = ${amount(need.massG, 'g', 1)} to feed`]
            : []),
        ],
        source: msg`volume of what the strands leave; density of tin-lead, tin-copper is an eighth lighter`,
        assumes: msg`the barrel filled to its mouth, none lost`,
      },
    },
    over ? 'watch' : 'holds',
  );
}

function torch(end: ResolvedEnd, lug: Lug, { shop }: EndSubject): Finding {
  const { solder } = shop.practice;
  const { seconds } = solderNeed(end, lug, shop.practice);
  const state: State = seconds > TORCH_S.tooWeak ? 'fails' : seconds < TORCH_S.scorches ? 'watch' : 'holds';
  const says =
    seconds > TORCH_S.tooWeak
      ? msg`Too weak: the jacket cooks before the solder runs.`
      : seconds < TORCH_S.scorches
        ? msg`Fierce: it scorches before it soaks through.`
        : msg`About ${amount(seconds, 's', 0)} on the lug, not on the cable, the blue cone off the tin.`;
  return within(
    {
      ...about(end, 'torch', msg`Time under the flame`),
      value: seconds,
      unit: 's',
      decimals: 0,
      because: says,
      ...(state !== 'holds' && {
        remedy: state === 'fails' ? msg`Take a larger flame.` : msg`Take a smaller flame, or hold it off.`,
      }),
      work: {
        formula: 'E + 2·k·A·ΔT·√(t ÷ (π·α)) = 0.15·P·t',
        substituted: [
          msg`P ${amount(solder.torchW, 'W', 0)}, A ${numeral(end.copperMm2, 1)} mm²: t = ${amount(seconds, 's', 0)}`,
        ],
        source: msg`lumped joint on a long conductor`,
        assumes: msg`low confidence: 15 % of the flame enters the lug; try a spare first`,
      },
    },
    TORCH_S.scorches,
    TORCH_S.tooWeak,
    state,
  );
}

function flux(end: ResolvedEnd, { shop }: EndSubject): Finding {
  const acid = shop.practice.solder.flux === 'acid';
  return stated(
    {
      ...about(end, 'flux', msg`Flux`),
      value: null,
      unit: '',
      decimals: 0,
      because: acid
        ? msg`Acid flux creeps under the jacket and eats the strands for years.`
        : msg`Rosin: clean the rest off once it is cold.`,
      ...(acid && { remedy: msg`Rosin flux only.` }),
      work: {
        formula: msg`rosin flux only`,
        substituted: [],
        source: msg`craft practice, all schools`,
        assumes: msg`as house practice says`,
      },
    },
    acid ? 'fails' : 'holds',
  );
}

/** A get-you-home repair comes back as due. */
function temporary(end: ResolvedEnd, { today }: EndSubject): Finding {
  const dates = end.spec.temporary;
  const facts = {
    ...about(end, 'temporary', msg`Temporary`),
    value: null,
    unit: '',
    decimals: 0,
    work: {
      formula: msg`today ≤ replace by`,
      substituted: dates
        ? [msg`fitted ${dates.fitted}, replace by ${dates.replaceBy}${today ? msg`, today ${today}` : ''}`]
        : [msg`no date is set`],
      source: msg`craft practice: what is screwed down is for a get-you-home repair only`,
      assumes: msg`the date as set here`,
    },
  } as const;
  if (!dates) {
    return stated(
      {
        ...facts,
        because: msg`A ${term(end.lug?.form ?? 'screw clamp')} gets you home; it has no date to be replaced by.`,
        remedy: msg`Set the day by which a proper end replaces it.`,
      },
      'fails',
    );
  }
  const isDue = today !== null && today >= dates.replaceBy;
  return stated(
    {
      ...facts,
      because: isDue
        ? msg`Overdue: it was to be replaced by ${dates.replaceBy}.`
        : msg`To be replaced by ${dates.replaceBy}.`,
      remedy: msg`Cut it off and put a proper end on.`,
    },
    isDue ? 'fails' : 'watch',
  );
}
