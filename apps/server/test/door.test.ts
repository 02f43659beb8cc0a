import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { Audit, Door } from '@sure-spool/contract'
import type { EntryBody } from '@sure-spool/core'
import { v7 } from 'uuid'
import { Browser, inDatabase, owner, setupCode } from './doorHelp'
import { entryFor, runOf, worldOf } from './world'

const world = worldOf('door', { house: { house: 'shut', secure: false, setupCode } })
const bench = new Browser(world)
const [ines, tam, wil] = ['a1', 'a2', 'a3'].map((end) => `019a0000-0000-7000-8000-0000000000${end}`) as [
  string,
  string,
  string,
]

/** What is random in a text (ids, times, seals) holds any four digits now and then; nobody types one. */
const withoutIdsAndTimes = (text: string) => text.replace(/\d{4}-\d\d-\d\dT[\d:.]+Z|[A-Za-z0-9_+/=-]{20,}/g, '')

/** Time goes by in the database alone; and what is kept there is looked at. */
const later = (sql: string, values: unknown[] = []) => inDatabase(world.url, sql, values)

beforeEach(() => later('DELETE FROM guesses'))

describe('an empty house', () => {
  test('says so, and lets nobody at anything', async () => {
    expect((await bench.ask('get', '/door')).body).toEqual({ house: 'empty' })
    for (const path of ['/shop', '/units', '/cards', '/shop/export', '/shop/audit', `/runs/${v7()}`])
      expect([path, (await bench.ask('get', path)).status]).toEqual([path, 401])
    expect((await bench.ask('post', '/shop/import').send(world.shop)).status).toBe(401)
  })

  test('takes its owner with the printed code alone, once', async () => {
    expect((await bench.comeIn('/door/first', { ...owner, code: 'WXYZ-2345' })).status).toBe(403)
    expect((await bench.comeIn('/door/first', { ...owner, password: 'short' })).status).toBe(400)
    const { status, body, cookie } = await bench.comeIn('/door/first', { ...owner, code: 'abcd2345' })
    expect([status, body.bench.name, body.seat.person]).toEqual([201, 'window bench', ines])
    expect(cookie).toMatch(/^spool=[0-9a-f]{64}; Max-Age=\d+; Path=\/; Expires=.*; HttpOnly; SameSite=Strict$/)
    expect((await bench.ask('get', '/shop')).body.settings.name).toBe('Sallow Quay Bench')
    expect((await new Browser(world).comeIn('/door/first', { ...owner, name: 'Somebody' })).status).toBe(409)
  })
})

describe('a bench of the shop', () => {
  const second = new Browser(world)

  test('is joined by a code of the owner’s, once, for a quarter of an hour', async () => {
    const { code } = (await bench.ask('post', '/shop/benches/code')).body as { code: string }
    expect(code).toMatch(/^[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}$/)
    const joined = await second.comeIn('/door/join', { code: code.toLowerCase(), name: 'back room' })
    expect(joined.status).toBe(201)
    expect((await new Browser(world).comeIn('/door/join', { code, name: 'a third' })).status).toBe(403)
    const old = (await bench.ask('post', '/shop/benches/code')).body as { code: string }
    await later("UPDATE join_codes SET ends_at = '2026-01-01' WHERE used_at IS NULL")
    expect((await new Browser(world).comeIn('/door/join', { code: old.code, name: 'late' })).status).toBe(403)
  })

  test('is told who can take a seat; a strange browser is not', async () => {
    const door = (await second.ask('get', '/door')).body as Door
    expect(door.people?.map(({ name, access }) => [name.split(' ')[0], access])).toEqual([
      ['Ines', 'owner'],
      ['Tam', 'technician'],
      ['Wil', 'learner'],
    ])
    expect((await new Browser(world).ask('get', '/door')).body).toEqual({ house: 'shut' })
    expect((await second.ask('get', '/shop')).status).toBe(401)
  })

  test('a person sits down by their PIN, which the owner gives; nobody without one', async () => {
    expect(await second.sit(tam, '0000')).toBe(403)
    for (const [person, pin] of [
      [tam, '2580'],
      [wil, '1357'],
    ] as const)
      expect((await bench.ask('put', `/shop/people/${person}/secrets`).send({ by: ines, pin })).status).toBe(200)
    expect(await second.sit(tam, '2580')).toBe(201)
    expect((await second.ask('get', '/shop')).status).toBe(200)
    const other = { by: tam, pin: '9999' }
    expect((await second.ask('put', `/shop/people/${wil}/secrets`).send(other)).status).toBe(403)
    expect((await second.ask('put', `/shop/people/${tam}/secrets`).send({ by: tam, pin: '2581' })).status).toBe(200)
    expect(await second.sit(tam, '2581')).toBe(201)
  })

  test('wrong guesses wait, each longer than the one before, however many come at once; right ones of another do not', async () => {
    const many = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        second.ask('post', '/door/seats').send({ person: wil, pin: `000${i % 10}` }),
      ),
    )
    const heard = many.filter(({ status }) => status === 403)
    expect(heard.length).toBe(4)
    const silent = many.find(({ status }) => status === 429)
    expect(silent?.body.detail).toMatch(/^Too many wrong guesses\. The next one is heard in \d seconds?\.$/)
    expect(Number(silent?.headers['retry-after'])).toBeGreaterThan(0)
    expect((await second.ask('post', '/door/seats').send({ person: wil, pin: '1357' })).status).toBe(429)
    await later("DELETE FROM guesses WHERE who LIKE 'address:%'")
    expect((await second.ask('post', '/door/seats').send({ person: tam, pin: '2581' })).status).toBe(201)
  })

  test('a PIN of one’s own does not clear what was tried from there', async () => {
    for (let tries = 0; tries < 5; tries++) {
      expect((await bench.ask('post', '/door/join').send({ code: 'ABCD-EFGH', name: 'x' })).status).toBe(403)
      expect(await second.sit(tam, '2581')).toBe(201)
    }
    const rows = await later("SELECT failures FROM guesses WHERE who LIKE 'address:%'")
    expect((rows as { failures: number }[])[0]?.failures).toBe(5)
  })

  test('a seat ends after half an hour in which nothing was asked, after twelve hours, and when it is left', async () => {
    const shop = async () => (await second.ask('get', '/shop')).status
    for (const end of ['seen_at = seen_at - INTERVAL 31 MINUTE', "ends_at = '2026-01-01'"]) {
      expect(await second.sit(tam, '2581')).toBe(201)
      await later(`UPDATE seats SET ${end} WHERE id = UNHEX('${second.seat?.id.replaceAll('-', '')}')`)
      expect([end, await shop()]).toEqual([end, 401])
    }
    expect(await second.sit(tam, '2581')).toBe(201)
    expect((await bench.ask('delete', `/door/seats/${second.seat?.id}`)).status).toBe(404)
    expect((await second.ask('delete', `/door/seats/${second.seat?.id}`)).body).toEqual({ ended: 1 })
    expect(await shop()).toBe(401)
  })

  test('a seat is of its own bench: named on another it is nobody’s', async () => {
    const thief = new Browser(world)
    thief.seat = bench.seat
    expect((await thief.ask('get', '/shop')).status).toBe(401)
    thief.cookie = second.cookie
    expect((await thief.ask('get', '/shop')).status).toBe(401)
  })
})

