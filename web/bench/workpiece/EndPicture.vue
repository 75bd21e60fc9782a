<script setup lang="ts">
import { computed } from 'vue';
import type { CrimpPlace } from '../../../core/proof/crimpsRead.ts';
import type { Feature } from '../../../core/traveller/steps.ts';
import { type Place, placeEnd, polygon, rectangle, toPath, type Point } from './geometry.ts';
import { bent, foreshortened, hexagonView, lugOutline, palmView } from './lugShape.ts';
import { say } from '../../../core/words/say.ts';
import { type EndSheet, SHEET, studOffset, tagOffset, tagText, tagWidth } from './sheet.ts';

/** One end of the workpiece, to scale: lug, crimps, copper, jacket, sleeve and tag, up to the break. */
const {
  end,
  outerMm,
  bundleMm,
  scale,
  edgeX,
  breakX,
  jacket,
  tag,
  lit,
  asked = null,
} = defineProps<{
  end: EndSheet;
  outerMm: number;
  bundleMm: number;
  scale: number;
  /** The edge of the sheet that this end starts from, and where the cable breaks off, px. */
  edgeX: number;
  breakX: number;
  jacket: string;
  /** What its label says; no label is drawn where it is empty. */
  tag: string;
  /** Parts to show in full; all of them when null. */
  lit: readonly Feature[] | null;
  /** Where the calliper goes next, counted from the mouth; null while nothing is asked. */
  asked?: CrimpPlace | null;
}>();

const direction = computed(() => (breakX > edgeX ? 1 : -1));
const studX = computed(() => edgeX + direction.value * studOffset(end, scale));
const place = computed<Place>(() => placeEnd(studX.value, SHEET.centreY, scale, direction.value));
const path = (segments: Parameters<typeof toPath>[0]) => toPath(segments, place.value);
const isLit = (...features: Feature[]) => lit === null || features.some((feature) => lit.includes(feature));

const lug = computed(() => end.lug);
const mouthU = computed(() => lug.value.studToBarrelMm + lug.value.barrelMm);
const palm = computed(() => palmView(lug.value, end.angleDeg));
const breakU = computed(() => Math.abs(breakX - studX.value) / scale);
const pressed = computed(() => (end.progress.crimped ? end.crimps : []));

const outline = computed(() => path(lugOutline(lug.value, end.angleDeg, pressed.value)));
const bend = computed(() => bent(lug.value, end.angleDeg));
const hole = computed(() => ({
  at: place.value(bend.value([0, palm.value.middle])),
  rx: (lug.value.holeMm / 2) * scale * foreshortened(lug.value),
  ry: (lug.value.holeMm / 2) * scale * palm.value.foreshortening,
}));
/** A clamp is slit from its hole to its tip, and drawn together by a bolt. */
const slit = computed(() => {
  const { form, holeMm, palmWidthMm } = lug.value;
  if (form === 'tube' || palm.value.foreshortening < 0.3) return '';
  return [-1.2, 1.2]
    .map((v) =>
      path([
        ['M', bend.value([-holeMm / 2 + 0.2, palm.value.middle + v])],
        ['L', bend.value([-palmWidthMm / 2, palm.value.middle + v])],
      ]),
    )
    .join('');
});
const isOnEdge = computed(() => palm.value.foreshortening < 0.2);
/** A hole seen from the edge of the palm is two hidden lines. */
const hiddenHole = computed(() => {
  const { half, middle } = palm.value;
  const line = (u: number): Point[] => [
    [u, middle - half],
    [u, middle + half],
  ];
  return [-lug.value.holeMm / 2, lug.value.holeMm / 2]
    .map((u) => line(u).map((point) => place.value(bend.value(point)).join(' ')))
    .map(([from, to]) => `M${from}L${to}`)
    .join('');
});
const crimps = computed(() =>
  end.crimps.map((crimp) => {
    const { half, edges } = hexagonView(crimp.acrossFlatsMm, end.angleDeg);
    const height = Math.min(half, lug.value.outerMm / 2);
    return {
      body: path(rectangle(crimp.fromU, crimp.toU, height)),
      edges: edges.map((v) =>
        path([
          ['M', [crimp.fromU, v]],
          ['L', [crimp.toU, v]],
        ]),
      ),
    };
  }),
);
const sightHole = computed(() =>
  lug.value.sightHole && palm.value.foreshortening > 0.3
    ? place.value([lug.value.studToBarrelMm + 1.4, 0])
    : null,
);
const copper = computed(() => path(rectangle(mouthU.value - 0.2, end.jacketFromU, bundleMm / 2)));
const strands = computed(() =>
  [-0.6, -0.2, 0.2, 0.6]
    .map((share) =>
      path([
        ['M', [mouthU.value, (share * bundleMm) / 2]],
        ['L', [end.jacketFromU, (share * bundleMm) / 2]],
      ]),
    )
    .join(''),
);

