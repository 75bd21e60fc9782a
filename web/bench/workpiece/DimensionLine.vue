<script setup lang="ts">
import { computed } from 'vue';
import { SHEET } from './sheet.ts';

/**
 * A dimension: a line with oblique ticks between two places, its text in the line or beside it. Pressing it opens
 * the figure it shows.
 */
const { from, to, y, text, textX, textWidth, inside, strong, label } = defineProps<{
  from: number;
  to: number;
  y: number;
  text: string;
  textX: number;
  textWidth: number;
  inside: boolean;
  strong: boolean;
  /** The text as it is spoken. */
  label: string;
}>();
const emit = defineEmits<{ open: [] }>();

const gap = computed(() => textWidth / 2 + 3);
/** Where it is pressed: by touch as large as a fingertip, drawn to whatever scale. */
const isTouched = matchMedia('(pointer: coarse)').matches;
const hit = computed(() => ({
  width: Math.max(textWidth + 14, isTouched ? SHEET.touch : 0),
  height: isTouched ? SHEET.touch : 28,
}));
const tick = (x: number) => `M${x - 3} ${y + 3}L${x + 3} ${y - 3}`;
const line = computed(() =>
  inside ? `M${from} ${y}H${textX - gap.value}M${textX + gap.value} ${y}H${to}` : `M${from} ${y}H${to}`,
);

/** Where targets lie over one another, the one that was meant is the one whose figure is nearest. */
function press({ clientX, clientY, currentTarget, detail }: MouseEvent): void {
  const pressed = currentTarget as SVGGElement;
  // A press that was no pointer's names its target itself.
  if (detail === 0) return emit('open');
  const away = (group: Element) => {
    const box = (group.querySelector('text') ?? group).getBoundingClientRect();
    const beside = Math.max(0, box.left - clientX, clientX - box.right);
    return beside + Math.abs((box.top + box.bottom) / 2 - clientY);
  };
  const all = [...(pressed.ownerSVGElement?.querySelectorAll('.dimension') ?? [])];
  const nearest = all.reduce<Element>((best, next) => (away(next) < away(best) ? next : best), pressed);
  if (nearest === pressed) emit('open');
  else nearest.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
}
</script>

<template>
  <g
    role="button"
    tabindex="0"
    class="dimension cursor-pointer"
    :class="strong ? 'strong' : ''"
    :aria-label="label"
    @click="press"
    @keydown.enter.prevent="$emit('open')"
    @keydown.space.prevent.stop="$emit('open')"
  >
    <rect
      :x="textX - hit.width / 2"
      :y="y - hit.height / 2"
      :width="hit.width"
      :height="hit.height"
      fill="transparent"
    />
    <path :d="line" class="rule" />
    <path :d="tick(from) + tick(to)" class="tick" />
    <text :x="textX" :y="y + 5" text-anchor="middle" :font-size="SHEET.figureSize">{{ text }}</text>
  </g>
</template>
