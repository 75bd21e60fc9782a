<script setup lang="ts">
import { nanoid } from 'nanoid';
import { computed, ref, watch } from 'vue';
import type { Cable } from '../../core/model/cable.ts';
import { END_NAMES, type EndName } from '../../core/model/end.ts';
import { strandMm } from '../../core/conductor/strands.ts';
import { areaMm2 } from '../../core/model/tables/size.ts';
import type { SectionMeasure } from '../../core/section/measure.ts';
import { wallEvenness } from '../../core/section/wall.ts';
import { usesDie } from '../../core/model/method.ts';
import { digits } from '../../core/words/numerals.ts';
import { takenReading } from '../bench/prove/readings.ts';
import { usePersonNeeded } from '../bench/usePersonNeeded.ts';
import { keptOrWhy, takePhoto } from '../storage/photos.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { triedWork } from '../stores/work.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import type { Sawn } from './sawn.ts';
import type { CableKind } from '../../core/model/shop.ts';
import { lessOneLug } from '../../core/cutting/shelf.ts';
import { say } from '../../core/words/say.ts';
import { word } from '../../core/words/terms.ts';

/** What was sawn, and where the section is kept: as a trial of its die, or with the end that it was made like. */
const { jobId, section, air, file, isDrawn, isBusy } = defineProps<{
  jobId: string;
  section: SectionMeasure | null;
  /** Its air, by all pictures of it that tell; null where none does. */
  air: { readonly voidShare: number; readonly most: number; readonly disagree: boolean } | null;
  /** The photograph itself, kept with the cable; null where the section was drawn. */
  file: File | null;
  isDrawn: boolean;
  isBusy: boolean;
}>();
const sawn = defineModel<Sawn>({ required: true });

const bench = useBench();
const { prefs } = usePrefs();
const { problem, nameNeeded } = usePersonNeeded();
const set = (change: Partial<Sawn>) => {
  sawn.value = { ...sawn.value, ...change };
};

const LUGS = computed(() =>
  bench.shop.lugs
    .filter(({ form }) => form === 'tube' || form === 'butt')
    .map(({ id, label }) => ({ value: id, title: label })),
);
const DIES = computed(() =>
  bench.shop.dies.map(({ id, stamp, acrossFlatsMm }) => ({
    value: id,
    title: stamp || say`unmarked`,
    note: say`${digits(acrossFlatsMm, 2)} across`,
  })),
);
const TRIAL = 'trial';
const job = computed(() => bench.jobById(jobId));
/** Ends that a die closed on, each with what it was made of. */
const ends = computed(() =>
  (job.value?.cables ?? []).flatMap((cable) => {
    const work = triedWork(cable, bench.shop, job.value);
    if (!work) return [];
    return END_NAMES.filter((name) => usesDie(work.ends[name].method)).map((name) => ({
      key: `${cable.id}.${name}`,
      cable,
      name,
      end: work.ends[name],
      conductor: work.conductor,
    }));
  }),
);
const PLACES = computed(() => [
  { value: TRIAL, title: say`a trial of its die`, note: say`the die chart uses it` },
  ...ends.value.map(({ key, cable, name, end }) => ({
    value: key,
    title: say`${cable.tag}, end ${name}`,
    note: say`an identical sample: ${end.lug?.label ?? say`no lug`}`,
  })),
]);
const withEnd = computed(() => ends.value.find(({ key }) => key === sawn.value.with));
/** An end says which lug and die its sample was made with, and what strands. */
const madeWith = computed(() => {
  const found = withEnd.value;
  if (!found) return null;
  const { end, conductor } = found;
  return {
    lugId: end.lug?.id ?? '',
    dieId: end.die?.die.id ?? '',
    strands: conductor.strands,
    strandMm: strandMm(conductor.strands, conductor.copperMm2),
  };
});
watch(
  madeWith,
  (made, before) => {
    if (made && JSON.stringify(made) !== JSON.stringify(before)) set(made);
  },
  { immediate: true },
);

const STRANDS = (['extra fine', 'fine', 'coarse'] as const).map((value) => ({ value, title: word(value) }));
/** A trial says its strands by how finely its cable is stranded, and the size that its lug is for. */
function setStrands(strands: CableKind['strands'] | null, lugId: string): void {
  const lug = bench.shop.lugs.find(({ id }) => id === lugId);
  set({ lugId, strands, strandMm: strands && lug ? strandMm(strands, areaMm2(lug.forSize)) : null });
}

const kept = ref('');
watch([() => section, sawn], () => {
  kept.value = problem.value = '';
});

async function keep(): Promise<void> {
  kept.value = '';
  if (!section || nameNeeded()) return;
  const { flats, ears, lugId, dieId } = sawn.value;
  if (flats === null || (!withEnd.value && (lugId === '' || dieId === '' || ears === null))) {
    problem.value = withEnd.value
      ? say`Enter the across flats of the sample.`
      : say`Enter which lug and die it was, its across flats and its ears; with no ears, enter 0.`;
    return;
  }
  if (!air) {
    problem.value = say`This picture hides air, see beside it: what it does not show is not proved. Take it again.`;
    return;
  }
  if (air.disagree) {
    problem.value = say`The pictures disagree: they are not of one crimp, or an outline is wrong. Set one aside.`;
    return;
  }
  if (withEnd.value) await keepWithEnd(withEnd.value.cable, withEnd.value.name, flats);
  else keepAsTrial(flats, ears ?? 0);
}

