import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { parse } from 'vue/compiler-sfc';
import ts from 'typescript';
import { messageOf } from '../core/words/language.ts';

/**
 * Finds every message that the code says and writes them, with what is inserted and where each is said, to
 * `words/messages.json`: the one place to translate from. `npm run words` also tells what a language still lacks.
 */

/** The tags of what is said: at once, or as a message to be told later. */
const TAGS = ['say', 'msg'] as const;

const root = fileURLToPath(new URL('..', import.meta.url));

export interface Said {
  /** What is inserted at {0}, {1}, …, as the code calls it. */
  readonly parts: readonly string[];
  readonly in: readonly string[];
}

const saysAnything = (text: string) => TAGS.some((tag) => text.includes(`${tag}\``));

/** The scripts of a component and the expressions of its template, as one text that TypeScript can read. */
function codeOf(component: string): string {
  const { descriptor } = parse(component);
  const expressions: string[] = [];
  const walk = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    const { content, props, children, exp } = node as Record<string, unknown>;
    for (const own of [content, exp]) {
      const source = (own as { loc?: { source: string } } | undefined)?.loc?.source;
      if (source !== undefined && saysAnything(source))
        expressions.push(`(${source.startsWith('{{') ? source.slice(2, -2) : source})`);
    }
    for (const list of [props, children]) if (Array.isArray(list)) list.forEach(walk);
  };
  walk(descriptor.template?.ast);
  return [descriptor.script?.content, descriptor.scriptSetup?.content, ...expressions]
    .filter(Boolean)
    .join(';\n');
}

function saidIn(path: string, found: Map<string, { parts: string[]; in: Set<string> }>): void {
  const text = readFileSync(`${root}${path}`, 'utf8');
  if (!saysAnything(text)) return;
  const code = path.endsWith('.vue') ? codeOf(text) : text;
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest);
  const visit = (node: ts.Node): void => {
    if (
      ts.isTaggedTemplateExpression(node) &&
      (TAGS as readonly string[]).includes(node.tag.getText(source))
    ) {
      const { template } = node;
      const spans = ts.isTemplateExpression(template) ? template.templateSpans : [];
      const texts = ts.isTemplateExpression(template)
        ? [template.head.text, ...spans.map(({ literal }) => literal.text)]
        : [template.text];
      const message = messageOf(texts);
      const parts = spans.map(({ expression }) => expression.getText(source).replace(/\s+/g, ' '));
      const own = found.get(message) ?? { parts, in: new Set<string>() };
      own.in.add(path);
      found.set(message, own);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
}

/** Every message of the code, by its text. */
export function messagesOfTheCode(): Readonly<Record<string, Said>> {
  const found = new Map<string, { parts: string[]; in: Set<string> }>();
  for (const room of ['core', 'web']) {
    for (const file of readdirSync(`${root}${room}`, { recursive: true, encoding: 'utf8' }).sort()) {
      if (/(?<!\.test)\.(ts|vue)$/.test(file)) saidIn(`${room}/${file}`, found);
    }
  }
  return Object.fromEntries(
    [...found]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([text, { parts, in: paths }]) => [text, { parts, in: [...paths] }]),
  );
}

/** As `words/messages.json` has them: a line each. */
export function writtenMessages(messages: Readonly<Record<string, Said>>): string {
  const lines = Object.entries(messages).map(
    ([text, said]) => `${JSON.stringify(text)}: ${JSON.stringify(said)}`,
  );
  return `{\n${lines.join(',\n')}\n}\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const messages = messagesOfTheCode();
  writeFileSync(`${root}words/messages.json`, writtenMessages(messages));
  console.log(`${Object.keys(messages).length} messages in words/messages.json`);
  for (const file of readdirSync(`${root}words`).filter((name) => name !== 'messages.json')) {
    const own = JSON.parse(readFileSync(`${root}words/${file}`, 'utf8')) as Record<string, string>;
    const lacks = Object.keys(messages).filter((text) => own[text] === undefined);
    const extra = Object.keys(own).filter((text) => messages[text] === undefined);
    console.log(`${file}: lacks ${lacks.length}, has ${extra.length} that are no longer used`);
    for (const text of lacks) console.log(`  lacks  ${JSON.stringify(text)}`);
    for (const text of extra) console.log(`  unused ${JSON.stringify(text)}`);
  }
}
