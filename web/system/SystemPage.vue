<script setup lang="ts">
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { tell } from '../../core/words/message.ts';
import { digits } from '../../core/words/numerals.ts';
import { cablesSay } from '../../core/words/counts.ts';
import { withChain } from '../../core/system/chain.ts';
import { systemVolts } from '../../core/system/shown.ts';
import { lastsSays } from '../../core/system/findingParts.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import Ledger from '../bench/Ledger.vue';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { triedWork } from '../stores/work.ts';
import { useIsDesk } from '../ui/useWide.ts';
import ChainBox from './ChainBox.vue';
import LoadTable from './LoadTable.vue';
import StartingPoints from './StartingPoints.vue';
import SystemDrawing from './SystemDrawing.vue';
import SystemList from './SystemList.vue';
import SystemOut from './SystemOut.vue';
import { useSystem } from './useSystem.ts';
import { say } from '../../core/words/say.ts';

/** The whole DC installation of a job on one sheet, solved at once. */
const { jobId } = defineProps<{ jobId: string }>();

const PlaceBox = defineAsyncComponent(() => import('./PlaceBox.vue'));
const StateBox = defineAsyncComponent(() => import('./StateBox.vue'));

const router = useRouter();
const bench = useBench();
const isDesk = useIsDesk();
const { job, placed, work, view, findings, stateId, states, shown, drawn, trouble, change, newId } =
  useSystem(() => jobId);
const opened = ref<string | null>(null);
const pointed = computed(
  () => findings.value.find(({ id }) => id === opened.value) ?? { places: [], cables: [] },
);
const made = computed(
  () =>
    new Set(
      (job.value?.cables ?? [])
        .filter(
          (cable) =>
            cable.done.length > 0 && job.value && triedWork(cable, bench.shop, job.value)?.stages.make.done,
        )
        .map(({ id }) => id),
    ),
);
const places = computed(() => placed.value?.system?.places ?? []);
const isDrawn = computed(
  () => job.value !== undefined && job.value.system === undefined && places.value.length > 0,
);
const isEmpty = computed(() => places.value.length === 0);
const volts = computed(() => (view.value ? systemVolts(view.value) : []));
const subtitle = computed(() =>
  [
    ...(volts.value.length > 0 ? [`${volts.value.map((own) => digits(own, 0)).join(' / ')} V`] : []),
    cablesSay(job.value?.cables.length ?? 0),
    say`${places.value.length} place¦${places.value.length} places`,
  ].join(', '),
);
const title = computed(() => {
  const [first] = findings.value;
  if (!first) return say`Nothing found yet`;
  if (first.state === 'holds') return say`Nothing fails`;
  return tell(first.title);
});

