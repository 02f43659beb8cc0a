import type { UnitRun } from '@sure-spool/contract'
import { againstPast, quantityOf, type Card, type Quantity } from '@sure-spool/core'
import type { Figures } from '../words/figures'
import { pairLabel } from '../words/points'

/** Where a figure was read: a pair, a numbered item, or the check's only place. */
interface Place {
  pair?: [string, string]
  index?: number
}
/** What one run read at one place. */
export interface RunCell {
  side: 'high' | 'low' | 'other'
  verdict: 'within' | 'borderline' | 'outside' | 'none' | undefined
  text: string
  open: boolean
  /** how far it moved since the run before, where that is more than the meter explains */
  moved: string
}
export interface RunRow {
  key: string
  label: string
  where: string
  cells: RunCell[]
}

/** Every place that some run of a unit read, with what each run read there. */
export function runRows(card: Card, runs: UnitRun[], figures: Figures): RunRow[] {
  return card.checks
    .filter((check) => check.kind !== 'look')
    .flatMap((check) =>
      placesOf(runs, check.id).map((place, i) => ({
        key: `${check.id} ${i}`,
        label: check.label,
        where: place.index === undefined ? (place.pair ? pairLabel(card, place.pair) : '') : `number ${place.index}`,
        cells: runs.map((run, at) => cellOf(run, runs[at + 1], check.id, quantityOf(check), place, figures)),
      })),
    )
    .filter((row) => row.cells.some((cell) => cell.verdict !== undefined))
}

function placesOf(runs: UnitRun[], check: string): Place[] {
  const places = new Map<string, Place>()
  for (const { comparison } of runs)
    for (const { check: id, pair, index } of comparison.figures)
      if (id === check)
        places.set(`${pair?.join(' ') ?? ''} ${index ?? ''}`, {
          ...(pair ? { pair } : {}),
          ...(index === undefined ? {} : { index }),
        })
  return places.size === 0 ? [{}] : [...places.values()]
}

const figureOf = (run: UnitRun | undefined, check: string, place: Place) =>
  run?.comparison.figures.find(
    (one) =>
      one.check === check &&
      one.index === place.index &&
      (place.pair === undefined || [...(one.pair ?? [])].sort().join() === [...place.pair].sort().join()),
  )

/** on which side of its limits a figure lies, as its reason says */
const sides: Record<string, 'high' | 'low'> = { 'above-maximum': 'high', 'below-minimum': 'low', shorted: 'low' }

function cellOf(
  run: UnitRun,
  earlier: UnitRun | undefined,
  check: string,
  quantity: Quantity | undefined,
  place: Place,
  figures: Figures,
): RunCell {
  const verdict = run.verdicts.find((one) => one.check === check)
  const figure = figureOf(run, check, place)
  const before = figureOf(earlier, check, place)
  const change = figure && before ? againstPast(figure, before) : undefined
  return {
    side: sides[verdict?.reason ?? ''] ?? 'other',
    verdict: verdict?.reason === 'not-read' ? undefined : verdict?.held ? 'none' : verdict?.verdict,
    text: figure ? figures.figure(Number(figure.value.toPrecision(4)), quantity) : '',
    open: !figure && verdict?.reason?.startsWith('open') === true,
    moved:
      change?.moved && change.percent !== null
        ? `${change.percent > 0 ? '+' : ''}${figures.plain(change.percent, 2)} %`
        : '',
  }
}
