import type { Cable } from '../model/cable.ts';
import type { Job } from '../model/job.ts';
import { emptyJob, newCable } from '../model/newCable.ts';
import type { Load, Run } from '../model/run.ts';
import type { CableKind, Shop } from '../model/shop.ts';
import { type ConductorSize, sameSize } from '../model/tables/size.ts';
import { nominalAmps } from '../sizing/loadIn.ts';
import { ENGINE_SPACE_C } from '../sizing/loop.ts';
import { amount, capitalised, type Message, msg, tell, verbatim } from '../words/message.ts';
import { brief, THIN } from '../words/numerals.ts';
import { say } from '../words/say.ts';
import { type LineFact, type LineRead, readLine } from './readLine.ts';
import { CUSTOMARY_USE, LINE_USES, type LineUse } from './uses.ts';
import { measures } from '../words/measures.ts';

/** Something that the line does not say and that is used all the same. */
export interface Assumption {
  readonly key: string;
  readonly says: Message;
  /** What to type to say it: put at the end of the line, to be changed there. */
  readonly typed: string;
}

/** What came of a typed line. */
export interface LineAnswer {
  readonly read: LineRead;
  readonly assumed: readonly Assumption[];
  /** Without these there is no answer. */
  readonly missing: readonly ('load' | 'length')[];
  /** The cable out and the one back, or the one alone, as a job of their own; null while something is missing. */
  readonly job: Job | null;
}

type Figures = Extract<LineFact, { readonly value: number }>['is'];
const USUAL = { volts: 12, efficiencyPercent: 90, dropPercent: 3, ambientC: 30 } as const;
/** A lead battery that is nearly empty, for each volt by name. */
const LOWEST_SHARE = 11 / 12;

/** A size as a kind of cable has it: a gauge by its name, whichever of its two systems it is of. */
const sizeOf = ({ sizes }: CableKind, size: ConductorSize): ConductorSize | undefined =>
  (
    sizes.find((own) => sameSize(own.size, size)) ??
    sizes.find(
      (own) => size.system !== 'metric' && own.size.system !== 'metric' && own.size.name === size.name,
    )
  )?.size;

/** What a line says, the last of each thing. */
function gathered({ pieces }: LineRead) {
  const figures = new Map<Figures, number>();
  const flags = new Set<LineFact['is']>();
  let [use, size, jacket] = [
    null as LineUse | null,
    undefined as Cable['gauge']['size'],
    undefined as Cable['jacket'] | undefined,
  ];
  for (const { fact } of pieces) {
    flags.add(fact.is);
    if ('value' in fact) figures.set(fact.is, fact.value);
    else if (fact.is === 'use') use = fact.use;
    else if (fact.is === 'size') size = fact.size;
    else if (fact.is === 'jacket') jacket = fact.jacket;
  }
  return { figures, flags, use, size, jacket };
}

/**
 * The cable that a typed line asks for, with the one back, and what had to be assumed for it. What is missing is named:
 * a load and a length there must be.
 *
 * @param ids of the cable out and the one back
 * @example cableFromLine('12 V 2000 W inverter 1.5 m', shop, ['a', 'b']).assumed.map(({ key }) => key)
 *   // ['efficiencyPercent', 'lowestV', 'dropPercent', 'ambientC']
 */
