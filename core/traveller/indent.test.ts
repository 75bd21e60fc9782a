import { describe, expect, test } from '@jest/globals';
import { readDiesCsv, writeDiesCsv } from '../model/catalogue/catalogueCsv.ts';
import type { Die, Shop, Tool } from '../model/shop.ts';
import { TOOL_KINDS, type ToolKind } from '../model/tables/tools.ts';
import { cableWith, found, shop } from '../termination/endsFixture.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';

/** A shop that owns one tool, and one die or stop of it. */
const owning = (kind: ToolKind, die: Partial<Die> = {}, practice: Partial<Shop['practice']> = {}): Shop => {
  const tool: Tool = { id: 't', title: 'The tool', kind };
  return {
    ...shop,
    tools: [tool],
    dies: [
      {
        id: 'd',
        toolId: 't',
        stamp: '70',
        acrossFlatsMm: TOOL_KINDS[kind].leaves === 'indent' ? 9 : 14.3,
        widthMm: 10,
        ...die,
      },
    ],
    trials: [],
    practice: { ...shop.practice, ...practice },
  };
};
const work = (own: Shop) => workUpCable(cableWith(), own, { today: null });
const crimp = (own: Shop, n = 1) => {
  const step = work(own).steps.find(({ id }) => id === `crimp-${n}.A`);
  if (!step) throw new Error('no crimp');
  return `${tell(step.order)} ${tell(step.detail)}`;
};

describe('a shop that owns one tool only', () => {
  test.each(['hand lever', 'hammer', 'hand hydraulic', 'punch'] as const)(
    'has its steps with a %s',
    (kind) => {
      const { steps } = work(owning(kind));
      expect(steps.length).toBeGreaterThan(10);
      expect(crimp(owning(kind))).toContain(tell(TOOL_KINDS[kind].hands));
    },
  );
  test('each size has a stop of its own, one step under where the house closes so, and its blows', () => {
    expect(crimp(owning('hammer'))).toContain('close until the plunger reaches its mark');
    const marked = owning('hammer', { mark: 'second ring', blows: 6 }, { dieStep: 'one under' });
    expect(crimp(marked)).toContain('close until second ring, then one step under');
    expect(crimp(marked)).toContain('About 6 blows to the mark.');
    const { items } = readDiesCsv(writeDiesCsv(marked.dies, marked.tools), [], marked.tools);
    expect(items[0]).toMatchObject({ mark: 'second ring', blows: 6 });
  });
  test('a hydraulic minds its valve, and a second hexagon is turned where flash shows', () => {
    expect(crimp(owning('hand hydraulic'))).toContain('Valve shut before you pump');
    const two = owning('hand hydraulic', {}, { crimps: 2 });
    expect(crimp(two, 2)).toContain('Flash at the parting line: turn a sixth first.');
    expect(crimp({ ...two, practice: { ...two.practice, turnBetween: true } }, 2)).not.toContain(
      'Flash at the parting line',
    );
  });
  test('an indent is judged by its trial, and a punch says what it cannot prove', () => {
    expect(found(work(owning('hammer')).findings, 'trial.A').state).not.toBe('holds');
    const last = found(work(owning('punch')).findings, 'tool.A');
    expect(last.state).toBe('watch');
    expect(tell(last.because)).toMatch(/nothing to measure/);
    expect(tell(last.remedy ?? '')).toMatch(/Borrow or hire/);
  });
  test('an improvised press is refused, with the real ways out, and no step opens', () => {
    const { findings, steps } = work(owning('improvised'));
    const tool = findings.find(({ id }) => id === 'tool.A');
    if (tool) expect(tell(tool.remedy ?? '')).toMatch(/screw terminal for tonight/);
    for (const step of steps.filter(({ id }) => id.startsWith('crimp')))
      expect(step.gates.some(({ stop }) => stop !== undefined)).toBe(true);
  });
});
