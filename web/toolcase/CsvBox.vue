<script setup lang="ts" generic="T">
import { Download, Upload } from '@lucide/vue';
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import type { CatalogueRead } from '../../core/model/catalogue/catalogueCsv.ts';
import { saveFile } from '../storage/files.ts';
import ModalBox from '../ui/ModalBox.vue';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** A part of the catalogue out to CSV and in from it: what a file would change is shown before anything does. */
const { what, fileName, write, read, take } = defineProps<{
  /** "lugs", "dies" */
  what: string;
  fileName: string;
  write: () => string;
  read: (contents: string) => CatalogueRead<T>;
  take: (items: readonly T[]) => void;
}>();

const bench = useBench();
const LARGEST_BYTES = 5_000_000;
const field = useTemplateRef<HTMLInputElement>('field');
const found = shallowRef<CatalogueRead<T> | null>(null);
const refusal = ref('');
const isOpen = computed(() => found.value !== null || refusal.value !== '');
const count = computed(() => (found.value?.added ?? 0) + (found.value?.changed ?? 0));

async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [file] = input.files ?? [];
  if (!file) return;
  const contents = file.size > LARGEST_BYTES ? null : await file.text();
  input.value = '';
  if (contents === null) refusal.value = say`This file is far larger than any catalogue; it was not read.`;
  else found.value = read(contents);
}
function close(): void {
  found.value = null;
  refusal.value = '';
}
function accept(): void {
  if (found.value) take(found.value.items);
  close();
  refusal.value = bench.refusal;
  bench.refusal = '';
}
</script>

<template>
  <div class="mb-3 flex flex-wrap gap-2">
    <button type="button" class="button" @click="saveFile(fileName, write(), 'text/csv')">
      <Download :size="16" aria-hidden="true" /> {{ say`Export ${what} as CSV` }}
    </button>
    <button type="button" class="button" @click="field?.click()">
      <Upload :size="16" aria-hidden="true" /> {{ say`Import ${what} from CSV` }}
    </button>
    <input
      ref="field"
      type="file"
      accept=".csv,text/csv"
      class="hidden"
      :data-testid="`csv-${what}`"
      @change="open"
    />
    <ModalBox :open="isOpen" :title="say`Import ${what}`" wide @close="close">
      <p v-if="refusal" role="alert">{{ refusal }}</p>
      <template v-if="found">
        <p class="text-[15px]">
          {{ say`${found.added} new, ${found.changed} changed`
          }}<template v-if="found.problems.length > 0"
            >, {{ say`${found.problems.length} problem¦${found.problems.length} problems` }}</template
          >{{ say`. Nothing has been taken over yet.` }}
        </p>
        <ul
          v-if="found.problems.length > 0"
          class="my-2 max-h-[45vh] overflow-auto border-y border-hairline"
          :aria-label="say`Problems by row`"
        >
          <li
            v-for="(problem, i) in found.problems"
            :key="i"
            class="flex gap-3 border-b border-hairline py-1"
          >
            <span class="figure w-16 shrink-0 text-[15px] font-semibold">{{ say`row ${problem.row}` }}</span>
            <span class="w-32 shrink-0 text-ink2">{{ problem.column }}</span>
            <span class="font-bold text-fails">{{ problem.sentence }}</span>
          </li>
        </ul>
        <div class="mt-3 flex flex-wrap gap-2">
          <button type="button" class="button filled" :disabled="count === 0" @click="accept">
            {{
              found.problems.length > 0
                ? say`Take the ${count} good row¦Take the ${count} good rows`
                : say`Import ${count}`
            }}
          </button>
          <button type="button" class="button" @click="close">{{ say`Leave everything as it is` }}</button>
        </div>
      </template>
      <button v-else type="button" class="button filled mt-3" @click="close">{{ say`OK` }}</button>
    </ModalBox>
  </div>
</template>
