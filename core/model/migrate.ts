import { type Fields, isFields } from './fields.ts';
import { VERSION } from './job.ts';
import { CUSTOMARY_PRACTICE } from './housePractice.ts';

const each = (list: unknown, fill: (item: Fields) => Fields): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isFields(item) ? fill(item) : item)) : list;

/**
 * Version 1 knew tube lugs, black sleeves, crimping alone, and no stud shared by two cables; version 2 nothing of
 * fitting, keywords, corrections, waivers or instruments; version 3 nothing that is missing here where it is not given;
 * version 4 no crimp of a reading, no accuracy of an instrument, no lots, no signatures and no chain of records, which
 * stay unknown; version 5 no kind of a guard, no weight limit, no moulded part and no cover of a connector: what is not
 * given is a sheath, no limit, a nipped sleeve, a bare connector.
 */
const jobNow = (job: Fields): Fields => ({
  ...job,
  studs: job.studs ?? [],
  heeded: job.heeded ?? [],
  cables: each(job.cables, (cable) => ({
    ...cable,
    joins: cable.joins ?? [],
    passed: cable.passed ?? [],
    mishaps: cable.mishaps ?? [],
    photos: cable.photos ?? [],
    waivers: cable.waivers ?? [],
    fitted: cable.fitted ?? [],
    keywords: cable.keywords ?? [],
    corrections: cable.corrections ?? [],
  })),
});
/** A question that an earlier version did not ask is answered as is customary. */
const practiceNow = (practice: Fields): Fields => ({
  ...CUSTOMARY_PRACTICE,
  ...practice,
  ...(isFields(practice.schools) && { schools: { ...CUSTOMARY_PRACTICE.schools, ...practice.schools } }),
});
const shopNow = (shop: Fields): Fields => ({
  ...shop,
  practice: isFields(shop.practice) ? practiceNow(shop.practice) : shop.practice,
  lugs: each(shop.lugs, (lug) => ({
    form: 'tube',
    flared: false,
    offsetMm: 0,
    angleDeg: 0,
    drilledOut: false,
    measured: false,
    ...lug,
  })),
  sleeves: each(shop.sleeves, (sleeve) => ({ colour: 'black', ...sleeve })),
  spools: shop.spools ?? [],
  trials: shop.trials ?? [],
  instruments: shop.instruments ?? [],
});

/** A job as this version keeps it, from whatever earlier version wrote it; checked by its schema afterwards. */
export const migrateJob = (data: unknown): unknown => (isFields(data) ? jobNow(data) : data);

/** A shop as this version keeps it, from whatever earlier version wrote it. */
export const migrateShop = (data: unknown): unknown => (isFields(data) ? shopNow(data) : data);

/**
 * A job file as this version writes it. What an earlier version did not know is filled in by what it meant then;
 * nothing that it said is changed. What was added to this version since a file of it was written is filled in too.
 *
 * @example migrateFile({ format, version: 1, job, shop }) // version 5: the same job, with no shared studs
 */
export function migrateFile(data: Fields): Fields {
  const { version } = data;
  const isKnown =
    typeof version === 'number' && Number.isInteger(version) && version >= 1 && version <= VERSION;
  if (!isKnown) return data;
  return { ...data, version: VERSION, job: migrateJob(data.job), shop: migrateShop(data.shop) };
}
