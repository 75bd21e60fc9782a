<script setup lang="ts">
import { RouterView } from 'vue-router';
import KeepingBar from './keeping/KeepingBar.vue';
</script>

<template>
  <KeepingBar />
  <RouterView />
</template>
