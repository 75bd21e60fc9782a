import type { Job } from './job.ts';
import type { Shop } from './shop.ts';
import { type ConductorSize, sameSize } from './tables/size.ts';

/**
 * How many cables and spools are of a kind, or of one size of it: while any are, it is not taken out of the tool case, or
 * they would turn into another cable without a word.
 *
 * @param size only those of this size, as it was chosen for them
 */
export function kindUses(
  jobs: readonly Job[],
  { spools }: Pick<Shop, 'spools'>,
  kindId: string,
  size?: ConductorSize,
): { readonly cables: number; readonly spools: number } {
  const isOf = (chosen: ConductorSize | undefined) =>
    size === undefined || (chosen !== undefined && sameSize(chosen, size));
  const cables = jobs.flatMap((job) =>
    job.cables.filter(({ gauge }) => gauge.kindId === kindId && isOf(gauge.size)),
  );
  return {
    cables: cables.length,
    spools: spools.filter((spool) => spool.kindId === kindId && isOf(spool.size)).length,
  };
}
