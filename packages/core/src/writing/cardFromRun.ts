import type { Card, CardLimit, Check, Winding } from '../document'
import { groups } from '../relations'
import type { RunState } from '../state'
import { asCardsOwn } from './askedOnCard'
import { limitRead, sourceOfOne } from './limitRead'
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
  const card = asCardsOwn(run.card)
  const source = sourceOfOne(card, state)
  const read = new Map(state.checks.map((one) => [one.check.id, one]))
  const checks = card.checks.map((check, i): Check => {
    // as the run has it, where it was asked of the run alone
    const [point] = read.get(run.card.checks[i]?.id ?? check.id)?.points ?? []
    const limit = point?.held ? undefined : limitRead(point?.evaluation, check, defaults)
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
    return check.kind === 'resistance' && 'pair' in check.at && limit && limit !== 'derived' && limit.kind === 'nominal'
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
