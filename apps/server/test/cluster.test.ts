import { spawnSync } from 'node:child_process'
import { chmodSync, cpSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { afterAll, expect, test } from '@jest/globals'
import type { Express } from 'express'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import request from 'supertest'
import { v7 } from 'uuid'
import type { Shop } from '@sure-spool/contract'
import type { Entry } from '@sure-spool/core'
import { anyPort, startDatabase, type RunningDatabase } from '../../../tools/lib/database.mjs'
import { connect, createApp, HeavyWork, importShop, type Connection } from '../src'
import { entryFor, runOf } from './world'

/** Three databases that are one (docs/scale.md), each with a server of its own; here all on loopback. */
const folder = join(tmpdir(), `spool-cluster-${v7()}`)
const names = ['one', 'two', 'three'] as const
const databases: RunningDatabase[] = []
const connections: Connection[] = []
const heavies: HeavyWork[] = []
afterAll(async () => {
  await Promise.all(heavies.map((heavy) => heavy.close()))
  await Promise.all(connections.map((connection) => connection.close().catch(() => undefined)))
  for (const database of databases.toReversed()) await database.stop()
  rmSync(folder, { recursive: true, force: true })
}, 120_000)

const provider = '/usr/lib/galera/libgalera_smm.so'
const folderOf = (name: string) => join(folder, name)

/** A node's own options: where it hears the others, and how soon it takes one for dead. */
function asNode(name: string, own: number, all: number[], [state, changes]: [number, number]): string[] {
  const heard = [
    `gmcast.listen_addr=tcp://127.0.0.1:${own}`,
    `ist.recv_addr=127.0.0.1:${changes}`,
    'evs.keepalive_period=PT0.5S',
    'evs.suspect_timeout=PT2S',
    'evs.inactive_timeout=PT4S',
  ]
  return [
    '--wsrep-on=ON',
    `--wsrep-provider=${provider}`,
    '--wsrep-cluster-name=sure_spool',
    `--wsrep-cluster-address=gcomm://${all.map((port) => `127.0.0.1:${port}`).join()}`,
    `--wsrep-node-name=${name}`,
    '--wsrep-node-address=127.0.0.1',
    `--wsrep-provider-options=${heard.join(';')}`,
    `--wsrep-sst-receive-address=127.0.0.1:${state}`,
    // what one server has acknowledged the next one sees
    '--wsrep-sync-wait=1',
    '--binlog-format=ROW',
    '--innodb-autoinc-lock-mode=2',
  ]
}

/** How far a node came that was shot: what its service asks it for before it starts it again. */
function placeOf(name: string): string {
  const { stdout, stderr } = spawnSync(
    'mariadbd',
    [
      '--no-defaults',
      '--user=root',
      `--datadir=${join(folderOf(name), 'mariadb')}`,
      `--socket=${join(folderOf(name), 's')}`,
      '--wsrep-on=ON',
      `--wsrep-provider=${provider}`,
      '--wsrep-cluster-address=gcomm://',
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--wsrep-recover',
    ],
    { encoding: 'utf8', env: { ...process.env, PATH: `${process.env['PATH']}:/usr/sbin` } },
  )
  const [, place] = /Recovered position:\s*(\S+)/.exec(stdout + stderr) ?? []
  if (place === undefined) throw new Error(`It is not known how far ${name} came: ${stderr.slice(-400)}`)
  return place
}

async function synced(database: RunningDatabase, nodes: number): Promise<void> {
  for (const end = Date.now() + 60_000; Date.now() < end; await pause(250)) {
    const connection = await createConnection(database.url).catch(() => undefined)
    if (!connection) continue
    try {
      const [rows] = await connection.query<RowDataPacket[]>("SHOW STATUS LIKE 'wsrep_%'")
      const of = (what: string): unknown => rows.find((row) => row['Variable_name'] === what)?.['Value']
      if (of('wsrep_local_state_comment') === 'Synced' && Number(of('wsrep_cluster_size')) === nodes) return
    } catch {
      // it is not ready to be asked
    } finally {
      await connection.end().catch(() => undefined)
    }
  }
  throw new Error(`The node on ${database.port} did not join ${nodes}.`)
}

async function serverOn(database: RunningDatabase): Promise<Express> {
  const url = `${database.url}/spool_cluster`
  const connection = await connect(url, 'apps/server/drizzle')
  const heavy = new HeavyWork(url)
  connections.push(connection)
  heavies.push(heavy)
  return createApp({
    database: connection.database,
    heavy,
    version: 'test',
    requestsAMinute: 100_000,
    house: { house: 'open' },
  })
}

test('three nodes written through at once, one of them shot: nothing that was acknowledged is lost', async () => {
  const ports = await Promise.all(Array.from({ length: 9 }, anyPort))
  const own = ports.slice(0, 3)
  const start = (i: number, ...more: string[]) => {
    const [name = ''] = names.slice(i)
    return startDatabase(folderOf(name), {
      more: [...asNode(name, own[i] ?? 0, own, [ports[3 + i] ?? 0, ports[6 + i] ?? 0]), ...more],
    })
  }
  // all three begin from one copy, so that none has to be sent the whole
  const seed = await start(0, '--wsrep-new-cluster')
  await synced(seed, 1)
  await seed.stop()
  for (const name of names.slice(1)) {
    const data = join(folderOf(name), 'mariadb')
    cpSync(join(folderOf('one'), 'mariadb'), data, { recursive: true })
    // who brings it what it missed works as nobody where the tests run as root
    chmodSync(data, 0o777)
  }
  for (const [i] of names.entries()) {
    databases.push(await start(i, ...(i === 0 ? ['--wsrep-new-cluster'] : [])))
    for (const database of databases) await synced(database, i + 1)
  }
  const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
  const servers: Express[] = []
  for (const database of databases) servers.push(await serverOn(database))
  const [first] = connections
  if (!first) throw new Error('no node is there')
  await importShop(first.database, shop, null)

  const run = runOf(shop, 'SQ-0438')
  const path = `/api/v1/runs/${run.id}`
  const acknowledged: string[] = []
  let n = Math.max(...run.entries.map((entry) => entry.n))
  const note = (words: string): Entry => entryFor(run, { kind: 'note', words }, { n: ++n })
  /** As a browser does behind a proxy: what was not acknowledged goes up again, to whichever server answers. */
  async function send(entry: Entry, at: number): Promise<void> {
    for (let i = at; ; i++) {
      const server = servers[i % servers.length]
      const answer =
        server &&
        (await request(server)
          .post(`${path}/entries`)
          .send({ entries: [entry] }))
      if (answer?.status === 200) return void acknowledged.push(entry.id)
      expect([503, 504, 500]).toContain(answer?.status)
      await pause(200)
    }
  }
  const write = (count: number) =>
    Promise.all(
      names.map(async (name, at) => {
        for (let i = 0; i < count; i++) await send(note(`${name} ${i}`), at)
      }),
    )

  await write(10)
  const third = databases[2]
  if (!third) throw new Error('the third is missing')
  const shot = pause(150).then(() =>
    process.kill(Number(readFileSync(join(folderOf('three'), 'mariadb.pid'), 'utf8')), 'SIGKILL'),
  )
  await Promise.all([shot, write(15)])
  expect(acknowledged).toHaveLength(75)
  const idsAt = async (server: Express | undefined): Promise<string[]> => {
    const answer = await request(server as Express).get(path)
    return (answer.body as { run: { entries: Entry[] } }).run.entries.map(({ id }) => id)
  }
  for (const server of servers.slice(0, 2)) expect(await idsAt(server)).toEqual(expect.arrayContaining(acknowledged))
  const [a, b] = await Promise.all(servers.slice(0, 2).map(idsAt))
  expect(a).toEqual(b)
  expect(new Set(a).size).toBe(a?.length)

  // the third comes back, catches up, and is one of them again
  await third.stop()
  await pause(1500)
  databases[2] = await start(2, `--wsrep-start-position=${placeOf('three')}`)
  await synced(databases[2], 3)
  const back = await serverOn(databases[2])
  expect(await idsAt(back)).toEqual(a)
}, 300_000)
