import js from '@eslint/js';
import globals from 'globals';

/** What is asked of every script: nothing unused, nothing redeclared by mistake, comparisons that mean what they say. */
const strict = {
  ...js.configs.recommended.rules,
  eqeqeq: 'error',
  'no-var': 'error',
  'prefer-const': 'error',
  'no-shadow': 'error',
  'no-implicit-globals': 'error',
  'no-unused-vars': ['error', { args: 'after-used', caughtErrors: 'all' }],
  'no-use-before-define': ['error', { functions: false, classes: false }],
  'object-shorthand': 'error',
};

export default [
  { files: ['**/static/js/**/*.js'], languageOptions: { sourceType: 'module', globals: globals.browser }, rules: strict },
  { files: ['frontend/**/*.mjs'], languageOptions: { sourceType: 'module', globals: { ...globals.node, ...globals.browser } }, rules: strict },
];
