<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { type Level, LEVELS } from '../../core/training/exercise.ts';
import type { PlaceName } from '../../core/training/faults.ts';
import { PLACES } from '../../core/training/faults.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { MOST_ROUND } from '../storage/training.ts';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import TextField from '../ui/TextField.vue';
import { useIsDesk } from '../ui/useWide.ts';
import AnswerPanel from './AnswerPanel.vue';
import JobCard from './JobCard.vue';
import { LEVEL_WORDS, levelOf } from './levels.ts';
import PlacePanel from './PlacePanel.vue';
import RoundSummary from './RoundSummary.vue';
import SpotPicture from './SpotPicture.vue';
import { useRound } from './useRound.ts';
import { say } from '../../core/words/say.ts';

/** Spot the fault: a round of five ends, each with none to three faults to be found on the drawing. */
const { jobId } = defineProps<{ jobId: string }>();

const route = useRoute();
const router = useRouter();
const isDesk = useIsDesk();

const freshRound = () => 1 + Math.floor(Math.random() * MOST_ROUND);
const level = computed(() => levelOf(route.query['level']));
const round = computed(() => {
  const said = Number(route.query['round']);
  return Number.isInteger(said) && said >= 1 && said <= MOST_ROUND ? said : null;
});
function take(asked: { level?: Level; round?: number }): void {
  void router.replace({
    query: { level: asked.level ?? level.value, round: asked.round ?? freshRound() },
  });
}
watch(
  round,
  (said) => {
    if (said === null) take({});
  },
  { immediate: true },
);

const { kept, isLoaded, exercises, marked, isOver, result, mark, handIn, sign, again } = useRound(() => ({
  level: level.value,
  round: round.value ?? 1,
}));

const endIndex = ref(0);
/** The first end that is not handed in; past the last one, the result. */
watch(isLoaded, (loaded) => {
  if (!loaded) return;
  const open = kept.value.ends.findIndex(({ handedIn }) => !handedIn);
  endIndex.value = open === -1 ? kept.value.ends.length : open;
});
const own = computed(() => exercises.value[endIndex.value]);
const end = computed(() => kept.value.ends[endIndex.value]);
const answer = computed(() => (end.value?.handedIn ? (marked.value[endIndex.value] ?? null) : null));
const chosen = ref<PlaceName | null>(null);
watch([endIndex, round, level], () => {
  chosen.value = null;
});
function finish(): void {
  handIn(endIndex.value);
  chosen.value = null;
}

const stateOf = (i: number) => (kept.value.ends[i]?.handedIn ? `${marked.value[i]?.points ?? 0}` : '');
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
      <header class="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-line bg-chalk px-4 pt-1.5 pb-2">
        <div class="mr-auto self-center">
          <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`Spot the fault` }}</h1>
          <p class="note">
            {{ say`Round ${round}, ${LEVEL_WORDS[level].title}: the same ends for all who take it.` }}
          </p>
        </div>
        <ol class="flex gap-1" :aria-label="say`Ends of this round`">
          <li v-for="(exercise, i) in exercises" :key="exercise.number">
            <button
              type="button"
              class="figure flex size-11 items-center justify-center rounded-box border border-teal text-[18px]"
              :class="
                i === endIndex
                  ? 'bg-teal font-semibold text-on-teal'
                  : 'bg-paper text-teal hover:bg-teal-tint'
              "
              :aria-current="i === endIndex ? 'step' : undefined"
              :aria-label="say`End ${exercise.number}${stateOf(i) ? say`, ${stateOf(i)} points` : ''}`"
              @click="endIndex = i"
            >
              {{ stateOf(i) || '–' }}
            </button>
          </li>
          <li v-if="isOver">
            <button
              type="button"
              class="button"
              :class="endIndex === exercises.length ? 'filled' : ''"
              @click="endIndex = exercises.length"
            >
              {{ say`Result` }}
            </button>
          </li>
        </ol>
        <SegmentedField
          :label="say`Level`"
          hide-label
          :model-value="level"
          :choices="LEVELS.map((value) => ({ value, title: LEVEL_WORDS[value].title }))"
          class="w-60"
          @update:model-value="take({ level: $event })"
        />
      </header>

      <template v-if="own && end && isLoaded">
        <SpotPicture
          :own="own"
          :marks="end.marks"
          :chosen="chosen"
          :answer="answer"
          class="h-[420px] border-b border-line max-sm:h-[340px] lg:h-auto lg:min-h-0 lg:flex-1"
          @choose="chosen = $event"
        />
        <div
          v-if="!isDesk && !answer"
          class="flex flex-wrap gap-1.5 p-3"
          role="group"
          :aria-label="say`Places`"
        >
          <button
            v-for="(title, place) in PLACES"
            :key="place"
            type="button"
            class="button"
            :class="place === chosen ? 'filled' : ''"
            @click="chosen = place"
          >
            {{ tell(title) }}
          </button>
        </div>
        <div class="bg-paper lg:grid lg:h-[226px] lg:shrink-0 lg:grid-cols-[minmax(0,1fr)_356px_150px]">
          <AnswerPanel v-if="answer" :key="own.number" :answer="answer" />
          <PlacePanel
            v-else
            :own="own"
            :place="chosen"
            :marks="end.marks"
            @mark="(name, on) => mark(endIndex, name, on)"
          />
          <JobCard :asked="own.made.asked" class="border-hairline max-lg:border-t lg:border-l" />
          <div class="flex flex-col justify-end gap-2 border-hairline p-3 lg:border-l">
            <p v-if="!answer" class="note">
              {{ end.marks.length === 0 ? say`nothing marked` : say`${end.marks.length} marked` }}
            </p>
            <button v-if="!answer" type="button" class="button filled min-h-16 text-[18px]" @click="finish">
              {{ say`Hand in` }}
            </button>
            <button v-else type="button" class="button filled min-h-16 text-[18px]" @click="endIndex += 1">
              {{ endIndex + 1 < exercises.length ? say`Next end` : say`Result` }}
            </button>
          </div>
        </div>
      </template>

      <div v-else-if="isLoaded && isOver" class="bg-paper p-4 lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
        <RoundSummary :exercises="exercises" :marked="marked" :result="result" />
        <div class="mt-5 flex flex-wrap items-end gap-3">
          <button type="button" class="button filled min-h-14 px-6 text-[17px]" @click="take({})">
            {{ say`Another round` }}
          </button>
          <button type="button" class="button min-h-14 px-5" @click="(again(), (endIndex = 0))">
            {{ say`The same again` }}
          </button>
          <RouterLink
            :to="{ name: 'print-training', params: { jobId }, query: { level, round } }"
            class="button min-h-14 px-5"
            >{{ say`Result on paper` }}</RouterLink
          >
          <RouterLink
            :to="{ name: 'section', params: { jobId }, query: { draw: 'one' } }"
            class="button min-h-14 px-5"
            >{{ say`Judge a sawn crimp by eye` }}</RouterLink
          >
          <TextField
            :label="say`Who is training`"
            class="w-44"
            :model-value="kept.by"
            @update:model-value="sign"
          />
          <QuantityField
            :label="say`Round number`"
            kind="number"
            class="w-36"
            :model-value="round ?? 1"
            :least="1"
            :most="MOST_ROUND"
            :decimals="0"
            @update:model-value="take({ round: $event })"
          />
        </div>
      </div>
    </main>
  </BenchFrame>
</template>
