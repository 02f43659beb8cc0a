import { describe, expect, test } from '@jest/globals'
import { chargingCard, plainCheck, Script, twinCard } from '@sure-spool/core/testing'
import type { Reading } from '@sure-spool/core'
import { figuresWith } from './figures'
import { takenUnder } from './takenUnder'

const figures = figuresWith(() => false)

/** What is said of one reading of a check that asks for 3000 rpm. */
function under(reading: Partial<Reading>, asked = { rpm: 3000 }): string {
  const card = {
    ...twinCard(),
    checks: [
      plainCheck('out', 'ac-output', { pair: ['O', 'G'] }, { kind: 'band', min: 80, max: 120 }, { conditions: asked }),
    ],
  }
  const state = new Script(card).ready().read('out', '96 V', reading).state()
  const [one] = state.evaluations.values()
  return one ? takenUnder(card, one, figures) : 'not judged'
}

describe('how a reading was taken', () => {
  test('hot from 50 °C on, with what it comes to beside its limits', () => {
    const at = (partC: number, brief = false) => {
      const script = new Script(twinCard()).put({ kind: 'isolation', state: 'loose' })
      script.put({ kind: 'temperature', part: 'measured', partC }).read('low', '372')
      const [one] = script.state().evaluations.values()
      return one ? takenUnder(twinCard(), one, figures, brief).replaceAll('\u2009', ' ') : 'not judged'
    }
    expect(at(49.9)).toBe('')
    expect(at(50)).toMatch(/^at 50 °C, 332\.8\d* Ω at 20 °C$/)
    expect(at(50, true)).toBe('at 50 °C')
  })

  test('nothing where nothing was said of it, or only what its check asks', () => {
    expect(under({})).toBe('')
    expect(under({ conditions: { rpm: 3000 } })).toBe('')
  })

  test('another speed, a load, a state, in the words of the set-up', () => {
    expect(under({ conditions: { rpm: 650 } })).toBe('at 650\u2009rpm')
    expect(under({ conditions: { rpm: 3000, load: 'lights', state: ['hot'] } })).toBe('loaded with lights, hot')
  })

  test('where it was bent; a place by itself is no bend', () => {
    expect(under({ conditions: { state: ['flexed'] } })).toBe('bent')
    expect(under({ conditions: { state: ['flexed'] }, where: 'the clamp' })).toBe('bent at the clamp')
    expect(under({ where: 'the boot' })).toBe('at the boot')
  })

  test('a check that asks for the lead bent says the place alone', () => {
    const flex = chargingCard().checks.find(({ conditions }) => conditions?.state?.includes('flexed'))
    const card = chargingCard()
    const terminal = flex && 'each' in flex.at ? (flex.at.each[0] ?? '') : ''
    const script = new Script(card)
      .ready()
      .read(flex?.id ?? '', 'OL 40M', { pair: [terminal, 'frame'], where: 'the clamp' })
    const one = [...script.state().evaluations.values()].at(-1)
    expect(one && takenUnder(card, one, figures)).toBe('bent at the clamp')
  })
})
