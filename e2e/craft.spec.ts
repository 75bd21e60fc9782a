import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import type { JobFile } from '../core/model/job.ts';
import { App } from './app.ts';
import { test } from './test.ts';

type Altered = JobFile & { job: JobFile['job']; shop: NonNullable<JobFile['shop']> };

/** The demo, altered and brought in under another name. */
async function withDemo(page: Page, alter: (file: Altered) => void): Promise<App> {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/cut');
  const file = JSON.parse(readFileSync('demo/teasel.json', 'utf8')) as Altered;
  Object.assign(file.job, { id: 'craft', title: 'Craft' });
  alter(file);
  await app.import(JSON.stringify(file), 'craft.json');
  await expect(page).toHaveURL(/\/job\/craft\//);
  await app.saved();
  return app;
}
const cableOf = ({ job }: Altered, tag: string) => {
  const cable = job.cables.find((own) => own.tag === tag);
  if (!cable) throw new Error(tag);
  return cable;
};
/** Opens a lug in the tool case. */
async function openLug(page: Page, label: string): Promise<void> {
  await page.getByRole('link', { name: 'Tool case' }).click();
  await page.getByRole('tab', { name: 'Lugs' }).click();
  await page.getByRole('textbox', { name: 'Find a lug' }).fill(label);
  await page.getByRole('button', { name: label }).first().click();
}
/** What the bench asks in turn, by its short names. */
const stepsOf = (page: Page) => page.getByRole('main');

test(
  'a shop that owns a lever alone is led through its crimp, and asked for its trial',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    for (const tool of ['Hand hydraulic, hexagon set', 'Bench hydraulic, code dies', 'Hammer-struck plunger'])
      await page
        .getByRole('region', { name: tool })
        .getByRole('button', { name: /Remove this tool/ })
        .click();
    await app.saved();
    await app.cable('IN-2');
    await app.stage('Ends');
    await expect(app.ledger.getByRole('button', { name: /Trial crimps/ }).first()).toContainText(
      'not proved',
    );
    await app.stage('Make');
    await expect(stepsOf(page)).toContainText(/Crimp A/);
  },
);

test(
  'a tool too weak for its die is not proposed; one that nobody weighed is',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    const press = page.getByRole('region', { name: 'Bench hydraulic, code dies' });
    await press.getByRole('textbox', { name: 'Force of the tool' }).fill('20 kN');
    await page.keyboard.press('Enter');
    await app.saved();
    await app.cable('TH-4');
    await app.stage('Ends');
    await expect(page.getByRole('region', { name: 'End A' })).not.toContainText('Bench hydraulic');
    await page.getByRole('button', { name: 'Undo' }).click();
  },
);

test(
  'a lug made from tube is kept, put on an end, and made at the bench',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Lug from tube' }).click();
    await page.getByRole('button', { name: 'Save as a shop lug' }).click();
    const kept = page.getByRole('status').filter({ hasText: 'is now among the lugs' });
    const label = ((await kept.textContent()) ?? '').split(' is now among')[0]?.trim() ?? '';
    expect(label).not.toBe('');
    await app.cable('TH-4');
    await app.stage('Ends');
    await page.getByRole('region', { name: 'End A' }).getByRole('button', { name: 'Lug of A' }).click();
    await page.getByRole('option', { name: label }).first().click();
    await app.saved();
    await app.stage('Make');
    await expect(stepsOf(page)).toContainText(/Flatten|Anneal|Ream/i);
  },
);

test('a branch is nipped in a step of its own, and the shelf is asked for flux, slugs and adapters', async ({
  page,
}) => {
  const app = await withDemo(page, (file) => {
    const cable = cableOf(file, 'TH-4');
    cable.joins = [{ id: 'j1', kind: 'branch', atMm: 3000, branchMm2: 10 }];
    cable.ends.A = { ...cable.ends.A, method: 'solder' };
    cable.ends.B = { ...cable.ends.B, method: 'slug then crimp' };
    const other = cableOf(file, 'PN-1');
    other.ends.A = {
      ...other.ends.A,
      post: { kind: 'large taper', polarity: 'positive' },
      adapter: 'large-to-m10',
    };
  });
  await app.cable('TH-4');
  await app.stage('Make');
  await expect(stepsOf(page)).toContainText(/nip/);
  await page.getByRole('link', { name: 'Kit', exact: false }).first().click();
  const kit = page.locator('main');
  await expect(kit).toContainText('Rosin flux');
  await expect(kit).toContainText('Solder slug for 70, pre-fluxed');
  await expect(kit).toContainText(/Large taper.*M10|adapter/i);
});

