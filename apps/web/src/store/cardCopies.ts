import type { CardView } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { ask, Away, Refused } from './api'
import { keepCopy, readCopy } from './browserDatabase'

/** Which revision of which card. */
type CardRef = Pick<Card, 'id' | 'revision'>

const keyOf = (ref: CardRef): string => `card:${ref.id}:${ref.revision}`

/** Keeps a card for the hour when the server is away. */
export const keepCard = (card: Card): Promise<void> => keepCopy(keyOf(card), card)

/** @returns this browser's copy of a revision; undefined where it has none */
export const readCard = (ref: CardRef): Promise<Card | undefined> => readCopy<Card>(keyOf(ref))

/**
 * Keeps the card of every part that waits, one after another, so that each can be begun when the server is gone. Asks only for
 * those this browser lacks.
 * @returns whether all are kept; false where the server went away in between, or will not give one, and the next list asks again
 */
export async function keepCardsOf(units: { card: CardRef }[]): Promise<boolean> {
  let all = true
  const wanted = new Map(units.map(({ card }) => [keyOf(card), card]))
  for (const card of wanted.values()) {
    if (await readCard(card)) continue
    try {
      await keepCard(await ask<Card>(`/cards/${card.id}/revisions/${card.revision}`))
    } catch (error) {
      if (error instanceof Away) return false
      if (!(error instanceof Refused)) throw error
      all = false
    }
  }
  return all
}

/** The revision of a card that can be written: its draft, or the one after the newest. */
export function draftOf(view: Pick<CardView, 'revisions'> | undefined): number {
  const last = view?.revisions.at(-1)
  return last?.state === 'draft' ? last.revision : (last?.revision ?? 0) + 1
}

/**
 * The same, asked of the server.
 * @throws Refused, where it has no such card or may not show it; Away
 */
export const draftRevision = async (id: string): Promise<number> => draftOf(await ask<CardView>(`/cards/${id}`))
