import type { Photo } from '@sure-spool/contract'
import { browserDatabase } from './browserDatabase'

/** For so long a photo that is with the server stays in this browser, to be seen while the server is away. */
const keptDays = 30

/** Keeps a photo in this browser before anything names it. */
export async function keepPhotoCopy(photo: Photo): Promise<void> {
  await (await browserDatabase()).photos.put(photo)
}

export const readPhotoCopy = async (id: string): Promise<Photo | undefined> => (await browserDatabase()).photos.get(id)

/** Where a picture is shown from: this browser's copy, else the server. */
export async function photoAddress(id: string): Promise<string> {
  const copy = await readPhotoCopy(id)
  return copy ? `data:image/jpeg;base64,${copy.data}` : `/api/v1/photos/${encodeURIComponent(id)}`
}

/** Lets go of old photos that the server has; what still waits to go up stays. */
export async function forgetOldPhotos(now: Date): Promise<void> {
  const database = await browserDatabase()
  const waiting = new Set((await database.outgoing.where('kind').equals('photo').toArray()).map(({ id }) => id))
  const before = new Date(now.getTime() - keptDays * 86_400_000).toISOString()
  const old = await database.photos.where('at').below(before).primaryKeys()
  await database.photos.bulkDelete(old.filter((id) => !waiting.has(id)))
}
