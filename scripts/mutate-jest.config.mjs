import path from 'node:path'

/** Core's tests as scripts/mutate-bundle.mjs packs them. */
export default {
  rootDir: path.join(import.meta.dirname, '..'),
  roots: ['<rootDir>/.jugalis/bundles'],
  testMatch: ['**/*.test.js'],
  transform: {},
  testEnvironment: 'node',
  testTimeout: 60_000,
}
