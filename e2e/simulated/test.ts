import { test as jestTest, describe, expect } from '@jest/globals';
import { uncaught, page } from './page.ts';
import { written } from './store.ts';

/** What a spec is given; one that asks for more is for the browser. */
interface Given {
  readonly page: typeof page;
}
type Spec = (given: Given) => Promise<void>;
interface Marks {
  readonly tag?: string | readonly string[];
}

export const BARE = '/anchor.svg';

/** As on a device that nobody has worked on. */
async function emptied(): Promise<void> {
  await page.saved();
  page.away();
  page.asItCame();
  localStorage.clear();
  sessionStorage.clear();
  await written(() => {});
}

/** What is proved here with every change. All else is what only a browser can show, or is proved by one of these as well. */
const HERE = '@page';

/** Whether the specs that follow ask for another language, window or device: that is the browser's. */
let isOther = false;
function group(title: string, specs: () => void): void {
  const before = isOther;
  describe(title, specs);
  isOther = before;
}

function spec(title: string, marks: Marks | Spec, run?: Spec): void {
  const does = typeof marks === 'function' ? marks : run;
  const tags = typeof marks === 'function' ? [] : [marks.tag ?? []].flat();
  if (!does || !tags.includes(HERE)) return;
  if (isOther) throw new Error(`“${title}” asks for what a simulated page has not`);
  jestTest(title, async () => {
    await emptied();
    uncaught.length = 0;
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.emulateMedia({ colorScheme: null, media: null });
    await does({ page });
    expect(uncaught).toEqual([]);
  });
}

export const test = Object.assign(spec, {
  describe: group,
  use: () => void (isOther = true),
  setTimeout: () => {},
  slow: () => {},
  step: (_: string, run: () => Promise<void>) => run(),
  extend: () => test,
});
export { test as alone, test as apart };
