// npm run types:web: the types of the interface, its components' templates included. Vue's own reading of a component is
// written out as TypeScript and checked by the compiler that is ten times as fast; only where that finds something in
// what a person wrote is it checked again by vue-tsc, which says it in the component's own lines. See docs/decisions.md.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  type CodeInformation,
  createParsedCommandLine,
  createVueLanguagePlugin,
  type LanguagePlugin,
  type Mapping,
  type VirtualCode,
  type VueVirtualCode,
} from '@vue/language-core';
import ts from 'typescript';

const packages = fileURLToPath(new URL('../node_modules/', import.meta.url));

/** A component as TypeScript, and which places of that a person wrote. */
interface Written {
  readonly text: string;
  readonly mappings: readonly Mapping<CodeInformation>[];
}

/** The reader of components, as far as it tells what they are as TypeScript. */
type Reader = LanguagePlugin<string, VueVirtualCode> & {
  readonly typescript?: {
    getServiceScript(component: VueVirtualCode): { code: VirtualCode; extension: string } | undefined;
  };
};

/** The source files of a configuration, components among them. */
function filesOf(config: string): readonly string[] {
  const { config: asWritten } = ts.readConfigFile(config, ts.sys.readFile) as { config: unknown };
  const component = { extension: '.vue', isMixedContent: true, scriptKind: ts.ScriptKind.Deferred };
  return ts.parseJsonConfigFileContent(asWritten, ts.sys, dirname(config), {}, config, undefined, [component])
    .fileNames;
}

/** Writes components as TypeScript into a folder that mirrors theirs; by the paths they have there. */
function written(config: string, components: readonly string[], out: string): Map<string, Written> {
  const { options, vueOptions } = createParsedCommandLine(ts, ts.sys, config);
  const plugin: Reader = createVueLanguagePlugin<string>(ts, options, vueOptions, (path) => path);
  return new Map(
    components.map((component) => {
      const snapshot = ts.ScriptSnapshot.fromString(readFileSync(component, 'utf8'));
      const read = plugin.createVirtualCode?.(component, 'vue', snapshot, {
        getAssociatedScript: () => undefined,
      });
      const script = read && plugin.typescript?.getServiceScript(read);
      if (!script) throw new Error(`${component} is no component`);
      const { snapshot: lines, mappings } = script.code;
      // What every component refers to is named once, in the configuration.
      const text = lines
        .getText(0, lines.getLength())
        .replace(/^\/\/\/ <reference types=.*$/gm, (line) => ' '.repeat(line.length));
      const path = join(out, relative(dirname(config), component) + script.extension);
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, text);
      return [path, { text, mappings }];
    }),
  );
}

/** Whether an error there is in what a person wrote, and not in what Vue wrote around it. */
function isPersons({ text, mappings }: Written, line: number, column: number, code: string): boolean {
  const before = text.split('\n', line - 1);
  const offset = before.reduce((sum, { length }) => sum + length + 1, 0) + column - 1;
  return mappings.some(({ generatedOffsets, lengths, generatedLengths = lengths, data }) => {
    const { verification } = data;
    if (!verification) return false;
    if (verification !== true && verification.shouldReport?.('ts', code) === false) return false;
    return generatedOffsets.some((from, i) => offset >= from && offset <= from + (generatedLengths[i] ?? 0));
  });
}

/**
 * What is wrong with the types of a configuration's sources and components, as the compiler says it of the TypeScript
 * that the components are. Of errors at an edge it says rather too many: vue-tsc has the last word.
 *
 * @param config path of the configuration; what is written out lies in `.cache/vue` beside it
 */
export function typeErrors(config: string): string[] {
  const root = dirname(config);
  const out = join(root, '.cache/vue');
  rmSync(out, { recursive: true, force: true });
  mkdirSync(out, { recursive: true });
  const files = filesOf(config);
  const isComponent = (path: string) => path.endsWith('.vue');
  const components = written(config, files.filter(isComponent), out);
  const own = join(out, 'tsconfig.json');
  writeFileSync(
    own,
    JSON.stringify({
      extends: config,
      compilerOptions: { rootDirs: [root, out], incremental: false, noEmit: true },
      files: files.filter((path) => !isComponent(path)),
      include: [join(out, '**/*.ts'), join(packages, '@vue/language-core/types/*.d.ts')],
      exclude: [],
    }),
  );
  const { stdout, stderr, status } = spawnSync(
    process.execPath,
    [join(packages, 'typescript7/bin/tsc'), '-p', own, '--singleThreaded', '--pretty', 'false'],
    { encoding: 'utf8', maxBuffer: 64e6 },
  );
  const errors = stdout.split('\n').filter((line) => /error TS\d+/.test(line));
  // Ended without a word it has checked nothing.
  if (status !== 0 && errors.length === 0) return [`the compiler ended with ${status}: ${stdout}${stderr}`];
  return errors.filter((error) => {
    const [, path = '', line, column, code = ''] = /^(.*)\((\d+),(\d+)\): error TS(\d+)/.exec(error) ?? [];
    const component = components.get(resolve(path));
    return !component || isPersons(component, Number(line), Number(column), code);
  });
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const config = resolve('tsconfig.web.json');
  if (typeErrors(config).length > 0)
    process.exitCode =
      spawnSync(process.execPath, [join(packages, 'vue-tsc/bin/vue-tsc.js'), '-p', config], {
        stdio: 'inherit',
      }).status ?? 1;
}
