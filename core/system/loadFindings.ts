import { atLeast, atMost, stated, turnedTo, worstFirst } from '../finding/finding.ts';
import type { PlaceOf } from '../model/system.ts';
import { amount, allOf, listed, msg, numeral, verbatim } from '../words/message.ts';
import { allowedPercent, cutOutV, isOverUnmeasured, neededV } from './allowed.ts';
import { about, facts, lastsSays, pieceSays, stateSays, type SystemFinding } from './findingParts.ts';
import type { LoadDrop } from './path.ts';
import { isHeld } from './solve.ts';
import type { SystemView } from './view.ts';

const KIRCHHOFF = msg`nodal analysis: Kirchhoff’s laws, copper as warm as its current makes it`;

const loadsOf = (view: SystemView): PlaceOf<'load'>[] =>
  view.installation.system.places.filter((place) => place.kind === 'load');

/** What each load gets: its drop, its least volts, and whether anything reaches it at all. */
export function loadFindings(view: SystemView): SystemFinding[] {
  const loads = loadsOf(view).map((load) => ({ load, unfed: fedOf(view, load) }));
  return [
    ...loads.flatMap(({ load, unfed }) => [...dropOf(view, load), ...leastOf(view, load), ...unfed]),
    ...returning(loads),
  ];
}

/** The drop of a load in the state in which it is worst. */
const dropOf = (view: SystemView, load: PlaceOf<'load'>): SystemFinding[] =>
  worstFirst(
    view.drops.filter(({ loadId }) => loadId === load.id).map((drop) => dropFinding(view, load, drop)),
  ).slice(0, 1);

/** What a load loses on its way in a state, against what it may. */
export function dropFinding(view: SystemView, load: PlaceOf<'load'>, drop: LoadDrop): SystemFinding {
  const state = view.stateOf(drop.stateId);
  const most = allowedPercent(load, state === undefined || isHeld(state));
  const { shares, sourceV, volts, dropV, nominalV, source } = drop;
  const over = drop.dropPercent > most;
  const [largest] = shares.toSorted((a, b) => b.volts - a.volts);
  const finding = atMost(
    {
      ...facts('load-drop', load.id, msg`${load.name}, voltage drop`, ['%', 2], {
        formula: msg`ΔU = U_source − U_load = Σ I · R of each part of the circuit`,
        substituted: [
          verbatim`= ${amount(sourceV, 'V', 3)} − ${amount(volts, 'V', 3)} = ${amount(dropV, 'V', 3)}; ÷ ${amount(nominalV, 'V', 1)} = ${amount(drop.dropPercent, '%', 2)}`,
          ...shares.map(
            ({ of, volts: lost, amps }) =>
              verbatim`${pieceSays(view, of)}: ${amount(lost * 1000, 'mV', 0)} (${amount(amps, 'A', 1)})`,
          ),
        ],
        source: KIRCHHOFF,
        assumes: msg`from the posts of ${view.placeOf(source.plus)?.name ?? ''} along what carries most; two joints to a cable, each as its barrel’s length of conductor`,
      }),
      value: drop.dropPercent,
      because: msg`${amount(drop.dropPercent, '%', 2)} of at most ${amount(most, '%', 1)}, in ${stateSays(view, drop.stateId)}.`,
      ...(over &&
        largest && {
          remedy: msg`Most of it is lost in ${pieceSays(view, largest.of)}: ${amount(largest.volts, 'V', 2)}.`,
        }),
    },
    most,
  );
  const points = {
    places: [load.id],
    cables: shares.flatMap(({ of }) => (of.kind === 'cable' ? [of.id] : [])),
    stateId: drop.stateId,
  };
  if (!isOverUnmeasured(view, drop) || finding.state === 'fails') return about(finding, points);
  return about(
    turnedTo(finding, 'unproved', {
      because: msg`The return over chassis or hull is not measured: a customary figure stands for it.`,
      remedy: msg`Measure it with its straps, and enter it at the bond.`,
    }),
    points,
  );
}

/** The least volts that a load gets, of all states in which it runs, against what it needs. */
function leastOf(view: SystemView, load: PlaceOf<'load'>): SystemFinding[] {
  const need = neededV(load);
  if (need === 0) return [];
  const index = view.installation.system.places.indexOf(load);
  const got = view.solved.states.flatMap(({ stateId, places, collapse }) => {
    const flow = places[index];
    return flow?.isOn && flow.isFed && !collapse ? [{ stateId, volts: flow.volts }] : [];
  });
  const [least] = got.toSorted((a, b) => a.volts - b.volts);
  if (!least) return [];
  const isCutOut = need === cutOutV(load);
  return [
    about(
      atLeast(
        {
          ...facts('load-least', load.id, msg`${load.name}, least volts`, ['V', 2], {
            formula: isCutOut ? msg`U_load ≥ U_cut-out` : msg`U_load ≥ the least it must get`,
            substituted: got.map(
              ({ stateId, volts }) => verbatim`${stateSays(view, stateId)}: ${amount(volts, 'V', 2)}`,
            ),
            source: KIRCHHOFF,
            assumes: msg`batteries at rest at the volts given`,
          }),
          value: least.volts,
          because: msg`${amount(least.volts, 'V', 2)} in ${stateSays(view, least.stateId)}.`,
          ...(least.volts < need && {
            remedy: isCutOut
              ? msg`It switches off: use thicker or shorter cable, or let less run beside it.`
              : msg`Feed it by its own cable from the battery, or let less run beside it.`,
          }),
        },
        need,
      ),
      { places: [load.id], stateId: least.stateId },
    ),
  ];
}

