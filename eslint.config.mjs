import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { defineConfig } from 'eslint/config';

export default defineConfig(
  { ignores: ['dist/', '.astro/', '.generated/', 'test-results/', '.unit/'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  // Components are looked at whole; where there are hooks alone, their order and what they depend on.
  { files: ['src/**/*.tsx'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['src/{app,ui,views}/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What only the types can tell: a promise nobody waits for, a kind that a switch forgets.
    files: ['src/**/*.{ts,tsx}', 'tests/**/*.ts', 'scripts/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': [
        'error',
        { allowForKnownSafeCalls: [{ from: 'package', package: 'node:test', name: ['test'] }] },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    files: ['scripts/**', '*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        Buffer: 'readonly',
        indexedDB: 'readonly',
      },
    },
  },
  { rules: { 'max-lines': ['error', 400], '@typescript-eslint/no-non-null-assertion': 'error' } },
);
