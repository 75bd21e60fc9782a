import { isThereTime } from '../lib/casesFixture.ts';
import { once } from '../lib/once.ts';
import { remember } from '../lib/remember.ts';
import { describe, expect, test } from '@jest/globals';
import type { CableWork } from '../cableWork.ts';
import type { ConductorSize } from '../model/tables/size.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES, type EndName, otherEnd } from '../model/end.ts';
import { usesDie, usesSolder } from '../model/method.ts';
import { unshrunkMm } from '../termination/throughHole.ts';
import { CAUTION_IDS } from '../model/cautions.ts';
import { gateStates } from './gates.ts';
import { afterMishap, faultsAt, waysOut, type WayOut } from './mishaps.ts';
import { type Step } from './step.ts';
import { kindOf } from '../model/stepId.ts';
import { travellerSteps } from './steps.ts';
import { cableWith, clampOf, NOW, shop, TODAY, worked } from './travellerFixture.ts';

/** Where a sleeve is: not on the cable, waiting on it, coming over the palm, or shrunk. */
type SleeveAt = 'drawer' | 'waits' | 'over the palm' | 'shrunk';

/** One end as it truly lies on the bench, whatever is ticked. */
interface Piece {
  readonly bare: boolean;
  readonly seen: boolean;
  readonly home: boolean;
  readonly slug: 'none' | 'molten' | 'set';
  /** Which crimps are closed. */
  readonly crimps: readonly string[];
  readonly filed: boolean;
  readonly soldered: boolean;
  readonly cooled: boolean;
  readonly screwed: boolean;
  readonly clocked: boolean;
  readonly sleeve: SleeveAt;
}
interface Bench {
  readonly laidOut: boolean;
  readonly cut: boolean;
  readonly pulled: boolean;
  readonly labelled: boolean;
  readonly A: Piece;
  readonly B: Piece;
}
const RAW: Piece = {
  ...{ bare: false, seen: false, home: false, slug: 'none', crimps: [], filed: false },
  ...{ soldered: false, cooled: false, screwed: false, clocked: false, sleeve: 'drawer' },
};
const EMPTY: Bench = { laidOut: false, cut: false, pulled: false, labelled: false, A: RAW, B: RAW };
const isHeld = ({ crimps, slug, soldered, screwed }: Piece) =>
  crimps.length > 0 || slug !== 'none' || soldered || screwed;

/** The work on the bench: what each step does, and what makes it a spoilt end. */
class Hands {
  constructor(
    readonly cable: Cable,
    readonly work: CableWork,
  ) {}

  private hole = (name: EndName) => {
    const { sleeve } = this.work.ends[name];
    return !sleeve || unshrunkMm(sleeve.sleeve) <= (this.cable.run.holeMm ?? Infinity);
  };

  private crimpIds = (name: EndName) =>
    this.work.steps.filter((own) => own.end === name && kindOf(own.id) === 'crimp').map(({ id }) => id);

  /** What is wrong with doing a step now; empty where it can be done. */
  wrong(step: Step, bench: Bench): string {
    const { end } = step;
    const kind = kindOf(step.id);
    if (kind === 'layers') {
      return this.covered(step).every((name) => this.canComeOn(name, bench)) ? '' : 'a sleeve cannot get on';
    }
    if (kind === 'pull-through') {
      const last = this.work.passage?.pulled ?? 'B';
      if (isHeld(bench[last])) return 'a lug is pulled through';
      return bench[last].sleeve === 'waits' && !this.hole(last) ? 'a sleeve is pulled through' : '';
    }
    if (!end) return '';
    const piece = bench[end];
    const { method, sleeve } = this.work.ends[end];
    const covered = sleeve === null || piece.sleeve !== 'drawer';
    const crimped = this.crimpIds(end).every((id) => piece.crimps.includes(id));
    switch (kind) {
      case 'strip':
        return (bench.cut || this.cable.run.laid?.on === end) && !isHeld(piece) ? '' : 'stripped too soon';
      case 'home':
        return piece.bare && piece.seen ? '' : 'not bare';
      case 'crimp': {
        if (!covered) return 'crimped without its sleeve';
        if (piece.sleeve === 'shrunk') return 'crimped under a sleeve';
        if (piece.soldered) return 'crimped after solder';
        if (method === 'slug then crimp' ? piece.slug !== 'set' : !piece.home) return 'crimped on nothing';
        const at = this.crimpIds(end).indexOf(step.id);
        return this.crimpIds(end)
          .slice(0, at)
          .every((id) => piece.crimps.includes(id))
          ? ''
          : 'out of order';
      }
      case 'slug':
      case 'screw':
        return covered && piece.seen ? '' : 'held too soon';
      case 'file':
        return crimped ? '' : 'filed before the crimp';
      case 'solder':
        return covered && piece.home && crimped ? '' : 'soldered too soon';
      case 'shrink': {
        if (piece.sleeve === 'drawer') return 'nothing to shrink';
        if (!isHeld(piece) || !crimped) return 'shrunk over what is not held';
        if (usesDie(method) && !piece.filed) return 'shrunk before the file';
        return usesSolder(method) && method !== 'slug then crimp' && !piece.soldered ? 'not soldered' : '';
      }
      default:
        return '';
    }
  }

