import { describe, expect, test } from '@jest/globals'
import { demoCard, Script, twinCard } from '../testing'
import { ohmsKnown } from './ohmsKnown'

const pickup = () => new Script(demoCard('lanternreed-two-coil')).ready(20)
const known = (script: Script, winding = 'second') => ohmsKnown(script.state(), winding)

describe('what a coil can be wound to', () => {
  test('the card’s figure, and what its sound neighbour reads at 20 °C', () => {
    expect(known(pickup().read('first', '4.32k'))).toMatchObject([
      { from: 'card', ohms20: 4350, of: [] },
      { from: 'neighbours', ohms20: expect.closeTo(4320, -1), of: ['first coil'] },
    ])
    const warm = new Script(demoCard('lanternreed-two-coil')).ready(30).read('first', '4.49k')
    expect(known(warm)[1]?.ohms20).toBeCloseTo((4490 * 254.5) / 264.5, -1)
  })

  test.each([
    ['not read', pickup()],
    ['read outside', pickup().read('first', '3.0k')],
    ['read open', pickup().read('first', 'OL 40M')],
  ])('no neighbour that was %s', (_what, script) => expect(known(script).map(({ from }) => from)).toEqual(['card']))

  test('no neighbour that is meant to be another', () => {
    const script = new Script(twinCard()).ready().read('low', '322').read('high', '36.5')
    expect(ohmsKnown(script.state(), 'low').map(({ from }) => from)).toEqual(['card'])
  })

  test('what a twin reads at the winding’s own test, and nothing of another', () => {
    const twin = (check: string) =>
      known(
        pickup().put({ kind: 'compare', with: { as: 'twin', tag: 'SQ-1', figures: [{ check, value: 4400, u: 10 }] } }),
      )
    expect(twin('second')).toContainEqual({ from: 'twin', ohms20: 4400, of: ['SQ-1'] })
    expect(twin('first').map(({ from }) => from)).toEqual(['card'])
  })

  test('a winding that the card does not have, or states no ohms of', () => {
    expect(known(pickup(), 'third')).toEqual([])
    const card = demoCard('lanternreed-two-coil')
    for (const one of card.windings) delete one.ohms
    expect(ohmsKnown(new Script(card).ready(20).read('first', '4.32k').state(), 'second')).toEqual([])
  })
})
