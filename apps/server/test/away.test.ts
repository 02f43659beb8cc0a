import { beforeAll, describe, expect, test } from '@jest/globals'
import type { Door } from '@sure-spool/contract'
import { Browser, inDatabase, owner, setupCode } from './doorHelp'
import { worldOf } from './world'

const world = worldOf('away', { house: { house: 'shut', secure: true, setupCode } })
let ines = ''

beforeAll(async () => {
  const { body } = await new Browser(world).comeIn('/door/first', owner)
  ines = body.seat.person
}, 60_000)

describe('away from the benches', () => {
  test('a password opens, a PIN does not, and the browser forgets it when it is closed', async () => {
    const away = new Browser(world)
    const wrong = await away.comeIn('/door/away', { name: owner.name, password: 'a long summer on the quay' })
    expect(wrong.status).toBe(403)
    expect((await away.comeIn('/door/away', { name: 'Nobody', password: owner.password })).status).toBe(403)
    const { status, body, cookie } = await away.comeIn('/door/away', {
      name: 'ines okafor-lind',
      password: owner.password,
    })
    expect([status, body.bench.kind]).toEqual([201, 'away'])
    expect(cookie).toMatch(/^__Host-spool=[0-9a-f]{64}; Path=\/; HttpOnly; Secure; SameSite=Strict$/)
    expect((await away.ask('get', '/shop')).status).toBe(200)
    expect(await away.sit(ines, owner.pin)).toBe(403)
    expect(((await away.ask('get', '/door')).body as Door).people?.map(({ id }) => id)).toEqual([ines])
  })

  test('two of one name are told apart by their passwords; who is away is listed while they may be there', async () => {
    const owners = new Browser(world)
    await owners.comeIn('/door/away', { name: owner.name, password: owner.password })
    const other = {
      id: '01a00000-0000-7000-8000-0000000000b1',
      name: owner.name,
      role: 'the other',
      access: 'technician',
    }
    await owners.ask('put', `/shop/people/${other.id}`).send({ person: other, by: ines })
    const secret = { by: ines, password: 'a short summer inland' }
    expect((await owners.ask('put', `/shop/people/${other.id}/secrets`).send(secret)).status).toBe(200)
    const { body } = await new Browser(world).comeIn('/door/away', { name: owner.name, password: secret.password })
    expect(body.seat.person).toBe(other.id)
    const benches = async () =>
      ((await owners.ask('get', '/shop/benches')).body.benches as { kind: string }[]).filter(
        ({ kind }) => kind === 'away',
      )
    const before = (await benches()).length
    expect(before).toBeGreaterThan(1)
    await inDatabase(world.url, "UPDATE benches SET seen_at = seen_at - INTERVAL 13 HOUR WHERE kind = 'away'")
    expect((await benches()).length).toBe(1)
  })

  test('a new password of one’s own ends the other seats, and not the one they sit in', async () => {
    const [one, two] = [new Browser(world), new Browser(world)]
    for (const each of [one, two]) await each.comeIn('/door/away', { name: owner.name, password: owner.password })
    const fresh = { by: ines, password: 'another winter on the quay' }
    expect((await one.ask('put', `/shop/people/${ines}/secrets`).send(fresh)).status).toBe(200)
    expect([(await one.ask('get', '/shop')).status, (await two.ask('get', '/shop')).status]).toEqual([200, 401])
  })
})
