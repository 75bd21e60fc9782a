/** With every test a third of them; all and more when there is time (`npm run test:slow`). */
const USUAL_TIMES = 0.3;

/** How many cases a property draws. @example fc.assert(property, { numRuns: cases(60) }) // 30, or hundreds */
export const cases = (usual: number): number =>
  Math.ceil(usual * Number(process.env['CASES_TIMES'] ?? USUAL_TIMES));
