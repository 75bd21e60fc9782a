<script setup lang="ts">
import { nanoid } from 'nanoid';
import { ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { emptyJob } from '../../core/model/newCable.ts';
import type { Job } from '../../core/model/job.ts';
import { withPlaces } from '../../core/system/places.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { placeOf } from '../places.ts';
import { ensureDemo } from '../storage/demo.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import JobsBeside from './JobsBeside.vue';
import { type LineTaken, placeTaken } from './lineTaken.ts';
import LineAsk from './LineAsk.vue';
import StartTiles from './StartTiles.vue';
import { say } from '../../core/words/say.ts';

/** Where one begins: the cable in one line, the other things people come with, and the jobs that are here. */
const bench = useBench();
const router = useRouter();
const { prefs } = usePrefs();
const line = ref('');
const problem = ref('');
/** The cables of the line as a job of their own. */
function take(asked: Job, to: LineTaken): void {
  bench.keepOwn(asked, say`cable from a line`);
  prefs.guideSeen = true;
  const [first] = asked.cables;
  if (first && bench.jobById(asked.id)) void router.push(placeTaken(asked.id, first.id, to));
}
async function open(what: 'installation' | 'die' | 'drop' | 'eye' | 'demo'): Promise<void> {
  problem.value = '';
  prefs.guideSeen ||= what !== 'demo';
  try {
    if (what === 'installation') {
      const job = withPlaces(emptyJob(nanoid(10), say`New installation`));
      bench.keepOwn(job, say`new job`);
      await router.push({ name: 'system', params: { jobId: job.id } });
    } else if (what === 'drop') await router.push({ name: 'hunt-alone' });
    else if (what === 'demo') {
      const job = await ensureDemo();
      await router.push(
        placeOf(job.id, (job.cables.find(({ tag }) => tag === 'TH-3') ?? job.cables[0])?.id, 'gauge'),
      );
    } else {
      const job = bench.jobs[0] ?? (await ensureDemo());
      await router.push({ name: what === 'die' ? 'case' : 'training', params: { jobId: job.id } });
    }
  } catch {
    problem.value = say`The made-up jobs could not be fetched.`;
  }
}
</script>

<template>
  <BenchFrame>
    <main class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <div class="min-w-0 px-4 py-5 sm:px-8 lg:overflow-y-auto">
        <h1 class="figure text-[30px] leading-8 font-semibold">{{ say`What is the cable for?` }}</h1>
        <LineAsk v-model="line" class="mt-3" @take="take" />
        <StartTiles class="mt-6" @open="open" />
        <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
        <p class="note mt-4">
          {{
            say`These figures are for planning. Local codes, class rules and a licensed person where the law asks for one come first.`
          }}
          <RouterLink to="/keeping" class="text-teal underline">{{ say`Backup, bin, history` }}</RouterLink>
        </p>
      </div>
      <JobsBeside class="border-line bg-paper max-lg:border-t lg:overflow-y-auto lg:border-l" />
    </main>
  </BenchFrame>
</template>
