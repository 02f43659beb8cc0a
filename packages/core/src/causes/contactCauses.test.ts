import { describe, expect, test } from '@jest/globals'
import type { Check } from '../document'
import { plainCheck, relayCard, type Script } from '../testing'
import { causes, on, pair } from '../testing/causing'

describe('a contact that stays open', () => {
  const rest = { conditions: { drive: null } }
  const driven = { conditions: { drive: { plus: '85', minus: '86' } } }
  const relay = () =>
    on(relayCard())
      .read('coil', '90', pair('85', '86'))
      .read('rest', '0.1', { ...pair('30', '87a'), ...rest })
      .read('rest', 'OL 40M', { ...pair('30', '87'), ...rest })
      .read('rest', 'OL 40M', { ...pair('87', '87a'), ...rest })
      .read('driven', 'OL 40M', { ...pair('30', '87a'), ...driven })
      .read('driven', 'OL 40M', { ...pair('30', '87'), ...driven })
      .read('driven', 'OL 40M', { ...pair('87', '87a'), ...driven })
  const named = (script: Script) => script.state().causes.map(({ kind, of }) => `${kind} ${of.join()}`)
  test('is the pair that was read again, else the first', () => {
    const again = (a: string, b: string) => relay().again('driven', 'OL 40M', { ...pair(a, b), ...driven })
    expect(named(again('87', '87a'))).toEqual(['contact-open 87,87a'])
    const twiceRead = relay().read('driven', 'OL 40M', { ...pair('30', '87'), ...driven })
    expect(named(twiceRead)).toEqual(['contact-open 30,87'])
  })
})

describe('a relay of one contact that does nothing', () => {
  const rest = { ...pair('30', '87'), conditions: { drive: null } }
  const driven = { ...pair('30', '87'), conditions: { drive: { plus: '85', minus: '86' } } }
  const click = plainCheck(
    'click',
    'act',
    { place: 'the relay' },
    { kind: 'answer', of: ['one click', 'none'], right: ['one click'] },
  )
  const relay = (...more: Check[]) => {
    const blades = ['30', '85', '86', '87']
    const whole = relayCard()
    const contacts = whole.checks.map((check) => ('among' in check.at ? { ...check, at: { among: blades } } : check))
    const script = on({
      ...whole,
      terminals: whole.terminals.filter(({ id }) => blades.includes(id)),
      // a diode allows one way alone
      care: { ...whole.care, electronicsBetween: [['85', '86']] },
      checks: [...contacts, ...more],
    })
    script.read('coil', '90', pair('85', '86')).read('rest', 'OL 40M', rest).read('driven', 'OL 40M', driven)
    return script.read('rest', 'OL 40M', rest).read('driven', 'OL 40M', driven)
  }
  const heard = (answer: string) => {
    const script = relay(click)
    for (let i = 0; i < 2; i++)
      script.put({ kind: 'reading', check: 'click', reading: { ...typed, kind: 'answer', text: answer, answer } })
    return causes(script)
  }
  const typed = { taken: 'typed' as const, decimalComma: false }

  test('does not operate: coil or contact, nobody knows', () => {
    expect(causes(relay())).toEqual(['does-not-operate driven <driven>'])
  })

  test('that clicks has a contact that stays open; that is silent does not operate', () => {
    expect(heard('one click')).toEqual(['contact-open 30,87 <driven>'])
    expect(heard('none')).toEqual(expect.arrayContaining([expect.stringMatching(/^does-not-operate driven/)]))
  })

  test('what else was read within is no click, and what was read beside the contacts is no contact', () => {
    const beside = plainCheck('suppressor', 'resistance', { pair: ['30', '86'] }, undefined, { limits: [] })
    const across = (script: Script) => script.read('suppressor', 'OL 40M', { ...driven, ...pair('30', '86') })
    expect(causes(across(across(relay(beside))))).toEqual(['does-not-operate driven <driven>'])
    const heardToo = across(across(across(relay(click, beside))))
    for (let i = 0; i < 2; i++)
      heardToo.put({
        kind: 'reading',
        check: 'click',
        reading: { ...typed, kind: 'answer', text: 'one click', answer: 'one click' },
      })
    expect(causes(heardToo)[0]).toBe('contact-open 30,87 <driven>')
  })

  test('a contact that stays closed is named while another pair was not read', () => {
    const script = on(relayCard())
      .read('coil', '90', pair('85', '86'))
      .read('rest', '0.1', { ...pair('30', '87a'), conditions: { drive: null } })
      .read('rest', 'OL 40M', rest)
      .read('driven', '0.1', { ...driven, ...pair('30', '87a') })
      .read('driven', '0.1', driven)
    expect(causes(script)).toEqual(['contact-closed 30,87a <driven>'])
  })
})
