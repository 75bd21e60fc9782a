<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { HALF, type Spot, STUD_HALF } from './layout.ts';
import PlaceShape from './PlaceShape.vue';
import { type DrawingProps, useDrawing } from './useDrawing.ts';
import { say } from '../../core/words/say.ts';

/** The single-line diagram: both poles, plus above and return below, with the figures of a state on it. */
const props = defineProps<
  DrawingProps & {
    /** A picture on paper: nothing of it is pressed. */
    still?: boolean;
  }
>();
defineEmits<{ cable: [id: string]; place: [id: string]; post: [title: string] }>();

const { edges, places, studs, failingPlaces, isOpen, isDimmed, nameY } = useDrawing(props);
</script>

<template>
  <svg
    class="system-drawing block"
    :width="drawn.width"
    :height="drawn.height"
    :viewBox="`0 0 ${drawn.width} ${drawn.height}`"
    :role="still ? 'img' : 'group'"
    :aria-label="say`Diagram of the system`"
  >
    <defs>
      <pattern id="system-grid" width="20" height="20" patternUnits="userSpaceOnUse">
        <path d="M20 0H0V20" fill="none" stroke="var(--grid)" />
      </pattern>
    </defs>
    <rect :width="drawn.width" :height="drawn.height" fill="url(#system-grid)" />
    <g
      v-for="own in edges"
      :key="own.id"
      :class="own.cable ? 'cursor-pointer' : ''"
      :role="own.spoken && !still ? 'link' : undefined"
      :tabindex="own.spoken && !still ? 0 : undefined"
      :aria-label="still ? undefined : own.spoken || undefined"
      @click="own.cable && $emit('cable', own.cable.id)"
      @keydown.enter="own.cable && $emit('cable', own.cable.id)"
    >
      <path v-if="own.isPointed" :d="own.d" class="halo" :stroke-width="own.width + 12" />
      <path :d="own.d" fill="none" stroke="transparent" :stroke-width="Math.max(24, own.width)" />
      <path
        :d="own.d"
        fill="none"
        :stroke="`var(--${own.jacket}${own.cable ? '-line' : ''})`"
        :stroke-width="own.width + 1.6"
        stroke-linejoin="round"
      />
      <path
        v-if="own.cable"
        :d="own.d"
        fill="none"
        :stroke="`var(--${own.jacket})`"
        :stroke-width="own.width"
        stroke-linejoin="round"
      />
      <path
        v-if="own.cable && !own.isMade"
        :d="own.d"
        fill="none"
        stroke="var(--paper)"
        stroke-width="1.3"
        stroke-dasharray="9 7"
      />
    </g>
    <rect
      v-for="[id, rail] in studs"
      :key="id"
      :x="rail.from + 10"
      :y="rail.y - STUD_HALF"
      :width="rail.to - rail.from - 20"
      :height="2 * STUD_HALF"
      fill="var(--copper)"
      stroke="var(--copper-line)"
    />
    <g
      v-for="{ place, spot, rail, lines, name, posts } in places"
      :key="place.id"
      :class="isDimmed(place) ? 'opacity-60' : ''"
    >
      <template v-if="rail">
        <g
          :role="still ? undefined : 'button'"
          :tabindex="still ? undefined : 0"
          class="cursor-pointer"
          :aria-label="still ? undefined : lines.join(', ')"
          @click="$emit('place', place.id)"
          @keydown.enter="$emit('place', place.id)"
        >
          <rect
            v-if="pointed.places.includes(place.id)"
            class="halo-box"
            :x="rail.from - 6"
            :y="rail.y - HALF[place.kind] - 6"
            :width="rail.to - rail.from + 12"
            :height="2 * HALF[place.kind] + 12"
          />
          <rect
            :x="rail.from"
            :y="rail.y - HALF[place.kind]"
            :width="rail.to - rail.from"
            :height="2 * HALF[place.kind]"
            :fill="place.kind === 'bar' ? 'var(--copper)' : 'var(--steel)'"
            :stroke="place.kind === 'bar' ? 'var(--copper-line)' : 'var(--ink)'"
            stroke-width="1.2"
          />
          <path
            v-if="place.kind === 'ground'"
            :d="`M${rail.from + 6} ${rail.y + 6}l-6 6M${spot.x} ${rail.y + 6}l-6 6M${rail.to - 4} ${rail.y + 6}l-6 6`"
            stroke="var(--ink)"
          />
          <text :x="rail.from" :y="nameY(place.id, rail.y, HALF[place.kind])" class="name">
            {{ lines[0] }}
          </text>
          <text
            v-if="lines[1] && rail.to - rail.from > 220"
            :x="rail.from + 84"
            :y="nameY(place.id, rail.y, HALF[place.kind])"
            class="note"
          >
            {{ lines[1] }}
          </text>
          <text
            v-if="lines[2]"
            :x="rail.to"
            :y="nameY(place.id, rail.y, HALF[place.kind])"
            text-anchor="end"
            class="figure-line"
          >
            {{ lines[2] }}
          </text>
        </g>
        <circle
          v-for="{ x } in drawn.edges.flatMap(({ edge, points }) => [
            ...(edge.above.node === place.id && points[0] ? [points[0]] : []),
            ...(edge.below.node === place.id && points.at(-1) ? [points.at(-1) as Spot] : []),
          ])"
          :key="x"
          :cx="x"
          :cy="rail.y"
          r="4.5"
          fill="var(--steel)"
          stroke="var(--ink)"
          stroke-width="1.2"
        />
      </template>
      <g v-else :transform="`translate(${spot.x} ${spot.y})`">
        <g
          :role="still ? undefined : 'button'"
          :tabindex="still ? undefined : 0"
          class="cursor-pointer"
          :aria-label="still ? undefined : lines.join(', ')"
          @click="$emit('place', place.id)"
          @keydown.enter="$emit('place', place.id)"
        >
          <circle v-if="pointed.places.includes(place.id)" class="halo-box" :r="HALF[place.kind] + 10" />
          <PlaceShape :place="place" :is-open="isOpen(place)" />
          <circle
            v-if="failingPlaces.has(place.id)"
            :cx="-HALF[place.kind] + 2"
            :cy="-HALF[place.kind] + 4"
            r="6"
            fill="var(--fails)"
            stroke="var(--paper)"
            stroke-width="1.5"
          />
          <text
            v-for="(line, i) in [...name, ...lines.slice(1)]"
            :key="i"
            :x="34"
            :y="(i - (name.length + lines.length - 2) / 2) * 16 + 5"
            :class="i < name.length ? 'name' : i === name.length ? 'figure-line' : 'note'"
          >
            {{ line }}
          </text>
        </g>
        <g v-for="own in posts" :key="own.post">
          <path
            v-if="own.isBare"
            :d="`M${own.x} ${own.y}v${own.y < 0 ? -20 : 20}`"
            stroke="var(--ink2)"
            stroke-width="2"
            stroke-dasharray="4 3"
          />
          <circle
            v-if="!still"
            :cx="own.x"
            :cy="own.y"
            r="12"
            fill="transparent"
            class="post cursor-pointer"
            role="button"
            tabindex="0"
            :aria-label="say`Cable from ${own.title}`"
            @click.stop="$emit('post', own.title)"
            @keydown.enter.stop="$emit('post', own.title)"
          />
        </g>
      </g>
    </g>
    <g v-for="own in edges" :key="`words ${own.id}`" class="pointer-events-none" aria-hidden="true">
      <g v-if="own.fuse" :transform="`translate(${own.fuse.x} ${own.fuse.y})`">
        <rect
          x="-9"
          y="-12"
          width="18"
          height="24"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.2"
        />
        <path d="M0 -12V-7C-6 -4 -6 -2 0 0S6 4 0 7V12" fill="none" stroke="var(--ink)" stroke-width="1.4" />
        <text x="14" y="5" class="note">{{ own.fuse.rating }} A</text>
      </g>
      <g v-if="own.words">
        <text
          v-for="(line, i) in own.words.lines"
          :key="i"
          :x="own.words.x"
          :y="own.words.y + (i - (own.words.lines.length - 1) / 2) * 15 + 5"
          :class="i === 0 ? 'name small' : own.finding ? 'fails' : 'note'"
        >
          {{ line }}
        </text>
      </g>
    </g>
    <title>{{ tell(say`Diagram of the system`) }}</title>
  </svg>
</template>

<style>
.system-drawing text {
  font: 500 14px var(--font-figure);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4px;
  paint-order: stroke;
}
.system-drawing text.name {
  font-weight: 600;
  font-size: 15px;
}
.system-drawing text.name.small {
  font-size: 14px;
}
.system-drawing text.figure-line {
  font-weight: 600;
}
.system-drawing text.note {
  fill: var(--ink2);
  font-weight: 400;
}
.system-drawing text.fails {
  fill: var(--fails);
  font-weight: 600;
}
.system-drawing .halo {
  fill: none;
  stroke: var(--teal-tint);
}
.system-drawing .halo-box {
  fill: var(--teal-tint);
}
.system-drawing .post:hover,
.system-drawing .post:focus-visible {
  fill: var(--teal);
  fill-opacity: 0.5;
}
</style>
