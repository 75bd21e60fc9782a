import { recounted, withNote } from '../../core/cutting/shelf.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { say } from '../../core/words/say.ts';

/** Counting what is on the shelf, and what is noted of it: the least to keep, its price. */
export function useShelf() {
  const bench = useBench();
  const { prefs } = usePrefs();

  /** Puts a count right; what it was stays to be read. */
  function recount(stock: string, now: number): void {
    const signed = { at: new Date().toISOString(), by: prefs.person.trim() };
    bench.edit(
      say`count on the shelf`,
      (draft) => void Object.assign(draft.shop, recounted(bench.shop, stock, now, signed)),
    );
  }
  function note(stock: string, change: Parameters<typeof withNote>[2]): void {
    bench.edit(say`shelf`, (draft) => void Object.assign(draft.shop, withNote(bench.shop, stock, change)));
  }
  return { recount, note };
}
