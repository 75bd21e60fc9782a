<script setup lang="ts">
import { nanoid } from 'nanoid';
import { type ComponentPublicInstance, computed, nextTick, ref, useTemplateRef } from 'vue';
import { RouterLink } from 'vue-router';
import type { Draft } from 'immer';
import type { Job } from '../../core/model/job.ts';
import type { OldCable } from '../../core/model/survey.ts';
import { figure } from '../../core/model/units/figure.ts';
import { replacing, withNew } from '../../core/survey/makeNew.ts';
import { newOld } from '../../core/survey/newOld.ts';
import { judgeOld } from '../../core/survey/oldVerdict.ts';
import { tell } from '../../core/words/message.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import AddButton from '../ui/AddButton.vue';
import { useIsDesk } from '../ui/useWide.ts';
import ShowWork from '../ui/ShowWork.vue';
import WorkButton from '../ui/WorkButton.vue';
import OldForm from './OldForm.vue';
import OldMark from './OldMark.vue';

/** An old installation looked at by eye, cable by cable: what was seen, a verdict by rule, and what replacing it costs. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const job = computed(() => bench.jobById(jobId));
const olds = computed(() => job.value?.survey ?? []);
const isDesk = useIsDesk();
const form = useTemplateRef<ComponentPublicInstance>('form');
const openId = ref<string | null>(null);
const isWorkOpen = ref(false);
const open = computed(() => olds.value.find(({ id }) => id === openId.value) ?? olds.value[0]);
const rows = computed(() => olds.value.map((old) => ({ old, judged: judgeOld(old) })));
const all = computed(() => (job.value && olds.value.length > 0 ? replacing(job.value, bench.shop) : null));

const editJob = (what: string, recipe: (draft: Draft<Job>) => void) =>
  bench.edit(what, (draft) => {
    const own = draft.jobs.find(({ id }) => id === jobId);
    if (own) recipe(own);
  });
function add(): void {
  const old = newOld(
    nanoid(8),
    olds.value.map(({ tag }) => tag),
    { at: new Date().toISOString(), by: prefs.person.trim() },
  );
  editJob(say`an old cable`, (draft) => void (draft.survey = [...(draft.survey ?? []), old]));
  void show(old.id);
}
/** Opens one; where the form stands under the list, it is brought into view. */
async function show(id: string): Promise<void> {
  openId.value = id;
  await nextTick();
  if (!isDesk.value) form.value?.$el.scrollIntoView({ block: 'start' });
}
const change = (what: string, id: string, recipe: (old: Draft<OldCable>) => void) =>
  editJob(what, ({ survey = [] }) => {
    const old = survey.find((own) => own.id === id);
    if (old) recipe(old);
  });
const remove = (id: string) =>
  editJob(say`remove an old cable`, (draft) => {
    draft.survey = (draft.survey ?? []).filter((old) => old.id !== id);
  });
/** A cable in the rack for each, in one step that undo takes back. */
function makeNew(chosen: readonly OldCable[]): void {
  if (!job.value) return;
  const made = withNew(job.value, chosen, bench.shop, () => nanoid(8));
  bench.keepJob(
    made,
    chosen.length > 1 ? say`replace ${chosen.length} cables` : say`replace ${chosen[0]?.tag ?? ''}`,
  );
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="job" class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
      <header class="border-b border-line bg-chalk px-4 py-2.5">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`Survey of the installation` }}</h1>
          <AddButton list="surveyed" :count="olds.length" :filled="olds.length === 0" @add="add">
            {{ say`Add an old cable` }}
          </AddButton>
          <div v-if="all && all.olds.length > 0" class="flex flex-wrap items-center gap-3 lg:ml-auto">
            <p class="text-[14px] leading-[18px]">
              <b class="figure text-[18px]">{{ bench.shop.currency }}{{ digits(all.price, 0) }}</b>
              {{ say`of materials, ${figure(all.massG / 1000, 'kg', 1)}` }}
              <WorkButton v-model="isWorkOpen" class="compact" />
              <span v-if="all.assumed.length > 0" class="note block">{{
                say`length or size assumed: ${all.assumed.join(', ')}`
              }}</span>
            </p>
            <button type="button" class="button filled" @click="makeNew(all.olds)">
              {{ say`Replace everything questionable (${all.olds.length})` }}
            </button>
          </div>
        </div>
        <ShowWork v-if="isWorkOpen && all" :finding="all.finding" class="box mt-1.5" />
        <p class="mt-0.5 text-[13.5px]">
          {{ say`By eye, before anything is measured.` }}
          <b>{{
            say`Isolate the battery and tag it before a hand goes near a terminal; rings and watches off.`
          }}</b>
        </p>
      </header>
      <p v-if="olds.length === 0" class="max-w-prose p-4">
        {{
          say`Go from the battery outwards. Add each cable that is there, inspect both its ends and its whole length, and mark what you see. Each gets a verdict by rule, and one press plans its replacement.`
        }}
      </p>
      <div v-else class="lg:grid lg:min-h-0 lg:flex-1 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
        <ul
          class="bg-paper lg:min-h-0 lg:overflow-y-auto lg:border-r lg:border-line"
          :aria-label="say`Old cables`"
        >
          <li
            v-for="{ old, judged } in rows"
            :key="old.id"
            class="flex gap-3 border-b border-hairline px-4 py-2"
            :class="open?.id === old.id ? 'bg-teal-tint' : ''"
          >
            <button
              type="button"
              class="min-h-11 min-w-0 flex-1 text-left"
              :aria-pressed="open?.id === old.id"
              @click="show(old.id)"
            >
              <span class="flex items-baseline gap-3">
                <b class="figure text-[17px] whitespace-nowrap">{{ old.tag }}</b>
                <span class="note min-w-0 truncate">{{
                  [old.ends.A.at, old.ends.B.at].filter(Boolean).join(' → ')
                }}</span>
                <OldMark class="ml-auto shrink-0" :verdict="judged.verdict" />
              </span>
              <span class="block text-[14px] leading-[18px]">{{ tell(judged.because) }}</span>
            </button>
            <span class="flex w-[92px] shrink-0 items-center justify-end">
              <RouterLink
                v-if="old.newId && job.cables.some(({ id }) => id === old.newId)"
                class="text-teal underline"
                :to="{ name: 'cable', params: { jobId, cableId: old.newId, stage: 'run' } }"
                >{{ job.cables.find(({ id }) => id === old.newId)?.tag }}</RouterLink
              >
              <button v-else type="button" class="button" @click="makeNew([old])">{{ say`Replace` }}</button>
            </span>
          </li>
        </ul>
        <OldForm
          v-if="open"
          ref="form"
          :key="open.id"
          :old="open"
          class="bg-paper lg:min-h-0 lg:overflow-y-auto"
          @change="(what, recipe) => open && change(what, open.id, recipe)"
          @remove="open && remove(open.id)"
        />
      </div>
    </main>
  </BenchFrame>
</template>
