<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed, ref } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { dieMap } from '../../core/termination/dies/dieMap.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import { openCase } from '../../core/termination/dies/toolCase.ts';
import DiesPanel from './DiesPanel.vue';
import InstrumentsPanel from './InstrumentsPanel.vue';
import KindsPanel from './KindsPanel.vue';
import LugsPanel from './LugsPanel.vue';
import MapDetail from './MapDetail.vue';
import MapGrid from './MapGrid.vue';
import type { Chosen } from './chosen.ts';
import SleevesPanel from './SleevesPanel.vue';
import TubeLugPanel from './TubeLugPanel.vue';
import WorkshopBar from './WorkshopBar.vue';
import UnmarkedPanel from './UnmarkedPanel.vue';
import { say } from '../../core/words/say.ts';

/** The tool case: which die for which lug, what a die is for, the dies, tools and lugs owned, and their trials. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const route = useRoute();
const toolCase = computed(() => openCase(bench.shop));
const map = computed(() => dieMap(toolCase.value, bench.shop.practice));

/** The row and column in hand: from the address at first, the recommended pair when only a lug is named. */
const chosen = ref<Chosen | null>(fromAddress());
function fromAddress(): Chosen | null {
  const lugId = String(route.query['lug'] ?? '');
  const row = map.value.rows.find(({ lugs }) => lugs.some(({ id }) => id === lugId)) ?? null;
  if (!row) return null;
  return { rowKey: row.key, dieId: row.best === null ? null : (map.value.columns[row.best]?.die.id ?? null) };
}
const row = computed(() => map.value.rows.find(({ key }) => key === chosen.value?.rowKey));

const TITLES = [
  say`Which die for this lug`,
  say`What is this die for`,
  say`Dies and tools`,
  say`Cable`,
  say`Lugs`,
  say`Sleeves`,
  say`Lug from tube`,
  say`Instruments`,
];
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
      <h1 class="sr-only">{{ say`Tool case` }}</h1>
      <WorkshopBar :job-id="jobId" />
      <TabGroup as="div" class="lg:flex lg:min-h-0 lg:flex-1 lg:flex-col">
        <div class="flex shrink-0 flex-wrap border-b border-line bg-chalk">
          <TabList class="relative flex min-w-0 overflow-x-auto px-2" :aria-label="say`Tool case`">
            <Tab v-for="title in TITLES" :key="title" v-slot="{ selected }" as="template">
              <button
                type="button"
                class="figure h-[51px] px-3 text-[17px] whitespace-nowrap focus-visible:-outline-offset-2"
                :class="
                  selected ? 'border-b-[3px] border-teal font-semibold' : 'text-ink2 hover:bg-teal-tint'
                "
              >
                {{ title }}
              </button>
            </Tab>
          </TabList>
          <RouterLink
            :to="{ name: 'in-your-case', params: { jobId } }"
            class="ml-auto flex h-[51px] items-center px-3 font-bold whitespace-nowrap text-teal hover:bg-teal-tint"
            >{{ say`What is in your case?` }}</RouterLink
          >
        </div>
        <TabPanels class="lg:min-h-0 lg:flex-1">
          <TabPanel class="h-full lg:grid lg:grid-cols-[minmax(0,1fr)_354px]" :tabindex="-1">
            <MapGrid :map="map" :chosen="chosen" class="min-w-0 lg:min-h-0" @choose="chosen = $event" />
            <MapDetail
              :row="row"
              :columns="map.columns"
              :chosen="chosen"
              :tool-case="toolCase"
              class="border-line max-lg:border-t lg:overflow-y-auto lg:border-l"
              @choose="chosen = $event"
            />
          </TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"
            ><UnmarkedPanel :tool-case="toolCase"
          /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"
            ><DiesPanel :tool-case="toolCase"
          /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"><KindsPanel /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"><LugsPanel /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"><SleevesPanel /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"><TubeLugPanel /></TabPanel>
          <TabPanel class="h-full p-3.5 lg:overflow-y-auto" :tabindex="-1"><InstrumentsPanel /></TabPanel>
        </TabPanels>
      </TabGroup>
    </main>
  </BenchFrame>
</template>
