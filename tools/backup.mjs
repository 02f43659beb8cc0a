import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { run, say } from './lib/say.mjs'
import { backupFolder, shopDatabase } from './lib/shop.mjs'

/** Backs the shop up into one file, brings it back on trial, and throws away what is kept no longer: 14 days, 12 months. */
await run(async () => {
  checkMachine()
  await ensureCommands('mariadbd')
  await ensurePackages()
  const { backUp, rehearse, tidy } = await import('./lib/backup.mjs')
  const { url, adminUrl = url, database } = await shopDatabase()
  try {
    const file = await backUp(adminUrl, backupFolder)
    say(`Backed up: ${file}`)
    const { tables, differ } = await rehearse(adminUrl, file)
    say(
      `Brought back on trial: ${Object.keys(tables).length} tables, ${differ.length === 0 ? 'every one the same' : `work went on in ${differ.join(', ')}`}.`,
    )
    const gone = tidy(backupFolder)
    if (gone > 0) say(`${gone} older ones are kept no longer.`)
  } finally {
    if (!database?.found) await database?.stop()
  }
})
