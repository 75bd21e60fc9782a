<script setup lang="ts">
import { computed } from 'vue';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';
import type { CrimpAir } from './useAir.ts';
import type { SectionSlot } from './useSection.ts';

/** How much air there is in the outline, between what and what, and by which pictures. */
const { picture, air, camera } = defineProps<{
  picture: SectionSlot;
  air: CrimpAir;
  /** The camera is in hand. */
  camera: boolean;
}>();
defineEmits<{ add: []; camera: [] }>();

const percent = (share: number) => digits(100 * share, 1);

const what = computed(() => {
  const { told, isCombined, isHiding, atLeast } = air;
  if (isCombined.value && told.value)
    return say`air in the outline, by ${told.value.telling.length} pictures`;
  if (!isHiding.value) return say`air in the outline`;
  return atLeast.value === null
    ? say`air in the outline: this picture cannot show it`
    : say`air that shows: there is at least so much`;
});
/** The figure itself, and whether it is only the least that there is; null where there is none. */
const figure = computed((): { share: number; isLeast: boolean } | null => {
  const { told, isCombined, isHiding, atLeast } = air;
  if (isCombined.value && told.value)
    return told.value.disagree ? null : { share: told.value.voidShare, isLeast: false };
  if (isHiding.value) return atLeast.value === null ? null : { share: atLeast.value, isLeast: true };
  const section = picture.section.value;
  return section ? { share: section.voidShare, isLeast: false } : null;
});
</script>

<template>
  <div class="border-b border-line px-4 py-3">
    <p class="note">{{ what }}</p>
    <p class="figure text-[64px] leading-[60px] font-semibold" role="status">
      <template v-if="figure"
        ><span v-if="figure.isLeast" class="text-[40px] text-ink2">≥ </span>{{ percent(figure.share)
        }}<span class="text-[30px] font-medium text-ink2"> %</span></template
      ><template v-else>{{ picture.stage.value ? '…' : '–' }}</template>
    </p>
    <p
      v-if="air.told.value && picture.section.value && !air.isDrawn.value"
      class="figure text-[19px] text-ink2"
    >
      {{ say`between ${percent(air.told.value.least)} and ${percent(air.told.value.most)} %` }}
    </p>
    <p v-if="air.told.value?.disagree" class="mt-1 font-bold text-fails" role="alert">
      {{ say`The pictures disagree: they are not of one crimp, or an outline is wrong.` }}
    </p>
    <ul v-if="air.isCombined.value" class="mt-1 text-[14px]">
      <li
        v-for="({ name, voidShare, bounds }, i) in air.earlier.value"
        :key="i"
        class="flex items-center justify-between gap-2"
      >
        <span class="min-w-0 truncate">{{ name }}</span>
        <span class="ml-auto shrink-0" :class="bounds.hidden ? 'text-ink2' : 'figure'">{{
          bounds.hidden ? say`hides air` : `${percent(voidShare)} %`
        }}</span>
        <button
          type="button"
          class="button compact shrink-0 whitespace-nowrap"
          :aria-label="say`Set ${name} aside`"
          @click="air.putAway(i)"
        >
          {{ say`set aside` }}
        </button>
      </li>
    </ul>
    <div v-if="picture.section.value && !air.isDrawn.value" class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="button" :disabled="picture.stage.value !== null" @click="$emit('add')">
        {{ say`Add a picture of this crimp` }}
      </button>
      <button
        v-if="!camera"
        type="button"
        class="button"
        :disabled="picture.stage.value !== null"
        @click="$emit('camera')"
      >
        {{ say`by camera` }}
      </button>
    </div>
  </div>
</template>
