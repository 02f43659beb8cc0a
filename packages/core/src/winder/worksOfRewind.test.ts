import { describe, expect, test } from '@jest/globals'
import type { RewindEntryOf } from '../document'
import type { CoilState } from './rewindStanding'
import { worksOfRewind } from './worksOfRewind'

const at = '2026-03-02T10:00:00.000Z'
const then = Date.parse(at)
const coil = (id: string, winding: string, isWound = true) =>
  ({
    coil: { id, winding, label: id },
    original: {},
    plan: { wire: { awg: 44 } },
    ...(isWound ? { wound: { turns: 31 } } : {}),
  }) as CoilState
const step = (what: 'leads' | 'fix' | 'tape', words: string) =>
  ({ kind: 'step', what, words, at }) as RewindEntryOf<'step'>
const works = (coils: CoilState[], finished: RewindEntryOf<'step'>[], minutes = 1) =>
  worksOfRewind({ rewind: { id: 'w' }, coils, finished }, then + minutes * 60_000).map(
    ({ what, place }) => `${what} ${place}`,
  )

describe('what a rewind did to the part', () => {
  test('each winding of which a coil is wound, once', () => {
    expect(works([coil('a', 'ring'), coil('b', 'ring'), coil('c', 'other')], [])).toEqual([
      'rewind ring',
      'rewind other',
    ])
    expect(works([coil('a', 'ring', false)], [])).toEqual([])
    expect(worksOfRewind({ rewind: { id: 'w' }, coils: [coil('a', 'ring')], finished: [] }, then)).toMatchObject([
      { kind: 'work', rewind: 'w' },
    ])
  })

  test('is named where every coil of it has its turns and its wire', () => {
    const named = (...coils: CoilState[]) =>
      worksOfRewind({ rewind: { id: 'w' }, coils, finished: [] }, then).map(({ rewind }) => rewind)
    expect(named(coil('a', 'ring'), coil('b', 'ring'))).toEqual(['w'])
    expect(named(coil('a', 'ring'), coil('b', 'ring', false))).toEqual([undefined])
    expect(named({ ...coil('a', 'ring'), plan: { from: 'told', why: '' } })).toEqual([undefined])
    const { plan: _plan, ...unplanned } = coil('a', 'ring')
    expect(named({ ...unplanned, original: { wire: { bareMm: 0.9 } } })).toEqual(['w'])
  })

  test('and what still warms it, for twenty minutes', () => {
    const all = [step('leads', 'leads soldered'), step('tape', 'taped'), step('fix', 'wax, 66 C')]
    expect(works([coil('a', 'ring')], all)).toEqual(['rewind ring', 'solder ring', 'fix ring'])
    expect(works([coil('a', 'ring')], all, 19.9)).toHaveLength(3)
    expect(works([coil('a', 'ring')], all, 20)).toEqual(['rewind ring'])
    expect(works([coil('a', 'ring')], [step('fix', 'no fixing')])).toEqual(['rewind ring'])
    expect(works([coil('a', 'ring')], [step('tape', 'taped')])).toEqual(['rewind ring'])
    expect(works([coil('a', 'ring')], [step('leads', 'leads fixed')])).toEqual(['rewind ring'])
    const [, said] = worksOfRewind({ rewind: { id: 'w' }, coils: [coil('a', 'ring')], finished: all }, then)
    expect(said?.words).toBe('at the winder: leads soldered')
  })
})
