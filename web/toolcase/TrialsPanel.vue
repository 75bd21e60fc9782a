<script setup lang="ts">
import { X } from '@lucide/vue';
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import type { Trial } from '../../core/model/shop.ts';
import type { MapRow } from '../../core/termination/dies/dieMap.ts';
import { sameBarrel } from '../../core/termination/dies/learned.ts';
import type { CaseDie, ToolCase } from '../../core/termination/dies/toolCase.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import CheckField from '../ui/CheckField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import CheckCrimps from './CheckCrimps.vue';
import { lessOneLug } from '../../core/cutting/shelf.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** Test crimps of one die: those it has, and a new one on the lug in hand. */
const { row, column, toolCase } = defineProps<{ row: MapRow; column: CaseDie; toolCase: ToolCase }>();

const bench = useBench();
const route = useRoute();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const flats = ref<number | null>(null);
const ears = ref<number | null>(null);
const force = ref<number | null>(null);
const held = ref(true);
const air = ref<number | null>(null);

const trials = computed(() => bench.shop.trials.filter(({ dieId }) => dieId === column.die.id).toReversed());
const lugOf = ({ lugId }: Trial) => toolCase.lugs.find(({ id }) => id === lugId);
const isOwn = (trial: Trial) => {
  const lug = lugOf(trial);
  return lug !== undefined && sameBarrel(lug, row.lug);
};
const words = (trial: Trial) =>
  [
    say`${digits(trial.acrossFlatsMm, 2)} across`,
    say`ears ${digits(trial.earsMm, 1)}`,
    trial.pull && `${trial.pull.held ? 'held' : say`slipped at`} ${figure(trial.pull.forceN, 'N', 0)}`,
    trial.voidShare !== undefined && say`air ${figure(trial.voidShare * 100, '%', 1)}`,
  ]
    .filter(Boolean)
    .join(', ');

function record(): void {
  if (nameNeeded()) return;
  if (flats.value === null || ears.value === null) {
    problem.value = say`Enter at least the across flats and the ears of the trial; with no ears, enter 0.`;
    return;
  }
  const trial: Trial = {
    id: nanoid(10),
    at: new Date().toISOString(),
    by: prefs.person,
    dieId: column.die.id,
    lugId: row.lug.id,
    size: { ...row.lug.forSize },
    acrossFlatsMm: flats.value,
    earsMm: ears.value,
    ...(force.value !== null && { pull: { forceN: force.value, held: held.value } }),
    ...(air.value !== null && { voidShare: air.value / 100 }),
    source: 'typed',
  };
  bench.edit(say`trial`, (draft) => {
    Object.assign(draft.shop, lessOneLug(bench.shop, trial.lugId));
    draft.shop.trials.push(trial);
  });
  flats.value = ears.value = force.value = air.value = null;
}
function remove(id: string): void {
  bench.edit(say`remove a trial`, (draft) => {
    draft.shop.trials = draft.shop.trials.filter((trial) => trial.id !== id);
  });
}
</script>

<template>
  <section :aria-label="say`Trials`">
    <h3 class="figure border-b border-line pb-1 text-[16px] font-semibold">
      {{ say`Trials of this die` }}
      <span class="font-normal text-ink2">{{ trials.length || say`none yet` }}</span>
    </h3>
    <ul>
      <li
        v-for="trial in trials"
        :key="trial.id"
        class="flex items-center gap-2 border-b border-hairline py-1 text-[12.5px]"
      >
        <span class="min-w-0 flex-1 leading-4">
          <span :class="isOwn(trial) ? 'font-bold' : ''">{{
            lugOf(trial)?.label ?? say`a lug no longer owned`
          }}</span
          >: {{ words(trial) }}
          <span class="text-ink3">{{ dayText(trial.at) }}, {{ trial.by }}</span>
          <span v-if="trial.source === 'simulated'" class="border border-ink px-1 font-bold">{{
            say`SIMULATED`
          }}</span>
        </span>
        <button
          type="button"
          class="flex size-9 shrink-0 items-center justify-center text-teal"
          @click="remove(trial.id)"
        >
          <X :size="16" aria-hidden="true" /><span class="sr-only">{{ say`Remove this trial` }}</span>
        </button>
      </li>
    </ul>
    <details class="mt-2" :open="trials.length === 0">
      <summary class="compact cursor-pointer font-bold text-teal">
        {{ say`Record a test crimp on ${row.lug.label}` }}
      </summary>
      <div class="grid grid-cols-2 gap-2">
        <QuantityField
          :label="say`Trial, across flats`"
          kind="length"
          :model-value="flats"
          :least="1"
          :most="100"
          :decimals="2"
          optional
          @update:model-value="flats = $event"
          @clear="flats = null"
        />
        <QuantityField
          :label="say`Trial, ears`"
          kind="length"
          :model-value="ears"
          :least="0"
          :most="20"
          :decimals="2"
          optional
          @update:model-value="ears = $event"
          @clear="ears = null"
        />
        <QuantityField
          :label="say`Trial, pulled with`"
          kind="force"
          :model-value="force"
          :least="0"
          :most="50000"
          :decimals="0"
          optional
          :hint="say`one minute; may stay empty`"
          @update:model-value="force = $event"
          @clear="force = null"
        />
        <QuantityField
          :label="say`Trial, air in the section`"
          kind="percent"
          :model-value="air"
          :least="0"
          :most="60"
          optional
          :hint="say`sawn; may stay empty`"
          @update:model-value="air = $event"
          @clear="air = null"
        />
        <CheckField v-model="held" :label="say`it held`" class="self-center" />
        <TextField
          :label="say`Tested by`"
          :model-value="prefs.person"
          @update:model-value="prefs.person = $event"
        />
      </div>
      <p class="mb-2">
        <RouterLink
          :to="{
            name: 'section',
            params: { jobId: String(route.params['jobId']) },
            query: { lug: row.lug.id, die: column.die.id },
          }"
          class="text-teal underline"
          >{{ say`Measure the air in a picture of its section` }}</RouterLink
        >
      </p>
      <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">{{ problem }}</p>
      <button type="button" class="button filled" @click="record">{{ say`Record the trial` }}</button>
    </details>
    <CheckCrimps :die="column.die" :lug="row.lug" class="mt-4" />
  </section>
</template>
