import type { QueueUnit } from '@sure-spool/contract'
import { dropAside } from './asideItems'
import { browserDatabase, keepRunCopy, readRunCopy } from './browserDatabase'
import { refersTo, withThoseThatRefer, type Outgoing } from './outgoing'
import { sealed } from './seats'

type BegunRun = Extract<Outgoing, { kind: 'run' }>

/**
 * Gives a run that was set aside, or that rests on a part that was, to another part of the same model: it goes up as that part's, with all
 * of its entries as they were made. Whoever does it is said to have begun it.
 * @param id of what was set aside: the run, the part it was taken in as, or one of its entries
 * @returns a sentence where it cannot be, else nothing
 */
export async function attachRun(id: string, unit: QueueUnit, by: string): Promise<string> {
  const { outgoing } = await browserDatabase()
  const all = await outgoing.orderBy('seq').toArray()
  const item = all.find((one) => one.id === id)
  const begun = item && runOf(item, all)
  if (!item || !begun)
    return 'Only a run that never went up can be given to another part. Send it again, or save it as a file.'
  const copy = await readRunCopy(begun.id)
  if (copy && copy.card.id !== unit.card.id)
    return `${unit.tag} is another model (${unit.maker} ${unit.model}), and this run was made on the card of ${copy.card.name.model}.`
  const { aside: _why, seal: _old, ...bare } = begun
  const { goOn: _with, ...body } = { ...begun.body, unit: unit.id, by }
  const seal = sealed(body)
  const own = withThoseThatRefer(begun, all).filter((one) => one.id !== begun.id)
  await outgoing.put({ ...bare, body, ...(seal ? { seal } : {}) })
  for (const { aside: _its, ...one } of own) await outgoing.put(one as Outgoing)
  if (copy) await keepRunCopy({ ...copy, unit: asInRun(unit) })
  // a part that was taken in twice goes, once nothing rests on it
  const others = all.some((one) => one.id !== begun.id && refersTo(one, new Set([item.id])))
  if (item.kind === 'unit' && !others) await dropAside(item.id, `its run was given to ${unit.tag}`)
  return ''
}

function runOf(item: Outgoing, all: Outgoing[]): BegunRun | undefined {
  const runs = all.filter((one): one is BegunRun => one.kind === 'run')
  if (item.kind === 'run') return item
  if (item.kind === 'entry') return runs.find((one) => one.id === item.run)
  return item.kind === 'unit' ? runs.find((one) => one.body.unit === item.id) : undefined
}

/** What stands of a part in its run. */
const asInRun = ({ id, tag, serial, items, variant, history, complaint, words }: QueueUnit) => ({
  id,
  tag,
  ...(serial === undefined ? {} : { serial }),
  ...(items === undefined ? {} : { items }),
  ...(variant === undefined ? {} : { variant }),
  history,
  complaint,
  words,
})
