import {
  rangeOf,
  readingUncertainty,
  typedReading,
  withUnit,
  type Conditions,
  type EntryBody,
  type Instrument,
  type PreparedCheck,
  type Quantity,
  type Reading,
  type ReadingProblem,
  type ReadingSetting,
  type ShownUnits,
  type StepPoint,
} from '@sure-spool/core'
import { splitPlace } from './splitPlace'

/** How the shop types: its decimal mark, and the units of what has none. */
export interface Typing {
  decimalComma: boolean
  units: ShownUnits
}

/** What a step that is no reading is typed with. */
export interface PlainSetting extends Typing {
  meter: Instrument | undefined
  temperatureFrom: 'room' | 'measured'
  zeroHow: 'hardware' | 'subtract'
  supplyWhile: 'on' | 'off'
}
export type PlainStep = 'temperature' | 'leads' | 'supply' | 'frame-proof'

/** A meter's standard uncertainty of one figure; a tenth of a unit where its range is not known. */
export function uncertaintyOf(meter: Instrument | undefined, of: Quantity, value: number): number {
  const range = rangeOf(meter, of, value)
  return readingUncertainty({
    value,
    resolution: range?.resolution ?? 0.1,
    ...(range?.percentOfReading === undefined ? {} : { percentOfReading: range.percentOfReading }),
    ...(range?.counts === undefined ? {} : { counts: range.counts }),
  }).u
}

/**
 * What is typed at a step that is no reading, as an entry: a temperature, the leads together, the supply, the frame's own metal.
 * @returns the entry, or the problem that keeps the text from being one
 */
export function plainEntry(step: PlainStep, text: string, setting: PlainSetting): EntryBody | ReadingProblem {
  const { decimalComma, units, meter } = setting
  const of = step === 'temperature' ? 'temperature' : step === 'supply' ? 'voltage' : 'resistance'
  const made = typedReading(withUnit(text, of, units, decimalComma), of, decimalComma)
  if ('problem' in made) return made.problem
  const { value, kind } = made.reading
  if (kind !== 'value' || value === undefined) return 'number'
  switch (step) {
    case 'temperature':
      return setting.temperatureFrom === 'room'
        ? { kind: 'temperature', part: 'room', roomC: value }
        : { kind: 'temperature', part: 'measured', partC: value }
    case 'leads': {
      // zeroed in the meter, nothing of the leads is left in later readings
      const ohms = setting.zeroHow === 'hardware' ? 0 : value
      const u = uncertaintyOf(meter, 'resistance', ohms)
      return { kind: 'lead-check', instrument: meter?.id ?? '', text, ohms, u, how: setting.zeroHow }
    }
    case 'supply':
      return {
        kind: 'supply',
        text,
        volts: value,
        u: uncertaintyOf(meter, 'voltage', value),
        while: setting.supplyWhile,
      }
    case 'frame-proof':
      return {
        kind: 'proof',
        of: 'same-metal',
        terminal: 'frame',
        text,
        ...(meter ? { instrument: meter.id } : {}),
      }
  }
}

/** Where a reading is taken, and with what. */
export interface ReadingPlace extends Typing {
  check: PreparedCheck
  quantity: Quantity
  point: StepPoint
  /** the place of this step, or the length that this item had before */
  x: number | undefined
  meter: Instrument | undefined
  contact: 'tips' | 'clips'
}

/**
 * The typed line as a reading: where, with what, under which conditions.
 * @param more what it replaces, and why
 */
export function readingEntry(
  text: string,
  { check, quantity, point, x, meter, contact, decimalComma, units }: ReadingPlace,
  more: ReadingSetting = {},
): { reading: Reading } | { problem: ReadingProblem } {
  const { pair, index, drive } = point
  const { conditions } = check
  const placed = splitPlace(check, text, { decimalComma, units }, x)
  if ('problem' in placed) return placed
  const own = drive === undefined ? withoutTestVolts(conditions) : { ...conditions, drive }
  return typedReading(placed.figure, quantity, decimalComma, {
    ...(meter ? { instrument: meter.id } : {}),
    contact,
    ...(pair ? { pair } : {}),
    ...(index === undefined ? {} : { index }),
    ...placed.setting,
    ...(own ? { conditions: own } : {}),
    ...more,
  })
}

/** The volts of an insulation reading are its own: what the card asks for is not what stood there. */
function withoutTestVolts(conditions: Conditions | undefined): Conditions | undefined {
  if (conditions?.testVolts === undefined) return conditions
  const { testVolts: _asked, ...stated } = conditions
  return Object.keys(stated).length > 0 ? stated : undefined
}
