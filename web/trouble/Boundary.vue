<script setup lang="ts">
import { onErrorCaptured, shallowRef, watch } from 'vue';
import { useBench } from '../stores/bench.ts';
import FaultBox from './FaultBox.vue';
import { type Fault, report } from './faults.ts';
import { say } from '../../core/words/say.ts';

/** What is inside may fail by itself: the rest of the page does not. It is tried again as soon as the work has changed. */
const { part, resetOn } = defineProps<{
  /** What it is, as its heading says it. */
  part: string;
  /** Something else is shown inside when this changes. */
  resetOn?: string | undefined;
}>();
const emit = defineEmits<{ failed: [] }>();

const bench = useBench();
const fault = shallowRef<Fault | null>(null);
/** Counts the tries: each is a new beginning, with nothing left of the one that failed. */
const tries = shallowRef(0);
onErrorCaptured((error) => {
  fault.value = report(error, part);
  emit('failed');
  return false;
});
function again(): void {
  if (!fault.value) return;
  fault.value = null;
  tries.value += 1;
}
watch([() => bench.document, () => resetOn], again);
</script>

<template>
  <FaultBox v-if="fault" :fault="fault" :title="say`${part} cannot be shown`" @again="again" />
  <slot v-else :key="tries" />
</template>
