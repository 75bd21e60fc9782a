<script setup lang="ts">
import { computed } from 'vue';
import type { CableWork } from '../../../core/cableWork.ts';
import StateMark from '../../ui/StateMark.vue';
import type { CheckRow } from './checks.ts';
import { say } from '../../../core/words/say.ts';

/** The checks of an end or of the whole cable, each with how it stands; further ones apart. */
const { rows, work } = defineProps<{ rows: readonly CheckRow[]; chosen: CheckRow; work: CableWork }>();
defineEmits<{ choose: [row: CheckRow] }>();

const findingOf = ({ findingId }: CheckRow) => work.findings.find(({ id }) => id === findingId);
/** A further reading that is asked or was taken stands with the rest. */
const groups = computed(() => {
  const asked = rows.filter((row) => !row.further || findingOf(row));
  const rest = rows.filter((row) => !asked.includes(row));
  return [
    { title: '', rows: asked },
    { title: say`optional tests`, rows: rest },
  ].filter((group) => group.rows.length > 0);
});
</script>

<template>
  <nav :aria-label="say`Checks`" class="border-hairline max-sm:border-b sm:border-r">
    <template v-for="group in groups" :key="group.title">
      <p v-if="group.title" class="note px-3 pt-3 pb-1">{{ group.title }}</p>
      <ul class="max-sm:grid max-sm:grid-cols-2">
        <li v-for="row in group.rows" :key="row.findingId">
          <button
            type="button"
            class="flex min-h-11 w-full items-center gap-2 border-l-4 px-2.5 text-left focus-visible:-outline-offset-2"
            :class="
              row.findingId === chosen.findingId
                ? 'border-teal bg-teal-tint'
                : 'border-transparent hover:bg-teal-tint/60'
            "
            :aria-current="row.findingId === chosen.findingId ? 'true' : undefined"
            @click="$emit('choose', row)"
          >
            <span class="figure min-w-0 flex-1 truncate text-[17px]">{{ row.title }}</span>
            <StateMark
              v-if="findingOf(row)"
              :state="findingOf(row)?.would ?? findingOf(row)?.state ?? 'unproved'"
              :close="findingOf(row)?.close ?? false"
              :would="findingOf(row)?.would !== undefined"
              :word="false"
            />
          </button>
        </li>
      </ul>
    </template>
  </nav>
</template>
