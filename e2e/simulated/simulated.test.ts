import { afterAll, beforeAll, beforeEach, describe, expect as plainly, test } from '@jest/globals';
import fc from 'fast-check';
import { asItIs } from './asItIs.ts';
import { wrap } from './comlink.mjs';
import { expect } from './expect.ts';
import { aMoment, patience } from './hands.ts';
import { LightMap } from './light.mjs';
import { Locator } from './locator.ts';
import './pictures.ts';
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

  test('what is kept from readers is found only by whoever asks for it too', async () => {
    document.body.innerHTML = `<div aria-hidden="true"><p><button>Drawn</button></p></div>
      <div hidden><button>Folded</button></div><button class="hidden">Away</button><button>There</button>`;
    const names = (wanted: { includeHidden?: boolean }) =>
      page.getByRole('button', wanted).evaluateAll((all) => all.map((own) => own.textContent));
    plainly(await names({})).toEqual(['There']);
    plainly(await names({ includeHidden: true })).toEqual(['Drawn', 'Folded', 'Away', 'There']);
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

  test('what is typed goes where the field is written in, over what is selected there', async () => {
    const tag = page.getByRole('textbox');
    const [field] = document.getElementsByTagName('input');
    await tag.focus();
    field?.setSelectionRange(0, 2);
    await tag.pressSequentially('BK');
    await expected(tag).toHaveValue('BK-3');
    field?.setSelectionRange(4, 4);
    await tag.pressSequentially('1');
    await expected(tag).toHaveValue('BK-31');
  });

  test('a press says which keys are held meanwhile', async () => {
    const [, button] = document.getElementsByTagName('button');
    const held: string[] = [];
    button?.addEventListener('click', ({ ctrlKey, shiftKey }) => held.push(`${ctrlKey} ${shiftKey}`));
    await page.getByRole('button', { name: 'end B' }).click({ modifiers: ['Control'] });
    await page.getByRole('button', { name: 'end B' }).click();
    plainly(held).toEqual(['true false', 'false false']);
  });

  test('what lies in a row is read apart, and what runs on is read as one', async () => {
    const words = '<span>IN-2</span><span>120 mm²</span>';
    document.body.innerHTML = `<a href="#a" class="flex">${words}</a><a href="#b">${words}</a>`;
    await expected(page.getByRole('link', { name: /^IN-2 120 mm²$/ })).toHaveCount(1);
    await expected(page.getByRole('link', { name: /^IN-2120 mm²$/ })).toHaveCount(1);
  });

  test('something round lies where the drawing says', async () => {
    document.body.innerHTML =
      '<svg><g role="slider"><circle cx="50" cy="40" r="10" /></g><g role="img"></g></svg>';
    plainly(await page.getByRole('slider').boundingBox()).toEqual({ x: 40, y: 30, width: 20, height: 20 });
    plainly(await page.locator('[role=img]').boundingBox()).toBeNull();
  });

  test('what Enter changes is told, and what follows from that is done, before the form is sent', async () => {
    document.body.innerHTML = '<form><label for="flats">Flats</label><input id="flats" /></form>';
    const heard: string[] = [];
    const field = page.getByLabel('Flats');
    await field.fill('14');
    field.found()[0]?.addEventListener('change', () => {
      heard.push('changed');
      void Promise.resolve().then(() => heard.push('followed'));
    });
    document.querySelector('form')?.addEventListener('submit', (event) => {
      event.preventDefault();
      heard.push('sent');
    });
    await field.press('Enter');
    plainly(heard).toEqual(['changed', 'followed', 'sent']);
  });

  test('a picture comes out of a file at the size that is asked, and what is none is refused', async () => {
    const half = new OffscreenCanvas(4, 2);
    half.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(32).fill(200), 4, 2), 0, 0);
    const bitmap = await createImageBitmap(await half.convertToBlob({ type: 'image/png' }));
    plainly([bitmap.width, bitmap.height]).toEqual([4, 2]);
    const small = new OffscreenCanvas(2, 1);
    const context = small.getContext('2d');
    context?.drawImage(bitmap, 0, 0, 2, 1);
    plainly([...(context?.getImageData(0, 0, 2, 1).data ?? [])]).toEqual(
      Array.from({ length: 8 }, () => 200),
    );
    await plainly(createImageBitmap(new Blob(['no picture']))).rejects.toThrow('no picture');
  });

  test('a worker that is ended in the middle is not heard again, and goes no further', async () => {
    const told: number[] = [];
    let reached = 0;
    const worker = {
      isEnded: false,
      work: Promise.resolve({
        count: async (tell: (i: number) => Promise<void>) => {
          for (const i of [1, 2, 3, 4]) {
            reached = i;
            await tell(i);
          }
        },
      }),
    };
    const answered = wrap(worker).count((i) => {
      told.push(i);
      worker.isEnded = i === 2;
    });
    const ended = await Promise.race([answered.then(() => 'answered'), aMoment(50).then(() => 'silent')]);
    plainly([told, reached, ended]).toEqual([[1, 2], 3, 'silent']);
  });

  test('whatever is put into something is taken out again, and what was there is back', () => {
    const own: Record<string, unknown> = { put: () => 'kept', size: 3 };
    const before = { ...own };
    const back = asItIs(own);
    Object.assign(own, { put: () => 'full', isFull: true });
    Reflect.deleteProperty(own, 'size');
    back();
    plainly(own).toEqual(before);
  });

  test('a light map is a map', () => {
    const step = fc.tuple(fc.constantFrom('set', 'delete', 'clear'), fc.constantFrom('a', 'b', 'c'));
    fc.assert(
      fc.property(fc.array(step, { maxLength: 8 }), (steps) => {
        const [light, plain] = [new LightMap(), new Map<string, number>()];
        for (const [i, [what, key]] of steps.entries())
          for (const own of [light, plain])
            if (what === 'set') own.set(key, i);
            else if (what === 'delete') own.delete(key);
            else own.clear();
        const seen = (own: typeof plain) => [
          [...own],
          [...own.keys()],
          [...own.values()],
          [...own.entries()],
          own.size,
          own.get('a'),
          own.has('a'),
        ];
        plainly(seen(light)).toEqual(seen(plain));
      }),
    );
  });

  test('whatever a page is put together of knows its form, on the page and off it', () => {
    interface Part {
      readonly tag: string;
      readonly has: readonly Part[];
    }
    const part = (deep: number): fc.Arbitrary<Part> =>
      fc.record({
        tag: fc.constantFrom('div', 'form', 'fieldset', 'input', 'select', 'textarea'),
        has: deep === 0 ? fc.constant([]) : fc.array(part(deep - 1), { maxLength: 3 }),
      });
    /** From the innermost part outwards, as Vue does it. */
    const made = ({ tag, has }: Part): HTMLElement => {
      const own = document.createElement(tag);
      own.append(...has.map(made));
      return own;
    };
    const isRight = (root: HTMLElement, isOnPage: boolean) => {
      plainly([root, ...root.querySelectorAll('*')].map((own) => own.isConnected === isOnPage)).not.toContain(
        false,
      );
      for (const own of root.querySelectorAll<HTMLInputElement>('input, select, textarea'))
        plainly(own.form?.id ?? null).toBe(own.closest('form')?.id ?? null);
    };
    fc.assert(
      fc.property(part(4), (all) => {
        const root = made({ tag: 'div', has: [all] });
        for (const [i, form] of [...root.querySelectorAll('form')].entries()) form.id = `form ${i}`;
        isRight(root, false);
        document.body.append(root);
        isRight(root, true);
        root.remove();
        isRight(root, false);
      }),
      { numRuns: 40 },
    );
  });

  test('an attribute is a node, and knows whose it is', () => {
    const own = document.createElement('button');
    own.setAttribute('title', 'Crimp');
    const [title] = own.attributes;
    plainly(title).toBeInstanceOf(Node);
    plainly([
      title?.name,
      title?.value,
      title?.ownerElement === own,
      title?.ownerDocument === document,
    ]).toEqual([...['title', 'Crimp', true, true]]);
    plainly(own.cloneNode(true).isEqualNode(own)).toBe(true);
    own.removeAttribute('title');
    plainly([own.attributes.length, own.getAttribute('title')]).toEqual([0, null]);
  });

  test('what listens on the way down hears before what listens on the way up', () => {
    const heard: string[] = [];
    const button = document.querySelector('button[disabled]');
    document.body.addEventListener('held', () => heard.push('up'), { once: true });
    document.body.addEventListener('held', () => heard.push('down'), { once: true, capture: true });
    button?.addEventListener('held', () => heard.push('there'));
    button?.dispatchEvent(new Event('held', { bubbles: true }));
    plainly(heard).toEqual(['down', 'there', 'up']);
  });
});
