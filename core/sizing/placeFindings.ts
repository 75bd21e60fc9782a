import { type Finding, stated } from '../finding/finding.ts';
import { MEETS, type Meets, type Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import type { RunContext } from './loop.ts';
import { chargedTo } from './source.ts';
import { stretchesOf } from './governingRun.ts';

import { term } from '../words/terms.ts';

/** Why a kind of cable does not suit what it meets; null where it does. */
const MISFITS: Readonly<Record<Meets, (kind: CableKind) => Message | null>> = {
  wet: (kind) =>
    kind.tinned ? null : msg`plain copper corrodes in salt: seal both ends, or take tinned strands`,
  oil: (kind) => (kind.stands.oil ? null : msg`this jacket swells and softens in oil`),
  flexing: (kind) =>
    kind.strands === 'coarse' ? msg`coarse strands break where they flex: take fine ones` : null,
  exhaust: (kind) =>
    kind.limitC >= 125
      ? null
      : msg`a ${amount(kind.limitC, '°C', 0)} jacket near an exhaust wants a glass sleeve, or a cross-linked kind`,
};

/** Whether a kind of cable suits the place it runs through, one finding for each thing it meets. */
export function placeFindings({ run, glassed }: RunContext, kind: CableKind): Finding[] {
  const stretches = stretchesOf(run);
  const checks: Suits[] = [
    ...run.meets.map((meets) => ({
      id: meets as string,
      title: MEETS[meets],
      misfit: meets === 'exhaust' && glassed ? null : MISFITS[meets](kind),
      ...(meets === 'exhaust' && glassed && { stands: msg`A glass sleeve keeps the heat off it.` }),
    })),
    ...(stretches.some((own) => own.run.sun)
      ? [
          {
            id: 'sun',
            title: msg`in the sun`,
            misfit: kind.stands.sun ? null : msg`sunlight makes this jacket brittle`,
          },
        ]
      : []),
    ...(stretches.some((own) => own.run.engineSpace)
      ? [
          {
            id: 'flame',
            title: msg`in an engine space`,
            misfit: kind.stands.flame
              ? null
              : msg`this jacket feeds a flame: sleeve it, or take another kind`,
          },
        ]
      : []),
  ];
  return [...checks.map((own) => suits(own, kind)), voltage(run, kind)];
}

interface Suits {
  readonly id: string;
  readonly title: Message;
  readonly misfit: Message | null;
  /** Why it stands it, where that is not its own doing. */
  readonly stands?: Message;
}

function suits({ id, title, misfit, stands }: Suits, kind: CableKind): Finding {
  return stated(
    {
      topic: 'suits',
      part: id,
      stage: 'gauge',
      title: msg`Suits: ${title}`,
      value: null,
      unit: '',
      decimals: 0,
      because: misfit ? verbatim`${kind.title}: ${misfit}.` : (stands ?? msg`${kind.title} stands it.`),
      work: {
        formula: msg`the kind’s construction against what it meets`,
        substituted: [
          msg`${kind.tinned ? msg`tinned` : msg`plain`}, ${term(kind.strands)} strands, ${term(kind.insulation)}, ${kind.limitC} °C`,
        ],
        source: msg`craft practice; the cable’s data sheet governs`,
        assumes: msg`generic properties of the kind`,
      },
    },
    misfit ? 'watch' : 'holds',
  );
}

function voltage(run: Run, kind: CableKind): Finding {
  const { volts, how } = chargedTo(run);
  return stated(
    {
      topic: 'suits',
      part: 'volts',
      stage: 'gauge',
      title: msg`Rated for the volts`,
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
