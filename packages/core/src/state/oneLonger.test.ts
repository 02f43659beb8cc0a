import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Card, Entry } from '../document'
import { coarseCard, draws, knobMeter, pocketMeter, relayCard, Script, twinCard } from '../testing'
import { runState, type RunState } from './index'

/** Anything a person may do at the bench, as a move made on whatever the tape already holds. */
const move = fc.record({
  what: fc.constantFrom(
    ...(['read', 'read', 'read', 'read', 'again', 'mistyped', 'take-back', 'answer', 'work', 'decide'] as const),
    ...(['zero', 'temperature', 'isolation', 'proof', 'supply', 'look', 'skip', 'note'] as const),
  ),
  pick: fc.nat(1000),
  text: fc.constantFrom(
    '318',
    '36.5',
    '358.4',
    '92',
    '0.4',
    '0',
    '1',
    'OL',
    'OL 40M',
    '300..330',
    '12k',
    '-0.3',
    '>5M',
  ),
  flag: fc.boolean(),
})
type Move = (typeof move extends fc.Arbitrary<infer M> ? M : never) & { pick: number }

const one = <T>(all: readonly T[], pick: number): T | undefined => all[pick % Math.max(1, all.length)]
const instruments = [pocketMeter, knobMeter]
const remarks = ['not-isolated', 'sum-off', 'leads-matter', 'prefix-jump', 'one-or-over', 'repeats-apart']

/** Makes a move on a script, where what the tape holds allows it. */
function make(script: Script, { what, pick, text, flag }: Move): void {
  const { card, entries } = script.run
  const readings = entries.filter((entry): entry is Extract<Entry, { kind: 'reading' }> => entry.kind === 'reading')
  const check = one(
    card.checks.filter(({ kind }) => kind !== 'look' && kind !== 'act'),
    pick,
  )
  const terminals = card.terminals.map(({ id }) => id)
  const pair: [string, string] = [one(terminals, pick) ?? '', one(terminals, pick + 1) ?? '']
  const set = {
    instrument: instruments[Number(flag)]?.id ?? '',
    ...(check && 'pair' in check.at ? {} : { pair }),
  }
  const before = one(readings, pick)
  switch (what) {
    case 'read':
      if (check) script.read(check.id, text, set)
      return
    case 'again':
    case 'mistyped':
      if (before)
        script.read(before.check, text, {
          ...(before.reading.pair ? { pair: before.reading.pair } : {}),
          instrument: before.reading.instrument,
          supersedes: before.id,
          ...(what === 'mistyped' ? { mistyped: true } : { reason: 'taken again' }),
        })
      return
    case 'take-back': {
      const target = one(entries, pick)
      if (target && target.kind !== 'take-back') script.put({ kind: 'take-back', entry: target.id, reason: 'no' })
      return
    }
    case 'answer':
      script.put({ kind: 'answer', remark: one(remarks, pick) ?? '', reason: 'it is so' })
      return
    case 'work':
      script.put({ kind: 'work', what: flag ? 'reflow' : 'rewind', place: one(terminals, pick) ?? '', words: '' })
      return
    case 'decide':
      script.put({ kind: 'decision', what: flag ? 'more-tests' : 'return', why: 'as read' })
      return
    case 'zero':
      script.put({
        kind: 'lead-check',
        instrument: set.instrument,
        text: '0.2',
        ohms: 0.2,
        u: 0.02,
        how: flag ? 'subtract' : 'hardware',
      })
      return
    case 'temperature':
      script.put({ kind: 'temperature', part: flag ? 'measured' : 'room', ...(flag ? { partC: 35 } : {}), roomC: 18 })
      return
    case 'isolation':
      script.put({ kind: 'isolation', state: flag ? 'loose' : 'in-circuit', ...(flag ? {} : { parallelOhms: 1e4 }) })
      return
    case 'proof':
      script.put({ kind: 'proof', of: flag ? 'same-metal' : 'jack', text: '0.1' })
      return
    case 'supply':
      script.put({
        kind: 'supply',
        text: flag ? '12.6' : '24',
        volts: flag ? 12.6 : 24,
        u: 0.05,
        while: flag ? 'on' : 'off',
      })
      return
    case 'look':
      script.put({ kind: 'look', place: 'leads', what: [flag ? 'sound' : 'cracked'] })
      return
    case 'skip':
      if (check) script.put({ kind: 'skip', check: check.id, reason: 'no time' })
      return
    case 'note':
      script.put({ kind: 'note', words: 'said' })
  }
}

/** A state without what only its making left behind. */
const told = ({ trace: _trace, tape: { history: _history, ...tape }, ...state }: RunState) => ({ ...state, tape })

test('a run judged on from any earlier state of it is the run judged from nothing', () => {
  const card = fc.constantFrom<Card>(twinCard(), coarseCard(), relayCard())
  let held = 0
  fc.assert(
    fc.property(card, fc.array(move, { minLength: 3, maxLength: 24 }), (chosen, moves) => {
      const script = new Script(chosen, { instruments }).ready()
      let before: RunState | undefined
      for (const each of moves) {
        make(script, each)
        const run = { ...script.run, entries: [...script.run.entries] }
        const onward = runState(run, before)
        expect(told(onward)).toEqual(told(runState(run)))
        if (before && each.flag) held += onward.remarks.length
        // now and then from a state several entries back
        if (each.pick % 3 > 0) before = onward
      }
    }),
    { numRuns: draws(150) },
  )
  expect(held).toBeGreaterThan(0)
})

test('an evaluation that nothing since has touched is the very same object', () => {
  const script = new Script(twinCard()).ready().read('low', '322').read('high', '36.5')
  const before = runState({ ...script.run, entries: [...script.run.entries] })
  const after = runState(script.read('series', '358.4').run, before)
  for (const [id, evaluation] of before.evaluations) expect(after.evaluations.get(id)).toBe(evaluation)
})
