import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/build/', '**/.svelte-kit/', '**/node_modules/', 'test-results/', 'playwright-report/'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.node } } },
  { files: ['app/**'], languageOptions: { globals: { ...globals.browser } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      // Addresses are made by resolve() in helpers; Maps are replaced whole under $state.raw.
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/prefer-svelte-reactivity': 'off',
    },
  },
  {
    files: ['core/src/**'],
    ignores: ['**/*.test.ts', 'core/src/cli/**', 'core/src/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['node:*', 'svelte', '$lib/*', '$app/*', 'three', 'dexie'] }],
    },
  },
);
