import type { FindingWord, ItemFinding, RunState } from '@sure-spool/core'
import type { Figures } from './figures'

/** One pile of a set: `good: 1 (0.38 m), 4 (0.52 m)`. */
export interface Pile {
  name: string
  mark: 'within' | 'outside' | 'none'
  items: string
}

const order: { finding: FindingWord; name: string; mark: Pile['mark'] }[] = [
  { finding: 'no-fault-found', name: 'good', mark: 'within' },
  { finding: 'fault-found', name: 'not good', mark: 'outside' },
  { finding: 'undecided', name: 'open', mark: 'none' },
]

/** The piles that have something in them. */
export function pileWords({ checks }: RunState, items: ItemFinding[], figures: Figures): Pile[] {
  const lengths = new Map(
    checks.flatMap(({ points }) =>
      points.flatMap(({ evaluation }) => {
        const { index, x } = evaluation?.entry.reading ?? {}
        return index === undefined || x === undefined ? [] : [[index, x] as const]
      }),
    ),
  )
  const said = (index: number) => {
    const length = lengths.get(index)
    return length === undefined ? String(index) : `${index} (${figures.bound(Number(length.toPrecision(3)), 'length')})`
  }
  return order.flatMap(({ finding, name, mark }) => {
    const of = items.filter((one) => one.finding === finding).map(({ index }) => said(index))
    return of.length === 0 ? [] : [{ name, mark, items: of.join(', ') }]
  })
}
