import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { plainCheck, twinCard } from '../testing'
import { causes, chain, on, pair, twice } from '../testing/causing'

describe('what a winding accounts for', () => {
  test('is a whole that is off as it is; one that is off the other way is another matter', () => {
    const both = (whole: string) => causes(twice(on(chain(100, 100)).read('w0', '50'), 'whole', whole))
    expect(both('150')).toEqual(['winding-low w0 <w0,whole>'])
    expect(both('290')).toEqual(['winding-low w0 <w0>', 'figure whole <whole>'])
  })

  /** the second winding's henries too, which are no ohms */
  const withHenries = (): Card => {
    const card = chain(100, 100)
    const limit = { kind: 'band' as const, min: 1, max: 2 }
    card.checks.unshift(plainCheck('h1', 'inductance', { pair: ['t1', 't2'] }, limit))
    return card
  }
  test('is never told by henries alone, nor is what is missing of it', () => {
    expect(causes(on(withHenries()).read('w0', '100').read('h1', '0.5'))).toEqual(['output h1 <h1>'])
    const script = on(withHenries()).read('h1', '0.5').read('w0', '100').read('whole', '150')
    expect(causes(script)).toEqual(['winding-low w1 <h1,whole>'])
    expect(script.state().causes[0]?.share).toBeCloseTo(0.5, 2)
  })

  test('of a winding whose ohms nobody knows nothing is said to be missing', () => {
    const card = chain(100, 100)
    card.windings = card.windings.map(({ ohms: _unknown, ...one }) => one)
    const [cause] = on(card).read('w0', '100').read('whole', '150').state().causes
    expect(cause).toEqual({ kind: 'winding-low', of: ['w1'], explains: ['whole'] })
  })

  test('of one that reads in leaps neither low nor high is said', () => {
    expect(causes(twice(on(chain(100, 100)), 'w0', '60..140'))).toEqual(['figure w0 <w0>'])
  })
})

describe('where a winding reaches the frame, by its ends', () => {
  const along = (own: string, start: string, end: string, winding: 'low' | 'high' = 'low') => {
    const [a, b] = winding === 'low' ? ['O', 'G'] : ['O', 'T']
    const script = on(twinCard()).read(winding, own).read('frame', start, pair(a, 'frame'))
    return script
      .read('frame', end, pair(b, 'frame'))
      .state()
      .causes.find(({ kind }) => kind === 'to-frame')?.along
  }
  test('its very ends are on it, and what is beyond either is not', () => {
    const [start, end] = [along('318', '18 Ω', '336 Ω'), along('318', '336 Ω', '18 Ω')]
    expect([start?.share, end?.share]).toEqual([expect.closeTo(0, 2), expect.closeTo(1, 2)])
    // the meter's doubt of the far end is the greater, whichever that is
    expect(end?.u).toBeCloseTo(start?.u ?? 0, 6)
    expect([along('318', '18 Ω', '530 Ω'), along('318', '530 Ω', '18 Ω')]).toEqual([undefined, undefined])
  })
  test('is not told where the meter’s doubt is a quarter of the winding, nor of one without ohms', () => {
    expect(along('36.4', '90 Ω', '85 Ω', 'high')).toMatchObject({ winding: 'high' })
    expect(along('22', '900 Ω', '895 Ω', 'high')).toBeUndefined()
    expect(along('0', '18 Ω', '18 Ω')).toBeUndefined()
  })
})

describe('a joint of two windings', () => {
  const sumOff = (card: Card) => {
    const script = on(card).read('low', '322').read('high', '52.1').read('series', '358.4')
    script.again('high', '52.0', { contact: 'clips' }).again('low', '322', { contact: 'clips' })
    return script.state().causes.find(({ kind }) => kind === 'joint')?.of
  }
  const read = (low: [string, string]): Card => {
    const card = twinCard()
    card.checks = card.checks.map((one) => (one.id === 'low' ? { ...one, at: { pair: low } } : one))
    return card
  }
  test('is at the terminal they share, in whatever order their ends are named', () => {
    expect([sumOff(read(['G', 'O'])), sumOff(read(['O', 'G']))]).toEqual([['O'], ['O']])
  })
})
