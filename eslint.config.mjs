import { readdirSync } from 'node:fs';
import next from '@next/eslint-plugin-next';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import { importX } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import { configs as regexp } from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';
import { stillLong, stillMany } from './scripts/lib/still-large.js';

// Imports point one way (see ARCHITECTURE.md): each layer lists the layers it must never reach.
const screens = ['court', 'features', 'ui', 'app', 'demo', 'workers'];
const forbidden = {
  core: ['drills', 'session', 'formats', 'schemas', 'data', 'server', ...screens],
  formats: ['drills', 'session', 'schemas', 'data', 'server', ...screens],
  drills: ['session', 'formats', 'schemas', 'data', 'server', ...screens],
  session: ['formats', 'schemas', 'data', 'server', ...screens],
  schemas: ['data', 'server', ...screens],
  data: ['drills', 'session', 'server', ...screens],
  server: screens,
  court: ['formats', 'data', 'server', 'features', 'ui', 'app', 'demo', 'workers'],
  workers: ['drills', 'formats', 'schemas', 'data', 'server', 'court', 'features', 'ui', 'app', 'demo'],
  ui: ['data', 'server', 'features', 'app', 'demo'],
  demo: ['features', 'ui', 'app', 'data'],
  app: ['data', 'demo'],
};
const zones = Object.entries(forbidden).map(([layer, others]) => ({
  target: `./src/${layer}`,
  from: others.map((other) => `./src/${other}`),
  message: `src/${layer} must not import from this layer; see ARCHITECTURE.md.`,
}));
// A feature reaches the server only through server actions, route handlers, and shared view types.
const message =
  'A feature reaches the server through src/server/actions (or a route) only; see ARCHITECTURE.md.';
zones.push(
  { target: './src/features', from: ['./src/data', './src/app', './src/demo'], message },
  { target: './src/features', from: './src/server', except: ['./actions', './views'], message },
);
// Within the server: screens' views are made of readers, as use cases are, and no use case or reader knows a view.
const useCases = readdirSync('./src/server', { withFileTypes: true })
  .filter((one) => one.isDirectory())
  .map((one) => one.name)
  .filter(
    (name) => !['access', 'actions', 'api', 'base', 'http', 'readers', 'testing', 'views'].includes(name),
  );
zones.push(
  ...[...useCases, 'readers'].map((room) => ({
    target: `./src/server/${room}`,
    from: ['./src/server/views', './src/server/http', './src/server/actions'],
    message: 'A use case or reader must not know a view, a route or an action; see ARCHITECTURE.md.',
  })),
  ...[...useCases, 'views'].map((room) => ({
    target: './src/server/readers',
    from: `./src/server/${room}`,
    message: 'A reader must not know a use case or a view; see ARCHITECTURE.md.',
  })),
);

// A pattern made of what people type is theirs to write: it may match for ever, or be none at all.
const noPatternsOfText = ['NewExpression', 'CallExpression'].map((kind) => ({
  selector: `${kind}[callee.name="RegExp"]`,
  message: 'Write the pattern out, or look for the text itself (includes, indexOf).',
}));

// An object spread where it is written switches off the check for fields that do not belong there.
const noInlineSpreads = [
  {
    selector: 'ObjectExpression > SpreadElement > ObjectExpression',
    message: 'Write the fields themselves.',
  },
  {
    selector: 'JSXSpreadAttribute > ObjectExpression',
    message: 'Write the attributes themselves.',
  },
];

export default tseslint.config(
  {
    ignores: [
      '.next',
      'node_modules',
      'next-env.d.ts',
      'data',
      'public/sw.js',
      'public/home',
      'public/solver',
    ],
  },
  ...tseslint.configs.recommended,
  { rules: { 'no-restricted-syntax': ['error', ...noInlineSpreads] } },
  {
    ignores: ['**/*.test.{ts,tsx}', 'e2e/**', ...stillLong],
    rules: { 'max-lines-per-function': ['error', { max: 100 }] },
  },
  {
    ignores: ['**/*.test.{ts,tsx}', 'e2e/**', ...stillMany],
    rules: { 'max-params': ['error', { max: 5 }] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createTypeScriptImportResolver()] },
    rules: { 'import-x/no-restricted-paths': ['error', { zones }] },
  },
  {
    // Where there are components and hooks: their rules compile every file, which takes most of the linter's time.
    files: ['src/{app,features,ui}/**/*.{ts,tsx}'],
    plugins: { '@next/next': next, 'react-hooks': hooks },
    rules: { ...next.configs.recommended.rules, ...hooks.configs['recommended-latest'].rules },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Use ui/link: it does not fetch ahead.' },
      ],
    },
  },
  {
    // Patterns that take more than a line's time for a line are refused, whoever they meet.
    files: ['src/**/*.{ts,tsx}', 'scripts/**/*.{js,mjs}'],
    ignores: ['**/*.test.{ts,tsx}'],
    plugins: regexp['flat/recommended'].plugins,
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
      'no-restricted-syntax': ['error', ...noInlineSpreads, ...noPatternsOfText],
    },
  },
  {
    // The core is pure: no clock, no chance of its own, no interface, no I/O.
    files: ['core', 'drills', 'session', 'formats'].map((room) => `src/${room}/**/*.ts`),
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'localStorage',
        'process',
        'setTimeout',
        'setInterval',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Hand in a seeded generator.' },
        { object: 'Date', property: 'now', message: 'Hand in the time.' },
      ],
      'no-restricted-syntax': [
        'error',
        ...noInlineSpreads,
        ...noPatternsOfText,
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'Hand in the time.' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            'react',
            'react-*',
            'next',
            'next/*',
            'drizzle-orm*',
            '@libsql/*',
            'node:*',
            'fs',
            'path',
          ],
        },
      ],
    },
  },
  // A test may set up what it needs from any layer.
  { files: ['**/*.test.{ts,tsx}'], rules: { 'import-x/no-restricted-paths': 'off' } },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
    },
  },
);
