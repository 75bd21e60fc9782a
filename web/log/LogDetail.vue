<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import { nanoid } from 'nanoid';
import { X } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { badFact, type Fact, FACTS, withFact } from '../../core/log/corrections.ts';
import type { LogEntry } from '../../core/log/log.ts';
import { STATE_SAYS } from '../../core/paper/stateSays.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import DueRow from '../ui/DueRow.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** One cable of the log: its records, what it is due for, its keywords, and what was corrected about it. */
const { entry } = defineProps<{ entry: LogEntry }>();
defineEmits<{ close: [] }>();

const bench = useBench();
const { prefs } = usePrefs();
const cable = computed(() => entry.cable);
const fact = ref<Fact>('tag');
const now = ref('');
const why = ref('');
const isCorrecting = ref(false);
const problem = ref('');
const facts = (Object.keys(FACTS) as Fact[]).map((value) => ({ value, title: FACTS[value].title }));
watch(
  [() => cable.value.id, fact, isCorrecting],
  () => {
    now.value = FACTS[fact.value].of(cable.value);
    problem.value = '';
  },
  { immediate: true },
);

function replace(recipe: (own: LogEntry['cable']) => LogEntry['cable'], what: string): void {
  bench.edit(what, (draft) => {
    const cables = draft.jobs.find(({ id }) => id === entry.jobId)?.cables;
    const at = cables?.findIndex(({ id }) => id === cable.value.id) ?? -1;
    if (cables && at >= 0) cables[at] = recipe(cable.value) as (typeof cables)[number];
  });
}
function correct(): void {
  const bad = badFact(cable.value, fact.value, now.value);
  problem.value =
    bad ||
    (prefs.person.trim() === ''
      ? say`Enter who corrects it.`
      : why.value.trim().length < 3
        ? say`Enter why it was wrong: the old wording stays beside it.`
        : '');
  if (problem.value) return;
  const said = { id: nanoid(10), at: new Date().toISOString(), by: prefs.person, why: why.value.trim() };
  replace((own) => withFact(own, fact.value, now.value, said), 'correction');
  why.value = '';
  isCorrecting.value = false;
}
const keyword = ref('');
function addKeyword(): void {
  const word = keyword.value.trim().slice(0, 30);
  keyword.value = '';
  if (word === '' || cable.value.keywords.includes(word) || cable.value.keywords.length >= 20) return;
  replace((own) => ({ ...own, keywords: [...own.keywords, word] }), 'keyword');
}
const dropKeyword = (word: string) =>
  replace((own) => ({ ...own, keywords: own.keywords.filter((other) => other !== word) }), 'keyword');
/** All that was corrected: facts, and readings struck out for another. */
const history = computed(() =>
  [
    ...cable.value.corrections.map(({ at, by, what, was, now: to, why: because }) => ({
      at,
      by,
      says: say`${what}: was “${was}”, now “${to}”. ${because}`,
    })),
    ...cable.value.readings.flatMap(({ struck, check }) =>
      struck
        ? [{ at: struck.at, by: struck.by, says: say`a reading (${word(check)}) struck out. ${struck.why}` }]
        : [],
    ),
  ].sort((a, b) => b.at.localeCompare(a.at)),
);
</script>

