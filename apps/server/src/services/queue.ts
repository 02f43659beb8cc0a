import type { MovedUnit, NewRun, NewUnit, Queue, RunView, Unit } from '@sure-spool/contract'
import { runState, summarise, type Run } from '@sure-spool/core'
import { canonical } from '../canonical'
import { databaseCode } from '../database/codes'
import { inTransaction, type Database, type Queries } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { notFound, ProblemError } from '../http/problem'
import { countUnit } from '../repositories/cardTallies'
import { readRevision } from '../repositories/revisions'
import { rememberRun, runById } from '../repositories/rememberedRuns'
import { insertRun, readRun, readRunRow } from '../repositories/runs'
import { note } from '../repositories/audit'
import { allInstruments, readSettings } from '../repositories/shop'
import { allowed } from './access'
import { freeTag } from './freeTag'
import { keepJudged } from './keepJudged'
import { lastRunOf, limitsSince, openRunOf, revisionNow } from './unitRuns'
import {
  countPlaces,
  insertUnit,
  listUnits,
  moveUnit,
  readUnit,
  setHistory,
  type QueuePage,
} from '../repositories/units'

/** A page of the queue, newest first, with how many stand where. */
export async function queue(
  queries: Queries,
  query: Pick<QueuePage, 'place' | 'tray' | 'tag' | 'limit'> & { cursor?: string | undefined },
): Promise<Queue> {
  const after = decodeCursor('queue', query.cursor)
  const [units, counts] = await Promise.all([
    listUnits(queries, { place: query.place, tray: query.tray, tag: query.tag, after, limit: query.limit + 1 }),
    countPlaces(queries),
  ])
  const page = units.slice(0, query.limit)
  const last = page.at(-1)
  const more = units.length > query.limit && last !== undefined
  return {
    units: page,
    counts,
    ...(more ? { next: encodeCursor('queue', { takenInAt: last.takenInAt, id: last.id }) } : {}),
  }
}

/**
 * Takes a unit in. The same unit again is the same unit; another body under its id is a conflict. A tag that is on another unit by now
 * keeps nobody out: the later unit gets the next one, and the answer says which.
 */
export async function takeIn(database: Database, body: NewUnit): Promise<Unit> {
  for (let meetings = 0; ; meetings++) {
    try {
      return await takeInOnce(database, body)
    } catch (error) {
      // two that came at once for one tag: the one that lost looks again
      if (meetings === mostMeetings || databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    }
  }
}
const mostMeetings = 20

function takeInOnce(database: Database, body: NewUnit): Promise<Unit> {
  return inTransaction(database, async (queries) => {
    const before = await readUnit(queries, body.id)
    if (before) {
      const { place: _place, blockedBy: _blockedBy, ...kept } = before
      // the tag it was given stands, whatever it was sent with
      if (canonical(kept) === canonical({ ...body, tag: kept.tag })) return before
      throw new ProblemError(
        409,
        'conflict',
        'Nothing was kept: a unit with this id is there already with another body.',
      )
    }
    await allowed(queries, body.takenInBy, 'learner', 'takenInBy')
    const card = await readRevision(queries, body.card.id, body.card.revision)
    if (!card) throw refused('card', 'names a card revision that is not here; find the card again')
    if (card.state === 'draft') throw refused('card', 'names a draft; only a published card is measured against')
    const tag = await freeTag(queries, body.tag)
    const unit: Unit = { ...body, tag, place: 'waiting' }
    await insertUnit(queries, unit)
    await countUnit(queries, unit.card.id)
    if (tag !== body.tag) await note(queries, 'renamed', tag, body.takenInBy, { from: body.tag })
    return unit
  })
}

const refused = (path: string, detail: string) =>
  new ProblemError(422, 'refused', `Nothing was kept: ${path} ${detail}.`, [{ path, detail }])

/** Sets a unit to waiting, onto the bench, or aside as blocked with what it waits for. */
export async function moveTo(database: Database, id: string, { place, blockedBy, by }: MovedUnit): Promise<Unit> {
  return inTransaction(database, async (queries) => {
    const unit = await readUnit(queries, id)
    if (!unit) throw notFound('This unit')
    await allowed(queries, by, 'learner')
    if (unit.place === 'done')
      throw new ProblemError(409, 'conflict', 'Nothing was moved: this unit is done. Start another run for it.')
    const words = place === 'blocked' ? (blockedBy ?? '') : null
    await moveUnit(queries, id, place, words)
    await note(queries, 'moved', unit.tag, by, {
      from: unit.place,
      to: place,
      ...(words === null ? {} : { blockedBy: words }),
    })
    const { blockedBy: _before, ...rest } = unit
    return { ...rest, place, ...(words === null ? {} : { blockedBy: words }) }
  })
}

/**
 * Starts a run of a unit on the card revision it was taken in with; the same run again is the same run. After an earlier run it is
 * the card's newest revision, in the condition that run left the unit in, compared with what was read then. A unit's run that is open is
 * gone on with where that was asked for.
 */
export async function startRun(database: Database, body: NewRun): Promise<RunView> {
  const begun = await inTransaction(database, async (queries) => {
    // held until this is done, and before anything else is read: of two benches at once the later one finds what the first began
    const unit = await readUnit(queries, body.unit, true)
    const before = await readRunRow(queries, body.id)
    if (before && (before.unit !== body.unit || before.startedAt !== body.startedAt))
      throw new ProblemError(
        409,
        'conflict',
        'Nothing was kept: a run with this id is there already with another body.',
      )
    if (!unit) throw refused('unit', 'names a unit that is not here; take it in first')
    await allowed(queries, body.by, 'learner')
    const open = before || !body.goOn ? undefined : await openRunOf(queries, unit.id)
    if (open) return { view: open }
    const [settings, instruments] = await Promise.all([readSettings(queries), allInstruments(queries)])
    const past = before ? undefined : await lastRunOf(queries, unit.id)
    const revision = past
      ? await revisionNow(queries, unit.card.id, past, { by: body.by, at: body.startedAt })
      : unit.card.revision
    const row = before ?? {
      id: body.id,
      unit: unit.id,
      card: unit.card.id,
      revision,
      history: past?.history ?? unit.history,
      rule: settings.rule,
      instruments,
      startedAt: body.startedAt,
      startedBy: body.by,
      limits: past ? await limitsSince(queries, unit.id, unit.card.id, revision, past) : null,
      compare: past ? [past.comparison] : null,
    }
    if (!before) await insertRun(queries, row)
    const run = await readRun(queries, row)
    if (!run) throw notFound('The card of this unit')
    const state = runState(run)
    if (!before) {
      await keepJudged(queries, state)
      await moveUnit(queries, unit.id, 'bench', null, row.id)
      if (row.history !== unit.history) await setHistory(queries, unit.id, row.history)
    }
    return { view: { run, state: summarise(state) }, held: { row, run, state } }
  })
  // its first reading comes next
  if (begun.held) rememberRun(begun.held)
  return begun.view
}

/** A run as a document with its verdicts. */
export async function viewRun(queries: Queries, id: string): Promise<{ run: Run; view: RunView }> {
  const held = await runById(queries, id)
  if (!held) throw notFound('This run')
  const { run, state = runState(run) } = held
  return { run, view: { run, state: summarise(state) } }
}
