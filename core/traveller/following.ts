import type { Cable, Taken } from '../model/cable.ts';
import type { Signed } from '../model/people.ts';
import type { Trial } from '../model/shop.ts';
import { isDone } from '../model/stepId.ts';
import type { SizeChoice } from '../sizing/choose.ts';
import { askedReading } from './asks.ts';
import type { Making } from './making.ts';
import { restingOn } from './order.ts';
import { practiceEnds } from './practise.ts';
import type { Step } from './step.ts';

/** What is measured on a practice piece; null where it is not measured yet. */
export interface TrialFigures {
  readonly acrossFlatsMm: number | null;
  readonly earsMm: number | null;
}

/** The first step that is not ticked; none when all are. */
export const firstOpen = (steps: readonly Step[], cable: Pick<Cable, 'done'>): Step | undefined =>
  steps.find(({ id }) => !isDone(cable, id));

/** Whether a step ends a practice piece, so that its figures are asked for before it is ticked. */
export const asksTrial = (step: Step, cable: Pick<Cable, 'done'>): boolean =>
  step.end !== undefined && step.id === practiceEnds(step.end) && !isDone(cable, step.id);

/** A trial needs both of its figures; no ears is 0. */
export const isTrialWhole = ({ acrossFlatsMm, earsMm }: TrialFigures): boolean =>
  acrossFlatsMm !== null && earsMm !== null;

/**
 * The cable with what was typed at a step: a reading of the proof, or the strands that are gone. As it was where the
 * step asks nothing.
 *
 * @param value null where nothing was typed
 */
export function withTyped(cable: Cable, step: Step, value: number | null, signed: Signed): Cable {
  const { end } = step;
  if (value === null || !end || !step.ask) return cable;
  const reading = askedReading(step, value, { ...signed, source: 'typed' });
  if (reading) return { ...cable, readings: [...cable.readings, reading] };
  const own = cable.ends[end];
  const strands = { ...own.strands, cut: Math.round(value) };
  return { ...cable, ends: { ...cable.ends, [end]: { ...own, strands } } };
}

/** The cable with a step ticked, and with what that took off the shelf. */
export const withTick = (
  cable: Cable,
  { id }: Pick<Step, 'id'>,
  signed: Omit<Signed, 'id'>,
  took: readonly Taken[] = [],
): Cable => {
  const tick = { step: id, at: signed.at, by: signed.by, ...(took.length > 0 && { took: [...took] }) };
  return { ...cable, done: [...cable.done, tick] };
};

/** The cable with the tick of a step taken back; as it is while anything that is done rests on that step. */
export const withoutTick = (cable: Cable, step: Step, steps: readonly Step[]): Cable =>
  restingOn(step, steps, cable).length > 0
    ? cable
    : { ...cable, done: cable.done.filter((tick) => tick.step !== step.id) };

/** The trial of a die that a practice piece becomes; null while it is not whole, or the end has no die. */
export function trialOf(
  step: Pick<Step, 'end'>,
  { ends, choice }: Pick<Making, 'ends'> & { readonly choice: SizeChoice },
  { acrossFlatsMm, earsMm }: TrialFigures,
  signed: Signed,
): Trial | null {
  const end = step.end && ends[step.end];
  if (!end?.lug || !end.die || acrossFlatsMm === null || earsMm === null) return null;
  return {
    ...signed,
    dieId: end.die.die.id,
    lugId: end.lug.id,
    size: { ...choice.taken.at.size },
    acrossFlatsMm,
    earsMm,
    source: 'typed',
  };
}
