import type { Join } from '../model/end.ts';
import type { Lug, Shop, Sleeve } from '../model/shop.ts';
import { crimpsThatFit } from './dies/crimpLayout.ts';
import { bestDie, dieOffer, type DieOffer, dieOffers } from './dies/dieOffers.ts';
import { boreFill, fillVerdict } from './lugs/lugOnCable.ts';
import type { EndConductor } from './resolveEnd.ts';
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
}

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
        Math.abs(0.62 - boreFill(copperMm2, a.boreMm)) - Math.abs(0.62 - boreFill(copperMm2, b.boreMm)),
    );
}

/** Decides a join: what is said, else the best the shop has. A branch lies in one barrel with the cable. */
export function resolveJoin(spec: Join, conductor: EndConductor, shop: Shop): ResolvedJoin {
  const toolCase = openCase(shop);
  const copperMm2 = conductor.copperMm2 + (spec.kind === 'branch' ? (spec.branchMm2 ?? 0) : 0);
  const connector =
    shop.lugs.find(({ id }) => id === spec.connectorId) ?? connectorsFor(shop.lugs, copperMm2)[0] ?? null;
  const said = toolCase.dies.find(({ die }) => die.id === spec.dieId);
  const die =
    connector &&
    (said
      ? dieOffer(connector, copperMm2, said, toolCase.lugs)
      : bestDie(dieOffers(connector, copperMm2, toolCase), 1));
  const sleeveTask = connector && {
    passMm: Math.max(conductor.outerMm, connector.outerMm),
    gripMm: Math.min(conductor.outerMm, die?.parts.acrossFlatsMm ?? connector.outerMm),
  };
  const sleeve =
    shop.sleeves.find(({ id }) => id === spec.sleeveId) ??
    (sleeveTask ? bestSleeve(sleeveOffers(shop.sleeves, sleeveTask)) : null);
  const title = spec.kind === 'butt' ? msg`In-line butt` : msg`Branch`;
  return { spec, title, copperMm2, connector, die, sleeveTask, sleeve };
}

/** Crimps of its die that each side of a connector takes. */
export const crimpsASide = (connector: Lug, die: DieOffer) =>
  crimpsThatFit(connector.barrelMm, die.die.widthMm);
