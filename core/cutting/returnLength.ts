import type { Run } from '../model/run.ts';

/**
 * A run with another length. The cable back is as long until it was given a length of its own: then that one stays.
 *
 * @example withLength({ lengthMm: 1000, return: { kind: 'cable', lengthMm: 1000 } }, 5000).return // 5000 mm as well
 */
export function withLength(
  run: Pick<Run, 'lengthMm' | 'return'>,
  lengthMm: number,
): Pick<Run, 'lengthMm' | 'return'> {
  const back = run.return;
  const follows = back.kind === 'cable' && back.lengthMm === run.lengthMm;
  return { lengthMm, return: follows ? { kind: 'cable', lengthMm } : back };
}
