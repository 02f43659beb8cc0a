import { inOhms, type Firing, type OhmPrefix, type Remark, type RemarkId, type RunState } from '@sure-spool/core'
import { checkPoints } from '../words/points'
import type { useBench } from '../store/bench'
import type { Figures } from '../words/figures'

/** One lettered answer to a remark that holds the step. */
export interface Answer {
  label: string
  act: () => void
  /** it needs a figure said first */
  asks?: 'speed'
}

/** What holds a step, answered: what mends it, and taking it again; or each prefix that the display may have shown. */
export interface Answers {
  a: Answer
  b: Answer
  prefix?: (prefix: OhmPrefix) => void
}

type Bench = ReturnType<typeof useBench>

/** Reasons offered for keeping a reading in spite of a remark; another can be typed. */
export const keepReasons: Partial<Record<RemarkId, string[]>> = {
  'prefix-jump': ['the meter shows it so', 'read twice, both alike', 'another part than the card'],
  'prefix-decides': ['the meter shows it so', 'read twice, both alike', 'another part than the card'],
  'sum-off': ['read twice, both alike', 'not wired as the card draws it', 'no time, to be read again'],
  'condition-missing': ['it was off', 'the speed is not known', 'to be looked at later'],
  'not-isolated': ['nothing is in parallel here', 'cannot be unplugged', 'only a rough look'],
  'leads-matter': ['leads are known to be short', 'no way to zero here', 'only a rough look'],
}
const plainReasons = ['read twice, both alike', 'the meter shows it so', 'to be looked at later']

export const reasonsFor = (id: RemarkId): string[] => keepReasons[id] ?? plainReasons

/**
 * What mends the matter (`a`) and how to take it again (`b`), by remark. `c`, keeping it with a reason, is the same for all.
 * @param remark the one that holds, or that is due before the step is touched
 */
export function answersTo(remark: Remark & Partial<Firing>, bench: Bench, state: RunState, figures: Figures): Answers {
  const entry = remark.entry ?? ''
  const read = bench.evaluationOf(entry)
  const again: Answer = { label: 'take this again', act: () => bench.takeAgain(entry, false, 'taken again') }
  const go = (label: string, step: string): Answer => ({ label, act: () => bench.goTo(step) })
  const retype = (label: string, text: string): Answer => ({
    label,
    act: () => void (read && bench.retype(read, text, 'mistyped')),
  })
  const first = (answer: Answer) => ({ a: answer, b: again })
  switch (remark.id) {
    case 'prefix-decides':
      return {
        ...first(again),
        prefix: (prefix) =>
          void (read && bench.retype(read, inOhms(read.entry.reading.text, prefix), 'the prefix was asked')),
      }
    case 'condition-missing':
      if (remark.params['condition'] === 'growler')
        return first({ ...again, label: 'it was off: on now, take this again' })
      return first({ label: 'say the speed', act: () => undefined, asks: 'speed' })
    case 'prefix-jump': {
      const right = Number(remark.params['value'] ?? 0) * Number(remark.params['factor'] ?? 1)
      return first(retype(`it was ${figures.bound(right, bench.quantity)}`, plainText(right)))
    }
    case 'beyond-meter':
      return {
        a: {
          label: 'read with another meter',
          act: () => {
            bench.nextMeter()
            again.act()
          },
        },
        b: again,
      }
    case 'milli-or-mega':
      return first(retype('it was mega', String(remark.params['text'] ?? '').replace(/m\s*$/, 'M')))
    case 'one-or-over':
    case 'zero-or-open':
      return first(
        retype(
          'it was over range',
          bench.rangeAsked === '' ? 'OL' : `OL ${bench.rangeAsked.replace('\u2009', '').replace('Ω', '')}`,
        ),
      )
    case 'over-on-low-range':
      return { a: { label: 'go to the higher range, again', act: again.act }, b: again }
    case 'leads-matter':
    case 'negative':
      if ('since' in remark.params) return first(again)
      return {
        a: go('zero the leads', 'leads'),
        b: remark.entry === undefined ? go('another meter', bench.stepId) : again,
      }
    case 'not-isolated':
      return {
        a: go('lift a lead, or say what stands in parallel', 'isolate'),
        b: remark.entry === undefined ? go('look at the part', 'look') : again,
      }
    case 'supply-high':
      return { a: go('turn it down, enter it again', 'supply'), b: go('look at the card’s volts', 'supply') }
    case 'sum-off':
    case 'beyond-physics':
      return first(
        reclip(
          String(remark.params['likelyEntry'] ?? entryOf(state, String(remark.params['part'] ?? ''))),
          bench,
          state,
        ),
      )
    case 'one-open-of-three':
      return first(reclip(String(remark.params['entry'] ?? ''), bench, state))
    case 'jack-after-amps':
      return {
        a: { label: 'the lead is back', act: () => bench.add({ kind: 'proof', of: 'jack' }) },
        b: remark.entry === undefined ? go('another step', bench.stepId) : again,
      }
    case 'retest-missing': {
      const check = String(remark.params['checks'] ?? '').split(' ')[0] ?? ''
      const step = bench.steps.find((one) => 'check' in one.step && one.step.check === check)?.step.id ?? 'finding'
      return { a: go('test it now', step), b: go('back to the path', step) }
    }
    default:
      return first(again)
  }
}

const entryOf = (state: RunState, check: string): string =>
  state.tape.readings.filter((one) => one.check === check && !state.tape.gone.has(one.id)).at(-1)?.id ?? ''

function reclip(entry: string, bench: Bench, state: RunState): Answer {
  const check = state.evaluations.get(entry)?.check.id ?? ''
  return {
    label: `re-clip ${checkPoints(state.run.card, check)}`,
    act: () => {
      bench.setContact('clips')
      bench.takeAgain(entry, false, 'clipped on')
    },
  }
}

/** A figure as a person would type it, with a prefix where it is large. */
function plainText(value: number): string {
  for (const [size, prefix] of [
    [1e9, 'G'],
    [1e6, 'M'],
    [1e3, 'k'],
  ] as const)
    if (value >= size) return `${Number((value / size).toPrecision(9))}${prefix}`
  return String(Number(value.toPrecision(9)))
}
