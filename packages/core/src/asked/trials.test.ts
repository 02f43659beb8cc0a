import { describe, expect, test } from '@jest/globals'
import type { Check } from '../document'
import { refusalOf } from '../state'
import { plainCard, plainCheck, plainTerminals, Script } from '../testing'
import { withAskedKept } from '../writing'
import { isTrial, trialIn, trialOf } from './trials'
import { typedPoints } from './typedPoints'

const card = plainCard({
  family: 'pickup',
  terminals: plainTerminals('brown', 'yellow', 'pink', 'blue'),
  windings: [
    { id: 'upper', label: 'upper', from: 'brown', to: 'yellow', material: 'copper' },
    { id: 'lower', label: 'lower', from: 'pink', to: 'blue', material: 'copper' },
  ],
  checks: [
    plainCheck('upper', 'resistance', { pair: ['brown', 'yellow'] }, { kind: 'band', min: 5e3, max: 6.5e3 }),
    plainCheck('lower', 'resistance', { pair: ['pink', 'blue'] }, { kind: 'band', min: 5e3, max: 6.5e3 }),
  ],
})
const answered = (script: Script, check: Check, answer: string) =>
  (script.run.entries.some((one) => one.kind === 'ask') ? script : script.put({ kind: 'ask', check })).put({
    kind: 'reading',
    check: check.id,
    reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
  })
const state = (check: Check, answer: string) =>
  answered(new Script(card).ready(), check, answer)
    .state()
    .checks.find((one) => one.check.id === check.id)

describe('a trial that is no figure', () => {
  test.each([
    ['tap brown yellow', { trial: 'tap', at: { pair: ['brown', 'yellow'] } }],
    ['Tap between brown and yellow', { trial: 'tap', at: { pair: ['brown', 'yellow'] } }],
    ['blade at slot 14', { trial: 'blade', at: { place: 'slot 14' } }],
    ['lamp shaft to bars', { trial: 'lamp', at: { place: 'shaft to bars' } }],
    ['lamp brown yellow ohms', { trial: 'lamp', at: { place: 'brown yellow ohms' } }],
    ['click the left coil', { trial: 'click', at: { place: 'the left coil' } }],
    ['tap', { problem: 'Say where: tap brown yellow, or a place.' }],
    ['taps brown yellow', { problem: '“taps” is no point of this part and no quantity.' }],
    ['brown yellow', { pair: ['brown', 'yellow'] }],
  ])('“%s”', (text, typed) => expect(typedPoints(text, card)).toEqual(typed))

  test('a point of the part that is called so stays a point', () => {
    const lamp = plainCard({ ...card, family: card.family, terminals: plainTerminals('lamp', 'brown') })
    expect(typedPoints('lamp brown', lamp)).toEqual({ pair: ['lamp', 'brown'] })
    expect(typedPoints('tap brown', lamp)).toEqual({ trial: 'tap', at: { place: 'brown' } })
    expect(typedPoints('lamp', lamp)).toMatchObject({ problem: expect.stringContaining('1 is named') })
    expect([isTrial('lamp'), isTrial('toString')]).toEqual([true, false])
  })

  test('is judged by what a sound part does, and where that depends on the part it is kept', () => {
    const at = { pair: ['brown', 'yellow'] as [string, string] }
    expect(state(trialOf(card, 'a', 'tap', at), 'loud')).toMatchObject({ verdict: 'within' })
    expect(state(trialOf(card, 'a', 'tap', at), 'faint')).toMatchObject({ verdict: 'outside', reason: 'wrong-answer' })
    expect(state(trialOf(card, 'a', 'click', { place: 'left' }), 'one click')).toMatchObject({ verdict: 'within' })
    expect(state(trialOf(card, 'a', 'blade', { place: 'slot 14' }), 'hums')).toMatchObject({ verdict: 'outside' })
    for (const answer of ['dark', 'dim', 'full'])
      expect(state(trialOf(card, 'a', 'lamp', at), answer)).toMatchObject({ verdict: 'none', reason: 'no-limit' })
  })

  test('stands on the path behind what the card asks, as a thing that is answered, and holds no finding', () => {
    const check = trialOf(card, 'a', 'tap', { place: 'upper coil' })
    const script = new Script(card).ready().put({ kind: 'ask', check })
    const { steps, finding, run } = script.state()
    expect(steps.at(-2)?.step).toEqual({
      id: 'ask-a',
      kind: 'answer',
      check: 'ask-a',
      required: false,
      group: 'asked',
      cautions: [],
    })
    expect(steps.filter(({ step }) => step.id === 'ask-a')).toHaveLength(1)
    expect(finding.open.some((one) => one.check === 'ask-a')).toBe(false)
    expect(run.card.sources.at(-1)).toMatchObject({ id: 'trial', grade: 'trade' })
  })

  test.each(['silent', 'faint'])(
    'one that was %s is tried twice, since a bad contact gives that too; then it is a cause',
    (said) => {
      const check = trialOf(card, 'a', 'tap', { place: 'upper coil' })
      const script = answered(new Script(card).ready(), check, said)
      expect(script.state().finding.open).toContainEqual(expect.objectContaining({ check: 'ask-a', why: 'take-again' }))
      expect(script.state().causes).toEqual([])
      answered(script, check, said)
      expect(script.state().causes).toMatchObject([{ kind: 'answer', of: ['ask-a'] }])
    },
  )

  test('a blade that hums stands at once', () => {
    const check = trialOf(card, 'a', 'blade', { place: 'slot 14' })
    expect(answered(new Script(card).ready(), check, 'hums').state().causes).toMatchObject([{ kind: 'answer' }])
  })
})

