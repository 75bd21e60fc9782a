import type { Copper } from '../conductor/resistance.ts';
import type { Both } from '../model/end.ts';
import type { ConductorSize } from '../model/tables/size.ts';
import type { CableLengths } from '../cutting/cutLength.ts';
import type { Cable } from '../model/cable.ts';
import type { Trial } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';

/** The cable a proof is about, as it was made. */
export interface ProofSubject {
  readonly cable: Cable;
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly copper: Copper;
  /** A ground strap: it has no insulation to be tested. */
  readonly isBare?: boolean;
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths | null;
  readonly practice: HousePractice;
  /** Amps one conductor is to carry for long; null where the load says none. */
  readonly ratedA: number | null;
  /** Thermal resistance from the strands to the jacket's surface, K·m/W. */
  readonly jacketKmPerW: number;
  /** Test crimps of the shop: a sample spent there speaks for a crimp made in the same way. */
  readonly trials: readonly Trial[];
}
