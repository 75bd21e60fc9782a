<script setup lang="ts">
import { useDropZone } from '@vueuse/core';
import { nanoid } from 'nanoid';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { sectionFindings } from '../../core/section/findings.ts';
import { digits } from '../../core/units/figure.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import LedgerRow from '../bench/LedgerRow.vue';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import SectionPicture from './SectionPicture.vue';
import { useSection } from './useSection.ts';

/** Section lab: a photograph of a sawn crimp, its outline and its air measured; kept as a trial of its die. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const route = useRoute();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const { shown, section, name, sentence, isBusy, open, measure } = useSection();

const fileField = useTemplateRef<HTMLInputElement>('fileField');
const dropOn = useTemplateRef<HTMLElement>('dropOn');
useDropZone(dropOn, { onDrop: (files) => files?.[0] && void open(files[0]) });
function take(event: Event): void {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (file) void open(file);
}

const lugId = ref(String(route.query['lug'] ?? ''));
const dieId = ref(String(route.query['die'] ?? ''));
const flats = ref<number | null>(null);
const ears = ref<number | null>(null);
const lug = computed(() => bench.shop.lugs.find(({ id }) => id === lugId.value));
const LUGS = computed(() =>
  bench.shop.lugs
    .filter(({ form }) => form === 'tube' || form === 'butt')
    .map(({ id, label }) => ({ value: id, title: label })),
);
const DIES = computed(() =>
  bench.shop.dies.map(({ id, stamp, acrossFlatsMm }) => ({
    value: id,
    title: stamp || 'unmarked',
    note: `${digits(acrossFlatsMm, 2)} across`,
  })),
);
const findings = computed(() =>
  section.value
    ? sectionFindings(
        section.value,
        lug.value && flats.value !== null ? { lug: lug.value, acrossFlatsMm: flats.value } : null,
      )
    : [],
);
const opened = ref<string | null>(null);

const kept = ref('');
watch([section, lugId, dieId, flats, ears], () => {
  kept.value = problem.value = '';
});
function keep(): void {
  kept.value = '';
  if (nameNeeded()) return;
  const own = lug.value;
  if (!section.value || !own || dieId.value === '' || flats.value === null || ears.value === null) {
    problem.value =
      'Say which lug and die it was, what it measured across the flats, and its ears; no ears is 0.';
    return;
  }
  const { voidShare } = section.value;
  const [acrossFlatsMm, earsMm] = [flats.value, ears.value];
  bench.edit('section kept as a trial', (draft) => {
    draft.shop.trials.push({
      id: nanoid(10),
      at: new Date().toISOString(),
      by: prefs.person.trim(),
      dieId: dieId.value,
      lugId: own.id,
      size: { ...own.forSize },
      acrossFlatsMm,
      earsMm,
      voidShare: Math.min(0.6, voidShare),
      source: 'typed',
    });
  });
  kept.value = 'Kept: the die map goes by it from now on.';
}
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main ref="dropOn" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex flex-wrap items-center gap-3 border-b border-line bg-chalk px-4 py-2">
          <div class="mr-auto">
            <h1 class="figure text-[22px] leading-6 font-semibold">Section lab</h1>
            <p class="note">{{ name || 'A photograph of a sawn crimp. It never leaves this machine.' }}</p>
          </div>
          <button v-if="section" type="button" class="button" :disabled="isBusy" @click="measure()">
            Find the outline again
          </button>
          <button type="button" class="button" :class="shown ? '' : 'filled'" @click="fileField?.click()">
            {{ shown ? 'Another picture' : 'Open a picture' }}
          </button>
          <input
            ref="fileField"
            type="file"
            accept="image/jpeg,image/png"
            class="hidden"
            data-testid="section-file"
            @change="take"
          />
        </header>
        <SectionPicture
          v-if="shown"
          :shown="shown"
          :section="section"
          class="h-[60vh] lg:h-auto lg:min-h-0 lg:flex-1"
          @corrected="measure"
        />
        <div v-else class="p-6 lg:flex-1">
          <h2 class="figure text-[24px] font-semibold">Open a picture, or drop one here</h2>
          <p class="mt-2 max-w-prose text-[15px]">
            Saw the crimp through its middle, file the cut flat, lay it on a plain bench and look straight
            down on it. The outline is found by itself; its six corners can be moved.
          </p>
          <p class="mt-2 max-w-prose text-[15px] font-bold text-fails">
            Clamp it to saw it, never in the hand; wear glasses.
          </p>
        </div>
        <p
          v-if="sentence"
          class="border-t border-line bg-paper px-4 py-3 text-[16px] font-bold text-fails"
          role="alert"
        >
          {{ sentence }}
        </p>
      </div>
      <section
        aria-label="What it says"
        class="border-line bg-paper max-lg:border-t lg:min-h-0 lg:overflow-y-auto lg:border-l"
      >
        <div class="border-b border-line px-4 py-3">
          <p class="note">air in the outline</p>
          <p class="figure text-[64px] leading-[60px] font-semibold" role="status">
            <template v-if="section"
              >{{ digits(100 * section.voidShare, 1)
              }}<span class="text-[30px] font-medium text-ink2"> %</span></template
            ><template v-else>{{ isBusy ? '…' : '–' }}</template>
          </p>
          <p v-if="isBusy" class="note">measuring</p>
        </div>
        <ul v-if="findings.length > 0">
          <LedgerRow
            v-for="finding in findings"
            :key="finding.id"
            :findings="[finding]"
            :opened="opened"
            @open="opened = $event"
          />
        </ul>
        <div class="grid grid-cols-2 gap-x-3 gap-y-2 border-t border-hairline px-4 py-3">
          <ChoiceField
            label="Lug"
            :model-value="lugId || undefined"
            :choices="LUGS"
            empty="which one"
            @update:model-value="lugId = $event"
          />
          <ChoiceField
            label="Die"
            :model-value="dieId || undefined"
            :choices="DIES"
            empty="which one"
            @update:model-value="dieId = $event"
          />
          <QuantityField
            label="Across flats of the crimp"
            kind="length"
            :model-value="flats"
            :least="1"
            :most="100"
            :decimals="2"
            optional
            hint="gives the scale"
            @update:model-value="flats = $event"
            @clear="flats = null"
          />
          <QuantityField
            label="Ears before filing"
            kind="length"
            :model-value="ears"
            :least="0"
            :most="20"
            :decimals="2"
            optional
            hint="none is 0"
            @update:model-value="ears = $event"
            @clear="ears = null"
          />
          <TextField
            label="Who sawed it"
            :model-value="prefs.person"
            @update:model-value="prefs.person = $event"
          />
          <p v-if="problem" class="col-span-2 font-bold text-fails" role="alert">{{ problem }}</p>
          <p v-if="kept" class="col-span-2 font-bold text-holds" role="status">{{ kept }}</p>
          <button
            type="button"
            class="button filled col-span-2 min-h-12"
            :disabled="!section || isBusy"
            @click="keep"
          >
            Keep it as a trial of this die
          </button>
        </div>
      </section>
    </main>
  </BenchFrame>
</template>
