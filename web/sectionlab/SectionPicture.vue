<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef, watch } from 'vue';
import type { SectionMeasure } from '../../core/section/measure.ts';
import { contourOf, type Outline } from '../../core/section/hexagon.ts';
import type { Found } from '../../core/section/outline.ts';
import type { Point } from '../../core/section/picture.ts';
import type { ShownPicture } from '../workers/section.worker.ts';
import { say } from '../../core/words/say.ts';

/** The photograph with what was found on it: air over copper up to the line that is drawn across, and six corners to move. */
const { shown, section } = defineProps<{
  shown: ShownPicture;
  section: SectionMeasure | null;
}>();
const emit = defineEmits<{ corrected: [found: Found] }>();

/** How much of the picture shows its mask, 0–1: the line across and its knob are one. */
const wipe = ref(0.5);
const KNOB = 28;
const lineX = computed(() => KNOB / 2 + wipe.value * (size.value.width - KNOB));

const host = useTemplateRef<HTMLElement>('host');
const photo = useTemplateRef<HTMLCanvasElement>('photo');
const mask = useTemplateRef<HTMLCanvasElement>('mask');
const { width, height } = useElementSize(host);
const scale = computed(() => Math.min((width.value - 2) / shown.width, (height.value - 2) / shown.height));
const size = computed(() => ({ width: shown.width * scale.value, height: shown.height * scale.value }));

watch(
  [() => shown, photo],
  () => {
    if (!photo.value) return;
    photo.value.width = shown.width;
    photo.value.height = shown.height;
    photo.value.getContext('2d')?.drawImage(shown.bitmap, 0, 0);
  },
  { immediate: true, flush: 'post' },
);
watch(
  [() => section, mask],
  () => {
    const canvas = mask.value;
    if (!canvas) return;
    canvas.width = shown.width;
    canvas.height = shown.height;
    if (!section) return;
    const { voids } = section;
    const pixels = new ImageData(voids.box.width, voids.box.height);
    // Air in the colour of the act, the rest veiled: what counts stands out.
    voids.mask.forEach((share, i) => {
      pixels.data.set(share > 0 ? [10, 89, 99, Math.max(120, share)] : [255, 254, 251, 150], i * 4);
    });
    const context = canvas.getContext('2d');
    if (!context) return;
    context.putImageData(pixels, voids.box.left, voids.box.top);
    // The bench keeps its colour: only what is inside the outline is veiled.
    context.globalCompositeOperation = 'destination-in';
    context.beginPath();
    contourOf(section.outline, section.cutPx).forEach(([x, y]) => context.lineTo(x + 0.5, y + 0.5));
    context.fill();
  },
  { immediate: true, flush: 'post' },
);

/** Corners as they are moved; measured again when they are let go. */
const moved = ref<Outline | null>(null);
watch(
  () => section,
  () => {
    moved.value = null;
  },
);
const corners = computed<readonly Point[]>(() => moved.value ?? section?.outline ?? []);
const cutPx = computed(() => section?.cutPx ?? 0);
const contour = computed(() =>
  corners.value.length === 6
    ? contourOf(corners.value as unknown as Outline, cutPx.value)
        .map(([x, y]) => `${(x + 0.5) * scale.value} ${(y + 0.5) * scale.value}`)
        .join('L')
    : '',
);
function put(i: number, spot: Point): void {
  moved.value = corners.value.map((own, k) => (k === i ? spot : own)) as unknown as Outline;
}
const inside = (value: number, most: number) => Math.max(0, Math.min(most - 1, value));
function drag(i: number, event: PointerEvent): void {
  const target = event.currentTarget as SVGElement;
  const edge = host.value?.querySelector('svg')?.getBoundingClientRect();
  if (!edge) return;
  target.setPointerCapture(event.pointerId);
  const move = (to: PointerEvent) =>
    put(i, [
      inside((to.clientX - edge.left) / scale.value, shown.width),
      inside((to.clientY - edge.top) / scale.value, shown.height),
    ]);
  target.addEventListener('pointermove', move);
  target.addEventListener(
    'pointerup',
    () => {
      target.removeEventListener('pointermove', move);
      letGo();
    },
    { once: true },
  );
}
const KEYS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
function nudge(i: number, event: KeyboardEvent): void {
  const [dx, dy] = KEYS[event.key] ?? [0, 0];
  const corner = corners.value[i];
  if (!corner || (dx === 0 && dy === 0)) return;
  event.preventDefault();
  const far = event.shiftKey ? 10 : 1;
  put(i, [inside(corner[0] + dx * far, shown.width), inside(corner[1] + dy * far, shown.height)]);
  letGo();
}
function letGo(): void {
  if (moved.value) emit('corrected', { outline: moved.value, cutPx: cutPx.value });
}
</script>

