<script setup lang="ts">
import { ref } from 'vue';
import { salvage } from '../../core/model/stored.ts';
import { type Aside, asideEntries, dropAside } from '../storage/aside.ts';
import { saveFile } from '../storage/files.ts';
import { useBench } from '../stores/bench.ts';
import { useKeeping } from '../stores/keeping.ts';
import ModalBox from '../ui/ModalBox.vue';
import { say } from '../../core/words/say.ts';

/** What is kept here and cannot be read: exported as it is, read as far as it can be, or given up by hand. */
const emit = defineEmits<{ done: [sentence: string] }>();

const bench = useBench();
const keeping = useKeeping();
const problem = ref('');
const asked = ref<Aside | null>(null);
/** What a salvage could not read, a line each. */
const lost = ref<readonly string[]>([]);
const MOST_LINES = 30;

const titleOf = ({ key, data }: Aside): string => {
  const { title, name } = (typeof data === 'object' && data !== null ? data : {}) as Record<string, unknown>;
  const called = typeof title === 'string' ? title : typeof name === 'string' ? name : '';
  return called.slice(0, 80) || key;
};
const exportRaw = (entry: Aside) =>
  saveFile(
    `${entry.key.replace(/[^\w.-]+/g, '-')}.json`,
    `${JSON.stringify(entry.data, null, 1)}\n`,
    'application/json',
  );

function read(entry: Aside): void {
  problem.value = '';
  lost.value = [];
  const kind = entry.kind === 'hunt' || entry.kind === 'shop' ? entry.kind : 'job';
  const found = salvage(kind, entry.data);
  if (!found) {
    problem.value = say`Nothing of it can be read. Export it as it is: somebody may be able to.`;
    return;
  }
  lost.value = found.lost.slice(0, MOST_LINES);
  const { value } = found;
  if ('pieces' in value) bench.keepHunt(value, say`salvage`);
  else if ('cables' in value) bench.addJob(value, bench.shop, say`salvage`);
  else bench.edit(say`salvage`, (draft) => void (draft.shop = structuredClone(value) as typeof draft.shop));
  if (bench.refusal) problem.value = bench.refusal;
  else
    emit(
      'done',
      say`Read as far as it can be: ${titleOf(entry)}. The entry itself stays here until you discard it.`,
    );
}
async function giveUp(): Promise<void> {
  const entry = asked.value;
  asked.value = null;
  if (!entry) return;
  await dropAside(entry.id);
  keeping.unreadable = await asideEntries();
}
</script>

<template>
  <section :aria-label="say`Could not be read`">
    <h2 class="figure border-b border-line text-[18px] font-semibold">{{ say`Could not be read` }}</h2>
    <p class="mt-1 max-w-[680px]">
      {{
        say`Kept as it was, and tried again at each start: a newer version may read it. Nothing is ever written over it.`
      }}
    </p>
    <ul>
      <li
        v-for="entry in keeping.unreadable"
        :key="entry.id"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-1.5"
      >
        <span class="min-w-0 flex-1 basis-60">
          <b class="block truncate">{{ titleOf(entry) }}</b>
          <span class="note block break-words">{{ entry.sentence || entry.key }}</span>
        </span>
        <button type="button" class="button" @click="exportRaw(entry)">{{ say`Export as it is` }}</button>
        <button
          v-if="entry.kind === 'job' || entry.kind === 'hunt' || entry.kind === 'shop'"
          type="button"
          class="button"
          @click="read(entry)"
        >
          {{ say`Read what can be read` }}
        </button>
        <button type="button" class="button" @click="asked = entry">{{ say`Discard it` }}</button>
      </li>
    </ul>
    <p v-if="problem" class="mt-1 font-bold text-fails" role="alert">{{ problem }}</p>
    <details v-if="lost.length > 0" class="mt-1" open>
      <summary>{{ say`Left out, or set to a limit` }}</summary>
      <ul class="list-disc pl-5">
        <li v-for="line in lost" :key="line">{{ line }}</li>
      </ul>
    </details>
    <ModalBox v-if="asked" open :title="say`Discard it for good?`" @close="asked = null">
      <p>{{ say`${titleOf(asked)} is deleted from this browser. This cannot be undone.` }}</p>
      <div class="mt-3 flex gap-2">
        <button type="button" class="button" @click="exportRaw(asked)">{{ say`Export as it is` }}</button>
        <button type="button" class="button filled" @click="giveUp">{{ say`Delete it` }}</button>
      </div>
    </ModalBox>
  </section>
</template>
