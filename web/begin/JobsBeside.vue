<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { dueList, logOf } from '../../core/log/log.ts';
import { dayAfter } from '../../core/model/units/days.ts';
import { today } from '../ui/today.ts';
import { SOON_DAYS } from '../../core/fit/service.ts';
import { cablesSay } from '../../core/words/counts.ts';
import { useMade } from '../kit/made.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The jobs that are here, with what waits in each. */
const bench = useBench();
const router = useRouter();
// What waits in them is filled in: the page is there before.
const { made } = useMade(() => ({ jobs: bench.jobs, shop: bench.shop }), 0);

const dueSoon = computed(() => {
  const soon = dayAfter(today(), SOON_DAYS);
  return dueList(logOf(bench.jobs, bench.shop)).filter(({ due }) => due.by <= soon);
});
const rows = computed(() =>
  bench.jobs.map((job) => {
    const works = made.value.filter((one) => one.job.id === job.id);
    const begun = job.cables.filter(({ done, records }) => done.length > 0 && records.length === 0).length;
    const due = dueSoon.value.filter(({ entry }) => entry.jobId === job.id).length;
    const proved = works.filter(({ work }) => work.stages.prove.done).length;
    return {
      job,
      fails: works.filter(({ work }) => work.verdict.state === 'fails').length,
      says: [
        cablesSay(job.cables.length),
        ...(begun > 0 ? [say`${begun} half made`] : []),
        ...(due > 0 ? [say`${due} due`] : []),
        ...(proved > 0 ? [say`${proved} proved`] : []),
      ].join(', '),
    };
  }),
);
function begin(): void {
  const job = bench.addEmptyJob();
  if (bench.jobById(job.id)) void router.push(placeOf(job.id));
}
</script>

<template>
  <section class="px-5 py-5" :aria-label="say`Jobs`">
    <h2 class="figure text-[20px] font-semibold">{{ say`Jobs` }}</h2>
    <p v-if="rows.length === 0" class="note mt-1">{{ say`None here yet.` }}</p>
    <ul class="mt-1">
      <li v-for="{ job, fails, says } in rows" :key="job.id" class="border-b border-hairline">
        <RouterLink
          :to="placeOf(job.id, job.cables[0]?.id)"
          class="grid min-h-14 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 py-2 hover:bg-teal-tint"
        >
          <span class="min-w-0">
            <b class="figure block truncate text-[17px] leading-5 font-semibold">{{ job.title }}</b>
            <span class="note block truncate">{{ says }}</span>
          </span>
          <span v-if="fails > 0" class="figure text-[15px] font-semibold text-fails">{{
            say`${fails} fails¦${fails} fail`
          }}</span>
        </RouterLink>
      </li>
    </ul>
    <button type="button" class="button mt-3" @click="begin">{{ say`Empty job` }}</button>
  </section>
</template>
