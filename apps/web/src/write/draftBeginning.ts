import type { CardView } from '@sure-spool/contract'
import {
  cardFromRun,
  cardTemplate,
  families,
  freeId,
  plainDefaults,
  runState,
  withAskedKept,
  withBladesNamed,
  type Card,
  type CardDefaults,
} from '@sure-spool/core'
import type { LocationQuery } from 'vue-router'
import { ask } from '../store/api'
import { readRunCopy } from '../store/browserDatabase'

/** Whether an address asks for a card that is nowhere yet. */
export const isBeginning = (query: LocationQuery): boolean =>
  ['begin', 'family', 'from', 'run'].some((key) => query[key] !== undefined)

/**
 * What a draft begins as: what a run measured, a card like another, the revision before, or its family's template.
 * @param query `run`, `from` (a card's id) or `family`
 * @throws Away or Refused where the card it stands on cannot be had; Error where the run is not in this browser
 */
export async function beginningOf(
  { run, from, family }: LocationQuery,
  { id, revision, defaults }: { id: string; revision: number; defaults?: CardDefaults | undefined },
): Promise<Card> {
  if (typeof run === 'string') {
    const copy = await readRunCopy(run)
    if (!copy) throw new Error('This run was never opened on this browser. Open it on the bench first.')
    return cardFromRun(runState(copy), id, defaults ?? plainDefaults)
  }
  if (typeof from === 'string') {
    const { card } = await ask<CardView>(`/cards/${from}`)
    return { ...card, id, revision, state: 'draft', name: { ...card.name, model: `${card.name.model}, copy` } }
  }
  if (revision > 1) return { ...(await ask<CardView>(`/cards/${id}`)).card, revision, state: 'draft' }
  return cardTemplate(id, families.find((one) => one === family) ?? 'other', defaults)
}

/**
 * What one run asked beside its card, and the names its readings gave to blades without any, brought from its finding.
 * @param query `asked`, the run
 * @returns the change it makes to the card; none where the address brings no run, or this browser has no copy of it
 */
export async function askedOfRun(
  { asked }: LocationQuery,
  defaults: CardDefaults = plainDefaults,
): Promise<((card: Card) => void) | undefined> {
  const copy = typeof asked === 'string' ? await readRunCopy(asked) : undefined
  if (!copy) return undefined
  const state = runState(copy)
  return (card) => void Object.assign(card, withBladesNamed(withAskedKept(card, state, defaults), state))
}

const fewestUnits = 5
const digitsKept = 4

/**
 * A limit learned from known-good units, brought from the card's own page.
 * @param query `learn` (the check), `min`, `max` and `n` (how many units); `of=rewound` where they were rewound ones
 * @returns the change it makes to the card; none where the address brings no limit that holds
 */
export function learnedLimit(
  { learn, min, max, n, of }: LocationQuery,
  today: string,
): ((card: Card) => void) | undefined {
  const [low = NaN, high = NaN] = [min, max].map((one) => Number(Number(one).toPrecision(digitsKept)))
  const units = Number(n)
  if (typeof learn !== 'string' || !(low < high) || !(units >= fewestUnits)) return undefined
  return (card) => {
    const check = card.checks.find(({ id }) => id === learn)
    if (!check) return
    const isRewound = of === 'rewound'
    const title = isRewound ? `${units} proven rewinds of this shop` : `${units} known-good units of this shop`
    const source = card.sources.find((one) => one.title === title)?.id ?? freeId('s', card.sources)
    if (!card.sources.some((one) => one.id === source))
      card.sources.push({ id: source, grade: 'measured', title, date: today, units })
    check.limits.push({
      id: freeId('l', check.limits),
      for: isRewound ? 'rewound' : 'any',
      limit: { kind: 'band', min: low, max: high },
      source,
      ...(check.kind === 'resistance' ? { referenceC: 20 } : {}),
    })
  }
}
