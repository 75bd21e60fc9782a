<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES, type EndName } from '../../../core/model/end.ts';
import { cannotUse } from '../../../core/termination/dies/toolCase.ts';
import { figure } from '../../../core/model/units/figure.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import HolePicture from './HolePicture.vue';
import JoinsPanel from './JoinsPanel.vue';
import { underItsName } from '../../../core/model/catalogue/called.ts';
import { say } from '../../../core/words/say.ts';

/** The smallest hole and what it means for the order of work, the angle between the palms, and joins. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const finding = (id: string) => work.findings.find((other) => other.id === id);
const clocking = computed(() => finding('clocking'));

const inPlaceNames = computed(() => END_NAMES.filter((name) => cable.ends[name].inPlace));
const pulled = computed<EndName>(() => work.passage?.pulled ?? 'B');
const sentence = computed(() => {
  const { passage } = work;
  if (!passage) return say`No hole given: any end fits.`;
  if (passage.pulled === null) return say`The cable itself does not pass this hole.`;
  if (passage.finished) return say`End ${passage.pulled} passes finished: make both ends at the bench.`;
  const first = passage.pulled === 'A' ? 'B' : 'A';
  return cable.ends[passage.pulled].inPlace
    ? say`Make ${first} at the bench, pull ${passage.pulled} through bare, and make it in place.`
    : say`No finished end passes. Pull ${passage.pulled} through bare and make it in place.`;
});
function setInPlace(name: EndName, on: boolean): void {
  edit(say`place of ${name}`, (draft) => {
    if (on) draft.ends[name].inPlace = { swingMm: 400, solidFloor: false };
    else delete draft.ends[name].inPlace;
  });
}
const toolsAt = (name: EndName) =>
  bench.shop.tools.map((tool) => ({
    tool: underItsName(tool),
    why: cannotUse(tool, work.ends[name].copperMm2, cable.ends[name].inPlace),
  }));
</script>

<template>
  <div>
    <StageSection :title="say`Through the smallest hole`" :note="sentence">
      <div class="grid items-start gap-4 sm:grid-cols-[1fr_300px]">
        <div class="grid grid-cols-2 gap-2">
          <QuantityField
            :label="say`Smallest hole on the route`"
            kind="length"
            :model-value="cable.run.holeMm ?? null"
            :least="3"
            :most="500"
            optional
            @update:model-value="(mm) => edit(say`smallest hole`, (draft) => void (draft.run.holeMm = mm))"
            @clear="edit(say`smallest hole`, (draft) => void delete draft.run.holeMm)"
          />
          <SegmentedField
            :label="say`End pulled through it`"
            :model-value="cable.run.pulledEnd ?? 'any'"
            :choices="[
              { value: 'any', title: say`either` },
              { value: 'A', title: 'A' },
              { value: 'B', title: 'B' },
            ]"
            @update:model-value="
              (name) =>
                edit(say`end pulled through`, (draft) => {
                  if (name === 'A' || name === 'B') draft.run.pulledEnd = name;
                  else delete draft.run.pulledEnd;
                })
            "
          />
          <button
            v-if="
              work.passage && !work.passage.finished && work.passage.pulled && !cable.ends[pulled].inPlace
            "
            type="button"
            class="button col-span-2 justify-start bg-teal-tint"
            @click="setInPlace(pulled, true)"
          >
            {{ say`Solution: pull it bare, make ${pulled} in place` }}
          </button>
          <div v-for="name in END_NAMES" :key="name" class="col-span-2">
            <CheckField
              :label="say`end ${name} is made in place, not on the bench`"
              :model-value="cable.ends[name].inPlace !== undefined"
              @update:model-value="(on) => setInPlace(name, on)"
            />
          </div>
        </div>
        <HolePicture :cable="cable" :work="work" />
      </div>
      <div v-for="name in inPlaceNames" :key="name" class="mt-3 border-t border-hairline pt-2">
        <div class="grid items-start gap-3 sm:grid-cols-[220px_180px_1fr]">
          <QuantityField
            :label="say`Working space at ${name}`"
            kind="length"
            :model-value="cable.ends[name].inPlace?.swingMm ?? null"
            :least="0"
            :most="3000"
            :decimals="0"
            @update:model-value="
              (mm) =>
                edit(say`room at ${name}`, (draft) => {
                  const place = draft.ends[name].inPlace;
                  if (place) place.swingMm = mm;
                })
            "
          />
          <CheckField
            class="mt-8"
            :label="say`a solid floor at ${name}`"
            :model-value="cable.ends[name].inPlace?.solidFloor ?? false"
            @update:model-value="
              (on) =>
                edit(say`floor at ${name}`, (draft) => {
                  const place = draft.ends[name].inPlace;
                  if (place) place.solidFloor = on;
                })
            "
          />
          <ul :aria-label="say`Tools at ${name}`">
            <li v-for="{ tool, why } in toolsAt(name)" :key="tool.id" class="leading-5">
              <span :class="why ? 'text-ink3 line-through' : 'font-bold'">{{ tool.title }}</span>
              <span v-if="why" class="note"> {{ tell(why) }}</span>
            </li>
          </ul>
        </div>
      </div>
    </StageSection>

    <StageSection :title="say`Palm to palm`" :note="tell(clocking?.because)">
      <div class="max-w-56">
        <QuantityField
          :label="say`Angle from palm A to palm B`"
          kind="angle"
          :model-value="cable.palmAngleDeg"
          :least="0"
          :most="359"
          :decimals="0"
          :hint="say`or drag the dial on the drawing`"
          @update:model-value="(deg) => edit(say`palm angle`, (draft) => void (draft.palmAngleDeg = deg))"
        />
      </div>
    </StageSection>

    <JoinsPanel :cable="cable" :work="work" :job-id="jobId" />
    <p class="note">
      {{
        say`${figure(work.conductor.outerMm, 'mm', 1)} is the bare cable. A join is a last resort: two more crimps to prove.`
      }}
    </p>
  </div>
</template>
