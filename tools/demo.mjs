import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { moveDays } from '../demo/moveDays.mjs'
import { build } from './build.mjs'
import { portFree, startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'

const port = Number(process.env.PORT ?? 4180)
const host = process.env.HOST ?? '127.0.0.1'
const reset = process.argv.includes('--reset')
const demoFolder = join(dataFolder, 'demo')
const elsewhere = process.env.DATABASE_URL

await run(async () => {
  const running = []
  const stopAll = stopper(running)
  try {
    if (elsewhere && reset)
      throw new Stop('--reset is refused with DATABASE_URL: this program throws away only data it made itself.')
    if (!/^(127\.|localhost$|::1$)/.test(host))
      throw new Stop(
        `The demo signs nobody in, so it listens on this machine alone, not on ${host}. For a network: npm start`,
      )
    checkMachine()
    await ensureCommands(...(elsewhere ? [] : ['mariadbd']))
    await ensurePackages()
    await build()
    await portMustBeFree()
    if (reset) rmSync(demoFolder, { recursive: true, force: true })
    const url = elsewhere ?? (await privateDatabase(running))
    const server = await startServer({
      port,
      host,
      databaseUrl: url,
      logFile: join(dataFolder, 'server.log'),
      openHouse: true,
    })
    running.unshift(server)
    await loadDemo(server.address)
    say(`Sure Spool is ready: ${server.address}`)
    say('Ctrl-C stops the server and its database.')
    server.child.once('exit', (code) => {
      say(`The server stopped by itself (code ${code}); ${join(dataFolder, 'server.log')} says why.`)
      void stopAll(1)
    })
  } catch (error) {
    await stopAll.quietly()
    throw error
  }
})

async function privateDatabase(running) {
  say('Starting the database …')
  const database = await startDatabase(demoFolder)
  running.unshift(database)
  return `${database.url}/sure_spool`
}

/** A server whose start command was killed needs a moment to notice; anything else on the port is somebody else's. */
async function portMustBeFree() {
  for (let tries = 0; tries < 25; tries++) {
    if (await portFree(port, host)) return
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  throw new Stop(`Port ${port} is taken. Stop what uses it, or choose another: PORT=4200 npm run demo`)
}

/** Demo data goes only into an empty shop, by the same import a user has. */
async function loadDemo(address) {
  const shop = await fetch(`${address}/api/v1/shop`).then((response) => response.json())
  if (shop.people.length > 0) return
  say('Loading the demo shop …')
  const body = moveDays(readFileSync(join(root, 'demo/shop.json'), 'utf8'))
  const response = await fetch(`${address}/api/v1/shop/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  })
  if (!response.ok) throw new Stop(`The demo shop was refused: ${await response.text()}`)
}

function stopper(running) {
  let stopping = false
  const quietly = async () => {
    stopping = true
    for (const one of running.splice(0)) {
      one.child?.removeAllListeners('exit')
      await one.stop()
    }
  }
  const stopAll = async (code) => {
    if (stopping) return
    say('Stopping …')
    await quietly()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stopAll(0))
  return Object.assign(stopAll, { quietly })
}
