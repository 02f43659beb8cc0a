import { datesAhead, type Written, type WrittenCard } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { hashOf } from '../canonical'
import { inTransaction, type Database } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { dropRevision, keepRevision, readRevision, revisionsOf } from '../repositories/revisions'
import { note } from '../repositories/audit'
import { allowed } from './access'

const changedMeanwhile = 'somebody else has changed this draft. Open it again; what you wrote stays in this browser.'
const conflict = (detail: string) => new ProblemError(409, 'conflict', `Nothing was kept: ${detail}`)

/**
 * Keeps a draft, or a sketch, under its number. A draft may be written again while `replaces` is the hash it stands on.
 * @throws ProblemError 422 for a day that is yet to come; 409 where it is published, where somebody else wrote in the meantime, or where another draft stands
 */
export async function writeCard(database: Database, id: string, revision: number, body: WrittenCard): Promise<Written> {
  const card = body.card as Card
  if (card.id !== id || card.revision !== revision)
    throw new ProblemError(422, 'refused', 'Nothing was kept: the card is not the one its address names.')
  if (card.state === 'published')
    throw new ProblemError(422, 'refused', 'Nothing was kept: a card is written as a draft and then published.')
  const ahead = datesAhead(card, new Date()).map((one) => ({ ...one, path: `card.${one.path}` }))
  const [first] = ahead
  if (first) throw new ProblemError(422, 'refused', `Nothing was kept: ${first.path} ${first.detail}.`, ahead)
  const hash = hashOf(card)
  return inTransaction(database, async (queries) => {
    // a sketch is what a part without a card is measured on: whoever works makes one
    await allowed(queries, body.by, card.state === 'sketch' ? 'learner' : 'technician')
    const all = await revisionsOf(queries, id)
    const before = all.find((one) => one.revision === revision)
    if (before?.hash === hash) return { hash, revision, state: before.state }
    if (before && before.state !== 'draft') throw conflict(`revision ${revision} is ${before.state} and never changes.`)
    if (before && before.hash !== body.replaces) throw conflict(changedMeanwhile)
    const newest = all.at(-1)
    if (!before && newest && newest.state === 'draft')
      throw conflict(`revision ${newest.revision} of this card is a draft already. Go on with that one.`)
    if (!before && revision !== (newest?.revision ?? 0) + 1)
      throw conflict(`the next revision of this card is ${(newest?.revision ?? 0) + 1}.`)
    const written = { by: body.by, at: new Date().toISOString() }
    if (!(await keepRevision(queries, card, hash, written, before?.hash))) throw conflict(changedMeanwhile)
    return { hash, revision, state: card.state }
  })
}

/** Publishes a draft as it was last read: from now on it is measured against and never changes. */
export async function publishCard(
  database: Database,
  id: string,
  revision: number,
  { by, hash }: { by: string; hash: string },
): Promise<Written> {
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const draft = await readRevision(queries, id, revision)
    if (!draft) throw notFound('This draft')
    const published: Card = { ...draft, state: 'published' }
    const now = hashOf(published)
    if (draft.state === 'published') {
      if (hash === now || hash === hashOf({ ...draft, state: 'draft' }))
        return { hash: now, revision, state: 'published' }
      throw conflict(`revision ${revision} is published already with another body.`)
    }
    if (draft.state !== 'draft') throw conflict('a sketch is not published; make a card of it.')
    if (hashOf(draft) !== hash) throw conflict('the draft has changed since you read it. Look at it again.')
    if (draft.checks.length === 0)
      throw new ProblemError(422, 'refused', 'Nothing was published: a card without a check measures nothing.', [
        { path: 'checks', detail: 'is empty' },
      ])
    const written = { by, at: new Date().toISOString() }
    if (!(await keepRevision(queries, published, now, written, hash)))
      throw conflict('the draft has changed since you read it. Look at it again.')
    await note(queries, 'published', `${draft.name.maker} ${draft.name.model}`, by, { card: id, revision })
    return { hash: now, revision, state: 'published' }
  })
}

/** Throws a draft away. Published revisions and sketches stay. */
export async function dropDraft(
  database: Database,
  id: string,
  revision: number,
  by: string,
): Promise<{ dropped: true }> {
  return inTransaction(database, async (queries) => {
    await allowed(queries, by, 'technician')
    const draft = await readRevision(queries, id, revision)
    if (!draft) throw notFound('This draft')
    if (draft.state !== 'draft') throw conflict(`revision ${revision} is ${draft.state} and stays.`)
    if (!(await dropRevision(queries, id, revision))) throw conflict('it was published meanwhile, and stays.')
    await note(queries, 'dropped', `${draft.name.maker} ${draft.name.model}`, by, { card: id, revision })
    return { dropped: true }
  })
}
