/** @type {import('jest').Config} */
module.exports = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/tests/unit'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
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
  transformIgnorePatterns: ['/node_modules/(?:@swc|jest|@jest|typescript|core-js)/'],
  maxWorkers: 2,
}
