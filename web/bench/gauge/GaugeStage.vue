<script setup lang="ts">
import { word } from '../../../core/words/terms.ts';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { sameSize, sizeLabel, type ConductorSize, sizeNamed } from '../../../core/model/tables/size.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { School } from '../../../core/model/housePractice.ts';
import { type Candidate, stepped } from '../../../core/sizing/choose.ts';
import { governingDrop, hottestC } from '../../../core/sizing/governing.ts';
import { canCrimp } from '../../../core/termination/canCrimp.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { triedWork } from '../../stores/work.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { conversionText, readersUnit, sizeText, readersDigits } from '../../ui/display.ts';
import SegmentedField from '../../ui/SegmentedField.vue';
import StateMark from '../../ui/StateMark.vue';
import { openParts } from '../folds.ts';
import StageSection from '../StageSection.vue';
import KindsBeside from './KindsBeside.vue';
import { useCableEdit } from '../useCable.ts';
import { called } from '../../../core/model/catalogue/called.ts';
import { say } from '../../../core/words/say.ts';
import { tell } from '../../../core/words/message.ts';

/** How thick: the smallest size that passes every limit, what each school would take, and the sizes beside it. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const SizeChart = defineAsyncComponent(() => import('./SizeChart.vue'));
const DutyChart = defineAsyncComponent(() => import('./DutyChart.vue'));
const DropBudget = defineAsyncComponent(() => import('./DropBudget.vue'));

const bench = useBench();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const choice = computed(() => work.choice);

const kinds = computed(() =>
  bench.shop.cableKinds.map(({ id, title, limitC, tinned }) => ({
    value: id,
    title: called(title),
    note: `${tinned ? say`tinned` : say`plain`}, ${figure(limitC, '°C', 0)}`,
  })),
);

const choose = (size: ConductorSize) => edit(say`size`, (draft) => void (draft.gauge.size = { ...size }));
const isTaken = (candidate: Candidate) => sameSize(candidate.at.size, choice.value.taken.at.size);

function setKind(kindId: string): void {
  edit(say`cable kind`, (draft) => {
    draft.gauge.kindId = kindId;
    delete draft.gauge.size;
  });
}

function setSchool(school: School, on: boolean): void {
  bench.edit(say`school: ${SCHOOLS[school]}`, (draft) => {
    draft.shop.practice.schools[school] = on;
  });
}

const PARALLELS = [1, 2, 3, 4].map((value) => ({ value, title: String(value) }));

const SCHOOLS: Readonly<Record<School, string>> = {
  quick: say`Printed 3/10 %`,
  inch: say`Inch-gauge table`,
  metric: say`Metric table`,
  heat: say`Heat balance`,
};

const neighbours = computed(() => {
  const { candidates, taken } = choice.value;
  const rows = [-2, -1, 0, 1, 2].map((steps) => ({ steps, candidate: stepped(candidates, taken, steps) }));
  return rows.filter(
    ({ candidate, steps }, i) =>
      steps === 0 || rows.every((row, j) => i === j || row.candidate !== candidate),
  );
});
const STEP_WORDS: Readonly<Record<number, string>> = {
  [-2]: say`two down`,
  [-1]: say`one down`,
  0: say`chosen`,
  1: say`one up`,
  2: say`two up`,
};

/** A size that is looked at: why it fails or passes, without choosing it. */
const looked = ref<ConductorSize | null>(null);
watch(
  () => cable.id,
  () => (looked.value = null),
);
const why = computed(() => {
  const size = looked.value;
  if (!size) return null;
  const tried = triedWork({ ...cable, gauge: { ...cable.gauge, size } }, bench.shop, bench.jobById(jobId));
  const limits = tried?.findings.filter(({ stage, state }) => stage === 'gauge' && state !== 'holds') ?? [];
  return { size, limits };
});

const oneUp = computed(() => {
  const { candidates, taken } = choice.value;
  const up = stepped(candidates, taken, 1);
  if (up === taken) return say`No larger size in this type.`;
  const { currency } = bench.shop;
  return say`Next size up: ${currency}${digits(up.at.price - taken.at.price, 0)} and ${figure(up.at.massKg - taken.at.massKg, 'kg', 1)} more, ${figure(taken.at.wattsLost - up.at.wattsLost, 'W', 0)} less lost.`;
});
/** Whether the shop can put ends on a size: a lug for it and a die that closes on it. */
const crimps = (size: ConductorSize) =>
  canCrimp(size, work.kind, cable, bench.shop) ? say`die available` : say`no tool`;
const dropOf = ({ at }: Candidate) => governingDrop(at, cable.run).percent;
const degrees = (celsius: number | null) => (celsius === null ? say`none` : readersDigits(celsius, '°C', 0));
/** A size on its button: the name it is bought by. */
const short = (size: ConductorSize) =>
  size.system === 'metric' ? size.name : sizeLabel(size).replace(/^\w+ /, '');
