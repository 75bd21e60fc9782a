<script setup lang="ts">
import type { Draft } from 'immer';
import { computed } from 'vue';
import type { Photo } from '../../core/model/cable.ts';
import { END_NAMES, type EndName } from '../../core/model/end.ts';
import { RUN_LENGTH_MM } from '../../core/model/limits.ts';
import { parseSize } from '../../core/model/parseSize.ts';
import {
  OLD_CABLE_MARKS,
  OLD_END_MARKS,
  type OldCable,
  type OldCableMark,
  type OldEndMark,
} from '../../core/model/survey.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';
import { STUD_NAMES, type StudName } from '../../core/model/tables/studs.ts';
import { judgeOld } from '../../core/survey/oldVerdict.ts';
import { capitalised, tell } from '../../core/words/message.ts';
import { say } from '../../core/words/say.ts';
import PhotoStrip from '../make/PhotoStrip.vue';
import CheckField from '../ui/CheckField.vue';
import { choicesOf } from '../ui/choicesOf.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';
import TextField from '../ui/TextField.vue';

/** One old cable: what it is, what is seen on it, and what that asks for. */
const { old } = defineProps<{ old: OldCable }>();
const emit = defineEmits<{
  change: [what: string, recipe: (old: Draft<OldCable>) => void];
  remove: [];
}>();

const judged = computed(() => judgeOld(old));
const poles = choicesOf(['positive', 'negative', 'link']);
const NONE = '';
const studs = [
  { value: NONE, title: say`not known` },
  ...STUD_NAMES.map((stud) => ({ value: stud as string, title: stud })),
];
const endMarks = Object.keys(OLD_END_MARKS) as OldEndMark[];
const cableMarks = Object.keys(OLD_CABLE_MARKS) as OldCableMark[];
const set = (what: string, recipe: (draft: Draft<OldCable>) => void) => emit('change', what, recipe);

const sizeProblem = (text: string) => {
  const entry = text === '' ? null : parseSize(text, 'metric');
  return entry && !entry.ok ? entry.sentence : '';
};
function setSize(text: string): void {
  const entry = parseSize(text, 'metric');
  set(say`size`, (draft) => {
    if (text === '') delete draft.size;
    else if (entry.ok) draft.size = { ...entry.size };
  });
}
const without = <T>(list: readonly T[], item: T): T[] => list.filter((own) => own !== item);
const mark = (name: EndName, what: OldEndMark) =>
  set(tell(OLD_END_MARKS[what]), ({ ends }) => {
    const end = ends[name];
    end.marks = end.marks.includes(what) ? without(end.marks, what) : [...end.marks, what];
    end.seen = true;
  });
const markCable = (what: OldCableMark) =>
  set(tell(OLD_CABLE_MARKS[what]), (draft) => {
    draft.marks = draft.marks.includes(what) ? without(draft.marks, what) : [...draft.marks, what];
  });
const setStud = (name: EndName, stud: string) =>
  set(say`stud`, ({ ends }) => {
    if (stud === NONE) delete ends[name].stud;
    else ends[name].stud = stud as StudName;
  });
const take = (photo: Photo) => set(say`photograph`, (draft) => void draft.photos.push(photo));
const takeOut = (photo: Photo) =>
  set(say`remove a photograph`, (draft) => {
    draft.photos = draft.photos.filter(({ id }) => id !== photo.id);
  });
</script>

