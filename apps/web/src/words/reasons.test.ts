import { describe, expect, test } from '@jest/globals'
import type { Evaluation, OpenPoint } from '@sure-spool/core'
import { sceneOf, scenes, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { openWords } from './openWords'
import { limitSaid, historySaid } from './limits'
import { reasonLine, secondTouch } from './reasons'
import { clock, day } from './times'

const figures = figuresWith(() => false)
const scene = scenes.sound()
const low = scene.of('low')
const line = (changes: Partial<Evaluation>) => reasonLine({ ...low, ...changes } as Evaluation, figures)
const banded = (band: object) => ({ limit: { ...low.limit, band } }) as Partial<Evaluation>

describe('a verdict’s reason', () => {
  test('within needs none but that it is clear', () => {
    expect(line({ reason: undefined as never })).toBe('clear of the limits')
    expect(line({ reason: undefined as never, verdict: 'none' })).toBe('')
    const { entry } = low
    const answered = { ...entry, reading: { ...entry.reading, kind: 'answer' as const, answer: 'strikes' } }
    expect(line({ reason: undefined as never, entry: answered })).toBe('as it should be')
  })

  test('names the limit that it is past', () => {
    expect(line({ reason: 'below-minimum' })).toBe('below 286.2\u2009Ω')
    expect(line({ reason: 'above-maximum', verdict: 'outside' })).toBe('above 349.8\u2009Ω')
    expect(line({ reason: 'above-maximum', verdict: 'outside', quantity: 'voltage' })).toBe('above 349.8\u2009V')
  })

  test('high ohms want a second touch until they had it; low ones never do', () => {
    const script = new Script(twinCard()).ready().read('low', '402')
    const said = () => {
      const state = script.state()
      const one = [...state.evaluations.values()].filter(({ check }) => check.id === 'low').at(-1)
      return one && secondTouch(one, state)
    }
    expect(said()).toBe('; a contact only adds, so it wants a second touch')
    script.again('low', '402')
    expect(said()).toBe('')
    script.again('low', '251')
    expect(said()).toBe('')
  })

  test('of three pins that are another construction an open pair is called open', () => {
    const open = { reason: 'wrong-kind', entry: { reading: { kind: 'over' } }, net: undefined, bound: 40e6 }
    expect(line({ reason: 'wrong-kind' })).toBe('the three figures are another construction than the card says')
    expect(line(open as never)).toBe('open: no path where the card has one')
  })

  test('undecided wants more readings, but of three pins all are read by then', () => {
    expect(line({ reason: 'undecided' })).toBe('not enough read yet to say')
    const pins = { ...low.check, kind: 'three-pins' } as Evaluation['check']
    expect(line({ reason: 'undecided', check: pins })).toBe('the three fit no construction: take them again')
  })

  test('near a limit it is the nearer one, or the only one', () => {
    const near = (judged: number | undefined, band: object) =>
      line({ reason: 'near-limit', leaning: 'within', judged, ...banded(band) } as Partial<Evaluation>)
    expect(near(287, { min: 286, max: 350 })).toBe('within the uncertainty of 286\u2009Ω, leaning within')
    expect(near(349, { min: 286, max: 350 })).toBe('within the uncertainty of 350\u2009Ω, leaning within')
    expect(near(349, { max: 350 })).toContain('350')
    expect(near(300, { min: 286 })).toContain('286')
    expect(near(undefined, { min: 286, max: 350 })).toContain('286')
  })

  test('over range it says up to where', () => {
    expect(line({ reason: 'open-as-expected', bound: 4e7 })).toBe('no path up to 40\u2009MΩ, as it should be')
    expect(line({ reason: 'open-as-expected', bound: undefined as never })).toBe('no path, as it should be')
    expect(line({ reason: 'range-too-low', bound: 200 })).toContain('more than 200')
    expect(line({ reason: 'range-too-low', bound: undefined as never })).toContain('more than the range')
  })

  test('a guess says how it leans, or that it does not', () => {
    expect(line({ reason: 'guess', leaning: 'outside' })).toBe('the limit is a guess; it leans outside')
    expect(line({ reason: 'guess', leaning: undefined as never })).toContain('neither way')
  })

  test('of a set the others are named where they are alike', () => {
    expect(line({ reason: 'unlike-the-rest', ...banded({ min: 0.39, max: 0.43 }) })).toMatch(/which are 0.39.* to 0.43/)
    expect(line({ reason: 'unlike-the-rest', ...banded({}) })).toBe('unlike the rest')
  })

  test('a leak and a short say under what', () => {
    expect(line({ reason: 'short-circuit' })).toContain('under 286.2')
    expect(line({ reason: 'leakage' })).toContain('under 286.2')
    expect(line({ reason: 'above-minimum' })).toContain('beyond 286.2')
    expect(line({ reason: 'below-maximum' })).toContain('under 349.8')
  })
})

describe('what keeps a finding open', () => {
  test.each(['act', 'lamp'] as const)('a trial (%s) that is wanted was not tried', (kind) => {
    const { card } = scene.run
    const trial = { id: 'trial', label: 'it clicks', kind, at: { place: 'the part' }, required: true, limits: [] }
    const { state } = sceneOf(new Script({ ...card, checks: [...card.checks, trial] }))
    expect(openWords(state, { why: 'not-read', check: 'trial' }, figures)).toBe('It clicks: not tried.')
  })

  const words = (open: OpenPoint) => openWords(scene.state, open, figures)

  test.each([
    [{ why: 'not-read', check: 'low' }, 'Orange–grey has not been read.'],
    [{ why: 'not-read', check: 'look' }, 'Coils, leads and plug: not looked at.'],
    [{ why: 'none', check: 'low' }, 'Orange–grey: read, and it says nothing yet'],
    [{ why: 'borderline', check: 'low', leaning: 'within' }, 'at a limit, leaning within'],
    [{ why: 'held', check: 'low' }, 'held by a remark'],
    [{ why: 'take-again', check: 'low' }, 'Take orange–grey again with the probes lifted'],
    [{ why: 'clip-on', check: 'low' }, 'Clip on and take orange–grey again'],
    [{ why: 'sum-off', check: 'low' }, 'do not add up: take orange–grey again'],
    [{ why: 'not-as-drawn' }, 'not wired as the card draws it'],
    [
      { why: 'relation', relation: scene.state.relations[0]?.relation.id ?? '', leaning: 'outside' },
      'undecided, leaning outside',
    ],
  ] satisfies [OpenPoint, string][])('%j', (open, said) => {
    expect(words(open)).toContain(said)
    expect(words(open)).not.toMatch(/undefined|^ /)
  })

  test('a relation without a pair is named by its own label', () => {
    const [state] = scene.state.relations
    expect(words({ why: 'relation', relation: state?.relation.id ?? '' })).toMatch(
      new RegExp(`^${state?.relation.label ?? ''}`, 'i'),
    )
  })
})

describe('a limit as its source states it', () => {
  const said = (stated: object, text?: string) =>
    limitSaid({ stated, ...(text === undefined ? {} : { text }) } as never)

  test('is its own words; that it follows; or what is right of what can be seen', () => {
    expect(said({ kind: 'band', min: 1, max: 2 }, '1 to 2')).toBe('1 to 2')
    expect(said({ kind: 'band', min: 1, max: 2 })).toBe('')
    expect(limitSaid({ stated: 'derived' } as never)).toBe('derived from its windings')
    expect(said({ kind: 'answer', of: ['dark', 'dim', 'full'], right: ['dim', 'full'] })).toBe(
      'dim or full, of dark, dim, full',
    )
  })

  test('says whom it is for where that is not everyone', () => {
    expect([historySaid('any'), historySaid('used')]).toEqual(['', 'used ones'])
  })
})

test('moments are told by the clock and by their day; none is told by nothing', () => {
  expect([clock(undefined), day(undefined)]).toEqual(['', ''])
  expect(clock('2026-03-02T09:05:00')).toBe('09:05')
  expect(day('2026-03-02T09:05:00')).toBe('2 March 2026')
})

test('every reason that a verdict can have is said', () => {
  const all = [
    scenes.low(),
    scenes.bars(),
    scenes.pins(),
    scenes.relay(),
    sceneOf(new Script(twinCard()).read('low', 'OL 200')),
  ]
  const lines = all.flatMap(({ all }) => all.map((one) => [one.verdict, reasonLine(one, figures)]))
  expect(lines.length).toBeGreaterThan(10)
  expect(lines.filter(([verdict, words]) => verdict !== 'none' && !words)).toEqual([])
})
