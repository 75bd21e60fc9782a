import fc from 'fast-check';
import type { z as core } from 'zod/mini';
import { type Job, jobSchema } from './job.ts';
import { type Shop, shopSchema } from './shop.ts';
import { huntSchema } from './hunt.ts';

/** What a schema says of itself, as far as values are drawn from it. */
interface Def {
  readonly type: string;
  readonly format?: string;
  readonly checks?: readonly { readonly _zod: { readonly def: CheckDef } }[];
  readonly shape?: Readonly<Record<string, core.ZodMiniType>>;
  readonly element?: core.ZodMiniType;
  readonly innerType?: core.ZodMiniType;
  readonly options?: readonly core.ZodMiniType[];
  readonly keyType?: core.ZodMiniType;
  readonly valueType?: core.ZodMiniType;
  readonly entries?: Readonly<Record<string, string>>;
  readonly values?: readonly unknown[];
  readonly getter?: () => core.ZodMiniType;
}
interface CheckDef {
  readonly check: string;
  readonly format?: string;
  readonly value?: number;
  readonly inclusive?: boolean;
  readonly minimum?: number;
  readonly maximum?: number;
}

/** Few ids for everything that has one, so that what refers to something mostly finds it. */
const IDS = ['a', 'b', 'c', 'gone.-_'] as const;
/** Long lists say no more than short ones, and cost a hundred times as much. */
const LONGEST_LIST = 4;

const checksOf = (def: Def): readonly CheckDef[] => def.checks?.map(({ _zod }) => _zod.def) ?? [];

function numbers(def: Def): fc.Arbitrary<number> {
  const checks = checksOf(def);
  const bound = (check: string) => checks.find((own) => own.check === check);
  const [low, high] = [bound('greater_than'), bound('less_than')];
  const isInt = def.format === 'safeint';
  const tiny = isInt ? 1 : Number.MIN_VALUE;
  const least = (low?.value ?? -1e9) + (low?.inclusive === false ? tiny : 0);
  const most = high?.value ?? 1e9;
  const inside = [0, 1, 2, 12, 24, 48, 100, least * 1.001, (least + most) / 2].filter(
    (n) => n >= least && n <= most && (!isInt || Number.isInteger(n)),
  );
  const any = isInt
    ? fc.integer({ min: least, max: most })
    : fc.double({ min: least, max: most, noNaN: true, noDefaultInfinity: true });
  return fc.oneof(
    { weight: 2, arbitrary: fc.constantFrom(least, most) },
    { weight: 2, arbitrary: fc.constantFrom(...inside, least) },
    { weight: 3, arbitrary: any },
    // Small figures are where people work: a uniform draw hardly ever meets them.
    ...(least < 200 && most > 200 && !isInt
      ? [
          {
            weight: 3,
            arbitrary: fc.double({ min: Math.max(least, 0), max: 200, noNaN: true }),
          },
        ]
      : []),
  );
}

const TEXTS = [
  '',
  'A',
  'TH-3',
  'C-1',
  'x9',
  '  ',
  '{0}',
  '<b>',
  'é\u2009µ',
  '‖',
  '§',
  '٣',
  'toString',
  '__proto__',
  'C-1e+26',
  '9'.repeat(40),
];
function texts(def: Def): fc.Arbitrary<string> {
  const checks = checksOf(def);
  const format = def.format ?? checks.find(({ check }) => check === 'string_format')?.format;
  if (format === 'datetime')
    return fc.constantFrom('0001-01-01T00:00:00Z', '2026-03-14T09:00:00Z', '9999-12-31T23:59:59Z');
  if (format === 'date') return fc.constantFrom('0001-01-01', '2024-02-29', '2026-06-01', '9999-12-31');
  if (format === 'regex') return fc.constantFrom(...IDS);
  const least = checks.find(({ check }) => check === 'min_length')?.minimum ?? 0;
  const most = checks.find(({ check }) => check === 'max_length')?.maximum ?? 200;
  const fit = [...TEXTS, 'w'.repeat(most)].filter(({ length }) => length >= least && length <= most);
  return fc.oneof(fc.constantFrom(...fit), fc.string({ minLength: least, maxLength: Math.min(most, 12) }));
}

/** So often what holds itself is drawn within itself; from there on the simplest of it. */
const DEEPEST = 2;

/**
 * Values that a schema takes, its extremes first: every number at its limits, every option, every list empty and full.
 * Refinements of whole objects are not known to it: see {@link validJob}.
 *
 * @param within how deep it is in a schema that holds itself
 */
