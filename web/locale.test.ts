import { expect, test } from '@jest/globals';
import { decimalOf, localeOf } from './locale.ts';

test('dates are in the language of the page, decimals as the browser’s reader writes them', () => {
  const of = (...asked: Parameters<typeof localeOf>) => localeOf(...asked);
  expect(of({}, ['nl-BE', 'en'])).toEqual({ code: 'nl', locale: 'nl-BE-u-nu-latn', decimal: ',' });
  expect(of({}, ['en-GB'])).toEqual({ code: 'en', locale: 'en-GB-u-nu-latn', decimal: '.' });
  expect(of({}, ['fr-FR', 'nl'])).toEqual({ code: 'en', locale: 'en-u-nu-latn', decimal: ',' });
  expect(of({ language: 'nl' }, ['en-GB'])).toEqual({ code: 'nl', locale: 'nl-u-nu-latn', decimal: ',' });
  expect(of({ language: 'nl' }, ['nl-BE'])).toMatchObject({ code: 'nl', locale: 'nl-BE-u-nu-latn' });
  expect(of({ decimal: '.' }, ['nl'])).toMatchObject({ decimal: '.' });
  expect(of({}, [])).toEqual({ code: 'en', locale: 'en-u-nu-latn', decimal: '.' });
  expect(of({}, ['no such locale at all'])).toMatchObject({ code: 'en', decimal: '.' });
});

test.each(['ar-EG', 'fa-IR', 'bn-BD', 'mr-IN', 'my-MM', 'en-u-nu-arab'])(
  'a browser of %s writes no digits but ours into the page',
  (browser) => {
    const { locale } = localeOf({}, [browser]);
    const day = new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeStyle: 'short' }).format(0);
    expect(day).toMatch(/^[\u0000-\u024f\u2000-\u206f]+$/);
  },
);

test('how a locale parts decimals', () => {
  expect(['en-GB', 'nl-NL', 'de-CH', 'sv-SE'].map(decimalOf)).toEqual(['.', ',', '.', ',']);
});
