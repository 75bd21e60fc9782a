<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { ArrowDown, ArrowUp, Plus, Trash2 } from '@lucide/vue';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { CHAIN_PIECES, CHAIN_PIECE_KINDS, type ChainPieceKind } from '../../core/model/tables/chainPieces.ts';
import { sizeLabel } from '../../core/model/tables/size.ts';
import { type Hunt, HUNT_TESTS, type Piece } from '../../core/model/hunt.ts';
import { expectedMilliohm } from '../../core/hunt/expected.ts';
import { movedPiece, withoutPiece, withPiece } from '../../core/hunt/changes.ts';
import { digits } from '../../core/words/numerals.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import CheckField from '../ui/CheckField.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** The chain as a list, from source to load and back, and the facts of the hunt. */
const { hunt } = defineProps<{ hunt: Hunt }>();
const emit = defineEmits<{ change: [hunt: Hunt, what: string]; done: [] }>();

const kinds = CHAIN_PIECE_KINDS.map((kind) => ({ value: kind, title: tell(CHAIN_PIECES[kind].title) }));
const sides = computed(() =>
  (['out', 'back'] as const).map((side) => ({
    side,
    title: side === 'out' ? say`Out: from + to the ${hunt.load}` : say`Back: from the ${hunt.load} to −`,
    pieces: hunt.pieces.filter((piece) => piece.side === side),
  })),
);
function change(piece: Piece, part: Partial<Piece>): void {
  const pieces = hunt.pieces.map((own) => (own.id === piece.id ? { ...own, ...part } : own));
  emit('change', { ...hunt, pieces }, say`part ${piece.title}`);
}
function without(piece: Piece, key: 'milliohm' | 'size' | 'lengthMm'): void {
  const { [key]: _, ...rest } = piece;
  emit(
    'change',
    { ...hunt, pieces: hunt.pieces.map((own) => (own.id === piece.id ? rest : own)) },
    say`part`,
  );
}
function setKind(piece: Piece, kind: ChainPieceKind): void {
  const { size: _, lengthMm: __, tinned: ___, milliohm: ____, ...rest } = piece;
  const pieces = hunt.pieces.map((own) => (own.id === piece.id ? { ...rest, kind } : own));
  emit('change', { ...hunt, pieces }, say`kind of part`);
}
function add(side: Piece['side'], behind?: string): void {
  const piece: Piece = { id: nanoid(10), kind: 'stud', title: say`New joint`, side };
  emit('change', withPiece(hunt, piece, behind), say`new part`);
}
function badSize(text: string): string {
  const entry = parseSize(text, 'metric');
  return text === '' || entry.ok ? '' : entry.sentence;
}
function setSize(piece: Piece, text: string): void {
  const entry = parseSize(text, 'metric');
  if (entry.ok) change(piece, { size: entry.size });
  else if (text === '') without(piece, 'size');
}
</script>

