import type { Cable } from '../model/cable.ts';
import { type End, END_NAMES, type EndName } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import { MOST } from '../model/limits.ts';
import type { Fuse } from '../model/run.ts';
import { everythingOn, type Place, type PlaceKind, type System } from '../model/system.ts';
import {
  type LoadLook,
  PLACE_POSTS,
  POST_NAMES,
  POST_SIGNS,
  type PostName,
  type SupplySort,
} from '../model/tables/places.ts';
import { LONGEST_NAME } from '../model/text.ts';
import { heaviestStepA, nominalAmps } from '../sizing/loadIn.ts';
import { remember } from '../lib/remember.ts';
import { say } from '../words/say.ts';

/** A post of a place. */
export interface OnPost {
  readonly place: string;
  readonly post: PostName;
}
export const postKey = ({ place, post }: OnPost): string => `${place} ${post}`;

/** What a post is called, as a cable end says it: "Bank +", "Fuse F1". */
export function postTitle(place: Pick<Place, 'name' | 'kind'>, post: PostName): string {
  const sign = place.kind === 'dcdc' || post === 'plus' || post === 'minus' ? POST_SIGNS[post] : '';
  return `${place.name} ${sign}`.trim();
}

/** A kind of place, with what a load is drawn as or what sort of supply it is. */
export type KindOfPlace = readonly [PlaceKind, (LoadLook | SupplySort | undefined)?];

/** What something is by what its people call it. The first that fits counts. */
const WORDS: readonly (readonly [RegExp, PlaceKind, (LoadLook | SupplySort | undefined)?])[] = [
  [/dc.?dc|b2b/i, 'dcdc'],
  [/\b(fuse|zekering)\b|^f\d+$/i, 'fuse'],
  [/breaker|zekeringautomaat/i, 'breaker'],
  [/isolator|switch|schakelaar/i, 'switch'],
  [/relay|solenoid|relais/i, 'relay'],
  [/shunt/i, 'shunt'],
  [/alternator|dynamo/i, 'supply', 'alternator'],
  [/solar|zonne/i, 'supply', 'solar'],
  [/charger|lader/i, 'supply', 'mains'],
  [/thruster|boegschroef/i, 'load', 'thruster'],
  [/windlass|winch|lier\b/i, 'load', 'windlass'],
  [/inverter|omvormer/i, 'load', 'inverter'],
  [/engine block|chassis|hull|frame|motorblok|romp/i, 'ground'],
  [/battery|bank|accu/i, 'battery'],
  [/starter|startmotor/i, 'load', 'starter'],
  [/panel|board|paneel|lamps?\b|verdeel/i, 'load', 'panel'],
  [/heater|kachel|verwarming/i, 'load', 'heater'],
  [/pump|motor|pomp/i, 'load', 'motor'],
];

const SIGN = /\s*(?:[([]?([+−–-]|plus|positive|minus|negative|min|pos|neg)[)\]]?)$/iu;
const isPlus = (sign: string) => /^(\+|p)/i.test(sign);

/** A name without the pole that ends it, and that pole where there is one. */
export function splitSign(called: string): { readonly name: string; readonly pole: 'plus' | 'minus' | null } {
  const trimmed = called.trim();
  const found = SIGN.exec(trimmed);
  const stem = found ? trimmed.slice(0, found.index).trim() : '';
  // "Bus-2" ends in a number, "E-" is a name with a pole: a sign alone is no name.
  return found?.[1] && stem !== ''
    ? { name: stem, pole: isPlus(found[1]) ? 'plus' : 'minus' }
    : { name: trimmed, pole: null };
}

const asKey = (name: string) => name.toLowerCase().replaceAll(/\s+/g, ' ').trim();

/** What a name says that a place is; a bus bar or stud where it says nothing. */
export function kindOfName(name: string): KindOfPlace {
  const found = WORDS.find(([word]) => word.test(name));
  return found ? [found[1], found[2]] : ['bar'];
}

/** A free id made of a name. */
export function idFor(name: string, taken: ReadonlySet<string>): string {
  const stem = (
    name
      .normalize('NFD')
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-+|-+$/g, '') || 'place'
  ).slice(0, 50);
  let id = stem;
  for (let n = 2; taken.has(id); n += 1) id = `${stem}-${n}`;
  return id;
}

/** A place as it is first put there: by its name, with what a cable that ends on it already says. */
export function newPlace(
  id: string,
  called: string,
  [kind, sort]: KindOfPlace,
  cable?: Cable,
  fuse?: Fuse,
): Place {
  const name = called.slice(0, LONGEST_NAME);
  const run = cable?.run;
  const nominalV = run?.systemV ?? 12;
  switch (kind) {
    case 'battery':
      return { id, name, kind, nominalV, source: run?.source ?? { kind: 'unknown' } };
    case 'supply': {
      const volts = run?.chargingV ?? (nominalV / 12) * 14.2;
      const amps = run ? nominalAmps(run.load) : 0;
      return { id, name, kind, sort: (sort ?? 'mains') as SupplySort, volts, amps: amps > 0 ? amps : 30 };
    }
    case 'dcdc':
      return { id, name, kind, volts: (nominalV / 12) * 14.2, amps: 30, efficiencyPercent: 90 };
    case 'load':
      return {
        id,
        name,
        kind,
        look: (sort ?? 'other') as LoadLook,
        draws: drawsOf(cable),
        dropPercent: run?.dropPercent ?? 3,
        ...(run?.duty && { shortDropPercent: run.duty.dropPercent }),
        ...(sort === 'starter' && !run?.duty && { shortDropPercent: 10 }),
      };
    case 'fuse':
      return {
        id,
        name,
        kind,
        fuse: fuse?.kind ?? 'class-t',
        ratingA: fuse?.ratingA ?? ratingIn(name) ?? 100,
        ...(fuse && { place: fuse.place }),
        ...(fuse?.breakingA !== undefined && { breakingA: fuse.breakingA }),
        ...(fuse?.curve && { curve: fuse.curve }),
        ...(fuse?.melts && { melts: fuse.melts }),
      };
    case 'breaker':
      return { id, name, kind, ratingA: ratingIn(name) ?? 100 };
    case 'switch':
    case 'relay':
    case 'shunt':
      return { id, name, kind };
    case 'bar':
      return { id, name, kind };
    case 'ground':
      return { id, name, kind };
  }
}

