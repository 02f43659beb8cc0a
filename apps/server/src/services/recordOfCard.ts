import type { CardRecord, RecordQuery } from '@sure-spool/contract'
import type { Queries } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { notFound } from '../http/problem'
import { closedRunsOf, readingsOf } from '../repositories/cardRecord'
import { talliesOf } from '../repositories/cardTallies'
import { revisionsOf } from '../repositories/revisions'

/**
 * What a card's closed runs come to, and what its newest ones read, a page of runs at a time.
 * @throws ProblemError 404 (no such card), 400 (a cursor that is none)
 */
export async function recordOfCard(
  queries: Queries,
  card: string,
  { cursor, limit }: RecordQuery,
): Promise<CardRecord> {
  const after = decodeCursor('record', cursor)
  const [revisions, tallies, found] = await Promise.all([
    revisionsOf(queries, card),
    talliesOf(queries, [card]),
    closedRunsOf(queries, card, { after, limit: limit + 1 }),
  ])
  if (revisions.length === 0) throw notFound('This card')
  const page = found.slice(0, limit)
  const last = found.length > limit ? page.at(-1) : undefined
  const { tested, faultFound, undecided, noFaultFound, cameBack, backAfterPass, curedByExchange } = tallies(card)
  return {
    units: tested,
    findings: { 'fault-found': faultFound, undecided, 'no-fault-found': noFaultFound },
    cameBack,
    cameBackAfterPass: backAfterPass,
    curedByExchange,
    readings: await readingsOf(
      queries,
      page.map(({ run }) => run),
    ),
    ...(last ? { next: encodeCursor('record', { startedAt: last.startedAt, run: last.run }) } : {}),
  }
}
