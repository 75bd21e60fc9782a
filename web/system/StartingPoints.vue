<script setup lang="ts">
import { computed, ref } from 'vue';
import { nanoid } from 'nanoid';
import type { Job } from '../../core/model/job.ts';
import { STARTING_POINTS, type StartingPoint, withStart } from '../../core/system/starts.ts';
import { tell } from '../../core/words/message.ts';
import { useBench } from '../stores/bench.ts';
import QuantityField from '../ui/QuantityField.vue';
import { say } from '../../core/words/say.ts';

/** What an empty system may begin from: each asks for the three or four figures that matter. */
const emit = defineEmits<{ change: [what: string, make: (job: Job) => Job] }>();

const bench = useBench();
const chosen = ref<StartingPoint['id'] | null>(null);
const typed = ref<Record<string, number>>({});
const point = computed(() => STARTING_POINTS.find(({ id }) => id === chosen.value));
function choose(id: StartingPoint['id']): void {
  chosen.value = chosen.value === id ? null : id;
  typed.value = {};
}
function take(own: StartingPoint): void {
  const figures = { ...typed.value };
  emit('change', tell(own.title), (job) => withStart(job, own, figures, bench.shop, () => nanoid(10)));
}

/** Each drawn small: what is on the plus side, what it feeds, and the way back. */
const DRAWN: Readonly<Record<StartingPoint['id'], string>> = {
  starter: 'M14 40V14H86V30M86 58V74H14V60',
  inverter: 'M14 40V14H86V30M86 58V74H14V60M36 9H48V19H36Z',
  thruster: 'M14 40V14H86V30M86 58V74H14V60M36 9H48V19H36ZM58 14m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0',
  solar: 'M14 40V14H86V30M86 58V74H14V60M66 9H78V19H66Z',
  parallel: 'M14 40V14H86V30M86 58V74H14V60M40 40V14M40 60V74M60 9H72V19H60Z',
  house: 'M14 40V14H120M14 60V74H120M46 14V30M46 58V74M78 14V30M78 58V74M110 14V30M110 58V74',
};
const BATTERIES: Readonly<Record<StartingPoint['id'], readonly number[]>> = {
  starter: [14],
  inverter: [14],
  thruster: [14],
  solar: [14],
  parallel: [14, 40],
  house: [14],
};
const LOADS: Readonly<Record<StartingPoint['id'], readonly number[]>> = {
  starter: [86],
  inverter: [86],
  thruster: [86],
  solar: [86],
  parallel: [86],
  house: [46, 78, 110],
};
</script>

<template>
  <section :aria-label="say`Begin from`" class="p-3.5">
    <h2 class="figure text-[20px] font-semibold">{{ say`Begin from` }}</h2>
    <p class="text-ink2">
      {{
        say`Each asks for the essentials and makes places and cables. All of it can be changed afterwards.`
      }}
    </p>
    <ul class="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="own in STARTING_POINTS" :key="own.id">
        <button
          type="button"
          class="flex h-full w-full flex-col items-start gap-1 border p-2.5 text-left hover:bg-teal-tint"
          :class="own.id === chosen ? 'border-teal bg-teal-tint' : 'border-hairline bg-paper'"
          :aria-pressed="own.id === chosen"
          @click="choose(own.id)"
        >
          <svg width="136" height="88" viewBox="0 0 136 88" aria-hidden="true">
            <path
              :d="DRAWN[own.id]"
              fill="none"
              stroke="var(--red)"
              stroke-width="3.5"
              clip-path="inset(0 0 44px 0)"
            />
            <path
              :d="DRAWN[own.id]"
              fill="none"
              stroke="var(--ink)"
              stroke-width="3.5"
              clip-path="inset(44px 0 0 0)"
            />
            <rect
              v-for="x in BATTERIES[own.id]"
              :key="`b${x}`"
              :x="x - 10"
              y="38"
              width="20"
              height="22"
              fill="var(--buff)"
              stroke="var(--ink)"
            />
            <circle
              v-for="x in LOADS[own.id]"
              :key="`l${x}`"
              :cx="x"
              cy="44"
              r="13"
              fill="var(--paper)"
              stroke="var(--ink)"
              stroke-width="1.4"
            />
          </svg>
          <span class="figure text-[17px] leading-5 font-semibold">{{ tell(own.title) }}</span>
        </button>
      </li>
    </ul>
    <section
      v-if="point"
      :aria-label="tell(point.title)"
      class="mt-4 max-w-2xl border border-line bg-paper p-3.5"
    >
      <h3 class="figure text-[17px] font-semibold">{{ tell(point.title) }}</h3>
      <div class="mt-2 grid gap-3 sm:grid-cols-2">
        <QuantityField
          v-for="own in point.figures"
          :key="`${point.id} ${own.key}`"
          :label="tell(own.label)"
          :kind="own.kind"
          :model-value="typed[own.key] ?? own.value"
          :least="own.least"
          :most="own.most"
          @update:model-value="typed[own.key] = $event"
        />
      </div>
      <button type="button" class="button filled mt-3" @click="take(point)">{{ say`Make it` }}</button>
    </section>
  </section>
</template>
