import type { Cable } from '../model/cable.ts';
import { MOST, RUN_LENGTH_MM } from '../model/limits.ts';
import type { Job } from '../model/job.ts';
import { newCable } from '../model/newCable.ts';
import { SYSTEM_INPUTS } from '../model/run.ts';
import type { Shop } from '../model/shop.ts';
import type { Place } from '../model/system.ts';
import { PLACE_POSTS, POST_SIGNS, type PostName } from '../model/tables/places.ts';
import { FUSE_PLACES } from '../model/tables/fuses.ts';
import { parseQuantity } from '../model/units/quantity.ts';
import { type Message, msg } from '../words/message.ts';
import { withSystem } from './edits.ts';
import { idFor, kindOfName, newPlace, postTitle, splitSign, withPlaces } from './places.ts';

/** A piece of a chain: a place that there is, or one that it makes. */
export interface ChainPiece {
  readonly place: Place;
  readonly isNew: boolean;
  /** The posts that the chain comes in at and goes on from. */
  readonly into: PostName;
  readonly onFrom: PostName;
}

/** A chain as it was understood, or which piece was not and why. */
export type Chain =
  | { readonly ok: true; readonly pieces: readonly ChainPiece[]; readonly cables: readonly ChainCable[] }
  | { readonly ok: false; readonly piece: string; readonly because: Message };

/** A cable that a chain makes. */
export interface ChainCable {
  readonly tag: string;
  readonly from: { readonly place: string; readonly post: PostName; readonly called: string };
  readonly to: { readonly place: string; readonly post: PostName; readonly called: string };
  readonly lengthMm: number;
  readonly polarity: Cable['polarity'];
}

const refuse = (piece: string, because: Message): Chain => ({ ok: false, piece, because });

/** A chain's length where none is typed, mm. */
const USUAL_LENGTH_MM = 1000;
/** A cable up to the fuse of a branch stays within what is permitted before it. */
const TO_FUSE_MM = FUSE_PLACES.near.mostMm - 25;
const SEPARATOR = /\s*(?:·|→|>|;|\|)\s*/u;
const FIGURE = /(\d+(?:[.,]\d+)?)\s*(kW|W|A|mΩ|mohm|mOhm|V)?(?![\w])/gu;
/** A name may end in a number of its own: "Battery 2", "Fuse F1". Only what has a unit, or follows a kind, is a figure. */
const BARE_FIGURE =
  /^(?:fuse|breaker|switch|isolator|shunt|relay|bar|bus bar|zekering|schakelaar)\s+(\d+)$/iu;

interface Figures {
  readonly amps?: number;
  readonly watts?: number;
  readonly milliohm?: number;
  readonly volts?: number;
}

