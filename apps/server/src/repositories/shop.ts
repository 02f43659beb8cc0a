import type { Instrument } from '@sure-spool/core'
import type { Person, ShopSettings } from '@sure-spool/contract'
import { asc } from 'drizzle-orm'
import { v7 } from 'uuid'
import type { Queries } from '../database/connect'
import { audit, instruments, people, settings } from '../database/schema'

/** A shop that nobody has set up yet. */
export const plainSettings: ShopSettings = {
  name: 'This bench',
  rule: 'guarded',
  rewindHabit: 'failed-coil',
  decimalComma: false,
  paper: 'A4',
  tagPrefix: 'U-',
}

export const allPeople = (queries: Queries): Promise<Person[]> => queries.select().from(people).orderBy(asc(people.id))

export async function allInstruments(queries: Queries): Promise<Instrument[]> {
  const rows = await queries.select().from(instruments).orderBy(asc(instruments.place), asc(instruments.id))
  return rows.map((row) => row.body)
}

export async function readSettings(queries: Queries): Promise<ShopSettings> {
  const [row] = await queries.select().from(settings)
  return row?.body ?? plainSettings
}

export async function insertShop(
  queries: Queries,
  shop: { people: Person[]; instruments: Instrument[]; settings?: ShopSettings },
): Promise<void> {
  if (shop.people.length > 0) await queries.insert(people).values(shop.people)
  if (shop.instruments.length > 0)
    await queries.insert(instruments).values(shop.instruments.map((body, place) => ({ id: body.id, place, body })))
  if (shop.settings) await queries.insert(settings).values({ id: 1, body: shop.settings })
}

/** Notes who did what outside the runs' own tapes. */
export async function note(
  queries: Queries,
  what: string,
  about: string,
  by: string | null,
  detail: Record<string, unknown> = {},
): Promise<void> {
  await queries.insert(audit).values({ id: v7(), at: new Date().toISOString(), by, what, about, detail })
}
