<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import { Check, X } from '@lucide/vue';
import { computed, ref } from 'vue';
import { STUD_NAMES, type StudName } from '../../core/model/tables/studs.ts';
import { areaMm2 } from '../../core/model/tables/size.ts';
import { lugOfTube, tubeLug } from '../../core/termination/lugs/tubeLug.ts';
import { useBench } from '../stores/bench.ts';
import { nanoid } from 'nanoid';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import AddButton from '../ui/AddButton.vue';
import ChoiceField from '../ui/ChoiceField.vue';
import FormulaText from '../ui/FormulaText.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { say } from '../../core/words/say.ts';

/** A lug flattened from copper tube, where nothing can be bought: whether it can do it, and what it is not. */
const bench = useBench();
const outer = ref(15);
const wall = ref(2);
const size = ref('70 mm²');
const stud = ref<StudName>('M8');
const studs = STUD_NAMES.map((name) => ({ value: name, title: name }));

const readSize = (text: string) => {
  const entry = parseSize(text, 'metric');
  return entry.ok ? '' : entry.sentence;
};
const copperMm2 = computed(() => {
  const entry = parseSize(size.value, 'metric');
  return entry.ok ? areaMm2(entry.size) : 0;
});
const lug = computed(() =>
  outer.value > 2 * wall.value ? tubeLug(outer.value, wall.value, copperMm2.value, stud.value) : null,
);
/** What was kept last, by its name. */
const kept = ref('');
function keep(): void {
  const entry = parseSize(size.value, 'metric');
  if (!entry.ok) return;
  const made = lugOfTube(nanoid(8), { outerMm: outer.value, wallMm: wall.value }, entry.size, stud.value);
  if (!bench.shop.lugs.some(({ label }) => label === made.label))
    bench.edit(say`a made lug`, (draft) => void draft.shop.lugs.unshift(made));
  kept.value = made.label;
}
const SCALE = 5;
const CENTRE = 70;
/** The palm from above: flattened end, hole, and the tube behind it. */
const palm = computed(() => {
  const { value: drawn } = lug;
  if (!drawn) return null;
  const half = (drawn.palmWidthMm / 2) * SCALE;
  const length = 2 * drawn.holeMm * SCALE;
  return { half, length, tube: (outer.value / 2) * SCALE, hole: (drawn.holeMm / 2) * SCALE };
});
</script>

<template>
  <div class="grid max-w-4xl gap-6 lg:grid-cols-[300px_1fr]">
    <div class="grid content-start gap-2">
      <TextField
        :label="say`Conductor`"
        :model-value="size"
        :check="readSize"
        :hint="say`70 mm², 2/0`"
        @update:model-value="size = $event"
      />
      <QuantityField
        :label="say`Outside of the tube`"
        kind="length"
        :model-value="outer"
        :least="4"
        :most="60"
        @update:model-value="outer = $event"
      />
      <QuantityField
        :label="say`Wall of the tube`"
        kind="length"
        :model-value="wall"
        :least="0.5"
        :most="8"
        @update:model-value="wall = $event"
      />
      <ChoiceField v-model="stud" :label="say`Stud`" :choices="studs" />
      <p v-if="!lug" class="font-bold text-fails" role="alert">
        {{ say`A wall of ${wall} leaves no bore in ${outer}.` }}
      </p>
    </div>
    <div v-if="lug && palm">
      <p
        class="figure text-[24px] font-semibold"
        :class="lug.problems.length > 0 ? 'text-fails' : 'text-holds'"
        role="status"
      >
        {{ lug.problems.length > 0 ? say`This tube will not do` : say`This tube can do it, in the field` }}
      </p>
      <ul class="my-2">
        <li
          v-for="(problem, i) in lug.problems"
          :key="i"
          class="flex items-center gap-2 font-bold text-fails"
        >
          <X :size="16" aria-hidden="true" /> {{ tell(problem) }}
        </li>
        <li v-if="lug.problems.length === 0" class="flex items-center gap-2">
          <Check :size="16" class="text-holds" aria-hidden="true" />
          {{ say`Bore, copper, palm and web are enough.` }}
        </li>
      </ul>
      <svg
        viewBox="0 0 420 150"
        class="block w-full max-w-xl"
        role="img"
        :aria-label="say`The tube flattened, drilled and cut`"
      >
        <path
          :d="`M20 ${CENTRE - palm.half}H${20 + palm.length}L${20 + palm.length + 46} ${CENTRE - palm.tube}H400V${CENTRE + palm.tube}H${20 + palm.length + 46}L${20 + palm.length} ${CENTRE + palm.half}H20Z`"
          fill="var(--copper)"
          stroke="var(--copper-line)"
          stroke-width="1.3"
          stroke-linejoin="round"
        />
        <circle
          :cx="20 + palm.length / 2"
          :cy="CENTRE"
          :r="palm.hole"
          fill="var(--paper)"
          stroke="var(--copper-line)"
        />
        <g class="figure" fill="var(--ink2)" font-size="15">
          <text :x="20 + palm.length / 2" y="146" text-anchor="middle">
            {{
              say`palm ${digits(lug.palmWidthMm, 1)} × ${digits(lug.palmThicknessMm, 1)}, hole ${digits(lug.holeMm, 1)}`
            }}
          </text>
          <text x="300" y="146" text-anchor="middle">{{ say`cut ${digits(lug.cutMm, 0)} of tube` }}</text>
        </g>
      </svg>
      <div class="mt-3">
        <p>
          <FormulaText :line="say`fill = A ÷ A_bore = ${digits(lug.fill, 2)}, ${word(lug.fillVerdict)}`" />
        </p>
        <p>
          <FormulaText
            :line="say`tube = ${figure(lug.tubeMm2, 'mm²', 1)} for ${figure(copperMm2, 'mm²', 1)} of cable`"
          />
        </p>
        <p>
          <FormulaText
            :line="
              say`palm = π · bore ÷ 2 + 2t = ${figure(lug.palmWidthMm, 'mm', 1)}, 2t = ${figure(lug.palmThicknessMm, 'mm', 1)} thick`
            "
          />
        </p>
        <p>
          <FormulaText
            :line="
              say`web = (palm − hole) ÷ 2 = ${figure(lug.webMm, 'mm', 1)}, at least ${digits(lug.holeMm / 2, 1)}`
            "
          />
        </p>
        <p class="note mt-1">
          {{ say`Source: craft practice, a field expedient of thick-walled annealed tube.` }}
        </p>
      </div>
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <AddButton
          v-if="lug.problems.length === 0"
          list="lugs"
          :count="bench.shop.lugs.length"
          filled
          @add="keep"
        >
          {{ say`Save as a shop lug` }}
        </AddButton>
        <p v-if="kept" role="status">
          {{
            say`${kept} is now among the lugs. Chosen for an end, it is made at the bench before the end is stripped.`
          }}
        </p>
      </div>
      <h3 class="figure mt-3 text-[16px] font-semibold">{{ say`What a home-made lug is not` }}</h3>
      <p class="max-w-prose">
        {{
          say`Not a tested lug: no maker stands for it, no standard covers it, and no survey will accept it. Anneal it, file the edges round, crimp or fill it with solder, tin it afterwards, pull it, and replace it with a bought lug as soon as one is to be had. Hot work: no fuel vapour, no charging battery near the flame.`
        }}
      </p>
    </div>
  </div>
</template>
