<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  answeredShop,
  answersOf,
  type CaseAnswers,
  DIE_SETS,
  EXTRAS,
  FAMILIES,
} from '../../core/model/catalogue/workshop.ts';
import { called } from '../../core/model/catalogue/called.ts';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import { familySays } from '../../core/model/catalogue/lugs.ts';
import { LUG_FAMILIES } from '../../core/model/tables/lugFamilies.ts';
import { SLEEVE_KINDS, SLEEVES } from '../../core/model/tables/sleeves.ts';
import { tell } from '../../core/words/message.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import { useBench } from '../stores/bench.ts';
import { AMERICAN_SET, METRIC_SET } from '../storage/prefs.ts';
import { usePrefs } from '../stores/prefs.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import CasePicture from './CasePicture.vue';
import { say } from '../../core/words/say.ts';

/** What is in the case, by pictures: what is ticked fills it; it can be answered again and loses nothing entered. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const router = useRouter();
const { prefs } = usePrefs();
const before = answersOf(bench.shop);
// Nobody owns everything: who was never asked ticks from nothing.
const isAsked = bench.shop.origin !== 'assumed' && bench.shop.origin !== 'demo';
const NOTHING: CaseAnswers = { tools: [], dieSets: [], families: [], sleeves: [], extras: [] };
const answers = ref<CaseAnswers>(isAsked ? before : NOTHING);

interface Item {
  readonly id: string;
  readonly title: string;
  readonly note?: string;
}
const groups = computed(
  (): readonly {
    readonly key: keyof CaseAnswers;
    readonly title: string;
    readonly items: readonly Item[];
  }[] => [
    {
      key: 'tools',
      title: say`Which tools crimp?`,
      items: genericShop().tools.map(({ id, title }) => ({ id, title: called(title) })),
    },
    {
      key: 'dieSets',
      title: say`Which sets of dies?`,
      items: DIE_SETS.map((id) => ({
        id,
        title: id === 'hexagon' ? say`Hexagons stamped with a size` : say`Hexagons stamped with a code`,
        note: id === 'hexagon' ? '16, 25, 35 …' : 'A, B, C …',
      })),
    },
    {
      key: 'families',
      title: say`Which ring lugs?`,
      items: FAMILIES.map((id) => ({ id, title: familySays(LUG_FAMILIES[id].title) })),
    },
    {
      key: 'sleeves',
      title: say`Which heat-shrink?`,
      items: SLEEVE_KINDS.map((id) => ({ id, title: `${tell(SLEEVES[id].title)}, ${SLEEVES[id].ratio}` })),
    },
    {
      key: 'extras',
      title: say`Anything else?`,
      items: EXTRAS.map((id) => ({
        id,
        title: id === 'clamps' ? say`Clamps for battery posts` : say`In-line connectors`,
      })),
    },
  ],
);
const isTicked = (key: keyof CaseAnswers, id: string) =>
  (answers.value[key] as readonly string[]).includes(id);
function tick(key: keyof CaseAnswers, id: string): void {
  const list: readonly string[] = answers.value[key];
  answers.value = {
    ...answers.value,
    [key]: list.includes(id) ? list.filter((own) => own !== id) : [...list, id],
  };
}
const system = computed({
  get: () => (prefs.lengths === 'in' ? 'inch' : 'metric'),
  set: (chosen: 'inch' | 'metric') => Object.assign(prefs, chosen === 'inch' ? AMERICAN_SET : METRIC_SET),
});
function fill(): void {
  bench.edit(say`what is in the case`, (draft) =>
    Object.assign(draft, { shop: answeredShop(bench.shop, answers.value, bench.jobs) }),
  );
  void router.push({ name: 'case', params: { jobId } });
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main class="min-w-0 px-4 py-4 sm:px-6 lg:overflow-y-auto">
      <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div class="min-w-0 flex-1 basis-72">
          <h1 class="figure text-[26px] leading-8 font-semibold">{{ say`What is in your case?` }}</h1>
          <p class="text-ink2">
            {{
              say`Tick what you own. Nothing that you entered or measured is lost, and it can be answered again.`
            }}
          </p>
        </div>
        <SegmentedField
          v-model="system"
          :label="say`Inch or metric`"
          hide-label
          :choices="[
            { value: 'metric', title: say`metric` },
            { value: 'inch', title: say`inch` },
          ]"
        />
      </div>
      <div class="mt-3 grid gap-x-8 gap-y-4 xl:grid-cols-2">
        <fieldset v-for="group in groups" :key="group.key" class="min-w-0">
          <legend class="figure text-[18px] font-semibold">{{ group.title }}</legend>
          <ul class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-4">
            <li v-for="item in group.items" :key="item.id" class="flex">
              <button
                type="button"
                role="checkbox"
                :aria-checked="isTicked(group.key, item.id)"
                class="flex w-full flex-col border p-2 text-left hover:bg-teal-tint"
                :class="
                  isTicked(group.key, item.id)
                    ? 'border-teal bg-teal-tint outline-1 outline-teal'
                    : 'border-hairline bg-paper'
                "
                @click="tick(group.key, item.id)"
              >
                <CasePicture :what="item.id" />
                <span class="figure mt-1 text-[15px] leading-[17px] font-medium">{{ item.title }}</span>
                <span v-if="item.note" class="note">{{ item.note }}</span>
              </button>
            </li>
          </ul>
        </fieldset>
      </div>
      <div
        class="sticky bottom-0 mt-3 -mx-4 flex gap-2 border-t border-hairline bg-chalk px-4 py-2.5 sm:-mx-6 sm:px-6"
      >
        <button type="button" class="button filled" @click="fill">{{ say`Fill my case` }}</button>
        <RouterLink :to="{ name: 'case', params: { jobId } }" class="button">{{
          say`Leave it as it is`
        }}</RouterLink>
      </div>
    </main>
  </BenchFrame>
</template>
