import { atMost, stated } from '../finding/finding.ts';
import type { HousePractice } from '../model/housePractice.ts';
import type { Place, PlaceOf } from '../model/system.ts';
import { PLACE_POSTS, POST_SIGNS, type PostName } from '../model/tables/places.ts';
import { CUSTOMARY_CHASSIS_MILLIOHM } from '../model/tables/sources.ts';
import { amount, listed, msg, numeral, verbatim } from '../words/message.ts';
import { groupsOf } from '../lib/groups.ts';
import { type Bank, bankShare, bankWays } from './banks.ts';
import { about, bondSays, facts, stateSays, type SystemFinding } from './findingParts.ts';
import { batteryOhm, jointsIn } from './installation.ts';
import { conductorNetsOf, netsOf } from './protection.ts';
import type { SystemView } from './view.ts';

/** A bank whose strings share worse than this is to be watched, and worse than that fails; a shop may set both. */
export const USUAL_SPREAD = { watch: 1.1, most: 1.25 } as const;
/** Nominal volts that differ by more than this share are not the same. */
const UNLIKE_SHARE = 0.06;
/** A charger's volts over those of the battery by name: outside it is made for another voltage. */
const CHARGER_OVER = { least: 0.95, most: 1.35 } as const;

/** How parallel batteries share, in the state in which they share worst. */
function bankOf(view: SystemView, bank: Bank, practice: HousePractice): SystemFinding[] {
  const most = practice.spreadMost ?? USUAL_SPREAD.most;
  const watched = Math.min(most, practice.spreadWatched ?? USUAL_SPREAD.watch);
  const shares = view.solved.states.flatMap((state) => bankShare(view.solved, state, bank) ?? []);
  const [worst] = shares.toSorted((a, b) => b.spread - a.spread);
  const batteries = bank.strings.flat();
  const names = bank.strings.map(([first]) => first?.name ?? '');
  if (!worst) return [];
  const ways = bankWays(view.installation, bank, worst.totalA);
  const isMixed = !Number.isFinite(worst.spread);
  const base = facts('bank-share', batteries[0]?.id ?? '', msg`${names[0]}, share in its bank`, ['', 2], {
    formula: msg`the most that one gives ÷ the least`,
    substituted: [
      ...names.map((name, i) => verbatim`${name}: ${amount(worst.amps[i] ?? 0, 'A', 1)}`),
      ...(ways
        ? [
            msg`taken off across the bank ${ratio(ways.across)}, equal links ${ratio(ways.equalLinks)}, a bar for each pole ${ratio(ways.bars)}`,
          ]
        : []),
    ],
    source: msg`nodal analysis of the bank with its links`,
    assumes: msg`batteries at rest at the volts given, each with its own resistance`,
  });
  const points = { places: batteries.map(({ id }) => id), stateId: worst.stateId };
  const better = ways && ways.across < ways.asItIs - 0.005;
  const remedy = better
    ? msg`Take off across the bank, plus at one end and minus at the other: ${ratio(ways.across)}.`
    : msg`Make all links alike, or put each battery on a bar: ${ratio(ways?.bars ?? 1)}.`;
  if (isMixed)
    return [
      about(
        stated(
          {
            ...base,
            value: null,
            because: msg`In ${stateSays(view, worst.stateId)} one battery charges another: they are not at the same volts.`,
            remedy: msg`Bring them to the same state of charge, or do not join them.`,
          },
          'fails',
        ),
        points,
      ),
    ];
  const state = worst.spread > most ? 'fails' : worst.spread > watched ? 'watch' : 'holds';
  const finding = atMost(
    {
      ...base,
      value: worst.spread,
      because: msg`In ${stateSays(view, worst.stateId)} the most loaded gives ${numeral(worst.spread, 2)} times the least.`,
      ...(state !== 'holds' && { remedy }),
    },
    most,
    1,
    state,
  );
  return [about(finding, points)];
}

const ratio = (spread: number) => (Number.isFinite(spread) ? numeral(spread, 2) : msg`none`);

