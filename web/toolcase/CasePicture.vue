<script setup lang="ts">
/** A thing of the case, drawn small; what is not drawn here has an empty frame. */
defineProps<{ what: string }>();

interface Shape {
  readonly d: string;
  readonly fill?: string;
  readonly width?: number;
}
const HEX = 'M46 27l9-15h18l9 15l-9 15h-18z';
const DRAWN: Readonly<Record<string, readonly Shape[]>> = {
  'hand-press': [
    { d: 'M10 20h34v14h-34zM44 24h20v6h-20zM64 22l50 -12v6l-50 14z', fill: 'var(--buff)' },
    { d: 'M14 12h18v8h-18z', fill: 'var(--buff)' },
  ],
  'bench-press': [
    { d: 'M30 8h48v8h-48zM36 16h8v28h-8zM64 16h8v28h-8zM24 44h60v6h-60z', fill: 'var(--buff)' },
    { d: 'M48 16h12v10h-12zM88 46h28v5h-28z', fill: 'var(--buff)' },
  ],
  'hand-lever': [
    { d: 'M8 22h22v12h-22zM30 25l88 -16v5l-86 16zM30 31l88 14v-5l-86 -14z', fill: 'var(--buff)' },
  ],
  hammer: [
    { d: 'M44 4h12v20h-12zM34 24h32v22h-32z', fill: 'var(--buff)' },
    { d: 'M80 8h26v12h-26zM91 20h5v28h-5z', fill: 'var(--buff)' },
  ],
  hexagon: [
    { d: 'M36 6h56v42h-56z', fill: 'var(--buff)' },
    { d: HEX, fill: 'var(--paper)' },
  ],
  code: [
    { d: 'M36 6h56v42h-56z', fill: 'var(--buff)' },
    { d: HEX, fill: 'var(--paper)' },
    { d: 'M98 12h14M98 20h14', width: 2 },
  ],
  'compression-metric': [
    { d: 'M10 27a14 14 0 0 1 28 -6h70v12h-70a14 14 0 0 1 -28 -6z', fill: 'var(--copper)' },
  ],
  'tube-metric': [{ d: 'M16 27a11 11 0 0 1 22 -5h58v10h-58a11 11 0 0 1 -22 -5z', fill: 'var(--copper)' }],
  'heavy-inch': [{ d: 'M6 27a16 16 0 0 1 32 -9h72v18h-72a16 16 0 0 1 -32 -9z', fill: 'var(--copper)' }],
  'light-inch': [{ d: 'M16 27a12 12 0 0 1 24 -6h54v12h-54a12 12 0 0 1 -24 -6z', fill: 'var(--copper)' }],
  'dual-3': [
    { d: 'M20 12h80v30h-80z', fill: 'var(--black)' },
    { d: 'M20 17h80M20 37h80', width: 2.5 },
  ],
  'dual-4': [
    { d: 'M20 6h80v42h-80z', fill: 'var(--black)' },
    { d: 'M20 13h80M20 41h80', width: 2.5 },
  ],
  'medium-3': [{ d: 'M20 12h80v30h-80z', fill: 'var(--black)' }],
  'thin-2': [{ d: 'M20 18h80v18h-80z', fill: 'var(--red)' }],
  connectors: [
    { d: 'M24 18h72v18h-72zM60 18v18', fill: 'var(--copper)' },
    { d: 'M4 27h20M96 27h20', width: 6 },
  ],
  clamps: [
    { d: 'M40 27a18 18 0 1 1 0 1zM76 20h32v14h-32z', fill: 'var(--buff)' },
    { d: 'M48 27a10 10 0 1 1 0 1z', fill: 'var(--paper)' },
  ],
};
</script>

<template>
  <svg viewBox="0 0 120 54" class="h-11 w-full" stroke="var(--ink)" stroke-width="1.3" aria-hidden="true">
    <path
      v-for="(shape, i) in DRAWN[what] ?? []"
      :key="i"
      :d="shape.d"
      :fill="shape.fill ?? 'none'"
      :stroke-width="shape.width ?? 1.3"
    />
    <circle
      v-if="DRAWN[what]?.[0]?.fill === 'var(--copper)' && what !== 'connectors'"
      cx="25"
      cy="27"
      r="6"
      fill="var(--paper)"
    />
  </svg>
</template>
