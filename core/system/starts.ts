import type { Job } from '../model/job.ts';
import type { Shop } from '../model/shop.ts';
import type { Place, SystemState } from '../model/system.ts';
import type { QuantityKind } from '../model/units/entryUnits.ts';
import { smallestFuse } from '../sizing/fuse.ts';
import { chargingVolts } from '../sizing/source.ts';
import { type Message, msg } from '../words/message.ts';
import { say } from '../words/say.ts';
import { parseChain, withChain } from './chain.ts';
import { withPlace, withState, withSystem } from './edits.ts';

/** A figure that a starting point asks for. */
export interface StartFigure {
  readonly key: string;
  readonly label: Message;
  readonly kind: QuantityKind;
  readonly value: number;
  readonly least: number;
  readonly most: number;
}

/** A small installation to begin from, by the three or four figures that matter. */
export interface StartingPoint {
  readonly id: 'starter' | 'inverter' | 'thruster' | 'solar' | 'parallel' | 'house';
  readonly title: Message;
  readonly figures: readonly StartFigure[];
}

const volts = (value: number): StartFigure => ({
  ...{ key: 'volts', label: msg`Nominal volts`, kind: 'voltage', value, least: 6, most: 96 },
});
const ampHours = (value: number): StartFigure => ({
  ...{ key: 'ampHours', label: msg`Bank, Ah`, kind: 'number', value, least: 10, most: 10000 },
});
const amps = (key: string, label: Message, value: number): StartFigure => ({
  ...{ key, label, kind: 'current', value, least: 1, most: 2000 },
});
const length = (value: number): StartFigure => ({
  ...{ key: 'length', label: msg`Length one way`, kind: 'length', value, least: 100, most: 100000 },
});

/** What an empty job may begin from. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'starter',
    title: msg`Starter circuit`,
    figures: [
      volts(12),
      amps('cranking', msg`Battery, cranking amps`, 800),
      amps('amps', msg`Starter, amps`, 400),
      length(1500),
    ],
  },
  {
    id: 'inverter',
    title: msg`Inverter on its bank`,
    figures: [
      volts(12),
      ampHours(280),
      { key: 'watts', label: msg`Inverter, watts`, kind: 'power', value: 2000, least: 50, most: 30000 },
      length(1200),
    ],
  },
  {
    id: 'thruster',
    title: msg`Bow thruster or windlass`,
    figures: [volts(24), ampHours(200), amps('amps', msg`Motor, amps`, 240), length(6500)],
  },
  {
    id: 'solar',
    title: msg`Solar controller and its bank`,
    figures: [volts(12), ampHours(200), amps('amps', msg`Controller, amps`, 40), length(2500)],
  },
  {
    id: 'parallel',
    title: msg`Two batteries in parallel`,
    figures: [
      volts(12),
      ampHours(200),
      amps('amps', msg`Load, amps`, 150),
      { ...length(300), key: 'link', label: msg`Link between them` },
    ],
  },
  {
    id: 'house',
    title: msg`House bank with alternator, charger and panel`,
    figures: [
      volts(12),
      ampHours(400),
      amps('alternator', msg`Alternator, amps`, 90),
      amps('charger', msg`Mains charger, amps`, 40),
      amps('panel', msg`Panel, amps`, 30),
    ],
  },
];

type Figures = Readonly<Record<string, number>>;

/** The fuse to begin with: the smallest standard one that carries so many amps. */
function fuseFor(heldA: number, nominalV: number, overLoad: number): number {
  const { volts: charged } = chargingVolts({ kind: 'unknown' }, nominalV);
  return smallestFuse({ heldA, steps: [] }, overLoad, charged, nominalV, 0)?.ratingA ?? 600;
}

/** What each starting point is made of: chains, as one would type them, and what is known of its batteries. */
function chainsOf(id: StartingPoint['id'], f: Figures, overLoad: number): readonly string[] {
  const metres = `${Math.round(f.length ?? 1000)} mm`;
  const fuse = (heldA: number) => fuseFor(heldA, f.volts ?? 12, overLoad);
  const load = f.amps ?? 0;
  const round = (value: number) => Number(value.toPrecision(6));
  switch (id) {
    case 'starter':
      return [
        `Start battery + · Starter ${round((1000 * (f.volts ?? 12)) / Math.max(1, load))} mΩ, ${metres}`,
        `Engine block · Start battery −, ${metres}`,
      ];
    case 'inverter': {
      const held = (f.watts ?? 0) / 0.9 / (0.9 * (f.volts ?? 12));
      return [
        `Bank + · fuse ${fuse(held)} · Isolator · Inverter ${round(f.watts ?? 0)} W · Bank −, ${metres}`,
      ];
    }
    case 'thruster':
      return [
        `Bank + · fuse ${fuse(load / 1.25)} · Isolator · Thruster ${round(load)} A · Bank −, ${metres}`,
      ];
    case 'solar':
      return [`Bank + · fuse ${fuse(load)} · Solar controller ${round(load)} A · Bank −, ${metres}`];
    case 'parallel':
      return [
        `Battery 1 + · Battery 2 +, ${Math.round(f.link ?? 300)} mm`,
        `Battery 1 − · Battery 2 −, ${Math.round(f.link ?? 300)} mm`,
        `Battery 1 + · fuse ${fuse(load)} · Load ${round(load)} A · Battery 2 −, 1500 mm`,
      ];
    case 'house': {
      const [alternator, charger, panel] = [f.alternator ?? 0, f.charger ?? 0, f.panel ?? 0];
      return [
        `Bank + · fuse ${fuse(Math.max(alternator + charger, panel))} · Isolator · Bus +, 1200 mm`,
        `Bus + · fuse ${fuse(alternator)} · Alternator ${round(alternator)} A · Bar −, 3000 mm`,
        `Bus + · fuse ${fuse(charger)} · Mains charger ${round(charger)} A · Bar −, 1500 mm`,
        `Bus + · fuse ${fuse(panel)} · Panel ${round(panel)} A · Bar −, 2000 mm`,
        `Bar − · Bank −, 600 mm`,
      ];
    }
  }
}

