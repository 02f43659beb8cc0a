import { readFileSync } from 'node:fs'
import { test as base, expect, type BrowserContext, type BrowserContextOptions } from '@playwright/test'
import { createConnection } from 'mysql2/promise'
import { anyPort } from '../tools/lib/database.mjs'
import { startServer, type RunningServer } from '../tools/lib/server.mjs'
import { BenchPage } from './benchPage'

type House = { openHouse: true; env?: Record<string, string> } | { openHouse: false; setupCode: string }

/** A real server on a real database of its own, that a test may kill and start again on the same port. */
export class World {
  private constructor(
    private port: number,
    private databaseUrl: string,
    private server: RunningServer,
    private house: House,
  ) {}

  /** @param house the demo's, which signs nobody in, or an empty one that takes its owner by a code */
  static async begin(name: string, house: House = { openHouse: true }): Promise<World> {
    const root = process.env['TEST_DATABASE_URL']
    if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test.')
    const connection = await createConnection(root)
    await connection.query(`DROP DATABASE IF EXISTS \`${name}\``)
    await connection.end()
    const port = await anyPort()
    const databaseUrl = `${root.replace(/\/$/, '')}/${name}`
    const world = new World(
      port,
      databaseUrl,
      await startServer({ port, databaseUrl, logFile: `.data/${name}.log`, ...house }),
      house,
    )
    if (!house.openHouse) return world
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

  async post(path: string, body: unknown): Promise<void> {
    const response = await fetch(`${this.address}/api/v1${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!response.ok) throw new Error(await response.text())
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
      ...this.house,
    })
  }

  async end(): Promise<void> {
    await this.server.stop()
  }
}

interface Around {
  bench: BenchPage
  /** what the browser may complain of in a test that brings it about: a server that is gone, an address that names nothing */
  tolerated: RegExp | undefined
  /** another browser of its own, watched like the first */
  another: (options?: BrowserContextOptions) => Promise<BrowserContext>
  said: string[]
  quiet: void
}

export const test = base.extend<Around, { world: World }>({
  world: [
    async ({}, use, info) => {
      const world = await World.begin(`spool_test_e2e_${info.parallelIndex}`)
      await use(world)
      await world.end()
    },
    { scope: 'worker', timeout: 150_000 },
  ],
  tolerated: [undefined, { option: true }],
  said: async ({}, use) => use([]),
  bench: async ({ page, world }, use) => {
    await use(new BenchPage(page, world.address))
  },
  another: async ({ browser, said }, use) => {
    const opened: BrowserContext[] = []
    await use(async (options) => {
      const context = await browser.newContext(options)
      opened.push(context)
      listen(context, said)
      return context
    })
    await Promise.all(opened.map((context) => context.close()))
  },
  /** No screen complains in the console, in any test. */
  quiet: [
    async ({ context, said, tolerated }, use) => {
      listen(context, said)
      await use()
      expect(
        said.filter((text) => !tolerated?.test(text)),
        'what the browser complained of',
      ).toEqual([])
    },
    { auto: true },
  ],
})

function listen(context: BrowserContext, said: string[]): void {
  context.on('console', (message) => {
    const type = message.type()
    if (type === 'error' || type === 'warning') said.push(`${type}: ${message.text()} ${message.location().url}`)
  })
  context.on('weberror', (error) => said.push(`error: ${String(error.error())}`))
}
export { expect }
