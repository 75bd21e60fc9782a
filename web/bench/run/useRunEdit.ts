import type { Draft } from 'immer';
import type { Cable } from '../../../core/model/cable.ts';
import type { Run } from '../../../core/model/run.ts';
import { useCableEdit } from '../useCable.ts';

/** Edits the run of the cable a stage shows: whole recipes, or one plain field at a time. */
export function useRunEdit(target: () => { jobId: string; cable: Cable }) {
  const edit = useCableEdit(() => ({ jobId: target().jobId, cableId: target().cable.id }));
  const editRun = (what: string, recipe: (run: Draft<Run>) => void) => edit(what, ({ run }) => recipe(run));
  /** A handler that sets one field of the run. */
  const setRun =
    <Key extends keyof Run>(key: Key, what: string) =>
    (value: Run[Key]) =>
      editRun(what, (run) => {
        (run as Run)[key] = value;
      });
  return { edit, editRun, setRun };
}
