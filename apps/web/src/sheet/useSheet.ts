import type { Entry, Run, RunState } from '@sure-spool/core'
import { useShop } from '../store/shop'
import { takenText, type Figures } from '../words/figures'
import { remarkWords } from '../words/remarks'
import { checkLabel } from '../words/points'
import { outcomeWords, placeWords } from '../words/kinds'
import { clock } from '../words/times'
import { workDone } from '../words/works'

/** Entries of one kind that nobody took back, in the order made. */
export function standingOf<Kind extends Entry['kind']>(
  { tape }: RunState,
  kind: Kind,
): Extract<Entry, { kind: Kind }>[] {
  return tape.entries.flatMap((entry) =>
    entry.kind === kind && !tape.takenBack.has(entry.id) ? [entry as Extract<Entry, { kind: Kind }>] : [],
  )
}

/** People by the names the shop knows them by. */
export function usePeople(): (id: string) => string {
  const shop = useShop()
  return (id) => shop.people.find((one) => one.id === id)?.name ?? id
}

/** Every remark of a run with when it was made and what was answered. */
export function remarkRows(state: RunState, figures: Figures) {
  const { run } = state
  const at = (id: string | undefined) => clock(run.entries.find((entry) => entry.id === id)?.at)
  return state.remarks.map((one) => ({
    key: `${one.id}${one.entry ?? ''}`,
    severity: one.severity,
    at: at(one.entry),
    ...remarkWords(one, run.card, figures),
    answer: one.answered
      ? (one.answered.reason ?? (one.answered.by === 'cleared' ? 'cleared by a later reading' : 'kept'))
      : one.severity === 'stop'
        ? 'not answered'
        : '',
  }))
}

/** What else stands on the tape: notes, work, what was skipped and why, what became of it. */
export function alsoOnTape(run: Run): { id: string; at: string; kind: string; words: string }[] {
  return run.entries.flatMap((entry) => {
    const words = alsoWords(entry, run)
    return words === undefined ? [] : [{ id: entry.id, at: clock(entry.at), kind: entry.kind, words }]
  })
}

function alsoWords(entry: Entry, { card }: Run): string | undefined {
  if (entry.kind === 'note') return entry.words
  if (entry.kind === 'skip') return `${checkLabel(card, entry.check)}: ${entry.reason}`
  if (entry.kind === 'work') return workDone(card, entry)
  if (entry.kind === 'place') return `${placeWords[entry.where]} from here on`
  return entry.kind === 'outcome' ? `${outcomeWords[entry.what]}. ${entry.words}` : undefined
}

/** What each winding read by itself, for its drawing. */
export const windingFigures = (state: RunState, figures: Figures): Record<string, string> =>
  Object.fromEntries(
    state.checks.flatMap(({ check, points }) => {
      const one = points[0]?.evaluation
      const [winding] = [...check.touches]
      const ownOhms = check.kind === 'resistance' && check.touches.size === 1 && !check.toFrame
      return one && ownOhms && winding !== undefined ? [[winding, takenText(one, figures)]] : []
    }),
  )

/** The meters that were read, and how well each reads ohms. */
export function meterRows({ entries, instruments }: Run): string[] {
  const used = new Set(
    entries.flatMap((entry) =>
      entry.kind === 'reading' && entry.reading.instrument ? [entry.reading.instrument] : [],
    ),
  )
  return instruments
    .filter((one) => used.has(one.id))
    .map(({ name, ranging, functions }) => {
      const ohms = functions.find(({ quantity }) => quantity === 'resistance')?.ranges[0]
      const ranged = ranging === 'auto' ? 'ranges by itself' : 'ranged by hand'
      const accuracy =
        ohms?.percentOfReading === undefined
          ? ''
          : `, ${ohms.percentOfReading} % + ${ohms.counts ?? 0} steps on its lowest range`
      return `${name}, ${ranged}${accuracy}`
    })
}
