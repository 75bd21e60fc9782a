import type { Column } from '../model/csv.ts';
import { writeCsv } from '../model/csv.ts';
import { PLACE_KINDS } from '../model/tables/places.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { worstFirst } from '../finding/finding.ts';
import { STATE_WORDS } from '../finding/states.ts';
import { lastsSays, type SystemFinding } from '../system/findingParts.ts';
import { postTitle } from '../system/places.ts';
import { loadTable, type LoadCell, shownIn, sumsOf } from '../system/shown.ts';
import type { SystemView } from '../system/view.ts';
import { guardSays } from '../system/findingParts.ts';
import { guardsOf } from '../system/view.ts';
import { shortAtPlace } from '../system/zones.ts';
import type { SystemWork } from '../systemWork.ts';
import { tell } from '../words/message.ts';
import { digits } from '../words/numerals.ts';
import { say } from '../words/say.ts';
import type { ListDoc } from './listDoc.ts';

const FOOT = say`Planning figures only. Local codes, class rules and licensed electricians take precedence.`;
const figure = (value: number | null | undefined, decimals: number) =>
  value === null || value === undefined || !Number.isFinite(value) ? '' : digits(Math.abs(value), decimals);

function cellSays({ volts, drop, state, close }: LoadCell): string {
  if (state === null) return '–';
  const word = tell(STATE_WORDS[close && state === 'holds' ? 'close' : state].says);
  return [
    volts === null ? '–' : `${digits(volts, 2)} V`,
    ...(drop ? [`${digits(drop.dropPercent, 1)} %`] : []),
    word,
  ].join(', ');
}

/** What a cable end is on, by its place. */
function endSays(
  view: SystemView,
  on: { place: string; post: Parameters<typeof postTitle>[1] } | undefined,
  at: string,
): string {
  const place = on && view.placeOf(on.place);
  return place && on ? postTitle(place, on.post) : at;
}

/** Every cable of the system with what it carries and what protects it. */
function cableRows({ view }: SystemWork) {
  const guards = guardsOf(view);
  const worst = shownIn(view, null);
  return view.installation.conductors.map(({ cable, size }) => {
    const run = view.runs.find(({ cableId }) => cableId === cable.id);
    const guard = guards.get(cable.id)?.guard;
    return {
      tag: cable.tag,
      from: endSays(view, cable.ends.A.on, cable.ends.A.at),
      to: endSays(view, cable.ends.B.on, cable.ends.B.at),
      size: tell(sizeNamed(size.size)),
      lengthMm: cable.run.lengthMm + cable.run.loopMm,
      heldA: run?.heldA ?? null,
      mostA: worst.cables.get(cable.id)?.amps ?? null,
      guard: guard ? tell(guardSays(view, guard)) : '',
    };
  });
}

/** Every place with the short there, and what it stands at where it is worst. */
function placeRows({ view }: SystemWork) {
  const worst = shownIn(view, null);
  return view.installation.system.places.map((place) => {
    const flow = worst.places.get(place.id);
    const short = shortAtPlace(view, place.id);
    const isTwoPole =
      place.kind === 'battery' || place.kind === 'load' || place.kind === 'supply' || place.kind === 'dcdc';
    return {
      name: place.name,
      kind: tell(PLACE_KINDS[place.kind].title),
      volts: isTwoPole ? (flow?.volts ?? null) : null,
      amps: flow?.amps ?? null,
      mostA: short && !short.isUnknown ? short.mostA : null,
      leastA: short && !short.isUnknown ? short.leastA : null,
    };
  });
}

