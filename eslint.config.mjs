import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import imports from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { defineConfig } from 'eslint/config';

export default defineConfig(
  { ignores: ['dist/', '.astro/', '.generated/', 'test-results/', '.unit/'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  // Looked at where there are components and hooks: it reads every function as if it were one.
  { files: ['src/**/*.tsx', 'src/{app,ui,views}/**/*.ts'], ...hooks.configs.flat['recommended-latest'] },
  {
    // What only the types can tell: a promise nobody waits for, a kind that a switch forgets; and imports that go round in a circle.
    files: ['src/**/*.{ts,tsx}', 'tests/**/*.ts', 'scripts/**/*.ts'],
    plugins: { 'import-x': imports },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    settings: {
      ...imports.flatConfigs.typescript.settings,
      'import-x/resolver-next': [createTypeScriptImportResolver()],
    },
    rules: {
      '@typescript-eslint/no-floating-promises': [
        'error',
        { allowForKnownSafeCalls: [{ from: 'package', package: 'node:test', name: ['test'] }] },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
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
