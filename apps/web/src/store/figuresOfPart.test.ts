import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { Queue, QueueUnit } from '@sure-spool/contract'
import type { Run } from '@sure-spool/core'
import { Script, twinCard } from '@sure-spool/core/testing'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { browserDatabase, keepRunCopy } from './browserDatabase'
import { figuresOfPart } from './figuresOfPart'

const card = { ...twinCard(), state: 'published' as const }
const runOf = (id: string, script: Script): Run => ({
  ...script.run,
  id,
  card,
  unit: { ...script.run.unit, id: `unit of ${id}`, tag: id },
})
const here = runOf('SQ-1', new Script(card).ready())
const there = runOf('SQ-2', new Script(card).ready().read('low', '322'))
const unit = (tag: string, run?: string): QueueUnit =>
  ({
    id: `unit of ${tag}`,
    tag,
    card: { id: card.id, revision: card.revision },
    ...(run === undefined ? {} : { standing: { run } }),
  }) as QueueUnit

let server: FakeServer
let tagged: QueueUnit[]
beforeEach(async () => {
  beginBrowser()
  await (await browserDatabase()).runs.clear()
  tagged = []
  server = new FakeServer()
    .on('GET', /^\/units\?tag=/, () => ({ body: { units: tagged, counts: {} } as unknown as Queue }))
    .on('GET', /^\/runs\//, () => ({ body: { run: there } }))
  beginStores()
})
afterEach(endStores)

describe('another part beside this one', () => {
  test('its figures are a twin’s, from the server or, where that is away, from this browser', async () => {
    const queue = { units: [unit('SQ-2', 'SQ-2')] }
    const twin = await figuresOfPart('SQ-2', here, queue)
    expect(twin).toMatchObject({ as: 'twin', tag: 'SQ-2', run: 'SQ-2', figures: [{ check: 'low' }] })
    expect(twin).not.toHaveProperty('failed')
    await keepRunCopy(there)
    server.away = true
    expect(await figuresOfPart('SQ-2', here, queue)).toEqual(twin)
  })

  test('one that is not in the queue is asked for by its tag', async () => {
    tagged = [unit('SQ-2', 'SQ-2')]
    expect(await figuresOfPart('SQ-2', here, { units: [] })).toMatchObject({ tag: 'SQ-2' })
  })

  test('what this browser read of it and has not sent counts', async () => {
    await keepRunCopy(runOf('SQ-2', new Script(card).ready().read('low', '322').read('high', '36.5')))
    const twin = await figuresOfPart('SQ-2', here, { units: [unit('SQ-2', 'SQ-2')] })
    expect('figures' in twin && twin.figures.map(({ check }) => check)).toEqual(['low', 'high'])
  })

  test.each([
    ['no part of that tag', [] as QueueUnit[], 'SQ-9', 'No part here'],
    ['the part itself', [unit('SQ-1', 'SQ-1')], 'SQ-1', 'is this part'],
    ['one that nobody read', [unit('SQ-3')], 'SQ-3', 'was not on the bench'],
    ['another model', [{ ...unit('SQ-4', 'SQ-2'), card: { id: 'another', revision: 1 } }], 'SQ-4', 'another model'],
  ])('%s gives none, and says so', async (_what, units, tag, words) => {
    const found = await figuresOfPart(tag, here, { units })
    expect('problem' in found && found.problem).toContain(words)
  })

  test('where the server is away nobody says that there is none', async () => {
    server.away = true
    const found = await figuresOfPart('SQ-9', here, { units: [] })
    expect('problem' in found && found.problem).toContain('does not answer')
  })

  test('one of which nothing counts gives none', async () => {
    server.on('GET', /^\/runs\//, () => ({ body: { run: runOf('SQ-5', new Script(card).ready()) } }))
    const found = await figuresOfPart('SQ-5', here, { units: [unit('SQ-5', 'SQ-5')] })
    expect('problem' in found && found.problem).toContain('Nothing that counts')
  })
})
