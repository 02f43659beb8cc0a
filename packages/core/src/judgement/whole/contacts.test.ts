import { describe, expect, test } from '@jest/globals'
import type { Card, Reading } from '../../document'
import { relayCard, Script } from '../../testing'

const open = 'OL 40M'
const shut = '0.1'
type Way = 'rest' | '85' | '86'

/** A reading of a pair as it was driven; `30-87a open` is at rest. */
function read(script: Script, pair: string, text: string, way: Way = 'rest', more: Partial<Reading> = {}): Script {
  const [a = '', b = ''] = pair.split('-')
  const drive = way === 'rest' ? {} : { conditions: { drive: { plus: way, minus: way === '85' ? '86' : '85' } } }
  return script.read(way === 'rest' ? 'rest' : 'driven', text, { pair: [a, b], ...drive, ...more })
}
const pairs = ['30-87', '30-87a', '87-87a']
/** Every pair of contacts in the order 30-87, 30-87a, 87-87a. */
const all = (script: Script, texts: string[], way: Way = 'rest', from = pairs) =>
  from.reduce((on, pair, i) => read(on, pair, texts[i] ?? open, way), script)
const relay = (card: Card = relayCard()) => new Script(card).ready().read('coil', '90')
const row = (script: Script) => {
  const found = script.state().checks.find(({ check }) => check.id === 'driven')
  return [found?.verdict, found?.reason]
}
const finding = (script: Script) => script.state().finding.word
const wanted = (script: Script) =>
  [...script.state().evaluations.values()].flatMap(({ whole, check, pair }) =>
    whole?.again ? [`${check.id} ${pair?.join('-')}`] : [],
  )

/** The contact readings that stand, each with its own verdict and why. */
const own = (script: Script) =>
  script
    .state()
    .checks.filter(({ check }) => check.kind === 'contacts')
    .flatMap(({ check, points }) =>
      points.map(({ pair, verdict, reason }) => [check.id, pair?.join('-'), verdict, reason].filter(Boolean).join(' ')),
    )
const openSo = 'within open-as-expected'

describe('of a relay that fails, a reading carries the fault that it rests on', () => {
  test('a contact that does not close: the one read open twice, and none that is as it should be', () => {
    const script = read(all(all(relay(), [open, shut]), [open, open], '86'), '30-87', open, '86')
    expect(own(script)).toEqual([
      `rest 30-87 ${openSo}`,
      'rest 30-87a within',
      `rest 87-87a ${openSo}`,
      `driven 30-87a ${openSo}`,
      `driven 87-87a ${openSo}`,
      'driven 30-87 outside contact-fault',
    ])
    expect(
      script
        .state()
        .checks.filter(({ verdict }) => verdict === 'outside')
        .map(({ check }) => check.id),
    ).toEqual(['rest', 'driven'])
  })

  test('both that could be it, before one was read twice', () => {
    const once = own(all(all(relay(), [open, shut]), [open, open], '86'))
    expect(once.filter((line) => line.includes('outside'))).toEqual([
      'driven 30-87 outside contact-fault',
      'driven 87-87a outside contact-fault',
    ])
  })

  test('a contact that stays closed: what was read closed while driven', () => {
    const script = own(all(all(relay(), [open, shut]), [shut, shut], '86'))
    expect(script.filter((line) => line.includes('outside'))).toEqual(['driven 30-87a outside contact-fault'])
  })

  test('one that should be closed at rest: what was read there, and once twice, that one', () => {
    const script = own(all(all(relay(), [open, open]), [shut, open], '86'))
    expect(script.filter((line) => line.includes('outside'))).toEqual([
      'rest 30-87a outside contact-fault',
      'rest 87-87a outside contact-fault',
    ])
    const twice = own(read(all(all(relay(), [open, open]), [shut, open], '86'), '30-87a', open))
    expect(twice.filter((line) => line.includes('outside'))).toEqual(['rest 30-87a outside contact-fault'])
  })

  test('a contact of too many ohms fails by itself beside it', () => {
    const script = own(all(all(relay(), [open, '0.9']), [open, open], '86'))
    expect(script).toContain('rest 30-87a outside above-maximum')
  })

  test('one that does nothing: what was read while it was driven, not what it is at rest', () => {
    const script = own(all(all(all(relay(), [open, shut]), [open, shut], '86'), [open, shut], '85'))
    expect(script.slice(0, 3)).toEqual([`rest 30-87 ${openSo}`, 'rest 30-87a within', `rest 87-87a ${openSo}`])
    expect(script.slice(3).every((line) => line.endsWith('outside does-not-operate'))).toBe(true)
  })

  test('of one that operates an open contact has no limit to be held against', () => {
    const script = all(all(relay(), [open, shut]), [shut, open], '86')
    const { points } = script.state().checks.find(({ check }) => check.id === 'rest') ?? { points: [] }
    expect(points.map(({ reason, evaluation }) => [reason, evaluation?.limit?.kind])).toEqual([
      ['open-as-expected', undefined],
      [undefined, 'closed'],
      ['open-as-expected', undefined],
    ])
  })
})

