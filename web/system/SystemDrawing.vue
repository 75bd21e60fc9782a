<script setup lang="ts">
import { computed } from 'vue';
import { tell } from '../../core/words/message.ts';
import { digits } from '../../core/words/numerals.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Place } from '../../core/model/system.ts';
import { areaMm2, sizeLabel } from '../../core/model/tables/size.ts';
import { PLACE_POSTS, POST_SIGNS, type PostName } from '../../core/model/tables/places.ts';
import type { SystemFinding } from '../../core/system/findingParts.ts';
import { postTitle } from '../../core/system/places.ts';
import type { Shown } from '../../core/system/shown.ts';
import type { SystemView } from '../../core/system/view.ts';
import { runText } from '../ui/display.ts';
import { usePrefs } from '../stores/prefs.ts';
import { DCDC_POST, type DrawnDiagram, HALF, type Spot, STUD_HALF } from './layout.ts';
import PlaceShape from './PlaceShape.vue';
import { say } from '../../core/words/say.ts';

/** The single-line diagram: both poles, plus above and return below, with the figures of a state on it. */
const {
  view,
  drawn,
  shown,
  stateId,
  findings,
  pointed,
  made,
  still = false,
} = defineProps<{
  view: SystemView;
  drawn: DrawnDiagram;
  shown: Shown;
  /** Null: the worst of all states. */
  stateId: string | null;
  findings: readonly SystemFinding[];
  /** What an opened finding speaks of. */
  pointed: { readonly places: readonly string[]; readonly cables: readonly string[] };
  /** Cables that are made, by id: the others are drawn broken. */
  made: ReadonlySet<string>;
  /** A picture on paper: nothing of it is pressed. */
  still?: boolean;
}>();
defineEmits<{ cable: [id: string]; place: [id: string]; post: [title: string] }>();

const { prefs } = usePrefs();
const conductorOf = computed(
  () => new Map(view.installation.conductors.map((conductor) => [conductor.cable.id, conductor])),
);
const failing = computed(() => {
  const topics = ['unfused', 'under-fuse'];
  const own = findings.filter(({ state, topic }) => state === 'fails' && topics.includes(topic));
  return new Map(own.map((finding) => [finding.cables[0] ?? '', finding]));
});
const failingPlaces = computed(
  () =>
    new Set(
      findings
        .filter(({ state, topic }) => state === 'fails' && topic !== 'loads-return')
        .flatMap(({ places, cables }) => (cables.length > 0 ? [] : places)),
    ),
);
/** px for copper of so many mm², all conductors side by side. */
const stroke = (mm2: number) => Math.max(2.5, Math.min(10, 1 + Math.sqrt(mm2) * 0.85));

const path = (points: readonly Spot[]) =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
/** Where the words of a conductor stand: beside its longest upright stretch. */
function beside(points: readonly Spot[]): Spot & { room: number } {
  let best = { x: points[0]?.x ?? 0, y: points[0]?.y ?? 0, room: 0 };
  points.slice(1).forEach((to, i) => {
    const from = points[i] as Spot;
    const length = Math.abs(to.y - from.y);
    if (Math.abs(to.x - from.x) < 0.5 && length > best.room)
      best = { x: to.x, y: (from.y + to.y) / 2, room: length };
  });
  return best;
}

interface Drawn {
  readonly id: string;
  readonly cable: Cable | null;
  readonly d: string;
  readonly width: number;
  readonly jacket: string;
  readonly words: { readonly x: number; readonly y: number; readonly lines: readonly string[] } | null;
  readonly fuse: { readonly x: number; readonly y: number; readonly rating: string } | null;
  readonly finding: SystemFinding | null;
  readonly isPointed: boolean;
  readonly isMade: boolean;
  readonly spoken: string;
}

const edges = computed(() =>
  drawn.edges.map(({ edge, points }): Drawn => {
    const conductor = edge.of.kind === 'cable' ? conductorOf.value.get(edge.of.id) : undefined;
    const cable = conductor?.cable ?? null;
    const isFirst = edge.id === edge.of.id;
    const amps = cable ? shown.cables.get(cable.id)?.amps : null;
    const { x, y, room } = beside(points);
    const lines =
      cable && conductor
        ? [
            `${cable.tag}\u2002${amps === null || amps === undefined ? '–' : `${digits(Math.abs(amps), 1)} A`}`,
            failing.value.get(cable.id)
              ? wrongSays(failing.value.get(cable.id) as SystemFinding)
              : `${sizeLabel(conductor.size.size)}, ${runText(cable.run.lengthMm + cable.run.loopMm, prefs.lengths)}`,
          ]
        : [];
    const spokenFigures = lines.map((line) => line.replace(`${cable?.tag}\u2002`, '')).join(', ');
    const inline = conductor?.fuses[0];
    const isAtTop =
      inline !== undefined && view.placeOf(edge.above.node)?.id === cable?.ends[inline.end].on?.place;
    const fuseAt = isAtTop ? points[0] : points.at(-1);
    const fuseX = (isAtTop ? points[1] : points.at(-2))?.x ?? 0;
    return {
      id: edge.id,
      cable,
      d: path(points),
      width: conductor ? stroke(areaMm2(conductor.size.size) * (cable?.gauge.parallel ?? 1)) : 3,
      jacket: cable?.jacket ?? (edge.of.kind === 'stud' ? 'copper' : 'steel'),
      words:
        cable && isFirst && room >= 14
          ? { x: x + 9, y, lines: room >= 34 ? lines : lines.slice(0, 1) }
          : null,
      fuse:
        inline && isFirst && fuseAt && room >= 60
          ? { x: fuseX, y: fuseAt.y + (isAtTop ? 24 : -24), rating: digits(inline.ratingA, 0) }
          : null,
      finding: cable && isFirst ? (failing.value.get(cable.id) ?? null) : null,
      isPointed: cable !== null && pointed.cables.includes(cable.id),
      isMade: cable !== null && made.has(cable.id),
      spoken:
        cable && isFirst ? say`${cable.tag}, ${cable.ends.A.at} to ${cable.ends.B.at}: ${spokenFigures}` : '',
    };
  }),
);

