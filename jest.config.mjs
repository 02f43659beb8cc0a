const transform = {
  '^.+\\.ts$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'es6' } }],
}
const project = (displayName, roots, testMatch, extra = {}) => ({
  displayName,
  roots,
  testMatch,
  transform,
  extensionsToTreatAsEsm: ['.ts'],
  testEnvironment: 'node',
  ...extra,
})
const root = '<rootDir>'
export default {
  // a real database and a real thread take what a busy machine leaves them
  testTimeout: 60_000,
  projects: [
    project('core', [`${root}/packages/core/src`], ['**/*.test.ts']),
    project('vectors', [`${root}/packages/core/vectors`], ['**/*.test.ts']),
    project('contract', [`${root}/packages/contract/src`, `${root}/demo`], ['**/*.test.ts']),
    project('web', [`${root}/apps/web/src`], ['**/*.test.ts'], { setupFiles: ['fake-indexeddb/auto'] }),
    project('server', [`${root}/apps/server`], ['**/*.test.ts']),
  ],
}
