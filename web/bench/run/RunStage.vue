<script setup lang="ts">
import type { Cable } from '../../../core/model/cable.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import RunIdentity from './RunIdentity.vue';
import RunLoad from './RunLoad.vue';
import RunPlace from './RunPlace.vue';
import RunRoute from './RunRoute.vue';
import RunSource from './RunSource.vue';
import RunSystem from './RunSystem.vue';
import RunWay from './RunWay.vue';

/** What the cable must do: from where to where, how much, how far, from what source, and in what surroundings. */
defineProps<{ cable: Cable; work: CableWork; jobId: string }>();
</script>

<template>
  <div class="p-3.5">
    <RunIdentity :cable="cable" :job-id="jobId" />
    <RunSystem :cable="cable" :job-id="jobId" />
    <RunLoad :cable="cable" :job-id="jobId" />
    <RunWay :cable="cable" :job-id="jobId" />
    <RunRoute :cable="cable" :work="work" :job-id="jobId" />
    <RunPlace :cable="cable" :job-id="jobId" />
    <RunSource :cable="cable" :work="work" :job-id="jobId" />
  </div>
</template>
