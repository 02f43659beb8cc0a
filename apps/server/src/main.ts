import { createServer } from 'node:http'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { coreVersion } from '@sure-spool/core'
import { createApp } from './app'
import { connect } from './database/connect'
import { HeavyWork } from './heavy/heavyWork'

const here = dirname(fileURLToPath(import.meta.url))
const root = process.env['SPOOL_ROOT'] ?? join(here, '../..')
const host = process.env['HOST'] ?? '127.0.0.1'
const port = Number(process.env['PORT'] ?? 4180)
const url = process.env['DATABASE_URL'] ?? 'mysql://root@127.0.0.1:4181/sure_spool'
const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'info' })

/** Starts the server and says so; on SIGTERM or SIGINT it lets requests finish and leaves the database tidy. */
async function main(): Promise<void> {
  const connection = await connect(url, join(root, 'apps/server/drizzle'))
  const webRoot = process.env['WEB_ROOT'] ?? join(root, 'apps/web/dist')
  const heavy = new HeavyWork(url)
  const app = createApp({ database: connection.database, heavy, version: coreVersion, webRoot, logger })
  const server = createServer(app)
  server.on('error', (error: NodeJS.ErrnoException) => {
    logger.fatal(
      error.code === 'EADDRINUSE' ? `Port ${port} is taken. Stop what uses it, or set PORT to another.` : error.message,
    )
    process.exit(1)
  })
  server.listen(port, host, () => logger.info(`Sure Spool answers on http://${host}:${port}`))
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

main().catch((error: unknown) => {
  logger.fatal({ err: error }, 'The server did not start. Is the database up, and does DATABASE_URL point at it?')
  process.exit(1)
})
