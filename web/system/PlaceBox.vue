<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Job } from '../../core/model/job.ts';
import type { Place, PlaceKind, PlaceOf } from '../../core/model/system.ts';
import {
  LOAD_LOOKS,
  type LoadLook,
  PLACE_KINDS,
  SUPPLY_SORTS,
  type SupplySort,
} from '../../core/model/tables/places.ts';
import { cablesOn, withoutPlace, withPlace } from '../../core/system/edits.ts';
import { idFor, newPlace } from '../../core/system/places.ts';
import { capitalised, type Message, tell } from '../../core/words/message.ts';
import { cablesSay } from '../../core/words/counts.ts';
import { LONGEST_NAME } from '../../core/model/text.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import ModalBox from '../ui/ModalBox.vue';
import TextField from '../ui/TextField.vue';
import BondFields from './BondFields.vue';
import PlaceFields from './PlaceFields.vue';
import { say } from '../../core/words/say.ts';

/** One place of the system: what is known of it, or a new one. What is typed holds at once; undo takes it back. */
const { job, placeId } = defineProps<{ job: Job; placeId: string | null }>();
const emit = defineEmits<{ change: [what: string, make: (job: Job) => Job]; close: [] }>();

const places = computed(() => job.system?.places ?? []);
const isNew = placeId === null;
const shownId = ref<string | null>(placeId);
const kind = ref<PlaceKind>('load');
const name = ref('');
const place = computed(() => places.value.find(({ id }) => id === shownId.value));
const isAsking = ref(false);
const on = computed(() => (place.value ? cablesOn(job, place.value.id) : []));
watch(place, (now, before) => {
  if (before && !now) emit('close');
});

const titles = (of: Readonly<Record<string, { readonly title: Message }>>) =>
  Object.entries(of).map(([value, { title }]) => ({ value, title: tell(capitalised(title)) }));
const KINDS = titles(PLACE_KINDS) as { value: PlaceKind; title: string }[];
const SORTS = titles(SUPPLY_SORTS) as { value: SupplySort; title: string }[];
const LOOKS = titles(LOAD_LOOKS) as { value: LoadLook; title: string }[];

/** No two places are called the same: chains and cables find them by their names. */
const nameProblem = (text: string) =>
  places.value.some(
    ({ id, name: taken }) => id !== shownId.value && taken.trim().toLowerCase() === text.trim().toLowerCase(),
  )
    ? say`There is a place of that name already.`
    : '';
function add(): void {
  const called = name.value.trim();
  if (called === '' || nameProblem(called) !== '') return;
  const id = idFor(called, new Set(places.value.map((one) => one.id)));
  const sort = kind.value === 'load' ? 'other' : kind.value === 'supply' ? 'mains' : undefined;
  emit('change', say`add ${called}`, (now) => withPlace(now, newPlace(id, called, [kind.value, sort])));
  shownId.value = id;
}
const set = (part: Partial<Place>) => {
  const now = place.value;
  if (now) emit('change', say`change ${now.name}`, (whole) => withPlace(whole, { ...now, ...part } as Place));
};
function put(next: Place): void {
  emit('change', say`change ${next.name}`, (now) => withPlace(now, next));
}
function remove(cables: 'stay' | 'go'): void {
  const now = place.value;
  if (now) emit('change', say`delete ${now.name}`, (whole) => withoutPlace(whole, now.id, cables));
  emit('close');
}
function askRemove(): void {
  if (on.value.length === 0) remove('stay');
  else isAsking.value = true;
}
const supply = computed(() => (place.value?.kind === 'supply' ? (place.value as PlaceOf<'supply'>) : null));
const load = computed(() => (place.value?.kind === 'load' ? (place.value as PlaceOf<'load'>) : null));
</script>

<template>
  <ModalBox :open="true" :title="place ? place.name : say`Add a place`" @close="$emit('close')">
    <form v-if="isNew && !place" class="space-y-3" @submit.prevent="add">
      <ChoiceField
        :label="say`Kind of place`"
        :model-value="kind"
        :choices="KINDS"
        @update:model-value="kind = $event"
      />
      <TextField
        :label="say`Name`"
        :model-value="name"
        :longest="LONGEST_NAME"
        :check="nameProblem"
        required
        @update:model-value="name = $event"
      />
      <button type="submit" class="button filled">{{ say`Add it` }}</button>
    </form>
    <div v-else-if="place" class="space-y-3">
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField
          :label="say`Name`"
          :model-value="place.name"
          :longest="LONGEST_NAME"
          :check="nameProblem"
          required
          @update:model-value="set({ name: $event })"
        />
        <ChoiceField
          v-if="supply"
          :label="say`Type of source`"
          :model-value="supply.sort"
          :choices="SORTS"
          @update:model-value="set({ sort: $event })"
        />
        <ChoiceField
          v-if="load"
          :label="say`Drawn as`"
          :model-value="load.look"
          :choices="LOOKS"
          @update:model-value="set({ look: $event })"
        />
        <PlaceFields :place="place" :job="job" @change="put" />
      </div>
      <BondFields
        v-if="place.kind === 'ground'"
        :job="job"
        :ground="place"
        @change="(what, make) => $emit('change', what, make)"
      />
      <p class="note">
        {{
          on.length === 0
            ? say`No cable is on it.`
            : say`${cablesSay(on.length)} on it: ${on.map(({ tag }) => tag).join(', ')}`
        }}
      </p>
      <div class="flex flex-wrap items-center justify-between gap-2 border-t border-hairline pt-3">
        <template v-if="isAsking">
          <p class="w-full font-bold">{{ say`What happens to ${on.map(({ tag }) => tag).join(', ')}?` }}</p>
          <button type="button" class="button" @click="remove('stay')">
            {{ say`Keep them, with that end loose` }}
          </button>
          <button type="button" class="button" @click="remove('go')">{{ say`Delete them too` }}</button>
          <button type="button" class="button" @click="isAsking = false">{{ say`Keep the place` }}</button>
        </template>
        <template v-else>
          <button type="button" class="button" @click="askRemove">{{ say`Delete this place` }}</button>
          <button type="button" class="button filled" @click="$emit('close')">{{ say`Done` }}</button>
        </template>
      </div>
    </div>
  </ModalBox>
</template>
