<script setup lang="ts">
import { tell, amount } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import { brief, digits } from '../../core/words/numerals.ts';
import { X } from '@lucide/vue';
import type { Draft } from 'immer';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { readDiesCsv, writeDiesCsv } from '../../core/model/catalogue/catalogueCsv.ts';
import { TOOL_KINDS, type ToolKind, type ToolKindFacts } from '../../core/model/tables/tools.ts';
import type { Die, Tool } from '../../core/model/shop.ts';
import { stampClaims } from '../../core/termination/dies/stamp.ts';
import type { ToolCase } from '../../core/termination/dies/toolCase.ts';
import { sizeNamed } from '../../core/model/tables/size.ts';
import StageSection from '../bench/StageSection.vue';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
import QuantityField from '../ui/QuantityField.vue';
import TextField from '../ui/TextField.vue';
import CsvBox from './CsvBox.vue';
import { called } from '../../core/model/catalogue/called.ts';
import AddButton from '../ui/AddButton.vue';
import { notADay } from '../ui/dayEntry.ts';
import { say } from '../../core/words/say.ts';

/** The tools owned, what each can do and where, and the dies that go with them. A dimension edited redraws the map. */
const { toolCase } = defineProps<{ toolCase: ToolCase }>();

const bench = useBench();
const tools = computed(() => bench.shop.tools);
const kinds = (Object.keys(TOOL_KINDS) as ToolKind[]).map((kind) => ({
  value: kind,
  title: tell(TOOL_KINDS[kind].title),
  note: TOOL_KINDS[kind].refused ? say`not supported: dangerous` : say`until ${TOOL_KINDS[kind].stop}`,
}));
const diesOf = (tool: Tool) => toolCase.dies.filter(({ die }) => die.toolId === tool.id);
const facts = (tool: Tool): ToolKindFacts => TOOL_KINDS[tool.kind];

function editTool(id: string, what: string, recipe: (tool: Draft<Tool>) => void): void {
  bench.edit(say`tool: ${what}`, (draft) => {
    const own = draft.shop.tools.find((tool) => tool.id === id);
    if (own) recipe(own);
  });
}
function editDie(id: string, what: string, recipe: (die: Draft<Die>) => void): void {
  bench.edit(say`die: ${what}`, (draft) => {
    const own = draft.shop.dies.find((die) => die.id === id);
    if (own) recipe(own);
  });
}
const addTool = () =>
  bench.edit(say`new tool`, (draft) => {
    draft.shop.tools.push({ id: nanoid(8), title: say`New tool`, kind: 'hand hydraulic' });
  });
const addDie = (tool: Tool) =>
  bench.edit(say`new die`, (draft) => {
    draft.shop.dies.push({ id: nanoid(8), toolId: tool.id, stamp: '', acrossFlatsMm: 12, widthMm: 9 });
  });
const removeDie = (id: string) =>
  bench.edit(say`remove a die`, (draft) => {
    draft.shop.dies = draft.shop.dies.filter((die) => die.id !== id);
  });
/** A tool goes with its dies; undo brings both back. */
const removeTool = (id: string) =>
  bench.edit(say`remove a tool`, (draft) => {
    draft.shop.tools = draft.shop.tools.filter((tool) => tool.id !== id);
    draft.shop.dies = draft.shop.dies.filter((die) => die.toolId !== id);
  });
const says = ({ stamp }: Die) => {
  const claim = stampClaims(stamp);
  return claim ? say`stamp means ${sizeNamed(claim)}` : stamp ? say`names no size` : say`no mark`;
};
const setMark = (id: string, mark: string) =>
  editDie(id, say`stop`, (own) => {
    if (mark === '') delete own.mark;
    else own.mark = mark;
  });
function setForce(id: string, forceKn: number | undefined): void {
  editTool(id, say`force`, (own) => {
    if (forceKn === undefined) delete own.forceKn;
    else own.forceKn = forceKn;
  });
}
function setLargest(id: string, largest: number | undefined): void {
  editTool(id, say`largest`, (own) => {
    if (largest === undefined) delete own.largestMm2;
    else own.largestMm2 = largest;
  });
}
</script>

