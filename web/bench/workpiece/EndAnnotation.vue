<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { Stage } from '../../../core/model/cable.ts';
import { meetsWord } from '../../../core/model/posts.ts';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import type { Prefs } from '../../storage/prefs.ts';
import DimensionLine from './DimensionLine.vue';
import { textWidth } from './dimensions.ts';
import { isStrong, palmWords, SHEET } from './sheet.ts';
import type { PlacedEnd } from './useSheet.ts';
import { say } from '../../../core/words/say.ts';

/** What is written about one end: extension lines, its rows of dimensions, and where it is bolted. */
const { end, resolved, outerMm, scale, angleDeg, stage, unit, room } = defineProps<{
  end: PlacedEnd;
  resolved: ResolvedEnd;
  outerMm: number;
  scale: number;
  angleDeg: number;
  stage: Stage;
  unit: Prefs['lengths'];
  /** Width the caption may take, px. */
  room: number;
}>();
defineEmits<{ open: [findingId: string] }>();

/** Lines from the workpiece out to the rows that measure it. */
const extensions = computed(() => {
  const { sheet, x } = end;
  if (!sheet) return '';
  const { centreY, rows } = SHEET;
  const { lug, sleeve, jacketFromU } = sheet;
  const mouth = lug.studToBarrelMm + lug.barrelMm;
  const belowJacket = centreY + (outerMm * scale) / 2 + 4;
  return [
    `M${x(lug.studToBarrelMm)} ${rows.cut - 5}V${centreY - 10}`,
    `M${x(mouth)} ${rows.crimps - 5}V${centreY - 10}`,
    `M${x(lug.studToBarrelMm)} ${centreY + 10}V${rows.sleeve + 5}`,
    `M${x(jacketFromU)} ${belowJacket}V${rows.barrel + 5}`,
    ...(sleeve ? [`M${x(sleeve.toU)} ${belowJacket}V${rows.sleeve + 5}`] : []),
    ...resolved.crimps.map((fromMouth) => `M${x(mouth - fromMouth)} ${rows.crimps - 5}V${centreY}`),
  ].join('');
});

const caption = computed(() => {
  const { at: where } = resolved.spec;
  const stud = tell(meetsWord(resolved.meets));
  const whole = [where || say`place not given`, stud, palmWords(angleDeg)].join(', ');
  if (textWidth(whole, SHEET.noteSize) <= room) return whole;
  const letters = Math.max(4, Math.floor(room / 7) - stud.length - 3);
  return `${where.length > letters ? `${where.slice(0, letters)}…` : where}, ${stud}`;
});
const at = (px: number) => end.edgeX + end.direction * px;
</script>

<template>
  <g>
    <path class="extension" :d="extensions" />
    <template v-for="(row, key) in end.rows ?? {}" :key="key">
      <DimensionLine
        v-for="(dimension, i) in row"
        :key="`${key}${i}`"
        v-bind="dimension"
        :y="SHEET.rows[key]"
        :strong="isStrong(stage, dimension.id)"
        :label="say`${dimension.text} ${unit}, end ${end.name}: show the calculation`"
        @open="$emit('open', dimension.id)"
      />
    </template>
    <g class="caption">
      <circle :cx="at(22)" :cy="SHEET.rows.caption" r="8.5" />
      <text :x="at(22)" :y="SHEET.rows.caption + 5" text-anchor="middle" :font-size="SHEET.noteSize">
        {{ end.name }}
      </text>
      <text
        :x="at(36)"
        :y="SHEET.rows.caption + 5"
        :text-anchor="end.direction === 1 ? 'start' : 'end'"
        :font-size="SHEET.noteSize"
      >
        {{ caption }}
      </text>
    </g>
  </g>
</template>
