import { describe, expect, test } from '@jest/globals'
import { conditionWordsOf, plainUnits, prepareCard, textMismatch, type Card } from '@sure-spool/core'
import { leadsCard, pocketMeter, relayCard, twinCard, valveCard } from '@sure-spool/core/testing'
import fc from 'fast-check'
import {
  beepEntry,
  plainEntry,
  readingEntry,
  uncertaintyOf,
  type PlainSetting,
  type ReadingPlace,
} from './typedEntries'

const setting: PlainSetting = {
  decimalComma: false,
  units: plainUnits,
  meter: pocketMeter,
  temperatureFrom: 'measured',
  zeroHow: 'subtract',
  supplyWhile: 'on',
}
const place = (card: Card, id: string, more: Partial<ReadingPlace> = {}): ReadingPlace => {
  const check = prepareCard(card).checks.get(id)
  if (!check) throw new Error(`no check ${id}`)
  const [first] = check.points
  return {
    check,
    quantity: 'resistance',
    point: { covers: [], ...(first ? { pair: first.pair } : {}) },
    x: undefined,
    meter: pocketMeter,
    contact: 'clips',
    decimalComma: false,
    units: plainUnits,
    rpm: undefined,
    words: conditionWordsOf(card),
    ...more,
  }
}

const runningCard = (): Card => ({
  ...twinCard(),
  checks: [
    {
      id: 'output',
      label: 'charging volts',
      kind: 'dc-output',
      at: { pair: ['O', 'G'] },
      required: true,
      limits: [],
      conditions: { rpm: 3000, load: 'lamps' },
    },
  ],
})

describe('a step that is no reading', () => {
  test('a temperature is the part’s or the room’s, as was said', () => {
    expect(plainEntry('temperature', '24.5', setting)).toEqual({ kind: 'temperature', part: 'measured', partC: 24.5 })
    expect(
      plainEntry('temperature', '76', {
        ...setting,
        temperatureFrom: 'room',
        units: { ...plainUnits, temperature: '°F' },
      }),
    ).toEqual({ kind: 'temperature', part: 'room', roomC: expect.closeTo(24.444, 3) })
  })

  test('a part that was warmed since is hot at so much: what was read before stays cold', () => {
    expect(plainEntry('temperature', '65', { ...setting, temperatureFrom: 'hot' })).toEqual({
      kind: 'temperature',
      part: 'hot',
      partC: 65,
    })
  })

  test('leads zeroed in the meter leave nothing in later readings; taken off by arithmetic they leave what was shown', () => {
    expect(plainEntry('leads', '0.21', setting)).toMatchObject({ kind: 'lead-check', ohms: 0.21, how: 'subtract' })
    expect(plainEntry('leads', '0.21', { ...setting, zeroHow: 'hardware' })).toMatchObject({ ohms: 0, text: '0.21' })
    expect(plainEntry('leads', '0.21', { ...setting, meter: undefined })).toMatchObject({ instrument: '' })
  })

  test('what no leads and no bare metal read is not kept as theirs', () => {
    expect(plainEntry('leads', '304', setting)).toBe('no-leads')
    expect(plainEntry('leads', '10', setting)).toMatchObject({ kind: 'lead-check', ohms: 10 })
    expect([plainEntry('leads', 'OL', setting), plainEntry('leads', 'OL 600', setting)]).toEqual([
      'no-leads',
      'no-leads',
    ])
    expect(plainEntry('frame-proof', '59.2', setting)).toBe('no-contact')
    expect(plainEntry('frame-proof', '-10.1', setting)).toBe('no-contact')
    expect(plainEntry('frame-proof', 'OL', setting)).toBe('no-contact')
    expect(plainEntry('temperature', 'OL', setting)).toBe('number')
    expect(plainEntry('frame-proof', '0.4', setting)).toMatchObject({ kind: 'proof', of: 'same-metal' })
  })

  test('the supply is volts, before or while it draws', () => {
    expect(plainEntry('supply', '12.6', { ...setting, supplyWhile: 'off' })).toMatchObject({
      kind: 'supply',
      volts: 12.6,
      while: 'off',
    })
  })

  test.each(['', 'warm', '1,2', 'OL', '20..30', '>3'])('%p is kept by none of them', (text) => {
    for (const step of ['temperature', 'leads', 'supply', 'frame-proof'] as const)
      expect(typeof plainEntry(step, text, setting)).toBe('string')
  })
})

