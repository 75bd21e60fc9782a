import type { Both } from '../model/end.ts';
import type { Cable } from '../model/cable.ts';
import type { CableKind, Shop } from '../model/shop.ts';
import type { Assessment } from '../sizing/assess.ts';
import type { EndConductor, ResolvedEnd } from './resolveEnd.ts';
import type { StudStack } from './studs/studStack.ts';

/** Everything an end is compared with besides its own lug, die and sleeve. */
export interface EndSubject {
  readonly cable: Cable;
  readonly conductor: EndConductor;
  readonly kind: CableKind;
  readonly at: Assessment;
  readonly shop: Shop;
  readonly ends: Both<ResolvedEnd>;
  /** Length to cut, mm; null while an end has no lug. */
  readonly cutMm: number | null;
  /** Everything on its stud; null where it ends on a tapered post. */
  readonly stacks: Both<StudStack | null>;
  /** How many cables of the job share its post. */
  readonly onPost: Both<number>;
  /** The day it is looked at, ISO 8601; null where nobody says: then nothing is due. */
  readonly today: string | null;
}
