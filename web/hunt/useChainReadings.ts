import { nanoid } from 'nanoid';
import { ref } from 'vue';
import type { Hunt, Piece, Span } from '../../core/model/hunt.ts';
import { withoutReading, withReading } from '../../core/hunt/changes.ts';
import { say } from '../../core/words/say.ts';
import { usePrefs } from '../stores/prefs.ts';

/** A part of a reading: its amps are typed with it where they change from one to the next. */
interface Part {
  readonly millivolt?: number;
  readonly amps?: number;
}

/** What is typed across each piece of a chain; what is only half there waits until it is whole. */
export function useChainReadings(hunt: () => Hunt, change: (hunt: Hunt, what: string) => void) {
  const { prefs } = usePrefs();
  /** Amps of a cranking test are typed first or last: until both are there they wait here. */
  const waiting = ref<Readonly<Record<string, Part>>>({});
  const problem = ref('');
  const problemAt = ref('');

  const ownSpan = ({ id }: Piece) => hunt().spans.find(({ first, last }) => first === id && last === id);
  const without = ({ id }: Piece) =>
    Object.fromEntries(Object.entries(waiting.value).filter(([other]) => other !== id));

  /** Says what is wrong, and at which piece; an empty sentence takes that back. */
  function tell(piece: Piece, sentence: string): void {
    problem.value = sentence;
    problemAt.value = sentence ? piece.title : '';
  }

  function take(piece: Piece, part: Part): void {
    const isCranking = hunt().test === 'cranking';
    const span = ownSpan(piece);
    const { millivolt = span?.millivolt, amps = span?.amps } = { ...waiting.value[piece.id], ...part };
    const loadAmps = isCranking ? amps : hunt().loaded.amps;
    if (millivolt === undefined || loadAmps === undefined) {
      waiting.value = { ...waiting.value, [piece.id]: { ...waiting.value[piece.id], ...part } };
      tell(piece, isCranking ? '' : say`Enter the load current first: millivolts mean nothing without it.`);
      return;
    }
    waiting.value = without(piece);
    const reading: Span = {
      id: nanoid(10),
      first: piece.id,
      last: piece.id,
      millivolt,
      amps: loadAmps,
      at: new Date().toISOString(),
      by: prefs.person,
      source: 'typed',
    };
    change(withReading(hunt(), reading), say`reading across ${piece.title}`);
  }

  function clear(piece: Piece): void {
    const span = ownSpan(piece);
    waiting.value = without(piece);
    if (span) change(withoutReading(hunt(), span.id), say`reading across ${piece.title}`);
  }

  return {
    problem,
    problemAt,
    tell,
    take,
    clear,
    millivoltOf: (piece: Piece) => ownSpan(piece)?.millivolt ?? waiting.value[piece.id]?.millivolt ?? null,
    isSimulated: (piece: Piece) => ownSpan(piece)?.source === 'simulated',
    ampsOf: (piece: Piece) => ownSpan(piece)?.amps ?? waiting.value[piece.id]?.amps ?? null,
  };
}
