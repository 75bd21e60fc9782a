import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { apart, test } from './test.ts';

async function openCable(page: Page, path: string): Promise<App> {
  const app = new App(page);
  await app.openDemo(`/job/${path}`);
  return app;
}

test('the cables of one circuit share one drop budget, and it shows who spends it', async ({ page }) => {
  const app = await openCable(page, 'teasel/cable/th3/gauge');
  const budget = page.getByRole('region', { name: 'Drop budget' });
  for (const spender of ['this cable', 'TH-1', 'TH-2', 'TH-4', 'fuse', 'isolator']) {
    await expect(budget.getByRole('listitem').filter({ hasText: spender })).toBeVisible();
  }
  const drop = () => app.ledger.getByRole('button', { name: /Surge drop/ }).textContent();
  const before = await drop();
  await app.cable('TH-4');
  await app.stage('Gauge');
  await page.getByRole('radio', { name: /^120 mm²/ }).click();
  await app.cable('TH-3');
  await expect.poll(drop).not.toBe(before);
});

test('a cable joins a circuit by its name', { tag: '@page' }, async ({ page }) => {
  const app = await openCable(page, 'teasel/cable/in1/run');
  await app.choose(/^Return path(?! and)/, /^the other cables of its circuit/);
  await expect(page.getByText('with TH-1, TH-2, TH-3, TH-4')).toBeVisible();
  await app.type('Circuit', 'Inverter');
  await expect(page.getByText('no other cable is in it yet')).toBeVisible();
});

test('a duty from a usual one, its steps edited, drawn and judged', { tag: '@page' }, async ({ page }) => {
  const app = await openCable(page, 'marrow/cable/rd1/run');
  await page.getByRole('switch', { name: 'Surge or duty cycle' }).click();
  await app.choose('Start from', /^Winch/);
  await expect(app.field('Step 1')).toHaveValue('320');
  await app.type('Step 2 lasts', '2 min');
  await expect(app.field('Step 2 lasts')).toHaveValue('120');
  await page.getByRole('button', { name: 'Remove step 3' }).click();
  await page.getByRole('button', { name: 'Add a step' }).click();
  await app.type('Step 3', '0');
  await app.type('Step 3 lasts', '15 min');
  await app.stage('Gauge');
  await expect(page.getByRole('region', { name: 'Duty cycle' })).toContainText(
    /Heats like \d+\sA continuous/,
  );
  await expect(app.ledger.getByRole('button', { name: /Surge, hottest/ })).toBeVisible();
});

test('a duty of many steps is followed by a worker while typing goes on', async ({ page }) => {
  const app = await openCable(page, 'teasel/cable/in1/run');
  await page.getByRole('switch', { name: 'Surge or duty cycle' }).click();
  for (let i = 0; i < 9; i += 1) await page.getByRole('button', { name: 'Add a step' }).click();
  await app.type('Step 10', '180');
  await app.stage('Gauge');
  await expect(page.getByRole('region', { name: 'Duty cycle' })).toContainText(/Heats like/);
});

test('a fuse: breaking, clearing, guarding, carrying, where it stands, and who answers for it', async ({
  page,
}) => {
  const app = await openCable(page, 'marrow/cable/ch1/gauge');
  const row = (name: RegExp) => app.ledger.getByRole('button', { name });
  await expect(row(/A fuse at each source/)).toContainText('passes');
  // The bank at B gives far more than the battery at A: a block breaks the one and not the other.
  await app.stage('Run');
  await app.choose('Fuse 2 kind', /^battery-post block/);
  await app.stage('Gauge');
  await expect(row(/Interrupting rating.*end B|Interrupting rating.* B /)).toContainText('fails');
  await app.stage('Run');
  await app.choose('Fuse 2 kind', /^class T/);
  await app.stage('Gauge');
  await expect(row(/Interrupting rating/)).not.toContainText('fails');
  await app.stage('Run');
  await app.type('Fuse 1 rating', '60');
  await app.type('Distance from source to fuse 1', '900');
  await app.stage('Gauge');
  await expect(row(/Fuse rating against load/)).toContainText('fails');
  await expect(row(/Distance from source to fuse/)).toContainText('fails');
  await row(/Fuse rating against load/).click();
  await expect(app.ledger).toContainText('A class T cartridge of 80 A would do');
});

