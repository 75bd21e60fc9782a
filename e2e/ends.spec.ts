import { expect, type Locator, type Page } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

/** A cable of the demo at its ends, at one of their parts. */
async function endsOf(page: Page, cable: string, part?: string): Promise<App> {
  const app = new App(page);
  await app.openDemo(`/job/${cable}/ends`);
  if (part) await page.getByRole('tab', { name: part }).click();
  return app;
}
const panelOf = (page: Page, end: 'A' | 'B'): Locator => page.getByRole('region', { name: `End ${end}` });
const row = (app: App, title: RegExp) => app.ledger.getByRole('button', { name: title });

test('a lug is offered with its reasons, and refused with its reason', async ({ page }) => {
  await endsOf(page, 'teasel/cable/th3');
  const panel = panelOf(page, 'A');
  await expect(panel.getByRole('list', { name: 'Why this lug' })).toContainText('die F right');
  await panel.getByRole('button', { name: 'Lug of A' }).click();
  const options = page.getByRole('option');
  await expect(options.first()).toContainText(/left, .*fill/);
  await expect(options.filter({ hasText: /refused:/ }).first()).toBeDisabled();
  await page.keyboard.press('Escape');
});

test(
  'another die is chosen, and the ledger says at once what it does',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3');
    await panelOf(page, 'B')
      .getByRole('radio', { name: /die 70, .*will not close/ })
      .click();
    await expect(row(app, /Compaction, c/)).toContainText('fails');
    await panelOf(page, 'B')
      .getByRole('button', { name: /lever 70/ })
      .click();
    await row(app, /Trial crimps/).click();
    await expect(app.ledger).toContainText('A trial held the usual pull.');
  },
);

test(
  'a stud shared with others: stacked, reordered, too short, too many',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th4', 'Stud or post');
    const panel = panelOf(page, 'B');
    await expect(panel.getByRole('img', { name: /M10 stud from its face: TH-4 B, charger/ })).toBeVisible();
    await app.type('Thread clear of the face at B', '18');
    await expect(row(app, /Stud length needed/)).toContainText('fails');
    await app.type('Thread clear of the face at B', '40');
    await panel.getByRole('button', { name: 'TH-4 B away from the face' }).click();
    await expect(row(app, /Order on the stud/)).toContainText('fails');
    await panel.getByRole('button', { name: 'Re-order by current' }).click();
    await expect(row(app, /Order on the stud/)).toContainText('passes');
    await panel.getByText('Also on this stud').click();
    for (const what of ['horn', 'bilge pump']) {
      await app.type('What else is on the stud at B', what);
    }
    await expect(row(app, /Lugs on the stud/)).toContainText('fails');
    await panel.getByRole('button', { name: 'remove horn' }).click();
    await expect(row(app, /Lugs on the stud/)).not.toContainText('fails');
    await app.type('What else is on the stud at B', 'bilge pump');
    await expect(page.getByRole('alert')).toHaveText('That is already on it.');
  },
);

test(
  'a new shared stud is made and named from an end that stood alone',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3', 'Stud or post');
    await app.choose('On the stud of A', /with others, a new one/);
    await expect(app.field('Name of the stud at A')).toHaveValue('Isolator');
    await app.cable('TH-2');
    await page.getByRole('tab', { name: 'Stud or post' }).click();
    await app.choose('On the stud of B', /^Isolator/);
    await expect(panelOf(page, 'B').getByRole('img', { name: /TH-3 A/ })).toBeVisible();
  },
);

test(
  'battery posts: a clamp for its pole, an adapter to a stud, the wrong pole said',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3', 'Stud or post');
    const panel = panelOf(page, 'A');
    await panel.getByRole('radio', { name: 'a battery post' }).click();
    await expect(row(app, /On the post/)).toContainText('passes');
    await expect(panel).toContainText('17.5 mm at the top');
    await panel.getByRole('radio', { name: 'negative' }).click();
    await expect(row(app, /On the post/)).toContainText('fails');
    await panel.getByRole('radio', { name: 'positive' }).click();
    await app.choose('Adapter of A', /large taper to M10/);
    await expect(row(app, /Adapter/)).toContainText('passes');
    await page.getByRole('tab', { name: 'Lug and die' }).click();
    await expect(panelOf(page, 'A').getByRole('button', { name: 'Lug of A' })).toContainText(/-10/);
  },
);

