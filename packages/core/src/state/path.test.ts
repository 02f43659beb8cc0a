import { describe, expect, test } from '@jest/globals'
import { coarseCard, Script, twinCard } from '../testing'
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
