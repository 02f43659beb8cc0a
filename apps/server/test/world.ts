import { afterAll, beforeAll } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { createConnection } from 'mysql2/promise'
import type { Express } from 'express'
import { v7 } from 'uuid'
import type { Entry, EntryBody } from '@sure-spool/core'
import { connect, createApp, HeavyWork, importShop, type AppOptions, type Connection } from '../src'
import type { Shop } from '@sure-spool/contract'

/** The application on a real MariaDB, in a database of its own that is dropped at the end. */
export interface World {
  app: Express
  connection: Connection
  heavy: HeavyWork
  shop: Shop
  url: string
  end: () => Promise<void>
}

interface WorldOptions {
  empty?: boolean
  house?: AppOptions['house']
  /** the server has a user of its own, which may do no more than it needs */
  ownUser?: boolean
  requestsOfPerson?: number
  /** where its backups are */
  backups?: string
}

export async function begin(
  name: string,
  { empty = false, house = { house: 'open' }, ownUser = false, backups, requestsOfPerson = 100_000 }: WorldOptions = {},
): Promise<World> {
  const root = process.env['TEST_DATABASE_URL']
  if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test.')
  // where faults are planted, several work here at once
  const database = `spool_test_${name}${process.env['STRYKER_MUTATOR_WORKER'] ?? ''}`
  const drop = async () => {
    const connection = await createConnection(root)
    await connection.query(`DROP DATABASE IF EXISTS \`${database}\``)
    await connection.end()
  }
  await drop()
  const adminUrl = `${root.replace(/\/$/, '')}/${database}`
  const url = ownUser ? adminUrl.replace('//root@', `//${database}:for-a-test@`) : adminUrl
  const connection = await connect(url, 'apps/server/drizzle', ownUser ? adminUrl : undefined)
  const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
  if (!empty) await importShop(connection.database, shop, null)
  const heavy = new HeavyWork(url)
  const app = createApp({
    database: connection.database,
    heavy,
    version: 'test',
    requestsAMinute: 100_000,
    requestsOfPerson,
    house,
    backups,
  })
  return {
    app,
    connection,
    heavy,
    shop,
    url,
    end: async () => {
      await heavy.close()
      await connection.close()
      await drop()
    },
  }
}

/** A world for all tests of a file: begun before them, ended after them, and there only meanwhile. */
export function worldOf(name: string, options?: WorldOptions): World {
  const world = {} as World
  beforeAll(async () => {
    Object.assign(world, await begin(name, options))
  }, 60_000)
  afterAll(async () => {
    // what kept it from beginning has been said
    if ('end' in world) await world.end()
  })
  return world
}

/** The open run of a unit of the demo shop. */
export function runOf(shop: Shop, tag: string): Shop['runs'][number] {
  const unit = shop.units.find((one) => one.tag === tag)
  const run = shop.runs.find((one) => one.unit === unit?.id)
  if (!run) throw new Error(`${tag} has no run`)
  return run
}

/** A next entry for a run, as a bench would make it. */
export function entryFor(run: Shop['runs'][number], body: EntryBody, changes: Partial<Entry> = {}): Entry {
  const n = Math.max(0, ...run.entries.map((entry) => entry.n)) + 1
  return { id: v7(), run: run.id, n, at: '2026-11-24T15:00:00.000Z', by: run.startedBy, ...body, ...changes } as Entry
}

export const reading = (check: string, text: string, value: number): EntryBody => ({
  kind: 'reading',
  check,
  reading: { taken: 'typed', instrument: 'm2', contact: 'tips', text, decimalComma: false, kind: 'value', value },
})
