<script setup lang="ts">
import { onScopeDispose, ref, useTemplateRef } from 'vue';
import { useCamera } from './useCamera.ts';
import { say } from '../../core/words/say.ts';

/** A printed code, from a picture or before the camera: what it says is handed over. Pictures stay on this machine. */
const { picture } = defineProps<{
  /** What the picture is of: "A picture of it". */
  picture: string;
}>();
const emit = defineEmits<{ said: [text: string]; begun: [] }>();

const problem = ref('');
const video = useTemplateRef<HTMLVideoElement>('video');
const { stream, start, stop, seen } = useCamera(video);
let timer: ReturnType<typeof setInterval> | undefined;
const LOOK_MS = 250;

async function fromFile(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  field.value = '';
  if (!file) return;
  begin();
  try {
    const { codeInPicture } = await import('./codes.ts');
    const text = await codeInPicture(file);
    if (text === null)
      problem.value = say`No code can be made out in this picture: nearer, flat, and in even light.`;
    else emit('said', text);
  } catch {
    problem.value = say`“${file.name}” is no picture that can be read here.`;
  }
}
function begin(): void {
  problem.value = '';
  emit('begun');
}
async function startCamera(): Promise<void> {
  begin();
  if (!(await start())) {
    problem.value = say`The camera cannot be used here: take a picture and choose its file, or type the text of the code.`;
    return;
  }
  const { codeIn } = await import('./codes.ts');
  timer = setInterval(() => {
    const shown = seen();
    const text = shown && codeIn(shown, shown.videoWidth, shown.videoHeight);
    if (text !== null) emit('said', text);
  }, LOOK_MS);
}
function stopCamera(): void {
  clearInterval(timer);
  stop();
}
onScopeDispose(stopCamera);
defineExpose({ stopCamera });
</script>

<template>
  <div>
    <div class="flex flex-wrap gap-2">
      <label
        class="button filled focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-teal"
      >
        {{ picture }}
        <input type="file" accept="image/*" class="sr-only" data-testid="label-picture" @change="fromFile" />
      </label>
      <button v-if="!stream" type="button" class="button" @click="startCamera">
        {{ say`The camera` }}
      </button>
      <button v-else type="button" class="button" @click="stopCamera">{{ say`Stop the camera` }}</button>
    </div>
    <video v-if="stream" ref="video" class="mt-3 w-full border border-line" autoplay muted playsinline />
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
  </div>
</template>
