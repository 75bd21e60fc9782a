import type { Topic } from '../finding/topics.ts';
import { type Finding, turnedTo } from '../finding/finding.ts';
import type { EndName } from '../model/end.ts';
import type { Fuse } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import { SOLDERED_SHORT_C } from '../model/method.ts';
import type { Assessment } from './assess.ts';
import { type RunContext, totalOhm } from './loop.ts';
import {
  ADIABATIC_S,
  adiabaticK,
  type FaultCurrents,
  faultCurrents,
  SHORT_CIRCUIT_LIMIT_C,
  survivalSeconds,
} from './fault.ts';
import { hottestC } from './governing.ts';
import { chargedTo, sourceAt, type SourceResistance, sourceResistance } from './source.ts';
import { guardOf } from './upstream.ts';

/** What a short would draw, and what the cable stands of it. */
export interface FaultView {
  readonly currents: FaultCurrents;
  readonly source: SourceResistance;
  readonly k: number;
  readonly heldC: number;
  readonly finalC: number;
}

/**
 * Works the fault of one size; null where the source is not known or the cable never settles.
 *
 * @param end of the fuse that it is worked for: where both ends are live, each has its own source
 */
export function faultView(
  assessed: Assessment,
  { run, soldered, fed }: RunContext,
  kind: CableKind,
  end?: EndName,
): FaultView | null {
  const source = sourceResistance(sourceAt(run, end), run.systemV);
  // From the hottest that any of its loads makes it.
  const heldC = hottestC(assessed);
  const insulationC = SHORT_CIRCUIT_LIMIT_C[kind.insulation];
  const finalC = soldered ? Math.min(insulationC, SOLDERED_SHORT_C) : insulationC;
  if (!source || heldC === null || heldC >= finalC) return null;
  const currents =
    fed?.shorts ??
    faultCurrents(
      run.systemV,
      chargedTo(run).volts,
      source.ohm,
      Math.max(totalOhm(assessed.spenders), totalOhm(assessed.duty?.spenders ?? [])),
    );
  return { currents, source, k: adiabaticK(heldC, finalC), heldC, finalC };
}

/**
 * The fuses that guard a cable: by the system where they come from there, else its own, else the one of its circuit that
 * does, see {@link guardOf}.
 */
export function fusesOf({ run, places, mates, fed }: RunContext): readonly Fuse[] {
  if (fed?.guards) return fed.guards.length > 0 ? fed.guards : run.fuses;
  return run.fuses.length > 0 ? run.fuses : guardOf(places, mates);
}

/** What every finding about one fuse starts with. */
export const about = (fuse: Fuse, key: Topic, title: Message) =>
  ({ topic: key, stage: 'gauge', end: fuse.end, title }) as const;

/** Why nothing can be said of a short at an end. */
export const whyNoView = ({ run }: RunContext, end: EndName | undefined, unknown: Message): Message =>
  sourceAt(run, end).kind === 'unknown'
    ? unknown
    : msg`It never settles, so what a short would do is not known.`;

/** What is to be given where a source is not known. */
export const giveSource = ({ run }: RunContext, end?: EndName): Message =>
  run.bothEndsLive ? msg`Give the source at end ${end ?? 'A'} in Run.` : msg`Give the source in Run.`;

/** How long the conductor lasts at a current, worked. */
export function survivalWork(assessed: Assessment, view: FaultView, currentA: number): Finding['work'] {
  const { currents, source, k, heldC, finalC } = view;
  return {
    formula: msg`t = k² · S² ÷ I², k = 226 · √ln((234.5 + T_f) ÷ (234.5 + T_i))`,
    substituted: [
      verbatim`k = 226 · √ln((234.5 + ${finalC}) ÷ (234.5 + ${numeral(heldC, 1)})) = ${numeral(k, 1)}`,
      verbatim`t = ${numeral(k, 1)}² × ${numeral(assessed.copperMm2, 1)}² ÷ ${numeral(currentA, 0)}² = ${amount(survivalSeconds(k, assessed.copperMm2, currentA), 's', 2)}`,
      msg`a short draws ${numeral(currents.leastA, 0)} A (far end, half the source, hot) to ${numeral(currents.mostA, 0)} A (at the fuse, charged)`,
    ],
    source: msg`IEC 60364-5-54 and 60724`,
    assumes: msg`source ${numeral(source.ohm * 1000, 2)} mΩ, ${source.how}${source.confidence === 'low' ? msg` (low confidence)` : ''}; over ${ADIABATIC_S} s the cable also cools, so it errs to the safe side`,
  };
}

/** What holds only by an estimate is watched, and says so. */
export function guessed(finding: Finding, view: FaultView): Finding {
  if (finding.state !== 'holds' || view.source.confidence === 'good') return finding;
  return turnedTo(finding, 'watch', {
    because: msg`${finding.because} The source is only estimated.`,
    remedy: msg`Enter the source’s resistance from its sheet.`,
  });
}
