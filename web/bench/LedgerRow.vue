<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { ChevronDown, ChevronUp } from '@lucide/vue';
import { computed, useTemplateRef, watch } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { mendedAt } from '../../core/finding/mended.ts';
import type { Finding } from '../../core/finding/finding.ts';
import { placeMended } from '../places.ts';
import { inReadersUnit, limitText, marginText } from '../ui/display.ts';
import ShowWork from '../ui/ShowWork.vue';
import StateMark from '../ui/StateMark.vue';
import { RUN_PART_TITLES, STAGE_TITLES } from './stages.ts';
import MarginBar from './MarginBar.vue';
import { say } from '../../core/words/say.ts';

/** One limit, of the whole cable or of both ends: value, limit, bar, state, and its work when opened. */
const { findings, opened } = defineProps<{ findings: readonly Finding[]; opened: string | null }>();
const emit = defineEmits<{ open: [id: string | null] }>();

const row = useTemplateRef<HTMLElement>('row');
const first = computed(() => findings[0] as Finding);
const isOpen = computed(() => findings.some(({ id }) => id === opened));
watch(isOpen, (open) => {
  if (open) row.value?.scrollIntoView({ block: 'nearest' });
});

function value(finding: Finding): { value: string; unit: string } {
  return finding.value === null
    ? { value: '–', unit: '' }
    : inReadersUnit(finding.value, finding.unit, finding.decimals);
}
/** Where it is corrected, when it is open and that is not what is seen already. */
const route = useRoute();
const mended = computed(() => {
  const { jobId, cableId, stage } = route.params;
  if (typeof jobId !== 'string' || typeof cableId !== 'string') return null;
  const open = findings.find(({ state }) => state !== 'holds');
  const place = open && mendedAt(open.topic);
  if (!place || (place.stage === stage && place.part === undefined)) return null;
  return {
    to: placeMended(jobId, cableId, place),
    says:
      place.part === undefined
        ? STAGE_TITLES[place.stage]
        : `${STAGE_TITLES[place.stage]}, ${RUN_PART_TITLES[place.part]}`,
  };
});
const limits = computed(() => limitText(findings));
</script>

<template>
  <li ref="row" class="border-t border-hairline">
    <button
      type="button"
      class="grid min-h-[43px] pointer-coarse:min-h-11 w-full grid-cols-[97px_1fr_26px] sm:max-lg:grid-cols-[220px_1fr_26px] items-center gap-x-1 py-1 pr-1.5 pl-3 text-left hover:bg-teal-tint/60 focus-visible:-outline-offset-2"
      :aria-expanded="isOpen"
      @click="emit('open', isOpen ? null : first.id)"
    >
      <span class="min-w-0">
        <span class="block leading-4">{{ tell(first.title) }}</span>
        <span class="figure block text-[13.5px] leading-4 text-ink2">{{ limits }}</span>
      </span>
      <span class="min-w-0">
        <span
          v-for="finding in findings"
          :key="finding.id"
          class="grid items-center gap-x-1"
          :class="finding.end ? 'h-[21px] grid-cols-[9px_56px_44px_1fr]' : 'grid-cols-[68px_44px_1fr]'"
        >
          <span v-if="finding.end" class="figure text-[13px] text-ink2">{{ finding.end }}</span>
          <span class="figure text-right text-[17px] leading-5 font-semibold whitespace-nowrap">
            {{ value(finding).value
            }}<span class="text-[13px] font-medium text-ink2">&thinsp;{{ value(finding).unit }}</span>
          </span>
          <MarginBar :finding="finding" />
          <span class="min-w-0 pl-0.5">
            <StateMark
              v-if="
                finding.limit || finding.value === null || finding.provenance || finding.state !== 'holds'
              "
              :state="finding.would ?? finding.state"
              :close="finding.close ?? false"
              :would="finding.would !== undefined"
            />
            <span v-if="finding.waived" class="ml-1 text-[12px] font-bold text-ink2">{{ say`waived` }}</span>
            <span v-if="!finding.end" class="figure block text-[13px] leading-4 text-ink2">{{
              marginText(finding)
            }}</span>
          </span>
        </span>
      </span>
      <span
        class="flex size-[26px] items-center justify-center rounded-box border border-hairline bg-paper text-teal"
        aria-hidden="true"
      >
        <ChevronUp v-if="isOpen" :size="16" /><ChevronDown v-else :size="16" />
      </span>
      <span class="sr-only">{{ say`Show the calculation` }}</span>
    </button>
    <div v-if="isOpen" class="border-t border-hairline">
      <template v-for="finding in findings" :key="finding.id">
        <p v-if="findings.length > 1" class="figure px-3.5 pt-2 text-[15px] font-semibold">
          {{ say`End ${finding.end}` }}
        </p>
        <ShowWork :finding="finding" />
      </template>
      <RouterLink
        v-if="mended"
        :to="mended.to"
        class="flex min-h-11 items-center bg-paper px-3.5 font-bold text-teal underline"
        >{{ say`Correct it in ${mended.says}` }}</RouterLink
      >
    </div>
  </li>
</template>
