import { tell } from '../../core/words/message.ts';
import { useNow } from '@vueuse/core';
import { nanoid } from 'nanoid';
import { computed, ref, watch } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { EndName } from '../../core/model/end.ts';
import { judgeAsk } from '../../core/traveller/asks.ts';
import type { CautionId } from '../../core/model/cautions.ts';
import { isHeeded } from '../../core/model/cautions.ts';
import { type Ago, gateStates, hotEnds } from '../../core/traveller/gates.ts';
import { afterMishap, faultSays, type WayOut } from '../../core/traveller/mishaps.ts';
import {
  asksTrial,
  firstOpen,
  isTrialWhole,
  type TrialFigures,
  trialOf,
  withoutTick,
  withTick,
  withTyped,
} from '../../core/traveller/following.ts';
import { lotsBegun } from '../../core/log/lots.ts';
import { practiceBegins } from '../../core/traveller/practise.ts';
import { type Step } from '../../core/traveller/step.ts';
import { isDone as isTicked, isPractising } from '../../core/model/stepId.ts';
import { useCableEdit } from '../bench/useCable.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { today } from '../ui/today.ts';
import { say } from '../../core/words/say.ts';

const TICK_MS = 1000;
const agoFrom =
  (now: Date): Ago =>
  (at) =>
    (now.getTime() - Date.parse(at)) / 1000;

const NO_TRIAL: TrialFigures = { acrossFlatsMm: null, earsMm: null };

/**
 * Following the steps of one cable: which one is at hand, what its gates say now, and going on, back, past a gate or
 * out of a mishap. Everything that is done is kept with who and when.
 */
