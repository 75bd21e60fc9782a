import type { Draft } from 'immer';
import type { Cable } from '../../../core/model/cable.ts';
import type { End, EndName } from '../../../core/model/end.ts';
import { useCableEdit } from '../useCable.ts';
import { say } from '../../../core/words/say.ts';

/** Edits one end of a cable; `undefined` in a change takes the entry away, so that practice proposes again. */
export function useEndEdit(target: () => { jobId: string; cable: Cable; name: EndName }) {
  const edit = useCableEdit(() => ({ jobId: target().jobId, cableId: target().cable.id }));
  return (what: string, change: { readonly [Key in keyof End]?: End[Key] | undefined }): void => {
    const { name } = target();
    edit(say`${what} of ${name}`, (draft) => {
      const kept = Object.entries({ ...draft.ends[name], ...change }).filter(
        ([, value]) => value !== undefined,
      );
      draft.ends[name] = Object.fromEntries(kept) as Draft<End>;
    });
  };
}
