<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { readersLocale } from '../words.ts';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { MOST_BINNED } from '../../core/model/bin.ts';
import { digits } from '../../core/words/numerals.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { placeOf } from '../places.ts';
import { chainFaults } from '../storage/chains.ts';
import { addFrom, backUp, type OpenedBackup, openBackup, replaceWith } from '../storage/everything.ts';
import type { Version } from '../storage/versions.ts';
import { useBench } from '../stores/bench.ts';
import { useKeeping } from '../stores/keeping.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import ModalBox from '../ui/ModalBox.vue';
import { useMaking } from '../ui/useMaking.ts';
import UnreadableList from './UnreadableList.vue';
import { cablesSay, huntsSay, jobsSay, photographsSay } from '../../core/words/counts.ts';
import { say } from '../../core/words/say.ts';

/** Backups, the bin, and jobs as they were: everything between a person and losing their work. */
const { jobId } = defineProps<{ jobId?: string }>();

const bench = useBench();
const keeping = useKeeping();
const { busy, problem, keep, step, stop } = useMaking({
  failed: () => say`It could not be done: this browser could not save it.`,
});
/** Half of a backup restored is of no use: that cannot be left. */
const canStop = ref(true);
const done = ref('');
/** What does not fit in the sealed records of the backup that was opened. */
const notFitting = ref('');
const opened = shallowRef<(OpenedBackup & { manifest?: { madeAt: string } }) | null>(null);
const chosenJob = ref(jobId ?? bench.jobs[0]?.id ?? '');
const versions = shallowRef<readonly Version[]>([]);
const persisted = ref<boolean | null>(null);
const used = ref<number | null>(null);
const when = new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'medium', timeStyle: 'short' });
const MEGABYTE = 1_000_000;

async function loadVersions(): Promise<void> {
  const { versionsOf } = await import('../storage/versions.ts');
  versions.value = await versionsOf(chosenJob.value).catch(() => []);
}
watch([chosenJob, () => bench.saveState], () => void loadVersions(), { immediate: true });
onMounted(async () => {
  persisted.value = (await navigator.storage?.persisted?.().catch(() => false)) ?? null;
  used.value = (await navigator.storage?.estimate?.().catch(() => null))?.usage ?? null;
});
const jobs = computed(() => bench.jobs.map(({ id, title }) => ({ value: id, title })));

