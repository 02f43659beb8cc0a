import { isUnzeroed, unitSign, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { isBare, keptText, type Line } from '../reading/line'
import { useBench } from '../store/bench'
import { notKept, runOneLonger } from '../store/oneLonger'
import { takenParts, useFigures } from '../words/figures'
import { verdictWords } from '../words/kinds'
import { reasonLine, secondTouch } from '../words/reasons'

const prefixNames: Record<string, string> = { k: 'kilo', K: 'kilo', M: 'mega', G: 'giga', m: 'milli' }

/** The reading that the bench shows: what is being typed, judged as if it were kept; else the step's own; else the last one. */
export function useShownReading(line: () => Line | null) {
  const bench = useBench()
  const figures = useFigures()

  /** The typed number judged by the same core, on a tape one entry longer. */
  const longer = computed<RunState | undefined>(() => {
    const { run, check, state } = bench
    const typed = line()
    if (!typed || !run || !check || bench.isLength || bench.current?.step.kind !== 'reading') return undefined
    const made = bench.readingOf(keptText(typed))
    if ('problem' in made || (made.reading.kind !== 'value' && made.reading.kind !== 'spread')) return undefined
    const body = { kind: 'reading' as const, check: check.id, reading: made.reading }
    return runOneLonger(run, state, body)
  })
  const live = computed(() => longer.value?.evaluations.get(notKept))
  const own = computed(() => (bench.doing ? undefined : bench.evaluationOf(bench.current?.entry)))
  const shown = computed(() => (line() ? live.value : (own.value ?? (bench.doing ? undefined : bench.lastReading))))
  /** it was taken on another step, and stays until the next figure begins */
  const isOther = computed(() => line() === null && shown.value !== undefined && shown.value !== own.value)
  const held = computed(() =>
    (bench.state?.checks ?? []).some(({ points }) =>
      points.some((point) => point.held && point.evaluation?.entry.id === shown.value?.entry.id),
    ),
  )

  const digits = computed(() => {
    const typed = line()
    // behind an @ the prefix would stand with the wrong figure
    if (typed?.text.includes('@')) return keptText(typed)
    if (typed) return typed.text === '' ? ' ' : typed.text
    return shown.value ? takenParts(shown.value, figures).digits : '–'
  })
  const unit = computed(() => {
    const typed = line()
    if (typed) return isBare(typed.text) ? `${typed.prefix}${unitSign(bench.quantity)}` : ''
    return shown.value ? takenParts(shown.value, figures).unit : ''
  })
  /** where open is expected the prefix is read in full: it could turn a short into a pass */
  const prefixName = computed(() => {
    const typed = line()
    if (!typed || !(bench.limit?.expectOpen || bench.check?.kind === 'insulation')) return ''
    const [, letter] = /\d\s*([kKMGm]?)\s*Ω?\s*(?:[@\d.,]+\s*[kK]?V)?$/.exec(keptText(typed)) ?? []
    return letter === undefined ? '' : letter === '' ? 'no prefix yet' : (prefixNames[letter] ?? '')
  })
  const verdictLine = computed(() => {
    const one = shown.value
    if (!one) return ''
    const { moves } = takenParts(one, figures)
    const verdict = held.value ? `${verdictWords[one.verdict]}, but held` : verdictWords[one.verdict]
    const on = line() ? longer.value : bench.state
    const reason = `${reasonLine(one, figures)}${on ? secondTouch(one, on) : ''}`
    const said = reason === '' ? verdict : `${verdict}: ${reason}`
    return moves === undefined ? said : `${moves}; ${said}`
  })
  /** the expanded uncertainty, and what stands behind it */
  const doubtLine = computed(() => {
    const one = shown.value
    if (!one || one.u === undefined) return ''
    const { parallelOhms, net } = one
    const bare =
      parallelOhms === undefined || net === undefined
        ? []
        : [`bare ${figures.bound(Number(net.toPrecision(3)))} without the ${figures.bound(parallelOhms)} beside it`]
    const parts = [...bare, `±${figures.expanded(one.u, one.quantity)}`]
    if (one.leads) parts.push(isUnzeroed(one.leads) ? 'leads not zeroed' : 'less leads')
    if (one.reference && one.temperature?.partC !== undefined)
      parts.push(
        `part at ${figures.temperature(one.temperature.partC)}${one.temperature.from === 'measured' ? '' : ', not measured'}`,
      )
    return parts.join(', ')
  })
  return { shown, isOther, held, digits, unit, prefixName, verdictLine, doubtLine }
}
