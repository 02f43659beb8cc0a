import { describe, expect, test } from '@jest/globals'
import { demoCard, fourWireMeter, knobMeter, pocketMeter, coarseCard, Script, twinCard } from '../../testing'

const evaluationOf = (script: Script, check: string) =>
  [...script.state().evaluations.values()].findLast((one) => one.check.id === check)
const zero = (ohms: number, how: 'hardware' | 'subtract' | 'carried') => ({
  kind: 'lead-check' as const,
  instrument: 'm2',
  text: String(ohms),
  ohms: how === 'hardware' ? 0 : ohms,
  u: 0.02,
  how,
})

describe('leads', () => {
  test('a later subtraction reaches back to the check before it, a hardware zero only forward', () => {
    const back = new Script(coarseCard())
      .put({ kind: 'isolation', state: 'loose' })
      .read('lighting', '0.78')
      .put(zero(0.21, 'subtract'))
    expect(evaluationOf(back, 'lighting')?.net).toBeCloseTo(0.57, 12)
    const forward = new Script(coarseCard())
      .put({ kind: 'isolation', state: 'loose' })
      .read('lighting', '0.78')
      .put(zero(0.21, 'hardware'))
    expect(evaluationOf(forward, 'lighting')).toMatchObject({ leads: { from: 'assumed', ohms: 0.2 } })
  })

  test('of an earlier zero and a later subtraction the later governs what stands between', () => {
    const script = new Script(coarseCard()).put(zero(0, 'hardware')).read('lighting', '0.6').put(zero(0.05, 'subtract'))
    expect(evaluationOf(script, 'lighting')?.leads).toMatchObject({ from: 'subtract', ohms: 0.05 })
  })

  test('leads that decide and were not zeroed make a little over borderline, and leave what is far over outside', () => {
    const good = new Script(coarseCard())
      .ready()
      .put({ kind: 'take-back', entry: '019a3333-0000-7000-8000-000000000003', reason: 'x' })
    expect(evaluationOf(good.read('lighting', '1.1'), 'lighting')).toMatchObject({
      verdict: 'borderline',
      reason: 'zero-leads-first',
    })
    expect(evaluationOf(good.again('lighting', '3.1'), 'lighting')).toMatchObject({ verdict: 'outside' })
  })

  test('four wires have no leads in the reading', () => {
    const script = new Script(coarseCard(), { instruments: [fourWireMeter] }).read('lighting', '0.5602')
    expect(evaluationOf(script, 'lighting')).toMatchObject({
      leads: { from: 'four-wire', ohms: 0 },
    })
  })
})

describe('temperature', () => {
  test('of two measured temperatures the nearer in time counts, else the nearest room, else twenty with a wide doubt', () => {
    const script = new Script(twinCard())
      .ready(20)
      .put({ kind: 'temperature', part: 'measured', partC: 60 })
      .read('low', '322')
    expect(evaluationOf(script, 'low')?.temperature).toMatchObject({ partC: 60, from: 'measured' })
    const room = new Script(twinCard()).put({ kind: 'temperature', part: 'room', roomC: 17 }).read('low', '322')
    expect(evaluationOf(room, 'low')?.temperature).toMatchObject({ partC: 17, from: 'room' })
    expect(evaluationOf(new Script(twinCard()).read('low', '322'), 'low')?.temperature).toMatchObject({
      partC: 20,
      from: 'assumed',
    })
  })

  test('a part that is hot by nobody knows how much is not judged', () => {
    const script = new Script(twinCard()).put({ kind: 'temperature', part: 'hot' }).read('low', '322')
    expect(evaluationOf(script, 'low')).toMatchObject({ verdict: 'none', reason: 'temperature-unknown' })
  })

  test('a limit without a reference carries the doubt of one', () => {
    const card = twinCard()
    const trigger = card.checks.find((check) => check.id === 'trigger')
    if (trigger) trigger.limits = trigger.limits.filter((limit) => limit.id === 'l2')
    const evaluation = evaluationOf(new Script(card).ready().read('trigger', '97'), 'trigger')
    expect(evaluation?.reference).toMatchObject({ c: 20, stated: false })
    expect(evaluation?.temperatureU?.reference).toBeCloseTo((97 * (5 / Math.sqrt(3))) / 254.5, 9)
  })

  test('a contact is judged by the plain rule and without its temperature', () => {
    const evaluation = evaluationOf(new Script(coarseCard()).ready(60).read('earth', '0.14'), 'earth')
    expect(evaluation).toMatchObject({ verdict: 'within', rule: 'simple' })
    expect(evaluation?.factor).toBeUndefined()
  })
})

describe('sources', () => {
  const guessed = () => {
    const card = twinCard()
    return { ...card, sources: card.sources.map((source) => ({ ...source, grade: 'guess' as const })) }
  }

  test('a guess never says within or outside, but an open winding is open whoever says so', () => {
    expect(evaluationOf(new Script(guessed()).ready().read('low', '318'), 'low')).toMatchObject({
      verdict: 'borderline',
      reason: 'guess',
    })
    expect(evaluationOf(new Script(guessed()).ready().read('low', 'OL'), 'low')).toMatchObject({
      verdict: 'outside',
      reason: 'open-circuit',
    })
  })

  test('the other source is named when it would have decided otherwise', () => {
    const evaluation = evaluationOf(new Script(twinCard()).ready().read('trigger', '87.5'), 'trigger')
    expect(evaluation?.verdict).toBe('within')
    expect(evaluation?.others).toMatchObject([{ limit: { grade: 'trade' }, verdict: 'outside' }])
  })
})

