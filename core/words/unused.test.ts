import { readdirSync, readFileSync } from 'node:fs';
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
  [/\breckon/i, 'calculated, used'],
  [/\bstand-in\b/i, 'simulated'],
  [/\bledger\b/i, 'checks'],
  [/\bmade alike\b/i, 'identical'],
  [/\bmend(ed|ing)?\b/i, 'repair'],
  [/\b(anew|afresh)\b/i, 'again'],
  [/\bheld against\b/i, 'compared with'],
  [/\bgone by\b/i, 'replaced by'],
  [/\blooked at\b/i, 'inspected, checked'],
  [/\b(is|are|was) asked\b/i, 'required'],
  [/^Say (who|why|what|where|when|which|how)\b/i, 'Enter'],
  [/\btake \{0\} (out|off)\b/i, 'remove'],
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
test('nothing is counted but by the forms of its language', () => {
  const files = ['core', 'web'].flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter((name) => /(?<!\.test)\.(ts|vue)$/.test(name))
      .map((name) => `${room}/${name}`),
  );
  // One of several named, or the first crimp of two, is no count.
  const NO_COUNT = /names\.length|against\.length|crimp === 1/;
  const counted = files.flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/[\w.]+ === 1\s*\?\s*(?:say|msg)`[^`]*`/g)]
      .filter(([found]) => !NO_COUNT.test(found))
      .map(([found]) => `${file}: ${found}`),
  );
  expect(counted).toEqual([]);
  expect(said.filter((message) => message.includes('¦')).length).toBeGreaterThan(20);
});
test('there are messages to look at', () => expect(said.length).toBeGreaterThan(3000));
