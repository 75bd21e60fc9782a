import { MAKES_LUG } from './fromTube.ts';
import type { EndName } from '../model/end.ts';
import type { ToMake } from './making.ts';
import { dieName, type Step } from './step.ts';
import { isPractising, kindOf } from '../model/stepId.ts';
import { type Message, msg, verbatim } from '../words/message.ts';

/** One thing of a batch: a step of one of its cables. */
export interface BatchItem {
  readonly of: ToMake;
  readonly step: Step;
}

/** What is done to all of them before anything else. */
export interface BatchPhase {
  readonly title: Message;
  /** The die that the tool is set to, and what it is called; both empty where none is used. */
  readonly dieId: string;
  readonly tool: Message;
  readonly items: readonly BatchItem[];
}

/** Steps that are done to all cables at once; the rest of an end is made in one go, as a lug that waits falls off. */
const AT_ONCE = [
  ...MAKES_LUG,
  'lay-out',
  'cut',
  'layers',
  'strip',
  'strands',
  'ring',
  'shrink',
  'label',
  'pull-through',
];
const TITLES: Readonly<Record<string, Message>> = {
  'lay-out': msg`Lay out`,
  cut: msg`Cut`,
  layers: msg`Layers on`,
  strip: msg`Strip`,
  strands: msg`Inspect the strands`,
  hold: msg`Make`,
  practise: msg`Try on a spare,`,
  shrink: msg`Shrink`,
  label: msg`Label`,
  'pull-through': msg`Pull through`,
};

/** What is done in one go to one cable: a step, or all that holds an end. */
interface Block {
  readonly of: ToMake;
  readonly key: string;
  readonly title: Message;
  readonly dieId: string;
  readonly tool: Message;
  readonly rank: number;
  readonly steps: readonly Step[];
}

const titleOf = (what: Message, isApart: boolean, end: EndName | undefined): Message => {
  if (!end) return what;
  return isApart ? verbatim`${what} ${end}` : msg`${what} end ${end}`;
};

function blocksOf(toMake: ToMake): Block[] {
  const blocks: (Omit<Block, 'steps'> & { steps: Step[] })[] = [];
  for (const step of toMake.work.steps) {
    const kind = kindOf(step.id);
    const isApart = AT_ONCE.includes(kind);
    const stem = isPractising(step) ? 'practise' : isApart ? kind : 'hold';
    const last = blocks.at(-1);
    const closing = !isApart && step.end ? toMake.work.ends[step.end] : null;
    const dieId = closing?.die?.die.id ?? '';
    const tool = closing?.die ? dieName(closing) : '';
    const key = `${stem}.${step.end ?? ''}`;
    if (!isApart && last?.key === key) last.steps.push(step);
    else {
      blocks.push({
        of: toMake,
        key,
        title: titleOf(TITLES[stem] ?? stem, isApart, step.end),
        dieId,
        tool,
        rank: blocks.length,
        steps: [step],
      });
    }
  }
  return blocks;
}

/**
 * Several cables at once, the way people make them: one thing to all of them, then the next, and the die changed as
 * seldom as the steps of each cable allow. The steps of a cable keep their order.
 */
export function batchOf(cables: readonly ToMake[]): BatchPhase[] {
  const left = cables.map(blocksOf).filter((blocks) => blocks.length > 0);
  const phases: { key: string; title: Message; dieId: string; tool: Message; items: BatchItem[] }[] = [];
  let die = '';
  while (left.some((blocks) => blocks.length > 0)) {
    const heads = left.flatMap(([head]) => head ?? []);
    const next = chooseNext(heads, die);
    for (const blocks of left) {
      const [head] = blocks;
      if (!head || head.key !== next.key || head.dieId !== next.dieId) continue;
      blocks.shift();
      const items = head.steps.map((step) => ({ of: head.of, step }));
      const last = phases.at(-1);
      if (last && last.key === next.key && last.dieId === next.dieId) last.items.push(...items);
      else phases.push({ key: next.key, title: next.title, dieId: next.dieId, tool: next.tool, items });
    }
    if (next.dieId !== '') die = next.dieId;
  }
  return phases.map(({ title, dieId, tool, items }) => ({ title, dieId, tool, items }));
}

/** What needs no die comes first; then what the die in the tool can do; then the die that serves the most. */
function chooseNext(heads: readonly Block[], die: string): Block {
  const earliest = (list: readonly Block[]) =>
    list.reduce((best, own) => (own.rank < best.rank ? own : best));
  const free = heads.filter(({ dieId }) => dieId === '');
  if (free.length > 0) return earliest(free);
  const same = heads.filter(({ dieId }) => dieId === die);
  if (same.length > 0) return earliest(same);
  const count = (own: Block) => heads.filter(({ dieId }) => dieId === own.dieId).length;
  const most = Math.max(...heads.map(count));
  return earliest(heads.filter((own) => count(own) === most));
}

/** How often another die is put in, along an order of work. */
export function dieChanges(dieIds: readonly string[]): number {
  let die = '';
  let changes = 0;
  for (const dieId of dieIds) {
    if (dieId === '' || dieId === die) continue;
    if (die !== '') changes += 1;
    die = dieId;
  }
  return changes;
}

/** The same cables made one after the other: what a batch saves is compared with this. */
export const oneByOne = (cables: readonly ToMake[]): string[] =>
  cables.flatMap((own) => blocksOf(own).map(({ dieId }) => dieId));
