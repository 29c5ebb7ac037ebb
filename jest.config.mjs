const shared = {
  extensionsToTreatAsEsm: ['.ts'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript' },
          target: 'es2022',
          experimental: { keepImportAttributes: true },
        },
        module: { type: 'es6' },
      },
    ],
  },
  testEnvironment: 'node',
}
export default {
  maxWorkers: 2,
  testSequencer: '<rootDir>/scripts/lib/longest-first.mjs',
  // A busy machine is slow, not wrong.
  testTimeout: 60_000,
  projects: [
    { ...shared, displayName: 'core', testMatch: ['<rootDir>/core/test/**/*.test.ts'] },
    { ...shared, displayName: 'web', testMatch: ['<rootDir>/web/test/**/*.test.ts'] },
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/server/test/**/*.test.ts'] },
  ],
}
