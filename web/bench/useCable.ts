import type { Draft } from 'immer';
import type { Cable } from '../../core/model/cable.ts';
import { useBench } from '../stores/bench.ts';

/** Edits the cable a stage shows; `what` is how undo calls the change. */
export function useCableEdit(target: () => { jobId: string; cableId: string }) {
  const bench = useBench();
  return (what: string, recipe: (cable: Draft<Cable>) => void): void => {
    const { jobId, cableId } = target();
    bench.editCable(jobId, cableId, what, recipe);
  };
}
