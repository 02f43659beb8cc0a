import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { build } from './build.mjs'
import { portFree } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { askItself, startServer } from './lib/server.mjs'
import { backupFolder, shopDatabase, shopFolder, shopSecrets } from './lib/shop.mjs'

/**
 * The real shop: empty at first, on a private database of its own or on DATABASE_URL. Server and database are watched, and started again
 * when they end by themselves.
 */
const port = Number(process.env.PORT ?? 4180)
const host = process.env.HOST ?? '127.0.0.1'
const loopback = /^(127\.|localhost$|::1$)/.test(host)
const safe = Boolean(process.env.TLS_CERT && process.env.TLS_KEY)
const longestPause = 30_000
/** whoever ran for so long is not one that cannot start */
const wellMs = 60_000

let stopping = false
let places
let server

await run(async () => {
  checkMachine()
  await ensureCommands(...(process.env.DATABASE_URL ? [] : ['mariadbd']))
  await ensurePackages()
  await build()
  if (!(await portFree(port, host))) throw new Stop(`Port ${port} is taken. Stop what uses it, or set PORT to another.`)
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stopAll())
  say('Starting the database …')
  places = await shopDatabase()
  watchDatabase()
  await keepAsItWas()
  await startWatched()
  say(`Sure Spool is ready: ${server.address}`)
  if ((await house()) === 'empty')
    say(`This shop is empty. Open it in a browser; its owner comes in with the code ${readable(shopSecrets().setup)}.`)
  if (!loopback && !safe)
    say('Without TLS a browser keeps no program and works only while the server answers: set TLS_CERT and TLS_KEY.')
  setInterval(() => void backUpToday(), 3_600_000).unref()
  void backUpToday()
  say(`Its data is in ${shopFolder}. Ctrl-C stops it.`)
}).finally(() => process.exitCode === 1 && void stopAll())

function readable(code) {
  return `${code.slice(0, 4)}-${code.slice(4)}`
}

/** Whether the shop has its owner yet. */
async function house() {
  const door = await askItself(server.address, '/api/v1/door')
  return door?.status === 200 ? JSON.parse(door.body).house : 'shut'
}

async function startWatched() {
  const { setup } = shopSecrets()
  const logFile = join(shopFolder, 'server.log')
  server = await startServer({
    port,
    host,
    databaseUrl: places.url,
    adminUrl: places.adminUrl,
    logFile,
    setupCode: setup,
    env: { BACKUPS: backupFolder },
  })
  const begun = Date.now()
  server.child.once('exit', (code) => void (stopping || again('server', code, begun, startWatched)))
}

function watchDatabase() {
  const begun = Date.now()
  places.database?.child?.once('exit', (code) => {
    const restart = async () => {
      places = await shopDatabase(places.database.port)
      watchDatabase()
    }
    if (!stopping) void again('database', code, begun, restart)
  })
}

/** Starts again what ended by itself, at once where it ran well, else after longer and longer pauses. */
async function again(what, code, begun, start) {
  say(`The ${what} ended by itself (code ${code}); it is started again. ${shopFolder} has its log.`)
  for (let wait = Date.now() - begun > wellMs ? 0 : 1000; !stopping; wait = Math.min(longestPause, 2 * wait || 1000)) {
    await pause(wait)
    if (stopping) return
    try {
      await start()
      say(`The ${what} is back.`)
      return
    } catch (error) {
      say(`The ${what} does not start: ${error instanceof Error ? error.message : error}`)
    }
  }
}

/** Before a newer program changes the tables, the shop as the older one left it. */
async function keepAsItWas() {
  const { isBehind } = await import('./lib/behind.mjs')
  const { backUp } = await import('./lib/backup.mjs')
  const admin = places.adminUrl ?? places.url
  if (!(await isBehind(admin))) return
  say('This program keeps its tables otherwise than the last one did: the shop as it stands is backed up first.')
  say(`Backed up: ${await backUp(admin, backupFolder)}`)
}

/** Once a day, into the backup folder; what fails is said, and tried again in an hour. */
async function backUpToday() {
  const { backUpDaily } = await import('./lib/backup.mjs')
  try {
    const file = await backUpDaily(places.adminUrl ?? places.url, backupFolder)
    if (file) say(`Backed up, and brought back on trial: ${file}`)
  } catch (error) {
    say(`The backup failed, and is tried again in an hour: ${error instanceof Error ? error.message : error}`)
  }
}

async function stopAll() {
  if (stopping) return
  stopping = true
  await server?.stop()
  if (!places?.database?.found) await places?.database?.stop()
  process.exit()
}