/** Batteries and chargers of unlike volts on the same two conductors. */
function unlike(view: SystemView): SystemFinding[] {
  const nets = netsOf(view.installation);
  const sources = view.installation.system.places.flatMap((place) => {
    if (place.kind !== 'battery' && place.kind !== 'supply' && place.kind !== 'dcdc') return [];
    const [plus, minus]: readonly PostName[] =
      place.kind === 'dcdc' ? ['out-plus', 'out-minus'] : ['plus', 'minus'];
    const net = (post: PostName | undefined) => nets[view.postOf(place.id, post ?? 'plus')];
    return [{ place, key: `${net(plus)} ${net(minus)}` }];
  });
  const batteries = sources.filter(
    (own): own is typeof own & { place: PlaceOf<'battery'> } => own.place.kind === 'battery',
  );
  const seen = new Set<string>();
  return batteries.flatMap(({ place, key }) =>
    sources.flatMap(({ place: other, key: its }): SystemFinding[] => {
      if (other === place || its !== key || seen.has(`${other.id} ${place.id}`)) return [];
      seen.add(`${place.id} ${other.id}`);
      const isLike =
        other.kind === 'battery'
          ? Math.abs(other.nominalV - place.nominalV) <= UNLIKE_SHARE * place.nominalV
          : other.volts >= CHARGER_OVER.least * place.nominalV &&
            other.volts <= CHARGER_OVER.most * place.nominalV;
      if (isLike) return [];
      const volts = other.kind === 'battery' ? other.nominalV : other.volts;
      return [
        about(
          stated(
            {
              ...facts(
                'unlike-volts',
                `${place.id}-${other.id}`,
                msg`${place.name} with ${other.name}`,
                ['V', 1],
                {
                  formula: msg`what stands on the same conductors has the same volts`,
                  substituted: [
                    verbatim`${place.name} ${amount(place.nominalV, 'V', 1)}, ${other.name} ${amount(volts, 'V', 1)}`,
                  ],
                  source: msg`what is given for both`,
                  assumes: '',
                },
              ),
              value: volts,
              because: msg`${amount(volts, 'V', 1)} on a battery of ${amount(place.nominalV, 'V', 1)}.`,
              remedy: msg`Separate them, or correct the volts of one.`,
            },
            'fails',
          ),
          { places: [place.id, other.id] },
        ),
      ];
    }),
  );
}

/** Bars, switches, relays and shunts against their rating, in the state that asks most. */
function rated(view: SystemView, place: Place, index: number): SystemFinding[] {
  const isRatable =
    place.kind === 'bar' || place.kind === 'switch' || place.kind === 'relay' || place.kind === 'shunt';
  if (!isRatable) return [];
  const flows = view.solved.states.map(({ stateId, places }) => ({
    stateId,
    amps: Math.abs(places[index]?.amps ?? 0),
  }));
  const [most] = flows.toSorted((a, b) => b.amps - a.amps);
  if (!most || most.amps < 0.05) return [];
  const base = facts('place-rated', place.id, msg`${place.name}, current`, ['A', 1], {
    formula:
      place.kind === 'bar' ? msg`all that feeds it ≤ its rating` : msg`current through it ≤ its rating`,
    substituted: flows.map(
      ({ stateId, amps }) => verbatim`${stateSays(view, stateId)}: ${amount(amps, 'A', 1)}`,
    ),
    source: msg`nodal analysis; the rating is its own sheet’s`,
    assumes: msg`a short state counts as if it were continuous`,
  });
  const points = { places: [place.id], stateId: most.stateId };
  if (place.ratingA === undefined) {
    // A stud is sized by its thread; only a bar or a device has a rating.
    if (place.kind === 'bar' && (place.stud !== undefined || place.studId !== undefined)) return [];
    return [
      about(
        stated(
          {
            ...base,
            value: most.amps,
            because: msg`${amount(most.amps, 'A', 1)} in ${stateSays(view, most.stateId)}; its rating is not given.`,
            remedy: msg`Enter its rating.`,
          },
          'unproved',
        ),
        points,
      ),
    ];
  }
  return [
    about(
      atMost(
        {
          ...base,
          value: most.amps,
          because: msg`${amount(most.amps, 'A', 1)} in ${stateSays(view, most.stateId)}, rated ${numeral(place.ratingA, 0)} A.`,
          ...(most.amps > place.ratingA && { remedy: msg`Use one that is rated for it.` }),
        },
        place.ratingA,
      ),
      points,
    ),
  ];
}

