<script setup lang="ts">
import { computed, ref } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';
import { sampleGroups } from '../../core/log/sampling.ts';
import { tell } from '../../core/words/message.ts';
import LedgerRow from '../bench/LedgerRow.vue';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** Samples that were pulled apart, by die, lug and cable: how many the plan asks for, and what they come to. */
const { worked } = defineProps<{ worked: readonly WorkedCable[] }>();

const bench = useBench();
const groups = computed(() => sampleGroups(worked, bench.shop));
const hasPlan = computed(() => (bench.shop.practice.sampleOneIn ?? 0) > 0);
const opened = ref<string | null>(null);
</script>

<template>
  <section v-if="groups.length > 0" :aria-label="say`Pulled samples`" class="border-t border-line">
    <h2 class="figure px-4 pt-2.5 text-[18px] font-semibold">{{ say`Pulled samples` }}</h2>
    <p v-if="!hasPlan" class="note px-4 pb-2">
      {{ say`No sampling plan: choose one in House practice.` }}
    </p>
    <ul>
      <li v-for="group in groups" :key="group.key" class="border-t border-hairline">
        <p class="px-4 pt-1.5">
          <b>{{ tell(group.title) }}</b>
          <span
            class="block text-[13px] text-ink2"
            :class="group.pulls.length < group.due ? 'font-bold text-close' : ''"
          >
            {{
              hasPlan
                ? say`${group.pulls.length} pulled of ${group.due} due, ends made: ${group.made}`
                : say`${group.pulls.length} pulled, ends made: ${group.made}`
            }}
          </span>
        </p>
        <ul>
          <LedgerRow
            :findings="[{ ...group.finding, id: group.key }]"
            :opened="opened"
            @open="opened = $event"
          />
        </ul>
      </li>
    </ul>
  </section>
</template>
