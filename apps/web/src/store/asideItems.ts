import { browserDatabase, keepCopy, readCopy } from './browserDatabase'
import { refersTo, withThoseThatRefer, type Outgoing } from './outgoing'
import { keepPhotoCopy, readPhotoCopy } from './photoCopies'

/** An item that was set aside and all that rests on it, in the order in which they were made; none where it is not here. */
async function withItsOwn(id: string): Promise<Outgoing[]> {
  const all = await (await browserDatabase()).outgoing.orderBy('seq').toArray()
  const item = all.find((one) => one.id === id)
  return item ? withThoseThatRefer(item, all) : []
}

/**
 * Of all that waits what can be sent. What was made since, and rests on what was set aside, is put beside it: without that the server could
 * make nothing of it.
 */
export async function readyToGo(all: Outgoing[]): Promise<Outgoing[]> {
  const { outgoing } = await browserDatabase()
  const aside = new Set<string>()
  const ready: Outgoing[] = []
  for (const item of all) {
    const isOn = refersTo(item, aside)
    if (isOn && !item.aside)
      await outgoing.put({ ...item, aside: { status: 424, detail: 'rests on one that was set aside' } })
    if (isOn || item.aside) aside.add(item.id)
    else ready.push(item)
  }
  return ready
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

/** Items as a file carries them: a photo with its picture, as far as it is here. */
export const asFiled = (items: readonly Outgoing[]): Promise<Outgoing[]> =>
  Promise.all(
    items.map(async (item) => {
      const photo = item.kind === 'photo' ? await readPhotoCopy(item.id) : undefined
      return photo && item.kind === 'photo' ? { ...item, picture: photo.data } : item
    }),
  )

/** Puts items from a file among what waits, a photo's picture beside it. @returns how many were not here already */
export async function addAgain(items: readonly Outgoing[]): Promise<number> {
  const { outgoing } = await browserDatabase()
  for (const item of items)
    if (item.kind === 'photo' && item.picture !== undefined) await keepPhotoCopy({ ...item.body, data: item.picture })
  const here = new Set((await outgoing.toArray()).map((one) => one.id))
  const fresh = items.filter((one) => !here.has(one.id))
  for (const { seq: _place, aside: _why, ...one } of fresh) {
    const { picture: _beside, ...bare } = one as typeof one & { picture?: string }
    await outgoing.add(bare as Outgoing)
  }
  return fresh.length
}
