<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { faultSays } from '../../../core/traveller/mishaps.ts';
import { word } from '../../../core/words/terms.ts';
import { readersLocale } from '../../words.ts';
import { onKeyStroke } from '@vueuse/core';
import { Check, Maximize2, Printer, TriangleAlert } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import type { Feature, Step } from '../../../core/traveller/steps.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { stillToPractise } from '../../../core/traveller/practise.ts';
import { clock } from '../../make/clock.ts';
import GatePanel from '../../make/GatePanel.vue';
import OffShelf from '../../make/OffShelf.vue';
import PractiseFirst from '../../make/PractiseFirst.vue';
import LotsBox from './LotsBox.vue';
import StepPhotos from '../../make/StepPhotos.vue';
import { shownFigure } from '../../make/shownFigure.ts';
import TrialEntry from '../../make/TrialEntry.vue';
import { useTraveller } from '../../make/useTraveller.ts';
import { placeOf } from '../../places.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import TextField from '../../ui/TextField.vue';
import { say } from '../../../core/words/say.ts';
import { figure } from '../../../core/model/units/figure.ts';

/** The steps of making this cable, as a list with the one at hand; "at the bench" it fills the window. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();
const emit = defineEmits<{ lit: [features: readonly Feature[] | null] }>();

const { prefs } = usePrefs();
const traveller = useTraveller(() => ({ jobId, cable, work }));
const { steps, current, currentId, index, gates, isShut, isDone, hot, trial, trialProblem } = traveller;
const { spoolId, takes } = traveller;
watch(current, (step) => emit('lit', step && step.lit.length > 0 ? step.lit : null), { immediate: true });
const bench = useBench();
/** Before the lugs that count: what was never brought together here. */
const untried = computed(() => stillToPractise(cable, work, bench.shop));
const isAsking = ref(false);
watch(currentId, () => {
  isAsking.value = false;
});
const isClosed = computed(() => isShut.value && current.value !== undefined && !isDone(current.value));

const shown = computed(() => current.value && shownFigure(current.value));

function done(): void {
  if (isClosed.value) isAsking.value = true;
  else traveller.done();
}

const focusIsOn = (selector: string) => document.activeElement?.matches(selector) ?? false;
onKeyStroke(' ', (event) => {
  // Space belongs to a button that has the focus; on a link it means nothing.
  if (focusIsOn('input, textarea, button, [role=button], [role=radio], [role=switch], [role=dialog] *'))
    return;
  event.preventDefault();
  done();
});
onKeyStroke('Backspace', (event) => {
  if (focusIsOn('input, textarea, [role=dialog] *')) return;
  event.preventDefault();
  traveller.back();
});
const doneAt = (step: Step) => cable.done.find((done) => done.step === step.id);
const timeOfDay = new Intl.DateTimeFormat(readersLocale(), { hour: '2-digit', minute: '2-digit' });
</script>

