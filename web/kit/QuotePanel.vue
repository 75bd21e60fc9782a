<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Kit } from '../../core/cutting/kit.ts';
import { scrapPrice, UNTYPED } from '../../core/cutting/makeOrBuy.ts';
import { NO_TERMS, quoteOf, type QuoteTerms, spoiltOf } from '../../core/cutting/quote.ts';
import type { Job } from '../../core/model/job.ts';
import { dayAfter } from '../../core/model/units/days.ts';
import { quotationDoc } from '../../core/paper/quotation.ts';
import { benchTimes, minutesOfAll } from '../../core/traveller/benchTime.ts';
import { digits } from '../../core/words/numerals.ts';
import StageSection from '../bench/StageSection.vue';
import { saveListPdf } from '../paper/saveListPdf.ts';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import { today } from '../ui/today.ts';
import WorkLines from '../ui/WorkLines.vue';
import type { Made } from './made.ts';
import type { GroupPlan } from './useCutPlan.ts';
import { say } from '../../core/words/say.ts';

/** What a customer is asked for the job, on one sheet; and what went wrong so far, in money. */
const { job, made, kit, plans } = defineProps<{
  job: Job;
  made: readonly Made[];
  kit: Kit;
  plans: readonly GroupPlan[];
}>();

const bench = useBench();
const { prefs } = usePrefs();
const terms = computed(() => job.quote ?? NO_TERMS);
function set(change: Partial<QuoteTerms>): void {
  bench.edit(say`quotation`, (draft) => {
    const own = draft.jobs.find(({ id }) => id === job.id);
    if (own) own.quote = { ...NO_TERMS, ...own.quote, ...change };
  });
}
/** By the bench's own clock, over every job of the shop; else as the shop calculates. */
const reckoned = computed(() => job.makeOrBuy ?? UNTYPED);
const times = computed(() => benchTimes(bench.jobs));
const time = computed(() =>
  minutesOfAll(
    made.map(({ work }) => work),
    times.value,
    reckoned.value.minutesACable,
  ),
);
const quote = computed(() =>
  quoteOf(
    {
      kit,
      scrap: scrapPrice(plans, bench.shop.practice.cutting),
      minutes: time.value.minutes,
      ratePerHour: reckoned.value.ratePerHour,
    },
    terms.value,
  ),
);
const money = (value: number) => `${bench.shop.currency}${digits(value, 2)}`;
const timeSays = computed(() => {
  const steps = time.value.count;
  return steps === null
    ? say`${digits(quote.value.hours, 1)} h at ${digits(reckoned.value.minutesACable, 0)} min a cable, until the bench’s clock has timed enough steps.`
    : say`${digits(quote.value.hours, 1)} h by the bench’s clock, from ${say`${steps} step¦${steps} steps`}.`;
});
const spoilt = computed(() => spoiltOf(made, bench.shop));
const termsSay = computed(() =>
  [
    terms.value.customer.split('\n', 1)[0] || say`no customer named`,
    say`margin ${digits(terms.value.marginPercent, 1)} %`,
    say`tax ${digits(terms.value.taxPercent, 1)} %`,
    say`${terms.value.validDays} days`,
  ].join(', '),
);
const isOpen = ref(false);
const problem = ref('');
async function savePdf(): Promise<void> {
  problem.value = '';
  const day = today();
  const doc = quotationDoc({
    job,
    shop: bench.shop,
    cables: made,
    kit,
    quote: quote.value,
    terms: terms.value,
    day,
    until: dayAfter(day, terms.value.validDays),
  });
  await saveListPdf('quotation', doc, prefs.paper).catch(() => {
    problem.value = say`This file could not be made. Try it again.`;
  });
}
</script>

<template>
  <section :aria-label="say`Quotation`" class="border-t border-line px-3.5 py-2.5">
    <header class="flex items-center gap-3">
      <h2 class="figure text-[16px] font-semibold">{{ say`Quotation` }}</h2>
      <button
        type="button"
        class="figure ml-auto text-[20px] font-semibold text-teal underline"
        :aria-expanded="isOpen"
        :title="say`How it is made up`"
        @click="isOpen = !isOpen"
      >
        {{ money(quote.total) }}
      </button>
    </header>
    <p class="note">
      {{
        say`${money(quote.materials)} of materials, ${money(quote.work)} of work, ${money(quote.tax)} of tax. ${timeSays}`
      }}
    </p>
    <p v-if="quote.unpriced > 0" class="note font-bold">
      {{
        say`${quote.unpriced} thing of the kit has no price and is not in it.¦${quote.unpriced} things of the kit have no price and are not in it.`
      }}
    </p>
    <template v-if="isOpen">
      <WorkLines :work="quote.workings" class="mt-1 bg-paper py-2" />
      <WorkLines :work="time.workings" class="bg-paper py-2" />
    </template>
    <p v-if="spoilt.mishaps > 0" class="mt-1">
      {{
        say`Went wrong so far: ${spoilt.mishaps}, and ${money(spoilt.price)} of material with it.${spoilt.unpriced > 0 ? say` ${spoilt.unpriced} of what was spoilt has no price.` : ''}`
      }}
    </p>
    <WorkLines v-if="isOpen && spoilt.mishaps > 0" :work="spoilt.workings" class="bg-paper py-2" />
    <StageSection part="quote" class="mt-2" :title="say`Customer, margin and tax`" :says="termsSay">
      <TextField
        :label="say`Customer`"
        :model-value="terms.customer"
        :longest="300"
        @update:model-value="set({ customer: $event })"
      />
      <div class="grid grid-cols-3 gap-x-2">
        <QuantityField
          :label="say`Margin`"
          kind="percent"
          :model-value="terms.marginPercent"
          :least="0"
          :most="300"
          @update:model-value="set({ marginPercent: $event })"
        />
        <QuantityField
          :label="say`Tax`"
          kind="percent"
          :model-value="terms.taxPercent"
          :least="0"
          :most="100"
          @update:model-value="set({ taxPercent: $event })"
        />
        <QuantityField
          :label="say`Valid for, days`"
          kind="number"
          :model-value="terms.validDays"
          :least="1"
          :most="365"
          :decimals="0"
          @update:model-value="set({ validDays: Math.round($event) })"
        />
      </div>
    </StageSection>
    <button type="button" class="button mt-2" @click="savePdf">{{ say`Quotation as PDF` }}</button>
    <p v-if="problem" class="mt-1 font-bold text-fails" role="alert">{{ problem }}</p>
  </section>
</template>
