import type { Cable } from './model/cable.ts';
import type { End, EndName } from './model/end.ts';
import type { Run } from './model/run.ts';
import { END_NAMES } from './model/end.ts';
import { addTo } from './lib/lists.ts';
import { once } from './lib/once.ts';
import { remember } from './lib/remember.ts';
import type { Job, SharedStud } from './model/job.ts';
import type { Lug, Shop } from './model/shop.ts';
import { heaviestStepA, nominalAmps } from './sizing/loadIn.ts';
import { byAmps, type StackMember, type StudStack } from './termination/studs/studStack.ts';
import { type PalmAsked, palmRoomMm } from './termination/studs/palmAsked.ts';
import { endMeets } from './model/posts.ts';
import { ADAPTERS, type AdapterFacts } from './model/tables/posts.ts';
import { msg } from './words/message.ts';

/** What a cable needs to know of its job: the other cables of its circuit, those on its studs, and those studs. */
export interface JobContext {
  readonly mates: readonly Cable[];
  /** Cables that share a stud or a post with it. */
  readonly neighbours: readonly Cable[];
  readonly studs: readonly SharedStud[];
  /** Its ends that are bolted to metal itself: an engine block, a hull, a frame. */
  readonly grounds: readonly EndName[];
}

export const ALONE: JobContext = { mates: [], neighbours: [], studs: [], grounds: [] };

const studIds = ({ ends }: Cable) => END_NAMES.flatMap((name) => ends[name].studId ?? []);
/** Whether an end is bolted beside the clamp of a post, not put on the post itself. */
const isBeside = ({ adapter }: End) => {
  const facts: AdapterFacts | undefined = adapter && ADAPTERS[adapter];
  return facts?.beside === true;
};
const posts = ({ ends }: Cable) =>
  END_NAMES.map((name) => ends[name]).filter((end) => end.at && end.post && !isBeside(end));
/** Two ends with the same key are on the same post. */
const postKey = ({ at, post }: End) => `${post?.kind} ${post?.polarity} ${at}`;

/**
 * Which cables of a job are of one circuit, on one stud or on one post, each list in the order of the job; each is put
 * together when it is first asked for.
 */
interface JobIndex {
  readonly circuits: () => ReadonlyMap<string, readonly Cable[]>;
  readonly studs: () => ReadonlyMap<string, readonly Cable[]>;
  readonly posts: () => ReadonlyMap<string, readonly Cable[]>;
  readonly order: () => ReadonlyMap<string, number>;
  /** Places that are metal itself. */
  readonly grounds: () => ReadonlySet<string>;
}

const indexes = remember<JobIndex>();
const indexOf = (job: Job): JobIndex =>
  indexes([job], '', () => {
    const grouped = (keysOf: (cable: Cable) => readonly (string | undefined)[]) =>
      once(() => {
        const groups = new Map<string, Cable[]>();
        for (const cable of job.cables) {
          const [one, other] = keysOf(cable);
          if (one !== undefined) addTo(groups, one, cable);
          if (other !== undefined && other !== one) addTo(groups, other, cable);
        }
        return groups;
      });
    return {
      circuits: grouped(({ run }) => (run.return.kind === 'circuit' ? [run.return.name] : [])),
      studs: grouped(({ ends: { A, B } }) => [A.studId, B.studId]),
      posts: grouped(({ ends: { A, B } }) => [A.post && postKey(A), B.post && postKey(B)]),
      order: once(() => new Map(job.cables.map(({ id }, i) => [id, i]))),
      grounds: once(
        () => new Set(job.system?.places.flatMap(({ id, kind }) => (kind === 'ground' ? [id] : []))),
      ),
    };
  });

/** The other cables of a cable's circuit. */
export function matesOf(cable: Cable, job: Job): Cable[] {
  const back = cable.run.return;
  const circuit = back.kind === 'circuit' ? indexOf(job).circuits().get(back.name) : undefined;
  return circuit?.filter(({ id }) => id !== cable.id) ?? [];
}

/** What a cable needs to know of its job. */
export function contextOf(cable: Cable, job: Job): JobContext {
  const index = indexOf(job);
  const ids = studIds(cable);
  const sharing = new Set([
    ...ids.flatMap((id) => index.studs().get(id) ?? []),
    ...posts(cable).flatMap((end) => index.posts().get(postKey(end)) ?? []),
  ]);
  const placeIn = ({ id }: Cable) => index.order().get(id) ?? 0;
  return {
    mates: matesOf(cable, job),
    neighbours: [...sharing].filter(({ id }) => id !== cable.id).sort((a, b) => placeIn(a) - placeIn(b)),
    studs: ids.length === 0 ? [] : job.studs.filter(({ id }) => ids.includes(id)),
    grounds: END_NAMES.filter((name) => index.grounds().has(cable.ends[name].on?.place ?? '')),
  };
}

