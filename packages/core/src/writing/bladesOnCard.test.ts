import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { askedOf, withAsked } from '../asked'
import type { Card } from '../document'
import { pocketMeter, Script } from '../testing'
import { bladesOn, withAskedKept, withBladesNamed } from '.'

const cardNamed = (name: string) => JSON.parse(readFileSync(`demo/cards/${name}.json`, 'utf8')) as Card
const unit = { id: 'u', tag: 'A', history: 'used' as const, complaint: [], words: '', variant: 'counted' }
const on = (card: Card) => new Script(card, { unit, instruments: [pocketMeter] }).ready()
const make = cardNamed('wexmoor-make-12')
const changeover = cardNamed('wexmoor-changeover-24')
const at = (plus?: string, minus = '') => ({ drive: plus === undefined ? null : { plus, minus } })

/** Four blades: a coil that works both ways, and one contact. */
function makes(): Script {
  const script = on(make).read('rest', '83.1', { pair: ['1', '3'], conditions: at() })
  script.read('rest', 'OL 2M', { pair: ['2', '4'], conditions: at() })
  script.read('driven', '0.22', { pair: ['2', '4'], conditions: at('1', '3') })
  return script.read('driven-turned', '0.22', { pair: ['2', '4'], conditions: at('3', '1') })
}
/** Five blades, a diode across the coil. */
function changesOver(driven = true, card = changeover): Script {
  const script = on(card).read('rest', '298', { pair: ['1', '4'], conditions: at() })
  script.read('rest', 'OL 2M', { pair: ['2', '3'], conditions: at() })
  script.read('rest', '0.07', { pair: ['2', '5'], conditions: at() })
  script.put({ kind: 'supply', text: '0.8V 0.2A', volts: 0.8, u: 0.01, while: 'on', limitAmps: 0.2, check: 'driven' })
  if (!driven) return script
  script.read('driven', '0.08', { pair: ['2', '3'], conditions: at('4', '1') })
  return script.read('driven', 'OL 2M', { pair: ['2', '5'], conditions: at('4', '1') })
}
const cavities = (card: Card, plug: string) =>
  card.plugs.find(({ id }) => id === plug)?.cavities.map(({ mark, terminal }) => [mark, terminal])

describe('blades that were counted', () => {
  test('five of them by what they do, plus where the diode wants it', () => {
    expect(bladesOn(changeover, changesOver().state())).toEqual({ 1: '85', 2: '30', 3: '87', 4: '86', 5: '87a' })
  })

  test('nothing while a reading that tells is missing', () => {
    expect(bladesOn(changeover, changesOver(false).state())).toBeUndefined()
    expect(bladesOn(changeover, on(changeover).state())).toBeUndefined()
  })

  test('what is alike either way stands in the order of the card', () => {
    expect(bladesOn(make, makes().state())).toEqual({ 1: '85', 2: '30', 3: '86', 4: '87' })
  })

  test('of three contact blades nothing is guessed where the card does not say which is which', () => {
    const bare = { ...changeover, terminals: changeover.terminals.map((one) => ({ ...one, aliases: [] })) }
    const script = changesOver(true, bare)
    expect(script.state().roles).toMatchObject([{ kind: 'relay', missing: [] }])
    expect(bladesOn(bare, script.state())).toBeUndefined()
  })

  test('go on the plug they were counted on, and on no other', () => {
    const card = withBladesNamed(changeover, changesOver().state())
    expect(cavities(card, 'counted')).toEqual([
      ['1', '85'],
      ['2', '30'],
      ['3', '87'],
      ['4', '86'],
      ['5', '87a'],
    ])
    expect(cavities(card, 'base')).toEqual(cavities(changeover, 'base'))
    // its next one is read by name
    expect(
      on(card)
        .state()
        .steps.some(({ step }) => step.id === 'rest:30-87a'),
    ).toBe(true)
    const state = changesOver().state()
    expect(withBladesNamed(card, state)).toBe(card)
  })

  test('what was asked between them is put on the card at the terminals they are, or not at all', () => {
    const asked = (script: Script) => {
      const check = askedOf(withAsked(script.run).card, '1', ['1', '4'], 'inductance')
      return script
        .put({ kind: 'ask', check })
        .read('ask-1', '120m', { pair: ['1', '4'] })
        .state()
    }
    const whole = withAskedKept(changeover, asked(changesOver()))
    expect(whole.checks.at(-1)).toMatchObject({ kind: 'inductance', at: { pair: ['85', '86'] } })
    const again = withBladesNamed(changeover, changesOver().state())
    expect(withAskedKept(again, asked(changesOver())).checks.at(-1)).toMatchObject({ at: { pair: ['85', '86'] } })
    expect(withAskedKept(changeover, asked(changesOver(false))).checks).toEqual(changeover.checks)
  })
})
