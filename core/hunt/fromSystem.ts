import type { CableWork } from '../cableWork.ts';
import type { Piece } from '../model/hunt.ts';
import { MOST } from '../model/limits.ts';
import type { Place } from '../model/system.ts';
import type { ChainPieceKind } from '../model/tables/chainPieces.ts';
import { LONGEST_NAME } from '../model/text.ts';
import type { LoadDrop } from '../system/path.ts';
import { postTitle } from '../system/places.ts';
import type { SystemView } from '../system/view.ts';
import { say } from '../words/say.ts';

/** What a place is as a piece of a chain; nothing of it is probed where it is only a post of what it feeds. */
const KIND_OF: Readonly<Partial<Record<Place['kind'], ChainPieceKind>>> = {
  fuse: 'fuse',
  breaker: 'breaker',
  switch: 'switch',
  relay: 'switch',
  shunt: 'shunt',
  bar: 'busbar',
  ground: 'chassis',
};

/**
 * The chain of a load by the way that the system traces it: from the post of its source along cables, lugs and devices to
 * the load, and back. Cables that several loads share are in it like its own.
 *
 * @param workOf what the bench says of a cable
 */
export function chainOfLoad(
  view: SystemView,
  drop: LoadDrop,
  workOf: (cableId: string) => CableWork | undefined,
  newId: () => string,
): Piece[] {
  const { posts } = view.installation;
  const isBackFrom = drop.shares.findIndex(({ from }) => posts[from]?.place === drop.loadId);
  const pieces: Piece[] = [];
  const add = (kind: ChainPieceKind, title: string, side: Piece['side'], more: Partial<Piece> = {}) =>
    pieces.push({ id: newId(), kind, title: title.slice(0, LONGEST_NAME), side, ...more });
  const called = (post: number) => {
    const own = posts[post];
    return own ? postTitle(own.at, own.post) : '';
  };
  const first = drop.shares[0];
  if (first) add('post', say`Post ${called(first.from)}`, 'out');
  drop.shares.forEach(({ of: stands, from, to }, i) => {
    const side: Piece['side'] = isBackFrom >= 0 && i >= isBackFrom ? 'back' : 'out';
    if (stands.kind === 'cable') {
      const cable = view.cableOf(stands.id);
      const work = workOf(stands.id);
      const conductor = view.conductorOf(stands.id);
      if (!cable) return;
      const [near, far] = conductor?.at.A === from ? (['A', 'B'] as const) : (['B', 'A'] as const);
      add('lug', say`${cable.tag} lug ${near}`, side, { ofCable: cable.id, ofEnd: near });
      add('cable', cable.tag, side, {
        ofCable: cable.id,
        ...(work && {
          size: work.choice.taken.at.size,
          tinned: work.kind.tinned,
          lengthMm: work.lengths?.finishedMm ?? cable.run.lengthMm,
        }),
      });
      add('lug', say`${cable.tag} lug ${far}`, side, { ofCable: cable.id, ofEnd: far });
      const meeting = posts[to]?.at;
      const next = drop.shares[i + 1];
      // A bar or ground that the way goes through from cable to cable.
      const kind =
        meeting && (meeting.kind === 'bar' || meeting.kind === 'ground') ? KIND_OF[meeting.kind] : undefined;
      if (kind && meeting && next?.of.kind === 'cable')
        add(kind === 'chassis' ? 'stud' : kind, meeting.name, side);
      return;
    }
    if (stands.kind === 'place') {
      const place = view.placeOf(stands.id);
      const kind = place && KIND_OF[place.kind];
      if (place && kind) add(kind, place.name, side);
      return;
    }
    add('chassis', posts[to]?.at.name ?? say`chassis`, side);
  });
  const last = drop.shares.at(-1);
  if (last) add('post', say`Post ${called(last.to)}`, 'back');
  return pieces.slice(0, MOST.pieces);
}

/** The drop of a load that a hunt begins from: where it loses the largest share. */
export const worstDropOf = ({ drops }: SystemView, loadId: string): LoadDrop | undefined =>
  drops.filter((drop) => drop.loadId === loadId).toSorted((a, b) => b.dropPercent - a.dropPercent)[0];
