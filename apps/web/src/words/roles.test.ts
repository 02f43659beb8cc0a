import { describe, expect, test } from '@jest/globals'
import { compressorCard, pickupCard, relayCard, Script } from '@sure-spool/core/testing'
import type { Reading } from '@sure-spool/core'
import { figuresWith } from './figures'
import { roleWords } from './roles'

const figures = figuresWith(() => false)
const told = (script: Script) => {
  const { roles, run } = script.state()
  return roles.map((one) => {
    const { title, lines, foot } = roleWords(one, run.card, figures)
    const text = lines.map(({ name, text: words, fits }) => `${fits === true ? '* ' : ''}${name}: ${words}`)
    return [title, ...text, ...(foot === undefined ? [] : [foot])].map((line) => line.replaceAll('\u2009', ' '))
  })
}
const at = (a: string, b: string, plus?: string): Partial<Reading> => ({
  pair: [a, b],
  ...(plus === undefined ? {} : { conditions: { drive: { plus, minus: plus === '85' ? '86' : '85' } } }),
})

describe('what the readings say each terminal is', () => {
  test('a relay’s blades by name, and which way it moves', () => {
    const driven = (script: Script, plus: string, closes: boolean) =>
      script
        .read('driven', closes ? '0.1' : 'OL 40M', at('30', '87', plus))
        .read('driven', closes ? 'OL 40M' : '0.1', at('30', '87a', plus))
    const rest = new Script(relayCard())
      .ready()
      .read('rest', '0.1', at('30', '87a'))
      .read('rest', 'OL 40M', at('30', '87'))
    expect(told(rest)).toEqual([['Its blades, by the readings', 'Coil: 85–86']])
    expect(told(driven(driven(rest, '86', true), '85', false))).toEqual([
      [
        'Its blades, by the readings',
        'Coil: 85–86',
        'Common: 30',
        'Normally closed: 30–87a',
        'Normally open: 30–87',
        'Polarised: plus on 86 only',
      ],
    ])
  })

  test('three pins against each construction, side by side', () => {
    const read = (cr: string, cs: string, rs: string) =>
      told(
        new Script(compressorCard())
          .ready()
          .read('pins', cr, at('C', 'R'))
          .read('pins', cs, at('C', 'S'))
          .read('pins', rs, at('R', 'S')),
      )[0]
    expect(read('4.90', '11.70', '16.60')?.slice(1)).toEqual([
      expect.stringMatching(
        /^\* Run and start winding: common C, run R, start S: run 4\.9 Ω, start 11\.7 Ω; left over 0/,
      ),
      'Three alike: 56 % apart, at most 5 %',
      'One winding and a free pin: no: 3 of 3 pairs read',
      'A construction is no proof of health: one open winding turns one into another.',
    ])
    expect(read('4.90', 'OL 40M', 'OL 40M')?.slice(1)).toEqual([
      'Run and start winding: no: a pair reads open',
      'Three alike: no: a pair reads open',
      '* One winding and a free pin: one pair reads, the free pin to none',
      'A construction is no proof of health: one open winding turns one into another.',
    ])
    expect(read('1.84', '1.85', '1.86')?.[2]).toMatch(
      /^\* Three alike: 0\.54 % apart, at most 5 %; each 0\.925 Ω as a star/,
    )
    expect(read('4.90', '11.70', '14.00')?.at(-1)).toBe('None fits: a contact, or not one part.')
  })

  test('loose wires that belong together, their start and finish once they are named', () => {
    const wires = ['A', 'B', 'D', 'E', 'sh']
    const script = new Script(pickupCard()).ready()
    const ohms: Record<string, string> = { 'A~B': '4.35k', 'D~E': '4.40k' }
    for (const [i, a] of wires.entries())
      for (const b of wires.slice(i + 1)) script.read('wires', ohms[`${a}~${b}`] ?? 'OL 40M', at(a, b))
    expect(told(script)[0]?.[1]).toMatch(/: One coil, 4\.35 kΩ, start and finish not told apart$/)
    expect(told(script)[0]?.at(-1)).toMatch(/: to none of the others$/)
    expect(told(script.put({ kind: 'wires', map: { A: 'A', B: 'B' } }))[0]?.[1]).toMatch(/, start \S+, finish \S+$/)
  })
})
