import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { readJobFile } from '../model/file.ts';
import { workUp } from '../workup.ts';
import { mendedAt } from './mended.ts';
import { TOPICS } from './topics.ts';

test('a short that is not known is corrected where the source is entered', () => {
  expect(mendedAt('short')).toEqual({ stage: 'run', part: 'source' });
  expect(mendedAt('hole')).toEqual({ stage: 'run', part: 'route' });
  expect(mendedAt('selective')).toBeNull();
});
test('every finding of a cable that does not hold has a place where it is corrected', () => {
  for (const name of ['teasel', 'marrow', 'hut']) {
    const parsed = readJobFile(readFileSync(`demo/${name}.json`, 'utf8'));
    if (!parsed.ok) throw new Error(parsed.sentence);
    const { cables } = workUp(parsed.value.job, parsed.value.shop, '2026-11-29');
    const open = cables.flatMap(({ findings }) => findings).filter(({ state }) => state !== 'holds');
    expect(open.length).toBeGreaterThan(0);
    const system: readonly string[] = TOPICS.system;
    for (const { topic } of open.filter((own) => !system.includes(own.topic)))
      expect([topic, mendedAt(topic)]).not.toContain(null);
  }
});
