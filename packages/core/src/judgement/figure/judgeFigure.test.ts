import { describe, expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { plainCard, plainCheck, Script, sceneOf } from '../../testing'

const terminals = ['A', 'B', 'C', 'D', 'frame'].map((id) => ({ id, label: id, aliases: [] }))
const windings = [
  { id: 'one', label: 'one', from: 'A', to: 'B', material: 'copper' as const },
  { id: 'two', label: 'two', from: 'C', to: 'D', material: 'copper' as const },
]
/** What is made of a text typed for one check of a part of two windings and a frame. */
const judged = (
  text: string,
  limit?: Limit,
  { at = { pair: ['A', 'B'] }, kind = 'resistance', source = 's1', setting = {}, ...more }: Options = {},
) => {
  const card = plainCard({
    family: 'other',
    terminals,
    windings,
    checks: [plainCheck('it', kind, at, limit, { source, ...more })],
  })
  return sceneOf(new Script(card).ready().read('it', text, { contact: 'clips', ...setting })).of('it')
}
type Check = ReturnType<typeof plainCheck>
interface Options extends Partial<Pick<Check, 'at' | 'kind' | 'conditions' | 'items'>> {
  source?: string
  setting?: Parameters<Script['read']>[2]
}
const band = (min: number, max: number): Limit => ({ kind: 'band', min, max })

describe('the digits', () => {
  test('counts are counts of the display; what the person rounded counts apart', () => {
    const { parts, resolution, rounding } = judged('0.4', band(0.3, 0.5))
    expect([resolution, rounding]).toEqual([0.01, 0.1])
    expect(parts?.accuracy).toBeCloseTo((0.005 * 0.4 + 3 * 0.01) / Math.sqrt(3), 12)
    expect(parts?.resolution).toBeCloseTo(0.1 / Math.sqrt(12), 12)
  })

  test('47, 47.0 and 47.00 give one verdict, and the finer ones one uncertainty', () => {
    const [rough, asShown, finer] = ['47', '47.00', '47.000'].map((text) => judged(text, band(43, 51)))
    expect([rough, asShown, finer].map((one) => one?.verdict)).toEqual(['within', 'within', 'within'])
    expect(asShown?.u).toBe(finer?.u)
    expect(finer).not.toHaveProperty('rounding')
  })
})
