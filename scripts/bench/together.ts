import loadHighs from 'highs';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Job } from '../../core/model/job.ts';
import { USUAL_SIZING } from '../../core/model/system.ts';
import { rememberDuty } from '../../core/sizing/rememberDuty.ts';
import { systemWork } from '../../core/systemWork.ts';
import { chooseTogether } from '../../core/together/together.ts';
import { solveWith } from '../../web/workers/highsSolve.ts';
import { installation } from './system.ts';
import { timed } from './timed.ts';

/** The installation of the other benches, so far apart that drops decide, behind a fuse that cables can be had for. */
function farApart(count: number): Job {
  const job = installation(count);
  return {
    ...job,
    cables: job.cables.map((cable) => ({
      ...cable,
      run: { ...cable.run, lengthMm: 6 * cable.run.lengthMm },
    })),
    ...(job.system && {
      system: {
        ...job.system,
        places: job.system.places.map((place) =>
          place.kind === 'fuse' && place.id === 'f0' ? { ...place, ratingA: 200 } : place,
        ),
      },
    }),
  };
}

/** What choosing all sizes at once costs, against solving the installation once with sizes, and as it grows. */
export async function benchTogether(): Promise<void> {
  const shop = genericShop();
  const solve = solveWith(await loadHighs());
  const sizing = { ...USUAL_SIZING, byHand: true, ends: false };
  const of = [60, 200].map((count) => {
    const job = farApart(count);
    const once = timed(() => void systemWork({ ...job }, shop), 3);
    const began = performance.now();
    const worked = chooseTogether({ job, shop, solve, sizing, followDuty: rememberDuty() });
    const ms = performance.now() - began;
    return { count: job.cables.length, once, ms, together: worked?.together };
  });
  const [first] = of;
  for (const { count, once, ms, together } of of) {
    const cost = together?.together?.cost ?? Number.NaN;
    console.log(
      `all sizes of ${count} cables together: ${(ms / 1000).toFixed(2)} s, ${(ms / once).toFixed(0)} × solving it once${first && first.count !== count ? `, ${(ms / first.ms / (count / first.count)).toFixed(2)} × as much a cable as ${first.count}` : ''}; ${together?.outcome ?? 'nothing'} in ${together?.rounds ?? 0} rounds, ${(cost / (together?.alone.cost ?? 1)).toFixed(3)} of each by itself`,
    );
  }
}
