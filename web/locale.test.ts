import { expect, test } from '@jest/globals';
import { decimalOf, localeOf } from './locale.ts';

test('numbers and dates are those of the browser, unless another language was chosen', () => {
  expect(localeOf({}, ['nl-BE', 'en'])).toEqual({ code: 'nl', locale: 'nl-BE' });
  expect(localeOf({}, ['en-ZA'])).toEqual({ code: 'en', locale: 'en-ZA' });
  // A language that is not ours is read in English, its numbers written as its reader writes them.
  expect(localeOf({}, ['fr-FR', 'nl'])).toEqual({ code: 'en', locale: 'fr-FR' });
  expect(localeOf({ language: 'nl' }, ['en-GB'])).toEqual({ code: 'nl', locale: 'nl' });
  expect(localeOf({ language: 'nl' }, ['nl-BE'])).toEqual({ code: 'nl', locale: 'nl-BE' });
  expect(localeOf({}, [])).toEqual({ code: 'en', locale: 'en' });
});

test('how a locale parts decimals', () => {
  expect(['en-GB', 'nl-NL', 'de-CH', 'sv-SE'].map(decimalOf)).toEqual(['.', ',', '.', ',']);
});
