<script setup lang="ts">
import { Unlink } from '@lucide/vue';
import { computed } from 'vue';
import { MOST } from '../../core/model/limits.ts';
import type { Job } from '../../core/model/job.ts';
import type { Bond, PlaceOf } from '../../core/model/system.ts';
import { withBond, withoutBond } from '../../core/system/edits.ts';
import { idFor } from '../../core/system/places.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import { say } from '../../core/words/say.ts';

/** The grounds that a ground is joined to by metal or a strap, and what was measured across each. */
const { job, ground } = defineProps<{ job: Job; ground: PlaceOf<'ground'> }>();
const emit = defineEmits<{ change: [what: string, make: (job: Job) => Job] }>();

const grounds = computed(() => (job.system?.places ?? []).filter(({ kind }) => kind === 'ground'));
const bonds = computed(() => job.system?.bonds ?? []);
const joined = computed(() =>
  bonds.value.flatMap((bond) => {
    const otherId = bond.a === ground.id ? bond.b : bond.b === ground.id ? bond.a : null;
    const other = grounds.value.find(({ id }) => id === otherId);
    return other ? [{ bond, other }] : [];
  }),
);
const free = computed(() =>
  grounds.value
    .filter(({ id }) => id !== ground.id && !joined.value.some(({ other }) => other.id === id))
    .map(({ id, name }) => ({ value: id, title: name })),
);

function join(otherId: string): void {
  const id = idFor(`${ground.id} ${otherId}`, new Set(bonds.value.map((bond) => bond.id)));
  const other = grounds.value.find((one) => one.id === otherId)?.name ?? '';
  emit('change', say`join ${ground.name} to ${other}`, (now) =>
    withBond(now, { id, a: ground.id, b: otherId }),
  );
}
function measured({ id, a, b }: Bond, milliohm?: number): void {
  const bond = { id, a, b, ...(milliohm !== undefined && { milliohm }) };
  emit('change', say`change ${ground.name}`, (now) => withBond(now, bond));
}
</script>

<template>
  <section v-if="grounds.length > 1" class="space-y-3" :aria-label="say`Joined grounds`">
    <div v-for="{ bond, other } in joined" :key="bond.id" class="flex items-end gap-2">
      <QuantityField
        class="grow"
        :label="say`Resistance to ${other.name}, with its straps`"
        kind="milliohm"
        :model-value="bond.milliohm ?? null"
        :least="0"
        :most="1000"
        :decimals="2"
        :placeholder="say`not measured`"
        optional
        @update:model-value="measured(bond, $event)"
        @clear="measured(bond)"
      />
      <button
        type="button"
        class="button shrink-0"
        :aria-label="say`Not joined to ${other.name}`"
        @click="
          $emit('change', say`separate ${ground.name} from ${other.name}`, (now) => withoutBond(now, bond.id))
        "
      >
        <Unlink class="size-4" aria-hidden="true" />
        {{ say`Not joined` }}
      </button>
    </div>
    <ChoiceField
      v-if="free.length > 0 && bonds.length < MOST.bonds"
      :label="say`Joined by metal or a strap to`"
      :model-value="undefined"
      :choices="free"
      :empty="say`Choose a ground`"
      @update:model-value="join"
    />
  </section>
</template>
