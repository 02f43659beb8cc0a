import {
  parseReading,
  quantityOf,
  withMoreSaid,
  withUnit,
  type ConditionWords,
  type Conditions,
  type EntryBody,
  type Evaluation,
  type Instrument,
  type PreparedCheck,
  type Quantity,
  type Reading,
  type ReadingProblem,
  type ReadingSetting,
  type StepState,
} from '@sure-spool/core'
import { ref, watch } from 'vue'
import type { LineProblem } from '../words/reasons'
import { isOtherwise } from './isOtherwise'
import { retyped } from './retyped'
import { typedSupply } from './typedSupply'
import {
  beepEntry,
  plainEntry,
  readingEntry,
  supplyEntry,
  type PlainSetting,
  type PlainStep,
  type ReadingPlace,
  type Typing,
} from './typedEntries'

/** What the next reading is for, where it is not simply the step's first. */
export interface Doing {
  step: string
  supersedes: string
  mistyped: boolean
  reason: string
}

const plainSteps: string[] = ['temperature', 'leads', 'supply', 'frame-proof'] satisfies PlainStep[]
const isPlain = (kind: string): kind is PlainStep => plainSteps.includes(kind)

interface TypedInto {
  current: () => StepState | undefined
  doing: () => Doing | null
  check: () => PreparedCheck | undefined
  quantity: () => Quantity
  meter: () => Instrument | undefined
  contact: () => 'tips' | 'clips'
  typing: () => Typing
  /** the length this item had before */
  lengthOf: (index: number | undefined) => number | undefined
  /** the speed that was last said */
  rpm: () => number | undefined
  words: () => ConditionWords
  /** what is typed is the length of the item in hand */
  isLength: () => boolean
  /** the readings that stand */
  standing: () => Evaluation[]
  /** a reading on the tape */
  readingOf: (id: string | undefined) => Reading | undefined
  add: (body: EntryBody) => void
}

