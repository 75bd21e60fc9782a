import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';

/** Short names that mean something only beside what they stand for: used farther off, they get a name of their own. */
const SHORT = new Set(['own', 'at', 'of', 'it']);
const LINES_IN_SIGHT = 3;
const inSight = {
  create: (context) => ({
    'Program:exit'() {
      for (const scope of context.sourceCode.scopeManager.scopes)
        for (const { name, identifiers, references } of scope.variables) {
          const [declared] = identifiers;
          if (!SHORT.has(name) || !declared) continue;
          const last = Math.max(...references.map(({ identifier }) => identifier.loc.start.line));
          if (last - declared.loc.start.line > LINES_IN_SIGHT)
            context.report({
              node: declared,
              message: `“${name}” is still used ${last - declared.loc.start.line} lines on: give it a name.`,
            });
        }
    },
  }),
};

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'test-results/', 'playwright-report/', 'coverage/', '.cache/'] },
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'].map((own) => ({ files: ['**/*.vue'], ...own })),
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  // No rule asks which names the language itself brings: they are not put into the scope of each file and expression.
  { languageOptions: { parserOptions: { lib: [] } } },
  {
    rules: {
      eqeqeq: 'error',
      'no-console': 'error',
      // The compiler says what is not used, of all that it reads: see noUnusedLocals and noUnusedParameters.
      '@typescript-eslint/no-unused-vars': 'off',
      'vue/multi-word-component-names': 'off',
      // The formatter sets the line breaks.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  {
    // A longer function says why it is one, beside the rule it breaks.
    files: ['core/**/*.ts', 'web/**/*.ts', 'web/**/*.vue', 'server/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*Fixture.ts'],
    plugins: { house: { rules: { 'in-sight': inSight } } },
    rules: {
      'house/in-sight': 'error',
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/**/*Fixture.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'Date', 'setTimeout', 'fetch'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    rules: { '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }] },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  { files: ['scripts/**', 'server/main.ts'], rules: { 'no-console': 'off' } },
);
