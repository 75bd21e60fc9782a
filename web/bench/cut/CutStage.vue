<script setup lang="ts">
import { word } from '../../../core/words/terms.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES } from '../../../core/model/end.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { standaloneSvg } from '../../paper/drawingSvg.ts';
import { saveFile } from '../../storage/files.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { readersDigits, sizeText } from '../../ui/display.ts';
import SegmentedField from '../../ui/SegmentedField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import { say } from '../../../core/words/say.ts';

/** What to cut, how it comes from the finished length, and everything else that is cut for this cable. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const sized = (mm: number, decimals = 0) => readersDigits(mm, 'mm', decimals);
const unit = computed(() => prefs.lengths);

const first = computed(() => cable.run.laid?.on ?? 'A');
const second = computed(() => (first.value === 'A' ? 'B' : 'A'));
function setLaid(on: string): void {
  edit(say`trial fit`, ({ run }) => {
    if (on === 'A' || on === 'B') run.laid = { on, markMm: run.laid?.markMm ?? run.lengthMm };
    else delete run.laid;
  });
}
/** The laid cable is the truth: its mark is the length in use. */
function setMark(markMm: number): void {
  edit(say`mark of the trial fit`, ({ run }) => {
    if (run.laid) run.laid.markMm = markMm;
    run.lengthMm = markMm;
  });
}

function saveDrawing(): void {
  const svg = document.querySelector<SVGSVGElement>('.workpiece svg');
  if (svg) saveFile(`${cable.tag}.svg`, standaloneSvg(svg), 'image/svg+xml');
}

const parts = computed(() => {
  const { lengths, ends } = work;
  if (!lengths || !ends.A.lug || !ends.B.lug) return null;
  return [
    { title: say`route`, mm: cable.run.lengthMm, sign: '', decimals: 0 },
    { title: say`service loop`, mm: cable.run.loopMm, sign: '+', decimals: 0 },
    { title: say`lug A to barrel`, mm: ends.A.lug.studToBarrelMm, sign: '−', decimals: 1 },
    { title: say`lug B to barrel`, mm: ends.B.lug.studToBarrelMm, sign: '−', decimals: 1 },
  ];
});

const list = computed(() => {
  const { ends, lengths, choice, kind } = work;
  if (!lengths) return [];
  return [
    {
      what: say`Cable, ${sizeText(choice.taken.at.size)} ${kind.title.toLowerCase()}, ${word(cable.jacket)}`,
      mm: lengths.cutMm,
      note: say`square, both ends`,
    },
    ...END_NAMES.flatMap((name) => {
      const end = ends[name];
      if (!end.sleeve || end.stripMm === null) return [];
      const { sleeve, cutMm, coverMm } = end.sleeve;
      return [
        {
          what: say`Sleeve ${name}, ${sleeve.suppliedMm}/${sleeve.recoveredMm}`,
          mm: cutMm,
          note: say`shrinks to cover ${sized(coverMm)}`,
        },
        {
          what: say`Strip ${name}`,
          mm: end.stripMm,
          note: say`barrel ${sized(end.lug?.barrelMm ?? 0)} and a gap of ${sized(end.gapMm)}`,
        },
      ];
    }),
  ];
});
</script>

<template>
  <div class="p-3.5">
    <StageSection :title="say`Cut`" :note="say`between the bottoms of the two barrels`">
      <template v-if="work.lengths && parts">
        <div class="flex flex-wrap items-end gap-x-8 gap-y-3">
          <p class="figure text-[84px] leading-[72px] font-semibold">
            {{ sized(work.lengths.cutMm) }}<span class="text-[30px] font-medium text-ink2"> {{ unit }}</span>
          </p>
          <p class="figure flex flex-wrap items-end gap-x-2.5 pb-1 text-[19px] font-medium">
            <template v-for="part in parts" :key="part.title">
              <span v-if="part.sign" class="pb-[1px] text-ink2">{{ part.sign }}</span>
              <span class="flex flex-col items-center leading-5">
                <span class="text-[13px] font-normal text-ink2">{{ part.title }}</span
                >{{ sized(part.mm, part.decimals) }}
              </span>
            </template>
          </p>
        </div>
      </template>
      <p v-else class="py-4">
        {{ say`Each lug adds the distance from its hole to its barrel. Choose both lugs in` }}
        <b>{{ say`Ends` }}</b> {{ say`and the cut length appears here.` }}
      </p>
    </StageSection>

    <StageSection :title="say`Lengths used`">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <QuantityField
          class="col-span-2"
          :label="say`Length along the route, stud to stud`"
          kind="length"
          :model-value="cable.run.lengthMm"
          :least="50"
          :most="1000000"
          @update:model-value="
            (lengthMm) => edit(say`length`, (draft) => void (draft.run.lengthMm = lengthMm))
          "
        />
        <QuantityField
          :label="say`Service loop`"
          kind="length"
          :model-value="cable.run.loopMm"
          :least="0"
          :most="10000"
          @update:model-value="
            (loopMm) => edit(say`service loop`, (draft) => void (draft.run.loopMm = loopMm))
          "
        />
      </div>
    </StageSection>

    <StageSection
      :title="say`Trial fit`"
      :note="say`Bolt one end on, lay the cable in place, and mark the other stud.`"
    >
      <div class="grid items-start gap-3 sm:grid-cols-[180px_200px_1fr]">
        <SegmentedField
          :label="say`End already bolted on`"
          :model-value="cable.run.laid?.on ?? 'none'"
          :choices="[
            { value: 'none', title: say`none` },
            { value: 'A', title: 'A' },
            { value: 'B', title: 'B' },
          ]"
          @update:model-value="setLaid"
        />
        <QuantityField
          v-if="cable.run.laid"
          :label="say`The mark is at`"
          kind="length"
          :model-value="cable.run.laid.markMm"
          :least="50"
          :most="1000000"
          :decimals="0"
          :hint="say`from the centre of stud ${first}, along the cable`"
          @update:model-value="setMark"
        />
        <p v-if="work.lengths" class="flex flex-wrap items-baseline gap-x-3">
          <span class="figure text-[34px] leading-9 font-semibold"
            >{{ sized(work.lengths.secondMarkMm)
            }}<span class="text-[18px] text-ink2"> {{ unit }}</span></span
          >
          <span
            >{{ say`from the centre of stud ${first}: cut here for end ${second}`
            }}<template v-if="cable.run.loopMm > 0">{{
              say`, the loop of ${sized(cable.run.loopMm)} included`
            }}</template
            >.</span
          >
        </p>
      </div>
    </StageSection>

    <p v-if="work.lengths" class="mb-4 flex flex-wrap gap-2">
      <button type="button" class="button" @click="saveDrawing">{{ say`Save the drawing as SVG` }}</button>
      <RouterLink :to="{ name: 'kit', params: { jobId } }" class="button">{{
        say`Cutting plan for all cables`
      }}</RouterLink>
    </p>
    <StageSection v-if="list.length > 0" :title="say`Everything to cut for this cable`">
      <table class="w-full">
        <tbody>
          <tr v-for="row in list" :key="row.what" class="border-b border-hairline">
            <th scope="row" class="py-1.5 text-left font-normal">{{ row.what }}</th>
            <td class="figure w-28 text-right text-[20px] font-semibold">
              {{ sized(row.mm) }} <span class="text-[14px] font-medium text-ink2">{{ unit }}</span>
            </td>
            <td class="note pl-4">{{ row.note }}</td>
          </tr>
        </tbody>
      </table>
    </StageSection>
  </div>
</template>
