import { describe, expect, test } from '@jest/globals'
import type { Card, Check, Limit } from '../document'
import { prepareCard } from '../judgement'
import { plainCard, plainCheck } from '../testing'
import type { Step } from './step'
import { planSteps } from './steps'

const band: Limit = { kind: 'band', min: 9, max: 11 }
const open: Limit = { kind: 'open', atLeast: 1e6 }
const terminal = (id: string) => ({ id, label: id, aliases: [] })
const pair = (a: string, b: string): Check['at'] => ({ pair: [a, b] })
const winding = (from: string, to: string) => ({
  id: `${from}${to}`,
  label: `${from} ${to}`,
  from,
  to,
  material: 'copper' as const,
})

/** The path of a part whose card has these checks, three windings from A to D and a frame. */
const path = (checks: Check[], more: Partial<Card> = {}, first?: string[]): Step[] =>
  planSteps(
    prepareCard(
      plainCard({
        family: 'other',
        terminals: ['A', 'B', 'C', 'D', 'frame'].map(terminal),
        windings: [winding('A', 'B'), winding('B', 'C'), winding('C', 'D')],
        checks,
        ...more,
      }),
    ),
    first,
  )
const ids = (...args: Parameters<typeof path>) => path(...args).map(({ id }) => id)
const groupOf = (steps: Step[], id: string) => steps.find((step) => step.id === id)?.group
/** the steps between the leads and the finding */
const middle = (...args: Parameters<typeof path>) => {
  const all = ids(...args)
  return all.slice(all.indexOf('leads') + 1, -1)
}

describe('what every part begins with', () => {
  test('a look at the part, made safe, its temperature, the leads; and the finding ends it', () => {
    expect(path([])).toEqual([
      { id: 'look', kind: 'look', place: 'the part', group: 'meet', cautions: [] },
      { id: 'isolate', kind: 'isolate', group: 'safe', cautions: [] },
      { id: 'temperature', kind: 'temperature', group: 'safe', cautions: [] },
      { id: 'leads', kind: 'leads', group: 'leads', cautions: [] },
      { id: 'finding', kind: 'finding', group: 'finding', cautions: [] },
    ])
  })

  test('a look that the card asks for takes the place of the plain one, where it says or by its label', () => {
    const looks = [
      plainCheck('seal', 'look', { place: 'under the seal' }),
      plainCheck('joint', 'look', pair('A', 'B'), undefined, { label: 'the joint' }),
    ]
    expect(path(looks).flatMap((step) => (step.kind === 'look' ? [[step.id, step.check, step.place]] : []))).toEqual([
      ['seal', 'seal', 'under the seal'],
      ['joint', 'joint', 'the joint'],
    ])
  })

  test('cautions of a running engine stand where it runs, all others where the part is made safe', () => {
    const volts = (id: string, rpm?: number) =>
      plainCheck(id, 'ac-output', pair('A', 'B'), band, rpm === undefined ? {} : { conditions: { rpm } })
    const steps = path([volts('idle', 900), volts('bench')], {
      care: { isolate: [], maxTestVolts: 500, cautions: ['battery-lead-off', 'running-engine', 'hot-exhaust'] },
    })
    const cautionsAt = (id: string) => steps.find((step) => step.id === id)?.cautions
    expect(cautionsAt('isolate')).toEqual(['battery-lead-off'])
    expect(cautionsAt('idle')).toEqual(['running-engine', 'hot-exhaust'])
    expect(cautionsAt('bench')).toEqual([])
  })
})

describe('to ground', () => {
  test.each([
    ['open to frame', pair('A', 'frame'), open, 'ground'],
    ['insulation to frame', pair('A', 'frame'), { kind: 'insulation', minOhms: 1e6 } as Limit, 'ground'],
    ['a band to frame: a lead that belongs there', pair('A', 'frame'), band, 'windings'],
    ['open between two windings', pair('A', 'D'), open, 'windings'],
    ['no limit to frame', pair('A', 'frame'), undefined, 'windings'],
  ])('%s is read with the %s', (_, at, limit, group) => {
    const steps = path([plainCheck('it', 'resistance', at, limit)])
    expect(groupOf(steps, 'it')).toBe(group)
    expect(steps.some(({ kind }) => kind === 'frame-proof')).toBe(group === 'ground')
  })

  test('the frame is proved once, before the first test to it', () => {
    const frames = ['A', 'D'].map((at) => plainCheck(`frame ${at}`, 'insulation', pair(at, 'frame'), open))
    expect(middle([...frames, plainCheck('coil', 'resistance', pair('A', 'B'), band)])).toEqual([
      'coil',
      'frame-proof',
      'frame A',
      'frame D',
    ])
  })
})

