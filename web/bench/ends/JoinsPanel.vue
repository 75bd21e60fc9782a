<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { word } from '../../../core/words/terms.ts';
import { X } from '@lucide/vue';
import { nanoid } from 'nanoid';
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { Join } from '../../../core/model/end.ts';
import { dieOffers } from '../../../core/termination/dies/dieOffers.ts';
import { connectorsFor, type ResolvedJoin } from '../../../core/termination/join.ts';
import { dieCalled } from '../../../core/termination/lugOffers.ts';
import { sleeveOffers, sleeveSuits } from '../../../core/termination/sleeves/sleeveOffers.ts';
import { digits } from '../../../core/words/numerals.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { useBench } from '../../stores/bench.ts';
import { openCase } from '../../../core/termination/dies/toolCase.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import StageSection from '../StageSection.vue';
import { useCableEdit } from '../useCable.ts';
import SectionPair from './SectionPair.vue';
import AddButton from '../../ui/AddButton.vue';
import { say } from '../../../core/words/say.ts';

/** Joins along the way: each with a connector, a die and a sleeve of its own. */
const { cable, work, jobId } = defineProps<{ cable: Cable; work: CableWork; jobId: string }>();

const bench = useBench();
const edit = useCableEdit(() => ({ jobId, cableId: cable.id }));

function add(kind: Join['kind']): void {
  edit(kind === 'butt' ? say`in-line join` : say`branch`, (draft) => {
    draft.joins.push({
      id: nanoid(8),
      kind,
      atMm: Math.round(cable.run.lengthMm / 2),
      ...(kind === 'branch' && { branchMm2: 10 }),
    });
  });
}
function set(join: Join, change: Partial<Join>): void {
  edit(say`join`, (draft) => {
    const own = draft.joins.find(({ id }) => id === join.id);
    if (own) Object.assign(own, change);
  });
}
function remove(join: Join): void {
  edit(say`remove the join`, (draft) => {
    draft.joins = draft.joins.filter(({ id }) => id !== join.id);
  });
}
const connectors = ({ copperMm2 }: ResolvedJoin) =>
  connectorsFor(bench.shop.lugs, copperMm2).map(({ id, label, stock }) => ({
    value: id,
    title: label,
    note: say`${stock} left`,
  }));
const dies = ({ connector, copperMm2 }: ResolvedJoin) =>
  connector
    ? dieOffers(connector, copperMm2, openCase(bench.shop))
        .filter(({ verdict }) => verdict !== 'open' && verdict !== 'will-not-close')
        .map((offer) => ({
          value: offer.die.id,
          title: tell(dieCalled(offer.die)),
          note: say`${digits(offer.parts.acrossFlatsMm, 1)} across flats, c ${digits(offer.c, 2)}, ${word(offer.verdict)}`,
        }))
    : [];
const sleeves = ({ sleeveTask }: ResolvedJoin) =>
  sleeveTask
    ? sleeveOffers(bench.shop.sleeves, sleeveTask)
        .filter(sleeveSuits)
        .map(({ sleeve }) => ({ value: sleeve.id, title: `${sleeve.suppliedMm} / ${sleeve.recoveredMm}` }))
    : [];
/** A branch is nipped in its sleeve, or gets a moulded part with so many legs. */
const SEALS = [
  { value: 'sleeve', title: say`a nipped sleeve` },
  { value: '2', title: say`a moulded part, two legs`, note: say`one branch` },
  { value: '3', title: say`a moulded part, three legs`, note: say`two branches` },
  { value: '4', title: say`a moulded part, four legs`, note: say`three branches` },
];
function setSeal(join: Join, by: string): void {
  edit(say`join`, (draft) => {
    const spec = draft.joins.find(({ id }) => id === join.id);
    if (!spec) return;
    if (by === 'sleeve') delete spec.legs;
    else spec.legs = Number(by) as 2 | 3 | 4;
  });
}
const joins = computed(() => work.joins);
</script>

<template>
  <StageSection :title="say`Joins along the cable`">
    <div v-for="join in joins" :key="join.spec.id" class="mb-3 border-b border-hairline pb-3">
      <div class="mb-1 flex items-center gap-2">
        <h4 class="figure text-[16px] font-semibold">{{ tell(join.title) }}</h4>
        <button
          type="button"
          class="ml-auto flex size-9 items-center justify-center text-teal"
          @click="remove(join.spec)"
        >
          <X :size="18" aria-hidden="true" /><span class="sr-only">{{ say`Remove the ${join.title}` }}</span>
        </button>
      </div>
      <div class="grid items-start gap-2 sm:grid-cols-[1fr_1fr_220px]">
        <QuantityField
          :label="say`From stud A, along the cable`"
          kind="length"
          :model-value="join.spec.atMm"
          :least="0"
          :most="1e6"
          :decimals="0"
          @update:model-value="(atMm) => set(join.spec, { atMm })"
        />
        <QuantityField
          v-if="join.spec.kind === 'branch'"
          :label="say`Conductor of the branch, mm²`"
          kind="number"
          :model-value="join.spec.branchMm2 ?? null"
          :least="0.5"
          :most="500"
          @update:model-value="(branchMm2) => set(join.spec, { branchMm2 })"
        />
        <ChoiceField
          :label="say`Connector`"
          :model-value="join.connector?.id"
          :choices="connectors(join)"
          :empty="say`none in stock fits`"
          @update:model-value="(connectorId) => set(join.spec, { connectorId })"
        />
        <svg
          v-if="join.connector"
          viewBox="0 0 220 100"
          class="row-span-2 block w-full"
          role="img"
          :aria-label="say`The connector before and after its crimp`"
        >
          <SectionPair
            :outer-mm="join.connector.outerMm"
            :bore-mm="join.connector.boreMm"
            :offer="join.die"
            :scale="Math.min(5, 86 / join.connector.outerMm)"
            :middle="50"
            :before-x="52"
            :after-x="168"
          />
        </svg>
        <ChoiceField
          v-if="join.connector?.cover !== 'solder ring'"
          :label="say`Die of the join`"
          :model-value="join.die?.die.id"
          :choices="dies(join)"
          :empty="say`no die fits it`"
          @update:model-value="(dieId) => set(join.spec, { dieId })"
        />
        <ChoiceField
          v-if="join.spec.kind === 'branch'"
          :label="say`Branch sealed by`"
          :model-value="join.spec.legs === undefined ? 'sleeve' : String(join.spec.legs)"
          :choices="SEALS"
          @update:model-value="(by) => setSeal(join.spec, by)"
        />
        <ChoiceField
          v-if="join.sleeveTask"
          :label="say`Sleeve of the join`"
          :model-value="join.sleeve?.id"
          :choices="sleeves(join)"
          :empty="say`none passes and grips`"
          @update:model-value="(sleeveId) => set(join.spec, { sleeveId })"
        />
      </div>
    </div>
    <p v-if="joins.length === 0" class="mb-2">{{ say`One piece from end to end, as it should be.` }}</p>
    <div class="flex flex-wrap gap-2">
      <AddButton list="joins" :count="joins.length" @add="add('butt')">
        {{ say`In-line butt` }}
      </AddButton>
      <AddButton list="joins" :count="joins.length" @add="add('branch')">
        {{ say`Sealed branch` }}
      </AddButton>
    </div>
  </StageSection>
</template>
