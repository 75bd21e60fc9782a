<script setup lang="ts">
import type { Cable } from '../../../core/model/cable.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useCableActs } from '../cableActs.ts';
import { say } from '../../../core/words/say.ts';
import RunEssentials from './RunEssentials.vue';
import RunIdentity from './RunIdentity.vue';
import RunLoad from './RunLoad.vue';
import RunPlace from './RunPlace.vue';
import RunRoute from './RunRoute.vue';
import RunSource from './RunSource.vue';
import RunSystem from './RunSystem.vue';
import RunWay from './RunWay.vue';

/** What the cable must do: from where to where, how much, how far, from what source, and in what surroundings. */
const { cable, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const { duplicate, makeReturn, remove } = useCableActs(() => ({ jobId, cableId: cable.id, stage: 'run' }));
</script>

<template>
  <div class="p-3.5">
    <RunEssentials :cable="cable" :job-id="jobId" />
    <RunSystem :cable="cable" :job-id="jobId" />
    <RunLoad :cable="cable" :job-id="jobId" />
    <RunWay :cable="cable" :job-id="jobId" />
    <RunRoute :cable="cable" :work="work" :job-id="jobId" />
    <RunPlace :cable="cable" :job-id="jobId" />
    <RunSource :cable="cable" :work="work" :job-id="jobId" />
    <RunIdentity :cable="cable" :job-id="jobId" />
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="button compact" @click="duplicate">{{ say`Duplicate` }}</button>
      <button type="button" class="button compact" @click="makeReturn">{{ say`Make its return` }}</button>
      <button type="button" class="button compact" @click="remove">{{ say`Delete` }}</button>
    </div>
  </div>
</template>
