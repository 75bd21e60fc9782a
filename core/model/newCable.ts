import type { Cable } from './cable.ts';
import type { Job } from './job.ts';
import { freeId } from './merge.ts';
import type { Shop } from './shop.ts';
import { LONGEST_NAME } from './text.ts';

/**
 * The next tag in the way the last one is written: TH-3 → TH-4, C9 → C10; "C-1" in an empty job. Never longer than a
 * tag may be: a long stem is shortened.
 */
export function nextTag(tags: readonly string[]): string {
  const [, stem, number] = /^(.*?)(\d+)$/su.exec(tags.at(-1) ?? 'C-0') ?? [undefined, `${tags.at(-1)}-`, '1'];
  const taken = new Set(tags);
  const tag = (n: bigint) => {
    const digits = String(n).slice(-LONGEST_NAME);
    return `${stem?.slice(0, LONGEST_NAME - digits.length)}${digits}`;
  };
  let n = BigInt(number ?? '0') + 1n;
  while (taken.has(tag(n))) n += 1n;
  return tag(n);
}

/** A job with nothing in it yet. */
export const emptyJob = (id: string, title: string): Job => ({
  id,
  title,
  subtitle: '',
  cables: [],
  studs: [],
  heeded: [],
});

/** A cable with nothing said yet but its tag: what a person starts from. */
export function newCable(id: string, tag: string, shop: Shop): Cable {
  return {
    id,
    tag,
    polarity: 'positive',
    jacket: 'red',
    run: {
      systemV: 12,
      load: { kind: 'amps', amps: 0 },
      dropPercent: 3,
      lengthMm: 1000,
      loopMm: 0,
      return: { kind: 'cable', lengthMm: 1000 },
      devices: [],
      source: { kind: 'unknown' },
      bothEndsLive: false,
      fuses: [],
      starter: false,
      ambientC: 30,
      engineSpace: false,
      sun: false,
      meets: [],
      placing: 'free',
      bundled: 3,
      hoursPerYear: 500,
    },
    gauge: { kindId: shop.cableKinds[0]?.id ?? '' },
    ends: { A: { at: '', stud: 'M8' }, B: { at: '', stud: 'M8' } },
    joins: [],
    palmAngleDeg: 0,
    done: [],
    readings: [],
    reworks: [],
    passed: [],
    mishaps: [],
    photos: [],
    fitted: [],
    corrections: [],
    waivers: [],
    keywords: [],
    notes: '',
    records: [],
  };
}

/** A copy to make again: same run, gauge and ends; nothing made, nothing measured, under a tag of its own. */
export function duplicateCable(of: Cable, id: string, job: Job): Cable {
  const { lots: _, signOffs: __, nonconformances: ___, lastSeal: ____, ...cable } = of;
  const tag = nextTag([...job.cables.map(({ tag: taken }) => taken), cable.tag]);
  return {
    ...cable,
    id,
    tag,
    done: [],
    readings: [],
    reworks: [],
    passed: [],
    mishaps: [],
    photos: [],
    fitted: [],
    corrections: [],
    waivers: [],
    records: [],
  };
}

/** A copy of a job under an id that is free among `jobs`. */
export function underFreeId(job: Job, jobs: readonly Job[]): Job {
  return { ...job, id: freeId(job.id, jobs) };
}
