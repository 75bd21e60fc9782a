<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { CalendarPlus, QrCode } from '@lucide/vue';
import { computed, reactive, ref } from 'vue';
import { dueEvents } from '../../core/log/dueEvents.ts';
import {
  dueDay,
  dueList,
  LOG_SORTS,
  LOG_STATES,
  type LogEntry,
  type LogQuery,
  logOf,
  type LogSort,
  type LogState,
  logWords,
  searchLog,
  WHOLE_LOG,
} from '../../core/log/log.ts';
import { STATE_SAYS } from '../../core/paper/stateSays.ts';
import { SOON_DAYS } from '../../core/fit/service.ts';
import { dayAfter } from '../../core/model/units/days.ts';
import { RouterLink } from 'vue-router';
import BenchFrame from '../bench/BenchFrame.vue';
import { saveFile } from '../storage/files.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import { sizeText } from '../ui/display.ts';
import StateMark from '../ui/StateMark.vue';
import { today } from '../ui/today.ts';
import LabelBox from './LabelBox.vue';
import LogDetail from './LogDetail.vue';
import { say } from '../../core/words/say.ts';

/** Every cable ever made, of all jobs: looked for, due, corrected, handed over. */
defineProps<{ jobId?: string }>();

const bench = useBench();
const query = reactive<{ -readonly [Key in keyof LogQuery]: LogQuery[Key] }>({ ...WHOLE_LOG });
const entries = computed(() => logOf(bench.jobs, bench.shop));
const soon = computed(() => dayAfter(today(), SOON_DAYS));
const found = computed(() => searchLog(entries.value, query, today(), soon.value));
const words = computed(() => logWords(entries.value));
const openId = ref<string | null>(null);
const opened = computed(() => entries.value.find(({ cable }) => cable.id === openId.value));
const isReading = ref(false);
const overdue = computed(() => dueList(entries.value).filter(({ due }) => due.by < today()).length);

const anything = (title: string, list: readonly string[]) => [
  { value: '', title },
  ...list.map((value) => ({ value, title: value })),
];
const jobs = computed(() => [
  { value: '', title: say`any job` },
  ...bench.jobs.map(({ id, title }) => ({ value: id, title })),
]);
const states = (Object.keys(LOG_STATES) as LogState[]).map((value) => ({ value, title: LOG_STATES[value] }));
const sorts = (Object.keys(LOG_SORTS) as LogSort[]).map((value) => ({ value, title: LOG_SORTS[value] }));
const filters = computed(() => [
  { key: 'state' as const, label: say`Show`, choices: states },
  { key: 'sort' as const, label: say`Order`, choices: sorts },
  { key: 'job' as const, label: say`Job`, choices: jobs.value },
  { key: 'person' as const, label: say`Person`, choices: anything(say`any person`, words.value.people) },
  { key: 'tool' as const, label: say`Tool`, choices: anything(say`any tool`, words.value.tools) },
  { key: 'die' as const, label: say`Die`, choices: anything(say`any die`, words.value.dies) },
]);
/** On a phone the filters are one line that says what they are set to, until it is pressed. */
const isFilterOpen = ref(false);
const filterSays = computed(() =>
  filters.value
    .filter(({ key }) => key === 'state' || key === 'sort' || query[key] !== '')
    .map(({ key, choices }) => choices.find(({ value }) => value === query[key])?.title ?? '')
    .join(', '),
);
const isNarrowed = computed(() =>
  (Object.keys(WHOLE_LOG) as (keyof LogQuery)[]).some(
    (key) => key !== 'sort' && query[key] !== WHOLE_LOG[key],
  ),
);
const reset = () => Object.assign(query, { ...WHOLE_LOG, sort: query.sort });

