import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';

/** Words that the trade has better ones for, and what to write. Source: the table of words in CONTRIBUTING. */
const INSTEAD: readonly (readonly [pattern: RegExp, write: string])[] = [
  [/\bbinds?\b/i, 'governs; close to its limit; counts'],
  [/amps left/i, 'ampacity, derating'],
  [/\bnot said\b|\bno \w+ said\b/i, 'not given'],
  [/\b(?:is|are) said to be\b|No hole is said/i, 'entered, given'],
  [/\bput right\b|\bputs right\b/i, 'corrected'],
  [/\btells? (?:\S+ )?apart\b/i, 'resolves'],
  [/in the hundred/i, 'per cent'],
  [/made from nothing/i, 'none from stock'],
  [/can break\b/i, 'interrupts, interrupting rating'],
  [/comes back by/i, 'return path'],
  [/guards it\b/i, 'protects the cable'],
  [/for ever\b/i, 'continuously'],

  [/bolted to what stands/i, 'terminal rating'],
];

const said = Object.keys(JSON.parse(readFileSync('words/messages.json', 'utf8')) as Record<string, unknown>);
/** Kept as they are, each for its reason. */
const KEPT: readonly RegExp[] = [
  // Two faults that one reading cannot separate are told apart, as anybody says it.
  /told apart/,
];

test.each(INSTEAD.map(([pattern, write]) => [String(pattern), pattern, write] as const))(
  'no message says %s',
  (_, pattern, write) =>
    expect(
      said
        .filter((message) => pattern.test(message) && !KEPT.some((kept) => kept.test(message)))
        .map((message) => `${message} → ${write}`),
    ).toEqual([]),
);
test('there are messages to look at', () => expect(said.length).toBeGreaterThan(3000));
