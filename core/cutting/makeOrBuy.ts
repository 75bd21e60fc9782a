import type { Job } from '../job/job.ts';
import type { Kit } from './kit.ts';

/** What a job costs made here and bought ready, part by part. No thumb on the scale. */
export interface MakeOrBuy {
  readonly cables: number;
  /** Cable, lugs and the rest at known prices. */
  readonly materials: number;
  /** Cable that is cut off and kept by nobody. */
  readonly scrap: number;
  readonly work: number;
  readonly tool: number;
  readonly made: number;
  readonly bought: number;
  /** Cables like these after which a tool has paid for itself; null where making one costs more than buying it. */
  readonly breakEven: number | null;
}

/**
 * Making against buying: materials and scrap, minutes at a rate, and the whole of a tool that must be bought, against a
 * typed price.
 *
 * @param scrapPrice price of the cable that the plan leaves as scrap
 * @example makeOrBuy(terms, kit, 7, 9).breakEven // tool ÷ (bought − made without it) a cable, rounded up
 */
export function makeOrBuy(
  { boughtPrice, minutesACable, ratePerHour, toolPrice }: NonNullable<Job['makeOrBuy']>,
  kit: Pick<Kit, 'price'>,
  scrapPrice: number,
  cables: number,
): MakeOrBuy {
  const work = (cables * minutesACable * ratePerHour) / 60;
  const running = kit.price + scrapPrice + work;
  const savesEach = cables > 0 ? (boughtPrice - running) / cables : 0;
  return {
    cables,
    materials: kit.price,
    scrap: scrapPrice,
    work,
    tool: toolPrice,
    made: running + toolPrice,
    bought: boughtPrice,
    breakEven: savesEach > 0 ? Math.ceil(toolPrice / savesEach) : null,
  };
}
