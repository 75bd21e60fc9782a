<script setup lang="ts">
import { useDropZone } from '@vueuse/core';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import { useRoute } from 'vue-router';
import { END_NAMES } from '../../core/model/end.ts';
import { countingReadings } from '../../core/proof/readings.ts';
import { seeded } from '../../core/lib/random.ts';
import { anySection, sectionFor } from '../../core/section/drawable.ts';
import { sectionFindings } from '../../core/section/findings.ts';
import { digits } from '../../core/words/numerals.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import LedgerRow from '../bench/LedgerRow.vue';
import { useBench } from '../stores/bench.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import AirSaid from './AirSaid.vue';
import JudgeBox from './JudgeBox.vue';
import LiveCamera from './LiveCamera.vue';
import KeepSection from './KeepSection.vue';
import type { Sawn } from './sawn.ts';
import SectionPicture from './SectionPicture.vue';
import { type CrimpAir, useAir } from './useAir.ts';
import { type SectionSlot, useSection } from './useSection.ts';
import { say } from '../../core/words/say.ts';

/** Section lab: photographs of sawn crimps, one or two side by side; outline, air and shape measured. */
const { jobId } = defineProps<{ jobId: string }>();

const bench = useBench();
const route = useRoute();
const asked = (what: string) => String(route.query[what] ?? '');

const first = useSection();
const second = useSection();
const slots: Readonly<Record<'first' | 'second', SectionSlot>> = { first, second };
/** Two pictures are compared once the second is open. */
const isPair = ref(false);
const active = ref<'first' | 'second'>('first');
const slot = computed(() => slots[active.value]);
const shownSlots = computed(() => (isPair.value ? (['first', 'second'] as const) : [active.value]));

const fileField = useTemplateRef<HTMLInputElement>('fileField');
const dropOn = useTemplateRef<HTMLElement>('dropOn');
useDropZone(dropOn, { onDrop: (files) => files?.[0] && takeFile(files[0], false) });
/** The next picture is of the crimp that is shown. */
let isSameCrimp = false;
const isCamera = ref(false);
const noCamera = ref('');
function askFor(sameCrimp: boolean, by: 'file' | 'camera' = 'file'): void {
  isSameCrimp = sameCrimp;
  noCamera.value = '';
  isCamera.value = by === 'camera';
  if (by === 'file') fileField.value?.click();
}
function take(event: Event): void {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (file) takeFile(file, isSameCrimp);
}
function withoutCamera(sentence: string): void {
  isCamera.value = false;
  noCamera.value = sentence;
}
function takeFile(file: File, sameCrimp: boolean): void {
  isCamera.value = false;
  noCamera.value = '';
  air.value.goOn(sameCrimp);
  void slot.value.open(file);
}
function compare(): void {
  isPair.value = true;
  active.value = 'second';
}
function single(): void {
  isPair.value = false;
  active.value = 'first';
}

/** An end that the lab was opened for says what its sample measured, until it is given otherwise. */
function sawnAtFirst(): Sawn {
  const cable = bench.jobById(jobId)?.cables.find(({ id }) => id === asked('cable'));
  const end = END_NAMES.find((name) => name === asked('end'));
  const flats = cable && end ? countingReadings(cable, 'across-flats', end).at(-1)?.valueMm : undefined;
  return {
    with: cable && end ? `${cable.id}.${end}` : '',
    lugId: asked('lug'),
    dieId: asked('die'),
    strands: null,
    strandMm: null,
    flats: flats ?? null,
    ears: null,
  };
}
const sawn = ref<Record<'first' | 'second', Sawn>>({ first: sawnAtFirst(), second: sawnAtFirst() });
/** What the picture in a slot was sawn from, as far as it is given. */
const sawnCrimpOf = (which: 'first' | 'second') => {
  const { lugId, flats, strandMm } = sawn.value[which];
  const lug = bench.shop.lugs.find(({ id }) => id === lugId);
  return slots[which].drawn.value || !lug || flats === null
    ? null
    : { lug, acrossFlatsMm: flats, ...(strandMm !== null && { strandMm }) };
};
const airs: Readonly<Record<'first' | 'second', CrimpAir>> = {
  first: useAir(first, () => sawnCrimpOf('first')),
  second: useAir(second, () => sawnCrimpOf('second')),
};
const air = computed(() => airs[active.value]);
const findings = computed(() => {
  const section = slot.value.section.value;
  const { isCombined, told } = air.value;
  return section
    ? sectionFindings(section, sawnCrimpOf(active.value), isCombined.value ? told.value : null)
    : [];
});
const opened = ref<string | null>(null);
const share = (which: 'first' | 'second') => {
  const { section } = slots[which];
  return section.value ? digits(100 * section.value.voidShare, 1) : null;
};

