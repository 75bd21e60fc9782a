<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import InstrumentBar from '../../instruments/InstrumentBar.vue';
import TroubleBox from '../../instruments/TroubleBox.vue';
import { intervalDigits } from '../../../core/finding/says.ts';
import { inReadersUnit, limitText } from '../../ui/display.ts';
import StateMark from '../../ui/StateMark.vue';
import type { CheckRow } from './checks.ts';
import DropForm from './DropForm.vue';
import InsulationForm from './InsulationForm.vue';
import JointForm from './JointForm.vue';
import LookForm from './LookForm.vue';
import PullForm from './PullForm.vue';
import type { TakeReading } from './readings.ts';
import ResistanceForm from './ResistanceForm.vue';
import SectionForm from './SectionForm.vue';
import SingleForm from './SingleForm.vue';
import ThermalForm from './ThermalForm.vue';
import WaiveBox from './WaiveBox.vue';
import { say } from '../../../core/words/say.ts';

/** One check: what stands, what it may be, what to read it with, and the reading itself. */
const { row, end, cable, work, jobId, record } = defineProps<{
  row: CheckRow;
  end: EndName | null;
  cable: Cable;
  work: CableWork;
  jobId: string;
  record: TakeReading;
  /** What is still missing after this one. */
  next: CheckRow | undefined;
}>();
defineEmits<{ next: [] }>();

const asked = computed(() => work.findings.find(({ id }) => id === row.findingId));
/** What stands, or what would be asked. */
const finding = computed(() => asked.value ?? work.unasked.find(({ id }) => id === row.findingId));
const value = computed(() => {
  const at = finding.value;
  return at && at.value !== null ? inReadersUnit(at.value, at.unit, at.decimals) : null;
});
/** What it may be off by, in the same unit. */
const off = computed(() => {
  const at = finding.value;
  return at?.uncertainty === undefined
    ? ''
    : inReadersUnit(at.uncertainty, at.unit, intervalDigits(at.uncertainty, at.decimals)).value;
});
/** What is followed over time, die by die. */
const hasTrend = computed(() => ['across-flats', 'joint', 'section'].includes(row.check));
const limits = computed(() => (finding.value ? limitText([finding.value]) : ''));
</script>

<template>
  <section :aria-label="row.title">
    <div class="mb-3 flex flex-wrap items-end gap-x-5 gap-y-1">
      <p v-if="value" class="figure">
        <span class="text-[46px] leading-[46px] font-semibold">{{ value.value }}</span>
        <span class="ml-1.5 text-[19px] text-ink2">{{ value.unit }}</span>
        <span v-if="off" class="ml-2.5 text-[19px] text-ink2">± {{ off }}</span>
      </p>
      <p class="min-w-0 flex-1" role="status">
        <template v-if="finding">
          <StateMark
            v-if="asked"
            :state="finding.would ?? finding.state"
            :close="finding.close ?? false"
            :would="finding.would !== undefined"
          />
          <span v-if="finding.waived" class="ml-1 font-bold">{{ say`waived` }}</span>
          <span v-if="limits" class="figure ml-2 text-[15px] text-ink2">{{ limits }}</span>
          <span class="block text-[14px] leading-[18px]">{{
            tell(asked ? finding.because : say`Optional. Once recorded it counts.`)
          }}</span>
          <span v-if="finding.remedy && finding.state !== 'holds'" class="note block">{{
            tell(finding.remedy)
          }}</span>
        </template>
      </p>
    </div>
    <InstrumentBar v-if="row.kind" :kind="row.kind" :needs="finding?.needs" />
    <div class="pt-3">
      <template v-if="end">
        <SingleForm
          v-if="row.check === 'across-flats' || row.check === 'ears'"
          :key="row.check"
          :check="row.check"
          :name="end"
          :cable="cable"
          :work="work"
          :record="record"
        />
        <PullForm v-else-if="row.check === 'pull'" :name="end" :work="work" :record="record" />
        <LookForm
          v-else-if="row.check === 'look'"
          :name="end"
          :cable="cable"
          :end="work.ends[end]"
          :record="record"
        />
        <JointForm v-else-if="row.check === 'joint'" :name="end" :record="record" />
        <SectionForm
          v-else-if="row.check === 'section'"
          :name="end"
          :cable="cable"
          :job-id="jobId"
          :record="record"
        />
        <ThermalForm v-else-if="row.check === 'thermal'" :name="end" :work="work" :record="record" />
        <DropForm v-else-if="row.check === 'drop'" :name="end" :work="work" :record="record" />
      </template>
      <template v-else>
        <ResistanceForm v-if="row.check === 'resistance'" :record="record" />
        <InsulationForm v-else-if="row.check === 'insulation'" :cable="cable" :record="record" />
        <DropForm v-else-if="row.check === 'drop'" :name="null" :work="work" :record="record" />
      </template>
    </div>
    <button v-if="next && asked?.state === 'holds'" type="button" class="button mt-4" @click="$emit('next')">
      {{ say`Next: ${next.title.toLowerCase()}` }}
    </button>
    <p v-if="hasTrend" class="mt-3">
      <RouterLink :to="{ name: 'trends', params: { jobId } }" class="text-teal underline">{{
        say`What this die leaves over time`
      }}</RouterLink>
    </p>
    <TroubleBox v-if="row.kind" :kind="row.kind" />
    <WaiveBox v-if="asked" :finding="asked" :cable="cable" :job-id="jobId" />
  </section>
</template>
