import type { CardList, CardQuery, CardRow } from '@sure-spool/contract'
import { parseFindings } from '@sure-spool/core'
import type { Database } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { listCards, listDrafts, withUnits } from '../repositories/cards'
import { cardIndex, type IndexedCard } from './cardIndex'

/** Cards by words, by what was measured, or all of them by name, a page at a time. */
export async function findCards(database: Database, query: CardQuery): Promise<CardList> {
  if (query.state === 'draft') return { cards: await listDrafts(database, query.limit) }
  if ((query.read ?? '').trim() !== '') return byFigures(database, query)
  if ((query.find ?? '').trim() !== '' || query.family !== undefined) return byWords(database, query)
  const after = decodeCursor('cards', query.cursor)
  const rows = await listCards(database, { after, limit: query.limit + 1 })
  const cards = rows.slice(0, query.limit)
  const last = cards.at(-1)
  const more = rows.length > query.limit && last !== undefined
  return {
    cards,
    ...(more ? { next: encodeCursor('cards', { maker: last.maker, model: last.model, id: last.id }) } : {}),
  }
}

const rowOf = ({ id, maker, model, family, search }: IndexedCard): Omit<CardRow, 'units'> => ({
  id,
  maker,
  model,
  family,
  revision: search.revision,
  partNumbers: search.partNumbers,
})

async function byWords(database: Database, { find = '', family, cursor, limit }: CardQuery): Promise<CardList> {
  const from = Number(decodeCursor('found', cursor)?.from ?? 0)
  const text = `${find} ${family?.replace(/-/g, ' ') ?? ''}`
  const { cards, loosely } = await cardIndex(database).byWords(text)
  const fitting = family === undefined ? cards : cards.filter((card) => card.family === family)
  const page = fitting.slice(from, from + limit)
  return {
    cards: await withUnits(database, page.map(rowOf)),
    ...(loosely ? { loosely: true as const } : {}),
    ...(fitting.length > from + limit ? { next: encodeCursor('found', { from: String(from + limit) }) } : {}),
  }
}

async function byFigures(database: Database, { read = '', comma, family, limit }: CardQuery): Promise<CardList> {
  const found = parseFindings(read, comma === 'true')
  const fits = await cardIndex(database).byFigures(found, family === undefined ? limit : 1000)
  const rows = fits
    .filter(({ card }) => family === undefined || card.family === family)
    .slice(0, limit)
    .map(({ card, fit }) => ({ ...rowOf(card), fit }))
  return {
    cards: await withUnits(database, rows),
    ...(found.unread.length > 0 ? { unread: found.unread } : {}),
  }
}