test(
  'a source at each end is two, strings are asked for their fuse, and a cold start is reckoned',
  { tag: '@page' },
  async ({ page }) => {
    const app = await openCable(page, 'marrow/cable/ch1/run');
    const row = (name: RegExp) => app.ledger.getByRole('button', { name });
    await app.choose('Source at end A', /^not given/);
    await app.type('Fuse of each string, end B', '');
    await app.type('Charged to at most', '14.2');
    await app.stage('Gauge');
    await expect(row(/A fuse to each string, end B/)).toContainText('not proved');
    await expect(row(/Short-circuit withstand/)).toContainText(/A\W*not proved\W*B[\d.]+/);
    await row(/Voltage rating/).click();
    await expect(app.ledger).toContainText('charging brings 14.2');
    await app.go('/job/marrow/cable/st1/run');
    await app.type('Coldest it must start in', '-25');
    await app.stage('Gauge');
    await expect(row(/Cranking, cold/)).toContainText('fails');
    await row(/Volts at the starter, cold/).click();
    await expect(app.ledger).toContainText('handbook');
  },
);

test(
  'what a short is rests on the source and the curve of the fuse, and is not proved without either',
  { tag: '@page' },
  async ({ page }) => {
    const app = await openCable(page, 'teasel/cable/th1/run');
    const short = async () => {
      await app.stage('Gauge');
      const row = app.ledger.getByRole('button', { name: /Short-circuit withstand/ });
      const says = (await row.textContent()) ?? '';
      await app.stage('Run');
      return says;
    };
    await app.choose('Source given as', /^not given/);
    expect(await short()).toContain('not proved');
    await app.choose('Source given as', /^its resistance/);
    await app.type('Source resistance', '3.6 mΩ');
    await app.type('Curve of fuse 1', '');
    expect(await short()).toContain('not proved');
    await app.type('Curve of fuse 1', '1.5 100, 5 0.1, 20 0.01');
    expect(await short()).toContain('passes');
  },
);

test(
  'where no size does, what would is said; a chassis is measured or taken as customary',
  { tag: '@page' },
  async ({ page }) => {
    const app = await openCable(page, 'marrow/cable/in1/run');
    await app.type('Output power', '9 kW');
    await app.stage('Gauge');
    await app.ledger.getByRole('button', { name: /What would do/ }).click();
    await expect(app.ledger).toContainText(/What would: .*48/);
    await app.go('/job/marrow/cable/wn1/run');
    await app.type('Chassis and straps', '');
    await app.stage('Gauge');
    const drop = app.ledger.getByRole('button', { name: /Drop at the load|Surge drop/ }).first();
    await expect(drop).toContainText('not proved');
    await drop.click();
    await expect(app.ledger).toContainText('customary 2 mΩ of a sound one');
  },
);

test('a short-only fuse stands by a name and a reason', { tag: '@page' }, async ({ page }) => {
  const app = await openCable(page, 'marrow/cable/wn1/gauge');
  const guards = app.ledger.getByRole('button', { name: /Fuse rating against cable/ });
  await expect(guards).toContainText('watch');
  await app.stage('Run');
  await app.type('Reason for accepting fuse 1', '');
  await app.stage('Gauge');
  await expect(guards).toContainText('not proved');
});

test('without a fuse a starter cable says what a short would do', async ({ page }) => {
  const app = await openCable(page, 'teasel/cable/en1/gauge');
  await app.ledger.getByRole('button', { name: /Short circuit with no fuse/ }).click();
  await expect(app.ledger).toContainText(/nothing opens, and the conductor is at 220.°C in [\d.]+\ss/);
});

test('a kind that does not suit its place says why', { tag: '@page' }, async ({ page }) => {
  const app = await openCable(page, 'teasel/cable/th3/run');
  await page.getByRole('switch', { name: 'Oil or fuel' }).click();
  await page.getByRole('switch', { name: 'Flexing in use' }).click();
  await app.stage('Gauge');
  await app.choose('Cable kind', /^Stiff battery cable/);
  await app.ledger.getByRole('button', { name: /Suitable: flexing in use/ }).click();
  await expect(app.ledger).toContainText('coarse strands break where they flex');
});

