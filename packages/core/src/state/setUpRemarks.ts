import { fired, setUpRules, type Remark } from '../sense'
import { nextReading, type NextReading } from './nextReading'
import type { RunState } from './runState'

/**
 * What is due before anything is touched at a step, stops and what is only said, not yet answered (SENSE, set-up rows).
 * @example
 * setUpRemarks(scenes.sound().state, { check: 'low', at: '2026-03-02T10:00:00.000Z', by: 'p', instrument: 'm2' }).length
 * // 0
 */
export function setUpRemarks(state: RunState, question: NextReading): Remark[] {
  const next = nextReading(state, question)
  if (!next) return []
  const earlier = [...state.evaluations.values()]
  const moment = { ...next, before: [], standing: () => [], relations: [], earlier, again: [], onOthers: [] }
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
