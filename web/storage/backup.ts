import { strFromU8, strToU8, unzipSync, type ZipOptions, zipSync } from 'fflate';
import * as z from 'zod/mini';
import { huntSchema } from '../../core/hunt/chain.ts';
import { binSchema } from '../../core/job/bin.ts';
import type { Parsed } from '../../core/job/file.ts';
import { jobSchema, VERSION } from '../../core/job/job.ts';
import { migrateJob, migrateShop } from '../../core/job/migrate.ts';
import { id, moment } from '../../core/job/text.ts';
import { shopSchema } from '../../core/job/shop.ts';
import type { Kept } from './library.ts';
import { prefsSchema, type Prefs } from './prefs.ts';
import { roundSchema, type KeptRound } from './training.ts';
import { say } from '../../core/words/say.ts';

const FORMAT = 'gruff-anchor-backup';

/** Everything that a browser keeps, as one. */
export interface Everything {
  readonly kept: Kept;
  readonly prefs: Prefs;
  readonly rounds: readonly KeptRound[];
  /** JPEG by the id of the photograph. */
  readonly photos: Readonly<Record<string, Uint8Array>>;
}

const manifestSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.int().check(z.gte(1)),
  madeAt: moment,
  jobs: z.int().check(z.gte(0)),
  hunts: z.int().check(z.gte(0)),
  photos: z.int().check(z.gte(0)),
});
export type Manifest = z.infer<typeof manifestSchema>;

const LARGEST_ZIP = 1_000_000_000;
const LARGEST_ENTRY = 200_000_000;
const LARGEST_UNPACKED = 2_000_000_000;
const MOST_ENTRIES = 20_000;
/** What a name in a backup may be: it goes nowhere but into the browser's store. */
const NAME =
  /^(?:manifest|shop|bin|prefs|training|hunts)\.json$|^jobs\/\d{1,5}\.json$|^photos\/[\w.-]{1,60}\.jpg$/;
const FOLDER = /^(?:jobs|photos)\/$/;
const JPEG_START = [0xff, 0xd8, 0xff];

/** A backup as a zip: plain JSON a job, photographs as they are. */
export function writeBackup({ kept, prefs, rounds, photos }: Everything, madeAt: string): Uint8Array {
  const manifest: Manifest = {
    format: FORMAT,
    version: VERSION,
    madeAt,
    jobs: kept.jobs.length,
    hunts: kept.hunts.length,
    photos: Object.keys(photos).length,
  };
  const json = (data: unknown): [Uint8Array, ZipOptions] => [
    strToU8(`${JSON.stringify(data, null, 1)}\n`),
    { level: 6 },
  ];
  const files: Record<string, [Uint8Array, ZipOptions]> = {
    'manifest.json': json(manifest),
    'shop.json': json(kept.shop),
    'hunts.json': json(kept.hunts),
    'bin.json': json(kept.bin),
    'prefs.json': json(prefs),
    'training.json': json(rounds),
  };
  kept.jobs.forEach((job, i) => {
    files[`jobs/${i}.json`] = json(job);
  });
  for (const [name, bytes] of Object.entries(photos)) files[`photos/${name}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files);
}

const refuse = (sentence: string, path = ''): Parsed<never> => ({ ok: false, sentence, path });

/**
 * Reads a backup. Nothing is half read: the answer is everything, or one sentence saying why not. What the zip says of
 * its own sizes is looked at before anything is unpacked.
 */
export function readBackup(bytes: Uint8Array): Parsed<Everything & { readonly manifest: Manifest }> {
  if (bytes.length > LARGEST_ZIP)
    return refuse(say`This file is far larger than any backup; it was not read.`);
  let files: Record<string, Uint8Array>;
  let [total, count, bad] = [0, 0, ''];
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        // Packed anew by hand, a zip may name its folders as well.
        if (FOLDER.test(name) && originalSize === 0) return false;
        count += 1;
        total += originalSize;
        if (!NAME.test(name)) bad ||= name;
        return (
          bad === '' && originalSize <= LARGEST_ENTRY && total <= LARGEST_UNPACKED && count <= MOST_ENTRIES
        );
      },
    });
  } catch {
    return refuse(say`This is no backup: it is not a zip, or it is damaged.`);
  }
  if (bad)
    return refuse(
      say`This is no backup of this application: “${bad.slice(0, 60)}” has no place in one.`,
      bad,
    );
  if (total > LARGEST_UNPACKED || count > MOST_ENTRIES || Object.keys(files).length < count)
    return refuse(say`Unpacked this would be far larger than any backup; it was not read.`);
  return readFiles(files);
}

class Refused extends Error {
  readonly path: string;
  constructor(sentence: string, path: string) {
    super(sentence);
    this.path = path;
  }
}

function readFiles(files: Record<string, Uint8Array>): Parsed<Everything & { readonly manifest: Manifest }> {
  const read = <T>(
    name: string,
    schema: z.ZodMiniType<T>,
    migrate: (data: unknown) => unknown = (data) => data,
  ): T => {
    const file = files[name];
    if (!file) throw new Refused(say`This backup lacks ${name}.`, name);
    let data: unknown;
    try {
      data = JSON.parse(strFromU8(file));
    } catch {
      throw new Refused(say`This backup is damaged: ${name} is not complete JSON.`, name);
    }
    const parsed = schema.safeParse(migrate(data));
    if (parsed.success) return parsed.data;
    const [issue] = parsed.error.issues;
    throw new Refused(
      say`This backup cannot be used: in ${name}, at “${issue?.path.join('.') ?? ''}”, ${issue?.message ?? say`something is wrong`}.`,
      name,
    );
  };
  try {
    const manifest = read('manifest.json', manifestSchema);
    if (manifest.version > VERSION)
      return refuse(
        say`This backup was made by a newer version (${manifest.version}, this one reads ${VERSION}). Update, then restore it.`,
        'version',
      );
    const names = Object.keys(files);
    const jobs = names
      .filter((name) => name.startsWith('jobs/'))
      .sort((a, b) => Number.parseInt(a.slice(5), 10) - Number.parseInt(b.slice(5), 10))
      .map((name) => read(name, jobSchema, migrateJob));
    const photos: Record<string, Uint8Array> = {};
    for (const name of names.filter((own) => own.startsWith('photos/'))) {
      const bytes = files[name];
      // What only calls itself a JPEG is left out.
      if (bytes && JPEG_START.every((byte, i) => bytes[i] === byte))
        photos[id.parse(name.slice('photos/'.length, -'.jpg'.length))] = bytes;
    }
    return {
      ok: true,
      value: {
        manifest,
        kept: {
          jobs,
          hunts: read('hunts.json', z.array(huntSchema)),
          bin: read('bin.json', binSchema),
          shop: read('shop.json', z.nullable(shopSchema), (data) =>
            data === null ? null : migrateShop(data),
          ),
        },
        prefs: read('prefs.json', prefsSchema),
        rounds: read('training.json', z.array(roundSchema)),
        photos,
      },
    };
  } catch (error) {
    if (error instanceof Refused) return refuse(error.message, error.path);
    return refuse(say`This backup cannot be used: something in it is damaged.`);
  }
}
