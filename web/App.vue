<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import { RouterView, useRoute } from 'vue-router';
import KeepingBar from './keeping/KeepingBar.vue';
import { isPreferencesOpen } from './ui/preferences.ts';
import Boundary from './trouble/Boundary.vue';
import { say } from '../core/words/say.ts';

const route = useRoute();
// Boxes come when they are opened.
const PreferencesBox = defineAsyncComponent(() => import('./ui/PreferencesBox.vue'));
</script>

<template>
  <KeepingBar />
  <Boundary :part="say`This page`" :reset-on="route.fullPath"><RouterView /></Boundary>
  <PreferencesBox v-if="isPreferencesOpen" @close="isPreferencesOpen = false" />
</template>
