import boundaries from 'eslint-plugin-boundaries'
import next from 'eslint-config-next'
import tseslint from 'typescript-eslint'

/** Layers, top to bottom; a layer imports only from those below it. */
const UP = ['app', 'ui', 'cli', 'workers', 'server']

export default tseslint.config(
  {
    ignores: [
      'node_modules',
      '.next',
      '.notula',
      'next-env.d.ts',
      'test-results',
      'playwright-report',
    ],
  },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      'no-console': 'off',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: { project: './tsconfig.json' } },
      'boundaries/include': ['src/**/*'],
      'boundaries/elements': [
        { type: 'core', pattern: 'src/core/*', capture: ['part'] },
        ...UP.map((layer) => ({ type: layer, pattern: `src/${layer}`, mode: 'folder' })),
      ],
    },
    rules: {
      'boundaries/no-unknown': 'error',
      // Imports only point down.
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          message:
            'A ${file.type} file must not import from ${dependency.type}: imports only point down.',
          rules: [
            { from: 'app', allow: ['app', 'ui', 'server', 'core'] },
            { from: 'ui', allow: ['ui', 'workers', 'core'] },
            { from: 'cli', allow: ['cli', 'server', 'core'] },
            { from: 'workers', allow: ['workers', 'core'] },
            { from: 'server', allow: ['server', 'core'] },
            { from: 'core', allow: ['core'] },
          ],
        },
      ],
      // A folder of the core has one door.
      'boundaries/entry-point': [
        'error',
        {
          default: 'allow',
          message: 'Import from the folder’s index: it is the only door of a folder of the core.',
          rules: [
            { target: 'core', disallow: '*' },
            { target: 'core', allow: 'index.ts' },
          ],
        },
      ],
    },
  },
  {
    // The core knows no faces: no React, Next, Knex, Node or DOM.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'react',
                'react/*',
                'react-dom',
                'next',
                'next/*',
                'knex',
                'pg',
                'node:*',
                'fs',
                'path',
                '@mantine/*',
                '@react-pdf/*',
                'zustand',
              ],
              message: 'The core is pure: no React, Next, Knex, Node or DOM.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'process',
        'Buffer',
        'fetch',
      ],
    },
  },
  {
    // PostgreSQL is known to the server layer only.
    files: ['src/{app,ui,cli,workers}/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': ['error', { paths: ['knex', 'pg'] }],
    },
  },
  {
    files: ['**/*.cjs'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  }
)
