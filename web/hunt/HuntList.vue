<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { verdictSays } from '../../core/hunt/says.ts';
import { word } from '../../core/words/terms.ts';
import { nanoid } from 'nanoid';
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { CHAIN_PATTERNS, type ChainPattern } from '../../core/hunt/changes.ts';
import type { Hunt } from '../../core/model/hunt.ts';
import { chainOf, newHunt } from '../../core/hunt/newHunt.ts';
import { certainOf, huntFound } from '../../core/hunt/suspects.ts';
import { useBench } from '../stores/bench.ts';
import type { SystemWork } from '../../core/systemWork.ts';
import { chainOfLoad, worstDropOf } from '../../core/hunt/fromSystem.ts';
import { systemOf, triedWork } from '../stores/work.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import { huntPlace } from './useHunt.ts';
import { say } from '../../core/words/say.ts';

/** The hunts there are, and a new one: from a plain pattern, or along the cables of the job. */
const { jobId, hunts } = defineProps<{ jobId: string | undefined; hunts: readonly Hunt[] }>();

const bench = useBench();
const router = useRouter();
const job = computed(() => (jobId ? bench.jobById(jobId) : undefined));
const system = computed(() => (job.value?.system ? systemOf(job.value, bench.shop) : undefined));
/** Loads that the system traces to a source: a hunt may begin along that way. */
const loads = computed(() => {
  const view = system.value?.view;
  return (view?.installation.system.places ?? []).flatMap((place) => {
    const drop = view && place.kind === 'load' ? worstDropOf(view, place.id) : undefined;
    return drop ? [{ id: place.id, name: place.name, drop }] : [];
  });
});
const pattern = ref<ChainPattern | 'cables' | `load ${string}`>(jobId ? 'cables' : 'circuit');
const systemV = ref(job.value?.cables[0]?.run.systemV ?? 12);
/** The cables of one circuit of the job are offered together; the first circuit first. */
const circuitOf = (id: string) => {
  const run = job.value?.cables.find((cable) => cable.id === id)?.run;
  return run?.return.kind === 'circuit' ? run.return.name : undefined;
};
const firstCircuit = computed(() => job.value?.cables.map(({ id }) => circuitOf(id)).find(Boolean));
const picked = ref<readonly string[]>(
  (job.value?.cables ?? [])
    .filter(({ id }, i) => (firstCircuit.value ? circuitOf(id) === firstCircuit.value : i === 0))
    .map(({ id }) => id),
);
const choices = computed(() => [
  ...loads.value.map(({ id, name }) => ({
    value: `load ${id}` as const,
    title: say`the circuit to ${name}`,
    note: say`from the system, out and back`,
  })),
  ...(job.value && job.value.cables.length > 0
    ? [
        {
          value: 'cables' as const,
          title: say`the cables of this job`,
          note: say`chosen below, out and back`,
        },
      ]
    : []),
  ...(Object.keys(CHAIN_PATTERNS) as ChainPattern[]).map((value) => ({
    value,
    title: tell(CHAIN_PATTERNS[value].title),
  })),
]);
const newId = () => nanoid(8);
function begin(): void {
  const chosen = pattern.value;
  const load = loads.value.find(({ id }) => chosen === `load ${id}`);
  const base = newHunt(
    nanoid(10),
    chosen === 'cables' || load || !(chosen in CHAIN_PATTERNS) ? 'circuit' : (chosen as ChainPattern),
    systemV.value,
    newId,
  );
  const walked = (job.value?.cables ?? [])
    .filter(({ id }) => picked.value.includes(id))
    .flatMap((cable) => {
      const work = triedWork(cable, bench.shop, job.value);
      if (!work) return [];
      return [
        {
          cable,
          size: work.choice.taken.at.size,
          tinned: work.kind.tinned,
          lengthMm: work.lengths?.finishedMm ?? cable.run.lengthMm,
        },
      ];
    });
  const isAlong = pattern.value === 'cables' && walked.length > 0;
  const hunt: Hunt = {
    ...base,
    ...(isAlong && {
      title: firstCircuit.value ?? say`${walked[0]?.cable.tag} and its circuit`,
      pieces: chainOf(walked, newId).slice(0, 60),
    }),
    ...(load && system.value && alongWay(load, system.value)),
    ...(jobId && { jobId }),
  };
  bench.keepHunt(hunt, say`new hunt`);
  void router.push(huntPlace(hunt.id, jobId));
}
/** What a hunt along the way to a load begins with. */
function alongWay({ name, drop }: (typeof loads.value)[number], { view }: SystemWork): Partial<Hunt> {
  const workOf = (id: string) => {
    const cable = job.value?.cables.find((own) => own.id === id);
    return (cable && triedWork(cable, bench.shop, job.value)) ?? undefined;
  };
  return {
    title: say`The circuit to ${name}`,
    load: name,
    systemV: Math.min(1000, Math.max(1, Math.round(drop.nominalV))),
    pieces: chainOfLoad(view, drop, workOf, newId),
  };
}
const says = (hunt: Hunt) => verdictSays(huntFound(hunt, certainOf(bench.shop.practice)).verdict).says;
const jobTitle = ({ jobId: of }: Hunt) => (of ? bench.jobById(of)?.title : undefined);
const toggle = (id: string) => {
  picked.value = picked.value.includes(id) ? picked.value.filter((own) => own !== id) : [...picked.value, id];
};
</script>

