<script setup lang="ts">
import { capitalised, tell, bare, amount } from '../../core/words/message.ts';
import { trialsSay } from '../../core/words/counts.ts';
import { word } from '../../core/words/terms.ts';
import { familySays } from '../../core/model/catalogue/lugs.ts';
import { computed } from 'vue';
import { sizeNamed } from '../../core/model/tables/size.ts';
import { dieOffer, dieRank, isUsable } from '../../core/termination/dies/dieOffers.ts';
import { dieAnswer } from '../../core/termination/dies/dieSays.ts';
import type { MapRow } from '../../core/termination/dies/dieMap.ts';
import { dieCalled } from '../../core/termination/lugOffers.ts';
import { forecastOf } from '../../core/termination/dies/sectionView.ts';
import type { CaseDie, ToolCase } from '../../core/termination/dies/toolCase.ts';
import { figure } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import SectionPair from '../bench/ends/SectionPair.vue';
import { useBench } from '../stores/bench.ts';
import FormulaText from '../ui/FormulaText.vue';
import type { Chosen } from './chosen.ts';
import TrialsPanel from './TrialsPanel.vue';
import { bandSays, packingSays } from '../../core/termination/dies/packingSays.ts';
import { say } from '../../core/words/say.ts';

/** One die on one lug, drawn and worked: what the figures say, what the stamp says, and what trials taught. */
const { row, columns, chosen, toolCase } = defineProps<{
  row: MapRow | undefined;
  columns: readonly CaseDie[];
  chosen: Chosen | null;
  toolCase: ToolCase;
}>();
const emit = defineEmits<{ choose: [chosen: Chosen] }>();

const bench = useBench();
const column = computed(() => columns.find(({ die }) => die.id === chosen?.dieId));
const offer = computed(() =>
  row && column.value ? dieOffer(row.lug, row.copperMm2, column.value, toolCase.lugs) : null,
);
const crimp = computed(() => forecastOf(offer.value));
/** What the same die was called before its trials; null where they changed nothing. */
const before = computed(() => {
  const { value: chosenDie } = column;
  if (!row || !chosenDie || chosenDie.learned.trials === 0 || chosenDie.kind.leaves === 'indent') return null;
  const fresh: CaseDie = {
    ...chosenDie,
    trials: [],
    learned: {
      ...chosenDie.learned,
      trials: 0,
      flatsMm: chosenDie.die.acrossFlatsMm,
      flatsToleranceMm: 0.1,
      packing: 1,
    },
  };
  return dieOffer(row.lug, row.copperMm2, fresh, toolCase.lugs);
});
const ranked = computed(() => {
  if (!row) return [];
  return columns
    .map((own) => dieOffer(row.lug, row.copperMm2, own, toolCase.lugs))
    .filter(isUsable)
    .sort((a, b) => dieRank(a, bench.shop.practice.crimps) - dieRank(b, bench.shop.practice.crimps))
    .slice(0, 4);
});
const EARS = { none: say`no ears`, slight: say`slight ears`, expect: say`expect ears` } as const;
</script>