<template>
  <section :aria-label="say`Edit the circuit`" class="min-w-0 p-3.5">
    <div class="grid gap-x-3 sm:grid-cols-3">
      <TextField
        :label="say`This hunt`"
        :model-value="hunt.title"
        :longest="80"
        required
        @update:model-value="emit('change', { ...hunt, title: $event }, say`hunt name`)"
      />
      <TextField
        :label="say`The load`"
        :model-value="hunt.load"
        :longest="40"
        required
        @update:model-value="emit('change', { ...hunt, load: $event }, say`load`)"
      />
      <SegmentedField
        :label="say`The test`"
        :model-value="hunt.test"
        :choices="HUNT_TESTS.map((test) => ({ value: test, title: test }))"
        @update:model-value="emit('change', { ...hunt, test: $event }, say`kind of test`)"
      />
      <QuantityField
        :label="say`System`"
        kind="voltage"
        :model-value="hunt.systemV"
        :least="1"
        :most="1000"
        :decimals="0"
        @update:model-value="emit('change', { ...hunt, systemV: $event }, say`system voltage`)"
      />
      <QuantityField
        :label="say`Copper at`"
        kind="temperature"
        :model-value="hunt.copperC"
        :least="-40"
        :most="150"
        :decimals="0"
        :hint="say`the cables at their present temperature`"
        @update:model-value="emit('change', { ...hunt, copperC: $event }, say`copper temperature`)"
      />
      <TextField
        :label="say`Notes`"
        :model-value="hunt.notes"
        :longest="2000"
        @update:model-value="emit('change', { ...hunt, notes: $event }, say`notes`)"
      />
    </div>
    <div v-for="{ side, title, pieces } in sides" :key="side" class="mb-4">
      <h2 class="figure mb-1 border-b border-line text-[17px] font-semibold">{{ title }}</h2>
      <p class="note flex max-lg:hidden" aria-hidden="true">
        <span class="w-[168px]">{{ say`kind` }}</span
        ><span class="flex-1">{{ say`name, and of a cable its size, length, and if tinned` }}</span>
        <span class="w-[320px]">{{ say`expected drop, if better known; behind a panel` }}</span>
      </p>
      <div
        v-for="piece in pieces"
        :key="piece.id"
        class="row-fields grid grid-cols-[minmax(130px,160px)_minmax(140px,1fr)_auto] items-start gap-2 border-b border-hairline py-1.5 max-lg:grid-cols-2"
      >
        <ChoiceField
          :label="say`Kind of ${piece.title}`"
          :model-value="piece.kind"
          :choices="kinds"
          @update:model-value="setKind(piece, $event)"
        />
        <TextField
          :label="say`Name of ${piece.title}`"
          :model-value="piece.title"
          :longest="80"
          required
          @update:model-value="change(piece, { title: $event })"
        />
        <div class="flex flex-wrap items-start gap-2 max-lg:col-span-2">
          <template v-if="piece.kind === 'cable'">
            <TextField
              class="w-28"
              :label="say`Size of ${piece.title}`"
              :model-value="piece.size ? sizeLabel(piece.size) : ''"
              :check="badSize"
              @update:model-value="setSize(piece, $event)"
            />
            <QuantityField
              class="w-28"
              :label="say`Length of ${piece.title}`"
              kind="length"
              :model-value="piece.lengthMm ?? null"
              :least="10"
              :most="1e6"
              :decimals="0"
              optional
              @update:model-value="change(piece, { lengthMm: $event })"
              @clear="without(piece, 'lengthMm')"
            />
            <CheckField
              class="h-11"
              :label="say`tinned`"
              :model-value="piece.tinned ?? false"
              @update:model-value="change(piece, { tinned: $event })"
            />
          </template>
          <QuantityField
            class="w-28"
            :label="say`Expected drop of ${piece.title}`"
            kind="milliohm"
            :model-value="piece.milliohm ?? null"
            :placeholder="digits(expectedMilliohm(piece, hunt.copperC), 3)"
            :least="0"
            :most="1e4"
            :decimals="3"
            optional
            @update:model-value="change(piece, { milliohm: $event })"
            @clear="without(piece, 'milliohm')"
          />
          <CheckField
            class="h-11"
            :label="say`behind a panel`"
            :model-value="piece.behindPanel ?? false"
            @update:model-value="change(piece, { behindPanel: $event })"
          />
          <button
            type="button"
            class="flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="emit('change', movedPiece(hunt, piece.id, -1), say`part moved`)"
          >
            <ArrowUp :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Move ${piece.title} back`
            }}</span>
          </button>
          <button
            type="button"
            class="flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="emit('change', movedPiece(hunt, piece.id, 1), say`part moved`)"
          >
            <ArrowDown :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Move ${piece.title} on`
            }}</span>
          </button>
          <button
            type="button"
            class="flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="add(side, piece.id)"
          >
            <Plus :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Add a part after ${piece.title}`
            }}</span>
          </button>
          <button
            type="button"
            class="flex size-11 items-center justify-center text-teal hover:bg-teal-tint"
            @click="emit('change', withoutPiece(hunt, piece.id), say`part removed`)"
          >
            <Trash2 :size="18" aria-hidden="true" /><span class="sr-only">{{
              say`Remove ${piece.title}`
            }}</span>
          </button>
        </div>
      </div>
      <button v-if="pieces.length === 0" type="button" class="button mt-2" @click="add(side)">
        {{ say`Add a part here` }}
      </button>
    </div>
    <button type="button" class="button filled" @click="emit('done')">{{ say`Back to the readings` }}</button>
  </section>
</template>
