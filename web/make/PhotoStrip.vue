<script setup lang="ts">
import { readersLocale } from '../words.ts';
import { onKeyStroke } from '@vueuse/core';
import { Camera } from '@lucide/vue';
import { nanoid } from 'nanoid';
import { ref, useTemplateRef } from 'vue';
import type { Photo } from '../../core/model/cable.ts';
import { keptOrWhy, takePhoto } from '../storage/photos.ts';
import { usePrefs } from '../stores/prefs.ts';
import ModalBox from '../ui/ModalBox.vue';
import PhotoPicture from './PhotoPicture.vue';
import { say } from '../../core/words/say.ts';

/** Photographs, from the camera or a file: taken, opened, taken out. */
const { photos, stepId = undefined } = defineProps<{ photos: readonly Photo[]; stepId?: string }>();
const emit = defineEmits<{ take: [photo: Photo]; out: [photo: Photo] }>();

const { prefs } = usePrefs();
const field = useTemplateRef<HTMLInputElement>('field');
const problem = ref('');
const isBusy = ref(false);
const opened = ref<Photo | null>(null);
const when = new Intl.DateTimeFormat(readersLocale(), { dateStyle: 'medium', timeStyle: 'short' });

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [file] = input.files ?? [];
  input.value = '';
  if (!file) return;
  isBusy.value = true;
  const taken = await takePhoto(file);
  const id = nanoid(12);
  problem.value = taken.ok ? await keptOrWhy(id, taken.photo.jpeg) : taken.sentence;
  isBusy.value = false;
  if (!taken.ok || problem.value !== '') return;
  const { widthPx, heightPx } = taken.photo;
  emit('take', {
    id,
    at: new Date().toISOString(),
    by: prefs.person.trim(),
    ...(stepId && { step: stepId }),
    widthPx,
    heightPx,
  });
}
function takeOut(photo: Photo): void {
  emit('out', photo);
  opened.value = null;
}
onKeyStroke('p', (event) => {
  if (document.activeElement?.matches('input, textarea, [role=dialog] *') || event.ctrlKey || event.metaKey)
    return;
  field.value?.click();
});
</script>

<template>
  <div>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="photo in photos"
        :key="photo.id"
        type="button"
        class="size-[72px] overflow-hidden border border-hairline"
        @click="opened = photo"
      >
        <PhotoPicture :photo="photo" class="size-full object-cover" />
      </button>
      <label
        class="relative flex size-[72px] cursor-pointer flex-col items-center justify-center border border-dashed border-teal bg-lamp text-teal focus-within:outline-2 hover:bg-teal-tint"
      >
        <Camera :size="28" aria-hidden="true" />
        <span class="key">P</span>
        <input
          ref="field"
          type="file"
          accept="image/*"
          capture="environment"
          class="absolute inset-0 cursor-pointer opacity-0"
          :aria-label="say`Photograph`"
          @change="take"
        />
      </label>
    </div>
    <p v-if="problem" class="mt-1 font-bold text-fails" role="alert">{{ problem }}</p>
    <p v-else class="note mt-1" role="status">
      {{ isBusy ? say`making it small …` : photos.length === 0 ? say`none yet` : say`${photos.length} kept` }}
    </p>
    <ModalBox v-if="opened" open wide :title="say`Photograph`" @close="opened = null">
      <PhotoPicture :photo="opened" class="max-h-[62vh] w-full object-contain" />
      <p class="mt-2 flex items-center gap-3">
        <span class="flex-1"
          >{{ when.format(new Date(opened.at)) }}{{ opened.by ? `, ${opened.by}` : ''
          }}{{ opened.step ? say`, at ${opened.step}` : '' }}</span
        >
        <button type="button" class="button" @click="takeOut(opened)">{{ say`Remove it` }}</button>
      </p>
    </ModalBox>
  </div>
</template>
