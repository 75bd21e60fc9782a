<script setup lang="ts">
import { useRouter } from 'vue-router';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { say } from '../../core/words/say.ts';

/** On a first visit: what this is, in three lines, and the way to a job of one's own. */
const { prefs } = usePrefs();
const bench = useBench();
const router = useRouter();

function beginOwn(): void {
  prefs.guideSeen = true;
  const job = bench.addEmptyJob();
  void router.push(placeOf(job.id));
}
</script>

<template>
  <aside
    v-if="!prefs.guideSeen && bench.shop.origin === 'demo'"
    :aria-label="say`How this works`"
    class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hairline bg-buff px-3.5 py-2"
  >
    <p class="min-w-0 flex-1 basis-80">
      <b>{{ say`An example job, made up: look around freely.` }}</b>
      {{ say`Seven stages, in working order. Press any figure to see its formula, inputs and source.` }}
    </p>
    <button type="button" class="button min-h-11" @click="beginOwn">{{ say`Start an empty job` }}</button>
    <button type="button" class="button filled min-h-11" @click="prefs.guideSeen = true">
      {{ say`Look around the example` }}
    </button>
  </aside>
</template>