test('a tap that stays silent over an open coil is no second fault', () => {
  const script = new Script(card).ready().read('upper', 'OL 6M').again('upper', 'OL 6M')
  const silent = trialOf(card, 'a', 'tap', { pair: ['brown', 'yellow'] })
  answered(answered(script, silent, 'silent'), silent, 'silent')
  expect(script.state().causes).toMatchObject([{ kind: 'winding-open', of: ['upper'], explains: ['ask-a', 'upper'] }])
})

test('put on the card it keeps its answers, and the card has their source', () => {
  const check = trialOf(card, 'a', 'tap', { place: 'upper coil' })
  const written = withAskedKept(card, answered(new Script(card).ready(), check, 'loud').state())
  expect(written.checks.at(-1)).toMatchObject({ kind: 'act', label: 'tap, upper coil', limits: [{ source: 'trial' }] })
  expect(written.sources.map(({ id }) => id)).toContain('trial')
  expect(withAskedKept(written, answered(new Script(card).ready(), check, 'loud').state()).sources).toEqual(
    written.sources,
  )
})

describe('what may be asked', () => {
  const made = trialOf(card, 'a', 'tap', { place: 'upper coil' })
  const refusal = (check: Check) => {
    const { run } = new Script(card).ready()
    return refusalOf(run, false, {
      id: 'e',
      run: run.id,
      n: run.entries.length,
      at: '2026-03-02T09:30:00Z',
      by: 'p',
      kind: 'ask',
      check,
    })
  }
  const limited = (of: string[], right: string[]): Check => ({
    ...made,
    limits: [{ id: 'ask-a', for: 'any', limit: { kind: 'answer', of, right }, source: 'trial' }],
  })

  test('a trial in its own words', () => {
    expect(refusal(made)).toBeNull()
    expect(refusal(trialOf(card, 'a', 'lamp', { pair: ['brown', 'yellow'] }))).toBeNull()
    expect(refusal(trialOf(card, 'a', 'lamp', { pair: ['brown', 'green'] }))).toMatchObject({ field: 'check.at.pair' })
  })

  test.each([
    ['another kind', { ...made, kind: 'look' as const }],
    ['other answers', limited(['loud', 'silent'], ['loud'])],
    ['another right one', limited(['loud', 'faint', 'silent'], ['silent'])],
    ['the card’s own source', { ...made, limits: made.limits.map((one) => ({ ...one, source: 'maker' })) }],
    ['no limit', { ...made, limits: [] }],
  ])('but not %s', (_, check) => {
    expect(trialIn(check)).toBeUndefined()
    expect(refusal(check)).not.toBeNull()
  })
})

describe('a tap that is heard over an open', () => {
  const heard = (answer: string, ohms: string, pair: [string, string] = ['brown', 'yellow']) => {
    const script = answered(new Script(card).ready().read('upper', ohms), trialOf(card, 'a', 'tap', { pair }), answer)
    return script.state().remarks.find(({ id }) => id === 'tests-disagree')?.params
  }

  test('contradicts it, and the open is the stronger', () => {
    expect(heard('loud', 'OL 6M')).toEqual({ one: 'ask-a', stronger: 'upper' })
  })

  test.each([
    ['it was silent', 'silent', 'OL 6M', undefined],
    ['the winding reads', 'loud', '5.8k', undefined],
    ['it was another coil', 'loud', 'OL 6M', ['pink', 'blue']],
  ] as const)('not where %s', (_, answer, ohms, pair) => {
    expect(heard(answer, ohms, pair && [...pair])).toBeUndefined()
  })
})
