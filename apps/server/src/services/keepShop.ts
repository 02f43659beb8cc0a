import type { Person, ShopSettings } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import { inTransaction, type Database } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import {
  allPeople,
  dropInstrument,
  note,
  putInstrument,
  putPerson,
  putSettings,
  readInstrument,
} from '../repositories/shop'
import { knownPerson } from './knownPerson'

const another = (what: string) =>
  new ProblemError(422, 'refused', `Nothing was kept: the ${what} is not the one its address names.`)

/** Keeps the shop's habits: the next run is judged by them, runs begun keep their own. */
export async function keepSettings(database: Database, body: ShopSettings, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    await putSettings(queries, body)
    await note(queries, 'settings', body.name, by, { ...body })
  })
}

/** Keeps a meter, new or changed. Runs carry the meter they were made with, so no old verdict moves. */
export async function keepInstrument(database: Database, id: string, body: Instrument, by: string): Promise<void> {
  if (body.id !== id) throw another('meter')
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    await putInstrument(queries, body)
    await note(queries, 'meter', body.name, by, { id })
  })
}

/** Takes a meter off the bench; the runs it read keep it whole. */
export async function retireInstrument(database: Database, id: string, by: string): Promise<void> {
  await inTransaction(database, async (queries) => {
    await knownPerson(queries, by)
    const meter = await readInstrument(queries, id)
    if (!meter) throw notFound('This meter')
    await dropInstrument(queries, id)
    await note(queries, 'meter-off', meter.name, by, { id })
  })
}

/** Keeps a person, new or renamed. The first one of a shop enters themselves. */
export async function keepPerson(database: Database, id: string, person: Person, by: string): Promise<void> {
  if (person.id !== id) throw another('person')
  await inTransaction(database, async (queries) => {
    if ((await allPeople(queries)).length > 0 || by !== id) await knownPerson(queries, by)
    await putPerson(queries, person)
    await note(queries, 'person', person.name, by, { id })
  })
}