describe('conditions and ranges', () => {
  test('volts at another speed do not count, within three per cent they do', () => {
    const at = (rpm: number) =>
      evaluationOf(new Script(coarseCard()).read('volts', '19.00', { conditions: { rpm } }), 'volts')
    expect(at(1235)?.verdict).toBe('within')
    expect(at(1500)).toMatchObject({ verdict: 'none', reason: 'conditions-not-met' })
  })

  test('an over-range proves its typed bound, else the range, else the highest of a meter that ranges by itself', () => {
    const over = (text: string, instrument = pocketMeter, range?: number) =>
      evaluationOf(
        new Script(twinCard(), { instruments: [instrument] }).read('low', text, range === undefined ? {} : { range }),
        'low',
      )
    expect(over('OL 2k')).toMatchObject({ bound: 2000, verdict: 'outside', reason: 'above-maximum' })
    expect(over('OL')).toMatchObject({ bound: 4e7, reason: 'open-circuit' })
    expect(over('OL', knobMeter, 200)).toMatchObject({ verdict: 'none', reason: 'range-too-low' })
    expect(over('OL', knobMeter)).toMatchObject({ verdict: 'none', reason: 'range-unknown' })
  })

  test('a known resistance in parallel is taken out', () => {
    const script = new Script(twinCard())
      .put({ kind: 'isolation', state: 'in-circuit', parallelOhms: 1000 })
      .read('low', String((318 * 1000) / 1318))
    expect(evaluationOf(script, 'low')?.net).toBeCloseTo(318 - 0.2 * (1 + 318 / 1000) ** 2, 0)
  })

  test('what stands in parallel stood there too when a reading in circuit first asked for it', () => {
    const inCircuit = { kind: 'isolation', state: 'in-circuit' } as const
    const text = String((318 * 1000) / 1318)
    const said = new Script(twinCard())
      .put(inCircuit)
      .read('low', text)
      .put({ ...inCircuit, parallelOhms: 1000 })
    expect(evaluationOf(said, 'low')?.net).toBeGreaterThan(315)
    const unsaid = new Script(twinCard()).read('low', text).put({ ...inCircuit, parallelOhms: 1000 })
    expect(evaluationOf(unsaid, 'low')?.net).toBeGreaterThan(315)
    const loose = new Script(twinCard())
      .put({ kind: 'isolation', state: 'loose' })
      .read('low', text)
      .put({ ...inCircuit, parallelOhms: 1000 })
    expect(evaluationOf(loose, 'low')?.net).toBeLessThan(245)
    const kept = new Script(twinCard())
      .read('low', text)
      .put({ kind: 'answer', remark: 'not-isolated', reason: 'it lies loose' })
      .put({ ...inCircuit, parallelOhms: 1000 })
    expect(evaluationOf(kept, 'low')?.net).toBeLessThan(245)
    const lifted = new Script(twinCard())
      .put(inCircuit)
      .read('low', text)
      .put({ kind: 'isolation', state: 'one-lead-lifted', lifted: ['G'] })
      .put({ ...inCircuit, parallelOhms: 1000 })
    expect(evaluationOf(lifted, 'low')?.net).toBeLessThan(245)
  })

  test('as much as what stands in parallel says only that the part is more than that', () => {
    const beside = (parallelOhms: number, text: string) =>
      evaluationOf(
        new Script(twinCard()).ready().put({ kind: 'isolation', state: 'in-circuit', parallelOhms }).read('low', text),
        'low',
      )
    const hidden = beside(1000, '998')
    expect(hidden?.net).toBeUndefined()
    expect(hidden).toMatchObject({ verdict: 'outside', reason: 'above-maximum' })
    expect(hidden?.bound).toBeGreaterThan(970)
    expect(hidden?.bound).toBeLessThan(998)
    expect(beside(330e3, '329k')).toMatchObject({ verdict: 'outside', reason: 'open-circuit' })
    expect(beside(1000, '950')?.net).toBeCloseTo(19_000, -2)
  })

  test('what moved while it was held says nothing by tips, and is outside by clips', () => {
    const spread = (contact: 'tips' | 'clips') =>
      evaluationOf(new Script(twinCard()).ready().read('low', '280-350', { contact }), 'low')
    expect(spread('tips')).toMatchObject({ verdict: 'none', reason: 'unsteady' })
    expect(spread('clips')).toMatchObject({ verdict: 'outside', reason: 'unsteady' })
  })
})

describe('an answer', () => {
  const said = (answer: string, required = true) => {
    const card = demoCard('lanternreed-two-coil')
    for (const check of card.checks) if (check.id === 'heard') check.required = required
    const script = new Script(card).ready(20)
    const reading = { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer } as const
    return evaluationOf(script.put({ kind: 'reading', check: 'heard', reading }), 'heard')
  }
  test('that the shop assumed to be right decides nothing, and says where it leans', () => {
    expect(said('both sound')).toMatchObject({ verdict: 'borderline', leaning: 'within', reason: 'guess' })
    expect(said('nothing')).toMatchObject({ verdict: 'borderline', leaning: 'outside', reason: 'guess' })
  })

  test('that nobody had to try holds nothing where it is right, and leaves a doubt where it is not', () => {
    expect(said('both sound', false)).toMatchObject({ verdict: 'within' })
    expect(said('nothing', false)).toMatchObject({ verdict: 'borderline', reason: 'guess' })
  })

  test('that a maker states decides', () => {
    const card = demoCard('lanternreed-two-coil')
    const heard = card.checks.find((check) => check.id === 'heard')
    for (const limit of heard?.limits ?? []) delete limit.assumed
    const reading = { taken: 'typed', text: 'nothing', decimalComma: false, kind: 'answer', answer: 'nothing' } as const
    const script = new Script(card).ready(20).put({ kind: 'reading', check: 'heard', reading })
    expect(evaluationOf(script, 'heard')).toMatchObject({ verdict: 'outside', reason: 'wrong-answer' })
  })
})
