import { expect } from '@playwright/test';
import { App } from './app.ts';
import { alone, test } from './test.ts';

/** The amps that a cable's words on the diagram say. */
const onDiagram = (app: App, tag: string) => app.page.getByRole('link', { name: new RegExp(`^${tag}, `) });

/** A place on the diagram, by what it says. */
const onSheet = (app: App, says: RegExp) =>
  app.page.getByRole('group', { name: 'Diagram of the system' }).getByRole('button', { name: says });

test(
  'the installation on one sheet: states switch in place, a finding points, a cable leads to its bench',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'System' }).click();
    await expect(page.getByRole('heading', { name: 'System' })).toBeVisible();
    const diagram = page.getByRole('group', { name: 'Diagram of the system' });
    await expect(diagram).toBeVisible();
    await expect(app.ledger.getByRole('heading')).toContainText('PN-1 under Fuse F1');

    await page.getByRole('radio', { name: /^Thruster 3 min in 15/ }).click();
    await expect(onDiagram(app, 'TH-1')).toHaveAttribute('aria-label', /248\.0 A/);
    await expect(onSheet(app, /^Thruster, 23\.2\d V, 240\.0 A/)).toBeVisible();
    await page.getByRole('radio', { name: /^Under way/ }).click();
    await expect(onSheet(app, /^Thruster, off/)).toBeVisible();
    await expect(onSheet(app, /^Solar controller, gives 40\.0 A/)).toBeVisible();

    // A finding opens to its numbers, and what it speaks of is marked.
    await app.ledger.getByRole('button', { name: /^Thruster, voltage drop/ }).click();
    await expect(app.ledger).toContainText('TH-3: ');
    await expect(app.ledger).toContainText('Kirchhoff');
    await expect(diagram.locator('path.halo').first()).toBeAttached();
    expect(await app.seriousProblems('main')).toEqual([]);

    // What each load gets, a row a load and a column a state.
    const table = page.getByRole('table', { name: 'What each load gets' });
    await expect(table.getByRole('row', { name: /^Thruster/ })).toContainText(/23\.2\d V.*5\.1.*close/);

    await onDiagram(app, 'PN-1').press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('PN-1');
    await app.stage('Run');
    const from = page.getByRole('region', { name: 'From the system' });
    await expect(from.getByRole('row', { name: /^Fuse/ })).toContainText('Fuse F1, 250 A');
    await expect(app.field('Continuous')).toBeHidden();
    await from.getByRole('button', { name: 'Current: type it here' }).click();
    await expect(app.field('Continuous')).toBeVisible();
    await from.getByRole('button', { name: 'Take all from the system' }).click();
    await expect(app.field('Continuous')).toBeHidden();
    await from.getByRole('link', { name: 'Open the system' }).click();
    await expect(diagram).toBeVisible();
  },
);

test(
  'a chain typed in one line is shown, completed, refused with a reason, taken, and undone',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/system');
    const chain = app.field('Add a chain');
    await chain.fill('Bus + · Nonsense · Bank −');
    await chain.press('Enter');
    await expect(page.getByRole('alert')).toContainText('“Nonsense”: No place has that name.');
    await expect(chain).toHaveValue('Bus + · Nonsense · Bank −');

    await chain.fill('Bu');
    await page.getByRole('list', { name: 'Places that fit' }).getByRole('button', { name: 'Bus +' }).click();
    await expect(chain).toHaveValue('Bus + · ');
    await chain.fill('Bus + · fuse 60 · Windlass 900 W · Bank −, 4.2 m');
    await expect(page.getByRole('status').filter({ hasText: 'WI-1' })).toContainText(
      /WI-1 Bus \+ → Fuse F\d+, 0\.15.m \(new\)/,
    );
    await chain.press('Enter');
    const rack = page.getByRole('region', { name: 'Rack' });
    await expect(rack.getByText('18 cables')).toBeVisible();
    await expect(onSheet(app, /^Windlass, 2\d\.\d+ V, 3\d\.\d A/)).toBeVisible();
    await expect(page.getByRole('row', { name: /^Windlass/ })).toContainText('passes');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rack.getByText('15 cables')).toBeVisible();
    await expect(onSheet(app, /^Windlass/)).toHaveCount(0);

    // From a post, by pointing or by its key.
    await page.getByRole('button', { name: 'Cable from Panel +' }).press('Enter');
    await expect(chain).toHaveValue('Panel + · ');
    await expect(chain).toBeFocused();
  },
);

