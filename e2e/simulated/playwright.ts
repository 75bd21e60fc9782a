// What specs ask of Playwright, on a simulated page.
export { expect } from './expect.ts';
export { test } from './test.ts';
