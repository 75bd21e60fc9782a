<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable, SignOff } from '../../../core/model/cable.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { mendedAt } from '../../../core/finding/mended.ts';
import { intervalWords, limitWords } from '../../../core/finding/says.ts';
import { mayNotSign, signedOff } from '../../../core/log/signOff.ts';
import { head, tell } from '../../../core/words/message.ts';
import { placeMended } from '../../places.ts';
import { useBench } from '../../stores/bench.ts';
import { usePrefs } from '../../stores/prefs.ts';
import ModalBox from '../../ui/ModalBox.vue';
import StateMark from '../../ui/StateMark.vue';
import TextField from '../../ui/TextField.vue';
import { STAGE_TITLES } from '../stages.ts';
import { useCableEdit } from '../useCable.ts';
import { say } from '../../../core/words/say.ts';

/**
 * Asked before a record is sealed: what of it is not proved, in the words of the record and with the way to it, and who
 * has still to sign.
 */
const { cable, work, jobId } = defineProps<{ open: boolean; cable: Cable; work: CableWork; jobId: string }>();
const emit = defineEmits<{ close: []; seal: []; choose: [findingId: string] }>();

const bench = useBench();
const { prefs } = usePrefs();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));

const GROUPS = [
  { state: 'fails', title: say`Fails` },
  { state: 'unproved', title: say`Not proved` },
  { state: 'watch', title: say`To be watched` },
] as const;
const groups = computed(() =>
  GROUPS.map(({ state, title }) => ({
    state,
    title,
    // Where each is mended, if that is another stage than this.
    findings: work.verdict.reasons
      .filter((finding) => finding.state === state)
      .map((finding) => {
        const place = mendedAt(finding.topic);
        return { finding, place: place?.stage === 'prove' ? null : place };
      }),
  })).filter(({ findings }) => findings.length > 0),
);
const signed = computed(() => signedOff(cable, bench.shop.practice));
const wantsTwo = computed(() => bench.shop.practice.twoPeople === true);
const ROLES = { maker: say`Maker`, inspector: say`Inspector` } as const;
/** Who measures is mostly who made it; an inspector is somebody else. */
const typed = ref<Partial<Record<SignOff['role'], string>>>({});
const names = computed(() => ({ maker: prefs.person, inspector: '', ...typed.value }));
const problems = ref<Partial<Record<SignOff['role'], string>>>({});
function sign(role: SignOff['role']): void {
  const by = names.value[role].trim();
  const because = mayNotSign(role, by, cable);
  problems.value = { [role]: tell(because) };
  if (because !== '') return;
  edit(
    say`sign-off`,
    (draft) => void (draft.signOffs ??= []).push({ role, by, at: new Date().toISOString() }),
  );
}
</script>

<template>
  <ModalBox :open="open" :title="say`Seal the record of ${cable.tag}`" wide @close="emit('close')">
    <p class="figure flex items-center gap-2 text-[19px] font-semibold">
      <StateMark :state="work.verdict.state" :word="false" />
      {{ tell(work.verdict.sentence) }}
    </p>
    <p class="mt-1">
      {{
        work.verdict.state === 'holds'
          ? say`Sealed, it stays as it is: what is changed later makes another record.`
          : say`The record will say so, in these words. Sealed, it stays as it is: what is measured later makes another record.`
      }}
    </p>
    <div class="max-h-[44vh] overflow-y-auto" tabindex="0" :aria-label="say`What is not proved`">
      <section v-for="group in groups" :key="group.state" class="mt-3" :aria-label="group.title">
        <h3 class="figure border-b border-line text-[17px] font-semibold">{{ group.title }}</h3>
        <ul>
          <li
            v-for="{ finding, place } in group.findings"
            :key="finding.id"
            class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-hairline py-1.5"
          >
            <div class="min-w-0">
              <p>
                <span class="font-bold">{{ tell(head(finding.title)) }}</span>
                <template v-if="finding.end">{{ say` of end ${finding.end}` }}</template>
                <span class="figure ml-2 text-ink2">{{ tell(intervalWords(finding)) }}</span>
                <span v-if="finding.limit" class="figure ml-2 text-ink2">{{
                  tell(limitWords(finding))
                }}</span>
              </p>
              <p class="text-[13px] leading-[17px] text-ink2">
                {{ tell(finding.because)
                }}<template v-if="finding.waived">{{
                  ` ${say`Waived by ${finding.waived.by}: ${finding.waived.why}`}`
                }}</template>
              </p>
            </div>
            <RouterLink v-if="place" class="button compact" :to="placeMended(jobId, cable.id, place)">{{
              STAGE_TITLES[place.stage]
            }}</RouterLink>
            <button
              v-else
              type="button"
              class="button compact"
              @click="(emit('choose', finding.id), emit('close'))"
            >
              {{ say`Measure`
              }}<span class="sr-only">{{ ' ' }}{{ tell(head(finding.title)) }} {{ finding.end ?? '' }}</span>
            </button>
          </li>
        </ul>
      </section>
    </div>
    <section v-if="wantsTwo" class="mt-3" :aria-label="say`Signatures`">
      <h3 class="figure border-b border-line text-[17px] font-semibold">{{ say`Signatures` }}</h3>
      <div class="mt-1.5 grid gap-3 sm:grid-cols-2">
        <div v-for="role in ['maker', 'inspector'] as const" :key="role">
          <p v-if="signed[role]" class="flex min-h-11 items-center gap-2">
            <StateMark state="holds" :word="false" />
            {{ say`${ROLES[role]}: ${signed[role]?.by}` }}
          </p>
          <form v-else class="flex items-start gap-2" @submit.prevent="sign(role)">
            <TextField
              class="flex-1"
              :label="ROLES[role]"
              :model-value="names[role]"
              @update:model-value="typed = { ...typed, [role]: $event }"
            />
            <button type="submit" class="button mt-[22px]">
              {{ say`Sign` }}<span class="sr-only">{{ ' ' }}{{ ROLES[role] }}</span>
            </button>
          </form>
          <p v-if="problems[role]" class="font-bold text-fails" role="alert">{{ problems[role] }}</p>
        </div>
      </div>
      <p v-for="(lack, i) in signed.lacks" :key="i" class="note mt-1">{{ tell(lack) }}</p>
    </section>
    <div class="mt-4 flex flex-wrap gap-2">
      <button type="button" class="button filled" :disabled="signed.lacks.length > 0" @click="emit('seal')">
        {{ work.verdict.state === 'holds' ? say`Seal it` : say`Seal it as it is` }}
      </button>
      <button type="button" class="button" @click="emit('close')">{{ say`Not yet` }}</button>
    </div>
  </ModalBox>
</template>
