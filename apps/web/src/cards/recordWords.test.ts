import { describe, expect, test } from '@jest/globals'
import { recordWords } from './useRecord'

describe('what a model’s units say of a pass', () => {
  test('nothing, where none came back and none was cured by an exchange', () => {
    expect(recordWords({ cameBackAfterPass: 0, curedByExchange: 0 })).toBe('')
  })
  test('one, and several', () => {
    expect(recordWords({ cameBackAfterPass: 1, curedByExchange: 0 })).toMatch(/^One unit of this model came back/)
    expect(recordWords({ cameBackAfterPass: 0, curedByExchange: 1 })).toBe(
      'One unit of this model read right, and what it was taken from ran well after its exchange.',
    )
    expect(recordWords({ cameBackAfterPass: 2, curedByExchange: 3 })).toMatch(
      /^2 units .* fail by\. 3 units .* exchange\.$/,
    )
  })
})
