import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';

/** The house, copied: each recipe of CONTRIBUTING is followed in it to the letter, then all of it is checked and run. */
const house = mkdtempSync(join(tmpdir(), 'recipes-'));
afterAll(() => rmSync(house, { recursive: true }));

const read = (path: string) => readFileSync(join(house, path), 'utf8');

/** Puts something behind a place that the recipe names; a place that is gone is a recipe that no longer works. */
function behind(path: string, place: string, added: string): void {
  const before = read(path);
  if (before.split(place).length !== 2) throw new Error(`${path} has not one place “${place}”`);
  writeFileSync(
    join(house, path),
    before.replace(place, () => place + added),
  );
}
const instead = (path: string, place: string, put: string) => {
  behind(path, place, '');
  writeFileSync(
    join(house, path),
    read(path).replace(place, () => put),
  );
};

const WORK = "work: { formula: msg`a ≤ b`, substituted: [], source: msg`a trial`, assumes: '' }";

const RECIPES: Readonly<Record<string, () => void>> = {
  'a cable kind': () =>
    behind(
      'core/model/catalogue/cableKinds.ts',
      'export const GENERIC_CABLE_KINDS: readonly CableKind[] = [',
      `
  {
    id: 'trial-flex',
    title: 'Trial flex',
    tinned: true,
    strands: 'fine',
    insulation: 'pvc',
    limitC: 90,
    ratedV: 600,
    stands: { oil: true, sun: true, flame: true },
    bend: 6,
    sizes: metric({ 25: 9.8, 35: 11.1, 50: 13 }, 0.12),
  },`,
    ),

  'a school of sizing': () => {
    behind('core/model/housePractice.ts', '    heat: z.boolean(),', '\n    flat: z.boolean(),');
    instead(
      'core/model/housePractice.ts',
      'metric: true, heat: true }',
      'metric: true, heat: true, flat: true }',
    );
    behind('core/finding/topics.ts', "'amps-heat'", ", 'amps-flat'");
    behind(
      'core/sizing/schoolFindings.ts',
      '    ...(schools.quick ? [asJudged(quick(assessed))] : []),',
      '\n    ...(schools.flat ? [asJudged(flat(assessed))] : []),',
    );
    behind(
      'core/sizing/schoolFindings.ts',
      "import { term } from '../words/terms.ts';\n",
      `
const flat = (at: Assessment): Finding =>
  atLeast(
    {
      topic: 'amps-flat', stage: 'gauge', title: msg\`At 4 A/mm²\`, value: at.copperMm2 * at.parallel, unit: 'mm²', decimals: 1,
      ${WORK},
    },
    countedAmps(at) / 4,
  );
`,
    );
    behind(
      'core/sizing/choose.ts',
      "    heat: smallestWhere((at) => carries(at, 'heat')),",
      '\n    flat: smallestWhere((at) => at.currentA !== null && countedAmps(at) <= 4 * at.copperMm2 * at.parallel),',
    );
    behind(
      'core/practice/questions.ts',
      'export const QUESTIONS: readonly Question[] = [',
      '\n  ofSchool(`flat`, msg`At 4 A/mm²`, msg`One figure for all.`, msg`A second opinion.`),',
    );
    behind('web/bench/gauge/GaugeStage.vue', '  heat: say`Heat balance`,', '\n  flat: say`At 4 A/mm²`,');
  },

  'a check of a stage': () => {
    behind('core/finding/topics.ts', "cut: ['cut', 'finished', 'second-mark'", ", 'long-cut'");
    behind(
      'core/cutting/findings.ts',
      'return [cutLength(lengths, a, b), finishedLength(lengths, run), secondMark(lengths, run, a, b)',
      ', longCut(lengths)',
    );
    behind(
      'core/cutting/findings.ts',
      'const SOURCE = msg`geometry of the finished cable`;\n',
      `
const longCut = ({ cutMm }: CableLengths): Finding =>
  atMost({ ...FACTS, topic: 'long-cut', title: msg\`Measured in one go\`, value: cutMm, ${WORK} }, 5000);
`,
    );
    instead(
      'core/cutting/findings.ts',
      "import { type Finding, stated } from '../finding/finding.ts';",
      "import { atMost, type Finding, stated } from '../finding/finding.ts';",
    );
  },

  'a step of making': () =>
    behind(
      'core/traveller/steps.ts',
      'function label({ tag }: Cable): PlainStep {\n  return {',
      "\n    // Tried by the recipe.\n    caution: { of: 'burns', says: msg`It is still warm.` },",
    ),

  'a piece of a fault hunt': () =>
    behind(
      'core/model/tables/chainPieces.ts',
      'export const CHAIN_PIECES = {',
      "\n  relay: { sort: 'device', title: msg`relay`, milliohm: 0.3, weight: 2, cause: msg`burnt contacts` },",
    ),

  'a kind of place': () => {
    behind('core/model/tables/places.ts', "  ground: ['post'],", "\n  terminal: ['post'],");
    behind(
      'core/model/tables/places.ts',
      '  ground: { title: msg`chassis or engine block` },',
      '\n  terminal: { title: msg`terminal` },',
    );
    behind(
      'core/model/system.ts',
      "  z.strictObject({ ...place, kind: z.literal('ground') }),",
      "\n  z.strictObject({ ...place, kind: z.literal('terminal') }),",
    );
    behind('core/system/solve.ts', "      case 'bar':", "\n      case 'terminal':");
    behind(
      'core/system/places.ts',
      "    case 'ground':\n      return { id, name, kind };",
      "\n    case 'terminal':\n      return { id, name, kind };",
    );
    behind('core/system/chain.ts', "    case 'dcdc':\n    case 'ground':", "\n    case 'terminal':");
  },

  'a die': () => behind('core/model/tables/lowCostDies.ts', "  '120': 16.2,", "\n  '150': 18.1,"),

  'a language': () => {
    const messages = JSON.parse(read('words/messages.json')) as Record<string, unknown>;
    const translated = Object.fromEntries(Object.keys(messages).map((message) => [message, `«${message}»`]));
    writeFileSync(join(house, 'words/xx.json'), JSON.stringify(translated));
    instead('web/locale.ts', "nl: 'Nederlands' }", "nl: 'Nederlands', xx: 'Xx' }");
    behind(
      'web/words.ts',
      "import dutch from '../words/nl.json?url';",
      "\nimport xx from '../words/xx.json?url';",
    );
    instead('web/words.ts', '{ nl: dutch }', '{ nl: dutch, xx }');
  },

  'a file version': () => {
    cpSync(join(house, 'demo/teasel.json'), join(house, 'core/model/fixtures/job-v5.json'));
    instead('core/model/job.ts', 'export const VERSION = 6;', 'export const VERSION = 7;');
  },
};

