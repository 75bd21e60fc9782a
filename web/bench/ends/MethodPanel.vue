<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { dayAfter } from '../../../core/model/units/days.ts';
import { word } from '../../../core/words/terms.ts';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { End, EndName } from '../../../core/model/end.ts';
import { methodSchools } from '../../../core/practice/methodSchools.ts';
import { digits } from '../../../core/words/numerals.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import CheckField from '../../ui/CheckField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import StateMark from '../../ui/StateMark.vue';
import TextField from '../../ui/TextField.vue';
import { today } from '../../ui/today.ts';
import { useEndEdit } from './useEndEdit.ts';
import { say } from '../../../core/words/say.ts';

/** How strands are held: every school with what it means for this very end; strands cut; and what is temporary. */
const { name, cable, work, jobId } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  jobId: string;
}>();

const bench = useBench();
const set = useEndEdit(() => ({ jobId, cable, name }));
const end = computed(() => cable.ends[name]);
const resolved = computed(() => work.ends[name]);
const schools = computed(() => methodSchools(name, cable, work, bench.shop));
/** A casting or a screw clamp leaves no choice. */
const isForced = computed(() => resolved.value.lug !== null && resolved.value.lug.form !== 'tube');

const STILL = { distanceMm: 0, flexes: false, vibrates: false };
function setSupport(change: Partial<NonNullable<End['support']>>): void {
  set(say`first support`, { support: { ...STILL, ...end.value.support, ...change } });
}
function setStrands(change: Partial<NonNullable<End['strands']>>): void {
  const next = { cut: 0, ...end.value.strands, ...change };
  const isNothing = next.cut === 0 && next.counted === undefined && !next.tinnedFirst;
  set(say`strands`, { strands: isNothing ? undefined : next });
}
function uncount(): void {
  const { counted: _, ...rest } = { cut: 0, ...end.value.strands };
  set(say`strands`, { strands: rest });
}
const isDay = (text: string) =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))
    ? ''
    : say`Write the day as year-month-day, such as 2026-12-01.`;
/** A screw clamp is for a fortnight, unless another day is given. Craft practice. */
const TEMPORARY_DAYS = 14;
function setTemporary(on: boolean): void {
  const day = dayAfter(today(), TEMPORARY_DAYS);
  set(say`temporary`, { temporary: on ? { fitted: today(), replaceBy: day } : undefined });
}
const laterThanFitted = (text: string) =>
  isDay(text) || (text >= (end.value.temporary?.fitted ?? '') ? '' : say`That day is before it was fitted.`);
</script>

<template>
  <div>
    <p v-if="isForced" class="mb-2">
      {{
        resolved.method === 'screwed'
          ? say`A screw clamp is screwed down, to get home: set a date to replace it.`
          : say`A casting cracks in a die: it is soldered.`
      }}
    </p>
    <div v-else role="radiogroup" :aria-label="say`Method of end ${name}`" class="grid gap-1.5">
      <button
        v-for="school in schools"
        :key="school.method"
        type="button"
        role="radio"
        :aria-checked="resolved.method === school.method"
        class="rounded-box border px-2.5 py-1.5 text-left"
        :class="
          resolved.method === school.method
            ? 'border-2 border-teal bg-teal-tint'
            : 'border-hairline bg-paper hover:bg-teal-tint'
        "
        @click="set(say`method`, { method: school.method })"
      >
        <span class="flex items-center justify-between gap-2">
          <span class="figure text-[17px] font-semibold">{{ word(school.method) }}</span>
          <StateMark :state="school.state" />
        </span>
        <span
          v-for="(words, i) in school.consequences"
          :key="i"
          class="block text-[12.5px] leading-4 text-ink2"
          >{{ tell(words) }}</span
        >
      </button>
    </div>
    <div class="tall-labels mt-3 grid grid-cols-2 gap-x-2 gap-y-1">
      <QuantityField
        :label="say`First support from lug ${name}`"
        kind="length"
        :model-value="end.support?.distanceMm ?? null"
        :least="0"
        :most="5000"
        :decimals="0"
        optional
        @update:model-value="setSupport({ distanceMm: $event })"
        @clear="set(say`first support`, { support: undefined })"
      />
      <div class="flex flex-col justify-center gap-3">
        <CheckField
          :label="say`moves there, ${name}`"
          :model-value="end.support?.flexes ?? false"
          @update:model-value="setSupport({ flexes: $event })"
        />
        <CheckField
          :label="say`vibration there, ${name}`"
          :model-value="end.support?.vibrates ?? false"
          @update:model-value="setSupport({ vibrates: $event })"
        />
      </div>
      <QuantityField
        :label="say`Strands cut at ${name}`"
        kind="number"
        :model-value="end.strands?.cut ?? 0"
        :least="0"
        :most="resolved.strands.count"
        :decimals="0"
        :hint="say`of ${digits(resolved.strands.count, 0)}; ${resolved.strands.allowed} allowed`"
        @update:model-value="setStrands({ cut: Math.round($event) })"
      />
      <QuantityField
        :label="say`Strands counted at ${name}`"
        kind="number"
        :model-value="end.strands?.counted ?? null"
        :least="Math.max(7, end.strands?.cut ?? 0)"
        :most="20000"
        :decimals="0"
        optional
        :hint="say`calculated if not counted`"
        @update:model-value="setStrands({ counted: Math.round($event) })"
        @clear="uncount"
      />
      <QuantityField
        :label="say`Other copper in barrel ${name}, mm²`"
        kind="number"
        :model-value="end.alsoMm2 ?? null"
        :least="0"
        :most="1000"
        optional
        :hint="say`a second cable in one lug`"
        @update:model-value="set(say`other copper`, { alsoMm2: $event })"
        @clear="set(say`other copper`, { alsoMm2: undefined })"
      />
      <CheckField
        class="self-center"
        :label="say`strands of ${name} were tinned first`"
        :model-value="end.strands?.tinnedFirst ?? false"
        @update:model-value="setStrands({ tinnedFirst: $event })"
      />
    </div>
    <div class="mt-3 border-t border-hairline pt-3">
      <CheckField
        :label="say`end ${name} is a get-you-home repair`"
        :model-value="end.temporary !== undefined"
        @update:model-value="setTemporary"
      />
      <div v-if="end.temporary" class="mt-2 grid grid-cols-2 gap-2">
        <TextField
          :label="say`Fitted, ${name}`"
          :model-value="end.temporary.fitted"
          :check="isDay"
          @update:model-value="
            (fitted) => end.temporary && set(say`temporary`, { temporary: { ...end.temporary, fitted } })
          "
        />
        <TextField
          :label="say`Replace by, ${name}`"
          :model-value="end.temporary.replaceBy"
          :check="laterThanFitted"
          @update:model-value="
            (replaceBy) =>
              end.temporary && set(say`temporary`, { temporary: { ...end.temporary, replaceBy } })
          "
        />
      </div>
    </div>
  </div>
</template>
