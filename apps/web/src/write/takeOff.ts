import { relationChecks, type Card, type Check, type Conditions } from '@sure-spool/core'
import type { InjectionKey } from 'vue'
import { inject } from 'vue'
import type { Draft } from './useDraft'

/** What every part of the writer works on: the card as it is now, and the way to change it. */
export interface Writing {
  card: () => Card
  change: Draft['change']
}
export const writingKey: InjectionKey<Writing> = Symbol('writing')

export function useWriting(): Writing {
  const writing = inject(writingKey)
  if (!writing) throw new Error('A part of the writer stands outside of it.')
  return writing
}

type Listed = 'terminals' | 'plugs' | 'windings' | 'checks' | 'relations' | 'sources' | 'variants'

/**
 * Changes one thing of one of the card's lists, found by its id.
 * @returns the change; its `field` joins what is typed into one field to one step of undo
 */
export function useEdit<K extends Listed>(
  list: K,
): (id: string, make: (one: Card[K][number]) => void, field?: string) => void {
  const { change } = useWriting()
  return (id, make, field) =>
    change(
      (card) => {
        const all: Card[K][number][] = card[list]
        const one = all.find((each) => each.id === id)
        if (one) make(one)
      },
      field === undefined ? undefined : `${id}.${field}`,
    )
}

/** Sets what may be absent: an empty text, an empty list and undefined take it off. */
export function setOptional<T extends object, K extends keyof T>(one: T, key: K, value: T[K] | undefined): void {
  const empty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0)
  if (empty) delete one[key]
  else one[key] = value
}

/** Every place of a card that names a terminal, renamed or cut where the terminal goes. */
export function withoutTerminal(card: Card, id: string): void {
  card.terminals = card.terminals.filter((one) => one.id !== id)
  for (const plug of card.plugs)
    plug.cavities = plug.cavities.map((cavity) => (cavity.terminal === id ? { ...cavity, terminal: null } : cavity))
  for (const winding of card.windings.filter(({ from, to }) => from === id || to === id))
    withoutWinding(card, winding.id)
  for (const check of [...card.checks]) {
    const { at } = check
    if ('pair' in at && at.pair.includes(id)) withoutCheck(card, check.id)
    else if ('each' in at) {
      const each = at.each.filter((one) => one !== id)
      if (each.length === 0 || at.to === id) withoutCheck(card, check.id)
      else check.at = { each, to: at.to }
    } else if ('among' in at) {
      const among = at.among.filter((one) => one !== id)
      if (among.length < 2) withoutCheck(card, check.id)
      else check.at = { among }
    }
  }
  for (const check of card.checks) if (check.conditions) withoutEnd(check, check.conditions, id)
  setOptional(
    card.care,
    'electronicsBetween',
    card.care.electronicsBetween?.filter((pair) => !pair.includes(id)),
  )
}

/** A condition goes with the terminal it is about: what was joined to it, what was driven over it. */
function withoutEnd(check: Check, conditions: Conditions, id: string): void {
  setOptional(
    conditions,
    'joined',
    conditions.joined?.filter((pair) => !pair.includes(id)),
  )
  if (conditions.drive && [conditions.drive.plus, conditions.drive.minus].includes(id)) delete conditions.drive
  if (Object.keys(conditions).length === 0) delete check.conditions
}

export function withoutWinding(card: Card, id: string): void {
  card.windings = card.windings.filter((one) => one.id !== id)
  card.hints = card.hints
    .map((hint) => ({
      ...hint,
      suspects: hint.suspects.filter((one) => one !== id),
      ...(hint.clears ? { clears: hint.clears.filter((one) => one !== id) } : {}),
    }))
    .filter((hint) => hint.suspects.length > 0 || (hint.clears?.length ?? 0) > 0)
}

export function withoutCheck(card: Card, id: string): void {
  card.checks = card.checks.filter((one) => one.id !== id)
  card.relations = card.relations.filter((one) => !relationChecks(one).includes(id))
  card.hints = card.hints.filter(({ when }) => typeof when === 'string' || when.check !== id)
}

/** A source goes only with the limits and relations that rest on it. */
export function withoutSource(card: Card, id: string): void {
  card.sources = card.sources.filter((one) => one.id !== id)
  for (const check of card.checks) check.limits = check.limits.filter((limit) => limit.source !== id)
  card.relations = card.relations.filter((one) => one.source !== id)
}

/** A variant goes with what was for it alone said to be for all that are left. */
export function withoutVariant(card: Card, id: string): void {
  card.variants = card.variants.filter((one) => one.id !== id)
  for (const one of [...card.plugs, ...card.checks])
    setOptional(
      one,
      'only',
      one.only?.filter((each) => each !== id),
    )
}
