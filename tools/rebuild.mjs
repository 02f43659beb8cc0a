import { join } from 'node:path'
import { startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run } from './lib/say.mjs'
import { show } from './lib/shell.mjs'

/** Computes all run states again from the entries: after a new core, or when a list looks wrong. */
await run(async () => {
  checkMachine()
  await ensureCommands(...(process.env.DATABASE_URL ? [] : ['mariadbd']))
  await ensurePackages()
  const database = process.env.DATABASE_URL ? null : await startDatabase(join(dataFolder, 'demo'))
  const env = { ...process.env, DATABASE_URL: process.env.DATABASE_URL ?? `${database.url}/sure_spool` }
  try {
    process.exitCode = await show(join(root, 'node_modules/.bin/tsx'), ['tools/rebuild.ts'], { env })
  } finally {
    await database?.stop()
  }
})
