import {
  applyLine,
  cellsOf,
  draftFor,
  linesOf,
  readLines,
  sentencesOf,
  cardSchema,
  type FigureLine,
  type FigureRow,
  type FiguresPreview,
} from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { and, eq } from 'drizzle-orm'
import Papa from 'papaparse'
import { v7 } from 'uuid'
import { hashOf } from '../canonical'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { cards } from '../database/schema'
import { ProblemError } from '../http/problem'
import { keepRevision, readRevision, revisionsOf } from '../repositories/cards'
import { note } from '../repositories/shop'
import { knownPerson } from './knownPerson'

/** Figures of cards as CSV, one row a limit; cells that a spreadsheet would run are defused. */
export function figuresCsv(some: Card[]): string {
  return Papa.unparse(cellsOf(some.flatMap(linesOf)), { escapeFormulae: true, newline: '\r\n' })
}

/**
 * The text of a file as it was saved: UTF-8, or UTF-16 with its mark.
 * @throws ProblemError 422 for any other encoding, told by bytes that UTF-8 cannot have
 */
export function textOf(bytes: Buffer): string {
  const marked =
    bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : 'utf-8'
  try {
    return new TextDecoder(marked, { fatal: true }).decode(bytes)
  } catch {
    throw refused('the file is not in UTF-8. Save it from the spreadsheet as “CSV UTF-8” and take it in again.')
  }
}

const refused = (detail: string) => new ProblemError(422, 'refused', `Nothing was taken in: ${detail}`)
const mostRows = 20_000

/**
 * Takes a CSV of figures: says row by row what becomes of it, and with `keep` writes the drafts, all or none. Rows that are
 * refused stay out; a published card is never changed, its next draft is.
 */
export async function takeFigures(
  database: Database,
  text: string,
  { by, keep }: { by: string; keep: boolean },
): Promise<FiguresPreview> {
  const { data, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  if (data.length > mostRows)
    throw refused(`the file has ${data.length} rows; at most ${mostRows} go at once. Split it.`)
  const read = readLines(data)
  if ('problem' in read) throw refused(read.problem)
  if (read.lines.length === 0) throw refused('the file has no rows under its header.')
  const decimalComma = meta.delimiter !== ',' && read.lines.some(({ line }) => /\d,\d/.test(line.limit))
  return inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    const drafts = new Map<string, Draft>()
    const rows: FigureRow[] = []
    for (const { row, line, problem } of read.lines)
      rows.push(
        problem === undefined ? await take(queries, drafts, row, line, decimalComma) : refusedRow(row, line, problem),
      )
    const changed = [...new Set(drafts.values())].filter((draft) => draft.changed)
    if (keep)
      for (const { card } of changed)
        await keepRevision(queries, card, hashOf(card), { by, at: new Date().toISOString() })
    if (keep) await note(queries, 'figures-in', `${changed.length} drafts`, by, { rows: rows.length })
    return {
      rows,
      drafts: changed.map(({ card: { id, revision, name } }) => ({
        id,
        revision,
        maker: name.maker,
        model: name.model,
      })),
      delimiter: meta.delimiter,
      decimalComma,
      kept: keep,
    }
  })
}

interface Draft {
  card: Card
  fresh: boolean
  changed: boolean
}

const rowOf = (row: number, { maker, model, check, limit }: FigureLine) => ({
  row,
  maker: maker.slice(0, 200),
  model: model.slice(0, 200),
  check: check.slice(0, 200),
  limit: limit.slice(0, 200),
})
const refusedRow = (row: number, line: FigureLine, detail: string): FigureRow => ({
  ...rowOf(row, line),
  what: 'refused',
  detail,
})

async function take(
  queries: Queries,
  drafts: Map<string, Draft>,
  row: number,
  line: FigureLine,
  decimalComma: boolean,
): Promise<FigureRow> {
  const draft = await draftOf(queries, drafts, line)
  if (typeof draft === 'string') return refusedRow(row, line, draft)
  const applied = applyLine(draft.card, line, decimalComma)
  if ('problem' in applied) return refusedRow(row, line, applied.problem)
  const wrong = applied.what === 'same' ? undefined : wrongWith(applied.card)
  if (wrong !== undefined) return refusedRow(row, line, wrong)
  const begins = draft.fresh && !draft.changed
  if (applied.what !== 'same') {
    draft.card = applied.card
    draft.changed = true
  }
  return { ...rowOf(row, line), what: begins ? 'new-card' : applied.what, detail: applied.detail }
}

/** What the card's own schema says against it with this line in it. */
function wrongWith(card: Card): string | undefined {
  const result = cardSchema.safeParse(card)
  if (result.success) return undefined
  const [first] = sentencesOf(result.error)
  return first ? `would make a card that cannot be: ${first.path} ${first.detail}` : 'would make a card that cannot be'
}

/** The draft a line goes into: the one already begun, the card's open draft, its next revision, or a new card. */
async function draftOf(queries: Queries, drafts: Map<string, Draft>, line: FigureLine): Promise<Draft | string> {
  const name = `${line.maker.toLowerCase()}\n${line.model.toLowerCase()}`
  const begun = drafts.get(line.cardId) ?? (line.cardId === '' ? drafts.get(name) : undefined)
  if (begun) return begun
  const id = line.cardId === '' ? await idByName(queries, line) : line.cardId
  if (id !== undefined && !/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(id))
    return `has the card id "${line.cardId.slice(0, 60)}", which is none`
  const begunById = drafts.get(id ?? '')
  if (begunById) return begunById
  const known = id === undefined ? undefined : await nextDraft(queries, id)
  const made = known ?? draftFor(line, id ?? v7())
  if (typeof made === 'string') return made
  const draft = { card: made, fresh: known === undefined, changed: false }
  drafts.set(made.id, draft)
  if (line.cardId === '') drafts.set(name, draft)
  return draft
}

async function idByName(queries: Queries, { maker, model }: FigureLine): Promise<string | undefined> {
  const [row] = await queries
    .select({ id: cards.id })
    .from(cards)
    .where(and(eq(cards.maker, maker), eq(cards.model, model)))
  return row?.id
}

async function nextDraft(queries: Queries, id: string): Promise<Card | undefined> {
  const newest = (await revisionsOf(queries, id)).at(-1)
  const card = newest && (await readRevision(queries, id, newest.revision))
  if (!card || card.state === 'draft') return card
  return { ...card, revision: card.revision + 1, state: 'draft' }
}
