<script setup lang="ts">
import { word } from '../../core/words/terms.ts';
import { computed } from 'vue';
import { TORCHES } from '../../core/model/tables/solder.ts';
import type { HousePractice } from '../../core/model/housePractice.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import { USUAL_CERTAIN_PERCENT } from '../../core/hunt/suspects.ts';
import { USUAL_SPREAD } from '../../core/system/placeFindings.ts';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import { say } from '../../core/words/say.ts';

/** The figures of house practice: margins, covers, solder and flame. */
const { practice } = defineProps<{ practice: HousePractice }>();
const emit = defineEmits<{ set: [what: string, change: Partial<HousePractice>] }>();

type Flame = keyof typeof TORCHES;
const FLAMES = (Object.keys(TORCHES) as Flame[]).map((name) => ({
  value: name,
  title: word(name),
  note: `${TORCHES[name]} W`,
}));
const flame = computed(() => FLAMES.find(({ value }) => TORCHES[value] === practice.solder.torchW)?.value);
const setSolder = (change: Partial<HousePractice['solder']>) =>
  emit('set', say`solder`, { solder: { ...practice.solder, ...change } });
</script>

<template>
  <div class="grid grid-cols-2 gap-3 px-4 py-3 sm:grid-cols-3">
    <QuantityField
      :label="say`Current margin`"
      kind="percent"
      :model-value="practice.ampsMarginPercent"
      :least="0"
      :most="50"
      @update:model-value="emit('set', say`ampacity margin`, { ampsMarginPercent: $event })"
    />
    <QuantityField
      :label="say`A fault is named from`"
      kind="percent"
      :model-value="practice.certainPercent ?? USUAL_CERTAIN_PERCENT"
      :least="50"
      :most="99.9"
      :hint="say`how sure a hunt must be`"
      @update:model-value="emit('set', say`certainty of fault-finding`, { certainPercent: $event })"
    />
    <QuantityField
      :label="say`Bank shares unevenly, watch over ×`"
      kind="number"
      :model-value="practice.spreadWatched ?? USUAL_SPREAD.watch"
      :least="1"
      :most="3"
      :decimals="2"
      @update:model-value="emit('set', say`share in a bank`, { spreadWatched: $event })"
    />
    <QuantityField
      :label="say`Bank shares unevenly, fails over ×`"
      kind="number"
      :model-value="practice.spreadMost ?? USUAL_SPREAD.most"
      :least="1.01"
      :most="5"
      :decimals="2"
      @update:model-value="emit('set', say`share in a bank`, { spreadMost: $event })"
    />
    <QuantityField
      :label="say`Fuse over the load, ×`"
      kind="number"
      :model-value="practice.fuseOverLoad"
      :least="1"
      :most="2"
      :decimals="2"
      @update:model-value="emit('set', say`fuse over the load`, { fuseOverLoad: $event })"
    />
    <QuantityField
      :label="say`Rating of terminations`"
      kind="temperature"
      :model-value="practice.terminationC"
      :least="60"
      :most="200"
      :decimals="0"
      @update:model-value="emit('set', say`terminations`, { terminationC: $event })"
    />
    <QuantityField
      :label="say`Gap at the mouth`"
      kind="length"
      :model-value="practice.gapMm"
      :least="0"
      :most="4"
      :hint="say`0–2 crimp, 2–4 to feed solder`"
      @update:model-value="emit('set', say`gap`, { gapMm: $event })"
    />
    <QuantityField
      :label="say`Sleeve on the jacket, × its diameter`"
      kind="number"
      :model-value="practice.sleeveOnJacket"
      :least="0.5"
      :most="5"
      :decimals="2"
      @update:model-value="emit('set', say`sleeve cover`, { sleeveOnJacket: $event })"
    />
    <QuantityField
      :label="say`Tightened again after, days`"
      kind="number"
      :model-value="practice.service.retorqueDays"
      :least="1"
      :most="1000"
      :decimals="0"
      :hint="say`of use, once it is fitted`"
      @update:model-value="
        emit('set', say`retightening`, {
          service: { ...practice.service, retorqueDays: Math.round($event) },
        })
      "
    />
    <QuantityField
      :label="say`Inspected every, months`"
      kind="number"
      :model-value="practice.service.lookMonths"
      :least="1"
      :most="120"
      :decimals="0"
      :hint="say`from when it was fitted`"
      @update:model-value="
        emit('set', say`inspection in service`, {
          service: { ...practice.service, lookMonths: Math.round($event) },
        })
      "
    />
    <QuantityField
      :label="say`Lugs kept to practise on`"
      kind="number"
      :model-value="practice.practiceLugs"
      :least="0"
      :most="20"
      :decimals="0"
      :hint="say`of each kind, for a job`"
      @update:model-value="emit('set', say`practice lugs`, { practiceLugs: Math.round($event) })"
    />
    <ChoiceField
      :label="say`Flame for soldering`"
      :model-value="flame"
      :choices="FLAMES"
      :empty="say`another`"
      @update:model-value="(name) => setSolder({ torchW: TORCHES[name] })"
    />
    <QuantityField
      :label="say`Flame power`"
      kind="power"
      :model-value="practice.solder.torchW"
      :least="10"
      :most="20000"
      :decimals="0"
      @update:model-value="setSolder({ torchW: $event })"
    />
    <QuantityField
      :label="say`Solder wire`"
      kind="length"
      :model-value="practice.solder.wireMm"
      :least="0.3"
      :most="6"
      @update:model-value="setSolder({ wireMm: $event })"
    />
    <SegmentedField
      :label="say`Flux`"
      :model-value="practice.solder.flux"
      :choices="[
        { value: 'rosin', title: say`rosin` },
        { value: 'acid', title: say`acid` },
      ]"
      @update:model-value="(flux) => setSolder({ flux: flux === 'acid' ? 'acid' : 'rosin' })"
    />
    <p v-if="practice.solder.flux === 'acid'" class="col-span-2 font-bold text-fails" role="alert">
      {{ say`Acid flux eats the strands for years: every soldered end will fail. Rosin only.` }}
    </p>
  </div>
</template>
