import { besideFigures, type Evaluation, type Run, type RunState } from '@sure-spool/core'
import type { Figures } from '../words/figures'

/** Something that stands on a reading's ruler beside it. */
export interface RulerTick {
  value: number
  label: string
}

/** What the same point read before: retaken ones, this unit's last run, the twin. */
export function ticksBeside(here: Evaluation, run: Run, { tape, evaluations }: RunState): RulerTick[] {
  const others = besideFigures(run, here).map(({ as, tag, value }) => ({
    value,
    label: as === 'earlier' ? 'last run' : tag,
  }))
  const before = [...evaluations.values()].flatMap(({ point, entry, judged, net }) => {
    const value = judged ?? net
    const isRetaken = point === here.point && entry.id !== here.entry.id && tape.gone.get(entry.id)?.how === 'retaken'
    return isRetaken && value !== undefined ? [{ value, label: 'before' }] : []
  })
  return [...before, ...others]
}

/** Where a whole would have to read, by what its parts add up to, when they do not add up. */
export function sumAim(here: Evaluation, { relations }: RunState, figures: Figures): RulerTick | undefined {
  const sum = relations.find(
    (one) => one.relation.kind === 'sum' && one.verdict === 'outside' && one.members.at(-1) === here,
  )?.sum
  return sum && { value: sum.impliedWhole, label: `parts add to ${figures.plain(sum.impliedWhole)}` }
}
