import type { Bench, JoinCode } from '@sure-spool/contract'
import { inTransaction, type Database, type Queries } from '../../database/connect'
import { here } from '../../here'
import { notFound } from '../../http/problem'
import { note } from '../../repositories/audit'
import { asBench, endBench, endSeats, insertJoinCode, openBenches } from '../../repositories/benches'
import { findPerson, putSecrets } from '../../repositories/people'
import { allowed } from '../access'
import { longestSeatMs } from './seats'
import { digestOf, hashSecret, newCode, plainCode } from './secret'

const codeMs = 15 * 60_000

/** A code that makes one browser a bench. Told this once. */
export async function newJoinCode(database: Database, by: string): Promise<JoinCode> {
  const code = newCode()
  const endsAt = new Date(Date.now() + codeMs).toISOString()
  await inTransaction(database, async (queries) => {
    await allowed(queries, by, 'owner')
    await insertJoinCode(queries, digestOf(plainCode(code)), by, endsAt)
    await note(queries, 'code-given', 'a bench', by, { endsAt })
  })
  return { code, endsAt }
}

const stillOpen = (queries: Queries) => openBenches(queries, new Date(Date.now() - longestSeatMs).toISOString())

/** The benches that stand, and where somebody may still be signed in away from them. */
export const benchList = async (queries: Queries): Promise<{ benches: Bench[] }> => ({
  benches: (await stillOpen(queries)).map(asBench),
})

/** Ends a bench with all its seats: its cookie opens nothing any more. @throws ProblemError 404 */
export async function takeBenchOff(database: Database, id: string, by: string): Promise<{ benches: Bench[] }> {
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'owner')
    const bench = (await stillOpen(queries)).find((one) => one.id === id)
    const now = new Date().toISOString()
    if (!bench || !(await endBench(queries, id, now))) throw notFound('This bench')
    await endSeats(queries, { bench: id }, now, true)
    await note(queries, 'bench-off', bench.name, by, { bench: id })
    return benchList(queries)
  })
}

/**
 * Gives a person a new PIN or password: one's own, or, by the owner, anybody's. Their other seats end with it; what was
 * sealed in them still comes.
 * @throws ProblemError 403 for another's by somebody who is no owner, 404 where nobody has the id
 */
export async function changeSecrets(
  database: Database,
  person: string,
  { by, pin, password }: { by: string; pin?: string | undefined; password?: string | undefined },
): Promise<{ ended: number }> {
  const fresh = {
    ...(pin === undefined ? {} : { pin: await hashSecret(pin) }),
    ...(password === undefined ? {} : { password: await hashSecret(password) }),
  }
  return inTransaction(database, async (queries) => {
    if (by !== person) await allowed(queries, by, 'owner')
    const known = await findPerson(queries, person)
    if (!known) throw notFound('This person')
    const now = new Date().toISOString()
    await putSecrets(queries, person, fresh, now)
    await note(queries, 'secret', known.name, by, { what: Object.keys(fresh) })
    return { ended: await endSeats(queries, { person, but: here()?.seat?.id }, now) }
  })
}
