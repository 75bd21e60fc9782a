import { computed, ref, toRaw, watch } from 'vue';
import type { Level } from '../../core/training/exercise.ts';
import type { FaultName } from '../../core/training/faults.ts';
import { markEnd, resultOf, ROUND_LENGTH, roundOf } from '../../core/training/round.ts';
import { usePrefs } from '../stores/prefs.ts';
import { type KeptRound, loadRound, saveRound } from '../storage/training.ts';

const begun = (level: Level, round: number): KeptRound => ({
  level,
  round,
  by: '',
  at: '',
  ends: Array.from({ length: ROUND_LENGTH }, () => ({ marks: [], handedIn: false })),
});

/** A round of ends with faults to find: its marks outlive a reload. */
export function useRound(asked: () => { level: Level; round: number }) {
  const { prefs } = usePrefs();
  const kept = ref<KeptRound>(begun(asked().level, asked().round));
  const isLoaded = ref(false);
  watch(
    asked,
    async ({ level, round }) => {
      isLoaded.value = false;
      const known = await loadRound(level, round);
      // Another round may have been asked for while this one was read.
      if (asked().level !== level || asked().round !== round) return;
      kept.value = known ?? begun(level, round);
      isLoaded.value = true;
    },
    { immediate: true },
  );

  const exercises = computed(() => roundOf(asked().round, asked().level));
  const marked = computed(() =>
    exercises.value.map((own, i) => markEnd(own, kept.value.ends[i]?.marks ?? [])),
  );
  const handedIn = computed(() => kept.value.ends.filter((end) => end.handedIn).length);
  const isOver = computed(() => handedIn.value === ROUND_LENGTH);
  const result = computed(() => resultOf(marked.value.filter((_, i) => kept.value.ends[i]?.handedIn)));
  const save = () => saveRound(structuredClone(toRaw(kept.value)));

  function mark(i: number, name: FaultName, on: boolean): void {
    const end = kept.value.ends[i];
    if (!end || end.handedIn) return;
    end.marks = on ? [...end.marks, name] : end.marks.filter((own) => own !== name);
    void save();
  }

  function handIn(i: number): void {
    const end = kept.value.ends[i];
    if (!end || end.handedIn) return;
    end.handedIn = true;
    kept.value.by = prefs.person.trim();
    if (isOver.value) kept.value.at = new Date().toISOString();
    void save();
  }

  /** Whose result it is: the person at the bench unless given otherwise. */
  function sign(name: string): void {
    prefs.person = name;
    kept.value.by = name.trim();
    void save();
  }

  function again(): void {
    kept.value = begun(asked().level, asked().round);
    void save();
  }

  return { kept, isLoaded, exercises, marked, handedIn, isOver, result, mark, handIn, sign, again };
}
