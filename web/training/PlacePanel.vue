<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed } from 'vue';
import type { Exercise } from '../../core/training/exercise.ts';
import { type FaultName, FAULTS, faultsOf, type PlaceName, PLACES } from '../../core/training/faults.ts';
import { readout } from '../../core/training/readout.ts';
import { LEVEL_WORDS } from './levels.ts';
import { say } from '../../core/words/say.ts';

/** One place of the end: what calliper and lamp tell, and what can be marked there. */
const {
  own: exercise,
  place,
  marks,
} = defineProps<{
  own: Exercise;
  place: PlaceName | null;
  marks: readonly FaultName[];
}>();
defineEmits<{ mark: [name: FaultName, on: boolean] }>();

const readings = computed(() => (place ? readout(exercise.made, place, exercise.level) : []));
</script>

<template>
  <section :aria-label="say`Selected place`" class="px-4 py-2.5">
    <template v-if="place">
      <h3 class="figure text-[22px] leading-7 font-semibold">{{ tell(PLACES[place]) }}</h3>
      <dl v-if="readings.length > 0" class="mt-1 flex flex-wrap gap-x-8 gap-y-1">
        <div v-for="({ what, says, asked }, i) in readings" :key="i">
          <dt class="text-[13px] text-ink2">{{ tell(what) }}</dt>
          <dd class="figure text-[26px] leading-8 font-semibold">
            {{ tell(says)
            }}<span v-if="asked" class="text-[16px] font-medium text-ink2"
              >{{ ' ' }}{{ say`required ${asked}` }}</span
            >
          </dd>
        </div>
      </dl>
      <p v-else class="mt-1 text-[15px] text-ink2">
        {{ say`Nothing to measure here: look at the drawing.` }}
      </p>
      <div class="mt-2.5 flex flex-wrap gap-2" role="group" :aria-label="say`Wrong at: ${PLACES[place]}`">
        <button
          v-for="name in faultsOf(place)"
          :key="name"
          type="button"
          class="button min-h-12 text-[15px]"
          :class="marks.includes(name) ? 'filled' : ''"
          :aria-pressed="marks.includes(name)"
          @click="$emit('mark', name, !marks.includes(name))"
        >
          {{ tell(FAULTS[name].title) }}
        </button>
      </div>
    </template>
    <template v-else>
      <h3 class="figure text-[22px] leading-7 font-semibold">{{ say`Point at a place on the drawing` }}</h3>
      <p class="mt-1 max-w-prose text-[15px]">
        {{
          say`This end may have nothing wrong with it, or up to three faults. Measure, compare it with the card, mark what is wrong, and hand it in.`
        }}
      </p>
      <p class="mt-1 max-w-prose text-[15px] text-ink2">{{ LEVEL_WORDS[exercise.level].says }}</p>
    </template>
  </section>
</template>
