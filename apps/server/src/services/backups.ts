import type { Backups } from '@sure-spool/contract'
import { readdir, readFile, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { z } from 'zod'

const ending = '.sql.gz'
const mostShown = 30
const triedSchema = z.object({ at: z.iso.datetime(), tables: z.number(), differ: z.array(z.string()) })

/**
 * The backups of a folder, as the commands that write them leave them there: the file, and beside it what its trial found.
 * @param folder none where nobody keeps backups here, as in the demo
 * @returns the newest thirty; a folder that is not there yet has none
 */
export async function backupsIn(folder: string | undefined): Promise<Backups> {
  if (folder === undefined) return { kept: false, backups: [] }
  const names = await readdir(folder).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return []
    throw error
  })
  const files = names.filter((name) => name.endsWith(ending))
  const all = await Promise.all(files.map((name) => oneOf(join(folder, name))))
  const backups = all.toSorted((a, b) => (a.at < b.at ? 1 : -1)).slice(0, mostShown)
  return { kept: true, backups }
}

async function oneOf(file: string): Promise<Backups['backups'][number]> {
  const { mtime, size } = await stat(file)
  const tried = await triedOf(`${file}.tried`)
  return { at: mtime.toISOString(), bytes: size, ...(tried ? { tried } : {}) }
}

/** Not tried, or in the middle of it: then there is nothing that can be read. */
async function triedOf(file: string): Promise<z.infer<typeof triedSchema> | undefined> {
  try {
    return triedSchema.parse(JSON.parse(await readFile(file, 'utf8')))
  } catch {
    return undefined
  }
}