/** The ground that was made last. */
const groundOf = (job: Job): string | undefined =>
  job.system?.places.findLast(({ kind }) => kind === 'ground')?.id;

/** The states that a starting point is looked at in. */
function statesOf(id: StartingPoint['id'], places: readonly Place[]): readonly SystemState[] {
  const loads = (share: number) =>
    Object.fromEntries(places.filter(({ kind }) => kind === 'load').map((place) => [place.id, share]));
  const given = { off: [], open: [] };
  if (id === 'thruster')
    return [
      { id: 'at-rest', name: say`At rest`, lasts: { kind: 'held' }, loads: loads(0), ...given },
      {
        id: 'motor',
        name: say`Motor runs`,
        lasts: { kind: 'for', seconds: 180, everySeconds: 900 },
        loads: {},
        ...given,
      },
    ];
  if (id === 'starter')
    return [
      { id: 'at-rest', name: say`At rest`, lasts: { kind: 'held' }, loads: loads(0), ...given },
      { id: 'cranking', name: say`Cranking`, lasts: { kind: 'for', seconds: 12 }, loads: {}, ...given },
    ];
  if (id === 'house' || id === 'solar') {
    const supplies = places.filter(({ kind }) => kind === 'supply').map((place) => place.id);
    return [
      {
        id: 'on-battery',
        name: say`On the battery`,
        lasts: { kind: 'held' },
        loads: {},
        off: supplies,
        open: [],
      },
      { id: 'charging', name: say`Charging`, lasts: { kind: 'held' }, loads: {}, ...given },
    ];
  }
  return [{ id: 'all-on', name: say`Everything on`, lasts: { kind: 'held' }, loads: {}, ...given }];
}

/**
 * A job with a starting point in it: its places, its cables, its states.
 *
 * @param figures by the key of each; its own where one is not given
 */
export function withStart(
  given: Job,
  point: StartingPoint,
  figures: Figures,
  shop: Shop,
  newId: () => string,
): Job {
  const all = {
    ...Object.fromEntries(point.figures.map(({ key, value }) => [key, value])),
    ...figures,
  } as Figures;
  const nominalV = all.volts ?? 12;
  const begun = withSystem(given, (system) => system);
  let job = begun;
  for (const text of chainsOf(point.id, all, shop.practice.fuseOverLoad)) {
    const chain = parseChain(text, job);
    if (!chain.ok) throw new RangeError(`${text}: ${chain.piece}`);
    job = withChain(job, chain, shop, newId);
  }
  for (const place of job.system?.places ?? []) {
    if (begun.system?.places.some(({ id }) => id === place.id)) continue;
    if (place.kind === 'battery')
      job = withPlace(job, {
        ...place,
        nominalV,
        source:
          all.cranking !== undefined
            ? { kind: 'cranking', crankingA: Math.min(5000, Math.max(50, all.cranking)) }
            : { kind: 'battery', chemistry: 'agm', ampHours: all.ampHours ?? 100 },
      });
    else if (place.kind === 'supply')
      job = withPlace(job, { ...place, volts: Number(((nominalV / 12) * 14.2).toFixed(2)) });
    else if (place.kind === 'load' && place.look === 'starter')
      job = withPlace(job, {
        ...place,
        groundId: groundOf(job) ?? place.id,
        dropPercent: 4,
        shortDropPercent: 4,
      });
    else if (place.kind === 'load' && point.id === 'thruster')
      job = withPlace(job, { ...place, shortDropPercent: 10 });
  }
  const isFresh = begun.system?.places.length === 0;
  const states = statesOf(point.id, job.system?.places ?? []);
  return isFresh
    ? withSystem(job, (system) => ({ ...system, states: [...states] }))
    : states.reduce((now, state) => withState(now, { ...state, id: newId() }), job);
}
