<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useBench } from '../stores/bench.ts';
import { useKeeping } from '../stores/keeping.ts';
import { useUpdates } from '../stores/updates.ts';
import { say } from '../../core/words/say.ts';

/** What a person must know about how their work is kept, over everything else; nothing where all is well. */

/** What packs a backup is fetched when one is asked for. */
const backUp = async () => (await import('../storage/everything.ts')).backUp();
const bench = useBench();
const keeping = useKeeping();
const updates = useUpdates();
const route = useRoute();
/** What fills the window leaves room for this. */
const bar = useTemplateRef<HTMLElement>('bar');
const { height } = useElementSize(bar);
watchEffect(() => document.documentElement.style.setProperty('--bar', `${height.value}px`));
const isPaper = computed(() => String(route.name ?? '').startsWith('print'));
const isPutAway = ref(false);
const failed = computed(() =>
  bench.saveState.kind === 'failed' ? bench.saveState.sentence : keeping.trouble,
);
const unreadable = computed(() => (isPutAway.value ? 0 : keeping.unreadable.length));
</script>

<template>
  <div v-show="!isPaper" ref="bar" class="keeping-bar">
    <p v-if="failed" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{ failed }}</span>
      <button type="button" class="action" @click="backUp">{{ say`Make a backup file` }}</button>
      <button v-if="bench.saveState.kind === 'failed'" type="button" class="action" @click="bench.save()">
        {{ say`Try again` }}
      </button>
    </p>
    <p v-if="bench.isFollowing" class="bar bg-teal text-on-teal" role="status">
      <span class="min-w-0 flex-1"
        ><b v-if="bench.isRefused">{{ say`Nothing was changed:` }}{{ ' ' }}</b
        >{{
          say`${bench.isRefused ? say`another` : say`Another`} tab has this open and writes; this one follows it.`
        }}</span
      >
      <button type="button" class="action" @click="keeping.takeOver()">{{ say`Work here instead` }}</button>
    </p>
    <p v-if="unreadable > 0" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{
        say`${unreadable} ${unreadable === 1 ? say`entry` : say`entries`} of this browser’s store cannot be read here; kept as they are: ${keeping.unreadable.slice(0, 3).join(', ')}.`
      }}</span>
      <button type="button" class="action" @click="isPutAway = true">{{ say`All right` }}</button>
    </p>
    <p v-if="updates.isReady" class="bar bg-teal-tint text-ink" role="status">
      <span class="min-w-0 flex-1">{{
        say`A newer version is ready. What you do is saved first; nothing hurries.`
      }}</span>
      <button type="button" class="action" @click="updates.startNewer()">{{ say`Start it now` }}</button>
      <button type="button" class="action" @click="updates.later()">{{ say`Later` }}</button>
    </p>
    <p v-if="keeping.isBackupOld" class="bar bg-buff text-ink" role="status">
      <span class="min-w-0 flex-1">{{
        say`${keeping.backupAge} A browser can lose what it keeps: put a copy elsewhere.`
      }}</span>
      <button type="button" class="action" @click="backUp">{{ say`Back up now` }}</button>
      <button type="button" class="action" @click="keeping.putOffBackup()">{{ say`In a week` }}</button>
    </p>
  </div>
</template>

<style>
@media print {
  .keeping-bar {
    display: none;
  }
}
.keeping-bar .bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 4px 14px;
}
.keeping-bar .action {
  min-height: 32px;
  padding: 0 10px;
  border: 1px solid currentColor;
  border-radius: 3px;
  font-weight: 700;
}
</style>
