<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core';
import { shallowRef, watch } from 'vue';
import type { Photo } from '../../core/model/cable.ts';
import { pictureOf } from '../storage/photos.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** One photograph as this browser keeps it; said plainly where it was not brought along. */
const { photo } = defineProps<{ photo: Photo }>();
const jpeg = shallowRef<Blob | null>(null);
const url = useObjectUrl(jpeg);
const isMissing = shallowRef(false);
watch(
  () => photo.id,
  async (id) => {
    jpeg.value = await pictureOf(id);
    isMissing.value = jpeg.value === null;
  },
  { immediate: true },
);
</script>

<template>
  <img
    v-if="url"
    :src="url"
    :alt="say`Photograph of ${dayText(photo.at)}${photo.by ? say` by ${photo.by}` : ''}`"
  />
  <span v-else class="note block p-1">{{ isMissing ? say`not in this browser` : '' }}</span>
</template>
