import {
  indexFigures,
  marksOf,
  searchFigures,
  searchTerms,
  type CardFit,
  type FigureIndex,
  type Findings,
} from '@sure-spool/core'
import MiniSearch from 'minisearch'
import { setImmediate as breathe } from 'node:timers/promises'
import type { Database } from '../database/connect'
import { changedSince, searchOf, searchRows, type CardSearch } from '../repositories/cardSearch'
import { readRevision } from '../repositories/revisions'

/** A published card as the index knows it. */
export interface IndexedCard {
  id: string
  maker: string
  model: string
  family: string
  search: CardSearch
  changedAt: string
}

/** Cards indexed before other requests have their turn. */
const cardsAtOnce = 50

/** A quarter of a word's letters may be wrong, two at most; figures are not spelled. */
const tolerant = (term: string): number | false => (term.length > 3 && !/\d/.test(term) ? 0.25 : false)

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
      maxFuzzy: 2,
      // two digits are a size, not the beginning of a part number
      prefix: (term) => term.length > (/^\d+$/.test(term) ? 2 : 1),
      combineWith: 'AND',
    },
  })
  /** the cards that have a mark: a wire by its colours, a count of cavities */
  private readonly marks = new Map<string, Set<string>>()
  private figures: { index: FigureIndex; cards: IndexedCard[] } | undefined
  private seen = ''
  private refreshing: Promise<void> | undefined

  constructor(private readonly database: Database) {}

  /**
   * Cards that have every wire and count of cavities named and hold every other word, spelled otherwise where none has it so;
   * where none does, those that hold some of it.
   */
  async byWords(text: string): Promise<{ cards: IndexedCard[]; loosely: boolean }> {
    await this.refresh()
    const { marks, words } = searchTerms(text)
    const marked = marks.length > 0 ? this.withMarks(marks) : undefined
    const strict = marked && words === '' ? [...marked] : this.holding(words, marked)
    if (strict.length > 0) return { cards: this.named(strict), loosely: false }
    const some = this.words
      .search([words, ...marks].join(' '), { fuzzy: tolerant, combineWith: 'OR' })
      .map(({ id }) => String(id))
    return { cards: this.named(some), loosely: some.length > 0 }
  }

  private named = (ids: string[]): IndexedCard[] => ids.flatMap((id) => this.cards.get(id) ?? [])

  private withMarks(marks: string[]): Set<string> {
    const [least = new Set<string>(), ...others] = marks
      .map((mark) => this.marks.get(mark) ?? new Set<string>())
      .sort((a, b) => a.size - b.size)
    return new Set([...least].filter((id) => others.every((one) => one.has(id))))
  }

  private holding(words: string, among: Set<string> | undefined): string[] {
    const filter = among && ((found: { id: unknown }) => among.has(String(found.id)))
    const options = filter ? { filter } : {}
    const exact = this.words.search(words, options)
    const found = exact.length > 0 ? exact : this.words.search(words, { ...options, fuzzy: tolerant })
    return found.map(({ id }) => String(id))
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

  private async load(): Promise<void> {
    const stamps = await changedSince(this.database, this.seen)
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
    const rows = await searchRows(this.database, ids)
    let taken = 0
    for (const { published, search, ...row } of rows) {
      if (++taken % cardsAtOnce === 0) await breathe()
      const card = search === null ? await readRevision(this.database, row.id, published ?? 1) : undefined
      const known = search ?? (card && searchOf(card))
      if (!known) continue
      const one = { ...row, search: known, changedAt: stampOf.get(row.id) ?? '' }
      const before = this.cards.get(row.id)
      if (before) this.words.replace(one)
      else this.words.add(one)
      for (const mark of before ? marksOf(before.search.words) : []) this.marks.get(mark)?.delete(row.id)
      for (const mark of marksOf(known.words)) this.marks.set(mark, (this.marks.get(mark) ?? new Set()).add(row.id))
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
