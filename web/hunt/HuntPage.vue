<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { contradictionSays, probeSays, verdictSays } from '../../core/hunt/says.ts';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import type { Hunt, Piece } from '../../core/model/hunt.ts';
import { withMended } from '../../core/hunt/changes.ts';
import { usePrefs } from '../stores/prefs.ts';
import BenchFrame from '../bench/BenchFrame.vue';
import LedgerRow from '../bench/LedgerRow.vue';
import { useBench } from '../stores/bench.ts';
import ChainDrawing from './ChainDrawing.vue';
import ChainEditor from './ChainEditor.vue';
import HuntHead from './HuntHead.vue';
import HuntList from './HuntList.vue';
import ProbePanel from './ProbePanel.vue';
import SuspectTable from './SuspectTable.vue';
import { huntPlace, useHunt } from './useHunt.ts';
import { say } from '../../core/words/say.ts';
import { dayText } from '../../core/words/measures.ts';

/** A fault hunt: where the volts go in an existing installation, and where to probe next. With a job or without. */
const { jobId, huntId } = defineProps<{ jobId?: string; huntId?: string }>();

const bench = useBench();
const { prefs } = usePrefs();
const router = useRouter();
const hunts = computed(() => bench.hunts.filter((hunt) => jobId === undefined || hunt.jobId === jobId));
const hunt = computed(() => (huntId ? bench.huntById(huntId) : undefined));
const { found, ladder, findings, guilty, remake } = useHunt(() => hunt.value);
const told = computed(() => (found.value ? verdictSays(found.value.verdict) : { says: '', more: '' }));
const isEditing = ref(false);
const opened = ref<string | null>(null);
/** The only hunt of a job is opened at once when somebody comes; who goes back to the list finds the list. */
let hasCome = false;
watch(
  [() => huntId, hunts],
  () => {
    const [only] = hunts.value;
    if (hasCome || (!huntId && !only)) return;
    hasCome = true;
    if (!huntId && only && hunts.value.length === 1 && jobId) void router.replace(huntPlace(only.id, jobId));
  },
  { immediate: true },
);

/** What to do about it comes into sight once it is found. */
const side = useTemplateRef<HTMLElement>('side');
watch(
  guilty,
  (at, before) => {
    if (at && !before) side.value?.scrollTo({ top: 0 });
  },
  { flush: 'post' },
);

const keep = (next: Hunt, what: string) => bench.keepHunt(next, what);
/** What was read over a mended piece, and at posts and load, no longer holds: it is asked again. */
function mend(piece: Piece): void {
  if (hunt.value)
    keep(withMended(hunt.value, piece.id, prefs.person, new Date().toISOString()), say`part repaired`);
}
const titleOf = (id: string) => hunt.value?.pieces.find((piece) => piece.id === id)?.title ?? say`a part`;
const mendedWords = computed(() => {
  const names = (hunt.value?.mended ?? []).map(({ piece, at, by }) =>
    [titleOf(piece), dayText(at), by].filter(Boolean).join(', '),
  );
  return say`Repaired: ${names.join('; ')}. Measure the volts at posts and load again, then across it. Earlier readings are kept.`;
});
/** The sentence stands where the ladder is not: low on the left while it falls late, high on the right once it fell early. */
const isLow = computed(() => {
  const rungs = ladder.value?.rungs ?? [];
  const [first, last] = [rungs[0], rungs.at(-1)];
  const middle = rungs[Math.floor(rungs.length * 0.5)];
  if (!first || !last || !middle) return true;
  return first.from - middle.from < 0.6 * (first.from - last.to);
});
/** Without a ladder there is no room beside it: the sentence stands under the drawing. */
const place = computed(() => {
  if (!ladder.value) return '';
  return isLow.value
    ? 'lg:absolute lg:bottom-1 lg:left-[52px]'
    : 'lg:absolute lg:right-3 lg:bottom-[138px] lg:text-right';
});
const remakeWords = computed(() => {
  const at = guilty.value;
  if (!at) return '';
  const end = at.top.piece.ofEnd ? say`, end ${at.top.piece.ofEnd}` : '';
  return say`Remake ${at.piece.title}${end}`;
});
</script>

