// eslint-disable-next-line @typescript-eslint/no-require-imports -- Stryker requires it
const { TestEnvironment } = require('jest-environment-node')

/** A fault that one test has found wants no other: what comes after is passed over.. */
module.exports = class UntilFound extends TestEnvironment {
  #found = false

  handleTestEvent({ name, test }) {
    if (name === 'test_done' && test.errors.length > 0) this.#found = true
    if (name === 'test_start' && this.#found) test.mode = 'skip'
  }
}
