/** @type {import('jest').Config} */
module.exports = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/tests/unit'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.module\\.css$': '<rootDir>/tests/support/noStyles.cjs',
  },
  transform: {
    '^.+\\.(?:[cm]?[jt]sx?)$': [
      '@swc/jest',
      {
        jsc: { target: 'es2022', transform: { react: { runtime: 'automatic' } } },
        module: { type: 'commonjs' },
      },
    ],
  },
  // The text libraries ship as ES modules only.
  transformIgnorePatterns: [
    '/node_modules/(?:@swc|jest|@jest|typescript|core-js|knex|normalize-strings)/',
  ],
  testSequencer: '<rootDir>/tests/support/longestFirst.cjs',
  setupFiles: ['<rootDir>/tests/support/databaseOfWorker.cjs'],
  globalSetup: '<rootDir>/tests/support/database.cjs',
  globalTeardown: '<rootDir>/tests/support/databaseStop.cjs',
  // Looked up once a module: a lookup in the sandbox itself is slow, and the craft is arithmetic.
  sandboxInjectedGlobals: ['Math', 'Array', 'Float64Array', 'Map', 'Object', 'Set'],
  maxWorkers: 2,
  // No test is timed: a busy machine only takes longer.
  testTimeout: 60_000,
}
