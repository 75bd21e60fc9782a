import { figure } from '../model/units/figure.ts';
import { say } from '../words/say.ts';
import type { Finding } from './finding.ts';

/** A finding's limit in words: "at most 5.00 %", "13.9 to 14.28 mm"; empty where there is none. */
export function limitWords({ limit, unit, decimals }: Finding): string {
  if (!limit) return '';
  switch (limit.kind) {
    case 'most':
      return say`at most ${figure(limit.most, unit, decimals)}`;
    case 'least':
      return say`at least ${figure(limit.least, unit, decimals)}`;
    case 'window':
      return say`${figure(limit.least, '', decimals)} to ${figure(limit.most, unit, decimals)}`;
  }
}

/** A finding's value in words, or "not known". */
export function valueWords({ value, unit, decimals }: Finding): string {
  return value === null ? say`not known` : figure(value, unit, decimals);
}
