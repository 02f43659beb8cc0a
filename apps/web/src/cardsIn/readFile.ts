import { cardSchema, cardsSchema, readDocument, type PathProblem } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'

/** What a file holds, or why it is not taken. */
export type FileRead =
  | { kind: 'cards'; cards: Card[] }
  | { kind: 'figures'; bytes: ArrayBuffer }
  | { kind: 'refused'; problems: PathProblem[] }

const mostJson = 60_000_000
const mostCsv = 8_000_000

/** Reads a file of cards or of figures by what is in it, not by its name. Nothing of it is kept. */
export async function readFile(file: File): Promise<FileRead> {
  const refused = (detail: string): FileRead => ({ kind: 'refused', problems: [{ path: file.name, detail }] })
  const megabytes = `${Math.ceil(file.size / 1e6)} MB`
  if (file.size > mostJson) return refused(`has ${megabytes}; at most ${mostJson / 1e6} MB go at once. Split it.`)
  const bytes = await file.arrayBuffer()
  const start = new TextDecoder()
    .decode(bytes.slice(0, 200))
    .replace(/^\uFEFF/, '')
    .trimStart()
  if (start === '') return refused('is empty.')
  if (!start.startsWith('{'))
    return file.size > mostCsv
      ? refused(`has ${megabytes}; at most ${mostCsv / 1e6} MB of figures go at once. Split it.`)
      : { kind: 'figures', bytes }
  return cardsIn(new TextDecoder().decode(bytes), refused)
}

/** One card, or several in one file; a shop's file moves house elsewhere. */
export function cardsIn(text: string, refused: (detail: string) => FileRead): FileRead {
  const format = /"format"\s*:\s*"([^"]{0,60})"/.exec(text)?.[1]
  if (format === 'sure-spool/shop') return refused('is a whole shop: take it in on the Shop screen.')
  if (format === 'sure-spool/run') return refused('is a run, not a card.')
  const several = format === 'sure-spool/cards'
  const read = readDocument(text.replace(/^\uFEFF/, ''), several ? cardsSchema : cardSchema)
  if (!read.ok) return { kind: 'refused', problems: read.problems }
  return { kind: 'cards', cards: 'cards' in read.value ? (read.value.cards as Card[]) : [read.value as Card] }
}
