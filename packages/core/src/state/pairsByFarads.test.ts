import { describe, expect, test } from '@jest/globals'
import { askedOf } from '../asked'
import { bridgeMeter, pocketMeter, Script } from '../testing'
import { sketchCard } from '../writing'
import { pairsByFarads } from '.'

const names = ['brown', 'yellow', 'pink', 'blue']
const card = sketchCard(
  'x',
  'pickup',
  'drone pickup',
  names.map((label, i) => ({ id: `t${i + 1}`, label })),
  false,
)
const begun = () => new Script(card, { instruments: [pocketMeter, bridgeMeter] }).ready(20)
let n = 0
function farads(script: Script, a: string, b: string, text: string): Script {
  const check = askedOf(card, String(++n), [a, b], 'capacitance')
  return script.put({ kind: 'ask', check }).read(check.id, text, { instrument: bridgeMeter.id })
}
const open = (script: Script, ...checks: string[]) => {
  for (const check of checks) script.read(check, 'OL 40M')
  return script
}
const proposed = (script: Script) => pairsByFarads(script.state()).map(({ pair, farads: f }) => [pair.join(), f])
const three = (script: Script) =>
  farads(farads(farads(script, 't1', 't2', '160p'), 't3', 't4', '22p'), 't1', 't4', '9p')

describe('wires that farads propose to belong together', () => {
  test('of pairs that share a wire the largest, the largest of them first', () => {
    expect(proposed(three(open(begun(), 't1-t2', 't3-t4', 't1-t4')))).toEqual([
      ['t1,t2', expect.closeTo(160e-12, 15)],
      ['t3,t4', expect.closeTo(22e-12, 15)],
    ])
  })

  test('only where no ohms lead, and the last of what was read', () => {
    expect(proposed(three(open(begun(), 't1-t2', 't1-t4')))).toEqual([['t1,t2', expect.anything()]])
    expect(proposed(three(begun()))).toEqual([])
    const again = farads(three(open(begun(), 't1-t2', 't3-t4', 't1-t4')), 't1', 't4', '300p')
    expect(proposed(again).map(([pair]) => pair)).toEqual(['t1,t4'])
  })

  test('nothing where one pair alone was read, or two that share no wire', () => {
    expect(proposed(farads(open(begun(), 't1-t2'), 't1', 't2', '160p'))).toEqual([])
    const apart = farads(farads(open(begun(), 't1-t2', 't3-t4'), 't1', 't2', '160p'), 't3', 't4', '22p')
    expect(proposed(apart)).toEqual([])
  })
})
