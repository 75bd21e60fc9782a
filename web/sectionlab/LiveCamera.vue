<script setup lang="ts">
import { transfer, wrap } from 'comlink';
import { onScopeDispose, ref, useTemplateRef } from 'vue';
import { type Advice, ADVICE_SAYS } from '../../core/section/coach.ts';
import { tell } from '../../core/words/message.ts';
import { say } from '../../core/words/say.ts';
import { useCamera } from '../ui/useCamera.ts';
import type { SectionWorker } from '../workers/section.worker.ts';

/** The camera over a sawn crimp, with what to do next by what each view of it shows. */
const emit = defineEmits<{ taken: [picture: File]; close: []; refused: [sentence: string] }>();

/** A view is looked at this wide: as sharp as the picture will be, and not slower than a hand moves. */
const LOOK_PX = 1000;
const LOOK_MS = 300;

const video = useTemplateRef<HTMLVideoElement>('video');
const advice = ref<Advice | null>(null);
const worker = new Worker(new URL('../workers/section.worker.ts', import.meta.url), { type: 'module' });
const remote = wrap<SectionWorker>(worker);
let timer: ReturnType<typeof setTimeout> | undefined;
let isOver = false;

const { stream, start, seen } = useCamera(video, { width: { ideal: 4096 }, height: { ideal: 3072 } });
void start().then((isThere) => {
  if (isThere) void look();
  else emit('refused', say`The camera cannot be used here: take a picture and open its file.`);
});

/** What the camera sees now, at most so wide; null while it sees nothing. */
function viewOf(most: number): OffscreenCanvas | null {
  const shown = seen();
  if (!shown) return null;
  const factor = Math.min(1, most / Math.max(1, shown.videoWidth));
  const canvas = new OffscreenCanvas(
    Math.round(shown.videoWidth * factor),
    Math.round(shown.videoHeight * factor),
  );
  canvas.getContext('2d')?.drawImage(shown, 0, 0, canvas.width, canvas.height);
  return canvas;
}
async function look(): Promise<void> {
  const canvas = viewOf(LOOK_PX);
  const pixels = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height);
  if (pixels) {
    const { width, height, data } = pixels;
    const found = await remote.look(transfer({ width, height, data }, [data.buffer])).catch(() => null);
    if (isOver) return;
    advice.value = found;
  }
  timer = setTimeout(() => void look(), LOOK_MS);
}
async function takeIt(): Promise<void> {
  const type = 'image/jpeg';
  const blob = await viewOf(Number.POSITIVE_INFINITY)?.convertToBlob({ type, quality: 0.95 });
  if (blob) emit('taken', new File([blob], say`from the camera.jpg`, { type }));
}
onScopeDispose(() => {
  isOver = true;
  clearTimeout(timer);
  worker.terminate();
});
</script>

<template>
  <div class="relative flex min-h-0 flex-col bg-chalk" data-testid="live-camera">
    <video
      ref="video"
      class="min-h-0 w-full flex-1 object-contain"
      autoplay
      muted
      playsinline
      :aria-label="say`What the camera sees`"
    ></video>
    <div class="flex flex-wrap items-center gap-3 border-t border-line bg-paper px-4 py-3">
      <p
        class="figure mr-auto text-[28px] leading-8 font-semibold"
        :class="advice === 'good' ? 'text-holds' : ''"
        role="status"
      >
        {{ advice ? tell(ADVICE_SAYS[advice]) : say`Looking …` }}
      </p>
      <button type="button" class="button" @click="emit('close')">{{ say`Close the camera` }}</button>
      <button
        type="button"
        class="button min-h-12"
        :class="advice === 'good' ? 'filled' : ''"
        :disabled="!stream"
        @click="takeIt"
      >
        {{ say`Take it` }}
      </button>
    </div>
  </div>
</template>
