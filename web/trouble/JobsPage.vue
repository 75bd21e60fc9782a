<script setup lang="ts">
import { useRouter } from 'vue-router';
import { cablesSay } from '../../core/words/counts.ts';
import { say } from '../../core/words/say.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { placeOf } from '../places.ts';
import { ensureDemo } from '../storage/demo.ts';
import { useBench } from '../stores/bench.ts';
import { useKeeping } from '../stores/keeping.ts';
import { ref } from 'vue';

/** Every job that is here: where one goes when there is none, or when the last place cannot be shown. */
const bench = useBench();
const keeping = useKeeping();
const router = useRouter();
const problem = ref('');

function begin(): void {
  const job = bench.addEmptyJob();
  if (bench.jobById(job.id)) void router.push(placeOf(job.id));
}
async function lookRound(): Promise<void> {
  try {
    const job = await ensureDemo();
    await router.push(placeOf(job.id, job.cables[0]?.id));
  } catch {
    problem.value = say`The made-up jobs could not be fetched.`;
  }
}
</script>

<template>
  <BenchFrame>
    <main class="min-w-0 bg-paper p-3.5 lg:overflow-y-auto">
      <h1 class="figure text-[26px] font-semibold">{{ say`Jobs` }}</h1>
      <template v-if="keeping.isUnread">
        <p class="mt-1 max-w-prose text-[15px]">{{ keeping.trouble }}</p>
        <button type="button" class="button filled mt-3" @click="keeping.readAgain()">
          {{ say`Read it again` }}
        </button>
      </template>
      <template v-else>
        <p v-if="bench.jobs.length === 0" class="mt-1 text-[15px]">
          {{ say`No job is here yet. What you deleted is in the bin.` }}
        </p>
        <ul class="mt-2 max-w-[680px] border-t border-hairline">
          <li
            v-for="job in bench.jobs"
            :key="job.id"
            class="flex min-h-14 items-center gap-3 border-b border-hairline"
          >
            <RouterLink :to="placeOf(job.id, job.cables[0]?.id)" class="min-w-0 flex-1 py-2">
              <b class="figure block truncate text-[18px] font-semibold">{{ job.title }}</b>
              <span class="note block truncate">{{ job.subtitle }}</span>
            </RouterLink>
            <span class="note">{{ cablesSay(job.cables.length) }}</span>
          </li>
        </ul>
        <div class="mt-4 flex flex-wrap gap-2">
          <button type="button" class="button filled" @click="begin">{{ say`New empty job` }}</button>
          <button type="button" class="button" @click="lookRound">
            {{ say`Look around an example job` }}
          </button>
          <RouterLink to="/keeping" class="button">{{ say`Backup, bin, history` }}</RouterLink>
        </div>
        <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
      </template>
    </main>
  </BenchFrame>
</template>