test('a connector in a jacket of its own asks for a pull alone', { tag: '@page' }, async ({ page }) => {
  const app = await withDemo(page, (file) => {
    const butt = file.shop.lugs.find(({ form, forSize }) => form === 'butt' && forSize.name === '70');
    if (!butt) throw new Error('the demo has a connector of 70');
    butt.cover = 'sealed';
    butt.label = '70 sealed';
    cableOf(file, 'TH-4').joins = [{ id: 'j1', kind: 'butt', atMm: 3000, connectorId: butt.id }];
  });
  await app.cable('TH-4');
  await app.stage('Prove');
  await page.getByRole('radio', { name: 'join 1' }).click();
  await expect(page.getByText('under its own jacket: only a pull tests it')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Across flats, towards A' })).toBeHidden();
  await expect(page.getByRole('textbox', { name: 'Pull through the join' })).toBeVisible();
  await openLug(page, '70 sealed');
  await app.choose('Supplied in', 'bare');
  await app.saved();
});

test('a braided strap is for ground: on a positive it fails, on a negative nothing of it does', async ({
  page,
}) => {
  const app = await withDemo(page, (file) => {
    file.shop.cableKinds.push({
      id: 'strap',
      title: 'Braided strap',
      tinned: true,
      strands: 'extra fine',
      insulation: 'bare',
      limitC: 105,
      ratedV: 60,
      stands: { oil: true, sun: true, flame: true },
      bend: 4,
      sizes: [{ size: { system: 'metric', name: '70' }, outerMm: 12.5, pricePerM: 14 }],
    });
    for (const tag of ['TH-3', 'TH-4']) cableOf(file, tag).gauge = { kindId: 'strap' };
  });
  await app.cable('TH-3');
  await app.stage('Gauge');
  await expect(app.ledger.getByRole('button', { name: /Suitable: live/ })).toContainText('fails');
  await app.cable('TH-4');
  await expect(app.ledger.getByRole('button', { name: /Suitable: live/ })).toHaveCount(0);
  await app.stage('Prove');
  await expect(app.ledger.getByRole('button', { name: /Insulation, whole/ })).not.toContainText('not proved');
});

test(
  'a lug that comes loaded with solder takes so much less, and flux is looked for once it is soldered',
  { tag: '@page' },
  async ({ page }) => {
    const app = await withDemo(page, (file) => {
      const cable = cableOf(file, 'TH-4');
      const lugId = file.shop.lugs.find(({ label }) => label === '70-10 heavy')?.id ?? '';
      for (const end of ['A', 'B'] as const)
        cable.ends[end] = { ...cable.ends[end], method: 'solder', lugId };
    });
    await openLug(page, '70-10 heavy');
    await app.type('Solder in its barrel', '40');
    await app.saved();
    await app.cable('TH-4');
    await app.stage('Ends');
    await page.getByRole('tab', { name: 'Crimp or solder, strands' }).click();
    await expect(page.getByRole('region', { name: 'End A' })).toContainText(
      /70-10 heavy brings 40.0\s?g of its own/,
    );
    await app.stage('Prove');
    await page.getByRole('radio', { name: 'end A' }).click();
    await page.getByRole('navigation', { name: 'Checks' }).getByRole('button', { name: /^Look/ }).click();
    await expect(page.getByText('flux cleaned off').first()).toBeVisible();
  },
);

test(
  'a screw terminal is put on by hand alone, and has a day to be gone by; a fitting stands beside a clamp',
  { tag: '@page' },
  async ({ page }) => {
    const app = await withDemo(page, (file) => {
      const lug = file.shop.lugs.find(({ label }) => label === '70-10 heavy');
      if (!lug) throw new Error('no such lug');
      file.shop.lugs.push({
        ...lug,
        id: 'screwed',
        label: '70 screw terminal',
        form: 'screw terminal',
        metal: 'brass',
      });
      cableOf(file, 'TH-4').ends.B.lugId = 'screwed';
      const ground = cableOf(file, 'PN-2');
      ground.ends.B = {
        ...ground.ends.B,
        post: { kind: 'large taper', polarity: 'negative' },
        adapter: 'large-beside-m8',
      };
    });
    await app.cable('TH-4');
    await app.stage('Ends');
    await page.getByRole('tab', { name: 'Crimp or solder, strands' }).click();
    const temporary = app.ledger.getByRole('button', { name: /Temporary/ });
    await expect(temporary).toContainText('fails');
    await page
      .getByRole('region', { name: 'End B' })
      .getByRole('switch', { name: /get-you-home repair/ })
      .click();
    await app.type('Replace by, B', '2099-01-01');
    await expect(temporary).toContainText('watch');
    await app.saved();
    await app.cable('PN-2');
    await page.getByRole('tab', { name: 'Stud or post' }).click();
    await expect(page.getByRole('region', { name: 'End B' })).toContainText('parallel fitting');
  },
);

test('on a stud that is short for all its palms a thinner one goes on, and says why', async ({ page }) => {
  const app = await withDemo(page, (file) => {
    for (const stud of file.job.studs) stud.lengthMm = 22;
  });
  await app.cable('TH-4');
  await app.stage('Ends');
  await expect(page.getByRole('region', { name: 'End B' })).toContainText(/palm/i);
  await expect(app.ledger).toContainText('Stud length needed');
});

test('a palm bent in the tool case asks for a wider hole, and the bench says which side it goes', async ({
  page,
}) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/ends');
  const hole = app.ledger.getByRole('button', { name: /Through the hole/ });
  const straight = (await hole.textContent()) ?? '';
  await openLug(page, '70-8 heavy');
  await app.type('Palm to barrel', '90');
  await app.saved();
  await app.cable('TH-3');
  await app.stage('Ends');
  await page.getByRole('region', { name: 'End B' }).getByRole('button', { name: 'Lug of B' }).click();
  await page.getByRole('option', { name: '70-8 heavy' }).first().click();
  await expect(hole).not.toHaveText(straight);
  await hole.click();
  await expect(app.ledger).toContainText('α = 90°');
  await app.stage('Make');
  await page
    .getByRole('button', { name: /Push home B/ })
    .first()
    .click();
  await expect(stepsOf(page)).toContainText('90° off the cable');
});
