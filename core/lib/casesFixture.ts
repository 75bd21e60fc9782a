/** With every test a fifth of them; all and more when there is time (`npm run test:slow`). */
const USUAL_TIMES = 0.2;

/** Whether there is time for all that could be tried, as in `npm run test:slow`. */
export const isThereTime = Number(process.env['CASES_TIMES'] ?? USUAL_TIMES) >= 1;

/** How many cases a property draws. @example fc.assert(property, { numRuns: cases(60) }) // 30, or hundreds */
export const cases = (usual: number): number =>
  Math.ceil(usual * Number(process.env['CASES_TIMES'] ?? USUAL_TIMES));
