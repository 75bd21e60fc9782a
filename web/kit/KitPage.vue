<script setup lang="ts">
import { computed, ref } from 'vue';
import { kitOf } from '../../core/cutting/kit.ts';
import { cutGroups, isCut } from '../../core/cutting/pieces.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import BuyPanel from './BuyPanel.vue';
import { useMade } from './made.ts';
import MakeOrBuyPanel from './MakeOrBuyPanel.vue';
import OtherJobs from './OtherJobs.vue';
import PaperPanel from './PaperPanel.vue';
import PlanDrawing from './PlanDrawing.vue';
import PlanHead from './PlanHead.vue';
import QuotePanel from './QuotePanel.vue';
import StockPanel from './StockPanel.vue';
import TickCards from './TickCards.vue';
import { useCutPlan } from './useCutPlan.ts';
import WorkshopBar from '../toolcase/WorkshopBar.vue';
import FillingMark from '../ui/FillingMark.vue';
import { say } from '../../core/words/say.ts';

/** The kit of a job, or of several: what is cut from which spool, what is to buy, and what it comes to. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const job = computed(() => bench.jobById(jobId));
const withJobs = ref<readonly string[]>([]);
const jobs = computed(() => bench.jobs.filter(({ id }) => id === jobId || withJobs.value.includes(id)));
const { made, worked, all } = useMade(() => ({ jobs: jobs.value, shop: bench.shop }));
const groups = computed(() => cutGroups(made.value, bench.shop));
const rules = computed(() => bench.shop.practice.cutting);
const { plans, solving, seconds, isBroken, cancel, solve } = useCutPlan(
  () => groups.value,
  () => rules.value,
);
const kit = computed(() => kitOf(made.value, bench.shop));
/** Making is compared with buying for all of them, made already or not. */
const wholeKit = computed(() =>
  kitOf(
    made.value.map((own) => ({ ...own, cable: { ...own.cable, done: [] } })),
    bench.shop,
  ),
);
const cut = computed(() => made.value.filter(({ cable }) => isCut(cable)).length);
/** Before all are worked up, that none is planned says nothing. */
const isKnown = computed(
  () => worked.value >= all.value || groups.value.some(({ pieces }) => pieces.length > 0),
);
const isStockOpen = ref(false);
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="job" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <h1 class="sr-only">{{ say`Kit of ${job.title}` }}</h1>
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <WorkshopBar :job-id="jobId" />
        <FillingMark :done="worked" :all="all" class="px-3.5" />
        <PlanHead
          v-if="isKnown"
          :plans="plans"
          :cables="all"
          :cut="cut"
          :solving="solving"
          :seconds="seconds"
          :is-broken="isBroken"
          @cancel="cancel"
          @solve="solve(true)"
        />
        <div class="min-w-0 bg-paper lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
          <PlanDrawing v-if="isKnown" :plans="plans" :rules="rules" />
          <div class="flex flex-wrap items-center gap-2 px-3.5 pb-3">
            <button
              type="button"
              class="button"
              :aria-expanded="isStockOpen"
              @click="isStockOpen = !isStockOpen"
            >
              {{ isStockOpen ? say`Close the stock list` : say`Stock` }}
            </button>
            <OtherJobs :job-id="jobId" :chosen="withJobs" @choose="withJobs = $event" />
          </div>
          <StockPanel v-if="isStockOpen" :kit="kit" class="px-3.5 pb-4" />
        </div>
        <TickCards :plans="plans" :made="made" :cut="cut" class="shrink-0 border-t border-line" />
      </div>
      <div class="border-line bg-paper max-lg:border-t lg:overflow-y-auto lg:border-l">
        <BuyPanel :kit="kit" :plans="plans" />
        <MakeOrBuyPanel :job="job" :kit="wholeKit" :plans="plans" :cables="made.length" />
        <QuotePanel :job="job" :made="made" :kit="wholeKit" :plans="plans" />
        <PaperPanel data-part="paper" :job="job" :made="made" :plans="plans" :kit="kit" />
      </div>
    </main>
  </BenchFrame>
</template>
