import { describe, expect, test } from '@jest/globals'
import type { Check, Instrument } from '@sure-spool/core'
import { knobMeter, plainCard, plainCheck, pocketMeter } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { leftOutWords, stepLabel } from './steps'
import { meterWords, titleLead, type Again } from './title'

const figures = figuresWith(() => false)
const lead = (
  kind: Check['kind'],
  more: Partial<Check> = {},
  again: Again = '',
  drive?: { plus: string; minus: string } | null,
) =>
  titleLead(
    { ...plainCheck('it', kind, { pair: ['A', 'B'] }), ...more },
    drive === undefined ? {} : { drive },
    again,
    figures,
  )

describe('the title says what is read', () => {
  test.each([
    ['resistance', 'Ohms'],
    ['inductance', 'Henries'],
    ['capacitance', 'Farads'],
    ['current', 'Amperes'],
    ['insulation', 'Insulation'],
    ['ac-output', 'Volts AC'],
    ['dc-output', 'Volts DC'],
    ['continuity', 'Joined or not'],
  ] as const)('%s: %s', (kind, words) => expect(lead(kind)).toBe(words))

  test('and how: its hertz, at speed, with the coil as it is, the lead bent, again', () => {
    expect(lead('inductance', { conditions: { hertz: 120 } })).toBe('Henries at 120\u2009Hz')
    expect(lead('ac-output', { conditions: { rpm: 3000 } })).toBe('Volts AC at speed')
    expect(lead('contacts', {}, '', null)).toBe('Ohms, coil at rest')
    expect(lead('contacts', {}, '', { plus: 'A', minus: 'B' })).toBe('Ohms, coil driven')
    expect(lead('resistance', { conditions: { state: ['flexed'] } })).toBe('Ohms, lead bent')
    expect([lead('resistance', {}, 'touch'), lead('resistance', {}, 'clip'), lead('resistance', {}, 'retype')]).toEqual(
      ['Ohms again', 'Ohms again, clipped on', 'Ohms, typed again'],
    )
  })
})

describe('what reads it', () => {
  const meter = (kind: Check['kind'], asked = '', one: Instrument | undefined = pocketMeter) =>
    meterWords(plainCheck('it', kind, { pair: ['A', 'B'] }), one, asked)

  test('volts by their kind, whatever range is asked for', () => {
    expect(meter('ac-output', '60 V')).toBe('Multimeter M2 on AC volts')
    expect(meter('dc-output')).toBe('Multimeter M2 on DC volts')
  })

  test('a meter that ranges itself is offered the range; one ranged by hand is told it, or the lowest that does', () => {
    expect(meter('resistance', '600 Ω')).toBe('Multimeter M2 on 600 Ω or auto')
    expect(meter('resistance')).toBe('Multimeter M2')
    expect(meter('resistance', '2 kΩ', knobMeter)).toBe('Knob meter K3 on 2 kΩ')
    expect(meter('resistance', '', knobMeter)).toBe('Knob meter K3 on the lowest range that does not run over')
    expect(meter('inductance', '', knobMeter)).toBe('Knob meter K3, which states no range for it')
  })

  test('no meter is named where none reads it', () => {
    expect(meterWords(plainCheck('it', 'field', { pair: ['A', 'B'] }), undefined, '')).toBe('')
  })
})

describe('a step on the path, and what was left out', () => {
  const card = plainCard({
    family: 'other',
    terminals: ['A', 'B', 'frame'].map((id) => ({ id, label: id, aliases: [] })),
    checks: [
      plainCheck('coil', 'resistance', { pair: ['A', 'B'] }),
      plainCheck('bent', 'resistance', { pair: ['A', 'B'] }, undefined, { conditions: { state: ['flexed'] } }),
      plainCheck('click', 'act', { place: 'the plunger' }),
    ],
  })
  const base = { group: 'windings' as const, cautions: [] }
  const read = (check: string, point = {}) =>
    ({
      ...base,
      id: check,
      kind: 'reading',
      check,
      point: { pair: ['A', 'B'], covers: [], ...point },
      required: true,
    }) as const
  const drive = { plus: 'A', minus: 'B' }

  test('by its wires, driven or bent; by its label; by what it is', () => {
    const said = [read('coil'), read('coil', { drive }), read('coil', { drive: null }), read('bent')]
    expect(said.map((step) => stepLabel(card, step as never, figures))).toEqual([
      'A–B',
      'A–B, driven',
      'A–B',
      'A–B, bent',
    ])
    expect(stepLabel(card, { ...base, id: 'x', kind: 'answer', check: 'click', required: true }, figures)).toBe('click')
    expect(stepLabel(card, { ...base, id: 'x', kind: 'look', place: 'the coils' }, figures)).toBe('the coils')
    expect(stepLabel(card, { ...base, id: 'x', kind: 'leads' }, figures)).toBe('zero the leads')
  })

  test('where one pair is read twice by what it is of; its ohms keep its wires', () => {
    const two = plainCard({
      ...card,
      family: 'other',
      checks: [
        ...card.checks,
        plainCheck('draw', 'current', { pair: ['B', 'A'] }),
        plainCheck('rest', 'dc-output', { pair: ['A', 'frame'] }),
        plainCheck('charge', 'dc-output', { pair: ['A', 'frame'] }),
      ],
    })
    const said = ['coil', 'draw', 'bent', 'rest', 'charge'].map((id) => stepLabel(two, read(id) as never, figures))
    expect(said).toEqual(['A–B', 'draw', 'A–B, bent', 'rest', 'charge'])
  })

  test('three by name, the rest by number; nothing where nothing was', () => {
    const leads = { ...base, id: 'leads', kind: 'leads' } as const
    expect(leftOutWords(card, [], figures)).toBe('')
    expect(leftOutWords(card, [leads], figures)).toBe('Left out so far: zero the leads.')
    expect(leftOutWords(card, [leads, leads, leads], figures)).not.toContain('more')
    expect(leftOutWords(card, [leads, leads, leads, leads, leads], figures)).toMatch(/ and 2 more\.$/)
  })
})