<template>
  <section :aria-label="say`Cable ${cable.tag}`" class="px-3.5 py-2.5">
    <header class="flex items-start gap-2">
      <h2 class="figure flex-1 text-[20px] font-semibold">{{ cable.tag }}</h2>
      <button
        type="button"
        class="-mt-1 -mr-2 flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
        @click="$emit('close')"
      >
        <X :size="20" aria-hidden="true" /><span class="sr-only">{{ say`Close` }}</span>
      </button>
    </header>
    <p>
      {{ cable.ends.A.at || say`not given` }} → {{ cable.ends.B.at || say`not given` }}, {{ entry.jobTitle }}
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <RouterLink
        class="button filled"
        :to="placeOf(entry.jobId, cable.id, entry.fitted ? 'fit' : 'prove')"
        >{{ say`Open it` }}</RouterLink
      >
      <RouterLink
        class="button"
        :to="{ name: 'print-record', params: { jobId: entry.jobId, cableId: cable.id } }"
        >{{ say`Print its record` }}</RouterLink
      >
      <RouterLink class="button" :to="{ name: 'print-handover', params: { jobId: entry.jobId } }">{{
        say`Handover pack`
      }}</RouterLink>
    </div>
    <h3 class="figure mt-4 border-b border-line text-[16px] font-semibold">{{ say`Due` }}</h3>
    <p v-if="entry.dues.length === 0" class="py-1 text-ink2">
      {{ entry.fitted ? say`Nothing.` : say`Nothing before it is fitted.` }}
    </p>
    <ul>
      <DueRow v-for="due in entry.dues" :key="due.what + due.since" :due="due" />
    </ul>
    <h3 class="figure mt-3 border-b border-line text-[16px] font-semibold">{{ say`Sealed records` }}</h3>
    <p v-if="cable.records.length === 0" class="py-1 text-ink2">{{ say`None yet.` }}</p>
    <ul>
      <li v-for="record in cable.records" :key="record.at" class="py-1">
        <b class="figure text-[16px]">{{ dayText(record.at) }}</b> {{ record.by }}:
        {{ STATE_SAYS[record.verdict] }}
        <b v-if="record.simulated" class="figure ml-1 rounded-box border border-ink px-1 text-[13px]">{{
          say`SIMULATED`
        }}</b>
        <span class="note block">{{ tell(record.conductor) }}</span>
      </li>
    </ul>
    <h3 class="figure mt-3 border-b border-line text-[16px] font-semibold">{{ say`Keywords` }}</h3>
    <div class="mt-1.5 flex flex-wrap gap-1.5">
      <span
        v-for="kept in cable.keywords"
        :key="kept"
        class="flex items-center rounded-box border border-hairline pl-2"
      >
        {{ kept }}
        <button
          type="button"
          class="flex size-7 items-center justify-center text-teal"
          @click="dropKeyword(kept)"
        >
          <X :size="14" aria-hidden="true" /><span class="sr-only">{{
            say`Remove the keyword ${kept}`
          }}</span>
        </button>
      </span>
      <form class="flex gap-1" @submit.prevent="addKeyword">
        <input
          v-model="keyword"
          class="h-8 w-32 rounded-box border border-teal bg-paper px-2"
          maxlength="30"
          :aria-label="say`New keyword`"
          :placeholder="say`new keyword`"
        />
        <button type="submit" class="button compact !px-2">{{ say`Add` }}</button>
      </form>
    </div>
    <h3 class="figure mt-3 border-b border-line text-[16px] font-semibold">{{ say`Corrected` }}</h3>
    <ul>
      <li v-for="own in history" :key="own.at + own.says" class="py-1">
        <b class="figure text-[15px]">{{ dayText(own.at) }}</b> {{ own.by }}: {{ own.says }}
      </li>
    </ul>
    <button v-if="!isCorrecting" type="button" class="button mt-1.5" @click="isCorrecting = true">
      {{ say`Correct an entry` }}
    </button>
    <form v-else class="mt-2 grid gap-1.5" @submit.prevent="correct">
      <ChoiceField
        :label="say`What`"
        :model-value="fact"
        :choices="facts"
        @update:model-value="fact = $event"
      />
      <label class="label" for="right-now">{{ say`It should say` }}</label>
      <input id="right-now" v-model="now" class="field-input" autocomplete="off" />
      <label class="label" for="right-why">{{ say`Why it was wrong` }}</label>
      <input id="right-why" v-model="why" class="field-input" maxlength="200" autocomplete="off" />
      <TextField
        :label="say`Corrected by`"
        :model-value="prefs.person"
        @update:model-value="prefs.person = $event"
      />
      <p v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</p>
      <div class="flex gap-2">
        <button type="submit" class="button filled">{{ say`Correct it` }}</button>
        <button type="button" class="button" @click="isCorrecting = false">{{ say`Leave it` }}</button>
      </div>
      <p class="note">
        {{ say`The old wording stays with who, when and why. Sealed records are never changed.` }}
      </p>
    </form>
  </section>
</template>
