<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { type Component, computed, ref } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES } from '../../../core/model/end.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import StateMark from '../../ui/StateMark.vue';
import EndPanel from './EndPanel.vue';
import LayersPanel from './LayersPanel.vue';
import MethodPanel from './MethodPanel.vue';
import { END_PARTS, type EndPart, PART_TITLES, partStates } from './parts.ts';
import StudPanel from './StudPanel.vue';
import WayPanel from './WayPanel.vue';
import { say } from '../../../core/words/say.ts';

/** Both ends side by side, a part at a time: what is bolted, crimped, soldered, slid on, and led through. */
const { cable, work } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const PANELS: Readonly<Record<Exclude<EndPart, 'way'>, Component>> = {
  lug: EndPanel,
  stud: StudPanel,
  method: MethodPanel,
  layers: LayersPanel,
};
const perEnd = END_PARTS.filter((part) => part !== 'way');
const shown = ref(0);
const states = computed(() => partStates(work.findings));
const isProposed = (name: 'A' | 'B') => {
  const { lug, die, sleeve } = work.ends[name].proposed;
  return lug || die || sleeve;
};
</script>

<template>
  <TabGroup as="div" :selected-index="shown" @change="shown = $event">
    <TabList
      class="relative flex overflow-x-auto border-b border-hairline bg-chalk px-2"
      :aria-label="say`Part of the ends`"
    >
      <Tab v-for="part in END_PARTS" :key="part" v-slot="{ selected }" as="template">
        <button
          type="button"
          class="figure flex h-10 items-center gap-1.5 px-2.5 text-[16px] whitespace-nowrap focus-visible:-outline-offset-2"
          :class="selected ? 'border-b-[3px] border-teal font-semibold' : 'text-ink2 hover:bg-teal-tint'"
        >
          {{ PART_TITLES[part] }}
          <StateMark v-if="states[part] !== 'holds'" :state="states[part]" :word="false" />
        </button>
      </Tab>
    </TabList>
    <TabPanels>
      <TabPanel
        v-for="part in perEnd"
        :key="part"
        class="ends grid gap-x-7 p-3.5 sm:grid-cols-2"
        :tabindex="-1"
      >
        <section
          v-for="name in END_NAMES"
          :key="name"
          :aria-label="say`End ${name}`"
          class="min-w-0 max-sm:mb-6"
        >
          <header class="mb-2 flex items-center gap-2">
            <span
              class="figure flex size-6 items-center justify-center rounded-full border-[1.5px] border-ink text-[14px]"
              >{{ name }}</span
            >
            <h3 class="figure truncate text-[18px] font-semibold">
              {{ cable.ends[name].at || say`Place not given` }}
            </h3>
            <p class="note ml-auto whitespace-nowrap">
              {{ isProposed(name) ? say`proposed` : say`decided` }}
            </p>
          </header>
          <component
            :is="PANELS[part]"
            :key="cable.id"
            :name="name"
            :cable="cable"
            :work="work"
            :job-id="jobId"
          />
        </section>
      </TabPanel>
      <TabPanel class="p-3.5" :tabindex="-1">
        <WayPanel :key="cable.id" :cable="cable" :work="work" :job-id="jobId" />
      </TabPanel>
    </TabPanels>
  </TabGroup>
</template>

<style>
@media (min-width: 640px) {
  .ends {
    background: linear-gradient(var(--hairline), var(--hairline)) center / 1px 100% no-repeat;
  }
}
</style>