/** What the copied house answers, asked in one go by its own code. */
const QUESTIONS = `
import { readFileSync } from 'node:fs';
import { speak } from './core/words/language.ts';
const { genericShop } = await import('./core/model/catalogue/genericShop.ts');
const { newCable } = await import('./core/model/newCable.ts');
const { readJobFile } = await import('./core/model/file.ts');
const { tell } = await import('./core/words/message.ts');
const { workUpCable } = await import('./core/workup.ts');
const { QUESTIONS } = await import('./core/practice/questions.ts');
const { pieceSchema } = await import('./core/model/hunt.ts');
const { systemSchema, everythingOn } = await import('./core/model/system.ts');
const { systemWork } = await import('./core/systemWork.ts');
const { emptyJob } = await import('./core/model/newCable.ts');
const system = systemSchema.parse({ places: [{ id: 't', name: 'T', kind: 'terminal' }], bonds: [], states: [everythingOn('s', 'On')] });
const { expectedMilliohm } = await import('./core/hunt/expected.ts');
const shop = genericShop();
const cable = { ...newCable('c', 'C-1', shop), gauge: { kindId: 'trial-flex' } };
const work = workUpCable({ ...cable, run: { ...cable.run, load: { kind: 'amps', amps: 90 }, lengthMm: 6000 } }, shop);
const topics = work.findings.map(({ topic }) => topic);
const piece = pieceSchema.parse({ id: 'p', kind: 'relay', title: 'R', side: 'out' });
const old = readJobFile(readFileSync('core/model/fixtures/job-v5.json', 'utf8'));
const before = readJobFile(readFileSync('core/model/fixtures/job-v1.json', 'utf8'));
const messages = JSON.parse(readFileSync('words/xx.json', 'utf8'));
speak({ code: 'xx', messages });
const spoken = tell(workUpCable(cable, shop).findings.find(({ topic }) => topic === 'drop').title);
console.log(JSON.stringify({
  kind: work.kind.title,
  flat: topics.includes('amps-flat') && work.choice.schools.some(({ school }) => school === 'flat'),
  asked: QUESTIONS.some(({ id }) => id === 'school-flat'),
  longCut: work.findings.find(({ topic }) => topic === 'long-cut')?.state,
  caution: work.steps.find(({ id }) => id === 'label')?.caution?.of,
  milliohm: expectedMilliohm(piece, 20),
  die: shop.dies.some(({ stamp }) => stamp === '150'),
  spoken,
  version: old.ok && old.value.version,
  terminal: systemWork({ ...emptyJob('j', 'J'), system }, shop).view.solved.states[0].places[0].amps,
  schools: before.ok && before.value.shop.practice.schools.flat,
}));
`;

