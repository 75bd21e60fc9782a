import { strFromU8, strToU8, unzipSync, type ZipOptions, zipSync } from 'fflate';
import * as z from 'zod/mini';
import { isTooDeep, type Parsed } from '../../core/model/file.ts';
import { id, moment } from '../../core/model/text.ts';
import { refusalSays } from '../../core/model/refusal.ts';
import { readStored, type StoredKind } from '../../core/model/stored.ts';
import { isJpeg } from './jpeg.ts';
import type { Kept } from './library.ts';
import { type Prefs, readPrefs } from './prefs.ts';
import { sha256 } from './sha256.ts';
import type { Step } from '../ui/useMaking.ts';
import { roundSchema, type KeptRound } from './training.ts';
import { say } from '../../core/words/say.ts';

const FORMAT = 'gruff-anchor-backup';
/** From version 4 on a backup names every one of its entries with a checksum. */
export const BACKUP_VERSION = 4;
const SEALED_FROM = 4;

/** Everything that a browser keeps, as one. */
export interface Everything {
  readonly kept: Kept;
  readonly prefs: Prefs;
  readonly rounds: readonly KeptRound[];
  /** JPEG by the id of the photograph. */
  readonly photos: Readonly<Record<string, Uint8Array>>;
}

const checksum = z.string().check(z.regex(/^[0-9a-f]{64}$/));
const manifestSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.int().check(z.gte(1)),
  madeAt: moment,
  jobs: z.int().check(z.gte(0)),
  hunts: z.int().check(z.gte(0)),
  photos: z.int().check(z.gte(0)),
  /** SHA-256 of every other entry, by its name. */
  entries: z.optional(z.record(z.string(), checksum)),
  /** SHA-256 of all that this says itself. */
  seal: z.optional(checksum),
});
export type Manifest = z.infer<typeof manifestSchema>;

const LARGEST_ZIP = 1_500_000_000;
/** Words and figures unpack to no more than this, one entry and all of them; pictures are not packed. */
const LARGEST_ENTRY = 64_000_000;
const LARGEST_WORDS = 256_000_000;
const MOST_ENTRIES = 20_000;
/** What a name in a backup may be: it goes nowhere but into the browser's store. */
const NAME =
  /^(?:manifest|shop|bin|prefs|training|hunts)\.json$|^jobs\/\d{1,5}\.json$|^photos\/[\w.-]{1,60}\.jpg$/;
const FOLDER = /^(?:jobs|photos)\/$/;
const MANIFEST = 'manifest.json';

const written = (data: unknown): Uint8Array => strToU8(`${JSON.stringify(data, null, 1)}\n`);
/** The seal of a manifest: of all it says but the seal itself. */
const sealOf = ({ seal: _, ...said }: Manifest): Promise<string> => sha256(written(said));

/**
 * A backup as a zip: plain JSON a job, photographs as they are, and a checksum of each in its manifest.
 *
 * @param step told of each entry that has its checksum
 */
export async function writeBackup(
  { kept, prefs, rounds, photos }: Everything,
  madeAt: string,
  step?: Step,
): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {
    'shop.json': written(kept.shop),
    'hunts.json': written(kept.hunts),
    'bin.json': written(kept.bin),
    'prefs.json': written(prefs),
    'training.json': written(rounds),
  };
  kept.jobs.forEach((job, i) => {
    files[`jobs/${i}.json`] = written(job);
  });
  for (const [name, bytes] of Object.entries(photos)) files[`photos/${name}.jpg`] = bytes;
  const entries: Record<string, string> = {};
  const all = Object.entries(files);
  for (const [i, [name, bytes]] of all.entries()) {
    entries[name] = await sha256(bytes);
    step?.(i + 1, all.length);
  }
  const said: Manifest = {
    format: FORMAT,
    version: BACKUP_VERSION,
    madeAt,
    jobs: kept.jobs.length,
    hunts: kept.hunts.length,
    photos: Object.keys(photos).length,
    entries,
  };
  const manifest = written({ ...said, seal: await sealOf(said) });
  return zipSync(
    Object.fromEntries(
      Object.entries({ [MANIFEST]: manifest, ...files }).map(
        ([name, bytes]): [string, [Uint8Array, ZipOptions]] => [
          name,
          [bytes, { level: name.endsWith('.jpg') ? 0 : 6 }],
        ],
      ),
    ),
  );
}

class Refused extends Error {
  readonly path: string;
  constructor(sentence: string, path = '') {
    super(sentence);
    this.path = path;
  }
}

/** What a zip holds, once what it says of itself was looked at: nothing is unpacked before. */
function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
  if (bytes.length > LARGEST_ZIP)
    throw new Refused(say`This file is far larger than any backup; it was not read.`);
  const names = new Set<string>();
  let [words, bad, twice, tooMuch] = [0, '', '', false];
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        // Packed again by hand, a zip may name its folders as well.
        if (FOLDER.test(name) && originalSize === 0) return false;
        if (!NAME.test(name)) bad ||= name;
        if (names.has(name)) twice ||= name;
        names.add(name);
        const isWords = name.endsWith('.json');
        if (isWords) words += originalSize;
        tooMuch ||= isWords
          ? originalSize > LARGEST_ENTRY || words > LARGEST_WORDS
          : originalSize > 2 * size + 1000;
        tooMuch ||= names.size > MOST_ENTRIES;
        return bad === '' && twice === '' && !tooMuch;
      },
    });
  } catch {
    throw new Refused(say`This is no backup: it is not a zip, or it is damaged.`);
  }
  if (bad)
    throw new Refused(
      say`This is no backup of this application: “${bad.slice(0, 60)}” has no place in one.`,
      bad,
    );
  if (twice) throw new Refused(say`This backup is damaged: it holds ${twice} twice.`, twice);
  if (tooMuch) throw new Refused(say`Unpacked this would be far larger than any backup; it was not read.`);
  return files;
}

