<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { ChevronUp } from '@lucide/vue';
import { computed, ref } from 'vue';
import { peopleOf } from '../../core/model/people.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { say } from '../../core/words/say.ts';

/** Who is at the bench: two people at one bench change hands with two touches. */
const { jobId, needed } = defineProps<{
  jobId: string;
  /** Something was to be done, and nobody had said who does it. */
  needed: boolean;
}>();
const emit = defineEmits<{ said: [] }>();

const bench = useBench();
const { prefs } = usePrefs();
const isAnother = ref(false);
const others = computed(() => {
  const job = bench.jobById(jobId);
  return (job ? peopleOf(job) : []).filter((name) => name !== prefs.person).slice(0, 8);
});
/** Its own while it is typed: the page is drawn again each second. */
const typed = ref('');
function sign(name: string): void {
  const said = name.trim();
  if (said === '') return;
  prefs.person = said;
  isAnother.value = false;
  typed.value = '';
  emit('said');
  // The keys of the bench go on: Space is the pedal again, not this button.
  setTimeout(() => (document.activeElement as HTMLElement | null)?.blur());
}
const isAsking = computed(() => isAnother.value || prefs.person.trim() === '');
</script>

<template>
  <label v-if="isAsking" class="flex items-center gap-2">
    <span :class="needed ? 'font-bold text-fails' : 'text-ink2'" :role="needed ? 'alert' : undefined">{{
      say`Who is working?`
    }}</span>
    <input
      v-model="typed"
      class="field-input w-36"
      maxlength="60"
      :aria-label="say`Who is working`"
      @change="sign(typed)"
    />
  </label>
  <Menu v-else as="div" class="relative">
    <MenuButton
      class="figure flex min-h-14 max-w-44 items-center gap-2 px-2 text-[18px] text-teal hover:bg-teal-tint"
      :aria-label="say`Working: ${prefs.person}. Change person`"
    >
      <span class="truncate">{{ prefs.person }}</span
      ><ChevronUp :size="18" class="shrink-0" aria-hidden="true" />
    </MenuButton>
    <MenuItems
      class="absolute bottom-full left-0 z-40 mb-1 w-56 border border-line bg-lamp shadow-lg focus:outline-none"
    >
      <MenuItem v-for="name in others" :key="name" v-slot="{ active }">
        <button
          type="button"
          class="min-h-14 w-full truncate px-4 text-left text-[18px]"
          :class="active ? 'bg-teal-tint' : ''"
          @click="sign(name)"
        >
          {{ name }}
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button
          type="button"
          class="min-h-14 w-full border-t border-hairline px-4 text-left text-[18px] text-teal"
          :class="active ? 'bg-teal-tint' : ''"
          @click="isAnother = true"
        >
          {{ say`Somebody else` }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
