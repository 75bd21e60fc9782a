import { CHAIN_PIECES } from '../model/tables/chainPieces.ts';
import { atMost, type Finding, notProved, type Work } from '../finding/finding.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import { type Hunt, loadedOf } from '../model/hunt.ts';
import { wholeErrorMillivolt } from './errors.ts';
import { knownOf } from './known.ts';
import type { Suspect } from './suspect.ts';
import { GUILTY_TIMES } from './prior.ts';
import { type HuntFound, huntAmps, totalOf } from './suspects.ts';
import { sagOf } from './verdict.ts';
import { SAG_SHARE } from '../model/tables/sag.ts';

/** Whether the readings add up, and whether the source holds: what is known of a hunt beside its suspects. */
export const huntFindings = (hunt: Hunt): Finding[] => [sumFinding(hunt), sagFinding(hunt)];

/** The two voltages against all that was read between them. */
function sumFinding(hunt: Hunt): Finding {
  const facts = {
    topic: 'hunt-sum' as const,
    stage: 'fit' as const,
    title: msg`Readings differ by`,
    unit: 'mV' as const,
    decimals: 0,
    work: {
      formula: msg`ΔU = U_posts − U_load; ΔU − Σ U_parts ≤ what the meters may be off by`,
      substituted: [] as string[],
      source: msg`Kirchhoff: what is lost between posts and load is lost in the parts between them`,
      assumes: msg`both voltages read to 0.01 V, every reading to 1 % and 0.5 mV, at the current of its own moment`,
    },
  };
  const loaded = loadedOf(hunt);
  if (!loaded) {
    return notProved({
      ...facts,
      because: msg`Without the volts at posts and load at one moment, and the current, the sum has nothing to be checked against.`,
    });
  }
  const { known } = knownOf({ ...hunt, loaded: {} });
  const total = totalOf(known, hunt.pieces.length);
  if (total === null) {
    return notProved({
      ...facts,
      because: msg`Not every part is measured, so the sum cannot be checked yet.`,
    });
  }
  const lost = (loaded.postsV - loaded.loadV) * 1000;
  const pieces = total * loaded.amps;
  const most =
    wholeErrorMillivolt(lost) + known.reduce((sum, own) => sum + own.errorMilliohm, 0) * loaded.amps;
  return atMost(
    {
      ...facts,
      value: Math.abs(lost - pieces),
      work: {
        ...facts.work,
        substituted: [
          msg`ΔU = ${numeral(loaded.postsV, 2)} − ${numeral(loaded.loadV, 2)} = ${amount(lost, 'mV', 0)} between posts and load`,
          msg`Σ U_parts = ${numeral(total, 3)} mΩ · ${amount(loaded.amps, 'A', 1)} = ${amount(pieces, 'mV', 0)} in ${hunt.pieces.length} parts`,
        ],
      },
    },
    most,
  );
}

/** How far the source itself falls under this load. */
function sagFinding(hunt: Hunt): Finding {
  const sag = sagOf(hunt);
  const share = SAG_SHARE[hunt.test];
  const { restV = 0, loaded } = hunt;
  const facts = {
    topic: 'hunt-sag' as const,
    stage: 'fit' as const,
    title: msg`Battery drops by`,
    unit: 'V' as const,
    decimals: 2,
    work: {
      formula: msg`U_rest − U_posts ≤ share · U_rest`,
      substituted:
        sag === null
          ? []
          : [
              msg`${numeral(restV, 2)} − ${numeral(loaded.postsV ?? 0, 2)} = ${amount(sag, 'V', 2)}; ${numeral(share * 100, 0)} % of ${numeral(restV, 2)} = ${amount(share * restV, 'V', 2)}`,
            ],
      source: msg`customary for a ${hunt.test === 'cranking' ? msg`cranking test` : msg`steady load`}; a shop setting`,
      assumes: msg`charged, rested and not cold; the battery maker’s own curve governs`,
    },
  };
  if (sag === null)
    return notProved({ ...facts, because: msg`Read at the posts at rest, and again under load.` });
  return atMost({ ...facts, value: sag }, share * restV);
}

/** How the figures of one piece came about. */
export function suspectWork(hunt: Hunt, suspect: Suspect, { pieces }: Pick<HuntFound, 'pieces'>): Work {
  const { piece, milliohm, excessMilliohm, among, wastedW, probability } = suspect;
  const amps = huntAmps(hunt);
  const span = hunt.spans.find(({ first, last }) => first === piece.id && last === piece.id);
  const read =
    milliohm === null
      ? among.length === 0
        ? [msg`R is not known: nothing was measured across it`]
        : [
            msg`R is known only together with ${named(
              among
                .filter((place) => place !== suspect.place)
                .map((place) => pieces[place]?.piece.title ?? ''),
            )}`,
            msg`its likely share of what they lose too much: ${amount(excessMilliohm, 'mΩ', 3)}`,
          ]
      : [
          span
            ? verbatim`R = ${amount(span.millivolt, 'mV', 1)} / ${amount(span.amps, 'A', 1)} = ${amount(milliohm, 'mΩ', 3)}`
            : msg`R = ${amount(milliohm, 'mΩ', 3)}, from readings around it`,
        ];
  return {
    formula: msg`R = U / I; it fails past ${numeral(GUILTY_TIMES, 1)} · R_should; waste = (R − R_should) · I²`,
    substituted: [
      ...read,
      msg`P(fault | readings) = Σ P · L of what has it at fault ÷ Σ P · L of all = ${amount(100 * probability, '%', 1)}`,
      msg`R_should = ${shouldWords(hunt, suspect)}`,
      msg`waste = ${numeral(Math.max(0, excessMilliohm), 3)} mΩ · (${amount(amps, 'A', 1)})² = ${amount(wastedW, 'W', 1)}`,
    ],
    source:
      piece.kind === 'cable'
        ? msg`conductor table, warmed by 0.393 % a kelvin`
        : msg`milliohms customary for such a part; its own sheet governs`,
    assumes: msg`copper at ${amount(hunt.copperC, '°C', 0)}; sound parts scatter about what is expected of them, and what is known only with others is shared by Bayes’ rule`,
  };
}

const MOST_NAMED = 3;
/** The first few names, and how many more there are. */
const named = (names: readonly string[]) =>
  names.length <= MOST_NAMED + 1
    ? names.join(', ')
    : msg`${names.slice(0, MOST_NAMED).join(', ')} and ${names.length - MOST_NAMED} more`;

function shouldWords(hunt: Hunt, { piece, shouldMilliohm }: Suspect): Message {
  const value = amount(shouldMilliohm, 'mΩ', 3);
  if (piece.milliohm !== undefined) return msg`${value}, as typed`;
  if (piece.size && piece.lengthMm !== undefined)
    return verbatim`r(${sizeNamed(piece.size)}, ${amount(hunt.copperC, '°C', 0)}) · ${numeral(piece.lengthMm / 1000, 2)} m = ${value}`;
  return msg`${value}, customary for a ${CHAIN_PIECES[piece.kind].title}`;
}
