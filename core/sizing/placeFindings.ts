import { type Finding, type State, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import { MEETS, type Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { type Message, amount, listed, msg, numeral, verbatim } from '../words/message.ts';
import type { RunContext } from './loop.ts';
import { chargedTo } from './source.ts';
import { clearedBy, misfitOf, TRAITS, traitsAsked } from './kindTraits.ts';

import { term } from '../words/terms.ts';

/** Insulation that stands the heat beside an exhaust by itself, °C. */
const BESIDE_EXHAUST_C = 125;

const besideExhaust = ({ limitC }: CableKind): Message | null =>
  limitC >= BESIDE_EXHAUST_C
    ? null
    : msg`a ${amount(limitC, '°C', 0)} jacket near an exhaust needs a glass sleeve, or a cross-linked kind`;

/** Whether a kind of cable suits the place it runs through, one finding for each thing it meets. */
export function placeFindings({ run, polarity, worn }: RunContext, kind: CableKind): Finding[] {
  const glassed = worn.includes('glass');
  const checks: Suits[] = [
    ...traitsAsked({ run, polarity })
      // That a jacket insulates is said only where there is none.
      .filter((trait) => trait !== 'live' || kind.insulation === 'bare')
      .map((trait): Suits => {
        const stands = misfitOf(trait, kind) === null ? null : clearedBy(trait, worn);
        return {
          id: trait,
          title: TRAITS[trait],
          misfit: stands ? null : misfitOf(trait, kind),
          ...(stands && { stands }),
          ...(trait === 'live' && { else: 'fails' }),
        };
      }),
    ...(run.meets.includes('exhaust')
      ? [
          {
            id: 'exhaust',
            title: MEETS.exhaust,
            misfit: glassed ? null : besideExhaust(kind),
            ...(glassed && { stands: msg`A glass sleeve keeps the heat off it.` }),
          },
        ]
      : []),
  ];
  return [...checks.map((own) => suits(own, kind)), voltage(run, kind)];
}

/** A jacket of a colour that its kind is not bought in; nothing where any is, or where that is not given. */
export function colourFindings({ jacket }: Pick<Cable, 'jacket'>, kind: CableKind): Finding[] {
  const { colours } = kind;
  if (!colours || colours.includes(jacket)) return [];
  return [
    {
      ...suits(
        {
          id: 'colour',
          title: msg`its colour`,
          misfit: msg`sold in ${listed(colours.map(term), ', ')}, not in ${term(jacket)}`,
        },
        kind,
      ),
      remedy: msg`Choose a colour it is sold in, and mark the polarity with sleeves at both ends.`,
    },
  ];
}

interface Suits {
  readonly id: string;
  readonly title: Message;
  readonly misfit: Message | null;
  /** Why it stands it, where that is not its own doing. */
  readonly stands?: Message;
  /** What it is where it does not stand it: to be watched, unless given otherwise. */
  readonly else?: State;
}

function suits({ id, title, misfit, stands, else: unsuited = 'watch' }: Suits, kind: CableKind): Finding {
  return stated(
    {
      topic: 'suits',
      part: id,
      stage: 'gauge',
      title: msg`Suitable: ${title}`,
      value: null,
      unit: '',
      decimals: 0,
      because: misfit ? verbatim`${kind.title}: ${misfit}.` : (stands ?? msg`${kind.title} is suitable.`),
      work: {
        formula: msg`the kind’s construction against what it is exposed to`,
        substituted: [
          msg`${kind.tinned ? msg`tinned` : msg`plain`}, ${term(kind.strands)} strands, ${term(kind.insulation)}, ${kind.limitC} °C`,
        ],
        source: msg`craft practice; the cable’s data sheet governs`,
        assumes: msg`generic properties of the kind`,
      },
    },
    misfit ? unsuited : 'holds',
  );
}

function voltage(run: Run, kind: CableKind): Finding {
  const { volts, how } = chargedTo(run);
  return stated(
    {
      topic: 'suits',
      part: 'volts',
      stage: 'gauge',
      title: msg`Voltage rating`,
      value: kind.ratedV,
      unit: 'V',
      decimals: 0,
      because: msg`Rated ${numeral(kind.ratedV, 0)} V; charging brings ${amount(volts, 'V', 1)}.`,
      ...(kind.ratedV < volts && { remedy: msg`Take a kind rated above the charging voltage.` }),
      work: {
        formula: msg`U_rated ≥ U_charging`,
        substituted: [msg`${numeral(kind.ratedV, 0)} against ${numeral(volts, 1)}`],
        source: msg`typical of the kind; the print on the jacket governs`,
        assumes: msg`charging: ${how}`,
      },
    },
    kind.ratedV >= volts ? 'holds' : 'fails',
  );
}
