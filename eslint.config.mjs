import path from 'node:path';
import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { forbiddenArrow } from './layers.config.mjs';

const layers = {
  rules: {
    'import-direction': {
      meta: { type: 'problem', schema: [] },
      create(context) {
        const check = (node) => {
          const specifier = node.source?.value;
          if (typeof specifier !== 'string') return;
          const resolved = specifier.startsWith('.')
            ? path.resolve(path.dirname(context.filename), specifier)
            : undefined;
          const message = forbiddenArrow(context.filename, specifier, resolved);
          if (message) context.report({ node, message });
        };
        return {
          ImportDeclaration: check,
          ExportNamedDeclaration: check,
          ExportAllDeclaration: check,
          ImportExpression: check,
        };
      },
    },
  },
};

/** Modules of the core that read text: of people, of files, of drawings. */
const readsText = [
  'src/core/exchange/**',
  'src/core/calendar/read-date.ts',
  'src/core/search/**',
  'src/core/messages/bounce.ts',
  'src/core/sign-in/**',
  'src/core/figure/**',
  'src/core/oils/drop-scale.ts',
  'src/core/oils/shortlist.ts',
  'src/core/screening/medicines.ts',
  'src/core/screening/time.ts',
  'src/core/stones/thermometer.ts',
  'src/core/swelling/protocol.ts',
  'src/core/swelling/read-length.ts',
];

export default tseslint.config(
  { ignores: ['dist', '.astro', 'node_modules', 'var', '**/*.astro'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    files: ['src/**/*.{ts,tsx}', 'tests/**/*.{ts,tsx}'],
    plugins: { layers, 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      'layers/import-direction': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      // `import { type X }` would still fetch the module, and its schemas, into the browser.
      '@typescript-eslint/no-import-type-side-effects': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
    },
  },
  {
    // What something is stands in data; only what people typed, and files, are read by pattern.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', ...readsText],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Literal[regex], NewExpression[callee.name="RegExp"]',
          message: 'The core asks data what an id means, never a pattern: a group of regions, a trait, a table.',
        },
      ],
    },
  },
  {
    // Rows are read and written in repositories; everything else asks them.
    files: ['src/server/**/*.ts', 'src/pages/**/*.ts', 'src/middleware.ts'],
    ignores: ['**/*.repository.ts', 'src/server/db/**', '**/*.test.ts', '**/*-fixtures.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name=/^(selectFrom|insertInto|updateTable|deleteFrom)$/]',
          message: 'Queries stand in the repository of their domain.',
        },
      ],
      'no-restricted-imports': ['error', { paths: [{ name: 'kysely', importNames: ['sql'], message: 'As above.' }] }],
    },
  },
  {
    files: ['public/fresh.js'],
    languageOptions: { globals: { addEventListener: 'readonly', document: 'readonly', location: 'readonly' } },
  },
  {
    files: ['public/theme.js'],
    languageOptions: { globals: { document: 'readonly', localStorage: 'readonly', matchMedia: 'readonly' } },
  },
  {
    files: ['public/offline.js'],
    languageOptions: {
      globals: {
        self: 'readonly',
        caches: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
      },
    },
  },
  {
    files: ['scripts/**/*.mjs', '*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        PerformanceObserver: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        Buffer: 'readonly',
        localStorage: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
        document: 'readonly',
        window: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }] },
  },
);
