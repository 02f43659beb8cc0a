import type { Reading } from '../document'
import { evaluate, type Bench } from '../judgement'
import { fired, setUpRules, type Remark } from '../sense'
import type { RunState } from './runState'

/**
 * What is due before anything is touched at a step, stops and what is only said, not yet answered (SENSE, set-up rows).
 * @example
 * setUpRemarks(scenes.sound().state, { check: 'low', at: '2026-03-02T10:00:00.000Z', by: 'p', instrument: 'm2' }).length
 * // 0
 */
export function setUpRemarks(
  state: RunState,
  question: { check: string; at: string; by: string } & Pick<
    Reading,
    'instrument' | 'leads' | 'pair' | 'index' | 'conditions'
  >,
): Remark[] {
  const { run, tape } = state
  const entry = {
    id: 'next',
    run: run.id,
    n: (tape.entries.at(-1)?.n ?? 0) + 1,
    at: question.at,
    by: question.by,
    kind: 'reading' as const,
    check: question.check,
    reading: {
      taken: 'typed' as const,
      text: '',
      decimalComma: false,
      kind: 'value' as const,
      ...(question.instrument === undefined ? {} : { instrument: question.instrument }),
      ...(question.leads === undefined ? {} : { leads: question.leads }),
      ...(question.pair === undefined ? {} : { pair: question.pair }),
      ...(question.index === undefined ? {} : { index: question.index }),
      ...(question.conditions === undefined ? {} : { conditions: question.conditions }),
    },
  }
  const bench: Bench = {
    run,
    prepared: state.prepared,
    tape: { ...tape, stageOf: new Map([...tape.stageOf, ['next', 0]]) },
  }
  const evaluation = evaluate(bench, entry)
  if (!evaluation) return []
  const earlier = [...state.evaluations.values()]
  const moment = { bench, evaluation, before: [], standing: () => [], relations: [], earlier, again: [] }
  return fired(moment, setUpRules)
    .filter(({ rule, remark }) => {
      if (state.answeredAhead.includes(remark.id)) return false
      const key = rule.setting?.(moment)
      return !state.remarks.some((one) => {
        const about = one.entry === undefined ? undefined : state.evaluations.get(one.entry)
        return one.id === remark.id && one.answered && about && rule.setting?.({ ...moment, evaluation: about }) === key
      })
    })
    .map(({ remark }) => remark)
}
