import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readingRules, type Remark, type RemarkId, type RunState } from '@sure-spool/core'
import {
  armatureCard,
  coarseCard,
  chargingCard,
  compressorCard,
  knobMeter,
  leadsCard,
  pocketMeter,
  relayCard,
  draws,
  Script,
  senderCard,
  twinCard,
  valveCard,
} from '@sure-spool/core/testing'
import { figuresWith, takenParts } from './figures'
import { findingTitle, notProvedWords, notTestedWords, wouldSettle } from './finding'
import { groundsOf } from './grounds'
import { takenAt } from './points'
import { reasonLine } from './reasons'
import { remarkWords } from './remarks'

const figures = figuresWith(() => false)
const comma = figuresWith(() => true)
const nonsense = /undefined|NaN|null|\[object|Infinity/

/** Every word the screen and the sheet would say of a run. */
function wordsOf(state: RunState): string[] {
  const { card } = state.run
  return [
    ...state.remarks.flatMap((one) => Object.values(remarkWords(one, card, figures))),
    ...[...state.evaluations.values()].flatMap((one) => [
      reasonLine(one, figures),
      takenAt(card, one, figures),
      ...Object.values(takenParts(one, figures)),
      ...groundsOf(one, card, figures).flatMap(({ name, how, gives }) => [name, how, gives]),
    ]),
    ...notTestedWords(state).flatMap(({ what, why }) => [what, why]),
    ...notProvedWords(state, figures).flatMap(({ head, text }) => [head, text]),
    ...wouldSettle(state, figures).flatMap(({ head, text }) => [head, text]),
    ...Object.values(findingTitle(state, figures)),
  ]
}

const cards = [
  twinCard(),
  coarseCard(),
  chargingCard(),
  relayCard(),
  compressorCard(),
  armatureCard(),
  leadsCard(),
  senderCard(),
  valveCard(),
]

test('whatever is typed on whatever part, every word is one a person can read', () => {
  const text = fc.constantFrom(
    '322',
    'OL',
    'OL 200',
    '0',
    '-5',
    '<0.1',
    '>5M',
    '21.5-22.5',
    '2m',
    '322k',
    '~318',
    '1.2M',
    '512V 3M',
  )
  const read = fc.record({
    check: fc.nat(7),
    text,
    index: fc.integer({ min: 1, max: 3 }),
    x: fc.constantFrom(0, 0.4, 50, 200),
  })
  fc.assert(
    fc.property(
      fc.constantFrom(...cards),
      fc.constantFrom(pocketMeter, knobMeter),
      fc.array(read, { maxLength: 6 }),
      (card, meter, all) => {
        const script = new Script(card, { instruments: [meter] }).put({
          kind: 'supply',
          text: '24',
          volts: 24,
          u: 0.1,
          while: 'off',
        })
        for (const { check, text: typed, index, x } of all) {
          const own = card.checks[check % card.checks.length]
          if (!own || ['look', 'act', 'lamp'].includes(own.kind)) continue
          const pair = 'among' in own.at ? ([own.at.among[0], own.at.among[1]] as [string, string]) : undefined
          try {
            script.read(own.id, typed, { index, x, ...(pair ? { pair } : {}) })
          } catch (error) {
            // A text that is no reading of this check never reaches the tape.
            if (!(error instanceof Error) || !/: (number|unit|prefix-unclear)$/.test(error.message)) throw error
            continue
          }
        }
        const said = wordsOf(script.state())
        expect(said.filter((one) => nonsense.test(one))).toEqual([])
      },
    ),
    { numRuns: draws(300) },
  )
})

describe('a remark', () => {
  const params: Remark['params'] = {
    value: 1,
    times: 2,
    check: 'low',
    checks: 'low',
    other: 'high',
    part: 'low',
    whole: 'series',
    goTo: 600,
  }
  const ids = [...new Set(readingRules.map((rule) => rule.id))]
  test.each(ids)('%s says what is the matter and what to do', (id: RemarkId) => {
    const { what, todo } = remarkWords({ id, params }, twinCard(), figures)
    expect(what).toMatch(/[.?]$/)
    expect(todo.length).toBeGreaterThan(5)
    expect(`${what} ${todo}`).not.toMatch(nonsense)
  })
})

describe('figures', () => {
  test('carry the digits that were typed, and the shop’s decimal mark', () => {
    const script = new Script(twinCard()).ready().read('high', '36.50')
    const [one] = [...script.state().evaluations.values()]
    if (!one) throw new Error('it was read')
    expect(takenParts(one, figures)).toEqual({ digits: '36.50', unit: 'Ω' })
    expect(takenParts(one, comma)).toEqual({ digits: '36,50', unit: 'Ω' })
    expect(comma.plain(0.25)).toBe('0,25')
  })

  test('an expanded uncertainty is worth two digits', () => {
    expect(figures.expanded(1.5234).replace('\u2009', ' ')).toBe('3 Ω')
    expect(figures.expanded(0.01234).replace('\u2009', ' ')).toBe('0.025 Ω')
  })
})
