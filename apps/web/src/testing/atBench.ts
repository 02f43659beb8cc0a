import type { Access, ShopView } from '@sure-spool/contract'
import { useShop } from '../store/shop'
import type { FakeServer } from './fakeServer'

/** A shop as the server shows it, with three people who may do all of the work. */
export const shopView = (changes: Partial<ShopView> = {}): ShopView => ({
  settings: {
    name: 'Bench',
    rule: 'guarded',
    rewindHabit: 'failed-coil',
    decimalComma: false,
    paper: 'A4',
    tagPrefix: 'B-',
  },
  people: ['a', 'b', 'c'].map((id) => ({ id, name: id.toUpperCase(), role: 'bench' })),
  instruments: [],
  nextTag: 'B-0001',
  ...changes,
})

/** Person `p` sits at this browser, and may do so much. */
export async function sit(server: FakeServer, access: Access): Promise<void> {
  const people = [{ id: 'p', name: 'P', role: 'bench', access }]
  server.on('GET', /^\/shop$/, { body: shopView({ people }) })
  await useShop().load()
}