/** A section of the lug and die in hand, or of any pair that the shop has. */
const noneToDraw = ref(false);
let drawnSoFar = 0;
function draw(): void {
  air.value.goOn(false);
  const seed = Date.now() + (drawnSoFar += 1);
  const { lugId, dieId } = sawn.value[active.value];
  const lug = bench.shop.lugs.find(({ id }) => id === lugId);
  const die = bench.shop.dies.find(({ id }) => id === dieId);
  const spec =
    lug && die
      ? sectionFor(lug, die.acrossFlatsMm, bench.shop, seeded(seed))
      : anySection(bench.shop, seeded(seed));
  noneToDraw.value = spec === null;
  if (spec) void slot.value.draw(spec, seed);
}
onMounted(() => {
  if (asked('draw') !== '') draw();
});
const STAGE_SAYS = {
  opening: say`opening the picture`,
  drawing: say`drawing it`,
  outline: say`finding the outline`,
  air: say`measuring air gaps`,
  wall: say`measuring the wall`,
  strands: say`examining the strands`,
} as const;
const STAGES = Object.keys(STAGE_SAYS) as (keyof typeof STAGE_SAYS)[];
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main ref="dropOn" class="min-w-0 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_354px]">
      <div class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
        <header class="flex flex-wrap items-center gap-2 border-b border-line bg-chalk px-4 py-2">
          <div class="mr-auto min-w-0">
            <h1 class="figure text-[22px] leading-6 font-semibold">{{ say`Section lab` }}</h1>
            <p class="note truncate">
              {{ slot.name.value || say`A photograph of a sawn crimp. It never leaves this machine.` }}
            </p>
          </div>
          <button v-if="isPair" type="button" class="button" @click="single">{{ say`One picture` }}</button>
          <button v-else-if="first.section.value" type="button" class="button" @click="compare">
            {{ say`Compare with another` }}
          </button>
          <button
            v-if="slot.section.value && !slot.drawn.value"
            type="button"
            class="button"
            :disabled="slot.stage.value !== null"
            @click="slot.measure()"
          >
            {{ say`Find the outline again` }}
          </button>
          <button v-if="!slot.shown.value || slot.drawn.value" type="button" class="button" @click="draw">
            {{ slot.drawn.value ? say`Draw another` : say`Practise on a drawn section` }}
          </button>
          <button v-if="!isCamera" type="button" class="button" @click="askFor(false, 'camera')">
            {{ say`Camera` }}
          </button>
          <button
            type="button"
            class="button"
            :class="slot.shown.value ? '' : 'filled'"
            @click="askFor(false)"
          >
            {{ slot.shown.value ? say`Another picture` : say`Open a picture` }}
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
        <div
          class="lg:flex lg:min-h-0 lg:flex-1"
          :class="isPair ? 'grid gap-px bg-line sm:grid-cols-2 lg:grid' : 'lg:flex-col'"
        >
          <section
            v-for="which in shownSlots"
            :key="which"
            :aria-label="which === 'first' ? say`First picture` : say`Second picture`"
            class="relative min-w-0 bg-chalk lg:flex lg:min-h-0 lg:flex-1 lg:flex-col"
          >
            <div v-if="isPair" class="flex items-baseline gap-2 border-b border-hairline px-3 py-1.5">
              <button
                type="button"
                class="figure compact min-w-0 truncate text-[17px]"
                :class="which === active ? 'font-semibold' : 'text-teal underline'"
                :aria-pressed="which === active"
                @click="active = which"
              >
                {{ slots[which].name.value || say`no picture yet` }}
              </button>
              <span v-if="share(which) !== null" class="figure ml-auto text-[22px] font-semibold"
                >{{ share(which) }}<span class="text-[15px] text-ink2">{{ ' ' }}{{ say`% air` }}</span></span
              >
            </div>
            <LiveCamera
              v-if="isCamera && which === active"
              class="h-[70vh] lg:h-auto lg:flex-1"
              @taken="takeFile($event, isSameCrimp)"
              @close="isCamera = false"
              @refused="withoutCamera"
            />
            <SectionPicture
              v-else-if="slots[which].shown.value"
              :shown="slots[which].shown.value!"
              :section="slots[which].section.value"
              class="h-[60vh] lg:h-auto lg:min-h-0 lg:flex-1"
              @corrected="slots[which].measure($event)"
            />
            <div v-else class="p-6 lg:flex-1">
              <h2 class="figure text-[24px] font-semibold">{{ say`Open a picture, or drop one here` }}</h2>
              <p class="mt-2 max-w-prose text-[15px]">
                {{
                  say`Saw the crimp through its middle, file the cut flat, lay it on a plain bench and look straight down on it. The outline is found by itself; its six corners can be moved.`
                }}
              </p>
              <p class="mt-2 max-w-prose text-[15px] font-bold text-fails">
                {{ say`Clamp it to saw it, never in the hand; wear glasses.` }}
              </p>
            </div>
            <span
              v-if="slots[which].drawn.value"
              class="figure absolute right-3 bottom-3 rounded-box border-[1.5px] border-ink bg-paper px-1.5 text-[14px] font-semibold"
              >{{ say`SIMULATED` }}</span
            >
          </section>
        </div>
        <p
          v-if="slot.sentence.value || noneToDraw || noCamera"
          class="border-t border-line bg-paper px-4 py-3 text-[16px] font-bold text-fails"
          role="alert"
        >
          {{
            slot.sentence.value ||
            noCamera ||
            say`No section can be drawn: this die does not suit this lug at all.`
          }}
        </p>
      </div>
      <section
        :aria-label="say`What it says`"
        class="border-line bg-paper max-lg:border-t lg:min-h-0 lg:overflow-y-auto lg:border-l"
      >
        <SegmentedField
          v-if="isPair"
          v-model="active"
          :label="say`Picture`"
          hide-label
          class="px-4 pt-3"
          :choices="[
            { value: 'first', title: say`first` },
            { value: 'second', title: say`second` },
          ]"
        />
        <JudgeBox
          v-if="slot.drawn.value"
          :spec="slot.drawn.value.spec"
          :void-share="slot.drawn.value.voidShare"
          @judged="slot.measure()"
        />
        <AirSaid
          v-if="!slot.drawn.value || slot.section.value"
          :picture="slot"
          :air="air"
          :camera="isCamera"
          @add="askFor(true)"
          @camera="askFor(true, 'camera')"
        />
        <div v-if="slot.stage.value" class="border-b border-line px-4 py-2">
          <p class="note">{{ STAGE_SAYS[slot.stage.value] }}</p>
          <progress
            class="w-full accent-copper"
            :max="STAGES.length"
            :value="STAGES.indexOf(slot.stage.value) + 0.5"
            :aria-label="STAGE_SAYS[slot.stage.value]"
          />
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
        <KeepSection
          :key="active"
          v-model="sawn[active]"
          :job-id="jobId"
          :section="slot.section.value"
          :air="air.kept.value"
          :file="slot.file.value"
          :is-drawn="slot.drawn.value !== null"
          :is-busy="slot.stage.value !== null"
        />
      </section>
    </main>
  </BenchFrame>
</template>
