<script setup lang="ts">
import { choicesOf } from '../ui/choicesOf.ts';
import type { Draft } from 'immer';
import { computed } from 'vue';
import { POST_KINDS, type PostKind } from '../../core/model/tables/posts.ts';
import { tell } from '../../core/words/message.ts';
import { STUD_NAMES } from '../../core/model/tables/studs.ts';
import { sizeLabel } from '../../core/model/tables/size.ts';
import { type Lug, LUG_FORMS, POLARITIES } from '../../core/model/shop.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import { useBench } from '../stores/bench.ts';
import MetalTest from './MetalTest.vue';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import TextField from '../ui/TextField.vue';
import { useShelf } from '../kit/useShelf.ts';
import { say } from '../../core/words/say.ts';

/** A lug measured with a calliper: every dimension that decides whether it fits, and what closes on it. */
const { lug } = defineProps<{ lug: Lug }>();
defineEmits<{ done: [] }>();

const bench = useBench();
const { recount } = useShelf();
function edit(what: string, recipe: (own: Draft<Lug>) => void): void {
  bench.edit(say`lug: ${what}`, (draft) => {
    const own = draft.shop.lugs.find(({ id }) => id === lug.id);
    if (own) recipe(own);
  });
}
type Dimension =
  | 'holeMm'
  | 'boreMm'
  | 'outerMm'
  | 'barrelMm'
  | 'palmWidthMm'
  | 'palmThicknessMm'
  | 'studToBarrelMm'
  | 'offsetMm';
/** A dimension measured here makes it a measured lug. */
function setMm(key: Dimension, mm: number): void {
  edit(say`dimension`, (own) => {
    own[key] = mm;
    own.measured = true;
  });
}
/** The smallest step a calliper resolves, mm: a bore stays inside its outside by so much. */
const STEP = 0.1;
const dimensions = computed<readonly (readonly [Dimension, string, number, number])[]>(() => [
  ['boreMm', say`Bore`, 1, lug.outerMm - STEP],
  ['outerMm', say`Outside`, lug.boreMm + STEP, 80],
  ['barrelMm', say`Barrel, deep`, 3, 120],
  ['holeMm', say`Hole`, 2, lug.form === 'tube' ? lug.palmWidthMm - STEP : 30],
  ['palmWidthMm', say`Palm, wide`, Math.max(4, lug.form === 'tube' ? lug.holeMm + STEP : 4), 120],
  ['palmThicknessMm', say`Palm, thick`, 0.5, 20],
  ['studToBarrelMm', say`Hole’s middle to barrel’s bottom`, 0, 120],
  ['offsetMm', say`Palm offset`, 0, 60],
]);
const studs = STUD_NAMES.map((stud) => ({ value: stud, title: stud }));
const forms = choicesOf(LUG_FORMS);
const poles = choicesOf(POLARITIES);
/** Posts that a clamp goes on: those that are tapered. */
const posts = (Object.keys(POST_KINDS) as PostKind[])
  .filter((kind) => 'topMm' in POST_KINDS[kind])
  .map((kind) => ({ value: kind, title: tell(POST_KINDS[kind].title) }));
/** A clamp is bored for a post; what is no clamp is for none. */
function setForm(form: Lug['form']): void {
  edit(say`form`, (own) => {
    own.form = form;
    if (form !== 'cast clamp' && form !== 'screw clamp') delete own.clamp;
    else own.clamp ??= { post: { kind: 'large taper', polarity: 'positive' }, cables: 1 };
  });
}
const setSolder = (grams: number) =>
  edit(say`solder`, (own) => {
    if (grams > 0) own.solderG = grams;
    else delete own.solderG;
  });
const COVERS = {
  none: say`bare`,
  sealed: say`a jacket that seals`,
  'solder ring': say`a jacket with a ring of solder`,
};
type Cover = keyof typeof COVERS;
const covers = (Object.keys(COVERS) as Cover[]).map((value) => ({ value, title: COVERS[value] }));
const setCover = (cover: Cover) =>
  edit(say`jacket`, (own) => {
    if (cover === 'none') delete own.cover;
    else own.cover = cover;
  });
const editClamp = (recipe: (own: Draft<NonNullable<Lug['clamp']>>) => void) =>
  edit(say`post`, ({ clamp }) => clamp && recipe(clamp));
const metals = choicesOf(['copper', 'brass', 'lead']);
const sizeProblem = (text: string) => {
  const entry = parseSize(text, 'metric');
  return entry.ok ? '' : entry.sentence;
};
function setSize(text: string): void {
  const entry = parseSize(text, 'metric');
  if (entry.ok) edit(say`size`, (own) => void (own.forSize = { ...entry.size }));
}
const remove = () =>
  bench.edit(say`remove a lug`, (draft) => {
    draft.shop.lugs = draft.shop.lugs.filter(({ id }) => id !== lug.id);
  });
</script>

