<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import {
  laySheet,
  LETTERS,
  LID_MM,
  lidRows,
  type MeasureText,
  USUAL_LID,
} from '../../core/paper/lidSheet.ts';
import type { DieMap } from '../../core/termination/dies/dieMap.ts';
import { figure } from '../../core/model/units/figure.ts';
import { say } from '../../core/words/say.ts';
import { saveFile } from '../storage/files.ts';
import { useBench } from '../stores/bench.ts';
import ModalBox from '../ui/ModalBox.vue';
import QuantityField from '../ui/QuantityField.vue';
import type { PaperDocument } from '../paper/listPdf.ts';

/** The map of dies as a sheet to stick inside the lid: at its size, in the largest letters that fit. */
const { map, open } = defineProps<{ map: DieMap; open: boolean }>();
defineEmits<{ close: [] }>();

const bench = useBench();
const lid = computed(() => bench.shop.lid ?? USUAL_LID);
function setLid(change: Partial<{ widthMm: number; heightMm: number }>): void {
  bench.edit(say`size of the lid`, (draft) => void (draft.shop.lid = { ...lid.value, ...change }));
}

/** What writes on paper is large: fetched when the box is opened, and new for each sheet that is saved. */
type Press = typeof import('../paper/lidPdf.ts') & { readonly document: () => Promise<PaperDocument> };
const press = shallowRef<Press & { readonly measure: MeasureText }>();
watch(
  () => open,
  async (isOpen) => {
    if (!isOpen || press.value) return;
    const [lidPdf, { paperDocument }, { paperFonts }] = await Promise.all([
      import('../paper/lidPdf.ts'),
      import('../paper/listPdf.ts'),
      import('../paper/fonts.ts'),
    ]);
    const fonts = await paperFonts();
    press.value = {
      ...lidPdf,
      document: () => paperDocument(fonts),
      measure: lidPdf.measureIn(await paperDocument(fonts)),
    };
  },
  { immediate: true },
);
const rows = computed(() => lidRows(map));
const sheet = computed(() => {
  const ready = press.value;
  return ready && laySheet(rows.value, lid.value, ready.measure);
});
async function save(): Promise<void> {
  const ready = press.value;
  if (!ready || !sheet.value) return;
  const title = say`Dies of ${bench.shop.name}`;
  saveFile('lid.pdf', await ready.lidPdf(sheet.value, title, await ready.document()), 'application/pdf');
}
</script>

<template>
  <ModalBox :open="open" :title="say`Sheet for the lid`" wide @close="$emit('close')">
    <div class="grid grid-cols-2 gap-3">
      <QuantityField
        :label="say`Lid width`"
        kind="length"
        :model-value="lid.widthMm"
        :least="LID_MM.least"
        :most="LID_MM.most"
        :decimals="0"
        @update:model-value="setLid({ widthMm: $event })"
      />
      <QuantityField
        :label="say`Lid height`"
        kind="length"
        :model-value="lid.heightMm"
        :least="LID_MM.least"
        :most="LID_MM.most"
        :decimals="0"
        @update:model-value="setLid({ heightMm: $event })"
      />
    </div>
    <svg
      v-if="sheet"
      :viewBox="`0 0 ${sheet.widthMm} ${sheet.heightMm}`"
      class="mt-2 max-h-[46vh] w-full border border-line bg-white"
      role="img"
      :aria-label="say`Sheet for the lid`"
    >
      <path
        v-for="(rule, i) in sheet.rules"
        :key="`r${i}`"
        :d="`M${rule.xMm} ${rule.yMm}h${rule.widthMm}`"
        stroke="#1a2429"
        stroke-width="0.12"
      />
      <text
        v-for="(own, i) in sheet.texts"
        :key="i"
        :x="own.xMm"
        :y="own.yMm"
        :font-size="own.sizeMm"
        :font-weight="own.strong ? 600 : 400"
        class="figure"
        fill="#1a2429"
      >
        {{ own.text }}
      </text>
    </svg>
    <p v-else-if="press" role="alert" class="mt-2 font-bold text-fails">
      {{
        say`This lid is too small for ${rows.length} lines: the type would be under ${figure(LETTERS.least, 'mm', 1)}. Take a larger one, or the lid and the bottom.`
      }}
    </p>
    <p v-if="sheet" class="note mt-1.5">
      {{
        say`Type of ${figure(sheet.sizeMm, 'mm', 1)}. Print it at its full size, without fitting it to the paper, and cut along its edge. In bold the mark as it is stamped; then its own width across the flats.`
      }}
    </p>
    <button type="button" class="button filled mt-3" :disabled="!sheet" @click="save">
      {{ say`Save the sheet as PDF` }}
    </button>
  </ModalBox>
</template>
