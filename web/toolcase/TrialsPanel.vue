<script setup lang="ts">
import { X } from '@lucide/vue';
import { nanoid } from 'nanoid';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import type { DieCheck, Trial } from '../../core/model/shop.ts';
import type { MapRow } from '../../core/termination/dies/dieMap.ts';
import { checkState, dieCheckProof, heldBack, lastGoodDay } from '../../core/proof/dieChecks.ts';
import { tell } from '../../core/words/message.ts';
import { today } from '../ui/today.ts';
import StateMark from '../ui/StateMark.vue';
import { sameBarrel } from '../../core/termination/dies/learned.ts';
import type { CaseDie, ToolCase } from '../../core/termination/dies/toolCase.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import LedgerRow from '../bench/LedgerRow.vue';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { asItStands } from '../instruments/meter.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** Test crimps of one die: those it has, and a new one on the lug in hand. */
const { row, column, toolCase } = defineProps<{ row: MapRow; column: CaseDie; toolCase: ToolCase }>();

const bench = useBench();
const route = useRoute();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const { problem: checkProblem, nameNeeded: checkNameNeeded } = usePersonNeeded();
const flats = ref<number | null>(null);
const ears = ref<number | null>(null);
const force = ref<number | null>(null);
const held = ref(true);
const air = ref<number | null>(null);

/** Check crimps on a spare piece: does it still close as it did? */
const checkMm = ref<number | null>(null);
const checkForm = useTemplateRef<HTMLFormElement>('checkForm');
/** Where the shop asks more of a check crimp than its flats. */
const checkN = ref<number | null>(null);
const checkHeld = ref(true);
const checkAir = ref<number | null>(null);
const callipers = computed(() => bench.shop.instruments.filter(({ kind }) => kind === 'calliper'));
const calliperId = ref('');
const readWithChoices = computed(() => [
  { value: '', title: say`none named` },
  ...callipers.value.map(({ id, title }) => ({ value: id, title })),
]);
const checks = computed(() =>
  (bench.shop.checks ?? []).filter(({ dieId }) => dieId === column.die.id).toReversed(),
);
const isHeld = computed(() => tell(heldBack(bench.shop, column.die, today())));
/** The last one opens to how it is judged. */
const last = computed(() => (checks.value[0] ? dieCheckProof(column.die, checks.value[0], bench.shop) : []));
const opened = ref<string | null>(null);
const goodSince = computed(() => lastGoodDay(bench.shop, column.die));
function recordCheck(): void {
  const acrossFlatsMm = checkMm.value;
  if (checkNameNeeded()) return;
  if (acrossFlatsMm === null) {
    checkProblem.value = say`A check crimp needs at least its flats.`;
    return;
  }
  const calliper = callipers.value.find(({ id }) => id === calliperId.value);
  const check: DieCheck = {
    ...{ id: nanoid(10), at: new Date().toISOString(), by: prefs.person },
    ...{ dieId: column.die.id, lugId: row.lug.id, acrossFlatsMm, source: 'typed' },
    ...(checkN.value !== null && { pull: { forceN: checkN.value, held: checkHeld.value } }),
    ...(checkAir.value !== null && { voidShare: checkAir.value / 100 }),
    ...(calliper && { instrument: asItStands(calliper) }),
    closed: column.die.closed ?? 0,
  };
  bench.edit(say`check crimp`, (draft) => void (draft.shop.checks ??= []).push(check));
  checkMm.value = checkN.value = checkAir.value = null;
  // Empty for the next, and the keyboard stays there.
  void nextTick(() => checkForm.value?.querySelector('input')?.focus());
}

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
    problem.value = say`A trial needs at least its flats and its ears; no ears is 0.`;
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
  bench.edit(say`trial`, (draft) => void draft.shop.trials.push(trial));
  flats.value = ears.value = force.value = air.value = null;
}
function remove(id: string): void {
  bench.edit(say`take a trial out`, (draft) => {
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
          }}</span>: {{ words(trial) }}
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
          <X :size="16" aria-hidden="true" /><span class="sr-only">{{ say`Take this trial out` }}</span>
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
          :label="say`Who tried it`"
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
    <h3 class="figure mt-4 border-b border-line pb-1 text-[16px] font-semibold">{{ say`Check crimps` }}</h3>
    <p v-if="isHeld" class="mt-1 font-bold text-fails" role="status">
      {{ isHeld }}
      <RouterLink
        class="block text-teal underline"
        :to="{
          name: 'recall',
          params: { jobId: route.params['jobId'] },
          query: { die: column.die.id, ...(goodSince && { from: goodSince }) },
        }"
        >{{ say`Cables made with it since the last good check` }}</RouterLink
      >
    </p>
    <form ref="checkForm" class="mt-1 grid gap-2" @submit.prevent="recordCheck">
      <QuantityField
        :key="`flats${checks.length}`"
        :label="say`Check crimp, across flats`"
        kind="length"
        :model-value="checkMm"
        :least="1"
        :most="100"
        :decimals="2"
        optional
        :hint="say`on a spare piece, die open`"
        @update:model-value="checkMm = $event"
        @clear="checkMm = null"
      />
      <ChoiceField
        v-if="callipers.length > 0"
        v-model="calliperId"
        :label="say`Check crimp, read with`"
        :choices="readWithChoices"
      />
      <template v-if="bench.shop.practice.checkBy === 'pull'">
        <QuantityField
          :key="`pull${checks.length}`"
          :label="say`Check crimp, pulled with`"
          kind="force"
          :model-value="checkN"
          :least="0"
          :most="50000"
          :decimals="0"
          optional
          :hint="say`one minute`"
          @update:model-value="checkN = $event"
          @clear="checkN = null"
        />
        <CheckField v-model="checkHeld" :label="say`the check crimp held`" class="self-center" />
      </template>
      <QuantityField
        v-if="bench.shop.practice.checkBy === 'section'"
        :label="say`Check crimp, air in the section`"
        kind="percent"
        :model-value="checkAir"
        :least="0"
        :most="60"
        optional
        :hint="say`of the sawn outline`"
        @update:model-value="checkAir = $event"
        @clear="checkAir = null"
      />
      <TextField
        :label="say`Who crimped it`"
        :model-value="prefs.person"
        @update:model-value="prefs.person = $event"
      />
      <p v-if="checkProblem" class="font-bold text-fails" role="alert">{{ checkProblem }}</p>
      <button type="submit" class="button justify-self-start">
        {{ say`Record` }}<span class="sr-only">{{ ' ' }}{{ say`Check crimp, across flats` }}</span>
      </button>
    </form>
    <ul v-if="last.length > 0">
      <LedgerRow
        v-for="finding in last"
        :key="finding.id"
        :findings="[finding]"
        :opened="opened"
        @open="opened = $event"
      />
    </ul>
    <ul>
      <li
        v-for="check in checks.slice(1, 5)"
        :key="check.id"
        class="flex items-center gap-2 border-b border-hairline py-1 text-[12.5px]"
      >
        <StateMark :state="checkState(column.die, check, bench.shop)" :word="false" />
        <span class="min-w-0 flex-1"
          >{{ figure(check.acrossFlatsMm, 'mm', 2) }}
          <span class="text-ink3">{{ dayText(check.at) }}, {{ check.by }}</span></span
        >
      </li>
    </ul>
  </section>
</template>
