import { describe, expect, test } from '@jest/globals'
import { prepareCard, type Card, type Check, type Instrument, type OpenPoint, type Step } from '@sure-spool/core'
import { plainCard, plainCheck, pocketMeter } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { againWay, plainInstruction, readingInstruction } from './instruction'

const figures = figuresWith(() => false)
const cardOf = (check: Check): Card =>
  plainCard({
    family: 'other',
    terminals: ['A', 'B', 'frame'].map((id) => ({ id, label: id, aliases: [] })),
    checks: [check],
    care: { isolate: ['Unplug it.', 'Lift one end.'], maxTestVolts: 500, cautions: [] },
  })
const said = (
  kind: Check['kind'],
  { meter = pocketMeter, ...more }: Partial<Check> & { meter?: Instrument | null } = {},
  saidRpm?: number,
) => {
  const card = cardOf({ ...plainCheck(more.id ?? 'it', kind, { pair: ['A', 'B'] }), ...more })
  const check = prepareCard(card).checks.get(more.id ?? 'it')
  if (!check) throw new Error('the card has it')
  return readingInstruction(card, check, meter ?? undefined, figures, saidRpm)
}

describe('what goes with a reading', () => {
  test('a lead’s length, a place on a curve, the volts of an insulation test', () => {
    expect(said('per-length')).toContain('Type the ohms; the length behind an @, as 2.31k @ 0.41, or at the end.')
    expect(said('curve')).toContain('Another place: type it behind an @.')
    expect(said('insulation')).toContain('Type the volts with the ohms: 500V 2.1G.')
    expect(said('resistance')).not.toContain('@')
  })

  test('the card’s conditions, leads that may be swapped, and its note; bare metal to frame where it has none', () => {
    expect(said('ac-output', { conditions: { rpm: 3000 } })).toMatch(/^At 3000/)
    expect(said('resistance', { how: { either: true } })).toBe('Leads may be swapped.')
    const frame = { at: { each: ['A'], to: 'frame' } }
    expect(said('resistance', frame)).toBe('Bare metal, not paint.')
    expect(said('resistance', { ...frame, how: { note: 'At the lug.' } })).toBe('At the lug.')
  })
})

describe('the speed that was last said', () => {
  const asks = 'Type the speed it runs at behind an @: 43.4 @ 2570 rpm.'
  const running = 'Running at 2570\u2009rpm, as last said; another behind an @.'

  test('goes with what the card reads at a speed, and with alternating volts that were asked for', () => {
    for (const more of [{ conditions: { rpm: 3000 } }, { id: 'ask-it' }]) {
      expect(said('ac-output', more)).toContain(asks)
      expect(said('ac-output', more, 2570)).toContain(running)
    }
    expect(said('dc-output', { conditions: { rpm: 3000 } })).toContain(asks)
  })

  test('not with what is read at rest, nor with direct volts that were asked for', () => {
    expect(said('ac-output', {}, 2570)).toBe('')
    expect(said('dc-output', { id: 'ask-it' }, 2570)).toBe('')
    expect(said('resistance', { id: 'ask-it' }, 2570)).toBe('')
  })
})

describe('a quantity that no meter here reads', () => {
  const none = (kind: Check['kind'], more: Partial<Check> = {}) => said(kind, { ...more, meter: null })

  test('says where one is entered', () => {
    expect(none('inductance')).toBe('No meter of this shop reads henries: enter one in Kit, or skip this.')
    expect(none('resistance')).toMatch(/^No meter of this shop reads .*ohm/i)
  })

  test('what is seen, heard or counted wants none', () => {
    expect(none('look', { at: { place: 'the plunger' } })).toBe('')
    expect(none('bars', { at: { ring: 12 }, quantity: 'position' })).not.toContain('No meter')
  })
})

test('points of a response have their frequency behind them', () => {
  expect(said('response')).toBe(
    'Each with its frequency behind an @: 0.55 @ 1 kHz; Down goes on. A hand meter falls off above some hundred hertz.',
  )
})

test('two conditions are said in one sentence', () => {
  expect(said('ac-output', { conditions: { rpm: 3000, load: 'the lamps' } })).toMatch(
    /^Loaded with the lamps, at 3000\u2009rpm\./,
  )
})

describe('a step that is no reading', () => {
  const card = cardOf(plainCheck('it', 'act', { place: 'the plunger' }, undefined, { how: { note: 'Listen.' } }))
  const plain = (step: Partial<Step> & Pick<Step, 'kind'>, more: object = {}) =>
    plainInstruction({ id: 'x', group: 'meet', cautions: [], ...step } as Step, {
      card,
      meter: pocketMeter,
      check: undefined,
      zeroHow: 'subtract',
      supplyWhile: 'off',
      ...more,
    })

  test('says what to do', () => {
    expect(plain({ kind: 'look', place: 'under the cap' })).toBe('Burnt, cracked or chafed: under the cap.')
    expect(plain({ kind: 'isolate' })).toBe('Unplug it. Lift one end.')
    expect(plain({ kind: 'temperature' })).toContain('what the thermometer shows')
    expect(plain({ kind: 'frame-proof' })).toContain('the same bare metal')
    expect(plain({ kind: 'answer' }, { check: prepareCard(card).checks.get('it') })).toBe('Listen.')
    expect(plain({ kind: 'answer' })).toBe('')
  })

  test('leads are zeroed in the meter where it can', () => {
    expect(plain({ kind: 'leads' })).toBe('Type what Multimeter M2 shows with the tips together.')
    expect(plain({ kind: 'leads' }, { zeroHow: 'hardware' })).toContain('together, then zero it.')
    expect(plain({ kind: 'leads' }, { meter: undefined })).toContain('what the meter shows')
  })

  test('the supply is read at the part, before it draws or while it does', () => {
    expect(plain({ kind: 'supply' })).toContain('before it draws.')
    expect(plain({ kind: 'supply' }, { supplyWhile: 'on' })).toContain('while it draws.')
    expect(plain({ kind: 'supply' })).toContain('never on pins that are not known by ohms')
  })
})

test('taken again: by clips or by touch, typed again where it was mistyped, and nothing the first time', () => {
  expect(againWay(null, { status: 'to-do' }, 'tips', [])).toBe('')
  expect(againWay(null, { status: 'again' }, 'tips', [])).toBe('touch')
  expect(againWay(null, { status: 'again' }, 'clips', [])).toBe('clip')
  expect(againWay({ mistyped: false }, { status: 'done' }, 'tips', [])).toBe('touch')
  expect(againWay({ mistyped: true }, { status: 'again' }, 'clips', [])).toBe('retype')
})

test('taken again by clips where the finding asks for them, of this reading alone', () => {
  const asks = (why: OpenPoint['why'], entry: string) =>
    againWay(null, { status: 'again', entry: 'e1' }, 'tips', [{ why, entry }])
  expect(asks('clip-on', 'e1')).toBe('clip')
  expect(asks('clip-on', 'e2')).toBe('touch')
  expect(asks('take-again', 'e1')).toBe('touch')
})
