import tseslint from 'typescript-eslint';

/** What a pure package may not touch: it is given clock and chance by its caller. */
const IMPURE = [
  { name: 'Date', message: 'A pure package is given the time.' },
  { name: 'performance', message: 'A pure package is given the time.' },
  { name: 'crypto', message: 'A pure package is given its random numbers.' },
  { name: 'process', message: 'A pure package knows no process.' },
  { name: 'window', message: 'A pure package knows no page.' },
  { name: 'document', message: 'A pure package knows no page.' },
  { name: 'fetch', message: 'A pure package talks to nobody.' },
  { name: 'setTimeout', message: 'A pure package does not wait.' },
];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/*.mjs',
      '**/*.config.ts',
      'packages/web/public/**',
      'data/**',
    ],
  },
  tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      // The query library names "no argument" void, and hands out methods to be taken apart.
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      // Numbers read well in a message; objects do not and stay forbidden.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // An async method may have nothing to wait for when it fulfils a port.
      '@typescript-eslint/require-await': 'off',
      // `void call()` says that nobody waits for it.
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true },
      ],
    },
  },
  {
    files: ['packages/{core,kernel,knowledge,ticket,shop,tables,exchange,api}/src/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-properties': [
        'error',
        {
          object: 'Math',
          property: 'random',
          message: 'A pure package is given its random numbers.',
        },
      ],
    },
  },
  {
    files: ['packages/server/src/**/*.ts', 'demo/src/**/*.ts'],
    ignores: [
      'packages/server/src/{main,doorMain,migrate,ownShopMain,backupMain,process}.ts',
      'demo/src/main.ts',
    ],
    rules: {
      'no-restricted-globals': [
        'error',
        {
          name: 'process',
          message: 'Only what a process begins with (process.ts) reads the environment.',
        },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes from main.ts or crypto.' },
        { object: 'Date', property: 'now', message: 'The clock comes from main.ts.' },
      ],
    },
  },
);
