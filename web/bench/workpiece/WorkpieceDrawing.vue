<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useId, useTemplateRef } from 'vue';
import type { Cable, Stage } from '../../../core/model/cable.ts';
import { END_NAMES, type EndName } from '../../../core/model/end.ts';
import { meetsWord } from '../../../core/model/posts.ts';
import type { Feature } from '../../../core/traveller/steps.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { lengthText, sizeText } from '../../ui/display.ts';
import { useIsPhone } from '../../ui/useWide.ts';
import DimensionLine from './DimensionLine.vue';
import EndAnnotation from './EndAnnotation.vue';
import EndPicture from './EndPicture.vue';
import MiddlePicture from './MiddlePicture.vue';
import { isStrong, middleWidth, SHEET } from './sheet.ts';
import { type SheetPart, useSheet } from './useSheet.ts';
import { askedPlace } from '../prove/asked.ts';
import { say } from '../../../core/words/say.ts';
import { INCH_MM } from '../../../core/words/imperial.ts';

/**
 * The cable on the bench: both ends true to scale, the long middle broken. The same drawing through all stages; the
 * stage decides what stands out. Pressing a dimension opens its figure in the ledger.
 */
const {
  cable,
  work,
  stage,
  lit = null,
} = defineProps<{
  cable: Cable;
  work: CableWork;
  stage: Stage;
  lit?: readonly Feature[] | null;
}>();
const emit = defineEmits<{ open: [findingId: string]; turn: [angleDeg: number] }>();

const { prefs } = usePrefs();
const isPhone = useIsPhone();
const host = useTemplateRef<HTMLElement>('host');
const { width: hostWidth } = useElementSize(host);
const titleId = useId();
const gridId = useId();
/** On a phone one part is shown at a time. */
const part = ref<SheetPart>('A');

const width = computed(() => Math.max(320, Math.floor(hostWidth.value)));
const { frame, outerMm, bundleMm, angles, drawn, scale, ends, long, notDrawnMm, sized } = useSheet(
  () => ({ cable, work, lengths: prefs.lengths }),
  width,
  isPhone,
  part,
);
const isShown = (name: SheetPart) => !isPhone.value || part.value === name;
const size = computed(() => sizeText(work.choice.taken.at.size));

/** A line of the grid, mm, and after how many a stronger one: centimetres, or half inches. */
const ruled = computed(() =>
  prefs.lengths === 'in' ? { mm: INCH_MM / 2, strong: 4 } : { mm: 10, strong: 5 },
);
const grid = computed(() => ruled.value.mm * scale.value);
/** The grid lies where the drawing is to scale, and stops at the breaks. */
const scaled = computed(() => {
  const { endWidth } = frame.value;
  if (!isPhone.value) return [0, width.value - endWidth].map((x) => ({ x, width: endWidth }));
  return part.value === 'middle' ? [] : [{ x: 0, width: width.value }];
});
const centreLine = (name: EndName) => {
  const { edgeX, breakX, studX, direction } = ends.value[name];
  return `M${edgeX + 6 * direction} ${SHEET.centreY}H${breakX + 8 * direction}M${studX} 10V${SHEET.rows.barrel + 5}`;
};
const bareJacket = (name: EndName) => {
  const { edgeX, breakX, direction } = ends.value[name];
  const from = edgeX + direction * 130;
  return { x: Math.min(from, breakX), width: Math.abs(breakX - from), height: outerMm.value * scale.value };
};

const note = computed(() => {
  const middle = notDrawnMm.value === null ? '' : say` · middle ${sized(notDrawnMm.value, 0)} not drawn`;
  return prefs.lengths === 'in'
    ? say`all in inches · grid ½ in${middle}`
    : say`all in mm · grid 10 mm${middle}`;
});
/** Said once, beside the first end's crimps. */
const proposal = computed(() => {
  const { A } = ends.value;
  if (!A.rows || !drawn.value.some(({ isProposed }) => isProposed)) return null;
  const taken = A.rows.crimps.map(({ textX, textWidth, to }) => Math.max(to, textX + textWidth / 2));
  return { x: Math.max(A.x(0), ...taken) + 10 };
});
const spoken = computed(() => {
  const cut = work.lengths ? say`cut ${lengthText(work.lengths.cutMm, 0)}` : say`no cut length yet`;
  return say`Cable ${cable.tag}: ${size.value}, ${cut}`;
});
</script>

