import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { createServer as createSafeServer } from 'node:https'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { coreVersion } from '@sure-spool/core'
import { createApp } from './app'
import { connect } from './database/connect'
import { NewerSchema } from './database/migrations'
import { HeavyWork } from './heavy/heavyWork'
import type { House } from './http/comesIn'
import { sweepBodies } from './http/onDisk'
import { isLoopback } from './http/ownPages'

const here = dirname(fileURLToPath(import.meta.url))
const root = process.env['SPOOL_ROOT'] ?? join(here, '../..')
const host = process.env['HOST'] ?? '127.0.0.1'
const port = Number(process.env['PORT'] ?? 4180)
const hosts = [host, ...(process.env['ALLOWED_HOSTS'] ?? '').split(',')]
  .map((name) => name.trim().toLowerCase())
  .filter((name) => name !== '')
const url = process.env['DATABASE_URL'] ?? 'mysql://root@127.0.0.1:4181/sure_spool'
const adminUrl = process.env['DATABASE_ADMIN_URL']
const { TLS_CERT: certificate, TLS_KEY: certificateKey } = process.env
const safe = certificate !== undefined && certificateKey !== undefined
const behindProxy = process.env['BEHIND_PROXY'] === '1'
const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'info' })

/** Starts the server and says so; on SIGTERM or SIGINT it lets requests finish and leaves the database tidy. */
async function main(): Promise<void> {
  const house = houseOf()
  const connection = await connect(url, join(root, 'apps/server/drizzle'), adminUrl)
  const webRoot = process.env['WEB_ROOT'] ?? join(root, 'apps/web/dist')
  await sweepBodies()
  const heavy = new HeavyWork(url)
  const app = createApp({
    database: connection.database,
    heavy,
    version: coreVersion,
    webRoot,
    logger,
    hosts,
    house,
    behindProxy,
    backups: process.env['BACKUPS'],
  })
  const server = safe
    ? createSafeServer({ cert: readFileSync(certificate), key: readFileSync(certificateKey) }, app)
    : createServer(app)
  server.on('error', (error: NodeJS.ErrnoException) => {
    logger.fatal(
      error.code === 'EADDRINUSE' ? `Port ${port} is taken. Stop what uses it, or set PORT to another.` : error.message,
    )
    process.exit(1)
  })
  server.listen(port, host, () => logger.info(`Sure Spool answers on ${safe ? 'https' : 'http'}://${host}:${port}`))
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    server.close(() => void Promise.all([heavy.close(), connection.close()]).finally(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => server.closeAllConnections(), 5000).unref()
  }
  process.on('SIGTERM', stop)
  process.on('SIGINT', stop)
  // Whoever started this server holds its standard input; when that is gone, so is the need for it.
  if (process.env['SPOOL_LEASH'] === '1') process.stdin.resume().on('end', stop).on('error', stop)
}

class OpenToANetwork extends Error {}

/** @throws OpenToANetwork where a house that signs nobody in would be open to a network */
function houseOf(): House {
  const setupCode = process.env['SETUP_CODE']
  if (process.env['OPEN_HOUSE'] !== '1') return { house: 'shut', secure: safe || behindProxy, setupCode }
  if (isLoopback(host) && hosts.every(isLoopback) && !behindProxy) return { house: 'open' }
  throw new OpenToANetwork(
    `OPEN_HOUSE signs nobody in, so it listens on this machine alone, not on ${hosts.join(', ')}. For a network run npm start.`,
  )
}

main().catch((error: unknown) => {
  const said = error instanceof NewerSchema || error instanceof OpenToANetwork
  logger.fatal(
    { err: error },
    said ? error.message : 'The server did not start. Is the database up, and does DATABASE_URL point at it?',
  )
  process.exit(1)
})
