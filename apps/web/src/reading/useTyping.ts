import type {
  EntryBody,
  Instrument,
  PreparedCheck,
  Quantity,
  Reading,
  ReadingProblem,
  ReadingSetting,
  StepState,
} from '@sure-spool/core'
import { ref, watch } from 'vue'
import { plainEntry, readingEntry, type PlainStep, type Typing } from './typedEntries'

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
  add: (body: EntryBody) => void
}

/** What is typed, made an entry of the step that is open, with what the person chose beside it. */
export function useTyping(into: TypedInto) {
  const temperatureFrom = ref<'room' | 'measured'>('room')
  const supplyWhile = ref<'on' | 'off'>('on')
  const zeroHow = ref<'hardware' | 'subtract'>('hardware')
  watch(
    () => into.meter()?.zero,
    (zero) => (zeroHow.value = zero ?? 'hardware'),
    { immediate: true },
  )

  /** Keeps a typed figure for the step that is open. @returns what is wrong with the text, or null */
  function keepTyped(text: string): ReadingProblem | null {
    const step = into.current()?.step
    if (!step) return null
    if (step.kind === 'reading') return keepReading(text)
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

  /** The typed line as a reading of the step that is open. */
  function readingOf(text: string, more: ReadingSetting = {}): { reading: Reading } | { problem: ReadingProblem } {
    const step = into.current()?.step
    const check = into.check()
    if (!check || step?.kind !== 'reading') return { problem: 'number' }
    const { point } = step
    const place = {
      ...into.typing(),
      check,
      quantity: into.quantity(),
      point,
      x: point.x ?? into.lengthOf(point.index),
      meter: into.meter(),
      contact: into.contact(),
    }
    return readingEntry(text, place, more)
  }

  function keepReading(text: string): ReadingProblem | null {
    const check = into.check()
    if (!check) return null
    const earlier = into.doing() ?? heldOrSecond()
    const { supersedes, reason, mistyped } = earlier ?? {}
    const made = readingOf(text, {
      ...(supersedes === undefined ? {} : { supersedes, reason }),
      ...(mistyped ? { mistyped: true as const } : {}),
    })
    if ('problem' in made) return made.problem
    into.add({ kind: 'reading', check: check.id, reading: made.reading })
    return null
  }

  /** A figure typed on a step that has one already is the new reading, and the old one is struck. */
  function heldOrSecond(): Doing | undefined {
    const one = into.current()
    if (!one || one.entry === undefined) return undefined
    return {
      step: one.step.id,
      supersedes: one.entry,
      mistyped: false,
      reason: one.status === 'again' ? 'second touch' : 'taken again',
    }
  }

  return { temperatureFrom, supplyWhile, zeroHow, keepTyped, readingOf }
}
