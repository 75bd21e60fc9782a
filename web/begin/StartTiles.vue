<script setup lang="ts">
import { say } from '../../core/words/say.ts';

/** The other things that people come with, each one press away. */
defineEmits<{ open: [what: 'installation' | 'die' | 'drop' | 'eye' | 'demo'] }>();

const TILES = [
  {
    what: 'installation',
    title: say`Plan an installation`,
    note: say`Bank, fuses, loads: every size at once`,
  },
  { what: 'die', title: say`Which die for this lug`, note: say`Or what this unmarked die is for` },
  { what: 'drop', title: say`Volts are lost somewhere`, note: say`Find the bad joint in a few probes` },
  { what: 'eye', title: say`Train your eye`, note: say`Spot the fault in drawn ends` },
  { what: 'demo', title: say`Look around an example job`, note: say`A canal workboat, half made` },
] as const;
</script>

<template>
  <ul class="grid grid-cols-2 gap-2.5 md:grid-cols-3 xl:grid-cols-5">
    <li v-for="tile in TILES" :key="tile.what" class="flex">
      <button
        type="button"
        class="flex w-full flex-col border border-hairline bg-paper p-3 text-left hover:border-teal hover:bg-teal-tint"
        @click="$emit('open', tile.what)"
      >
        <svg viewBox="0 0 140 54" class="mb-2 h-[54px] w-full" aria-hidden="true">
          <g v-if="tile.what === 'installation'" fill="none" stroke="var(--ink)" stroke-width="1.4">
            <path
              d="M16 22V8H124M52 8V18M84 8V18M116 8V18M52 38V48M84 38V48M116 38V48"
              stroke="var(--red)"
              stroke-width="3"
            />
            <path d="M16 44V48H124" stroke="var(--black)" stroke-width="3" />
            <rect x="6" y="22" width="22" height="22" fill="var(--buff)" />
            <circle v-for="x in [52, 84, 116]" :key="x" :cx="x" cy="28" r="10" fill="var(--paper)" />
          </g>
          <g v-else-if="tile.what === 'die'" stroke="var(--copper-line)" stroke-width="1.4">
            <path d="M22 27l10-17h20l10 17l-10 17H32Z" fill="var(--copper-tint)" />
            <circle cx="42" cy="27" r="12" fill="var(--copper)" />
            <path d="M70 27h16m-5-5l5 5l-5 5" fill="none" stroke="var(--ink)" />
            <path d="M96 27l8-14h16l8 14l-8 14h-16Z" fill="var(--copper)" />
          </g>
          <g v-else-if="tile.what === 'drop'" fill="none" stroke="var(--ink)" stroke-width="1.8">
            <rect
              x="86"
              y="18"
              width="48"
              height="26"
              fill="var(--fails)"
              fill-opacity="0.12"
              stroke="none"
            />
            <path d="M6 12H46V16H86V44H134" />
            <path d="M86 16V44" stroke="var(--fails)" stroke-width="3" />
          </g>
          <g v-else-if="tile.what === 'eye'">
            <path d="M6 15H30L36 19H74V35H36L30 39H6Z" fill="var(--copper)" stroke="var(--copper-line)" />
            <rect x="78" y="18" width="56" height="18" fill="var(--black)" stroke="var(--black-line)" />
            <circle
              cx="76"
              cy="27"
              r="16"
              fill="none"
              stroke="var(--fails)"
              stroke-width="1.6"
              stroke-dasharray="4 3"
            />
          </g>
          <g v-else fill="none" stroke="var(--ink)" stroke-width="1.6">
            <path d="M10 34H130L118 46H24Z" fill="var(--buff)" />
            <path d="M44 34V22H86L92 34" />
            <path d="M6 50q8-5 16 0t16 0t16 0t16 0t16 0t16 0t16 0" stroke="var(--teal)" />
          </g>
        </svg>
        <b class="figure text-[17px] leading-5 font-semibold">{{ tile.title }}</b>
        <span class="note mt-0.5">{{ tile.note }}</span>
      </button>
    </li>
  </ul>
</template>
