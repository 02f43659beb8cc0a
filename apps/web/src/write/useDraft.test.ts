import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { ShopView } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { Script, twinCard } from '@sure-spool/core/testing'
import { effectScope, type EffectScope } from 'vue'
import type { LocationQuery } from 'vue-router'
import { browserDatabase, keepRunCopy, readCopy } from '../store/browserDatabase'
import { readCard } from '../store/cardCopies'
import { useShop } from '../store/shop'
import { beginBrowser } from '../testing/browser'
import { FakeServer } from '../testing/fakeServer'
import { beginStores, endStores } from '../testing/stores'
import { arrived, until } from '../testing/until'
import { useDraft, type Draft } from './useDraft'

const by = '019a0000-0000-7000-8000-0000000000a1'
let id = ''
const address = () => `/cards/${id}/revisions/1`
const draftCard = (changes: Partial<Card> = {}): Card => ({
  ...twinCard(),
  id,
  revision: 1,
  state: 'draft',
  ...changes,
})

let server: FakeServer
const scopes: EffectScope[] = []
beforeEach(async () => {
  beginBrowser()
  // a draft of its own: what an earlier test's draft still writes into the browser is not found by the next
  id = crypto.randomUUID()
  const database = await browserDatabase()
  await Promise.all([database.outgoing.clear(), database.runs.clear(), database.copies.clear()])
  server = new FakeServer()
    .on('PUT', /revisions/, { body: { hash: 'h1', revision: 1, state: 'draft' } })
    .on('POST', /publish$/, { body: { hash: 'h2', revision: 1, state: 'published' } })
    .on('DELETE', /revisions/, { body: { dropped: true } })
  beginStores()
  const shop = useShop()
  await shop.take({
    settings: shop.settings,
    people: [{ id: by, name: 'Ines', role: '' }],
    instruments: [],
    nextTag: '',
  } as ShopView)
})
afterEach(async () => {
  for (const scope of scopes.splice(0)) scope.stop()
  await arrived()
  endStores()
})

/** A draft as its screen opens it; leaving the screen stops the scope. */
async function opened(query: LocationQuery = { begin: '1' }, revision = 1) {
  const scope = effectScope()
  scopes.push(scope)
  const draft = scope.run(() => useDraft(id, revision)) as Draft
  await draft.open(query)
  return { ...draft, leave: () => scope.stop() }
}
type Opened = Awaited<ReturnType<typeof opened>>
const model = ({ card }: Opened) => card.value?.name.model
const type = (draft: Opened, text: string, field = 'model') =>
  draft.change((card) => {
    card.name.model = text
  }, field)
/** whole enough to be sent: a template that has a terminal */
const fill = (draft: Opened) => draft.change((card) => Object.assign(card, draftCard()))
const copy = () => readCopy<{ card: Card; dirty: boolean; replaces?: string }>(`draft:${id}:1`)
const sent = () => server.of('PUT', /revisions/)
/** what the server has of it */
const onServer = (card: Card, hash = 'h0') =>
  server
    .on('GET', new RegExp(`^/cards/${id}$`), {
      body: { card, revisions: [{ revision: card.revision, state: card.state, hash, by, at: null }] },
    })
    .on('GET', /revisions\/\d+$/, { body: card })

describe('a new card', () => {
  test('is not asked of the server, which cannot have it; it is kept here and sent when its first change rests', async () => {
    const draft = await opened()
    expect([draft.standing.value, server.asked]).toEqual(['begun', []])
    fill(draft)
    expect(draft.standing.value).toBe('sending')
    await until(() => draft.standing.value === 'kept')
    expect(sent()).toHaveLength(1)
    expect(sent()[0]).toMatchObject({ path: address(), body: { by, card: { id } } })
    expect(sent()[0]?.body).not.toHaveProperty('replaces')
    expect(await copy()).toMatchObject({ dirty: false, replaces: 'h1' })
  })

  test('opened again before it went up, it is this browser’s copy, and still not asked for', async () => {
    const first = await opened()
    type(first, 'half')
    await until(async () => (await copy())?.dirty === true)
    const again = await opened()
    expect([model(again), server.of('GET')]).toEqual(['half', []])
  })

  test('of a run it has what was read; of another card all but its name; each stands on nothing', async () => {
    const script = new Script(twinCard(), { id: 'r1' }).ready().read('low', '322')
    await keepRunCopy(script.run)
    expect((await opened({ run: 'r1' })).card.value?.checks.length).toBeGreaterThan(0)
    await (await browserDatabase()).copies.clear()
    expect((await opened({ run: 'nowhere' })).told.value).toContain('never opened on this browser')
    await (await browserDatabase()).copies.clear()
    server.on('GET', /^\/cards\/other$/, { body: { card: twinCard(), revisions: [] } })
    const like = await opened({ from: 'other' })
    expect(like.card.value).toMatchObject({ id, revision: 1, state: 'draft' })
    expect(model(like)).toBe(`${twinCard().name.model}, copy`)
  })
})

