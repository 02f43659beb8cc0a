import { describe, expect, test } from '@jest/globals'
import type { Entry } from '../document'
import { coarseCard, Script, twinCard } from '../testing'
import { refusalOf } from './refuse'
import { judgedBy } from './runState'
import { setUpRemarks } from './setUpRemarks'

const sound = () =>
  new Script(twinCard())
    .ready()
    .read('low', '322')
    .read('high', '36.5')
    .read('series', '358.4')
    .read('trigger', '91')
    .framed('O', 'V')
const finding = (script: Script) => script.state().finding

describe('the path', () => {
  test('whole after its parts, ground after the windings, and one clip stays where it is', () => {
    const ids = sound()
      .state()
      .steps.map((one) => one.step.id)
    expect(ids).toEqual([
      'look',
      'isolate',
      'temperature',
      'leads',
      'low',
      'high',
      'series',
      'trigger',
      'frame-proof',
      'frame:O-frame',
      'frame:V-frame',
      'flex',
      'finding',
    ])
  })

  test('it stands at the first thing not done, at a held step before it, at the finding when closed', () => {
    const script = new Script(twinCard())
    expect(script.state().step).toBe('look')
    script.put({ kind: 'look', check: 'look', place: 'coils', what: ['sound'] }).ready()
    expect(script.state().step).toBe('low')
    script.read('low', '318k')
    expect(script.state().step).toBe('low')
    script.again('low', '318').put({ kind: 'decision', what: 'return', why: 'enough' })
    expect(script.state()).toMatchObject({ step: 'finding', closed: true })
  })

  test('what is due before a step is touched is said, and once answered not again', () => {
    const question = { check: 'lighting', instrument: 'm2', at: '2026-03-02T09:30:00.000Z', by: 'x' }
    const script = new Script(coarseCard())
    const due = () => setUpRemarks(script.state(), question).map((one) => one.id)
    expect(due()).toEqual(['not-isolated', 'leads-matter'])
    script.ready()
    expect(due()).toEqual([])
  })

  test('a later card gives a second opinion and changes nothing', () => {
    const script = sound()
    const card = twinCard()
    card.checks = card.checks.map((check) =>
      check.id === 'low'
        ? { ...check, limits: [{ id: 'l1', for: 'any', limit: { kind: 'band', min: 330, max: 360 }, source: 's1' }] }
        : check,
    )
    expect(judgedBy(script.run, card).finding.word).toBe('fault-found')
    expect(finding(script).word).toBe('no-fault-found')
  })
})

describe('what cannot stand on a tape', () => {
  const last = (script: Script): [typeof script.run, Entry] => {
    const entries = script.run.entries
    return [{ ...script.run, entries: entries.slice(0, -1) }, entries.at(-1) as Entry]
  }
  const refusal = (script: Script, change: (entry: Entry) => Entry = (entry) => entry, closed = false) => {
    const [run, entry] = last(script)
    return refusalOf(run, closed, change(entry))?.field ?? null
  }
  const read = () => new Script(twinCard()).ready().read('low', '322')

  test('a sound entry is taken, however it is judged', () => {
    expect(refusal(read())).toBeNull()
    expect(refusal(new Script(twinCard()).ready().read('low', '9999M'))).toBeNull()
  })

  test('each thing that cannot be is refused by its field', () => {
    expect(refusal(read(), (entry) => ({ ...entry, run: 'another' }))).toBe('run')
    expect(refusal(read(), (entry) => ({ ...entry, at: '2026-03-02T08:00:00.000Z' }))).toBe('at')
    expect(refusal(read(), (entry) => ({ ...entry, check: 'nowhere' }) as Entry)).toBe('check')
    expect(
      refusal(read(), (entry) =>
        entry.kind === 'reading' ? { ...entry, reading: { ...entry.reading, value: 321 } } : entry,
      ),
    ).toBe('reading.value')
    expect(
      refusal(read(), (entry) =>
        entry.kind === 'reading' ? { ...entry, reading: { ...entry.reading, text: '12 V' } } : entry,
      ),
    ).toBe('reading.text')
    expect(
      refusal(read(), (entry) =>
        entry.kind === 'reading' ? { ...entry, reading: { ...entry.reading, pair: ['O', 'Z'] } } : entry,
      ),
    ).toBe('reading.pair')
    expect(
      refusal(read(), (entry) =>
        entry.kind === 'reading' ? { ...entry, reading: { ...entry.reading, supersedes: 'gone' } } : entry,
      ),
    ).toBe('reading.supersedes')
    expect(refusal(new Script(twinCard()).put({ kind: 'take-back', entry: 'gone', reason: '' }))).toBe('entry')
    expect(refusal(new Script(twinCard()).put({ kind: 'skip', check: 'nothing', reason: 'x' }))).toBe('check')
    expect(refusal(new Script(twinCard()).put({ kind: 'skip', check: 'leads', reason: 'x' }))).toBeNull()
  })

  test('a closed run takes decisions, outcomes and notes, nothing else', () => {
    expect(refusal(read(), (entry) => entry, true)).toBe('kind')
    const same = (entry: Entry) => entry
    expect(refusal(new Script(twinCard()).put({ kind: 'note', words: 'later' }), same, true)).toBeNull()
    const script = new Script(twinCard()).ready()
    const outcome = script.add({ kind: 'outcome', what: 'came-back', words: '' })
    expect(refusal(script.put({ kind: 'take-back', entry: outcome.id, reason: 'slip' }), same, true)).toBeNull()
    const [first] = script.run.entries
    expect(refusal(script.put({ kind: 'take-back', entry: first?.id ?? '', reason: 'slip' }), same, true)).toBe('kind')
  })
})
