import { readFileSync } from 'node:fs';
import { expect, jest, test } from '@jest/globals';
import { isThereTime } from '../lib/casesFixture.ts';

const dutch = JSON.parse(readFileSync('words/nl.json', 'utf8')) as Record<string, string>;

/** All that is computed of the demo jobs and is no wording: figures, states, choices and their order. */
async function figuresIn(language: string | null): Promise<string[]> {
  jest.resetModules();
  const words = await import('./language.ts');
  words.speak(language === null ? null : { code: language, messages: dutch });
  words.writeDecimalsWith(language === null ? '.' : ',');
  const { jobFileSchema } = await import('../model/job.ts');
  const { workUp } = await import('../workup.ts');
  const { kitOf } = await import('../cutting/kit.ts');
  const { logOf } = await import('../log/log.ts');
  const { huntFound } = await import('../hunt/suspects.ts');
  return (isThereTime ? ['teasel', 'marrow', 'hut'] : ['hut']).flatMap((name) => {
    const { job, shop, hunts = [] } = jobFileSchema.parse(
      JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')),
    );
    const works = workUp(job, shop).cables;
    return [
      ...works.flatMap(({ cableId, ends, lengths, findings, steps, verdict }) => [
        JSON.stringify([cableId, ends.A.lug?.id, ends.A.die?.die.id, ends.B.lug?.id, ends.B.die?.die.id]),
        JSON.stringify([cableId, ends.A.sleeve?.sleeve.id, ends.B.sleeve?.sleeve.id, lengths, verdict.state]),
        ...findings.map(({ id, end, value, state, limit, use }) =>
          JSON.stringify([cableId, id, end, value, state, limit, use]),
        ),
        JSON.stringify(steps.map(({ id, figure: own }) => [id, own?.value, own?.unit])),
      ]),
      JSON.stringify(
        kitOf(
          job.cables.flatMap((cable, i) => (works[i] ? [{ cable, work: works[i], key: cable.id }] : [])),
          shop,
        )
          .lines.map(({ key, need, have, buy, price }) => [key, need, have, buy, price] as const)
          // They are listed by name, so their order is the language's.
          .sort(([a], [b]) => (a < b ? -1 : 1)),
      ),
      JSON.stringify(
        logOf([job], shop).map(({ cable, made, fitted, dues }) => [
          [cable.id, made, fitted],
          dues.map(({ what, by, since }) => [what, by, since]),
        ]),
      ),
      ...hunts.map((hunt) =>
        JSON.stringify(huntFound(hunt).suspects.map(({ piece, wastedW, milliohm }) => [piece.id, wastedW, milliohm])),
      ),
    ];
  });
}

test('the language changes no figure, no state and no choice', async () => {
  const english = await figuresIn(null);
  const inDutch = await figuresIn('nl');
  expect(english.length).toBeGreaterThan(isThereTime ? 500 : 100);
  expect(inDutch).toEqual(english);
});
