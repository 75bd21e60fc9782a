<script setup lang="ts">
import { computed, ref } from 'vue';
import { nanoid } from 'nanoid';
import { Plus } from '@lucide/vue';
import { MOST } from '../../core/model/limits.ts';
import type { Job } from '../../core/model/job.ts';
import { everythingOn, type Place, type SystemState } from '../../core/model/system.ts';
import { LONGEST_NAME } from '../../core/model/text.ts';
import { lastsSays } from '../../core/system/findingParts.ts';
import { isBetween } from '../../core/system/installation.ts';
import { withoutState, withState } from '../../core/system/edits.ts';
import { tell } from '../../core/words/message.ts';
import CheckField from '../ui/CheckField.vue';
import ModalBox from '../ui/ModalBox.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** The states of the installation: which loads run and how hard, what gives, what is open, and for how long. */
const { job, stateId } = defineProps<{ job: Job; stateId: string | null }>();
const emit = defineEmits<{
  change: [what: string, make: (job: Job) => Job];
  close: [];
  show: [id: string | null];
}>();

const states = computed(() => job.system?.states ?? []);
const shownId = ref(stateId ?? states.value[0]?.id ?? '');
const state = computed(() => states.value.find(({ id }) => id === shownId.value) ?? states.value[0]);
const places = computed(() => job.system?.places ?? []);
const loads = computed(() => places.value.filter(({ kind }) => kind === 'load'));
const givers = computed(() => places.value.filter(({ kind }) => kind === 'supply' || kind === 'dcdc'));
const switches = computed(() => places.value.filter((place) => isBetween(place) && place.kind !== 'shunt'));

const put = (next: SystemState) =>
  emit('change', say`change state ${next.name}`, (now) => withState(now, next));
function set(part: Partial<SystemState>): void {
  if (state.value) put({ ...state.value, ...part });
}
function add(): void {
  const id = nanoid(10);
  emit('change', say`add a state`, (now) =>
    withState(now, everythingOn(id, say`State ${states.value.length + 1}`)),
  );
  shownId.value = id;
  emit('show', id);
}
function remove(): void {
  const now = state.value;
  if (!now) return;
  emit('change', say`delete state ${now.name}`, (whole) => withoutState(whole, now.id));
  shownId.value = states.value.find(({ id }) => id !== now.id)?.id ?? '';
  emit('show', null);
}
type Lasts = 'held' | 'once' | 'again';
const LASTS = computed((): readonly { readonly value: Lasts; readonly title: string }[] => [
  { value: 'held', title: say`continuous` },
  { value: 'once', title: say`once` },
  { value: 'again', title: say`repeating` },
]);
const lasts = computed((): Lasts => {
  const now = state.value?.lasts;
  return now?.kind !== 'for' ? 'held' : now.everySeconds === undefined ? 'once' : 'again';
});
const seconds = computed(() => (state.value?.lasts.kind === 'for' ? state.value.lasts.seconds : 60));
const every = computed(
  () => (state.value?.lasts.kind === 'for' ? state.value.lasts.everySeconds : undefined) ?? 900,
);
function setLasts(kind: Lasts): void {
  if (kind === 'held') set({ lasts: { kind: 'held' } });
  else if (kind === 'once') set({ lasts: { kind: 'for', seconds: seconds.value } });
  else
    set({
      lasts: { kind: 'for', seconds: seconds.value, everySeconds: Math.max(every.value, seconds.value * 2) },
    });
}
function setSeconds(value: number): void {
  if (lasts.value === 'again')
    set({
      lasts: { kind: 'for', seconds: value, everySeconds: Math.max(every.value, Math.min(72000, value + 1)) },
    });
  else set({ lasts: { kind: 'for', seconds: value } });
}
const share = (place: Place) => {
  const now = state.value?.loads ?? {};
  return Object.hasOwn(now, place.id) ? (now[place.id] ?? 100) : 100;
};
const setShare = (place: Place, value: number) =>
  set({ loads: { ...state.value?.loads, [place.id]: value } });