test('a screw clamp is due on its day, and a new day puts it off', { tag: '@page' }, async ({ page }) => {
  const app = await endsOf(page, 'marrow/cable/wn1', 'Crimp or solder, strands');
  await expect(row(app, /Temporary/)).toContainText('fails');
  await app.type('Replace by, A', '2026-02-30x');
  await expect(page.getByRole('alert')).toContainText('year-month-day');
  await app.type('Replace by, A', '2020-01-01');
  await expect(page.getByRole('alert')).toHaveText('That day is before it was fitted.');
  await app.type('Replace by, A', '2099-01-01');
  await expect(row(app, /Temporary/)).toContainText('watch');
});

test(
  'every method as a school, with what it means here; strands cut; tinned first',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3', 'Crimp or solder, strands');
    const panel = panelOf(page, 'B');
    const method = (name: RegExp) => panel.getByRole('radio', { name });
    await expect(method(/^slug then crimp/)).toContainText('creeps');
    await expect(method(/^solder /)).toContainText('105 °C');
    await method(/^crimp then solder/).click();
    await expect(row(app, /Flex at the step/)).toContainText('not proved');
    await app.type('First support from lug B', '80');
    await expect(row(app, /Flex at the step/)).not.toContainText('not proved');
    await panel.getByRole('switch', { name: 'moves there, B' }).click();
    await expect(row(app, /Flex at the step/)).toContainText('fails');
    await app.type('Strands cut at B', '9');
    await expect(row(app, /Strands cut/)).toContainText('fails');
    await expect(row(app, /Amps with what is left/)).toBeVisible();
    await app.type('Strands counted at B', '5');
    await expect(page.getByRole('alert')).toContainText('out of range');
    await app.type('Strands counted at B', '360');
    await panel.getByRole('switch', { name: 'strands of B were tinned first' }).click();
    await expect(row(app, /Strands tinned first/)).toContainText('fails');
    await method(/^solder /).click();
    await expect(row(app, /Strands tinned first/)).not.toContainText('fails');
    await app.stage('Make');
    await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Solder B');
    await app.stage('Prove');
    await page.getByRole('radio', { name: 'end B' }).click();
    const checks = page.getByRole('navigation', { name: 'Checks' });
    await expect(checks.getByRole('button', { name: /^Pull/ })).toBeVisible();
    await expect(checks.getByRole('button', { name: /^(Across flats|Ears|Section)/ })).toHaveCount(0);
  },
);

test(
  'layers: their order, what can no longer be added, and a pole that is never ambiguous',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3', 'Sleeve, layers');
    const panel = panelOf(page, 'A');
    for (const layer of ['braided sleeve', 'rubber boot', 'coloured band']) {
      await panel.getByRole('switch', { name: layer }).click();
    }
    await expect(panel.getByRole('listitem')).toContainText([
      /braided/,
      /label/,
      /boot/,
      /band/,
      /heat shrink/,
    ]);
    await expect(panel.getByRole('listitem').filter({ hasText: 'printed label' })).toContainText(
      'before the lug',
    );
    await app.choose('Band of A', 'yellow');
    await expect(row(app, /Polarity marked/)).toContainText('watch');
    await app.choose('Band of A', 'red');
    await expect(row(app, /Polarity marked/)).toContainText('passes');
    await panel.getByRole('radio', { name: /after it, over the palm/ }).click();
    await expect(row(app, /Sleeve goes over/)).toBeVisible();
  },
);

test(
  'through the hole: pulled bare and finished in place, with the tools that can work there',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th3', 'Route, joins');
    await expect(row(app, /Through the hole/)).toContainText('fails');
    await page.getByRole('button', { name: /Solution: pull it bare/ }).click();
    await expect(row(app, /Through the hole/)).toContainText('passes');
    const tools = page.getByRole('list', { name: 'Tools at B' });
    await expect(tools).toContainText('it cannot leave the bench');
    await app.type('Working space at B', '100');
    await expect(tools).toContainText('350 mm of room');
    await app.type('Working space at B', '700');
    await app.stage('Make');
    await expect(page.getByRole('list', { name: 'Steps' })).toContainText(/Shrink A.*Pull through.*Strip B/s);
  },
);

test(
  'a branch is sealed by a moulded part in place of a nipped sleeve, and an end that waits gets a cap',
  { tag: '@page' },
  async ({ page }) => {
    const app = await endsOf(page, 'teasel/cable/th4', 'Route, joins');
    await page.getByRole('button', { name: 'Sealed branch' }).click();
    await app.type('Conductor of the branch, mm²', '25');
    await expect(page.getByText('Sleeve of the join')).toBeVisible();
    await app.choose('Branch sealed by', 'a moulded part, two legs');
    await expect(page.getByText('Sleeve of the join')).toBeHidden();
    await expect(row(app, /Branch .*moulded part/)).not.toContainText('fails');
    await expect(row(app, /gap between the cables/)).toContainText('not proved');
    await page.getByRole('tab', { name: 'Sleeve' }).first().click();
    await page.getByRole('switch', { name: 'End cap: it waits unconnected' }).first().click();
    await expect(row(app, /End cap/)).toBeVisible();
    await app.saved();
  },
);

