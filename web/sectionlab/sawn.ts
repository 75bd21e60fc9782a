import type { CableKind } from '../../core/model/shop.ts';

/** What a section was sawn from, as far as it is given. */
export interface Sawn {
  /** The end it is kept with, "cable.A"; empty where it is kept as a trial. */
  readonly with: string;
  readonly lugId: string;
  readonly dieId: string;
  /** How finely the cable in it is stranded, where it is said. */
  readonly strands: CableKind['strands'] | null;
  /** Diameter of one of its strands, mm; null where it is not known. */
  readonly strandMm: number | null;
  readonly flats: number | null;
  readonly ears: number | null;
}
