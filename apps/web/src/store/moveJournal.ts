import { browserDatabase, merged } from './browserDatabase'
import { jotted, unjot } from './journal'

/**
 * Moves what was jotted into the browser's database, oldest first, each entry onto its run's copy too. Looking and adding are one
 * transaction: two tabs at once put one item in once.
 */
export async function moveJournal(): Promise<void> {
  const database = await browserDatabase()
  for (const item of jotted()) {
    await database.transaction('rw', database.outgoing, database.runs, async () => {
      if ((await database.outgoing.where('id').equals(item.id).count()) > 0) return
      await database.outgoing.add(item)
      const row = item.kind === 'entry' ? await database.runs.get(item.run) : undefined
      if (row && item.kind === 'entry')
        await database.runs.put({ ...row, run: { ...row.run, entries: merged(row.run.entries, [item.body]) } })
    })
    unjot(item.id)
  }
}
