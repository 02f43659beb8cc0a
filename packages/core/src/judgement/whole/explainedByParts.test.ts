import { describe, expect, test } from '@jest/globals'
import { Script, twinCard } from '../../testing'

/** What explains itself of a twin: its low coil, its high one, and both in series, each read twice. */
const explained = (low: string | null, high: string | null, series: string) => {
  const script = new Script(twinCard()).ready()
  for (const [check, text] of [
    ['low', low],
    ['high', high],
    ['series', series],
  ] as const)
    if (text !== null) script.read(check, text, { contact: 'clips' }).again(check, text, { contact: 'clips' })
  return script.state().explained
}

describe('a pair over several windings explains itself', () => {
  test.each([
    ['by a low one', '251', '36.5', '287'],
    ['by a high one', '401', '36.5', '437'],
    ['by an open one, whatever the other reads', 'OL 40M', '36.5', 'OL 40M'],
    ['by one that is open but for what leaks over the break', '2.6M', '36.5', 'OL 40M'],
    ['by an open one, open on a low range too', 'OL 40M', '36.5', 'OL 600'],
  ])('%s', (_what, low, high, series) => expect(explained(low, high, series)).toEqual(['series']))

  test.each([
    ['while one of them is not read', '251', null, '287'],
    ['open, while one of them is not read', 'OL 40M', null, 'OL 40M'],
    ['by two that are both right', '318', '36.5', '287'],
    ['where they add up to another figure', '251', '36.5', '240'],
    ['where one is open and it is not', 'OL 40M', '36.5', '200'],
    ['where it is open and neither of them is', '251', '36.5', 'OL 40M'],
    ['by nothing that was read', null, null, '240'],
  ])('not %s', (_what, low, high, series) => expect(explained(low, high, series)).toEqual([]))

  const hot = (series: string) => {
    const script = new Script(twinCard()).ready()
    script.read('low', '251', { contact: 'clips' }).again('low', '251', { contact: 'clips' }).read('high', '36.5')
    script
      .put({ kind: 'decision', what: 'more-tests', why: 'hot' })
      .put({ kind: 'temperature', part: 'hot', partC: 65 })
    return script.read('series', series, { contact: 'clips' }).state().explained
  }
  test('read hot, by parts that were read cold: as they would be there', () => {
    const warm = (251 + 36.5) * ((234.5 + 65) / (234.5 + 20))
    expect(hot(warm.toFixed(1))).toEqual(['series'])
    expect(hot('287.5')).toEqual([])
  })
})
