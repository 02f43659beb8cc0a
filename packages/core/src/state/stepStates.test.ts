import { describe, expect, test } from '@jest/globals'
import type { Card, EntryBody } from '../document'
import {
  armatureCard,
  insulationTester,
  plainCheck,
  pocketMeter,
  relayCard,
  Script,
  senderCard,
  twinCard,
  valveCard,
} from '../testing'
import { isClosed } from './runState'
import { summarise } from './summary'

const twin = () => new Script(twinCard())
const stepOf = (script: Script, id: string) => script.state().steps.find(({ step }) => step.id === id)
const statusOf = (script: Script, id: string) => stepOf(script, id)?.status
const look = (what: string[], check?: string): EntryBody =>
  ({ kind: 'look', place: 'the coils', what, ...(check === undefined ? {} : { check }) }) as EntryBody
const skip = (check: string): EntryBody => ({ kind: 'skip', check, reason: 'no way to it' })
const lookId = twinCard().checks.find(({ kind }) => kind === 'look')?.id

describe('how far a step is', () => {
  test('what was seen flags it unless all is sound; the last look counts', () => {
    expect(lookId).toBeDefined()
    expect(statusOf(twin(), lookId ?? '')).toBe('to-do')
    expect(statusOf(twin().put(look(['sound'], lookId)), lookId ?? '')).toBe('done')
    expect(statusOf(twin().put(look(['burnt'], lookId)), lookId ?? '')).toBe('flagged')
    expect(
      statusOf(
        twin()
          .put(look(['burnt'], lookId))
          .put(look(['sound'], lookId)),
        lookId ?? '',
      ),
    ).toBe('done')
    expect(statusOf(twin().put(look(['burnt'], 'elsewhere')), lookId ?? '')).toBe('to-do')
  })

  test('a part whose card asks for no look takes any', () => {
    const relay = () => new Script(relayCard())
    expect(statusOf(relay(), 'look')).toBe('to-do')
    expect(statusOf(relay().put(look(['sound'])), 'look')).toBe('done')
  })

  test.each([
    ['isolate', { kind: 'isolation', state: 'loose' }],
    ['temperature', { kind: 'temperature', part: 'room', roomC: 20 }],
    ['leads', { kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0.1, u: 0.02, how: 'subtract' }],
    ['frame-proof', { kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' }],
    ['finding', { kind: 'decision', what: 'return', why: 'sound' }],
  ] satisfies [string, EntryBody][])('%s is done by its own entry, and names it', (id, body) => {
    expect(statusOf(twin(), id)).toBe('to-do')
    const script = twin().put(body)
    expect(stepOf(script, id)).toMatchObject({ status: 'done', entry: script.run.entries.at(-1)?.id })
  })

  test('another proof proves no frame, more tests are no decision, and the supply is asked for where there is one', () => {
    expect(statusOf(twin().put({ kind: 'proof', of: 'tips' }), 'frame-proof')).toBe('to-do')
    expect(statusOf(twin().put({ kind: 'decision', what: 'more-tests', why: 'hot' }), 'finding')).toBe('to-do')
    const volts: EntryBody = { kind: 'supply', text: '24', volts: 24, u: 0.1, while: 'off' }
    expect([
      statusOf(new Script(valveCard()), 'supply'),
      statusOf(new Script(valveCard()).put(volts), 'supply'),
    ]).toEqual(['to-do', 'done'])
  })

  test('skipped by its own name, or by its check’s; read, it is not skipped any more', () => {
    expect(statusOf(twin().put(skip('low')), 'low')).toBe('skipped')
    expect(statusOf(twin().put(skip('temperature')), 'temperature')).toBe('skipped')
    const bars = new Script(armatureCard()).put(skip('bars'))
    expect([statusOf(bars, 'bars:1'), statusOf(bars, 'bars:8')]).toEqual(['skipped', 'skipped'])
    const one = new Script(armatureCard()).put(skip('bars:1'))
    expect([statusOf(one, 'bars:1'), statusOf(one, 'bars:2')]).toEqual(['skipped', 'to-do'])
    expect(statusOf(twin().ready().put(skip('low')).read('low', '322'), 'low')).toBe('done')
    expect(statusOf(twin().put(skip('low')), 'high')).toBe('to-do')
  })

  test('read at its number, its place, its pair, and as it was driven', () => {
    const bars = new Script(armatureCard()).ready().read('bars', '.41', { index: 2 })
    expect([statusOf(bars, 'bars:1'), statusOf(bars, 'bars:2')]).toEqual(['to-do', 'done'])
    const sender = new Script(senderCard()).ready().read('travel', '72', { x: 50 })
    expect([statusOf(sender, 'travel:0'), statusOf(sender, 'travel:50')]).toEqual(['to-do', 'done'])
    const drive = { plus: '85', minus: '86' }
    const relay = new Script(relayCard()).ready().read('coil', '90')
    relay.read('rest', '.1', { pair: ['30', '87a'], conditions: { drive: null } })
    relay.read('driven', '.1', { pair: ['30', '87'], conditions: { drive } })
    expect(['rest:30-87a', 'rest:30-87', 'driven:30-87', 'driven:30-87a'].map((id) => statusOf(relay, id))).toEqual([
      'done',
      'to-do',
      'done',
      'to-do',
    ])
    const backwards = new Script(relayCard()).ready().read('coil', '90')
    backwards.read('driven', '.1', { pair: ['30', '87'], conditions: { drive: { plus: '86', minus: '85' } } })
    expect(statusOf(backwards, 'driven:30-87')).toBe('to-do')
  })

  test.each([
    ['~200M 500V', 'hold-until-settled', 'again', undefined],
    ['200M 300V', 'test-voltage-low', 'again', undefined],
    ['>20M 500V', 'range-too-low', 'again', true],
    ['200M 500V', 'insulation-holds', 'done', undefined],
    ['20M 500V', 'leakage', 'done', undefined],
  ])('insulation %s (%s) is %s', (text, reason, status, later) => {
    const step = stepOf(
      new Script(valveCard(), { instruments: [pocketMeter, insulationTester] })
        .ready()
        .framed()
        .read('shell', text, { pair: ['1', 'frame'], instrument: 't1' }),
      'shell',
    )
    expect([step?.point?.reason, step?.status, step?.later]).toEqual([reason, status, later])
  })

  test('held by a stop, wanted again, or done', () => {
    expect(statusOf(twin().read('low', '322'), 'low')).toBe('held')
    expect(statusOf(twin().ready().read('high', '52.1'), 'high')).toBe('again')
    expect(statusOf(twin().ready().read('low', '238'), 'low')).toBe('done')
  })
})

describe('where the bench stands', () => {
  const at = (script: Script) => script.state().step
  const begun = () =>
    twin()
      .put(look(['sound'], lookId))
      .ready()

  test('at the first step that is not finished; what is wanted again comes before what comes later', () => {
    expect(at(twin())).toBe(lookId)
    expect(at(begun())).toBe('low')
    expect(at(begun().read('high', '52.1').read('low', '322'))).toBe('high')
  })

  test('at the reading that a stop holds, wherever that is', () => {
    expect(at(twin().read('high', '36.5'))).toBe('high')
  })

  test('at the finding once it is closed, and where all is done', () => {
    expect(at(twin().put({ kind: 'decision', what: 'return', why: 'sound' }))).toBe('finding')
  })
})

describe('a run', () => {
  const decided = (what: 'return' | 'more-tests') => twin().put({ kind: 'decision', what, why: 'so' } as EntryBody)

  test('is closed by a decision, not by more tests, and not by one that was taken back', () => {
    expect([isClosed(twin().run), isClosed(decided('more-tests').run), isClosed(decided('return').run)]).toEqual([
      false,
      false,
      true,
    ])
    const script = decided('return')
    script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'slip' })
    expect(isClosed(script.run)).toBe(false)
  })

  test('names what was not tested: a look that nobody took, and a check that says nothing', () => {
    const untested = (script: Script) => script.state().untested
    expect(untested(twin())).toEqual(expect.arrayContaining([lookId, 'low', 'frame']))
    expect(untested(twin().put(look(['sound'], lookId)))).not.toContain(lookId)
    expect(untested(twin().ready().read('low', '322'))).not.toContain('low')
    expect(untested(twin().read('low', '322'))).not.toContain('low')
    const card: Card = relayCard()
    card.checks.push(plainCheck('bare', 'resistance', { pair: ['30', '85'] }))
    const bare = new Script(card).ready().read('bare', '5.0')
    expect(untested(bare)).not.toContain('bare')
    expect(bare.state().unjudged).toEqual(['bare'])
    expect(new Script(card).ready().state().unjudged).toEqual([])
  })

  test('in brief says of each remark where it stands, and that it was answered', () => {
    const held = twin().read('low', '322')
    const entry = held.run.entries.at(-1)?.id
    expect(summarise(held.state()).remarks[0]).toEqual({ id: 'not-isolated', severity: 'stop', check: 'low', entry })
    const answered = held.put({ kind: 'answer', remark: 'not-isolated', reason: 'the other end hangs free' })
    expect(summarise(answered.state()).remarks[0]).toEqual({
      id: 'not-isolated',
      severity: 'stop',
      check: 'low',
      entry,
      answered: true,
    })
    const ended = summarise(twin().ready().framed('O').state()).remarks.find(({ id }) => id === 'windings-untested')
    expect(ended).toEqual({ id: 'windings-untested', severity: 'warn' })
  })

  test('has its closing remarks answered by name', () => {
    const script = twin().ready().framed('O').put({ kind: 'answer', remark: 'windings-untested', reason: 'no time' })
    const remark = script.state().remarks.find(({ id }) => id === 'windings-untested')
    expect(remark?.answered).toEqual({ by: 'answer', entry: script.run.entries.at(-1)?.id, reason: 'no time' })
  })
})