/** Amps that stand in a name: "Fuse 250 A". */
const ratingIn = (name: string): number | null => {
  const found = Number(/(\d+(?:\.\d+)?)\s*A\b/i.exec(name)?.[1] ?? Number.NaN);
  return found >= 1 && found <= 2000 ? found : null;
};

/** What a cable says its load takes: what is held, or the heaviest of its duty where nothing is. */
function drawsOf(cable: Cable | undefined): Extract<Place, { kind: 'load' }>['draws'] {
  if (!cable) return { kind: 'amps', amps: 0 };
  const { load, duty } = cable.run;
  if (load.kind === 'watts') {
    const { watts, efficiencyPercent, cutOutV } = load;
    return { kind: 'watts', watts, efficiencyPercent, ...(cutOutV !== undefined && { cutOutV }) };
  }
  return { kind: 'amps', amps: Math.min(5000, load.amps > 0 ? load.amps : heaviestStepA(duty)) };
}

/** The post of a place that an end is on, by what is said of the pole and which way the cable runs. */
function postOf(place: Place, pole: 'plus' | 'minus' | null, cable: Cable, end: EndName): PostName {
  const posts: readonly PostName[] = PLACE_POSTS[place.kind];
  const byPolarity = cable.polarity === 'negative' ? 'minus' : 'plus';
  if (place.kind === 'dcdc') {
    const side = end === 'B' ? 'in' : 'out';
    return `${side}-${pole ?? byPolarity}`;
  }
  if (posts.includes('plus')) return pole ?? byPolarity;
  // A cable comes to a fuse or a switch with its end B and goes on from it with its end A.
  if (posts.includes('line')) return end === 'B' ? 'line' : 'load';
  return posts[0] ?? POST_NAMES[0];
}

/** What an end is called: the stud that it shares, else what it is bolted to. */
function calledAt(job: Job, { at, studId }: End): string {
  const shared = studId === undefined ? undefined : job.studs.find((stud) => stud.id === studId);
  return (shared?.name ?? at).trim();
}

const drawn = remember<Job>();

/**
 * A job with its system: its own, and every named end that is on no place yet put on one by its name. Where it has no
 * system, places are drawn from the names that its cables carry. Nothing that is given is changed, nothing typed is taken
 * from the system.
 *
 * @example withPlaces(job).system?.places.map(({ name }) => name) // ["Bank", "Fuse F1", "Isolator", "Thruster"]
 */
export const withPlaces = (job: Job): Job => drawn([job], '', () => placed(job));

function placed(job: Job): Job {
  const places = [...(job.system?.places ?? [])];
  const ids = new Set(places.map(({ id }) => id));
  const byId = new Map(places.map((place) => [place.id, place]));
  const byName = new Map(places.map((place) => [asKey(place.name), place]));
  let changed = job.system === undefined;
  const placeFor = (called: string, cable: Cable, end: EndName): Place | null => {
    const { name } = splitSign(called);
    const known = byName.get(asKey(called)) ?? byName.get(asKey(name));
    if (known) return known;
    if (places.length >= MOST.places) return null;
    const shared = job.studs.find(({ id }) => id === cable.ends[end].studId);
    const kind = kindOfName(name);
    const fuse = cable.run.fuses.find((own) => own.end === end) ?? cable.run.fuses[0];
    const id = idFor(name, ids);
    const place = newPlace(id, kind[0] === 'bar' ? called : name, kind, cable, fuse);
    const fresh = shared && place.kind === 'bar' ? { ...place, studId: shared.id, stud: shared.stud } : place;
    ids.add(id);
    byId.set(id, fresh);
    byName.set(asKey(fresh.name), fresh);
    places.push(fresh);
    return fresh;
  };
  const cables = job.cables.map((cable) => {
    const ends = Object.fromEntries(
      END_NAMES.map((end) => {
        const given = cable.ends[end];
        const on = given.on && byId.get(given.on.place);
        if (on && (PLACE_POSTS[on.kind] as readonly PostName[]).includes(given.on?.post ?? 'post'))
          return [end, given];
        const called = calledAt(job, given);
        const place = called === '' ? null : placeFor(called, cable, end);
        if (!place) return [end, given];
        changed = true;
        return [
          end,
          { ...given, on: { place: place.id, post: postOf(place, splitSign(called).pole, cable, end) } },
        ];
      }),
    ) as unknown as Cable['ends'];
    return ends.A === cable.ends.A && ends.B === cable.ends.B ? cable : { ...cable, ends };
  });
  if (!changed) return job;
  const system: System = {
    places,
    bonds: job.system?.bonds ?? [],
    states: job.system?.states ?? [everythingOn('all-on', say`Everything on`)],
  };
  return { ...job, cables, system };
}
