import type { Card } from '@sure-spool/core'
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
  const { electronicsBetween } = card.care
  if (electronicsBetween) card.care.electronicsBetween = electronicsBetween.filter((pair) => !pair.includes(id))
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
  card.relations = card.relations.filter(
    (one) => !Object.values(one).some((value) => value === id || (Array.isArray(value) && value.includes(id))),
  )
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
    setOnly(
      one,
      one.only?.filter((each) => each !== id),
    )
}

/** Says which variants a plug or a check is for: all, where none is left. */
export function setOnly(one: { only?: string[] }, only: string[] | undefined): void {
  if (only && only.length > 0) one.only = only
  else delete one.only
}
