import { SOLDER } from '../model/tables/solder.ts';
import type { Making } from './making.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES, type EndName, otherEnd, type Both } from '../model/end.ts';
import { coolSeconds } from '../termination/methods/cooling.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { SHRUNK_C } from '../termination/shrinkTime.ts';
import { type CautionId, type Heeded, isHeeded } from '../model/cautions.ts';
import { allBefore } from './order.ts';
import { practiceEnds } from './practise.ts';
import { type Gate, type Step } from './step.ts';
import { actOf, HOLDS, kindOf } from '../model/stepId.ts';
import { stopOf, stopOfJoin } from './stops.ts';
import { type Message, msg } from '../words/message.ts';

/** Kinds of step that bring heat. */
const HEATS = ['solder', 'slug', 'shrink', 'join-shrink'];

type Ends = Both<ResolvedEnd>;

/**
 * Puts before each step what must be true first. What the work itself asks, and what is refused as things are, cannot
 * be gone past; what is a judgement can, with a reason. Every step that a gate needs stands before it in the traveller.
 */
// oxlint-disable-next-line max-lines-per-function -- a list of gates in the order they are shown
export function withGates(
  steps: readonly Omit<Step, 'gates'>[],
  ends: Ends,
  joins: readonly ResolvedJoin[],
): Step[] {
  const has = (id: string) => steps.some((step) => step.id === id);
  const before = new Map(steps.map((step) => [step.id, step.after]));
  const firstHold = (step: Pick<Step, 'id' | 'end'>) =>
    steps.find((own) => own.end === step.end && HOLDS.includes(kindOf(own.id)))?.id === step.id;
  // oxlint-disable-next-line max-lines-per-function -- a list of gates in the order they are shown
  const gatesOf = (step: Omit<Step, 'gates'>): Gate[] => {
    const kind = kindOf(step.id);
    const { end } = step;
    const gates: Gate[] = [];
    const stop = end
      ? stopOf(step, ends[end])
      : joins.flatMap((join) => (step.id === `${kind}-${join.spec.id}` ? stopOfJoin(kind, join) : null))[0];
    if (stop) gates.push({ id: 'refused', says: msg`another choice in Ends`, needs: [], stop });
    // What the work asks, each by its name; the rest is the order.
    const left = allBefore(step.id, before);
    const asks = (id: Gate['id'], says: Message, ...kinds: string[]) => {
      const needs = left.filter((own) => kinds.includes(kindOf(own)));
      for (const own of needs) left.splice(left.indexOf(own), 1);
      if (needs.length > 0) gates.push({ id, says, needs });
    };
    const judges = (id: Gate['id'], says: Message, needs: readonly string[], once?: readonly string[]) => {
      const own = needs.filter(has);
      if (own.length > 0) gates.push({ id, says, needs: own, isJudgement: true, ...(once && { once }) });
    };
    if (kind === 'cut' || kind === 'join-cut') {
      judges('measured', msg`measured where it will lie`, ['lay-out']);
    }
    const holds = HOLDS.includes(kind);
    if (holds || kind === 'join-crimp') asks('layers', msg`layers are on the cable`, 'layers');
    if (end && holds && firstHold(step)) {
      judges('tried', msg`tried on a spare`, [practiceEnds(end)]);
      asks('home', msg`every strand is home`, 'strip', 'strands', 'home');
      const other = steps.filter((own) => own.end === otherEnd(end) && HOLDS.includes(kindOf(own.id)));
      judges(
        'clocked',
        msg`palms are at their angle`,
        [`clock.${end}`],
        other.map(({ id }) => id),
      );
    }
    if (end && kind === 'crimp' && has(`slug.${end}`)) {
      const seconds = cooling(ends[end], SOLDER.liquidusC, SOLDER.softensC);
      gates.push({
        id: 'set',
        says: msg`the solder has set`,
        needs: [],
        wait: { after: `slug.${end}`, seconds },
      });
    }
    if (end && kind === 'shrink') {
      asks('kept', msg`ears filed, flats kept`, 'file');
      const heat = [`solder.${end}`, `slug.${end}`].find(has);
      if (heat !== undefined) {
        const seconds = cooling(ends[end], SOLDER.liquidusC);
        gates.push({
          id: 'cool',
          says: msg`cool from the solder`,
          needs: [],
          wait: { after: heat, seconds },
          isJudgement: true,
        });
      }
    }
    if (left.length > 0) {
      gates.push({ id: 'order', says: msg`what it rests on is done`, needs: left });
    }
    if (HEATS.includes(actOf(step)))
      gates.push({ id: 'hot work', says: msg`hot-work list`, needs: [], list: 'hot work' });
    if (kind === 'pull-through')
      gates.push({ id: 'live', says: msg`battery isolated`, needs: [], list: 'live' });
    return gates;
  };
  return steps.map((step) => ({ ...step, gates: gatesOf(step) }));
}

const cooling = ({ lug, copperMm2 }: ResolvedEnd, fromC: number, toC?: number) =>
  lug ? Math.ceil(coolSeconds(lug, copperMm2, fromC, toC) / 10) * 10 : 0;

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
  const isDone = (id: string) => doneAt(cable, id) !== undefined;
  return step.gates.map((gate): GateState => {
    const counts = gate.once === undefined || gate.once.some(isDone);
    const missing = counts ? gate.needs.filter((id) => !isDone(id)) : [];
    const waitS = waitLeft(gate, cable, ago);
    const list = gate.list && !isHeeded(heeded, gate.list, today) ? gate.list : null;
    const passed =
      gate.isJudgement === true && cable.passed.some((own) => own.gate === gate.id && own.step === step.id);
    const isTrue = missing.length === 0 && waitS === 0 && list === null;
    return {
      gate,
      open: gate.stop === undefined && (passed || isTrue),
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
export function hotEnds(cable: Cable, { ends }: Pick<Making, 'ends'>, ago: Ago): HotEnd[] {
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