<template>
  <BenchFrame :job-id="jobId">
    <main v-if="hunt && found" class="min-w-0 lg:flex lg:min-h-0 lg:flex-col">
      <HuntHead
        :hunt="hunt"
        @change="keep"
        @edit="isEditing = !isEditing"
        @list="router.push(huntPlace('', jobId))"
      />
      <ChainEditor
        v-if="isEditing"
        class="bg-paper lg:min-h-0 lg:flex-1 lg:overflow-y-auto"
        :hunt="hunt"
        @change="keep"
        @done="isEditing = false"
      />
      <template v-else>
        <div class="relative shrink-0 border-b border-line">
          <ChainDrawing :hunt="hunt" :found="found" :ladder="ladder" @change="keep" />
          <div class="max-w-[560px] bg-paper/90 px-3.5 py-1" :class="place" role="status">
            <p class="figure text-[23px] leading-7 font-semibold">{{ tell(told.says) }}</p>
            <p class="text-ink2">
              <b
                v-if="found.verdict.simulated"
                class="figure mr-1.5 rounded-box border-[1.5px] border-ink px-1 text-[13px] text-ink"
                >{{ say`SIMULATED, proves nothing` }}</b
              >{{ tell(told.more) }}
            </p>
            <p v-if="found.next" class="figure text-[16px] font-semibold text-teal">
              {{ tell(probeSays(found.next)) }}
            </p>
          </div>
        </div>
        <div class="lg:grid lg:min-h-0 lg:flex-1 lg:grid-cols-[minmax(0,1fr)_354px]">
          <div class="bg-paper lg:overflow-y-auto">
            <SuspectTable :hunt="hunt" :found="found" />
            <ul v-if="found.contradictions.length > 0" class="px-3.5 pb-3">
              <li
                v-for="(contradiction, i) in found.contradictions"
                :key="i"
                class="font-bold text-fails"
                role="alert"
              >
                {{ tell(contradictionSays(contradiction)) }}
              </li>
            </ul>
          </div>
          <div ref="side" class="border-line bg-paper max-lg:border-t lg:overflow-y-auto lg:border-l">
            <div v-if="found.named[0]" class="flex flex-wrap gap-2 border-b border-hairline px-3.5 py-2">
              <button v-if="guilty" type="button" class="button filled flex-1" @click="remake(guilty.piece)">
                {{ remakeWords }}
              </button>
              <button
                type="button"
                class="button"
                :class="guilty ? '' : 'flex-1'"
                @click="mend(found.named[0].piece)"
              >
                {{ say`It is repaired` }}
              </button>
            </div>
            <p v-if="hunt.mended" class="note border-b border-hairline px-3.5 py-2">
              {{ mendedWords }}
            </p>
            <ProbePanel :hunt="hunt" :found="found" @change="keep" />
            <section :aria-label="say`Do the readings add up?`" class="border-t border-line">
              <h2 class="figure px-3.5 pt-2 text-[17px] font-semibold">{{ say`Do the readings add up?` }}</h2>
              <ul>
                <LedgerRow
                  v-for="finding in findings"
                  :key="finding.id"
                  :findings="[finding]"
                  :opened="opened"
                  @open="opened = $event"
                />
              </ul>
            </section>
            <div class="flex flex-wrap gap-2 border-t border-hairline px-3.5 py-2">
              <RouterLink class="button flex-1" :to="{ name: 'print-hunt', params: { huntId: hunt.id } }">{{
                say`Print the hunt`
              }}</RouterLink>
              <button type="button" class="button" @click="router.push(huntPlace('', jobId))">
                {{ say`All fault hunts` }}
              </button>
            </div>
          </div>
        </div>
      </template>
    </main>
    <HuntList v-else :job-id="jobId" :hunts="hunts" />
  </BenchFrame>
</template>
