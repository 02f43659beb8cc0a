import type { Shop, ShopRewind } from '@sure-spool/contract'
import type { RewindEntry } from '@sure-spool/core'
import type { Queries } from '../database/connect'
import { ProblemError } from '../http/problem'
import { appendRewindEntries, asRewind, insertRewind, readRewindRow, type RewindRow } from '../repositories/rewinds'
import { allInstruments } from '../repositories/shop'
import { readUnit } from '../repositories/units'
import { takenUp } from './keepRewinds'

const refused = (status: number, path: string, detail: string) =>
  new ProblemError(status, status === 409 ? 'conflict' : 'refused', `Nothing was taken in: ${path} ${detail}.`, [
    { path, detail },
  ])

/**
 * Takes a shop file's rewinds in, by the rules of the bench. One that is here already under its id stays as it is.
 * @param people ids of those who may stand on a tape
 * @throws ProblemError 409 for another rewind under the same id, 422 for what is in neither the file nor the shop
 */
export async function importRewinds(queries: Queries, shop: Shop, people: ReadonlyMap<string, unknown>): Promise<void> {
  const kit = [...shop.instruments, ...(await allInstruments(queries))]
  for (const [i, source] of (shop.rewinds ?? []).entries()) {
    const path = `rewinds[${i}]`
    const before = await readRewindRow(queries, source.id)
    if (before && before.unit !== source.unit)
      throw refused(409, `${path}.id`, 'is another rewind here, of another unit')
    if (before) continue
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
      instruments: source.instruments.map((one, j) => {
        const found = typeof one === 'string' ? kit.find(({ id }) => id === one) : one
        if (!found)
          throw refused(422, `${path}.instruments[${j}]`, 'names a meter that is neither here nor in the file')
        return found
      }),
      coils: source.coils,
    }
    await insertRewind(queries, row)
    await appendRewindEntries(queries, inOrder(row, source as ShopRewind, people, path))
  }
}

function inOrder(row: RewindRow, { entries }: ShopRewind, people: ReadonlyMap<string, unknown>, path: string) {
  const sorted = entries.toSorted((a: RewindEntry, b: RewindEntry) => a.n - b.n)
  const stranger = sorted.find(({ by }) => !people.has(by))
  if (stranger)
    throw refused(422, `${path}.entries[${entries.indexOf(stranger)}].by`, 'names a person this shop does not know')
  return takenUp(asRewind(row, []), sorted, `${path}.entries`).map((entry) => ({
    ...entry,
    receivedAt: entry.receivedAt ?? entry.at,
  }))
}
