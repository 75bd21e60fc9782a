/** Another language than that of the code: what it says for each English message, and how it writes numbers. */
export interface Language {
  /** As BCP 47 has it: "nl". */
  readonly code: string;
  /** By the English message, its inserted parts numbered: "{0} of {1} ticked". */
  readonly messages: Readonly<Record<string, string>>;
}

export type DecimalMark = '.' | ',';

let messages: Readonly<Record<string, string>> | null = null;
let code = 'en';
let mark: DecimalMark = '.';

/**
 * Chooses the language of everything that is said from now on. The rooms of the house say some things as they are
 * loaded: so this comes before them, and another language is had by loading again.
 *
 * @param language null for the English that the code is written in
 */
export function speak(language: Language | null): void {
  messages = language?.messages ?? null;
  code = language?.code ?? 'en';
}

/** Chooses how the reader writes "two and a half": with a point or with a comma. */
export function writeDecimalsWith(chosen: DecimalMark): void {
  mark = chosen;
}

/** The language that is spoken now, as BCP 47 has it. */
export const spoken = (): string => code;

/** How decimals are parted from the whole. */
export const decimalMark = (): DecimalMark => mark;

/**
 * A message as translators know it: its inserted parts numbered.
 *
 * @example messageOf(['', ' of ', ' ticked']) // "{0} of {1} ticked"
 */
export const messageOf = (texts: readonly string[]): string =>
  texts.reduce((all, text, i) => `${all}{${i - 1}}${text}`);

const keys = new WeakMap<TemplateStringsArray, string>();

/** The message of a tagged text, as translators know it: made once for each place in the code. */
export function keyOf(texts: TemplateStringsArray): string {
  const known = keys.get(texts);
  if (known !== undefined) return known;
  const key = messageOf(texts);
  keys.set(texts, key);
  return key;
}

/** What tells two like messages apart to a translator is not shown: "plain‖of a level". */
const withoutContext = (text: string): string => {
  const at = text.indexOf('‖');
  return at < 0 ? text : text.slice(0, at);
};

/** Plural categories in the order in which a message has its forms, as Unicode names them. */
const CATEGORIES: readonly Intl.LDMLPluralRule[] = ['zero', 'one', 'two', 'few', 'many', 'other'];
const rules = new Map<string, { readonly select: Intl.PluralRules; readonly order: readonly string[] }>();

function rulesOf(language: string) {
  const known = rules.get(language);
  if (known) return known;
  const select = new Intl.PluralRules(language);
  const { pluralCategories } = select.resolvedOptions();
  const found = { select, order: CATEGORIES.filter((category) => pluralCategories.includes(category)) };
  rules.set(language, found);
  return found;
}

/** The form of a message for how many there are: by its first number, in as many forms as the language has. */
function formFor(text: string, language: string, parts: readonly unknown[]): string {
  if (!text.includes('¦')) return text;
  const forms = text.split('¦');
  const { select, order } = rulesOf(language);
  const count = parts.find((part) => typeof part === 'number') ?? 0;
  return forms[Math.min(order.indexOf(select.select(count)), forms.length - 1)] ?? '';
}

/** English as this house writes it: no comma before the last "and". */
const LISTED_AS: Readonly<Record<string, string>> = { en: 'en-GB' };

const lists = new Map<string, Intl.ListFormat>();
/** Texts as the language spoken lists them. @example conjoined(['A', 'B', 'C']) // "A, B and C" */
export function conjoined(texts: readonly string[]): string {
  const format = lists.get(code) ?? new Intl.ListFormat(LISTED_AS[code] ?? code);
  lists.set(code, format);
  return format.format(texts);
}

const written = (part: string | number | null | undefined): string =>
  typeof part === 'number' ? String(part).replace('.', mark) : (part ?? '');

const translated = (message: string): string | undefined =>
  messages !== null && Object.hasOwn(messages, message) ? messages[message] : undefined;

/**
 * A message of the code in the reader's language, by its English text with its parts numbered. One that counts has its
 * forms parted by a ¦, in the order of its language's plural categories: English one and other, another language as many
 * as it has.
 *
 * @param parts inserted as they are, a number with the reader's decimal mark; one that is absent is left out
 */
export const said = (message: string, parts: readonly (string | number | null | undefined)[]): string =>
  told(message, parts).replace(/\{(\d+)\}/g, (_, i: string) => written(parts[Number(i)]));

function told(message: string, parts: readonly unknown[]): string {
  const own = translated(message);
  return own === undefined
    ? formFor(withoutContext(message), 'en', parts)
    : formFor(own, code, parts);
}
