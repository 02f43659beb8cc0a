import { describe, expect, test } from '@jest/globals'
import { chargingCard, compressorCard, pocketMeter, Script, twinCard } from '../testing'

const begun = (card = twinCard()) =>
  new Script(card)
    .put({ kind: 'isolation', state: 'loose' })
    .put({ kind: 'temperature', part: 'measured', partC: 20 })
    .put({ kind: 'lead-check', instrument: pocketMeter.id, text: '0.1', ohms: 0, u: 0.02, how: 'hardware' })

const framePoints = (script: Script) =>
  script
    .state()
    .steps.flatMap(({ step }) => (step.kind === 'reading' && step.check === 'frame' ? [step.point.pair?.[0]] : []))

/** The tiller card with every terminal of the coils named in its frame test. */
const named = () => {
  const card = twinCard()
  return {
    ...card,
    checks: card.checks.map((check) =>
      check.id === 'frame' ? { ...check, at: { each: ['O', 'T', 'V'], to: 'frame' } } : check,
    ),
  }
}

describe('groups are this unit’s (METHODS 11.14)', () => {
  test('a winding whose open reading stands splits its group, and each side wants its own ground test', () => {
    const script = begun(named()).read('low', '318').read('high', 'OL 40M').read('high', 'OL 40M')
    expect(script.state().prepared.unitGroups).toEqual([['G', 'O'], ['T'], ['V', 'VW'], ['frame']])
    expect(framePoints(script)).toEqual(['O', 'T', 'V'])
  })

  test('one open reading does not stand yet: nothing is split', () => {
    expect(framePoints(begun(named()).read('high', 'OL 40M'))).toEqual(['O', 'V'])
  })

  test('a side that the card does not name asks for itself, and a star point, which has no pin, does not', () => {
    const named = (each: string[]) => {
      const card = twinCard()
      return {
        ...card,
        checks: card.checks.map((one) => (one.id === 'frame' ? { ...one, at: { each, to: 'frame' } } : one)),
      }
    }
    const pins = (script: Script) =>
      script
        .state()
        .checks.find(({ check }) => check.id === 'frame')
        ?.points.map(({ pair }) => pair?.[0])
    const twice = (script: Script) => script.ready().read('high', 'OL 40M').again('high', 'OL 40M')
    expect(pins(new Script(named(['O', 'V'])).ready())).toEqual(['O', 'V'])
    expect(pins(twice(new Script(named(['O', 'V']))))).toEqual(['O', 'V', 'T'])
    expect(pins(twice(new Script(named(['O', 'T', 'V']))))).toEqual(['O', 'T', 'V'])
    const star = chargingCard()
    const clips = { contact: 'clips' } as const
    const legs = new Script({
      ...star,
      checks: star.checks.map((one) => (one.id === 'frame' ? { ...one, at: { each: ['U'], to: 'frame' } } : one)),
    }).ready()
    for (const check of ['uv', 'vw']) legs.read(check, 'OL 40M', clips).again(check, 'OL 40M', clips)
    expect(pins(legs.read('wu', '0.62'))).toEqual(['U', 'V'])
  })

  test('an open series pair splits what was not read finite', () => {
    const script = begun(named()).read('low', '318').read('series', 'OL 40M').read('series', 'OL 40M')
    expect(script.state().prepared.unitGroups).toContainEqual(['T'])
    expect(begun(named()).read('series', 'OL 40M').read('series', 'OL 40M').state().prepared.unitGroups).toEqual([
      ['G'],
      ['O'],
      ['T'],
      ['V', 'VW'],
      ['frame'],
    ])
  })

  test('a reading stands for nothing beyond the break, and the side that no check names is told', () => {
    const script = begun()
      .read('low', '318')
      .read('high', 'OL 40M')
      .read('high', 'OL 40M')
      .put({ kind: 'proof', of: 'same-metal' })
      .read('frame', 'OL 40M', { pair: ['O', 'frame'] })
      .read('frame', 'OL 40M', { pair: ['V', 'frame'] })
    const told = script.state().remarks.find(({ id }) => id === 'windings-untested')
    expect(told?.params['groups']).toBe('T')
    const whole = begun()
      .read('low', '318')
      .read('high', '36.5')
      .put({ kind: 'proof', of: 'same-metal' })
      .read('frame', 'OL 40M', { pair: ['O', 'frame'] })
      .read('frame', 'OL 40M', { pair: ['V', 'frame'] })
    expect(whole.state().remarks.find(({ id }) => id === 'windings-untested')?.params['groups'] ?? '').toBe('')
  })

  test('found right at the second touch it is joined again', () => {
    const script = begun(named()).read('high', 'OL 40M').read('high', 'OL 40M').read('high', '36.5')
    expect(framePoints(script)).toEqual(['O', 'V'])
  })

  test('three pins split the winding that neither of its pairs reads through', () => {
    const script = begun(compressorCard())
      .read('pins', 'OL 40M', { pair: ['C', 'S'] })
      .read('pins', 'OL 40M', { pair: ['C', 'S'] })
      .read('pins', 'OL 40M', { pair: ['R', 'S'] })
      .read('pins', 'OL 40M', { pair: ['R', 'S'] })
      .read('pins', '5.08', { pair: ['C', 'R'] })
    expect(script.state().prepared.unitGroups).toContainEqual(['S'])
    expect(script.state().prepared.unitGroups).toContainEqual(['C', 'R'])
  })
})
