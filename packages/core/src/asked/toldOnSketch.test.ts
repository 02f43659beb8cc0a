import { describe, expect, test } from '@jest/globals'
import type { Check } from '../document'
import { refusalOf, runState } from '../state'
import { Script, twinCard } from '../testing'
import { sketchCard, sketchGrown } from '../writing'
import { toldOf, type ToldFigure } from './toldOnSketch'
import { typedPoints } from './typedPoints'

const names = ['brown', 'yellow', 'pink', 'blue']
const pickup = sketchCard(
  'x',
  'pickup',
  'drone pickup',
  names.map((label, i) => ({ id: `t${i + 1}`, label })),
  true,
)
let n = 0
function told(words: string, card = pickup): Check {
  const typed = typedPoints(words, card)
  if (!('pair' in typed) || !typed.told) throw new Error(words)
  const made = toldOf(card, String(++n), typed.pair, typed.kind ?? 'resistance', typed.told, false)
  if ('problem' in made) throw new Error(made.problem)
  return made
}
const whole = 'brown blue told about 11.6k, whole, yellow and pink joined'
const upper = 'brown yellow told 5.8k, upper coil'
const lower = 'pink blue told 5.8k ±5%, lower coil'
const with_ = (...words: string[]) => {
  const script = new Script(pickup).ready(20)
  for (const one of words) script.put({ kind: 'ask', check: told(one) })
  return script
}

describe('what was told, as it is typed', () => {
  test.each<[string, ToldFigure]>([
    ['brown blue told 11.6k', { text: '11.6k' }],
    [whole, { text: 'about 11.6k', label: 'whole', joined: ['t2', 't3'] }],
    ['brown blue told 3.0-3.6k, coil', { text: '3.0-3.6k', label: 'coil' }],
  ])('%s', (words, figure) => expect(typedPoints(words, pickup)).toMatchObject({ pair: ['t1', 't4'], told: figure }))
  test.each([
    ['brown told 5k', '1 is named'],
    ['brown blue told', 'Say what was told'],
    ['brown blue told 5k, yellow joined', 'not two points'],
    ['field brown told 5k', 'between which two'],
  ])('%s: not', (words, problem) => {
    const typed = typedPoints(words, pickup)
    expect('problem' in typed && typed.problem).toContain(problem)
  })
  test('words that are no figure say so', () =>
    expect(toldOf(pickup, 'x', ['t1', 't4'], 'resistance', { text: 'a lot' }, false)).toEqual({
      problem: '“a lot” is no figure.',
    }))
})

describe('what was told, on the card of one part', () => {
  test('a lone figure is taken 15 % wide, on the check that asked for those points already', () => {
    const { card } = with_(whole).state().run
    const check = card.checks.find(({ id }) => id === 't1-t4')
    expect(check).toMatchObject({ label: 'whole', conditions: { joined: [['t2', 't3']] } })
    expect(check?.limits).toMatchObject([
      { limit: { kind: 'nominal', value: 11_600, minusPct: 15, plusPct: 15 }, source: 'ask', assumed: true },
    ])
    expect(card.checks).toHaveLength(pickup.checks.length)
    expect(card.sources.find(({ id }) => id === 'ask')?.grade).toBe('told')
  })

  test('in ohms it is a winding of a sketch; one over two others is their sum', () => {
    expect(with_(whole).state().run.card.windings).toMatchObject([{ from: 't1', to: 't4', ohms: 11_600 }])
    const { windings, relations } = with_(whole, upper, lower).state().run.card
    expect(windings.map(({ label, ohms, tolerancePct }) => [label, ohms, tolerancePct])).toEqual([
      ['upper coil', 5800, 15],
      ['lower coil', 5800, 5],
    ])
    expect(relations).toMatchObject([{ kind: 'sum', parts: ['t1-t2', 't3-t4'], whole: 't1-t4' }])
  })

  test('henries are no winding, and a card that has its figures gets no winding', () => {
    expect(with_('brown blue henries told 3.4').state().run.card.windings).toEqual([])
    const script = new Script(twinCard()).put({ kind: 'ask', check: told('orange tan told 250', twinCard()) })
    const { card } = script.state().run
    expect(card.windings).toHaveLength(twinCard().windings.length)
    expect(card.checks.at(-1)).toMatchObject({ id: expect.stringContaining('ask-'), limits: [{ source: 'ask' }] })
  })

  test('a later word on the same points goes before', () => {
    const { windings } = with_(upper, 'brown yellow told 6.1k, upper coil').state().run.card
    expect(windings).toMatchObject([{ ohms: 6100 }])
  })

  test('what the run before was told stands beside what this one is told, and is not lost to it', () => {
    const grown = sketchGrown(with_(upper).state().run.card, 2)
    const next = new Script(grown).ready(20)
    for (const words of [whole, lower]) next.put({ kind: 'ask', check: told(words, grown) })
    const { windings, relations } = next.state().run.card
    expect(windings.map(({ label }) => label)).toEqual(['upper coil', 'lower coil'])
    expect(relations).toMatchObject([{ kind: 'sum', parts: ['t1-t2', 't3-t4'] }])
    const again = new Script(grown).put({ kind: 'ask', check: told('brown yellow told 6.2k, upper coil', grown) })
    expect(again.state().run.card.windings).toMatchObject([{ label: 'upper coil', ohms: 6200 }])
  })

  test('volts are volts', () => {
    const [limit] = told('brown blue vac told 4.1 ±10%').limits
    expect(limit?.limit).toMatchObject({ value: 4.1 })
    expect(() => told('brown blue vac told 4.1 kΩ ±10%')).toThrow('no figure')
  })

  test('two coils open beside it are two causes, and the whole is none', () => {
    const script = with_(whole, upper, lower)
    for (const check of ['t1-t4', 't1-t2', 't3-t4'])
      for (let touch = 0; touch < 2; touch++)
        script.read(check, 'OL 6M', check === 't1-t4' ? { conditions: { joined: [['t2', 't3']] } } : {})
    const { causes, explained } = runState(script.run)
    expect(causes).toMatchObject([{ kind: 'winding-open' }, { kind: 'winding-open' }])
    expect(explained).toEqual(['t1-t4'])
  })

  test('two whole coils under an open whole are an open joint', () => {
    const joined = { conditions: { joined: [['t2', 't3']] as [string, string][] } }
    const script = with_(whole, upper, lower).read('t1-t2', '5.81k').read('t3-t4', '5.78k')
    const { causes, remarks } = runState(script.read('t1-t4', 'OL 6M', joined).read('t1-t4', 'OL 6M', joined).run)
    expect(causes).toMatchObject([{ kind: 'joint', of: ['t2', 't3'] }])
    expect(remarks.map(({ id }) => id)).not.toContain('one-open-of-three')
    const half = with_(whole, upper, lower).read('t1-t2', '5.81k')
    expect(runState(half.read('t1-t4', 'OL 6M', joined).read('t1-t4', 'OL 6M', joined).run).causes).not.toMatchObject([
      { kind: 'joint' },
    ])
  })

  test('it stands on the tape; a limit of another source does not', () => {
    const { run } = new Script(pickup).ready(20)
    const entry = (check: Check) => ({ ...run.entries.at(-1), id: 'e', n: 99, kind: 'ask' as const, check }) as never
    expect(refusalOf(run, false, entry(told(whole)))).toBeNull()
    const made = told(whole)
    const foreign = { ...made, limits: made.limits.map((one) => ({ ...one, source: 's1' })) }
    expect(refusalOf(run, false, entry(foreign))?.field).toBe('check.limits')
  })
})
