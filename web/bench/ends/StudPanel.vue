<script setup lang="ts">
import { tell, briefly } from '../../../core/words/message.ts';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { ADAPTERS, POST_KINDS, type PostKind } from '../../../core/model/tables/posts.ts';
import { STUD_NAMES, STUDS } from '../../../core/model/tables/studs.ts';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { adaptersFor, postTitle, postTopMm } from '../../../core/model/posts.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import SharedStudFields from './SharedStudFields.vue';
import StackPicture from './StackPicture.vue';
import { useEndEdit } from './useEndEdit.ts';
import { say } from '../../../core/words/say.ts';
import { torqueText } from '../../../core/fit/torque.ts';

/** What the end goes on: a stud, alone or with others, or a battery post with what stands between. */
const { name, cable, work, jobId } = defineProps<{
  name: EndName;
  cable: Cable;
  work: CableWork;
  jobId: string;
}>();

const bench = useBench();
const set = useEndEdit(() => ({ jobId, cable, name }));
const end = computed(() => cable.ends[name]);
const stack = computed(() => work.stacks[name]);
const job = computed(() => bench.jobById(jobId));
const shared = computed(() => job.value?.studs.find(({ id }) => id === end.value.studId));
const torque = computed(() => (stack.value ? STUDS[stack.value.stud].torqueNm : null));

const studs = STUD_NAMES.map((stud) => ({ value: stud, title: stud }));
const kinds = (Object.keys(POST_KINDS) as PostKind[]).map((kind) => ({
  value: kind,
  title: tell(POST_KINDS[kind].title),
}));
const NONE = 'none';
const adapters = computed(() => [
  { value: NONE, title: say`nothing between` },
  ...(end.value.post
    ? adaptersFor(end.value.post.kind).map((id) => ({ value: id as string, title: tell(ADAPTERS[id].title) }))
    : []),
]);
const NEW = 'new';
const sharing = computed(() => [
  { value: NONE, title: say`alone on its stud` },
  ...(job.value?.studs ?? []).map(({ id, name: title, stud }) => ({
    value: id,
    title,
    note: stud as string,
  })),
  { value: NEW, title: say`with others, a new one` },
]);

function setKind(kind: 'stud' | 'post'): void {
  const polarity = cable.polarity === 'negative' ? 'negative' : 'positive';
  set(say`what it goes on`, {
    post: kind === 'post' ? { kind: 'large taper', polarity } : undefined,
    adapter: undefined,
    lugId: undefined,
    studId: undefined,
  });
}
function setShared(choice: string): void {
  if (choice !== NEW) return set(say`shared stud`, { studId: choice === NONE ? undefined : choice });
  const id = nanoid(8);
  const stud = stack.value?.stud ?? end.value.stud;
  bench.edit(say`shared stud of ${name}`, (draft) => {
    const own = draft.jobs.find((other) => other.id === jobId);
    const mine = own?.cables.find((other) => other.id === cable.id);
    if (!own || !mine) return;
    own.studs.push({ id, name: end.value.at || say`Shared stud`, stud, springWasher: false, others: [] });
    mine.ends[name].studId = id;
  });
}
</script>

<template>
  <div>
    <div class="grid grid-cols-2 gap-2">
      <SegmentedField
        :label="say`End ${name} goes on`"
        :model-value="end.post ? 'post' : 'stud'"
        :choices="[
          { value: 'stud', title: say`a stud` },
          { value: 'post', title: say`a battery post` },
        ]"
        class="col-span-2"
        @update:model-value="setKind($event === 'post' ? 'post' : 'stud')"
      />
      <template v-if="end.post">
        <ChoiceField
          :label="say`Post of ${name}`"
          :model-value="end.post.kind"
          :choices="kinds"
          @update:model-value="
            (kind) =>
              end.post &&
              set(say`post`, { post: { ...end.post, kind }, adapter: undefined, lugId: undefined })
          "
        />
        <SegmentedField
          :label="say`Pole of ${name}`"
          :model-value="end.post.polarity"
          :choices="[
            { value: 'positive', title: '+', spoken: say`positive` },
            { value: 'negative', title: '−', spoken: say`negative` },
          ]"
          @update:model-value="
            (pole) =>
              end.post &&
              set(say`pole`, {
                post: { ...end.post, polarity: pole === 'negative' ? 'negative' : 'positive' },
                lugId: undefined,
              })
          "
        />
        <ChoiceField
          class="col-span-2"
          :label="say`Adapter of ${name}`"
          :model-value="end.adapter ?? NONE"
          :choices="adapters"
          @update:model-value="
            (adapter) =>
              set(say`adapter`, {
                adapter: adaptersFor(end.post?.kind ?? 'blade').find((id) => id === adapter),
                lugId: undefined,
              })
          "
        />
        <p class="col-span-2">
          {{ tell(postTitle(end.post))
          }}<template v-if="postTopMm(end.post)">{{
            say`: ${briefly(postTopMm(end.post) ?? 0, 'mm', 1)} at the top, taper 1:9`
          }}</template
          >{{
            say`. ${work.ends[name].lug ? say`On it: ${work.ends[name].lug?.label}.` : ''} A battery cannot be switched off: negative off first and on last.`
          }}
        </p>
      </template>
      <template v-else>
        <ChoiceField
          :label="say`Stud size of ${name}`"
          :model-value="end.stud"
          :choices="studs"
          @update:model-value="(stud) => set(say`stud`, { stud, lugId: undefined })"
        />
      </template>
      <ChoiceField
        v-if="work.ends[name].meets.kind === 'stud'"
        :class="end.post ? 'col-span-2' : ''"
        :label="say`On the stud of ${name}`"
        :model-value="end.studId ?? NONE"
        :choices="sharing"
        @update:model-value="setShared"
      />
    </div>
    <template v-if="stack">
      <StackPicture :stack="stack" class="mt-3" />
      <p v-if="torque" class="note mt-1">
        {{
          say`Torque ${torqueText(torque)}, customary: the maker’s figure governs. Washer above, never between the faces.`
        }}
      </p>
    </template>
    <SharedStudFields
      v-if="shared && stack"
      :key="shared.id"
      :stud="shared"
      :stack="stack"
      :job-id="jobId"
      :end-name="name"
    />
  </div>
</template>
