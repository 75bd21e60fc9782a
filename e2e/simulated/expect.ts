import { expect as jestExpect } from '@jest/globals';
import { until } from './hands.ts';
import { isChecked, isDisabled, isMeant, Locator, nameOf, tidy, type Words } from './locator.ts';
import { isShown } from './shown.ts';
import { page } from './page.ts';

type Field = HTMLInputElement;
const isSaid = (words: Words | readonly Words[], texts: readonly string[], exact: boolean): boolean => {
  if (!Array.isArray(words)) return texts.length > 0 && isSame(words as Words, texts[0] ?? '', exact);
  return texts.length === words.length && words.every((own: Words, i) => isSame(own, texts[i] ?? '', exact));
};
const isSame = (words: Words, text: string, exact: boolean) =>
  typeof words === 'string' && !exact ? text.includes(tidy(words)) : isMeant(words, text, true);
const first = (at: Locator) => at.found()[0];
const textsOf = (at: Locator) => at.found().map(({ textContent }) => tidy(textContent));

/** What may be expected of a part of the page: whether it is so now. */
const IS: Readonly<Record<string, (at: Locator, ...given: never[]) => boolean>> = {
  toBeVisible: (at) => at.found().some(isShown),
  toBeHidden: (at) => !at.found().some(isShown),
  toBeAttached: (at) => at.found().length > 0,
  toContainText: (at, words: Words | readonly Words[]) => isSaid(words, textsOf(at), false),
  toHaveText: (at, words: Words | readonly Words[]) => isSaid(words, textsOf(at), true),
  toHaveValue: (at, value: Words) => {
    const is = (first(at) as Field | undefined)?.value ?? '\0';
    return typeof value === 'string' ? is === value : value.test(is);
  },
  toHaveCount: (at, count: number) => at.found().length === count,
  toHaveAttribute: (at, name: string, value?: Words) => {
    const is = first(at)?.getAttribute(name) ?? null;
    return is !== null && (value === undefined || isMeant(value, is, true));
  },
  toHaveClass: (at, words: Words) => isMeant(words, first(at)?.getAttribute('class') ?? ''),
  toHaveAccessibleName: (at, words: Words) => at.found().some((own) => isMeant(words, nameOf(own), true)),
  toBeDisabled: (at) => at.found().slice(0, 1).some(isDisabled),
  toBeEnabled: (at) =>
    at
      .found()
      .slice(0, 1)
      .some((own) => !isDisabled(own)),
  toBeFocused: (at) => first(at) !== undefined && first(at) === document.activeElement,
  toBeChecked: (at) => at.found().slice(0, 1).some(isChecked),
};

const sees = (at: Locator) =>
  at
    .found()
    .map((own) => (own as Field).value ?? tidy(own.textContent))
    .map((text) => `“${text.slice(0, 300)}”`)
    .join(' | ') || 'nothing';

/** Of what is not there only this can be said. */
const OF_NOTHING = new Set(['toBeVisible', 'toBeHidden', 'toBeAttached', 'toHaveCount']);

function ofPart(at: Locator, isNot = false): object {
  const so = Object.entries(IS).map(([what, is]) => [
    what,
    (...given: never[]) =>
      until(
        () => (OF_NOTHING.has(what) || at.found().length > 0) && is(at, ...given) !== isNot,
        () => `${at.called}: ${isNot ? 'not ' : ''}${what} ${given.map(String).join(', ')}, but ${sees(at)}`,
      ).then(() => {}),
  ]);
  return Object.assign(Object.fromEntries(so) as object, isNot ? {} : { not: ofPart(at, true) });
}

/** What is asked again and again until it is as expected. */
function ofAsking(ask: () => unknown, isNot = false): object {
  return new Proxy(isNot ? {} : { not: ofAsking(ask, true) }, {
    get: (own, matcher) =>
      Reflect.get(own, matcher) ??
      (async (...given: unknown[]) => {
        let wrong: unknown;
        const isSo = async () => {
          const matchers = isNot ? jestExpect(await ask()).not : jestExpect(await ask());
          try {
            (matchers as unknown as Record<PropertyKey, (...all: unknown[]) => void>)[matcher]?.(...given);
            return true;
          } catch (error) {
            wrong = error;
            return false;
          }
        };
        await until(isSo, () => String(wrong));
      }),
  });
}

const ofPage = {
  toHaveURL: (address: RegExp | string) =>
    until(
      () => isMeant(address, page.url()),
      () => `at ${page.url()}, not ${String(address)}`,
    ),
};

const expect = (actual: unknown) => {
  if (actual instanceof Locator) return ofPart(actual);
  return actual === page ? ofPage : jestExpect(actual);
};
const asking = Object.assign(expect, jestExpect, { poll: (ask: () => unknown) => ofAsking(ask) });
export { asking as expect };