/** What the reader calls a size that is bought by another name. */
const near = (size: ConductorSize) => (sizeText(size) === sizeLabel(size) ? '' : `${sizeText(size)}, `);
</script>

<template>
  <div class="p-3.5">
    <div class="grid gap-3 sm:grid-cols-[1fr_150px_124px_116px]">
      <div class="min-w-0">
        <p id="size-label" class="label mb-1 truncate">{{ say`Conductor` }}</p>
        <div
          role="radiogroup"
          aria-labelledby="size-label"
          class="box flex min-h-11 max-w-full overflow-x-auto"
        >
          <button
            v-for="candidate in choice.candidates"
            :key="sizeLabel(candidate.at.size)"
            type="button"
            role="radio"
            :aria-checked="isTaken(candidate)"
            :aria-label="`${sizeLabel(candidate.at.size)}, ${word(candidate.state)}`"
            class="figure relative min-w-8 flex-1 pointer-coarse:min-w-11 pointer-coarse:shrink-0 border-r border-teal text-[17px] last:border-r-0 focus-visible:-outline-offset-4"
            :class="
              isTaken(candidate)
                ? 'bg-teal font-semibold text-on-teal focus-visible:outline-on-teal'
                : candidate.state === 'fails'
                  ? 'text-ink3 hover:bg-teal-tint'
                  : 'font-medium text-teal hover:bg-teal-tint'
            "
            @click="choose(candidate.at.size)"
          >
            {{ short(candidate.at.size) }}
            <span
              v-if="candidate.state === 'fails'"
              class="absolute inset-x-1.5 bottom-1 h-0.5 bg-fails"
              aria-hidden="true"
            />
          </button>
        </div>
      </div>
      <ChoiceField
        :label="say`Cable kind`"
        :model-value="work.kind.id"
        :choices="kinds"
        @update:model-value="setKind"
      />
      <SegmentedField
        :label="say`Side by side`"
        :model-value="cable.gauge.parallel ?? 1"
        :choices="PARALLELS"
        @update:model-value="
          (count) => edit(say`conductors side by side`, (draft) => void (draft.gauge.parallel = count))
        "
      />
      <SegmentedField
        :label="say`One size up`"
        :model-value="choice.oneSizeUp ? 'on' : 'off'"
        :choices="[
          { value: 'off', title: say`off` },
          { value: 'on', title: say`on` },
        ]"
        @update:model-value="
          (value) => edit(say`one size up`, (draft) => void (draft.gauge.oneSizeUp = value === 'on'))
        "
      />
    </div>

    <p class="note mt-1">
      {{ conversionText(choice.taken.at.size) }}.
      <template v-if="choice.isProposed"
        >{{ say`Proposed. Press a size to choose it.` }}
        {{
          choice.fuseToCome
            ? say`Calculated with the ${figure(choice.fuseToCome.ratingA, 'A', 0)} fuse it is to get.`
            : ''
        }}</template
      >
      <button
        v-else
        type="button"
        class="text-teal underline"
        @click="edit(say`size`, (draft) => void delete draft.gauge.size)"
      >
        {{
          say`Back to the proposal${choice.smallest ? `, ${tell(sizeNamed(choice.smallest.at.size))}` : ''}`
        }}
      </button>
    </p>

    <header class="mt-1.5 mb-1 flex items-baseline justify-between gap-3">
      <h3 class="figure text-[17px] font-semibold">{{ say`Four sizing methods compared` }}</h3>
      <p class="note">{{ say`drop at working temperature; every ticked method must pass` }}</p>
    </header>
    <div class="grid grid-cols-2 border-y border-line sm:grid-cols-5">
      <div v-for="answer in choice.schools" :key="answer.school" class="border-r border-hairline px-1.5 py-1">
        <CheckField
          :label="SCHOOLS[answer.school]"
          class="whitespace-nowrap"
          :model-value="answer.switchedOn"
          @update:model-value="(on) => setSchool(answer.school, on)"
        />
        <p class="flex items-baseline gap-1.5 whitespace-nowrap">
          <span class="figure text-[26px] leading-8 font-semibold">{{
            answer.candidate ? short(answer.candidate.at.size) : say`none`
          }}</span>
          <span class="figure text-[14px] text-ink2">{{
            say`needs ${figure(answer.asks.value, answer.asks.unit, answer.asks.unit === 'A' ? 0 : 1)}`
          }}</span>
        </p>
        <p v-if="answer.candidate" class="flex items-center justify-between gap-1">
          <span class="figure text-[15px]">{{ figure(dropOf(answer.candidate), '%', 2) }}</span>
          <StateMark :state="answer.candidate.state" :close="answer.candidate.close" />
        </p>
      </div>
      <div class="bg-buff px-1.5 py-1 max-sm:col-span-2">
        <p class="leading-[22px]">{{ say`All limits together` }}</p>
        <p class="flex items-baseline gap-1.5 whitespace-nowrap">
          <span class="figure text-[26px] leading-8 font-semibold">{{
            choice.smallest ? short(choice.smallest.at.size) : say`none`
          }}</span>
          <span class="figure text-[14px] text-ink2">{{ say`passes all` }}</span>
        </p>
        <p v-if="choice.smallest" class="flex items-center justify-between gap-1">
          <span class="figure text-[15px]">{{ figure(dropOf(choice.smallest), '%', 2) }}</span>
          <StateMark :state="choice.smallest.state" :close="choice.smallest.close" />
        </p>
      </div>
    </div>

    <div class="mt-2 grid gap-4 lg:grid-cols-[minmax(0,1fr)_408px]">
      <SizeChart
        :candidates="choice.candidates"
        :taken="choice.taken"
        :run="cable.run"
        class="min-w-0"
        @choose="choose"
      />
      <div class="min-w-0 overflow-x-auto">
        <table class="figure w-full text-right text-[16px]">
          <thead class="text-[14px] leading-4 text-ink2">
            <tr class="border-b border-line align-bottom">
              <th scope="col" class="py-1 text-left font-normal">{{ say`size` }}</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`drop` }}<br />%</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`heat` }}<br />{{ readersUnit('°C') }}</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`lost` }}<br />W</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`cable` }}<br />{{ readersUnit('kg') }}</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`cable` }}<br />{{ bench.shop.currency }}</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`a year` }}<br />{{ say`kWh` }}</th>
              <th scope="col" class="pl-1.5 font-normal">{{ say`bend` }}<br />{{ readersUnit('mm') }}</th>
              <th scope="col" class="font-normal">
                <span class="sr-only">{{ say`state` }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ steps, candidate } in neighbours"
              :key="steps"
              class="h-[41px] border-b border-hairline font-medium"
              :class="steps === 0 ? 'bg-teal-tint' : ''"
            >
              <th scope="row" class="pl-1.5 text-left font-normal whitespace-nowrap">
                <button
                  type="button"
                  class="block pointer-coarse:min-h-11 pointer-coarse:min-w-11 text-left text-[17px] leading-4 font-semibold text-teal underline decoration-hairline"
                  :aria-label="say`Why ${sizeLabel(candidate.at.size)}`"
                  @click="looked = candidate.at.size"
                >
                  {{ sizeLabel(candidate.at.size) }}
                </button>
                <span class="text-[13px] leading-3 text-ink2"
                  >{{ near(candidate.at.size) }}{{ STEP_WORDS[steps] }}, {{ crimps(candidate.at.size) }}</span
                >
              </th>
              <td>{{ digits(dropOf(candidate), 2) }}</td>
              <td>{{ degrees(hottestC(candidate.at)) }}</td>
              <td>{{ digits(candidate.at.wattsLost, 0) }}</td>
              <td>{{ readersDigits(candidate.at.massKg, 'kg', 1) }}</td>
              <td>{{ digits(candidate.at.price, 0) }}</td>
              <td>{{ digits(candidate.at.kilowattHoursPerYear, 0) }}</td>
              <td>{{ readersDigits(candidate.at.bendMm, 'mm', 0) }}</td>
              <td class="pl-2 text-left"><StateMark :state="candidate.state" :close="candidate.close" /></td>
            </tr>
          </tbody>
        </table>
        <div v-if="why" class="mt-2 border-l-[3px] border-teal bg-paper py-1.5 pl-3" role="status">
          <p class="flex items-center gap-3">
            <b class="figure text-[17px]">{{ tell(sizeNamed(why.size)) }}</b>
            <span v-if="why.limits.length === 0">{{ say`passes every limit` }}</span>
            <button type="button" class="button compact ml-auto" @click="choose(why.size)">
              {{ say`Choose it` }}
            </button>
          </p>
          <p v-for="limit in why.limits" :key="limit.id" class="mt-0.5">
            <StateMark :state="limit.state" :close="limit.close ?? false" />
            {{ tell(limit.title) }}: {{ tell(limit.because) }}
          </p>
        </div>
        <p class="note mt-2">{{ oneUp }}</p>
      </div>
    </div>
    <div v-if="cable.run.duty || choice.taken.at.spenders.length > 1" class="mt-4 grid gap-4 lg:grid-cols-2">
      <DropBudget :at="choice.taken.at" :run="cable.run" />
      <DutyChart v-if="choice.taken.at.duty" :at="choice.taken.at" :ambient-c="cable.run.ambientC" />
    </div>
    <StageSection part="kinds" class="mt-3" :title="say`Other kinds for this run`" :says="work.kind.title">
      <!-- Worked out only while it is looked at. -->
      <KindsBeside v-if="openParts.has('kinds')" :cable="cable" :job-id="jobId" @choose="setKind" />
    </StageSection>
    <p class="note mt-3 max-w-prose">
      {{
        say`Why they differ: the printed rule counts the drop alone, with cold copper; the two tables count heat alone, from two kinds of tests; the heat balance is of this very cable in this very air.`
      }}
    </p>
  </div>
</template>
