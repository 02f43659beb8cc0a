import { arrivedCardSchema, importCardsHeadSchema, type ImportCardsHead } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { parse } from '../http/handle'
import { ProblemError } from '../http/problem'

const longestLine = 1_000_000
const newline = 0x0a

/** Cards of a request's body, each validated when its turn comes, and who sends them. */
export interface ReadCards {
  head: ImportCardsHead
  /** how many there are */
  of: number
  cards: AsyncGenerator<Card>
}

const notJson = (where: string) =>
  new ProblemError(400, 'not-json', `Nothing was kept: ${where} is not JSON, it may have been cut off. Send it again.`)

/**
 * Reads a body that brings cards.
 * @param bytes one JSON document, or with `lines` the head on the first line and one card on each other
 * @throws ProblemError 400 with the path, as `cards[3].windings[0].to`; for a card, when its turn comes
 */
export function readCards(bytes: Uint8Array, lines: boolean): ReadCards {
  return lines ? readLines(bytes) : readDocument(bytes)
}

function readDocument(bytes: Uint8Array): ReadCards {
  const body = jsonOf(bytes, 'the body')
  const { cards, ...head } = (body !== null && typeof body === 'object' ? body : {}) as Record<string, unknown>
  if (!Array.isArray(cards) || cards.length === 0)
    throw new ProblemError(400, 'not-valid', 'Nothing was kept: cards must be a list with at least one card.', [
      { path: 'cards', detail: 'must be a list with at least one card' },
    ])
  return { head: parse(importCardsHeadSchema, head), of: cards.length, cards: validated(cards) }
}

function readLines(bytes: Uint8Array): ReadCards {
  const [first, ...others] = linesIn(bytes)
  if (!first || others.length === 0)
    throw new ProblemError(
      400,
      'not-valid',
      'Nothing was kept: behind the first line each line is a card, and there is none.',
    )
  const head = parse(importCardsHeadSchema, jsonOf(first, 'the first line'))
  const cards = function* () {
    for (const [i, line] of others.entries()) yield jsonOf(line, `line ${i + 2}`)
  }
  return { head, of: others.length, cards: validated(cards()) }
}

function linesIn(bytes: Uint8Array): Uint8Array[] {
  const lines: Uint8Array[] = []
  for (let from = 0; from < bytes.length;) {
    const end = bytes.indexOf(newline, from)
    const line = bytes.subarray(from, end === -1 ? bytes.length : end)
    if (line.length > longestLine)
      throw new ProblemError(
        413,
        'too-large',
        `Nothing was kept: line ${lines.length + 1} is longer than a card can be.`,
      )
    if (line.length > 0) lines.push(line)
    from = end === -1 ? bytes.length : end + 1
  }
  return lines
}

function jsonOf(bytes: Uint8Array, where: string): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    throw notJson(where)
  }
}

async function* validated(cards: Iterable<unknown>): AsyncGenerator<Card> {
  let at = 0
  for (const card of cards) yield parse(arrivedCardSchema, card, { at: `cards[${at++}]` }) as Card
}