<template>
  <div>
    <CsvBox
      :what="say`dies`"
      file-name="dies.csv"
      :write="() => writeDiesCsv(bench.shop.dies, bench.shop.tools)"
      :read="(contents) => readDiesCsv(contents, bench.shop.dies, bench.shop.tools)"
      :take="(items) => bench.edit(say`import dies`, (draft) => void (draft.shop.dies = [...items]))"
    />
    <StageSection v-for="tool in tools" :key="tool.id" :title="called(tool.title)">
      <div
        class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-2 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1.5fr)_minmax(0,1fr)_minmax(0,1.2fr)_minmax(0,1.1fr)]"
      >
        <TextField
          :label="say`Name in the shop`"
          :model-value="called(tool.title)"
          required
          @update:model-value="(title) => editTool(tool.id, say`name`, (own) => void (own.title = title))"
        />
        <ChoiceField
          :label="say`Kind`"
          :model-value="tool.kind"
          :choices="kinds"
          @update:model-value="(kind) => editTool(tool.id, say`kind`, (own) => void (own.kind = kind))"
        />
        <QuantityField
          :label="say`Largest cable, mm²`"
          kind="number"
          :model-value="tool.largestMm2 ?? facts(tool).largestMm2"
          :least="1"
          :most="1000"
          :decimals="0"
          @update:model-value="setLargest(tool.id, $event)"
        />
        <TextField
          :label="say`Done when`"
          :model-value="tool.mark ?? tell(facts(tool).stop)"
          @update:model-value="
            (mark) =>
              editTool(tool.id, say`mark`, (own) => {
                if (mark === '') delete own.mark;
                else own.mark = mark;
              })
          "
        />
        <TextField
          :label="say`Tool checked until`"
          :model-value="tool.due ?? ''"
          hint="2027-03-31"
          :check="notADay"
          @update:model-value="
            (due) =>
              editTool(tool.id, say`due day`, (own) => {
                if (due === '') delete own.due;
                else own.due = due;
              })
          "
        />
      </div>
      <div class="flex flex-wrap items-center gap-x-4">
        <div v-if="!facts(tool).refused && !facts(tool).benchOnly" class="w-40 shrink-0">
          <QuantityField
            :label="say`Working space`"
            kind="length"
            :model-value="tool.swingMm ?? null"
            :least="0"
            :most="3000"
            :decimals="0"
            :placeholder="brief(facts(tool).swingMm, 0)"
            optional
            @update:model-value="(mm) => editTool(tool.id, say`room`, (own) => void (own.swingMm = mm))"
            @clear="editTool(tool.id, say`room`, (own) => void delete own.swingMm)"
          />
        </div>
        <div v-if="!facts(tool).refused && facts(tool).leaves === 'hexagon'" class="w-40 shrink-0">
          <QuantityField
            :label="say`Force of the tool`"
            kind="force"
            :model-value="tool.forceKn === undefined ? null : tool.forceKn * 1000"
            :least="1000"
            :most="1e6"
            :decimals="0"
            :placeholder="say`not known`"
            optional
            @update:model-value="setForce(tool.id, $event / 1000)"
            @clear="setForce(tool.id, undefined)"
          />
        </div>
        <p v-if="facts(tool).refused" class="font-bold text-fails" role="alert">
          {{ say`Not guided here: ${facts(tool).refused}.` }}
        </p>
        <p v-else class="note min-w-0 flex-1 basis-64">
          {{
            say`Crimp shape: ${word(facts(tool).leaves)}${facts(tool).leaves === 'indent' ? say`, judged by trial only` : ''}; ${facts(tool).hands}; ${facts(tool).benchOnly ? say`bench only` : say`needs ${amount(tool.swingMm ?? facts(tool).swingMm, 'mm', 0)} of room`}${facts(tool).solidFloor ? say`, on a solid floor` : ''}. Fingers out, eyes covered.`
          }}
        </p>
      </div>
      <div class="overflow-x-auto">
        <table class="mt-2 w-full">
          <thead>
            <tr class="note text-left">
              <th class="font-normal">{{ say`Stamp` }}</th>
              <th class="font-normal">{{ say`Across flats, closed` }}</th>
              <th class="font-normal">{{ say`Width` }}</th>
              <template v-if="facts(tool).leaves === 'indent'">
                <th class="font-normal">{{ say`Stops at` }}</th>
                <th v-if="tool.kind !== 'hand lever'" class="font-normal">{{ say`Blows` }}</th>
              </template>
              <th class="font-normal">{{ say`Its stamp` }}</th>
              <th class="font-normal">{{ say`Trials` }}</th>
              <th>
                <span class="sr-only">{{ say`Remove` }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ die, learned } in diesOf(tool)"
              :key="die.id"
              class="die-row alike border-t border-hairline"
            >
              <td class="w-28 pr-2">
                <TextField
                  :label="say`Stamp of ${die.id}`"
                  :model-value="die.stamp"
                  :longest="12"
                  @update:model-value="
                    (stamp) => editDie(die.id, say`stamp`, (own) => void (own.stamp = stamp))
                  "
                />
              </td>
              <td class="w-36 pr-2">
                <QuantityField
                  :label="say`Across flats of ${die.stamp || say`the unmarked die`}, ${die.id}`"
                  kind="length"
                  :model-value="die.acrossFlatsMm"
                  :least="2"
                  :most="60"
                  :decimals="2"
                  @update:model-value="
                    (mm) => editDie(die.id, say`across flats`, (own) => void (own.acrossFlatsMm = mm))
                  "
                />
              </td>
              <td class="w-32 pr-2">
                <QuantityField
                  :label="say`Width of ${die.stamp || say`the unmarked die`}, ${die.id}`"
                  kind="length"
                  :model-value="die.widthMm"
                  :least="2"
                  :most="40"
                  @update:model-value="(mm) => editDie(die.id, say`width`, (own) => void (own.widthMm = mm))"
                />
              </td>
              <template v-if="facts(tool).leaves === 'indent'">
                <td class="w-44 pr-2">
                  <TextField
                    :label="say`Stop of ${die.stamp || say`the unmarked die`}, ${die.id}`"
                    :model-value="die.mark ?? ''"
                    @update:model-value="(mark) => setMark(die.id, mark)"
                  />
                </td>
                <td v-if="tool.kind !== 'hand lever'" class="w-24 pr-2">
                  <QuantityField
                    :label="say`Blows of ${die.stamp || say`the unmarked die`}, ${die.id}`"
                    kind="number"
                    :model-value="die.blows ?? null"
                    :least="1"
                    :most="200"
                    :decimals="0"
                    optional
                    @update:model-value="
                      (blows) => editDie(die.id, say`blows`, (own) => void (own.blows = Math.round(blows)))
                    "
                    @clear="editDie(die.id, say`blows`, (own) => void delete own.blows)"
                  />
                </td>
              </template>
              <td>{{ says(die) }}</td>
              <td>
                {{
                  learned.trials === 0
                    ? say`none`
                    : say`${learned.trials}: measures ${digits(learned.flatsMm, 2)}`
                }}
              </td>
              <td>
                <button
                  type="button"
                  class="flex size-11 items-center justify-center text-teal"
                  @click="removeDie(die.id)"
                >
                  <X :size="18" aria-hidden="true" /><span class="sr-only">{{
                    say`Remove die ${die.stamp || die.id}`
                  }}</span>
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="mt-1 flex gap-2">
        <AddButton list="dies" :count="bench.shop.dies.length" @add="addDie(tool)">
          {{ say`Add a die` }}<span class="sr-only">{{ ' ' }}{{ say`for ${tool.title}` }}</span>
        </AddButton>
        <button type="button" class="button" @click="removeTool(tool.id)">
          {{ say`Remove this tool` }}<span class="sr-only">: {{ tool.title }}</span>
        </button>
      </div>
    </StageSection>
    <AddButton list="tools" :count="bench.shop.tools.length" @add="addTool">
      {{ say`Add a tool` }}
    </AddButton>
  </div>
</template>

<style>
/* In a table the head says what a field is; its own label stays for a screen reader. */
.die-row label {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.die-row td {
  padding-top: 4px;
  padding-bottom: 4px;
  vertical-align: middle;
}
.die-row td p:not(:has([role='alert'])) {
  display: none;
}
.die-row td .field-input {
  height: 38px;
}
</style>
