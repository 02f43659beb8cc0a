import { describe, expect, test } from '@jest/globals'
import { keptAs, unkeptText } from './keptText'

const half = '\ud83d'
describe('texts that cannot be kept as they were sent', () => {
  test.each<[string, unknown, string | null]>([
    ['half a sign', { words: `a${half}b` }, 'words'],
    ['the other half', { words: '\udd27' }, 'words'],
    ['a nought', { entries: [{ words: 'ok' }, { words: 'a\u0000' }] }, 'entries[1].words'],
    ['a bell', ['x', '\u0007'], '[1]'],
    ['a delete sign', { a: { b: '\u007f' } }, 'a.b'],
    ['in a key', { 'k\u0001': 1 }, 'k\u0001'],
    ['a bare text', '\u0000', '(body)'],
    ['a whole sign, accents, Arabic, tabs and line ends', { words: '🔧 Zoé عربي\t\r\n' }, null],
    ['no text at all', { n: 1, none: null, yes: true, list: [] }, null],
  ])('%s', (_what, value, path) => expect(unkeptText(value)).toBe(path))

  test('what is kept of them is all that a person sees', () => {
    expect(keptAs(`a${half}b\u0000\u0007\u007f🔧\n`)).toBe('ab🔧\n')
    expect(unkeptText(keptAs(`x${half}\u0000`))).toBeNull()
  })
})
