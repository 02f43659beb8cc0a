import type { Person, ShopSettings } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import { inTransaction, type Database } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { note } from '../repositories/audit'
import { allPeople, putPerson } from '../repositories/people'
import { dropInstrument, putInstrument, putSettings, readInstrument } from '../repositories/shop'
import { allowed } from './access'

const another = (what: string) =>
  new ProblemError(422, 'refused', `Nothing was kept: the ${what} is not the one its address names.`)

/** Keeps the shop's habits: the next run is judged by them, runs begun keep their own. */
export async function keepSettings(database: Database, body: ShopSettings, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await allowed(queries, by, 'owner')
    await putSettings(queries, body)
    await note(queries, 'settings', body.name, by, { ...body })
  })
}

/** Keeps a meter, new or changed. Runs carry the meter they were made with, so no old verdict moves. */
export async function keepInstrument(database: Database, id: string, body: Instrument, by: string): Promise<void> {
  if (body.id !== id) throw another('meter')
  await inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    await putInstrument(queries, body)
    await note(queries, 'meter', body.name, by, { id })
  })
}

/** Takes a meter off the bench; the runs it read keep it whole. */
export async function retireInstrument(database: Database, id: string, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const meter = await readInstrument(queries, id)
    if (!meter) throw notFound('This meter')
    await dropInstrument(queries, id)
    await note(queries, 'meter-off', meter.name, by, { id })
  })
}

/** Keeps a person, new or changed. The first one of a shop enters themselves, and owns it; the last owner stays one. */
export async function keepPerson(database: Database, id: string, person: Person, by: string): Promise<void> {
  if (person.id !== id) throw another('person')
  await inTransaction(database, async (queries) => {
    const people = await allPeople(queries)
    const first = people.length === 0 && by === id
    if (!first) await allowed(queries, by, 'owner')
    const before = people.find((one) => one.id === id)
    const access = person.access ?? before?.access ?? (first ? 'owner' : 'technician')
    if (!people.some((one) => one.id !== id && one.access === 'owner') && access !== 'owner')
      throw new ProblemError(422, 'refused', 'Nothing was kept: a shop has an owner. Make somebody else one first.', [
        { path: 'person.access', detail: 'is that of the last owner' },
      ])
    await putPerson(queries, { ...person, access })
    await note(queries, before ? 'person' : 'person-new', person.name, by, { id, role: person.role, access })
  })
}
