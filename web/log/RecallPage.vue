<script setup lang="ts">
import { computed, ref } from 'vue';
import { nanoid } from 'nanoid';
import { RouterLink, useRoute } from 'vue-router';
import { type RecallBy, recalled } from '../../core/log/recall.ts';
import { recallDoc } from '../../core/log/recallDoc.ts';
import { tell } from '../../core/words/message.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useMade } from '../kit/made.ts';
import { placeOf } from '../places.ts';
import { saveListPdf } from '../paper/saveListPdf.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import FillingMark from '../ui/FillingMark.vue';
import StateMark from '../ui/StateMark.vue';
import TextField from '../ui/TextField.vue';
import { notADay } from '../ui/dayEntry.ts';
import { useMaking } from '../ui/useMaking.ts';
import { say } from '../../core/words/say.ts';

/** From a lot, a die, a tool, an instrument, a person or some days to every cable affected, and what is done about it. */
defineProps<{ jobId?: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const { made, worked, all } = useMade(() => ({ jobs: bench.jobs, shop: bench.shop }));

const KINDS: readonly { value: RecallBy['by']; title: string }[] = [
  { value: 'lot', title: say`lot` },
  { value: 'die', title: say`die` },
  { value: 'tool', title: say`tool` },
  { value: 'instrument', title: say`instrument` },
  { value: 'person', title: say`person` },
  { value: 'days', title: say`days` },
];
/** A die that failed its check sends here, with the day from which cables are in doubt. */
const { query } = useRoute();
const named = (key: string) => (typeof query[key] === 'string' ? query[key] : '');
const by = ref<RecallBy['by']>('die');
const what = ref(named('die'));
const from = ref(named('from'));
const to = ref('');
const same = (list: readonly string[]) =>
  [...new Set(list.filter((word) => word.trim() !== ''))]
    .sort()
    .map((word) => ({ value: word, title: word }));
const cables = computed(() => bench.jobs.flatMap((job) => job.cables));
const choices = computed(() => {
  switch (by.value) {
    case 'lot':
      return same(cables.value.flatMap(({ lots = [] }) => lots.map(({ lot }) => lot)));
    case 'die':
      return bench.shop.dies.map(({ id, stamp, toolId }) => ({
        value: id,
        title: stamp || say`unmarked`,
        note: bench.shop.tools.find((tool) => tool.id === toolId)?.title ?? '',
      }));
    case 'tool':
      return bench.shop.tools.map(({ id, title }) => ({ value: id, title }));
    case 'instrument':
      return same(
        cables.value.flatMap(({ readings }) => readings.map(({ instrument }) => instrument?.title ?? '')),
      );
    case 'person':
      return same(cables.value.flatMap(({ done, readings }) => [...done, ...readings].map((own) => own.by)));
    default:
      return [];
  }
});
function setBy(kind: RecallBy['by']): void {
  by.value = kind;
  what.value = '';
}
const asked = computed<RecallBy>(() => ({
  by: by.value,
  what: what.value,
  ...(from.value && { from: from.value }),
  ...(to.value && { to: to.value }),
}));
const isAsked = computed(
  () => what.value !== '' || (by.value === 'days' && (from.value !== '' || to.value !== '')),
);
const found = computed(() => (isAsked.value ? recalled(made.value, bench.shop, asked.value) : []));
const saysWhat = computed(() => {
  const title = choices.value.find(({ value }) => value === what.value)?.title ?? '';
  const span = [from.value && say`from ${from.value}`, to.value && say`to ${to.value}`]
    .filter(Boolean)
    .join(' ');
  return [KINDS.find(({ value }) => value === by.value)?.title ?? '', title, span].filter(Boolean).join(' ');
});

const { busy, problem, keep } = useMaking();
const savePdf = () =>
  keep(say`making the PDF`, () => saveListPdf('recall', recallDoc(saysWhat.value, found.value), prefs.paper));

/** A nonconformance is opened on every cable of the list, and closed on each by what was done with it. */
const cause = ref('');
const needed = ref('');
function openOnAll(): void {
  needed.value =
    prefs.person.trim() === ''
      ? say`Enter who finds it first.`
      : cause.value.trim().length < 3
        ? say`Enter the cause first.`
        : '';
  if (needed.value !== '') return;
  const noted = { at: new Date().toISOString(), by: prefs.person.trim(), cause: cause.value.trim() };
  const affected = new Set(found.value.map(({ key }) => key));
  bench.edit(say`nonconformance of ${affected.size} cables`, (draft) => {
    for (const job of draft.jobs)
      for (const cable of job.cables)
        if (affected.has(`${job.id}/${cable.id}`))
          (cable.nonconformances ??= []).push({ id: nanoid(10), ...noted });
  });
  cause.value = '';
}
const whatDone = ref<Record<string, string>>({});
function close(jobId: string, cableId: string, key: string): void {
  const done = whatDone.value[key]?.trim() ?? '';
  needed.value =
    prefs.person.trim() === ''
      ? say`Enter who finds it first.`
      : done.length < 3
        ? say`Enter what was done first.`
        : '';
  if (needed.value !== '') return;
  bench.edit(say`close a nonconformance`, (draft) => {
    const cable = draft.jobs.find(({ id }) => id === jobId)?.cables.find(({ id }) => id === cableId);
    for (const own of cable?.nonconformances ?? [])
      own.done ??= { at: new Date().toISOString(), by: prefs.person.trim(), what: done };
  });
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 bg-paper lg:overflow-y-auto">
      <header class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-chalk px-3.5 py-2">
        <div class="min-w-[200px] flex-1">
          <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`Recall` }}</h1>
          <p class="note" role="status">
            {{
              isAsked
                ? say`${found.length} cable affected, ${found.filter(({ fitted }) => fitted).length} fitted¦${found.length} cables affected, ${found.filter(({ fitted }) => fitted).length} of them fitted`
                : say`Choose what went wrong: every cable it touches is listed.`
            }}
          </p>
        </div>
        <button type="button" class="button" :disabled="found.length === 0 || busy !== ''" @click="savePdf">
          {{ say`The list as PDF` }}
        </button>
      </header>
      <div
        class="grid items-start gap-3 border-b border-hairline bg-chalk px-3.5 py-3 sm:grid-cols-[160px_minmax(0,1fr)] lg:grid-cols-[160px_minmax(0,1fr)_minmax(0,1.4fr)]"
      >
        <ChoiceField :label="say`By`" :model-value="by" :choices="KINDS" @update:model-value="setBy" />
        <ChoiceField
          v-if="by !== 'days'"
          :label="say`Which one`"
          :model-value="what || undefined"
          :choices="choices"
          :empty="choices.length === 0 ? say`none is known` : say`choose`"
          @update:model-value="what = $event"
        />
        <div class="grid grid-cols-2 gap-3 sm:max-lg:col-span-2">
          <TextField
            :label="say`From the day`"
            :model-value="from"
            hint="2026-03-31"
            :check="notADay"
            @update:model-value="from = $event"
          />
          <TextField
            :label="say`To the day`"
            :model-value="to"
            hint="2027-03-31"
            :check="notADay"
            @update:model-value="to = $event"
          />
        </div>
      </div>
      <FillingMark :done="worked" :all="all" />
      <p v-if="problem" class="px-3.5 py-2 font-bold text-fails" role="alert">{{ problem }}</p>
      <ul :aria-label="say`Cables affected`">
        <li
          v-for="row in found"
          :key="row.key"
          class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-hairline px-3.5 py-2 sm:grid-cols-[110px_minmax(0,1fr)_150px_auto]"
        >
          <RouterLink
            class="figure text-[20px] font-semibold text-teal underline"
            :to="placeOf(row.job.id, row.cable.id, 'prove')"
            >{{ row.cable.tag }}</RouterLink
          >
          <p class="min-w-0 max-sm:col-span-2 max-sm:row-start-2">
            {{ row.job.title }}: {{ row.cable.ends.A.at || '–' }} → {{ row.cable.ends.B.at || '–' }}
            <span class="block text-[13px] text-ink2">{{ tell(row.because) }}, {{ row.day }}</span>
          </p>
          <p class="figure text-[15px] text-ink2 max-sm:row-start-1 max-sm:col-start-2">
            {{ row.fitted ? say`fitted ${row.fitted}` : say`not fitted` }}
          </p>
          <StateMark :state="row.work.verdict.state" class="max-sm:hidden" />
          <form
            v-if="row.cable.nonconformances?.some(({ done }) => !done)"
            class="col-span-full mt-1 flex items-start gap-2"
            @submit.prevent="close(row.job.id, row.cable.id, row.key)"
          >
            <TextField
              class="flex-1"
              :label="say`What was done with ${row.cable.tag}`"
              :model-value="whatDone[row.key] ?? ''"
              :longest="300"
              :hint="row.cable.nonconformances?.findLast(({ done }) => !done)?.cause ?? ''"
              @update:model-value="whatDone = { ...whatDone, [row.key]: $event }"
            />
            <button type="submit" class="button mt-[22px]">
              {{ say`Close it` }}<span class="sr-only"> {{ row.cable.tag }}</span>
            </button>
          </form>
        </li>
      </ul>
      <p v-if="isAsked && found.length === 0 && worked >= all" class="px-3.5 py-3">
        {{ say`No cable that was started is affected.` }}
      </p>
      <form
        v-if="found.length > 0"
        class="grid max-w-3xl items-start gap-3 px-3.5 py-3 sm:grid-cols-[minmax(0,1fr)_200px_auto]"
        @submit.prevent="openOnAll"
      >
        <TextField
          :label="say`Cause of the nonconformance`"
          :model-value="cause"
          :longest="300"
          :hint="say`die worn, wrong lot, meter out of calibration`"
          @update:model-value="cause = $event"
        />
        <TextField
          :label="say`Found by`"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
        <button type="submit" class="button filled mt-[22px]">
          {{ say`Open it on all ${found.length}` }}
        </button>
        <p v-if="needed" class="col-span-full font-bold text-fails" role="alert">{{ needed }}</p>
      </form>
    </main>
  </BenchFrame>
</template>