// eslint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function useTraveller(
  target: () => { jobId: string; cable: Cable; work: CableWork },
  /** The step to begin at, where the address names one. */
  beginAt: () => string | undefined = () => undefined,
) {
  const bench = useBench();
  const { prefs } = usePrefs();
  const now = useNow({ interval: TICK_MS });
  const ago = computed(() => agoFrom(now.value));
  const cable = computed(() => target().cable);
  const steps = computed(() => target().work.steps);
  const edit = useCableEdit(() => ({ jobId: target().jobId, cableId: cable.value.id }));

  const isDone = (step: Step) => isTicked(cable.value, step.id);
  const begin = () =>
    steps.value.some(({ id }) => id === beginAt()) ? beginAt() : firstOpen(steps.value, cable.value)?.id;
  const currentId = ref(begin());
  watch(
    () => cable.value.id,
    () => {
      currentId.value = begin();
    },
  );
  // The address may name another step while one is at hand: a link, or the way back.
  watch(beginAt, (id) => {
    if (id !== undefined && steps.value.some((step) => step.id === id)) currentId.value = id;
  });
  const index = computed(() => steps.value.findIndex(({ id }) => id === currentId.value));
  const current = computed(() => steps.value[index.value]);

  const heeded = computed(() => bench.jobById(target().jobId)?.heeded ?? []);
  const gatesOf = (step: Step) => gateStates(step, cable.value, heeded.value, ago.value, today());
  const gates = computed(() => (current.value && !isDone(current.value) ? gatesOf(current.value) : []));
  const isShut = computed(() => gates.value.some(({ open }) => !open));
  const hot = computed(() => hotEnds(cable.value, target().work, ago.value));
  const isHeededToday = (caution: CautionId) => isHeeded(heeded.value, caution, today());

  /** What is typed at this step, before it is taken; null where nothing is. */
  const typed = ref<number | null>(null);
  watch(currentId, () => {
    typed.value = null;
  });
  const judged = computed(() =>
    current.value?.ask && typed.value !== null ? judgeAsk(current.value.ask, typed.value) : null,
  );
  const trial = ref<TrialFigures>(NO_TRIAL);
  /** Somebody wanted to go on while the trial was not whole. */
  const isTrialShort = ref(false);
  watch(currentId, () => {
    trial.value = NO_TRIAL;
    isTrialShort.value = false;
  });
  /** Whether a step ends a practice piece, whose figures are then asked for. */
  const asksTrialAt = (step: Step) => asksTrial(step, cable.value);
  const isTrialTyped = computed(() => isTrialWhole(trial.value));
  const trialProblem = computed(() =>
    isTrialShort.value && !isTrialTyped.value ? say`A trial needs its flats and its ears; no ears is 0.` : '',
  );

  const said = () => ({ id: nanoid(10), at: new Date().toISOString(), by: prefs.person.trim() });

  /** The practice piece is spent: its figures become a trial of the die, and the step is done, in one change. */
  function keepTrial(step: Step): void {
    const signed = said();
    const own = trialOf(step, target().work, trial.value, signed);
    if (!own) return;
    bench.edit(say`step ${step.short}`, (draft) => {
      draft.shop.trials.push(own);
      const job = draft.jobs.find(({ id }) => id === target().jobId);
      const place = job?.cables.findIndex(({ id }) => id === cable.value.id) ?? -1;
      if (job && place >= 0) job.cables[place] = withTick(cable.value, step, signed);
    });
  }

  /** Puts a practice piece of an end before everything else, and goes to it. */
  function practise(end: EndName): void {
    edit(
      say`practice piece`,
      (draft) => void Object.assign(draft, withTick(draft as Cable, { id: practiceBegins(end) }, said())),
    );
    currentId.value = steps.value.find((step) => isPractising(step) && !isDone(step))?.id;
  }

  /**
   * Ticks the step and goes on; answers false while a gate is shut.
   *
   * @param goesOn false where the next thing is of another cable
   */
  function done(goesOn = true): boolean {
    const step = current.value;
    if (!step) return false;
    if (isShut.value) return false;
    if (asksTrialAt(step)) {
      isTrialShort.value = !isTrialTyped.value;
      if (isTrialShort.value) return false;
      keepTrial(step);
    } else if (!isDone(step)) {
      const signed = said();
      edit(say`step ${step.short}`, (draft) => {
        const begun = {
          ...(draft as Cable),
          lots: lotsBegun(draft as Cable, target().work, bench.shop, signed),
        };
        Object.assign(draft, withTick(withTyped(begun, step, typed.value, signed), step, signed));
      });
    }
    if (goesOn) currentId.value = steps.value[index.value + 1]?.id;
    return true;
  }

  /** Goes to the step before; its tick is taken back where nothing that is done rests on it. */
  function back(): void {
    const before = steps.value[index.value < 0 ? steps.value.length - 1 : index.value - 1];
    if (!before) return;
    const taken = withoutTick(cable.value, before, steps.value);
    if (taken !== cable.value)
      edit(say`back to ${before.short}`, (draft) => void Object.assign(draft, { done: taken.done }));
    currentId.value = before.id;
  }

  /** A list was gone through: it counts for the day, for this job. */
  function heed(caution: CautionId): void {
    bench.edit(say`list gone through`, (draft) => {
      const { at, by } = said();
      draft.jobs.find(({ id }) => id === target().jobId)?.heeded.push({ caution, day: today(), at, by });
    });
  }

  /** Goes past the judgements that are shut, for a reason that stays in the record. */
  function pass(reason: string): void {
    const step = current.value;
    if (!step) return;
    const { at, by } = said();
    const shut = gates.value.filter(({ open, gate }) => !open && gate.isJudgement);
    edit(say`past a gate`, (draft) => {
      draft.passed.push(...shut.map(({ gate }) => ({ gate: gate.id, step: step.id, at, by, reason })));
    });
  }

  function mishap(what: string, out: WayOut): void {
    const step = current.value;
    if (!step) return;
    edit(tell(faultSays(what)), (draft) => {
      const measured = withTyped(draft as Cable, step, typed.value, said());
      Object.assign(draft, afterMishap(measured, what, step, out, said()));
    });
    currentId.value = firstOpen(steps.value, cable.value)?.id;
  }

  return {
    steps,
    current,
    currentId,
    index,
    now,
    ago,
    gates,
    isShut,
    hot,
    typed,
    judged,
    trial,
    trialProblem,
    asksTrial: asksTrialAt,
    practise,
    isDone,
    isHeededToday,
    done,
    back,
    heed,
    pass,
    mishap,
  };
}
