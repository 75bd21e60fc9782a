import type { Join } from '../model/end.ts';
import type { Lug, Shop, Sleeve } from '../model/shop.ts';
import { crimpsThatFit } from './dies/crimpLayout.ts';
import { bestDie, dieOffer, type DieOffer, dieOffers } from './dies/dieOffers.ts';
import { boreFill, fillVerdict } from './lugs/lugOnCable.ts';
import type { EndConductor } from './resolveEnd.ts';
import type { MouldedId } from '../model/tables/moulded.ts';
import { branchOuterMm, mouldedFor, type MouldedTask } from './sleeves/moulded.ts';
import type { SleeveTask } from './sleeves/sleeve.ts';
import { bestSleeve, sleeveOffers } from './sleeves/sleeveOffers.ts';
import { openCase } from './dies/toolCase.ts';
import { type Message, msg } from '../words/message.ts';

/** A join with everything decided or proposed: a connector, one die for its two crimps, a sleeve over all. */
export interface ResolvedJoin {
  readonly spec: Join;
  readonly title: Message;
  /** Copper that the fuller of its two barrels takes, mm². */
  readonly copperMm2: number;
  readonly connector: Lug | null;
  readonly die: DieOffer | null;
  readonly sleeveTask: SleeveTask | null;
  readonly sleeve: Sleeve | null;
  /** What seals a branch instead of a sleeve; null where none of the customary parts does. Absent where none is asked. */
  readonly moulded?: MouldedId | null;
  readonly mouldedTask?: MouldedTask;
}

const COVER_RANK: readonly Lug['cover'][] = [undefined, 'sealed', 'solder ring'];

/** Connectors on the shelf that a join could use, the best first: copper, and filled as they should be. */
export function connectorsFor(lugs: readonly Lug[], copperMm2: number): Lug[] {
  return lugs
    .filter(
      ({ form, metal, boreMm, flared }) =>
        form === 'butt' &&
        metal === 'copper' &&
        !['cannot-enter', 'wrong-lug'].includes(fillVerdict(boreFill(copperMm2, boreMm), flared)),
    )
    .sort(
      (a, b) =>
        // What can be measured comes before what is crimped under a jacket, and a ring of solder last.
        COVER_RANK.indexOf(a.cover) - COVER_RANK.indexOf(b.cover) ||
        Math.abs(0.62 - boreFill(copperMm2, a.boreMm)) - Math.abs(0.62 - boreFill(copperMm2, b.boreMm)),
    );
}

/** Decides a join: what is said, else the best the shop has. A branch lies in one barrel with the cable. */
export function resolveJoin(spec: Join, conductor: EndConductor, shop: Shop): ResolvedJoin {
  const toolCase = openCase(shop);
  const copperMm2 = conductor.copperMm2 + (spec.kind === 'branch' ? (spec.branchMm2 ?? 0) : 0);
  const connector =
    shop.lugs.find(({ id }) => id === spec.connectorId) ??
    connectorsFor(shop.lugs, copperMm2).find(({ cover }) => cover !== 'solder ring') ??
    null;
  const said = toolCase.dies.find(({ die }) => die.id === spec.dieId);
  const die =
    !connector || connector.cover === 'solder ring'
      ? null
      : said
        ? dieOffer(connector, copperMm2, said, toolCase.lugs)
        : bestDie(dieOffers(connector, copperMm2, toolCase), 1);
  const mouldedTask = connector && spec.kind === 'branch' ? mouldedTaskOf(spec, conductor, connector) : null;
  const isCovered = connector?.cover !== undefined || mouldedTask !== null;
  const sleeveTask =
    connector && !isCovered
      ? {
          passMm: Math.max(conductor.outerMm, connector.outerMm),
          gripMm: Math.min(conductor.outerMm, die?.parts.acrossFlatsMm ?? connector.outerMm),
        }
      : null;
  const sleeve =
    (isCovered ? null : shop.sleeves.find(({ id }) => id === spec.sleeveId)) ??
    (sleeveTask ? bestSleeve(sleeveOffers(shop.sleeves, sleeveTask)) : null);
  const title = spec.kind === 'butt' ? msg`In-line butt` : msg`Branch`;
  return {
    ...{ spec, title, copperMm2, connector, die, sleeveTask, sleeve },
    ...(mouldedTask && { mouldedTask, moulded: mouldedFor(mouldedTask) }),
  };
}

/** What a moulded part has to go over: connector and cable, and as legs the cable and its branches. */
function mouldedTaskOf(
  { legs, branchMm2 = 0 }: Join,
  { outerMm }: EndConductor,
  connector: Lug,
): MouldedTask | null {
  if (legs === undefined) return null;
  const branchMm = branchOuterMm(branchMm2 / (legs - 1));
  return {
    legs,
    passMm: Math.max(outerMm, connector.outerMm),
    gripMm: outerMm,
    legPassMm: Math.max(outerMm, branchMm),
    legGripMm: Math.min(outerMm, branchMm),
  };
}

/** Crimps of its die that each side of a connector takes. */
export const crimpsASide = (connector: Lug, die: DieOffer) =>
  crimpsThatFit(connector.barrelMm, die.die.widthMm);