describe('what is written', () => {
  test('in one field counts as one step; another field, or a change without one, as another', async () => {
    const draft = await opened()
    for (const text of ['1', '18', '18 t']) type(draft, text)
    type(draft, '18 twin', 'another')
    draft.change((card) => (card.name.maker = 'Orrinvale'))
    expect(draft.canRedo.value).toBe(false)
    draft.undo()
    expect([draft.card.value?.name.maker, model(draft)]).toEqual(['', '18 twin'])
    draft.undo()
    expect(model(draft)).toBe('18 t')
    draft.undo()
    expect([model(draft), draft.canUndo.value]).toEqual(['', false])
    draft.undo()
    expect(model(draft)).toBe('')
    for (let i = 0; i < 3; i++) draft.redo()
    expect([draft.card.value?.name.maker, draft.canRedo.value]).toEqual(['Orrinvale', false])
  })

  test('after an undo, more typing in the same field is a step of its own, and what was undone is gone', async () => {
    const draft = await opened()
    type(draft, 'one')
    draft.undo()
    type(draft, 'two')
    expect(draft.canRedo.value).toBe(false)
    draft.redo()
    expect(model(draft)).toBe('two')
    draft.undo()
    expect(model(draft)).toBe('')
  })

  test('what is not whole stays here, and says so when it is published', async () => {
    const draft = await opened()
    draft.change((card) => (card.terminals = []))
    expect(await draft.publish()).toBe(false)
    expect([draft.standing.value, sent()]).toEqual(['not-yet', []])
    expect(draft.told.value).toBe('It is not whole yet: the list says what is wrong.')
  })

  test('goes up when the screen is left before the pause is over', async () => {
    const draft = await opened()
    fill(draft)
    draft.leave()
    await until(() => sent().length === 1)
  })

  test('each writing stands on the one before', async () => {
    let hash = 0
    server.on('PUT', /revisions/, () => ({ body: { hash: `h${++hash}`, revision: 1, state: 'draft' } }))
    const draft = await opened()
    fill(draft)
    await until(() => draft.standing.value === 'kept')
    type(draft, 'again')
    await until(() => draft.standing.value === 'kept')
    expect(sent().map(({ body }) => (body as { replaces?: string }).replaces)).toEqual([undefined, 'h1'])
  })
})

describe('a draft that the server has', () => {
  test('is opened as it stands there', async () => {
    onServer(draftCard({ name: { ...twinCard().name, model: 'theirs' } }))
    const draft = await opened({})
    expect([draft.standing.value, model(draft)]).toEqual(['kept', 'theirs'])
    type(draft, 'mine')
    await until(() => sent().length === 1)
    expect(sent()[0]?.body).toMatchObject({ replaces: 'h0' })
  })

  test('is overtaken by what was written here and did not go up', async () => {
    onServer(draftCard())
    const first = await opened({})
    server.away = true
    type(first, 'written away')
    await until(() => first.standing.value === 'away')
    server.away = false
    const again = await opened({})
    expect(model(again)).toBe('written away')
    await until(() => again.standing.value === 'kept')
  })

  test('that somebody else has changed is refused, and what was written stays here', async () => {
    onServer(draftCard())
    server.refuse('PUT', /revisions/, 409, 'somebody else has changed this draft')
    const draft = await opened({})
    type(draft, 'mine')
    await until(() => draft.standing.value === 'refused')
    expect(draft.told.value).toContain('somebody else')
    expect(await copy()).toMatchObject({ dirty: true, card: { name: { model: 'mine' } } })
    expect(await draft.publish()).toBe(false)
  })

  test('a revision after the first is begun from the last, which is there to be asked', async () => {
    onServer(draftCard({ state: 'published' }))
    const draft = await opened({}, 2)
    expect(draft.card.value).toMatchObject({ revision: 2, state: 'draft' })
    expect(server.of('GET').map(({ path }) => path)).not.toContain(`/cards/${id}/revisions/2`)
  })

  test('a limit learned from known-good units comes as one step', async () => {
    onServer(draftCard())
    const draft = await opened({ learn: 'low', min: '310', max: '327', n: '5' })
    draft.undo()
    expect(draft.card.value).toEqual(draftCard())
  })

  test('what is published is not opened', async () => {
    onServer(draftCard({ state: 'published' }))
    const draft = await opened({})
    expect([draft.standing.value, draft.told.value]).toEqual(['missing', 'Revision 1 is published and never changes.'])
  })
})

describe('the end of a draft', () => {
  test('published, it is kept to be measured against, forgotten as a draft, and nothing more is sent', async () => {
    const draft = await opened()
    fill(draft)
    expect(await draft.publish()).toBe(true)
    expect(server.of('POST', /publish$/)[0]?.body).toEqual({ by, hash: 'h1' })
    expect(await copy()).toBeUndefined()
    expect(await readCard({ id, revision: 1 })).toMatchObject({ state: 'published' })
    const before = sent().length
    draft.leave()
    await arrived(900)
    expect(sent()).toHaveLength(before)
  })

  test('thrown away, it does not come back: not by the last typing, not by leaving', async () => {
    const draft = await opened()
    fill(draft)
    await until(() => draft.standing.value === 'kept')
    type(draft, 'one last word')
    expect(await draft.drop()).toBe(true)
    expect(server.of('DELETE').map(({ path }) => path)).toEqual([`${address()}?by=${by}`])
    draft.leave()
    await arrived(900)
    expect(sent()).toHaveLength(1)
    expect(await copy()).toBeUndefined()
  })

  test('what never went up is thrown away here alone', async () => {
    const draft = await opened()
    type(draft, 'half')
    expect(await draft.drop()).toBe(true)
    expect(server.asked).toEqual([])
  })

  test('what cannot be thrown away stays, and goes on', async () => {
    server.refuse('DELETE', /revisions/, 409, 'it is published')
    const draft = await opened()
    fill(draft)
    await until(() => draft.standing.value === 'kept')
    expect(await draft.drop()).toBe(false)
    expect(draft.told.value).toBe('it is published')
    type(draft, 'on')
    await until(() => sent().length === 2)
  })
})