describe('a reading', () => {
  test('says where it was taken, with what, and how it was touched', () => {
    expect(readingEntry('322', place(twinCard(), 'low'))).toEqual({
      reading: {
        taken: 'typed',
        instrument: pocketMeter.id,
        contact: 'clips',
        pair: ['O', 'G'],
        text: '322',
        decimalComma: false,
        kind: 'value',
        value: 322,
      },
    })
  })

  test('of insulation has the volts that stood there, not those the card asks for', () => {
    const shell = place(valveCard(), 'shell', { quantity: 'insulation' })
    const asked = shell.check.conditions?.testVolts
    expect(asked).toBeGreaterThan(0)
    expect(readingEntry('2.1G', shell)).toMatchObject({ reading: { value: 2.1e9 } })
    expect(readingEntry('2.1G', shell)).not.toHaveProperty('reading.conditions.testVolts')
    expect(readingEntry('2.1G 250V', shell)).toMatchObject({ reading: { conditions: { testVolts: 250 } } })
  })

  test('of a driven contact says how it was driven', () => {
    const drive = { plus: '86', minus: '85' }
    const card = relayCard()
    const check = card.checks.find(({ kind }) => kind === 'contacts')
    const made = readingEntry('0.2', place(card, check?.id ?? '', { point: { covers: [], pair: ['30', '87'], drive } }))
    expect(made).toMatchObject({ reading: { conditions: { drive } } })
  })

  test('has the speed that was said, never the card’s', () => {
    const output = place(runningCard(), 'output', { quantity: 'voltage' })
    expect(output.check.conditions?.rpm).toBe(3000)
    expect(readingEntry('13.9', output)).toMatchObject({ reading: { conditions: { load: 'lamps' } } })
    expect(readingEntry('13.9', output)).not.toHaveProperty('reading.conditions.rpm')
    expect(readingEntry('13.9', { ...output, rpm: 2950 })).toMatchObject({
      reading: { conditions: { load: 'lamps', rpm: 2950 } },
    })
    expect(readingEntry('12.1 @ 850 rpm', { ...output, rpm: 2950 })).toMatchObject({
      reading: { value: 12.1, conditions: { rpm: 850 } },
    })
    expect(readingEntry('13.9 @ off', output)).toMatchObject({ reading: { conditions: { state: ['off'] } } })
    expect(readingEntry('322', { ...place(twinCard(), 'low'), rpm: 2950 })).not.toHaveProperty('reading.conditions')
  })

  test('by the beeper is under or over its threshold, and no ohms', () => {
    const frame = place(twinCard(), 'frame')
    const said = beepEntry(true, 35, frame, { supersedes: 'x' })
    expect(said).toMatchObject({ kind: 'below', value: 35, method: 'beeper', text: 'beep', supersedes: 'x' })
    expect(beepEntry(false, 35, frame, {})).toMatchObject({ kind: 'above', value: 35, pair: frame.point.pair })
    expect(textMismatch(said, 'resistance')).toBeNull()
  })

  test('of a lead keeps the length it had, until another is typed', () => {
    const lead = place(leadsCard(), leadsCard().checks[0]?.id ?? '', { x: 0.41, point: { covers: [], index: 3 } })
    expect(readingEntry('2.31k', lead)).toMatchObject({ reading: { index: 3, x: 0.41 } })
    expect(readingEntry('2.31k @ 38 cm', lead)).toMatchObject({ reading: { x: 0.38, xText: '38 cm' } })
    expect(readingEntry('2.31k @ long', lead)).toHaveProperty('problem')
  })

  test('whatever is typed, its figures are what its text says, or it is no reading', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.double().map(String), fc.stringMatching(/^[\d.,]{1,8}[kMGm]?$/)),
        fc.boolean(),
        (text, decimalComma) => {
          const made = readingEntry(text, place(twinCard(), 'low', { decimalComma }))
          if ('reading' in made) expect(textMismatch(made.reading, 'resistance')).toBeNull()
        },
      ),
    )
  })
})

test('a figure on an unknown meter is good to a tenth of a unit at most', () => {
  expect(uncertaintyOf(undefined, 'resistance', 10)).toBeGreaterThan(0.1 / Math.sqrt(12) - 1e-9)
  expect(uncertaintyOf(pocketMeter, 'resistance', 1000)).toBeGreaterThan(uncertaintyOf(pocketMeter, 'resistance', 10))
})

describe('the speed that was last said', () => {
  const card = (): Card => {
    const [a, b] = ['asked', 'cranked'].map((id) => ({
      id: id === 'asked' ? 'ask-1' : id,
      label: id,
      kind: 'ac-output' as const,
      at: { pair: ['O', 'G'] as [string, string] },
      required: false,
      limits: [],
      ...(id === 'asked' ? {} : { conditions: { peak: true as const, state: ['cranking'] } }),
    }))
    return { ...twinCard(), checks: a && b ? [a, b] : [] }
  }
  const kept = (id: string) => readingEntry('41.7', place(card(), id, { quantity: 'voltage', rpm: 3000 }))
  test('goes with volts asked while it runs, and never with what the card reads at no speed of its own', () => {
    expect(kept('ask-1')).toMatchObject({ reading: { conditions: { rpm: 3000 } } })
    const cranked = kept('cranked')
    expect('reading' in cranked && cranked.reading.conditions).toEqual({ peak: true, state: ['cranking'] })
  })
})
