import { ref } from 'vue';

/** Whether the box of preferences is open: it is called from several places, and stands over all of them. */
export const isPreferencesOpen = ref(false);
