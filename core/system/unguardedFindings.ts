import { atMost, stated } from '../finding/finding.ts';
import { FUSE_PLACES } from '../model/tables/fuses.ts';
import { SHORT_ONLY_UP_TO } from '../sizing/fuse.ts';
import { amount, allOf, msg, numeral } from '../words/message.ts';
import {
  about,
  facts,
  guardSays,
  keyPart,
  type LimitsOf,
  pointsOf,
  type SystemFinding,
} from './findingParts.ts';
import { type Guard, guardRatingA, isLink } from './protection.ts';
import { guardsOf, isStarter, type SystemView } from './view.ts';

/** What a battery can feed without meeting a fuse. */
export function unguarded(view: SystemView): SystemFinding[] {
  const name = (id: string) => view.placeOf(id)?.name ?? id;
  return [...guardsOf(view)].flatMap(([cableId, { fed }]): SystemFinding[] => {
    const conductor = view.conductorOf(cableId);
    const bare = fed.filter(({ guard, leadsTo }) => guard === null && leadsTo.length === 0);
    const [first] = bare;
    if (!conductor || !first || isLink(view.installation, conductor)) return [];
    const starter = isStarter(view, cableId);
    const sources = [...new Set(bare.map(({ sourceId }) => name(sourceId)))];
    const { mostMm } = FUSE_PLACES.near;
    return [
      about(
        stated(
          {
            ...facts('unfused', cableId, msg`${conductor.cable.tag} has no fuse`, ['mm', 0], {
              formula: msg`every conductor that a battery can feed lies behind a fuse`,
              substituted: bare.map(
                ({ sourceId, distanceMm }) =>
                  msg`${name(sourceId)} reaches it over ${amount(distanceMm, 'mm', 0)} of conductor without a fuse`,
              ),
              source: msg`small-craft practice; found by walking from every battery`,
              assumes: msg`every switch closed`,
            }),
            value: null,
            because: starter
              ? msg`${allOf(sources)} feeds it without a fuse, as is customary for a starter.`
              : msg`${allOf(sources)} feeds it, and nothing opens on a short.`,
            remedy: starter
              ? msg`Protect it by its path: short, sheathed, clear of anything that can chafe through.`
              : msg`Put a fuse at the end that the battery feeds, at most ${amount(mostMm, 'mm', 0)} along the conductor.`,
          },
          starter ? 'watch' : 'fails',
        ),
        { cables: [cableId] },
      ),
    ];
  });
}

/** How far the first fuse of each battery stands from it. */
export function firstFuses(view: SystemView): SystemFinding[] {
  const name = (id: string) => view.placeOf(id)?.name ?? id;
  return view.protection.first.map(({ sourceId, guard, distanceMm, mostMm, place }) =>
    about(
      atMost(
        {
          ...facts(
            'first-fuse',
            `${sourceId}-${keyPart(guard)}`,
            msg`${guardSays(view, guard)}, from ${name(sourceId)}`,
            ['mm', 0],
            {
              formula: msg`conductor from the battery to its first fuse ≤ the placement rule`,
              substituted: [msg`${FUSE_PLACES[place].title}: at most ${amount(mostMm, 'mm', 0)}`],
              source: msg`small-craft practice`,
              assumes: msg`measured along the conductor, loops included`,
            },
          ),
          value: distanceMm,
          ...(distanceMm > mostMm && {
            remedy: msg`Move the fuse nearer to the battery, or sheath the stretch before it and enter that at the fuse.`,
          }),
        },
        mostMm,
      ),
      { ...pointsOf(guard), places: [sourceId, ...(guard.kind === 'place' ? [guard.place.id] : [])] },
    ),
  );
}

/** The fuse whose amps a cable must be allowed; null where none guards it, and for a link within a bank, before any fuse. */
export function fuseOver(view: SystemView, cableId: string): Guard | null {
  const guard = guardsOf(view).get(cableId)?.guard ?? null;
  const conductor = view.conductorOf(cableId);
  const isOwn = guard?.kind === 'inline' && guard.cableId === cableId;
  return conductor && !isOwn && isLink(view.installation, conductor) ? null : guard;
}

/** Every conductor behind a fuse must be allowed that fuse's amps. */
export function underFuse(view: SystemView, limitsOf: LimitsOf): SystemFinding[] {
  return [...guardsOf(view).keys()].flatMap((cableId): SystemFinding[] => {
    const cable = view.cableOf(cableId);
    const guard = fuseOver(view, cableId);
    if (!guard || !cable) return [];
    const limits = limitsOf(cableId);
    const ratingA = guardRatingA(guard);
    const title = msg`${cable.tag} under ${guardSays(view, guard)}`;
    const points = { cables: [cableId], ...(guard.kind === 'place' && { places: [guard.place.id] }) };
    const work = {
      formula: msg`rating ≤ ampacity of the conductor`,
      substituted: [
        !limits || limits.allowedA === null
          ? msg`no method switched on gives an ampacity`
          : msg`rating ${numeral(ratingA, 0)} A, ampacity ${amount(limits.allowedA, 'A', 0)}`,
      ],
      source: msg`small-craft practice; the strictest of the methods switched on`,
      assumes: msg`the worst of all sources that can feed it; the fuse carries its rating continuously`,
    };
    const base = facts('under-fuse', cableId, title, ['A', 0], work);
    if (!limits || limits.allowedA === null)
      return [
        about(stated({ ...base, value: null, because: msg`Its ampacity is not known.` }, 'unproved'), points),
      ];
    const finding = atMost(
      {
        ...base,
        value: ratingA,
        ...(ratingA > limits.allowedA && {
          because: msg`It is allowed ${amount(limits.allowedA, 'A', 0)}: it burns before this fuse opens.`,
          remedy: msg`Give it a fuse of its own of at most ${amount(limits.allowedA, 'A', 0)} where it begins, or a thicker cable.`,
        }),
      },
      limits.allowedA,
    );
    if (finding.state !== 'fails' || ratingA > SHORT_ONLY_UP_TO * limits.allowedA)
      return [about(finding, points)];
    return [
      about(
        {
          ...finding,
          state: 'unproved',
          because: msg`Over its ampacity, up to ${numeral(SHORT_ONLY_UP_TO, 1)} times: the fuse protects it against a short circuit only.`,
        },
        points,
      ),
    ];
  });
}
