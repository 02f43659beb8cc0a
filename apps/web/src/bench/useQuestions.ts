import { looseWires, pointMade, typedConditions, typedPoints, typedWires, type EntryBody } from '@sure-spool/core'
import { ref } from 'vue'
import { useBench } from '../store/bench'
import { newId } from '../store/newId'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { remarkWords } from '../words/remarks'

export interface Question {
  question: string
  offers: string[]
  answer: (words: string) => void
  /** it can be left empty */
  free?: true
  /** a photo may go with the answer */
  photo?: true
}

/** For so long an entry is undone without being asked why, milliseconds. */
const freeUndoMs = 10_000

/** What the bench asks in words: why a step is skipped, why a reading is taken back or kept in spite of a remark; a note. */
export function useQuestions(tell: (words: string) => void) {
  const bench = useBench()
  const shop = useShop()
  const figures = useFigures()
  const question = ref<Question | null>(null)
  const isReading = () => bench.current?.step.kind === 'reading'

  function ask(
    words: string,
    offers: string[],
    answer: (words: string) => void,
    may?: { free?: true; photo?: true },
  ): void {
    question.value = { question: words, offers, answer, ...may }
  }

  function answered(words: string): void {
    const asked = question.value
    question.value = null
    asked?.answer(words)
  }

  /** Why a remark is overridden. */
  function keep(remark: string, offers: string[]): void {
    ask('Keep it as it is: why?', offers, (reason) => bench.add({ kind: 'answer', remark, reason }))
  }

  /** The speed a reading was taken at, where none was said with it. */
  function askSpeed(entry: string): void {
    ask('At what speed was it taken? As 2570 rpm.', [], (words) => saySpeed(entry, words))
  }

  function saySpeed(id: string, words: string): void {
    const read = bench.evaluationOf(id)
    const said = typedConditions(
      /\d$/.test(words) ? `${words} rpm` : words,
      { loads: [], states: [] },
      shop.settings.decimalComma,
    )
    if (read && 'rpm' in said) bench.retype(read, read.entry.reading.text, 'the speed was asked', { rpm: said.rpm })
    else tell(`“${words}” is no speed: type it as 2570 rpm. The reading is kept and waits for it.`)
  }

  /** Any two points of the part, in any quantity, also such as its card does not ask for. */
  function points(): void {
    const [a, b] = bench.run?.card.terminals ?? []
    const [wire, other] = bench.run ? looseWires(bench.run.card) : []
    ask(
      `Which two points? As ${a?.label} ${b?.label}; behind them what is read, where it is another than now: ohms, volts, henries. A point of your own: new ${a?.label} tail on ${a?.label}. A magnet: field, and where. A trial without a figure: lamp, click, blade or tap, and where. What was told of two: ${a?.label} ${b?.label} told 11.6k.${wire && other ? ` Which wire is which: ${other.label} = ${wire.aliases[0] ?? wire.label}, ${wire.label} = ${other.aliases[0] ?? other.label}.` : ''}`,
      [],
      goToPoints,
    )
  }

  function goToPoints(words: string): void {
    const wires = bench.run && typedWires(words, bench.run.card)
    if (wires) {
      if ('problem' in wires) tell(`${wires.problem} Nothing was kept.`)
      else bench.add({ kind: 'wires', map: wires.map })
      return
    }
    const typed = bench.run && typedPoints(words, bench.run.card)
    if (!typed) return
    if ('problem' in typed) tell(`${typed.problem} Nothing was asked.`)
    else if ('field' in typed) bench.goToField(typed.field)
    else if ('trial' in typed) bench.goToTrial(typed.trial, typed.at)
    else if ('point' in typed) {
      if (bench.add(pointMade(newId(), typed.point, typed.on)))
        tell(`“${typed.point}” is a point of this part now: p reads between it and another.`)
    } else if (typed.told) {
      const problem = bench.tell(typed.pair, typed.kind, typed.told, shop.settings.decimalComma)
      if (problem) tell(`${problem} Nothing was kept.`)
    } else bench.goToPoints(typed.pair, typed.kind)
  }

  function undo(): void {
    const last = bench.lastEntry
    if (!last) tell('Nothing to undo.')
    else if (Date.now() - Date.parse(last.at) <= freeUndoMs)
      bench.add({ kind: 'take-back', entry: last.id, reason: 'undone' })
    else
      ask('Undo the last entry: why?', ['wrong pair', 'slipped off', 'typed by mistake'], (reason) =>
        bench.add({ kind: 'take-back', entry: last.id, reason }),
      )
  }

  function skip(): void {
    const one = bench.current?.step
    if (!one || one.kind === 'finding') return
    const isFree = one.kind === 'reading' && !one.required
    const offers = isFree
      ? ['cannot be done here', 'not needed for this complaint', 'later']
      : ['cannot be reached', 'no way to do it here', 'later']
    const check = skipped()
    ask('Skip it: why?', offers, (reason) => bench.add({ kind: 'skip', check, reason }))
  }

  /** What one skip skips: of an optional check all its points; a required one is skipped point by point. */
  function skipped(): string {
    const step = bench.current?.step
    if (step?.kind === 'reading' && !step.required) return step.check
    const isOnePoint = bench.check !== undefined && bench.check.points.length <= 1
    return step && 'check' in step && step.check !== undefined && isOnePoint ? step.check : (step?.id ?? '')
  }

  function takeBack(): void {
    const target = bench.evaluationOf(bench.current?.entry)?.entry ?? bench.lastReading?.entry
    if (target)
      ask('Take this reading back: why?', ['wrong pair', 'slipped off', 'read by mistake'], (reason) =>
        bench.add({ kind: 'take-back', entry: target.id, reason }),
      )
  }

  function retake(mistyped: boolean): void {
    const own = isReading() ? bench.current?.entry : undefined
    const target = own ?? bench.lastReading?.entry.id
    if (target) bench.takeAgain(target, mistyped, mistyped ? 'mistyped' : 'taken again')
  }

  function note(): void {
    const about = isReading() && bench.check ? { about: bench.check.id } : {}
    ask('A note', [], (words) => noted({ kind: 'note', words, ...about }))
  }

  /** A note is kept; one that says what its reading cannot be is shown once more first. */
  function noted(body: Extract<EntryBody, { kind: 'note' }>): void {
    const high = bench.wouldSay(body).find(({ id }) => id === 'high-is-not-shorted')
    if (!high || !bench.run) bench.add(body)
    else {
      const { what, todo } = remarkWords(high, bench.run.card, figures)
      ask(`${what} ${todo} Keep the note as it is?`, [body.words], (words) => bench.add({ ...body, words }))
    }
  }

  const leave = () => void (question.value = null)
  return { question, ask, keep, answered, leave, undo, skip, takeBack, retake, note, points, askSpeed }
}
