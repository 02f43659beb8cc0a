import { describe, expect, test } from '@jest/globals'
import { Script, twinCard } from '../testing'
import { mendedSince } from '.'

const script = () => new Script(twinCard()).ready().read('low', '390')
const work = (what: 'reflow' | 'clean' | 'splice' | 'rewind' | 'run', place = 'low') => ({
  kind: 'work' as const,
  what,
  place,
})
const found = (one: Script) => mendedSince(one.state()).map(({ check, work: { what } }) => `${what} ${check}`)

describe('what work has mended', () => {
  test.each(['reflow', 'clean', 'splice'] as const)('%s: outside before, within since', (what) => {
    const mended = mendedSince(script().put(work(what)).read('low', '318').state())
    expect(mended).toMatchObject([{ check: 'low', before: { net: 390 }, now: { net: 318 } }])
    expect(mended[0]?.work.what).toBe(what)
  })

  test('what was read once and high may have been a contact; twice, or low, it was not', () => {
    const stood = (one: Script) => mendedSince(one.put(work('reflow')).read('low', '318').state())[0]?.stood
    expect(stood(script())).toBe(false)
    expect(stood(script().read('low', '391'))).toBe(true)
    expect(stood(new Script(twinCard()).ready().read('low', '250'))).toBe(true)
  })

  test('of two windings the one that was outside, and by the work before its reading', () => {
    const both = script().read('high', '36.5').put(work('reflow', 'trigger')).put(work('clean', 'all over'))
    const read = both.read('low', '318').read('high', '36.6')
    expect(found(read)).toEqual(['clean low'])
    expect(found(read.put(work('reflow', 'trigger')))).toEqual(['clean low'])
  })

  test.each([
    ['still outside', script().put(work('reflow')).read('low', '391')],
    ['not read since', script().put(work('reflow'))],
    ['taken again with no work between', script().read('low', '318')],
    ['work at another place', script().put(work('reflow', 'trigger')).read('low', '318')],
    ['made anew', script().put(work('rewind')).read('low', '318')],
    ['right before too', new Script(twinCard()).ready().read('low', '318').put(work('reflow')).read('low', '319')],
    ['run warm', script().put(work('run')).read('low', '318')],
  ])('nothing: %s', (_what, one) => expect(found(one)).toEqual([]))
})
