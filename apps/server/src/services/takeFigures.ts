import {
  cardSchema,
  draftFor,
  FiguresDraft,
  readLines,
  sentencesOf,
  type FigureLine,
  type FigureRow,
  type FiguresKept,
  type FiguresPreview,
} from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import Papa from 'papaparse'
import { v7 } from 'uuid'
import { hashOf } from '../canonical'
import { inTransaction, type Database, type Queries } from '../database/connect'
import type { Watched } from '../heavy/watched'
import { notFound, ProblemError } from '../http/problem'
import { cardIdByName } from '../repositories/cards'
import { heldFile, holdFile, letGo } from '../repositories/heldFiles'
import { hashesOf, keepRevision, readRevision, revisionsOf } from '../repositories/revisions'
import { note } from '../repositories/audit'
import { allowed } from './access'

const refused = (detail: string) => new ProblemError(422, 'refused', `Nothing was taken in: ${detail}`)
const mostRows = 20_000
const rowsAtOnce = 200
const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

/**
 * The text of a file as it was saved: UTF-8, or UTF-16 with its mark.
 * @throws ProblemError 422 for any other encoding, told by bytes that UTF-8 cannot have
 */
export function textOf(bytes: Uint8Array): string {
  const marked =
    bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : 'utf-8'
  try {
    return new TextDecoder(marked, { fatal: true }).decode(bytes)
  } catch {
    throw refused('the file is not in UTF-8. Save it from the spreadsheet as “CSV UTF-8” and take it in again.')
  }
}

/**
 * Says of a CSV of figures row by row what would become of it, and holds the file for a day to be kept. Rows that are refused stay
 * out; a published card is never changed, its next draft is.
 */
export async function previewFigures(
  database: Database,
  bytes: Uint8Array,
  by: string,
  watched: Watched,
): Promise<FiguresPreview> {
  const text = textOf(bytes)
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const { rows, changed, ...read } = await workOut(queries, text, watched)
    const preview = v7()
    await holdFile(queries, { id: preview, at: new Date().toISOString(), by, body: text, said: saidOf(rows, changed) })
    return { preview, rows, drafts: changed.map(nameOf), ...read }
  })
}

/**
 * Writes the drafts of a file that was shown, all or none.
 * @throws ProblemError 404 for a file that is held no more, 409 where what is here has changed since it was shown
 */
export async function keepFigures(
  database: Database,
  preview: string,
  by: string,
  watched: Watched,
): Promise<FiguresKept> {
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const held = await heldFile(queries, preview)
    if (!held) throw notFound('This file')
    const { rows, changed } = await workOut(queries, held.body, watched)
    if (saidOf(rows, changed) !== held.said) throw changedSince
    const at = new Date().toISOString()
    const here = await hashesOf(
      queries,
      changed.map(({ card }) => card.id),
    )
    for (const { card } of changed) {
      const before = here.get(card.id)?.get(card.revision)
      if (!(await keepRevision(queries, card, hashOf(card), { by, at }, before))) throw changedSince
    }
    await note(queries, 'figures-in', `${changed.length} drafts`, by, { rows: rows.length })
    await letGo(queries, preview)
    return { drafts: changed.map(nameOf) }
  })
}

const changedSince = new ProblemError(
  409,
  'conflict',
  'Nothing was taken in: what is here has changed since you looked. Take the file in again and look at it.',
)

/** A card that a file touches: what it stands on, and the lines that went into it. */
interface Touched {
  draft: FiguresDraft
  card: Card
  fresh: boolean
  /** the hash of what it stands on; empty for a new card */
  base: string
  rows: FigureRow[]
}

const nameOf = ({ card: { id, revision, name } }: Touched) => ({
  id,
  revision,
  maker: name.maker,
  model: name.model,
})

/** What was said of a file, in a form that is the same when it is worked out again: a new card's id is not. */
const saidOf = (rows: FigureRow[], changed: Touched[]): string =>
  hashOf([rows, changed.map(({ card, fresh, base }) => [fresh ? card.name : card.id, card.revision, base])])

async function workOut(queries: Queries, text: string, watched: Watched) {
  const { data, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  if (data.length > mostRows)
    throw refused(`the file has ${data.length} rows; at most ${mostRows} go at once. Split it.`)
  const read = readLines(data)
  if ('problem' in read) throw refused(read.problem)
  if (read.lines.length === 0) throw refused('the file has no rows under its header.')
  const decimalComma = meta.delimiter !== ',' && read.lines.some(({ line }) => /\d,\d/.test(line.limit))
  const touched = new Map<string, Touched>()
  const rows: FigureRow[] = []
  for (const { row, line, problem } of read.lines) {
    if (rows.length % rowsAtOnce === 0) await watched(rows.length, read.lines.length)
    rows.push(
      problem === undefined ? await take(queries, touched, row, line, decimalComma) : refusedRow(row, line, problem),
    )
  }
  const changed = [...new Set(touched.values())].filter((one) => one.draft.changed && isWhole(one))
  return { rows, changed, delimiter: meta.delimiter, decimalComma }
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
  touched: Map<string, Touched>,
  row: number,
  line: FigureLine,
  decimalComma: boolean,
): Promise<FigureRow> {
  const into = await touchedBy(queries, touched, line)
  if (typeof into === 'string') return refusedRow(row, line, into)
  const begins = into.fresh && !into.draft.changed
  const applied = into.draft.apply(line, decimalComma)
  if ('problem' in applied) return refusedRow(row, line, applied.problem)
  const one: FigureRow = { ...rowOf(row, line), what: begins ? 'new-card' : applied.what, detail: applied.detail }
  into.rows.push(one)
  return one
}

/** Whether the filled card is one that can be; what its lines could not know of each other refuses all of them. */
function isWhole({ card, rows }: Touched): boolean {
  const result = cardSchema.safeParse(card)
  if (result.success) return true
  const [first] = sentencesOf(result.error)
  for (const row of rows) {
    row.what = 'refused'
    row.detail = `would make a card that cannot be: ${first?.path ?? ''} ${first?.detail ?? ''}`.trim()
  }
  return false
}

/** The card a line goes into: the one already touched, the card's open draft, its next revision, or a new card. */
async function touchedBy(queries: Queries, touched: Map<string, Touched>, line: FigureLine): Promise<Touched | string> {
  const name = `${line.maker.toLowerCase()}\n${line.model.toLowerCase()}`
  const begun = touched.get(line.cardId) ?? (line.cardId === '' ? touched.get(name) : undefined)
  if (begun) return begun
  const id = line.cardId === '' ? await cardIdByName(queries, line) : line.cardId
  if (id !== undefined && !uuid.test(id)) return `has the card id "${line.cardId.slice(0, 60)}", which is none`
  const begunById = touched.get(id ?? '')
  if (begunById) return begunById
  const known = id === undefined ? undefined : await nextDraft(queries, id)
  const made = known?.card ?? draftFor(line, id ?? v7())
  if (typeof made === 'string') return made
  const draft = new FiguresDraft(made)
  const one = { draft, card: draft.card, fresh: known === undefined, base: known?.base ?? '', rows: [] }
  touched.set(made.id, one)
  if (line.cardId === '') touched.set(name, one)
  return one
}

async function nextDraft(queries: Queries, id: string): Promise<{ card: Card; base: string } | undefined> {
  const newest = (await revisionsOf(queries, id)).at(-1)
  const card = newest && (await readRevision(queries, id, newest.revision))
  if (!newest || !card) return undefined
  if (card.state === 'draft') return { card, base: newest.hash }
  return { card: { ...card, revision: card.revision + 1, state: 'draft' }, base: newest.hash }
}