const MISSING_WORK = {
  formula: msg`both ends of everything are on something`,
  substituted: [],
  source: msg`the places and cables given`,
  assumes: '',
};

/** Posts that nothing is on. */
function barePlaces(view: SystemView): SystemFinding[] {
  const { installation } = view;
  const used = new Set([
    ...installation.conductors.flatMap(({ at }) => [at.A, at.B]),
    ...jointsIn(installation).flatMap(({ from, to }) => [from, to]),
  ]);
  return installation.system.places.flatMap((place): SystemFinding[] => {
    const posts: readonly PostName[] = PLACE_POSTS[place.kind];
    const empty = posts.filter((post) => !used.has(view.postOf(place.id, post)));
    if (empty.length === 0) return [];
    const isWhole = empty.length === posts.length;
    return [
      about(
        stated(
          {
            ...facts('place-empty', place.id, msg`${place.name}, cables on it`, ['', 0], MISSING_WORK),
            value: null,
            because: isWhole
              ? msg`No cable is on it.`
              : msg`Nothing is on ${listed(
                  empty.map((post) => POST_SIGNS[post]),
                  ', ',
                )}.`,
            remedy: isWhole ? msg`Add its cables, or remove it.` : msg`Add the cable that is missing.`,
          },
          'watch',
        ),
        { places: [place.id] },
      ),
    ];
  });
}

/** Cables that are on no place. */
function looseCables(view: SystemView): SystemFinding[] {
  const { installation } = view;
  return installation.loose.map((cable) =>
    about(
      stated(
        {
          ...facts('cable-loose', cable.id, msg`${cable.tag}, places of its ends`, ['', 0], MISSING_WORK),
          value: null,
          because: msg`It is not part of the system: an end is on no place.`,
          remedy: msg`Enter what its ends are on, in Ends.`,
        },
        'watch',
      ),
      { cables: [cable.id] },
    ),
  );
}

/** Grounds whose joining metal was never measured. */
function unmeasured(view: SystemView): SystemFinding[] {
  const { installation } = view;
  return installation.system.bonds
    .filter(({ milliohm }) => milliohm === undefined)
    .map((bond) =>
      about(
        stated(
          {
            ...facts('bond-known', bond.id, msg`${bondSays(view, bond.id)}, resistance`, ['mΩ', 1], {
              ...MISSING_WORK,
              formula: msg`chassis or hull with its straps, as measured`,
            }),
            value: null,
            because: msg`It is not given; the customary ${numeral(CUSTOMARY_CHASSIS_MILLIOHM, 0)} mΩ of a sound one stands for it.`,
            remedy: msg`Measure it with its straps, and enter it.`,
          },
          'unproved',
        ),
        { places: [bond.a, bond.b] },
      ),
    );
}

/** A that a clamp round both conductors tells from nothing. */
const CLAMP_A = 0.1;