/** The tables of an installation as they are printed: what each load gets, places with their shorts, cables, and findings. */
// oxlint-disable-next-line max-lines-per-function -- four tables, one after the other
export function systemDocs(
  work: SystemWork,
  findings: readonly SystemFinding[],
  jobTitle: string,
): ListDoc[] {
  const { view } = work;
  const states = view.installation.system.states;
  const sums = sumsOf(view);
  const width = 0.74 / Math.max(1, states.length);
  return [
    {
      title: say`What each load gets`,
      subtitle: jobTitle,
      columns: [
        { title: say`load`, width: 0.26 },
        ...states.map((state) => ({ title: `${state.name}, ${tell(lastsSays(state))}`, width, right: true })),
      ],
      sections: [
        {
          title: '',
          rows: [
            ...loadTable(view).map(({ name, mostPercent, cells }) => [
              say`${name}, at most ${digits(mostPercent, 1)} %`,
              ...cells.map(cellSays),
            ]),
            [
              say`Batteries give, W`,
              ...sums.map(({ batteriesW }) => (batteriesW === null ? '–' : digits(batteriesW, 0))),
            ],
            [say`Lost in cables, W`, ...sums.map(({ lostW }) => figure(lostW, 0) || '–')],
          ],
        },
      ],
      foot: FOOT,
    },
    {
      title: say`Places of the system`,
      subtitle: say`Worst of all states; prospective short-circuit currents`,
      columns: [
        { title: say`place`, width: 0.28 },
        { title: say`kind`, width: 0.24 },
        { title: 'V', width: 0.12, right: true },
        { title: 'A', width: 0.12, right: true },
        { title: say`short, most A`, width: 0.12, right: true },
        { title: say`least A`, width: 0.12, right: true },
      ],
      sections: [
        {
          title: '',
          rows: placeRows(work).map(({ name, kind, volts, amps, mostA, leastA }) => [
            name,
            kind,
            figure(volts, 2),
            figure(amps, 1),
            figure(mostA, 0),
            figure(leastA, 0),
          ]),
        },
      ],
      foot: FOOT,
    },
    {
      title: say`Cables of the system`,
      subtitle: say`Current in continuous states, the most of all states, and the fuse that protects each`,
      columns: [
        { title: say`tag`, width: 0.1 },
        { title: say`from`, width: 0.22 },
        { title: say`to`, width: 0.22 },
        { title: say`size`, width: 0.12 },
        { title: say`continuous A`, width: 0.1, right: true },
        { title: say`most A`, width: 0.1, right: true },
        { title: say`fuse`, width: 0.14 },
      ],
      sections: [
        {
          title: '',
          rows: cableRows(work).map(({ tag, from, to, size, heldA, mostA, guard }) => [
            tag,
            from,
            to,
            size,
            figure(heldA, 1),
            figure(mostA, 1),
            guard || say`none`,
          ]),
        },
      ],
      foot: FOOT,
    },
    {
      title: say`Findings on the system`,
      subtitle: say`Worst first; what passes is left out`,
      columns: [
        { title: say`what`, width: 0.3 },
        { title: say`state`, width: 0.12 },
        { title: say`because`, width: 0.58 },
      ],
      sections: [
        {
          title: findings.every(({ state }) => state === 'holds')
            ? say`Nothing fails, and nothing is to be watched.`
            : '',
          rows: worstFirst(findings)
            .filter(({ state }) => state !== 'holds')
            .map(({ title, state, because, remedy }) => [
              tell(title),
              tell(STATE_WORDS[state].says),
              [tell(because), ...(remedy ? [tell(remedy)] : [])].join(' '),
            ]),
        },
      ],
      foot: FOOT,
    },
  ];
}

const text = (value: number | null, decimals: number) =>
  value === null || !Number.isFinite(value) ? '' : value.toFixed(decimals);
const column = <T>(title: string, write: (item: T) => string): Column<T> => ({
  key: title,
  title,
  read: (own) => ({ ok: true, value: own }),
  write,
});

/** Places as CSV, numbers with a point whatever the language. */
export const placesCsv = (work: SystemWork): string =>
  writeCsv(
    [
      column('place', ({ name }) => name),
      column('kind', ({ kind }) => kind),
      column('volts', ({ volts }) => text(volts, 3)),
      column('amps', ({ amps }) => text(amps, 2)),
      column('short most A', ({ mostA }) => text(mostA, 0)),
      column('short least A', ({ leastA }) => text(leastA, 0)),
    ] satisfies Column<ReturnType<typeof placeRows>[number]>[],
    placeRows(work),
  );

/** Cables of the system as CSV. */
export const systemCablesCsv = (work: SystemWork): string =>
  writeCsv(
    [
      column('tag', ({ tag }) => tag),
      column('from', ({ from }) => from),
      column('to', ({ to }) => to),
      column('size', ({ size }) => size),
      column('length mm', ({ lengthMm }) => text(lengthMm, 0)),
      column('held A', ({ heldA }) => text(heldA, 2)),
      column('most A', ({ mostA }) => text(mostA === null ? null : Math.abs(mostA), 2)),
      column('fuse', ({ guard }) => guard),
    ] satisfies Column<ReturnType<typeof cableRows>[number]>[],
    cableRows(work),
  );

/** What each load gets in each state, as CSV. */
export function loadsCsv({ view }: SystemWork): string {
  const rows = loadTable(view).flatMap(({ name, cells }) =>
    cells.map((cell) => ({ name, state: view.stateOf(cell.stateId)?.name ?? cell.stateId, cell })),
  );
  return writeCsv(
    [
      column('load', ({ name }) => name),
      column('state', ({ state }) => state),
      column('volts', ({ cell }) => text(cell.volts, 3)),
      column('amps', ({ cell }) => text(cell.drop?.amps ?? null, 2)),
      column('drop %', ({ cell }) => text(cell.drop?.dropPercent ?? null, 3)),
      column('at most %', ({ cell }) => text(cell.mostPercent, 2)),
    ] satisfies Column<(typeof rows)[number]>[],
    rows,
  );
}
