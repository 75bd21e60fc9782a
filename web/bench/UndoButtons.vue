<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The last change taken back, and done again. */
const bench = useBench();
</script>

<template>
  <button
    type="button"
    class="flex size-9 items-center justify-center text-teal disabled:text-ink3/60"
    :disabled="!bench.undoable"
    :title="bench.undoable ? say`Undo: ${bench.undoable}` : say`Nothing to undo`"
    @click="bench.undo()"
  >
    <Undo2 :size="19" aria-hidden="true" /><span class="sr-only">{{ say`Undo ${bench.undoable}` }}</span>
  </button>
  <button
    type="button"
    class="flex size-9 items-center justify-center text-teal disabled:text-ink3/60"
    :disabled="!bench.redoable"
    :title="bench.redoable ? say`Redo: ${bench.redoable}` : say`Nothing to redo`"
    @click="bench.redo()"
  >
    <Redo2 :size="19" aria-hidden="true" /><span class="sr-only">{{ say`Redo ${bench.redoable}` }}</span>
  </button>
</template>