async function makeBackup(): Promise<void> {
  done.value = '';
  await keep(say`making the backup`, async () => {
    const lacks = await backUp((count, all) => step(say`making the backup, ${count} of ${all}`));
    if (lacks) problem.value = lacks;
    else done.value = say`The backup is made. Keep the file somewhere else than on this device.`;
  });
}
async function choose(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (!file) return;
  done.value = '';
  await keep(say`reading the backup`, async () => {
    const read = await openBackup(file, (count, all) => step(say`reading the backup, ${count} of ${all}`));
    if (!read.ok) {
      problem.value = read.sentence;
      return;
    }
    notFitting.value = await chainFaults(read.value.kept.jobs);
    opened.value = read.value;
  });
}
async function restore(how: 'replace' | 'add'): Promise<void> {
  const backup = opened.value;
  opened.value = null;
  if (!backup) return;
  canStop.value = how === 'add';
  await keep(say`restoring`, async () => {
    if (how === 'replace') {
      await replaceWith(backup, (count, all) => step(say`restoring, picture ${count} of ${all}`));
      done.value = say`Restored: this browser now holds exactly what the backup held.`;
    } else {
      const { count, lacks } = await addFrom(backup, (i, all) => step(say`adding job ${i + 1} of ${all}`));
      problem.value = lacks;
      done.value = say`${count} job was added to those that were here.¦${count} jobs were added to those that were here.`;
    }
  });
  canStop.value = true;
}
function restoreVersion(version: Version): void {
  bench.restoreJob(version.job);
  done.value = say`“${version.job.title}” is as it was on ${when.format(version.at)}. Undo brings the later one back.`;
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 bg-paper p-3.5 lg:overflow-y-auto">
      <h1 class="figure text-[22px] font-semibold">{{ say`Backups and storage` }}</h1>
      <p class="mt-1 max-w-[680px]">
        {{
          say`Everything stays in this browser, and in files you take out. A browser can lose what it keeps: a backup elsewhere cannot.`
        }}
      </p>
      <p class="note mt-1">
        <template v-if="persisted === true">{{
          say`This browser has promised not to clear it by itself.`
        }}</template>
        <template v-else-if="persisted === false">{{
          say`This browser may clear it when it needs the room.`
        }}</template>
        <template v-if="used !== null"
          >{{ ' ' }}{{ say`${digits(used / MEGABYTE, 1)} MB are in use.` }}</template
        >
      </p>
      <p v-if="busy" class="mt-2 flex items-center gap-3">
        <span role="status">{{ busy }} …</span>
        <button v-if="canStop" type="button" class="button compact" @click="stop">{{ say`Stop` }}</button>
      </p>
      <p v-if="done" class="mt-2 font-bold text-holds" role="status">{{ done }}</p>
      <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
      <div class="mt-4 grid max-w-[1000px] gap-x-8 gap-y-5 lg:grid-cols-2">
        <section :aria-label="say`Backup`">
          <h2 class="figure border-b border-line text-[18px] font-semibold">{{ say`Backup` }}</h2>
          <p class="mt-1.5">{{ keeping.backupAge }}</p>
          <p class="note">
            {{ say`One zip: every job, hunt and photograph, the tool case, the bin, and your preferences.` }}
          </p>
          <div class="mt-2 flex flex-wrap gap-2">
            <button type="button" class="button filled" :disabled="busy !== ''" @click="makeBackup">
              {{ say`Make a backup` }}
            </button>
            <label
              class="button focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-teal"
            >
              {{ say`Restore from a backup` }}
              <input
                type="file"
                accept=".zip,application/zip"
                class="sr-only"
                data-testid="backup-file"
                @change="choose"
              />
            </label>
          </div>
        </section>
        <section :aria-label="say`Earlier versions`">
          <h2 class="figure border-b border-line text-[18px] font-semibold">{{ say`Earlier versions` }}</h2>
          <ChoiceField
            class="mt-1.5"
            :label="say`Job`"
            :model-value="chosenJob"
            :choices="jobs"
            @update:model-value="chosenJob = $event"
          />
          <p v-if="versions.length === 0" class="mt-1.5 text-ink2">
            {{ say`None yet: one is kept as soon as it is changed, and then every five minutes of work.` }}
          </p>
          <ul class="mt-1 max-h-72 overflow-y-auto">
            <li
              v-for="version in versions"
              :key="version.at"
              class="flex min-h-11 items-center gap-2 border-b border-hairline"
            >
              <span class="figure flex-1 text-[16px]">{{ when.format(version.at) }}</span>
              <span class="note">{{ cablesSay(version.job.cables.length) }}</span>
              <button type="button" class="button compact" @click="restoreVersion(version)">
                {{ say`Restore`
                }}<span class="sr-only">{{ ' ' }}{{ say`the version of ${when.format(version.at)}` }}</span>
              </button>
            </li>
          </ul>
        </section>
        <UnreadableList v-if="keeping.unreadable.length > 0" class="lg:col-span-2" @done="done = $event" />
        <section :aria-label="say`Bin`" class="lg:col-span-2">
          <h2 class="figure border-b border-line text-[18px] font-semibold">{{ say`Bin` }}</h2>
          <p v-if="bench.bin.length === 0" class="mt-1.5 text-ink2">
            {{ say`Empty. What is deleted stays here until ${MOST_BINNED} newer things are deleted.` }}
          </p>
          <ul>
            <li
              v-for="item in bench.bin"
              :key="item.id"
              class="flex min-h-11 items-center gap-3 border-b border-hairline"
            >
              <span class="figure w-14 text-[15px] text-ink2">{{ word(item.what) }}</span>
              <span class="min-w-0 flex-1 truncate">{{ item.title }}</span>
              <span class="note">{{ when.format(new Date(item.at)) }}</span>
              <button type="button" class="button compact" @click="bench.putBack(item.id)">
                {{ say`Put back` }}<span class="sr-only"> {{ item.title }}</span>
              </button>
            </li>
          </ul>
          <button v-if="bench.bin.length > 0" type="button" class="button mt-2" @click="bench.emptyBin()">
            {{ say`Empty the bin` }}
          </button>
        </section>
      </div>
      <RouterLink v-if="!jobId && bench.jobs[0]" class="button mt-5" :to="placeOf(bench.jobs[0].id)">{{
        say`To the bench`
      }}</RouterLink>
      <ModalBox :open="opened !== null" :title="say`Restore a backup`" @close="opened = null">
        <template v-if="opened">
          <p>
            {{
              say`It holds ${jobsSay(opened.kept.jobs.length)}, ${huntsSay(opened.kept.hunts.length)} and ${photographsSay(Object.keys(opened.photos).length)}`
            }}<template v-if="opened.manifest">{{
              say`, made ${when.format(new Date(opened.manifest.madeAt))}`
            }}</template
            >{{ say`. Here is ${bench.jobs.length} job now.¦. Here are ${bench.jobs.length} jobs now.` }}
          </p>
          <p v-if="notFitting" class="mt-2 font-bold text-fails" role="alert">{{ notFitting }}</p>
          <div class="mt-3 grid gap-2">
            <button type="button" class="button filled" @click="restore('add')">
              {{ say`Add its jobs to mine` }}
            </button>
            <button type="button" class="button" @click="restore('replace')">
              {{ say`Replace everything here` }}
            </button>
          </div>
          <p class="note mt-2">
            {{ say`Adding changes nothing here. Replacing deletes what is here: back it up first.` }}
          </p>
        </template>
      </ModalBox>
    </main>
  </BenchFrame>
</template>
