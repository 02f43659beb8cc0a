import {
  indexFigures,
  searchFigures,
  searchText,
  type CardFit,
  type FigureIndex,
  type Findings,
} from '@sure-spool/core'
import { and, gte, inArray, isNotNull, sql } from 'drizzle-orm'
import MiniSearch from 'minisearch'
import type { Database } from '../database/connect'
import { cards, type CardSearch } from '../database/schema'
import { readRevision, searchOf } from '../repositories/cards'

/** A published card as the index knows it. */
export interface IndexedCard {
  id: string
  maker: string
  model: string
  family: string
  search: CardSearch
  changedAt: string
}

/**
 * Published cards in memory, in an order for words and one for figures. Before every answer the database is asked what changed
 * since, so that several servers before one database, and a card just published, are never a step behind.
 */
class CardIndex {
  private readonly cards = new Map<string, IndexedCard>()
  private readonly words = new MiniSearch<IndexedCard>({
    fields: ['name', 'part', 'fits', 'kind', 'wires', 'plugs'],
    extractField: (card, field) =>
      field === 'id' ? card.id : ((card.search.words as unknown as Record<string, string>)[field] ?? ''),
    searchOptions: {
      boost: { part: 4, name: 3, fits: 2 },
      // two digits are a size, not the beginning of a part number
      prefix: (term) => term.length > (/^\d+$/.test(term) ? 2 : 1),
      fuzzy: (term) => (term.length > 3 && !/\d/.test(term) ? 0.25 : false),
      combineWith: 'AND',
    },
  })
  private figures: { index: FigureIndex; cards: IndexedCard[] } | undefined
  private seen = ''
  private refreshing: Promise<void> | undefined

  constructor(private readonly database: Database) {}

  /** Cards that hold every word, spelling tolerated; where none does, those that hold some of them. */
  async byWords(text: string): Promise<{ cards: IndexedCard[]; loosely: boolean }> {
    await this.refresh()
    const wanted = searchText(text)
    const strict = this.words.search(wanted)
    const found = strict.length > 0 ? strict : this.words.search(wanted, { combineWith: 'OR' })
    return {
      cards: found.flatMap(({ id }) => this.cards.get(String(id)) ?? []),
      loosely: strict.length === 0 && found.length > 0,
    }
  }

  /** Cards that explain the most of what was measured, the best first. */
  async byFigures(found: Findings, limit: number): Promise<{ card: IndexedCard; fit: CardFit['fit'] }[]> {
    await this.refresh()
    if (!this.figures) {
      const all = [...this.cards.values()]
      this.figures = { index: indexFigures(all.map((card) => card.search.figures)), cards: all }
    }
    const { index, cards: all } = this.figures
    return searchFigures(index, found, limit).flatMap(({ card, fit }) => {
      const one = all[card]
      return one ? [{ card: one, fit }] : []
    })
  }

  private refresh(): Promise<void> {
    this.refreshing ??= this.load().finally(() => (this.refreshing = undefined))
    return this.refreshing
  }

  /** A transaction may have stamped its cards a moment before it was committed: the last seconds are looked at again. */
  private async load(): Promise<void> {
    const since =
      this.seen === ''
        ? undefined
        : sql`${cards.changedAt} > least(cast(${this.seen} as datetime(3)), utc_timestamp(3) - interval 5 second)`
    const stamps = await this.database
      .select({ id: cards.id, changedAt: sql<string>`cast(${cards.changedAt} as char)` })
      .from(cards)
      .where(and(isNotNull(cards.published), since))
    const fresh = stamps.filter(({ id, changedAt }) => this.cards.get(id)?.changedAt !== changedAt)
    const stampOf = new Map(fresh.map(({ id, changedAt }) => [id, changedAt]))
    for (let from = 0; from < fresh.length; from += 1000)
      await this.take(
        fresh.slice(from, from + 1000).map(({ id }) => id),
        stampOf,
      )
    for (const { changedAt } of stamps) if (changedAt > this.seen) this.seen = changedAt
    if (fresh.length > 0) this.figures = undefined
  }

  private async take(ids: string[], stampOf: Map<string, string>): Promise<void> {
    const rows = await this.database
      .select({
        id: cards.id,
        maker: cards.maker,
        model: cards.model,
        family: cards.family,
        published: cards.published,
        search: cards.search,
      })
      .from(cards)
      .where(and(inArray(cards.id, ids), gte(cards.published, 1)))
    for (const { published, search, ...row } of rows) {
      const card = search === null ? await readRevision(this.database, row.id, published ?? 1) : undefined
      const known = search ?? (card && searchOf(card))
      if (!known) continue
      const one = { ...row, search: known, changedAt: stampOf.get(row.id) ?? '' }
      if (this.cards.has(row.id)) this.words.replace(one)
      else this.words.add(one)
      this.cards.set(row.id, one)
    }
  }
}

const indexes = new WeakMap<Database, CardIndex>()

/** The index of a database's cards, one for each connection. */
export function cardIndex(database: Database): CardIndex {
  const known = indexes.get(database) ?? new CardIndex(database)
  indexes.set(database, known)
  return known
}
