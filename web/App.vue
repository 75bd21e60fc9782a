<script setup lang="ts">
import { RouterView, useRoute } from 'vue-router';
import KeepingBar from './keeping/KeepingBar.vue';
import Boundary from './trouble/Boundary.vue';
import { say } from '../core/words/say.ts';

const route = useRoute();
</script>

<template>
  <KeepingBar />
  <Boundary :part="say`This page`" :reset-on="route.fullPath"><RouterView /></Boundary>
</template>