/** What is typed, made an entry of the step that is open, with what the person chose beside it. */
export function useTyping(into: TypedInto) {
  const temperatureFrom = ref<PlainSetting['temperatureFrom']>('room')
  const supplyWhile = ref<'on' | 'off'>('on')
  const zeroHow = ref<'hardware' | 'subtract'>('hardware')
  watch(
    () => into.meter()?.zero,
    (zero) => (zeroHow.value = zero ?? 'hardware'),
    { immediate: true },
  )
  // that a part was warmed is said of one temperature
  watch(
    () => into.current()?.step.kind,
    (kind) => {
      if (kind !== 'temperature' && temperatureFrom.value === 'hot') temperatureFrom.value = 'measured'
    },
  )

  /** Keeps a typed figure for the step that is open. @returns what is wrong with the text, or null */
  function keepTyped(text: string): LineProblem | null {
    const step = into.current()?.step
    if (!step) return null
    if (step.kind === 'reading') return into.isLength() && !isWhole(text) ? keepLength(text) : keepReading(text)
    if (!isPlain(step.kind)) return null
    const made = plainEntry(step.kind, text, {
      ...into.typing(),
      meter: into.meter(),
      temperatureFrom: temperatureFrom.value,
      zeroHow: zeroHow.value,
      supplyWhile: supplyWhile.value,
    })
    if (typeof made === 'string') return made
    into.add(made)
    return null
  }

  /** A figure with its length behind it is a reading, also where the length alone is asked. */
  const isWhole = (text: string) => /\d.*@/.test(text)
  /** what the check is read in, whatever else is typed at its step */
  const quantityNow = (): Quantity => {
    const check = into.check()
    return (check && quantityOf(check)) ?? into.quantity()
  }

  /** Where the step that is open is read, and how; undefined on any other step. */
  function placeNow(): ReadingPlace | undefined {
    const step = into.current()?.step
    const check = into.check()
    if (!check || step?.kind !== 'reading') return undefined
    const { point } = step
    return {
      ...into.typing(),
      check,
      quantity: quantityNow(),
      point,
      x: point.x ?? into.lengthOf(point.index),
      meter: into.meter(),
      contact: into.contact(),
      rpm: into.rpm(),
      words: into.words(),
    }
  }

  /** The typed line as a reading of the step that is open. */
  function readingOf(text: string, more: ReadingSetting = {}): { reading: Reading } | { problem: ReadingProblem } {
    const place = placeNow()
    return place ? readingEntry(text, place, more) : { problem: 'number' }
  }

  /** What a reading replaces, and why: a second meter, a second method, or other conditions replace nothing. */
  function replaces(reading: Reading | undefined): ReadingSetting {
    const { supersedes, reason, mistyped } = into.doing() ?? heldOrSecond() ?? {}
    if (!mistyped && standsBeside(supersedes, reading)) {
      const same = readThere(reading)
      return same ? { supersedes: same.entry.id, reason: 'taken again' } : {}
    }
    return {
      ...(supersedes === undefined ? {} : { supersedes, reason }),
      ...(mistyped ? { mistyped: true as const } : {}),
    }
  }

  /** Whether a reading that counts was taken in another way: both stand, side by side. */
  function standsBeside(id: string | undefined, reading: Reading | undefined): boolean {
    const before = into.readingOf(id)
    const check = into.check()
    if (before === undefined || !check || into.current()?.status === 'held') return false
    return isOtherwise(check, before, reading, into.meter()?.id)
  }

  /** What was read before at the same place on a curve, or the same frequency, in the same way. */
  const readThere = (reading: Reading | undefined): Evaluation | undefined =>
    into
      .standing()
      .findLast(
        ({ check, entry }) =>
          check.id === into.check()?.id &&
          entry.reading.x !== undefined &&
          entry.reading.x === reading?.x &&
          !standsBeside(entry.id, reading),
      )

  /** What the supply stands at while the part is driven, typed where something else is read: volts with their sign. */
  function supplyWhileDriven(text: string): EntryBody | undefined {
    const check = into.check()
    const driven = check?.kind === 'current' || (check?.kind === 'contacts' && check.conditions?.drive)
    const typed = driven ? typedSupply(text, into.typing(), true) : null
    return typed && check ? { ...supplyEntry(text, typed, into.meter(), 'on'), check: check.id } : undefined
  }

  function keepReading(text: string): ReadingProblem | null {
    const supply = supplyWhileDriven(text)
    if (supply) {
      into.add(supply)
      return null
    }
    const made = readingOf(text)
    if ('problem' in made) return made.problem
    keep(withMoreSaid(made.reading, replaces(made.reading), quantityNow()))
    return null
  }

  /** The length of an item, put to every reading of it that has none: how it is bent changes nothing of that. */
  function keepLength(text: string): ReadingProblem | null {
    const { decimalComma, units } = into.typing()
    const step = into.current()?.step
    const xText = withUnit(text.replace(/^\s*@/, '').trim(), 'length', units, decimalComma)
    const { kind, value: x, problem } = parseReading({ text: xText, quantity: 'length', decimalComma })
    if (kind !== 'value' || x === undefined || x <= 0 || step?.kind !== 'reading') return problem ?? 'number'
    const without = into
      .standing()
      .filter(({ check, entry: { reading } }) => check.kind === 'per-length' && reading.index === step.point.index)
      .filter(({ entry: { reading } }) => reading.x === undefined)
    for (const { entry } of without)
      into.add({
        kind: 'reading',
        check: entry.check,
        reading: { ...entry.reading, x, xText, supersedes: entry.id, mistyped: true, reason: 'its length' },
      })
    return null
  }

  function keep(reading: Reading): void {
    const check = into.check()
    if (check) into.add({ kind: 'reading', check: check.id, reading })
  }

  /** Keeps a beep, or that there was none. @returns what keeps it from being kept, in words, or null */
  function keepBeep(beeps: boolean): string | null {
    const place = placeNow()
    const meter = into.meter()
    if (!place || place.quantity !== 'resistance') return 'A beep says something of ohms only.'
    if (meter?.beepsBelow === undefined)
      return `${meter?.name ?? 'This meter'} states no ohms under which it beeps: say so in Kit, or type the ohms.`
    keep(beepEntry(beeps, meter.beepsBelow, place, replaces(undefined)))
    return null
  }

  /** Enters a reading again where it was taken, with another text or under other conditions; the old one is only struck. */
  function retype(
    { entry, quantity }: Evaluation,
    text: string,
    reason: string,
    conditions?: Conditions,
  ): ReadingProblem | null {
    const made = retyped(entry, quantity ?? into.quantity(), text, reason, conditions)
    if ('problem' in made) return made.problem
    into.add({ kind: 'reading', check: entry.check, reading: made.reading })
    return null
  }

  /** It fell to no reading once more while it was held: the same reading, with one more drop. */
  function dropAgain({ entry: { id, check, reading } }: Evaluation): void {
    const drops = (reading.drops ?? 0) + 1
    into.add({
      kind: 'reading',
      check,
      reading: { ...reading, drops, supersedes: id, mistyped: true, reason: 'it dropped out again' },
    })
  }

  /** A figure typed on a step that has one already is the new reading, and the old one is struck. */
  function heldOrSecond(): Doing | undefined {
    const one = into.current()
    if (!one || one.entry === undefined || one.anew) return undefined
    return {
      step: one.step.id,
      supersedes: one.entry,
      mistyped: false,
      reason:
        one.point?.reason === 'range-too-high'
          ? 'its ohms'
          : one.later
            ? 'on another range'
            : one.status === 'again'
              ? 'second touch'
              : 'taken again',
    }
  }

  return { temperatureFrom, supplyWhile, zeroHow, keepTyped, keepBeep, dropAgain, retype, readingOf }
}
