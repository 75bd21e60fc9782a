import { type Message, amount, msg } from '../words/message.ts';

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
