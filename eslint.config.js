import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { layers } from './scripts/lint/layers.mjs';

const ownRules = createHash('sha256')
  .update(readFileSync(new URL('./scripts/lint/layers.mjs', import.meta.url)))
  .digest('hex');

const NAMELESS = [
  ':function > Identifier.params[name="one"]',
  'VariableDeclarator > Identifier.id[name="one"]',
  'ArrayPattern > Identifier[name="one"]',
  'ObjectPattern > Property > Identifier.value[name="one"]',
  'SvelteEachBlock > Identifier.context[name="one"]'
].map((selector) => ({ selector, message: 'Call it what it is, not "one".' }));

export default ts.config(
  { ignores: ['node_modules/', '.svelte-kit/', 'build/', 'dist/', 'test-results/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } }
  },
  {
    // Its version is what it says: files that were looked through are looked through again where a rule has changed.
    plugins: { house: { meta: { name: 'house', version: ownRules }, rules: { layers } } },
    rules: {
      'house/layers': 'error',
      'no-undef': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      // A thing is called what it is: strand, option, screw.
      'no-restricted-syntax': ['error', ...NAMELESS],
      // No path of the product is mounted below a base address.
      'svelte/no-navigation-without-resolve': 'off'
    }
  },
  {
    files: ['**/*.test.ts', '**/*.test.mjs', 'e2e/**/*.ts', 'scripts/**/*.mjs', '**/*.svelte'],
    rules: { 'max-lines-per-function': 'off' }
  },
  {
    // A test may look at a part through the whole: houses from above, plans made of it.
    files: ['**/*.test.ts'],
    rules: { 'house/layers': 'off' }
  },
  {
    // The core is told the time, chance and the outside world by its callers; it never reaches for them.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'navigator',
        'fetch',
        'process'
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core is handed the time.' },
        { object: 'Math', property: 'random', message: 'The core is handed its randomness.' }
      ]
    }
  }
);
