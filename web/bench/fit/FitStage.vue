<script setup lang="ts">
import { TriangleAlert } from '@lucide/vue';
import { STUDS } from '../../../core/catalogue/tables/studs.ts';
import type { Cable } from '../../../core/job/cable.ts';
import { END_NAMES, type EndName } from '../../../core/job/end.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { usePrefs } from '../../stores/prefs.ts';
import ReadingEntry from '../prove/ReadingEntry.vue';
import { takenReading } from '../prove/readings.ts';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import { usePersonNeeded } from '../usePersonNeeded.ts';

/** On the boat: the stack as it goes on each stud, and the torque it was tightened to. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const { problem, nameNeeded } = usePersonNeeded();
const findingOf = (name: EndName) => work.findings.find(({ id }) => id === `torque.${name}`);
function record(name: EndName, newtonMetre: number): boolean {
  if (nameNeeded()) return false;
  edit(`torque of ${name}`, (draft) => {
    draft.readings.push(takenReading({ check: 'torque', end: name, newtonMetre }, prefs.person));
  });
  return true;
}
</script>

<template>
  <div class="p-3.5">
    <p class="mb-4 flex items-start gap-2 text-[15px] font-bold text-fails">
      <TriangleAlert :size="22" class="shrink-0" aria-hidden="true" />
      A battery cannot be switched off. Isolate and tag, insulate the tools, rings and watches off; negative
      off first and on last.
    </p>
    <div class="grid gap-x-5 sm:grid-cols-2">
      <StageSection
        v-for="name in END_NAMES"
        :key="name"
        :title="`${name}: ${cable.ends[name].at || 'not said where'}`"
        :note="cable.ends[name].stud"
      >
        <ol class="mb-3 list-decimal space-y-1 pl-5 marker:text-ink2">
          <li>Current face clean and bright, nothing between it and the lug.</li>
          <li>
            {{ work.ends[name].lug?.label ?? 'The lug' }}, palm flat; on a shared stud the largest current
            lowest.
          </li>
          <li>
            Washer, {{ STUDS[cable.ends[name].stud].washerOuterMm }} mm, above the lugs; then the nut, fully
            on.
          </li>
          <li>Boot over a live stud.</li>
        </ol>
        <ReadingEntry
          label="Tightened to"
          kind="torque"
          :least="0"
          :most="500"
          :decimals="1"
          :finding="findingOf(name)"
          :record="(torque) => record(name, torque)"
        />
      </StageSection>
    </div>
    <div class="mb-4 max-w-60">
      <TextField
        label="Who is fitting"
        :model-value="prefs.person"
        @update:model-value="prefs.person = $event"
      />
      <p v-if="problem" class="font-bold text-fails" role="alert">{{ problem }}</p>
    </div>
    <StageSection title="Before it is made live">
      <ul class="list-disc space-y-1 pl-5 marker:text-ink2">
        <li>Polarity checked at both ends: {{ cable.polarity }}, {{ cable.jacket }}.</li>
        <li>
          Supported along its way, first support close behind each lug; nothing rubs; a drip loop before each
          end.
        </li>
        <li>The fuse stands near the source, and on the cable’s own figures.</li>
      </ul>
      <p class="note mt-2">
        These figures are for planning. The equipment maker’s torque, the local code, the class or survey
        rules, and a licensed person where the law asks for one come first.
      </p>
    </StageSection>
  </div>
</template>
