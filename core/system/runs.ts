import type { Duty } from '../model/run.ts';
import type { SystemState } from '../model/system.ts';
import { isHeld, type SolvedSystem } from './solve.ts';

/** What a cable carries over all states. */
export interface CableRun {
  readonly cableId: string;
  /** The largest amps of the states that are held. */
  readonly heldA: number;
  readonly heldBy: string | null;
  /** Steps over that, of the states that last for a time; null where none is over it. */
  readonly duty: Omit<Duty, 'dropPercent'> | null;
  /** The state in which its copper is warmest: it governs. Null while no state settles. */
  readonly governedBy: string | null;
}

/** Amps of a state that last for a time count as a step where they are over what is held by this share. */
const OVER_HELD = 1.0001;

/** The steps that states of a time make on top of what is held; what repeats rests at what is held in between. */
function dutyOf(
  steps: readonly { readonly state: SystemState; readonly amps: number }[],
  heldA: number,
): Omit<Duty, 'dropPercent'> | null {
  const over = steps.filter(({ amps }) => amps > heldA * OVER_HELD + 1e-6);
  if (over.length === 0) return null;
  const repeats = over.some(
    ({ state: { lasts } }) => lasts.kind === 'for' && lasts.everySeconds !== undefined,
  );
  return {
    repeats,
    steps: over.flatMap(({ state: { lasts }, amps }) => {
      if (lasts.kind !== 'for') return [];
      const { seconds, everySeconds } = lasts;
      const rest = everySeconds === undefined ? 0 : everySeconds - seconds;
      return [{ amps, seconds }, ...(repeats && rest >= 0.1 ? [{ amps: heldA, seconds: rest }] : [])];
    }),
  };
}

/**
 * The continuous current and the duty of each cable: the largest amps among the states that are held; each state that
 * lasts for a time and asks for more is a step. One that does not repeat beside one that does is calculated as if it came
 * along each time, which errs to the safe side.
 *
 * @example cableRuns(solved)[0] // { cableId: 'th3', heldA: 27.6, heldBy: 'under-way', duty: { steps: [{ amps: 240, seconds: 180 }, …] } }
 */
export function cableRuns({ installation, states }: SolvedSystem): CableRun[] {
  const byId = new Map(installation.system.states.map((state) => [state.id, state]));
  return installation.conductors.map(({ cable }, i): CableRun => {
    let [heldA, heldBy, hottest, governedBy] = [
      0,
      null as string | null,
      Number.NEGATIVE_INFINITY,
      null as string | null,
    ];
    const steps: { state: SystemState; amps: number }[] = [];
    for (const solved of states) {
      const state = byId.get(solved.stateId);
      const flow = solved.cables[i];
      if (!state || !flow || solved.collapse) continue;
      const amps = Math.abs(flow.amps);
      if (!isHeld(state)) steps.push({ state, amps });
      else if (heldBy === null || amps > heldA) [heldA, heldBy] = [amps, state.id];
      if (flow.copperC > hottest) [hottest, governedBy] = [flow.copperC, state.id];
    }
    return { cableId: cable.id, heldA, heldBy, duty: dutyOf(steps, heldA), governedBy };
  });
}