test(
  'places and states are changed by hand; a place deleted asks about its cables, and all of it undoes',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/system');
    await onSheet(app, /^Panel, /).click();
    const box = page.getByRole('dialog', { name: 'Panel' });
    await app.refuses('Name', 'Thruster', /place of that name/);
    await app.type('Current', '30');
    await box.getByRole('button', { name: 'Done' }).click();
    await expect(onSheet(app, /^Panel, 2\d\.\d+ V, 30\.0 A/)).toBeVisible();

    await onSheet(app, /^Panel, /).click();
    await box.getByRole('button', { name: 'Delete this place' }).click();
    await expect(box).toContainText('What happens to PN-1, PN-2?');
    await box.getByRole('button', { name: 'Keep them, with that end loose' }).click();
    await expect(onSheet(app, /^Panel, /)).toHaveCount(0);
    await expect(app.ledger.getByRole('button', { name: /PN-1, places of its ends/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(onSheet(app, /^Panel, /)).toBeVisible();

    await page.getByRole('button', { name: 'States', exact: true }).click();
    const states = page.getByRole('dialog', { name: 'States of the system' });
    await states.getByRole('button', { name: 'Add a state' }).click();
    await app.type('Name of the state', 'Towing');
    await app.type('Inverter', '0');
    await app.type('Thruster', '0');
    await states.getByRole('switch', { name: 'Isolator' }).click();
    await states.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('radio', { name: /^Towing continuous/ })).toBeChecked();
    await expect(onSheet(app, /^Isolator, open/)).toBeVisible();
    await expect(onDiagram(app, 'TH-1')).toHaveAttribute('aria-label', /0\.0 A/);
    await app.saved();
  },
);

test('grounds are joined, measured and parted by hand', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/marrow/system');
  await onSheet(app, /^Engine block/).click();
  const box = page.getByRole('dialog', { name: 'Engine block' });
  await app.refuses('Resistance to Chassis, with its straps', '2000', /out of range: 0 to 1/);
  await app.type('Resistance to Chassis, with its straps', '');
  await box.getByRole('button', { name: 'Done' }).click();
  const unmeasured = app.ledger.getByRole('button', { name: /^Engine block to Chassis, resistance/ });
  await expect(unmeasured).toBeVisible();

  await onSheet(app, /^Engine block/).click();
  await box.getByRole('button', { name: 'Not joined to Chassis' }).click();
  await expect(app.field('Resistance to Chassis, with its straps')).toHaveCount(0);
  await app.choose('Joined by metal or a strap to', 'Chassis');
  await app.type('Resistance to Chassis, with its straps', '0.7');
  await box.getByRole('button', { name: 'Done' }).click();
  await expect(unmeasured).toHaveCount(0);
  await app.saved();
});

test(
  'the installation as a list: figures are taken from the system for one cable and for all, and a place opens',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/system');
    const list = page.getByRole('region', { name: 'Places and cables' });
    await list.getByRole('button', { name: 'Places and cables as a list' }).click();
    const row = (name: string) => list.getByRole('row').filter({ hasText: name });
    await expect(row('Battery 1').first()).toContainText(/\d V, \d/);
    await row('TH-3').last().getByRole('button', { name: 'as typed' }).click();
    await expect(row('TH-3').last().getByRole('button', { name: 'from the system' })).toBeVisible();
    await list.getByRole('button', { name: 'Take all figures from the system' }).click();
    await expect(list.getByRole('button', { name: 'as typed' })).toHaveCount(0);
    await row('TH-1').last().getByRole('button', { name: 'from the system' }).click();
    await expect(list.getByRole('button', { name: 'as typed' })).toHaveCount(1);
    await list.getByRole('button', { name: 'Battery 1', exact: true }).click();
    await page.getByRole('dialog', { name: 'Battery 1' }).getByRole('button', { name: 'Done' }).click();
    await app.saved();
  },
);

test('a hunt begins along the way that the system traces to a load', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/hunt');
  await app.choose('Begin with', /^the circuit to Inverter/);
  await page.getByRole('button', { name: 'Begin the hunt' }).click();
  await expect(page.getByText('IN-1 lug A').first()).toBeVisible();
  await expect(page.getByText('Isolator', { exact: true }).first()).toBeVisible();
});

test('the diagram and its tables go out as PDF, SVG and CSV', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/system');
  await expect(page.getByRole('group', { name: 'Diagram of the system' })).toBeVisible();
  const out = page.getByRole('region', { name: 'Save the system' });
  const saved = async (name: string | RegExp) =>
    (await app.handedOver(out.getByRole('button', { name }))).bytes;
  expect((await saved(/^PDF/)).subarray(0, 5).toString()).toBe('%PDF-');
  const svg = (await saved('SVG')).toString();
  expect(svg).toContain('<svg');
  expect(svg).toContain('TH-3');
  expect((await saved('CSV of places')).toString()).toMatch(
    /^place,kind,volts,amps,short most A,short least A\n/,
  );
  expect((await saved('CSV of cables')).toString()).toMatch(
    /\nPN-1,Bus \+,Panel \+,16 mm²,3100,8\.00,8\.00,Fuse F1\n/,
  );
  expect((await saved('CSV of loads')).toString()).toMatch(
    /\nThruster,Thruster,23\.2\d+,240\.00,5\.1\d+,5\.50\n/,
  );
});

test('an empty job begins from a starting point, by its figures', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openEmptyJob();
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'System' }).click();
  await page.getByRole('button', { name: 'Inverter on its bank' }).click();
  await app.refuses('Inverter, watts', '99 kW', /out of range/);
  await app.type('Inverter, watts', '1200');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(onSheet(app, /^Inverter, 1\d\.\d+ V, 1\d\d\.\d A/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rack' }).getByText('4 cables')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Begin from' })).toBeVisible();
});

alone(
  'on a phone the loads come first, then places and cables; the diagram is a press away',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await app.openDemo('/job/teasel/system');
    await expect(page.getByRole('table', { name: 'What each load gets' })).toBeVisible();
    await expect(
      page.getByRole('region', { name: 'Places and cables' }).getByRole('button', { name: 'Panel' }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Show the diagram' }).click();
    await expect(page.getByRole('group', { name: 'Diagram of the system' })).toBeVisible();
  },
);
