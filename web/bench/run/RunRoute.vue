<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { Trash2 } from '@lucide/vue';
import type { Draft } from 'immer';
import { computed, ref } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { Way } from '../../../core/model/run.ts';
import {
  lengthProblem,
  parseRoute,
  type Route,
  routeLengthMm,
  writeRoute,
} from '../../../core/cutting/route.ts';
import { type Guard, GUARD_IDS, GUARDS } from '../../../core/model/tables/guards.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import AddButton from '../../ui/AddButton.vue';
import CheckField from '../../ui/CheckField.vue';
import ChoiceField, { type Choice } from '../../ui/ChoiceField.vue';
import { lengthText } from '../../ui/display.ts';
import QuantityField from '../../ui/QuantityField.vue';
import TextField from '../../ui/TextField.vue';
import StageSection from '../StageSection.vue';
import { RUN_PART_TITLES } from '../stages.ts';
import RoutePlan from './RoutePlan.vue';
import { useRunEdit } from './useRunEdit.ts';
import { withLength } from '../../../core/cutting/returnLength.ts';
import { routeSays } from '../../../core/sizing/runSays.ts';
import { say } from '../../../core/words/say.ts';

/** The way it takes: legs and bends as a quick list, drawn as it is typed, and what lies along it. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const { editRun } = useRunEdit(() => ({ jobId, cable }));
const NOTHING: Way = { zones: [], holes: [], rubs: [] };
const way = computed(() => cable.run.way ?? NOTHING);
const usualRadius = computed(() => Math.ceil(work.choice.taken.at.bendMm));

function editWay(what: string, recipe: (way: Draft<Way>) => void): void {
  editRun(what, (draft) => {
    draft.way ??= { zones: [], holes: [], rubs: [] };
    recipe(draft.way);
  });
}

/** What is being typed is drawn at once; it counts once it is left. */
const typed = ref<string | null>(null);
const entry = computed(() => (typed.value === null ? null : parseRoute(typed.value, usualRadius.value)));
const drawn = computed<Route | undefined>(() =>
  entry.value?.ok ? entry.value.route : (way.value.route as Route | undefined),
);
const check = (text: string) => {
  if (text === '') return '';
  const read = parseRoute(text, usualRadius.value);
  return read.ok ? lengthProblem(routeLengthMm(read.route)) : read.sentence;
};
function setRoute(text: string): void {
  typed.value = null;
  const read = parseRoute(text, usualRadius.value);
  if (text === '') return editWay(say`route`, (draft) => void delete draft.route);
  if (!read.ok) return;
  editRun(say`route`, (draft) => {
    draft.way ??= { zones: [], holes: [], rubs: [] };
    draft.way.route = {
      legsMm: [...read.route.legsMm],
      bends: read.route.bends.map((bend) => ({ ...bend })),
    };
    // The route is what was measured: its length is the cable's, unless it was laid out.
    if (!draft.laid) Object.assign(draft, withLength(draft, Math.round(routeLengthMm(read.route) * 10) / 10));
  });
}
const length = computed(() => (drawn.value ? lengthText(routeLengthMm(drawn.value), 0) : ''));
type Rub = Way['rubs'][number];
/** What lies between cable and edge: of a kind, some kind that was not named, or nothing. */
type GuardChoice = Guard | 'none' | 'other';
const GUARD_CHOICES: readonly Choice<GuardChoice>[] = [
  { value: 'none', title: say`none` },
  ...GUARD_IDS.map((guard) => ({ value: guard, title: tell(GUARDS[guard].title) })),
  { value: 'other', title: say`another sheath` },
];
const guardOf = ({ guarded, guard }: Rub): GuardChoice => (guarded ? (guard ?? 'other') : 'none');
function setGuard(i: number, guard: GuardChoice): void {
  editWay(say`guard`, ({ rubs }) => {
    const rub = rubs[i];
    if (!rub) return;
    rub.guarded = guard !== 'none';
    if (guard === 'none' || guard === 'other') delete rub.guard;
    else rub.guard = guard;
  });
}
/** Along the way as far as it goes; what was put beyond it before it was shortened may stay. */
const reach = (mm: number) => Math.max(Math.ceil(cable.run.lengthMm), mm);
const half = computed(() => Math.round(cable.run.lengthMm / 2));
</script>

