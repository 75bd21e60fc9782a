<script setup lang="ts">
import { ArrowDown, ArrowUp, X } from '@lucide/vue';
import type { Draft } from 'immer';
import { computed } from 'vue';
import type { EndName } from '../../../core/model/end.ts';
import type { SharedStud } from '../../../core/model/job.ts';
import { type StudStack } from '../../../core/termination/studs/studStack.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import TextField from '../../ui/TextField.vue';
import { say } from '../../../core/words/say.ts';

/** A stud of the job that several share: how long it is, what else is on it, and how it is really stacked. */
const { stud, stack, jobId, endName } = defineProps<{
  stud: SharedStud;
  stack: StudStack;
  jobId: string;
  endName: EndName;
}>();

const bench = useBench();
function edit(what: string, recipe: (own: Draft<SharedStud>) => void): void {
  bench.edit(say`${what} of ${stud.name}`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === jobId)?.studs.find(({ id }) => id === stud.id);
    if (own) recipe(own);
  });
}

/** From the top of the stack down, as it is seen. */
const fromTop = computed(() => stack.members.toReversed());
function move(key: string, by: 1 | -1): void {
  const order = stack.members.map((member) => member.key);
  const from = order.indexOf(key);
  const [moved] = order.splice(from, 1);
  if (moved) order.splice(from + by, 0, moved);
  edit(say`order`, (own) => void (own.order = order));
}
const isOther = (key: string) => stud.others.some(({ what }) => what === key);
const taken = (text: string) =>
  stack.members.some(({ key }) => key === text) ? say`That is already on it.` : '';
</script>

<template>
  <div class="mt-2 border-t border-hairline pt-2">
    <div class="grid grid-cols-2 gap-2">
      <TextField
        :label="say`Name of the stud at ${endName}`"
        :model-value="stud.name"
        required
        @update:model-value="(name) => edit(say`name`, (own) => void (own.name = name))"
      />
      <QuantityField
        :label="say`Thread clear of the face at ${endName}`"
        kind="length"
        :model-value="stud.lengthMm ?? null"
        :least="2"
        :most="200"
        optional
        @update:model-value="(mm) => edit(say`length`, (own) => void (own.lengthMm = mm))"
        @clear="edit(say`length`, (own) => void delete own.lengthMm)"
      />
    </div>
    <CheckField
      class="mt-1"
      :label="say`a spring washer under the nut`"
      :model-value="stud.springWasher"
      @update:model-value="(on) => edit(say`washer`, (own) => void (own.springWasher = on))"
    />
    <ol class="mt-3" :aria-label="say`From the top of the stack at ${endName}`">
      <li
        v-for="(member, i) in fromTop"
        :key="member.key"
        class="flex compact items-center gap-1 border-b border-hairline"
      >
        <span class="min-w-0 flex-1 truncate" :class="member.isThis ? 'font-bold' : ''">{{
          member.label
        }}</span>
        <button
          type="button"
          class="flex size-9 items-center justify-center text-teal disabled:text-ink3/50"
          :disabled="i === 0"
          @click="move(member.key, 1)"
        >
          <ArrowUp :size="17" aria-hidden="true" /><span class="sr-only">{{
            say`${member.label} away from the face`
          }}</span>
        </button>
        <button
          type="button"
          class="flex size-9 items-center justify-center text-teal disabled:text-ink3/50"
          :disabled="i === fromTop.length - 1"
          @click="move(member.key, -1)"
        >
          <ArrowDown :size="17" aria-hidden="true" /><span class="sr-only">{{
            say`${member.label} towards the face`
          }}</span>
        </button>
        <button
          v-if="isOther(member.key)"
          type="button"
          class="flex size-9 items-center justify-center text-teal"
          @click="
            edit(
              say`others`,
              (own) => void (own.others = own.others.filter(({ what }) => what !== member.key)),
            )
          "
        >
          <X :size="17" aria-hidden="true" /><span class="sr-only">{{ say`remove ${member.label}` }}</span>
        </button>
      </li>
    </ol>
    <details class="mt-2">
      <summary class="compact cursor-pointer font-bold text-teal">{{ say`Also on this stud` }}</summary>
      <TextField
        :label="say`What else is on the stud at ${endName}`"
        model-value=""
        :hint="say`shunt lead, charger ring; press Enter to add`"
        :check="taken"
        @update:model-value="
          (what) => edit(say`others`, (own) => void own.others.push({ what, amps: 5, palmMm: 1.5 }))
        "
      />
      <div v-for="(other, i) in stud.others" :key="other.what" class="grid grid-cols-2 gap-2">
        <QuantityField
          :label="say`${other.what}, amps`"
          kind="current"
          :model-value="other.amps"
          :least="0"
          :most="5000"
          :decimals="0"
          @update:model-value="
            (amps) => edit(say`amps`, (own) => void ((own.others[i] ?? other).amps = amps))
          "
        />
        <QuantityField
          :label="say`${other.what}, thickness`"
          kind="length"
          :model-value="other.palmMm"
          :least="0.3"
          :most="20"
          @update:model-value="
            (mm) => edit(say`thickness`, (own) => void ((own.others[i] ?? other).palmMm = mm))
          "
        />
      </div>
    </details>
    <button
      v-if="stud.order"
      type="button"
      class="mt-1 compact font-bold text-teal"
      @click="edit(say`order`, (own) => void delete own.order)"
    >
      {{ say`Re-order by current` }}
    </button>
  </div>
</template>
