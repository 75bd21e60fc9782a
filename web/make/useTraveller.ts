import { tell } from '../../core/words/message.ts';
import { useNow } from '@vueuse/core';
import type { Draft } from 'immer';
import { nanoid } from 'nanoid';
import { computed, ref, watch } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { EndName } from '../../core/model/end.ts';
import { judgeAsk } from '../../core/traveller/asks.ts';
import type { CautionId } from '../../core/model/cautions.ts';
import { isHeeded } from '../../core/model/cautions.ts';
import { type Ago, gateStates, hotEnds } from '../../core/traveller/gates.ts';
import { faultSays, type WayOut } from '../../core/traveller/mishaps.ts';
import {
  asksTrial,
  firstOpen,
  isTrialWhole,
  type TrialFigures,
  trialOf,
  withTick,
  withTyped,
} from '../../core/traveller/following.ts';
import { type CableAndShop, takesOff, ticked, unticked, wentWrong } from '../../core/traveller/withShelf.ts';
import { lotsBegun } from '../../core/cutting/lots.ts';
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
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
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
    isTrialShort.value && !isTrialTyped.value
      ? say`Enter the across flats and the ears of the trial; with no ears, enter 0.`
      : '',
  );

  const said = () => ({ id: nanoid(10), at: new Date().toISOString(), by: prefs.person.trim() });

  const toMake = (own = cable.value) => ({ key: own.id, cable: own, work: target().work });
  /** The spool that the cable is cut from, where another than the proposed one was chosen. */
  const spoolId = ref<string>();
  watch(currentId, () => {
    spoolId.value = undefined;
  });
  /** What the step at hand will take off the shelf, and the shop after it. */
  const takes = computed(() =>
    current.value && !isDone(current.value)
      ? takesOff(current.value, toMake(), bench.shop, spoolId.value)
      : { shop: bench.shop, took: [] },
  );
  /** Keeps the cable and what its making left on the shelf, in one change; answers false where nothing was kept. */
  function keep(what: string, next: CableAndShop): boolean {
    bench.edit(what, (draft) => {
      const cables = draft.jobs.find(({ id }) => id === target().jobId)?.cables;
      const place = cables?.findIndex(({ id }) => id === cable.value.id) ?? -1;
      if (!cables || place < 0) return;
      cables[place] = next.cable as Draft<Cable>;
      Object.assign(draft.shop, next.shop);
    });
    return bench.refusal === '' && !bench.isFollowing;
  }

  /** The practice piece is spent: its figures become a trial of the die, and the step is done, in one change. */
  function keepTrial(step: Step): boolean {
    const signed = said();
    const tried = trialOf(step, target().work, trial.value, signed);
    if (!tried) return true;
    const next = ticked(toMake(), step, bench.shop, signed);
    return keep(say`step ${step.short}`, {
      ...next,
      shop: { ...next.shop, trials: [...next.shop.trials, tried] },
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
      if (!keepTrial(step)) return false;
    } else if (!isDone(step)) {
      const signed = said();
      const lots = lotsBegun(cable.value, target().work, bench.shop, signed);
      const begun = withTyped(
        { ...cable.value, ...(lots.length > 0 && { lots }) },
        step,
        typed.value,
        signed,
      );
      const next = ticked(toMake(begun), step, bench.shop, signed, spoolId.value);
      if (!keep(say`step ${step.short}`, next)) return false;
    }
    if (goesOn) currentId.value = steps.value[index.value + 1]?.id;
    return true;
  }

  /** Goes to the step before; its tick is taken back where nothing that is done rests on it. */
  function back(): void {
    const before = steps.value[index.value < 0 ? steps.value.length - 1 : index.value - 1];
    if (!before) return;
    const next = unticked(toMake(), before, bench.shop);
    if (next.cable !== cable.value && !keep(say`back to ${before.short}`, next)) return;
    currentId.value = before.id;
  }

  /** A list was gone through: it counts for the day, for this job. */
  function heed(caution: CautionId): void {
    bench.edit(say`list checked`, (draft) => {
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
    edit(say`gate overridden`, (draft) => {
      draft.passed.push(...shut.map(({ gate }) => ({ gate: gate.id, step: step.id, at, by, reason })));
    });
  }

  function mishap(what: string, out: WayOut): void {
    const step = current.value;
    if (!step) return;
    const measured = withTyped(cable.value, step, typed.value, said());
    keep(tell(faultSays(what)), wentWrong(toMake(measured), { what, step, out }, bench.shop, said()));
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
    spoolId,
    takes,
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
