import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'test-results/', 'data/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    // What needs types to be judged is judged apart, by a linter that has them ten times sooner.
    extends: [...tseslint.configs.recommended],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // Says what the compiler would skip; it is not used here.
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    files: ['**/*.test.ts', 'e2e/**/*.ts', '**/*.fixture.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'off',
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        KeyboardEvent: 'readonly',
        PointerEvent: 'readonly',
        MessageChannel: 'readonly',
        MutationObserver: 'readonly',
        Worker: 'readonly',
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        URLSearchParams: 'readonly',
        Buffer: 'readonly',
        AbortSignal: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        document: 'readonly',
        window: 'readonly',
        requestAnimationFrame: 'readonly',
      },
    },
  },
);
