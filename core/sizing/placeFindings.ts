import { type Finding, stated } from '../finding/finding.ts';
import { MEETS, type Meets, type Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { digits, figure } from '../model/units/figure.ts';
import type { RunContext } from './loop.ts';
import { chargedTo } from './source.ts';
import { stretchesOf } from './governingRun.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';

/** Why a kind of cable does not suit what it meets; null where it does. */
const MISFITS: Readonly<Record<Meets, (kind: CableKind) => string | null>> = {
  wet: (kind) =>
    kind.tinned ? null : say`plain copper corrodes in salt: seal both ends, or take tinned strands`,
  oil: (kind) => (kind.stands.oil ? null : say`this jacket swells and softens in oil`),
  flexing: (kind) =>
    kind.strands === 'coarse' ? say`coarse strands break where they flex: take fine ones` : null,
  exhaust: (kind) =>
    kind.limitC >= 125
      ? null
      : say`a ${kind.limitC} °C jacket near an exhaust wants a glass sleeve, or a cross-linked kind`,
};

/** Whether a kind of cable suits the place it runs through, one finding for each thing it meets. */
export function placeFindings({ run, glassed }: RunContext, kind: CableKind): Finding[] {
  const stretches = stretchesOf(run);
  const checks: Suits[] = [
    ...run.meets.map((meets) => ({
      id: meets as string,
      title: MEETS[meets],
      misfit: meets === 'exhaust' && glassed ? null : MISFITS[meets](kind),
      ...(meets === 'exhaust' && glassed && { stands: say`A glass sleeve keeps the heat off it.` }),
    })),
    ...(stretches.some((own) => own.run.sun)
      ? [
          {
            id: 'sun',
            title: say`in the sun`,
            misfit: kind.stands.sun ? null : say`sunlight makes this jacket brittle`,
          },
        ]
      : []),
    ...(stretches.some((own) => own.run.engineSpace)
      ? [
          {
            id: 'flame',
            title: say`in an engine space`,
            misfit: kind.stands.flame
              ? null
              : say`this jacket feeds a flame: sleeve it, or take another kind`,
          },
        ]
      : []),
  ];
  return [...checks.map((own) => suits(own, kind)), voltage(run, kind)];
}

interface Suits {
  readonly id: string;
  readonly title: string;
  readonly misfit: string | null;
  /** Why it stands it, where that is not its own doing. */
  readonly stands?: string;
}

function suits({ id, title, misfit, stands }: Suits, kind: CableKind): Finding {
  return stated(
    {
      topic: 'suits',
      part: id,
      stage: 'gauge',
      title: say`Suits: ${title}`,
      value: null,
      unit: '',
      decimals: 0,
      because: misfit ? `${kind.title}: ${misfit}.` : (stands ?? say`${kind.title} stands it.`),
      work: {
        formula: say`the kind’s construction against what it meets`,
        substituted: [
          say`${kind.tinned ? say`tinned` : say`plain`}, ${word(kind.strands)} strands, ${word(kind.insulation)}, ${kind.limitC} °C`,
        ],
        source: say`craft practice; the cable’s data sheet governs`,
        assumes: say`generic properties of the kind`,
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
      title: say`Rated for the volts`,
      value: kind.ratedV,
      unit: 'V',
      decimals: 0,
      because: say`Rated ${digits(kind.ratedV, 0)} V; charging brings ${figure(volts, 'V', 1)}.`,
      ...(kind.ratedV < volts && { remedy: say`Take a kind rated above the charging voltage.` }),
      work: {
        formula: say`U_rated ≥ U_charging`,
        substituted: [say`${digits(kind.ratedV, 0)} against ${digits(volts, 1)}`],
        source: say`typical of the kind; the print on the jacket governs`,
        assumes: say`charging: ${how}`,
      },
    },
    kind.ratedV >= volts ? 'holds' : 'fails',
  );
}
