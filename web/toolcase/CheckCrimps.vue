<script setup lang="ts">
import { nanoid } from 'nanoid';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { figure } from '../../core/model/units/figure.ts';
import type { Die, DieCheck, Lug } from '../../core/model/shop.ts';
import { checkState, dieCheckProof, heldBack, lastGoodDay } from '../../core/proof/dieChecks.ts';
import { dayText } from '../../core/words/measures.ts';
import { tell } from '../../core/words/message.ts';
import LedgerRow from '../bench/LedgerRow.vue';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { asItStands } from '../instruments/meter.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import StateMark from '../ui/StateMark.vue';
import TextField from '../ui/TextField.vue';
import { today } from '../ui/today.ts';
import { lessOneLug } from '../../core/cutting/shelf.ts';
import { say } from '../../core/words/say.ts';

/** Check crimps of one die on a spare piece: does it still close as it did? */
const { die, lug } = defineProps<{ die: Die; lug: Lug }>();

const bench = useBench();
const route = useRoute();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
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
const checks = computed(() => (bench.shop.checks ?? []).filter(({ dieId }) => dieId === die.id).toReversed());
const isHeld = computed(() => tell(heldBack(bench.shop, die, today())));
/** The last one opens to how it is judged. */
const last = computed(() => (checks.value[0] ? dieCheckProof(die, checks.value[0], bench.shop) : []));
const opened = ref<string | null>(null);
const goodSince = computed(() => lastGoodDay(bench.shop, die));
function recordCheck(): void {
  const acrossFlatsMm = checkMm.value;
  if (nameNeeded()) return;
  if (acrossFlatsMm === null) {
    problem.value = say`Enter at least the across flats of the check crimp.`;
    return;
  }
  const calliper = callipers.value.find(({ id }) => id === calliperId.value);
  const check: DieCheck = {
    ...{ id: nanoid(10), at: new Date().toISOString(), by: prefs.person },
    ...{ dieId: die.id, lugId: lug.id, acrossFlatsMm, source: 'typed' },
    ...(checkN.value !== null && { pull: { forceN: checkN.value, held: checkHeld.value } }),
    ...(checkAir.value !== null && { voidShare: checkAir.value / 100 }),
    ...(calliper && { instrument: asItStands(calliper) }),
    closed: die.closed ?? 0,
  };
  bench.edit(say`check crimp`, (draft) => {
    Object.assign(draft.shop, lessOneLug(bench.shop, lug.id));
    (draft.shop.checks ??= []).push(check);
  });
  checkMm.value = checkN.value = checkAir.value = null;
  // Empty for the next, and the keyboard stays there.
  void nextTick(() => checkForm.value?.querySelector('input')?.focus());
}
</script>

<template>
  <section :aria-label="say`Check crimps`">
    <h3 class="figure border-b border-line pb-1 text-[16px] font-semibold">{{ say`Check crimps` }}</h3>
    <p v-if="isHeld" class="mt-1 font-bold text-fails" role="status">
      {{ isHeld }}
      <RouterLink
        class="block text-teal underline"
        :to="{
          name: 'recall',
          params: { jobId: route.params['jobId'] },
          query: { die: die.id, ...(goodSince && { from: goodSince }) },
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
        :label="say`Crimped by`"
        :model-value="prefs.person"
        @update:model-value="prefs.person = $event"
      />
      <p v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</p>
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
        <StateMark :state="checkState(die, check, bench.shop)" :word="false" />
        <span class="min-w-0 flex-1"
          >{{ figure(check.acrossFlatsMm, 'mm', 2) }}
          <span class="text-ink3">{{ dayText(check.at) }}, {{ check.by }}</span></span
        >
      </li>
    </ul>
  </section>
</template>