describe('power', () => {
  const drive = { plus: 'A', minus: 'B' }
  test.each([
    ['a current', plainCheck('it', 'current', pair('A', 'B'), band), true],
    ['a lamp', plainCheck('it', 'lamp', pair('A', 'B')), true],
    ['a driven contact', plainCheck('it', 'contacts', pair('C', 'D'), band, { conditions: { drive } }), true],
    ['a contact at rest', plainCheck('it', 'contacts', pair('C', 'D'), band, { conditions: { drive: null } }), false],
    ['a contact of which nothing is said', plainCheck('it', 'contacts', pair('C', 'D'), band), false],
    ['an output at speed', plainCheck('it', 'ac-output', pair('A', 'B'), band, { conditions: { rpm: 900 } }), false],
    ['ohms', plainCheck('it', 'resistance', pair('A', 'B'), band), false],
  ])('%s wants the supply looked at first: %#', (_, check, wants) => {
    expect(path([check]).some(({ kind }) => kind === 'supply')).toBe(wants)
  })

  test('what acts comes after all ohms, the supply before it, what is only answered last', () => {
    const checks = [
      plainCheck('does', 'act', { place: 'the plunger' }, undefined, { required: false }),
      plainCheck('lamp', 'lamp', pair('A', 'B')),
      ...(['ac-output', 'dc-output', 'current', 'field', 'response'] as const).map((kind) =>
        plainCheck(kind, kind, pair('A', 'B'), band),
      ),
      plainCheck('driven', 'contacts', pair('C', 'D'), band, { conditions: { drive } }),
      plainCheck('rest', 'contacts', pair('C', 'D'), band, { conditions: { drive: null } }),
      plainCheck('ground', 'insulation', pair('A', 'frame'), open),
      plainCheck('coil', 'resistance', pair('A', 'B'), band),
    ]
    expect(middle(checks)).toEqual([
      ...['rest:C-D', 'coil', 'frame-proof', 'ground', 'supply'],
      ...['ac-output', 'dc-output', 'current', 'field', 'response', 'driven:C-D', 'does', 'lamp'],
    ])
    const answers = path(checks).flatMap((step) => (step.kind === 'answer' ? [[step.check, step.required]] : []))
    expect(answers).toEqual([
      ['does', false],
      ['lamp', true],
    ])
  })
})

describe('the places of one check', () => {
  const points = (check: Check) =>
    path([check]).flatMap((step) => (step.kind === 'reading' ? [[step.id, step.point]] : []))

  test('items of a set and bars of a ring by their number', () => {
    const set = plainCheck('set', 'resistance', pair('A', 'B'), band, { items: 2 })
    expect(points(set)).toEqual([
      ['set:1', { pair: ['A', 'B'], covers: ['A', 'B'], index: 1 }],
      ['set:2', { pair: ['A', 'B'], covers: ['A', 'B'], index: 2 }],
    ])
    expect(points(plainCheck('bars', 'bars', { ring: 3 }, band)).map(([id]) => id)).toEqual([
      'bars:1',
      'bars:2',
      'bars:3',
    ])
  })

  test('a curve by its points; a pair alone needs no mark, several are told by their terminals', () => {
    const curve: Limit = { kind: 'curve', points: [0, 50].map((x) => ({ x, ohms: 10 + x })), tolerancePct: 10 }
    expect(points(plainCheck('travel', 'curve', pair('A', 'B'), curve)).map(([id]) => id)).toEqual([
      'travel:0',
      'travel:50',
    ])
    const bandFirst = plainCheck('travel', 'curve', pair('A', 'B'), band)
    bandFirst.limits.push({ id: 'l2', for: 'any', limit: curve, source: 's1' })
    expect(points(bandFirst)).toEqual([0, 50].map((x) => [`travel:${x}`, { pair: ['A', 'B'], covers: ['A', 'B'], x }]))
    expect(points(plainCheck('coil', 'resistance', pair('A', 'B'), band)).map(([id]) => id)).toEqual(['coil'])
    expect(points(plainCheck('pins', 'three-pins', { among: ['A', 'B', 'C'] }, band)).map(([id]) => id)).toEqual([
      'pins:A-B',
      'pins:A-C',
      'pins:B-C',
    ])
  })

  test('what is read at a place and between no terminals is one step', () => {
    expect(points(plainCheck('bench', 'response', { place: 'at the tip' }, band))).toEqual([['bench', { covers: [] }]])
  })

  test('contacts leave the coil’s pins alone; where all are the coil’s, or no coil is known, every pair is one', () => {
    const contacts = plainCheck('k', 'contacts', { among: ['A', 'B', 'C', 'D'] }, band)
    const coil = { windings: [winding('A', 'B')] }
    const at = (check: Check, more: Partial<Card>) =>
      path([check], more).flatMap(({ id, kind }) => (kind === 'reading' ? [id] : []))
    expect(at(contacts, coil)).toEqual(['k:C-D'])
    expect(at({ ...contacts, at: pair('A', 'B') }, coil)).toEqual(['k:A-B'])
    expect(at(contacts, { windings: [] })).toHaveLength(6)
    const apart = [winding('D', 'frame'), winding('A', 'B')]
    expect(at(contacts, { windings: apart })).toEqual(['k:C-D'])
  })

  test('each contact says how its coil is driven: not at all where nothing is said', () => {
    const drive = { plus: 'A', minus: 'B' }
    const driveOf = (conditions?: Check['conditions']) =>
      path([plainCheck('k', 'contacts', pair('C', 'D'), band, conditions ? { conditions } : {})]).flatMap((step) =>
        step.kind === 'reading' ? [step.point.drive] : [],
      )
    expect([driveOf(), driveOf({ drive: null }), driveOf({ drive })]).toEqual([[null], [null], [drive]])
  })
})

