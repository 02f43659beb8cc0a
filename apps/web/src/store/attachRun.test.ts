import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { QueueUnit } from '@sure-spool/contract'
import type { Run } from '@sure-spool/core'
import { Script, twinCard } from '@sure-spool/core/testing'
import type { FakeServer } from '../testing/fakeServer'
import { begun, beginOutbox, entry, left, put, unit } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { arrived } from '../testing/until'
import { browserDatabase, readCopy, readRunCopy } from './browserDatabase'
import { useOutbox } from './outbox'

let server: FakeServer
const card = twinCard()
const other = (changes: object = {}) =>
  ({
    id: 'u2',
    tag: 'SQ-2',
    maker: 'Orrinvale',
    model: '18 twin',
    card: { id: card.id, revision: 1 },
    history: 'rewound',
    complaint: ['none'],
    words: 'the right one',
    ...changes,
  }) as QueueUnit

beforeEach(async () => {
  server = await beginOutbox()
  const run: Run = { ...new Script(card, { unit: { serial: 'of the wrong one' } }).run, id: '2' }
  await (await browserDatabase()).runs.put({ id: '2', run })
})
afterEach(async () => {
  await arrived()
  endStores()
})

/** A part taken in twice, its run and two entries resting on it. */
async function refused() {
  server.refuse('POST', /^\/units$/, 422, 'names a card revision that is not here')
  const outbox = put(unit('1', card.id), begun('2', '1'), entry('3', '2'), entry('4', '2'))
  await outbox.settle()
  expect(outbox.aside.map(({ id }) => id)).toEqual(['1', '2', '3', '4'])
  return outbox
}

describe('a run that was set aside is given to another part', () => {
  test.each(['1', '2', '3'])('by %s: it goes up as that one’s with all its entries', async (id) => {
    const outbox = await refused()
    expect(await outbox.attach(id, other(), 'p2')).toBe('')
    const [sent] = server.of('POST', /^\/runs$/)
    expect(sent?.body).toEqual({ id: '2', unit: 'u2', by: 'p2' })
    expect(server.of('POST', /entries$/).map(({ body }) => body)).toMatchObject([
      { entries: [{ id: '3' }, { id: '4' }] },
    ])
    expect((await readRunCopy('2'))?.unit).toMatchObject({
      id: 'u2',
      tag: 'SQ-2',
      history: 'rewound',
      words: 'the right one',
    })
    // what stood of the other part is not said of this one
    expect((await readRunCopy('2'))?.unit).not.toHaveProperty('serial')
    expect(outbox.aside.map((one) => one.id)).toEqual(id === '1' ? [] : ['1'])
    expect(await left()).toEqual(id === '1' ? [] : ['1'])
  })

  test('the part that was taken in twice goes, and what it was stays in this browser', async () => {
    const outbox = await refused()
    await outbox.attach('1', other(), 'p')
    expect(await readCopy('thrown away')).toMatchObject([{ reason: 'its run was given to SQ-2', items: [{ id: '1' }] }])
  })

  test('it stays while another run rests on it', async () => {
    server.refuse('POST', /^\/units$/, 422, 'no')
    const outbox = put(unit('1', card.id), begun('2', '1'), begun('5', '1'))
    await outbox.settle()
    await outbox.attach('1', other(), 'p')
    expect(outbox.aside.map(({ id }) => id)).toEqual(['1', '5'])
  })

  test('not to a part of another model, and nothing changes', async () => {
    const outbox = await refused()
    const problem = await outbox.attach('2', other({ card: { id: 'elsewhere', revision: 1 }, model: '9 single' }), 'p')
    expect(problem).toContain('SQ-2 is another model (Orrinvale 9 single)')
    expect(outbox.aside).toHaveLength(4)
    expect(server.of('POST', /^\/runs$/)).toEqual([])
  })

  test('an entry of a run that is with the server belongs there', async () => {
    server.refuse('POST', /entries$/, 422, 'no')
    const outbox = put(entry('x', 'elsewhere'))
    await outbox.settle()
    expect(await useOutbox().attach('x', other(), 'p')).toContain('Only a run that never went up')
    expect(await useOutbox().attach('nothing', other(), 'p')).toContain('Only a run')
  })
})
