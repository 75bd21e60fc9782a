import { computed, shallowRef } from 'vue';
import { combinedAir } from '../../core/section/bounds.ts';
import { boundsOf, type SawnCrimp } from '../../core/section/findings.ts';
import type { SectionMeasure } from '../../core/section/measure.ts';
import type { SectionSlot } from './useSection.ts';

/** A picture that was measured. */
interface SeenPicture {
  readonly name: string;
  readonly section: SectionMeasure;
}

/** Less of it than this share is as good as none, and is no figure to show of a picture that hides air. */
const HARDLY_ANY = 0.005;

/**
 * The air of a crimp: by the picture in the slot, and by those of the same crimp that were there before it. What one
 * hides another may show.
 */
export function useAir(slot: SectionSlot, sawn: () => SawnCrimp | null) {
  const before = shallowRef<readonly SeenPicture[]>([]);
  const pictures = computed((): readonly SeenPicture[] => {
    const section = slot.section.value;
    return section ? [...before.value, { name: slot.name.value, section }] : before.value;
  });
  const seen = computed(() =>
    pictures.value.map(({ name, section }) => ({
      name,
      voidShare: section.voidShare,
      bounds: boundsOf(section, sawn()),
    })),
  );
  /** What all of them say together; null where none tells. */
  const told = computed(() => combinedAir(seen.value));
  const isCombined = computed(() => pictures.value.length > 1);
  const isDrawn = computed(() => slot.drawn.value !== null);
  /** What is kept of it. What a drawn section shows is known: its picture hides nothing. */
  const kept = computed(() => {
    const section = slot.section.value;
    return isDrawn.value && section
      ? { voidShare: section.voidShare, most: section.voidShare, disagree: false }
      : told.value;
  });
  /** The picture hides air, and no other of this crimp tells. */
  const isHiding = computed(() => slot.section.value !== null && told.value === null && !isDrawn.value);
  /** As much of it as shows in a picture that hides some; null where that is hardly any. */
  const atLeast = computed(() => {
    const share = slot.section.value?.voidShare ?? 0;
    return share >= HARDLY_ANY ? share : null;
  });

  return {
    /** Those that were there before the one in the slot. */
    earlier: computed(() => seen.value.slice(0, before.value.length)),
    told,
    isCombined,
    isDrawn,
    kept,
    isHiding,
    atLeast,
    /** The next picture is of the same crimp, or of another. */
    goOn: (isSameCrimp: boolean) => {
      before.value = isSameCrimp ? pictures.value : [];
    },
    putAway: (index: number) => {
      before.value = before.value.filter((_, i) => i !== index);
    },
  };
}

export type CrimpAir = ReturnType<typeof useAir>;
