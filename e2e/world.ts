import { readFileSync } from 'node:fs'
import { test as base, expect } from '@playwright/test'
import { createConnection } from 'mysql2/promise'
import { anyPort } from '../tools/lib/database.mjs'
import { startServer, type RunningServer } from '../tools/lib/server.mjs'
import { BenchPage } from './benchPage'

/** A real server on a real database of its own, that a test may kill and start again on the same port. */
export class World {
  private constructor(
    private port: number,
    private databaseUrl: string,
    private server: RunningServer,
  ) {}

  static async begin(name: string): Promise<World> {
    const root = process.env['TEST_DATABASE_URL']
    if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test.')
    const connection = await createConnection(root)
    await connection.query(`DROP DATABASE IF EXISTS \`${name}\``)
    await connection.end()
    const port = await anyPort()
    const databaseUrl = `${root.replace(/\/$/, '')}/${name}`
    const world = new World(port, databaseUrl, await startServer({ port, databaseUrl, logFile: `.data/${name}.log` }))
    const body = readFileSync('demo/shop.json')
    const response = await fetch(`${world.address}/api/v1/shop/import`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    })
    if (!response.ok) throw new Error(await response.text())
    return world
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`
  }

  async get<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.address}/api/v1${path}`)).json()) as T
  }

  /** Ends the server without warning, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const gone = new Promise((resolve) => this.server.child.once('exit', resolve))
    this.server.child.kill('SIGKILL')
    await gone
  }

  async start(): Promise<void> {
    this.server = await startServer({
      port: this.port,
      databaseUrl: this.databaseUrl,
      logFile: '.data/spool_test_again.log',
    })
  }

  async end(): Promise<void> {
    await this.server.stop()
  }
}

export const test = base.extend<{ bench: BenchPage }, { world: World }>({
  world: [
    async ({}, use, info) => {
      const world = await World.begin(`spool_test_e2e_${info.parallelIndex}`)
      await use(world)
      await world.end()
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  bench: async ({ page, world }, use) => {
    await use(new BenchPage(page, world.address))
  },
})
export { expect }