<template>
  <div ref="host" class="workpiece isolate border-b border-line bg-paper">
    <svg
      v-if="hostWidth > 0"
      :width="width"
      :height="SHEET.height"
      :viewBox="`0 0 ${width} ${SHEET.height}`"
      role="group"
      :aria-labelledby="titleId"
      class="block overflow-hidden"
    >
      <title :id="titleId">{{ spoken }}</title>
      <defs>
        <pattern
          :id="gridId"
          :width="grid * ruled.strong"
          :height="grid * ruled.strong"
          patternUnits="userSpaceOnUse"
          :y="SHEET.centreY"
        >
          <path
            v-for="i in ruled.strong - 1"
            :key="i"
            :d="`M${grid * i} 0V${grid * ruled.strong}M0 ${grid * i}H${grid * ruled.strong}`"
            stroke="var(--grid)"
            stroke-width="1"
          />
          <path
            :d="`M0 0V${grid * ruled.strong}M0 0H${grid * ruled.strong}`"
            stroke="var(--grid-strong)"
            stroke-width="1"
          />
        </pattern>
      </defs>
      <rect
        v-for="strip in scaled"
        :key="strip.x"
        v-bind="strip"
        y="0"
        :height="SHEET.height"
        :fill="`url(#${gridId})`"
      />

      <template v-for="name in END_NAMES" :key="name">
        <g v-if="isShown(name)">
          <path class="centre" :d="centreLine(name)" />
          <EndPicture
            v-if="ends[name].sheet"
            :end="ends[name].sheet"
            :outer-mm="outerMm"
            :bundle-mm="bundleMm"
            :scale="scale"
            :edge-x="ends[name].edgeX"
            :break-x="ends[name].breakX"
            :jacket="cable.jacket"
            :tag="cable.tag"
            :lit="lit"
            :asked="askedPlace?.end === name ? askedPlace : null"
          />
          <template v-else>
            <rect
              v-bind="bareJacket(name)"
              :y="SHEET.centreY - (outerMm * scale) / 2"
              :fill="`var(--${cable.jacket})`"
              :stroke="`var(--${cable.jacket}-line)`"
            />
            <text
              class="missing"
              :x="ends[name].edgeX + ends[name].direction * 14"
              :y="SHEET.centreY + 5"
              :text-anchor="name === 'A' ? 'start' : 'end'"
              :font-size="SHEET.figureSize"
            >
              {{ say`no lug suits yet` }}
            </text>
          </template>
          <EndAnnotation
            :end="ends[name]"
            :resolved="work.ends[name]"
            :outer-mm="outerMm"
            :scale="scale"
            :angle-deg="angles[name]"
            :stage="stage"
            :unit="prefs.lengths"
            :room="frame.endWidth - 40"
            @open="emit('open', $event)"
          />
        </g>
      </template>
      <text
        v-if="proposal && isShown('A')"
        class="proposal"
        :x="proposal.x"
        :y="SHEET.rows.crimps + 5"
        :font-size="SHEET.noteSize"
      >
        {{ say`suggested ends` }}
      </text>
      <template v-if="part !== 'middle' || !isPhone">
        <DimensionLine
          v-for="dimension in long"
          :key="dimension.id"
          v-bind="dimension"
          :inside="true"
          :strong="isStrong(stage, dimension.id)"
          :label="say`${dimension.text} ${prefs.lengths}: show the calculation`"
          @open="emit('open', dimension.id)"
        />
      </template>
      <MiddlePicture
        v-if="isShown('middle')"
        :centre-x="width / 2"
        :spread="isPhone ? 80 : middleWidth(width) / 4 + 6"
        :outer-mm="outerMm"
        :bundle-mm="bundleMm"
        :scale="scale"
        :jacket="cable.jacket"
        :angle-deg="cable.palmAngleDeg"
        :size-label="size"
        :outer-label="sized(outerMm, 1)"
        @open-size="emit('open', 'drop')"
        @open-angle="emit('open', 'clocking')"
        @turn="emit('turn', $event)"
      />
      <text
        v-if="!isPhone"
        :x="width / 2"
        :y="SHEET.rows.caption + 5"
        text-anchor="middle"
        :font-size="SHEET.noteSize"
      >
        {{ note }}
      </text>
    </svg>
    <div
      v-if="isPhone"
      class="flex border-t border-hairline"
      role="tablist"
      :aria-label="say`Part of the cable shown`"
    >
      <button
        v-for="name in ['A', 'middle', 'B'] as const"
        :key="name"
        type="button"
        role="tab"
        :aria-selected="part === name"
        class="figure h-11 flex-1 border-r border-hairline text-[16px] last:border-r-0"
        :class="part === name ? 'border-t-2 border-t-teal bg-paper font-semibold' : 'bg-chalk text-ink2'"
        @click="part = name"
      >
        {{ name === 'middle' ? say`middle` : `${name} ${tell(meetsWord(work.ends[name].meets))}` }}
      </button>
    </div>
  </div>
</template>

<style>
.workpiece svg text {
  font-family: var(--font-figure);
  font-variant-numeric: tabular-nums;
  fill: var(--ink2);
  font-weight: 400;
}
.workpiece .dimension .rule,
.workpiece .dimension .tick,
.workpiece .extension {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 0.75;
}
.workpiece .extension {
  stroke-width: 0.6;
  opacity: 0.7;
}
.workpiece .dimension .tick {
  stroke-width: 1.1;
}
.workpiece .dimension.strong text,
.workpiece svg .dimension:hover text {
  fill: var(--ink);
  font-weight: 500;
}
.workpiece .dimension:hover .rule,
.workpiece .dimension:hover .tick {
  stroke: var(--teal);
}
.workpiece .centre {
  fill: none;
  stroke: var(--ink3);
  stroke-width: 0.7;
  stroke-dasharray: 11 3 2 3;
}
.workpiece .ghost {
  opacity: 0.28;
}
.workpiece svg .tag-text {
  font-weight: 600;
  fill: var(--tag-ink);
}
.workpiece .caption circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.workpiece svg .caption text {
  fill: var(--ink);
}
.workpiece svg .proposal {
  fill: var(--copper-text);
}
.workpiece svg .missing {
  fill: var(--fails);
  font-weight: 500;
}
</style>