/** What makes the calendar is fetched when one is asked for. */
async function exportCalendar(): Promise<void> {
  const { dueCalendar } = await import('./calendar.ts');
  const events = dueEvents(dueList(found.value));
  saveFile('due.ics', dueCalendar(events, say`Cables that are due`, new Date()), 'text/calendar');
}
const dueCount = computed(() => dueList(found.value).length);
function show(entry: LogEntry): void {
  reset();
  if (entry.made === null) query.state = 'all';
  openId.value = entry.cable.id;
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main
      class="min-w-0 bg-paper lg:grid lg:min-h-0"
      :class="opened ? 'lg:grid-cols-[minmax(0,1fr)_354px]' : ''"
    >
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-chalk px-3.5 py-2">
          <div class="min-w-[200px] flex-1">
            <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`Log` }}</h1>
            <p class="note">
              {{ say`${found.length} of ${entries.length} cables of ${bench.jobs.length} jobs`
              }}<b v-if="overdue > 0" class="text-fails">{{ say`, ${overdue} overdue` }}</b>
            </p>
          </div>
          <RouterLink v-if="jobId" class="button" :to="{ name: 'recall', params: { jobId } }">{{
            say`Recall`
          }}</RouterLink>
          <button type="button" class="button" @click="isReading = true">
            <QrCode :size="18" aria-hidden="true" /> {{ say`Scan a label` }}
          </button>
          <button type="button" class="button" :disabled="dueCount === 0" @click="exportCalendar">
            <CalendarPlus :size="18" aria-hidden="true" /> {{ say`Add ${dueCount} due dates to a calendar` }}
          </button>
        </header>
        <div
          class="log-filters grid grid-cols-2 gap-2 border-b border-hairline bg-chalk px-3.5 py-2 sm:grid-cols-4"
        >
          <input
            v-model="query.text"
            class="field-input col-span-2 !text-[16px]"
            :aria-label="say`Search`"
            :placeholder="say`Search by tag, place, person or word`"
            type="search"
          />
          <button
            type="button"
            class="col-span-2 flex min-h-11 items-center gap-2 text-left sm:hidden"
            :aria-expanded="isFilterOpen"
            @click="isFilterOpen = !isFilterOpen"
          >
            <b class="text-teal">{{ say`Filters` }}</b>
            <span class="min-w-0 flex-1 truncate text-ink2">{{ filterSays }}</span>
          </button>
          <ChoiceField
            v-for="filter in filters"
            :key="filter.key"
            :class="isFilterOpen ? '' : 'max-sm:hidden'"
            :label="filter.label"
            hide-label
            :model-value="query[filter.key]"
            :choices="filter.choices"
            @update:model-value="Object.assign(query, { [filter.key]: $event })"
          />
          <div
            v-if="words.keywords.length > 0"
            class="col-span-2 flex flex-wrap items-center gap-1.5 sm:col-span-4"
          >
            <span class="label">{{ say`Keywords` }}</span>
            <button
              v-for="keyword in words.keywords"
              :key="keyword"
              type="button"
              class="compact rounded-box border px-2"
              :class="
                query.keyword === keyword ? 'border-teal bg-teal text-on-teal' : 'border-hairline bg-paper'
              "
              :aria-pressed="query.keyword === keyword"
              @click="query.keyword = query.keyword === keyword ? '' : keyword"
            >
              {{ keyword }}
            </button>
            <button
              v-if="isNarrowed"
              type="button"
              class="ml-auto compact px-2 text-teal underline"
              @click="reset"
            >
              {{ say`show all that was made` }}
            </button>
          </div>
        </div>
        <div class="min-w-0 overflow-x-auto lg:min-h-0 lg:flex-1 lg:overflow-y-auto">
          <table class="w-full border-collapse text-left">
            <thead class="figure sticky top-0 z-10 bg-paper text-[14px] text-ink2">
              <tr class="border-b border-line">
                <th class="py-1 pl-3.5 font-normal">{{ say`tag` }}</th>
                <th class="font-normal">{{ say`from, to` }}</th>
                <th class="font-normal max-md:hidden">{{ say`job` }}</th>
                <th class="font-normal max-sm:hidden">{{ say`made` }}</th>
                <th class="font-normal max-sm:hidden">{{ say`record` }}</th>
                <th class="pr-3.5 font-normal">{{ say`due` }}</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="entry in found"
                :key="`${entry.jobId}.${entry.cable.id}`"
                class="cursor-pointer border-b border-hairline hover:bg-teal-tint/60"
                :class="entry.cable.id === openId ? 'bg-teal-tint shadow-[inset_3px_0_0_var(--teal)]' : ''"
                @click="openId = entry.cable.id"
              >
                <td class="py-1 pl-3.5 wrap-anywhere">
                  <button
                    type="button"
                    class="figure compact text-left text-[17px] leading-5 font-semibold"
                    :aria-expanded="entry.cable.id === openId"
                  >
                    {{ entry.cable.tag }}
                  </button>
                  <span v-if="entry.cable.gauge.size" class="figure block text-[13.5px] text-ink2">
                    {{ sizeText(entry.cable.gauge.size) }} {{ word(entry.cable.jacket) }}
                  </span>
                </td>
                <td class="pr-3 wrap-anywhere">
                  {{ entry.cable.ends.A.at || say`not given` }} →
                  {{ entry.cable.ends.B.at || say`not given` }}
                  <span v-if="entry.cable.keywords.length > 0" class="note block">{{
                    entry.cable.keywords.join(', ')
                  }}</span>
                </td>
                <td class="pr-3 wrap-anywhere max-md:hidden">{{ entry.jobTitle }}</td>
                <td class="pr-3 whitespace-nowrap max-sm:hidden">
                  <span class="figure block text-[16px]">{{ entry.made ?? say`not yet` }}</span>
                  <span class="note">{{ entry.people.join(', ') }}</span>
                </td>
                <td class="pr-3 max-sm:hidden">
                  <template v-if="entry.verdict">
                    <StateMark :state="entry.verdict" :word="false" />
                    <span class="ml-1">{{ STATE_SAYS[entry.verdict] }}</span>
                    <b
                      v-if="entry.simulated"
                      class="figure ml-1 rounded-box border border-ink px-1 text-[12px]"
                      >{{ say`SIMULATED` }}</b
                    >
                  </template>
                  <span v-else class="text-ink2">{{ entry.made ? say`not sealed` : '' }}</span>
                </td>
                <td class="pr-3.5 whitespace-nowrap">
                  <template v-if="dueDay(entry)">
                    <span
                      class="figure block text-[16px]"
                      :class="(dueDay(entry) ?? '') < today() ? 'font-semibold text-fails' : ''"
                      >{{ dueDay(entry) }}</span
                    >
                    <span class="note"
                      >{{ entry.dues[0] && word(entry.dues[0].what)
                      }}<b v-if="(dueDay(entry) ?? '') < today()" class="text-fails">{{
                        say`, overdue`
                      }}</b></span
                    >
                  </template>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-if="found.length === 0" class="p-3.5">
            {{ say`No match. Try without filters, or “planned only”.` }}
            <button type="button" class="text-teal underline" @click="reset">
              {{ say`Show all that was made` }}
            </button>
          </p>
        </div>
      </div>
      <div v-if="opened" class="border-line max-lg:border-t lg:overflow-y-auto lg:border-l">
        <LogDetail :entry="opened" @close="openId = null" />
      </div>
      <LabelBox :open="isReading" :entries="entries" @close="isReading = false" @found="show" />
    </main>
  </BenchFrame>
</template>
