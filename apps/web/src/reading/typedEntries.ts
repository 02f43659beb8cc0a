import {
  beepReading,
  rangeOf,
  readingUncertainty,
  typedReading,
  withUnit,
  type ConditionWords,
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
import { takesSpeed } from '../words/instruction'
import type { LineProblem } from '../words/reasons'
import { splitPlace, type Placed } from './splitPlace'
import { typedSupply } from './typedSupply'

/** How the shop types: its decimal mark, and the units of what has none. */
export interface Typing {
  decimalComma: boolean
  units: ShownUnits
}

/** What a step that is no reading is typed with. */
export interface PlainSetting extends Typing {
  meter: Instrument | undefined
  /** the room's, the part's own, or the part's own since it was warmed: what was read before stays cold */
  temperatureFrom: 'room' | 'measured' | 'hot'
  zeroHow: 'hardware' | 'subtract'
  supplyWhile: 'on' | 'off'
}
export type PlainStep = 'temperature' | 'leads' | 'supply' | 'frame-proof'

/** Tips together, or both on bare metal, read tenths of an ohm; from here on it is something else, ohms. */
const noContact = 10

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
export function plainEntry(step: PlainStep, text: string, setting: PlainSetting): EntryBody | LineProblem {
  const { decimalComma, units, meter } = setting
  const limited = step === 'supply' ? typedSupply(text, setting) : null
  if (limited) return supplyEntry(text, limited, meter, setting.supplyWhile)
  const of = step === 'temperature' ? 'temperature' : step === 'supply' ? 'voltage' : 'resistance'
  const made = typedReading(withUnit(text, of, units, decimalComma), of, decimalComma)
  if ('problem' in made) return made.problem
  const { value, kind } = made.reading
  if (kind === 'over' && step === 'leads') return 'no-leads'
  if (kind === 'over' && step === 'frame-proof') return 'no-contact'
  if (kind !== 'value' || value === undefined) return 'number'
  switch (step) {
    case 'temperature':
      return setting.temperatureFrom === 'room'
        ? { kind: 'temperature', part: 'room', roomC: value }
        : { kind: 'temperature', part: setting.temperatureFrom, partC: value }
    case 'leads': {
      if (Math.abs(value) > noContact) return 'no-leads'
      // zeroed in the meter, nothing of the leads is left in later readings
      const ohms = setting.zeroHow === 'hardware' ? 0 : value
      const u = uncertaintyOf(meter, 'resistance', ohms)
      return { kind: 'lead-check', instrument: meter?.id ?? '', text, ohms, u, how: setting.zeroHow }
    }
    case 'supply':
      return 'number'
    case 'frame-proof':
      if (Math.abs(value) > noContact) return 'no-contact'
      return {
        kind: 'proof',
        of: 'same-metal',
        terminal: 'frame',
        text,
        ...(meter ? { instrument: meter.id } : {}),
      }
  }
}

/** The supply as it stands, with the amperes that it is limited to. */
export const supplyEntry = (
  text: string,
  { volts, amps }: { volts: number; amps?: number },
  meter: Instrument | undefined,
  when: 'on' | 'off',
): EntryBody & { kind: 'supply' } => ({
  kind: 'supply',
  text,
  volts,
  u: uncertaintyOf(meter, 'voltage', volts),
  while: when,
  ...(amps === undefined || amps <= 0 ? {} : { limitAmps: amps }),
})

/** Where a reading is taken, with what, and under which conditions. */
export interface ReadingPlace extends Typing {
  check: PreparedCheck
  quantity: Quantity
  point: StepPoint
  /** the place of this step, or the length that this item had before */
  x: number | undefined
  meter: Instrument | undefined
  contact: 'tips' | 'clips'
  /** the speed that was last said; none is taken from the card */
  rpm: number | undefined
  words: ConditionWords
}

/**
 * The typed line as a reading: where, with what, under which conditions.
 * @param more what it replaces, and why
 */
export function readingEntry(
  text: string,
  place: ReadingPlace,
  more: ReadingSetting = {},
): { reading: Reading } | { problem: ReadingProblem } {
  const placed = splitPlace(place.check, text, place, place.x)
  if ('problem' in placed) return placed
  return typedReading(placed.figure, place.quantity, place.decimalComma, settingOf(place, placed, more))
}

/** What the beeper says at a place. */
export const beepEntry = (beeps: boolean, beepsBelow: number, place: ReadingPlace, more: ReadingSetting): Reading =>
  beepReading(beeps, beepsBelow, settingOf(place, { setting: place.x === undefined ? {} : { x: place.x } }, more))

function settingOf(
  place: ReadingPlace,
  { setting, conditions: said }: Omit<Placed, 'figure'>,
  more: ReadingSetting,
): ReadingSetting {
  const { check, point, meter, contact, rpm } = place
  const { pair, index, drive } = point
  const conditions = { ...asTheStepIsDone(check, rpm), ...(drive === undefined ? {} : { drive }), ...said }
  return {
    ...(meter ? { instrument: meter.id } : {}),
    contact,
    ...(pair ? { pair } : {}),
    ...(index === undefined ? {} : { index }),
    ...setting,
    ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
    ...more,
  }
}

/** What the step says to do is how it is done; how fast it ran and what volts stood there is never taken from the card. */
export function asTheStepIsDone(check: PreparedCheck, rpm: number | undefined): Conditions {
  const { testVolts: _volts, rpm: _asked, ...stated } = check.conditions ?? {}
  return takesSpeed(check) && rpm !== undefined ? { ...stated, rpm } : stated
}
