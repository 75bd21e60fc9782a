import usual from './playwright.config.ts';

/** What takes too long for every change: the monkey, the kills, the races, five hundred cables. */
export default {
  ...usual,
  testDir: 'e2e/slow',
  timeout: 1_800_000,
  retries: 0,
  testIgnore: [],
  reporter: [['list']] as [['list']],
};
