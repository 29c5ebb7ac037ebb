/** Stryker, as scripts/mutate.mjs calls it. */
export default {
  packageManager: 'npm',
  testRunner: 'jest',
  buildCommand: 'node --import tsx scripts/mutate-bundle.mjs',
  jest: {
    projectType: 'custom',
    configFile: 'scripts/mutate-jest.config.mjs',
    enableFindRelatedTests: false,
  },
  // What does not compile is no change that could be made.
  checkers: ['typescript'],
  tsconfigFile: 'scripts/mutate-tsconfig.json',
  typescriptChecker: { prioritizePerformanceOverAccuracy: true },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  tempDirName: '.jugalis/mutate',
  ignorePatterns: ['web', 'server', 'e2e', 'demo', 'docs', '.jugalis', '.git'],
  // Run once when the program starts, a change there meets every test: hours for little.
  ignoreStatic: true,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: { logTests: false, allowColor: false },
  jsonReporter: { fileName: '.jugalis/mutation.json' },
  timeoutMS: 20000,
  thresholds: { high: 90, low: 85, break: null },
}