/** Currents that return through metal beside a conductor: the amps by cable out and back then differ. */
function besides(view: SystemView): SystemFinding[] {
  const { installation } = view;
  const joints = jointsIn(installation);
  const count = installation.posts.length;
  // Each net of conductors is a thing of its own that its posts are joined to.
  const byConductors = conductorNetsOf(installation).map((net, post) => [post, count + net] as const);
  return joints.flatMap((joint): SystemFinding[] => {
    const byMetal = joints.filter((other) => other !== joint).map(({ from, to }) => [from, to] as const);
    const without = groupsOf(2 * count, [...byConductors, ...byMetal]);
    if (without[joint.from] !== without[joint.to]) return [];
    const flows = view.solved.states.map(({ stateId, volts }) => ({
      stateId,
      amps: Math.abs((volts[joint.from] ?? 0) - (volts[joint.to] ?? 0)) / joint.ohm,
    }));
    const [most] = flows.toSorted((a, b) => b.amps - a.amps);
    if (!most || most.amps < CLAMP_A) return [];
    const places = [joint.from, joint.to].map((post) => installation.posts[post]?.place ?? '');
    return [
      about(
        stated(
          {
            ...facts(
              'return-beside',
              joint.id,
              msg`${bondSays(view, joint.id)}, current through it`,
              ['A', 1],
              {
                formula: msg`current out by cable − current back by cable`,
                substituted: flows.map(
                  ({ stateId, amps }) => verbatim`${stateSays(view, stateId)}: ${amount(amps, 'A', 1)}`,
                ),
                source: msg`nodal analysis of the cables with the metal beside them`,
                assumes: joint.isCustomary
                  ? msg`the customary ${numeral(CUSTOMARY_CHASSIS_MILLIOHM, 0)} mΩ of a sound chassis or hull`
                  : '',
              },
            ),
            value: most.amps,
            because: msg`In ${stateSays(view, most.stateId)} this much returns through the metal and not through its cable: positive and negative differ by it.`,
            remedy: msg`Join the metal to the negative at one point only. On a hull such a current corrodes.`,
          },
          'watch',
        ),
        { places, stateId: most.stateId },
      ),
    ];
  });
}

/** Batteries of which nothing is known. */
function unknownBatteries(view: SystemView): SystemFinding[] {
  const { installation } = view;
  return installation.system.places.flatMap((place) =>
    place.kind === 'battery' && batteryOhm(place) === null
      ? [
          about(
            stated(
              {
                ...facts('bank-known', place.id, msg`${place.name}, resistance`, ['mΩ', 2], {
                  ...MISSING_WORK,
                  formula: msg`U_load = U_rest − I · R_battery`,
                }),
                value: null,
                because: msg`Nothing is known of its resistance: its volts under load and its short are not.`,
                remedy: msg`Enter its resistance, its cells or its capacity.`,
              },
              'unproved',
            ),
            { places: [place.id] },
          ),
        ]
      : [],
  );
}

/** Chargers that give in every state in which something runs: what the battery alone does is then not looked at. */
function alwaysOn(view: SystemView): SystemFinding[] {
  const { system } = view.installation;
  const loads = system.places.flatMap(({ kind }, i) => (kind === 'load' ? [i] : []));
  const running = view.solved.states.filter(({ places }) => loads.some((i) => (places[i]?.amps ?? 0) > 0));
  const hasBattery = system.places.some(({ kind }) => kind === 'battery');
  if (running.length === 0 || !hasBattery) return [];
  return system.places.flatMap((place, i): SystemFinding[] => {
    if (place.kind !== 'supply' || running.some(({ places }) => !((places[i]?.amps ?? 0) > 0))) return [];
    return [
      about(
        stated(
          {
            ...facts('charger-always', place.id, msg`${place.name}, a state without it`, ['', 0], {
              formula: msg`loads are also checked with the charger off`,
              substituted: running.map(({ stateId }) => stateSays(view, stateId)),
              source: msg`the states given`,
              assumes: '',
            }),
            value: null,
            because: msg`It gives in every state in which something runs: the drop on the battery alone is not checked.`,
            remedy: msg`Add a state in which it is off.`,
          },
          'watch',
        ),
        { places: [place.id] },
      ),
    ];
  });
}

/** What is found about places and banks. */
export const placeFindings = (view: SystemView, practice: HousePractice): SystemFinding[] => [
  ...view.banks.flatMap((bank) => bankOf(view, bank, practice)),
  ...unlike(view),
  ...view.installation.system.places.flatMap((place, index) => rated(view, place, index)),
  ...barePlaces(view),
  ...looseCables(view),
  ...unmeasured(view),
  ...besides(view),
  ...unknownBatteries(view),
  ...alwaysOn(view),
];