/** The jaws on the crimp that is to be measured: over it, under it, and what they are drawn to. */
const JAWS_GAP = 5;
const jaws = computed(() => {
  const crimp = asked && end.crimps[asked.crimp - 1];
  if (!crimp) return null;
  const half = Math.min(hexagonView(crimp.acrossFlatsMm, end.angleDeg).half, lug.value.outerMm / 2);
  const [left, top] = place.value([crimp.fromU, -half]);
  const [right, bottom] = place.value([crimp.toU, half]);
  const [x, width] = [Math.min(left, right), Math.abs(right - left)];
  const [upper, lower] = [Math.min(top, bottom) - JAWS_GAP, Math.max(top, bottom) + JAWS_GAP];
  return { x, width, upper, lower, middle: x + width / 2, number: asked.crimp };
});

/** The jacket ends in a break: a curve to one side and back. */
const jacketPath = computed(() => {
  const half = outerMm / 2;
  const from = end.jacketFromU;
  const to = breakU.value;
  const sway = 2.6;
  return path([
    ['M', [from, -half]],
    ['L', [to, -half]],
    ['C', [to + sway, -half * 0.55], [to + sway, -half * 0.25], [to, 0]],
    ['C', [to - sway, half * 0.25], [to - sway, half * 0.55], [to, half]],
    ['L', [from, half]],
    ['Z'],
  ]);
});
/** One quiet line of light along the jacket makes it round. */
const gloss = computed(() =>
  path([
    ['M', [end.jacketFromU + 0.6, -outerMm * 0.24]],
    ['L', [breakU.value - 1.5, -outerMm * 0.24]],
  ]),
);

const sleevePath = computed(() => {
  const { sleeve, progress } = end;
  if (!sleeve) return '';
  const { fromU, toU, wallMm } = sleeve;
  const onBarrel = lug.value.outerMm / 2 + wallMm;
  const onJacket = outerMm / 2 + wallMm;
  if (!progress.shrunk) return path(rectangle(fromU, toU, Math.max(onBarrel, onJacket)));
  const side = (sign: 1 | -1): Point[] => {
    const prints = [...end.crimps]
      .sort((a, b) => a.fromU - b.fromU)
      .flatMap((crimp): Point[] => {
        const half = Math.min(onBarrel, hexagonView(crimp.acrossFlatsMm, end.angleDeg).half + wallMm) * sign;
        return [
          [crimp.fromU - 1, sign * onBarrel],
          [crimp.fromU + 0.5, half],
          [crimp.toU - 0.5, half],
          [crimp.toU + 1, sign * onBarrel],
        ];
      });
    return [
      [fromU, sign * onBarrel],
      ...prints,
      [mouthU.value, sign * onBarrel],
      [end.jacketFromU + 1.5, sign * onJacket],
      [toU, sign * onJacket],
    ];
  };
  return path(polygon([...side(-1), ...side(1).reverse()]));
});

const tagBox = computed(() => {
  const width = tagWidth(tag);
  const start = studX.value + direction.value * (tagOffset(end, scale) - (lug.value.palmWidthMm / 2) * scale);
  const height = Math.max(24, Math.min(34, outerMm * scale + 2));
  return { x: direction.value > 0 ? start : start - width, y: SHEET.centreY - height / 2, width, height };
});
</script>

