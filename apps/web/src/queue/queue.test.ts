import { describe, expect, test } from '@jest/globals'
import { terminalsOf } from './sketch'
import { followingTag } from '../store/followingTag'

test.each([
  ['SQ-0448', 'SQ-0449'],
  ['SQ-0999', 'SQ-1000'],
  ['T9', 'T10'],
  ['tray', 'tray-2'],
  ['a1b', 'a1b-2'],
  ['7', '8'],
])('the tag behind %s is %s', (tag, next) => {
  expect(followingTag(tag)).toBe(next)
})

describe('what can be touched on a sketch', () => {
  const names = (points: string) => terminalsOf(points).map((one) => one.label)

  test('by name, each once, without the frame; or by how many', () => {
    expect(names('red, black; white,, red')).toEqual(['red', 'black', 'white'])
    expect(names('red, Frame')).toEqual(['red'])
    expect(names(' 3 ')).toEqual(['1', '2', '3'])
    expect(names('')).toEqual([])
  })

  test('ids are short and its own, and no text makes too many', () => {
    expect(terminalsOf('a, b').map((one) => one.id)).toEqual(['t1', 't2'])
    expect(names(Array.from({ length: 90 }, (_, i) => `w${i}`).join(','))).toHaveLength(24)
    expect(names('99')).toEqual(['99'])
  })
})
