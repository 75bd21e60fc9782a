<script setup lang="ts">
import { computed } from 'vue';
import { useBench } from '../stores/bench.ts';
import CheckField from '../ui/CheckField.vue';
import { say } from '../../core/words/say.ts';

/** Other jobs whose cables are cut from the same spools on the same day. */
const { jobId, chosen } = defineProps<{ jobId: string; chosen: readonly string[] }>();
const emit = defineEmits<{ choose: [ids: readonly string[]] }>();

const bench = useBench();
const others = computed(() => bench.jobs.filter(({ id }) => id !== jobId));
function set(id: string, on: boolean): void {
  emit('choose', on ? [...chosen, id] : chosen.filter((other) => other !== id));
}
</script>

<template>
  <div v-if="others.length > 0" class="flex flex-wrap gap-x-5 gap-y-2 pl-2">
    <CheckField
      v-for="job in others"
      :key="job.id"
      :label="say`with ${job.title}`"
      :model-value="chosen.includes(job.id)"
      @update:model-value="(on) => set(job.id, on)"
    />
  </div>
</template>