function figuresIn(text: string): { readonly name: string; readonly figures: Figures } {
  let figures: Figures = {};
  const bare = BARE_FIGURE.exec(text);
  const name = text.replaceAll(FIGURE, (whole, number: string, unit: string | undefined) => {
    const value = Number(number.replace(',', '.'));
    if (unit === undefined && !bare) return whole;
    const by = unit?.toLowerCase();
    figures = {
      ...figures,
      ...(by === 'kw' && { watts: value * 1000 }),
      ...(by === 'w' && { watts: value }),
      ...((by === undefined || by === 'a') && { amps: value }),
      ...((by === 'mω' || by === 'mohm') && { milliohm: value }),
      ...(by === 'v' && { volts: value }),
    };
    return '';
  });
  return { name: name.replaceAll(/\s+/g, ' ').trim(), figures };
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A new name of its kind: "Fuse F2" after "Fuse F1". */
function freeName(stem: string, places: readonly Place[]): string {
  for (let n = 1; ; n += 1) {
    const name = `${stem}${n}`;
    if (!places.some((place) => same(place.name, name))) return name;
  }
}

const STEMS: Readonly<Partial<Record<Place['kind'], string>>> = {
  fuse: 'Fuse F',
  breaker: 'Breaker B',
  switch: 'Isolator ',
  relay: 'Relay ',
  shunt: 'Shunt ',
  bar: 'Bar ',
};
const PLAIN = /^(fuse|breaker|switch|isolator|relay|shunt|bar|bus ?bar|zekering|schakelaar)$/iu;

/** A place that a piece describes; a message where it does not say enough. */
// oxlint-disable-next-line max-lines-per-function -- each kind of place with the figures that it takes
function madeOf(
  text: string,
  places: readonly Place[],
  ids: ReadonlySet<string>,
  nominalV: number,
): Place | Message {
  const { name, figures } = figuresIn(text);
  const { name: stem, pole } = splitSign(name);
  if (stem === '') return msg`Give it a name.`;
  const [named, sort] = kindOfName(stem);
  const takes = figures.watts !== undefined || figures.milliohm !== undefined;
  const kind =
    named === 'bar' && (takes || (figures.amps !== undefined && !/\bbar\b|bus|rail|stud/iu.test(stem)))
      ? 'load'
      : named;
  const isKnown = kind !== 'bar' || /\bbar\b|bus|rail|stud|terminal/iu.test(stem);
  if (!isKnown)
    return msg`No place has that name. To make one, give it a figure (“${stem} 40 A”) or its kind (“fuse 60”, “bar”).`;
  const stemOfKind = STEMS[kind];
  // A bar of one pole has it in its name: "Bus +" and "Bus −" are two.
  const signed = kind === 'bar' && pole !== null ? `${stem} ${POST_SIGNS[pole]}` : stem;
  const called = stemOfKind && signed === stem && PLAIN.test(stem) ? freeName(stemOfKind, places) : signed;
  if (places.some((place) => same(place.name, called))) return msg`There is a ${called} already.`;
  const place = newPlace(idFor(called, ids), called, [
    kind,
    kind === 'load' && named === 'bar' ? 'other' : sort,
  ]);
  const within = (value: number | undefined, least: number, most: number) =>
    value === undefined || (value >= least && value <= most);
  switch (place.kind) {
    case 'load': {
      if (
        !within(figures.amps, 0, 5000) ||
        !within(figures.watts, 0, 1e6) ||
        !within(figures.milliohm, 0.1, 1e6)
      )
        return msg`Its figure is out of range.`;
      if (figures.watts !== undefined)
        return {
          ...place,
          draws: {
            kind: 'watts',
            watts: figures.watts,
            efficiencyPercent: place.look === 'inverter' ? 90 : 100,
          },
        };
      if (figures.milliohm !== undefined)
        return { ...place, draws: { kind: 'milliohm', milliohm: figures.milliohm } };
      if (figures.amps === undefined) return msg`Give what it draws: amps, watts or milliohms.`;
      return { ...place, draws: { kind: 'amps', amps: figures.amps } };
    }
    case 'fuse':
    case 'breaker':
      if (figures.amps === undefined) return msg`Give its rating: “${stem} 100”.`;
      if (!within(figures.amps, 1, 2000)) return msg`A rating is from 1 to 2000 A.`;
      return { ...place, ratingA: figures.amps };
    case 'switch':
    case 'relay':
    case 'shunt':
    case 'bar':
      if (!within(figures.amps, 0.1, 20000)) return msg`Its rating is out of range.`;
      return figures.amps === undefined ? place : { ...place, ratingA: figures.amps };
    case 'supply':
      if (figures.amps === undefined) return msg`Give what it can supply: “${stem} 40 A”.`;
      if (!within(figures.amps, 0.1, 5000)) return msg`Its figure is out of range.`;
      return { ...place, amps: figures.amps, volts: figures.volts ?? (nominalV / 12) * 14.2 };
    case 'battery':
      return { ...place, nominalV: figures.volts ?? nominalV };
    case 'dcdc':
    case 'ground':
      return place;
  }
}

/** The posts of a piece by where it stands: before the load outwards, behind it back. */
function postsOf(
  place: Place,
  pole: 'plus' | 'minus' | null,
  side: 'in' | 'out' | null,
  {
    isFirst,
    isLast,
    isBack,
  }: { readonly isFirst: boolean; readonly isLast: boolean; readonly isBack: boolean },
) {
  const posts: readonly PostName[] = PLACE_POSTS[place.kind];
  switch (place.kind) {
    case 'load':
      return pole === null && !isFirst
        ? { into: isBack ? ('minus' as const) : ('plus' as const), onFrom: 'minus' as const }
        : { into: pole ?? 'plus', onFrom: pole ?? (isFirst ? 'minus' : 'plus') };
    case 'battery':
    case 'supply': {
      // In the middle without a pole named, the way goes through it.
      if (pole === null && !isFirst && !isLast && !isBack)
        return { into: 'plus' as const, onFrom: 'minus' as const };
      const post = pole ?? (isBack ? 'minus' : 'plus');
      return { into: post, onFrom: post };
    }
    case 'dcdc':
      if (side !== null && pole !== null) {
        const post = `${side}-${pole}` as const;
        return { into: post, onFrom: post };
      }
      return isFirst
        ? {
            into: 'out-plus' as const,
            onFrom: pole === 'minus' ? ('out-minus' as const) : ('out-plus' as const),
          }
        : { into: isBack ? ('in-minus' as const) : ('in-plus' as const), onFrom: 'in-minus' as const };
    case 'bar':
    case 'ground':
      return { into: 'post' as const, onFrom: 'post' as const };
    default:
      return { into: posts[0] ?? 'line', onFrom: posts[1] ?? 'load' };
  }
}

/** Letters that the tags of a chain begin with: those of what it feeds. */
function tagsFor(name: string, taken: ReadonlySet<string>, count: number): string[] {
  const stem =
    name
      .replaceAll(/[^\p{L}\p{N}]/gu, '')
      .slice(0, 2)
      .toUpperCase() || 'C';
  const tags: string[] = [];
  for (let n = 1; tags.length < count; n += 1) {
    const tag = `${stem}-${n}`;
    if (!taken.has(tag)) tags.push(tag);
  }
  return tags;
}

/**
 * Reads a chain typed in one line: pieces from a source to a load and back, and the length one way. A piece is a place
 * that there is, or a new one by its kind or its figure. It takes nothing unless every piece is understood.
 *
 * @example parseChain("Bank + · fuse 250 · Thruster 240 A · Bank −, 6.4 m", job)
 */
// oxlint-disable-next-line max-lines-per-function -- one pass over the pieces, each with what the one before decided
export function parseChain(text: string, given: Job): Chain {
  const job = withPlaces(given);
  const parts = text.trim().split(SEPARATOR).filter(Boolean);
  const last = parts.at(-1) ?? '';
  const tail =
    /^(.*?),\s*([^,]+)$/su.exec(last) ?? /^(.*\S)\s+(\d+(?:[.,]\d+)?\s*(?:m|mm|cm|ft|in))$/u.exec(last);
  let lengthMm = USUAL_LENGTH_MM;
  if (tail) {
    const entry = parseQuantity(tail[2] ?? '', 'length', 'm');
    if (!entry.ok) return refuse(tail[2] ?? '', entry.sentence);
    if (entry.value < RUN_LENGTH_MM.least || entry.value > RUN_LENGTH_MM.most)
      return refuse(tail[2] ?? '', msg`A length is from 0.05 m to 1000 m.`);
    lengthMm = entry.value;
    parts[parts.length - 1] = tail[1]?.trim() ?? '';
  }
  if (parts.length < 2)
    return refuse(text.trim(), msg`A chain has two parts or more, with · or > between them.`);
  const system = job.system;
  const places = [...(system?.places ?? [])];
  const ids = new Set(places.map(({ id }) => id));
  const nominalV =
    places.find((place) => place.kind === 'battery')?.nominalV ?? job.cables[0]?.run.systemV ?? 12;
  const pieces: ChainPiece[] = [];
  let isBack = false;
  for (const [i, part] of parts.entries()) {
    const { name: unsigned, pole } = splitSign(part);
    // A DC-DC charger has its poles twice: "DC-DC in +".
    const sided = /^(.*\S)\s+(in|out)$/iu.exec(unsigned);
    const isSided = sided !== null && kindOfName(sided[1] ?? '')[0] === 'dcdc';
    const name = isSided ? (sided[1] ?? unsigned) : unsigned;
    const side = isSided ? (sided[2]?.toLowerCase() as 'in' | 'out') : null;
    const known =
      places.find((place) => same(place.name, part)) ?? places.find((place) => same(place.name, name));
    const made = known ?? madeOf(isSided ? name : part, places, ids, nominalV);
    if (typeof made === 'string' || !('id' in made)) return refuse(part, made as Message);
    if (!known) {
      if (places.length >= MOST.places) return refuse(part, msg`There is no room for more places.`);
      places.push(made);
      ids.add(made.id);
    }
    const isPoleOfName = splitSign(made.name).pole !== null;
    const isKnownPole = isPoleOfName ? null : pole;
    const { into, onFrom } = postsOf(made, isKnownPole, side, {
      isFirst: i === 0,
      isLast: i === parts.length - 1,
      isBack,
    });
    pieces.push({ place: made, isNew: known === undefined, into, onFrom });
    if (made.kind === 'load' || (made.kind === 'supply' && i > 0)) isBack = true;
    // From a minus, or from the return side, it runs back from the beginning.
    if (i === 0 && (pole === 'minus' || made.kind === 'ground')) isBack = true;
  }
  const fed = pieces.findIndex(
    ({ place }) => place.kind === 'load' || place.kind === 'supply' || place.kind === 'dcdc',
  );
  const cables: ChainCable[] = [];
  const count = pieces.length - 1;
  if (job.cables.length + count > MOST.cables)
    return refuse(text.trim(), msg`There is no room for more cables.`);
  const tags = tagsFor(
    (pieces[fed] ?? pieces.at(-1))?.place.name ?? '',
    new Set(job.cables.map(({ tag }) => tag)),
    count,
  );
  let used = 0;
  for (let i = 0; i < count; i += 1) {
    const [from, to] = [pieces[i] as ChainPiece, pieces[i + 1] as ChainPiece];
    if (from.place.id === to.place.id)
      return refuse(parts[i + 1] ?? '', msg`A cable from a place to itself is none.`);
    const isOut = fed < 0 || i < fed;
    const isLastOut = i === (fed < 0 ? count : fed) - 1;
    const toFuse = to.place.kind === 'fuse' || to.place.kind === 'breaker';
    // Out: short to its fuse, half a metre to a switch, the rest to the load. Back: the same length again.
    const step =
      isOut && !isLastOut ? Math.min(lengthMm / 2, toFuse ? TO_FUSE_MM : 500) : lengthMm - (isOut ? used : 0);
    if (isOut) used += step;
    const isNegative = fed >= 0 ? i >= fed && pieces[fed]?.place.kind !== 'dcdc' : isBack;
    cables.push({
      tag: tags[i] ?? `C-${i}`,
      from: { place: from.place.id, post: from.onFrom, called: postTitle(from.place, from.onFrom) },
      to: { place: to.place.id, post: to.into, called: postTitle(to.place, to.into) },
      lengthMm: Math.max(RUN_LENGTH_MM.least, Math.round(step)),
      polarity: isNegative ? 'negative' : 'positive',
    });
  }
  return { ok: true, pieces, cables };
}

/** A job with a chain in it: its new places, and a cable between each two pieces that takes all from the system. */
export function withChain(
  given: Job,
  chain: Extract<Chain, { ok: true }>,
  shop: Shop,
  newId: () => string,
): Job {
  const job = withSystem(given, (system) => ({
    ...system,
    places: [...system.places, ...chain.pieces.filter(({ isNew }) => isNew).map(({ place }) => place)],
  }));
  const last = job.cables.at(-1);
  const made = chain.cables.map(({ tag, from, to, lengthMm, polarity }): Cable => {
    const fresh = newCable(newId(), tag, shop);
    const studOf = (place: string) => {
      const own = job.system?.places.find(({ id }) => id === place);
      return own?.kind === 'bar' ? own : undefined;
    };
    const end = ({ place, post, called }: ChainCable['from']): Cable['ends']['A'] => {
      const bar = studOf(place);
      return {
        at: called.slice(0, 60),
        on: { place, post },
        stud: bar?.stud ?? 'M8',
        ...(bar?.studId !== undefined && { studId: bar.studId }),
      };
    };
    return {
      ...fresh,
      polarity,
      jacket: polarity === 'negative' ? 'black' : 'red',
      gauge: { kindId: last?.gauge.kindId ?? fresh.gauge.kindId },
      run: {
        ...fresh.run,
        systemV: last?.run.systemV ?? fresh.run.systemV,
        lengthMm,
        return: { kind: 'none' },
        fromSystem: [...SYSTEM_INPUTS],
      },
      ends: { A: end(from), B: end(to) },
    };
  });
  return { ...job, cables: [...job.cables, ...made] };
}