  private covered = (step: Step): readonly EndName[] => {
    if (step.end) return [step.end];
    return END_NAMES.filter((name) => !this.work.steps.some(({ id }) => id === `layers.${name}`));
  };

  private canComeOn(name: EndName, bench: Bench): boolean {
    const { sleeve } = bench[name];
    if (sleeve !== 'drawer' || this.work.ends[name].sleeve === null) return true;
    if (!isHeld(bench[name])) return true;
    return !isHeld(bench[otherEnd(name)]) && (!bench.pulled || this.hole(name));
  }

  done(step: Step, bench: Bench): Bench {
    const { end } = step;
    const put = (own: Partial<Piece>): Bench =>
      end ? { ...bench, [end]: { ...bench[end], ...own } } : bench;
    switch (kindOf(step.id)) {
      case 'lay-out':
        return { ...bench, laidOut: true };
      case 'cut':
        return { ...bench, cut: true };
      case 'label':
        return { ...bench, labelled: true };
      case 'pull-through':
        return { ...bench, pulled: true };
      case 'layers':
        return this.covered(step).reduce(
          (now, name) =>
            now[name].sleeve === 'drawer'
              ? { ...now, [name]: { ...now[name], sleeve: 'waits' as const } }
              : now,
          bench,
        );
      case 'strip':
        return put({ bare: true });
      case 'strands':
        return put({ seen: true });
      case 'home':
        return put({ home: true });
      case 'clock':
        return put({ clocked: true });
      case 'slug':
        return put({ slug: 'molten' });
      case 'crimp':
        return put({ crimps: [...(end ? bench[end].crimps : []), step.id].sort() });
      case 'file':
        return put({ filed: true });
      case 'solder':
        return put({ soldered: true });
      case 'cool':
        return put({ cooled: true });
      case 'screw':
        return put({ screwed: true });
      case 'shrink':
        return put({ sleeve: 'shrunk' });
      default:
        throw new Error(`what does ${step.id} do?`);
    }
  }

  /** Whether what a step makes is there. */
  isTrue(step: Step, bench: Bench): boolean {
    const piece = bench[step.end ?? 'A'];
    switch (kindOf(step.id)) {
      case 'layers':
        return this.covered(step).every(
          (name) => this.work.ends[name].sleeve === null || bench[name].sleeve !== 'drawer',
        );
      case 'lay-out':
        return bench.laidOut;
      case 'cut':
        return bench.cut;
      case 'label':
        return bench.labelled;
      case 'pull-through':
        return bench.pulled;
      case 'strip':
        return piece.bare;
      case 'strands':
        return piece.seen;
      case 'home':
        return piece.home;
      case 'clock':
        return piece.clocked;
      case 'slug':
        return piece.slug !== 'none';
      case 'crimp':
        return piece.crimps.includes(step.id);
      case 'file':
        return piece.filed;
      case 'solder':
        return piece.soldered;
      case 'cool':
        return piece.cooled;
      case 'screw':
        return piece.screwed;
      default:
        return piece.sleeve === 'shrunk';
    }
  }

  /** What a mishap and the way out of it do on the bench. */
  wentWrong(what: string, step: Step, out: WayOut, bench: Bench): Bench {
    if (out.way === 'scrap') return EMPTY;
    const { end } = step;
    const lost = isLost(what);
    if (!end)
      return kindOf(step.id) === 'pull-through' ? { ...bench, pulled: false } : this.missing(step, bench);
    const piece = bench[end];
    const put = (own: Partial<Piece>): Bench => ({ ...bench, [end]: { ...piece, ...own } });
    const waiting: SleeveAt = piece.sleeve === 'shrunk' || lost ? 'drawer' : piece.sleeve;
    if (out.way === 'cut back') return { ...bench, [end]: { ...RAW, sleeve: waiting } };
    const next: SleeveAt = out.over ? 'over the palm' : waiting;
    if (lost) return put({ sleeve: next });
    const kind = kindOf(step.id);
    if (kind === 'shrink') return put({ sleeve: piece.sleeve === 'shrunk' ? 'waits' : piece.sleeve });
    if (kind === 'layers') return this.missing(step, bench);
    // Done again from here on: what lay over it is off.
    const covered = { sleeve: next };
    const soldered = { soldered: false, cooled: false };
    if (kind === 'home' || kind === 'clock') return put({ home: false, clocked: false });
    if (kind === 'slug') return put({ slug: 'none', ...covered });
    if (kind === 'solder' || kind === 'cool') return put({ ...soldered, ...covered });
    if (kind === 'screw') return put({ screwed: false, ...covered });
    const again = kind === 'crimp' ? step.id : this.crimpIds(end).at(-1);
    return put({ crimps: piece.crimps.filter((id) => id !== again), filed: false, ...covered });
  }

