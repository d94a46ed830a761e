import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What React asks of its components; everything else is judged by the quicker linter. */
export default tseslint.config({
  files: ['web/**/*.{ts,tsx}'],
  languageOptions: { parser: tseslint.parser },
  plugins: { 'react-hooks': reactHooks },
  rules: {
    ...reactHooks.configs.recommended.rules,
    // Says what the compiler would skip; it is not used here.
    'react-hooks/incompatible-library': 'off',
  },
});
