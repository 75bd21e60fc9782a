import type { Job } from '../model/job.ts';
import type { CutPlan, CutRules } from './cutPlan.ts';
import type { Kit } from './kit.ts';
import type { CutGroup } from './pieces.ts';

/** What is typed of making against buying. */
export type MakeOrBuyTerms = NonNullable<Job['makeOrBuy']>;
/** Before anything is typed. */
export const UNTYPED: MakeOrBuyTerms = { boughtPrice: 0, minutesACable: 25, ratePerHour: 0, toolPrice: 0 };

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

/** Price of the cable that plans leave too short to keep. */
export const scrapPrice = (
  plans: readonly { readonly group: Pick<CutGroup, 'pricePerM'>; readonly plan: CutPlan }[],
  { scrapMm }: CutRules,
) =>
  plans.reduce((total, { group, plan }) => {
    const scraps = plan.spools.filter(({ pieces, restMm }) => pieces.length > 0 && restMm < scrapMm);
    return total + (scraps.reduce((mm, { restMm }) => mm + restMm, 0) / 1000) * group.pricePerM;
  }, 0);

/** After so many cables nobody counts any more. */
const MOST_CABLES = 1e6;

/**
 * Making against buying: materials and scrap, minutes at a rate, and this job's share of a tool that must be bought,
 * against a typed price. The tool breaks even on its whole price, whoever bears it.
 *
 * @param scrap price of the cable that the plan leaves as scrap
 * @example makeOrBuy(terms, kit, 7, 9).breakEven // tool ÷ (bought − made without it) a cable, rounded up
 */
export function makeOrBuy(
  { boughtPrice, minutesACable, ratePerHour, toolPrice, toolPercent = 100 }: MakeOrBuyTerms,
  kit: Pick<Kit, 'price'>,
  scrap: number,
  cables: number,
): MakeOrBuy {
  const work = (cables * minutesACable * ratePerHour) / 60;
  const running = kit.price + scrap + work;
  const tool = (toolPrice * toolPercent) / 100;
  const savesEach = cables > 0 ? (boughtPrice - running) / cables : 0;
  return {
    cables,
    materials: kit.price,
    scrap,
    work,
    tool,
    made: running + tool,
    bought: boughtPrice,
    // What saves next to nothing never pays for it either.
    breakEven: savesEach * MOST_CABLES > toolPrice ? Math.ceil(toolPrice / savesEach) : null,
  };
}
