import { type BrowserContext, expect, type Page, test } from '@playwright/test';
import { App } from '../app.ts';
import { allStored } from '../store.ts';

const KILLS = Number(process.env['KILLS'] ?? 200);
/** What is older than this is there after any kill, ms. */
const KEPT_AFTER_MS = 1000;

interface Job {
  readonly cables: readonly { readonly id: string; readonly ends: { readonly B: { readonly at: string } } }[];
}
async function crash(context: BrowserContext, page: Page): Promise<void> {
  const gone = page.waitForEvent('crash');
  const cdp = await context.newCDPSession(page);
  void cdp.send('Page.crash').catch(() => {});
  await gone;
  await page.close();
}

test(`of ${KILLS} kills in steady typing, singly and in bursts, none loses what is older than a second`, async ({
  page,
  context,
}) => {
  const app = new App(page);
  await app.openDemo();
  await app.saved();
  await page.close();
  let worst = 0;
  for (let kill = 0; kill < KILLS; kill += 1) {
    const own = await context.newPage();
    await own.goto('/job/teasel/cable/th3/run');
    const field = new App(own).field('To, end B');
    await field.waitFor();
    const isBurst = kill % 2 === 1;
    const times: number[] = [];
    const edits = isBurst ? 12 + (kill % 16) : 1 + (kill % 3);
    for (let i = 0; i < edits; i += 1) {
      await field.fill(`${kill}.${i}`);
      await field.press('Enter');
      times.push(Date.now());
      if (!isBurst) await own.waitForTimeout(200 + ((kill * 37) % 900));
    }
    await own.waitForTimeout((kill * 13) % 400);
    const killedAt = Date.now();
    await crash(context, own);
    const look = await context.newPage();
    await look.goto('/anchor.svg');
    const { 'job:teasel': job } = (await allStored(look)) as unknown as { 'job:teasel': Job };
    await look.close();
    const kept = job.cables.find(({ id }) => id === 'th3')?.ends.B.at ?? '';
    const at = kept.startsWith(`${kill}.`) ? Number(kept.split('.')[1]) : -1;
    const lost = times.slice(at + 1).map((time) => killedAt - time);
    worst = Math.max(worst, 0, ...lost);
    expect(Math.max(0, ...lost), `kill ${kill}: kept ${kept} of ${edits}`).toBeLessThan(KEPT_AFTER_MS);
  }
  process.stdout.write(`the oldest edit lost was ${worst} ms old\n`);
});