<template>
  <div ref="host" class="section-picture relative flex items-center justify-center bg-lamp">
    <div class="relative" :style="{ width: `${size.width}px`, height: `${size.height}px` }">
      <canvas
        ref="photo"
        class="absolute inset-0 h-full w-full"
        :aria-label="say`The photograph`"
        role="img"
      />
      <canvas
        ref="mask"
        class="absolute inset-0 h-full w-full"
        :style="{ clipPath: `inset(0 ${size.width - lineX}px 0 0)` }"
        aria-hidden="true"
      />
      <svg
        v-if="section"
        class="absolute inset-0"
        :width="size.width"
        :height="size.height"
        role="group"
        :aria-label="say`Outline of the crimp`"
      >
        <path :d="`M${lineX} 0V${size.height}`" stroke="#fffefb" stroke-width="2" />
        <path :d="`M${contour}Z`" fill="none" stroke="#fffefb" stroke-width="3.4" />
        <path :d="`M${contour}Z`" fill="none" stroke="#0a5963" stroke-width="1.6" />
        <g
          v-for="(corner, i) in corners"
          :key="i"
          class="corner"
          role="button"
          tabindex="0"
          :aria-label="say`Corner ${i + 1}: drag it, or move it by the arrow keys`"
          @pointerdown="drag(i, $event)"
          @keydown="nudge(i, $event)"
        >
          <circle :cx="(corner[0] + 0.5) * scale" :cy="(corner[1] + 0.5) * scale" r="22" fill="transparent" />
          <circle
            class="dot"
            :cx="(corner[0] + 0.5) * scale"
            :cy="(corner[1] + 0.5) * scale"
            r="8"
            fill="#fffefb"
            stroke="#0a5963"
            stroke-width="2"
          />
        </g>
      </svg>
      <input
        v-if="section"
        v-model.number="wipe"
        type="range"
        min="0"
        max="1"
        step="0.01"
        class="wipe absolute inset-x-0 bottom-2 h-11 w-full"
        :aria-label="say`How much of the air is shown over the photograph`"
      />
    </div>
  </div>
</template>

<style>
.section-picture .corner {
  cursor: grab;
  outline: none;
  touch-action: none;
}
.section-picture .wipe {
  appearance: none;
  background: transparent;
  pointer-events: none;
}
.section-picture .wipe::-webkit-slider-thumb {
  appearance: none;
  width: 28px;
  height: 44px;
  border: 2px solid #0a5963;
  border-radius: 3px;
  background: #fffefb linear-gradient(#0a5963, #0a5963) center / 2px 22px no-repeat;
  pointer-events: auto;
  cursor: ew-resize;
}
.section-picture .wipe::-moz-range-thumb {
  width: 24px;
  height: 40px;
  border: 2px solid #0a5963;
  border-radius: 3px;
  background: #fffefb;
  pointer-events: auto;
  cursor: ew-resize;
}
.section-picture .corner:focus-visible .dot,
.section-picture .corner:hover .dot {
  fill: #0a5963;
  stroke: #fffefb;
}
</style>
