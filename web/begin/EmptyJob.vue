<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import type { Job } from '../../core/model/job.ts';
import { measures } from '../../core/words/measures.ts';
import { useBench } from '../stores/bench.ts';
import { type LineTaken, placeTaken } from './lineTaken.ts';
import LineAsk from './LineAsk.vue';
import UsualCable from './UsualCable.vue';
import { say } from '../../core/words/say.ts';

/** A job with no cable yet: one in a line, one of the usual, a whole installation, or one with nothing given. */
const { job } = defineProps<{ job: Job }>();
defineEmits<{ add: [] }>();

const bench = useBench();
const router = useRouter();
const line = ref('');

/** The cables of the line come into this job. */
async function take(asked: Job, to: LineTaken): Promise<void> {
  bench.edit(say`cable from a line`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === job.id);
    own?.cables.push(...structuredClone(asked.cables as typeof own.cables));
  });
  const [first] = asked.cables;
  // The page goes to a job's first cable by itself: this goes after it, and further.
  await nextTick();
  if (!first || bench.jobById(job.id)?.cables.length === 0) return;
  void router.push(placeTaken(job.id, first.id, to));
}

const USUAL = computed(() => {
  const isMetric = measures().lengths === 'mm';
  return [
    {
      what: 'inverter',
      title: say`Inverter`,
      line: isMetric ? say`inverter 12 V 2000 W 1.5 m` : say`inverter 12 V 2000 W 5 ft`,
    },
    {
      what: 'starter',
      title: say`Starter`,
      line: isMetric ? say`starter 12 V 300 A 2 m` : say`starter 12 V 300 A 7 ft`,
    },
    {
      what: 'thruster',
      title: say`Bow thruster`,
      line: isMetric ? say`thruster 24 V 240 A 6 m 3 min` : say`thruster 24 V 240 A 20 ft 3 min`,
    },
    {
      what: 'windlass',
      title: say`Windlass`,
      line: isMetric ? say`windlass 12 V 100 A 8 m 2 min` : say`windlass 12 V 100 A 26 ft 2 min`,
    },
    {
      what: 'solar',
      title: say`Solar controller`,
      line: isMetric ? say`solar 12 V 50 A 2 m` : say`solar 12 V 50 A 7 ft`,
    },
    {
      what: 'panel',
      title: say`Distribution panel`,
      line: isMetric ? say`panel 12 V 60 A 3 m` : say`panel 12 V 60 A 10 ft`,
    },
  ] as const;
});
</script>

<template>
  <main class="min-w-0 px-4 py-5 sm:px-8 lg:overflow-y-auto">
    <h1 class="figure text-[30px] leading-8 font-semibold">{{ say`The first cable` }}</h1>
    <LineAsk v-model="line" no-focus class="mt-3" @take="take" />
    <h2 class="figure mt-6 text-[20px] font-semibold">{{ say`The usual ones` }}</h2>
    <ul class="mt-2 grid grid-cols-2 gap-2.5 md:grid-cols-3 xl:grid-cols-6">
      <li v-for="own in USUAL" :key="own.what" class="flex">
        <button
          type="button"
          class="flex w-full flex-col border border-hairline bg-paper p-2.5 text-left hover:border-teal hover:bg-teal-tint"
          @click="line = own.line"
        >
          <UsualCable :what="own.what" />
          <b class="figure mt-1 text-[17px] leading-5 font-semibold">{{ own.title }}</b>
        </button>
      </li>
    </ul>
    <div class="mt-6 flex flex-wrap gap-2">
      <RouterLink :to="{ name: 'system', params: { jobId: job.id } }" class="button">{{
        say`Plan an installation`
      }}</RouterLink>
      <button type="button" class="button" @click="$emit('add')">
        {{ say`A cable with nothing given` }} <span class="key">N</span>
      </button>
    </div>
  </main>
</template>
