import type { Person, ShopSettings } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import { eq, sql } from 'drizzle-orm'
import { inTransaction, type Database } from '../database/connect'
import { instruments, people, settings } from '../database/schema'
import { notFound, ProblemError } from '../http/problem'
import { allPeople, note } from '../repositories/shop'
import { knownPerson } from './knownPerson'

const another = (what: string) =>
  new ProblemError(422, 'refused', `Nothing was kept: the ${what} is not the one its address names.`)

/** Keeps the shop's habits: the next run is judged by them, runs begun keep their own. */
export async function keepSettings(database: Database, body: ShopSettings, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    await queries.insert(settings).values({ id: 1, body }).onDuplicateKeyUpdate({ set: { body } })
    await note(queries, 'settings', body.name, by, { ...body })
  })
}

/** Keeps a meter, new or changed. Runs carry the meter they were made with, so no old verdict moves. */
export async function keepInstrument(database: Database, id: string, body: Instrument, by: string): Promise<void> {
  if (body.id !== id) throw another('meter')
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    const place = sql<number>`(select coalesce(max(place), -1) + 1 from ${instruments} as others)`
    await queries.insert(instruments).values({ id, place, body }).onDuplicateKeyUpdate({ set: { body } })
    await note(queries, 'meter', body.name, by, { id })
  })
}

/** Takes a meter off the bench; the runs it read keep it whole. */
export async function retireInstrument(database: Database, id: string, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    const [meter] = await queries.select().from(instruments).where(eq(instruments.id, id))
    if (!meter) throw notFound('This meter')
    await queries.delete(instruments).where(eq(instruments.id, id))
    await note(queries, 'meter-off', meter.body.name, by, { id })
  })
}

/** Keeps a person, new or renamed. The first one of a shop enters themselves. */
export async function keepPerson(database: Database, id: string, person: Person, by: string): Promise<void> {
  if (person.id !== id) throw another('person')
  await inTransaction(database, async (queries) => {
    if ((await allPeople(queries)).length > 0 || by !== id) await knownPerson(queries, by)
    const { name, role } = person
    await queries.insert(people).values(person).onDuplicateKeyUpdate({ set: { name, role } })
    await note(queries, 'person', name, by, { id })
  })
}
