import { spawn } from 'node:child_process'
import { openSync } from 'node:fs'
import http from 'node:http'
import https from 'node:https'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { root } from './paths.mjs'
import { Stop } from './say.mjs'

/**
 * Starts the built server and waits until it answers. It ends by itself when this process is gone.
 * @param openHouse signs nobody in: for the demo and for tests; else the first owner comes in by `setupCode`
 * @param env more of its environment (WEB_ROOT, BEHIND_PROXY …)
 * @param adminUrl where the server's own user may not make tables: who may
 */
export async function startServer({
  port,
  host = '127.0.0.1',
  databaseUrl,
  adminUrl,
  logFile,
  openHouse = false,
  setupCode,
  env = {},
}) {
  const out = logFile ? openSync(logFile, 'a') : 'inherit'
  const child = spawn(process.execPath, ['--enable-source-maps', join(root, 'apps/server/dist/main.js')], {
    cwd: root,
    detached: true,
    stdio: ['pipe', out, out],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      HOST: host,
      DATABASE_URL: databaseUrl,
      SPOOL_ROOT: root,
      SPOOL_LEASH: '1',
      OPEN_HOUSE: openHouse ? '1' : '',
      ...(adminUrl === undefined ? {} : { DATABASE_ADMIN_URL: adminUrl }),
      ...(setupCode === undefined ? {} : { SETUP_CODE: setupCode }),
      ...env,
    },
  })
  const safe = process.env.TLS_CERT && process.env.TLS_KEY
  const address = `${safe ? 'https' : 'http'}://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  for (const end = Date.now() + 60_000; Date.now() < end; await pause(100)) {
    if (child.exitCode !== null) throw new Stop(`The server stopped at once${logFile ? `; ${logFile} says why` : ''}.`)
    if (await isReady(address)) return { address, child, stop: () => stop(child) }
  }
  await stop(child)
  throw new Stop('The server did not answer within a minute.')
}

/**
 * Asks the server itself: whose its certificate is, and for which name, is for whoever comes from elsewhere.
 * @returns its status and what it says; undefined where nobody answers
 */
export function askItself(address, path) {
  const { get } = address.startsWith('https') ? https : http
  return new Promise((resolve) => {
    get(`${address}${path}`, { rejectUnauthorized: false }, (response) => {
      let body = ''
      response.on('data', (data) => (body += data))
      response.on('end', () => resolve({ status: response.statusCode, body }))
      response.on('error', () => resolve(undefined))
    }).on('error', () => resolve(undefined))
  })
}
const isReady = async (address) => (await askItself(address, '/readyz'))?.status === 200

async function stop(child) {
  if (child.exitCode !== null || child.signalCode !== null) return
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGTERM')
  await Promise.race([gone, pause(10_000, undefined, { ref: false }).then(() => child.kill('SIGKILL'))])
}
