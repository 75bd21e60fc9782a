<script setup lang="ts">
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import type { Finding } from '../../../core/finding/finding.ts';
import { named } from '../../../core/proof/verdict.ts';
import type { Cable } from '../../../core/model/cable.ts';
import { usePrefs } from '../../stores/prefs.ts';
import ModalBox from '../../ui/ModalBox.vue';
import TextField from '../../ui/TextField.vue';
import { useCableEdit } from '../useCable.ts';
import { usePersonNeeded } from '../usePersonNeeded.ts';
import { say } from '../../../core/words/say.ts';

/** Doing without a reading: somebody answers for it by name and says why, and the figure stays not proved. */
const { finding, cable, jobId } = defineProps<{ finding: Finding; cable: Cable; jobId: string }>();

const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const { problem, nameNeeded } = usePersonNeeded();
const isOpen = ref(false);
const why = ref('');
const subject = computed(() => named(finding));

function waive(): void {
  if (nameNeeded()) return;
  if (why.value.trim().length < 3) {
    problem.value = say`Enter why it can be waived.`;
    return;
  }
  edit(say`waive ${subject.value}`, (draft) => {
    draft.waivers.push({
      id: nanoid(10),
      at: new Date().toISOString(),
      by: prefs.person,
      finding: finding.id,
      why: why.value.trim(),
    });
  });
  isOpen.value = false;
  why.value = '';
}
function takeBack(): void {
  edit(say`require ${subject.value} again`, (draft) => {
    draft.waivers = draft.waivers.filter((own) => own.finding !== finding.id);
  });
}
</script>

<template>
  <p v-if="finding.waived" class="mt-3 border-l-4 border-ink2 bg-buff px-3 py-2">
    <b>{{ finding.waived.by }}</b> {{ say`who waives it: ${finding.waived.why}` }}
    <button type="button" class="ml-2 compact text-teal underline" @click="takeBack">
      {{ say`require it again` }}
    </button>
  </p>
  <p v-else-if="finding.state === 'unproved'" class="mt-3">
    <button type="button" class="compact text-teal underline" @click="isOpen = true">
      {{ say`Waive this test, with name and reason` }}
    </button>
  </p>
  <ModalBox :open="isOpen" :title="say`Waive ${subject}`" @close="isOpen = false">
    <p class="mb-3">
      {{
        say`It stays not proved, on screen, on paper and in the record, with your name and reason beside it. Work done again on the end requires it again.`
      }}
    </p>
    <TextField
      :label="say`Who answers for it`"
      :model-value="prefs.person"
      @update:model-value="prefs.person = $event"
    />
    <TextField
      :label="say`Why it can be waived`"
      :model-value="why"
      :longest="200"
      @update:model-value="why = $event"
    />
    <p v-if="problem" class="mb-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <button type="button" class="button filled mt-2" @click="waive">{{ say`Waive this test` }}</button>
  </ModalBox>
</template>