// oxlint-disable-next-line max-lines-per-function -- one thing after the other, each said or assumed
export function cableFromLine(line: string, shop: Shop, ids: readonly [string, string]): LineAnswer {
  const read = readLine(line);
  const { figures, flags, use, size, jacket } = gathered(read);
  const customary = use ? (CUSTOMARY_USE[use] ?? {}) : {};
  const assumed: Assumption[] = [];
  const figure = (key: Figures, usual: number, says: Message, typed: string): number => {
    const given = figures.get(key);
    if (given !== undefined) return given;
    assumed.push({ key, says, typed });
    return usual;
  };
  const systemV = figure('volts', USUAL.volts, verbatim`${amount(USUAL.volts, 'V', 0)}`, '12 V');
  const watts = figures.get('watts');
  const amps =
    figures.get('amps') ??
    (watts === undefined && customary.amps !== undefined
      ? figure('amps', customary.amps, verbatim`${amount(customary.amps, 'A', 0)}`, `${customary.amps} A`)
      : undefined);
  const lengthMm = figures.get('lengthMm');
  const missing = [
    ...(watts === undefined && amps === undefined ? (['load'] as const) : []),
    ...(lengthMm === undefined ? (['length'] as const) : []),
  ];
  let load: Load = { kind: 'amps', amps: amps ?? 0 };
  if (watts !== undefined && amps === undefined) {
    const efficiencyPercent = figure(
      'efficiencyPercent',
      USUAL.efficiencyPercent,
      msg`${USUAL.efficiencyPercent} % efficient`,
      say`efficiency ${USUAL.efficiencyPercent} %`,
    );
    const usualLowest = Math.round(10 * LOWEST_SHARE * systemV) / 10;
    const lowestV = figure(
      'lowestV',
      usualLowest,
      msg`battery down to ${amount(usualLowest, 'V', 1)}`,
      say`lowest ${brief(usualLowest, 1)} V`,
    );
    load = { kind: 'watts', watts, efficiencyPercent, lowestV };
  }
  const seconds =
    figures.get('seconds') ??
    (customary.seconds === undefined
      ? undefined
      : figure(
          'seconds',
          customary.seconds,
          customary.seconds < 60
            ? msg`for ${amount(customary.seconds, 's', 0)}`
            : msg`for ${customary.seconds / 60} min`,
          customary.seconds < 60 ? `${customary.seconds} s` : `${customary.seconds / 60} min`,
        ));
  const usualDrop = customary.dropPercent ?? USUAL.dropPercent;
  const dropPercent = figure(
    'dropPercent',
    usualDrop,
    msg`${usualDrop} % voltage drop`,
    say`drop ${usualDrop} %`,
  );
  const usualAir = flags.has('engineSpace') ? ENGINE_SPACE_C : USUAL.ambientC;
  const ambientC = figure(
    'ambientC',
    usualAir,
    msg`air ${amount(usualAir, '°C', 0)}`,
    say`air ${amount(usualAir, '°C', 0)}`.replaceAll(THIN, ' '),
  );
  const wanted = flags.has('tinned') ? true : flags.has('plain') ? false : undefined;
  const ofItsCoat = shop.cableKinds.filter(({ tinned }) => wanted === undefined || tinned === wanted);
  const sized = size && [...ofItsCoat, ...shop.cableKinds].find((own) => sizeOf(own, size));
  // Where nothing else decides it, a kind that is sold in the sizes that the reader names.
  const isMetric = measures().sizes === 'metric';
  const asNamed = ofItsCoat.find(({ sizes }) =>
    sizes.some((own) => (own.size.system === 'metric') === isMetric),
  );
  const cableKind = sized ?? asNamed ?? ofItsCoat[0] ?? shop.cableKinds[0];
  const taken = size && cableKind && sizeOf(cableKind, size);
  // A size that the shop has no cable of is not passed over in silence.
  const sizeText = read.pieces.findLast(({ fact }) => fact.is === 'size')?.text;
  const unread = size && !taken && sizeText !== undefined ? [...read.unread, sizeText] : read.unread;
  if (wanted === undefined && cableKind)
    assumed.push({
      key: 'kind',
      says: cableKind.title.toLowerCase(),
      typed: cableKind.tinned ? say`plain` : say`tinned`,
    });
  const known = { read: { ...read, unread }, assumed, missing };
  if (missing.length > 0 || lengthMm === undefined || !cableKind) return { ...known, job: null };

  const name = use ? tell(capitalised(LINE_USES[use])) : say`Load`;
  // A load in watts that runs for a time draws most where its battery is lowest.
  const heaviest = nominalAmps(load);
  const run: Partial<Run> = {
    systemV,
    load: seconds === undefined ? load : { kind: 'amps', amps: 0 },
    ...(seconds !== undefined && {
      duty: {
        steps: [{ amps: Number(heaviest.toPrecision(5)), seconds }],
        repeats: false,
        dropPercent: Math.max(0.5, dropPercent),
      },
    }),
    dropPercent,
    lengthMm,
    return: flags.has('single') ? { kind: 'cable', lengthMm } : { kind: 'circuit', name },
    starter: use === 'starter',
    engineSpace: flags.has('engineSpace'),
    sun: flags.has('sun'),
    placing: flags.has('bundle') ? 'bundle' : flags.has('conduit') ? 'conduit2' : 'free',
    ambientC,
  };
  const cable = (id: string, tag: string, isBack: boolean): Cable => {
    const fresh = newCable(id, tag, shop);
    const fuseA = figures.get('fuseA');
    const [battery, far] = isBack ? [say`Battery −`, `${name} −`] : [say`Battery +`, `${name} +`];
    return {
      ...fresh,
      polarity: isBack ? 'negative' : 'positive',
      jacket: isBack ? 'black' : (jacket ?? 'red'),
      run: {
        ...fresh.run,
        ...run,
        ...(fuseA !== undefined &&
          !isBack && {
            fuses: [
              {
                end: 'A' as const,
                kind: 'class-t' as const,
                ratingA: fuseA,
                place: 'near' as const,
                distanceMm: 150,
              },
            ],
          }),
      },
      gauge: { kindId: cableKind.id, ...(taken && { size: taken }) },
      ends: isBack
        ? { A: { ...fresh.ends.A, at: far }, B: { ...fresh.ends.B, at: battery } }
        : { A: { ...fresh.ends.A, at: battery }, B: { ...fresh.ends.B, at: far } },
    };
  };
  const letters = (use ?? 'load').slice(0, 2).toUpperCase();
  const out = cable(ids[0], `${letters}-1`, false);
  const cables = flags.has('single') ? [out] : [out, cable(ids[1], `${letters}-2`, true)];
  const title = use
    ? msg`${capitalised(LINE_USES[use])}, ${amount(systemV, 'V', 0)}`
    : msg`Load, ${amount(systemV, 'V', 0)}`;
  return { ...known, job: { ...emptyJob('line', tell(title)), cables } };
}