interface Answers {
  readonly kind: string;
  readonly flat: boolean;
  readonly asked: boolean;
  readonly longCut: string;
  readonly caution: string;
  readonly milliohm: number;
  readonly die: boolean;
  readonly terminal: number;
  readonly spoken: string;
  readonly version: number;
  readonly schools: boolean;
}

describe('the recipes of CONTRIBUTING, followed to the letter', () => {
  let answers: Answers;
  beforeAll(() => {
    for (const part of [
      'core',
      'web',
      'words',
      'demo',
      'package.json',
      'tsconfig.base.json',
      'tsconfig.core.json',
      // What the types were checked with just before: only what a recipe changes is checked again.
      '.cache/types-core.tsbuildinfo',
    ].filter((part) => existsSync(part)))
      cpSync(part, join(house, part), { recursive: true });
    symlinkSync(resolve('node_modules'), join(house, 'node_modules'));
    Object.values(RECIPES).forEach((follow) => follow());
    writeFileSync(join(house, 'ask.ts'), QUESTIONS);
    const { stdout, stderr } = spawnSync('node', ['--import', resolve('scripts/typescript.mjs'), 'ask.ts'], {
      cwd: house,
      encoding: 'utf8',
    });
    if (stdout === '') throw new Error(stderr);
    answers = JSON.parse(stdout) as Answers;
  });

  test('CONTRIBUTING has no recipe that is not followed here', () => {
    const titles = [...readFileSync('CONTRIBUTING.md', 'utf8').matchAll(/^## (An? .+)$/gm)].map(([, title]) =>
      (title ?? '').toLowerCase(),
    );
    expect(titles.sort()).toEqual(Object.keys(RECIPES).sort());
  });
  test('all of it together is core that compiles', () => {
    const { stdout, status } = spawnSync(
      'node',
      ['node_modules/typescript7/bin/tsc', '-p', 'tsconfig.core.json', '--singleThreaded'],
      {
        cwd: house,
        encoding: 'utf8',
      },
    );
    expect([status, stdout]).toEqual([0, '']);
  });
  test('a cable kind is on offer and is worked up', () => expect(answers.kind).toBe('Trial flex'));
  test('a school of sizing close, answers alone, is asked for, and older files have it', () =>
    expect([answers.flat, answers.asked, answers.schools]).toEqual([true, true, true]));
  test('a check of a stage stands in the ledger', () => expect(answers.longCut).toBe('fails'));
  test('a step of making shows what was written for it', () => expect(answers.caution).toBe('burns'));
  test('a piece of a fault hunt takes what its table says', () => expect(answers.milliohm).toBe(0.3));
  test('a kind of place stands in a system', () => expect(answers.terminal).toBe(0));
  test('a die is in the case', () => expect(answers.die).toBe(true));
  test('a language is spoken', () => expect(answers.spoken).toMatch(/^«/));
  test('a file version reads the one before it', () => expect(answers.version).toBe(7));
});