<template>
  <g class="end-picture">
    <g :class="isLit('cut', 'strip', 'layers') ? '' : 'ghost'">
      <path :d="jacketPath" :fill="`var(--${jacket})`" :stroke="`var(--${jacket}-line)`" stroke-width="1.3" />
      <path
        :d="gloss"
        stroke="#fff"
        stroke-opacity=".16"
        :stroke-width="Math.max(1.5, outerMm * scale * 0.09)"
      />
    </g>
    <g :class="isLit('strands', 'strip', 'barrel') ? '' : 'ghost'">
      <path :d="copper" fill="var(--copper)" stroke="var(--copper-line)" stroke-width="0.9" />
      <path :d="strands" stroke="var(--copper-line)" stroke-width="0.5" fill="none" />
    </g>
    <g :class="isLit('palm', 'barrel', 'crimp', 'clock') ? '' : 'ghost'">
      <path
        :d="outline"
        :fill="end.isProposed ? 'var(--copper-tint)' : 'var(--copper)'"
        stroke="var(--copper-line)"
        stroke-width="1.3"
        stroke-linejoin="round"
      />
      <ellipse
        v-if="!isOnEdge"
        :cx="hole.at[0]"
        :cy="hole.at[1]"
        :rx="hole.rx"
        :ry="hole.ry"
        fill="var(--paper)"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <path
        v-else
        :d="hiddenHole"
        stroke="var(--copper-line)"
        stroke-width="0.9"
        stroke-dasharray="4 2.500"
      />
      <path v-if="slit" :d="slit" stroke="var(--copper-line)" stroke-width="1" />
      <circle v-if="sightHole" :cx="sightHole[0]" :cy="sightHole[1]" r="2.6" fill="var(--copper-line)" />
    </g>
    <g :class="isLit('crimp', 'barrel') ? '' : 'ghost'">
      <template v-for="(crimp, i) in crimps" :key="i">
        <path
          :d="crimp.body"
          :fill="end.progress.crimped ? 'var(--crimp)' : 'none'"
          stroke="var(--copper-line)"
          stroke-width="0.9"
          :stroke-dasharray="end.progress.crimped ? undefined : '5 2'"
        />
        <path
          v-for="edge in crimp.edges"
          :key="edge"
          :d="edge"
          stroke="var(--copper-line)"
          stroke-width="0.9"
        />
      </template>
    </g>
    <g v-if="end.sleeve" :class="isLit('sleeve', 'layers') ? '' : 'ghost'">
      <path
        v-if="end.progress.shrunk"
        :d="sleevePath"
        fill="var(--black)"
        stroke="var(--black-line)"
        stroke-width="1.3"
        stroke-linejoin="round"
      />
      <path
        v-else
        :d="sleevePath"
        fill="none"
        stroke="var(--ink)"
        stroke-width="0.9"
        stroke-dasharray="7 2.5 1.5 2.5"
      />
      <template v-if="end.progress.shrunk">
        <template v-for="(crimp, i) in crimps" :key="i">
          <path :d="crimp.body" fill="none" stroke="var(--print)" stroke-width="0.8" />
          <path v-for="edge in crimp.edges" :key="edge" :d="edge" stroke="var(--print)" stroke-width="1.1" />
        </template>
      </template>
    </g>
    <g v-if="jaws" data-asked-crimp :aria-label="say`Measure here: crimp ${jaws.number}`" role="img">
      <rect
        :x="jaws.x"
        :y="jaws.upper"
        :width="jaws.width"
        :height="jaws.lower - jaws.upper"
        fill="var(--teal)"
        fill-opacity=".18"
      />
      <path
        :d="`M${jaws.x} ${jaws.upper}h${jaws.width}M${jaws.x} ${jaws.lower}h${jaws.width}`"
        stroke="var(--teal)"
        stroke-width="4"
      />
      <circle :cx="jaws.middle" :cy="(jaws.upper + jaws.lower) / 2" r="10" fill="var(--teal)" />
      <text
        :x="jaws.middle"
        :y="(jaws.upper + jaws.lower) / 2 + 5"
        text-anchor="middle"
        font-size="15"
        class="figure font-semibold"
        style="fill: var(--paper)"
      >
        {{ jaws.number }}
      </text>
    </g>
    <g v-if="tag" :class="isLit('tag', 'layers') ? '' : 'ghost'">
      <rect v-bind="tagBox" fill="var(--tag)" stroke="var(--line)" stroke-width="0.9" />
      <text
        class="tag-text"
        :x="tagBox.x + tagBox.width / 2"
        :y="SHEET.centreY + 5.5"
        text-anchor="middle"
        :font-size="SHEET.figureSize"
        fill="var(--tag-ink)"
      >
        {{ tagText(tag) }}
      </text>
    </g>
  </g>
</template>