<template>
  <section class="mb-4 border border-line bg-paper p-3.5" :aria-label="say`This lug`">
    <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-4">
      <TextField
        :label="say`Lug name`"
        :model-value="lug.label"
        :longest="80"
        required
        @update:model-value="(label) => edit(say`name`, (own) => void (own.label = label))"
      />
      <TextField
        :label="say`Made for`"
        :model-value="sizeLabel(lug.forSize)"
        :check="sizeProblem"
        @update:model-value="setSize"
      />
      <ChoiceField
        :label="say`For stud`"
        :model-value="lug.stud"
        :choices="studs"
        @update:model-value="(stud) => edit(say`stud`, (own) => void (own.stud = stud))"
      />
      <ChoiceField
        :label="say`Construction`"
        :model-value="lug.form"
        :choices="forms"
        @update:model-value="setForm"
      />
      <template v-if="lug.clamp">
        <ChoiceField
          :label="say`Fits post`"
          :model-value="lug.clamp.post.kind"
          :choices="posts"
          @update:model-value="(kind) => editClamp((own) => void (own.post.kind = kind))"
        />
        <SegmentedField
          :label="say`Pole`"
          :model-value="lug.clamp.post.polarity"
          :choices="poles"
          @update:model-value="(pole) => editClamp((own) => void (own.post.polarity = pole))"
        />
        <SegmentedField
          :label="say`Number of cables`"
          :model-value="lug.clamp.cables"
          :choices="[
            { value: 1, title: '1' },
            { value: 2, title: '2' },
          ]"
          @update:model-value="(count) => editClamp((own) => void (own.cables = count === 2 ? 2 : 1))"
        />
      </template>
      <QuantityField
        v-for="[key, label, least, most] in dimensions"
        :key="key"
        :label="label"
        kind="length"
        :model-value="lug[key]"
        :least="least"
        :most="most"
        @update:model-value="setMm(key, $event)"
      />
      <QuantityField
        :label="say`Palm to barrel`"
        kind="angle"
        :model-value="lug.angleDeg"
        :least="0"
        :most="90"
        :decimals="0"
        @update:model-value="(deg) => edit(say`angle`, (own) => void (own.angleDeg = deg))"
      />
      <ChoiceField
        v-if="lug.form === 'butt'"
        :label="say`Supplied in`"
        :model-value="lug.cover ?? 'none'"
        :choices="covers"
        @update:model-value="setCover"
      />
      <QuantityField
        v-if="lug.form === 'cast clamp' || lug.form === 'tube'"
        :label="say`Solder in its barrel`"
        kind="mass"
        :model-value="lug.solderG ?? 0"
        :least="0"
        :most="500"
        @update:model-value="setSolder"
      />
      <ChoiceField
        :label="say`Metal`"
        :model-value="lug.metal"
        :choices="metals"
        @update:model-value="(metal) => edit(say`metal`, (own) => void (own.metal = metal))"
      />
      <SegmentedField
        :label="say`Plating`"
        :model-value="lug.plating"
        :choices="[
          { value: 'tin', title: say`tin` },
          { value: 'none', title: say`none` },
        ]"
        @update:model-value="
          (plating) => edit(say`plating`, (own) => void (own.plating = plating === 'none' ? 'none' : 'tin'))
        "
      />
      <QuantityField
        :label="say`Price`"
        kind="number"
        :model-value="lug.price"
        :least="0"
        :most="10000"
        :decimals="2"
        @update:model-value="(price) => edit(say`price`, (own) => void (own.price = price))"
      />
      <QuantityField
        :label="say`Left on the shelf`"
        kind="number"
        :model-value="lug.stock"
        :least="0"
        :most="100000"
        :decimals="0"
        @update:model-value="recount(`lug:${lug.id}`, Math.round($event))"
      />
    </div>
    <div class="my-3 flex flex-wrap gap-5">
      <CheckField
        :label="say`sight hole`"
        :model-value="lug.sightHole"
        @update:model-value="(on) => edit(say`sight hole`, (own) => void (own.sightHole = on))"
      />
      <CheckField
        :label="say`flared mouth`"
        :model-value="lug.flared"
        @update:model-value="(on) => edit(say`mouth`, (own) => void (own.flared = on))"
      />
      <CheckField
        :label="say`hole was drilled out`"
        :model-value="lug.drilledOut"
        @update:model-value="(on) => edit(say`drilled out`, (own) => void (own.drilledOut = on))"
      />
    </div>
    <p v-if="lug.drilledOut" class="mb-2 font-bold text-fails">
      {{ say`It is refused on every end: it tears, bends, and loses plating and face.` }}
    </p>
    <MetalTest v-if="lug.form === 'tube' || lug.form === 'butt'" :lug="lug" />
    <div class="flex gap-2">
      <button type="button" class="button filled" @click="$emit('done')">{{ say`Done` }}</button>
      <button type="button" class="button" @click="remove">{{ say`Remove it` }}</button>
    </div>
  </section>
</template>
