import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { plainEnglish } from './scripts/lint/plainEnglish.mjs';

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      'apps/server/bundle/**',
      '**/tested/**',
      'node_modules/**',
      'test-results/**',
      'apps/server/migrations/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
      'no-console': 'off',
    },
  },
  {
    files: ['apps/web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What people read: screens, findings, papers, messages.
    files: ['packages/*/src/**/*.{ts,tsx}', 'apps/*/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', '**/tests/**', '**/migrations/**', '**/attack/**'],
    plugins: { brookrain: { rules: { 'plain-english': plainEnglish } } },
    rules: { 'brookrain/plain-english': 'error' },
  },
  {
    // The core computes: no interface, server or machine reaches into it.
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Randomness is seeded.',
        },
        {
          selector: "NewExpression[callee.name='Date']",
          message: 'The core does not know the time.',
        },
      ],
    },
  },
);