<template>
  <StageSection part="route" :title="RUN_PART_TITLES.route" :says="tell(routeSays(cable.run))">
    <p v-if="length" class="note mb-1">{{ say`${length} along it` }}</p>
    <TextField
      :label="say`Route, legs and bends`"
      :model-value="way.route ? writeRoute(way.route) : ''"
      :longest="600"
      :check="(text) => tell(check(text))"
      :hint="say`850, 90° r80, 1240, 45° L r100, 420; without a radius ${usualRadius} is taken`"
      @update:model-value="setRoute"
      @input="typed = ($event.target as HTMLInputElement).value"
      @focusout="typed = null"
    />
    <RoutePlan v-if="drawn" :route="drawn" :way="way" :least-radius-mm="work.choice.taken.at.bendMm" />
    <div class="mt-1 grid items-start gap-x-6 gap-y-2 sm:grid-cols-2">
      <div>
        <h4 class="label mb-1">{{ say`Hot zones (the hottest counts)` }}</h4>
        <div v-for="(zone, i) in way.zones" :key="i" class="mb-1 border-b border-hairline pb-1">
          <div class="flex items-start gap-2">
            <TextField
              :label="say`Zone ${i + 1}`"
              :model-value="zone.what"
              :longest="80"
              required
              class="flex-1"
              @update:model-value="
                (what) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).what = what))
              "
            />
            <button
              type="button"
              class="mt-[22px] flex size-11 items-center justify-center text-teal"
              @click="editWay(say`zone`, ({ zones }) => void zones.splice(i, 1))"
            >
              <Trash2 :size="17" aria-hidden="true" /><span class="sr-only">{{
                say`Remove zone ${i + 1}`
              }}</span>
            </button>
          </div>
          <div class="grid grid-cols-3 gap-2">
            <QuantityField
              :label="say`Zone ${i + 1} from`"
              kind="length"
              :model-value="zone.fromMm"
              :least="0"
              :most="zone.toMm"
              :decimals="0"
              @update:model-value="
                (mm) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).fromMm = mm))
              "
            />
            <QuantityField
              :label="say`Zone ${i + 1} to`"
              kind="length"
              :model-value="zone.toMm"
              :least="zone.fromMm"
              :most="reach(zone.toMm)"
              :decimals="0"
              @update:model-value="
                (mm) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).toMm = mm))
              "
            />
            <QuantityField
              :label="say`Zone ${i + 1} air`"
              kind="temperature"
              :model-value="zone.ambientC"
              :least="-40"
              :most="150"
              :decimals="0"
              @update:model-value="
                (c) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).ambientC = c))
              "
            />
          </div>
          <div class="flex gap-5">
            <CheckField
              :label="say`engine space ${i + 1}`"
              :model-value="zone.engineSpace"
              @update:model-value="
                (on) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).engineSpace = on))
              "
            />
            <CheckField
              :label="say`sun ${i + 1}`"
              :model-value="zone.sun"
              @update:model-value="
                (on) => editWay(say`zone`, ({ zones }) => void ((zones[i] ?? zone).sun = on))
              "
            />
          </div>
        </div>
        <AddButton
          list="zones"
          :count="way.zones.length"
          @add="
            editWay(
              say`zone`,
              ({ zones }) =>
                void zones.push({
                  what: say`hotter stretch`,
                  fromMm: 0,
                  toMm: half,
                  ambientC: cable.run.ambientC,
                  engineSpace: false,
                  sun: false,
                }),
            )
          "
        >
          {{ say`Add a hot zone` }}
        </AddButton>
      </div>
      <div>
        <h4 class="label mb-1">{{ say`Holes and glands it must go through` }}</h4>
        <div v-for="(hole, i) in way.holes" :key="`h${i}`" class="mb-1 border-b border-hairline pb-1">
          <div class="flex items-start gap-2">
            <TextField
              :label="say`Hole ${i + 1}`"
              :model-value="hole.what"
              :longest="80"
              required
              class="flex-1"
              @update:model-value="
                (what) => editWay(say`hole`, ({ holes }) => void ((holes[i] ?? hole).what = what))
              "
            />
            <button
              type="button"
              class="mt-[22px] flex size-11 items-center justify-center text-teal"
              @click="editWay(say`hole`, ({ holes }) => void holes.splice(i, 1))"
            >
              <Trash2 :size="17" aria-hidden="true" /><span class="sr-only">{{
                say`Remove hole ${i + 1}`
              }}</span>
            </button>
          </div>
          <div class="grid grid-cols-2 gap-2">
            <QuantityField
              :label="say`Hole ${i + 1} at`"
              kind="length"
              :model-value="hole.atMm"
              :least="0"
              :most="reach(hole.atMm)"
              :decimals="0"
              @update:model-value="
                (mm) => editWay(say`hole`, ({ holes }) => void ((holes[i] ?? hole).atMm = mm))
              "
            />
            <QuantityField
              :label="say`Hole ${i + 1} across`"
              kind="length"
              :model-value="hole.mm"
              :least="3"
              :most="500"
              @update:model-value="
                (mm) => editWay(say`hole`, ({ holes }) => void ((holes[i] ?? hole).mm = mm))
              "
            />
          </div>
        </div>
        <div v-for="(rub, i) in way.rubs" :key="`r${i}`" class="mb-1 border-b border-hairline pb-1">
          <div class="flex items-start gap-2">
            <TextField
              :label="say`Chafe point ${i + 1}, against`"
              :model-value="rub.what"
              :longest="80"
              required
              class="flex-1"
              @update:model-value="
                (what) => editWay(say`rub`, ({ rubs }) => void ((rubs[i] ?? rub).what = what))
              "
            />
            <button
              type="button"
              class="mt-[22px] flex size-11 items-center justify-center text-teal"
              @click="editWay(say`rub`, ({ rubs }) => void rubs.splice(i, 1))"
            >
              <Trash2 :size="17" aria-hidden="true" /><span class="sr-only">{{
                say`Remove chafe point ${i + 1}`
              }}</span>
            </button>
          </div>
          <div class="grid grid-cols-2 items-start gap-2">
            <QuantityField
              :label="say`Chafe point ${i + 1} at`"
              kind="length"
              :model-value="rub.atMm"
              :least="0"
              :most="reach(rub.atMm)"
              :decimals="0"
              @update:model-value="(mm) => editWay(say`rub`, ({ rubs }) => void ((rubs[i] ?? rub).atMm = mm))"
            />
            <ChoiceField
              :label="say`Guard ${i + 1}`"
              :model-value="guardOf(rub)"
              :choices="GUARD_CHOICES"
              @update:model-value="(guard) => setGuard(i, guard)"
            />
          </div>
        </div>
        <div class="flex flex-wrap gap-2">
          <AddButton
            list="holes"
            :count="way.holes.length"
            @add="editWay(say`hole`, ({ holes }) => void holes.push({ what: 'gland', atMm: half, mm: 25 }))"
          >
            {{ say`Add a hole` }}
          </AddButton>
          <AddButton
            list="rubs"
            :count="way.rubs.length"
            @add="
              editWay(
                say`rub`,
                ({ rubs }) => void rubs.push({ what: say`an edge`, atMm: half, guarded: false }),
              )
            "
          >
            {{ say`Add a chafe point` }}
          </AddButton>
        </div>
        <div class="mt-2 max-w-44">
          <QuantityField
            :label="say`Support spacing`"
            kind="length"
            :model-value="way.supportEveryMm ?? null"
            :least="20"
            :most="5000"
            :decimals="0"
            optional
            @update:model-value="(mm) => editWay(say`supports`, (draft) => void (draft.supportEveryMm = mm))"
            @clear="editWay(say`supports`, (draft) => void delete draft.supportEveryMm)"
          />
        </div>
      </div>
    </div>
  </StageSection>
</template>
