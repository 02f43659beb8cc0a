import { expect, test } from '@jest/globals'
import { Browser, owner, setupCode } from './doorHelp'
import { worldOf } from './world'

const world = worldOf('limited', {
  empty: true,
  house: { house: 'shut', secure: false, setupCode },
  requestsOfPerson: 6,
})

test('one person’s requests are counted together, whichever bench they sit at; others go on', async () => {
  const [window, back] = [new Browser(world), new Browser(world)]
  await window.comeIn('/door/first', owner)
  const { code } = (await window.ask('post', '/shop/benches/code')).body as { code: string }
  await back.comeIn('/door/join', { code, name: 'back room' })
  expect(await back.sit(window.seat?.person ?? '', owner.pin)).toBe(201)
  const statuses = []
  for (let i = 0; i < 6; i++) statuses.push((await (i % 2 ? window : back).ask('get', '/shop')).status)
  expect(statuses).toEqual([200, 200, 200, 200, 200, 429])
  const told = await back.ask('get', '/shop')
  expect([told.body.detail, Number(told.headers['retry-after']) > 0]).toEqual([
    expect.stringContaining('from this person. Nothing was lost'),
    true,
  ])
  // who sits nowhere is asked to, and is not in this count
  expect((await new Browser(world).ask('get', '/shop')).status).toBe(401)
})
