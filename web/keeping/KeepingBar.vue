<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef, watchEffect } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { useBench } from '../stores/bench.ts';
import { useKeeping } from '../stores/keeping.ts';
import { useUpdates } from '../stores/updates.ts';
import { useMaking } from '../ui/useMaking.ts';
import { faults, faultText, isCodeMissing } from '../trouble/faults.ts';
import { say } from '../../core/words/say.ts';

/** What a person must know about how their work is kept, over everything else; nothing where all is well. */

/** What packs a backup is fetched when one is asked for. */
const backUp = async () => {
  const { backUp: packed } = await import('../storage/everything.ts');
  await keep(say`making the backup`, async () => {
    lacks.value = await packed((count, all) => step(say`making the backup, ${count} of ${all}`));
  });
};
const { busy, problem, keep, step, stop } = useMaking({
  failed: () => say`The backup could not be made. Try it again.`,
});
/** What a backup had to leave out. */
const lacks = ref('');
/** Where nothing on the page shows that it failed. */
const UNPLACED = {
  has: (where: string) =>
    where === 'promise' || where === 'route' || where.includes('handler') || where.includes('hook'),
};
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
/** What went wrong last, until it is put away; what a part says in its own place is not repeated. */
const seen = ref('');
const fault = computed(() => {
  const [last] = faults.value;
  return last && last.at !== seen.value && UNPLACED.has(last.where) ? last : null;
});
const copyFault = () =>
  fault.value && void navigator.clipboard.writeText(faultText(fault.value)).catch(() => {});
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
      <button v-if="keeping.isUnread" type="button" class="action" @click="keeping.readAgain()">
        {{ say`Read it again` }}
      </button>
      <button
        v-else-if="bench.saveState.kind === 'failed'"
        type="button"
        class="action"
        @click="bench.save()"
      >
        {{ say`Try again` }}
      </button>
    </p>
    <p v-if="bench.isFollowing" class="bar bg-teal text-on-teal" role="status">
      <span class="min-w-0 flex-1"
        ><b v-if="bench.isRefused">{{ say`Nothing was changed:` }}{{ ' ' }}</b
        >{{
          say`${bench.isRefused ? say`another` : say`Another`} tab has this open; this one is read-only.`
        }}</span
      >
      <button type="button" class="action" @click="keeping.takeOver()">{{ say`Work here instead` }}</button>
    </p>
    <p v-if="bench.refusal" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{ bench.refusal }}</span>
      <button type="button" class="action" @click="bench.refusal = ''">{{ say`OK` }}</button>
    </p>
    <p v-if="busy" class="bar bg-teal-tint text-ink">
      <span class="min-w-0 flex-1" role="status">{{ busy }} …</span>
      <button type="button" class="action" @click="stop">{{ say`Stop` }}</button>
    </p>
    <p v-if="problem" class="bar bg-buff text-ink" role="alert">
      <span class="min-w-0 flex-1">{{ problem }}</span>
      <button type="button" class="action" @click="problem = ''">{{ say`OK` }}</button>
    </p>
    <p v-if="lacks" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{ lacks }}</span>
      <button type="button" class="action" @click="lacks = ''">{{ say`OK` }}</button>
    </p>
    <p v-if="isCodeMissing" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{
        say`A part of the application could not be fetched: a newer version is in its place, or the server is gone. Your work is kept.`
      }}</span>
      <button type="button" class="action" @click="updates.reload()">{{ say`Load the page again` }}</button>
    </p>
    <p v-if="fault" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{ say`Something went wrong: ${fault.message.slice(0, 200)}` }}</span>
      <button type="button" class="action" @click="copyFault">{{ say`Copy what went wrong` }}</button>
      <button type="button" class="action" @click="seen = fault.at">{{ say`OK` }}</button>
    </p>
    <p v-if="unreadable > 0" class="bar bg-fails text-paper" role="alert">
      <span class="min-w-0 flex-1">{{
        say`${unreadable} entry of this browser’s store cannot be read here. It is kept as it is.¦${unreadable} entries of this browser’s store cannot be read here. They are kept as they are.`
      }}</span>
      <RouterLink to="/keeping" class="action inline-flex items-center">{{ say`Show them` }}</RouterLink>
      <button type="button" class="action" @click="isPutAway = true">{{ say`OK` }}</button>
    </p>
    <p v-if="updates.isElsewhere" class="bar bg-teal-tint text-ink" role="status">
      <span class="min-w-0 flex-1">{{
        say`A newer version was started in another tab. What you typed here stays; load it when it suits you.`
      }}</span>
      <button type="button" class="action" @click="updates.reload()">{{ say`Load it here` }}</button>
      <button type="button" class="action" @click="updates.later()">{{ say`Later` }}</button>
    </p>
    <p v-if="updates.isReady" class="bar bg-teal-tint text-ink" role="status">
      <span class="min-w-0 flex-1">{{ say`An update is ready. Your work is saved first; no hurry.` }}</span>
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
