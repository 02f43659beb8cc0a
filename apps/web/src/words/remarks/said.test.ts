import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Remark, RemarkId } from '@sure-spool/core'
import { twinCard } from '@sure-spool/core/testing'
import { figuresWith } from '../figures'
import { remarkWords } from '../remarks'

type Params = Remark['params']

/** Each remark, with what it may carry: a case for each of its sentences. */
const cases: Record<RemarkId, Params[]> = {
  'over-on-low-range': [{ bound: 200, max: 349.8, goTo: 600 }, { bound: 200 }],
  'near-full-scale': [{ range: 200 }],
  'meter-cannot': [{ window: 0.02, u: 0.05 }],
  'coarse-range': [{ range: 2e6, goTo: 2000 }],
  'one-or-over': [{}],
  'zero-or-open': [{ after: 'leads' }],
  'prefix-jump': [{ value: 318_000, expected: 318, times: 1000, factor: 0.001 }],
  'prefix-decides': [{ text: '20' }],
  'beyond-meter': [{ meter: 'Knob meter K4', highest: 2e6, value: 1.2e8 }],
  'milli-or-mega': [{}],
  negative: [{ value: -318 }, { net: -0.02 }],
  'leads-matter': [{ leads: 0.2 }, { from: 0.121, to: 0.4449 }, { from: 0.121, since: 'zeroed' }],
  'stale-zero': [
    { why: 'age', minutes: 63 },
    { why: 'age', minutes: 119 },
    { why: 'age', minutes: 120 },
    { why: 'age', minutes: 2879 },
    { why: 'age', minutes: 2880 },
    { why: 'drift' },
    { why: 'jack' },
  ],
  'reads-like-leads': [{ value: 0.51 }],
  'meter-unproved': [{}],
  'ground-ceiling': [{ bound: 1e6 }],
  'poor-leads': [{ ohms: 0.51 }],
  'jack-after-amps': [{ after: 'draw' }],
  'meters-disagree': [{ value: 345, other: 318, meter: 'Bench meter B1' }],
  'fits-another': [{ value: 36.4, other: 'high' }],
  'same-as-last': [{ value: 322, last: 'low' }],
  'not-isolated': [{ state: 'unknown' }],
  'frame-unproved': [{}],
  'temperature-decides': [{ assumed: 20 }],
  'not-settled': [{}],
  unsteady: [{}],
  'repeats-apart': [{ value: 330, before: 318 }],
  'condition-missing': [{ condition: 'growler' }, { condition: 'speed' }],
  'at-limit': [{ by: 'meter' }, { by: 'temperature' }],
  'leak-over-break': [{ value: 2.1e6 }],
  'part-warm': [{ minutes: 11 }, { minutes: 1 }, { minutes: 0 }, { minutes: 11, warmC: 64 }],
  'low-by-a-little': [{ percent: 2.166 }],
  'high-is-not-shorted': [{}],
  'ac-on-open': [{ check: 'low' }],
  'ground-side': [{}],
  'beyond-physics': [{ part: 'low', value: 400, whole: 'series', of: 354 }],
  'sum-off': [
    { parts: 354, wholeCheck: 'series', whole: 340, likely: 'low', residual: 14 },
    { parts: 354, wholeCheck: 'series', whole: 370, likely: 'series', residual: -16 },
    { parts: 354, wholeCheck: 'series', whole: 354, likely: 'series', residual: 0 },
  ],
  'one-open-of-three': [{ open: 'series' }],
  'open-adds-nothing': [{ open: 'low', whole: 'series' }],
  'shared-resistance': [{ ohms: 0.4 }],
  'sister-ratio': [{ relation: 'r2', ratio: 6.871, stated: 8.71, odd: 'high' }],
  'tests-disagree': [
    { meter: 'Knob meter K4', one: 'low' },
    { one: 'low', stronger: 'series' },
  ],
  'twins-both-off': [{}],
  'sweep-back': [{ from: 0.25, to: 0.5, before: 52.345, after: 49.1 }],
  'windings-untested': [
    { groups: 'O frame-ring', pins: '' },
    { groups: '', pins: 'O nowhere' },
    { groups: 'O', pins: 'T' },
  ],
  'static-only': [{ family: 'ignition-stator' }, { family: 'ignition-coil' }],
  'flex-the-lead': [{}],
  'no-floor': [{ check: 'low' }],
  'limits-conflict': [{ check: 'low', one: '318 ±10 %', other: '400 ±5 %' }],
  'kind-unset': [{}],
  'gauges-too-near': [{ gauges: '33, 34' }],
  'odd-poles': [{ poles: 5 }],
  'winder-direction': [{}],
  'no-ground-after': [{}],
  'retest-missing': [{ checks: 'low high' }],
  'expected-current': [
    { percent: -12.34, ohms: 0.7, celsius: 51 },
    { percent: 15, ohms: 0.7, celsius: 51 },
  ],
  'supply-unloaded': [{ volts: 12.345 }],
  'over-volts': [{ volts: 512, most: 250 }],
  'across-electronics': [{ plus: '' }, { plus: 'O' }],
  'unknown-pins-power': [{ pins: '85 86' }],
  'supply-high': [{ volts: 24.05, rated: 12.05, times: 3.996 }],
  'click-only': [{}],
}

const figures = figuresWith(() => false)
const written = (params: Params) =>
  Object.entries(params)
    .map(([key, value]) => `${key}=${value}`)
    .join(' ')
const listed = readFileSync('apps/web/src/words/remarks/said.txt', 'utf8').trimEnd().split('\n')
const said = (id: RemarkId, params: Params, check?: string) => {
  const { what, todo } = remarkWords({ id, params, ...(check === undefined ? {} : { check }) }, twinCard(), figures)
  return `${what} | ${todo}`.replaceAll('\u2009', ' ')
}
const all = Object.entries(cases) as [RemarkId, Params[]][]

describe('what a remark says, read through by eye in said.txt', () => {
  test.each(all)('%s', (id, each) => {
    const lines = each.map((params) => [id, written(params), said(id, params)].filter((one) => one !== '').join(' | '))
    expect(lines).toEqual(listed.filter((line) => line.startsWith(`${id} |`)))
  })

  test('lists nothing else', () => {
    expect(new Set(listed.map((line) => line.split(' |')[0]))).toEqual(new Set(Object.keys(cases)))
  })
})

test('a figure is said in the quantity of its check, and what a finer meter could do with it', () => {
  const card = twinCard()
  const [check] = card.checks.filter(({ id }) => id === 'low')
  if (!check) throw new Error('the twin has a low coil')
  card.checks.push({ ...check, id: 'farads', kind: 'capacitance' }, { ...check, id: 'frame', kind: 'insulation' })
  const of = (id: RemarkId, params: Params, about: string) => remarkWords({ id, params, check: about }, card, figures)
  expect(of('meter-cannot', { window: 1e-8, u: 1e-9 }, 'farads').todo).toBe(
    'No reading on it can settle this: use a finer meter.',
  )
  expect(of('at-limit', { by: 'meter' }, 'farads').todo).toBe('Undecidable with this meter: use a finer one.')
  const jump = { value: 1, expected: 1e-6, times: 1000 }
  expect(of('prefix-jump', jump, 'farads').what.replaceAll('\u2009', ' ')).toBe(
    'Which prefix? As typed it is 1000 times what is expected (1 µF).',
  )
  expect(of('prefix-jump', jump, 'frame').what).toMatch(/^k, M or G\?/)
})
