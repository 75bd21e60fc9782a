import parser from '@typescript-eslint/parser';
import vue from 'eslint-plugin-vue';

/** What is written in a component’s template, and how it is set up. All scripts are read by oxlint: see `.oxlintrc.json`. */
export default [
  { ignores: ['dist/', 'node_modules/', 'test-results/', 'playwright-report/', 'coverage/', '.cache/'] },
  ...vue.configs['flat/recommended'].map((own) => ({ ...own, files: ['**/*.vue'] })),
  {
    files: ['**/*.vue'],
    // No rule asks which names the language itself brings: they are not put into the scope of each file and expression.
    languageOptions: { parserOptions: { parser, lib: [] } },
    rules: {
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
];
