import { eq, lt, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { guesses } from '../database/schema'

/**
 * Counts a guess as wrong before it is looked at, unless none is heard for now. The row is held until the transaction ends: of many
 * guesses at once each sees those before it.
 * @param until from how many there were then, the moment until which no more are heard
 * @returns that moment where this one is not heard and not counted
 */
export async function countGuess(
  queries: Queries,
  who: string,
  now: string,
  until: (failures: number) => string,
): Promise<string | undefined> {
  const set = { who }
  await queries.insert(guesses).values({ who, failures: 0, until: now }).onDuplicateKeyUpdate({ set })
  const [row] = await queries.select().from(guesses).where(eq(guesses.who, who)).for('update')
  if (row && row.until > now) return row.until
  const failures = (row?.failures ?? 0) + 1
  await queries
    .update(guesses)
    .set({ failures, until: until(failures) })
    .where(eq(guesses.who, who))
  return undefined
}

/** A guess was right: it counts as none, and is waited for no longer; the wrong ones before it still count. */
export async function forgiveGuess(queries: Queries, who: string, now: string): Promise<void> {
  await queries
    .update(guesses)
    .set({ failures: sql`greatest(${guesses.failures} - 1, 0)`, until: now })
    .where(eq(guesses.who, who))
}

export async function forgetGuesses(queries: Queries, who: string): Promise<void> {
  await queries.delete(guesses).where(eq(guesses.who, who))
}

/** Wrong guesses of long ago count no more. */
export async function forgetOldGuesses(queries: Queries, before: string): Promise<void> {
  await queries.delete(guesses).where(lt(guesses.until, before))
}
