<script setup lang="ts">
/** What a usual cable feeds, drawn small: a battery, the cable, and the load it ends on. */
defineProps<{ what: 'inverter' | 'starter' | 'thruster' | 'windlass' | 'solar' | 'panel' }>();

const LOADS = {
  inverter: 'M92 14h34v26h-34zM98 30q4 -14 8 0t8 0t6 -4',
  starter: 'M94 18h22v18h-22zM116 22h10v10h-10zM100 18v-6h10v6',
  thruster:
    'M108 27m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0M108 27q-9 -10 0 -13q4 8 0 13q9 10 0 13q-4 -8 0 -13',
  windlass: 'M92 40h34M98 40v-14h22v14M104 26v-8h10v8M96 22h26',
  solar: 'M90 36l8 -20h32l-8 20zM101 36l8 -20M112 36l8 -20M94 26h32',
  panel: 'M92 12h34v30h-34zM98 18v8M106 18v8M114 18v8M122 18v8M98 34h24',
} as const;
</script>

<template>
  <svg viewBox="0 0 136 54" class="h-[54px] w-full" fill="none" aria-hidden="true">
    <path d="M30 22H92" stroke="var(--red)" stroke-width="3.5" />
    <path d="M30 34H92" stroke="var(--black)" stroke-width="3.5" />
    <rect x="6" y="16" width="24" height="24" fill="var(--buff)" stroke="var(--ink)" stroke-width="1.4" />
    <path d="M11 16v-3h5v3M20 16v-3h5v3" stroke="var(--ink)" stroke-width="1.4" />
    <path :d="LOADS[what]" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.4" />
  </svg>
</template>
