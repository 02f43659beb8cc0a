import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { ShopView } from '@sure-spool/contract'
import { Script, twinCard } from '@sure-spool/core/testing'
import type { FakeServer } from '../testing/fakeServer'
import { beginOutbox } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { arrived } from '../testing/until'
import { useBench } from './bench'
import { jotted } from './journal'
import { useOutbox } from './outbox'
import { useShop } from './shop'

const by = '019a0000-0000-7000-8000-0000000000a1'
const run = new Script(twinCard(), { id: 'r1' }).ready().run
let server: FakeServer

beforeEach(async () => {
  server = await beginOutbox()
  server.on('GET', /^\/runs\/r1$/, { body: { run, state: { finding: 'undecided' } } })
})
afterEach(async () => {
  await useOutbox().settle()
  await arrived()
  endStores()
})

async function opened(access = 'owner') {
  await comes(access)
  const bench = useBench()
  await bench.open('r1')
  return bench
}
const comes = (access: string): Promise<void> => {
  const shop = useShop()
  const people = [{ id: by, name: 'Ines', role: '', access }]
  return shop.take({ settings: shop.settings, people, instruments: [], nextTag: '' } as unknown as ShopView)
}

describe('who is at the bench', () => {
  test('and only reads puts nothing on the tape; who learns, works and owns does', async () => {
    const bench = await opened()
    for (const [access, taken] of [
      ['reader', false],
      ['learner', true],
      ['technician', true],
      ['owner', true],
    ] as const) {
      await comes(access)
      const entry = bench.add({ kind: 'note', words: access })
      expect([access, entry !== undefined]).toEqual([access, taken])
    }
    expect(jotted().map(({ body }) => (body as { words?: string }).words)).toEqual(['learner', 'technician', 'owner'])
  })

  test('a second person’s word goes up beside the decision it is for, and with no other entry', async () => {
    const bench = await opened()
    const word = { seat: 's', mac: 'ab'.repeat(32) }
    const note = bench.add({ kind: 'note', words: 'looked at' })
    const decided = bench.add({ kind: 'decision', what: 'return', why: 'so', second: 'tam' }, () => word)
    await useOutbox().settle()
    expect(server.of('POST', /entries$/).map(({ body }) => body)).toEqual([
      { entries: [note, decided], seconds: { [decided?.id ?? '']: word } },
    ])
  })
})
