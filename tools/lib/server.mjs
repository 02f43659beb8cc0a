import { spawn } from 'node:child_process'
import { openSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { root } from './paths.mjs'
import { Stop } from './say.mjs'

/** Starts the built server and waits until it answers. It ends by itself when this process is gone. */
export async function startServer({ port, host = '127.0.0.1', databaseUrl, logFile }) {
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
    },
  })
  const address = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  for (const end = Date.now() + 30_000; Date.now() < end; await pause(100)) {
    if (child.exitCode !== null) throw new Stop(`The server stopped at once${logFile ? `; ${logFile} says why` : ''}.`)
    const ready = await fetch(`${address}/readyz`).then(
      (response) => response.ok,
      () => false,
    )
    if (ready) return { address, child, stop: () => stop(child) }
  }
  await stop(child)
  throw new Stop('The server did not answer within half a minute.')
}

async function stop(child) {
  if (child.exitCode !== null || child.signalCode !== null) return
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGTERM')
  await Promise.race([gone, pause(10_000, undefined, { ref: false }).then(() => child.kill('SIGKILL'))])
}
