import { describe, expect, test } from '@jest/globals'
import { compressorCard, Script, twinCard } from '@sure-spool/core/testing'
import { choicesFor, type Choice } from './decisions'

const words = (choices: Choice[]) => choices.map(({ what, about }) => [what, ...about].join(' '))
const sound = () =>
  new Script(twinCard())
    .ready()
    .read('low', '322')
    .read('high', '36.5')
    .read('series', '358.4')
    .read('trigger', '92')
    .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
    .read('frame', 'OL 40M', { pair: ['O', 'frame'] })
    .read('frame', 'OL 40M', { pair: ['V', 'frame'] })

describe('what can be decided', () => {
  test('of a coil that reads low: it alone or all on its core, the shop’s habit first', () => {
    const state = new Script(twinCard()).ready().read('low', '238').state()
    expect(words(choicesFor(state, 'failed-coil')).slice(0, 2)).toEqual(['rewind low', 'rewind low high'])
    expect(words(choicesFor(state, 'whole-core')).slice(0, 2)).toEqual(['rewind low high', 'rewind low'])
  })

  test('of a lead that leaks to frame: a splice, before the part is replaced', () => {
    const script = new Script(twinCard()).ready()
    const state = script
      .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
      .read('frame', '3.2k', { pair: ['O', 'frame'] })
      .state()
    const decided = words(choicesFor(state, 'failed-coil'))
    expect(decided.indexOf('splice')).toBeLessThan(decided.indexOf('replace'))
    expect(decided).not.toContain('rewind')
  })

  test('of a compressor: replace it first, since nobody gets at its windings', () => {
    const pins = new Script(compressorCard()).ready()
    for (const [end, text] of [
      ['R', '2.45'],
      ['S', '11.7'],
    ] as const)
      pins.read('pins', text, { pair: ['C', end] })
    const decided = words(choicesFor(pins.read('pins', '14.15', { pair: ['R', 'S'] }).state(), 'failed-coil'))
    expect(decided.slice(0, 2)).toEqual(['replace', 'rewind run'])
  })

  test('of a part without a fault: back to its owner; of an open question: more tests', () => {
    expect(words(choicesFor(sound().state(), 'failed-coil'))[0]).toBe('return')
    expect(words(choicesFor(new Script(twinCard()).ready().state(), 'failed-coil'))[0]).toBe('more-tests')
  })

  test('of a frame contact: a splice first, and the winding all the same', () => {
    const script = new Script(twinCard())
      .ready()
      .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
    const decided = words(choicesFor(script.read('frame', '18 Ω', { pair: ['O', 'frame'] }).state(), 'failed-coil'))
    expect(decided[0]).toBe('splice')
    expect(decided.some((one) => one.startsWith('rewind'))).toBe(true)
  })

  test('after an undecided one a suspected winding can be rewound, and nothing is accepted', () => {
    const choices = choicesFor(new Script(twinCard()).ready().read('high', 'OL 40M').state(), 'failed-coil')
    expect(words(choices)).toContain('rewind high')
    expect(choices.find(({ what }) => what === 'return')?.follows).toContain('neither accepted nor rejected')
    expect(words(choicesFor(new Script(twinCard()).ready().state(), 'failed-coil'))).not.toContain('rewind')
  })

  test('of a good part its neighbour can be replaced', () => {
    const choice = choicesFor(sound().state(), 'failed-coil').find(({ what }) => what === 'replace-neighbour')
    expect(choice?.follows).toContain('neither accepted nor rejected')
  })

  test('what the habit adds is named apart from what failed', () => {
    const [all] = choicesFor(new Script(twinCard()).ready().read('low', '238').state(), 'whole-core')
    expect(all?.follows).toContain('Failed: low-speed charge coil. Added by habit: high-speed charge coil.')
  })

  test('never more than five, each with its words', () => {
    for (const state of [
      sound().state(),
      new Script(twinCard()).ready().read('low', '238').read('high', '20').state(),
    ]) {
      const choices = choicesFor(state, 'failed-coil')
      expect(choices.length).toBeLessThanOrEqual(5)
      expect(choices.every(({ label }) => label.length > 3)).toBe(true)
    }
  })
})
