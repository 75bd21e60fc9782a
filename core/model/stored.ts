import * as z from 'zod/mini';
import { type Hunt, huntSchema } from './hunt.ts';
import { type BinItem, binItemSchema } from './bin.ts';
import { isFields } from './fields.ts';
import type { Parsed } from './file.ts';
import { type Job, jobSchema } from './job.ts';
import { migrateJob, migrateShop } from './migrate.ts';
import { refusalSays } from './refusal.ts';
import { type Shop, shopSchema } from './shop.ts';

/** What is kept in a browser and in backups, one entry each. */
interface Kinds {
  readonly job: Job;
  readonly hunt: Hunt;
  readonly shop: Shop;
  readonly 'bin item': BinItem;
}
export type StoredKind = keyof Kinds;
export type Stored<Kind extends StoredKind> = Kinds[Kind];

/** A cable as this version keeps it: a job of that cable alone, as any job. */
const migrateCable = (cable: unknown): unknown =>
  (migrateJob({ cables: [cable] }) as { cables: unknown[] }).cables[0];

/** Something deleted, by an earlier version too: what was deleted is migrated as it would be on the bench. */
function migrateBinItem(item: unknown): unknown {
  if (!isFields(item)) return item;
  return {
    ...item,
    ...('job' in item && { job: migrateJob(item.job) }),
    ...('cable' in item && { cable: migrateCable(item.cable) }),
  };
}

const READERS: {
  readonly [Kind in StoredKind]: {
    readonly schema: z.ZodMiniType<Kinds[Kind]>;
    readonly migrate: (data: unknown) => unknown;
  };
} = {
  job: { schema: jobSchema, migrate: migrateJob },
  hunt: { schema: huntSchema, migrate: (data) => data },
  shop: { schema: shopSchema, migrate: migrateShop },
  'bin item': { schema: binItemSchema, migrate: migrateBinItem },
};

/**
 * Reads whatever was stored, by this version or any earlier one: library, bin, versions, hunts and backups go through
 * here and nowhere else.
 *
 * @example readStored('job', data).ok // true, of a job that version 1 stored too
 */
export function readStored<Kind extends StoredKind>(kind: Kind, data: unknown): Parsed<Kinds[Kind]> {
  const { schema, migrate } = READERS[kind];
  const migrated = migrate(data);
  const parsed = schema.safeParse(migrated);
  return parsed.success
    ? { ok: true, value: parsed.data }
    : {
        ok: false,
        sentence: `${refusalSays(parsed.error, migrated)}.`,
        path: parsed.error.issues[0]?.path.join('.') ?? '',
      };
}

/** What could still be read of something damaged, and what had to be left out or set to a limit, a line each. */
export interface Salvaged<T> {
  readonly value: T;
  readonly lost: readonly string[];
}

/** Each round mends at least one thing, or ends. */
const MOST_ROUNDS = 2000;

/**
 * Reads as much as can be read of something that {@link readStored} refuses: figures out of range are set to the limit,
 * long texts are cut, and the least part round whatever else is wrong is left out. Null where nothing is left.
 */
export function salvage<Kind extends 'job' | 'hunt' | 'shop'>(
  kind: Kind,
  data: unknown,
): Salvaged<Kinds[Kind]> | null {
  const { schema, migrate } = READERS[kind];
  if (!isFields(data)) return null;
  const whole = structuredClone(migrate(data)) as Record<string, unknown>;
  const lost: string[] = [];
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const parsed = schema.safeParse(whole);
    if (parsed.success) return { value: parsed.data, lost };
    // Later entries of a list first: what is taken out moves none of the others.
    const issues = parsed.error.issues.toReversed();
    const mended = issues.some((issue) => {
      const sentence = refusalSays({ issues: [issue] } as unknown as z.core.$ZodError, whole);
      const did = mend(whole, issue);
      if (did) lost.push(sentence);
      return did;
    });
    if (!mended) return null;
  }
  return null;
}

