<script setup lang="ts">
import type { PictureName } from './helpEntry.ts';

/** What a field means, drawn small. */
defineProps<{ name: PictureName }>();
</script>

<template>
  <svg
    viewBox="0 0 240 70"
    class="mb-2 block w-full"
    fill="none"
    stroke="var(--ink)"
    stroke-width="1.3"
    aria-hidden="true"
  >
    <template v-if="name === 'along'">
      <path d="M20 50H90Q104 50 104 36V28Q104 16 118 16H220" stroke="var(--red)" stroke-width="7" />
      <circle cx="20" cy="50" r="5" fill="var(--paper)" />
      <circle cx="220" cy="16" r="5" fill="var(--paper)" />
      <path d="M20 62H96Q116 62 116 40V36Q116 28 126 28H220" stroke-dasharray="4 3" />
      <path d="M20 57v9M220 23v9" />
    </template>
    <template v-else-if="name === 'pole'">
      <rect x="90" y="26" width="60" height="36" fill="var(--buff)" />
      <path d="M100 26v-7h12v7M128 26v-7h12v7" fill="var(--paper)" />
      <path d="M106 19V8H20" stroke="var(--red)" stroke-width="5" />
      <path d="M134 19V8H220" stroke="var(--black)" stroke-width="5" />
      <path d="M102 42h10M107 37v10M129 42h10" stroke-width="2" />
    </template>
    <template v-else-if="name === 'drop'">
      <path d="M16 14H70L170 34H224" stroke="var(--red)" stroke-width="3" />
      <path d="M16 62H70L170 50H224" stroke="var(--black)" stroke-width="3" />
      <path d="M30 14V62M210 34V50" stroke-dasharray="3 3" />
    </template>
    <template v-else-if="name === 'return'">
      <rect x="14" y="20" width="30" height="32" fill="var(--buff)" />
      <rect x="196" y="20" width="30" height="32" fill="var(--paper)" />
      <path d="M44 28H196" stroke="var(--red)" stroke-width="4" />
      <path d="M196 44H44" stroke="var(--black)" stroke-width="4" />
      <path d="M112 22l10 6l-10 6M128 38l-10 6l10 6" />
    </template>
    <template v-else-if="name === 'flats'">
      <path d="M104 35l12 -20h24l12 20l-12 20h-24z" fill="var(--copper)" />
      <path d="M60 15H200M60 55H200" stroke-dasharray="4 3" />
      <path d="M76 15V55M76 15l-3 6h6zM76 55l-3 -6h6z" />
    </template>
    <template v-else-if="name === 'pull'">
      <path d="M20 35h40M180 35h44" stroke-width="3" />
      <path d="M60 25h34v20h-34z" fill="var(--copper)" />
      <path d="M94 35h86" stroke="var(--red)" stroke-width="9" />
      <path d="M30 28l-10 7l10 7M214 28l10 7l-10 7" />
    </template>
    <template v-else-if="name === 'terminal'">
      <rect x="130" y="12" width="70" height="46" fill="var(--buff)" />
      <path d="M20 30h70v12h-70z" fill="var(--red)" />
      <path d="M90 28h60v16h-60z" fill="var(--copper)" />
      <circle cx="140" cy="36" r="8" fill="var(--paper)" />
      <path d="M150 8q4 -6 0 -8M166 8q4 -6 0 -8" stroke="var(--fails)" />
    </template>
    <template v-else-if="name === 'duty'">
      <path d="M16 60H226M16 60V8" />
      <path d="M16 50H60V18H104V50H150V18H194V50H226" stroke="var(--teal)" stroke-width="2.4" />
      <path
        d="M16 46Q60 40 104 26Q128 34 150 32Q176 18 194 22Q210 28 226 34"
        stroke="var(--copper-text)"
        stroke-width="2"
      />
    </template>
    <template v-else-if="name === 'hole'">
      <path d="M116 4h12v18h-12zM116 50h12v18h-12z" fill="var(--buff)" />
      <path d="M20 36h60" stroke="var(--red)" stroke-width="12" />
      <path d="M80 26h20q22 0 22 10q0 10 -22 10h-20z" fill="var(--copper)" />
      <path d="M140 22V50M140 22l-3 6h6zM140 50l-3 -6h6z" />
    </template>
    <template v-else>
      <path d="M90 35l12 -20h36l12 20l-12 20h-36z" fill="var(--copper)" />
      <path d="M90 35l-12 -5v10zM150 35l12 -5v10z" fill="var(--copper)" stroke="var(--fails)" />
    </template>
  </svg>
</template>