describe('a changeover relay', () => {
  test('that moves both ways of its blade operates', () => {
    const script = all(all(relay(), [open, shut]), [shut, open], '86')
    expect([row(script)[0], finding(script)]).toEqual(['within', 'no-fault-found'])
  })

  test('whose open contact does not close wants that reading twice: a probe may have missed', () => {
    const once = all(all(relay(), [open, shut]), [open, open], '86')
    expect([...row(once), finding(once)]).toEqual(['outside', 'contact-fault', 'undecided'])
    expect(wanted(once)).toEqual(['driven 30-87'])
    read(once, '30-87', open, '86')
    expect([finding(once), wanted(once)]).toEqual(['fault-found', []])
  })

  test('driven the other way it was read twice as well', () => {
    const both = all(all(all(relay(), [open, shut]), [open, open], '86'), [open, open], '85')
    expect([finding(both), wanted(both)]).toEqual(['fault-found', []])
  })

  test('a second reading at rest is no second of one that was driven', () => {
    const script = all(all(relay(), [open, shut]), [open, open], '86')
    read(script, '30-87', open)
    expect(finding(script)).toBe('undecided')
  })

  test('of two that could be the one that closes either, read twice, is enough; one that closes at rest is neither', () => {
    const script = () => all(all(relay(), [open, shut]), [open, open], '86')
    expect(finding(read(script(), '87-87a', open, '86'))).toBe('fault-found')
    const other = read(script(), '30-87a', open, '86')
    expect([finding(other), wanted(other)]).toEqual(['undecided', ['driven 30-87']])
  })

  test('whose closed contact is open at rest wants that one twice, and at rest', () => {
    const once = all(all(relay(), [open, open]), [shut, open], '86')
    expect([...row(once), finding(once)]).toEqual(['outside', 'contact-fault', 'undecided'])
    expect(wanted(once)).toEqual(['rest 30-87a'])
    // that it is open while it is driven is as it should be, and says nothing of it at rest
    all(once, [shut, open], '85')
    expect([finding(once), wanted(once)]).toEqual(['undecided', ['rest 30-87a']])
    read(once, '30-87a', open)
    expect([finding(once), wanted(once)]).toEqual(['fault-found', []])
  })

  test('and closed when it is read again, it operates', () => {
    const script = all(all(relay(), [open, open]), [shut, open], '86')
    read(script, '30-87a', shut)
    expect([row(script)[0], finding(script)]).toEqual(['within', 'no-fault-found'])
  })

  test('welded, at rest or driven, stands at once: what is closed was reached', () => {
    const atRest = all(all(relay(), [shut, shut, shut]), [shut, open, open], '86')
    const driven = all(all(relay(), [open, shut]), [shut, shut, shut], '86')
    for (const script of [atRest, driven]) {
      expect([...row(script), finding(script)]).toEqual(['outside', 'contact-fault', 'fault-found'])
      expect(wanted(script)).toEqual([])
    }
  })

  test('that does not move stands at once where a contact was closed with the coil driven', () => {
    const script = all(all(all(relay(), [open, shut]), [open, shut], '86'), [open, shut], '85')
    expect([...row(script), finding(script), wanted(script)]).toEqual([
      'outside',
      'does-not-operate',
      'fault-found',
      [],
    ])
  })
})

describe('a relay of one closing contact, with a diode that allows one way', () => {
  const card = (): Card => {
    const blades = ['30', '85', '86', '87']
    const whole = relayCard()
    return {
      ...whole,
      terminals: whole.terminals.filter(({ id }) => blades.includes(id)),
      care: { ...whole.care, electronicsBetween: [['85', '86']] },
      checks: whole.checks.map((check) => ('among' in check.at ? { ...check, at: { among: blades } } : check)),
    }
  }
  const one = (text: string, driven: string) => read(read(relay(card()), '30-87', text), '30-87', driven, '85')

  test('operates, or does nothing: then the reading with the coil driven is wanted twice, not the one at rest', () => {
    expect(finding(one(open, shut))).toBe('no-fault-found')
    const script = one(open, open)
    expect([...row(script), finding(script)]).toEqual(['outside', 'does-not-operate', 'undecided'])
    expect(wanted(script)).toEqual(['driven 30-87'])
    read(script, '30-87', open)
    expect(wanted(script)).toEqual(['driven 30-87'])
    read(script, '30-87', open, '85')
    expect([finding(script), wanted(script)]).toEqual(['fault-found', []])
  })

  test('closed all the time it does not operate either, and that stands at once', () => {
    const script = one(shut, shut)
    expect([...row(script), finding(script), wanted(script)]).toEqual([
      'outside',
      'does-not-operate',
      'fault-found',
      [],
    ])
  })
})
