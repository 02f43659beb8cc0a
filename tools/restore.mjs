import { resolve } from 'node:path'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { shopDatabase, shopFolder } from './lib/shop.mjs'

/** Brings a backup back into an empty shop. Nothing is overwritten. */
await run(async () => {
  const [file] = process.argv.slice(2)
  if (!file) throw new Stop('Say which: npm run restore -- FILE')
  checkMachine()
  await ensureCommands('mariadbd')
  await ensurePackages()
  const { restore } = await import('./lib/backup.mjs')
  const { url, adminUrl = url, database } = await shopDatabase()
  try {
    const counts = await restore(adminUrl, resolve(file))
    for (const [table, said] of Object.entries(counts)) say(`${table}: ${said.split(',')[0]}`)
    say(`Brought back. ${database ? `The shop in ${shopFolder} begins with it` : 'The shop begins with it'}: npm start`)
  } finally {
    if (!database?.found) await database?.stop()
  }
})
