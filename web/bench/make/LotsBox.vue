<script setup lang="ts">
import { ScanBarcode } from '@lucide/vue';
import { computed, ref } from 'vue';
import type { Cable, Lot } from '../../../core/model/cable.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { lotInUse, type LotItem, lotItems, lotOf } from '../../../core/cutting/lots.ts';
import { lotOfCode } from '../../../core/log/lotCode.ts';
import { tell } from '../../../core/words/message.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import CodeReader from '../../ui/CodeReader.vue';
import ModalBox from '../../ui/ModalBox.vue';
import TextField from '../../ui/TextField.vue';
import { say } from '../../../core/words/say.ts';

/**
 * Lots of the material, by its bags and drums: entered or scanned once for a bag, taken along by every cable that is
 * begun after that.
 */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const rows = computed(() =>
  lotItems(work).map((row) => ({
    ...row,
    lot: lotOf(cable, row.item),
    inUse: lotInUse(bench.shop, row.stock) ?? '',
  })),
);
const known = computed(() => rows.value.filter(({ lot }) => lot !== '').length);

/** On the cable, and as the bag in use: the next cable takes it along. */
function keep({ item, stock }: LotItem, text: string): void {
  const lot = text.trim();
  if (lot === '') return;
  const entered: Lot = { item, lot, at: new Date().toISOString(), by: prefs.person };
  bench.edit(say`lot ${lot}`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === jobId)?.cables.find(({ id }) => id === cable.id);
    if (own) (own.lots ??= []).push(entered);
    if (lotInUse(draft.shop, stock) !== lot) (draft.shop.lots ??= []).push({ stock, lot, at: entered.at });
  });
}

/** Whose code is being read. */
const reading = ref('');
const read = computed(() => rows.value.find(({ item }) => item === reading.value));
const problem = ref('');
const LONGEST = 60;
function said(code: string): void {
  const lot = lotOfCode(code);
  if (lot === '' || lot.length > LONGEST) {
    problem.value = say`This code gives no lot: enter what is printed beside it.`;
    return;
  }
  if (read.value) keep(read.value, lot);
  reading.value = '';
}
</script>

<template>
  <details class="border-t border-hairline pt-2">
    <summary class="min-h-11 cursor-pointer content-center font-bold text-teal">
      {{ say`Lots of the material, ${known} of ${rows.length} known` }}
    </summary>
    <p class="note mb-2">
      {{
        say`Enter the lot from the bag or drum, or scan its code. Enter it once for each bag: cables started after that take it over.`
      }}
    </p>
    <div class="tall-labels grid items-start gap-x-3 gap-y-1 sm:grid-cols-2">
      <div v-for="row in rows" :key="`${cable.id}${row.item}`" class="flex items-start gap-1">
        <TextField
          class="min-w-0 flex-1"
          :label="say`Lot of ${tell(row.title)}`"
          :model-value="row.lot"
          :longest="LONGEST"
          :hint="row.inUse && row.inUse !== row.lot ? say`in use: ${row.inUse}` : ''"
          @update:model-value="keep(row, $event)"
        />
        <button type="button" class="button mt-[23px] !px-3" @click="reading = row.item">
          <ScanBarcode :size="18" aria-hidden="true" /><span class="sr-only">{{
            say`Read the code of ${tell(row.title)}`
          }}</span>
        </button>
      </div>
    </div>
    <ModalBox
      :open="read !== undefined"
      :title="say`Lot of ${read ? tell(read.title) : ''}`"
      @close="reading = ''"
    >
      <p>
        {{
          say`Hold the code of its bag or drum before the camera, or choose a picture of it. Of a trade code the lot alone is kept.`
        }}
      </p>
      <CodeReader class="mt-3" :picture="say`A picture of its code`" @begun="problem = ''" @said="said" />
      <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
    </ModalBox>
  </details>
</template>
