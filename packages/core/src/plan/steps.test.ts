import { readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { prepareCard } from '../judgement'
import { demoCard, relayCard } from '../testing'
import type { Step } from './step'
import { planSteps } from './steps'

const names = readdirSync('demo/cards').map((name) => name.replace('.json', ''))
const stepsOf = (card: Card): Step[] => planSteps(prepareCard(card))
const order = ['meet', 'safe', 'leads', 'windings', 'ground', 'act', 'finding']

describe.each(names)('the path of %s', (name) => {
  const card = demoCard(name)
  const steps = stepsOf(card)

  test('has every check of the card, each place once', () => {
    const asked = new Set(steps.flatMap((step) => ('check' in step && step.check !== undefined ? [step.check] : [])))
    expect(card.checks.map((check) => check.id).filter((id) => !asked.has(id))).toEqual([])
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length)
  })

  test('goes from meeting the part to the finding, and proves the frame before it is relied on', () => {
    const groups = steps.map((step) => order.indexOf(step.group))
    expect(groups).toEqual([...groups].sort((a, b) => a - b))
    expect(steps.at(-1)?.kind).toBe('finding')
    const grounds = steps.filter((step) => step.group === 'ground')
    expect(grounds.map(({ kind }, i) => (kind === 'frame-proof') === (i === 0))).not.toContain(false)
  })

  test('asks for the supply before anything that needs it, and for power last', () => {
    const supply = steps.findIndex((step) => step.kind === 'supply')
    const driven = steps.flatMap((step, i) =>
      step.kind === 'reading' &&
      (Boolean(step.point.drive) || card.checks.find((check) => check.id === step.check)?.kind === 'current')
        ? [i]
        : [],
    )
    expect(driven.filter((i) => supply < 0 || supply > i)).toEqual([])
  })
})

describe('places of a check', () => {
  const idsOf = (card: Card, check: string) =>
    stepsOf(card).flatMap((step) => ('check' in step && step.check === check ? [step.id] : []))

  test('bars by number, a curve by its points, pairs by their terminals', () => {
    expect(idsOf(demoCard('duskwater-winch-armature'), 'bars')).toHaveLength(23)
    expect(idsOf(demoCard('wexmoor-tank-sender'), 'travel')).toEqual([0, 25, 50, 75, 100].map((x) => `travel:${x}`))
    expect(idsOf(demoCard('brindlecote-c3'), 'pins')).toEqual(['pins:C-R', 'pins:C-S', 'pins:R-S'])
  })

  test('a relay’s contacts leave its coil alone, at rest among the ohms, driven after the supply', () => {
    expect(idsOf(relayCard(), 'rest')).toEqual(['rest:30-87', 'rest:30-87a', 'rest:87-87a'])
    const steps = stepsOf(relayCard())
    const rest = steps.find((step) => step.id === 'rest:30-87')
    expect([rest?.group, rest?.kind === 'reading' ? rest.point.drive : undefined]).toEqual(['windings', null])
    expect(steps.find((step) => step.id === 'driven:30-87')?.group).toBe('act')
  })

  test('a whole comes after its parts, and one clip stays where it is', () => {
    const ids = stepsOf(demoCard('orrinvale-18-twin')).map((step) => step.id)
    expect(ids.indexOf('series')).toBeGreaterThan(Math.max(ids.indexOf('low'), ids.indexOf('high')))
  })
})

describe('what failed a unit before comes first', () => {
  const prepared = prepareCard(demoCard('orrinvale-18-twin'))
  const ids = (first?: string[]) => planSteps(prepared, first).map((step) => step.id)

  test('right behind the leads, with the frame proved before a ground test, and no step lost or doubled', () => {
    const again = ids(['frame', 'high'])
    const from = again.indexOf('leads') + 1
    expect(again.slice(from, from + 3)).toEqual(['high', 'frame-proof', expect.stringMatching(/^frame:/)])
    expect([...again].sort()).toEqual([...ids()].sort())
    expect(again.at(-1)).toBe('finding')
  })

  test('a check that the card has no longer changes nothing', () => {
    expect(ids(['gone'])).toEqual(ids())
  })
})

describe('what is driven or run', () => {
  const charging = stepsOf(demoCard('orrinvale-60-charging')).flatMap((step) =>
    step.kind === 'reading' && step.group === 'act' ? [step.check] : [],
  )
  test('comes set-up by set-up in the card’s order, whatever the clips would save', () => {
    expect(charging).toEqual(['volts', 'volts', 'volts', 'rest', 'charge', 'peak'])
  })

  test('a set-up that comes twice on a card is set up once', () => {
    const card = demoCard('orrinvale-60-charging')
    const [rest, charge] = ['rest', 'charge'].map((id) => card.checks.find((check) => check.id === id))
    if (!rest || !charge) throw new Error('the charging stator has both')
    card.checks.push({ ...charge, id: 'charge-2', at: { pair: ['U', 'frame'] } }, { ...rest, id: 'rest-2' })
    const order = stepsOf(card).flatMap((step) => (step.kind === 'reading' && step.group === 'act' ? [step.check] : []))
    const of = (id: string) => order.indexOf(id)
    expect(Math.abs(of('charge') - of('charge-2'))).toBe(1)
    expect(Math.abs(of('rest') - of('rest-2'))).toBe(1)
  })
})