/**
 * What the stud of an end requires of a palm: a thin one where others share it, by what thread they leave; a heavy one on a
 * block with nothing else on its stud. Null where it does not matter.
 */
export function palmAsked(cable: Cable, name: EndName, context: JobContext, shop: Shop): PalmAsked | null {
  const stack = stackOf(cable, name, null, context, shop);
  if (!stack) return null;
  if (stack.members.length > 1) return { want: 'thin', roomMm: palmRoomMm(stack) };
  if (context.grounds.includes(name)) return { want: 'heavy', roomMm: palmRoomMm(stack) };
  return stack.lengthMm === null ? null : { want: 'any', roomMm: palmRoomMm(stack) };
}

/** Amps that order a stack: what flows for long, or the heaviest step of a surge where nothing flows before it. */
export function stackAmps({ load, duty }: Run): number {
  const held = nominalAmps(load);
  return held > 0 ? held : heaviestStepA(duty);
}

/**
 * Everything on the stud of an end, from the face outwards: by the order given, else by amps.
 *
 * @param lug this end's own, proposed or given; of the others only a given lug is known
 * @returns null where the end is on a tapered post
 */
// oxlint-disable-next-line max-lines-per-function -- one list of what stands on a stud, put together and then ordered
export function stackOf(
  cable: Cable,
  name: EndName,
  lug: Lug | null,
  { neighbours, studs }: JobContext,
  shop: Shop,
): StudStack | null {
  const meets = endMeets(cable.ends[name]);
  if (meets.kind === 'post') return null;
  const shared = studs.find(({ id }) => id === cable.ends[name].studId);
  const thisMember: StackMember = {
    key: `${cable.id}.${name}`,
    label: `${cable.tag} ${name}`,
    amps: stackAmps(cable.run),
    palmMm: lug?.palmThicknessMm ?? null,
    isThis: true,
  };
  if (!shared) {
    const at = cable.ends[name].at || msg`its stud`;
    return {
      stud: meets.stud,
      name: at,
      lengthMm: null,
      springWasher: false,
      members: [thisMember],
      disagree: [],
    };
  }
  const beside = [cable, ...neighbours].flatMap((other) =>
    END_NAMES.filter((end) => other.ends[end].studId === shared.id && !(other === cable && end === name)).map(
      (end) => ({ other, end }),
    ),
  );
  const ends = beside.map(({ other, end }): StackMember => ({
    key: `${other.id}.${end}`,
    label: `${other.tag} ${end}`,
    amps: stackAmps(other.run),
    palmMm: shop.lugs.find(({ id }) => id === other.ends[end].lugId)?.palmThicknessMm ?? null,
    isThis: false,
  }));
  const others = shared.others.map(({ what, amps, palmMm }): StackMember => ({
    key: what,
    label: what,
    amps,
    palmMm,
    isThis: false,
  }));
  const order = shared.order ?? [];
  const place = ({ key }: StackMember) => (order.includes(key) ? order.indexOf(key) : order.length);
  const members = byAmps([thisMember, ...ends, ...others]);
  const says = (other: Cable, end: EndName) => {
    const on = endMeets(other.ends[end]);
    return on.kind === 'stud' ? on.stud : null;
  };
  return {
    stud: shared.stud,
    name: shared.name,
    lengthMm: shared.lengthMm ?? null,
    springWasher: shared.springWasher,
    members: order.length > 0 ? members.toSorted((a, b) => place(a) - place(b)) : members,
    disagree: [{ other: cable, end: name }, ...beside]
      .filter(({ other, end }) => says(other, end) !== shared.stud)
      .map(({ other, end }) => `${other.tag} ${end}`),
  };
}

/** How many cables end on the same tapered post as an end does, itself included. */
export function cablesOnPost(cable: Cable, name: EndName, { neighbours }: JobContext): number {
  const own = cable.ends[name];
  if (!own.post || !own.at || isBeside(own)) return 1;
  return [cable, ...neighbours].flatMap(posts).filter((other) => postKey(own) === postKey(other)).length;
}
