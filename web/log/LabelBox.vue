<script setup lang="ts">
import { nanoid } from 'nanoid';
import { onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { cableOfLabel, findByLabel } from '../../core/log/label.ts';
import type { LogEntry } from '../../core/log/log.ts';
import { readLabel } from '../../core/paper/label.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import ModalBox from '../ui/ModalBox.vue';
import { useCamera } from '../ui/useCamera.ts';
import { say } from '../../core/words/say.ts';

/** A label's code, from a picture, the camera, or typed: opens its cable, or brings it in where it is not known. */
const { open, entries } = defineProps<{ open: boolean; entries: readonly LogEntry[] }>();
const emit = defineEmits<{ close: []; found: [entry: LogEntry] }>();

const bench = useBench();
const router = useRouter();
const typed = ref('');
const problem = ref('');
const unknown = shallowRef<Extract<ReturnType<typeof readLabel>, { ok: true }>['fields'] | null>(null);
const video = useTemplateRef<HTMLVideoElement>('video');
const { stream, start, stop, seen } = useCamera(video);
let timer: ReturnType<typeof setInterval> | undefined;
const LOOK_MS = 250;
const JOB_TITLE = say`From labels`;

function said(text: string | null): void {
  if (text === null) {
    problem.value = say`No code can be made out in this picture: nearer, flat, and in even light.`;
    return;
  }
  const label = readLabel(text);
  problem.value = label.ok ? '' : label.sentence;
  if (!label.ok) return;
  stopCamera();
  const entry = findByLabel(entries, label.fields);
  if (entry) {
    emit('found', entry);
    emit('close');
  } else {
    unknown.value = label.fields;
  }
}
async function fromFile(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (!file) return;
  try {
    const { qrInPicture } = await import('./qr.ts');
    said(await qrInPicture(file));
  } catch {
    problem.value = say`“${file.name}” is no picture that can be read here.`;
  }
}
async function startCamera(): Promise<void> {
  problem.value = '';
  if (!(await start())) {
    problem.value = say`The camera cannot be used here: take a picture and choose its file, or type what it says.`;
    return;
  }
  const { qrIn } = await import('./qr.ts');
  timer = setInterval(() => {
    const own = seen();
    if (!own) return;
    const text = qrIn(own, own.videoWidth, own.videoHeight);
    if (text !== null) said(text);
  }, LOOK_MS);
}
function stopCamera(): void {
  clearInterval(timer);
  stop();
}
watch(
  () => open,
  () => {
    stopCamera();
    problem.value = typed.value = '';
    unknown.value = null;
  },
);
onScopeDispose(stopCamera);

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
  <ModalBox :open="open" :title="say`Read a label`" @close="emit('close')">
    <template v-if="unknown">
      <p role="status">
        <b class="figure text-[18px]">{{ unknown.tag }}</b>{{
          say`, ${unknown.from} to ${unknown.to}, is not in this log.`
        }}
      </p>
      <p class="note mt-1">
        {{ unknown.cable }}, {{ unknown.length }}, {{ unknown.proof }}, {{ unknown.by }}
      </p>
      <p class="mt-2">
        {{
          say`It can be brought in as its label tells of it. A label proves nothing: it comes in not proved, with what it says in its notes.`
        }}
      </p>
      <div class="mt-3 flex gap-2">
        <button type="button" class="button filled" @click="bringIn">{{ say`Bring it in` }}</button>
        <button type="button" class="button" @click="unknown = null">{{ say`Another label` }}</button>
      </div>
    </template>
    <template v-else>
      <p>{{ say`A picture of the label stays on this machine.` }}</p>
      <div class="mt-3 flex flex-wrap gap-2">
        <label
          class="button filled focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-teal"
        >
          {{ say`A picture of it` }}
          <input
            type="file"
            accept="image/*"
            class="sr-only"
            data-testid="label-picture"
            @change="fromFile"
          />
        </label>
        <button v-if="!stream" type="button" class="button" @click="startCamera">
          {{ say`The camera` }}
        </button>
        <button v-else type="button" class="button" @click="stopCamera">{{ say`Stop the camera` }}</button>
      </div>
      <video v-if="stream" ref="video" class="mt-3 w-full border border-line" autoplay muted playsinline />
      <label class="label mt-3 block" for="label-text">{{ say`Or what its code says` }}</label>
      <textarea
        id="label-text"
        v-model="typed"
        rows="4"
        class="mt-1 w-full rounded-box border border-teal bg-paper p-2"
        spellcheck="false"
      />
      <button type="button" class="button mt-1" :disabled="typed.trim() === ''" @click="said(typed.trim())">
        {{ say`Look it up` }}
      </button>
      <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    </template>
  </ModalBox>
</template>
