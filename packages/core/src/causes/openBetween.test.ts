import { describe, expect, test } from '@jest/globals'
import { askedOf, pointMade, withAsked } from '../asked'
import { Script, twinCard } from '../testing'

/** The 18 twin with its high-speed coil open from pin to pin, its two tails bared, and what was read between any two points. */
function broken(...read: [a: string, b: string, text: string][]) {
  const script = new Script(twinCard()).ready().read('low', '318').read('high', 'OL 40M').again('high', 'OL 40M')
  script.put(pointMade('t', 'tan tail', 'T')).put(pointMade('o', 'orange tail', 'O'))
  read.forEach(([a, b, text], i) => {
    const check = askedOf(withAsked(script.run).card, String(i), [a, b], 'resistance')
    script.put({ kind: 'ask', check }).read(check.id, text, { pair: [a, b] })
  })
  return script.state().causes
}

describe('where a winding is open', () => {
  test('no point tells: the winding from pin to pin', () => {
    expect(broken()).toMatchObject([{ kind: 'winding-open', of: ['high'] }])
    expect(broken()[0]).not.toHaveProperty('between')
  })
  test('inside it, where its tails are joined to their pins and nothing is left between them', () => {
    expect(broken(['T', 'point-t', '0.4'], ['O', 'point-o', '0.4'], ['point-o', 'point-t', 'OL 40M'])).toMatchObject([
      { kind: 'winding-open', of: ['high'], between: ['point-o', 'point-t'] },
    ])
  })
  test('one tail alone: between it and the other pin', () => {
    expect(broken(['T', 'point-t', '0.4'], ['O', 'point-t', 'OL 40M'])).toMatchObject([
      { kind: 'winding-open', between: ['O', 'point-t'] },
    ])
  })
  test('tails not held against their pins, or not read between, tell nothing', () => {
    expect(broken(['point-o', 'point-t', 'OL 40M'])[0]).not.toHaveProperty('between')
    expect(broken(['T', 'point-t', '0.4'])[0]).not.toHaveProperty('between')
    expect(broken(['T', 'point-t', '36'], ['O', 'point-t', 'OL 40M'])[0]).not.toHaveProperty('between')
  })
  test('a lead that is open between pin and tail is no fault of the winding', () => {
    expect(broken(['T', 'point-t', 'OL 40M'])).toMatchObject([{ kind: 'joint', of: ['T'], between: ['T', 'point-t'] }])
  })
})
