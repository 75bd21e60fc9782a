import { expect, type Page, test } from '@playwright/test';
import { App } from '../app.ts';
import { allStored } from '../store.ts';

const RACES = Number(process.env['RACES'] ?? 200);
const follows = (page: Page) => page.getByRole('button', { name: 'Work here instead' }).isVisible();

test(`in ${RACES} races of “Work here instead” there is one writer, and it writes`, async ({ context }) => {
  const pages: Page[] = [];
  for (let i = 0; i < 3; i += 1) {
    const page = await context.newPage();
    await page.goto('/demo');
    if (i === 0) await page.getByRole('button', { name: 'Look around the example' }).click();
    await page.goto('/job/teasel/cable/th3/run');
    await new App(page).field('To, end B').waitFor();
    pages.push(page);
  }
  for (let race = 0; race < RACES; race += 1) {
    const followers: Page[] = [];
    for (const page of pages) if (await follows(page)) followers.push(page);
    // All that follow are pressed at once, now and then twice.
    await Promise.all(
      followers.map((page) =>
        page
          .getByRole('button', { name: 'Work here instead' })
          .click({ clickCount: race % 3 === 0 ? 2 : 1, timeout: 2000 })
          .catch(() => {}),
      ),
    );
    // Whoever asked last has it in the end; until then it goes from hand to hand.
    let at = -1;
    let steady = 0;
    await expect
      .poll(
        async () => {
          const writers = (await Promise.all(pages.map(follows))).flatMap((own, i) => (own ? [] : [i]));
          const [only = -1] = writers.length === 1 ? writers : [];
          steady = only >= 0 && only === at ? steady + 1 : 0;
          at = only;
          return steady;
        },
        { timeout: 20_000, intervals: [250] },
      )
      .toBeGreaterThanOrEqual(3);
    const writer = pages[at] as Page;
    if (race % 10 !== 0) continue;
    const app = new App(writer);
    await app.type('To, end B', `race ${race}`);
    await app.saved();
    for (const page of pages)
      await expect(new App(page).field('To, end B')).toHaveValue(`race ${race}`, { timeout: 10_000 });
  }
});

test('a writer that was frozen and lost its turn writes nothing when it wakes', async ({ context }) => {
  const first = await context.newPage();
  await first.goto('/demo');
  await first.getByRole('button', { name: 'Look around the example' }).click();
  await first.goto('/job/teasel/cable/th3/run');
  const one = new App(first);
  await one.type('To, end B', 'before');
  await one.saved();
  const second = await context.newPage();
  await second.goto('/job/teasel/cable/th3/run');
  const two = new App(second);
  await expect(second.getByRole('button', { name: 'Work here instead' })).toBeVisible();
  for (let round = 0; round < 10; round += 1) {
    const cdp = await context.newCDPSession(first);
    await one.field('To, end B').fill(`frozen ${round}`);
    // Entered and at once stopped: its save is still to come, and nothing of it runs until it is woken.
    await first.keyboard.press('Enter');
    await cdp.send('Page.setWebLifecycleState', { state: 'frozen' });
    await second.waitForTimeout(200);
    await second.getByRole('button', { name: 'Work here instead' }).click();
    await expect(second.getByRole('button', { name: 'Work here instead' })).toBeHidden({ timeout: 15_000 });
    await two.type('To, end B', `second ${round}`);
    await two.saved();
    await cdp.send('Page.setWebLifecycleState', { state: 'active' });
    await cdp.detach();
    await second.waitForTimeout(700);
    const { 'job:teasel': job } = (await allStored(second)) as unknown as {
      'job:teasel': { cables: { id: string; ends: { B: { at: string } } }[] };
    };
    expect(job.cables.find(({ id }) => id === 'th3')?.ends.B.at).toBe(`second ${round}`);
    // And back again.
    await first.getByRole('button', { name: 'Work here instead' }).click();
    await expect(first.getByRole('button', { name: 'Work here instead' })).toBeHidden({ timeout: 15_000 });
  }
});
