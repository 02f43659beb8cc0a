import { describe, expect, test } from '@jest/globals'
import { askedField } from '@sure-spool/core'
import { chargingCard, demoCard, kit, leadsCard, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { magnetsBeside, rewoundLine } from './evidence'
import { findingTitle, notProvedWords, notTestedWords, wouldSettle } from './finding'
import { openWords } from './openWords'

const figures = figuresWith(() => false)
const groups = (script: Script) =>
  script
    .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
    .read('frame', 'OL 40M', { pair: ['O', 'frame'] })
    .read('frame', 'OL 40M', { pair: ['V', 'frame'] })
const sound = (options = {}) =>
  groups(
    new Script(twinCard(), options)
      .ready()
      .read('low', '322')
      .read('high', '36.5')
      .read('series', '358.4')
      .read('trigger', '92'),
  )

describe('magnets that were read beside the card’s tests', () => {
  const read = (...magnets: [string, string][]) => {
    const script = new Script(demoCard('lanternreed-two-coil'), { instruments: kit }).ready(20)
    for (const [i, [text, pole]] of magnets.entries()) {
      script.put({ kind: 'ask', check: askedField(String(i), `coil ${i}`) })
      script.read(`ask-${i}`, text, { instrument: 'h2', conditions: { state: [pole] } })
    }
    return magnetsBeside(script.state(), figures)
  }
  test('alike they are cleared, with their poles', () =>
    expect(read(['18m', 'north'], ['17m', 'north'])).toBe(
      'Magnets alike: 18\u2009mT, 17\u2009mT, both north. None is weaker than the rest.',
    ))
  test.each([
    ['one alone', [['18m', 'north']]],
    [
      'one much weaker',
      [
        ['18m', 'north'],
        ['14m', 'north'],
      ],
    ],
    [
      'one turned',
      [
        ['18m', 'north'],
        ['17m', 'south'],
      ],
    ],
  ] as [string, [string, string][]][])('not said: %s', (_what, magnets) => expect(read(...magnets)).toBe(''))
})

describe('what was rewound', () => {
  const read = (second: string, work = true) => {
    const script = new Script(demoCard('lanternreed-two-coil')).ready(20)
    if (work) script.put({ kind: 'work', what: 'rewind', place: 'second' })
    return rewoundLine(script.read('first', '4.35k').read('second', second).state(), figures)
  }
  test('is said beside the one that it is to be like', () => {
    expect(read('4.48k')).toBe('Second coil reads 4.48\u2009kΩ, 2.9\u2009% over first coil.')
    expect(read('4.30k')).toContain('under first coil')
  })
  test('and nothing of what was not, is the same, or is apart', () =>
    expect([read('4.48k', false), read('4.35k'), read('4.62k')]).toEqual(['', '', '']))
})

describe('what work has mended', () => {
  const reflowed = (what: 'reflow' | 'clean') =>
    new Script(twinCard())
      .ready()
      .read('low', '390')
      .read('low', '391')
      .put({ kind: 'work', what, place: 'G' })
      .read('low', '322')
      .read('high', '36.5')
      .read('series', '358.4')
      .read('trigger', '92')
  test('leads the title of a pass, with both figures behind it', () => {
    const { title, line } = findingTitle(groups(reflowed('reflow')).state(), figures)
    expect(title).toBe('Joint at grey, mended. No fault found by ohms, cold, at rest.')
    expect(line).toBe('Low-speed coil: 391\u2009Ω before it was reflowed, 322\u2009Ω since.')
  })
  test('is by its work, and stands beside what is open still', () => {
    expect(findingTitle(groups(reflowed('clean')).state(), figures).title).toContain('Dirty contact at grey, mended.')
    const { title, line } = findingTitle(reflowed('clean').state(), figures)
    expect(title).toBe('Undecided.')
    expect(line).toContain('before it was cleaned')
  })
})

describe('a finding says no more than was read', () => {
  test('cold and at rest is said in the title', () => {
    expect(findingTitle(sound().state(), figures).title).toBe('No fault found by ohms, cold, at rest.')
  })

  test('a winding that no reading on its meter could settle is named as whole and no more', () => {
    const card = twinCard()
    const coarse = card.checks.find(({ id }) => id === 'high')
    if (coarse)
      coarse.limits = coarse.limits.map((one) => ({ ...one, limit: { kind: 'band' as const, min: 36.4, max: 36.6 } }))
    const state = groups(
      new Script(card).ready().read('low', '322').read('high', '36.5').read('series', '358.4').read('trigger', '92'),
    ).state()
    const { title, line } = findingTitle(state, figures)
    expect(title).toBe('No fault found by ohms, cold, at rest. High-speed coil: continuity only on this meter.')
    expect(line).toContain('What this meter could tell')
  })

  test('a complaint of heat is neither explained nor ruled out by cold readings', () => {
    const state = sound({ unit: { complaint: ['trips-when-hot'] } }).state()
    expect(findingTitle(state, figures).line).toContain('neither explained nor ruled out')
    expect(notTestedWords(state).map(({ what }) => what)).toContain('hot')
  })

  test('output at speed is said only where it was read', () => {
    const legs = new Script(chargingCard()).ready().read('uv', '.62').read('vw', '.62').read('wu', '.62')
    const ground = legs
      .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
      .read('frame', 'OL 40M', { pair: ['U', 'frame'] })
    expect(findingTitle(ground.state(), figures).title).not.toContain('at speed')
    for (const pair of [
      ['U', 'V'],
      ['V', 'W'],
      ['W', 'U'],
    ] as [string, string][])
      ground.read('volts', '41.2', { pair, conditions: { rpm: 3000, load: 'none' } })
    expect(findingTitle(ground.state(), figures).title).toBe('No fault found, at rest and at speed.')
  })

  test('a fault is named by its check and the way it is off, what it explains beside it', () => {
    const low = groups(
      new Script(twinCard())
        .ready()
        .read('low', '238')
        .read('high', '36.5')
        .read('series', '274.5')
        .read('trigger', '92'),
    )
    const { title, line } = findingTitle(low.state(), figures)
    expect(title).toBe('Low-speed charge coil 25 % low: turns short, at most about that many.')
    expect(line).toContain('one fault and not two')
  })

  test('of a set the odd one is named by its number', () => {
    const card = leadsCard()
    const [check] = card.checks
    const script = new Script(card).ready()
    for (let index = 1; index <= (check?.items ?? 0); index++)
      script.read(check?.id ?? '', index === 2 ? '40k' : '2.24k', { index, x: 0.4 })
    script.read(check?.id ?? '', '40k', { index: 2, x: 0.4 })
    expect(findingTitle(script.state(), figures).title).toMatch(/ 2( |\.|,)/)
  })
})

describe('what a pass does not prove', () => {
  test('is the share of turns that the upper limit leaves room for', () => {
    const [shorted] = notProvedWords(sound().state(), figures)
    expect(shorted?.text).toContain('orange–grey 1 − 322/349.8 = 8 %')
  })

  test('what would settle it is worked out hot, by copper’s own law', () => {
    const [hot] = wouldSettle(sound().state(), figures)
    const expected = 322 * ((234.5 + 80) / (234.5 + 20))
    expect(hot?.text).toContain(`orange–grey ${expected.toFixed(1)}`)
    expect(hot?.text).toContain('80\u2009°C')
    expect(hot).toMatchObject({ step: 'temperature', warmed: true })
  })

  test('once the part is hot each winding that was read cold is to be read again, and what it should show', () => {
    const hot = sound().put({ kind: 'decision', what: 'more-tests', why: 'hot' })
    hot.put({ kind: 'temperature', part: 'measured', partC: 65 })
    expect(findingTitle(hot.state(), figures).title).toContain('cold')
    const [low, high, series] = wouldSettle(hot.state(), figures)
    expect([low, high, series].map((one) => one?.head)).toEqual([
      'Orange–grey, hot.',
      'Orange–tan, hot.',
      'Grey–tan, hot.',
    ])
    const expected = 322 * ((234.5 + 65) / (234.5 + 20))
    expect(low?.text).toContain(expected.toFixed(1))
    const cold = hot.run.entries.find((entry) => entry.kind === 'reading' && entry.check === 'low')
    expect(low).toMatchObject({ again: cold?.id, step: 'low' })
    hot.read('low', '379', { supersedes: cold?.id ?? '' })
    expect(wouldSettle(hot.state(), figures)[0]).toMatchObject({ head: 'Orange–tan, hot.' })
    expect(findingTitle(hot.state(), figures).title).not.toContain('cold')
  })

  test('undecided: what is open, three lines at most, each with the step that does it', () => {
    const state = new Script(twinCard()).ready().state()
    expect(state.finding.word).toBe('undecided')
    const lines = wouldSettle(state, figures)
    expect(lines).toHaveLength(Math.min(3, state.finding.open.length))
    expect(lines.map(({ head }) => head)).toEqual(
      state.finding.open.slice(0, 3).map((one) => openWords(state, one, figures)),
    )
    expect(lines[0]).toMatchObject({ text: '', step: 'low', tester: false })
  })

  test('a test left out is listed with the reason that was given', () => {
    const [left] = sound().state().untested
    const state = sound()
      .put({ kind: 'skip', check: left ?? '', reason: 'the loom is glued in' })
      .state()
    const skipped = notTestedWords(state).find(({ why }) => why !== '' && why.includes('glued'))
    expect(skipped?.why).toBe('skipped: the loom is glued in')
  })
})

describe('a guess beside which a twin was read', () => {
  const striker = (beside?: number) => {
    const script = new Script(demoCard('fogbell-striker')).ready()
    if (beside !== undefined)
      script.put({
        kind: 'compare',
        with: { as: 'neighbour', tag: 'n', figures: [{ check: 'coil', value: beside, u: 0.2 }] },
      })
    const state = script.read('coil', '59.2').state()
    return state.finding.open
      .filter(({ why }) => why === 'borderline')
      .map((open) => openWords(state, open, figures).replaceAll('\u2009', ' '))
  }
  test('alike it says so, and that it proves nothing; without one it asks for it', () => {
    expect(striker(58.6)).toEqual([
      'Upper wire–lower wire: alike with the one beside it, 1 % apart, and judged only by a guess that both are beyond. Turns short in one would read lower: none seen.',
    ])
    expect(striker()).toEqual([expect.stringContaining('read a known good one beside it')])
  })
})
