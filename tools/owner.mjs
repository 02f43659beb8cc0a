import { join } from 'node:path'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { root } from './lib/paths.mjs'
import { run, Stop } from './lib/say.mjs'
import { show } from './lib/shell.mjs'
import { shopDatabase } from './lib/shop.mjs'

/** Lets somebody in as an owner with a new PIN and password, from the machine that the shop runs on: for when no owner can come in. */
await run(async () => {
  const name = process.argv.slice(2).join(' ').trim()
  if (name === '') throw new Stop('Say who: npm run owner -- "Their Name"')
  checkMachine()
  await ensureCommands(...(process.env.DATABASE_URL ? [] : ['mariadbd']))
  await ensurePackages()
  const { url, adminUrl, database } = await shopDatabase()
  const env = { ...process.env, DATABASE_URL: adminUrl ?? url }
  try {
    process.exitCode = await show(join(root, 'node_modules/.bin/tsx'), ['tools/owner.ts', name], { env })
  } finally {
    if (!database?.found) await database?.stop()
  }
})
