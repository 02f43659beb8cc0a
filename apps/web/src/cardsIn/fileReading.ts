import {
  cardSchema,
  cardsSchema,
  readLines,
  sentencesOf,
  type ArrivingCard,
  type ImportCardsHead,
  type PathProblem,
} from '@sure-spool/contract'
import { canonical } from '@sure-spool/contract/canonical'
import { compareCards, type Card, type CardDifference } from '@sure-spool/core'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import Papa from 'papaparse'

/** What a file is, as far as the server needs it to decide: each card's head and hash, or that it brings figures. */
export type FileRead =
  | { kind: 'cards'; heads: ArrivingCard[] }
  | { kind: 'figures'; rows: number }
  | { kind: 'refused'; problems: PathProblem[] }

/** Told how many cards are read, of how many. */
export type Told = (done: number, of: number) => void

const most = { json: 60e6, csv: 8e6 }
const toldEvery = 20

const refused = (path: string, detail: string): FileRead => ({ kind: 'refused', problems: [{ path, detail }] })
const tooLarge = (name: string, size: number, limit: number, what: string): FileRead =>
  refused(name, `has ${Math.ceil(size / 1e6)} MB; at most ${limit / 1e6} MB${what} go at once. Split it.`)

/** SHA-256 of a card's canonical text, in hex, as the server hashes it. */
export const hashOfCard = (card: Card): string => bytesToHex(sha256(utf8ToBytes(canonical(card))))

const keyOf = ({ id, revision }: { id: string; revision: number }): string => `${id}@${revision}`

/**
 * Reads, validates and compares a file away from the screen's thread. The cards stay here: only heads, differences and the lines that
 * are to be sent come out.
 */
export class FileReading {
  private cards = new Map<string, Card>()

  /** Reads one file whole, by what is in it and not by its name; what was read before is forgotten. */
  read(name: string, bytes: Uint8Array, told: Told): FileRead {
    this.cards = new Map()
    const start = new TextDecoder()
      .decode(bytes.subarray(0, 200))
      .replace(/^\uFEFF/, '')
      .trimStart()
    if (start === '') return refused(name, 'is empty.')
    if (!start.startsWith('{')) return figuresIn(name, bytes)
    if (bytes.byteLength > most.json) return tooLarge(name, bytes.byteLength, most.json, '')
    const found = cardsIn(name, new TextDecoder().decode(bytes).replace(/^\uFEFF/, ''))
    return 'kind' in found ? found : this.readCards(found, told)
  }

  private readCards({ cards, pathOf }: FoundCards, told: Told): FileRead {
    const heads: ArrivingCard[] = []
    for (const [i, one] of cards.entries()) {
      const result = cardSchema.safeParse(one)
      if (!result.success) return { kind: 'refused', problems: sentencesOf(result.error).map(pathOf(i)) }
      const card = result.data as Card
      const { id, revision, state, name } = card
      heads.push({ id, revision, state, hash: hashOfCard(card), maker: name.maker, model: name.model })
      this.cards.set(keyOf(card), card)
      if ((i + 1) % toldEvery === 0 || i + 1 === cards.length) told(i + 1, cards.length)
    }
    return { kind: 'cards', heads }
  }

  /** Where a card of the file differs from the one that is here under its revision. */
  differences(key: string, ours: Card): CardDifference[] {
    const theirs = this.cards.get(key)
    return theirs ? compareCards(ours, theirs) : []
  }

  /** The lines to send: who takes them in on the first, each card of those named on its own. */
  lines(head: ImportCardsHead, keys: string[]): Uint8Array<ArrayBuffer> {
    const cards = keys.flatMap((key) => this.cards.get(key) ?? [])
    return new TextEncoder().encode([head, ...cards].map((one) => JSON.stringify(one)).join('\n'))
  }
}

interface FoundCards {
  cards: unknown[]
  pathOf: (at: number) => (problem: PathProblem) => PathProblem
}

/** One card, or several in one file; a shop's file is taken in elsewhere. */
function cardsIn(name: string, text: string): FoundCards | FileRead {
  const format = /"format"\s*:\s*"([^"]{0,60})"/.exec(text)?.[1]
  if (format === 'sure-spool/shop') return refused(name, 'is a whole shop: take it in on the Shop screen.')
  if (format === 'sure-spool/run') return refused(name, 'is a run, not a card.')
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    return refused('(the document)', `is not JSON: ${why}. The file may be cut off; export it again.`)
  }
  if (format !== 'sure-spool/cards') return { cards: [json], pathOf: () => (problem) => problem }
  const envelope = cardsSchema.extend({ cards: cardsSchema.shape.cards.element.array().min(0) })
  const { cards, ...rest } = json as { cards?: unknown }
  const fits = envelope.safeParse({ ...rest, cards: [] })
  if (!fits.success) return { kind: 'refused', problems: sentencesOf(fits.error) }
  if (!Array.isArray(cards) || cards.length === 0) return refused('cards', 'must be a list with at least one card')
  return {
    cards,
    pathOf: (at) => (problem) => ({
      ...problem,
      path: problem.path.startsWith('(') ? `cards[${at}]` : `cards[${at}].${problem.path}`,
    }),
  }
}

/** A file of figures is told by its first row; what becomes of each row is the server's to say, since it has the cards. */
function figuresIn(name: string, bytes: Uint8Array): FileRead {
  if (bytes.byteLength > most.csv) return tooLarge(name, bytes.byteLength, most.csv, ' of figures')
  const marked = bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe ? 'utf-16be' : 'utf-8'
  const text = decoded(bytes, marked)
  if (text === undefined)
    return refused(name, 'is not in UTF-8. Save it from the spreadsheet as “CSV UTF-8” and take it in again.')
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  const read = readLines(data)
  return 'problem' in read ? refused(name, read.problem) : { kind: 'figures', rows: read.lines.length }
}

/** @returns nothing where the bytes are none of that encoding */
function decoded(bytes: Uint8Array, encoding: string): string | undefined {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    return undefined
  }
}
