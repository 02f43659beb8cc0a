import { browserDatabase } from '../store/browserDatabase'
import { useOutbox } from '../store/outbox'
import type { Outgoing } from '../store/outgoing'
import { beginBrowser } from './browser'
import { FakeServer } from './fakeServer'
import { beginStores } from './stores'

/** An empty browser and a server that takes whatever goes up. */
export async function beginOutbox(): Promise<FakeServer> {
  beginBrowser()
  const database = await browserDatabase()
  await Promise.all([database.outgoing.clear(), database.runs.clear(), database.copies.clear()])
  const server = new FakeServer()
    .on('POST', /^\/runs\/.*\/entries$/, { body: { count: 1, state: { finding: 'undecided' } } })
    .on('PUT', /^\/cards\//, { body: {} })
    .on('POST', /^\/(units|runs)$/, { body: {} })
  beginStores()
  return server
}

/** Ids are of version 7 in the browser, so that they sort by when they were made; here by hand. */
let n = 0
export const entry = (id: string, run = 'r', more: object = {}): Outgoing =>
  ({
    id,
    kind: 'entry',
    run,
    body: { id, run, n: ++n, at: '2026-03-02T09:00:00.000Z', by: 'p', kind: 'note', words: id, ...more },
  }) as Outgoing
export const card = (id: string): Outgoing =>
  ({ id, kind: 'card', body: { card: { id, revision: 1 }, by: 'p' } }) as Outgoing
export const unit = (id: string, on: string): Outgoing =>
  ({ id, kind: 'unit', body: { id, card: { id: on, revision: 1 } } }) as Outgoing
export const begun = (id: string, of: string): Outgoing => ({ id, kind: 'run', body: { id, unit: of } }) as Outgoing

export const put = (...items: Outgoing[]) => {
  const outbox = useOutbox()
  for (const item of items) outbox.put(item)
  return outbox
}
export const idsIn = (body: unknown) => (body as { entries: { id: string }[] }).entries.map(({ id }) => id)
/** What went up, the ids of each batch. */
export const batchesOf = (server: FakeServer): string[][] =>
  server.of('POST', /entries$/).map(({ body }) => idsIn(body))
/** What has not gone up, in its order. */
export const left = async (): Promise<string[]> =>
  (await (await browserDatabase()).outgoing.orderBy('seq').toArray()).map(({ id }) => id)
