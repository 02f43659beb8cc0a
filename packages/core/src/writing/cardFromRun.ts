import type { Card, CardLimit, Check, Limit, Winding } from '../document'
import { groups } from '../relations'
import type { RunState } from '../state'
import { beta } from '../temperature'
import { freeId } from './freeId'
import { plainDefaults, type CardDefaults } from './template'

/**
 * A draft card of what was read in a run: every check keeps its place and gets the figure at its reference with the shop's
 * tolerance, said to be measured on one unit and graded a guess until more are read; an open reading becomes a limit that
 * expects it open. Pairs of a sketch that read a figure become windings.
 * @param state the run; readings held or taken back give nothing
 * @param id the id of the new card, a UUIDv7; the run's own card stays as it is
 * @returns a draft of revision 1; checks without a reading stay without a limit
 * @example
 * cardFromRun(scenes.sound().state, 'new').checks.length // 7
 */
export function cardFromRun(state: RunState, id: string, defaults: CardDefaults = plainDefaults): Card {
  const { run } = state
  const { card } = run
  const title = `measured here on one unit, ${run.unit.tag}`
  const source = {
    id: freeId('s', card.sources),
    grade: 'guess' as const,
    title,
    date: run.startedAt.slice(0, 10),
    units: 1,
  }
  const read = new Map(state.checks.map((one) => [one.check.id, one]))
  const checks = card.checks.map((check): Check => {
    const [point] = read.get(check.id)?.points ?? []
    const limit = point?.held ? undefined : limitOf(point?.evaluation, check, defaults)
    if (!limit || check.limits.some((one) => one.limit !== 'derived' && one.limit.kind === limit.kind)) return check
    const made: CardLimit = {
      id: `l${check.limits.length + 1}`,
      for: 'any',
      limit,
      source: source.id,
      ...(limit.kind === 'nominal' ? { referenceC: point?.evaluation?.reference?.c ?? 20 } : {}),
    }
    return { ...check, limits: [...check.limits, made] }
  })
  const used = checks.some((check) => check.limits.some((one) => one.source === source.id))
  return {
    ...card,
    id,
    revision: 1,
    state: 'draft',
    windings: windingsOf(card, checks, source.id),
    checks,
    sources: used ? [...card.sources.filter((one) => isUsed(checks, one.id)), source] : card.sources,
  }
}

type Point = RunState['checks'][number]['points'][number]

function limitOf(evaluation: Point['evaluation'], check: Check, defaults: CardDefaults): Limit | undefined {
  if (!evaluation || check.kind !== 'resistance') return undefined
  const { net, entry, temperature } = evaluation
  if (entry.reading.kind === 'over' || entry.reading.kind === 'above')
    return { kind: 'open', atLeast: defaults.openOhms }
  // nobody has said yet what a sketch is wound of: copper, as windings are
  const copper =
    check.limits.length === 0 && temperature?.partC !== undefined && evaluation.check.material === undefined
  const scale = copper ? (beta.copper + 20) / (beta.copper + (temperature.partC ?? 20)) : 1
  const value = evaluation.factor === undefined ? (net === undefined ? undefined : net * scale) : evaluation.judged
  if (value === undefined || value <= 0) return undefined
  if (value >= defaults.openOhms) return { kind: 'open', atLeast: defaults.openOhms }
  const { tolerancePct } = defaults
  return { kind: 'nominal', value: Number(value.toPrecision(4)), minusPct: tolerancePct, plusPct: tolerancePct }
}

/** Pairs that read a figure, the smallest first, as far as they join what nothing joins yet: the rest are wholes. */
function windingsOf(card: Card, checks: Check[], source: string): Winding[] {
  const windings = [...card.windings]
  const joined = () =>
    groups({
      wires: card.terminals.map((one) => one.id),
      readings: windings.map(({ from, to }) => ({ a: from, b: to, value: 0 })),
    })
  const read = checks.flatMap((check) => {
    const limit = check.limits.find((one) => one.source === source)?.limit
    return 'pair' in check.at && limit && limit !== 'derived' && limit.kind === 'nominal'
      ? [{ label: check.label, pair: check.at.pair, limit }]
      : []
  })
  for (const { label, pair, limit } of read.sort((a, b) => a.limit.value - b.limit.value)) {
    if (pair.includes('frame') || joined().some((group) => pair.every((id) => group.includes(id)))) continue
    windings.push({
      id: `w${windings.length + 1}`,
      label,
      from: pair[0],
      to: pair[1],
      ohms: limit.value,
      tolerancePct: limit.plusPct,
      material: 'copper',
    })
  }
  return windings
}

const isUsed = (checks: Check[], source: string): boolean =>
  checks.some((check) => check.limits.some((one) => one.source === source))
