import next from 'eslint-config-next'
import prettier from 'eslint-config-prettier'
import tseslint from 'typescript-eslint'

/** Where React is: its rules compile each file they look at, and find nothing elsewhere. */
const REACT = ['src/{app,features,store,ui}/**/*.{ts,tsx}']

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'public/**', 'test-results/**', 'next-env.d.ts', '**/*.cjs'] },
  ...next.map((rules) => (rules.files ? { ...rules, files: REACT } : rules)),
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}', 'e2e/**/*.ts', 'bench/**/*.ts', 'scripts/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      eqeqeq: 'error',
      // What goes wrong must reach the strip: `deed(promise)` in components, `await` elsewhere.
      'no-void': 'error',
      'no-console': ['error', { allow: ['error'] }],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "JSXOpeningElement[name.name='Select']:has(JSXAttribute[name.name=/^(mode|showSearch)$/]):not(:has(JSXAttribute[name.name='optionFilterProp']))",
          message: 'What is typed into it is looked for in what it shows: optionFilterProp="label".',
        },
      ],
    },
  },
  {
    files: REACT,
    rules: {
      // `useAsked` asks again when its list changes, as an effect does.
      'react-hooks/exhaustive-deps': ['error', { additionalHooks: '(useAsked)' }],
    },
  },
  {
    // The core is pure: no clock, no chance, no browser, and no language or time zone of a machine.
    files: ['src/core/**/*.ts', 'src/standins/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'indexedDB',
        'localStorage',
        'fetch',
        'navigator',
        'performance',
        'setTimeout',
        { name: 'Intl', message: 'What is packed or sorted must be the same on every machine.' },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
        { object: 'crypto', property: 'randomUUID' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core has no clock: have the time handed in.',
        },
        {
          selector: 'MemberExpression[property.name=/^toLocale|^localeCompare$/]',
          message: 'What is packed or sorted must be the same on every machine: use foldLabel or thousands.',
        },
        {
          selector:
            'MemberExpression[property.name=/^(get|set)(FullYear|Month|Date|Day|Hours|Minutes|Seconds|TimezoneOffset)$/]',
          message: 'Days and hours are those of UTC.',
        },
      ],
    },
  },
  { files: ['src/cli/**', 'scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
  prettier,
)
