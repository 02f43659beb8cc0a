import { describe, expect, test } from '@jest/globals'
import type { EntryBody } from '../document'
import { plainCard, plainCheck, Script, twinCard } from '../testing'

const look = twinCard().checks.find(({ kind }) => kind === 'look')?.id ?? ''
const looked: EntryBody = { kind: 'look', check: look, place: 'the coils', what: ['sound'] }
const twin = () => new Script(twinCard()).put(looked).ready()
const at = (script: Script) => [script.state().step, script.state().leftOut]
const skip = (check: string): EntryBody => ({ kind: 'skip', check, reason: 'no way to it' })

describe('the bench follows the hand', () => {
  test('in working order nothing is left out', () => {
    expect(at(twin().read('low', '322').read('high', '36.7'))).toEqual(['series', []])
  })

  test('a coil picked by hand is gone on from; what its set-up left out comes before the next set-up, and is said', () => {
    const script = twin()
      .put({ kind: 'look', place: 'x', what: ['sound'], check: look })
      .read('high', '36.7')
    expect(at(script)).toEqual(['series', []])
    expect(at(script.read('series', '358.5'))).toEqual(['trigger', []])
    expect(at(script.read('trigger', '92'))).toEqual(['low', ['low']])
    expect(at(script.read('low', '322'))).toEqual(['frame-proof', []])
  })

  test('what makes ready and was left out is said where a set-up ends, and comes when all else is done', () => {
    const script = new Script(twinCard()).ready()
    script.read('low', '322').read('high', '36.7').read('series', '358.5')
    expect(at(script)).toEqual(['trigger', []])
    expect(at(script.read('trigger', '92'))).toEqual(['frame-proof', [look]])
    script.framed('O', 'V')
    expect(at(script)).toEqual(['flex', []])
    expect(at(script.put(skip('flex')))).toEqual([look, [look]])
    expect(at(script.put(looked))).toEqual(['finding', []])
  })

  test('a zero or a temperature in between leaves the bench where it was', () => {
    const script = twin().read('high', '36.7')
    script.put({ kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0.1, u: 0.02, how: 'subtract' })
    script.put({ kind: 'temperature', part: 'room', roomC: 21 })
    expect(at(script)).toEqual(['series', []])
  })

  test('an earlier reading that is taken again, mistyped or taken back leaves it where it was', () => {
    const script = twin().read('low', '322').read('high', '36.7').read('series', '358.5')
    const [first] = script.run.entries.filter(({ kind }) => kind === 'reading')
    const id = first?.id ?? ''
    script.read('low', '321', { supersedes: id })
    expect(at(script)).toEqual(['trigger', []])
    const again = script.run.entries.at(-1)?.id ?? ''
    script.read('low', '320', { supersedes: again, mistyped: true })
    expect(at(script)).toEqual(['trigger', []])
  })

  test('an earlier step read anew, with another meter or a second time, takes the hand there', () => {
    const script = twin().read('low', '322').read('high', '36.7').read('low', '321.9')
    expect(at(script)).toEqual(['series', []])
    expect(at(script.put(skip('series')))).toEqual(['trigger', []])
  })

  test('what is skipped moves the hand on too; the last one taken back puts it where it was', () => {
    const script = twin().put(skip('high'))
    expect(at(script)).toEqual(['series', []])
    const skipped = script.run.entries.at(-1)?.id ?? ''
    expect(at(script.put({ kind: 'take-back', entry: skipped, reason: 'it can be reached' }))).toEqual(['low', []])
  })

  test('what is wanted again keeps the step, and once left comes with what was left out', () => {
    const script = twin().read('high', '52.1')
    expect(at(script)).toEqual(['high', []])
    script.read('trigger', '92')
    expect(script.state().step).toBe('low')
  })

  test('tips on bare frame begin the tests to it', () => {
    const script = new Script(twinCard()).put({ kind: 'proof', of: 'same-metal', text: '0.1' })
    expect(at(script)).toEqual(['frame:O-frame', []])
    expect(at(script.put({ kind: 'temperature', part: 'room', roomC: 20 }))).toEqual(['frame:O-frame', []])
  })

  test('what proves nothing on its range leaves the hand free, and is asked again before the set-up is left', () => {
    const pair = (from: string) => ({ pair: [from, 'frame'] as [string, string] })
    const script = twin().read('low', '322').read('high', '36.7').read('series', '358.5').read('trigger', '92')
    script.put({ kind: 'proof', of: 'same-metal', text: '0.1' })
    const [first, second] = script
      .state()
      .steps.flatMap(({ step }) => (step.kind === 'reading' && step.check === 'frame' ? step.id : []))
    expect(at(script)).toEqual([first, []])
    expect(at(script.read('frame', 'OL 600', pair('O')))).toEqual([second, []])
    expect(at(script.read('frame', 'OL 40M', pair('V')))).toEqual(['flex', []])
    expect(at(script.put(skip('flex')))[0]).toBe(first)
    expect(script.state().steps.find(({ step }) => step.id === first)).toMatchObject({ status: 'again', later: true })
    const low = script.state().steps.find(({ step }) => step.id === first)?.entry
    expect(at(script.read('frame', 'OL 40M', { ...pair('O'), supersedes: low }))[0]).toBe('finding')
  })

  test('what is run alike is one set-up; the other speed is the next, and the first of it comes first', () => {
    const volts = (id: string, rpm: number) =>
      plainCheck(id, 'ac-output', { pair: ['A', 'B'] }, { kind: 'band', min: 9, max: 11 }, { conditions: { rpm } })
    const card = plainCard({
      family: 'other',
      terminals: ['A', 'B'].map((id) => ({ id, label: id, aliases: [] })),
      checks: [volts('idle one', 900), volts('idle two', 900), volts('fast one', 3000), volts('fast two', 3000)],
    })
    const script = new Script(card).put({ kind: 'look', place: 'x', what: ['sound'] }).ready()
    expect(at(script.read('fast two', '10', { conditions: { rpm: 3000 } }))).toEqual([
      'fast one',
      ['idle one', 'idle two', 'fast one'],
    ])
    script.read('fast one', '10', { conditions: { rpm: 3000 } })
    expect(at(script)).toEqual(['idle one', ['idle one', 'idle two']])
  })
})
