import { photosNamed, type Photo, type RewindView, type ShopRewind } from '@sure-spool/contract'
import type { Instrument, Rewind, RewindEntry } from '@sure-spool/core'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { ProblemError } from '../http/problem'
import { note } from '../repositories/audit'
import { allPeople } from '../repositories/people'
import { appendRewindEntries, asRewind, insertRewind, readRewindRow, type RewindRow } from '../repositories/rewinds'
import { readUnit } from '../repositories/units'
import { allowed } from './access'
import { importPhoto } from './keepPhoto'
import { takenUp, viewRewind } from './keepRewinds'

const refused = (status: number, path: string, detail: string) =>
  new ProblemError(status, status === 409 ? 'conflict' : 'refused', `Nothing was taken in: ${path} ${detail}.`, [
    { path, detail },
  ])

/**
 * Takes a rewind of a shop's file in, by the rules of the bench. One that is here already under its id stays as it is.
 * @param kit the meters of the file and of the shop
 * @param people ids of those who may stand on a tape
 * @throws ProblemError 409 for another rewind under the same id, 422 for what is in neither the file nor the shop
 */
export async function importRewind(
  queries: Queries,
  source: ShopRewind,
  { kit, people, path }: { kit: Instrument[]; people: ReadonlyMap<string, unknown>; path: string },
): Promise<void> {
  const instruments = source.instruments.map((one, j) => {
    const found = typeof one === 'string' ? kit.find(({ id }) => id === one) : (one as Instrument)
    if (!found) throw refused(422, `${path}.instruments[${j}]`, 'names a meter that is neither here nor in the file')
    return found
  })
  await takeOne(queries, { ...source, instruments }, people, path)
}

/**
 * Takes one rewind's own file in, as it was made, at the unit it was made for, with photos that it names. What is
 * here already under its id stays as it is.
 * @throws ProblemError 403 for somebody who only learns, 409, 422 as above, and 422 where the address names another rewind
 * or a photo comes that the rewind does not name
 */
export async function takeRewindFile(
  database: Database,
  id: string,
  { rewind: file, photos = [], by }: { rewind: Rewind; photos?: Photo[] | undefined; by: string },
): Promise<RewindView> {
  if (file.id !== id) throw refused(422, 'rewind.id', 'is another than the address names')
  const named = new Set(photosNamed(file.entries))
  const strange = photos.findIndex((photo) => !named.has(photo.id))
  if (strange >= 0) throw refused(422, `photos[${strange}].id`, 'is named nowhere in the rewind')
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const people = new Map((await allPeople(queries)).map(({ id: one }) => [one, true]))
    // a rewind's file names nobody as its beginner: who made its first entry was there, else who brings it
    const first = file.entries.toSorted((a, b) => a.n - b.n)[0]?.by ?? by
    const startedBy = people.has(first) ? first : by
    await takeOne(queries, { ...file, startedBy }, people, 'rewind')
    for (const [i, photo] of photos.entries()) await importPhoto(queries, photo, people, `photos[${i}]`)
    await note(queries, 'imported', 'a rewind', by, {
      rewind: id,
      entries: file.entries.length,
      photos: photos.length,
    })
    return viewRewind(queries, id)
  })
}

type Source = Pick<Rewind, 'id' | 'unit' | 'before' | 'startedAt' | 'instruments' | 'coils' | 'entries'> & {
  startedBy: string
}

async function takeOne(
  queries: Queries,
  source: Source,
  people: ReadonlyMap<string, unknown>,
  path: string,
): Promise<void> {
  const before = await readRewindRow(queries, source.id)
  if (before && before.unit !== source.unit) throw refused(409, `${path}.id`, 'is another rewind here, of another unit')
  if (before) return
  const unit = await readUnit(queries, source.unit)
  if (!unit) throw refused(422, `${path}.unit`, 'names a unit that is neither in this file nor in this shop')
  if (!people.has(source.startedBy))
    throw refused(422, `${path}.startedBy`, 'names a person that is neither in this file nor in this shop')
  const row: RewindRow = {
    id: source.id,
    unit: unit.id,
    card: unit.card.id,
    before: source.before ?? null,
    startedAt: source.startedAt,
    startedBy: source.startedBy,
    instruments: source.instruments,
    coils: source.coils,
  }
  await insertRewind(queries, row)
  await appendRewindEntries(queries, inOrder(row, source.entries, people, path))
}

function inOrder(row: RewindRow, entries: RewindEntry[], people: ReadonlyMap<string, unknown>, path: string) {
  const sorted = entries.toSorted((a, b) => a.n - b.n)
  const stranger = sorted.find(({ by }) => !people.has(by))
  if (stranger)
    throw refused(422, `${path}.entries[${entries.indexOf(stranger)}].by`, 'names a person this shop does not know')
  return takenUp(asRewind(row, []), sorted, `${path}.entries`).map((entry) => ({
    ...entry,
    receivedAt: entry.receivedAt ?? entry.at,
  }))
}