describe('what is made at a bench', () => {
  const seat = new Browser(world)
  const run = () => runOf(world.shop, 'SQ-0438')
  const tape = (body: object) => seat.ask('post', `/runs/${run().id}/entries`).send(body)
  const entry = (by: string, body: EntryBody = { kind: 'note', words: 'seen' }) => entryFor(run(), body, { by })

  beforeAll(async () => {
    const { code } = (await bench.ask('post', '/shop/benches/code')).body as { code: string }
    await seat.comeIn('/door/join', { code, name: 'third' })
    await later('DELETE FROM guesses')
    expect(await seat.sit(tam, '2581')).toBe(201)
  })

  test('is by whoever sits there, never by whom a body claims', async () => {
    expect((await tape({ entries: [entry(tam)] })).status).toBe(200)
    const claimed = await tape({ entries: [entry(ines)] })
    expect([claimed.status, claimed.body.errors[0].path]).toEqual([403, 'entries[0].by'])
    const settings = { settings: world.shop.settings, by: ines }
    expect((await seat.ask('put', '/shop/settings').send(settings)).status).toBe(403)
    const mine = await seat.ask('put', '/shop/settings').send({ ...settings, by: tam })
    expect([mine.status, mine.body.detail]).toEqual([403, expect.stringContaining('it takes the owner')])
  })

  test('comes later with its seal, when whoever made it is gone, and is kept with it', async () => {
    const made = entry(tam, { kind: 'note', words: 'warm to the hand' })
    const seal = seat.seal(made)
    await seat.ask('delete', `/door/seats/${seal.seat}`)
    seat.seat = undefined
    expect((await tape({ entries: [made] })).status).toBe(401)
    expect((await tape({ entries: [made], seals: [seal] })).status).toBe(200)
    const rows = await later('SELECT LOWER(HEX(seat)) AS seat, seal FROM entries WHERE id = ?', [
      Buffer.from(made.id.replaceAll('-', ''), 'hex'),
    ])
    expect(rows).toEqual([{ seat: seal.seat.replaceAll('-', ''), seal: seal.mac }])
  })

  test('does not come changed, under another’s name, from another bench, or from a seat that was ended everywhere', async () => {
    expect(await seat.sit(tam, '2581')).toBe(201)
    const made = entry(tam, { kind: 'note', words: 'cold again' })
    const seal = seat.seal(made)
    const refused = async (body: object, by: Browser = seat) => {
      const answer = await by.ask('post', `/runs/${run().id}/entries`).send(body)
      return [answer.status, answer.body.detail]
    }
    const changed = { ...made, words: 'hot again' }
    expect(await refused({ entries: [changed], seals: [seal] })).toEqual([403, expect.stringContaining('its seal')])
    const other = { ...made, by: wil }
    const others = { entries: [other], seals: [seat.seal(other)] }
    expect(await refused(others)).toEqual([403, expect.stringContaining('somebody else than who sealed it')])
    expect(await refused({ entries: [made], seals: [seal] }, bench)).toEqual([
      403,
      expect.stringContaining('another bench'),
    ])
    expect((await seat.ask('post', '/door/seats/end-all')).body.ended).toBeGreaterThan(0)
    expect(await refused({ entries: [made], seals: [seal] })).toEqual([
      403,
      expect.stringContaining('ended everywhere'),
    ])
  })

  test('a decision of somebody who is learning needs a second person’s own word', async () => {
    expect(await seat.sit(tam, '2581')).toBe(201)
    const second = new Browser(world)
    Object.assign(second, { cookie: seat.cookie, seat: seat.seat })
    expect(await seat.sit(wil, '1357')).toBe(201)
    const made = entry(wil, { kind: 'decision', what: 'more-tests', why: 'warm it', second: tam })
    const seals = [seat.seal(made)]
    expect((await tape({ entries: [made], seals })).body.errors[0].path).toBe('entries[0].second')
    const own = { [made.id]: seat.seal(made) }
    expect((await tape({ entries: [made], seals, seconds: own })).status).toBe(403)
    expect((await tape({ entries: [made], seals, seconds: { [made.id]: second.seal(made) } })).status).toBe(200)
  })

  test('who only reads changes nothing; who learns moves no card and takes in no file', async () => {
    const reader = { id: v7(), name: 'Oda Finn', role: 'the office', access: 'reader' }
    await bench.ask('put', `/shop/people/${reader.id}`).send({ person: reader, by: ines })
    await bench.ask('put', `/shop/people/${reader.id}/secrets`).send({ by: ines, pin: '2468' })
    expect(await seat.sit(reader.id, '2468')).toBe(201)
    expect((await seat.ask('get', '/units')).status).toBe(200)
    expect((await tape({ entries: [entry(reader.id)] })).status).toBe(422)
    expect((await seat.ask('put', `/units/${world.shop.units[0]?.id}/place`).send({})).status).toBe(403)
    expect(await seat.sit(wil, '1357')).toBe(201)
    expect((await seat.ask('post', '/shop/import').send(world.shop)).status).toBe(403)
    expect((await seat.ask('get', '/shop/export')).status).toBe(403)
    expect((await seat.ask('get', '/shop/audit')).status).toBe(403)
  })
})

