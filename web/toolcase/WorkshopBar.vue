<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { emptiedShop, exampleFor } from '../../core/model/catalogue/workshop.ts';
import type { Shop } from '../../core/model/shop.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** Whose tools and shelf are planned with, while they are nobody's: what to do about it is one press away. */
const { jobId, onBench = false } = defineProps<{ jobId: string; onBench?: boolean }>();

const bench = useBench();
const origin = computed(() => bench.shop.origin);
const isShown = computed(
  () => origin.value === 'assumed' || (!onBench && (origin.value === 'example' || origin.value === 'demo')),
);
const become = (what: string, make: (shop: Shop) => Shop) =>
  bench.edit(what, (draft) => Object.assign(draft, { shop: make(bench.shop) }));
const empty = () => become(say`empty workshop`, (shop) => emptiedShop(shop, bench.jobs));
const example = () => become(say`example workshop`, (shop) => exampleFor(shop, bench.jobs));
</script>

<template>
  <aside
    v-if="isShown"
    :aria-label="say`Workshop`"
    class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hairline bg-buff px-3.5 py-2"
  >
    <p class="min-w-0 flex-1 basis-56">
      <template v-if="origin === 'assumed'">
        <b>{{ say`Whose tools and shelf?` }}</b>
        {{ say`Until that is answered, the usual tools are assumed and nothing is in stock.` }}
      </template>
      <template v-else>
        <b>{{ say`The example workshop is in use.` }}</b>
        {{ say`Its tools and its stock are made up.` }}
      </template>
    </p>
    <RouterLink :to="{ name: 'in-your-case', params: { jobId } }" class="button compact filled">{{
      say`What is in your case?`
    }}</RouterLink>
    <button type="button" class="button compact" @click="empty">
      {{ origin === 'assumed' ? say`Start empty` : say`Empty it` }}
    </button>
    <button v-if="origin === 'assumed'" type="button" class="button compact" @click="example">
      {{ say`Use the example` }}
    </button>
  </aside>
</template>
