import { browserDatabase, keepCopy, readCopy } from './browserDatabase'
import { withThoseThatRefer, type Outgoing } from './outgoing'

/** An item that was set aside and all that rests on it, in the order in which they were made; none where it is not here. */
async function withItsOwn(id: string): Promise<Outgoing[]> {
  const all = await (await browserDatabase()).outgoing.orderBy('seq').toArray()
  const item = all.find((one) => one.id === id)
  return item ? withThoseThatRefer(item, all) : []
}

/** Puts what was set aside among what waits again, with what rests on it. */
export async function release(id: string): Promise<void> {
  const { outgoing } = await browserDatabase()
  for (const { aside: _why, ...one } of await withItsOwn(id)) await outgoing.put(one as Outgoing)
}

/** Takes what was set aside out, with what rests on it; what it was, when it went and why stays as a copy. */
export async function dropAside(id: string, reason: string): Promise<void> {
  const { outgoing } = await browserDatabase()
  const gone = (await withItsOwn(id)).filter((one) => one.aside)
  if (gone.length === 0) return
  const before = (await readCopy<unknown[]>('thrown away')) ?? []
  await keepCopy('thrown away', [...before, { at: new Date().toISOString(), reason, items: gone }])
  await outgoing.bulkDelete(gone.flatMap((one) => one.seq ?? []))
}

/** Puts items from a file among what waits. @returns how many were not here already */
export async function addAgain(items: readonly Outgoing[]): Promise<number> {
  const { outgoing } = await browserDatabase()
  const here = new Set((await outgoing.toArray()).map((one) => one.id))
  const fresh = items.filter((one) => !here.has(one.id))
  for (const { seq: _place, aside: _why, ...one } of fresh) await outgoing.add(one as Outgoing)
  return fresh.length
}
