<script setup lang="ts">
import { usePrefs } from '../stores/prefs.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { say } from '../../core/words/say.ts';

/** The paper that is printed on: chosen once, honoured by every list, label and record. */
const { prefs } = usePrefs();
</script>

<template>
  <SegmentedField
    v-model="prefs.paper"
    :label="say`Paper`"
    :choices="[
      { value: 'A4', title: 'A4' },
      { value: 'Letter', title: say`Letter` },
    ]"
  />
</template>
