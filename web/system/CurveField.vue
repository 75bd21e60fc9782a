<script setup lang="ts">
import type { ClearingPoint } from '../../core/model/tables/fuses.ts';
import { parseCurve, writtenCurve } from '../bench/run/curveText.ts';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** A curve of a fuse, as pairs of multiple and seconds. */
defineProps<{ label: string; points: readonly ClearingPoint[] }>();
const emit = defineEmits<{ change: [points: readonly ClearingPoint[]] }>();

function take(text: string): void {
  if (text === '') return emit('change', []);
  const curve = parseCurve(text);
  if (curve.ok) emit('change', curve.points);
}
</script>

<template>
  <TextField
    :label="label"
    :model-value="writtenCurve(points)"
    :longest="200"
    :check="(text) => (text === '' ? '' : parseCurve(text).sentence)"
    :hint="say`× rating, seconds: 1.5 200, 3 4`"
    @update:model-value="take"
  />
</template>