/** A load that is on and gets nothing, or the wrong way round. */
function fedOf(view: SystemView, load: PlaceOf<'load'>): SystemFinding[] {
  const index = view.installation.system.places.indexOf(load);
  const wrong = view.solved.states.filter(({ places, hasNoSource, collapse }) => {
    const flow = places[index];
    return !hasNoSource && !collapse && flow?.isOn && !flow.isFed;
  });
  const [first] = wrong;
  const [plus, minus] = (['plus', 'minus'] as const).map((post) => view.postOf(load.id, post));
  const volts = (view.solved.nominalV[plus ?? -1] ?? 0) - (view.solved.nominalV[minus ?? -1] ?? 0);
  const isReversed = volts < -0.5;
  const ends = (post: number | undefined) =>
    view.installation.conductors.some(({ at }) => at.A === post || at.B === post);
  if (!isReversed && !first) return [];
  const bare = !ends(plus) ? '+' : !ends(minus) ? '−' : null;
  const work = {
    formula: msg`a load needs a circuit from a source to it, and back`,
    substituted: [verbatim`U_nominal = ${amount(volts, 'V', 1)}`],
    source: msg`Kirchhoff’s laws`,
    assumes: '',
  };
  const because = isReversed
    ? msg`Its plus is on the negative side.`
    : bare
      ? msg`Nothing is on its ${bare} post.`
      : msg`It has no circuit to a source and back in ${listed(
          wrong.map(({ stateId }) => stateSays(view, stateId)),
          '; ',
        )}.`;
  return [
    about(
      stated(
        {
          ...facts('load-fed', load.id, msg`${load.name}, circuit out and back`, ['', 0], work),
          value: null,
          because,
          remedy: isReversed ? msg`Swap its two cables.` : msg`Add the cable that is missing.`,
        },
        'fails',
      ),
      { places: [load.id], stateId: first?.stateId ?? null },
    ),
  ];
}

/** That every load has a way out and back, in one line. */
function returning(
  loads: readonly { readonly load: PlaceOf<'load'>; readonly unfed: readonly SystemFinding[] }[],
): SystemFinding[] {
  if (loads.length === 0) return [];
  const without = loads.filter(({ unfed }) => unfed.length > 0).map(({ load }) => load);
  const count = loads.length - without.length;
  return [
    about(
      stated(
        {
          ...facts('loads-return', 'all', msg`Loads with a complete circuit`, ['', 0], {
            formula: msg`every load is reached from a source and comes back to it`,
            substituted: [msg`${count} of ${loads.length}`],
            source: msg`Kirchhoff’s laws`,
            assumes: '',
          }),
          value: count,
          because: msg`${count} of ${loads.length} loads.`,
        },
        without.length > 0 ? 'fails' : 'holds',
      ),
      { places: without.map(({ id }) => id) },
    ),
  ];
}

/** What is lost in copper, in the state that loses most. */
export function lossFindings(view: SystemView): SystemFinding[] {
  const [lost] = view.solved.states.toSorted((a, b) => b.lostInCopperW - a.lostInCopperW);
  if (!lost || lost.givenW <= 0) return [];
  return [
    about(
      stated(
        {
          ...facts('lost-in-copper', 'all', msg`Lost in cables`, ['W', 0], {
            formula: 'Σ I² · R',
            substituted: [
              msg`given ${numeral(lost.givenW, 0)} W, used ${numeral(lost.usedW, 0)} W, in cables ${numeral(lost.lostInCopperW, 0)} W, in devices and converters ${numeral(lost.lostElsewhereW, 0)} W`,
            ],
            source: KIRCHHOFF,
            assumes: '',
          }),
          value: lost.lostInCopperW,
          because: msg`${amount(lost.lostInCopperW, 'W', 0)} in ${stateSays(view, lost.stateId)}, the most of all states.`,
        },
        'holds',
      ),
      { stateId: lost.stateId },
    ),
  ];
}

/** States in which nothing gives, or in which some loads cannot run together. */
export function stateFindings(view: SystemView): SystemFinding[] {
  return view.solved.states.flatMap((solved): SystemFinding[] => {
    const state = view.stateOf(solved.stateId);
    if (!state) return [];
    const work = (formula: typeof KIRCHHOFF) => ({
      formula,
      substituted: [verbatim`${state.name}, ${lastsSays(state)}`],
      source: KIRCHHOFF,
      assumes: '',
    });
    if (solved.hasNoSource && view.installation.system.places.length > 0)
      return [
        about(
          stated(
            {
              ...facts(
                'state-source',
                state.id,
                msg`Source in ${state.name}`,
                ['', 0],
                work(msg`at least one battery or charger gives`),
              ),
              value: null,
              because: msg`Nothing gives in this state: there is no battery, and every charger is off.`,
              remedy: msg`Add a battery, or let a charger give.`,
            },
            'fails',
          ),
          { stateId: state.id },
        ),
      ];
    if (!solved.collapse) return [];
    const names = solved.collapse.map((id) => view.placeOf(id)?.name ?? id);
    return [
      about(
        stated(
          {
            ...facts(
              'state-collapse',
              state.id,
              msg`Loads together in ${state.name}`,
              ['', 0],
              work('I · (U − I · R) = P'),
            ),
            value: null,
            because:
              names.length === 1
                ? msg`${names[0]} needs more than can arrive: no current delivers it.`
                : msg`${allOf(names)} cannot run together: no current delivers what they take.`,
            remedy: msg`Use thicker or shorter cable, a stiffer battery, or fewer of them at once.`,
          },
          'fails',
        ),
        { places: solved.collapse, stateId: state.id },
      ),
    ];
  });
}