describe('what the owner sees', () => {
  test('every change of people, habits, benches and secrets, from which bench, the newest first; no secret in it', async () => {
    const pages: Audit['lines'] = []
    for (let next: string | undefined = ''; next !== undefined;) {
      const page = (await bench.ask('get', `/shop/audit?limit=7${next === '' ? '' : `&cursor=${next}`}`)).body as Audit
      pages.push(...page.lines)
      next = page.next
    }
    expect(pages.map(({ at }) => at)).toEqual(
      pages
        .map(({ at }) => at)
        .sort()
        .reverse(),
    )
    const what = new Set(pages.map((line) => line.what))
    for (const one of [
      'first-run',
      'seated',
      'code-given',
      'bench-joined',
      'secret',
      'person-new',
      'signed-out',
      'decided',
    ])
      expect(what).toContain(one)
    const given = pages.find((line) => line.what === 'person-new')
    expect(given).toMatchObject({ by: ines, about: 'Oda Finn', benchName: 'window bench' })
    const benches = (await bench.ask('get', '/shop/benches')).body.benches as { id: string; name: string }[]
    expect(benches.find(({ id }) => id === given?.bench)?.name).toBe('window bench')
    expect(withoutIdsAndTimes(JSON.stringify(pages))).not.toMatch(/2581|1357|2468|argon2|winter/)
    expect(withoutIdsAndTimes((await bench.ask('get', '/shop/export')).text)).not.toMatch(/argon2|2581/)
  })

  test('a bench that is ended opens nothing any more, and what was sealed there is refused', async () => {
    const { code } = (await bench.ask('post', '/shop/benches/code')).body as { code: string }
    const lost = new Browser(world)
    const { body } = await lost.comeIn('/door/join', { code, name: 'a lost tablet' })
    expect(await lost.sit(tam, '2581')).toBe(201)
    const { id } = body as unknown as { id: string }
    expect((await bench.ask('delete', `/shop/benches/${id}`)).status).toBe(200)
    expect((await lost.ask('get', '/shop')).status).toBe(401)
    expect((await lost.ask('get', '/door')).body).toEqual({ house: 'shut' })
    const run = runOf(world.shop, 'SQ-0438')
    const made = entryFor(run, { kind: 'note', words: 'x' }, { by: tam })
    const sent = { entries: [made], seals: [lost.seal(made)] }
    expect((await lost.ask('post', `/runs/${run.id}/entries`).send(sent)).status).toBe(401)
    expect((await bench.ask('delete', `/shop/benches/${id}`)).status).toBe(404)
  })
})
