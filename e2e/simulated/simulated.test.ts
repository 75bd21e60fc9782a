import { afterAll, beforeAll, beforeEach, describe, expect as plainly, test } from '@jest/globals';
import { expect } from './expect.ts';
import { patience } from './hands.ts';
import { Locator } from './locator.ts';
import { isShown, showAs } from './shown.ts';

const page = new Locator(() => [document as unknown as Element], '');
type Matcher = (...given: unknown[]) => Promise<void>;
interface Expected {
  readonly toBeVisible: Matcher;
  readonly toBeHidden: Matcher;
  readonly toBeChecked: Matcher;
  readonly toHaveText: Matcher;
  readonly toHaveCount: Matcher;
  readonly toHaveValue: Matcher;
  readonly not: { readonly toContainText: Matcher };
}
const expected = (at: Locator) => expect(at) as Expected;

beforeAll(() => void (patience.ms = 40));
afterAll(() => void (patience.ms = 15_000));
beforeEach(() => {
  document.body.innerHTML = `
    <main>
      <h2>Ends</h2>
      <section aria-label="End A"><p>Lug <b>70-10</b></p><button disabled>Crimp</button></section>
      <section aria-label="End B"><button>Crimp<span class="sr-only">end B</span></button></section>
      <label for="tag">Tag</label><input id="tag" value="TH-3" />
      <label>Sealed <input type="checkbox" /></label>
      <p hidden>put away</p><p class="hidden lg:block">on a desk</p><p class="lg:hidden">on a phone</p>
      <p class="print:hidden">on a screen</p><div style="display: none"><i>folded</i></div>
    </main>`;
});

describe('on a simulated page', () => {
  test.each([
    ['another text is refused', (): Promise<void> => expected(page.getByRole('heading')).toHaveText('End')],
    ['what is not there is not seen', () => expected(page.getByText('Cut')).toBeVisible()],
    ['what is there is not away', () => expected(page.getByText('Ends')).toBeHidden()],
    ['what is put away is not seen', () => expected(page.getByText('put away')).toBeVisible()],
    ['what lies in something folded is not seen', () => expected(page.getByText('folded')).toBeVisible()],
    ['one more or less is told', () => expected(page.getByRole('button')).toHaveCount(1)],
    ['another value is refused', () => expected(page.getByRole('textbox')).toHaveValue('TH-4')],
    ['what is said is not left unsaid', () => expected(page.getByRole('heading')).not.toContainText('Ends')],
    ['of what is not there nothing is said', () => expected(page.getByText('Cut')).not.toContainText('Ends')],
    ['a value with a space more is another', () => expected(page.getByRole('textbox')).toHaveValue('TH-3 ')],
    ['what cannot be pressed is not pressed', () => page.getByRole('button').first().click()],
    [
      'what a dialog lies over is not pressed',
      () => {
        document.body.insertAdjacentHTML('beforeend', '<div role="dialog" aria-modal="true">Sure?</div>');
        return page.getByRole('button', { name: 'end B' }).click();
      },
    ],
    [
      'another page is not searched',
      () => page.getByRole('region', { name: 'End C' }).getByRole('button').click(),
    ],
  ])('%s', async (_, wrong) => {
    await plainly(wrong()).rejects.toThrow();
  });

  test('parts are found by what they are and how they are named', async () => {
    const named = (role: string, name: string) => page.getByRole(role, { name, exact: true }).count();
    plainly(await named('button', 'Crimp end B')).toBe(1);
    plainly(await named('region', 'End A')).toBe(1);
    plainly(await named('textbox', 'Tag')).toBe(1);
    plainly(await named('checkbox', 'Sealed')).toBe(1);
    plainly(await page.getByText('70-10').textContent()).toBe('70-10');
  });

  test('the window and the paper take away what the style sheet takes away there', () => {
    const seen = () => [...document.querySelectorAll('p')].filter(isShown).map((own) => own.textContent);
    plainly(seen()).toEqual(['Lug 70-10', 'on a desk', 'on a screen']);
    showAs('print');
    plainly(seen()).toEqual(['Lug 70-10', 'on a desk']);
    showAs('screen');
    Object.assign(globalThis, { innerWidth: 390 });
    plainly(seen()).toEqual(['Lug 70-10', 'on a phone', 'on a screen']);
    Object.assign(globalThis, { innerWidth: 1280 });
  });

  test('a press, a key and a leaving do what they do in a browser', async () => {
    const heard: string[] = [];
    const [button] = page.getByRole('region', { name: 'End B' }).getByRole('button').found();
    button?.addEventListener('click', () => heard.push('pressed'));
    const [field] = page.getByLabel('Tag').found();
    for (const kind of ['input', 'change']) field?.addEventListener(kind, () => heard.push(kind));
    await page.getByLabel('Tag').fill('TH-4');
    await page.getByRole('button', { name: 'end B' }).click();
    await page.getByRole('button', { name: 'end B' }).press('Enter');
    await page.getByLabel('Sealed').click();
    plainly(heard).toEqual(['input', 'change', 'pressed', 'pressed']);
    await expected(page.getByRole('checkbox')).toBeChecked();
  });
});