/** What is wrong with a cable, in three words. */
const wrongSays = ({ topic, value, limit }: SystemFinding) =>
  topic === 'unfused' || limit?.kind !== 'most'
    ? say`no fuse`
    : say`${digits(value ?? 0, 0)} A fuse, allowed ${digits(limit.most, 0)} A`;

const volts = (value: number | null | undefined) =>
  value === null || value === undefined ? '–' : `${digits(value, 2)} V`;
const amps = (value: number | null | undefined) =>
  value === null || value === undefined ? '–' : `${digits(Math.abs(value), 1)} A`;

/** The lines beside a place. */
function linesOf(place: Place): readonly string[] {
  const flow = shown.places.get(place.id);
  switch (place.kind) {
    case 'battery':
      return [
        place.name,
        volts(flow?.volts),
        flow && (flow.amps ?? 0) < -0.05 ? say`takes ${amps(flow.amps)}` : say`gives ${amps(flow?.amps)}`,
      ];
    case 'supply':
    case 'dcdc':
      return [place.name, flow?.isOn ? say`gives ${amps(flow.amps)}` : say`off`];
    case 'load':
      return flow?.isOn
        ? [place.name, flow.isFed ? volts(flow.volts) : say`not fed`, amps(flow.amps)]
        : [place.name, say`off`];
    case 'fuse':
    case 'breaker':
      return [place.name, `${digits(place.ratingA, 0)} A`, ...(isOpen(place) ? [say`open`] : [])];
    case 'switch':
    case 'relay':
      return [
        place.name,
        [
          isOpen(place) ? say`open` : say`closed`,
          ...(place.ratingA ? [`${digits(place.ratingA, 0)} A`] : []),
        ].join(', '),
      ];
    case 'shunt':
      return [place.name, ...(place.ratingA ? [`${digits(place.ratingA, 0)} A`] : [])];
    case 'bar':
      return [
        place.name,
        [
          ...(place.ratingA ? [say`${digits(place.ratingA, 0)} A bar`] : []),
          ...(place.stud ? [place.stud] : []),
        ].join(', '),
        isReturn(place.id) ? say`${amps(flow?.amps)} back` : volts(flow?.volts),
      ];
    case 'ground':
      return [place.name];
  }
}
const isOpen = (place: Place) => {
  const flow = shown.places.get(place.id);
  const state = stateId === null ? undefined : view.stateOf(stateId);
  return state ? state.open.includes(place.id) : flow?.isOn === false;
};

const used = computed(
  () =>
    new Set(
      view.installation.conductors
        .flatMap(({ cable }) => [cable.ends.A.on, cable.ends.B.on])
        .map((on) => `${on?.place} ${on?.post}`),
    ),
);
/** A post by its place on the shape, and whether nothing is on it. */
function postsOf(place: Place): { post: PostName; x: number; y: number; isBare: boolean; title: string }[] {
  if (place.kind === 'bar' || place.kind === 'ground') return [];
  const half = HALF[place.kind];
  const edge = drawn.edges.find(({ edge: own }) => own.above.node === place.id && own.above.post);
  const top = drawn.edges.find(({ edge: own }) => own.below.node === place.id && own.below.post)?.edge.below
    .post;
  return PLACE_POSTS[place.kind].map((post: PostName) => {
    const isTop =
      place.kind === 'dcdc' || post === 'plus' || post === 'minus'
        ? post.endsWith('plus')
        : top
          ? post === top
          : edge
            ? post !== edge.edge.above.post
            : post === 'line';
    return {
      post,
      x: place.kind === 'dcdc' ? (post.startsWith('in') ? -DCDC_POST : DCDC_POST) : 0,
      y: isTop ? -half : half,
      isBare:
        !used.value.has(`${place.id} ${post}`) &&
        !(place.kind === 'load' && place.groundId && post === 'minus'),
      title: postTitle(place, post) + (post === 'line' || post === 'load' ? ` ${POST_SIGNS[post]}` : ''),
    };
  });
}
const places = computed(() =>
  view.installation.system.places.flatMap((place) => {
    const spot = drawn.spots.get(place.id);
    if (!spot) return [];
    return [{ place, spot, rail: drawn.rails.get(place.id), lines: linesOf(place), posts: postsOf(place) }];
  }),
);
/** Names of bars stand above them, of those that all comes back to under them. */
const nameY = (id: string, y: number, half: number) => (isReturn(id) ? y + half + 17 : y - half - 7);
const isReturn = (id: string) => view.protection.isReturn[view.postOf(id, 'post')] ?? false;
const studs = computed(() => [...drawn.rails].filter(([id]) => id.startsWith('stud ')));
const isDimmed = (place: Place) => shown.places.get(place.id)?.isOn === false;
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
      v-for="{ place, spot, rail, lines, posts } in places"
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
            v-for="(line, i) in lines"
            :key="i"
            :x="34"
            :y="(i - (lines.length - 1) / 2) * 16 + 5"
            :class="i === 0 ? 'name' : i === 1 ? 'figure-line' : 'note'"
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
            r="9"
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