/**
 * Reads a backup. Nothing is half read: the answer is everything, or one sentence saying why not. Every entry is held
 * against its checksum, and counts and ids against the manifest, before anything of it is used.
 *
 * @param step told of each entry that was compared with its checksum
 */
export async function readBackup(
  bytes: Uint8Array,
  step?: Step,
): Promise<Parsed<Everything & { readonly manifest: Manifest }>> {
  try {
    return { ok: true, value: await readFiles(unpacked(bytes), step) };
  } catch (error) {
    return error instanceof Refused
      ? { ok: false, sentence: error.message, path: error.path }
      : { ok: false, sentence: say`This backup cannot be used: something in it is damaged.`, path: '' };
  }
}

function jsonIn(files: Record<string, Uint8Array>, name: string): unknown {
  const file = files[name];
  if (!file) throw new Refused(say`This backup lacks ${name}.`, name);
  try {
    const contents = strFromU8(file);
    if (isTooDeep(contents)) throw new RangeError('too deep');
    return JSON.parse(contents);
  } catch {
    throw new Refused(say`This backup is damaged: ${name} is not complete JSON.`, name);
  }
}
const unusable = (name: string, why: string) =>
  new Refused(say`This backup cannot be used: in ${name}, ${why}.`, name);

/** Something of a file by its schema. */
function parsed<T>(name: string, schema: z.ZodMiniType<T>, data: unknown): T {
  const read = schema.safeParse(data);
  if (read.success) return read.data;
  throw unusable(name, refusalSays(read.error, data));
}
/** Something of a file, by whichever version wrote it. */
function stored<Kind extends StoredKind>(kind: Kind, name: string, data: unknown) {
  const read = readStored(kind, data);
  if (read.ok) return read.value;
  throw unusable(name, read.sentence.replace(/\.$/, ''));
}
function storedList<Kind extends StoredKind>(kind: Kind, name: string, data: unknown) {
  if (!Array.isArray(data)) throw unusable(name, say`there is no list`);
  return data.map((item: unknown) => stored(kind, name, item));
}

async function readManifest(files: Record<string, Uint8Array>, step?: Step): Promise<Manifest> {
  const data = jsonIn(files, MANIFEST);
  const version = (data as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > BACKUP_VERSION)
    throw new Refused(
      say`This backup was made by a newer version (${version}, this one reads ${BACKUP_VERSION}). Update, then restore it.`,
      'version',
    );
  const manifest = parsed(MANIFEST, manifestSchema, data);
  if (manifest.version < SEALED_FROM) return manifest;
  const { entries, seal } = manifest;
  if (!entries || seal !== (await sealOf(manifest)))
    throw new Refused(say`This backup is damaged: its manifest is not as it was written.`, MANIFEST);
  for (const name of Object.keys(files))
    if (name !== MANIFEST && !Object.hasOwn(entries, name))
      throw new Refused(say`This backup is damaged: ${name} is not of it.`, name);
  const all = Object.entries(entries);
  for (const [i, [name, sum]] of all.entries()) {
    const file = files[name];
    if (!file) throw new Refused(say`This backup lacks ${name}.`, name);
    if ((await sha256(file)) !== sum)
      throw new Refused(say`This backup is damaged: ${name} is not as it was written.`, name);
    step?.(i + 1, all.length);
  }
  return manifest;
}

async function readFiles(
  files: Record<string, Uint8Array>,
  step?: Step,
): Promise<Everything & { readonly manifest: Manifest }> {
  const manifest = await readManifest(files, step);
  const names = Object.keys(files);
  const jobs = names
    .filter((name) => name.startsWith('jobs/'))
    .sort((a, b) => Number.parseInt(a.slice(5), 10) - Number.parseInt(b.slice(5), 10))
    .map((name) => stored('job', name, jsonIn(files, name)));
  const hunts = storedList('hunt', 'hunts.json', jsonIn(files, 'hunts.json'));
  const pictures = names.filter((name) => name.startsWith('photos/'));
  const counted = [
    [say`jobs`, manifest.jobs, jobs.length],
    [say`hunts`, manifest.hunts, hunts.length],
    [say`photographs`, manifest.photos, pictures.length],
  ] as const;
  for (const [what, said, found] of counted)
    if (said !== found)
      throw new Refused(say`This backup is damaged: it says it holds ${said} ${what}, and holds ${found}.`);
  for (const list of [jobs, hunts])
    if (new Set(list.map((own) => own.id)).size !== list.length)
      throw new Refused(say`This backup is damaged: it holds something twice.`);
  const photos: Record<string, Uint8Array> = {};
  for (const name of pictures) {
    const bytes = files[name];
    // What only calls itself a JPEG is left out.
    if (bytes && isJpeg(bytes))
      photos[parsed(name, id, name.slice('photos/'.length, -'.jpg'.length))] = bytes;
  }
  const shop = jsonIn(files, 'shop.json');
  return {
    manifest,
    kept: {
      jobs,
      hunts,
      bin: storedList('bin item', 'bin.json', jsonIn(files, 'bin.json')),
      shop: shop === null ? null : stored('shop', 'shop.json', shop),
    },
    prefs: readPrefs(jsonIn(files, 'prefs.json')),
    rounds: parsed('training.json', z.array(roundSchema), jsonIn(files, 'training.json')),
    photos,
  };
}
