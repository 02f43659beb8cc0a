import type { Instrument } from '@sure-spool/core'
import type { ShopSettings } from '@sure-spool/contract'
import { asc, eq, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { instruments, settings } from '../database/schema'

/** A shop that nobody has set up yet. */
export const plainSettings: ShopSettings = {
  name: 'This bench',
  rule: 'guarded',
  rewindHabit: 'failed-coil',
  decimalComma: false,
  paper: 'A4',
  tagPrefix: 'U-',
}

export async function allInstruments(queries: Queries): Promise<Instrument[]> {
  const rows = await queries.select().from(instruments).orderBy(asc(instruments.place), asc(instruments.id))
  return rows.map((row) => row.body)
}

export async function readSettings(queries: Queries): Promise<ShopSettings> {
  const [row] = await queries.select().from(settings)
  return row?.body ?? plainSettings
}

export async function insertKit(
  queries: Queries,
  shop: { instruments: Instrument[]; settings?: ShopSettings },
): Promise<void> {
  if (shop.instruments.length > 0)
    await queries.insert(instruments).values(shop.instruments.map((body, place) => ({ id: body.id, place, body })))
  if (shop.settings) await queries.insert(settings).values({ id: 1, body: shop.settings })
}

export async function putSettings(queries: Queries, body: ShopSettings): Promise<void> {
  await queries.insert(settings).values({ id: 1, body }).onDuplicateKeyUpdate({ set: { body } })
}

/** Keeps a meter: a new one behind all others, one that is here at its place. */
export async function putInstrument(queries: Queries, body: Instrument): Promise<void> {
  const place = sql<number>`(select coalesce(max(place), -1) + 1 from ${instruments} as others)`
  await queries.insert(instruments).values({ id: body.id, place, body }).onDuplicateKeyUpdate({ set: { body } })
}

export async function readInstrument(queries: Queries, id: string): Promise<Instrument | undefined> {
  const [row] = await queries.select().from(instruments).where(eq(instruments.id, id))
  return row?.body
}

export async function dropInstrument(queries: Queries, id: string): Promise<void> {
  await queries.delete(instruments).where(eq(instruments.id, id))
}
