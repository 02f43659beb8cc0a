import {
  chooseRange,
  expectedOf,
  forecastOf,
  formatBound,
  prefixFor,
  quantityOf,
  rangeOf,
  rangesFor,
  setUpRemarks,
  type Instrument,
  type NextReading,
  type PreparedCheck,
  type PreparedLimit,
  type Quantity,
  type RunState,
  type StepState,
} from '@sure-spool/core'
import { computed } from 'vue'

interface Standing {
  state: () => RunState | undefined
  current: () => StepState | undefined
  meter: () => Instrument | undefined
  person: () => string
  /** it is being taken again */
  again: () => boolean
}

/** What there is to know of the step that is open: its check and limit, the range to ask for, what must be said before it is touched. */
export function stepFacts({ state, current, meter, person, again }: Standing) {
  const check = computed<PreparedCheck | undefined>(() => {
    const step = current()?.step
    return step && 'check' in step && step.check !== undefined ? state()?.prepared.checks.get(step.check) : undefined
  })
  /** what is typed is the item's length, not its ohms */
  const isLength = computed(() => current()?.length === true && !again())
  /** what the meter reads there */
  /** many readings, each at its frequency */
  const isResponse = computed(() => check.value?.kind === 'response')
  const measured = computed<Quantity>(() => (check.value && quantityOf(check.value)) ?? 'resistance')
  const quantity = computed<Quantity>(() => (isLength.value ? 'length' : measured.value))
  const limit = computed<PreparedLimit | undefined>(() => {
    const { tape, run } = state() ?? {}
    if (!tape || !run) return undefined
    const last = tape.entries.at(-1)
    return check.value?.limits[last ? tape.history(last) : run.unit.history][0]
  })
  /** of what is judged by its length, as much as a metre has: about what one item reads, and no less */
  const aMetre = computed(() => {
    const stated = limit.value?.stated
    return stated === undefined || stated === 'derived' || stated.kind !== 'perMetre'
      ? undefined
      : stated.value * (1 + stated.tolerancePct / 100)
  })
  const tooLow = computed(() => {
    const read = current()?.point?.evaluation
    return read?.reason === 'range-too-low' ? read : undefined
  })
  const rangeFigure = computed(() => {
    const { max = aMetre.value, min } = limit.value?.band ?? {}
    const expected = limit.value?.expectOpen ? limit.value.expectOpen.atLeast * 10 : (max ?? min)
    if (expected === undefined) return null
    const ranges = rangesFor(meter(), quantity.value).map((one) => one.fullScale)
    // what ran over is read on a higher one
    const { bound } = tooLow.value ?? {}
    const higher = bound === undefined ? undefined : ranges.find((one) => one > bound)
    if (higher !== undefined) return higher
    return chooseRange({ ranges, expectedMax: expected }) ?? ranges.at(-1) ?? null
  })
  /** the range to ask for on a meter ranged by hand, as `20 MΩ`; empty on one that ranges by itself, or has none for it */
  const rangeAsked = computed(() => (rangeFigure.value === null ? '' : formatBound(rangeFigure.value, quantity.value)))
  /** the range an over-range sign stands for: the one said with this step's last reading on this meter, else the one asked for */
  const rangeInUse = computed(() => {
    const last = current()?.point?.evaluation?.entry.reading
    const said = last?.instrument === meter()?.id ? (last?.kind === 'over' ? last.value : last?.range) : undefined
    return said === undefined ? rangeAsked.value : formatBound(said, quantity.value)
  })
  /** the prefix in which this step's figure is spoken of */
  const prefix = computed(() => {
    // a prefix nobody gave must never turn a short into a pass
    if (isLength.value || limit.value?.expectOpen || check.value?.kind === 'insulation') return ''
    const expected = expectedOf(limit.value?.band ?? {}) ?? aMetre.value
    return expected === undefined || expected < 1 ? '' : prefixFor(expected, quantity.value)
  })
  /** the reading that this step wants next, as it would be taken now */
  const next = computed<NextReading | undefined>(() => {
    const step = current()?.step
    if (step?.kind !== 'reading') return undefined
    return {
      check: step.check,
      instrument: meter()?.id,
      ...(step.point.pair ? { pair: step.point.pair } : {}),
      ...(step.point.drive === undefined ? {} : { conditions: { drive: step.point.drive } }),
      at: new Date().toISOString(),
      by: person(),
    }
  })
  /** stops that are due before this step is touched */
  const setUp = computed(() => {
    const now = state()
    return now && next.value && current()?.entry === undefined ? setUpRemarks(now, next.value) : []
  })
  /** what the display should show there, and the range that would show it */
  const forecast = computed(() => {
    const now = state()
    const step = current()?.step
    const seen = step?.kind === 'answer' ? { check: step.check, at: new Date().toISOString(), by: person() } : undefined
    const question = next.value ?? seen
    const told = now && question && forecastOf(now, question)
    if (!told) return undefined
    return { ...told, resolution: rangeOf(meter(), told.quantity, told.value ?? 0)?.resolution }
  })
  return {
    check,
    isLength,
    isResponse,
    measured,
    quantity,
    limit,
    rangeFigure,
    rangeAsked,
    rangeInUse,
    prefix,
    next,
    setUp,
    forecast,
  }
}