describe('the clips', () => {
  const ohms = (a: string, b: string) => plainCheck(`${a}${b}`, 'resistance', pair(a, b), band)

  test('one stays where it is as long as a pair is left that shares it', () => {
    expect(middle([ohms('A', 'B'), ohms('C', 'D'), ohms('B', 'C')])).toEqual(['AB', 'BC', 'CD'])
  })

  test('a whole waits for its parts, even where it shares the clip', () => {
    expect(middle([ohms('A', 'D'), ohms('A', 'B'), ohms('B', 'C'), ohms('C', 'D')])).toEqual(['AB', 'BC', 'CD', 'AD'])
    expect(middle([ohms('A', 'B'), ohms('A', 'C'), ohms('B', 'C')])).toEqual(['AB', 'BC', 'AC'])
  })

  test('with nothing to share, the narrowest that is left comes next in the card’s order', () => {
    const windings = [winding('A', 'B'), winding('C', 'D')]
    expect(middle([ohms('C', 'D'), ohms('A', 'B')], { windings })).toEqual(['CD', 'AB'])
  })

  test('contacts at rest come before driven ones, whatever the card’s order', () => {
    const drive = { plus: 'A', minus: 'B' }
    const at = (id: string, conditions: Check['conditions']) =>
      plainCheck(id, 'contacts', pair('C', 'D'), band, { conditions: conditions ?? {} })
    expect(middle([at('driven', { drive }), at('rest', { drive: null })])).toEqual(['rest:C-D', 'supply', 'driven:C-D'])
  })
})

describe('brought ahead because it failed before', () => {
  const checks = [
    plainCheck('coil', 'resistance', pair('A', 'B'), band),
    plainCheck('other', 'resistance', pair('C', 'D'), band),
    plainCheck('ground', 'insulation', pair('A', 'frame'), open),
    plainCheck('amps', 'current', pair('A', 'B'), band),
    plainCheck('does', 'act', { place: 'the plunger' }),
  ]
  test.each([
    [['other'], ['other', 'coil', 'frame-proof', 'ground', 'supply', 'amps', 'does']],
    [['ground'], ['frame-proof', 'ground', 'coil', 'other', 'supply', 'amps', 'does']],
    [['amps'], ['supply', 'amps', 'coil', 'other', 'frame-proof', 'ground', 'does']],
    [['does'], ['supply', 'does', 'coil', 'other', 'frame-proof', 'ground', 'amps']],
    [
      ['does', 'ground', 'other'],
      ['other', 'frame-proof', 'ground', 'supply', 'does', 'coil', 'amps'],
    ],
    [[], ['coil', 'other', 'frame-proof', 'ground', 'supply', 'amps', 'does']],
  ])('%j', (first, order) => {
    expect(middle(checks, {}, first)).toEqual(order)
  })
})
