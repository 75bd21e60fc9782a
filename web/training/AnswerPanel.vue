<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue';
import { computed } from 'vue';
import { FAULT_NAMES, type FaultName, FAULTS } from '../../core/training/faults.ts';
import { END_POINTS, type Marked } from '../../core/training/round.ts';
import { digits } from '../../core/words/numerals.ts';
import ShowWork from '../ui/ShowWork.vue';
import { say } from '../../core/words/say.ts';

/** What was wrong with an end, found or missed, each with its figures. */
const { answer } = defineProps<{ answer: Marked }>();

interface Row {
  readonly name: FaultName;
  readonly word: string;
  readonly colour: string;
}
const rows = computed((): Row[] => [
  ...answer.missed.map((name) => ({ name, word: say`missed`, colour: 'text-fails' })),
  ...answer.wrong.map((name) => ({ name, word: say`not there`, colour: 'text-close' })),
  ...answer.found.map((name) => ({ name, word: say`found`, colour: 'text-holds' })),
]);
const rest = computed(() => FAULT_NAMES.filter((name) => !rows.value.some((row) => row.name === name)));
</script>

<template>
  <section :aria-label="say`The answer`" class="flex min-h-0 gap-5 px-4 py-2.5 max-sm:flex-col">
    <p class="shrink-0">
      <span class="figure block text-[56px] leading-[52px] font-semibold">{{
        digits(answer.points, 0)
      }}</span>
      <span class="text-[14px] text-ink2">{{ say`of ${END_POINTS} points` }}</span>
    </p>
    <div class="min-h-0 min-w-0 flex-1 lg:overflow-y-auto">
      <p v-if="rows.length === 0" class="text-[17px] font-bold">
        {{ say`Nothing was wrong with it, and you said so.` }}
      </p>
      <Disclosure v-for="{ name, word, colour } in rows" :key="name" v-slot="{ open }">
        <DisclosureButton
          class="flex min-h-11 w-full items-baseline gap-3 border-b border-hairline py-1.5 text-left hover:bg-teal-tint"
        >
          <b class="figure w-16 shrink-0 text-[17px]" :class="colour">{{ word }}</b>
          <span class="min-w-0 flex-1 text-[14px]"
            ><b>{{ tell(FAULTS[name].title) }}.</b> {{ tell(answer.findings[name].because) }}</span
          >
          <span class="shrink-0 text-[13px] text-teal underline">{{
            open ? say`close` : say`the work`
          }}</span>
        </DisclosureButton>
        <DisclosurePanel><ShowWork :finding="answer.findings[name]" /></DisclosurePanel>
      </Disclosure>
      <Disclosure v-slot="{ open }">
        <DisclosureButton class="min-h-11 text-[14px] text-teal underline">
          {{ say`${open ? say`Hide` : say`See`} the ${rest.length} points that hold` }}
        </DisclosureButton>
        <DisclosurePanel>
          <ul class="text-[13.5px]">
            <li v-for="name in rest" :key="name" class="py-0.5">
              <b>{{ tell(answer.findings[name].title) }}.</b> {{ tell(answer.findings[name].because) }}
            </li>
          </ul>
        </DisclosurePanel>
      </Disclosure>
    </div>
  </section>
</template>
