<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { TriangleAlert } from '@lucide/vue';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { CableWork } from '../../../core/cableWork.ts';
import {
  allChecks,
  fitPlan,
  mayTick,
  standingTicks,
  standsAgainst,
  withTick,
} from '../../../core/fit/fitChecks.ts';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES, type EndName } from '../../../core/model/end.ts';
import { type ReadWith, TYPED } from '../../../core/proof/source.ts';
import { usePrefs } from '../../stores/prefs.ts';
import TextField from '../../ui/TextField.vue';
import StackPicture from '../ends/StackPicture.vue';
import ReadingEntry from '../prove/ReadingEntry.vue';
import ReadingList from '../prove/ReadingList.vue';
import { type Measured, takenReading } from '../prove/readings.ts';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import { usePersonNeeded } from '../usePersonNeeded.ts';
import LoadedRun from './LoadedRun.vue';
import ServiceBox from './ServiceBox.vue';
import TickList from './TickList.vue';
import WaiveBox from '../prove/WaiveBox.vue';
import { say } from '../../../core/words/say.ts';

/** On the boat: each stud, the way, the first time it is live, the first load, and what is due after. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const { problem, nameNeeded } = usePersonNeeded();
const plan = computed(() => fitPlan(cable, work));
const ticks = computed(() => standingTicks(cable));
/** Why it must not be made live yet: measured, mended, or answered for by name. */
const against = computed(() => standsAgainst(work.findings));
const refusal = ref('');
const findingOf = (name: EndName) =>
  work.findings.find(({ topic, end }) => topic === 'torque' && end === name);
const count = computed(() => {
  const checks = allChecks(plan.value);
  return say`${checks.filter(({ id }) => ticks.value.some(({ check }) => check === id)).length} of ${checks.length} ticked`;
});

/** A reading without a name stands for nothing; what was typed stays where it is. */
function record(readings: readonly { measured: Measured; from: ReadWith }[], what: string): boolean {
  if (nameNeeded()) return false;
  edit(what, (draft) => {
    for (const { measured, from } of readings)
      draft.readings.push(takenReading(measured, prefs.person, from));
  });
  return true;
}
const recordOne = (measured: Measured, what: string) => record([{ measured, from: TYPED }], what);

function tick(id: string): void {
  if (nameNeeded()) return;
  const isTicked = ticks.value.some(({ check }) => check === id);
  refusal.value = isTicked ? '' : tell(mayTick(plan.value, ticks.value, id, work.findings));
  if (refusal.value) return;
  edit(isTicked ? say`tick taken back` : say`tick`, (draft) => {
    const own = { check: id, at: new Date().toISOString(), by: prefs.person };
    draft.fitted = withTick(plan.value, draft.fitted, own);
  });
}
</script>

<template>
  <div class="p-3.5">
    <div class="mb-3 flex flex-wrap items-start gap-4">
      <p class="flex min-w-[260px] flex-1 items-start gap-2 text-[15px] font-bold text-fails">
        <TriangleAlert :size="22" class="shrink-0" aria-hidden="true" />
        {{
          say`A battery cannot be switched off. Isolate and tag, insulate the tools, rings and watches off; negative off first and on last.`
        }}
      </p>
      <div class="w-56">
        <TextField
          :label="say`Who is fitting`"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
        <p v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</p>
      </div>
    </div>
    <p v-if="refusal" class="sticky top-0 z-10 mb-2 bg-paper py-1 font-bold text-fails" role="alert">
      {{ refusal }}
    </p>
    <div class="grid gap-x-5 sm:grid-cols-2">
      <StageSection
        v-for="name in END_NAMES"
        :key="name"
        :title="`${name}: ${cable.ends[name].at || say`place not given`}`"
        :note="work.stacks[name] ? cable.ends[name].stud : say`post`"
      >
        <StackPicture v-if="work.stacks[name]" class="mb-2 w-full" :stack="work.stacks[name]" />
        <ReadingEntry
          class="mb-2"
          :label="say`Tightened to, ${name}`"
          kind="torque"
          :least="0"
          :most="500"
          :decimals="1"
          :finding="findingOf(name)"
          :record="
            (newtonMetre) => recordOne({ check: 'torque', end: name, newtonMetre }, say`torque of ${name}`)
          "
        />
        <TickList :checks="plan.ends[name]" :ticks="ticks" @tick="tick" />
      </StageSection>
    </div>
    <StageSection :title="say`Along the route`" :note="count">
      <TickList :checks="plan.way" :ticks="ticks" @tick="tick" />
    </StageSection>
    <StageSection :title="say`Before it is made live, in this order`" :note="say`one after the other`">
      <div v-if="against.length > 0" class="mb-2 border-l-4 border-fails bg-lamp px-3 py-2">
        <h4 class="figure text-[17px] font-semibold">{{ say`Not to be made live yet` }}</h4>
        <ul>
          <li
            v-for="finding in against"
            :key="finding.id"
            class="flex flex-wrap items-center justify-between gap-x-4 border-t border-hairline py-1 first:border-t-0"
          >
            <span>
              <b>{{ tell(finding.title) }}{{ finding.end ? say` of ${finding.end}` : '' }}</b>
              {{ tell(finding.because) }}
            </span>
            <div v-if="finding.state === 'unproved' && finding.topic !== 'torque'" class="[&>p]:mt-0">
              <WaiveBox :finding="finding" :cable="cable" :job-id="jobId" />
            </div>
          </li>
        </ul>
      </div>
      <TickList :checks="plan.live" :ticks="ticks" ordered @tick="tick" />
      <p class="note mt-2">
        {{
          say`These figures are for planning. The equipment maker’s torque and instructions, the local code, the class or survey rules, and a licensed person where the law asks for one come first.`
        }}
      </p>
    </StageSection>
    <StageSection :title="say`The first loaded run`" :note="say`reading by reading, scaled to full load`">
      <LoadedRun :key="cable.id" :work="work" :record="(readings) => record(readings, say`loaded run`)" />
      <p class="mt-2">
        {{ say`Too many volts lost?` }}
        <RouterLink class="text-teal underline" :to="{ name: 'hunt', params: { jobId } }">{{
          say`Find the part that loses them`
        }}</RouterLink
        >.
      </p>
    </StageSection>
    <StageSection :title="say`After`" :note="say`next inspection`">
      <ServiceBox :cable="cable" :record="(measured) => recordOne(measured, say`inspection in service`)" />
    </StageSection>
    <ReadingList :cable="cable" :job-id="jobId" />
  </div>
</template>