<template>
  <section :aria-label="say`This die on this lug`" class="bg-paper p-3.5">
    <template v-if="row">
      <h2 class="figure text-[20px] leading-6 font-semibold">
        {{ column ? say`${capitalised(dieCalled(column.die))} on ` : ''
        }}{{ row.lug.label.replace(/^(\S+?)-\S+ /, '$1 ') }}
      </h2>
      <p class="note">
        {{
          say`${tell(sizeNamed(row.lug.forSize))}, ${bare(row.lug.outerMm, 'mm', 1)} over ${bare(row.lug.boreMm, 'mm', 1)}, barrel ${amount(row.lug.barrelMm, 'mm', 0)} deep; ${familySays(row.lug.family)}`
        }}
      </p>
      <template v-if="offer">
        <svg
          viewBox="0 0 326 122"
          class="block w-full"
          role="img"
          :aria-label="say`Before and after the crimp`"
        >
          <SectionPair
            :outer-mm="row.lug.outerMm"
            :bore-mm="row.lug.boreMm"
            :offer="offer"
            :scale="Math.min(6.15, 112 / Math.max(row.lug.outerMm, offer.parts.acrossFlatsMm * 1.16))"
            :middle="61"
            :before-x="82"
            :after-x="238"
          />
        </svg>
        <p class="text-[16px] font-bold">{{ tell(dieAnswer(offer)) }}</p>
        <p class="figure text-[18px]">
          {{ word(offer.verdict) }}{{ offer.sure || offer.verdict === 'untried' ? '' : say`, unsure` }}
          <span v-if="offer.standard" class="text-[15px] font-normal text-ink2">{{
            say`the standard pair`
          }}</span>
        </p>
        <p v-if="crimp" class="mb-1">
          {{
            say`Air ${figure(crimp.voidShare * 100, '%', 1)}, barrel ${figure(crimp.stretch * 100, '%', 0)} longer, ${EARS[crimp.ears]}. ${say`${offer.crimpsFit} crimp fits¦${offer.crimpsFit} crimps fit`}.`
          }}
        </p>
        <p v-else class="mb-1">{{ say`An indent is judged by trial only: pull it or saw it.` }}</p>
        <template v-if="crimp">
          <p><FormulaText line="c = (A_wall + A) ÷ A_die" /></p>
          <p>
            <FormulaText
              :line="say`= ${digits(offer.c, 3)}, band ${bandSays(offer.loosest.c, offer.tightest.c)}`"
            />
          </p>
          <p><FormulaText line="κ = A ÷ (A_die − A_wall)" /></p>
          <p>
            <FormulaText
              :line="
                say`= ${packingSays(offer.kappa, 3)}, band ${bandSays(offer.loosest.kappa, offer.tightest.kappa)}`
              "
            />
          </p>
          <p class="note mt-1">
            {{
              say`Right from κ 0.90 to c 1.16; ±${amount(offer.learned.flatsToleranceMm, 'mm', 2)} on the flats, ±${bare(0.1, 'mm', 1)} on the lug, copper −10/+2 %.`
            }}
          </p>
        </template>
        <p v-if="before && offer" class="mt-1 border-l-[3px] border-teal pl-2" data-testid="corrected">
          {{
            say`Before its ${trialsSay(offer.learned.trials)}: c ${digits(before.c, 3)}, ${word(before.verdict)}${before.sure ? '' : say`, unsure`}. Now c ${digits(offer.c, 3)}, ${word(offer.verdict)}${offer.sure ? '' : say`, unsure`}: flats ${digits(offer.learned.flatsMm, 2)} for ${digits(offer.die.acrossFlatsMm, 2)}`
          }}<template v-if="offer.learned.sections > 0">{{
            say`, packing × ${digits(offer.learned.packing, 3)}`
          }}</template
          >.
          <template v-if="offer.own">{{ tell(offer.own.because) }}</template>
        </p>
      </template>
      <p v-for="(words, i) in row.misleads" :key="i" class="mt-1 font-bold text-close">{{ tell(words) }}</p>
      <h3 class="figure mt-3 text-[16px] font-semibold">{{ say`Dies that would do, best first` }}</h3>
      <ol>
        <li v-for="own in ranked" :key="own.die.id">
          <button
            type="button"
            class="flex compact w-full items-center gap-2 border-b border-hairline text-left hover:bg-teal-tint"
            @click="emit('choose', { rowKey: row.key, dieId: own.die.id })"
          >
            <span class="flex-1">{{ tell(dieCalled(own.die)) }}, {{ own.tool.title.split(',')[0] }}</span>
            <span class="figure text-[15px]">{{
              own.leaves === 'indent' ? say`indent` : digits(own.c, 2)
            }}</span>
            <span class="w-24 text-right text-[12.5px]"
              >{{ word(own.verdict) }}{{ own.sure ? '' : say`, unsure` }}</span
            >
          </button>
        </li>
      </ol>
      <p v-if="ranked.length === 0" class="font-bold text-fails">
        {{ say`No die owned closes right on it. Buy the die its maker names, or take another lug.` }}
      </p>
      <TrialsPanel
        v-if="column"
        :key="`${row.key}${column.die.id}`"
        :row="row"
        :column="column"
        :tool-case="toolCase"
        class="mt-4"
      />
    </template>
    <template v-else>
      <h2 class="figure text-[20px] font-semibold">{{ say`Press a lug or a cell` }}</h2>
      <p>
        {{
          say`The die to use is outlined on every row. Press it to see the crimp before it is made, and to record a trial.`
        }}
      </p>
    </template>
  </section>
</template>
