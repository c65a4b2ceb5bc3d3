import tseslint from 'typescript-eslint';
import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import boundaries from 'eslint-plugin-boundaries';
import { CORE_ROOMS } from './src/core/rooms.mjs';

// Who may import whom. The core knows nobody; routes know everybody.
const rooms = ['core', 'words', 'data', 'workers', 'ui', 'features', 'app'];
const mayUse = {
  // Of the words the core knows the ids alone; the catalogue is written with the core’s messages and amounts.
  core: ['core', 'words'],
  words: ['core', 'words'],
  // The worker that holds the log reads it from the database itself.
  workers: ['core', 'words', 'data', 'workers'],
  data: ['core', 'words', 'workers', 'data'],
  ui: ['core', 'words', 'ui'],
  features: ['core', 'words', 'data', 'workers', 'ui', 'features'],
  app: ['core', 'words', 'data', 'workers', 'ui', 'features', 'app'],
};

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      'next-env.d.ts',
      'public/**',
      'tmp/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.recommended],
    plugins: { '@next/next': next, 'react-hooks': hooks },
    rules: {
      ...next.configs.recommended.rules,
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@next/next/no-html-link-for-pages': 'off',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': ['error', { max: 120 }] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.{ts,tsx}', 'src/proxy.ts'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: { alwaysTryTypes: true } },
      'boundaries/include': ['src/**/*'],
      'boundaries/elements': rooms.map((type) => ({ type, pattern: `src/${type}` })),
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: rooms.map((type) => ({
            from: { element: { type } },
            allow: { to: { element: { type: mayUse[type] } } },
          })),
        },
      ],
      'boundaries/no-unknown-files': 'error',
    },
  },
  {
    // Inside the core a room uses the rooms listed before it. Tests and their helpers may look anywhere.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/**/test*.ts'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: { alwaysTryTypes: true } },
      'boundaries/include': ['src/**/*'],
      'boundaries/elements': [
        ...CORE_ROOMS.map(({ room }) => ({ type: room, pattern: `src/core/${room}` })),
        ...rooms.filter((r) => r !== 'core').map((r) => ({ type: r, pattern: `src/${r}` })),
      ],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: CORE_ROOMS.map(({ room }, i) => ({
            from: { element: { type: room } },
            allow: { to: { element: { type: [...CORE_ROOMS.slice(0, i + 1).map((r) => r.room), 'words'] } } },
          })),
        },
      ],
      'boundaries/no-unknown-files': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/formats/testPicture.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['react*', 'next*', 'dexie*', 'comlink', 'd3-selection', 'node:*', 'fs', 'fflate'] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'setTimeout',
        'setInterval',
        'fetch',
        'localStorage',
        'indexedDB',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
  {
    // A migration step means the same for ever: nothing of today's code may reach into it.
    files: ['src/core/formats/upgrades/to*.ts', 'src/core/formats/upgrades/raw.ts', 'src/data/upgradeLog.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: '^(?!\\./raw$)', message: 'A migration step stands alone.', allowTypeImports: true },
          ],
        },
      ],
    },
  },
);
