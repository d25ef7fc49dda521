import js from '@eslint/js';
import prettier from 'eslint-config-prettier/flat';
import svelte from 'eslint-plugin-svelte';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default defineConfig(
  globalIgnores(['target/', 'src/api/schema.d.ts']),
  js.configs.recommended,
  ts.configs.strictTypeChecked,
  svelte.configs.recommended,
  prettier,
  svelte.configs.prettier,
  {
    languageOptions: {
      globals: globals.browser,
      parserOptions: {
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.svelte'],
      },
    },
    rules: {
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
    // hash links go through the browser itself; there is no router to resolve them
    rules: { 'svelte/no-navigation-without-resolve': 'off' },
  },
  {
    files: ['**/*.svelte'],
    rules: Object.fromEntries(
      ['argument', 'assignment', 'call', 'member-access', 'return'].map((r) => [
        `@typescript-eslint/no-unsafe-${r}`,
        'off',
      ]),
    ), // imported components are `any` to ESLint; svelte-check types them
  },
  { files: ['**/*.js'], extends: [ts.configs.disableTypeChecked] },
);
