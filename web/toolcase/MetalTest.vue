<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Lug, MetalTest } from '../../core/model/shop.ts';
import { metalVerdict, USUAL_SCALE_G, withMetalTest } from '../../core/termination/lugs/metalTest.ts';
import { tell } from '../../core/words/message.ts';
import { say } from '../../core/words/say.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import CheckField from '../ui/CheckField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import WorkLines from '../ui/WorkLines.vue';

/** Whether a lug sold as copper is copper: a corner rubbed bare, its weight in the air and in water, the die. */
const { lug } = defineProps<{ lug: Lug }>();

const bench = useBench();
const { prefs } = usePrefs();
const isOpen = ref(lug.tested !== undefined);
const isWorkOpen = ref(false);
const test = computed<MetalTest>(() => lug.tested ?? {});
const verdict = computed(() => metalVerdict(lug, test.value));

/** Keeps what was tried, with who and when; what a test tells of the metal is the lug's from then on. */
function keep(change: { readonly [K in keyof MetalTest]?: MetalTest[K] | undefined }): void {
  const { by: _, ...before } = test.value;
  const kept = Object.fromEntries(
    Object.entries({ ...before, ...change }).filter(([, value]) => value !== undefined),
  ) as MetalTest;
  const signed = { ...kept, at: new Date().toISOString(), ...(prefs.person !== '' && { by: prefs.person }) };
  bench.edit(say`lug: test of its metal`, (draft) => {
    draft.shop.lugs = draft.shop.lugs.map((own) => (own.id === lug.id ? withMetalTest(own, signed) : own));
  });
}
const colour = computed(() =>
  verdict.value.metal === 'brass'
    ? 'text-fails'
    : verdict.value.metal === 'copper'
      ? 'text-holds'
      : 'text-ink2',
);
</script>

<template>
  <div class="mb-3">
    <button
      type="button"
      class="compact text-teal underline"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      {{ say`Is it copper?` }}
    </button>
    <div v-if="isOpen" class="mt-1">
      <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-4">
        <QuantityField
          :label="say`Weighed in the air`"
          kind="mass"
          :model-value="test.weighedG ?? null"
          :least="0.1"
          :most="5000"
          :decimals="2"
          optional
          @update:model-value="keep({ weighedG: $event })"
          @clear="keep({ weighedG: undefined })"
        />
        <QuantityField
          :label="say`Weighed hanging in water`"
          kind="mass"
          :model-value="test.inWaterG ?? null"
          :least="0.1"
          :most="5000"
          :decimals="2"
          optional
          @update:model-value="keep({ inWaterG: $event })"
          @clear="keep({ inWaterG: undefined })"
        />
        <QuantityField
          :label="say`Resolution of the scale`"
          kind="mass"
          :model-value="test.scaleG ?? USUAL_SCALE_G"
          :least="0.001"
          :most="5"
          :decimals="3"
          @update:model-value="keep({ scaleG: $event })"
        />
        <SegmentedField
          :label="say`A corner rubbed bare`"
          :model-value="test.corner ?? 'no'"
          :choices="[
            { value: 'no', title: say`not yet` },
            { value: 'red', title: say`red` },
            { value: 'yellow', title: say`yellow` },
          ]"
          @update:model-value="keep({ corner: $event === 'red' || $event === 'yellow' ? $event : undefined })"
        />
      </div>
      <CheckField
        class="mt-1"
        :label="say`one of these cracked in the die`"
        :model-value="test.cracked ?? false"
        @update:model-value="keep({ cracked: $event || undefined })"
      />
      <p class="mt-2" role="status">
        <b :class="colour">{{ tell(verdict.says) }}</b> {{ tell(verdict.next) }}
        <button type="button" class="compact text-teal underline" @click="isWorkOpen = !isWorkOpen">
          {{ say`Show the calculation` }}
        </button>
      </p>
      <WorkLines v-if="isWorkOpen" :work="verdict.workings" class="mt-1 bg-chalk p-2" />
    </div>
  </div>
</template>
