import type { ToMake } from './making.ts';
import { dieName, type Step } from './step.ts';
import { isPractising, kindOf } from '../model/stepId.ts';
import { say } from '../words/say.ts';

/** One thing of a batch: a step of one of its cables. */
export interface BatchItem {
  readonly of: ToMake;
  readonly step: Step;
}

/** What is done to all of them before anything else. */
export interface BatchPhase {
  readonly title: string;
  /** What the tool is set to; empty where no die is used. */
  readonly tool: string;
  readonly items: readonly BatchItem[];
}

/** Steps that are done to all cables at once; the rest of an end is made in one go, as a lug that waits falls off. */
const AT_ONCE = ['lay-out', 'cut', 'layers', 'strip', 'strands', 'shrink', 'label', 'pull-through'];
const TITLES: Readonly<Record<string, string>> = {
  'lay-out': say`Lay out`,
  cut: say`Cut`,
  layers: say`Layers on`,
  strip: say`Strip`,
  strands: say`Look at the strands`,
  hold: say`Make`,
  practise: say`Try on a spare,`,
  shrink: say`Shrink`,
  label: say`Label`,
  'pull-through': say`Pull through`,
};

/** What is done in one go to one cable: a step, or all that holds an end. */
interface Block {
  readonly of: ToMake;
  readonly key: string;
  readonly title: string;
  readonly tool: string;
  readonly rank: number;
  readonly steps: readonly Step[];
}

function blocksOf(toMake: ToMake): Block[] {
  const blocks: (Omit<Block, 'steps'> & { steps: Step[] })[] = [];
  for (const step of toMake.work.steps) {
    const kind = kindOf(step.id);
    const isApart = AT_ONCE.includes(kind);
    const stem = isPractising(step) ? 'practise' : isApart ? kind : 'hold';
    const last = blocks.at(-1);
    const isClosed = !isApart && step.end && toMake.work.ends[step.end].die;
    const tool = isClosed && step.end ? dieName(toMake.work.ends[step.end]) : '';
    const key = `${stem}.${step.end ?? ''}`;
    if (!isApart && last?.key === key) last.steps.push(step);
    else {
      blocks.push({
        of: toMake,
        key,
        title: `${TITLES[stem] ?? stem}${step.end ? ` ${isApart ? '' : 'end '}${step.end}` : ''}`,
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
  const phases: { key: string; title: string; tool: string; items: BatchItem[] }[] = [];
  let die = '';
  while (left.some((blocks) => blocks.length > 0)) {
    const heads = left.flatMap(([head]) => head ?? []);
    const next = chooseNext(heads, die);
    for (const blocks of left) {
      const [head] = blocks;
      if (!head || head.key !== next.key || head.tool !== next.tool) continue;
      blocks.shift();
      const items = head.steps.map((step) => ({ of: head.of, step }));
      const last = phases.at(-1);
      if (last && last.key === next.key && last.tool === next.tool) last.items.push(...items);
      else phases.push({ key: next.key, title: next.title, tool: next.tool, items });
    }
    if (next.tool !== '') die = next.tool;
  }
  return phases.map(({ title, tool, items }) => ({ title, tool, items }));
}

/** What needs no die comes first; then what the die in the tool can do; then the die that serves the most. */
function chooseNext(heads: readonly Block[], die: string): Block {
  const earliest = (list: readonly Block[]) =>
    list.reduce((best, own) => (own.rank < best.rank ? own : best));
  const free = heads.filter(({ tool }) => tool === '');
  if (free.length > 0) return earliest(free);
  const same = heads.filter(({ tool }) => tool === die);
  if (same.length > 0) return earliest(same);
  const count = (own: Block) => heads.filter(({ tool }) => tool === own.tool).length;
  const most = Math.max(...heads.map(count));
  return earliest(heads.filter((own) => count(own) === most));
}

/** How often another die is put in, along an order of work. */
export function dieChanges(tools: readonly string[]): number {
  let die = '';
  let changes = 0;
  for (const tool of tools) {
    if (tool === '' || tool === die) continue;
    if (die !== '') changes += 1;
    die = tool;
  }
  return changes;
}

/** The same cables made one after the other: what a batch saves is held against this. */
export const oneByOne = (cables: readonly ToMake[]): string[] =>
  cables.flatMap((own) => blocksOf(own).map(({ tool }) => tool));
