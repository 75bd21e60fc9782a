<script setup lang="ts">
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { cableFromLine } from '../../core/line/fromLine.ts';
import { contextOf } from '../../core/jobContext.ts';
import { emptyJob } from '../../core/model/newCable.ts';
import type { Job } from '../../core/model/job.ts';
import { withPlaces } from '../../core/system/places.ts';
import { workUpCable } from '../../core/workup.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { placeOf } from '../places.ts';
import { ensureDemo } from '../storage/demo.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { report } from '../trouble/faults.ts';
import { followDuty } from '../workers/duties.ts';
import AnswerCard from './AnswerCard.vue';
import JobsBeside from './JobsBeside.vue';
import LineBox from './LineBox.vue';
import StartTiles from './StartTiles.vue';
import { say } from '../../core/words/say.ts';

/** Where one begins: the cable in one line, the other things people come with, and the jobs that are here. */
const bench = useBench();
const router = useRouter();
const { prefs } = usePrefs();
const line = ref('');
const problem = ref('');
const answer = computed(() => cableFromLine(line.value, bench.shop, ['out', 'back']));
const worked = computed(() => {
  const { job } = answer.value;
  const [cable] = job?.cables ?? [];
  if (!job || !cable) return null;
  try {
    const work = workUpCable(cable, bench.shop, { context: contextOf(cable, job), followDuty });
    return { cable, work, isPair: job.cables.length > 1 };
  } catch (error) {
    report(error, 'start');
    return null;
  }
});

/** The cables of the answer as a job of their own: where to, once they are there. */
function kept(): { readonly job: Job; readonly cableId: string } | null {
  const { job } = answer.value;
  if (!job) return null;
  const cables = job.cables.map((cable) => ({ ...cable, id: nanoid(10) }));
  const fresh = { ...job, id: nanoid(10), cables };
  const [first] = cables;
  if (!first) return null;
  bench.keepJob(fresh, say`cable from a line`);
  prefs.guideSeen = true;
  return bench.jobById(fresh.id) ? { job: fresh, cableId: first.id } : null;
}
function toBench(): void {
  const now = kept();
  if (now) void router.push(placeOf(now.job.id, now.cableId, 'gauge'));
}
function toCard(): void {
  const now = kept();
  if (now) void router.push({ name: 'card', params: { jobId: now.job.id, cableId: now.cableId } });
}
async function open(what: 'installation' | 'die' | 'drop' | 'eye' | 'demo'): Promise<void> {
  problem.value = '';
  prefs.guideSeen ||= what !== 'demo';
  try {
    if (what === 'installation') {
      const job = withPlaces(emptyJob(nanoid(10), say`New installation`));
      bench.keepJob(job, say`new job`);
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
        <LineBox v-model="line" class="mt-3" :answer="answer" @take="toBench" />
        <template v-if="worked">
          <AnswerCard class="mt-3" :worked="worked" :is-pair="worked.isPair" />
          <div class="mt-3 flex flex-wrap items-center gap-2">
            <button type="button" class="button filled" @click="toBench">
              {{ worked.isPair ? say`Take both to the bench` : say`Take it to the bench` }}
            </button>
            <button type="button" class="button" @click="toCard">{{ say`The card` }}</button>
          </div>
        </template>
        <StartTiles class="mt-6" @open="open" />
        <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
        <p class="note mt-4">
          {{
            say`These figures are for planning. Local codes, class rules and a licensed person where the law asks for one come first.`
          }}
          <RouterLink to="/keeping" class="text-teal underline">{{
            say`Backup, bin, earlier versions`
          }}</RouterLink>
        </p>
      </div>
      <JobsBeside class="border-line bg-paper max-lg:border-t lg:overflow-y-auto lg:border-l" />
    </main>
  </BenchFrame>
</template>