test('a join has a die, a sleeve and a proof of its own', { tag: '@page' }, async ({ page }) => {
  const app = await endsOf(page, 'teasel/cable/th3', 'Route, joins');
  await page.getByRole('button', { name: 'In-line butt' }).click();
  await app.type('From stud A, along the cable', '20');
  await expect(row(app, /butt at 0.02 m, place/)).toContainText('fails');
  await app.type('From stud A, along the cable', '2.5 m');
  await expect(row(app, /butt at 2.50 m, die/)).toBeVisible();
  await page.getByRole('button', { name: 'Sealed branch' }).click();
  await expect(page.getByRole('heading', { name: 'Branch', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Remove the Branch' }).click();
  await app.stage('Prove');
  await page.getByRole('radio', { name: 'join 1' }).click();
  await app.type('Who is measuring', 'R. Alder');
  const note = await page.getByText(/^die [\d.]+ across flats, one crimp a side$/).textContent();
  const flats = Number(note?.match(/die ([\d.]+)/)?.[1]);
  await app.field('Across flats, towards A').fill(String(flats + 0.05));
  await page.getByRole('button', { name: 'Record the crimp towards A' }).click();
  await expect(page.getByRole('alert')).toContainText('with no ears, enter 0');
  await app.type('Ears, towards A', '0.1');
  await page.getByRole('button', { name: 'Record the crimp towards A' }).click();
  await expect(row(app, /butt at 2.50 m, flats towards A/)).toContainText('passes');
  await app.type('Pull through the join', '80 kg');
  await expect(row(app, /butt at 2.50 m, pull/)).not.toContainText('not proved');
});

test('the palms are clocked on the drawing, by hand and by keys', { tag: '@page' }, async ({ page }) => {
  const app = await endsOf(page, 'teasel/cable/th3');
  const dial = app.drawing.getByRole('slider', { name: 'Angle from palm A to palm B' });
  await expect(dial).toHaveAttribute('aria-valuenow', '90');
  await dial.focus();
  await page.keyboard.press('ArrowDown');
  await expect(dial).toHaveAttribute('aria-valuenow', '85');
  const box = await dial.boundingBox();
  if (!box) throw new Error('no dial');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await dial.hover();
  await page.mouse.move(x + 20, y - 20);
  await page.mouse.down();
  await page.mouse.move(x - 24, y + 1, { steps: 8 });
  await page.mouse.up();
  await expect
    .poll(async () => Math.abs(Number(await dial.getAttribute('aria-valuenow')) - 180))
    .toBeLessThanOrEqual(25);
  await page.keyboard.press('Control+z');
  await expect(dial).toHaveAttribute('aria-valuenow', '85');
});

test(
  'the map: a cell is worked, a trial corrects it visibly, and taking it out gives it back',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    const grid = page.getByRole('grid', { name: 'Lugs against dies' });
    await expect(grid.getByRole('columnheader')).toHaveCount(20);
    await grid.getByRole('rowheader', { name: '35 mm² heavy', exact: false }).first().click();
    const detail = page.getByRole('region', { name: 'This die on this lug' });
    await expect(detail.getByRole('heading', { level: 2 })).toContainText('Die D on 35 heavy');
    await expect(detail).toContainText('c = (A');
    await expect(detail.getByTestId('corrected')).toBeHidden();
    await detail.getByRole('button', { name: 'Record the trial' }).click();
    await expect(detail.getByRole('alert')).toContainText('Enter who');
    await app.type('Tested by', 'R. Alder');
    await detail.getByRole('button', { name: 'Record the trial' }).click();
    await expect(detail.getByRole('alert')).toContainText('at least the across flats');
    await app.type('Trial, across flats', '10.6');
    await app.type('Trial, ears', '0');
    await app.type('Trial, air in the section', '14');
    await detail.getByRole('button', { name: 'Record the trial' }).click();
    await expect(detail.getByTestId('corrected')).toContainText(/Before its 1 trial.*right.*Now.*too loose/);
    await expect(
      grid.getByRole('gridcell', { name: '35 mm² heavy, die D: too loose' }).first(),
    ).toBeVisible();
    await detail.getByRole('button', { name: 'Remove this trial' }).click();
    await expect(detail.getByTestId('corrected')).toBeHidden();
    await grid.focus();
    await page.keyboard.press('ArrowRight');
    await expect(detail.getByRole('heading', { level: 2 })).not.toContainText('Die D');
  },
);

test(
  'an unmarked die says what it is for; a dimension edited redraws the map',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'What is this die for' }).click();
    await app.type('Across its flats, closed', '13.86');
    await expect(page.getByRole('list', { name: 'What it is for' })).toContainText('70 mm² heavy');
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    const hydraulic = page.getByRole('region', { name: 'Hand hydraulic, hexagon set' });
    await hydraulic.getByRole('textbox', { name: /Across flats of 70, / }).fill('13.9');
    await page.keyboard.press('Enter');
    await page.getByRole('tab', { name: 'Which die for this lug' }).click();
    await page.getByRole('grid').evaluate((grid) => grid.scrollTo({ top: 700 }));
    await page
      .getByRole('grid')
      .getByRole('rowheader', { name: /^70 mm² heavy/ })
      .click();
    await expect(page.getByRole('gridcell', { name: /^70 mm² heavy, die 70: right/ }).first()).toBeVisible();
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    await app.choose(/^Kind hand hydraulic/, /improvised/);
    await expect(page.getByRole('alert')).toContainText('stores enough energy to injure');
  },
);