test(
  'two side by side, one size up, and a load that no cable can serve',
  { tag: '@page' },
  async ({ page }) => {
    const app = await openCable(page, 'teasel/cable/in1/gauge');
    await page.getByRole('radiogroup', { name: 'One size up' }).getByRole('radio', { name: 'on' }).click();
    await page.getByRole('button', { name: /Back to the proposal/ }).click();
    await expect(page.getByRole('radio', { checked: true, name: /^50 mm²/ })).toBeVisible();
    await page.getByRole('radiogroup', { name: 'Side by side' }).getByRole('radio', { name: '2' }).click();
    await app.ledger.getByRole('button', { name: /Drop at the load/ }).click();
    await expect(app.ledger).toContainText('2 side by side');
    await app.stage('Run');
    await app.type('System', '12');
    await app.type('Lowest battery voltage', '11');
    await app.type('Output power', '60 kW');
    await app.ledger.getByRole('button', { name: /Current drawn/ }).click();
    await expect(app.ledger).toContainText('No current delivers this power through this cable.');
  },
);

test('bad entries of the source and fuse keep what was typed and say why', async ({ page }) => {
  const app = await openCable(page, 'marrow/cable/wn1/run');
  const entries: [label: string, typed: string, sentence: RegExp][] = [
    ['Curve of fuse 1', '1.5', /is not a multiple and its seconds/],
    ['Curve of fuse 1', '3 4, 2 9', /multiples must rise and the times must fall/],
    ['Curve of fuse 1', '0.5 4', /out of range/],
    ['Fuse 1 rating', '0', /out of range/],
    ['Cranking amps', '5', /out of range: 50 to/],
    ['Step 1', '-4', /out of range/],
    ['Step 1 lasts', 'a while', /A number is missing/],
    ['Chassis and straps', '2 MΩ', /use mΩ/],
  ];
  for (const entry of entries) await app.refuses(...entry);
});

test('house practice decides which schools bind and how much is kept back', async ({ page }) => {
  const app = await openCable(page, 'marrow/cable/in1/gauge');
  await expect(page.getByRole('radio', { checked: true, name: /^35 mm²/ })).toBeVisible();
  await page.getByRole('button', { name: 'Jobs and files' }).click();
  await page.getByRole('menuitem', { name: 'House practice' }).click();
  await expect(page.getByRole('heading', { name: 'House practice' })).toBeVisible();
  await app.type('Current margin', '40');
  await app.type('Rating of terminations', '300');
  await expect(page.getByRole('alert')).toContainText('out of range: 60 to 200');
  await app.type('Rating of terminations', '90');
  await page.goBack();
  await expect(page.getByRole('radio', { checked: true, name: /^35 mm²/ })).toBeHidden();
  await app.ledger.getByRole('button', { name: /Ampacity, inch table/ }).click();
  await expect(app.ledger).toContainText('0.60 kept back');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { checked: true, name: /^35 mm²/ })).toBeVisible();
});

apart('the charts say the figures of the cable that is shown, also after another was', async ({ page }) => {
  await page.addInitScript(() => {
    const drawn: string[] = [];
    Object.assign(window, { drawn });
    const original = CanvasRenderingContext2D.prototype.fillText;
    CanvasRenderingContext2D.prototype.fillText = function (text, ...rest) {
      drawn.push(text);
      original.call(this, text, ...rest);
    };
  });
  const app = new App(page);
  await app.openDemo();
  const drawn = () => page.evaluate(() => (window as unknown as { drawn: string[] }).drawn.join('\n'));
  await expect.poll(drawn).toMatch(/^5\.00.%$/m);
  await page.evaluate(() => (window as unknown as { drawn: string[] }).drawn.splice(0));
  await app.cable('TH-1');
  await expect.poll(drawn).toMatch(/^4\.86.%$/m);
  expect(await drawn()).not.toMatch(/^5\.00.%$/m);
});