const toggled = (list: readonly string[], id: string, isIn: boolean) =>
  isIn ? [...list.filter((one) => one !== id), id] : list.filter((one) => one !== id);
const nameProblem = (text: string) =>
  states.value.some(
    ({ id, name }) => id !== shownId.value && name.trim().toLowerCase() === text.trim().toLowerCase(),
  )
    ? say`There is a state of that name already.`
    : '';
</script>

<template>
  <ModalBox :open="true" :title="say`States of the system`" wide @close="$emit('close')">
    <div v-if="state" class="space-y-3">
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="one in states"
          :key="one.id"
          type="button"
          class="button"
          :class="one.id === state.id ? 'filled' : ''"
          :aria-pressed="one.id === state.id"
          @click="
            shownId = one.id;
            $emit('show', one.id);
          "
        >
          {{ one.name }}, {{ tell(lastsSays(one)) }}
        </button>
        <button v-if="states.length < MOST.states" type="button" class="button" @click="add">
          <Plus :size="16" aria-hidden="true" /> {{ say`Add a state` }}
        </button>
      </div>
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField
          :label="say`Name of the state`"
          :model-value="state.name"
          :longest="LONGEST_NAME"
          :check="nameProblem"
          required
          @update:model-value="set({ name: $event })"
        />
        <SegmentedField
          :label="say`Duration`"
          :model-value="lasts"
          :choices="LASTS"
          @update:model-value="setLasts"
        />
        <QuantityField
          v-if="lasts !== 'held'"
          :label="say`For`"
          kind="duration"
          :model-value="seconds"
          :least="0.1"
          :most="36000"
          @update:model-value="setSeconds"
        />
        <QuantityField
          v-if="lasts === 'again'"
          :label="say`From one to the next`"
          kind="duration"
          :model-value="every"
          :least="seconds + 0.1"
          :most="72000"
          @update:model-value="set({ lasts: { kind: 'for', seconds, everySeconds: $event } })"
        />
      </div>
      <section v-if="loads.length > 0" :aria-label="say`Loads`">
        <h3 class="figure text-[17px] font-semibold">{{ say`Loads, in percent of what they take` }}</h3>
        <div class="mt-1 grid gap-3 sm:grid-cols-3">
          <QuantityField
            v-for="load in loads"
            :key="load.id"
            :label="load.name"
            kind="percent"
            :model-value="share(load)"
            :least="0"
            :most="200"
            :decimals="1"
            @update:model-value="setShare(load, $event)"
          />
        </div>
      </section>
      <section v-if="givers.length > 0" :aria-label="say`Chargers`">
        <h3 class="figure text-[17px] font-semibold">{{ say`Chargers that give` }}</h3>
        <div class="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          <CheckField
            v-for="giver in givers"
            :key="giver.id"
            :label="giver.name"
            :model-value="!state.off.includes(giver.id)"
            @update:model-value="set({ off: toggled(state.off, giver.id, !$event) })"
          />
        </div>
      </section>
      <section v-if="switches.length > 0" :aria-label="say`Switches`">
        <h3 class="figure text-[17px] font-semibold">{{ say`Closed` }}</h3>
        <div class="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          <CheckField
            v-for="one in switches"
            :key="one.id"
            :label="one.name"
            :model-value="!state.open.includes(one.id)"
            @update:model-value="set({ open: toggled(state.open, one.id, !$event) })"
          />
        </div>
      </section>
      <div class="flex justify-between border-t border-hairline pt-3">
        <button v-if="states.length > 1" type="button" class="button" @click="remove">
          {{ say`Delete this state` }}
        </button>
        <button type="button" class="button filled ml-auto" @click="$emit('close')">{{ say`Done` }}</button>
      </div>
    </div>
  </ModalBox>
</template>
