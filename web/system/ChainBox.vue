<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { tell } from '../../core/words/message.ts';
import type { Job } from '../../core/model/job.ts';
import { type Chain, parseChain } from '../../core/system/chain.ts';
import { postTitle, withPlaces } from '../../core/system/places.ts';
import { PLACE_POSTS, type PostName } from '../../core/model/tables/places.ts';
import { runText } from '../ui/display.ts';
import { say } from '../../core/words/say.ts';

/** A chain typed in one line, completed from what there is, shown before it is taken. */
const { job } = defineProps<{ job: Job }>();
const emit = defineEmits<{ take: [chain: Extract<Chain, { ok: true }>]; place: [] }>();

const typed = ref('');
const input = useTemplateRef<HTMLInputElement>('input');
const chosen = ref(-1);
const chain = computed(() => (typed.value.trim() === '' ? null : parseChain(typed.value, job)));
const isTried = ref(false);

/** The piece that is being typed, and what it may be. */
const piece = computed(() => /(?:^|[·→>;|])\s*([^·→>;|]*)$/u.exec(typed.value)?.[1] ?? '');
const known = computed(() =>
  (withPlaces(job).system?.places ?? []).flatMap((place) =>
    PLACE_POSTS[place.kind].flatMap((post: PostName) => (post === 'load' ? [] : [postTitle(place, post)])),
  ),
);
const offers = computed(() => {
  const own = piece.value.trim().toLowerCase();
  if (own === '' || typed.value.includes(',')) return [];
  return known.value
    .filter((title) => title.toLowerCase().includes(own) && title.toLowerCase() !== own)
    .slice(0, 6);
});

function complete(title: string): void {
  typed.value = `${typed.value.slice(0, typed.value.length - piece.value.length)}${title} · `.replace(
    /^\s+/,
    '',
  );
  chosen.value = -1;
  void nextTick(() => input.value?.focus());
}
function take(): void {
  const offer = offers.value[chosen.value];
  if (offer) return complete(offer);
  isTried.value = true;
  if (!chain.value?.ok) return;
  emit('take', chain.value);
  typed.value = '';
  isTried.value = false;
}
function move(by: number): void {
  if (offers.value.length === 0) return;
  chosen.value = (chosen.value + by + offers.value.length + 1) % (offers.value.length + 1);
  if (chosen.value === offers.value.length) chosen.value = -1;
}

/** Begins a cable from a post. */
function begin(title: string): void {
  const before = typed.value.trim();
  const isOpen = before !== '' && /[·→>;|]$/u.test(before);
  typed.value = isOpen ? `${before} ${title}` : `${title} · `;
  isTried.value = false;
  void nextTick(() => input.value?.focus());
}
defineExpose({ begin });
</script>

<template>
  <div class="relative">
    <div class="flex gap-2.5">
      <input
        ref="input"
        v-model="typed"
        class="field-input flex-1"
        :placeholder="say`Add a chain: Bus + · fuse 60 · Windlass 900 W · Bar −, 4.2 m`"
        :aria-label="say`Add a chain`"
        aria-describedby="chain-says"
        :aria-invalid="isTried && chain !== null && !chain.ok"
        autocomplete="off"
        spellcheck="false"
        @input="
          chosen = -1;
          isTried = false;
        "
        @keydown.enter.prevent="take"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.esc="
          typed = '';
          isTried = false;
        "
      />
      <button v-if="chain" type="button" class="button filled shrink-0" @click="take">
        {{ say`Add the chain` }}
      </button>
      <button v-else type="button" class="button shrink-0" @click="$emit('place')">
        {{ say`Add a place` }}
      </button>
    </div>
    <ul v-if="offers.length > 0" class="mt-1.5 flex flex-wrap gap-1.5" :aria-label="say`Places that fit`">
      <li v-for="(title, i) in offers" :key="title">
        <button
          type="button"
          class="figure rounded-box border px-2 py-0.5 text-[15px]"
          :class="i === chosen ? 'border-teal bg-teal-tint font-semibold' : 'border-hairline bg-paper'"
          @click="complete(title)"
        >
          {{ title }}
        </button>
      </li>
    </ul>
    <p
      v-if="chain && !chain.ok && (isTried || offers.length === 0)"
      id="chain-says"
      class="mt-1"
      :class="isTried ? 'font-bold text-fails' : 'text-ink2'"
      :role="isTried ? 'alert' : undefined"
    >
      <template v-if="isTried">“{{ chain.piece }}”: {{ tell(chain.because) }}</template>
      <template v-else>{{ tell(chain.because) }}</template>
    </p>
    <div v-else-if="chain?.ok" id="chain-says" class="mt-1.5 text-[13px]" role="status">
      <span v-for="(cable, i) in chain.cables" :key="cable.tag" class="mr-3 inline-block whitespace-nowrap">
        <b class="figure text-[15px]">{{ cable.tag }}</b>
        {{ cable.from.called }} → {{ cable.to.called }}, {{ runText(cable.lengthMm)
        }}<template v-if="chain.pieces[i + 1]?.isNew"> ({{ say`new` }})</template>
      </span>
    </div>
  </div>
</template>
