<script setup lang="ts">
import { type Message, tell } from '../../core/words/message.ts';
import { computed, ref, watch } from 'vue';
import type { DrawnSection } from '../../core/section/draw.ts';
import { type Look, LOOKS, truthOf } from '../../core/section/judgeByEye.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';

/** A drawn section is judged by eye first; then what was drawn is told, and it is measured. */
const { spec, voidShare } = defineProps<{ spec: DrawnSection; voidShare: number }>();
const emit = defineEmits<{ judged: [] }>();

const said = ref<Look | null>(null);
const score = ref({ right: 0, asked: 0 });
const truth = computed(() => truthOf(spec, voidShare));
watch(
  () => spec,
  () => (said.value = null),
);
function judge(look: Look): void {
  said.value = look;
  score.value = {
    right: score.value.right + (look === truth.value.look ? 1 : 0),
    asked: score.value.asked + 1,
  };
  emit('judged');
}
const looks = Object.entries(LOOKS) as [Look, Message][];
</script>

<template>
  <div class="border-b border-line px-4 py-3">
    <template v-if="said === null">
      <p class="figure mb-2 text-[22px] leading-6 font-semibold">{{ say`What do you see?` }}</p>
      <div class="grid grid-cols-3 gap-2">
        <button v-for="[look, words] in looks" :key="look" type="button" class="button" @click="judge(look)">
          {{ tell(words) }}
        </button>
      </div>
    </template>
    <template v-else>
      <p class="figure text-[22px] leading-6 font-semibold" role="status">
        {{ said === truth.look ? say`Right` : say`Not right` }}: {{ tell(LOOKS[truth.look as Look]) }}
      </p>
      <p class="mt-1">
        {{
          say`Drawn with ${digits(100 * voidShare, 1)} % air, κ ${digits(truth.kappa, 2)}. You said ${LOOKS[said]}.`
        }}
      </p>
    </template>
    <p v-if="score.asked > 0" class="note mt-1">{{ say`${score.right} of ${score.asked} right so far` }}</p>
  </div>
</template>
