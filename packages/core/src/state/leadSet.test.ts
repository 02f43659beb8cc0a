import { describe, expect, test } from '@jest/globals'
import { knobMeter, leadsCard, Script } from '../testing'
import { byItsLength } from '../judgement'
import { refusalOf } from './refuse'
import { runState } from './runState'

/** A set of leads in clips; `items` where there are more of them than the card says. */
const set = (items?: number) => {
  const script = new Script(leadsCard(), { instruments: [knobMeter] }).ready()
  if (items !== undefined) script.run.unit = { ...script.run.unit, items }
  return script
}
const clips = { contact: 'clips' as const }
const still = (script: Script, index: number, text: string, x?: number) =>
  script.read('still', text, { ...clips, index, ...(x === undefined ? {} : { x }) })
const bent = (script: Script, index: number, text: string) =>
  script.read('bent', text, { ...clips, index, conditions: { state: ['flexed'] } })
const faults = (script: Script) => script.state().causes.flatMap(({ kind, of }) => (kind === 'items' ? of : []))

describe('as many leads as there are', () => {
  test('are asked for, one step each, still and bent; without a number of their own as many as the card says', () => {
    const count = (script: Script) => script.state().steps.filter(({ step }) => step.kind === 'reading').length
    expect(count(set(7))).toBe(14)
    expect(count(set())).toBe(2 * (leadsCard().checks.find(({ id }) => id === 'still')?.items ?? 0))
  })

  test('an index beyond them is refused, and one beyond the card’s is not', () => {
    const refused = (script: Script, index: number) => {
      const { run } = still(set(7), index, '2.1k')
      const entry = run.entries.at(-1)
      return entry && refusalOf({ ...script.run, entries: [] }, false, entry)?.field
    }
    expect(refused(set(7), 7)).toBeUndefined()
    expect(refused(set(7), 8)).toBe('reading.index')
    expect(refused(set(), 7)).toBe('reading.index')
  })
})

describe('a lead whose length nobody has said yet', () => {
  test('is asked for it last, when ohms and bending are through, and once for both', () => {
    const script = set(2).put({ kind: 'look', place: 'boots', what: ['sound'] })
    for (const index of [1, 2]) {
      still(script, index, '2.14k')
      expect(script.state().steps.find(({ step }) => step.id === script.state().step)?.length).toBeUndefined()
    }
    for (const index of [1, 2]) bent(script, index, '2.14k')
    const state = script.state()
    expect(state.step).toBe('still:1')
    expect(state.steps.filter(({ length }) => length).map(({ step }) => step.id)).toEqual([
      'still:1',
      'still:2',
      'bent:1',
      'bent:2',
    ])
    expect(state.remarks.map(({ id }) => id)).not.toContain('condition-missing')
  })

  test('is judged with it, by the metre, the foot and the inch', () => {
    const state = still(set(), 1, '2.930k', 0.5).state()
    const [one] = state.evaluations.values()
    const ohms = one && byItsLength(one)
    expect(ohms?.metre).toBeCloseTo(5860, 0)
    expect(ohms?.foot).toBeCloseTo(5860 * 0.3048, 0)
    expect(ohms?.inch).toBeCloseTo(5860 * 0.0254, 0)
    expect(one && byItsLength({ ...one, net: undefined })).toBeUndefined()
  })

  test('can be open on a range that proves it; below that it goes up a range first', () => {
    const script = still(set(), 1, 'OL 30k')
    expect(script.state().steps.find(({ step }) => step.id === 'still:1')).toMatchObject({
      status: 'again',
      later: true,
    })
    expect(script.state().steps.find(({ step }) => step.id === 'still:1')?.length).toBeUndefined()
  })
})

describe('one lead under two hands', () => {
  test('open still and open bent is open: either confirms the other', () => {
    const script = still(set(), 3, 'OL 3M')
    expect(faults(script)).toEqual([])
    expect(faults(bent(script, 3, 'OL 3M'))).toEqual(['3'])
  })

  test('another lead’s does not', () => {
    expect(faults(bent(still(set(), 3, 'OL 3M'), 2, 'OL 3M'))).toEqual([])
  })

  test('one taken back does not', () => {
    const script = still(set(), 3, 'OL 3M')
    script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'slipped' })
    expect(faults(bent(script, 3, 'OL 3M'))).toEqual([])
  })

  test('one that moves is read with its clips reseated, however it read when it lay still', () => {
    const script = bent(still(set(), 2, '2.2k-3.1k'), 2, '2.7k-7.4k')
    expect(faults(script)).toEqual([])
    expect(faults(bent(script, 2, '2.5k-7.1k'))).toEqual(['2'])
    expect(script.state().steps.find(({ step }) => step.id === 'still:2')?.length).toBe(true)
  })
})

test('how long it is makes no other lead of it: what was read before its length was said confirms what is read after', () => {
  const script = bent(set(), 2, '1.66k..OL')
  const first = script.run.entries.at(-1)
  script.read('bent', '1.66k..OL', {
    ...clips,
    index: 2,
    x: 0.31,
    conditions: { state: ['flexed'] },
    supersedes: first?.id ?? '',
  })
  expect(faults(script)).toEqual(['2'])
})

test('lead by lead: what is still and bent of one stands together', () => {
  const steps = runState(set(3).run, undefined, 'coils').steps.flatMap(({ step }) =>
    step.kind === 'reading' ? [step.id] : [],
  )
  expect(steps).toEqual(['still:1', 'bent:1', 'still:2', 'bent:2', 'still:3', 'bent:3'])
})