export function valid<T>(schema: core.ZodMiniType<T>, within = 0): fc.Arbitrary<T> {
  const inner = (own: core.ZodMiniType) => valid(own, within);
  const def = (schema as unknown as { _zod: { def: Def } })._zod.def;
  const drawn = (): fc.Arbitrary<unknown> => {
    switch (def.type) {
      case 'object': {
        const shape = def.shape ?? {};
        const isOptional = (key: string) =>
          (shape[key] as unknown as { _zod: { def: Def } } | undefined)?._zod.def.type === 'optional';
        return fc.record(Object.fromEntries(Object.entries(shape).map(([key, own]) => [key, inner(own)])), {
          requiredKeys: Object.keys(shape).filter((key) => !isOptional(key)),
        });
      }
      case 'array': {
        const least = checksOf(def).find(({ check }) => check === 'min_length')?.minimum ?? 0;
        const most = checksOf(def).find(({ check }) => check === 'max_length')?.maximum ?? LONGEST_LIST;
        return fc.array(inner(def.element as core.ZodMiniType), {
          minLength: least,
          maxLength: Math.max(least, Math.min(most, LONGEST_LIST)),
        });
      }
      case 'string':
        return texts(def);
      case 'number':
        return numbers(def);
      case 'boolean':
        return fc.boolean();
      case 'enum':
        return fc.constantFrom(...Object.values(def.entries ?? {}));
      case 'literal':
        return fc.constantFrom(...(def.values ?? []));
      case 'union':
        return fc.oneof(...(def.options ?? []).map((option) => inner(option)));
      case 'optional':
        return inner(def.innerType as core.ZodMiniType);
      case 'nullable':
        return fc.option(inner(def.innerType as core.ZodMiniType));
      case 'record': {
        const entries = (def.keyType as unknown as { _zod: { def: Def } })._zod.def;
        const keys = entries.type === 'enum' ? Object.values(entries.entries ?? {}) : [...IDS];
        return fc
          .uniqueArray(fc.constantFrom(...keys))
          .chain((chosen) =>
            fc.record(
              Object.fromEntries(chosen.map((key) => [key, inner(def.valueType as core.ZodMiniType)])),
            ),
          );
      }
      case 'null':
        return fc.constant(null);
      case 'lazy': {
        const own = def.getter?.();
        if (!own) throw new RangeError('a lazy schema of nothing');
        const [plain = own] = (own as unknown as { _zod: { def: Def } })._zod.def.options ?? [];
        return within < DEEPEST ? valid(own, within + 1) : valid(plain, within);
      }
      default:
        throw new RangeError(`no values are drawn of a ${def.type}`);
    }
  };
  return drawn() as fc.Arbitrary<T>;
}

/** Any job that the reader takes. */
export const validJob: fc.Arbitrary<Job> = valid(jobSchema).filter((job) => jobSchema.safeParse(job).success);
/** Any shop that the reader takes. */
export const validShop: fc.Arbitrary<Shop> = valid(shopSchema);
/** Any hunt that the reader takes. */
export const validHunt = valid(huntSchema).filter((hunt) => huntSchema.safeParse(hunt).success);

/** What no reader may ever be shown: a figure that is none, or a machine's word for nothing. */
export const NOT_FOR_READERS = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object \w+\]|\u2014/;

/**
 * Every text and number in something, with where it stands: what is wrong with it in a reader's eyes. What stands in it
 * in several places is read once.
 *
 * @param written texts that a person wrote, which may hold anything
 */
export function unreadable(data: unknown, written: ReadonlySet<string> = new Set()): string[] {
  const found: string[] = [];
  const seen = new Set<object>();
  const path: string[] = [];
  const isBad = (value: unknown) =>
    typeof value === 'number'
      ? // How tightly strands lie where the wall fills the die is no figure; what is said of it is words.
        !Number.isFinite(value) && path.at(-1) !== 'kappa'
      : typeof value === 'string' && NOT_FOR_READERS.test(value) && !written.has(value);
  const read = (value: unknown): void => {
    if (isBad(value)) found.push(`${path.join('.')}: ${String(value)}`);
    if (typeof value !== 'object' || value === null || seen.has(value)) return;
    seen.add(value);
    for (const [key, own] of Object.entries(value)) {
      path.push(key);
      read(own);
      path.pop();
    }
  };
  read(data);
  return found;
}
