<script setup lang="ts">
import { X } from '@lucide/vue';
import type { Draft } from 'immer';
import { computed, ref } from 'vue';
import { called } from '../../core/model/catalogue/called.ts';
import { kindUses } from '../../core/model/kindUses.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import { type CableKind, type CableSize, INSULATIONS, JACKETS } from '../../core/model/shop.ts';
import { areaMm2, type ConductorSize, sameSize, sizeLabel } from '../../core/model/tables/size.ts';
import { leastOuterMm, usualOuterMm } from '../../core/conductor/geometry.ts';
import { misfitOf } from '../../core/sizing/kindTraits.ts';
import { say } from '../../core/words/say.ts';
import { word } from '../../core/words/terms.ts';
import { useBench } from '../stores/bench.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import { choicesOf } from '../ui/choicesOf.ts';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';

/** A kind of cable by its data sheet: what it is made of, what it stands, and each size it is bought in. */
const { kind } = defineProps<{ kind: CableKind }>();
const emit = defineEmits<{ done: [] }>();

const bench = useBench();
function edit(what: string, recipe: (own: Draft<CableKind>) => void): void {
  bench.edit(say`cable kind: ${what}`, (draft) => {
    const own = draft.shop.cableKinds.find(({ id }) => id === kind.id);
    if (own) recipe(own);
  });
}
const editSize = (at: CableSize, what: string, recipe: (own: Draft<CableSize>) => void) =>
  edit(`${sizeLabel(at.size)}, ${what}`, ({ sizes }) => {
    const own = sizes.find(({ size }) => sameSize(size, at.size));
    if (own) recipe(own);
  });

const titleProblem = (text: string) =>
  bench.shop.cableKinds.some(({ id, title }) => id !== kind.id && title === text)
    ? say`Another kind is called “${text}”.`
    : '';
const strands = choicesOf(['coarse', 'fine', 'extra fine']);
const insulations = choicesOf(INSULATIONS);

type Jacket = 'oil' | 'sun' | 'flame' | 'rubbing';
const jacket = computed<readonly (readonly [Jacket, string, boolean])[]>(() => [
  ['oil', say`resists oil and fuel`, kind.stands.oil],
  ['sun', say`resists sunlight`, kind.stands.sun],
  ['flame', say`does not feed a flame`, kind.stands.flame],
  ['rubbing', say`resists rubbing`, misfitOf('rubbing', kind) === null],
]);
const colours = computed(() => kind.colours ?? JACKETS);
function setColour(colour: (typeof JACKETS)[number], on: boolean): void {
  const next = JACKETS.filter((own) => (own === colour ? on : colours.value.includes(own)));
  if (next.length === 0) return;
  edit(say`colours`, (own) => {
    if (next.length === JACKETS.length) delete own.colours;
    else own.colours = next;
  });
}

const byCopper = (a: CableSize, b: CableSize) => areaMm2(a.size) - areaMm2(b.size);
const usualSystem = computed(() => kind.sizes[0]?.size.system ?? 'metric');
const fresh = ref('');
const MOST_SIZES = 40;
function freshProblem(text: string): string {
  if (text === '') return '';
  const entry = parseSize(text, usualSystem.value);
  if (!entry.ok) return entry.sentence;
  if (kind.sizes.length >= MOST_SIZES) return say`A kind has at most ${MOST_SIZES} sizes.`;
  return kind.sizes.some(({ size }) => sameSize(size, entry.size))
    ? say`${sizeLabel(entry.size)} is among them already.`
    : '';
}
function addSize(text: string): void {
  const entry = parseSize(text, usualSystem.value);
  if (!entry.ok) return;
  const { size } = entry;
  const outerMm = usualOuterMm(areaMm2(size));
  edit(say`another size`, (own) => {
    own.sizes = [...own.sizes, { size: { ...size }, outerMm, pricePerM: 0 }].sort(byCopper);
  });
  fresh.value = '';
}

