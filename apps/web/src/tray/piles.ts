import type { QueueUnit } from '@sure-spool/contract'

/** Where a unit of a tray stands: still to be read, found and to be decided, accepted, rejected, or neither: its neighbour is replaced, or it went back undecided. */
export type Pile = 'to-do' | 'found' | 'accepted' | 'rejected' | 'neither'

/** The pile of a unit, by its finding and what was decided. */
export function pileOf({ standing }: QueueUnit): Pile {
  if (!standing) return 'to-do'
  if (!standing.closed) return standing.step === 'finding' || standing.finding !== 'undecided' ? 'found' : 'to-do'
  const { finding, decision } = standing
  const goesBack = decision === 'return' || decision === 'clean'
  if (decision === 'replace-neighbour' || (finding === 'undecided' && goesBack)) return 'neither'
  return finding === 'no-fault-found' && goesBack ? 'accepted' : 'rejected'
}

/** The parts of one card on a tray, in the order in which the cards first come. */
export interface CardOn extends Pick<QueueUnit, 'card' | 'maker' | 'model' | 'family'> {
  key: string
  units: QueueUnit[]
  tags: string[]
  histories: QueueUnit['history'][]
}

/** A tray's units by the card, and its revision, that they are read by. */
export function cardsOn(units: readonly QueueUnit[]): CardOn[] {
  const keyOf = ({ card }: QueueUnit) => `${card.id}@${card.revision}`
  return [...new Set(units.map(keyOf))].flatMap((key) => {
    const alike = units.filter((unit) => keyOf(unit) === key)
    const [first] = alike
    if (!first) return []
    const { card, maker, model, family } = first
    const histories = [...new Set(alike.map(({ history }) => history))]
    return [{ key, card, maker, model, family, units: alike, tags: alike.map(({ tag }) => tag), histories }]
  })
}
