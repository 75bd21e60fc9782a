<script setup lang="ts">
import { choicesOf } from '../ui/choicesOf.ts';
import { JACKETS } from '../../core/model/shop.ts';
import { computed } from 'vue';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import { called } from '../../core/model/catalogue/called.ts';
import { say } from '../../core/words/say.ts';

/** Sets one field of all marked cables at once; one undo takes it back. */
const { jobId, cableIds } = defineProps<{ jobId: string; cableIds: readonly string[] }>();
const emit = defineEmits<{ done: [] }>();

const bench = useBench();
const kinds = computed(() =>
  bench.shop.cableKinds.map(({ id, title }) => ({ value: id, title: called(title) })),
);

type Cables = Parameters<Parameters<typeof bench.edit>[1]>[0]['jobs'][number]['cables'];

function setAll(what: string, set: (cable: Cables[number]) => void): void {
  bench.edit(what, (draft) => {
    draft.jobs
      .find(({ id }) => id === jobId)
      ?.cables.filter(({ id }) => cableIds.includes(id))
      .forEach(set);
  });
}

function remove(): void {
  bench.removeCables(jobId, cableIds);
  emit('done');
}
</script>

<template>
  <div class="shrink-0 space-y-2 border-t border-line bg-teal-tint p-3">
    <p class="font-bold">{{ say`${cableIds.length} selected: change all` }}</p>
    <ChoiceField
      :label="say`Cable kind`"
      :model-value="undefined"
      :choices="kinds"
      @update:model-value="
        (kindId) =>
          setAll(say`set cable kind`, (cable) => {
            cable.gauge = { kindId };
          })
      "
    />
    <ChoiceField
      :label="say`Jacket`"
      :model-value="undefined"
      :choices="choicesOf(JACKETS)"
      @update:model-value="
        (jacket) =>
          setAll(say`set jacket`, (cable) => {
            cable.jacket = jacket;
          })
      "
    />
    <QuantityField
      :label="say`Air temperature`"
      kind="temperature"
      :model-value="null"
      :least="-40"
      :most="150"
      :decimals="0"
      @update:model-value="
        (ambientC) =>
          setAll(say`set air temperature`, (cable) => {
            cable.run.ambientC = ambientC;
          })
      "
    />
    <div class="flex gap-2">
      <button type="button" class="button flex-1" @click="remove">{{ say`Delete` }}</button>
      <button type="button" class="button flex-1" @click="emit('done')">{{ say`Done` }}</button>
    </div>
  </div>
</template>
