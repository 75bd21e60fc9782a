<script setup lang="ts">
import { computed } from 'vue';
import type { Cable, Photo } from '../../core/model/cable.ts';
import { useCableEdit } from '../bench/useCable.ts';
import { say } from '../../core/words/say.ts';
import PhotoStrip from './PhotoStrip.vue';

/** Photographs of the work: of one step, or of the whole cable. */
const { cable, jobId, stepId = undefined } = defineProps<{ cable: Cable; jobId: string; stepId?: string }>();

const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));
const photos = computed(() => cable.photos.filter(({ step }) => stepId === undefined || step === stepId));
const take = (photo: Photo) => edit(say`photograph`, (draft) => void draft.photos.push(photo));
const takeOut = (photo: Photo) =>
  edit(say`remove a photograph`, (draft) => {
    draft.photos = draft.photos.filter(({ id }) => id !== photo.id);
  });
</script>

<template>
  <PhotoStrip :photos="photos" v-bind="stepId === undefined ? {} : { stepId }" @take="take" @out="takeOut" />
</template>
