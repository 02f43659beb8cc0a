import { readFileSync, rmSync } from 'node:fs'
import { basename, join } from 'node:path'
import { build, bundle } from './build.mjs'
import { anyPort, startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { show } from './lib/shell.mjs'

/** Speed as ratios, each against a baseline named in its line and measured in the same run. */
const parts = ['judge', 'sense', 'load', 'save', 'key', 'open', 'takeIn', 'health', 'find', 'queue', 'size']
const only = process.argv.slice(2)
/** What measures the core alone is bundled as the core is when it ships. */
const ofCore = new Set(['judge', 'sense'])
const tsx = join(root, 'node_modules/.bin/tsx')

function asShipped(source) {
  const outdir = join(root, 'apps/server/dist/bench')
  const made = bundle([source], outdir)
  if (made.code !== 0) throw new Stop(`${source} does not build:\n${made.output}`)
  return join(outdir, basename(source).replace('.ts', '.js'))
}

await run(async () => {
  checkMachine()
  await ensureCommands('mariadbd', 'chromium')
  await ensurePackages()
  await build()
  const folder = join(dataFolder, 'bench')
  rmSync(folder, { recursive: true, force: true })
  const database = await startDatabase(folder)
  let server
  try {
    const env = { ...process.env, DATABASE_URL: `${database.url}/sure_spool_bench` }
    server = await startServer({
      port: await anyPort(),
      databaseUrl: env.DATABASE_URL,
      logFile: join(dataFolder, 'bench.log'),
      openHouse: true,
    })
    const response = await fetch(`${server.address}/api/v1/shop/import`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: readFileSync(join(root, 'demo/shop.json')),
    })
    if (!response.ok) throw new Stop(await response.text())
    for (const part of parts.filter((one) => only.length === 0 || only.includes(one))) {
      const source = `tools/bench/${part}.ts`
      const command = ofCore.has(part) ? [process.execPath, asShipped(source)] : [tsx, source]
      const code = await show(command[0], command.slice(1), { env: { ...env, ADDRESS: server.address } })
      if (code !== 0) {
        say(`The part "${part}" did not finish.`)
        process.exitCode = 1
      }
    }
  } finally {
    await server?.stop()
    await database.stop()
  }
})