function keepAsTrial(acrossFlatsMm: number, earsMm: number): void {
  const lug = bench.shop.lugs.find(({ id }) => id === sawn.value.lugId);
  if (!section || !air || !lug) return;
  const { voidShare } = air;
  const { dieId } = sawn.value;
  bench.edit(say`section kept as a trial`, (draft) => {
    if (!isDrawn) Object.assign(draft.shop, lessOneLug(bench.shop, lug.id));
    draft.shop.trials.push({
      id: nanoid(10),
      at: new Date().toISOString(),
      by: prefs.person.trim(),
      dieId,
      lugId: lug.id,
      size: { ...lug.forSize },
      acrossFlatsMm,
      earsMm,
      voidShare: Math.min(0.6, voidShare),
      source: isDrawn ? 'simulated' : 'typed',
    });
  });
  kept.value = isDrawn
    ? say`Saved as simulated: it teaches nothing.`
    : say`Saved: the die chart now uses it.`;
}

async function keepWithEnd(cable: Cable, end: EndName, acrossFlatsMm: number): Promise<void> {
  if (!section || !air) return;
  const { largestShare, wallPx, roundShare } = section;
  const reading = takenReading(
    {
      check: 'section',
      end,
      voidShare: Math.min(0.6, air.voidShare),
      mostVoidShare: air.most,
      largestShare: Math.min(0.6, largestShare),
      acrossFlatsMm,
      ...(wallPx && { wallEvenness: wallEvenness(wallPx) }),
      ...(roundShare !== null && { roundShare }),
    },
    prefs.person.trim(),
    { source: isDrawn ? 'simulated' : 'instrument', instrument: { title: say`Section lab` } },
  );
  const taken = file ? await takePhoto(file) : null;
  const photo = taken?.ok
    ? {
        id: nanoid(12),
        at: new Date().toISOString(),
        by: prefs.person.trim(),
        widthPx: taken.photo.widthPx,
        heightPx: taken.photo.heightPx,
      }
    : null;
  const why = photo && taken?.ok ? await keptOrWhy(photo.id, taken.photo.jpeg) : '';
  const isPictured = photo !== null && why === '';
  bench.editCable(jobId, cable.id, say`section of end ${end}`, (draft) => {
    draft.readings.push(reading);
    if (isPictured && photo) draft.photos.push(photo);
  });
  kept.value = say`Saved with ${cable.tag}, end ${end}${isPictured ? say`, and its picture with it` : ''}.`;
  problem.value = why;
}
</script>

<template>
  <div class="tall-labels grid grid-cols-2 gap-x-3 gap-y-2 border-t border-hairline px-4 py-3">
    <ChoiceField
      class="col-span-2"
      :label="say`Save as`"
      :model-value="sawn.with || TRIAL"
      :choices="PLACES"
      @update:model-value="set({ with: $event === TRIAL ? '' : $event })"
    />
    <template v-if="!withEnd">
      <ChoiceField
        :label="say`Lug`"
        :model-value="sawn.lugId || undefined"
        :choices="LUGS"
        :empty="say`which one`"
        @update:model-value="setStrands(sawn.strands, $event)"
      />
      <ChoiceField
        :label="say`Die`"
        :model-value="sawn.dieId || undefined"
        :choices="DIES"
        :empty="say`which one`"
        @update:model-value="set({ dieId: $event })"
      />
      <ChoiceField
        class="col-span-2"
        :label="say`Strands of its cable`"
        :model-value="sawn.strands ?? undefined"
        :choices="STRANDS"
        :empty="say`not given: assumed fine`"
        @update:model-value="setStrands($event, sawn.lugId)"
      />
    </template>
    <QuantityField
      :label="say`Across flats of the crimp`"
      kind="length"
      :model-value="sawn.flats"
      :least="1"
      :most="100"
      :decimals="2"
      optional
      :hint="say`gives the scale`"
      @update:model-value="set({ flats: $event })"
      @clear="set({ flats: null })"
    />
    <QuantityField
      v-if="!withEnd"
      :label="say`Ears before filing`"
      kind="length"
      :model-value="sawn.ears"
      :least="0"
      :most="20"
      :decimals="2"
      optional
      :hint="say`none is 0`"
      @update:model-value="set({ ears: $event })"
      @clear="set({ ears: null })"
    />
    <TextField
      :label="say`Sawn by`"
      :model-value="prefs.person"
      @update:model-value="prefs.person = $event"
    />
    <p v-if="problem" class="col-span-2 font-bold text-fails" role="alert">{{ problem }}</p>
    <p v-if="kept" class="col-span-2 font-bold text-holds" role="status">{{ kept }}</p>
    <button
      type="button"
      class="button filled col-span-2 min-h-12"
      :disabled="!section || isBusy"
      @click="keep"
    >
      {{
        withEnd ? say`Save with ${withEnd.cable.tag}, end ${withEnd.name}` : say`Save as a trial of this die`
      }}
    </button>
  </div>
</template>
