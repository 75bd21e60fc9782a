import type { Cable } from '../model/cable.ts';
import { type EndName, otherEnd } from '../model/end.ts';
import { type Step } from './step.ts';
import { HOLDS, isPractising, kindOf, isDone, isHeld } from '../model/stepId.ts';

type Id = Pick<Step, 'id' | 'end'>;

/** Steps that are done at a practice piece or an end, in their order: each rests on the one before. */
const chainOf = <T extends Id>(steps: readonly T[], target: T) =>
  steps.filter(
    (step) =>
      step.end === target.end &&
      isPractising(step) === isPractising(target) &&
      kindOf(step.id) !== 'layers' &&
      // An angle is a judgement, asked by a gate of its own: nothing rests on it.
      (kindOf(step.id) !== 'clock' || step === target),
  );

/**
 * Which steps must be done before which, whatever order they are pressed in: what cannot be undone, or could not be
 * done at all, without them. An end is made along its own chain; layers go on before what would block them, nothing is
 * crimped, filed or covered before what it rests on, and what a hole cannot pass goes on behind it.
 *
 * @param laidOn the end that is made before the cable is cut, where it is laid first
 * @returns for each step those that stand directly before it
 */
export function predecessors(
  steps: readonly Id[],
  laidOn: EndName | undefined,
): ReadonlyMap<string, readonly string[]> {
  const places = new Map(steps.map(({ id }, i) => [id, i]));
  const has = (id: string) => places.has(id);
  const place = (id: string) => places.get(id) ?? -1;
  const lastOf = (name: EndName) =>
    steps.findLast((step) => step.end === name && !isPractising(step))?.id ?? '';
  const holdsOf = (name: EndName) =>
    steps.filter((step) => step.end === name && HOLDS.includes(kindOf(step.id))).map(({ id }) => id);
  const before = (step: Id): string[] => {
    const kind = kindOf(step.id);
    const { end } = step;
    if (!end) {
      switch (kind) {
        case 'pull-through':
          // What waits on the cable for the end that stays goes on first, and a join that goes through is finished.
          return [
            'cut',
            'layers',
            ...steps
              .slice(0, place(step.id))
              .flatMap(({ id }) => (['join-shrink', 'join-pinch'].includes(kindOf(id)) ? id : [])),
          ];
        case 'join-cut':
          return place(step.id) > place('pull-through') ? ['cut', 'pull-through'] : ['cut'];
        case 'join-crimp':
          return [step.id.replace('crimp', 'cut'), 'layers'];
        case 'join-shrink':
          return [step.id.replace('shrink', 'crimp')];
        case 'join-pinch':
          return [step.id.replace('pinch', 'shrink')];
        case 'label':
          return [lastOf('A'), lastOf('B')];
        default:
          return [];
      }
    }
    if (kind === 'layers') return ['pull-through'];
    const chain = chainOf(steps, step);
    const previous = chain[chain.indexOf(step) - 1];
    const needed = previous ? [previous.id] : [];
    if (isPractising(step)) return needed;
    if (!previous) {
      if (end !== laidOn) needed.push('cut');
      // An end that is made behind the hole is pulled through it bare.
      if (place(step.id) > place('pull-through')) needed.push('pull-through');
    }
    if (HOLDS.includes(kind) || kind === 'shrink') needed.push('layers', `layers.${end}`);
    if (kind === 'clock') needed.push(...holdsOf(otherEnd(end)));
    return needed;
  };
  return new Map(steps.map((step) => [step.id, before(step).filter(has)]));
}

/** Everything that must be done before a step, the nearest last. */
export function allBefore(id: string, before: ReadonlyMap<string, readonly string[]>): string[] {
  const found = new Set<string>();
  const visit = (of: string) => {
    for (const own of before.get(of) ?? []) {
      if (found.has(own)) continue;
      visit(own);
      found.add(own);
    }
  };
  visit(id);
  return [...found];
}

/** Steps done that rest on this one: while there are any, it cannot have been left undone. */
export function restingOn(
  { id }: Pick<Step, 'id'>,
  steps: readonly Step[],
  cable: Pick<Cable, 'done'>,
): Step[] {
  const before = new Map(steps.map((step) => [step.id, step.after]));
  return steps.filter((step) => isDone(cable, step.id) && allBefore(step.id, before).includes(id));
}

/**
 * The end that is made second, so that its palm is turned to the other's: the one still free where one is held.
 *
 * @param usual the one that is second where both are free
 */
export function secondEnd({ done }: Pick<Cable, 'done'>, usual: EndName): EndName {
  const [a, b] = [isHeld('A', done), isHeld('B', done)];
  if (a !== b) return a ? 'B' : 'A';
  const clocked = done.findLast(({ step }) => kindOf(step) === 'clock')?.step;
  return clocked === 'clock.A' ? 'A' : clocked === 'clock.B' ? 'B' : usual;
}