<template>
  <main class="min-w-0 bg-paper p-3.5 lg:overflow-y-auto">
    <h1 class="figure text-[22px] font-semibold">{{ say`Fault hunts` }}</h1>
    <p class="mt-1 max-w-[640px]">
      {{
        say`Too many volts are lost. Draw the circuit from source to load and back, measure millivolts across its parts under load, and see which part loses them: battery, joint or cable.`
      }}
    </p>
    <p v-if="jobId" class="mt-1">
      <RouterLink class="text-teal underline" :to="{ name: 'survey', params: { jobId } }">{{
        say`Inspect the old installation by eye first`
      }}</RouterLink>
    </p>
    <ul v-if="hunts.length > 0" class="mt-4 max-w-[760px] border-t border-line">
      <li v-for="hunt in hunts" :key="hunt.id" class="flex items-center border-b border-hairline">
        <RouterLink :to="huntPlace(hunt.id, jobId)" class="block min-w-0 flex-1 px-1 py-2 hover:bg-teal-tint">
          <span class="figure block text-[17px] font-semibold">{{ hunt.title }}</span>
          <span class="note"
            >{{ tell(says(hunt))
            }}<template v-if="!jobId && jobTitle(hunt)">, {{ jobTitle(hunt) }}</template></span
          >
        </RouterLink>
        <button type="button" class="button" @click="bench.removeHunt(hunt.id)">
          {{ say`Delete` }}<span class="sr-only"> {{ hunt.title }}</span>
        </button>
      </li>
    </ul>
    <section class="mt-6 max-w-[560px]" :aria-label="say`A new hunt`">
      <h2 class="figure text-[18px] font-semibold">{{ say`A new hunt` }}</h2>
      <div class="mt-2 grid gap-3 sm:grid-cols-[minmax(0,1fr)_140px]">
        <ChoiceField
          :label="say`Begin with`"
          :model-value="pattern"
          :choices="choices"
          @update:model-value="pattern = $event"
        />
        <QuantityField
          v-model="systemV"
          :label="say`System`"
          kind="voltage"
          :least="1"
          :most="1000"
          :decimals="0"
        />
      </div>
      <fieldset v-if="pattern === 'cables'" class="mt-2">
        <legend class="label mb-1">{{ say`Cables out and back` }}</legend>
        <CheckField
          v-for="cable in job?.cables ?? []"
          :key="cable.id"
          class="min-h-11"
          :label="`${cable.tag}: ${cable.ends.A.at} → ${cable.ends.B.at}, ${word(cable.polarity)}`"
          :model-value="picked.includes(cable.id)"
          @update:model-value="toggle(cable.id)"
        />
      </fieldset>
      <button
        type="button"
        class="button filled mt-3"
        :disabled="pattern === 'cables' && picked.length === 0"
        @click="begin"
      >
        {{ say`Begin the hunt` }}
      </button>
    </section>
  </main>
</template>
