import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '../../document'
import { Script, twinCard } from '../../testing'
import { isolatedAlike, isolationAt } from './isolation'

type Said = Omit<Extract<EntryBody, { kind: 'isolation' }>, 'kind'>
const isolation = (said: Said): EntryBody => ({ kind: 'isolation', ...said })

/** Entries on a fresh tape, a reading after each; the readings' places. */
function tapeOf(...bodies: (EntryBody | 'read')[]) {
  const script = new Script(twinCard())
  for (const body of bodies) {
    if (body === 'read') script.read('low', '322')
    else script.put(body)
  }
  const { tape } = script.state()
  return { tape, reads: script.run.entries.filter(({ kind }) => kind === 'reading').map(({ n }) => n) }
}
const alike = (...bodies: (EntryBody | 'read')[]) => {
  const { tape, reads } = tapeOf(...bodies)
  return isolatedAlike(tape, reads[0] ?? 0, reads[1] ?? 0)
}
const at = (...bodies: (EntryBody | 'read')[]) => {
  const { tape, reads } = tapeOf(...bodies)
  return isolationAt(tape, reads[0] ?? 0)
}

describe('whether two readings were isolated alike', () => {
  test.each<[string, boolean, (EntryBody | 'read')[]]>([
    ['nobody said anything', true, ['read', 'read']],
    ['said once for both', true, [isolation({ state: 'loose' }), 'read', 'read']],
    ['said twice, the same', true, [isolation({ state: 'loose' }), 'read', isolation({ state: 'loose' }), 'read']],
    ['another state', false, [isolation({ state: 'loose' }), 'read', isolation({ state: 'unplugged' }), 'read']],
    ['said between them for the first time', false, ['read', isolation({ state: 'loose' }), 'read']],
    [
      'another resistance beside it',
      false,
      [
        isolation({ state: 'in-circuit', parallelOhms: 330 }),
        'read',
        isolation({ state: 'in-circuit', parallelOhms: 470 }),
        'read',
      ],
    ],
    [
      'the same leads lifted, said in another order',
      true,
      [
        isolation({ state: 'one-lead-lifted', lifted: ['G', 'T'] }),
        'read',
        isolation({ state: 'one-lead-lifted', lifted: ['T', 'G'] }),
        'read',
      ],
    ],
    [
      'another lead lifted',
      false,
      [
        isolation({ state: 'one-lead-lifted', lifted: ['G'] }),
        'read',
        isolation({ state: 'one-lead-lifted', lifted: ['T'] }),
        'read',
      ],
    ],
    [
      'a lead lifted that was not named before',
      false,
      [isolation({ state: 'one-lead-lifted' }), 'read', isolation({ state: 'one-lead-lifted', lifted: ['T'] }), 'read'],
    ],
  ])('%s: %s', (_what, is, bodies) => expect(alike(...bodies)).toBe(is))
})

describe('how it was isolated at a reading', () => {
  const beside = isolation({ state: 'in-circuit', parallelOhms: 330 })
  test('what stands in parallel and is said afterwards stood there already', () => {
    expect(at(isolation({ state: 'in-circuit' }), 'read', beside)).toMatchObject({ parallelOhms: 330 })
    expect(at('read', beside)).toMatchObject({ parallelOhms: 330 })
  })
  test('what was said before and is whole, stands', () => {
    expect(at(isolation({ state: 'loose' }), 'read', beside)).toMatchObject({ state: 'loose' })
    expect(at(isolation({ state: 'in-circuit', parallelOhms: 470 }), 'read', beside)).toMatchObject({
      parallelOhms: 470,
    })
  })
  test('what is said afterwards without a figure, or of another state, says nothing of it', () => {
    expect(at(isolation({ state: 'in-circuit' }), 'read', isolation({ state: 'loose' }))).toEqual(
      expect.objectContaining({ state: 'in-circuit' }),
    )
    expect(at('read', isolation({ state: 'loose' }))).toBeUndefined()
    expect(at('read', isolation({ state: 'in-circuit' }))).toBeUndefined()
  })
  test('a reading that was kept as it was stood beside nothing', () => {
    const kept: EntryBody = { kind: 'answer', remark: 'not-isolated', reason: 'nothing beside it' }
    expect(at(isolation({ state: 'in-circuit' }), 'read', kept, beside)).not.toHaveProperty('parallelOhms')
    expect(at(isolation({ state: 'in-circuit' }), 'read', beside, kept)).toMatchObject({ parallelOhms: 330 })
    expect(
      at(isolation({ state: 'in-circuit' }), 'read', { ...kept, remark: 'part-warm' } as EntryBody, beside),
    ).toMatchObject({ parallelOhms: 330 })
  })
})