const chain = useTemplateRef('chain');
const isDiagramOpen = ref(false);
const placeId = ref<string | null>(null);
const isPlaceOpen = ref(false);
const isStateOpen = ref(false);
function openPlace(id: string | null): void {
  placeId.value = id;
  isPlaceOpen.value = true;
}
const choices = computed(() => [
  { id: null, name: say`Worst of all`, note: say`every state` },
  ...states.value.map((state) => ({ id: state.id, name: state.name, note: tell(lastsSays(state)) })),
]);
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main
      v-if="job && placed && view && shown"
      class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]"
    >
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-3.5 py-2">
          <div class="min-w-0">
            <h1 class="figure text-[20px] leading-6 font-semibold">{{ say`System` }}</h1>
            <p class="note">{{ subtitle }}</p>
          </div>
          <div
            v-if="!isEmpty"
            role="radiogroup"
            :aria-label="say`State`"
            class="box ml-auto flex max-w-full overflow-x-auto"
          >
            <button
              v-for="own in choices"
              :key="own.id ?? 'all'"
              type="button"
              role="radio"
              :aria-checked="own.id === stateId"
              class="min-h-10 border-r border-teal px-2.5 py-1 text-left whitespace-nowrap last:border-r-0 focus-visible:-outline-offset-4"
              :class="own.id === stateId ? 'bg-teal text-on-teal' : 'text-teal hover:bg-teal-tint'"
              @click="stateId = own.id"
            >
              <span class="figure block text-[16px] leading-[17px] font-semibold">{{ own.name }}</span>
              <span class="figure block text-[12.5px] leading-[14px]">{{ own.note }}</span>
            </button>
          </div>
          <button v-if="!isEmpty" type="button" class="button" @click="isStateOpen = true">
            {{ say`States` }}
          </button>
          <RouterLink v-if="!isEmpty" class="button" :to="{ name: 'sizes', params: { jobId } }">{{
            say`Sizes`
          }}</RouterLink>
        </header>
        <p v-if="isDrawn" class="border-b border-hairline px-3.5 py-1.5 text-[13px]">
          {{
            say`Places are drawn from the names of the cables’ ends. Nothing is taken from them until you change one or let a cable take its figures from here.`
          }}
        </p>
        <StartingPoints v-if="isEmpty" class="lg:overflow-y-auto" @change="change" />
        <template v-else>
          <div
            v-if="(isDesk || isDiagramOpen) && !trouble"
            class="min-h-0 max-lg:max-h-[70dvh] overflow-auto border-b border-line bg-paper lg:flex-[2_1_420px]"
            tabindex="0"
            :aria-label="say`Diagram, scrolls`"
          >
            <SystemDrawing
              v-if="drawn"
              :view="view"
              :drawn="drawn"
              :shown="shown"
              :state-id="stateId"
              :findings="findings"
              :pointed="pointed"
              :made="made"
              @cable="router.push(placeOf(jobId, $event, 'gauge'))"
              @place="openPlace"
              @post="chain?.begin($event)"
            />
            <p v-else class="note p-3.5">{{ say`Laying out …` }}</p>
          </div>
          <button
            v-if="!isDesk"
            type="button"
            class="figure min-h-11 px-3.5 text-[15px] font-semibold text-teal"
            :aria-expanded="isDiagramOpen"
            @click="isDiagramOpen = !isDiagramOpen"
          >
            {{ isDiagramOpen ? say`Hide the diagram` : say`Show the diagram` }}
          </button>
          <p v-if="trouble" class="border-b border-hairline px-3.5 py-2 font-bold" role="alert">
            {{ trouble }}
          </p>
          <div class="shrink-0 border-b border-hairline bg-chalk px-3.5 py-2">
            <ChainBox
              ref="chain"
              :job="job"
              @take="change(say`add a chain`, (own) => withChain(own, $event, bench.shop, newId))"
              @place="openPlace(null)"
            />
          </div>
          <div
            class="min-h-[110px] px-3.5 pb-3 lg:flex-[1_1_170px] lg:overflow-y-auto"
            tabindex="0"
            :aria-label="say`Loads and places`"
          >
            <div class="overflow-x-auto"><LoadTable :view="view" :state-id="stateId" /></div>
            <SystemList
              :view="view"
              :shown="shown"
              :job-id="jobId"
              :is-open="!isDesk || trouble !== ''"
              @place="openPlace"
              @change="change"
            />
            <SystemOut
              v-if="work"
              :work="work"
              :drawn="drawn"
              :shown="shown"
              :state-id="stateId"
              :findings="findings"
              :made="made"
              :title="job.title"
            />
          </div>
        </template>
      </div>
      <Ledger
        class="border-line max-lg:border-t lg:overflow-y-auto lg:border-l"
        :findings="findings"
        :title="title"
        :opened="opened"
        @open="opened = $event"
      />
      <PlaceBox
        v-if="isPlaceOpen"
        :job="placed"
        :place-id="placeId"
        @change="change"
        @close="isPlaceOpen = false"
      />
      <StateBox
        v-if="isStateOpen"
        :job="placed"
        :state-id="stateId"
        @change="change"
        @close="isStateOpen = false"
        @show="stateId = $event"
      />
    </main>
  </BenchFrame>
</template>