  /** A layer is missing: those that are not shrunk are put on again. */
  private missing(step: Step, bench: Bench): Bench {
    if (kindOf(step.id) !== 'layers') return { ...bench, cut: false };
    return this.covered(step).reduce(
      (now, name) =>
        now[name].sleeve === 'waits' ? { ...now, [name]: { ...now[name], sleeve: 'drawer' as const } } : now,
      bench,
    );
  }
}

interface State {
  readonly cable: Cable;
  readonly bench: Bench;
  readonly mishaps: number;
}

const HEEDED = CAUTION_IDS.map((caution) => ({ caution, day: TODAY }));
const LONG_AGO = '2026-11-25T01:00:00.000Z';

/** What is the same for all states in which the same is chosen and done: the work, and every mishap at every step. */
interface Known {
  readonly id: number;
  readonly work: CableWork;
  /** Asked of states in which something more may go wrong, which are few. */
  readonly mishaps: () => readonly (readonly [what: string, step: Step, out: WayOut])[];
}
const isLost = (what: string) => /split or burnt|never put on/.test(what);
const sameAs = (what: string, step: Step, { way, reopens, over }: WayOut) =>
  `${isLost(what)} ${way} ${way === 'redo' ? step.id : step.end} ${reopens} ${over?.sleeveId}`;
const known = new Map<string, Known>();
const unmade = new Map<string, CableWork>();
/** The work of a cable, computed once for all that may be done of it: its steps alone follow what is done. */
function workOf(cable: Cable, choice: string): CableWork {
  const work = unmade.get(choice) ?? worked(cable);
  unmade.set(choice, work);
  const { ends, joins, lengths, passage } = work;
  if (!lengths) throw new Error('no lugs');
  const { practice } = shop;
  return {
    ...work,
    steps: travellerSteps({ cable, conductorLabel: '', ends, joins, lengths, passage, practice }),
  };
}
const chosen = remember<{ readonly text: string }>();
/** What is chosen of a cable, as text: states share it as long as nothing of it changes. */
const choiceOf = ({ gauge, ends, run, joins }: Cable) =>
  chosen([gauge, ends, run, joins], '', () => ({ text: JSON.stringify([gauge, ends, run, joins]) })).text;
const knownAs = remember<Known>();
const knownOf = (cable: Cable): Known => knownAs([cable], '', () => sameKnown(cable));
function sameKnown(cable: Cable): Known {
  const choice = choiceOf(cable);
  const key = choice + cable.done.map(({ step }) => step).sort();
  const before = known.get(key);
  if (before) return before;
  const work = workOf(cable, choice);
  const own = { id: known.size, work, mishaps: once(() => mishapsIn(cable, work)) };
  known.set(key, own);
  return own;
}
function mishapsIn(cable: Cable, work: CableWork): ReturnType<Known['mishaps']> {
  const all = work.steps.flatMap((step) =>
    faultsAt(step).flatMap((what) =>
      waysOut(what, step, cable, work, shop)
        .filter(({ possible }) => possible)
        .map((out) => [what, step, out] as const),
    ),
  );
  // What is undone in the same way is the same.
  return [...new Map(all.map((own) => [sameAs(...own), own])).values()];
}

const isHot = ({ at }: { readonly at: string }) => at !== LONG_AGO;
const keyOf = ({ cable, bench, mishaps }: State) =>
  `${knownOf(cable).id} ${mishaps} ${cable.done.filter(isHot).map(({ step }) => step)} ${JSON.stringify(bench)}`;

/**
 * Every order of pressing: any step ticked whose gates stand open, any gone back on, waiting, and at any step any
 * mishap with any way out of it.
 *
 * @returns how many states were seen, and what was wrong in them
 */
