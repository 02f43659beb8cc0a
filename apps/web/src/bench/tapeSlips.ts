import { isTold, quantityOf, sideOf, type Comparison, type Entry } from '@sure-spool/core'
import type { useBench } from '../store/bench'
import { takenParts, type Figures } from '../words/figures'
import { lookSaid } from '../words/looks'
import { decisionWords, goneWords, isolationWords, lookWords, outcomeWords, placeWords } from '../words/kinds'
import { takenAt, wiresNamed } from '../words/points'
import { takenUnder } from '../words/takenUnder'
import { clock } from '../words/times'
import { workDone } from '../words/works'

/** One entry as it stands on the tape. */
export interface Slip {
  id: string
  head: string
  figure: string
  unit: string
  foot: string
  mark: 'within' | 'borderline' | 'outside' | 'none' | 'done' | 'flagged' | 'skipped' | undefined
  side: 'high' | 'low' | 'other'
  struck: boolean
}

/** An entry of the run on the bench, in words and figures; what is out of use is struck, with why. */
export function slipOf(entry: Entry, bench: ReturnType<typeof useBench>, figures: Figures): Slip {
  const { tape, run } = bench.state ?? {}
  const gone = tape?.gone.get(entry.id)
  const base = {
    id: entry.id,
    figure: '',
    unit: '',
    foot: clock(entry.at),
    mark: undefined,
    side: 'other' as const,
    struck: gone !== undefined,
  }
  const how = gone ? goneSaid(gone) : ''
  switch (entry.kind) {
    case 'reading': {
      const evaluation = bench.evaluationOf(entry.id)
      if (!evaluation || !run) return { ...base, head: entry.check }
      const held =
        bench.state?.checks.some((check) =>
          check.points.some((point) => point.held && point.evaluation?.entry.id === entry.id),
        ) ?? false
      const { digits, unit, moves = '' } = takenParts(evaluation, figures)
      return {
        ...base,
        head: takenAt(run.card, evaluation, figures),
        figure: digits,
        unit,
        mark: gone ? undefined : held ? 'none' : evaluation.verdict,
        side: sideOf(evaluation),
        foot: `${[clock(entry.at), moves, takenUnder(run.card, evaluation, figures, true)].filter((one) => one !== '').join(' ')} ${how || (held ? 'held' : evaluation.verdict === 'within' ? '' : evaluation.verdict === 'none' ? 'not judged' : evaluation.verdict)}`,
      }
    }
    case 'lead-check':
      return {
        ...base,
        head: 'leads together',
        figure: entry.text,
        unit: 'Ω',
        mark: 'done',
        foot: `${clock(entry.at)} ${entry.how === 'hardware' ? 'zeroed' : entry.how === 'carried' ? 'from before' : 'taken off'}${entry.from ? `, serves the tray since ${clock(entry.from.at)}` : ''} ${how}`,
      }
    case 'temperature':
      return {
        ...base,
        head: entry.part === 'room' ? 'room' : 'part',
        figure: figures.temperature(entry.partC ?? entry.roomC ?? 0),
        unit: '',
      }
    case 'proof':
      return { ...base, head: 'same metal', figure: entry.text ?? '', unit: entry.text ? 'Ω' : '', mark: 'done' }
    case 'supply':
      return {
        ...base,
        head: entry.while === 'on' ? 'volts, loaded' : 'volts, unloaded',
        figure: entry.text,
        unit: 'V',
        mark: 'done',
      }
    case 'isolation':
      return {
        ...base,
        head: 'isolated',
        figure: '',
        foot: `${clock(entry.at)} ${isolationWords[entry.state]}`,
        mark: 'done',
      }
    case 'look':
      return {
        ...base,
        head: entry.what.map((what) => lookWords[what]).join(', '),
        mark: entry.what.every((what) => what === 'sound') ? 'done' : 'flagged',
        foot: `${clock(entry.at)} ${lookSaid(entry)}${entry.photo === undefined ? '' : ', photo'}`,
      }
    case 'ask': {
      const [limit] = isTold(entry.check) ? entry.check.limits : []
      return {
        ...base,
        head: `${limit ? 'told' : 'asked'}: ${entry.check.label}`,
        figure: limit?.text ?? '',
        foot: `${clock(entry.at)} ${how}`,
      }
    }
    case 'point':
      return { ...base, head: `new point: ${entry.terminal.label}`, foot: `${clock(entry.at)} ${how}` }
    case 'wires':
      return {
        ...base,
        head: 'wires named',
        figure: '',
        foot: `${clock(entry.at)} ${run ? wiresNamed(run.card, entry.map) : how}`,
        mark: 'done',
      }
    case 'compare':
      return {
        ...base,
        head: `beside: ${entry.with.tag}`,
        figure: comparedWith(entry.with, bench, figures),
        foot: `${clock(entry.at)} ${how}`,
      }
    case 'work':
      return { ...base, head: run ? workDone(run.card, entry) : entry.what, mark: 'done' }
    case 'place':
      return { ...base, head: placeWords[entry.where] }
    case 'outcome':
      return { ...base, head: outcomeWords[entry.what], foot: `${clock(entry.at)} ${entry.words}` }
    case 'skip':
      return { ...base, head: 'skipped', mark: 'skipped', foot: `${clock(entry.at)} ${entry.reason}` }
    case 'answer':
      return { ...base, head: 'kept, because', foot: `${clock(entry.at)} ${entry.reason}` }
    case 'note':
      return { ...base, head: 'note', foot: `${clock(entry.at)} ${entry.words}` }
    case 'decision':
      return { ...base, head: `decided: ${decisionWords[entry.what]}`, foot: `${clock(entry.at)} ${entry.why}` }
    default:
      return { ...base, head: entry.kind }
  }
}

/** Why it is out of use; what was entered again says it better than that it was mistyped. */
function goneSaid({ how, by }: { how: keyof typeof goneWords; by: Entry }): string {
  if (by.kind === 'take-back') return `${goneWords[how]}: ${by.reason}`
  return (how === 'mistyped' && by.kind === 'reading' && by.reading.reason) || goneWords[how]
}

/** The figures of a reference, as many as fit on a slip. */
const comparedWith = ({ figures: read }: Comparison, bench: ReturnType<typeof useBench>, figures: Figures): string =>
  read
    .map(({ check, value }) => figures.bound(value, quantityOf(bench.state?.prepared.checks.get(check) ?? ohms)))
    .join(', ')
const ohms = { kind: 'resistance' } as const
