<script setup lang="ts">
import { choicesOf } from '../../ui/choicesOf.ts';
import { JACKETS } from '../../../core/model/shop.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { useBench } from '../../stores/bench.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useRunEdit } from './useRunEdit.ts';
import { nameSays } from '../../../core/sizing/runSays.ts';
import { tell } from '../../../core/words/message.ts';
import { say } from '../../../core/words/say.ts';

/** Its tag and the colour of its jacket. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const bench = useBench();
const { edit } = useRunEdit(() => ({ jobId, cable }));

const tagHint = computed(() => {
  const others = bench.jobById(jobId)?.cables.filter(({ id }) => id !== cable.id) ?? [];
  return others.some(({ tag }) => tag === cable.tag) ? say`Another cable has this tag.` : '';
});
</script>

<template>
  <StageSection part="name" :title="say`Tag and jacket`" :says="tell(nameSays(cable.tag, cable.jacket))">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-[160px_160px]">
      <TextField
        :label="say`Tag`"
        :model-value="cable.tag"
        :longest="80"
        :hint="tagHint"
        required
        @update:model-value="(tag) => edit(say`tag`, (draft) => void (draft.tag = tag))"
      />
      <ChoiceField
        :label="say`Jacket`"
        :model-value="cable.jacket"
        :choices="choicesOf(JACKETS)"
        @update:model-value="(jacket) => edit(say`jacket`, (draft) => void (draft.jacket = jacket))"
      />
    </div>
  </StageSection>
</template>
