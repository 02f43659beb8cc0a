import { describe, expect, test } from '@jest/globals'
import type { CheckState, RelationState } from '../judgement'
import { scenes } from '../testing'
import { findingOf, type FindingInput } from './finding'

const scene = scenes.sound()
const nothing: FindingInput = {
  bench: scene.bench,
  checks: [],
  relations: [],
  evaluations: scene.all,
  explained: new Set(),
  heldBack: new Set(),
}
const given = (input: Partial<FindingInput>) => findingOf({ ...nothing, ...input })
const low = scene.of('low')
/** A reading that a guess judges, and that leans within. */
const guessed = (): CheckState => {
  const evaluation = { ...low, verdict: 'borderline' as const, reason: 'guess' as const, leaning: 'within' as const }
  return { check: low.check, verdict: 'borderline', points: [{ verdict: 'borderline', evaluation }] }
}

describe('a guess that leans within', () => {
  test('is released by an alike sister of the same part', () => {
    const guess = guessed()
    const sister = (verdict: RelationState['verdict'], checks: string[]): RelationState => ({
      relation: { id: 'e', label: 'alike', source: 's1', kind: 'equal', checks, withinPct: 5 },
      verdict,
      members: [],
    })
    const open = (relation: RelationState) => given({ checks: [guess], relations: [relation] }).open
    expect(open(sister('within', ['low', 'high']))).toEqual([])
    expect(open(sister('within', ['high', 'trigger']))).toHaveLength(1)
    expect(open(sister('outside', ['low', 'high'])).length).toBeGreaterThan(0)
  })

  test('is released by a rewind of all it leads through, with counted turns and known wire', () => {
    const guess = guessed()
    const open = (...works: object[]) => {
      const changes = works.map((work, i) => ({
        kind: 'work',
        what: 'rewind',
        place: 'low',
        id: `w${i}`,
        n: 1,
        ...work,
      }))
      const bench = { ...scene.bench, tape: { ...scene.bench.tape, changes: changes as never } }
      return given({ bench, checks: [guess] }).open
    }
    expect(open({ rewind: 'w' })).toEqual([])
    expect(open({})).toHaveLength(1)
    expect(open({ rewind: 'w', place: 'high' })).toHaveLength(1)
    expect(open({ rewind: 'w', what: 'fix' })).toHaveLength(1)
    expect(open({ rewind: 'w', n: 1e6 })).toHaveLength(1)
  })
})
