import { describe, expect, test } from '@jest/globals'
import { runState } from '@sure-spool/core'
import { armatureCard, Script } from '@sure-spool/core/testing'
import { alongPath } from './alongPath'

const script = new Script(armatureCard()).ready().read('bars', '.41', { index: 1 })
const { steps } = runState(script.run)
const ids = steps.map(({ step }) => step.id)

describe('along the path', () => {
  test('step by step, and no further than its ends', () => {
    expect(alongPath(steps, 'bars:3', 1)).toBe('bars:4')
    expect(alongPath(steps, 'bars:3', -1)).toBe('bars:2')
    expect(alongPath(steps, ids[0] ?? '', -1)).toBe(ids[0])
    expect(alongPath(steps, 'finding', 1)).toBe('finding')
  })

  test('test by test to what is open first in the next, past all the bars between', () => {
    expect(alongPath(steps, 'leads', 1, true)).toBe('bars:2')
    expect(alongPath(steps, 'bars:3', 1, true)).toBe(ids[ids.lastIndexOf('bars:8') + 1])
    expect(alongPath(steps, 'bars:5', -1, true)).toBe('leads')
    expect(alongPath(steps, 'finding', 1, true)).toBe('finding')
    expect(alongPath(steps, ids[0] ?? '', -1, true)).toBe(ids[0])
  })

  test('from nowhere it begins at the beginning; of no path there is nothing', () => {
    expect(alongPath(steps, 'gone', 1)).toBe(ids[0])
    expect(alongPath([], 'gone', 1, true)).toBeUndefined()
  })
})
