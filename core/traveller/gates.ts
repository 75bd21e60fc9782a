import { SOLDER } from '../catalogue/tables/solder.ts';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../job/cable.ts';
import { END_NAMES, type EndName } from '../job/end.ts';
import { coolSeconds } from '../termination/methods/cooling.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { SHRUNK_C } from '../termination/sleeves/shrinkTime.ts';
import { type CautionId, type Heeded, isHeeded } from './cautions.ts';
import { practiceEnds } from './practise.ts';
import { actOf, type Gate, HOLDS, kindOf, type Step } from './step.ts';
import { say } from '../words/say.ts';

/** Kinds of step that bring heat. */
const HEATS = ['solder', 'slug', 'shrink', 'join-shrink'];

/**
 * Puts before each step what must be true first: what cannot be undone asks before it is done. Every step that a gate
 * needs stands before it in the traveller.
 */
export function withGates(
  steps: readonly Step[],
  ends: { readonly A: ResolvedEnd; readonly B: ResolvedEnd },
): Step[] {
  const has = (id: string) => steps.some((step) => step.id === id);
  const firstHold = (step: Step) =>
    steps.find((own) => own.end === step.end && HOLDS.includes(kindOf(own.id))) === step;
  const gatesOf = (step: Step): Gate[] => {
    const kind = kindOf(step.id);
    const { end } = step;
    const gates: Gate[] = [];
    const needs = (id: Gate['id'], says: string, ...ids: string[]) => {
      const own = ids.filter(has);
      if (own.length > 0) gates.push({ id, says, needs: own });
    };
    if (kind === 'cut' || kind === 'join-cut') needs('measured', say`measured where it will lie`, 'lay-out');
    if (HOLDS.includes(kind) || kind === 'join-crimp') {
      needs('layers', say`layers are on the cable`, 'layers');
    }
    if (end && HOLDS.includes(kind) && firstHold(step)) {
      needs('tried', say`tried on a spare`, practiceEnds(end));
      needs('home', say`every strand is home`, `strands.${end}`, `home.${end}`);
      needs('clocked', say`palms are at their angle`, `clock.${end}`);
    }
    if (end && kind === 'shrink') {
      needs('kept', say`ears filed, flats kept`, `file.${end}`);
      if (has(`cool.${end}`)) {
        gates.push({
          id: 'cool',
          says: say`cool from the solder`,
          needs: [`cool.${end}`],
          wait: { after: `solder.${end}`, seconds: cooling(ends[end], SOLDER.liquidusC) },
        });
      } else if (has(`slug.${end}`)) {
        gates.push({
          id: 'cool',
          says: say`cool from the solder`,
          needs: [],
          wait: { after: `slug.${end}`, seconds: cooling(ends[end], SOLDER.liquidusC) },
        });
      }
    }
    if (HEATS.includes(actOf(step)))
      gates.push({ id: 'hot work', says: say`hot-work list`, needs: [], list: 'hot work' });
    if (kind === 'pull-through')
      gates.push({ id: 'live', says: say`battery isolated`, needs: [], list: 'live' });
    return gates;
  };
  return steps.map((step) => ({ ...step, gates: gatesOf(step) }));
}

const cooling = ({ lug, copperMm2 }: ResolvedEnd, fromC: number) =>
  lug ? Math.ceil(coolSeconds(lug, copperMm2, fromC) / 10) * 10 : 0;

/** How long a sleeve stays too hot to touch once shrunk, s. */
export const shrunkSeconds = (end: ResolvedEnd) => cooling(end, SHRUNK_C);

/** Seconds since a moment, ISO 8601. */
export type Ago = (at: string) => number;

/** Whether a gate stands open, and if not what keeps it shut. */
export interface GateState {
  readonly gate: Gate;
  readonly open: boolean;
  /** Somebody went past it with a reason. */
  readonly passed: boolean;
  /** Steps still to be done. */
  readonly missing: readonly string[];
  /** Seconds still to wait. */
  readonly waitS: number;
  /** The list still to be gone through today. */
  readonly list: CautionId | null;
}

const doneAt = ({ done }: Cable, id: string) => done.findLast(({ step }) => step === id)?.at;

/** What a timed gate still asks, s; nothing while its step is not done, as then that is what is missing. */
function waitLeft({ wait }: Gate, cable: Cable, ago: Ago): number {
  const at = wait && doneAt(cable, wait.after);
  if (!wait || at === undefined) return 0;
  return Math.max(0, Math.ceil(wait.seconds - ago(at)));
}

/**
 * The gates before a step as they stand now.
 *
 * @param ago for what has to cool
 * @param heeded lists gone through, by day
 * @param today the day it is where the person stands, ISO 8601
 */
export function gateStates(
  step: Step,
  cable: Cable,
  heeded: readonly Heeded[],
  ago: Ago,
  today: string,
): GateState[] {
  return step.gates.map((gate): GateState => {
    const missing = gate.needs.filter((id) => doneAt(cable, id) === undefined);
    const waitS = waitLeft(gate, cable, ago);
    const list = gate.list && !isHeeded(heeded, gate.list, today) ? gate.list : null;
    const passed = cable.passed.some((own) => own.gate === gate.id && own.step === step.id);
    return {
      gate,
      open: passed || (missing.length === 0 && waitS === 0 && list === null),
      passed,
      missing,
      waitS,
      list,
    };
  });
}

/** An end that burns, and for how long yet. */
export interface HotEnd {
  readonly end: EndName;
  readonly waitS: number;
}

/** Ends that are still too hot to touch: soldered or shrunk not long ago. */
export function hotEnds(cable: Cable, { ends }: Pick<CableWork, 'ends'>, ago: Ago): HotEnd[] {
  return END_NAMES.flatMap((name) => {
    const left = (step: string, seconds: number) => {
      const at = doneAt(cable, `${step}.${name}`);
      return at === undefined ? 0 : Math.ceil(seconds - ago(at));
    };
    const soldered = cooling(ends[name], SOLDER.liquidusC);
    const waitS = Math.max(
      left('solder', soldered),
      left('slug', soldered),
      left('shrink', shrunkSeconds(ends[name])),
    );
    return waitS > 0 ? [{ end: name, waitS }] : [];
  });
}
