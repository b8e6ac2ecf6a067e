import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'public',
      'vendor',
      'node_modules',
      'var',
      'resources/js/api/schema.d.ts',
      'resources/js/api/enums.ts',
      'test-results',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  a11y.flatConfigs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What is touched looks and answers alike everywhere: places compose it and draw none of their own.
    files: ['resources/js/{places,mine}/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXOpeningElement[name.name=/^(a|button|input|textarea|select|details|dialog|form)$/]',
          message: 'Take it from kit/, or add it there.',
        },
      ],
    },
  },
  {
    files: ['resources/js/first-look.js'],
    languageOptions: { globals: { localStorage: 'readonly', matchMedia: 'readonly', document: 'readonly' } },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        performance: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        AbortController: 'readonly',
      },
    },
  },
);