<template>
  <div v-if="steps.length === 0" class="p-3.5">
    <h3 class="figure text-[20px] font-semibold">{{ say`No steps yet` }}</h3>
    <p class="mt-1 max-w-prose">
      {{
        say`The steps are written from the cable: both ends need a lug, a die that suits it, and a sleeve that passes and grips. Finish`
      }}
      <b>{{ say`Ends` }}</b> {{ say`and they appear here with this cable’s own figures.` }}
    </p>
  </div>
  <div v-else class="grid min-h-full sm:grid-cols-[196px_1fr]">
    <ol class="border-hairline py-1 sm:border-r max-sm:order-2 max-sm:border-t" :aria-label="say`Steps`">
      <li v-for="(step, i) in steps" :key="step.id">
        <button
          type="button"
          class="flex h-[25.500px] w-full items-center gap-2 px-3 text-left max-sm:h-11"
          :class="step.id === currentId ? 'bg-teal text-on-teal' : 'hover:bg-teal-tint'"
          :aria-current="step.id === currentId ? 'step' : undefined"
          @click="currentId = step.id"
        >
          <span class="figure w-5 text-right text-[14px]" :class="step.id === currentId ? '' : 'text-ink2'">{{
            i + 1
          }}</span>
          <span
            class="figure min-w-0 flex-1 truncate text-[16px]"
            :class="step.id === currentId ? 'font-semibold' : ''"
            >{{ tell(step.short) }}</span
          >
          <span v-if="isDone(step)" class="figure flex items-center gap-1 text-[13px]">
            {{ timeOfDay.format(new Date(doneAt(step)?.at ?? ''))
            }}<Check :size="14" :stroke-width="3" :aria-label="say`done`" />
          </span>
        </button>
      </li>
    </ol>

    <div v-if="current" class="flex min-w-0 flex-col p-4">
      <p class="figure flex flex-wrap items-center gap-x-4 gap-y-1 text-[16px] text-ink2">
        {{ say`Step ${index + 1} of ${steps.length}`
        }}<template v-if="current.end">{{ say`, end ${current.end}` }}</template>
        <span v-for="own in hot" :key="own.end" class="text-fails" role="timer">{{
          say`${own.end} hot ${clock(own.waitS)}`
        }}</span>
        <RouterLink
          :to="{ name: 'at-bench', params: { jobId, cableId: cable.id }, query: { step: current.id } }"
          class="button ml-auto"
          ><Maximize2 :size="16" aria-hidden="true" /> {{ say`At the bench` }}</RouterLink
        >
        <RouterLink :to="{ name: 'batch', params: { jobId } }" class="button -ml-2">{{
          say`Batch`
        }}</RouterLink>
        <RouterLink
          :to="{ name: 'print-traveller', params: { jobId, cableId: cable.id } }"
          class="button -ml-2"
          ><Printer :size="16" aria-hidden="true" /><span class="sr-only">{{
            say`Print the traveller`
          }}</span></RouterLink
        >
      </p>
      <h3 class="figure text-[30px] leading-8 font-semibold">{{ tell(current.order) }}</h3>
      <div class="flex flex-wrap items-end gap-x-6">
        <div v-if="current.figure && shown">
          <p class="figure mt-3 text-[112px] leading-[96px] font-semibold">
            {{ shown.value }}<span class="text-[36px] font-medium text-ink2"> {{ shown.unit }}</span>
          </p>
          <p class="figure text-[19px]">{{ tell(current.figure.means) }}</p>
        </div>
        <OffShelf
          v-model="spoolId"
          class="mt-2 max-w-72 min-w-40 flex-1"
          :cable="cable"
          :work="work"
          :step="current.id"
          :takes="takes"
        />
      </div>
      <PractiseFirst
        v-if="untried.length > 0 && !current.ask"
        class="mt-2"
        :untried="untried"
        @practise="traveller.practise"
      />
      <p class="mt-3 max-w-prose text-[15px]">{{ tell(current.detail) }}</p>
      <TrialEntry
        v-if="current.end && traveller.asksTrial(current)"
        v-model="trial"
        class="mt-3"
        :end="work.ends[current.end]"
        :problem="trialProblem"
      />
      <p class="mt-2 text-[15px]">
        <span class="figure text-ink2">{{ say`Why` }}</span> {{ tell(current.why) }}
      </p>
      <p v-if="current.caution" class="mt-3 flex items-start gap-2 text-[16px] font-bold text-fails">
        <TriangleAlert :size="22" class="shrink-0" aria-hidden="true" />{{ tell(current.caution.says) }}
      </p>
      <GatePanel
        v-if="isAsking && isClosed"
        class="mt-4 border border-hairline"
        :gates="gates"
        :steps="steps"
        :ends-place="placeOf(jobId, cable.id, 'ends')"
        @heed="traveller.heed"
        @pass="traveller.pass"
        @go="currentId = $event"
      />
      <div class="mt-auto flex flex-wrap items-end gap-3 pt-4">
        <button type="button" class="button min-h-14 px-6" :disabled="index === 0" @click="traveller.back">
          {{ say`Back` }}
        </button>
        <button type="button" class="button filled min-h-14 flex-1 px-6 text-[17px]" @click="done">
          {{ isDone(current) ? say`Next` : say`Done` }}
          <span class="figure ml-1 rounded-box border border-on-teal/60 px-1.5 text-[14px] font-normal">{{
            say`Space`
          }}</span>
        </button>
        <div class="w-40">
          <TextField
            :label="say`Who is working`"
            :model-value="prefs.person"
            @update:model-value="prefs.person = $event"
          />
        </div>
      </div>
      <LotsBox :cable="cable" :work="work" :job-id="jobId" class="mt-4" />
    </div>
    <div v-else class="p-4">
      <h3 class="figure text-[30px] leading-8 font-semibold">{{ say`Every step is done` }}</h3>
      <p class="mt-2 max-w-prose text-[15px]">
        {{ say`Let it cool, then prove it: measure, pull, inspect. What is not measured is not proved.` }}
      </p>
      <h4 class="figure mt-4 mb-1 text-[17px] font-semibold">{{ say`Photographs of this cable` }}</h4>
      <StepPhotos :cable="cable" :job-id="jobId" />
      <ul v-if="cable.mishaps.length > 0" class="mt-3 text-[15px]" :aria-label="say`What went wrong`">
        <li v-for="own in cable.mishaps" :key="own.id">
          {{ tell(faultSays(own.what)) }}: {{ word(own.way)
          }}{{ own.cutBackMm ? `, ${figure(own.cutBackMm, 'mm', 0)}` : '' }},
          {{ own.by }}
        </li>
      </ul>
      <button type="button" class="button mt-4" @click="traveller.back">
        {{ say`Back to the last step` }}
      </button>
      <LotsBox :cable="cable" :work="work" :job-id="jobId" class="mt-4" />
    </div>
  </div>
</template>
