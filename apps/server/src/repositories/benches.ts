import type { Access, Bench } from '@sure-spool/contract'
import { and, asc, eq, gt, isNull, ne, or } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { benches, joinCodes, people, seats } from '../database/schema'

export type BenchRow = typeof benches.$inferSelect
export type SeatRow = typeof seats.$inferSelect

export const asBench = ({ id, name, kind, joinedAt, seenAt }: BenchRow): Bench => ({
  id,
  name,
  kind: kind as Bench['kind'],
  joinedAt,
  seenAt,
})

export async function insertBench(queries: Queries, row: BenchRow): Promise<void> {
  await queries.insert(benches).values(row)
}

/** The bench that a cookie's token belongs to, as long as nobody has ended it. */
export async function benchByToken(queries: Queries, token: string): Promise<BenchRow | undefined> {
  const [row] = await queries
    .select()
    .from(benches)
    .where(and(eq(benches.token, token), isNull(benches.endedAt)))
  return row
}

/** The benches of the shop that nobody has ended, and the browsers away from it in which somebody was since. */
export const openBenches = (queries: Queries, since: string): Promise<BenchRow[]> =>
  queries
    .select()
    .from(benches)
    .where(and(isNull(benches.endedAt), or(eq(benches.kind, 'bench'), gt(benches.seenAt, since))))
    .orderBy(asc(benches.joinedAt))

export async function insertSeat(queries: Queries, row: SeatRow): Promise<void> {
  await queries.insert(seats).values(row)
}

export async function readSeat(queries: Queries, id: string): Promise<SeatRow | undefined> {
  const [row] = await queries.select().from(seats).where(eq(seats.id, id))
  return row
}

/** A seat with who sits there and what they may do. */
export async function seatWithPerson(
  queries: Queries,
  id: string,
): Promise<(SeatRow & { access: Access }) | undefined> {
  const [row] = await queries
    .select({ seat: seats, access: people.access })
    .from(seats)
    .innerJoin(people, eq(people.id, seats.person))
    .where(eq(seats.id, id))
  return row && { ...row.seat, access: row.access as Access }
}

/** The seats of a bench that nobody has left and whose time is not over. */
export const openSeats = (queries: Queries, bench: string, now: string): Promise<SeatRow[]> =>
  queries
    .select()
    .from(seats)
    .where(and(eq(seats.bench, bench), isNull(seats.endedAt), gt(seats.endsAt, now)))

export async function seen(queries: Queries, bench: string, seat: string | undefined, now: string): Promise<void> {
  await queries.update(benches).set({ seenAt: now }).where(eq(benches.id, bench))
  if (seat !== undefined) await queries.update(seats).set({ seenAt: now }).where(eq(seats.id, seat))
}

/** Ends seats: one, a person's (but perhaps the one they sit in), or a bench's. @returns how many were open */
export async function endSeats(
  queries: Queries,
  which: { id?: string; person?: string; bench?: string; but?: string | undefined },
  now: string,
  revoked = false,
): Promise<number> {
  const [answer] = await queries
    .update(seats)
    .set({ endedAt: now, ...(revoked ? { revoked } : {}) })
    .where(
      and(
        which.id === undefined ? undefined : eq(seats.id, which.id),
        which.person === undefined ? undefined : eq(seats.person, which.person),
        which.bench === undefined ? undefined : eq(seats.bench, which.bench),
        which.but === undefined ? undefined : ne(seats.id, which.but),
        isNull(seats.endedAt),
      ),
    )
  return answer.affectedRows
}

export async function endBench(queries: Queries, id: string, now: string): Promise<boolean> {
  const [answer] = await queries
    .update(benches)
    .set({ endedAt: now })
    .where(and(eq(benches.id, id), isNull(benches.endedAt)))
  return answer.affectedRows > 0
}

export async function insertJoinCode(queries: Queries, code: string, by: string, endsAt: string): Promise<void> {
  await queries.insert(joinCodes).values({ code, by, endsAt })
}

/** Uses a code up. @returns who gave it; nothing where it is none, is used or too old */
export async function useJoinCode(queries: Queries, code: string, now: string): Promise<string | undefined> {
  const good = and(eq(joinCodes.code, code), isNull(joinCodes.usedAt), gt(joinCodes.endsAt, now))
  const [row] = await queries.select().from(joinCodes).where(good).for('update')
  if (row) await queries.update(joinCodes).set({ usedAt: now }).where(eq(joinCodes.code, code))
  return row?.by
}
