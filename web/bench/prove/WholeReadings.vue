<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Cable, ReadingOf } from '../../../core/job/cable.ts';
import { insulationRow } from '../../../core/catalogue/tables/insulationLimits.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import StageSection from '../StageSection.vue';
import ReadingEntry from './ReadingEntry.vue';
import { ELECTRODES, type Measured } from './readings.ts';

/** Readings of the whole cable: resistance from palm to palm, and insulation. */
const { cable, work, record } = defineProps<{
  cable: Cable;
  work: CableWork;
  record: (measured: Measured) => boolean;
}>();

const findingOf = (id: string) => work.findings.find((finding) => finding.id === id);
const copperC = ref(20);
const asked = computed(() => insulationRow(cable.run.systemV));
const testV = ref<number>(asked.value.testV);
const electrode = ref<ReadingOf<'insulation'>['electrode']>('foil');
const electrodes = (Object.entries(ELECTRODES) as [ReadingOf<'insulation'>['electrode'], string][]).map(
  ([value, title]) => ({ value, title }),
);
</script>

<template>
  <div>
    <StageSection title="Resistance, palm to palm" note="four wires, current both ways and averaged">
      <div class="grid gap-3 sm:grid-cols-3">
        <QuantityField v-model="copperC" label="Copper is at" kind="temperature" :least="-40" :most="120" />
        <ReadingEntry
          label="Resistance"
          kind="milliohm"
          :decimals="4"
          :least="0"
          :most="100000"
          :finding="findingOf('resistance')"
          class="sm:col-span-2"
          :record="(milliohm) => record({ check: 'resistance', milliohm, copperC })"
        />
      </div>
      <p class="note">A hand multimeter cannot see this: it needs a meter that reads to 0.001 mΩ.</p>
    </StageSection>
    <StageSection title="Insulation" note="electronics disconnected, 60 s, cable discharged after">
      <div class="grid gap-3 sm:grid-cols-3">
        <QuantityField
          v-model="testV"
          label="Test voltage"
          kind="voltage"
          :least="1"
          :most="5000"
          :decimals="0"
          :hint="`${asked.testV} V is asked`"
        />
        <ChoiceField v-model="electrode" label="Against" :choices="electrodes" />
        <ReadingEntry
          label="Insulation"
          kind="megohm"
          :decimals="1"
          :least="0"
          :most="10000000"
          :finding="findingOf('insulation')"
          :record="(megohm) => record({ check: 'insulation', megohm, testV, electrode })"
        />
      </div>
    </StageSection>
  </div>
</template>
