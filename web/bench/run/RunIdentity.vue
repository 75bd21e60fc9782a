<script setup lang="ts">
import { choicesOf } from '../../ui/choicesOf.ts';
import { JACKETS } from '../../../core/model/shop.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { useBench } from '../../stores/bench.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useRunEdit } from './useRunEdit.ts';
import { say } from '../../../core/words/say.ts';

/** Its tag, from where to where, and which way round it is. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const bench = useBench();
const { edit } = useRunEdit(() => ({ jobId, cable }));

/** Called otherwise, it is on another place: on the one of that name. */
function setPlace(end: EndName, what: string, at: string): void {
  edit(what, ({ ends }) => {
    ends[end].at = at;
    delete ends[end].on;
  });
}

const POLARITIES = [
  { value: 'positive', title: '+', spoken: say`positive` },
  { value: 'negative', title: '−', spoken: say`negative` },
  { value: 'link', title: say`link`, spoken: say`link between batteries` },
] as const;
const tagHint = computed(() => {
  const others = bench.jobById(jobId)?.cables.filter(({ id }) => id !== cable.id) ?? [];
  return others.some(({ tag }) => tag === cable.tag) ? say`Another cable has this tag.` : '';
});
</script>

<template>
  <StageSection :title="say`From where to where`">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-[96px_1fr_1fr_150px_104px]">
      <TextField
        :label="say`Tag`"
        :model-value="cable.tag"
        :longest="80"
        :hint="tagHint"
        required
        @update:model-value="(tag) => edit(say`tag`, (draft) => void (draft.tag = tag))"
      />
      <TextField
        :label="say`From, end A`"
        :model-value="cable.ends.A.at"
        :hint="say`isolator post, bus +, …`"
        @update:model-value="(at) => setPlace('A', say`from`, at)"
      />
      <TextField
        :label="say`To, end B`"
        :model-value="cable.ends.B.at"
        :hint="say`thruster stud, starter, …`"
        @update:model-value="(at) => setPlace('B', say`to`, at)"
      />
      <SegmentedField
        :label="say`Polarity`"
        :model-value="cable.polarity"
        :choices="POLARITIES"
        @update:model-value="(polarity) => edit(say`polarity`, (draft) => void (draft.polarity = polarity))"
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
