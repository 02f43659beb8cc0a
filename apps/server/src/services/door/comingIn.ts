import type { Bench, Door, FirstRun, Seated } from '@sure-spool/contract'
import { v7 } from 'uuid'
import { inTransaction, type Database, type Queries } from '../../database/connect'
import { here } from '../../here'
import { ProblemError } from '../../http/problem'
import { note } from '../../repositories/audit'
import { asBench, benchByToken, insertBench, openSeats, useJoinCode, type BenchRow } from '../../repositories/benches'
import { allPeople, hasOwner, putPerson, putSecrets, secretsOf } from '../../repositories/people'
import { putSettings, readSettings } from '../../repositories/shop'
import { heardGuess } from './guess'
import { asSeat, beginSeat } from './seats'
import { digestOf, hashSecret, isSecret, newToken, plainCode } from './secret'

/** A bench with the token for its cookie, which is told this once. */
export interface Joined<T> {
  token: string
  answer: T
}

async function newBench(
  queries: Queries,
  name: string,
  kind: Bench['kind'],
): Promise<{ token: string; row: BenchRow }> {
  const token = newToken()
  const now = new Date().toISOString()
  const row: BenchRow = { id: v7(), name, kind, token: digestOf(token), joinedAt: now, seenAt: now, endedAt: null }
  await insertBench(queries, row)
  return { token, row }
}

/** What somebody finds at the door. Only a bench of the shop is told who works here. */
export async function atTheDoor(database: Database, token: string | undefined): Promise<Door> {
  if (here()?.open) return { house: 'open' }
  const bench = token === undefined ? undefined : await benchByToken(database, digestOf(token))
  if (!bench) return { house: (await hasOwner(database)) ? 'shut' : 'empty' }
  const [people, seats] = await Promise.all([
    allPeople(database),
    openSeats(database, bench.id, new Date().toISOString()),
  ])
  const told = bench.kind === 'bench' ? people : people.filter(({ id }) => seats.some(({ person }) => person === id))
  return {
    house: 'shut',
    bench: asBench(bench),
    people: told.map(({ id, name, access }) => ({ id, name, access })),
    seats: seats.map(asSeat),
  }
}

/**
 * An empty shop gets its owner and its first bench, once. Somebody of that name who is here already, from a file or from before people
 * signed in, becomes the owner.
 * @param setupCode what the start command printed; without it nobody gets in this way
 * @throws ProblemError 409 where the shop has an owner, 403 for another code
 */
export async function firstRun(
  database: Database,
  body: FirstRun,
  setupCode: string | undefined,
): Promise<Joined<Seated>> {
  const taken = new ProblemError(409, 'conflict', 'This shop has its owner already. Ask them for a code.')
  if (await hasOwner(database)) throw taken
  await heardGuess(
    database,
    null,
    async () => (setupCode !== undefined && plainCode(setupCode) === plainCode(body.code) ? true : undefined),
    'That is not the code which the start command printed.',
  )
  const [pin, password] = await Promise.all([hashSecret(body.pin), hashSecret(body.password)])
  return inTransaction(database, async (queries) => {
    if (await hasOwner(queries)) throw taken
    const before = (await allPeople(queries)).find(({ name }) => name === body.name)
    const owner = { id: before?.id ?? v7(), name: body.name, role: before?.role ?? 'owner', access: 'owner' as const }
    await putPerson(queries, owner)
    await putSecrets(queries, owner.id, { pin, password }, new Date().toISOString())
    await putSettings(queries, { ...(await readSettings(queries)), name: body.shop })
    const { token, row } = await newBench(queries, body.bench, 'bench')
    await note(queries, 'first-run', body.shop, owner.id, {}, row.id)
    return { token, answer: { bench: asBench(row), seat: await beginSeat(queries, row.id, owner) } }
  })
}

/** This browser becomes a bench. @throws ProblemError 403 for a code that is none, used or too old; 429 after too many */
export async function joinBench(database: Database, code: string, name: string): Promise<Joined<Bench>> {
  return heardGuess(
    database,
    null,
    () =>
      inTransaction(database, async (queries) => {
        const by = await useJoinCode(queries, digestOf(plainCode(code)), new Date().toISOString())
        if (by === undefined) return undefined
        const { token, row } = await newBench(queries, name, 'bench')
        await note(queries, 'bench-joined', name, by, {}, row.id)
        return { token, answer: asBench(row) }
      }),
    'That code is none, was used already, or is older than a quarter of an hour. Ask the owner for another.',
  )
}

/** A seat away from the shop's benches, by name and password. @throws ProblemError 403 for a wrong one; 429 after too many */
export async function signInAway(database: Database, name: string, password: string): Promise<Joined<Seated>> {
  const people = await allPeople(database)
  const named = people.filter((one) => one.name.toLowerCase() === name.trim().toLowerCase())
  const known = await heardGuess(
    database,
    named[0]?.id ?? null,
    async () => {
      if (named.length === 0) await isSecret(undefined, password)
      // two of one name are told apart by what they know
      for (const one of named) if (await isSecret((await secretsOf(database, one.id))?.password, password)) return one
      return undefined
    },
    'Nobody of that name has that password here.',
  )
  return inTransaction(database, async (queries) => {
    const { token, row } = await newBench(queries, `${known.name}, away`, 'away')
    return { token, answer: { bench: asBench(row), seat: await beginSeat(queries, row.id, known) } }
  })
}
