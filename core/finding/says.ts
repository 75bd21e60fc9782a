import { type Message, amount, msg } from '../words/message.ts';
import { decimalsOfTwo } from '../words/numerals.ts';

import type { Finding } from './finding.ts';

/** A finding's limit in words: "at most 5.00 %", "13.9 to 14.28 mm"; empty where there is none. */
export function limitWords({ limit, unit, decimals }: Finding): Message {
  if (!limit) return '';
  switch (limit.kind) {
    case 'most':
      return msg`at most ${amount(limit.most, unit, decimals)}`;
    case 'least':
      return msg`at least ${amount(limit.least, unit, decimals)}`;
    case 'window':
      return msg`${amount(limit.least, '', decimals)} to ${amount(limit.most, unit, decimals)}`;
  }
}

/** A finding's value in words, or "not known". */
export function valueWords({ value, unit, decimals }: Finding): Message {
  return value === null ? msg`not known` : amount(value, unit, decimals);
}

/**
 * Decimals that an interval is written with: two figures, and no more than one decimal beyond the value's own.
 *
 * @example intervalDigits(4.89, 0) // 1: ± 4.9 N
 */
export const intervalDigits = (uncertainty: number, decimals: number): number =>
  uncertainty > 0 ? Math.min(decimals + 1, decimalsOfTwo(uncertainty)) : decimals;

/** A finding's value with what it may be off by, where that is calculated: "10.48 mm ± 0.04 mm". */
export function intervalWords(finding: Finding): Message {
  const { value, uncertainty, unit, decimals, provenance } = finding;
  return value === null || uncertainty === undefined || provenance === undefined
    ? valueWords(finding)
    : msg`${valueWords(finding)} ± ${amount(uncertainty, unit, intervalDigits(uncertainty, decimals))}`;
}
