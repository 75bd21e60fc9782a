<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import { SYSTEM_INPUTS, type SystemInput } from '../../../core/model/run.ts';
import { withInputs } from '../../../core/system/edits.ts';
import { digits } from '../../../core/words/numerals.ts';
import { useBench } from '../../stores/bench.ts';
import StageSection from '../StageSection.vue';
import { useFromSystem } from './useFromSystem.ts';
import { SYSTEM_INPUT_TITLES, systemSays } from '../../../core/sizing/runSays.ts';
import { tell } from '../../../core/words/message.ts';
import { say } from '../../../core/words/say.ts';

/** What comes from the system of the job, each input with its figures, and whether it is taken from there or typed. */
const { cable, jobId } = defineProps<{ cable: Cable; jobId: string }>();

const bench = useBench();
const { from, comes } = useFromSystem(() => ({ jobId, cable }));
const states = computed(() => bench.jobById(jobId)?.system?.states ?? []);
const stateName = (id: string | null | undefined) => states.value.find((state) => state.id === id)?.name;
const time = (seconds: number) =>
  seconds >= 60 && seconds % 30 === 0
    ? say`${digits(seconds / 60, seconds % 60 === 0 ? 0 : 1)} min`
    : `${digits(seconds, 0)} s`;

const rows = computed(() => {
  const said = from.value;
  if (!said) return [];
  const { figures } = said;
  const says: Readonly<Record<SystemInput, string>> = {
    volts: figures.volts
      ? say`${digits(figures.volts.nominalV, 1)} V, charged to ${digits(figures.volts.chargedV, 1)} V`
      : '',
    load: figures.load
      ? [
          say`${digits(figures.load.heldA, 1)} A continuous`,
          ...(figures.load.duty?.steps ?? []).map(
            ({ amps, seconds }) => `${digits(amps, 1)} A ${time(seconds)}`,
          ),
        ].join(', ')
      : '',
    drop: figures.drop
      ? [
          say`in the circuit of ${figures.drop.load}`,
          ...(figures.drop.heldPercent === null
            ? []
            : [say`continuous at most ${digits(figures.drop.heldPercent, 1)} %`]),
          ...(figures.drop.shortPercent === null
            ? []
            : [say`short-time at most ${digits(figures.drop.shortPercent, 1)} %`]),
        ].join(', ')
      : '',
    source: figures.shorts
      ? say`${digits(figures.shorts.leastA, 0)} to ${digits(figures.shorts.mostA, 0)} A`
      : say`a battery gives no resistance`,
    fuses: figures.guard ? `${figures.guard.name}, ${digits(figures.guard.ratingA, 0)} A` : say`none`,
  };
  const notes: Partial<Record<SystemInput, string>> = {
    load: said.governedBy === null ? '' : say`${stateName(said.governedBy) ?? ''} makes it warmest`,
  };
  return SYSTEM_INPUTS.map((input) => ({
    input,
    title: tell(SYSTEM_INPUT_TITLES[input]),
    isAnswered: said.answers.includes(input),
    says: said.answers.includes(input) ? says[input] : say`not known from the system`,
    note: said.answers.includes(input) ? (notes[input] ?? '') : '',
    isTaken: comes(input),
  }));
});
const untaken = computed(() => rows.value.filter(({ isAnswered, isTaken }) => isAnswered && !isTaken));

function set(inputs: readonly SystemInput[], isTaken: boolean): void {
  const job = bench.jobById(jobId);
  if (job)
    bench.keepJob(
      withInputs(job, [cable.id], isTaken, inputs),
      isTaken ? say`take figures from the system` : say`figures as typed`,
    );
}
</script>

<template>
  <StageSection
    v-if="rows.length > 0"
    part="system"
    :title="say`From the system`"
    :says="tell(systemSays(cable.run))"
  >
    <table class="w-full border-collapse text-left">
      <tbody>
        <tr v-for="row in rows" :key="row.input" class="border-b border-hairline">
          <th class="py-1 pr-2 font-normal text-ink2">{{ row.title }}</th>
          <td class="py-1 pr-2">
            <span class="figure text-[16px]" :class="row.isTaken ? 'font-semibold' : 'text-ink2'">{{
              row.says
            }}</span>
            <span v-if="row.note" class="note ml-2">{{ row.note }}</span>
          </td>
          <td class="py-0.5 text-right whitespace-nowrap">
            <button
              v-if="row.isAnswered"
              type="button"
              class="min-h-8 pointer-coarse:min-h-11 pointer-coarse:min-w-11 text-teal"
              :aria-label="
                row.isTaken ? say`${row.title}: type it here` : say`${row.title}: take it from the system`
              "
              @click="set([row.input], !row.isTaken)"
            >
              {{ row.isTaken ? say`type it here` : say`take it` }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-2 flex flex-wrap items-center gap-3">
      <button
        v-if="untaken.length > 0"
        type="button"
        class="button"
        @click="
          set(
            untaken.map(({ input }) => input),
            true,
          )
        "
      >
        {{ say`Take all from the system` }}
      </button>
      <RouterLink
        :to="{ name: 'system', params: { jobId } }"
        class="inline-flex min-h-11 items-center text-teal underline"
        >{{ say`Open the system` }}</RouterLink
      >
    </p>
  </StageSection>
</template>
