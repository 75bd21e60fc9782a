<script setup lang="ts">
import { nanoid } from 'nanoid';
import { ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { cableOfLabel, findByLabel } from '../../core/log/label.ts';
import type { LogEntry } from '../../core/log/log.ts';
import { readLabel } from '../../core/paper/label.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import ModalBox from '../ui/ModalBox.vue';
import CodeReader from '../ui/CodeReader.vue';
import { say } from '../../core/words/say.ts';

/** A label's code, from a picture, the camera, or typed: opens its cable, or brings it in where it is not known. */
const { open, entries } = defineProps<{ open: boolean; entries: readonly LogEntry[] }>();
const emit = defineEmits<{ close: []; found: [entry: LogEntry] }>();

const bench = useBench();
const router = useRouter();
const typed = ref('');
const problem = ref('');
const unknown = shallowRef<Extract<ReturnType<typeof readLabel>, { ok: true }>['fields'] | null>(null);
const reader = useTemplateRef<InstanceType<typeof CodeReader>>('reader');
const JOB_TITLE = say`From labels`;

function said(text: string): void {
  const label = readLabel(text);
  problem.value = label.ok ? '' : label.sentence;
  if (!label.ok) return;
  reader.value?.stopCamera();
  const entry = findByLabel(entries, label.fields);
  if (entry) {
    emit('found', entry);
    emit('close');
  } else {
    unknown.value = label.fields;
  }
}
watch(
  () => open,
  () => {
    problem.value = typed.value = '';
    unknown.value = null;
  },
);

/** A label from elsewhere becomes a cable of its own job: what it says, and nothing proved. */
function bringIn(): void {
  if (!unknown.value) return;
  const job = bench.jobs.find(({ title }) => title === JOB_TITLE) ?? bench.addEmptyJob(JOB_TITLE);
  const cable = cableOfLabel(unknown.value, nanoid(10), bench.shop);
  bench.insertCable(job.id, cable, undefined, say`cable from its label`);
  emit('close');
  void router.push(placeOf(job.id, cable.id, 'run'));
}
</script>

<template>
  <ModalBox :open="open" :title="say`Scan a label`" @close="emit('close')">
    <template v-if="unknown">
      <p role="status">
        <b class="figure text-[18px]">{{ unknown.tag }}</b
        >{{ say`, ${unknown.from} to ${unknown.to}, is not in this log.` }}
      </p>
      <p class="note mt-1">
        {{ unknown.cable }}, {{ unknown.length }}, {{ unknown.proof }}, {{ unknown.by }}
      </p>
      <p class="mt-2">
        {{
          say`It can be imported from its label. A label proves nothing: the cable is imported as not proved, with the text of the label in its notes.`
        }}
      </p>
      <div class="mt-3 flex gap-2">
        <button type="button" class="button filled" @click="bringIn">{{ say`Import it` }}</button>
        <button type="button" class="button" @click="unknown = null">{{ say`Another label` }}</button>
      </div>
    </template>
    <template v-else>
      <p>{{ say`A picture of the label stays on this machine.` }}</p>
      <CodeReader
        ref="reader"
        class="mt-3"
        :picture="say`A picture of it`"
        @begun="problem = ''"
        @said="said"
      />
      <label class="label mt-3 block" for="label-text">{{ say`Or the text of its code` }}</label>
      <textarea
        id="label-text"
        v-model="typed"
        rows="4"
        class="mt-1 w-full rounded-box border border-teal bg-paper p-2"
        spellcheck="false"
      />
      <button type="button" class="button mt-1" :disabled="typed.trim() === ''" @click="said(typed.trim())">
        {{ say`Find it in the log` }}
      </button>
      <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    </template>
  </ModalBox>
</template>
