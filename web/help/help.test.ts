import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { HELP, helpFor } from './help.ts';
import { ANY } from './helpEntry.ts';

/** Fields whose name says all there is to say. */
const SAYS_ALL = new Set([
  ...['Name', 'Description', 'Notes', 'Search or do', 'Job', `${ANY}, needed`],
  ...['Show sizes in', 'Show lengths in', 'Dates', 'Colours', 'Language · Taal', 'Decimal sign'],
  // Each of these is one of several cables, chargers or switches, by its name.
  ...[ANY, `${ANY}${ANY}`, `${ANY}: ${ANY} → ${ANY}, ${ANY}`],
]);

const files = readdirSync('web', { recursive: true, encoding: 'utf8' }).filter((name) =>
  name.endsWith('.vue'),
);
const sources = files.map((name) => readFileSync(join('web', name), 'utf8')).join('\n');
/** With what is put into them as “…”, innermost first. */
const plain = (text: string) => {
  let now = text;
  for (let before = ''; before !== now;) {
    before = now;
    now = now.replace(/\$\{[^{}]*\}/g, ANY);
  }
  return now;
};
/** What is said in a text of a template. */
const saidIn = (text: string) => [...plain(text).matchAll(/`([^`]*)`/g)].map(([, label = '']) => label);
/** The labels of all fields, each as its template says it. */
const labels = [...sources.matchAll(/<\w+Field\b[^<]*?:label="([^"]*)"/g)].flatMap(([, attribute = '']) =>
  saidIn(attribute),
);
/** Whatever is said: a field’s label may also stand in its script. */
const said = new Set([...labels, ...saidIn(sources)]);

test('what is looked for in the sources is found there', () => {
  expect(labels.length).toBeGreaterThan(190);
  expect(labels).toContain('Length along the route, stud to stud');
  expect(labels).toContain('Lug of …');
});

test.each([...HELP.values()])(
  'help for “%s” belongs to a field, and is one short paragraph',
  (label, text) => {
    expect([label, said.has(label)]).toEqual([label, true]);
    const words = text.split(' ').length;
    expect(words).toBeGreaterThan(12);
    expect(words).toBeLessThan(60);
    expect(text).toMatch(/\.$/);
  },
);

test('every field has help, or a name that says all', () => {
  expect(labels.filter((label) => !HELP.has(label) && !SAYS_ALL.has(label))).toEqual([]);
});

test('a label with a name in it gets the help that is closest', () => {
  expect(helpFor('Lug of A')?.[0]).toBe('Lug of …');
  expect(helpFor('Hole 3 across')?.[0]).toBe('Hole … across');
  expect(helpFor('Hole 3')?.[0]).toBe('Hole …');
  expect(helpFor('One cell, end B')?.[0]).toBe('One cell…');
  expect(helpFor('Nothing of the kind')).toBeUndefined();
});
