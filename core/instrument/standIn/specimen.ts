import * as z from 'zod/mini';
import { resistancePerMetre } from '../../conductor/resistance.ts';
import type { CableWork } from '../../cableWork.ts';
import { type Hunt } from '../../model/hunt.ts';
import { expectedMilliohm } from '../../hunt/expected.ts';
import { END_NAMES } from '../../model/end.ts';
import { id, mm } from '../../model/text.ts';
import { pullTargets } from '../../termination/dies/pullForce.ts';

const endName = z.enum(END_NAMES);

const specimenEnd = z.strictObject({
  barrelMm: mm(0, 200),
  /** The die its crimps were made with; null where none closed on it. */
  dieMm: z.nullable(mm(1, 100)),
});

/** A chain out and back as its figures say it is, before anything that went wrong with it. */
const chainSpecimenSchema = z.strictObject({
  huntId: id,
  pieces: z
    .array(z.strictObject({ id, milliohm: z.number().check(z.gte(0), z.lte(1e4)) }))
    .check(z.minLength(1), z.maxLength(60)),
});
export type ChainSpecimen = z.infer<typeof chainSpecimenSchema>;

/** What a stand-in is put on: the cable as its figures say it is, before anything that went wrong with it. */
const cableSpecimenSchema = z.strictObject({
  cableId: id,
  /** Of its conductor by the table, at 20 °C. */
  milliohmPerM: z.number().check(z.positive(), z.lte(1000)),
  betweenMouthsMm: mm(0, 1e6),
  /** What a good crimp of this size slips at, N. */
  slipsAtN: z.number().check(z.positive(), z.lte(1e6)),
  ends: z.strictObject({ A: specimenEnd, B: specimenEnd }),
});
export type CableSpecimen = z.infer<typeof cableSpecimenSchema>;

export const specimenSchema = z.union([cableSpecimenSchema, chainSpecimenSchema]);
export type Specimen = z.infer<typeof specimenSchema>;

const minutes = z.number().check(z.gte(0), z.lte(1440));
const amps = z.number().check(z.gte(0), z.lte(20000));

/** Where the probes are. */
export const probeSchema = z.discriminatedUnion('at', [
  z.strictObject({ at: z.literal('open') }),
  z.strictObject({ at: z.literal('flats'), end: endName }),
  z.strictObject({ at: z.literal('ears'), end: endName }),
  /** Palm to palm. */
  z.strictObject({ at: z.literal('whole') }),
  /** Shoulder of the lug to a point beyond the mouth. */
  z.strictObject({ at: z.literal('joint'), end: endName, beyondMm: mm(0, 2000) }),
  z.strictObject({ at: z.literal('plain'), lengthMm: mm(10, 1e5) }),
  z.strictObject({ at: z.literal('jacket'), electrode: z.enum(['structure', 'foil', 'none']) }),
  z.strictObject({ at: z.literal('pull'), end: endName, toN: z.number().check(z.positive(), z.lte(50000)) }),
  /** A lug, the jacket beside it, under load for so long. */
  z.strictObject({ at: z.literal('lug warmth'), end: endName, amps, minutes }),
  z.strictObject({ at: z.literal('jacket warmth'), amps, minutes }),
  z.strictObject({ at: z.literal('loaded joint'), end: endName, amps, beyondMm: mm(0, 2000) }),
  /** Across pieces of a chain, from the first to the last. */
  z.strictObject({ at: z.literal('chain'), amps, first: id, last: id }),
  z.strictObject({ at: z.literal('contact'), end: endName, amps }),
  z.strictObject({ at: z.literal('loaded length'), amps, lengthMm: mm(10, 1e6) }),
]);
export type Probe = z.infer<typeof probeSchema>;

/** Something wrong with a cable that nobody has said: what there is to be found. */
export const hiddenFaultSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('die did not shut'),
    cableId: id,
    end: endName,
    /** How far it stood open, as a share of the die. */
    openShare: z.number().check(z.positive(), z.lte(0.3)),
    /** What the crimp conducts like, in barrels of plain cable. */
    index: z.number().check(z.gte(1), z.lte(100)),
    /** What it slips at, as a share of a good one. */
    holdsShare: z.number().check(z.positive(), z.lte(1)),
  }),
  z.strictObject({
    kind: z.literal('nicked jacket'),
    cableId: id,
    megohm: z.number().check(z.positive(), z.lte(1e5)),
  }),
  z.strictObject({
    kind: z.literal('bad piece'),
    huntId: id,
    pieceId: id,
    /** What it really takes. */
    milliohm: z.number().check(z.positive(), z.lte(1e4)),
  }),
]);
export type HiddenFault = z.infer<typeof hiddenFaultSchema>;

/** A cable for a stand-in to be put on; null while its ends or its length are not decided. */
export function specimenOf({ cableId, choice, kind, ends, lengths }: CableWork): CableSpecimen | null {
  if (!lengths || !ends.A.lug || !ends.B.lug) return null;
  const { at: assessed } = choice.taken;
  const end = (name: 'A' | 'B') => ({
    barrelMm: ends[name].lug?.barrelMm ?? 0,
    dieMm: ends[name].die?.die.acrossFlatsMm ?? null,
  });
  const [A, B] = [end('A'), end('B')];
  return {
    cableId,
    milliohmPerM: resistancePerMetre(assessed.size, kind, 20) * 1000,
    betweenMouthsMm: Math.max(0, lengths.cutMm - A.barrelMm - B.barrelMm),
    slipsAtN: 1.8 * pullTargets(assessed.copperMm2).usualN || 1000,
    ends: { A, B },
  };
}

/** A hunt's chain for a stand-in to be put on. */
export const chainSpecimenOf = ({ id: huntId, pieces, copperC }: Hunt): ChainSpecimen => ({
  huntId,
  pieces: pieces.map((piece) => ({ id: piece.id, milliohm: expectedMilliohm(piece, copperC) })),
});