/** Why a size, or the whole kind, stays: something is made of it. */
function staysBecause(size?: ConductorSize): string {
  const only = size ? kind.sizes.length === 1 : bench.shop.cableKinds.length === 1;
  if (only) return size ? say`A kind has at least one size.` : say`A shop has at least one kind of cable.`;
  const { cables, spools } = kindUses(bench.jobs, bench.shop, kind.id, size);
  return cables + spools > 0 ? say`It cannot be removed. Cables of it: ${cables}, spools: ${spools}.` : '';
}
const refusal = ref('');
function removeSize({ size }: CableSize): void {
  refusal.value = staysBecause(size);
  if (refusal.value === '')
    edit(say`remove a size`, (own) => {
      own.sizes = own.sizes.filter((one) => !sameSize(one.size, size));
    });
  else refusal.value = `${sizeLabel(size)}: ${refusal.value}`;
}
function remove(): void {
  refusal.value = staysBecause();
  if (refusal.value !== '') return;
  bench.edit(say`remove a kind of cable`, (draft) => {
    draft.shop.cableKinds = draft.shop.cableKinds.filter(({ id }) => id !== kind.id);
  });
  emit('done');
}
</script>

<template>
  <section class="mb-4 border border-line bg-paper p-3.5" :aria-label="say`This kind of cable`">
    <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-3">
      <TextField
        :label="say`Cable name`"
        :model-value="called(kind.title)"
        :longest="80"
        required
        :check="titleProblem"
        @update:model-value="(title) => edit(say`name`, (own) => void (own.title = title))"
      />
      <ChoiceField
        :label="say`Strand class`"
        :model-value="kind.strands"
        :choices="strands"
        @update:model-value="(value) => edit(say`strands`, (own) => void (own.strands = value))"
      />
      <ChoiceField
        :label="say`Insulation`"
        :model-value="kind.insulation"
        :choices="insulations"
        @update:model-value="(value) => edit(say`insulation`, (own) => void (own.insulation = value))"
      />
      <QuantityField
        :label="say`Insulation rating`"
        kind="temperature"
        :model-value="kind.limitC"
        :least="60"
        :most="200"
        :decimals="0"
        @update:model-value="(celsius) => edit(say`temperature`, (own) => void (own.limitC = celsius))"
      />
      <QuantityField
        :label="say`Rated voltage`"
        kind="voltage"
        :model-value="kind.ratedV"
        :least="12"
        :most="2000"
        :decimals="0"
        @update:model-value="(volts) => edit(say`voltage`, (own) => void (own.ratedV = volts))"
      />
      <QuantityField
        :label="say`Least bend, in diameters`"
        kind="number"
        :model-value="kind.bend"
        :least="2"
        :most="20"
        @update:model-value="(times) => edit(say`bend`, (own) => void (own.bend = times))"
      />
    </div>
    <div class="mt-3 mb-2 flex flex-wrap gap-x-5 gap-y-2">
      <CheckField
        :label="say`tinned strands`"
        :model-value="kind.tinned"
        @update:model-value="(on) => edit(say`tinned`, (own) => void (own.tinned = on))"
      />
      <CheckField
        v-for="[key, label, on] in jacket"
        :key="key"
        :label="label"
        :model-value="on"
        @update:model-value="(now) => edit(label, (own) => void (own.stands[key] = now))"
      />
    </div>
    <div class="mb-3 flex flex-wrap gap-x-5 gap-y-2">
      <CheckField
        v-for="colour in JACKETS"
        :key="colour"
        :label="say`bought in ${word(colour)}`"
        :model-value="colours.includes(colour)"
        @update:model-value="setColour(colour, $event)"
      />
    </div>
    <div class="kind-row note max-sm:hidden" aria-hidden="true">
      <span>{{ say`Size` }}</span>
      <span>{{ say`Outside` }}</span>
      <span>{{ say`${bench.shop.currency} a metre` }}</span>
      <span>{{ say`Mass a metre` }}</span>
      <span>{{ say`Ω a km at 20 °C` }}</span>
      <span>{{ say`Strands` }}</span>
    </div>
    <ul :aria-label="say`Sizes of this kind`">
      <li
        v-for="at in kind.sizes"
        :key="sizeLabel(at.size)"
        class="row-fields alike kind-row border-t border-hairline py-1"
      >
        <span class="figure self-end pb-2.5 text-[16px] font-semibold">{{ sizeLabel(at.size) }}</span>
        <QuantityField
          :label="say`Outside of ${sizeLabel(at.size)}`"
          kind="length"
          :model-value="at.outerMm"
          :least="leastOuterMm(areaMm2(at.size))"
          :most="60"
          @update:model-value="(mm) => editSize(at, say`outside`, (own) => void (own.outerMm = mm))"
        />
        <QuantityField
          :label="say`Price a metre of ${sizeLabel(at.size)}`"
          kind="number"
          :model-value="at.pricePerM"
          :least="0"
          :most="10000"
          :decimals="2"
          @update:model-value="(price) => editSize(at, say`price`, (own) => void (own.pricePerM = price))"
        />
        <QuantityField
          :label="say`Mass a metre of ${sizeLabel(at.size)}`"
          kind="mass"
          :model-value="at.gPerM ?? null"
          :least="5"
          :most="20000"
          :decimals="0"
          :placeholder="say`worked out`"
          optional
          @update:model-value="(grams) => editSize(at, say`mass`, (own) => void (own.gPerM = grams))"
          @clear="editSize(at, say`mass`, (own) => void delete own.gPerM)"
        />
        <QuantityField
          :label="say`Resistance a km of ${sizeLabel(at.size)}`"
          kind="number"
          :model-value="at.ohmPerKm ?? null"
          :least="0.01"
          :most="50"
          :decimals="4"
          :placeholder="say`by table`"
          optional
          @update:model-value="(ohm) => editSize(at, say`resistance`, (own) => void (own.ohmPerKm = ohm))"
          @clear="editSize(at, say`resistance`, (own) => void delete own.ohmPerKm)"
        />
        <QuantityField
          :label="say`Strands of ${sizeLabel(at.size)}`"
          kind="number"
          :model-value="at.strandCount ?? null"
          :least="1"
          :most="20000"
          :decimals="0"
          :placeholder="say`by class`"
          optional
          @update:model-value="
            (count) => editSize(at, say`strands`, (own) => void (own.strandCount = Math.round(count)))
          "
          @clear="editSize(at, say`strands`, (own) => void delete own.strandCount)"
        />
        <button
          type="button"
          class="flex size-10 items-center justify-center self-end text-teal"
          @click="removeSize(at)"
        >
          <X :size="17" aria-hidden="true" /><span class="sr-only">{{
            say`Remove ${sizeLabel(at.size)}`
          }}</span>
        </button>
      </li>
    </ul>
    <div class="mt-2 max-w-56">
      <TextField
        :label="say`Another size of this kind`"
        :model-value="fresh"
        :check="freshProblem"
        @update:model-value="addSize"
      />
    </div>
    <p v-if="refusal" role="alert" class="mt-2 font-bold text-fails">{{ refusal }}</p>
    <div class="mt-3 flex gap-2">
      <button type="button" class="button filled" @click="$emit('done')">{{ say`Done` }}</button>
      <button type="button" class="button" @click="remove">{{ say`Remove it` }}</button>
    </div>
  </section>
</template>

<style scoped>
.kind-row {
  display: grid;
  align-items: start;
  gap: 8px;
  grid-template-columns: 96px repeat(5, minmax(90px, 130px)) 40px;
}
@media (width < 640px) {
  .kind-row {
    grid-template-columns: 1fr 1fr;
  }
  /* Without a line of titles above, each field says what it is. */
  .kind-row :deep(label) {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
  }
}
</style>
