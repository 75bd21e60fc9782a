import { useRouter } from 'vue-router';
import type { Stage } from '../../core/model/cable.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';

/** What is done with a cable as a whole, from a key, a button or a typed word. */
export function useCableActs(target: () => { jobId: string; cableId: string | undefined; stage: Stage }) {
  const bench = useBench();
  const router = useRouter();
  const go = (cableId: string | undefined) => {
    if (cableId !== undefined) void router.push(placeOf(target().jobId, cableId, target().stage));
  };
  const here = (act: (jobId: string, cableId: string) => void) => () => {
    const { jobId, cableId } = target();
    if (cableId !== undefined) act(jobId, cableId);
  };
  return {
    duplicate: here((jobId, cableId) => go(bench.copyCable(jobId, cableId)?.id)),
    makeReturn: here((jobId, cableId) => go(bench.returnCable(jobId, cableId)?.id)),
    remove: here((jobId, cableId) => bench.removeCables(jobId, [cableId])),
  };
}