function search(cable: Cable, mostMishaps: number): { seen: number; wrong: string[]; whole: number } {
  const first: State = { cable, bench: EMPTY, mishaps: 0 };
  const seen = new Set([keyOf(first)]);
  const queue: State[] = [first];
  const wrong = new Set<string>();
  let whole = 0;
  const push = (next: State) => {
    const key = keyOf(next);
    if (seen.has(key)) return;
    seen.add(key);
    queue.push(next);
  };
  for (let state = queue.pop(); state; state = queue.pop()) {
    const { cable: now, bench, mishaps } = state;
    const { work, mishaps: canGoWrong } = knownOf(now);
    const hands = new Hands(now, work);
    const isTicked = (step: Step) => now.done.some((own) => own.step === step.id);
    const ago = (at: string) => (at === LONG_AGO ? 1e6 : 0);
    if (work.steps.every(isTicked)) whole += 1;
    for (const step of work.steps) {
      const [ticked, true_] = [isTicked(step), hands.isTrue(step, bench)];
      // That all layers are on may be asked once too often; never once too seldom.
      if (ticked !== true_ && !(true_ && kindOf(step.id) === 'layers')) {
        const { what, way, step: at } = now.mishaps.at(-1) ?? {};
        wrong.add(`${step.id} is ${ticked ? '' : 'not '}ticked after “${what}”, ${way} at ${at}`);
      }
      if (ticked || !gateStates(step, now, HEEDED, ago, TODAY).every(({ open }) => open)) continue;
      const why = hands.wrong(step, bench);
      if (why !== '') {
        wrong.add(`${step.id}: ${why}`);
        continue;
      }
      const at = ['slug', 'solder'].includes(kindOf(step.id)) ? NOW.toISOString() : LONG_AGO;
      const done = [...now.done, { step: step.id, at, by: 'Ada' }];
      push({ cable: { ...now, done }, bench: hands.done(step, bench), mishaps });
    }
    if (mishaps < mostMishaps) {
      for (const [what, step, out] of canGoWrong()) {
        const next = afterMishap(now, what, step, out, { id: 'm', at: NOW.toISOString(), by: 'Ada' });
        if (out.way === 'scrap' && next.run.loopMm !== cable.run.loopMm)
          wrong.add(`${next.run.loopMm} mm of loop`);
        push({ cable: next, bench: hands.wentWrong(what, step, out, bench), mishaps: mishaps + 1 });
      }
    }
    if (!now.done.some(isHot)) continue;
    // Waiting: all that is molten sets, all that is hot cools.
    const set = (piece: Piece): Piece => (piece.slug === 'molten' ? { ...piece, slug: 'set' } : piece);
    push({
      ...state,
      cable: { ...now, done: now.done.map((own) => ({ ...own, at: LONG_AGO })) },
      bench: { ...bench, A: set(bench.A), B: set(bench.B) },
    });
  }
  return { seen: seen.size, wrong: [...wrong], whole };
}

describe('in every order of steps and mishaps', () => {
  const screwed = clampOf('screw clamp');
  const size = screwed && {
    kindId: 'tinned-marine',
    size: { system: 'metric', name: screwed.forSize.name } as ConductorSize,
  };
  const inPlace = { swingMm: 900, solidFloor: true };
  const cables: readonly (readonly [string, Cable, number])[] = [
    ['crimped, one crimp each', cableWith({ crimps: 1 }, { crimps: 1 }), 2],
    [
      'two crimps, and solder over them',
      cableWith({ crimps: 2 }, { method: 'crimp then solder', crimps: 1 }),
      1,
    ],
    ['a slug, then a crimp', cableWith({ method: 'slug then crimp', crimps: 1 }, { crimps: 1 }), 1],
    ['solder alone', cableWith({ method: 'solder' }, { method: 'solder' }), 1],
    [
      'a sleeve that comes on over the palm',
      cableWith({ crimps: 1, sleeveAfterLug: true }, { crimps: 1 }),
      1,
    ],
    [
      'through a hole that the sleeve does not pass',
      cableWith({ crimps: 1 }, { crimps: 1, inPlace }, { run: { ...cableWith({}).run, holeMm: 16 } }),
      1,
    ],
    [
      'through a hole that it passes',
      cableWith({ crimps: 1 }, { crimps: 1, inPlace }, { run: { ...cableWith({}).run, holeMm: 30 } }),
      1,
    ],
    [
      'laid first',
      cableWith(
        { crimps: 1 },
        { crimps: 1 },
        { run: { ...cableWith({}).run, laid: { on: 'B', markMm: 1200 } } },
      ),
      1,
    ],
    ...(screwed && size
      ? [['a screw clamp', cableWith({ lugId: screwed.id }, {}, { gauge: size }), 1] as const]
      : []),
  ];
  // Each search takes seconds: with every change those in which most can go wrong.
  test.each(cables.filter((_, i) => isThereTime || i === 1 || i > 6 || i === 5))(
    '%s: nothing is spoilt, and each mishap undoes just what it undoes',
    (_, cable, mishaps) => {
      const { seen, wrong, whole } = search(cable, mishaps);
      expect(wrong).toEqual([]);
      expect(seen).toBeGreaterThan(200);
      expect(whole).toBeGreaterThan(0);
    },
  );
});