<template>
  <section class="p-4" :aria-label="old.tag">
    <div class="grid gap-x-4 gap-y-2 sm:grid-cols-2">
      <TextField
        :label="say`Old tag`"
        :model-value="old.tag"
        required
        @update:model-value="(tag) => set(say`tag`, (draft) => void (draft.tag = tag))"
      />
      <SegmentedField
        :label="say`Polarity of the old cable`"
        :model-value="old.polarity"
        :choices="poles"
        @update:model-value="(pole) => set(say`pole`, (draft) => void (draft.polarity = pole))"
      />
      <TextField
        :label="say`Size, where it can be read`"
        :model-value="old.size ? tell(sizeNamed(old.size)) : ''"
        :check="sizeProblem"
        @update:model-value="setSize"
      />
      <QuantityField
        :label="say`Length of the old cable`"
        kind="length"
        :model-value="old.lengthMm ?? null"
        :least="RUN_LENGTH_MM.least"
        :most="RUN_LENGTH_MM.most"
        :decimals="0"
        optional
        @update:model-value="(mm) => set(say`length`, (draft) => void (draft.lengthMm = mm))"
        @clear="set(say`length`, (draft) => void delete draft.lengthMm)"
      />
    </div>
    <div class="mt-4 grid gap-5 sm:grid-cols-2">
      <fieldset v-for="name in END_NAMES" :key="name" class="min-w-0">
        <legend class="figure text-[17px] font-semibold">{{ say`End ${name}` }}</legend>
        <div class="mb-2 grid grid-cols-[minmax(0,1fr)_110px] gap-2">
          <TextField
            :label="say`${name} bolted to`"
            :model-value="old.ends[name].at"
            @update:model-value="(text) => set(say`place`, ({ ends }) => void (ends[name].at = text))"
          />
          <ChoiceField
            :label="say`Stud of end ${name}`"
            :model-value="old.ends[name].stud ?? NONE"
            :choices="studs"
            @update:model-value="setStud(name, $event)"
          />
        </div>
        <CheckField
          :label="say`end ${name} inspected`"
          :model-value="old.ends[name].seen"
          @update:model-value="(on) => set(say`inspected`, ({ ends }) => void (ends[name].seen = on))"
        />
        <ul class="mt-1 flex flex-wrap gap-2 lg:gap-1.5">
          <li v-for="what in endMarks" :key="what">
            <button
              type="button"
              class="min-h-11 border px-3 text-[15px] lg:min-h-9"
              :class="
                old.ends[name].marks.includes(what)
                  ? 'border-fails bg-fails font-semibold text-paper'
                  : 'border-line bg-paper hover:bg-teal-tint'
              "
              :aria-pressed="old.ends[name].marks.includes(what)"
              @click="mark(name, what)"
            >
              {{ tell(OLD_END_MARKS[what]) }}
            </button>
          </li>
        </ul>
      </fieldset>
    </div>
    <h3 class="figure mt-4 text-[17px] font-semibold">{{ say`Along its length` }}</h3>
    <ul class="mt-1 flex flex-wrap gap-2 lg:gap-1.5">
      <li v-for="what in cableMarks" :key="what">
        <button
          type="button"
          class="min-h-11 border px-3 text-[15px] lg:min-h-9"
          :class="
            old.marks.includes(what)
              ? 'border-fails bg-fails font-semibold text-paper'
              : 'border-line bg-paper hover:bg-teal-tint'
          "
          :aria-pressed="old.marks.includes(what)"
          @click="markCable(what)"
        >
          {{ tell(OLD_CABLE_MARKS[what]) }}
        </button>
      </li>
    </ul>
    <template v-if="judged.reasons.length > 0">
      <h3 class="figure mt-4 text-[17px] font-semibold">{{ say`What to do` }}</h3>
      <ul class="mt-1 text-[15px] leading-[20px]">
        <li v-for="(reason, i) in judged.reasons" :key="i">
          <b>{{ reason.where ? say`End ${reason.where}` : say`Cable` }}</b>
          {{ say`${reason.saw}: ${reason.does}` }}
        </li>
      </ul>
    </template>
    <h3 class="figure mt-4 mb-1 text-[17px] font-semibold">{{ say`Photographs` }}</h3>
    <PhotoStrip :photos="old.photos" @take="take" @out="takeOut" />
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <TextField
        class="min-w-0 flex-1"
        :label="say`Note on the old cable`"
        :model-value="old.notes"
        :longest="300"
        @update:model-value="(text) => set(say`note`, (draft) => void (draft.notes = text))"
      />
      <button type="button" class="button" @click="emit('remove')">
        {{ say`Remove ${capitalised(old.tag)}` }}
      </button>
    </div>
  </section>
</template>