function mend(whole: Record<string, unknown>, issue: z.core.$ZodIssue): boolean {
  const { path } = issue;
  const parents = path.map((_, i) =>
    path.slice(0, i).reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown> | null)?.[key], whole),
  );
  const parent = parents.at(-1) as Record<PropertyKey, unknown> | undefined;
  const key = path.at(-1);
  const value = key === undefined ? whole : parent?.[key];
  if (issue.code === 'unrecognized_keys' && isFields(value)) {
    for (const strange of issue.keys) Reflect.deleteProperty(value, strange);
    return true;
  }
  if (parent && key !== undefined) {
    if (issue.code === 'too_big' && typeof value === 'number' && Number.isFinite(value)) {
      parent[key] = Number(issue.maximum);
      return parent[key] !== value;
    }
    if (issue.code === 'too_small' && typeof value === 'number' && issue.inclusive) {
      parent[key] = Number(issue.minimum);
      return parent[key] !== value;
    }
    if (issue.code === 'too_big' && (typeof value === 'string' || Array.isArray(value))) {
      parent[key] = value.slice(0, Number(issue.maximum));
      return true;
    }
  }
  // Two cables with one id: the later ones get ids of their own.
  if (issue.code === 'custom' && Array.isArray(value)) {
    const seen = new Set<unknown>();
    value.forEach((item: Record<string, unknown>, i) => {
      while (seen.has(item.id)) item.id = `${String(item.id).slice(0, 50)}-${i}`;
      seen.add(item.id);
    });
    return seen.size > 0;
  }
  // The least part round it that may be absent: an entry of a list, or a field that need not be there.
  for (let i = path.length - 1; i >= 0; i -= 1) {
    const holder = parents[i];
    const lastKey = path[i];
    if (Array.isArray(holder) && typeof lastKey === 'number') {
      holder.splice(lastKey, 1);
      return true;
    }
    if (isFields(holder) && lastKey !== undefined && lastKey in holder && OPTIONAL.has(String(lastKey))) {
      Reflect.deleteProperty(holder, lastKey);
      return true;
    }
    if (isFields(holder) && lastKey !== undefined && lastKey in PLAIN) {
      (holder as Record<PropertyKey, unknown>)[lastKey] = structuredClone(PLAIN[String(lastKey)]);
      return true;
    }
  }
  return false;
}

/** Fields that may be absent, so that leaving them out loses only what they said. */
const OPTIONAL = new Set([
  ...['duty', 'way', 'laid', 'holeMm', 'pulledEnd', 'terminationC', 'size', 'oneSizeUp', 'parallel'],
  ...['lugId', 'dieId', 'sleeveId', 'crimps', 'method', 'alsoMm2', 'strands', 'support', 'sleeveAfterLug'],
  ...[
    'layers',
    'bandColour',
    'post',
    'adapter',
    'studId',
    'inPlace',
    'temporary',
    'makeOrBuy',
    'jobId',
    'restV',
  ],
  ...[
    'instrument',
    'corrects',
    'struck',
    'curve',
    'breakingA',
    'waiver',
    'connectorId',
    'branchMm2',
    'order',
    'survey',
    'quote',
    'newId',
    'solderG',
    'madeHere',
    'mark',
    'blows',
    'hardware',
    'mostSizes',
    'mostKg',
    'guard',
    'cover',
    'legs',
    'capped',
  ],
]);
/** Lists and texts that must be there, as they stand when nothing is in them. */
const PLAIN: Readonly<Record<string, unknown>> = {
  ...{ subtitle: '', notes: '', title: '?', tag: '?', cables: [], studs: [], heeded: [], readings: [] },
  ...{ done: [], reworks: [], waivers: [], passed: [], mishaps: [], photos: [], fitted: [], keywords: [] },
  ...{ corrections: [], records: [], joins: [], devices: [], fuses: [], meets: [], pieces: [], spans: [] },
  ...{ lugs: [], tools: [], dies: [], sleeves: [], spools: [], trials: [], instruments: [] },
};
