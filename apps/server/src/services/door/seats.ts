import type { Access, Seat } from '@sure-spool/contract'
import { v7 } from 'uuid'
import { inTransaction, type Database, type Queries } from '../../database/connect'
import type { Here } from '../../here'
import { notFound, ProblemError } from '../../http/problem'
import { note } from '../../repositories/audit'
import {
  benchByToken,
  endSeats,
  insertSeat,
  readSeat,
  seatWithPerson,
  seen,
  type SeatRow,
} from '../../repositories/benches'
import { findPerson, secretsOf } from '../../repositories/people'
import { heardGuess } from './guess'
import { digestOf, isSecret, newToken } from './secret'

/** A seat ends after half an hour in which nothing was asked, and after half a day in any case (ASVS 4.0.3: 3.3.2). */
const idleMs = 30 * 60_000
export const longestSeatMs = 12 * 3_600_000
const seenEveryMs = 60_000

export const asSeat = ({ id, person, begunAt, endsAt }: SeatRow): Seat => ({ id, person, begunAt, endsAt })

const isOpen = (seat: SeatRow, now: number): boolean =>
  seat.endedAt === null && Date.parse(seat.endsAt) > now && Date.parse(seat.seenAt) + idleMs > now

/** Begins a seat and says so in the list. @returns it with its key, which is told this once */
export async function beginSeat(queries: Queries, bench: string, person: { id: string; name: string }): Promise<Seat> {
  const now = Date.now()
  const at = new Date(now).toISOString()
  const row: SeatRow = {
    id: v7(),
    bench,
    person: person.id,
    key: newToken(),
    begunAt: at,
    seenAt: at,
    endsAt: new Date(now + longestSeatMs).toISOString(),
    endedAt: null,
    revoked: false,
  }
  await insertSeat(queries, row)
  await note(queries, 'seated', person.name, person.id, { seat: row.id }, row.bench)
  return { ...asSeat(row), key: row.key }
}

/**
 * A person takes a seat on a bench of the shop by their PIN.
 * @throws ProblemError 403 for a wrong PIN, 429 after too many
 */
export async function takeSeat(database: Database, bench: string, person: string, pin: string): Promise<Seat> {
  const known = await heardGuess(
    database,
    person,
    async () => {
      const right = await isSecret((await secretsOf(database, person))?.pin, pin)
      return right ? findPerson(database, person) : undefined
    },
    'That is not the PIN. Whoever forgot theirs gets a new one from the owner.',
  )
  return inTransaction(database, (queries) => beginSeat(queries, bench, known))
}

/** Leaves one's own seat, or that of another on the same bench. @throws ProblemError 404 where none is open */
export async function leaveSeat(database: Database, bench: string, id: string): Promise<{ ended: number }> {
  const seat = await readSeat(database, id)
  const ended = seat?.bench === bench ? await endSeats(database, { id }, new Date().toISOString()) : 0
  if (ended === 0) throw notFound('This seat')
  return { ended }
}

/** Ends every seat of a person: what was sealed in one of them and was not sent is taken no more. */
export async function endAllSeats(queries: Queries, person: string, by: string): Promise<{ ended: number }> {
  const ended = await endSeats(queries, { person }, new Date().toISOString(), true)
  const name = (await findPerson(queries, person))?.name ?? ''
  await note(queries, 'signed-out', name, by, { ended })
  return { ended }
}

/**
 * Whom a request comes from, by its cookie and the seat it names.
 * @returns the bench alone where the seat is over, is another bench's or is not named; nothing of both for an unknown cookie
 */
export async function whoIsThere(
  database: Database,
  token: string | undefined,
  seatId: string | undefined,
): Promise<Pick<Here, 'bench' | 'seat'>> {
  if (token === undefined) return {}
  const now = Date.now()
  const [bench, seat] = await Promise.all([
    benchByToken(database, digestOf(token)),
    seatId === undefined ? undefined : seatWithPerson(database, seatId),
  ])
  if (!bench) return {}
  const open = seat?.bench === bench.id && isOpen(seat, now) ? seat : undefined
  const lastSeen = Math.min(Date.parse(bench.seenAt), open ? Date.parse(open.seenAt) : now)
  if (now - lastSeen > seenEveryMs) await seen(database, bench.id, open?.id, new Date(now).toISOString())
  const { id, name, kind } = bench
  return {
    bench: { id, name, kind: kind as 'bench' | 'away' },
    ...(open ? { seat: { id: open.id, person: open.person, access: open.access } } : {}),
  }
}

const notSeated = (sentence: string) => new ProblemError(401, 'not-seated', `${sentence}; what is kept here waits.`)

/** The bench that a request must come from. @throws ProblemError 401 where it comes from none */
export function atBench(from: Here | undefined): NonNullable<Here['bench']> {
  if (from?.bench) return from.bench
  throw notSeated('This browser is no bench of this shop. The owner gives a code that makes it one')
}

/** The person that a request must come from. @throws ProblemError 401 where nobody sits there */
export function seated(from: Here | undefined): { id: string; person: string; access: Access } {
  if (from?.seat) return from.seat
  atBench(from)
  throw notSeated('Nobody sits at this bench. Take a seat and go on')
}
