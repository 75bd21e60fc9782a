// In a simulated page a spec is given other hands and eyes than the browser's; what it says is the same.
const INSTEAD = new Map([
  ['@playwright/test', new URL('./playwright.ts', import.meta.url).href],
  ['./store.ts', new URL('./store.ts', import.meta.url).href],
  ['./test.ts', new URL('./test.ts', import.meta.url).href],
]);

const COMLINK = new URL('./comlink.mjs', import.meta.url).href;

export function resolve(specifier, context, next) {
  if (specifier === 'comlink')
    return { url: `${COMLINK}?for=${encodeURIComponent(context.parentURL)}`, shortCircuit: true };
  const isSpecs = context.parentURL?.includes('/e2e/') && !context.parentURL.includes('/simulated/');
  const instead = isSpecs ? INSTEAD.get(specifier) : undefined;
  return instead ? { url: instead, shortCircuit: true } : next(specifier, context);
}
