<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { verdictSays } from '../../core/hunt/says.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { loadedOf } from '../../core/model/hunt.ts';
import { suspectWork } from '../../core/hunt/huntFindings.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import { useBench } from '../stores/bench.ts';
import ChainDrawing from './ChainDrawing.vue';
import { leastWidth } from './layout.ts';
import { huntPlace, useHunt } from './useHunt.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** A hunt on paper: the chain, what was read, what it comes to, and how each figure came about. */
const { huntId } = defineProps<{ huntId: string }>();

const bench = useBench();
const hunt = computed(() => bench.huntById(huntId));
const { found, ladder, findings } = useHunt(() => hunt.value);
const loaded = computed(() => (hunt.value ? loadedOf(hunt.value) : null));
const day = computed(() =>
  dayText(
    hunt.value?.spans
      .map(({ at }) => at)
      .sort()
      .at(-1) ?? '',
  ),
);
const titleOf = (id: string) => hunt.value?.pieces.find((piece) => piece.id === id)?.title ?? '';
const people = computed(() => [...new Set(hunt.value?.spans.flatMap(({ by }) => by || []))].join(', '));
/** The whole chain stands on the sheet, however long it is. */
const SHEET_PX = 690;
const zoom = computed(() => Math.min(1, SHEET_PX / leastWidth(hunt.value?.pieces.length ?? 1)));
const print = () => window.print();
</script>

<template>
  <main v-if="hunt && found" class="paper mx-auto max-w-[210mm] p-6">
    <div class="mb-4 flex gap-3 print:hidden">
      <button type="button" class="button filled" @click="print">{{ say`Print` }}</button>
      <RouterLink class="button" :to="huntPlace(hunt.id, hunt.jobId)">{{ say`Back to the hunt` }}</RouterLink>
    </div>
    <h1 class="figure text-[24px] font-semibold">{{ say`Fault hunt: ${hunt.title}` }}</h1>
    <p>
      {{
        say`${figure(hunt.systemV, 'V', 0)}, ${hunt.load}, ${hunt.test} test, copper at ${figure(hunt.copperC, '°C', 0)}.`
      }}
      <template v-if="hunt.restV !== undefined">{{ say`At rest ${figure(hunt.restV, 'V', 2)}.` }} </template>
      <template v-if="loaded">{{
        say`At ${figure(loaded.amps, 'A', 1)}: posts ${figure(loaded.postsV, 'V', 2)}, load ${figure(loaded.loadV, 'V', 2)}.`
      }}</template>
    </p>
    <p v-if="day">
      {{ say`Read on ${day}` }}<template v-if="people">{{ ' ' }}{{ say`by ${people}` }}</template>.
    </p>
    <p v-for="own in hunt.mended" :key="own.at">
      {{
        say`Repaired on ${dayText(own.at)}: ${titleOf(own.piece)}; ${own.spans.length} reading from before is kept.¦Repaired on ${dayText(own.at)}: ${titleOf(own.piece)}; ${own.spans.length} readings from before are kept.`
      }}
    </p>
    <p v-if="found.verdict.simulated" class="my-2 w-fit border-2 border-ink px-2 font-bold">
      {{ say`SIMULATED READINGS: nothing here is proved.` }}
    </p>
    <p class="figure mt-3 text-[20px] font-semibold">{{ tell(verdictSays(found.verdict).says) }}</p>
    <p>{{ tell(verdictSays(found.verdict).more) }}</p>
    <div class="my-3 overflow-hidden" :style="{ zoom }" inert>
      <ChainDrawing :hunt="hunt" :found="found" :ladder="ladder" />
    </div>
    <table class="w-full border-collapse text-[12px]">
      <thead>
        <tr class="border-b border-ink text-left">
          <th>{{ say`part` }}</th>
          <th>{{ say`reads mΩ` }}</th>
          <th>{{ say`expected` }}</th>
          <th>{{ say`waste W` }}</th>
          <th>{{ say`how` }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="own in found.pieces" :key="own.piece.id" class="border-b border-hairline align-top">
          <td class="py-0.5 pr-2" :class="found.suspects.includes(own) ? 'font-bold' : ''">
            {{ own.piece.title }}
          </td>
          <td class="pr-2">
            {{ own.milliohm === null ? say`not measured alone` : digits(own.milliohm, 3) }}
          </td>
          <td class="pr-2">{{ digits(own.shouldMilliohm, 3) }}</td>
          <td class="pr-2">{{ digits(own.wastedW, 1) }}</td>
          <td>{{ tell(suspectWork(hunt, own, found).substituted[0]) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="own in found.suspects" :key="own.piece.id" class="mt-1">
      {{ say`${own.piece.title}: likely ${own.cause}.` }}
    </p>
    <p v-for="finding in findings" :key="finding.id" class="mt-1">
      {{ tell(finding.title) }}:
      {{ finding.value === null ? say`not known` : figure(finding.value, finding.unit, finding.decimals) }}.
      {{ tell(finding.because) }}
    </p>
    <p v-if="hunt.notes" class="mt-2">{{ hunt.notes }}</p>
    <p class="mt-4 text-[12px]">
      {{
        say`Under load everything is live: insulated probes, one hand clear of metal. Figures are for finding the fault; the equipment makers’ instructions, the local code and a licensed person where the law asks for one come first.`
      }}
    </p>
  </main>
  <main v-else class="p-6">
    <p>{{ say`This hunt is not here.` }}</p>
    <RouterLink class="button mt-3" :to="{ name: 'start' }">{{ say`Start page` }}</RouterLink>
  </main>
</template>
