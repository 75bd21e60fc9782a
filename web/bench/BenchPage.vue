<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { isAbout } from '../../core/finding/topics.ts';
import { STAGE_TITLES } from './stages.ts';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import type { Stage } from '../../core/model/cable.ts';
import type { Feature } from '../../core/traveller/steps.ts';
import { cardOf, placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { triedStage, triedWork } from '../stores/work.ts';
import { findingsAt } from '../../core/workup.ts';
import { usePainted } from '../ui/usePainted.ts';
import CableMenu from './CableMenu.vue';
import EmptyJob from '../begin/EmptyJob.vue';
import BenchFrame from './BenchFrame.vue';
import Boundary from '../trouble/Boundary.vue';
import FaultBox from '../trouble/FaultBox.vue';
import { faults } from '../trouble/faults.ts';
import GuideCard from './GuideCard.vue';
import Ledger from './Ledger.vue';
import StageTrack from './StageTrack.vue';
import { useCableEdit } from './useCable.ts';
import WorkshopBar from '../toolcase/WorkshopBar.vue';
import WorkpieceDrawing from './workpiece/WorkpieceDrawing.vue';
import { say } from '../../core/words/say.ts';

/** The bench: the rack, the cable to scale, its seven stages, and the ledger. */
const { jobId, cableId, stage = 'run' } = defineProps<{ jobId: string; cableId?: string; stage?: Stage }>();

const STAGE_VIEWS: Readonly<Record<Stage, ReturnType<typeof defineAsyncComponent>>> = {
  run: defineAsyncComponent(() => import('./run/RunStage.vue')),
  gauge: defineAsyncComponent(() => import('./gauge/GaugeStage.vue')),
  ends: defineAsyncComponent(() => import('./ends/EndsStage.vue')),
  cut: defineAsyncComponent(() => import('./cut/CutStage.vue')),
  make: defineAsyncComponent(() => import('./make/MakeStage.vue')),
  prove: defineAsyncComponent(() => import('./prove/ProveStage.vue')),
  fit: defineAsyncComponent(() => import('./fit/FitStage.vue')),
};

const bench = useBench();
const router = useRouter();
const opened = ref<string | null>(null);
const lit = ref<readonly Feature[] | null>(null);

const job = computed(() => bench.jobById(jobId));
const cable = computed(() => job.value?.cables.find(({ id }) => id === cableId));
/** What its stage needs is worked out at once; the drawing and what follows for the other stages, once that is painted. */
const work = computed(() => cable.value && triedStage(cable.value, stage, bench.shop, job.value));
const now = () => ({ job: job.value, cable: cable.value, shop: bench.shop });
const painted = usePainted(now);
const whole = computed(() => {
  const isSame = painted.value.job?.id === jobId && painted.value.cable?.id === cableId;
  const { job: own, cable: its, shop } = isSame ? painted.value : now();
  const worked = its && triedWork(its, shop, own);
  return worked ? { cable: its, work: worked } : null;
});
const findings = computed(() => (work.value ? findingsAt(work.value, stage) : []));

/** A job or cable that is gone, by undo or deletion, gives way to what is left. */
watch(
  [job, cable],
  () => {
    if (!job.value) void router.replace('/begin');
    else if (cableId && !cable.value) void router.replace(placeOf(jobId, job.value.cables[0]?.id, stage));
    else if (!cableId && job.value.cables[0])
      void router.replace(placeOf(jobId, job.value.cables[0].id, stage));
  },
  { immediate: true },
);
watch(
  () => [cableId, stage],
  () => {
    opened.value = null;
    lit.value = null;
  },
);

/** The figure of a part of the drawing: here, or at the stage it belongs to. */
function openFigure(id: string): void {
  const finding = work.value?.findings.find((other) => other.id === id);
  if (!finding) return;
  if (finding.stage !== stage && cableId) {
    void router.push(placeOf(jobId, cableId, finding.stage)).then(() => (opened.value = id));
  } else {
    opened.value = id;
  }
}

const title = computed(() => {
  const { value: at } = work;
  if (!at) return '';
  const binding = findings.value.find(({ close }) => close);
  const failed = findings.value.find(({ state }) => state === 'fails');
  if (failed) return say`${failed.title}${failed.end ? say` of ${failed.end}` : ''} fails`;
  if (stage === 'gauge' && binding) return say`Size set by: ${binding.title}`;
  return LEDGER_TITLES[stage];
});
/** Said to whoever does not see it change. */
const verdictSays = computed(() =>
  whole.value ? `${whole.value.cable.tag}: ${tell(whole.value.work.verdict.sentence)}` : '',
);
const isMeasuredMaking = isAbout('strip', 'sleeve-cover', 'crimps');
const LEDGER_TITLES: Readonly<Record<Stage, string>> = {
  run: say`Requirements of the run`,
  gauge: say`Size checks`,
  ends: say`Checks on the ends`,
  cut: say`Lengths`,
  make: say`Lengths while making`,
  prove: say`Proof checks`,
  fit: say`Torque, checks and first load`,
};
const shownFindings = computed(() =>
  stage === 'make'
    ? (work.value?.findings.filter((finding) => finding.stage === 'cut' || isMeasuredMaking(finding)) ?? [])
    : findings.value,
);

/** On a phone the ledger is below the stage: one press away from its top. */
const toLedger = () => document.querySelector('[data-ledger]')?.scrollIntoView({ block: 'start' });
const edit = useCableEdit(() => ({ jobId, cableId: cableId ?? '' }));
const turn = (angleDeg: number) => edit(say`palm angle`, (draft) => void (draft.palmAngleDeg = angleDeg));
</script>

<template>
  <BenchFrame v-slot="{ addCable }" :job-id="jobId" :cable-id="cableId" :stage="stage">
    <main v-if="cable && work && whole" class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
      <h1 class="sr-only">{{ cable.tag }}, {{ STAGE_TITLES[stage].toLowerCase() }}</h1>
      <p class="sr-only" role="status">{{ verdictSays }}</p>
      <div class="flex items-center gap-3 border-b border-hairline px-3.5 lg:hidden">
        <b class="figure text-[18px] font-semibold">{{ cable.tag }}</b>
        <span class="note min-w-0 flex-1 truncate">{{
          [cable.ends.A.at, cable.ends.B.at].filter(Boolean).join(' → ')
        }}</span>
        <button type="button" class="min-h-11 px-2 font-bold text-teal" @click="toLedger">
          {{ say`Checks` }}
        </button>
        <RouterLink
          :to="cardOf(jobId, cable.id)"
          class="flex min-h-11 items-center px-2 font-bold text-teal"
          >{{ say`Card` }}</RouterLink
        >
        <CableMenu :job-id="jobId" :cable-id="cable.id" :stage="stage" />
      </div>
      <Boundary :part="say`The drawing`" :reset-on="`${cable.id} ${stage}`">
        <WorkpieceDrawing v-bind="whole" :stage="stage" :lit="lit" @open="openFigure" @turn="turn" />
      </Boundary>
      <StageTrack :job-id="jobId" :cable-id="cable.id" :stage="stage" :work="whole.work" />
      <div class="lg:grid lg:min-h-0 lg:flex-1 lg:grid-cols-[minmax(0,1fr)_354px]">
        <div class="min-w-0 lg:overflow-y-auto">
          <GuideCard />
          <WorkshopBar :job-id="jobId" on-bench />
          <Boundary :part="STAGE_TITLES[stage]" :reset-on="`${cable.id} ${stage}`">
            <component
              :is="STAGE_VIEWS[stage]"
              :cable="cable"
              :work="work"
              :job-id="jobId"
              @lit="lit = $event"
            />
          </Boundary>
        </div>
        <Boundary :part="say`Checks`" :reset-on="`${cable.id} ${stage}`">
          <Ledger
            :findings="shownFindings"
            :title="title"
            :opened="opened"
            data-ledger
            class="border-line max-lg:border-t lg:overflow-y-auto lg:border-l"
            @open="opened = $event"
          >
            <div class="flex items-center max-lg:hidden">
              <RouterLink :to="cardOf(jobId, cable.id)" class="button compact">{{ say`Card` }}</RouterLink>
              <CableMenu :job-id="jobId" :cable-id="cable.id" :stage="stage" />
            </div>
          </Ledger>
        </Boundary>
      </div>
    </main>
    <main v-else-if="cable && faults[0]" class="min-w-0">
      <FaultBox :fault="faults[0]" :title="say`${cable.tag} cannot be worked up`" :job-id="jobId" />
    </main>
    <EmptyJob v-else-if="job" :job="job" @add="addCable" />
  </BenchFrame>
</template>
