<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import type { Exercise } from '../../core/training/exercise.ts';
import { type FaultName, FAULTS } from '../../core/training/faults.ts';
import type { Marked, RoundResult } from '../../core/training/round.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';

/** What a round came to, end by end: on the screen and on paper. */
defineProps<{ exercises: readonly Exercise[]; marked: readonly Marked[]; result: RoundResult }>();

const listed = (names: readonly FaultName[]) => names.map((name) => FAULTS[name].title).join(', ') || '–';
</script>

<template>
  <div>
    <p class="figure text-[64px] leading-[60px] font-semibold">
      {{ digits(result.points, 0)
      }}<span class="text-[28px] font-medium">{{ ' ' }}{{ say`of ${result.of}` }}</span>
    </p>
    <p class="mt-1 text-[15px]">
      {{
        say`${result.found} found, ${result.missed} missed, ${say`${result.wrong} marked that was not there¦${result.wrong} marked that were not there`}.`
      }}
    </p>
    <table class="mt-4 w-full border-collapse text-left text-[14px]">
      <thead>
        <tr class="border-b border-line">
          <th class="py-1 pr-3 font-normal">{{ say`end` }}</th>
          <th class="pr-3 font-normal">{{ say`found` }}</th>
          <th class="pr-3 font-normal">{{ say`missed` }}</th>
          <th class="pr-3 font-normal">{{ say`not there` }}</th>
          <th class="text-right font-normal">{{ say`points` }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(own, i) in exercises" :key="own.number" class="border-b border-hairline align-baseline">
          <td class="figure py-1.5 pr-3 text-[17px] whitespace-nowrap">
            {{ own.made.asked.tag }}, {{ tell(sizeNamed(own.made.asked.size)) }}
          </td>
          <td class="pr-3">{{ listed(marked[i]?.found ?? []) }}</td>
          <td class="pr-3 font-bold">{{ listed(marked[i]?.missed ?? []) }}</td>
          <td class="pr-3">{{ listed(marked[i]?.wrong ?? []) }}</td>
          <td class="figure text-right text-[20px] font-semibold">{{ marked[i]?.points }}</td>
        </tr>
      </tbody>
    </table>
    <ul class="mt-4 max-w-prose text-[14px]">
      <template v-for="(own, i) in exercises" :key="own.number">
        <li v-for="name in marked[i]?.missed ?? []" :key="name" class="py-0.5">
          <b>{{ own.made.asked.tag }}, {{ tell(FAULTS[name].title) }}.</b>
          {{ tell(marked[i]?.findings[name].because) }}
        </li>
      </template>
    </ul>
  </div>
</template>
