import { describe, expect, test } from '@jest/globals'
import { pickupCard, twinCard } from '../testing'
import { typedWires } from './typedWires'

const labels: Record<string, [string, string[]]> = {
  A: ['wire 1', ['start']],
  B: ['wire 2', ['finish']],
  D: ['wire 3', ['second start']],
  E: ['wire 4', ['second finish']],
  sh: ['wire 5', ['shield']],
}
const card = {
  ...pickupCard(),
  terminals: pickupCard().terminals.map((one) => {
    const [label, aliases] = labels[one.id] ?? [one.label, one.aliases]
    return { ...one, label, aliases }
  }),
}
const map = (text: string) => typedWires(text, card)

describe('which loose wire is which', () => {
  test.each([
    ['wire 2 = start, wire 1 = finish', { B: 'A', A: 'B' }],
    ['wire 2 is start and wire 1 is finish', { B: 'A', A: 'B' }],
    ['WIRE 1=start', { A: 'A' }],
    ['wire 1 = second start; wire 3 = start', { A: 'D', D: 'A' }],
    ['wire 1 = start, wire 2 = finish', { A: 'A', B: 'B' }],
  ])('%s: that, and nothing of the others', (text, found) => expect(map(text)).toEqual({ map: found }))

  test.each([
    ['wire 9 = start', '“wire 9” is none of the loose wires.'],
    ['wire 1 = middle', '“middle” is none of the loose wires.'],
    ['wire 1 = frame', '“frame” is none of the loose wires.'],
    ['wire 1 = finish, wire 1 = start', 'wire 1 is named twice.'],
    ['wire 1 = start, wire 2 = start', 'Two wires cannot both be “start”.'],
    ['wire 1 = finish, wire 3 = second finish', 'Say also which wire 2 and wire 4 are.'],
    ['wire 2 = start', 'Say also which wire 1 is.'],
  ])('%s: %s', (text, problem) => expect(map(text)).toEqual({ problem }))

  test.each(['wire 1 wire 2', 'wire 1 and wire 2 henries', 'new tail on wire 1', ''])(
    '“%s” says no such thing',
    (text) => expect(map(text)).toBeUndefined(),
  )

  test('of a part whose points have names nothing is said', () => {
    expect(typedWires('grey = tan', twinCard())).toMatchObject({
      problem: expect.stringContaining('No wires are loose'),
    })
    const plugged = { ...card, plugs: twinCard().plugs }
    expect(typedWires('wire 2 = start', plugged)).toHaveProperty('problem')
  })
})