test(
  'a lug is measured, drilled out and refused; a tube lug is computed',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Lugs' }).click();
    await page.getByRole('button', { name: 'Measure a lug' }).click();
    await app.type('Lug name', 'Odd box 70');
    await app.type('Made for', '71');
    await expect(page.getByRole('alert')).toContainText('not a standard size');
    await app.type('Made for', '70');
    await app.type('Bore', '99');
    await expect(page.getByRole('alert')).toContainText('out of range');
    await app.type('Bore', '11.6');
    await page.getByRole('switch', { name: 'hole was drilled out' }).click();
    await expect(page.getByText('It is refused on every end')).toBeVisible();
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('tab', { name: 'Lug from tube' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'tube' })).toHaveText(
      'This tube can do it, in the field',
    );
    await app.type('Wall of the tube', '1');
    await expect(page.getByRole('status').filter({ hasText: 'tube' })).toHaveText('This tube will not do');
    await expect(page.getByText('What a home-made lug is not')).toBeVisible();
  },
);

test(
  'the catalogue goes out as CSV and comes in with its problems by row',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Lugs' }).click();
    const exported = await app.handedOver(page.getByRole('button', { name: 'Export lugs as CSV' }));
    const contents = exported.bytes.toString();
    expect(contents.split('\n')[0]).toContain('bore mm');
    const [head = '', first = ''] = contents.split('\n');
    const bad = first.replace(/^[^,]*/, 'Bad lug').replace(/,M\d+,/, ',M99,');
    const good = first.replace(/^[^,]*/, 'New lug');
    const file = (text: string) => ({ name: 'lugs.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await page.getByTestId('csv-lugs').setInputFiles(file(`${head}\n${good}\n${bad}\n`));
    await expect(page.getByRole('list', { name: 'Problems by row' })).toContainText(
      /row 3.*stud.*not one of/s,
    );
    await page.getByRole('button', { name: 'Leave everything as it is' }).click();
    await page.getByRole('textbox', { name: 'Find a lug' }).fill('New lug');
    await expect(page.getByText('No lug matches')).toBeVisible();
    await page.getByTestId('csv-lugs').setInputFiles(file(`${head}\n${good}\n${bad}\n`));
    await page.getByRole('button', { name: 'Take the 1 good row' }).click();
    await expect(page.getByRole('table', { name: 'Lugs' })).toContainText('New lug');
  },
);

test('axe finds nothing serious in the ends and the tool case', async ({ page }) => {
  const app = await endsOf(page, 'teasel/cable/th3');
  for (const part of ['Stud or post', 'Crimp or solder, strands', 'Sleeve, layers', 'Route, joins']) {
    await page.getByRole('tab', { name: part }).click();
    expect(await app.seriousProblems('[role=tabpanel]')).toEqual([]);
  }
  await page.getByRole('link', { name: 'Tool case' }).click();
  for (const part of [
    'Which die for this lug',
    'What is this die for',
    'Dies and tools',
    'Lugs',
    'Lug from tube',
  ]) {
    await page.getByRole('tab', { name: part }).click();
    expect(await app.seriousProblems('[role=tabpanel]')).toEqual([]);
  }
});
