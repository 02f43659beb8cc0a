import { describe, expect, test } from '@jest/globals'
import { sketchCard, type Reading } from '@sure-spool/core'
import { pickupCard, relayCard, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { pairCells } from './pairs'

const figures = figuresWith(() => false)
const at = (a: string, b: string): Partial<Reading> => ({ pair: [a, b] })
const cells = (script: Script, here?: [string, string]) =>
  pairCells(script.state(), here, figures).map(
    ({ a, b, rest, here: stands }) => `${a}${b} ${rest}${stands ? ' here' : ''}`,
  )
const said = (script: Script) =>
  pairCells(script.state(), undefined, figures).map((one) => one.said.replaceAll('\u2009', ' '))
const wires = (...labels: string[]) => labels.map((label, i) => ({ id: `t${i + 1}`, label }))
const sketch = (...labels: string[]) =>
  new Script(sketchCard('new', 'other', 'drone coil', wires(...labels), true)).ready()

describe('every pair of what is told by elimination', () => {
  test('loose wires: a winding, no path, and what is still to read', () => {
    const script = new Script(pickupCard())
      .ready()
      .read('wires', '4.35k', at('A', 'B'))
      .read('wires', 'OL 40M', at('A', 'D'))
    expect(cells(script, ['A', 'E']).slice(0, 4)).toEqual(['AB wound', 'AD none', 'AE unread here', 'Ash unread'])
    expect(cells(script)).toHaveLength(10)
    expect(said(script)[0]).toMatch(/: 4\.35 kΩ$/)
    expect(said(script)[1]).toMatch(/: no path$/)
    expect(said(script)[2]).toMatch(/: not read yet$/)
  })

  test('what was taken back is still to read', () => {
    const script = new Script(pickupCard()).ready().read('wires', '4.35k', at('A', 'B'))
    const entry = script.run.entries.at(-1)?.id ?? ''
    expect(cells(script.put({ kind: 'take-back', entry, reason: 'slip' }))[0]).toBe('AB unread')
  })

  test.each([
    ['4.9', 'joined'],
    ['5.2', 'wound'],
    ['1.1M', 'none'],
  ])('%s Ω is %s', (figure, rest) => {
    expect(cells(new Script(pickupCard()).ready().read('wires', figure, at('A', 'B')))[0]).toBe(`AB ${rest}`)
  })

  test('a part that is measured first: its pairs in the order of its wires, none to the frame', () => {
    const script = sketch('brown', 'yellow', 'blue').read('t1-t2', '5.8k', at('t1', 't2'))
    expect(cells(script)).toEqual(['t1t2 wound', 't1t3 unread', 't2t3 unread'])
    expect(said(script)[0]).toBe('brown–yellow: 5.8 kΩ')
  })

  test('two wires make no triangle, nor do points that have their names', () => {
    expect(cells(sketch('red', 'black'))).toEqual([])
    expect(cells(new Script(twinCard()).ready())).toEqual([])
    expect(cells(new Script(relayCard()).ready())).toEqual([])
  })
})
